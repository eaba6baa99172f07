using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Puts a motor of the catalogue, or of the project's own, on drive points, with the settings each has.</summary>
/// <param name="PointIds">Which.</param>
/// <param name="ItemId">The motor.</param>
/// <param name="Reason">Why, where it is not the best candidate; empty when none is given.</param>
public sealed record ChooseMotor(IReadOnlyList<string> PointIds, string ItemId, string Reason) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var data = studies.Data.With(plant);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        if (ItemId is null || !data.Motors.TryGetValue(ItemId, out var item))
        {
            return CommandOutcome.Unknown("itemId", "Motor", ItemId);
        }

        var after = plant.Changed([.. PointIds], p => CandidateRanking.WithMotor(p, item, Reason));
        return new CommandOutcome.Done(after, CommandOutcome.Shortened($"{plant.Tags(PointIds)}: {CandidateRanking.NameOf(item)}"), [])
        {
            Notes = RingNote.Of(plant, after, PointIds),
        };
    }
}

/// <summary>Puts a converter of the catalogue, or of the project's own, on drive points, with the settings each has.</summary>
/// <param name="PointIds">Which; a member of a group stands for its group.</param>
/// <param name="ItemId">The converter.</param>
/// <param name="Reason">Why, where it is not the best candidate; empty when none is given.</param>
public sealed record ChooseConverter(IReadOnlyList<string> PointIds, string ItemId, string Reason) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var data = studies.Data.With(plant);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        return ItemId is null || !data.Converters.TryGetValue(ItemId, out var item)
            ? CommandOutcome.Unknown("itemId", "Converter", ItemId)
            : CommandOutcome.Of(
                plant.Changed(SizeBest.Feeding(plant, PointIds),
                    p => p with { Converter = OnePhaseFeed.Fed(CandidateRanking.WithItem(p.Converter, item) with { Reason = Reason }, item,
                        OnePhaseFeed.Of(plant.LineupOf(p.Id)!)) }),
                $"{plant.Tags(PointIds)}: {CandidateRanking.NameOf(item)}");
    }
}

/// <summary>What is sized.</summary>
public enum SizedPart
{
    /// <summary>The motor.</summary>
    Motor,

    /// <summary>The converter.</summary>
    Converter,

    /// <summary>The motor, then the converter that feeds it.</summary>
    Both,
}

/// <summary>
/// Puts the best candidate on each drive point: of those that fit the one of the lowest life-cycle cost. Where none fits what stands
/// stays, and a note says why; refused only where none fits anywhere.
/// </summary>
/// <param name="PointIds">Which; a member of a group stands for its group.</param>
/// <param name="Part">What is sized; a motor on the line keeps its starter.</param>
public sealed record SizeBest(IReadOnlyList<string> PointIds, SizedPart Part) : PlantCommand
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
        var data = studies.Data.With(plant);
        Dictionary<string, string> without = new(StringComparer.Ordinal);
        HashSet<string> sized = new(StringComparer.Ordinal);
        if (Part != SizedPart.Converter)
        {
            after = Sized(after, PointIds, input => BestCandidate.Motors(input, data), sized, without, studies);
        }

        if (Part != SizedPart.Motor)
        {
            var fed = Feeding(after, PointIds).Where(id =>
                after.Point(id)!.Converter is ConverterChoice.FromCatalogue or ConverterChoice.NotChosen).ToList();
            after = Sized(after, [.. fed.Where(id => !without.ContainsKey(id))], input => BestCandidate.Converters(input, data), sized,
                without, studies);
        }

        IReadOnlyList<string> notes =
        [
            .. without.GroupBy(w => w.Value, w => w.Key, StringComparer.Ordinal).Select(g => $"{plant.Tags(g)}: {g.Key}"),
            .. RingNote.Of(plant, after, sized),
        ];
        return sized.Count == 0
            ? CommandOutcome.Not("pointIds", notes.Count > 0 ? notes
                : [$"{plant.Tags(PointIds)}: on the line, where a starter stands instead of a converter."])
            : new CommandOutcome.Done(after, CommandOutcome.Shortened($"{plant.Tags([.. PointIds.Where(sized.Contains)])}: best {Named}"),
                []) { Notes = notes };
    }

    private string Named => Part switch { SizedPart.Motor => "motor", SizedPart.Converter => "converter", _ => "motor and converter" };

    /// <summary>Drive points whose converters feed these: of a member of a group its first.</summary>
    internal static IReadOnlyList<string> Feeding(PlantSpecification plant, IEnumerable<string> ids) =>
        [.. ids.Select(id => plant.GroupOf(id)?.Members[0].PointId ?? id).Distinct(StringComparer.Ordinal)];

    private static PlantSpecification Sized(
        PlantSpecification plant,
        IReadOnlyList<string> ids,
        Func<DrivePointInput, IReadOnlyList<Candidate>> rank,
        HashSet<string> sized,
        Dictionary<string, string> without,
        IPlantStudies studies)
    {
        var ranked = Cores.Map([.. ids.Distinct(StringComparer.Ordinal)],
            id => (Id: id, Ranked: rank(studies.Study(plant, plant.Point(id)!).Model.Input)));
        var best = ranked.Where(x => x.Ranked is [{ Fits: true }, ..]).ToDictionary(x => x.Id, x => x.Ranked[0], StringComparer.Ordinal);
        foreach (var (id, list) in ranked.Where(x => !best.ContainsKey(x.Id)))
        {
            without[id] = list is [{ NeedsData: true } first, ..] ? $"{first.Reason.TrimEnd('.')}."
                : list is [var nearest, ..] ? $"nothing fits; nearest is {nearest.Name}: {nearest.Reason.TrimEnd('.')}."
                    : "there are no candidates.";
        }

        sized.UnionWith(best.Keys);
        return plant.Changed(best.Keys,
            p => best[p.Id] is { Motor: not null, ItemId: var motor }
                ? CandidateRanking.WithMotor(p, studies.Data.With(plant).Motors[motor], string.Empty)
                : p with { Converter = best[p.Id].Converter ?? p.Converter });
    }
}
