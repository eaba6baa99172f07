using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Says that what was assumed is known now: the values stay, the mark goes.</summary>
/// <param name="PointIds">Drive points.</param>
/// <param name="Keys">Which values; empty: all that are assumed.</param>
public sealed record ConfirmAssumed(IReadOnlyList<string> PointIds, IReadOnlyList<string> Keys) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        var ids = PointIds.Distinct(StringComparer.Ordinal)
            .Where(id => UsualEntries.Assumed(plant.Point(id)!, studies.Data).Any(a => Keys.Count == 0 || Keys.Contains(a.Key))).ToList();
        return ids.Count == 0
            ? CommandOutcome.Not("pointIds", "Nothing of this is assumed.")
            : new CommandOutcome.Done(plant.Changed(ids, p => UsualEntries.Confirmed(p, Keys)),
                CommandOutcome.Shortened($"Assumed values confirmed: {plant.Tags(ids)}"), []);
    }
}
