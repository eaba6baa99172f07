using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
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
        var supply = SupplyOf(plant, assessment);
        return ProtectionPlans.Of(supply, Cores.Map([.. plant.AllDrivePoints()], p => FeederOf(plant, p, supply), stop), assessment.Checks);
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
        return new SupplyContext(plant, data, defaults, assessment.Scenarios, assessment.Demand, []) with
        {
            Voltages = assessment.Voltages,
            ShortCircuits = assessment.ShortCircuits,
            BusDropsPct = BusDrops.Pct(plant, assessment.Scenarios),
        };
    }

    private FeederStudy FeederOf(PlantSpecification plant, DrivePoint point, SupplyContext supply) => Feeder(Study(plant, point).Model, supply, plant.BusOfDrivePoints()[point.Id]);

    // Its start counts where it reaches its speed; while something is missing there is none.
    private FeederStudy Feeder(DrivePointModel model, SupplyContext supply, Bus bus)
    {
        var start = model is DriveOnLine line && !StartStudy.Missing(model).Any() && StartPlaces.Of(supply.Plant, supply.Scenarios, model.Id, bus) is { } place
            ? starts.Get(new StartKey(line.Input, place))
            : null;
        return new FeederStudy(model, bus, supply, start);
    }
}
