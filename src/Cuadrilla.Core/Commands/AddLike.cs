using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Adds drive points like one of another plant or of a template, with its own motor and converter where it has some.</summary>
/// <param name="Original">What they are like; its key and tag are not taken.</param>
/// <param name="Motors">Own motors that it may refer to.</param>
/// <param name="Converters">Own converters that it may refer to.</param>
/// <param name="LineupId">Lineup that they join.</param>
/// <param name="AfterId">Drive point after which they stand; empty: at the end.</param>
/// <param name="Count">How many, 1 to 50.</param>
public sealed record AddLike(
    DrivePoint Original, ValueList<OwnMotor> Motors, ValueList<OwnConverter> Converters, string LineupId, string AfterId, int Count)
        : PlantCommand
{
    /// <summary>Most at once.</summary>
    public const int Most = 50;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Lineups.All(l => l.Id != LineupId))
        {
            return CommandOutcome.Unknown("lineupId", "Lineup", LineupId);
        }

        if (Count is < 1 or > Most)
        {
            return new CommandOutcome.Refused(InputProblem.Of("/count", "Count", $"{Count}", $"1 to {Most}"));
        }

        // What it shares with others stays with them.
        var like = Original.Converter is ConverterChoice.OfGroup ? Original with { Converter = new ConverterChoice.NotChosen() } : Original;
        like = like with { Interference = Placed(plant, like.Interference) };
        var after = plant;
        (after, like) = WithMotor(after, like);
        (after, like) = WithConverter(after, like);
        List<string> created = [];
        List<string> tags = [];
        var place = AfterId;
        for (var i = 0; i < Count; i++)
        {
            var (id, tag) = DrivePointNames.Next(after);
            var isTaken = after.AllDrivePoints().Any(p => p.Name == like.Name);
            var point = like with { Id = id, Tag = tag, Name = isTaken ? DrivePointNames.Counted(after, like.Name) : like.Name };
            after = after.With(AddDrivePoint.Insert(after.Lineups.First(l => l.Id == LineupId), point, place));
            created.Add(id);
            tags.Add(tag);
            place = AfterId.Length == 0 ? string.Empty : id;
        }

        return CommandOutcome.Of(after, $"Add {string.Join(", ", tags)} like {like.Name}", created);
    }

    // Where it stood in another plant says nothing of this one.
    private static PointInterference Placed(PlantSpecification plant, PointInterference of)
    {
        string Known(string id) => plant.Routes.Places.Any(p => p.Id == id) ? id : string.Empty;
        return of with { PlaceId = Known(of.PlaceId), MotorPlaceId = Known(of.MotorPlaceId) };
    }

    private (PlantSpecification Plant, DrivePoint Like) WithMotor(PlantSpecification plant, DrivePoint like)
    {
        if (like.Motor is not MotorChoice.FromCatalogue choice || Motors.FirstOrDefault(m => m.Id == choice.ItemId) is not { } own)
        {
            return (plant, like);
        }

        var (id, isNew) = Key(own, own.Id, [.. plant.Motors.Select(m => (m.Id, (object)m))]);
        var after = isNew ? plant with { Motors = [.. plant.Motors, own with { Id = id }] } : plant;
        return (after, like with { Motor = choice with { ItemId = id } });
    }

    private (PlantSpecification Plant, DrivePoint Like) WithConverter(PlantSpecification plant, DrivePoint like)
    {
        if (like.Converter is not ConverterChoice.FromCatalogue choice
            || Converters.FirstOrDefault(c => c.Id == choice.ItemId) is not { } own)
        {
            return (plant, like);
        }

        var (id, isNew) = Key(own, own.Id, [.. plant.Converters.Select(c => (c.Id, (object)c))]);
        var after = isNew ? plant with { Converters = [.. plant.Converters, own with { Id = id }] } : plant;
        return (after, like with { Converter = choice with { ItemId = id } });
    }

    // The same item is taken once; another one of the same key keeps that key.
    private static (string Id, bool IsNew) Key(object own, string id, IReadOnlyList<(string Id, object Item)> known)
    {
        if (known.FirstOrDefault(k => k.Id == id) is not { Item: { } there })
        {
            return (id, true);
        }

        return there.Equals(own)
            ? (id, false)
            : ($"{id}-{Enumerable.Range(2, known.Count + 1).First(n => known.All(k => k.Id != $"{id}-{n}"))}", true);
    }
}
