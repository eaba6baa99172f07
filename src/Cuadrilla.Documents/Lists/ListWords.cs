using System.Text.Json;
using System.Text.RegularExpressions;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Loads;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Lists;

/// <summary>Words by which lists call machines and starters, from <c>load-words.json</c>.</summary>
internal static class ListWords
{
    private static readonly Lazy<File> Words = new(() =>
    {
        using var stream = typeof(ListWords).Assembly.GetManifestResourceStream("load-words.json")
            ?? throw new InvalidDataException("The words of lists are missing from the program.");
        return JsonSerializer.Deserialize<File>(stream, JsonSerializerOptions.Web)
            ?? throw new InvalidDataException("The words of lists can't be read.");
    });

    /// <summary>Kind of load that a text names; null for none.</summary>
    public static string? Kind(string text) =>
        Words.Value.Kinds.FirstOrDefault(k => Names(text, k.Words, wholeWords: false) || Normal(k.Kind) == Normal(text))?.Kind;

    /// <summary>Way of feeding that a text names; null for none.</summary>
    public static ListedFeed? Feed(string text) =>
        Words.Value.Feeds.FirstOrDefault(f => Names(text, f.Words, wholeWords: true) || Normal(f.Feed) == Normal(text))?.Feed is { } found
        ? Enum.GetValues<ListedFeed>().First(v => JsonNamingPolicy.KebabCaseLower.ConvertName(v.ToString()) == found)
        : null;

    /// <summary>All kinds of loads that files know.</summary>
    public static IReadOnlyDictionary<string, Type> Kinds => ProjectJson.KindsOf(typeof(Load));

    private static bool Names(string text, IReadOnlyList<string> words, bool wholeWords) =>
        words.Any(w => Regex.IsMatch(text, $@"(?<!\w){Regex.Escape(w)}{(wholeWords ? @"(?!\w)" : string.Empty)}",
            RegexOptions.IgnoreCase | RegexOptions.CultureInvariant));

    private static string Normal(string text) => text.Trim().ToLowerInvariant().Replace(' ', '-');

    private sealed record File(IReadOnlyList<KindWords> Kinds, IReadOnlyList<FeedWords> Feeds);

    private sealed record KindWords(string Kind, IReadOnlyList<string> Words);

    private sealed record FeedWords(string Feed, IReadOnlyList<string> Words);
}
