using System.Numerics;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Supply.Balance;

/// <summary>
/// Finds the line currents of a scenario together with the voltages that they leave, on all orders: sets up the <see cref="HarmonicBalance"/>, begins where
/// the last run ended or at the voltages of a load flow, and says what does not settle. See <c>docs/methods/plant-harmonics.md</c>.
/// </summary>
internal sealed class BalancedFronts
{
    // Displacement of diode front ends lies between 0.93 and 0.99; it only enters the first guess.
    private const double DisplacementOfOthers = 0.96;

    private const double BeyondOrder = 200;

    // A circuit without any inductance is none; so little changes nothing that the orders solved can tell.
    private const double LeastHeldPu = 0.001;

    private readonly SupplyNetwork network;
    private readonly IReadOnlyList<RunningDrive> running;
    private readonly FrontSettings settings;
    private readonly OrderNetworks orders;
    private readonly BalanceFront[] fronts;
    private readonly OrderNetworks? unbalance;

    private BalancedFronts(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<RunningDrive> running, Complex[] shunts, HarmonicLoads loads, FrontSettings settings)
    {
        (this.network, this.running, this.settings) = (network, running, settings);
        IReadOnlyList<int> solved = UnbalancePct(plant) > settings.LittleUnbalancePct ? SpaceVector.All : SpaceVector.Sixfold;
        var nodes = running.Select(r => network.NodeOf(r.BusId))
            .Concat(FilterInjection.InService(plant.Distribution.ActiveFilters, network).Select(f => network.NodeOf(f.BusId)))
            .Where(n => n != SupplyNetwork.Reference).Distinct().Order().ToList();
        orders = new OrderNetworks(plant, scenario, network, shunts, loads, nodes, solved);
        var held = new HeldNetworks(plant, scenario, network, loads, running).Of();
        fronts = [.. running.Select((r, i) => FrontOf(r, held[i]))];
        if (solved.Count < SpaceVector.Count && UnbalancePct(plant) > 0)
        {
            unbalance = new OrderNetworks(plant, scenario, network, shunts, loads, nodes, [-1]);
        }

        Filters = FilterInjection.Of(plant.Distribution.ActiveFilters, network, orders);
    }

    private IReadOnlyList<FilterInjection> Filters { get; }

    private static double UnbalancePct(PlantSpecification plant) => plant.Source.UnbalancePct.IsKnown ? plant.Source.UnbalancePct.Value : 0;

    /// <summary>Solves them; no drives when the network can't carry the load.</summary>
    public static (IReadOnlyList<DriveInScenario>? Drives, FrontIteration Iteration) Solve(
        PlantSpecification plant, Scenario scenario, SupplyNetwork network, IReadOnlyList<RunningDrive> running, Complex[] shunts, HarmonicLoads loads, FrontSettings settings)
    {
        if (running.Count == 0)
        {
            return ([], FrontIteration.None);
        }

        var search = new BalancedFronts(plant, scenario, network, running, shunts, loads, settings);
        if (search.LoadFlowVoltages(shunts) is not { } voltages)
        {
            return (null, FrontIteration.None);
        }

        var balance = new HarmonicBalance(search.orders, search.fronts, search.Filters);
        var start = search.Start(voltages);
        var found = settings.Before.Count > 0 ? balance.Run(search.AsBefore(start), search.OrbitsBefore()) : null;
        if (found is not { IsSettled: true })
        {
            found = balance.Run(start, new OrbitResult.Settled?[running.Count]);
        }

        return (search.Drives(found), search.Iteration(found));
    }

    private FrontIteration Iteration(BalanceResult found) => FrontIteration.OfBalance(
        found.Rounds, found.ResidualPu, Math.Abs(found.ResidualOrder), found.Worst < 0 ? string.Empty : running[found.Worst].Id);

    private DriveInScenario[] Drives(BalanceResult found)
    {
        var drives = new DriveInScenario[running.Count];
        Parallel.For(0, drives.Length, i =>
        {
            var (drive, answer, emf) = (running[i], found.Answers[i], found.Emfs[i]);
            if (unbalance is not null && fronts[i].Circuit is not null && answer.Orbit is not null)
            {
                // A little unbalance is the source's, as it arrives.
                var uneven = emf.Copy();
                uneven[-1] = fronts[i].Held.GainAt(-1) * (fronts[i].Place < 0 ? unbalance.Emf(-1) : unbalance.Open(0, fronts[i].Place));
                answer = fronts[i].Answer(uneven, answer.Orbit, PeriodicOrbit.Finest);
            }

            drives[i] = new DriveInScenario(
                drive.Id, drive.Point, answer.Front, fronts[i].Circuit?.Input, network.VoltageV(drive.BusId) * emf[1].Magnitude, drive.BusId, (Complex.ImaginaryOne * emf[1]).Phase)
            {
                Emf = emf, OwnEmf = answer.Emf, Orbit = found.Answers[i].Orbit, Item = drive.Item,
            };
        });
        return drives;
    }

    private BalanceFront FrontOf(RunningDrive drive, HeldNetwork held)
    {
        var (volts, ohm) = (network.VoltageV(drive.BusId), network.BaseOhm(drive.BusId));
        var place = new FrontPlace(volts, (held.BehindPu * ohm) + drive.FeederOhm, network.FrequencyHz, 0, default, settings.LeakageMismatchPu);
        var circuit = FrontSolver.Unbounded(drive, place) is null ? FrontSolver.CircuitOf(drive, place) : null;
        return new BalanceFront(
            drive,
            orders.PlaceOf(network.NodeOf(drive.BusId)),
            held,
            -network.ClockHour(drive.BusId) * Math.PI / 6,
            network.BaseA(drive.BusId),
            volts,
            circuit is null ? null : FrontCircuit.Of(circuit, 0, held.BankPu > 0 ? (held.AheadPu * ohm, held.BankPu / ohm) : null),
            place);
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
        var start = new SpaceVector[running.Count];
        for (var i = 0; i < start.Length; i++)
        {
            var (node, place) = (network.NodeOf(running[i].BusId), fronts[i].Place);
            var emf = new SpaceVector();
            for (var k = 0; k < orders.Orders.Count; k++)
            {
                emf[orders.Orders[k]] = fronts[i].Held.GainAt(orders.Orders[k]) * (place < 0 ? orders.Emf(orders.Orders[k]) : orders.Open(k, place));
            }

            if (place >= 0)
            {
                var current = Complex.Conjugate(PowerOf(running[i]) / SupplyNetwork.BaseVa / voltages[node]);
                emf[1] = -Complex.ImaginaryOne * ((fronts[i].Held.GainAt(1) * voltages[node]) + (fronts[i].Held.SeenAt(1) * current));
            }

            start[i] = emf;
        }

        return start;
    }

    private SpaceVector[] AsBefore(SpaceVector[] start) =>
    [
        .. start.Select((s, i) => settings.Before.TryGetValue(running[i].Id, out var before) && before.BusId == running[i].BusId && !before.Emf.IsEmpty ? Kept(before.Emf) : s),
    ];

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

    private OrbitResult.Settled?[] OrbitsBefore() => [.. running.Select(r => settings.Before.GetValueOrDefault(r.Id)?.Orbit)];

    private static Complex PowerOf(RunningDrive drive) => drive.Item.FrontEnd is FrontEnd.Diode or FrontEnd.SinglePhase
        ? new Complex(1, Math.Tan(Math.Acos(DisplacementOfOthers))) * drive.Point.DcLoadW
        : new Complex(drive.Point.LineW, Alternatives.MeanPower.At(drive.Point, drive.Item).LineVar);
}
