using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Commissioning.Steps;

/// <summary>Part of the work on site, in its order.</summary>
public enum SitePhase
{
    /// <summary>Dead: looked at, tightened, measured.</summary>
    BeforePower,

    /// <summary>The unit gets to know its motor; each step unlocks the next.</summary>
    Identification,

    /// <summary>Motor alone.</summary>
    Uncoupled,

    /// <summary>With its machine, loaded.</summary>
    Loaded,

    /// <summary>Functions, one by one.</summary>
    Functions,

    /// <summary>Done, with what stays open.</summary>
    SignOff,
}

/// <summary>What a result rests on: changed in the specification, it is stale.</summary>
public enum SiteAspect
{
    /// <summary>The motor and its plate.</summary>
    Plate,

    /// <summary>Its link.</summary>
    Link,

    /// <summary>Filter at the output, step-up transformer.</summary>
    Filter,

    /// <summary>Motor cable.</summary>
    Cable,

    /// <summary>Converter or starter.</summary>
    Unit,

    /// <summary>Its parameters.</summary>
    Settings,

    /// <summary>Machine.</summary>
    Load,

    /// <summary>Brake.</summary>
    Brake,

    /// <summary>Protective devices.</summary>
    Protection,

    /// <summary>Signals.</summary>
    Signals,

    /// <summary>Supply of the plant.</summary>
    Supply,

    /// <summary>What it works together with: group, shaft, follower.</summary>
    Together,
}

/// <summary>A quantity that a step asks for.</summary>
/// <param name="Id">Stable key within the step.</param>
/// <param name="Name">What it is.</param>
/// <param name="Unit">Unit it is entered in.</param>
/// <param name="Expected">Value expected from the specification; unknown where there is none.</param>
/// <param name="Window">What is right; null where the step judges it with others, or nothing is.</param>
/// <param name="Reason">How the expected value comes about.</param>
public sealed record SiteQuantity(string Id, string Name, string Unit, Given Expected, SiteWindow? Window, Reason Reason)
{
    /// <summary>The step can't be judged without it.</summary>
    public bool IsNeeded { get; init; } = true;
}

/// <summary>Values that are right, and those beside them.</summary>
/// <param name="Least">Holds from; −∞ without.</param>
/// <param name="Most">Holds to; ∞ without.</param>
/// <param name="TightLeast">Tight from.</param>
/// <param name="TightMost">Tight to.</param>
public sealed record SiteWindow(double Least, double Most, double TightLeast, double TightMost)
{
    private const double Part = 1e-9;

    /// <summary>Right from a value on.</summary>
    public static SiteWindow From(double least) => new(least, double.PositiveInfinity, least, double.PositiveInfinity);

    /// <summary>Right up to a value.</summary>
    public static SiteWindow To(double most, double? tightMost = null) =>
        new(double.NegativeInfinity, most, double.NegativeInfinity, tightMost ?? most);

    /// <summary>Right within a part of what is expected, tight within another.</summary>
    /// <param name="expected">Expected value.</param>
    /// <param name="holdsPct">±%.</param>
    /// <param name="tightPct">±%; absent: as it holds.</param>
    public static SiteWindow Around(double expected, double holdsPct, double? tightPct = null)
    {
        var (holds, tight) = (Math.Abs(expected) * holdsPct / 100, Math.Abs(expected) * (tightPct ?? holdsPct) / 100);
        return new(expected - holds, expected + holds, expected - tight, expected + tight);
    }

    /// <summary>Right within a distance of what is expected.</summary>
    public static SiteWindow Within(double expected, double distance) =>
        new(expected - distance, expected + distance, expected - distance, expected + distance);

    /// <summary>Judges a value.</summary>
    public Verdict Judge(double value) =>
        In(value, Least, Most) ? Verdict.Holds : In(value, TightLeast, TightMost) ? Verdict.Tight : Verdict.Fails;

    private static bool In(double value, double least, double most) =>
        value >= least - (Part * Math.Abs(least)) && value <= most + (Part * Math.Abs(most));
}

/// <summary>A reading of a run: time and value.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="Value">Value, in the unit of the run.</param>
public readonly record struct RunPoint(double TimeS, double Value);

/// <summary>What was found at a step.</summary>
/// <param name="Values">Values by key of the quantity.</param>
/// <param name="Run">Points of a run; empty without.</param>
/// <param name="Done">Seen and in order; false: seen and not; null: the values say it.</param>
public sealed record SiteReading(IReadOnlyDictionary<string, double> Values, IReadOnlyList<RunPoint> Run, bool? Done);

/// <summary>A judged reading.</summary>
/// <param name="Verdict">Outcome.</param>
/// <param name="Text">What was found, with its window.</param>
public sealed record SiteJudgement(Verdict Verdict, string Text);

/// <summary>A step of the work on site, for one drive point.</summary>
public sealed record SiteStep
{
    /// <summary>Stable key.</summary>
    public required string Id { get; init; }

    /// <summary>Part of the work.</summary>
    public required SitePhase Phase { get; init; }

    /// <summary>What it is.</summary>
    public required string Title { get; init; }

    /// <summary>What to do and with what.</summary>
    public required string How { get; init; }

    /// <summary>What can hurt; empty where nothing does.</summary>
    public string Caution { get; init; } = string.Empty;

    /// <summary>What to suspect first when it is off.</summary>
    public string Suspect { get; init; } = string.Empty;

    /// <summary>Quantities that it asks for; empty: it is seen and confirmed.</summary>
    public IReadOnlyList<SiteQuantity> Quantities { get; init; } = [];

    /// <summary>What it rests on.</summary>
    public IReadOnlyList<SiteAspect> RestsOn { get; init; } = [];

    /// <summary>Steps that must hold before it.</summary>
    public IReadOnlyList<string> After { get; init; } = [];

    /// <summary>A later result than its own makes these stale: it feeds them.</summary>
    public IReadOnlyList<string> Feeds { get; init; } = [];

    /// <summary>Why it is not done here; empty where it is.</summary>
    public string Forbidden { get; init; } = string.Empty;

    /// <summary>Unit of the points of its run; empty where it takes none.</summary>
    public string RunUnit { get; init; } = string.Empty;

    /// <summary>What else must be given before any of it is judged: a reading at rest proves nothing of a run; null: nothing.</summary>
    public Func<SiteReading, string?>? Unmet { get; init; }

    /// <summary>Judges values that belong together; null: each by its window.</summary>
    public Func<SiteReading, SiteJudgement>? Together { get; init; }

    /// <summary>It can be seen and confirmed without a number.</summary>
    public bool CanBeSeen => !Quantities.Any(q => q.IsNeeded);

    /// <summary>Judges what was found.</summary>
    public SiteJudgement Judge(SiteReading reading)
    {
        ArgumentNullException.ThrowIfNull(reading);
        if (reading.Done is { } done)
        {
            return new(done ? Verdict.Holds : Verdict.Fails, done ? "in order" : "not in order");
        }

        var missing = Quantities.Where(q => q.IsNeeded && !reading.Values.ContainsKey(q.Id)).Select(q => q.Name).ToList();
        if (missing.Count > 0 || !Quantities.Any(q => reading.Values.ContainsKey(q.Id)))
        {
            return new(Verdict.NeedsData, missing.Count > 0 ? "missing: " + string.Join(", ", missing) : "not confirmed");
        }

        return Unmet?.Invoke(reading) is { } unmet ? new(Verdict.NeedsData, "missing: " + unmet)
            : Together is { } together ? together(reading) : EachByItself(reading);
    }

    // What is asked for and nothing in the specification holds it to is recorded, and tight: nobody may take it for proven.
    private SiteJudgement EachByItself(SiteReading reading)
    {
        var judged = Quantities.Where(q => reading.Values.ContainsKey(q.Id)).Select(q => (Quantity: q, Value: reading.Values[q.Id],
            Verdict: q.Window?.Judge(reading.Values[q.Id]) ?? (q.IsNeeded ? Verdict.Tight : Verdict.Holds))).ToList();
        return new(judged.Max(j => j.Verdict),
            string.Join("; ", judged.Select(j => $"{j.Quantity.Name} {Text.N(j.Value)}{Of(j.Quantity)}")));
    }

    private static string Of(SiteQuantity quantity)
    {
        var unit = quantity.Unit.Length > 0 ? " " + quantity.Unit : string.Empty;

        // Each number with its unit: whoever shows it in another one must find it.
        return quantity.Window is not { } w ? unit + (quantity.IsNeeded ? ", nothing specified to hold it to" : string.Empty)
            : double.IsInfinity(w.Least) ? $"{unit}, at most {Text.N(w.Most)}{unit}"
            : double.IsInfinity(w.Most) ? $"{unit}, at least {Text.N(w.Least)}{unit}"
            : $"{unit}, {Text.N(w.Least)} to {Text.N(w.Most)}{unit} expected";
    }
}
