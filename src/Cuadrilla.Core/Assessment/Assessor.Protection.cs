using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>Cables and protective devices of a plant: schedules, proposals, curves.</summary>
public sealed partial class Assessor
{
    /// <inheritdoc/>
    public ProtectionPlan Protection(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var assessment = Run(plant);
        plant = Laid(plant);
        var supply = SupplyOf(plant, assessment);
        var modules = plant.Lineups.SelectMany(l => l.DcBuses).Select(b => ModuleOf(plant, b, supply)).ToList();
        return ProtectionPlans.Of(supply, Cores.Map([.. plant.AllDrivePoints()], p => FeederOf(plant, p, supply), stop), modules,
            assessment.Checks);
    }

    /// <inheritdoc/>
    public ModuleProposal ModuleProposalFor(PlantSpecification plant, CommonDcBus bus)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(bus);
        var feeder = ModuleOf(plant, bus, SupplyOf(plant, Run(plant)));
        return PointProposals.Of(feeder, feeder.Model.Processes(plant.Scenarios));
    }

    /// <inheritdoc/>
    public PointProposal ProposalFor(PlantSpecification plant, DrivePoint point, DeviceKind kind, bool keepsDevice)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        return PointProposals.Of(FeederOf(plant, point, SupplyOf(plant, Run(plant))), kind, keepsDevice);
    }

    /// <summary>The time–current picture of a drive point; null on a common DC bus and for all but the first of a group.</summary>
    public TimeCurrentPicture? TimeCurrent(PlantSpecification plant, DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        var feeder = FeederOf(plant, point, SupplyOf(plant, Run(plant)));
        return feeder.HasFeeder ? TimeCurrentPicture.Of(feeder) : null;
    }

    private SupplyContext SupplyOf(PlantSpecification plant, PlantAssessment assessment)
    {
        var defaults = DefaultsInForce.Resolve(data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz);
        var mains = StandbyPlant.Has(plant) ? StandbyPlant.OnMains(plant) : plant;
        List<ScenarioResult> scenarios = [.. assessment.Scenarios.Where(s => mains.Scenarios.Any(m => m.Id == s.ScenarioId))];
        return new SupplyContext(Laid(mains), data.With(plant), defaults, scenarios, assessment.Demand, []) with
        {
            Voltages = assessment.Voltages,
            ShortCircuits = assessment.ShortCircuits,
            BusDropsPct = BusDrops.Pct(mains, scenarios),
        };
    }

    private ModuleFeederStudy ModuleOf(PlantSpecification plant, CommonDcBus bus, SupplyContext supply)
    {
        var lineup = plant.Lineups.First(l => l.DcBuses.Any(b => b.Id == bus.Id));
        var members = lineup.DrivePoints.Where(p => bus.MemberIds.Contains(p.Id)).Select(p => Study(plant, p)).ToList();
        var model = DcBusModel.Of(plant, lineup, bus, members, data.With(plant), supply.Defaults);
        return new ModuleFeederStudy(model, plant.Distribution.Bus(lineup.BusId), supply);
    }

    private FeederStudy FeederOf(PlantSpecification plant, DrivePoint point, SupplyContext supply) =>
        Feeder(Study(plant, point).Model, supply, plant.BusOfDrivePoints()[point.Id]);

    // Its start counts where it reaches its speed; while something is missing there is none.
    private FeederStudy Feeder(DrivePointModel model, SupplyContext supply, Bus bus)
    {
        var start = model is DriveOnLine line && !StartStudy.Missing(model).Any()
            && StartPlaces.Of(supply.Plant, supply.Scenarios, model, bus) is { } place
            ? starts.Get(new StartKey(line.Input, place))
            : null;
        return new FeederStudy(model, bus, supply, start);
    }
}
