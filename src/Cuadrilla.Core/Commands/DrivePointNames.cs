using System.Globalization;
using System.Text.RegularExpressions;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Commands;

/// <summary>Keys and tags of new drive points: the next number in the plant's own way of tagging, DP-01, DP-02, …</summary>
internal static partial class DrivePointNames
{
    public static (string Id, string Tag) Next(PlantSpecification plant)
    {
        var points = plant.Lineups.SelectMany(l => l.DrivePoints.Concat(l.SetAside.SelectMany(v => v.DrivePoints))).ToList();
        var keys = points.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var tags = points.Select(p => p.Tag).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var number = points.Select(p => LastNumber().Match(p.Tag)).Where(m => m.Success)
            .Select(m => int.Parse(m.Value, CultureInfo.InvariantCulture)).DefaultIfEmpty(0).Max() + 1;
        while (keys.Contains(Key(number)) || tags.Contains(Tag(number)))
        {
            number++;
        }

        return (Key(number), Tag(number));
    }

    /// <summary>The name with the next number: pump, pump 2, pump 3.</summary>
    public static string Counted(PlantSpecification plant, string name)
    {
        const int longest = 80;
        var stem = LastNumber().Replace(name, string.Empty).TrimEnd();
        if (stem.Length == 0)
        {
            stem = name;
        }

        var names = plant.AllDrivePoints().Select(p => p.Name).ToHashSet(StringComparer.Ordinal);
        string Numbered(int number)
        {
            var end = FormattableString.Invariant($" {number}");
            return stem[..Math.Min(stem.Length, longest - end.Length)] + end;
        }

        return Numbered(Enumerable.Range(2, names.Count + 1).First(number => !names.Contains(Numbered(number))));
    }

    private static string Key(int number) => FormattableString.Invariant($"dp-{number:00}");

    private static string Tag(int number) => FormattableString.Invariant($"DP-{number:00}");

    // No more digits than a number of a tag can mean.
    [GeneratedRegex(@"(?<!\d)\d{1,6}$")]
    private static partial Regex LastNumber();
}
