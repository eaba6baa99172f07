using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Takes the usual values that are proposed for open entries; what was taken is told with each drive point.</summary>
/// <param name="PointIds">Drive points.</param>
/// <param name="Keys">Which values; empty: all that are proposed.</param>
public sealed record AcceptUsual(IReadOnlyList<string> PointIds, IReadOnlyList<string> Keys) : PlantCommand
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

        var after = plant;
        List<string> notes = [];
        List<string> changed = [];
        foreach (var id in PointIds.Distinct(StringComparer.Ordinal))
        {
            // A length that the cable's way gives is not open.
            var taken = UsualEntries.For(studies.Study(after, after.Point(id)!).Model.Input.DrivePoint, studies.Data,
                plant.Source.FrequencyHz).Where(u => Keys.Count == 0 || Keys.Contains(u.Key)).ToList();
            if (taken.Count > 0)
            {
                after = after.Changed([id], p => UsualEntries.Accepted(p, [.. taken.Select(t => t.Key)], studies.Data,
                    plant.Source.FrequencyHz));
                changed.Add(id);
                notes.Add($"{plant.Tags([id])}, assumed: "
                    + $"{string.Join(", ", taken.Select(t => $"{t.Name} {Text.N(t.Value, 4)}{(t.Unit.Length > 0 ? " " + t.Unit : string.Empty)}"))}.");
            }
        }

        return changed.Count == 0
            ? CommandOutcome.Not("pointIds", "Every entry for which there is a usual value is filled.")
            : new CommandOutcome.Done(after, CommandOutcome.Shortened($"Usual values assumed: {plant.Tags(changed)}"),
                []) { Notes = notes };
    }
}
