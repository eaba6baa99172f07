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
    private const int MostKept = 20_000;

    private readonly ConcurrentDictionary<(string Plant, string Point, string Name), InstrumentReading> newest = new();
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
            foreach (var named in new[] { plant, string.Empty })
            {
                foreach (var point in new[] { pointId, tag })
                {
                    if (newest.TryGetValue((named, point, kind.Name), out var reading)
                        && (!found.TryGetValue(kind.Name, out var other) || other.Received < reading.Received))
                    {
                        found[kind.Name] = reading;
                    }
                }
            }
        }

        return found;
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
    }
}
