using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments;

namespace Cuadrilla.Web.Instruments;

/// <summary>A topic map as it lies on disk.</summary>
/// <param name="File">Its name; empty: it ships with the program.</param>
/// <param name="Map">The map; null where it can't be read.</param>
/// <param name="Problem">Why not.</param>
internal sealed record StoredMap(string File, TopicMap? Map, string Problem);

/// <summary>Topic maps of a server: files in the folder <c>topic-maps</c> beside its database.</summary>
internal static class MapFiles
{
    private const int Most = 100;

    /// <summary>All of them; one that can't be read stops no other.</summary>
    public static IReadOnlyList<StoredMap> Read(string folder) =>
    [
        new(string.Empty, TopicMap.OfStandIns, string.Empty),
        .. Directory.Exists(folder)
            ? Directory.EnumerateFiles(folder, "*.json").Order(StringComparer.Ordinal).Take(Most).Select(One)
            : [],
    ];

    /// <summary>Name of a map's file: letters and digits of its own name.</summary>
    public static string NameOf(TopicMap map)
    {
        var plain = string.Concat(map.Name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')).Trim('-');
        return plain.Length > 0 ? plain : "map";
    }

    private static StoredMap One(string file)
    {
        var name = Path.GetFileName(file);
        try
        {
            return new(name, TopicMap.Read(File.ReadAllBytes(file)), string.Empty);
        }
        catch (Exception problem) when (problem is InputException or IOException or UnauthorizedAccessException)
        {
            return new(name, null, problem.Message);
        }
    }
}
