using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Checks;

/// <summary>Puts together checks that were judged by a figure and a limit.</summary>
internal static class CheckWriter
{
    public static Check Judged(
        string id,
        string drivePointId,
        BoardRow row,
        string title,
        double figure,
        double limit,
        string unit,
        LimitSense sense,
        double tightMarginPct,
        string relief,
        Reason reason,
        string scenario = "")
    {
        if (double.IsNaN(figure) || double.IsNaN(limit))
        {
            return Check.NotJudged(id, drivePointId, row, title, new Fault(title, "the figure or its limit is not a number", string.Empty));
        }

        if (double.IsPositiveInfinity(figure) && sense == LimitSense.AtMost)
        {
            // What never ends has no figure: the reason says why.
            return new Check(id, drivePointId, row, title, Verdict.Fails, Given.Unknown, Plain(limit), unit, sense, Given.Of(-100),
                scenario, relief, reason) { IsRule = true };
        }

        if (double.IsInfinity(figure) || double.IsInfinity(limit))
        {
            // Nothing bounds it, or it exceeds any bound: which side of the limit it is on can be said, a margin can't.
            var holds = sense == LimitSense.AtMost ? figure <= limit : figure >= limit;
            return new Check(
                id, drivePointId, row, title, holds
                    ? Verdict.Holds
                    : Verdict.Fails, Plain(figure), Plain(limit), unit, sense, holds ? Given.Unknown : Given.Of(-100), scenario,
                holds ? string.Empty : relief, reason)
            { IsRule = true };
        }

        // Judged as it is shown.
        (figure, limit) = (Digits.Kept(figure), Digits.Kept(limit));
        var verdict = Check.Judge(figure, limit, sense, tightMarginPct, out var margin);
        return new Check(
            id, drivePointId, row, title, verdict, figure, limit, unit, sense, Given.Of(margin), scenario,
            verdict == Verdict.Holds ? string.Empty : relief, reason);
    }

    /// <summary>A rule that is kept or not, without a figure.</summary>
    public static Check Rule(string id, string drivePointId, BoardRow row, string title, Verdict verdict, string relief, Reason reason,
        string scenario = "") => new(
        id, drivePointId, row, title, verdict, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost, Given.Unknown, scenario,
        verdict == Verdict.Holds ? string.Empty : relief, reason)
    { IsRule = true };

    private static Given Plain(double value) => double.IsFinite(value) ? value : Given.Unknown;
}
