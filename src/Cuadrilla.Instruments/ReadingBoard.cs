using System.Collections.Concurrent;
using Cuadrilla.Core.Commissioning;

namespace Cuadrilla.Instruments;

/// <summary>A reading as it came in.</summary>
/// <param name="Number">Rising with every reading since the server started.</param>
/// <param name="Plant">Plant that the topic named; empty: any.</param>
/// <param name="Point">Drive point, by key or tag.</param>
/// <param name="Kind">Quantity.</param>
/// <param name="Value">Value in the unit of the quantity; null: the instrument has none now.</param>
/// <param name="At">When it was read.</param>
/// <param name="Received">When it came in.</param>
/// <param name="RunS">Time within a run, s; null: by <paramref name="At"/>.</param>
/// <param name="IsGood">The instrument calls it good.</param>
/// <param name="IsSimulated">It is from a simulated instrument.</param>
/// <param name="Instrument">What the instrument is called.</param>
/// <param name="Calibrated">Date of its calibration; null: not stated.</param>
/// <param name="Map">Map that it came by.</param>
public sealed record InstrumentReading(long Number, string Plant, string Point, ReadingKind Kind, double? Value, DateTimeOffset At,
    DateTimeOffset Received, double? RunS, bool IsGood, bool IsSimulated, string Instrument, string? Calibrated, string Map);

/// <summary>How often messages came and what became of them.</summary>
/// <param name="Taken">Readings taken.</param>
/// <param name="Late">Readings older than one already there, left aside.</param>
/// <param name="Repeated">Readings that had come before, left aside.</param>
/// <param name="Refused">Messages that could not be read.</param>
/// <param name="Unmapped">Messages on topics of no map.</param>
/// <param name="LastRefusal">Why the last one was refused, with its topic.</param>
public sealed record MessageCounts(long Taken, long Late, long Repeated, long Refused, long Unmapped, string LastRefusal);

/// <summary>The newest reading of every quantity, and who listens for more of them.</summary>
public sealed class ReadingBoard
{
    // 800 drive points with all their quantities, and some.
    private const int MostKept = 60_000, MostWaves = 2_000;

    private readonly ConcurrentDictionary<(string Plant, string Point, string Name), InstrumentReading> newest = new();
    private readonly ConcurrentDictionary<(string Plant, string Point, string Name), InstrumentWave> waves = new();
    private long number, taken, late, repeated, refused, unmapped;
    private volatile string lastRefusal = string.Empty;

    /// <summary>Told of each reading that was taken; called on the thread that brings it.</summary>
    public event Action<InstrumentReading>? Came;

    /// <summary>What became of the messages so far.</summary>
    public MessageCounts Counts => new(Interlocked.Read(ref taken), Interlocked.Read(ref late), Interlocked.Read(ref repeated),
        Interlocked.Read(ref refused), Interlocked.Read(ref unmapped), lastRefusal);

    /// <summary>Newest readings of a drive point, by name; of several sources the newest.</summary>
    /// <param name="plant">Plant.</param>
    /// <param name="pointId">Key of the drive point.</param>
    /// <param name="tag">Its tag.</param>
    public IReadOnlyDictionary<string, InstrumentReading> Of(string plant, string pointId, string tag)
    {
        Dictionary<string, InstrumentReading> found = new(StringComparer.Ordinal);
        foreach (var kind in ReadingKind.All)
        {
            if (Newest(newest, r => r.Received, plant, pointId, tag, kind.Name) is { } reading)
            {
                found[kind.Name] = reading;
            }
        }

        return found;
    }

    /// <summary>Newest cycle of a quantity at a drive point; null where there is none.</summary>
    /// <param name="plant">Plant.</param>
    /// <param name="pointId">Key of the drive point.</param>
    /// <param name="tag">Its tag.</param>
    /// <param name="name">Name of the quantity.</param>
    public InstrumentWave? WaveOf(string plant, string pointId, string tag, string name) =>
        Newest(waves, w => w.Received, plant, pointId, tag, name);

    /// <summary>Takes a cycle, unless it is late or was there before.</summary>
    /// <param name="wave">The cycle.</param>
    public void Take(InstrumentWave wave)
    {
        ArgumentNullException.ThrowIfNull(wave);
        var key = (wave.Plant, wave.Point, wave.Kind.Name);
        if (waves.TryGetValue(key, out var before) && wave.At <= before.At)
        {
            Interlocked.Increment(ref wave.At < before.At ? ref late : ref repeated);
            return;
        }

        if (before is null && waves.Count >= MostWaves)
        {
            Refuse(wave.Point, $"more than {MostWaves} cycles");
            return;
        }

        waves[key] = wave;
        Interlocked.Increment(ref taken);
    }

    /// <summary>Takes a reading, unless it is late or was there before.</summary>
    /// <param name="reading">The reading; its number is given here.</param>
    public void Take(InstrumentReading reading)
    {
        ArgumentNullException.ThrowIfNull(reading);
        var key = (reading.Plant, reading.Point, reading.Kind.Name);
        if (newest.TryGetValue(key, out var before))
        {
            if (reading.At < before.At)
            {
                Interlocked.Increment(ref late);
                return;
            }

            if (reading.At == before.At && reading.Value == before.Value && reading.IsGood == before.IsGood)
            {
                Interlocked.Increment(ref repeated);
                return;
            }
        }
        else if (newest.Count >= MostKept)
        {
            Refuse(reading.Point, $"more than {MostKept} quantities");
            return;
        }

        var numbered = reading with { Number = Interlocked.Increment(ref number) };
        newest[key] = numbered;
        Interlocked.Increment(ref taken);
        Came?.Invoke(numbered);
    }

    /// <summary>Counts a message that could not be read.</summary>
    /// <param name="topic">Its topic.</param>
    /// <param name="why">What is wrong with it.</param>
    public void Refuse(string topic, string why)
    {
        Interlocked.Increment(ref refused);
        var clean = string.Concat((topic ?? string.Empty).Where(c => !char.IsControl(c)).Take(120));
        lastRefusal = $"{clean}: {why}";
    }

    /// <summary>Counts a message that no map describes.</summary>
    public void Unmapped() => Interlocked.Increment(ref unmapped);

    /// <summary>Forgets what was read of a plant.</summary>
    /// <param name="plant">Plant.</param>
    public void Forget(string plant)
    {
        foreach (var key in newest.Keys.Where(k => k.Plant == plant))
        {
            newest.TryRemove(key, out _);
        }

        foreach (var key in waves.Keys.Where(k => k.Plant == plant))
        {
            waves.TryRemove(key, out _);
        }
    }

    private static T? Newest<T>(ConcurrentDictionary<(string Plant, string Point, string Name), T> kept, Func<T, DateTimeOffset> received,
        string plant, string pointId, string tag, string name)
        where T : class
    {
        T? found = null;
        foreach (var key in new[] { (plant, pointId), (plant, tag), (string.Empty, pointId), (string.Empty, tag) })
        {
            if (kept.TryGetValue((key.Item1, key.Item2, name), out var one) && (found is null || received(found) < received(one)))
            {
                found = one;
            }
        }

        return found;
    }
}
