using System.Text;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Instruments;

/// <summary>Where in a payload a quantity stands.</summary>
/// <param name="From">JSON pointer to its number; empty: the payload is the number.</param>
/// <param name="Unit">Unit it is sent in; any that the quantity can be entered in.</param>
public sealed record MappedReading(string From, string Unit);

/// <summary>Where in a payload a cycle stands.</summary>
/// <param name="From">JSON pointer to the array of its samples, at equal distance.</param>
/// <param name="PeriodMs">JSON pointer to the duration of the cycle, ms.</param>
/// <param name="Unit">Unit of the samples; any that the quantity can be entered in.</param>
public sealed record MappedWave(string From, string PeriodMs, string Unit);

/// <summary>A topic of a map.</summary>
/// <param name="Topic">Topic; a level <c>{plant}</c> or <c>{point}</c> stands for whatever is there.</param>
/// <param name="Readings">Readings by the name of the quantity.</param>
public sealed record MappedTopic(string Topic, IReadOnlyDictionary<string, MappedReading> Readings)
{
    /// <summary>Cycles by the name of the quantity.</summary>
    public IReadOnlyDictionary<string, MappedWave> Waves { get; init; } = new Dictionary<string, MappedWave>();

    /// <summary>Drive point by tag or key, where the topic does not tell it.</summary>
    public string Point { get; init; } = string.Empty;

    /// <summary>What the instrument is called; empty: by its kind.</summary>
    public string Instrument { get; init; } = string.Empty;

    /// <summary>Date of its calibration, yyyy-mm-dd.</summary>
    public string? Calibrated { get; init; }

    /// <summary>Pointer to the time of the reading: ISO 8601, or seconds or milliseconds since 1970; empty: when it arrives.</summary>
    public string At { get; init; } = string.Empty;

    /// <summary>Pointer to the time within a run, s; empty: by the time of the reading.</summary>
    public string RunTime { get; init; } = string.Empty;

    /// <summary>Pointer to the quality; empty: good whenever there is a number.</summary>
    public string Quality { get; init; } = string.Empty;

    /// <summary>Values of the quality that are good, as text.</summary>
    public IReadOnlyList<string> Good { get; init; } = ["good", "true", "192"];
}

/// <summary>
/// How an instrument or a gateway publishes: topics, where in their payloads which quantity stands, in which unit. A small open file
/// (<c>docs/instruments.md</c>).
/// </summary>
/// <param name="Format">Always <see cref="FormatName"/>.</param>
/// <param name="Version">Version of the format.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Topics">Its topics.</param>
public sealed record TopicMap(string Format, int Version, string Name, IReadOnlyList<MappedTopic> Topics)
{
    /// <summary>What a file says it is.</summary>
    public const string FormatName = "cuadrilla-topics";

    private const int LongestName = 60, MostTopics = 500, LongestTopic = 200, MostBytes = 256 * 1024;

    /// <summary>All it tells is simulated; a payload that says so of itself is in any case.</summary>
    public bool Simulated { get; init; }

    /// <summary>Reads and checks a file.</summary>
    /// <param name="utf8">JSON.</param>
    /// <exception cref="InputException">What does not fit, by field.</exception>
    public static TopicMap Read(ReadOnlySpan<byte> utf8)
    {
        if (utf8.Length > MostBytes)
        {
            throw Refused(string.Empty, "Size", $"{utf8.Length} bytes", $"up to {MostBytes} bytes");
        }

        var map = JsonReading.Read<TopicMap>(utf8, ProjectJson.Options);
        var problems = Problems(map).Take(20).ToList();
        return problems.Count == 0 ? map : throw new InputException(problems);
    }

    /// <summary>The map of the stand-ins that ship.</summary>
    public static TopicMap OfStandIns { get; } = BuiltIn();

    private static TopicMap BuiltIn()
    {
        using var stream = typeof(TopicMap).Assembly.GetManifestResourceStream("stand-ins.topics.json")!;
        using var bytes = new MemoryStream();
        stream.CopyTo(bytes);
        return Read(bytes.ToArray());
    }

    private static IEnumerable<InputProblem> Problems(TopicMap map)
    {
        if (map.Format != FormatName)
        {
            yield return InputProblem.Of("/format", "Format", $"'{Cut(map.Format)}'", FormatName);
        }

        if (map.Version != 1)
        {
            yield return InputProblem.Of("/version", "Version", $"{map.Version}", "1");
        }

        if (map.Name.Trim().Length is 0 or > LongestName || map.Name.Any(char.IsControl))
        {
            yield return InputProblem.Of("/name", "Name", $"'{Cut(map.Name)}'", $"1 to {LongestName} characters");
        }

        if (map.Topics.Count is 0 or > MostTopics)
        {
            yield return InputProblem.Of("/topics", "Topics", $"{map.Topics.Count}", $"1 to {MostTopics}");
        }

        for (var i = 0; i < map.Topics.Count; i++)
        {
            foreach (var problem in Problems(map.Topics[i], $"/topics/{i}"))
            {
                yield return problem;
            }
        }
    }

    private static IEnumerable<InputProblem> Problems(MappedTopic topic, string at)
    {
        var levels = topic.Topic.Split('/');
        if (topic.Topic.Length is 0 || Encoding.UTF8.GetByteCount(topic.Topic) > LongestTopic
            || topic.Topic.IndexOfAny(['+', '#', '\0']) >= 0
            || topic.Topic.StartsWith('$') || levels.Any(l => l.Contains('{') && l is not ("{plant}" or "{point}"))
            || levels.Count(l => l == "{point}") > 1 || levels.Count(l => l == "{plant}") > 1)
        {
            yield return InputProblem.Of(at + "/topic", "Topic", $"'{Cut(topic.Topic)}'",
                $"1 to {LongestTopic} bytes, no wildcards; {{plant}} and {{point}} once each as whole levels");
        }

        if (levels.Contains("{point}") == topic.Point.Length > 0)
        {
            yield return InputProblem.Of(at + "/point", "Drive point", $"'{Cut(topic.Point)}'",
                "a level {point} in the topic, or a drive point here: one of both");
        }

        if (topic.Readings.Count + topic.Waves.Count == 0)
        {
            yield return InputProblem.Of(at + "/readings", "Readings", "none", "one or more");
        }

        if (topic.Calibrated is { } date && !DateOnly.TryParseExact(date, "yyyy-MM-dd", out _))
        {
            yield return InputProblem.Of(at + "/calibrated", "Calibrated", $"'{Cut(date)}'", "a date, yyyy-mm-dd");
        }

        foreach (var (pointer, field) in new[] { (topic.At, "at"), (topic.RunTime, "runTime"), (topic.Quality, "quality") })
        {
            if (pointer.Length > 0 && !pointer.StartsWith('/'))
            {
                yield return InputProblem.Of($"{at}/{field}", "Pointer", $"'{Cut(pointer)}'", "empty, or a JSON pointer: /values/speed");
            }
        }

        foreach (var (name, reading) in topic.Readings)
        {
            if (ReadingKind.Named(name) is not { } kind)
            {
                yield return InputProblem.Of($"{at}/readings/{Cut(name)}", "Quantity", $"'{Cut(name)}'",
                    "a name of docs/instruments.md, as winding.uv or motor.amps");
            }
            else if (Strange(kind, reading.Unit) is { } accepted)
            {
                yield return InputProblem.Of($"{at}/readings/{name}/unit", "Unit", $"'{Cut(reading.Unit)}'", accepted);
            }

            if (reading.From.Length > 0 && !reading.From.StartsWith('/'))
            {
                yield return InputProblem.Of($"{at}/readings/{Cut(name)}/from", "Pointer", $"'{Cut(reading.From)}'",
                    "empty, or a JSON pointer: /values/speed");
            }
        }

        foreach (var (name, wave) in topic.Waves)
        {
            if (ReadingKind.WaveNamed(name) is not { } kind)
            {
                yield return InputProblem.Of($"{at}/waves/{Cut(name)}", "Quantity", $"'{Cut(name)}'",
                    string.Join(", ", ReadingKind.Waves.Select(w => w.Name)));
            }
            else if (Strange(kind, wave.Unit) is { } accepted)
            {
                yield return InputProblem.Of($"{at}/waves/{name}/unit", "Unit", $"'{Cut(wave.Unit)}'", accepted);
            }

            foreach (var (pointer, field) in new[] { (wave.From, "from"), (wave.PeriodMs, "periodMs") })
            {
                if (!pointer.StartsWith('/'))
                {
                    yield return InputProblem.Of($"{at}/waves/{Cut(name)}/{field}", "Pointer", $"'{Cut(pointer)}'",
                        "a JSON pointer: /values/current");
                }
            }
        }
    }

    // Units that a quantity takes, where this one is none of them.
    private static string? Strange(ReadingKind kind, string unit) =>
        UnitTable.Of(kind.Unit) is { } quantity && unit != kind.Unit && quantity.Read("1 " + unit) is null
            ? string.Join(", ", quantity.Accepts.Keys.DefaultIfEmpty("none")) : null;

    private static InputException Refused(string pointer, string name, string value, string allowed) =>
        new(InputProblem.Of(pointer, name, value, allowed));

    private static string Cut(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
