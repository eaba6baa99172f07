using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>What ends a combination of conducting diodes.</summary>
internal enum SwitchingKind
{
    /// <summary>A diode's current has come to zero.</summary>
    TurnsOff,

    /// <summary>A floating phase meets the top rail.</summary>
    TopTurnsOn,

    /// <summary>A floating phase meets the bottom rail.</summary>
    BottomTurnsOn,

    /// <summary>Two phases of a blocked bridge begin together.</summary>
    PairTurnsOn,

    /// <summary>The rails of a bridge meet.</summary>
    FreewheelStarts,

    /// <summary>The choke's current is that of the phases again.</summary>
    FreewheelEnds,
}

/// <summary>A quantity that stays positive as long as a combination lasts: row·(state, Re e, Im e).</summary>
/// <param name="Kind">What its fall below zero stands for.</param>
/// <param name="Bridge">Which bridge.</param>
/// <param name="Phase">Which phase; of a pair the upper one.</param>
/// <param name="Lower">The lower phase of a pair.</param>
/// <param name="Row">Coefficients.</param>
internal sealed record SwitchingGuard(SwitchingKind Kind, int Bridge, int Phase, int Lower, double[] Row);

/// <summary>
/// A combination of conducting diodes: dx/dθ = A·x + B·e − load/b on the link, and the guards that end it. Kirchhoff's laws: a live phase
/// x of bridge k has Σ_y X_xy·di_y + X_x·di_x + [top: X_c·Σ_top di] − star_k = e_x − ΣR·i − [top: v + R_c·Σ_top i], a conducting bridge Σ
/// di = 0; while it freewheels all its phases are live on one rail and X_c·di_c = −v − R_c·i_c.
/// </summary>
internal sealed class SwitchedMode
{
    /// <summary>More guards than that no bridge has.</summary>
    public const int MostGuards = 8;

    private readonly SwitchedCircuit circuit;
    private readonly double[,] phaseVolts;
    private readonly double[,] railVolts;
    private ModeSolution? solution;

    public SwitchedMode(SwitchedCircuit circuit, Conduction conduction)
    {
        this.circuit = circuit;
        Conduction = conduction;
        var n = circuit.Size;
        Matrix = new double[n, n + 2];
        phaseVolts = new double[circuit.Phases, n + 2];
        railVolts = new double[circuit.Bridges, n + 2];
        Build();
        Equations = new ColumnMatrix(n, n, (r, c) => Matrix[r, c], c => c >= circuit.Phases || IsLive(c));
        Guards = [.. Enumerable.Range(0, circuit.Bridges).SelectMany(GuardsOf)];
        GuardRows = new ColumnMatrix(Guards.Length, n, (r, c) => Guards[r].Row[c], _ => true);
    }

    /// <summary>The combination.</summary>
    public Conduction Conduction { get; }

    /// <summary>A and, in the last two columns, B; the load's current not included.</summary>
    public double[,] Matrix { get; }

    /// <summary>The same for whole states; numbers of blocked phases are zero.</summary>
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

    private void Build()
    {
        var n = circuit.Size;
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
                Matrix[live[r], column] = right[r, column];
            }
        }

        BuildBank();
        BuildLinkAndChokes();
        BuildVolts(live, conducting, right);
    }

    // x·dj/dθ = e − r·j − u and b·du/dθ = j − i, as space vectors.
    private void BuildBank()
    {
        if (circuit.Bank is not { } bank)
        {
            return;
        }

        var (n, first) = (circuit.Size, circuit.FirstOfBank);
        for (var part = 0; part < 2; part++)
        {
            Matrix[first + part, n + part] = 1 / bank.X;
            Matrix[first + part, first + part] = -bank.R / bank.X;
            Matrix[first + part, first + 2 + part] = -1 / bank.X;
            Matrix[first + 2 + part, first + part] = 1 / bank.Susceptance;
            for (var x = 0; x < circuit.Phases; x++)
            {
                var axis = part == 0 ? circuit.Axes[x].Real : circuit.Axes[x].Imaginary;
                Matrix[first + 2 + part, x] = -2.0 / 3 * axis / bank.Susceptance;
            }
        }
    }

    private void BuildLinkAndChokes()
    {
        var n = circuit.Size;
        for (var k = 0; k < circuit.Bridges; k++)
        {
            var (link, susceptance) = (LinkOf(k), circuit.Links[circuit.LinkOf[k]].Susceptance);
            if (Conduction.Freewheels(k))
            {
                Matrix[link, circuit.Choke(k)] += 1 / susceptance;
                Matrix[circuit.Choke(k), link] = -1 / circuit.ChokeX[k];
                Matrix[circuit.Choke(k), circuit.Choke(k)] = -circuit.ChokeR[k] / circuit.ChokeX[k];
                continue;
            }

            railVolts[k, link] = 1;
            foreach (var x in PhasesOf(k).Where(IsTop))
            {
                Matrix[link, x] += 1 / susceptance;
                railVolts[k, x] += circuit.ChokeR[k];
                for (var column = 0; column < n + 2; column++)
                {
                    railVolts[k, column] += circuit.ChokeX[k] * Matrix[x, column];
                    if (circuit.ChokeX[k] > 0)
                    {
                        Matrix[circuit.Choke(k), column] += Matrix[x, column];
                    }
                }
            }
        }
    }

    // What a floating phase carries against the bottom rail, in a blocked bridge against its own star point.
    private void BuildVolts(int[] live, int[] conducting, double[,] right)
    {
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
                    phaseVolts[x, column] -= circuit.CommonX * circuit.Between(x, y) * Matrix[y, column];
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
            for (var some = 1; some < (1 << phases.Length) - 1; some++)
            {
                var row = new double[circuit.Size + 2];
                row[circuit.Choke(bridge)] = 1;
                foreach (var i in Enumerable.Range(0, phases.Length).Where(i => (some & (1 << i)) != 0))
                {
                    row[phases[i]] = -1;
                }

                yield return new SwitchingGuard(SwitchingKind.FreewheelEnds, bridge, 0, 0, row);
            }

            yield break;
        }

        if (!phases.Any(IsLive))
        {
            foreach (var (x, y) in phases.SelectMany(x => phases.Where(y => y != x).Select(y => (x, y))))
            {
                yield return new SwitchingGuard(SwitchingKind.PairTurnsOn, bridge, x, y,
                    Row(c => (c == LinkOf(bridge) ? 1 : 0) - phaseVolts[x, c] + phaseVolts[y, c]));
            }

            yield break;
        }

        if (circuit.ChokeX[bridge] > 0)
        {
            yield return new SwitchingGuard(SwitchingKind.FreewheelStarts, bridge, 0, 0, Row(c => railVolts[bridge, c]));
        }

        foreach (var x in phases)
        {
            if (IsLive(x))
            {
                yield return new SwitchingGuard(SwitchingKind.TurnsOff, bridge, x, 0, Row(c => c == x ? Conduction.Side(x) : 0));
                continue;
            }

            yield return new SwitchingGuard(SwitchingKind.TopTurnsOn, bridge, x, 0, Row(c => railVolts[bridge, c] - phaseVolts[x, c]));
            yield return new SwitchingGuard(SwitchingKind.BottomTurnsOn, bridge, x, 0, Row(c => phaseVolts[x, c]));
        }
    }

    private double[] Row(Func<int, double> at) => [.. Enumerable.Range(0, circuit.Size + 2).Select(at)];
}
