using System.ComponentModel.DataAnnotations;
using System.Globalization;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Documents.Projects;

/// <summary>An entry of the site's log in a project file.</summary>
/// <param name="Number">Its number, rising from 1 without a gap.</param>
/// <param name="AtUtc">When it was made, ISO 8601 in UTC.</param>
/// <param name="Who">Who made it, 1 to 60 characters.</param>
/// <param name="PointId">Drive point.</param>
/// <param name="StepId">Step; of a parameter as left <c>parameter/</c> and its key.</param>
/// <param name="Verdict">Verdict at the time.</param>
/// <param name="Result">What was found, in a sentence.</param>
/// <param name="Values">Values by key of the quantity.</param>
/// <param name="Run">Points of a run.</param>
/// <param name="Done">Seen and in order or not; null: the values say it.</param>
/// <param name="Basis">What it rests on: lines by aspect.</param>
/// <param name="Edit">Edit of the specification it was made on, where it was made.</param>
public sealed record LoggedEntry(
    [Range(1, 1e9)] long Number, string AtUtc, string Who, string PointId, string StepId, Verdict Verdict, string Result,
    IReadOnlyDictionary<string, double> Values, IReadOnlyList<RunPoint> Run, bool? Done,
    IReadOnlyDictionary<string, IReadOnlyList<string>> Basis, [Range(1, 1e9)] long Edit)
{
    private const int LongestName = 60;
    private const int LongestText = 2000;
    private const double Large = 1e9;

    /// <summary>A remark; of a parameter its value as left.</summary>
    public string Note { get; init; } = string.Empty;

    /// <summary>Instrument.</summary>
    public string Instrument { get; init; } = string.Empty;

    /// <summary>Date of its calibration, yyyy-mm-dd; null: not stated.</summary>
    public string? Calibrated { get; init; }

    /// <summary>It is from a simulated stand-in.</summary>
    public bool Simulated { get; init; }

    /// <summary>The entry that it corrects; null otherwise.</summary>
    public long? Corrects { get; init; }

    /// <summary>What of a log can't be accepted.</summary>
    /// <param name="log">Its entries in their order.</param>
    public static IEnumerable<InputProblem> Problems(IReadOnlyList<LoggedEntry> log)
    {
        ArgumentNullException.ThrowIfNull(log);
        for (var i = 0; i < log.Count; i++)
        {
            foreach (var (field, value, allowed) in log[i].Wrong(i, log))
            {
                yield return InputProblem.Of($"/log/{i}/{field}", field, value, allowed);
            }
        }
    }

    private IEnumerable<(string Field, string Value, string Allowed)> Wrong(int index, IReadOnlyList<LoggedEntry> log)
    {
        if (Number != index + 1)
        {
            yield return ("number", Text(Number), $"{index + 1}: numbers rise from 1 without a gap");
        }

        if (!DateTimeOffset.TryParse(AtUtc, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out _))
        {
            yield return ("atUtc", $"'{Short(AtUtc)}'", "a time, ISO 8601");
        }

        if (Calibrated is { } date && !DateOnly.TryParseExact(date, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out _))
        {
            yield return ("calibrated", $"'{Short(date)}'", "a date, yyyy-mm-dd");
        }

        foreach (var (field, words, most, least) in new[]
        {
            ("who", Who, LongestName, 1), ("pointId", PointId, LongestName, 1), ("stepId", StepId, LongestName, 1),
            ("result", Result, LongestText, 0),
            ("note", Note, LongestText, 0), ("instrument", Instrument, LongestText, 0),
        })
        {
            if (words.Length < least || words.Length > most || PlainWords.FirstStrange(words) is not null)
            {
                yield return (field, $"'{Short(words)}'", $"{least} to {most} characters that neither control nor turn the direction");
            }
        }

        if (Values.Values.Concat(Run.SelectMany(p => new[] { p.TimeS, p.Value })).Any(v => !(Math.Abs(v) <= Large)))
        {
            yield return ("values", "beyond", "−1e9 to 1e9");
        }

        if (Corrects is { } earlier && !(earlier >= 1 && earlier < Number && earlier <= index
            && log[(int)earlier - 1] is { } corrected && corrected.PointId == PointId && corrected.StepId == StepId))
        {
            yield return ("corrects", Text(earlier), "an earlier entry of the same step and drive point");
        }
    }

    private static string Text(long number) => number.ToString(CultureInfo.InvariantCulture);

    private static string Short(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
