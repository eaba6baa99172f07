using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Instruments;
using Cuadrilla.Web.Commissioning;

namespace Cuadrilla.Web.Instruments;

/// <summary>Readings that somebody has taken and may make an entry of; the newest so many.</summary>
internal sealed class ReadingPins
{
    private const int Most = 20_000;
    private readonly Lock door = new();
    private readonly Dictionary<(string Project, string Point, long Number), InstrumentReading> pinned = [];
    private readonly Queue<(string Project, string Point, long Number)> order = [];

    /// <summary>Keeps one for the drive point that it was taken at.</summary>
    public void Pin(string project, string point, InstrumentReading reading)
    {
        lock (door)
        {
            if (pinned.TryAdd((project, point, reading.Number), reading))
            {
                order.Enqueue((project, point, reading.Number));
            }

            while (order.Count > Most)
            {
                pinned.Remove(order.Dequeue());
            }
        }
    }

    /// <summary>The one of a number, taken at that drive point; null where it is not held.</summary>
    public InstrumentReading? Find(string project, string point, long number)
    {
        lock (door)
        {
            return pinned.GetValueOrDefault((project, point, number));
        }
    }
}

/// <summary>Fills an entry to be made with what was taken from instruments: values, run, their names, and whether they are
/// simulated.</summary>
internal sealed class TakenReadings(ReadingPins pins, SiteRunStore runs)
{
    /// <summary>The entry with them.</summary>
    /// <param name="projectId">Project.</param>
    /// <param name="wanted">The entry as it was asked for.</param>
    /// <exception cref="InputException">A reading or a run is not there, or not of that quantity.</exception>
    public (MakeEntryRequest Filled, bool IsSimulated) Filled(string projectId, MakeEntryRequest wanted)
    {
        var values = wanted.Values.ToDictionary(StringComparer.Ordinal);
        List<InstrumentReading> taken = [];
        foreach (var (quantity, number) in wanted.Taken)
        {
            var reading = pins.Find(projectId, wanted.PointId, number) ?? throw Refused($"/taken/{quantity}", "Reading", $"{number}",
                "one taken at this drive point and held: take it again");
            if (StepReadings.Of(wanted.StepId, quantity) != reading.Kind.Name)
            {
                throw Refused($"/taken/{quantity}", "Reading", reading.Kind.Name, "the reading of that quantity");
            }

            if (!reading.IsGood || reading.Value is not { } value)
            {
                throw Refused($"/taken/{quantity}", "Reading", "not good", "a good reading");
            }

            if (taken.Any(t => t.Number == reading.Number))
            {
                throw Refused($"/taken/{quantity}", "Reading", $"{number}, taken for another quantity too", "a reading of its own");
            }

            if (!values.TryAdd(quantity, value))
            {
                throw Refused($"/values/{quantity}", "Value", "typed and taken", "one of both");
            }

            taken.Add(reading);
        }

        var run = wanted.RunNumber is { } runNumber ? RunOf(projectId, wanted, runNumber) : null;
        var named = taken.Select(t => t.Instrument).Append(run?.Instrument ?? string.Empty)
            .Where(n => n.Length > 0).Distinct(StringComparer.Ordinal);
        return (wanted with
        {
            Values = values,
            Run = run is null ? wanted.Run : [.. runs.Points(run).Select(p => new RunPoint(p.TimeS, p.Value))],
            Instrument = wanted.Instrument.Length > 0 ? wanted.Instrument : Cut(string.Join(", ", named)),
            Calibrated = wanted.Calibrated ?? taken.Select(t => t.Calibrated).FirstOrDefault(c => c is not null),
        }, taken.Any(t => t.IsSimulated) || run is { Simulated: true });
    }

    private static string Cut(string text) => text.Length > 100 ? text[..99] + "…" : text;

    private static InputException Refused(string pointer, string name, string value, string allowed) =>
        new(InputProblem.Of(pointer, name, value, allowed));

    private StoredRun RunOf(string projectId, MakeEntryRequest wanted, long number)
    {
        if (wanted.Run.Count > 0)
        {
            throw Refused("/run", "Run", $"{wanted.Run.Count} points typed", "either points or a recorded run");
        }

        return runs.Find(projectId, number) is { } run && run.PointId == wanted.PointId && run.StepId == wanted.StepId
            ? run
            : throw Refused("/runNumber", "Recorded run", $"{number}", "one of this step and drive point");
    }
}
