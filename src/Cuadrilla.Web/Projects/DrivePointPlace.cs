using System.Text.Json;
using System.Text.RegularExpressions;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Web.Projects;

/// <summary>A drive point by where it stands in a plant and in its text.</summary>
/// <param name="Lineup">Which lineup, from nought.</param>
/// <param name="Point">Which of its drive points, from nought.</param>
/// <param name="Prefix">Pointer to it.</param>
internal sealed partial record DrivePointPlace(int Lineup, int Point, string Prefix)
{
    /// <summary>Objects and lists around a drive point.</summary>
    public const int Depth = 4;

    /// <summary>That which all paths lead into; null where they lead elsewhere.</summary>
    public static DrivePointPlace? Of(PlantSpecification plant, IEnumerable<string> paths)
    {
        DrivePointPlace? place = null;
        foreach (var path in paths)
        {
            if (place is null)
            {
                var match = Start().Match(path);
                if (!match.Success
                    || !int.TryParse(match.Groups[1].ValueSpan, out var lineup) || lineup >= plant.Lineups.Count
                    || !int.TryParse(match.Groups[2].ValueSpan, out var point) || point >= plant.Lineups[lineup].DrivePoints.Count)
                {
                    return null;
                }

                // The slash after it stays with the rest.
                place = new DrivePointPlace(lineup, point, match.Value[..^1]);
            }
            else if (!path.StartsWith(place.Prefix + "/", StringComparison.Ordinal))
            {
                return null;
            }
        }

        return place;
    }

    /// <summary>The plant with another drive point there.</summary>
    public PlantSpecification With(PlantSpecification plant, DrivePoint point) => plant with
    {
        Lineups = [.. plant.Lineups.Select((l, i) => i != Lineup
            ? l
            : l with { DrivePoints = [.. l.DrivePoints.Select((p, j) => j == Point ? point : p)] })],
    };

    /// <summary>From where to where it stands in the text of the plant.</summary>
    public (int Start, int End) In(ReadOnlySpan<byte> text)
    {
        var reader = new Utf8JsonReader(text);
        reader.Read();
        ToValue(ref reader, "lineups"u8);
        ToEntry(ref reader, Lineup);
        ToValue(ref reader, "drivePoints"u8);
        ToEntry(ref reader, Point);
        var start = (int)reader.TokenStartIndex;
        reader.Skip();
        return (start, (int)reader.BytesConsumed);
    }

    // From the beginning of an object to the value of a field that it has.
    private static void ToValue(ref Utf8JsonReader reader, ReadOnlySpan<byte> name)
    {
        while (reader.Read() && !reader.ValueTextEquals(name))
        {
            reader.Skip();
        }

        reader.Read();
    }

    // From the beginning of a list to the beginning of an entry that it has.
    private static void ToEntry(ref Utf8JsonReader reader, int index)
    {
        reader.Read();
        for (var i = 0; i < index; i++)
        {
            reader.Skip();
            reader.Read();
        }
    }

    [GeneratedRegex("^/lineups/(0|[1-9][0-9]{0,5})/drivePoints/(0|[1-9][0-9]{0,5})/(?=[^/])", RegexOptions.CultureInvariant)]
    private static partial Regex Start();
}
