using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Commands;

/// <summary>Small steps that commands share.</summary>
internal static class PlantEdits
{
    public static DrivePoint? Point(this PlantSpecification plant, string id) => plant.AllDrivePoints().FirstOrDefault(p => p.Id == id);

    public static Lineup? LineupOf(this PlantSpecification plant, string pointId) =>
        plant.Lineups.FirstOrDefault(l => l.DrivePoints.Any(p => p.Id == pointId));

    public static string Tags(this PlantSpecification plant, IEnumerable<string> ids) =>
        string.Join(", ", ids.Select(id => plant.Point(id)?.Tag ?? id));

    public static PlantSpecification With(this PlantSpecification plant, Lineup lineup) =>
        plant with { Lineups = [.. plant.Lineups.Select(l => l.Id == lineup.Id ? lineup : l)] };

    public static PlantSpecification Changed(this PlantSpecification plant, IReadOnlyCollection<string> ids,
        Func<DrivePoint, DrivePoint> change) =>
        plant with { Lineups = [.. plant.Lineups.Select(l => l.DrivePoints.Any(p => ids.Contains(p.Id)) ? l.Changed(ids, change) : l)] };

    public static Lineup Changed(this Lineup lineup, IReadOnlyCollection<string> ids, Func<DrivePoint, DrivePoint> change) =>
        lineup with { DrivePoints = [.. lineup.DrivePoints.Select(p => ids.Contains(p.Id) ? change(p) : p)] };

    /// <summary>Arrangements and DC buses share their keys; those set aside count too.</summary>
    public static int FreeNumber(this PlantSpecification plant, string stem) => Free(stem, plant.Lineups
        .SelectMany(l => l.SetAside.SelectMany(v => v.Arrangements).Concat(l.Arrangements).Select(a => a.Id)
            .Concat(l.SetAside.SelectMany(v => v.DcBuses).Concat(l.DcBuses).Select(b => b.Id))));

    /// <summary>The least number from 1 with which no key is taken.</summary>
    public static int Free(string stem, IEnumerable<string> taken)
    {
        var keys = taken.ToHashSet(StringComparer.Ordinal);
        return Enumerable.Range(1, keys.Count + 1).First(n => !keys.Contains($"{stem}-{n}"));
    }

    /// <summary>A refusal where one of these is no drive point on the board, or none is named.</summary>
    public static CommandOutcome? Missing(this PlantSpecification plant, IReadOnlyList<string> ids)
    {
        if (ids.Count == 0)
        {
            return CommandOutcome.Not("pointIds", "No drive point is named.");
        }

        foreach (var id in ids)
        {
            if (plant.Point(id) is null)
            {
                return CommandOutcome.Unknown("pointIds", "Drive point", id);
            }
        }

        return null;
    }

    /// <summary>Points of one lineup in its order; a refusal otherwise.</summary>
    public static (Lineup? Lineup, CommandOutcome? Refusal) OneLineup(this PlantSpecification plant, IReadOnlyList<string> ids,
        int least = 1)
    {
        if (plant.Missing(ids) is { } missing)
        {
            return (null, missing);
        }

        if (ids.Distinct(StringComparer.Ordinal).Count() < least)
        {
            return (null, CommandOutcome.Not("pointIds", $"At least {least} drive points are needed."));
        }

        var lineup = plant.LineupOf(ids[0])!;
        return ids.All(id => lineup.DrivePoints.Any(p => p.Id == id))
            ? (lineup, null)
            : (null, CommandOutcome.Not("pointIds", "They stand in different lineups."));
    }
}
