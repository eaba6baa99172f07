using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Groups;
using Cuadrilla.Core.Studies.Interference;
using Cuadrilla.Core.Studies.LongCable;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>
/// Assesses specifications against one catalogue. Studies are kept by the value of their inputs, so after an edit only what
/// depends on it runs again. Safe for use from several threads.
/// </summary>
public sealed partial class Assessor : IPlantStudies
{
    // Half of them is more than the drive points of fifty plants of sixty: those at work keep what they have.
    private const int MostStudies = 7000;

    private readonly EngineeringData data;
    private readonly StudyMemory<DrivePointInput, DrivePointStudy> drivePoints;
    private readonly StudyMemory<StartKey, StartCase> starts;
    private readonly ConditionalWeakTable<PlantSpecification, Once<PlantAssessment>> whole;
    private readonly ConditionalWeakTable<PlantSpecification, Once<Laying>> laid;
    private readonly ConditionalWeakTable<PlantSpecification, Once<IReadOnlyDictionary<string,
        (CabinetStudy? Study, Fault? Fault)>>> cabinets;
    private readonly ConditionalWeakTable<PlantSpecification, Once<SignalStudy>> signals;
    private readonly ConditionalWeakTable<PlantSpecification, ConcurrentDictionary<string, StepSource>> sites;
    private readonly FrontMemory? fronts;
    private readonly CancellationToken stop;
    private readonly bool seeksSecond = true;

    /// <summary>Creates an assessor.</summary>
    /// <param name="data">The catalogue.</param>
    /// <param name="warmStarts">False: the search for voltages and waveforms never begins where an earlier one ended. Slower after an
    /// edit, and equal to the last bit whatever was assessed before.</param>
    public Assessor(EngineeringData data, bool warmStarts = true)
    {
        whole = [];
        laid = [];
        cabinets = [];
        signals = [];
        sites = [];
        fronts = warmStarts ? new FrontMemory() : null;
        this.data = data ?? throw new ArgumentNullException(nameof(data));
        starts = new StudyMemory<StartKey, StartCase>(
            key => DrivePointModel.Build(key.Input, data) is CabledMotor motor
                ? StartStudy.Of(motor, key.Place, key.Input.DrivePoint.Converter)
                : throw new InvalidOperationException("Asked for the start of a motor that is not known."),
            1000);
        drivePoints = new StudyMemory<DrivePointInput, DrivePointStudy>(input => DrivePointStudy.Run(DrivePointModel.Build(input, data)),
            MostStudies);
    }

    // The same memory for somebody who may leave.
    private Assessor(Assessor other, CancellationToken stop, bool seeksSecond = true) =>
        (data, drivePoints, starts, whole, laid, cabinets, signals, sites, fronts, this.stop, this.seeksSecond) =
        (other.data, other.drivePoints, other.starts, other.whole, other.laid, other.cabinets, other.signals, other.sites,
            other.fronts, stop,
            seeksSecond);

    /// <summary>The catalogue.</summary>
    public EngineeringData Data => data;

    /// <summary>The same assessor, which remembers what this one does, for somebody who may leave: then it throws
    /// <see cref="OperationCanceledException"/>.</summary>
    public Assessor StoppedBy(CancellationToken leaves) => new(this, leaves);

    /// <summary>The study of one drive point of a plant.</summary>
    public DrivePointStudy Study(PlantSpecification plant, DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        stop.ThrowIfCancellationRequested();
        return drivePoints.Get(InputOf(plant, Laid(plant, point), plant.BusOfDrivePoints()[point.Id].NominalVoltageV,
            DefaultsInForce.Resolve(data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz)));
    }

    /// <summary>Every way of starting a drive point, on the plant's bus in its weakest scenario; empty while something is
    /// missing.</summary>
    public (StartPlace? Place, IReadOnlyList<StartCase> Cases, IReadOnlyList<string> Missing) Starts(PlantSpecification plant,
        DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        var model = Study(plant, point).Model;
        List<string> missing = [.. StartStudy.Missing(model), .. PlantNetwork.Missing(plant)];
        if (model is not CabledMotor motor || missing.Count > 0)
        {
            return (null, [], missing);
        }

        var place = StartPlaces.Of(Laid(plant), Run(plant).Scenarios, Study(plant, point).Model, plant.BusOfDrivePoints()[point.Id]);
        return place is null ? (null, [], ["a scenario in which it runs"]) : (place, StartStudy.All(motor, place), []);
    }

    /// <summary>Assesses a valid specification; the same object is assessed once, whoever asks, as long as somebody holds it.</summary>
    public PlantAssessment Run(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return whole.GetValue(plant, _ => new Once<PlantAssessment>()).Get(() => OnAllSupplies(plant));
    }

    /// <inheritdoc/>
    public PlantAssessment Drafted(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return new Assessor(this, stop, seeksSecond: false).OnAllSupplies(plant);
    }

    // A plant with a standby generator is assessed as the two plants that it is.
    private PlantAssessment OnAllSupplies(PlantSpecification plant)
    {
        if (!StandbyPlant.Has(plant))
        {
            return Assessed(LaidWith(plant));
        }

        var mains = Assessed(LaidWith(StandbyPlant.OnMains(plant)));
        var standby = Assessed(LaidWith(StandbyPlant.OnGenerator(plant)));
        var byId = mains.Scenarios.Concat(standby.Scenarios).ToDictionary(s => s.ScenarioId, StringComparer.Ordinal);
        return mains with
        {
            Checks = [.. StandbyMerge.Of(mains.Checks, standby.Checks,
                StandbyMerge.Dead(plant, standby.Scenarios), StandbyMerge.Idle(plant)), StandbyMerge.ChangeOver(plant, standby.Scenarios)],
            Scenarios = [.. plant.Scenarios.Where(s => byId.ContainsKey(s.Id)).Select(s => byId[s.Id])],
            Faults = [.. mains.Faults, .. standby.Faults],
        };
    }

    /// <summary>Ways of all cables; null for a plant without trays.</summary>
    public RoutePlan? Routes(PlantSpecification plant) => LaidWith(plant).Routes;

    private PlantSpecification Laid(PlantSpecification plant) => LaidWith(plant).Plant;

    private DrivePoint Laid(PlantSpecification plant, DrivePoint point) =>
        Routes(plant) is { } routes ? LaidPlant.Of(point, plant.Cables, routes) : point;

    private Laying LaidWith(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Routes.Segments.Count == 0 ? new Laying(plant, null) : laid.GetValue(plant, _ => new Once<Laying>()).Get(() =>
        {
            var routes = RoutePlan.Of(plant, LightCircuits.Of(plant, data), Signals(plant));
            return new Laying(LaidPlant.Of(plant, routes), routes);
        });
    }

    private sealed record Laying(PlantSpecification Plant, RoutePlan? Routes);

    private PlantAssessment Assessed(Laying laying)
    {
        var plant = laying.Plant;
        var defaults = DefaultsInForce.Resolve(data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz);
        var buses = plant.BusOfDrivePoints();
        var studies = Cores.Map([.. plant.AllDrivePoints()],
            p => drivePoints.Get(InputOf(plant, p, buses[p.Id].NominalVoltageV, defaults)), stop);
        var complete = studies.Select(s => s.Model).OfType<CompleteDrive>().ToList();
        var incomplete = studies.Where(s => !s.IsComplete && s.Model.Input.DrivePoint.Sun is null)
            .Select(s => $"{s.Model.Input.DrivePoint.Tag}: {string.Join(", ", s.Model.Missing())}")
            .ToList();
        var solved = Solved(plant, defaults, complete, studies);
        var scenarios = solved.Select(s => s.Result).OfType<ScenarioResult>().ToList();
        List<Fault> faults = [.. studies.Select(s => s.Model.Fault).OfType<Fault>(), .. solved.Select(s => s.Fault).OfType<Fault>(),
            .. scenarios.SelectMany(s => s.Faults)];
        incomplete.AddRange(plant.Lineups.SelectMany(l => l.DcBuses).SelectMany(b => DcBusModel.OpenSupply(b, data, defaults)));
        incomplete.AddRange(solved.Select(s => s.Fault).OfType<Fault>().Select(f => $"not judged: {f.Where}: {f.What}"));
        var demand = PccDemand.Of(plant, scenarios);
        var supply = new SupplyContext(plant, data.With(plant), defaults, scenarios, demand, incomplete) { Faults = faults,
            Voltages = BusVoltages.Of(plant, scenarios), ShortCircuits = BusShortCircuits.Of(plant, scenarios, defaults),
            BusDropsPct = BusDrops.Pct(plant, scenarios) };
        List<Check> checks = [.. PlantChecks.Of(supply), .. PlantChecks.OfArrangements(supply, studies)];
        var models = studies.Select(s => s.Model).ToList();
        checks.AddRange(CabinetChecksOf(supply));
        checks.AddRange(ControlChecksOf(supply));
        checks.AddRange(SignalChecksOf(supply));
        checks.AddRange(Judging.All("emc.rcd", string.Empty, BoardRow.Plant, "Residual-current devices of lineups",
            () => ResidualChecks.OfLineups(supply, models)));
        checks.AddRange(Judging.All("emc.category", string.Empty, BoardRow.Plant, "Interference of supply modules",
            () => EmcChecks.OfPlant(supply, models)));
        if (laying.Routes is { } routes)
        {
            checks.AddRange(Judging.All("emc.separation", string.Empty, BoardRow.Plant, "Separation of cables",
                () => SeparationChecks.Of(routes, SeparationOf(plant, routes, models))));
        }

        checks.AddRange(Cores.Map(studies, s => (List<Check>)
            [.. InThePlant(s, supply, buses[s.Model.Id]), .. s.Checks.Select(c => AtLowest(c, s.Model, supply, buses[s.Model.Id]))], stop)
                .SelectMany(c => c));

        var firsts = FirstCurrents.Of(scenarios);
        return new PlantAssessment(
            data.Version,
            [.. studies.Select(s => DrivePointSummaries.Of(s, firsts))],
            checks,
            scenarios,
            demand,
            demand is null ? null : data.PccLimits.CurrentRow(demand.Ratio, plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV))
        {
            Voltages = supply.Voltages,
            ShortCircuits = supply.ShortCircuits,
            Faults = [.. faults, .. checks.Select(c => c.Fault).OfType<Fault>()],
        };
    }

    // Scenarios wait for nothing but the models: the drive points are judged beside them.
    private (ScenarioResult? Result, Fault? Fault)[] Solved(PlantSpecification plant, DefaultsInForce defaults,
        IReadOnlyList<CompleteDrive> complete, IReadOnlyList<DrivePointStudy> studies)
    {
        var solved = new (ScenarioResult? Result, Fault? Fault)[plant.Scenarios.Count];
        var open = studies.Where(s => !s.IsJudged).ToList();
        Cores.InOrder(solved.Length + open.Count, i =>
        {
            if (i < solved.Length)
            {
                solved[i] = Scenario(plant, plant.Scenarios[i], defaults, complete);
            }
            else
            {
                open[i - solved.Length].BeJudged();
            }
        }, stop);
        return solved;
    }

    // Judged at the nominal voltage while nothing else is known; in the plant at the lowest of its bus.
    private static Check AtLowest(Check check, DrivePointModel model, SupplyContext supply, Bus bus)
    {
        if (check.Fault is not null || check.Verdict is Verdict.NeedsData or Verdict.NotApplicable
            || supply.Voltages.GetValueOrDefault(bus.Id) is not { } range)
        {
            return check;
        }

        // Where the currents of a scenario are not known nobody knows its voltages: what holds at the nominal one may fail there. One
        // front end without a state of its own leaves them to be known.
        var isAtBus = model.Starter is not null
            ? check.Id is "motor.peak" or "motor.connection"
            : check.Id is "converter.output-voltage" or LongCableChecks.OutputId
            or LongCableChecks.TapId
            && !model.Input.HasNoLine;
        List<string> unsettled = isAtBus && check.Verdict != Verdict.Fails
            ? [.. supply.Scenarios.Where(s => !s.Iteration.IsSettled || s.Faults.Count > 0 || s.Drives.Count == 0)
                .SelectMany(s => s.Unsettled).Distinct()]
            : [];
        if (unsettled.Count > 0)
        {
            return Check.Lacking(check.Id, model.Id, check.Row, check.Title, unsettled);
        }

        // Too much voltage counts for the flux alone; torque and output voltage never count on more than the nominal.
        return check.Id switch
        {
            "converter.output-voltage" when range.LowestPct < 100 && !model.Input.HasNoLine =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => OutputVoltageCheck.Of(model, range.LowestPct / 100, range.LowestScenario)),
            LongCableChecks.OutputId when range.LowestPct < 100 && LongCableStudy.Of(model) is { } study =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => LongCableChecks.Output(study, range.LowestPct / 100, range.LowestScenario)),
            LongCableChecks.TapId when range.LowestPct < 100 && LongCableStudy.Of(model) is { } study =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => LongCableChecks.Tap(study, range.LowestPct / 100, range.LowestScenario)),
            "motor.peak" when range.LowestPct < 100 && model.Starter is not null =>
                Judging.One(check.Id, model.Id, check.Row, check.Title,
                    () => MotorChecks.Peak(model, range.LowestPct / 100, range.LowestScenario)),
            "motor.connection" when model.Starter is not null =>
                Judging.One(check.Id, model.Id, check.Row, check.Title, () => MotorRuleChecks.Connection(model, range)),
            _ => check,
        };
    }

    // What a drive point's checks ask of the plant around it.
    private IEnumerable<Check> InThePlant(DrivePointStudy study, SupplyContext supply, Bus bus)
    {
        var model = study.Model;
        List<Check> checks = [Judging.One("supply.data", model.Id, BoardRow.Supply, "Supply data",
            () => SupplyDataCheck.Of(model, supply.Plant))];
        if (model.Input.Group is null or { IsHead: true })
        {
            checks.Add(Judging.One(FaultLevelChecks.ConverterId, model.Id, BoardRow.Supply, "Fault level at the converter",
                () => FaultLevelChecks.OfConverter(model, bus, supply)));
        }

        checks.AddRange(Judging.All("emc.category", model.Id, BoardRow.Converter, "Interference", () => EmcChecks.Of(model, bus, supply)));
        checks.AddRange(Judging.All(EarthLeakageCheck.Id, model.Id, BoardRow.Supply, EarthLeakageCheck.Title,
            () => EarthLeakageCheck.Of(model, bus, supply)));
        checks.AddRange(Judging.All("emc.rcd", model.Id, BoardRow.Supply, "Residual-current device",
            () => ResidualChecks.Of(model, bus, supply)));
        checks.AddRange(Judging.All(ItSystemCheck.Id, model.Id, BoardRow.Converter, ItSystemCheck.Title,
            () => ItSystemCheck.Of(model, bus)));
        checks.AddRange(Judging.All(AltitudeCheck.Id, model.Id, BoardRow.Converter, AltitudeCheck.Title,
            () => AltitudeCheck.Of(model, supply.Plant.Site, bus)));
        checks.AddRange(Judging.All(TwoConductorChecks.RippleId, model.Id, BoardRow.Converter, "Two conductors",
            () => TwoConductorChecks.Of(model, supply, bus)));
        checks.AddRange(Judging.All(EquipmentChecks.EquipmentId, model.Id, BoardRow.Supply, "Current on a public system",
            () => EquipmentChecks.Of(model, supply, bus)));
        if (model.Starter is not null)
        {
            checks.AddRange(Judging.All("starter.reaches-speed", model.Id, BoardRow.Converter, "Start reaches speed", () =>
                StarterChecks.Of(model, StartPlaces.Of(supply.Plant, supply.Scenarios, model, bus), supply, key => starts.Get(key))
                    .Select(c => OnePhasePointChecks.BehindStatic(model, c))));
        }

        checks.AddRange(Judging.All("cable.capacity", model.Id, BoardRow.Cable, "Cables and protection",
            () => ProtectionChecks.Of(Feeder(model, supply, bus))));
        return checks.Select(c => c.Doubted(supply.Faults));
    }

    private (ScenarioResult? Result, Fault? Fault) Scenario(PlantSpecification plant, Scenario scenario, DefaultsInForce defaults,
        IReadOnlyList<CompleteDrive> complete)
    {
        try
        {
            var result = ScenarioStudy.Run(plant, scenario, defaults, complete, data.SupplyModules,
                fronts?.Of(plant.Name, scenario.Id) ?? ScenarioBefore.Nothing, seeksSecond, stop);
            if (result is not null)
            {
                fronts?.Keep(plant.Name, result);
            }

            return (result, null);
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return (null, Fault.Of($"scenario '{scenario.Name}'", problem));
        }
    }

    private DrivePointInput InputOf(PlantSpecification plant, DrivePoint point, double busVoltageV, DefaultsInForce defaults,
        Site? site = null)
    {
        var group = GroupFeeds.Of(plant, point, data);
        var lineup = plant.LineupOf(point.Id);
        var converter = group?.Choice ?? point.Converter as ConverterChoice.FromCatalogue;
        return new DrivePointInput
        {
            DrivePoint = point,
            Site = site ?? SiteOf(plant, lineup, point),
            IsAirOfSection = site is null && lineup.Cabinets is not null,
            Tariff = plant.Tariff,
            BusVoltageV = lineup.OnePhase?.VoltageOn(busVoltageV) ?? busVoltageV,
            OnePhase = OnePhaseFeed.Of(lineup),
            FrequencyHz = plant.Source.FrequencyHz,
            Defaults = defaults,
            Own = point.Motor is MotorChoice.FromCatalogue motor ? plant.Motors.FirstOrDefault(m => m.Id == motor.ItemId) : null,
            OwnConverter = converter is null ? null : plant.Converters.FirstOrDefault(c => c.Id == converter.ItemId),
            OnDcBus = plant.DcBusOf(point.Id) is not null,
            OnActiveBus = plant.DcBusOf(point.Id) is { } bus
                && data.SupplyModules.GetValueOrDefault(bus.SupplyModuleId)?.Kind == SupplyModuleKind.Active,
            Group = group,
        };
    }
}
