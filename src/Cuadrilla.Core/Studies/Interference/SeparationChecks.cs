using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.CableRoutes;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary><c>emc.separation</c>: the worst clash of each drive point's cables; clashes of cables entered by hand at the plant.</summary>
internal static class SeparationChecks
{
    private const string Id = "emc.separation";
    private const string Title = "Separation of cables";

    public static IEnumerable<Check> Of(RoutePlan routes, SeparationStudy study)
    {
        // A cable entered by hand answers for itself: many motors may disturb it.
        var clashesOf = study.Clashes.ToLookup(c => KeyOf(c.Disturbed.PointId.Length == 0 ? c.Disturbed : c.Disturbing));
        foreach (var cables in routes.Cables.GroupBy(KeyOf))
        {
            var laid = cables.Where(c => c.LengthM is not null).ToList();
            var astray = cables.Where(c => c.Missing.Length > 0 && (c.FromPlaceId.Length > 0 || c.ToPlaceId.Length > 0)).ToList();
            var clashes = clashesOf[cables.Key].ToList();
            if (clashes.FirstOrDefault(c => c.ApartMm is not null && !c.IsDispensable) is { } worst)
            {
                yield return Judged(cables.Key, cables.First(), worst, study, clashes.Count);
            }
            else if (clashes.FirstOrDefault(c => c.ApartMm is null) is { } open)
            {
                yield return Lacking(cables.Key, cables.First(),
                    [$"gap between {open.Stretches[0].Disturbing.Name} and {open.Stretches[0].Disturbed.Name}"]);
            }
            else if (astray.Count > 0)
            {
                yield return Lacking(cables.Key, cables.First(), astray.Select(c => $"{c.Tag}: {c.Missing}"));
            }
            else if (clashes.Count > 0)
            {
                yield return Judged(cables.Key, cables.First(), clashes[0], study, clashes.Count);
            }
            else if (laid.Count > 0)
            {
                yield return CheckWriter.Rule(
                    Id, cables.Key.PointId, RowOf(cables.Key), TitleOf(cables.First()), Verdict.Holds, string.Empty,
                    new Reason("every pair beside each other as far apart as its classes ask",
                        laid.Count == 1 ? "one cable, nothing too close" : $"{laid.Count} cables, none too close",
                        "docs/methods/separation.md", [])).At(cables.Key.CableId);
            }
        }
    }

    private static (string PointId, string CableId) KeyOf(RoutedCable cable) =>
        cable.PointId.Length > 0 ? (cable.PointId, string.Empty) : (string.Empty, cable.Id);

    private static BoardRow RowOf((string PointId, string CableId) key) => key.PointId.Length > 0 ? BoardRow.Cable : BoardRow.Plant;

    private static string TitleOf(RoutedCable cable) => cable.PointId.Length > 0 ? Title : $"Separation, {cable.Tag}";

    private static Check Lacking((string PointId, string CableId) key, RoutedCable cable, IEnumerable<string> missing) =>
        Check.Lacking(Id, key.PointId, RowOf(key), TitleOf(cable), missing).At(key.CableId);

    private static Check Judged((string PointId, string CableId) key, RoutedCable cable, Clash clash, SeparationStudy study, int count)
    {
        var cure = study.Cures(clash) is [var cheapest, ..] ? cheapest : null;
        var where = string.Join(", ", clash.Stretches.Select(s => s.Disturbing.Id == s.Disturbed.Id
            ? s.Disturbing.Name
            : $"{s.Disturbing.Name} beside {s.Disturbed.Name}").Distinct());
        var words = $"{clash.Disturbing.Tag} and {clash.Disturbed.Tag}, {Text.N(clash.ParallelM)} m in {where}: "
            + $"{Text.N(clash.ApartMm!.Value)} mm apart, {Text.N(clash.NeededMm)} mm asked"
            + (clash.Steps is { } steps ? $"; the edges leave {Text.N(clash.VoltageV!.Value, 3)} V in its loop, "
            + $"{(steps > 1 ? $"{Text.N(steps, 3)} times what" : "less than")} its input notices" : string.Empty)
            + (count > 1 ? $"; {count} pairs in all" : string.Empty);
        var relief = cure is null ? "Relief: another tray, a divider, a screen." : $"Relief: {cure.Words}.";
        var reason = new Reason("free distance ≥ what the classes ask, × 0.5 with a screened motor cable, × l/10 m below 10 m", words,
            "IEC 60364-4-44, 444; docs/methods/separation.md", []);
        var check = clash.IsDispensable
            ? CheckWriter.Rule(Id, key.PointId, RowOf(key), TitleOf(cable), Verdict.Tight, relief,
                reason with { WithNumbers = words
                    + "; both are screened and shorter than 35 m: it may be done without, screens connected all round" })
            : CheckWriter.Judged(Id, key.PointId, RowOf(key), TitleOf(cable), clash.ApartMm.Value, clash.NeededMm, "mm", LimitSense.AtLeast,
                0, relief, reason);
        return check.At(key.CableId);
    }
}
