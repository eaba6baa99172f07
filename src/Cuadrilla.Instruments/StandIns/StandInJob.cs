using System.Text.Json;
using Cuadrilla.Core.Studies.Commissioning.StandIns;

namespace Cuadrilla.Instruments.StandIns;

/// <summary>What a process of stand-ins is told when it starts.</summary>
/// <param name="Broker">Broker on this machine.</param>
/// <param name="Plant">Key of the plant in topics.</param>
/// <param name="Seed">Seed of tolerances and noise.</param>
/// <param name="Project">The project file that it simulates.</param>
public sealed record StandInJob(string Broker, string Plant, int Seed, JsonElement Project)
{
    /// <summary>What is wrong, by key of the drive point.</summary>
    public IReadOnlyDictionary<string, HiddenFault> Faults { get; init; } = new Dictionary<string, HiddenFault>();

    /// <summary>So many times faster than the clock runs all of it, 1 to 60.</summary>
    public double Times { get; init; } = 1;

    /// <summary>Drive points simulated, by key; empty: all.</summary>
    public IReadOnlyList<string> Points { get; init; } = [];
}

/// <summary>What a drive point's stand-in does.</summary>
/// <param name="At">When.</param>
/// <param name="State">What it does.</param>
/// <param name="Trip">Why it tripped; empty while it has not.</param>
/// <param name="Coupled">The machine is on the shaft.</param>
/// <param name="FrequencyHz">Output frequency, Hz.</param>
/// <param name="SpeedRpm">Speed, rpm.</param>
/// <param name="Answered">Key of the last order it was given.</param>
/// <param name="Refused">Why that was refused; empty where it was done.</param>
public sealed record StandInStatus(DateTimeOffset At, StandInState State, string Trip, bool Coupled, double FrequencyHz, double SpeedRpm,
    string Answered, string Refused);

/// <summary>An order over the wire.</summary>
/// <param name="Order">What to do.</param>
/// <param name="FrequencyHz">With a start: frequency, Hz.</param>
/// <param name="Key">Given back with the answer.</param>
public sealed record StandInRequest(StandInOrder Order, double? FrequencyHz, string Key);

/// <summary>What an instrument publishes.</summary>
/// <param name="At">When it was read.</param>
/// <param name="RunS">Time of the simulated heating, s.</param>
/// <param name="Quality">Always good: what can't be read has no value.</param>
/// <param name="Simulated">Always true.</param>
/// <param name="Values">Values by name of the quantity; null where it can't be read now.</param>
public sealed record StandInMessage(DateTimeOffset At, double RunS, string Quality, bool Simulated,
    IReadOnlyDictionary<string, double?> Values);

/// <summary>A cycle of the line current that an instrument publishes.</summary>
/// <param name="At">When it was recorded.</param>
/// <param name="Quality">Always good.</param>
/// <param name="Simulated">Always true.</param>
/// <param name="PeriodMs">Duration of the cycle, ms.</param>
/// <param name="SamplesA">Samples at equal distance, A.</param>
public sealed record StandInCycle(DateTimeOffset At, string Quality, bool Simulated, double PeriodMs, IReadOnlyList<double> SamplesA);

/// <summary>What a process says of itself.</summary>
/// <param name="Online">It runs.</param>
/// <param name="Seed">Its seed.</param>
/// <param name="Points">Drive points that it simulates.</param>
/// <param name="Times">So many times faster than the clock.</param>
public sealed record StandInsOnline(bool Online, int Seed, int Points, double Times);

/// <summary>Topics of the stand-ins.</summary>
public static class StandInTopics
{
    private const string Root = "cuadrilla/stand-ins";

    /// <summary>Filter of all states of drive points.</summary>
    public const string States = Root + "/+/+/state";

    /// <summary>Filter of all processes.</summary>
    public const string Processes = Root + "/+/status";

    /// <summary>Topic of an instrument at a drive point.</summary>
    public static string Instrument(string plant, string point, string instrument) => $"{Root}/{plant}/{point}/{instrument}";

    /// <summary>Topic of a cycle of the line current.</summary>
    public static string Cycle(string plant, string point) => $"{Root}/{plant}/{point}/power-analyser-cycle";

    /// <summary>Topic of what a drive point does.</summary>
    public static string State(string plant, string point) => $"{Root}/{plant}/{point}/state";

    /// <summary>Topic of orders to a drive point; a wildcard where that is <c>+</c>.</summary>
    public static string Order(string plant, string point) => $"{Root}/{plant}/{point}/do";

    /// <summary>Topic of the process of a plant.</summary>
    public static string Process(string plant) => $"{Root}/{plant}/status";
}
