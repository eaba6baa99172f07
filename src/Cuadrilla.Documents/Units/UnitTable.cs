using System.Collections.Frozen;
using System.Text.Json;
using System.Text.RegularExpressions;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Units;

/// <summary>All quantities, from <c>units.json</c>; the app is made from the same file.</summary>
public static class UnitTable
{
    private static readonly Lazy<FrozenDictionary<string, Quantity>> All = new(Load);

    // Units in sentences: those whose meaning needs no context. Flow may be of air or water, kW of shaft or line: these stay.
    private static readonly Lazy<Regex> InSentences = new(() => new Regex(
        @"(?<![\w.·/^√(])((?:[−-]?\d+(?:\.\d+)?)(?: to ))?([−-]?\d+(?:\.\d+)?) ("
            + string.Join('|', All.Value.Values.Where(q => q.Us != q.Shown && !q.Kept.StartsWith("m³/", StringComparison.Ordinal)
                && q.Kept == q.Shown)
                .Select(q => Regex.Escape(q.Kept)).OrderByDescending(u => u.Length))
            + @")(?![\w²³/·°^])",
        RegexOptions.Compiled | RegexOptions.CultureInvariant));

    /// <summary>The quantity with a key; plain numbers with that unit's name where there is none.</summary>
    public static Quantity Of(string kept) =>
        All.Value.TryGetValue(kept, out var found)
            ? found
            : new Quantity(kept, kept, kept, FrozenDictionary<string, (double, double)>.Empty, FrozenDictionary<string, double>.Empty);

    /// <summary>All of them.</summary>
    public static IEnumerable<Quantity> Quantities => All.Value.Values;

    /// <summary>A sentence of Core, which speaks SI, in other units.</summary>
    public static string Sentence(UnitSystem system, string text) =>
        system == UnitSystem.Si ? text : InSentences.Value.Replace(text, match =>
    {
        var quantity = Of(match.Groups[3].Value);
        if (match.Groups[1].Length > 0 && quantity.Names.Count > 0)
        {
            // Ranges of sizes are told in numbers.
            return match.Value;
        }

        var said = quantity.Say(system, Number(match.Groups[2].Value), Digits(match.Groups[2].Value));
        return match.Groups[1].Length == 0
            ? said
            : $"{quantity.Say(system, Number(match.Groups[1].Value[..^" to ".Length]), Digits(match.Groups[1].Value)).Split(' ')[0]} to "
                + $"{said}";
    });

    private static double Number(string text) => double.Parse(text.Replace('−', '-'), System.Globalization.CultureInfo.InvariantCulture);

    // As many as it had, three at least.
    private static int Digits(string number) => Math.Max(3, number.Count(char.IsAsciiDigit));

    private static FrozenDictionary<string, Quantity> Load()
    {
        using var stream = typeof(UnitTable).Assembly.GetManifestResourceStream("units.json")
            ?? throw new InvalidDataException("The units are missing from the program.");
        var file = JsonSerializer.Deserialize<File>(stream, JsonSerializerOptions.Web)
            ?? throw new InvalidDataException("The units can't be read.");
        return file.Quantities.Select(Made).ToFrozenDictionary(q => q.Kept, StringComparer.Ordinal);
    }

    private static Quantity Made(Entry e)
    {
        var shown = e.Shown ?? e.Kept;
        var accepts = e.Accepts.ToFrozenDictionary(
            a => Quantity.Normal(a.Key),
            a => a.Value.ValueKind == JsonValueKind.Array ? (a.Value[0].GetDouble(), a.Value[1].GetDouble()) : (a.Value.GetDouble(), 0.0),
            StringComparer.Ordinal);
        return new Quantity(e.Kept, shown, e.Us ?? shown, accepts, (e.Names ?? []).ToFrozenDictionary(StringComparer.Ordinal));
    }

    private sealed record File(string Source, IReadOnlyList<Entry> Quantities);

    private sealed record Entry(string Kept, string? Shown, string? Us, Dictionary<string, JsonElement> Accepts,
        Dictionary<string, double>? Names);
}
