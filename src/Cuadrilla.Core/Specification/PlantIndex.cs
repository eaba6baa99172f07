using System.Runtime.CompilerServices;

namespace Cuadrilla.Core.Specification;

/// <summary>What each drive point of a plant hangs on, by its key; made once for each plant.</summary>
internal sealed class PlantIndex
{
    private static readonly ConditionalWeakTable<PlantSpecification, PlantIndex> Made = [];

    // Keys may be missing while a plant is not yet found to be valid.
    private PlantIndex(PlantSpecification plant)
    {
        foreach (var lineup in plant.Lineups)
        {
            foreach (var point in lineup.DrivePoints.Where(p => p.Id is not null))
            {
                Lineups.TryAdd(point.Id, lineup);
            }

            foreach (var bus in lineup.DcBuses)
            {
                foreach (var id in bus.MemberIds.OfType<string>())
                {
                    DcBuses.TryAdd(id, bus);
                }
            }

            foreach (var group in lineup.Arrangements.OfType<MotorGroup>())
            {
                foreach (var member in group.Members.Where(m => m.PointId is not null))
                {
                    Groups.TryAdd(member.PointId, group);
                }
            }
        }
    }

    public Dictionary<string, Lineup> Lineups { get; } = new(StringComparer.Ordinal);

    public Dictionary<string, CommonDcBus> DcBuses { get; } = new(StringComparer.Ordinal);

    public Dictionary<string, MotorGroup> Groups { get; } = new(StringComparer.Ordinal);

    public static PlantIndex Of(PlantSpecification plant) => Made.GetValue(plant, p => new PlantIndex(p));
}
