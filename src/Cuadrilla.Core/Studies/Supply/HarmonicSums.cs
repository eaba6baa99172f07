using System.Numerics;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// The currents of all drives as phasors on the network, order by order: what flows at the PCC and through each transformer,
/// what it does to the voltage of each bus.
/// </summary>
internal sealed class HarmonicSums
{
    private const double Hour = Math.PI / 6;

    private static readonly IReadOnlyList<int> HigherOrders = [.. Enumerable.Range(2, LineCurrent.HighestOrder - 1)];

    private readonly PlantSpecification plant;
    private readonly LoadedNetwork loaded;
    private readonly SupplyNetwork network;
    private readonly IReadOnlyList<DriveInScenario> drives;

    // Of single front ends the filter gives in the proportion in which it gives of all together; null: as its own current lets it.
    private readonly IReadOnlyDictionary<string, double>? filterParts;
    private readonly IReadOnlyList<(string BusId, bool ToNeutral, Complex Va)> throughTwo;
    private readonly Complex[] fundamental;
    private readonly HarmonicNetwork?[] orders = new HarmonicNetwork?[LineCurrent.HighestOrder];
    private readonly Sequences[][] drawn = new Sequences[LineCurrent.HighestOrder][];
    private readonly Sequences[] drawnAtReference = new Sequences[LineCurrent.HighestOrder];

    public HarmonicSums(
        PlantSpecification plant,
        LoadedNetwork loaded,
        IReadOnlyList<DriveInScenario> drives,
        bool forcePhases = false,
        IReadOnlyList<int>? only = null,
        IReadOnlyDictionary<string, double>? filterParts = null)
    {
        this.filterParts = filterParts;
        this.plant = plant;
        this.loaded = loaded;
        network = loaded.Network;
        this.drives = drives;
        throughTwo = OnePhaseDraws.Of(plant, loaded.Loads.OnLine, network);
        IsBalanced = !forcePhases && throughTwo.Count == 0
            && drives.All(d => d.Front is not RectifierResult.LineDraw { IsBalanced: false });
        fundamental = Fundamental();
        var filters = ActiveFilterCurrents();
        foreach (var h in only ?? HigherOrders)
        {
            if (filters.Count == 0)
            {
                Draw(h);
            }

            if (drawn[h - 1].Any(d => d != default))
            {
                orders[h - 1] = new HarmonicNetwork(network, h, loaded.At(h).Factors, drawn[h - 1]);
            }
        }
    }

    /// <summary>What each central active filter in service gives and would have to give, A, by key.</summary>
    public IReadOnlyDictionary<string, (double GivenA, double AskedA)> FilterCurrents => filterCurrents;

    private readonly Dictionary<string, (double GivenA, double AskedA)> filterCurrents = new(StringComparer.Ordinal);

    // All orders are drawn first, since the current of a filter is shared out among them.
    private List<ActiveFilter> ActiveFilterCurrents()
    {
        List<ActiveFilter> filters =
        [
            .. plant.Distribution.ActiveFilters.Where(f => network.IsLive(f.BusId) && network.NodeOf(f.BusId) != SupplyNetwork.Reference),
        ];
        for (var h = 2; h <= LineCurrent.HighestOrder && filters.Count > 0; h++)
        {
            Draw(h);
        }

        foreach (var filter in filters)
        {
            var node = network.NodeOf(filter.BusId);
            var behind = network.NodesBehind(node);
            var asked = new Sequences[ActiveFilter.HighestOrder + 1];
            var square = 0.0;
            for (var h = 2; h < asked.Length; h++)
            {
                asked[h] = behind.Aggregate(default(Sequences), (sum, n) => sum + drawn[h - 1][n]) * ActiveFilter.RemovedPu;
                square += Math.Pow(Enumerable.Range(0, 3).Max(p => asked[h].Phase(p).Magnitude), 2);
            }

            var askedA = Math.Sqrt(square) * network.BaseA(filter.BusId);
            var part = filterParts?.GetValueOrDefault(filter.Id, 1) ?? (askedA > filter.RatedCurrentA ? filter.RatedCurrentA / askedA : 1);
            filterCurrents[filter.Id] = (part * askedA, askedA);
            for (var h = 2; h < asked.Length; h++)
            {
                drawn[h - 1][node] += asked[h] * -part;
            }
        }

        return filters;
    }

    /// <summary>True when one phase stands for all.</summary>
    public bool IsBalanced { get; }

    private int Phases => IsBalanced ? 1 : 3;

    /// <summary>Current into a bus, of all that hangs on it and behind it, and its voltage, by phase; empty when it is dead.</summary>
    public PccStudy.Result[] AtCoupling(string busId)
    {
        if (!network.IsLive(busId))
        {
            return [];
        }

        var current = new SequenceSpectrum([.. Enumerable.Range(1, LineCurrent.HighestOrder).Select(h => TakenAt(busId, h))]);
        return [.. Enumerable.Range(0, Phases).Select(k =>
            PccStudy.Of(current.Phase(k, Shift(busId), network.BaseA(busId)), VoltagePct(busId, k)))];
    }

    /// <summary>Currents of a transformer or cable at the voltage of a side, by phase; empty when it is out.</summary>
    public PhaseSpectrum[] Through(string elementId, string busId)
    {
        if (network.Branches.FirstOrDefault(b => b.ElementId == elementId) is not { } branch)
        {
            return [];
        }

        var spectrum = new SequenceSpectrum(
        [
            .. Enumerable.Range(1, LineCurrent.HighestOrder).Select(h => h == 1
                ? new Sequences((FundamentalAt(branch.From) - FundamentalAt(branch.To)) / branch.ImpedancePu, Complex.Zero)
                    + NegativeFundamental(branch)
                : orders[h - 1]?.Current(branch) ?? default),
        ]);
        return [.. Enumerable.Range(0, Phases).Select(k => new PhaseSpectrum(spectrum.Phase(k, Shift(busId), network.BaseA(busId))))];
    }

    /// <summary>Voltage of every order at a bus in phase A, % of nominal, as phasors.</summary>
    public Complex[] VoltagePhasorsPct(string busId)
    {
        var shift = Shift(busId);
        var node = network.NodeOf(busId);
        return
        [
            100 * new Sequences(FundamentalAt(node), Complex.Zero).ToBus(shift).Phase(0),
            .. Enumerable.Range(2, LineCurrent.HighestOrder - 1)
            .Select(h => 100 * (orders[h - 1]?.Voltage(node).ToBus(shift).Phase(0) ?? Complex.Zero)),
        ];
    }

    /// <summary>Fundamental voltage of a node in the frame of the source, per unit.</summary>
    public Complex FundamentalOf(int node) => FundamentalAt(node);

    /// <summary>Voltage of an order that was solved at a node in the frame of the source, per unit: the plant's own share.</summary>
    public Sequences VoltageOf(int node, int order) => orders[order - 1]?.Voltage(node) ?? default;

    /// <summary>Fundamental voltage of a live bus, parts of nominal.</summary>
    public double VoltagePu(string busId) => FundamentalAt(network.NodeOf(busId)).Magnitude;

    /// <summary>Voltage of each order at a live bus in one phase, % of nominal; order 1 stands as 100.</summary>
    public double[] VoltagePct(string busId, int phase)
    {
        var shift = Shift(busId);
        var node = network.NodeOf(busId);
        return
        [
            100,
            .. Enumerable.Range(2, LineCurrent.HighestOrder - 1)
            .Select(h => 100 * (orders[h - 1]?.Voltage(node).ToBus(shift).Phase(phase).Magnitude ?? 0)),
        ];
    }

    /// <summary>
    /// Voltage of every order at a bus, % of nominal, of the worst phase, the line's own distortion with it: as phasors where its angle is
    /// stated, else as if both met in phase.
    /// </summary>
    public double[] WithBackgroundPct(string busId)
    {
        var (shift, node) = (Shift(busId), network.NodeOf(busId));
        var worst = Enumerable.Range(0, Phases).Select(k => VoltagePct(busId, k)).ToList();
        double[] sum = [.. Enumerable.Range(0, LineCurrent.HighestOrder).Select(h => worst.Max(w => w[h]))];
        foreach (var order in plant.Source.BackgroundOrders())
        {
            var line = Sequences.OfBalanced(plant.Source.BackgroundPu(order) * (node == SupplyNetwork.Reference
                ? 1
                : loaded.GainOfSource(order)[node]), order);
            var own = VoltageOf(node, order);
            sum[order - 1] = plant.Source.KnowsAngleOf(order)
                ? 100 * Enumerable.Range(0, 3).Max(k => (own + line).ToBus(shift).Phase(k).Magnitude)
                : sum[order - 1] + (100 * (line.Positive + line.Negative).Magnitude);
        }

        return sum;
    }

    /// <summary>Total harmonic distortion of the voltage at a live bus, worst phase, %.</summary>
    public double ThdvPct(string busId) =>
        Enumerable.Range(0, Phases).Max(k => Math.Sqrt(VoltagePct(busId, k).Skip(1).Sum(v => v * v)));

    // What the installation behind a bus takes: by the branches that leave it away from the source, and on the bus itself.
    private Sequences TakenAt(string busId, int order)
    {
        var node = network.NodeOf(busId);
        var direct = node == SupplyNetwork.Reference ? drawnAtReference[order - 1] : drawn[order - 1][node];
        if (order == 1)
        {
            var leaving = network.Downstream(node).Aggregate(Complex.Zero, (sum, b) =>
                sum + (b.Sign * (FundamentalAt(b.Branch.From) - FundamentalAt(b.Branch.To)) / b.Branch.ImpedancePu));
            var negative = network.Downstream(node).Aggregate(default(Sequences),
                (sum, b) => sum + (NegativeFundamental(b.Branch) * b.Sign));
            var own = node == SupplyNetwork.Reference ? ReferenceLoad(busId) : loaded.FundamentalShunts[node] * fundamental[node];
            var standing = IsBalanced || node == SupplyNetwork.Reference ? Complex.Zero : loaded.At(1).Shunts[node] * NegativeAt(node);
            return new Sequences(leaving + own, standing) + negative + direct;
        }

        if (orders[order - 1] is not { } solved)
        {
            return direct;
        }

        var shunt = node == SupplyNetwork.Reference ? Complex.Zero : loaded.At(order).Shunts[node];
        var voltage = solved.Voltage(node);
        return solved.Leaving(node) + direct + new Sequences(voltage.Positive * shunt, voltage.Negative * shunt);
    }

    // On an infinite bus loads draw their nominal current.
    private Complex ReferenceLoad(string busId) => plant.Distribution.Loads
        .Where(l => network.IsLive(l.BusId) && network.NodeOf(l.BusId) == network.NodeOf(busId))
        .Aggregate(Complex.Zero, (sum, l) =>
            sum + (Complex.Conjugate(l.PowerVa()) * loaded.Scenario.LoadLevelPuOf(l.Id) / SupplyNetwork.BaseVa));

    // Under unbalance the front ends draw a negative sequence of the fundamental too, and the source drives one through all loads.
    private Sequences NegativeFundamental(NetworkBranch branch) => IsBalanced
        ? default
        : new Sequences(Complex.Zero, (NegativeAt(branch.From) - NegativeAt(branch.To)) / branch.ImpedancePu);

    private Complex NegativeAt(int node)
    {
        var source = plant.Source.UnbalancePct.IsKnown ? plant.Source.UnbalancePct.Value / 100 : 0;
        if (node == SupplyNetwork.Reference)
        {
            return source;
        }

        negativeFundamental ??= loaded.At(1).Factors.Solve([.. network.SourceCurrentsPu()
            .Select((s, i) => (s * source) - drawn[0][i].Negative)]);
        return negativeFundamental[node];
    }

    private Complex[]? negativeFundamental;

    private Complex[] Fundamental()
    {
        Draw(1);
        return loaded.Fundamental.Factors.Solve([.. network.SourceCurrentsPu().Select((s, i) => s - drawn[0][i].Positive)]);
    }

    private Complex FundamentalAt(int node) => node == SupplyNetwork.Reference ? Complex.One : fundamental[node];

    private double Shift(string busId) => -network.ClockHour(busId) * Hour;

    private void Draw(int order)
    {
        var sums = new Sequences[network.NodeCount];
        foreach (var drive in drives)
        {
            if (drive.Front is not RectifierResult.LineDraw draw)
            {
                continue;
            }

            var turned = InFrameOfSource(drive, draw, order, network);
            var node = network.NodeOf(drive.BusId);
            if (node == SupplyNetwork.Reference)
            {
                drawnAtReference[order - 1] += turned;
            }
            else
            {
                sums[node] += turned;
            }
        }

        foreach (var (busId, toNeutral, va) in order == 1 ? throughTwo : [])
        {
            var negative = OnePhaseDraws.Negative(busId, toNeutral, va, network);
            if (network.NodeOf(busId) is var node && node == SupplyNetwork.Reference)
            {
                drawnAtReference[0] += negative;
            }
            else
            {
                sums[node] += negative;
            }
        }

        drawn[order - 1] = sums;
    }

    /// <summary>Current of a drive in the frame of the source, per unit.</summary>
    internal static Sequences InFrameOfSource(DriveInScenario drive, RectifierResult.LineDraw draw, int order, SupplyNetwork network)
    {
        var shift = -network.ClockHour(drive.BusId) * Hour;
        return SequencesOf(draw, order, drive.IsToNeutral)
            .ToSource(order, drive.EmfAngleRad + shift, shift) * (1 / network.BaseA(drive.BusId));
    }

    // A current between two conductors is solved in the time of their own voltage. Between phases A and B that is 30° ahead of
    // phase A; between A and the neutral it is phase A's, and what is left of the zero sequence stays in the neutral.
    internal static Sequences SequencesOf(RectifierResult.LineDraw draw, int order, bool isToNeutral)
    {
        if (draw.Phases.Count == 3)
        {
            return draw.IsBalanced
                ? Sequences.OfBalanced(draw.Phases[0].Orders[order - 1], order)
                : Sequences.Of(draw.Phases[0].Orders[order - 1], draw.Phases[1].Orders[order - 1], draw.Phases[2].Orders[order - 1]);
        }

        var current = draw.Phases[0].Orders[order - 1];
        if (isToNeutral)
        {
            return Sequences.Of(current, Complex.Zero, Complex.Zero);
        }

        var ahead = current * Complex.FromPolarCoordinates(1, order * Math.PI / 6);
        return Sequences.Of(ahead, -ahead, Complex.Zero);
    }
}
