using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Brakes;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Followers;
using Cuadrilla.Core.Studies.Groups;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Core.Assessment;

/// <summary>Arrangements of lineups, resolved for their laboratories.</summary>
public sealed partial class Assessor
{
    /// <summary>A common DC bus of a plant; null when there is none of that key.</summary>
    public DcBusModel? DcBus(PlantSpecification plant, string busId)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var found = plant.Lineups.SelectMany(l => l.DcBuses.Select(b => (Lineup: l, Bus: b))).FirstOrDefault(x => x.Bus.Id == busId);
        return found.Bus is null
            ? null
            : DcBusModel.Of(plant, found.Lineup, found.Bus, Studies(plant, found.Bus.MemberIds), data,
                DefaultsInForce.Resolve(data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz));
    }

    /// <summary>A group of motors on one converter; null when there is none of that key.</summary>
    public GroupModel? Group(PlantSpecification plant, string id) =>
        Arrangement<MotorGroup>(plant, id) is { } found ? GroupModel.Of(found, Studies(plant, found.PointIds())) : null;

    /// <summary>A shared shaft; null when there is none of that key.</summary>
    public SharedShaftModel? Shaft(PlantSpecification plant, string id) =>
        Arrangement<SharedShaft>(plant, id) is { } found ? SharedShaftModel.Of(found, Studies(plant, found.PointIds())) : null;

    /// <summary>A ratio follower; null when there is none of that key.</summary>
    public FollowerModel? Follower(PlantSpecification plant, string id) =>
        Arrangement<RatioFollower>(plant, id) is { } found ? FollowerModel.Of(found, Studies(plant, found.PointIds())) : null;

    /// <summary>The holding brake of a drive point; null when it has none or there is no such drive point.</summary>
    public BrakeModel? Brake(PlantSpecification plant, string drivePointId)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.AllDrivePoints().FirstOrDefault(p => p.Id == drivePointId) is { } point
            ? BrakeModel.Of(Study(plant, point).Model)
            : null;
    }

    private List<DrivePointStudy> Studies(PlantSpecification plant, IReadOnlyList<string> ids) =>
        [.. plant.AllDrivePoints().Where(p => ids.Contains(p.Id)).Select(p => Study(plant, p))];

    private static T? Arrangement<T>(PlantSpecification plant, string id)
        where T : Arrangement
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Lineups.SelectMany(l => l.Arrangements).OfType<T>().FirstOrDefault(a => a.Id == id);
    }
}
