using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply.Balance;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Runs one scenario: operating points, voltages, front ends, sums on the network.</summary>
internal static class ScenarioStudy
{
    private static readonly PccStudy.Result Nothing = PccStudy.Of(
        new System.Numerics.Complex[LineCurrent.HighestOrder], [100, .. new double[LineCurrent.HighestOrder - 1]]);

    /// <summary>Runs it; null while the supply is not stated.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="defaults">Defaults in force.</param>
    /// <param name="models">Drive points that are complete.</param>
    /// <param name="modules">Supply modules of common DC buses.</param>
    /// <param name="before">What the last run of this scenario left.</param>
    /// <param name="seeksSecond">False: whether there is a second state is not looked for.</param>
    /// <param name="stop">Asked in every round of the search.</param>
    public static ScenarioResult? Run(
        PlantSpecification plant,
        Scenario scenario,
        DefaultsInForce defaults,
        IReadOnlyList<CompleteDrive> models,
        IReadOnlyDictionary<string, SupplyModuleItem> modules,
        ScenarioBefore before,
        bool seeksSecond = true,
        CancellationToken stop = default)
    {
        if (ScenarioNetworks.Of(plant, scenario, defaults.Cables, before.Networks) is not { } networks)
        {
            return null;
        }

        var network = networks.Weakest;
        var buses = plant.BusOfDrivePoints();
        var unfed = plant.AllDrivePoints().Where(p => p.Sun is null && scenario.StateOf(p.Id).Running && !network.IsLive(buses[p.Id].Id))
            .Select(p => p.Tag)
            .ToList();
        var running = new List<RunningDrive>(models.Count);
        var onBus = new Dictionary<string, List<(DriveOnConverter Model, OperatingPoint Point)>>(StringComparer.Ordinal);
        var inGroup = new Dictionary<string, List<(DriveOnConverter Model, OperatingPoint Point)>>(StringComparer.Ordinal);
        var onLine = new List<LineDrive>();
        var faults = new List<Fault>();
        foreach (var model in models)
        {
            var state = scenario.StateOf(model.Id);
            if (!state.Running || model.Input.DrivePoint.Sun is not null || !network.IsLive(buses[model.Id].Id))
            {
                continue;
            }

            if (PointOf(model, state, scenario, faults) is not { } point)
            {
                continue;
            }

            var busId = buses[model.Id].Id;
            switch (model)
            {
                case DriveOnLine line:
                    onLine.Add(LineDrive.Of(line, point, busId));
                    break;
                case DriveOnConverter { Input.OnDcBus: true } drive:
                    var dcBus = plant.DcBusOf(model.Id)!.Id;
                    (onBus.TryGetValue(dcBus, out var members) ? members : onBus[dcBus] = []).Add((drive, point));
                    break;
                case DriveOnConverter { Input.Group: { } group } drive:
                    (inGroup.TryGetValue(group.GroupId, out var list) ? list : inGroup[group.GroupId] = []).Add((drive, point));
                    break;
                case DriveOnConverter drive when point.DrawsFromLine:
                    running.Add(RunningDrive.Of(drive, point, busId));
                    break;
            }
        }

        running.AddRange(plant.Lineups.SelectMany(l => l.DcBuses.Select(b => DcBusFront(b, l.BusId, onBus, modules, defaults)))
            .OfType<RunningDrive>());

        running.AddRange(inGroup.Select(g => GroupFront(g.Key, g.Value, buses)).OfType<RunningDrive>());

        var shunts = StandingLoads.Fundamental(plant, scenario, network, onLine, defaults.Harmonics.ReactorLossPu);
        var loads = new HarmonicLoads(onLine, FrontFilter.Of(running, plant.Distribution.ActiveFilters, network),
            defaults.LockedRotorPowerFactor, defaults.Harmonics.DampingPu, defaults.Harmonics.ReactorLossPu);
        var loaded = before.Loaded?.IsOf(network, shunts, loads) == true
            ? before.Loaded
            : new LoadedNetwork(plant, scenario, network, shunts, loads);
        var (drives, iteration) = Fronts(plant, scenario, loaded, running,
            new FrontSettings(defaults.Harmonics.LeakageMismatchPu, before.Fronts) { Stop = stop, SeeksSecond = seeksSecond }, faults);
        List<string> unsettled =
        [
            .. faults.Select(f => $"not judged: {f.Where}: {f.What}"),
            .. drives is not null
                ? Unsettled(plant, scenario, drives, iteration)
                : faults.Count == 0 ? ["the network can't carry the load: no voltage settles"] : [],
        ];
        var sums = new HarmonicSums(plant, loaded, drives ?? []);
        var pcc = sums.AtCoupling(plant.Pcc.BusId);
        return new ScenarioResult
        {
            ScenarioId = scenario.Id,
            ScenarioName = scenario.Name,
            Loaded = loaded,
            Networks = networks,
            Pcc = pcc.Length == 0 ? Nothing : pcc.MaxBy(r => r.HarmonicA)!,
            PccPhases = pcc.Length == 0 ? [Nothing] : pcc,
            Transformers = [.. plant.Distribution.Transformers.Select(t =>
                TransformersInScenario.Of(t, plant, network, sums, defaults.Harmonics)).OfType<TransformerInScenario>()],
            Cables = [.. plant.Distribution.Links.OfType<BusLink.Cable>()
                .Select(c => CablesInScenario.Of(c, plant, scenario, network, sums, drives ?? [])).OfType<CableInScenario>()],
            Buses = [
                .. plant.Distribution.Buses.Where(b => network.IsLive(b.Id)).Select(b => new BusInScenario(
                    b.Id, sums.VoltagePu(b.Id), sums.ThdvPct(b.Id), networks.Strongest.FaultA(b.Id),
                    network.FaultA(b.Id)) { VoltagePct = sums.WithBackgroundPct(b.Id) }),
            ],
            RectifierDcW = running.Sum(r => r.Point.DcLoadW),
            Drives = drives ?? [],
            Unsettled = unsettled,
            Unfed = unfed,
            Banks = [.. plant.Distribution.CapacitorBanks.Select(b =>
                BankInScenario.Of(b, loaded, sums, drives ?? [], defaults.Harmonics.ReactorLossPu))
                    .OfType<BankInScenario>()],
            Iteration = iteration,
            FilterCurrents = sums.FilterCurrents,
            Faults = faults,
            Running = [.. running.Select(r => (r.BusId, r.Point.LineW)), .. onLine.Select(d => (d.BusId, d.PowerVa.Real))],
        };
    }

    // One drive that can't be computed leaves the others to be; what rests on all of them is then not judged.
    private static OperatingPoint? PointOf(CompleteDrive model, DrivePointState state, Scenario scenario, List<Fault> faults)
    {
        try
        {
            return model.At(state.LevelPu, state.LoadPu);
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            faults.Add(Fault.Of($"{model.Input.DrivePoint.Tag} in '{scenario.Name}'", problem));
            return null;
        }
    }

    private static (IReadOnlyList<DriveInScenario>? Drives, FrontIteration Iteration) Fronts(
        PlantSpecification plant,
        Scenario scenario,
        LoadedNetwork loaded,
        IReadOnlyList<RunningDrive> running,
        FrontSettings settings,
        List<Fault> faults)
    {
        try
        {
            return BalancedFronts.Solve(plant, loaded, running, settings);
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            faults.Add(Fault.Of($"front ends in '{scenario.Name}'",
                problem is AggregateException { InnerException: { } inner } ? inner : problem));
            return (null, FrontIteration.None);
        }
    }

    // What the members of a common DC bus take together comes through its supply module; nothing does while they give more.
    private static RunningDrive? DcBusFront(
        CommonDcBus bus, string busId, Dictionary<string, List<(DriveOnConverter Model, OperatingPoint Point)>> onBus,
        IReadOnlyDictionary<string, SupplyModuleItem> modules, DefaultsInForce defaults)
    {
        if (!onBus.TryGetValue(bus.Id, out var members) || !modules.TryGetValue(bus.SupplyModuleId, out var module))
        {
            return null;
        }

        var item = module.AsFront(members.Sum(m => m.Model.Converter.Item.DcCapacitanceUf) * 1e-6);
        var point = OperatingPoint.OfBus(members.Sum(m => m.Point.LinkW), item);
        return point.DrawsFromLine ? new RunningDrive(bus.Id, item, SupplyFeed.ThreePhase,
            DrivePointModel.ImpedanceOf(bus.Feeder, defaults) ?? default, null, point, busId) : null;
    }

    // All motors of a group take their power through one converter.
    private static RunningDrive? GroupFront(string id, List<(DriveOnConverter Model, OperatingPoint Point)> members,
        IReadOnlyDictionary<string, Bus> buses)
    {
        var head = members[0].Model;
        var point = OperatingPoint.OfBus(members.Sum(m => m.Model.Input.Group!.Count * m.Point.LinkW), head.WholeItem);
        return point.DrawsFromLine ? new RunningDrive(id, head.WholeItem, head.Converter.Feed, head.WholeFeederOhm, null, point,
            buses[head.Id].Id) { LoopPu = RunningDrive.LoopOf(head.Input) } : null;
    }

    private static List<string> Unsettled(PlantSpecification plant, Scenario scenario, IReadOnlyList<DriveInScenario> drives,
        FrontIteration iteration)
    {
        var tags = plant.AllDrivePoints().Select(p => (p.Id, p.Tag))
            .Concat(plant.Lineups.SelectMany(l => l.DcBuses).Select(b => (b.Id, Tag: b.Name)))
            .Concat(plant.Lineups.SelectMany(l => l.Arrangements).Select(a => (a.Id, Tag: a.Name)))
            .ToDictionary(p => p.Id, p => p.Tag, StringComparer.Ordinal);
        return
        [
            .. drives.Where(d => d.Front is RectifierResult.NoSteadyState)
                .Select(d => (d.DrivePointId, None: (RectifierResult.NoSteadyState)d.Front))
                .Select(x => $"{tags[x.DrivePointId]}: {x.None.Reason}{Cure(x.None)}"),
            .. iteration.IsSettled ? [] : new[] { Swinging(scenario.Name, tags[iteration.WorstId], iteration) },
            .. iteration.Second is { } second ? [TwoStates(scenario.Name, tags[second.WorstId], second)] : Array.Empty<string>(),
        ];
    }

    private static string Swinging(string scenario, string tag, FrontIteration iteration) =>
        FormattableString.Invariant($"waveforms and network do not settle with each other in '{scenario}': after {iteration.Rounds} ")
        + FormattableString.Invariant($"rounds they contradict each other by {iteration.ResidualPu:0.0e+0} of nominal voltage at order ")
        + FormattableString.Invariant($"{iteration.ResidualOrder}, most at {tag} (limit {FrontIteration.LimitPu:0e+0})")
        + ". A resonance stands too near an order that is drawn: a reactor ahead of the capacitors, or fewer of them, moves it.";

    /// <summary>Why nothing is judged where a second state exists.</summary>
    internal static string TwoStates(string scenario, string tag, SecondState second) =>
        FormattableString.Invariant($"two states repeat in '{scenario}': {tag} draws a current of ")
        + FormattableString.Invariant($"{second.ThdiPct:0.#} % distortion in one and of ")
        + FormattableString.Invariant($"{second.OtherThdiPct:0.#} % in the other, the voltages {second.ApartPu:0.0e+0} of nominal apart ")
        + FormattableString.Invariant($"at order {Math.Abs(second.Order)}")
        + ". Which one the plant takes depends on how it got there. A reactor ahead of the capacitors, or fewer of them, leaves one.";

    private static string Cure(RectifierResult.NoSteadyState none) => none.SettlingCapacitanceF is { } capacitance
        ? FormattableString.Invariant($" It settles from {capacitance * 1e6:0} µF upwards, or with more resistance or a smaller choke.")
        : string.Empty;
}
