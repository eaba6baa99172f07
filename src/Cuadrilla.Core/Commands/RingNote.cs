using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;

namespace Cuadrilla.Core.Commands;

/// <summary>What is said where motors came with an earthing ring at their shafts, which nobody asked for by name.</summary>
internal static class RingNote
{
    /// <summary>A sentence where a change gave drive points a ring; none where it did not.</summary>
    public static IReadOnlyList<string> Of(PlantSpecification before, PlantSpecification after, IEnumerable<string> ids)
    {
        var with = ids.Where(id => after.Point(id)!.Interference.ShaftRing && !before.Point(id)!.Interference.ShaftRing).ToList();
        return with.Count == 0 ? []
            : [$"{before.Tags(with)}: with an earthing ring at the shaft, as motors above {Text.N(BearingCheck.BothFromKw)} kW on "
                + "converters want."];
    }
}
