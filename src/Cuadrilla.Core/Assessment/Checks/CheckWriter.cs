using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Checks;

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
        if (double.IsPositiveInfinity(figure) && sense == LimitSense.AtMost)
        {
            // What never ends has no figure: the reason says why.
            return new Check(id, drivePointId, row, title, Verdict.Fails, Given.Unknown, limit, unit, sense, Given.Of(-100), scenario, relief, reason);
        }

        var verdict = Check.Judge(figure, limit, sense, tightMarginPct, out var margin);
        return new Check(
            id, drivePointId, row, title, verdict, figure, limit, unit, sense, Given.Of(margin), scenario,
            verdict == Verdict.Holds ? string.Empty : relief, reason);
    }

    /// <summary>A rule that is kept or not, without a figure.</summary>
    public static Check Rule(string id, string drivePointId, BoardRow row, string title, Verdict verdict, string relief, Reason reason, string scenario = "") => new(
        id, drivePointId, row, title, verdict, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost, Given.Unknown, scenario,
        verdict == Verdict.Holds ? string.Empty : relief, reason);
}
