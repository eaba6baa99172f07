using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// A combination of conducting diodes: dx/dθ = A·x + B·e − load/b on the link, and the guards that end it. Kirchhoff's laws: a live phase
/// x of bridge k has Σ_y X_xy·di_y + X_x·di_x + [top: X_c·Σ_top di] − star_k = e_x − ΣR·i − [top: v + R_c·Σ_top i], a conducting bridge Σ
/// di = 0; while it freewheels all its phases are live on one rail and X_c·di_c = −v − R_c·i_c.
/// </summary>
internal sealed class SwitchedMode
{
    /// <summary>More guards than that no bridge has.</summary>
    public const int MostGuards = 8;

    private static readonly SwitchingKind[] LiveEnds = [SwitchingKind.TurnsOff];
    private static readonly SwitchingKind[] FloatingEnds = [SwitchingKind.TopTurnsOn, SwitchingKind.BottomTurnsOn];

    private readonly SwitchedCircuit circuit;
    private ModeSolution? solution;

    public SwitchedMode(SwitchedCircuit circuit, Conduction conduction)
    {
        this.circuit = circuit;
        Conduction = conduction;
        var n = circuit.Size;
        var built = new Building(new double[n, n + 2], new double[circuit.Phases, n + 2], new double[circuit.Bridges, n + 2]);
        Build(built);
        Equations = new ColumnMatrix(n, n, (r, c) => built.Matrix[r, c], c => c >= circuit.Phases || IsLive(c));
        Guards = [.. Enumerable.Range(0, circuit.Bridges).SelectMany(GuardsOf)];
        GuardRows = new ColumnMatrix(Guards.Length, n, (r, c) => GuardAt(Guards[r], c, built), _ => true);
    }

    // What is needed while it is being made: A and B, volts of floating phases, volts between the rails.
    private sealed record Building(double[,] Matrix, double[,] PhaseVolts, double[,] RailVolts);

    /// <summary>The combination.</summary>
    public Conduction Conduction { get; }

    /// <summary>A and, in the last two columns, B, for whole states; the load's current not included. Numbers of blocked phases are
    /// zero.</summary>
    public ColumnMatrix Equations { get; }

    /// <summary>What ends it.</summary>
    public SwitchingGuard[] Guards { get; }

    /// <summary>All of them as one matrix.</summary>
    public ColumnMatrix GuardRows { get; }

    /// <summary>What small changes do; the one asked for last is kept.</summary>
    public ModeSolution Solution(double[] loadSlopes, Complex[] line, int[] orders)
    {
        var known = solution;
        if (known is null || !known.IsOf(loadSlopes, orders))
        {
            solution = known = new ModeSolution(circuit, this, loadSlopes, line, orders);
        }

        return known;
    }

    private int LinkOf(int bridge) => circuit.Link(circuit.LinkOf[bridge]);

    private bool IsLive(int phase) => Conduction.Side(phase) != 0 || Conduction.Freewheels(circuit.BridgeOf(phase));

    private bool IsTop(int phase) => Conduction.Side(phase) > 0 && !Conduction.Freewheels(circuit.BridgeOf(phase));

    private bool SharesRail(int x, int y) => circuit.BridgeOf(x) == circuit.BridgeOf(y) && IsTop(x) && IsTop(y);

    private void Build(Building built)
    {
        var (n, whole) = (circuit.Size, built.Matrix);
        var (re, im) = circuit.Seen;
        var live = Enumerable.Range(0, circuit.Phases).Where(IsLive).ToArray();
        var conducting = live.Select(circuit.BridgeOf).Distinct().ToArray();
        var matrix = new double[live.Length + conducting.Length, live.Length + conducting.Length];
        var right = new double[live.Length + conducting.Length, n + 2];
        for (var r = 0; r < live.Length; r++)
        {
            var x = live[r];
            for (var c = 0; c < live.Length; c++)
            {
                var y = live[c];
                matrix[r, c] = (circuit.CommonX * circuit.Between(x, y)) + (x == y ? circuit.OwnX[x] : 0)
                    + (SharesRail(x, y) ? circuit.ChokeX[circuit.BridgeOf(x)] : 0);
                right[r, y] -= (circuit.CommonR * circuit.Between(x, y)) + (x == y ? circuit.OwnR[x] : 0)
                    + (SharesRail(x, y) ? circuit.ChokeR[circuit.BridgeOf(x)] : 0);
            }

            var star = live.Length + Array.IndexOf(conducting, circuit.BridgeOf(x));
            matrix[r, star] = -1;
            matrix[star, r] = 1;
            right[r, re] = circuit.Axes[x].Real;
            right[r, im] = circuit.Axes[x].Imaginary;
            right[r, LinkOf(circuit.BridgeOf(x))] = IsTop(x) ? -1 : 0;
        }

        if (live.Length > 0)
        {
            var factors = DenseLu.OrNull(matrix)
                ?? throw new RectifierSearchException("The reactances of the bridge differ by more than numbers can hold.");
            factors.SolveInPlace(DenseRows.Of(right), right.GetLength(1));
        }

        for (var column = 0; column < n + 2; column++)
        {
            for (var r = 0; r < live.Length; r++)
            {
                whole[live[r], column] = right[r, column];
            }
        }

        BuildBank(whole);
        BuildLinkAndChokes(built);
        BuildVolts(live, conducting, right, built);
    }

    // x·dj/dθ = e − r·j − u and b·du/dθ = j − i, as space vectors.
    private void BuildBank(double[,] matrix)
    {
        if (circuit.Bank is not { } bank)
        {
            return;
        }

        var (n, first) = (circuit.Size, circuit.FirstOfBank);
        for (var part = 0; part < 2; part++)
        {
            matrix[first + part, n + part] = 1 / bank.X;
            matrix[first + part, first + part] = -bank.R / bank.X;
            matrix[first + part, first + 2 + part] = -1 / bank.X;
            matrix[first + 2 + part, first + part] = 1 / bank.Susceptance;
            for (var x = 0; x < circuit.Phases; x++)
            {
                var axis = part == 0 ? circuit.Axes[x].Real : circuit.Axes[x].Imaginary;
                matrix[first + 2 + part, x] = -2.0 / 3 * axis / bank.Susceptance;
            }
        }
    }

    private void BuildLinkAndChokes(Building built)
    {
        var (matrix, railVolts) = (built.Matrix, built.RailVolts);
        var n = circuit.Size;
        for (var k = 0; k < circuit.Bridges; k++)
        {
            var (link, susceptance) = (LinkOf(k), circuit.Links[circuit.LinkOf[k]].Susceptance);
            if (Conduction.Freewheels(k))
            {
                matrix[link, circuit.Choke(k)] += 1 / susceptance;
                matrix[circuit.Choke(k), link] = -1 / circuit.ChokeX[k];
                matrix[circuit.Choke(k), circuit.Choke(k)] = -circuit.ChokeR[k] / circuit.ChokeX[k];
                continue;
            }

            railVolts[k, link] = 1;
            foreach (var x in PhasesOf(k).Where(IsTop))
            {
                matrix[link, x] += 1 / susceptance;
                railVolts[k, x] += circuit.ChokeR[k];
                for (var column = 0; column < n + 2; column++)
                {
                    railVolts[k, column] += circuit.ChokeX[k] * matrix[x, column];
                    if (circuit.ChokeX[k] > 0)
                    {
                        matrix[circuit.Choke(k), column] += matrix[x, column];
                    }
                }
            }
        }
    }

    // What a floating phase carries against the bottom rail, in a blocked bridge against its own star point.
    private void BuildVolts(int[] live, int[] conducting, double[,] right, Building built)
    {
        var (matrix, phaseVolts) = (built.Matrix, built.PhaseVolts);
        int n = circuit.Size;
        for (var x = 0; x < circuit.Phases; x++)
        {
            if (IsLive(x))
            {
                continue;
            }

            phaseVolts[x, circuit.Seen.Re] = circuit.Axes[x].Real;
            phaseVolts[x, circuit.Seen.Im] = circuit.Axes[x].Imaginary;
            var star = Array.IndexOf(conducting, circuit.BridgeOf(x));
            foreach (var y in live)
            {
                phaseVolts[x, y] -= circuit.CommonR * circuit.Between(x, y);
            }

            for (var column = 0; column < n + 2; column++)
            {
                foreach (var y in live)
                {
                    phaseVolts[x, column] -= circuit.CommonX * circuit.Between(x, y) * matrix[y, column];
                }

                phaseVolts[x, column] += star < 0 ? 0 : right[live.Length + star, column];
            }
        }
    }

    private IEnumerable<int> PhasesOf(int bridge) => Enumerable.Range(bridge * circuit.PhasesOfBridge, circuit.PhasesOfBridge);

    private IEnumerable<SwitchingGuard> GuardsOf(int bridge)
    {
        var phases = PhasesOf(bridge).ToArray();
        if (Conduction.Freewheels(bridge))
        {
            // The sum of the positive currents is the largest of the sums over some of the phases.
            return Enumerable.Range(1, (1 << phases.Length) - 2)
                .Select(some => new SwitchingGuard(this, SwitchingKind.FreewheelEnds, bridge) { Some = some });
        }

        if (!phases.Any(IsLive))
        {
            return phases.SelectMany(x => phases.Where(y => y != x)
                .Select(y => new SwitchingGuard(this, SwitchingKind.PairTurnsOn, bridge) { Phase = x, Lower = y }));
        }

        return Enumerable.Repeat(new SwitchingGuard(this, SwitchingKind.FreewheelStarts, bridge), circuit.ChokeX[bridge] > 0 ? 1 : 0)
            .Concat(phases.SelectMany(x => (IsLive(x) ? LiveEnds : FloatingEnds)
                .Select(kind => new SwitchingGuard(this, kind, bridge) { Phase = x })));
    }

    private double GuardAt(SwitchingGuard guard, int column, Building built) => guard.Kind switch
    {
        SwitchingKind.FreewheelEnds => column == circuit.Choke(guard.Bridge) ? 1 : guard.IsOver(column, circuit.PhasesOfBridge) ? -1 : 0,
        SwitchingKind.PairTurnsOn => (column == LinkOf(guard.Bridge) ? 1 : 0) - built.PhaseVolts[guard.Phase, column]
            + built.PhaseVolts[guard.Lower, column],
        SwitchingKind.FreewheelStarts => built.RailVolts[guard.Bridge, column],
        SwitchingKind.TurnsOff => column == guard.Phase ? Conduction.Side(guard.Phase) : 0,
        SwitchingKind.TopTurnsOn => built.RailVolts[guard.Bridge, column] - built.PhaseVolts[guard.Phase, column],
        _ => built.PhaseVolts[guard.Phase, column],
    };
}
