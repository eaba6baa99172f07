using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>
/// A combination of conducting diodes. Within it everything is linear in the currents, the link voltage and the EMF: slopes, voltages of
/// floating phases, voltages of the top rails. The maps are worked out once for a combination.
/// Source: Kirchhoff's laws. Row of a live phase x of bridge k: x_s·⅔·Σ_y cos(axes)·di_y + x_k·di_x + [top: x_c·Σ_top di] − star_k
/// = e_x − r_s·i_x' − [top: v + r_c·Σ_top i]; each conducting bridge: Σ di = 0.
/// </summary>
internal sealed class CoupledMode
{
    private readonly CoupledState[] slopes;
    private readonly CoupledState[] volts;
    private readonly int firstRail;

    /// <param name="circuit">The circuit.</param>
    /// <param name="sides">+1 on the top rail, −1 on the bottom rail, 0 floating, by phase.</param>
    public CoupledMode(CoupledCircuit circuit, ReadOnlySpan<int> sides)
    {
        Sides = sides.ToArray();
        var phases = circuit.Phases;
        var live = Enumerable.Range(0, phases).Where(x => Sides[x] != 0).ToArray();
        var conducting = live.Select(x => x / 3).Distinct().ToArray();
        int link = phases, re = phases + 1, im = phases + 2, n = live.Length + conducting.Length;
        var matrix = new double[n, n];
        var right = new double[n, CoupledState.Length];
        for (var r = 0; r < live.Length; r++)
        {
            var x = live[r];
            for (var c = 0; c < live.Length; c++)
            {
                var y = live[c];
                matrix[r, c] = (circuit.SourceReactance * 2 / 3 * circuit.Between(x, y))
                    + (x == y ? circuit.LeakageReactance[x / 3] : 0)
                    + (SharesRail(x, y) ? circuit.ChokeReactance : 0);
                right[r, y] -= (circuit.SourceResistance * 2 / 3 * circuit.Between(x, y))
                    + (SharesRail(x, y) ? circuit.ChokeResistance : 0);
            }

            var star = live.Length + Array.IndexOf(conducting, x / 3);
            matrix[r, star] = -1;
            matrix[star, r] = 1;
            right[r, re] = circuit.AxisCos[x];
            right[r, im] = circuit.AxisSin[x];
            right[r, link] = Sides[x] > 0 ? -1 : 0;
        }

        (DenseLu.OrNull(matrix) ?? throw new SingularMatrixException()).SolveInPlace(DenseRows.Of(right), right.GetLength(1));
        AnyBlocked = conducting.Length < circuit.Bridges;
        firstRail = phases;
        slopes = new CoupledState[phases + 3];
        volts = new CoupledState[phases + 3];
        for (var column = 0; column < slopes.Length; column++)
        {
            for (var r = 0; r < live.Length; r++)
            {
                slopes[column][live[r]] = right[r, column];
                if (Sides[live[r]] > 0)
                {
                    volts[column][firstRail + (live[r] / 3)] += circuit.ChokeReactance * right[r, column];
                }
            }

            if (column < phases && Sides[column] > 0)
            {
                slopes[column][link] = 1 / circuit.Susceptance;
                volts[column][firstRail + (column / 3)] += circuit.ChokeResistance;
            }

            for (var k = 0; column == link && k < circuit.Bridges; k++)
            {
                volts[column][firstRail + k] += 1;
            }

            // What a floating phase carries against the bottom rail: the EMF less the drop that the others cause, plus the star point.
            for (var x = 0; x < phases; x++)
            {
                if (Sides[x] != 0)
                {
                    continue;
                }

                var seen = column == re ? circuit.AxisCos[x] : column == im ? circuit.AxisSin[x] : 0;
                seen -= column < phases && Sides[column] != 0 ? circuit.SourceResistance * 2 / 3 * circuit.Between(x, column) : 0;
                for (var r = 0; r < live.Length; r++)
                {
                    seen -= circuit.SourceReactance * 2 / 3 * circuit.Between(x, live[r]) * right[r, column];
                }

                var star = Array.IndexOf(conducting, x / 3);
                volts[column][x] = seen + (star < 0 ? 0 : right[live.Length + star, column]);
            }
        }
    }

    /// <summary>+1 on the top rail, −1 on the bottom rail, 0 floating, by phase.</summary>
    public int[] Sides { get; }

    /// <summary>True when some bridge does not conduct.</summary>
    public bool AnyBlocked { get; }

    /// <summary>True when no phase of a bridge conducts.</summary>
    public bool IsBlocked(int bridge) => Sides[3 * bridge] == 0 && Sides[(3 * bridge) + 1] == 0 && Sides[(3 * bridge) + 2] == 0;

    /// <summary>Slopes of the currents and, but for the load, of the link voltage.</summary>
    public CoupledState Slopes(in CoupledState stateWithEmf) => stateWithEmf.Through(slopes);

    /// <summary>
    /// Voltages of the floating phases against the bottom rail, of a blocked bridge against its own star point; behind them those of the
    /// top rails ahead of the chokes, by bridge.
    /// </summary>
    public CoupledState Volts(in CoupledState stateWithEmf) => stateWithEmf.Through(volts);

    private bool SharesRail(int x, int y) => x / 3 == y / 3 && Sides[x] > 0 && Sides[y] > 0;
}
