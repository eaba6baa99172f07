using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Checks;

/// <summary>
/// Judges one check by itself: what throws, or ends in a figure that is no number, costs that check and no other. Its verdict is then
/// <em>Needs data</em> with the reason <em>not judged</em>, never <em>Holds</em>.
/// </summary>
internal static class Judging
{
    /// <summary>A check of a drive point, or of the plant where the key is empty.</summary>
    public static Check One(string id, string drivePointId, BoardRow row, string title, Func<Check> judge)
    {
        try
        {
            var check = judge();
            return IsNumber(check.Figure) && IsNumber(check.Limit) && IsNumber(check.MarginPct)
                ? check
                : Check.NotJudged(id, drivePointId, row, title, new Fault(title, "a figure that is no finite number", string.Empty))
                    .At(check.ElementId);
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return Check.NotJudged(id, drivePointId, row, title, Fault.Of(title, problem));
        }
    }

    /// <summary>Several checks that stand or fall together.</summary>
    public static IReadOnlyList<Check> All(string id, string drivePointId, BoardRow row, string title, Func<IEnumerable<Check>> judge)
    {
        try
        {
            return [.. judge().Select(c => One(c.Id, c.DrivePointId, c.Row, c.Title, () => c).At(c.ElementId))];
        }
        catch (Exception problem) when (Fault.IsContained(problem))
        {
            return [Check.NotJudged(id, drivePointId, row, title, Fault.Of(title, problem))];
        }
    }

    private static bool IsNumber(Given value) => !value.IsKnown || double.IsFinite(value.Value);
}
