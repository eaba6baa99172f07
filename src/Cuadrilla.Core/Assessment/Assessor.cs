using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Groups;
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
