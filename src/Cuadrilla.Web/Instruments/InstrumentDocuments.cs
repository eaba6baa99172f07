using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Instruments;
using Cuadrilla.Instruments.StandIns;

namespace Cuadrilla.Web.Instruments;

/// <summary>How instruments are reached.</summary>
/// <param name="State">Link to the broker.</param>
/// <param name="Trouble">What stands against it.</param>
/// <param name="Broker">Broker; empty while none is wanted.</param>
/// <param name="IsOwn">It is the program's own, on its machine alone.</param>
/// <param name="Counts">What became of messages.</param>
/// <param name="Maps">Topic maps.</param>
/// <param name="StandIns">Stand-ins of this plant; null where none were started.</param>
internal sealed record InstrumentsDocument(LinkState State, string Trouble, string Broker, bool IsOwn, MessageCounts Counts,
    IReadOnlyList<MapDocument> Maps, StandInsDocument? StandIns);

/// <summary>A topic map.</summary>
/// <param name="Name">Its name.</param>
/// <param name="File">Its file; empty: it ships with the program.</param>
/// <param name="Simulated">All it tells is simulated.</param>
/// <param name="Topics">How many topics it has.</param>
/// <param name="Problem">Why it can't be read; empty where it can.</param>
internal sealed record MapDocument(string Name, string File, bool Simulated, int Topics, string Problem)
{
    public static MapDocument Of(StoredMap stored) => new(stored.Map?.Name ?? stored.File, stored.File, stored.Map?.Simulated ?? false,
        stored.Map?.Topics.Count ?? 0, stored.Problem);
}

/// <summary>Stand-ins of a plant.</summary>
/// <param name="Running">Their process runs.</param>
/// <param name="DrivePoints">Drive points that it simulates; 0 while it is getting ready.</param>
/// <param name="Ended">Why it does not; empty while it does.</param>
/// <param name="Seed">Seed of tolerances.</param>
/// <param name="Times">So many times faster than the clock.</param>
/// <param name="Edit">Edit of the specification that they simulate.</param>
/// <param name="SinceUtc">Since when.</param>
internal sealed record StandInsDocument(bool Running, int DrivePoints, string Ended, int Seed, double Times, long Edit, string SinceUtc);

/// <summary>A reading as it stands.</summary>
/// <param name="Name">Name of the quantity.</param>
/// <param name="What">What it is.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Value">Value; null: the instrument has none now.</param>
/// <param name="Number">Number by which it is taken.</param>
/// <param name="AgeS">Age, s.</param>
/// <param name="Good">It can be taken: good, with a value, not older than it may be.</param>
/// <param name="Why">Why it can't; empty where it can.</param>
/// <param name="Simulated">It is simulated.</param>
/// <param name="Instrument">Instrument.</param>
/// <param name="Map">Map it came by.</param>
internal sealed record ReadingDocument(string Name, string What, string Unit, double? Value, long Number, double AgeS, bool Good,
    string Why,
    bool Simulated, string Instrument, string Map)
{
    // Older than this nobody may take for the state of now; slower gateways publish every few seconds.
    private const double OldestS = 15;

    public static ReadingDocument Of(InstrumentReading reading, DateTimeOffset now)
    {
        var age = Math.Max(0, (now - reading.At).TotalSeconds);
        var why = reading.Value is null ? "no value now" : !reading.IsGood ? "the instrument calls it not good"
            : age > OldestS ? $"older than {OldestS} s" : string.Empty;
        return new(reading.Kind.Name, reading.Kind.What, reading.Kind.Unit, reading.Value, reading.Number, Math.Round(age, 1),
            why.Length == 0, why, reading.IsSimulated, reading.Instrument, reading.Map);
    }
}

/// <summary>Instruments at a drive point.</summary>
/// <param name="PointId">The drive point.</param>
/// <param name="Readings">Newest readings.</param>
/// <param name="StandIn">What its stand-in does; null without.</param>
/// <param name="StandInAgeS">Age of that, s.</param>
internal sealed record PointReadingsDocument(string PointId, IReadOnlyList<ReadingDocument> Readings, StandInStatus? StandIn,
    double? StandInAgeS);

/// <summary>A run, recorded or being recorded.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Reading">Quantity.</param>
/// <param name="StartedUtc">Since when.</param>
/// <param name="Recording">It is being recorded.</param>
/// <param name="Ended">Why not; empty while it is.</param>
/// <param name="Simulated">A point of it is simulated.</param>
/// <param name="Instrument">Instrument.</param>
/// <param name="Points">Its points.</param>
internal sealed record RunDocument(long Number, string Reading, string StartedUtc, bool Recording, string Ended, bool Simulated,
    string Instrument,
    IReadOnlyList<RunPoint> Points)
{
    public static RunDocument Of(StoredRun run, SiteRunStore store) => new(run.Number, run.Reading, run.StartedUtc, run.Ended.Length == 0,
        run.Ended, run.Simulated, run.Instrument, [.. store.Points(run).Select(p => new RunPoint(p.TimeS, p.Value))]);
}

/// <summary>Starts the stand-ins of a plant.</summary>
/// <param name="Seed">Seed of tolerances, 0 to 1,000,000.</param>
/// <param name="Times">So many times faster than the clock, 1 to 60.</param>
internal sealed record StartStandInsRequest(int Seed, double Times);

/// <summary>An order to a stand-in.</summary>
/// <param name="PointId">Drive point.</param>
/// <param name="Order">What to do.</param>
/// <param name="FrequencyHz">With a start: frequency, Hz; null: rated.</param>
internal sealed record OrderStandInRequest(string PointId, StandInOrder Order, double? FrequencyHz = null);

/// <summary>Readings to be taken.</summary>
/// <param name="PointId">Drive point.</param>
/// <param name="Names">Their names: what stands there now is taken.</param>
internal sealed record TakeReadingsRequest(string PointId, IReadOnlyList<string> Names);

/// <summary>A run to be begun or ended.</summary>
/// <param name="Who">Who.</param>
/// <param name="PointId">Drive point.</param>
/// <param name="StepId">Step.</param>
internal sealed record RunRequest(string Who, string PointId, string StepId);
