using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// Puts six-pulse front ends that hang close together behind the same impedance into one circuit: what one does to the voltage while the
/// other commutates is sharper than any number of orders tells. In it those alike are one kind, and each takes its share by load.
/// </summary>
internal sealed class FrontClusters
{
    // Buses count as one where so much of the larger impedance is common to both.
    private const double ClosePu = 0.5;

    // Kinds that differ by less in the logarithm of what shapes their current are one.
    private const double Alike = 0.04;
    private const int MostKinds = 6;

    // Beside this reactance, in parts of the load, smaller ones hardly shape a current.
    private const double BesidePu = 0.005;

    private readonly SupplyNetwork network;
    private readonly IReadOnlyList<RunningDrive> running;
    private readonly IReadOnlyList<BalanceFront> fronts;
    private readonly HeldNetworks held;

    public FrontClusters(SupplyNetwork network, IReadOnlyList<RunningDrive> running, IReadOnlyList<BalanceFront> fronts,
        HeldNetworks held) =>
        (this.network, this.running, this.fronts, this.held) = (network, running, fronts, held);

    /// <summary>All front ends, each alone or in a cluster.</summary>
    /// <param name="alone">Those that stay alone whatever they hang close to.</param>
    public IReadOnlyList<BalanceUnit> Units(HashSet<int> alone)
    {
        var units = new List<BalanceUnit>();
        var eligible = Enumerable.Range(0, fronts.Count).Where(i => IsEligible(i) && !alone.Contains(i)).ToList();
        units.AddRange(Enumerable.Range(0, fronts.Count).Except(eligible).Select(i => BalanceUnit.Of(fronts[i], i)));
        foreach (var members in Clusters(eligible))
        {
            units.Add(members.Count == 1 ? BalanceUnit.Of(fronts[members[0]], members[0]) : Cluster(members));
        }

        return units;
    }

    private bool IsEligible(int i) =>
        running[i].ConductsTogether && fronts[i] is { Place: >= 0, Circuit: not null } && running[i].Point.DcLoadW > 0
        && network.TransferPu(running[i].BusId, running[i].BusId).Imaginary > 0;

    // Buses of one hour and voltage that share most of their impedance, each joined to the first that is close.
    private List<List<int>> Clusters(List<int> eligible)
    {
        var clusters = new List<(string BusId, List<int> Members)>();
        foreach (var bus in eligible.GroupBy(i => running[i].BusId).OrderBy(g => Own(g.Key).Magnitude))
        {
            var close = clusters.FirstOrDefault(c =>
                network.ClockHour(c.BusId) == network.ClockHour(bus.Key) && network.VoltageV(c.BusId) == network.VoltageV(bus.Key)
                && network.TransferPu(c.BusId, bus.Key).Magnitude > ClosePu * Math.Max(Own(c.BusId).Magnitude, Own(bus.Key).Magnitude));
            if (close.Members is null)
            {
                clusters.Add((bus.Key, [.. bus]));
            }
            else
            {
                close.Members.AddRange(bus);
            }
        }

        return [.. clusters.Select(c => c.Members)];
    }

    private Complex Own(string busId) => network.TransferPu(busId, busId);

    private BalanceUnit Cluster(List<int> members)
    {
        // The nearest to the source comes first.
        var busId = running[members[0]].BusId;
        var ohm = network.BaseOhm(busId);
        var holds = held.OfBus(running[members[0]]);
        var kinds = Kinds(members);
        var (shared, own) = Between(busId, kinds);
        var inputs = kinds.Select((k, i) => Together(k, own[i] * ohm)).ToList();
        var circuit = FrontCircuit.OfSeveral(
            inputs, (holds.BehindPu + shared) * ohm, holds.BankPu > 0 ? (holds.AheadPu * ohm, holds.BankPu / ohm) : null);
        var load = inputs.Sum(i => i.DcLoadW);
        return new BalanceUnit(
            fronts[members[0]] with { Held = holds, Circuit = circuit },
            [
                .. kinds.SelectMany((kind, k) => kind.Select(i => new UnitMember(
                    i, fronts[i].Place, k, running[i].Point.DcLoadW / inputs[k].DcLoadW, running[i].Point.DcLoadW / load))),
            ]);
    }

    // Impedances from the first bus to the others: what all kinds share, and what is left for each. A board is shared by two kinds as far
    // as both hang there.
    private (Complex Shared, Complex[] Own) Between(string busId, List<List<int>> kinds)
    {
        var first = Own(busId);
        var loads = kinds.ConvertAll(k => k.Sum(i => running[i].Point.DcLoadW));
        var parts = kinds.Select((k, n) => k.GroupBy(i => running[i].BusId)
            .ToDictionary(g => g.Key, g => g.Sum(i => running[i].Point.DcLoadW) / loads[n], StringComparer.Ordinal)).ToList();
        Complex Mutual(int k, int l) => parts[k].Aggregate(Complex.Zero,
            (s, p) => s + ((Own(p.Key) - first) * p.Value * parts[l].GetValueOrDefault(p.Key)));
        var own = kinds.Select((_, k) => Mutual(k, k)).ToArray();
        var (sum, weight) = (Complex.Zero, 0.0);
        for (var k = 0; k < kinds.Count; k++)
        {
            for (var l = 0; l < k; l++)
            {
                sum += loads[k] * loads[l] * Mutual(k, l);
                weight += loads[k] * loads[l];
            }
        }

        var shared = kinds.Count == 1 ? own[0] : sum / weight;
        shared *= shared.Imaginary > 0 ? Math.Min(1, own.Min(o => o.Imaginary) / shared.Imaginary) : 0;
        return (shared, Array.ConvertAll(own, o => o - shared));
    }

    // Without the network: feeder and line side only.
    private RectifierInput Alone(int i) =>
        FrontSolver.CircuitOf(running[i], fronts[i].FrontPlace with { SeenOhm = running[i].FeederOhm })!;

    // Those in one cell of half the distance at once, then two at a time, those most alike first.
    private List<List<int>> Kinds(List<int> members)
    {
        var kinds = members.Select(i => new Kind([i], ShapeOf(i), running[i].Point.DcLoadW))
            .GroupBy(k => string.Join(' ', k.At.Select(x => Math.Round(2 * x / Alike)))).Select(g => g.Aggregate((x, y) => x.With(y)))
            .ToList();
        while (kinds.Count > 1)
        {
            var (a, b, apart) = (0, 1, double.PositiveInfinity);
            for (var i = 0; i < kinds.Count; i++)
            {
                for (var j = i + 1; j < kinds.Count; j++)
                {
                    var distance = kinds[i].From(kinds[j]);
                    (a, b, apart) = distance < apart ? (i, j, distance) : (a, b, apart);
                }
            }

            if (apart > Alike && kinds.Count <= MostKinds)
            {
                break;
            }

            kinds[a] = kinds[a].With(kinds[b]);
            kinds.RemoveAt(b);
        }

        return [.. kinds.Select(k => k.Members)];
    }

    // What shapes its current, in parts of its load: choke, reactance ahead of the bridge, capacitor.
    private double[] ShapeOf(int i)
    {
        var input = Alone(i);
        var omega = 2 * Math.PI * input.FrequencyHz;
        var ohm = input.LineVoltageV * input.LineVoltageV / input.DcLoadW;
        return
        [
            Math.Log(BesidePu + (omega * input.DcChokeH / ohm)),
            Math.Log(BesidePu + (omega * input.SourceInductanceH / ohm)),
            Math.Log(BesidePu + (input.SourceResistanceOhm / ohm)),
            0.3 * Math.Log(omega * input.DcCapacitanceF * ohm),
        ];
    }

    // One front end that draws what all of a kind draw, each its share by load.
    private RectifierInput Together(List<int> kind, Complex boardsOhm)
    {
        var inputs = kind.ConvertAll(Alone);
        var load = inputs.Sum(i => i.DcLoadW);
        double Parallel(Func<RectifierInput, double> of) => inputs.Sum(i => of(i) * i.DcLoadW * i.DcLoadW) / (load * load);
        return inputs[0] with
        {
            DcLoadW = load,
            SourceResistanceOhm = Math.Max(0, boardsOhm.Real) + Parallel(i => i.SourceResistanceOhm),
            SourceInductanceH = (boardsOhm.Imaginary / (2 * Math.PI * inputs[0].FrequencyHz)) + Parallel(i => i.SourceInductanceH),
            DcChokeH = Parallel(i => i.DcChokeH),
            DcChokeResistanceOhm = Parallel(i => i.DcChokeResistanceOhm),
            DcCapacitanceF = inputs.Sum(i => i.DcCapacitanceF),
        };
    }

    private sealed record Kind(List<int> Members, double[] At, double LoadW)
    {
        public double From(Kind other)
        {
            double most = 0;
            for (var k = 0; k < At.Length; k++)
            {
                most = Math.Max(most, Math.Abs(At[k] - other.At[k]));
            }

            return most;
        }

        public Kind With(Kind other)
        {
            var part = LoadW / (LoadW + other.LoadW);
            return new Kind([.. Members, .. other.Members], [.. At.Zip(other.At, (x, y) => (part * x) + ((1 - part) * y))],
                LoadW + other.LoadW);
        }
    }
}
