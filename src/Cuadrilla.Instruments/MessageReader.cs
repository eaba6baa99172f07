using System.Globalization;
using System.Text;
using System.Text.Json;
using Cuadrilla.Core.Commissioning;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Instruments;

/// <summary>Makes readings of messages by the maps; what it can't read is counted and told, and stops nothing.</summary>
/// <param name="maps">Maps.</param>
/// <param name="board">Where readings go.</param>
/// <param name="clock">Tells when a message came.</param>
public sealed class MessageReader(IReadOnlyList<TopicMap> maps, ReadingBoard board, TimeProvider clock)
{
    private const int MostBytes = 64 * 1024;
    private const double Large = 1e9;
    private static readonly TimeSpan Ahead = TimeSpan.FromMinutes(1);
    private readonly List<Route> routes = [.. maps.SelectMany(m => m.Topics.Select(t => new Route(m, t)))];

    /// <summary>Filters to subscribe to.</summary>
    public IReadOnlyList<string> Filters => [.. routes.Select(r => r.Filter).Distinct(StringComparer.Ordinal)];

    /// <summary>Reads a message.</summary>
    /// <param name="topic">Its topic.</param>
    /// <param name="payload">Its payload.</param>
    /// <param name="isRetained">The broker kept it from before.</param>
    public void Read(string topic, ReadOnlySpan<byte> payload, bool isRetained)
    {
        var levels = topic.Split('/');
        var found = routes.Where(r => r.Fits(levels)).ToList();
        if (found.Count == 0)
        {
            board.Unmapped();
            return;
        }

        if (payload.Length is 0 or > MostBytes)
        {
            board.Refuse(topic, $"{payload.Length} bytes; 1 to {MostBytes} are read");
            return;
        }

        try
        {
            using var document = JsonDocument.Parse(payload.ToArray(), new JsonDocumentOptions { MaxDepth = 16 });
            foreach (var route in found)
            {
                Read(topic, levels, route, document.RootElement, isRetained);
            }
        }
        catch (JsonException)
        {
            board.Refuse(topic, "no JSON: " + Shown(payload));
        }
    }

    private static string Shown(ReadOnlySpan<byte> payload) =>
        string.Concat(Encoding.UTF8.GetString(payload[..Math.Min(payload.Length, 40)]).Where(c => !char.IsControl(c)));

    private void Read(string topic, string[] levels, Route route, JsonElement root, bool isRetained)
    {
        var now = clock.GetUtcNow();
        var at = now;
        if (route.Topic.At.Length > 0 && !TryTime(At(root, route.Topic.At), out at))
        {
            board.Refuse(topic, $"no time at {route.Topic.At}");
            return;
        }

        if (at > now + Ahead)
        {
            board.Refuse(topic, $"read in the future: {at:yyyy-MM-ddTHH:mm:ssZ}");
            return;
        }

        double? runS = route.Topic.RunTime.Length > 0 && At(root, route.Topic.RunTime) is { ValueKind: JsonValueKind.Number } run
            && run.TryGetDouble(out var seconds) && seconds is >= 0 and <= Large ? seconds : null;

        // Kept by the broker and without a time of its own: nobody knows how old it is.
        var isGood = (route.Topic.Quality.Length == 0
                || At(root, route.Topic.Quality) is { } quality && route.Topic.Good.Contains(Plain(quality)))
            && !(isRetained && route.Topic.At.Length == 0);
        var isSimulated = route.Map.Simulated || root.ValueKind == JsonValueKind.Object
            && root.TryGetProperty("simulated", out var says) && says.ValueKind != JsonValueKind.False;
        var (plant, point) = route.Named(levels);
        var instrument = route.Topic.Instrument.Length > 0 ? route.Topic.Instrument : route.Map.Name;
        foreach (var (name, mapped) in route.Topic.Readings)
        {
            var kind = ReadingKind.Named(name)!;
            if (At(root, mapped.From) is not { } element)
            {
                // Many gateways send only what has changed.
                continue;
            }

            double? value = null;
            if (element.ValueKind == JsonValueKind.Number && element.TryGetDouble(out var sent))
            {
                value = Kept(kind, mapped.Unit, sent);
            }
            else if (element.ValueKind != JsonValueKind.Null)
            {
                board.Refuse(topic, $"no number at {mapped.From}");
                continue;
            }

            if (value is { } v && !(Math.Abs(v) <= Large))
            {
                board.Refuse(topic, $"{name} is beyond 1e9");
                continue;
            }

            board.Take(new InstrumentReading(0, plant, point, kind, value, at, now, runS, isGood && value is not null, isSimulated,
                instrument, route.Topic.Calibrated, route.Map.Name));
        }

        foreach (var (name, mapped) in route.Topic.Waves)
        {
            if (At(root, mapped.From) is not { ValueKind: not JsonValueKind.Null } element)
            {
                continue;
            }

            if (Samples(ReadingKind.WaveNamed(name)!, mapped, element) is not { } samples)
            {
                board.Refuse(topic, $"no {InstrumentWave.LeastSamples} to {InstrumentWave.MostSamples} "
                    + $"numbers within 1e9 at {mapped.From}");
            }
            else if (!(At(root, mapped.PeriodMs) is { ValueKind: JsonValueKind.Number } period && period.TryGetDouble(out var ms)
                && ms is >= 1 and <= 1000))
            {
                board.Refuse(topic, $"no period of 1 to 1000 ms at {mapped.PeriodMs}");
            }
            else
            {
                board.Take(new InstrumentWave(plant, point, ReadingKind.WaveNamed(name)!, ms, samples, at, now, isGood, isSimulated,
                    instrument, route.Map.Name));
            }
        }
    }

    private static double[]? Samples(ReadingKind kind, MappedWave mapped, JsonElement element)
    {
        if (element.ValueKind != JsonValueKind.Array
            || element.GetArrayLength() is < InstrumentWave.LeastSamples or > InstrumentWave.MostSamples)
        {
            return null;
        }

        var samples = new double[element.GetArrayLength()];
        for (var i = 0; i < samples.Length; i++)
        {
            if (element[i] is not { ValueKind: JsonValueKind.Number } sent || !sent.TryGetDouble(out var value)
                || Kept(kind, mapped.Unit, value) is not { } kept || !(Math.Abs(kept) <= Large))
            {
                return null;
            }

            samples[i] = kept;
        }

        return samples;
    }

    private static double? Kept(ReadingKind kind, string unit, double value) => unit == kind.Unit ? value
        : UnitTable.Of(kind.Unit).Read(value.ToString("R", CultureInfo.InvariantCulture) + " " + unit);

    private static string Plain(JsonElement element) => element.ValueKind == JsonValueKind.String
        ? element.GetString()! : element.GetRawText();

    private static JsonElement? At(JsonElement root, string pointer)
    {
        var at = root;
        foreach (var part in pointer.Length == 0 ? [] : pointer[1..].Split('/'))
        {
            var key = part.Replace("~1", "/", StringComparison.Ordinal).Replace("~0", "~", StringComparison.Ordinal);
            if (at.ValueKind == JsonValueKind.Object && at.TryGetProperty(key, out var next))
            {
                at = next;
            }
            else if (at.ValueKind == JsonValueKind.Array && int.TryParse(key, out var index) && index >= 0 && index < at.GetArrayLength())
            {
                at = at[index];
            }
            else
            {
                return null;
            }
        }

        return at;
    }

    private static bool TryTime(JsonElement? element, out DateTimeOffset at)
    {
        const double MillisecondsFrom = 1e11;
        at = default;
        if (element is { ValueKind: JsonValueKind.String } text)
        {
            return DateTimeOffset.TryParse(text.GetString(), CultureInfo.InvariantCulture,
                DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal, out at);
        }

        if (element is not { ValueKind: JsonValueKind.Number } number || !number.TryGetDouble(out var since)
            || !(since is >= 0 and < 2.5e14))
        {
            return false;
        }

        at = DateTimeOffset.UnixEpoch.AddMilliseconds(since >= MillisecondsFrom ? since : 1e3 * since);
        return true;
    }

    private sealed class Route(TopicMap map, MappedTopic topic)
    {
        private readonly string[] levels = topic.Topic.Split('/');

        public TopicMap Map => map;

        public MappedTopic Topic => topic;

        public string Filter { get; } = string.Join('/', topic.Topic.Split('/').Select(l => l is "{plant}" or "{point}" ? "+" : l));

        public bool Fits(string[] named)
        {
            if (named.Length != levels.Length)
            {
                return false;
            }

            for (var i = 0; i < levels.Length; i++)
            {
                if (levels[i] is not ("{plant}" or "{point}") && levels[i] != named[i])
                {
                    return false;
                }
            }

            return true;
        }

        public (string Plant, string Point) Named(string[] named)
        {
            string Level(string which, string otherwise) => Array.IndexOf(levels, which) is >= 0 and var i ? named[i] : otherwise;
            return (Level("{plant}", string.Empty), Level("{point}", topic.Point));
        }
    }
}
