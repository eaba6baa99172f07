using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Groups;

/// <summary>Finds what a motor of a group is fed by: that part of the converter which its rated current is of all.</summary>
internal static class GroupFeeds
{
    /// <summary>Of a drive point; null when it belongs to no group.</summary>
    public static GroupFeed? Of(PlantSpecification plant, DrivePoint point, EngineeringData data)
    {
        if (plant.GroupOf(point.Id) is not { } group)
        {
            return null;
        }

        var points = plant.AllDrivePoints().ToDictionary(p => p.Id, StringComparer.Ordinal);
        var head = points[group.Members[0].PointId];
        double? sum = 0;
        foreach (var member in group.Members)
        {
            sum += member.Count * RatedCurrentA(plant, points[member.PointId], data);
        }

        var own = RatedCurrentA(plant, point, data);
        return new GroupFeed(
            group.Id, head.Converter as ConverterChoice.FromCatalogue, head.Feeder, sum > 0 && own is { } current ? current / sum.Value : 0,
            group.Members.First(m => m.PointId == point.Id).Count, head.Id == point.Id);
    }

    private static double? RatedCurrentA(PlantSpecification plant, DrivePoint point, EngineeringData data) =>
        point.Motor is not MotorChoice.FromCatalogue choice
        ? null
        : plant.Motors.FirstOrDefault(m => m.Id == choice.ItemId) is { } own
            ? own.Item(data.Motors.Values.Where(m => m.OwnName.Length == 0)).Plate.RatedCurrentA
            : data.Motors.GetValueOrDefault(choice.ItemId)?.Plate.RatedCurrentA;
}
