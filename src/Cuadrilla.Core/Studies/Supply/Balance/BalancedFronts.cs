using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// Finds the line currents of a scenario together with the voltages that they leave, on all orders: sets up the
/// <see cref="HarmonicBalance"/>, begins where the last run ended or at the voltages of a load flow, and says what does not settle. See
/// <c>docs/methods/plant-harmonics.md</c>.
/// </summary>
internal sealed partial class BalancedFronts
{
    // Displacement of diode front ends lies between 0.93 and 0.99; it only enters the first guess.
    private const double DisplacementOfOthers = 0.96;

    // Of what is told, not fed back.
    private const double ToldPrecision = 1e-6;

    private readonly SupplyNetwork network;
    private readonly IReadOnlyList<RunningDrive> running;
    private readonly FrontSettings settings;
    private readonly OrderNetworks orders;
    private readonly BalanceFront[] fronts;
    private readonly FrontClusters clusters;
    private IReadOnlyList<BalanceUnit> units;
    private readonly OrderNetworks? unbalance;

    private BalancedFronts(
        PlantSpecification plant, LoadedNetwork loaded, IReadOnlyList<RunningDrive> running, FrontSettings settings)
    {
        (network, this.running, this.settings) = (loaded.Network, running, settings);
        IReadOnlyList<int> solved = UnbalancePct(plant) > settings.LittleUnbalancePct ? SpaceVector.All : SpaceVector.Sixfold;
        var nodes = running.Select(r => network.NodeOf(r.BusId))
            .Concat(FilterInjection.InService(plant.Distribution.ActiveFilters, network).Select(f => network.NodeOf(f.BusId)))
            .Where(n => n != SupplyNetwork.Reference).Distinct().Order().ToList();
        orders = loaded.Seen(nodes, solved);
        var held = new HeldNetworks(loaded, running);
        var parts = held.Of();
        fronts = [.. running.Select((r, i) => FrontOf(r, parts[i]))];
        clusters = new FrontClusters(network, running, fronts, held);
        units = clusters.Units([]);
        if (solved.Count < SpaceVector.Count && UnbalancePct(plant) > 0)
        {
            unbalance = loaded.Seen(nodes, [-1]);
        }

        Filters = FilterInjection.Of(plant.Distribution.ActiveFilters, network, orders);
    }

    private IReadOnlyList<FilterInjection> Filters { get; }

    private static double UnbalancePct(PlantSpecification plant) => plant.Source.UnbalancePct.IsKnown ? plant.Source.UnbalancePct.Value : 0;

    /// <summary>Solves them; no drives when the network can't carry the load.</summary>
    public static (IReadOnlyList<DriveInScenario>? Drives, FrontIteration Iteration) Solve(
        PlantSpecification plant, LoadedNetwork loaded, IReadOnlyList<RunningDrive> running, FrontSettings settings)
    {
        if (running.Count == 0)
        {
            return ([], FrontIteration.None);
        }

        var search = new BalancedFronts(plant, loaded, running, settings);
        if (search.LoadFlowVoltages(loaded.FundamentalShunts) is not { } voltages)
        {
            return (null, FrontIteration.None);
        }

        var found = search.FoundApart(voltages, search.Found(voltages));
        var isLikely = found.IsSettled && SecondStates.AreLikely(search.orders, search.FundamentalPu(found));
        var looks = isLikely && settings.SeeksSecond;
        string[] ids = [.. search.units.Select(u => search.running[u.Members[0].Front].Id)];
        var look = looks ? search.LookBefore(ids, found) : null;
        var second = looks && look is null ? SecondStates.Of(found, search.Elsewhere(found), u => ids[u]) : null;
        look ??= looks && second is null ? new SecondLook(search.orders, ids, found.Emfs) : null;
        return (search.Drives(found, look), search.Iteration(found) with
        {
            IsLookedForTwice = looks,
            IsSearchOwed = isLikely && !looks,
            Second = second,
        });
    }

    // One that was made nearby and found nothing.
    private SecondLook? LookBefore(string[] ids, BalanceResult found) =>
        settings.Before.TryGetValue(ids[0], out var before) && before.Search?.Look is { } look && look.Holds(orders, ids, found.Emfs)
            ? look
            : null;

    private double[] FundamentalPu(BalanceResult found)
    {
        var drawn = new double[orders.Nodes.Count];
        foreach (var (unit, answer) in units.Zip(found.Answers))
        {
            foreach (var (place, part) in unit.Draws)
            {
                drawn[place] += part * answer.Current[1].Magnitude;
            }
        }

        return drawn;
    }

    // The harmonics with the other sign are as far from where it settled as anything likely.
    private BalanceResult Elsewhere(BalanceResult found)
    {
        var start = SecondStates.Mirrored(found.Emfs);
        var near = units.Select((unit, u) =>
            new FrontSearch(found.Emfs[u], unit.Front.Circuit?.Circuit, found.Answers[u],
                new UnevenAnswer(found.Emfs[u], found.Answers[u], found.Answers[u]), found.Slopes?[u])).ToArray();
        return new HarmonicBalance(orders, units, Filters, settings.Stop).Run(start, near, emfs => SecondStates.AreNear(emfs, found.Emfs));
    }

    private BalanceResult Found(Complex[] voltages)
    {
        var balance = new HarmonicBalance(orders, units, Filters, settings.Stop);
        var start = Start(voltages);
        var before = units.Select((_, u) => Before(u)).ToArray();
        var found = before.Any(b => b is not null)
            ? balance.Run([.. start.Select((s, u) => before[u] is { } b ? Kept(b.Emf) : s)], before) : null;
        return found is { IsSettled: true } ? found : balance.Run(start, new FrontSearch?[start.Length]);
    }

    private FrontIteration Iteration(BalanceResult found) => new(
        found.Rounds, found.ResidualPu, Math.Abs(found.ResidualOrder), found.Worst < 0
            ? string.Empty
            : running[units[found.Worst].Members[0].Front].Id);

    private DriveInScenario[] Drives(BalanceResult found, SecondLook? look)
    {
        var drives = new DriveInScenario[running.Count];
        Cores.For(units.Count, u =>
        {
            var (unit, emf, answer) = (units[u], found.Emfs[u], found.Answers[u]);
            var before = Before(u);
            var kinds = KindsOf(unit);
            var (told, kept) = Told(unit.Front, emf, answer, before);
            RectifierResult.SteadyState[] ofKinds = unit.Members.Count == 1
                ? []
                : [.. told.Spectra.Select((s, k) => unit.Front.Circuit!.Result(told.Orbit!, told.Emf, s, k))];
            foreach (var member in unit.Members)
            {
                drives[member.Front] = Drive(unit, member, told, ofKinds, emf, found.Volts) with
                {
                    Search = new FrontSearch(emf, unit.Front.Circuit?.Circuit, answer, kept, found.Slopes?[u] ?? before?.Slope)
                    {
                        Look = look,
                        Kinds = kinds,
                    },
                };
            }
        });
        return drives;
    }

    // What is told of a circuit, and what the next search begins with.
    private (FrontAnswer Told, UnevenAnswer Kept) Told(BalanceFront front, SpaceVector emf, FrontAnswer even, FrontSearch? before)
    {
        if (unbalance is null || (even.Orbit is null && front.Thyristor is null))
        {
            return (even, new UnevenAnswer(emf, even, even));
        }

        var uneven = Uneven(front, emf);
        if (before is not null && ReferenceEquals(before.Circuit, front.Circuit?.Circuit)
            && before.Uneven.At(front, uneven, even) is { } near)
        {
            return (near, before.Uneven);
        }

        var answer = front.Answer(uneven, even.Orbit is null ? null : NearUneven(before?.Uneven, even.Orbit), ToldPrecision);
        return (answer, new UnevenAnswer(uneven, even, answer));
    }

    private static OrbitResult.Settled NearUneven(UnevenAnswer? before, OrbitResult.Settled even) => before switch
    {
        { Answer.Orbit: { IsSixfold: false } uneven, Even.Orbit: { } old } => uneven.Beside(old, even),
        _ => even,
    };

    // A little unbalance is the source's, as it arrives.
    private SpaceVector Uneven(BalanceFront front, SpaceVector emf)
    {
        var uneven = emf.Copy();
        uneven[-1] = front.Held.GainAt(-1) * (front.Place < 0 ? unbalance!.Emf(-1) : unbalance!.Open(0, front.Place));
        return uneven;
    }

    private DriveInScenario Drive(BalanceUnit unit, UnitMember member, FrontAnswer answer,
        RectifierResult.SteadyState[] ofKinds, SpaceVector emf, SpaceVector[] volts)
    {
        var (drive, own, isOne) = (running[member.Front], fronts[member.Front], unit.Members.Count == 1);
        var result = isOne || answer.Orbit is null ? answer.Front : ofKinds[member.Kind].Part(member.Share);
        return new DriveInScenario(
            drive.Id, drive.Point, result, own.Circuit?.Input, network.VoltageV(drive.BusId) * emf[1].Magnitude, drive.BusId,
            (Complex.ImaginaryOne * emf[1]).Phase)
        {
            OwnEmf = isOne || answer.Orbit is null
                ? answer.Emf
                : EmfAlone(own, answer.Parts[member.Kind], member.Share, volts[member.Place]),
            Item = drive.Item,
            FeederOhm = drive.FeederOhm,
        };
    }

    // What it would see if its circuit were solved by itself.
    private SpaceVector EmfAlone(BalanceFront front, SpaceVector current, double share, SpaceVector volts)
    {
        var emf = new SpaceVector();
        foreach (var m in orders.Orders)
        {
            emf[m] = (front.Held.GainAt(m) * volts[m]) + (front.Held.SeenAt(m) * current[m] * share);
        }

        var (turn, ahead) = front.FrameOf(emf);
        return emf.Turned(turn, ahead);
    }

    private BalanceFront FrontOf(RunningDrive drive, HeldNetwork held)
    {
        var (volts, ohm) = (network.VoltageV(drive.BusId), network.BaseOhm(drive.BusId));
        var place = new FrontPlace(volts, (held.BehindPu * ohm) + drive.FeederOhm, network.FrequencyHz, 0, default,
            settings.LeakageMismatchPu);
        var circuit = FrontSolver.Unbounded(drive, place) is null ? FrontSolver.CircuitOf(drive, place) : null;
        return new BalanceFront(
            drive,
            orders.PlaceOf(network.NodeOf(drive.BusId)),
            held,
            -network.ClockHour(drive.BusId) * Math.PI / 6,
            network.BaseA(drive.BusId),
            volts,
            circuit is null ? null : FrontCircuit.Of(circuit, 0, held.BankPu > 0 ? (held.AheadPu * ohm, held.BankPu / ohm) : null),
            place)
        {
            Thyristor = drive.Item.FrontEnd is FrontEnd.Thyristor && FrontSolver.ThyristorOf(drive, place) is var (input, besideW, follows)
                ? new ThyristorFront(input, besideW, follows)
                : null,
        };
    }

    // Voltages of the fundamental with all drives as constant powers.
    private Complex[]? LoadFlowVoltages(Complex[] shunts)
    {
        var powers = new Complex[network.NodeCount];
        foreach (var drive in running.Where(r => network.NodeOf(r.BusId) != SupplyNetwork.Reference))
        {
            powers[network.NodeOf(drive.BusId)] += PowerOf(drive) / SupplyNetwork.BaseVa;
        }

        return LoadFlow.Run(network, shunts, powers);
    }

    // EMFs behind what the circuits hold: with the line's own distortion, without the drives'.
    private SpaceVector[] Start(Complex[] voltages)
    {
        var start = new SpaceVector[units.Count];
        for (var u = 0; u < start.Length; u++)
        {
            var (front, place) = (units[u].Front, units[u].Front.Place);
            var emf = new SpaceVector();
            for (var k = 0; k < orders.Orders.Count; k++)
            {
                emf[orders.Orders[k]] = front.Held.GainAt(orders.Orders[k]) * (place < 0
                    ? orders.Emf(orders.Orders[k])
                    : orders.Open(k, place));
            }

            if (place >= 0)
            {
                var at = voltages[orders.Nodes[place]];
                var current = units[u].Members.Aggregate(Complex.Zero,
                    (s, m) => s + Complex.Conjugate(PowerOf(running[m.Front]) / SupplyNetwork.BaseVa / at));
                emf[1] = -Complex.ImaginaryOne * ((front.Held.GainAt(1) * at) + (front.Held.SeenAt(1) * current));
            }

            start[u] = emf;
        }

        return start;
    }

    private FrontSearch? Before(int unit)
    {
        var member = running[units[unit].Members[0].Front];
        if (!settings.Before.TryGetValue(member.Id, out var before) || before.BusId != member.BusId)
        {
            return null;
        }

        // The same circuit again is the one that was solved then, even where that has been forgotten since.
        if (before.Search?.Circuit is { } circuit && units[unit].Front.Circuit is { } own)
        {
            own.SameAs(circuit);
        }

        return units[unit].Front.Circuit is { } now ? before.Search?.As(now.Circuit, KindsOf(units[unit])) : before.Search;
    }

    private Dictionary<string, double>[] KindsOf(BalanceUnit unit) =>
        [.. unit.Members.GroupBy(m => m.Kind).OrderBy(g => g.Key).Select(g => g.ToDictionary(m => running[m.Front].Id, m => m.PartOfAll))];

    // Orders that this network does not know stay out.
    private SpaceVector Kept(SpaceVector before)
    {
        var kept = new SpaceVector();
        foreach (var m in orders.Orders)
        {
            kept[m] = before[m];
        }

        return kept;
    }

    private static Complex PowerOf(RunningDrive drive) => drive.Item.FrontEnd is FrontEnd.Diode or FrontEnd.SinglePhase
        ? new Complex(1, Math.Tan(Math.Acos(DisplacementOfOthers))) * drive.Point.DcLoadW
        : new Complex(drive.Point.LineW, MeanPower.At(drive.Point, drive.Item).LineVar);
}
