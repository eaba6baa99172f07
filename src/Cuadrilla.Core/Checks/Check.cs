using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Checks;

/// <summary>Outcome of a check.</summary>
public enum Verdict
{
    /// <summary>Margin enough.</summary>
    Holds,

    /// <summary>Within the limit but under the chosen margin.</summary>
    Tight,

    /// <summary>Beyond the limit.</summary>
    Fails,

    /// <summary>Something is missing.</summary>
    NeedsData,

    /// <summary>Does not concern this subject.</summary>
    NotApplicable,
}

/// <summary>Band of the board a check belongs to.</summary>
public enum BoardRow
{
    /// <summary>The plant as a whole.</summary>
    Plant,

    /// <summary>Feeder.</summary>
    Supply,

    /// <summary>Converter.</summary>
    Converter,

    /// <summary>Motor cable.</summary>
    Cable,

    /// <summary>Motor.</summary>
    Motor,

    /// <summary>Load.</summary>
    Load,
}

/// <summary>Whether the figure must stay below or above its limit.</summary>
public enum LimitSense
{
    /// <summary>Figure ≤ limit.</summary>
    AtMost,

    /// <summary>Figure ≥ limit.</summary>
    AtLeast,
}

/// <summary>A check with its verdict and everything behind it.</summary>
/// <param name="Id">Stable id, for example <c>motor.continuous</c>.</param>
/// <param name="DrivePointId">The drive point it concerns; empty for the plant.</param>
/// <param name="Row">Band of the board.</param>
/// <param name="Title">What is checked, in a few words.</param>
/// <param name="Verdict">Outcome.</param>
/// <param name="Figure">The figure, in <paramref name="Unit"/>.</param>
/// <param name="Limit">Its limit, in the same unit.</param>
/// <param name="Unit">Unit of both.</param>
/// <param name="Sense">Which side of the limit is right.</param>
/// <param name="MarginPct">Distance to the limit, per cent of the limit; negative when it fails.</param>
/// <param name="Scenario">Name of the scenario that decided; empty when any would.</param>
/// <param name="Relief">What would relieve it.</param>
/// <param name="Reason">Formula, numbers, source, inputs.</param>
public sealed record Check(
    string Id,
    string DrivePointId,
    BoardRow Row,
    string Title,
    Verdict Verdict,
    Given Figure,
    Given Limit,
    string Unit,
    LimitSense Sense,
    Given MarginPct,
    string Scenario,
    string Relief,
    Reason Reason)
{
    // Of the limit, %.
    private const int MarginDecimals = 3;

    /// <summary>The figure, six digits of it, in <see cref="Unit"/>.</summary>
    public Given Figure { get; init; } = Digits.Kept(Figure);

    /// <summary>Its limit, six digits of it, in the same unit.</summary>
    public Given Limit { get; init; } = Digits.Kept(Limit);

    /// <summary>Bus, transformer or load of the supply that it concerns; empty for the plant or a drive point.</summary>
    public string ElementId { get; init; } = string.Empty;

    /// <summary>What threw when it was to be judged; null for a check that was.</summary>
    public Fault? Fault { get; init; }

    /// <summary>True for a rule that is kept or not: it has no figure, its reason says why.</summary>
    public bool IsRule { get; init; }

    /// <summary>Judges a figure against its limit.</summary>
    /// <param name="tightMarginPct">Margin below which it is tight, %.</param>
    /// <param name="figure">The figure.</param>
    /// <param name="limit">The limit.</param>
    /// <param name="sense">Which side is right.</param>
    /// <param name="marginPct">Margin, per cent of the limit.</param>
    public static Verdict Judge(double figure, double limit, LimitSense sense, double tightMarginPct, out double marginPct)
    {
        if (limit <= 0)
        {
            // Nothing is allowed, or nothing is asked: there is no part of the limit to measure a margin by.
            marginPct = (sense == LimitSense.AtMost ? figure > limit : figure < limit) ? -100 : sense == LimitSense.AtMost ? 0 : 100;
        }
        else
        {
            marginPct = sense == LimitSense.AtMost ? 100 * (1 - (figure / limit)) : 100 * ((figure / limit) - 1);
        }

        // Adding nothing makes of −0 a plain 0.
        marginPct = Math.Round(marginPct, MarginDecimals) + 0.0;
        return marginPct < 0 || double.IsNaN(marginPct) ? Verdict.Fails : marginPct < tightMarginPct ? Verdict.Tight : Verdict.Holds;
    }

    /// <summary>A check whose data are missing.</summary>
    public static Check Lacking(string id, string drivePointId, BoardRow row, string title, IEnumerable<string> missing)
    {
        var list = string.Join(", ", missing);
        return new Check(
            id, drivePointId, row, title, Verdict.NeedsData, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost, Given.Unknown,
            string.Empty,
            "Enter: " + list + ".",
            new Reason("needs data", "missing: " + list, "Nothing is guessed in place of a missing entry.", []));
    }

    /// <summary>A check that could not be judged, because its study threw.</summary>
    public static Check NotJudged(string id, string drivePointId, BoardRow row, string title, Fault fault)
    {
        ArgumentNullException.ThrowIfNull(fault);
        return new Check(
            id, drivePointId, row, title, Verdict.NeedsData, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost, Given.Unknown,
            string.Empty,
            "Not judged: a fault of the program, not of the plant. " + Fault.HowToRepeat,
            new Reason("not judged", $"{fault.Where}: {fault.What}", "A study that fails is never counted as holding.", []))
        { Fault = fault };
    }

    /// <summary>
    /// The same check where a scenario or a drive that it rests on could not be computed: what fails still fails, what would hold is not
    /// judged.
    /// </summary>
    public Check Doubted(IReadOnlyList<Fault> faults)
    {
        ArgumentNullException.ThrowIfNull(faults);
        return faults.Count > 0 && Verdict is (Verdict.Holds or Verdict.Tight)
            ? NotJudged(Id, DrivePointId, Row, Title, faults[0]).At(ElementId)
            : this;
    }

    /// <summary>The same check where something less than a limit speaks against it: what would hold is tight.</summary>
    /// <param name="why">What.</param>
    /// <param name="relief">What helps.</param>
    public Check AtBestTight(string why, string relief) =>
        Verdict == Verdict.Holds ? this with { Verdict = Verdict.Tight, Relief = relief,
            Reason = Reason with { WithNumbers = $"{Reason.WithNumbers}; {why}" } } : this;

    /// <summary>The same check where the project's code does not judge it: its figure stays, its verdict goes.</summary>
    public Check ShownOnly() => Verdict is Verdict.Holds or Verdict.Tight or Verdict.Fails
        ? this with { Verdict = Verdict.NotApplicable, Relief = string.Empty,
            Reason = Reason with { WithNumbers = "shown, not judged by the project's harmonics code: " + Reason.WithNumbers } }
        : this;

    /// <summary>The same check of an element of the supply.</summary>
    public Check At(string elementId) => this with { ElementId = elementId };

    /// <summary>A check that does not concern its subject.</summary>
    public static Check NotConcerned(string id, string drivePointId, BoardRow row, string title, string why) => new(
        id, drivePointId, row, title, Verdict.NotApplicable, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost, Given.Unknown,
        string.Empty,
        string.Empty, new Reason("not applicable", why, "Nothing to judge here.", []));
}

/// <summary>Why a figure is what it is.</summary>
/// <param name="Formula">In symbols.</param>
/// <param name="WithNumbers">The same with the numbers in.</param>
/// <param name="Source">Standard and clause, or textbook equation.</param>
/// <param name="Inputs">What went in.</param>
public sealed record Reason(string Formula, string WithNumbers, string Source, IReadOnlyList<ReasonInput> Inputs);

/// <summary>An input of a figure.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Value">Its value as shown.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Origin">Where it was entered or computed.</param>
public sealed record ReasonInput(string Name, string Value, string Unit, string Origin)
{
    /// <summary>A number.</summary>
    public static ReasonInput Of(string name, double value, string unit, string origin) => new(name, Text.N(value), unit, origin);

    /// <summary>A word.</summary>
    public static ReasonInput Of(string name, string value, string origin) => new(name, value, string.Empty, origin);
}

/// <summary>A number on a bench or a sheet, with its reason.</summary>
/// <param name="Id">Stable key within its subject.</param>
/// <param name="Name">What it is.</param>
/// <param name="Value">Its value.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Reason">Why it is that.</param>
public sealed record Figure(string Id, string Name, double Value, string Unit, Reason Reason);
