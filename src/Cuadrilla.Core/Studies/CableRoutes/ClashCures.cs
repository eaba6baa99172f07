using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>
/// What would end a clash: only what does is offered, with what it costs in metres of plain cable. Where no single change does, two of
/// them together.
/// </summary>
internal static class ClashCures
{
    // A metre of divider, and what a metre of screen costs more, each in metres of plain cable; another way costs its new cable and the
    // laying.
    private const double DividerPu = 0.8;
    private const double ScreenPu = 0.4;
    private const double LayingPu = 0.2;

    // A tray hung anew, with what lies on it.
    private const double HangingPu = 3;

    /// <summary>Cures of a clash in no order.</summary>
    /// <param name="clash">The clash.</param>
    /// <param name="routes">Ways of all cables.</param>
    /// <param name="ends">True where a pair changed so does not clash any more.</param>
    public static IEnumerable<Cure> Of(Clash clash, RoutePlan routes, Func<ChangedPair, bool> ends)
    {
        var changes = Changes(clash, routes).ToList();
        var asNow = new ChangedPair(clash.Disturbing, clash.Disturbed, [], new Dictionary<string, double>());
        var single = changes.Where(c => ends(c.Change(asNow))).Select(c => c.Cure).ToList();
        return single.Count > 0 ? single : Pairs();

        IEnumerable<Cure> Pairs() =>
            from i in Enumerable.Range(0, changes.Count)
            from j in Enumerable.Range(i + 1, changes.Count - i - 1)
            let both = (One: changes[i], Other: changes[j])
            where ends(both.Other.Change(both.One.Change(asNow)))
            select both.One.Cure with
            {
                Words = $"{both.One.Cure.Words}, and {both.Other.Cure.Words}",
                Cost = both.One.Cure.Cost + both.Other.Cure.Cost,
                And = both.Other.Cure,
            };
    }

    private static IEnumerable<(Cure Cure, Func<ChangedPair, ChangedPair> Change)> Changes(Clash clash, RoutePlan routes)
    {
        var (one, other) = (clash.Disturbing, clash.Disturbed);
        var shared = clash.Stretches.Where(s => s.Disturbing.Id == s.Disturbed.Id && s.Between != MetalBetween.Solid)
            .Select(s => s.Disturbing).ToList();
        if (shared.Count > 0 && TrayDistances.IsSignal(other.Class))
        {
            var m = shared.Sum(routes.LengthM);
            IReadOnlyList<string> ids = [.. shared.Select(s => s.Id)];
            var words = $"a metal divider over {Text.N(m)} m in {string.Join(", ", shared.Select(s => s.Name))}";
            yield return (new Cure(CureKind.Divider, words, DividerPu * m, ids), s => s with { Dividers = ids });
        }

        if (CanBeScreened(one))
        {
            yield return (Screen(CureKind.ScreenDisturbing, one),
                s => s with { Disturbing = s.Disturbing with { Screen = ReceiverScreen.Braid } });
        }

        if (CanBeScreened(other))
        {
            yield return (Screen(CureKind.ScreenDisturbed, other),
                s => s with { Disturbed = s.Disturbed with { Screen = ReceiverScreen.Braid } });
        }

        if (Way(other, clash.Stretches.Select(s => s.Disturbed.Id), routes) is { } moved)
        {
            yield return (Moved(CureKind.MoveDisturbed, other, moved, routes),
                s => s with { Disturbed = s.Disturbed with { Way = moved } });
        }

        if (Way(one, clash.Stretches.Select(s => s.Disturbing.Id), routes) is { } moving)
        {
            yield return (Moved(CureKind.MoveDisturbing, one, moving, routes),
                s => s with { Disturbing = s.Disturbing with { Way = moving } });
        }

        if (Wider(clash, routes) is { } wider)
        {
            yield return wider;
        }
    }

    private static (Cure Cure, Func<ChangedPair, ChangedPair> Change)? Wider(Clash clash, RoutePlan routes)
    {
        // Of trays beside each other, the one that is said to lie beside the other; what touches in one tray, or lies further off, stays.
        var gaps = clash.Stretches.Where(s => s.ApartMm < clash.NeededMm
            && (s.Disturbing.BesideId == s.Disturbed.Id || s.Disturbed.BesideId == s.Disturbing.Id))
            .Select(s => (Tray: s.Disturbing.BesideId == s.Disturbed.Id ? s.Disturbing : s.Disturbed,
                Other: s.Disturbing.BesideId == s.Disturbed.Id ? s.Disturbed : s.Disturbing))
            .DistinctBy(g => g.Tray.Id).ToList();
        if (gaps.Count == 0)
        {
            return null;
        }

        var (mm, m) = (Math.Ceiling(clash.NeededMm / 10) * 10, gaps.Sum(g => routes.LengthM(g.Tray)));
        var words = $"{string.Join(", ", gaps.Select(g => $"{g.Tray.Name} {Text.N(mm)} mm from {g.Other.Name}"))}, {Text.N(m)} m hung anew";
        var cure = new Cure(CureKind.WidenGap, words, HangingPu * m, [.. gaps.Select(g => g.Tray.Id)]) { GapMm = mm };
        return (cure, s => s with { GapsMm = gaps.ToDictionary(g => g.Tray.Id, _ => mm, StringComparer.Ordinal) });
    }

    private static bool CanBeScreened(RoutedCable cable) =>
        cable is { Screen: ReceiverScreen.None, LengthM: not null, Role: RouteRole.Motor or RouteRole.ByHand,
            Class: not CableClass.Supply };

    private static Cure Screen(CureKind kind, RoutedCable cable) =>
        new(kind, $"a screen around {cable.Tag}, {Text.N(cable.LengthM!.Value)} m", ScreenPu * cable.LengthM.Value, []);

    private static IReadOnlyList<TraySegment>? Way(RoutedCable cable, IEnumerable<string> without, RoutePlan routes) =>
        routes.Graph.Shortest(cable.FromPlaceId, cable.ToPlaceId, cable.Class,
            without.ToHashSet(StringComparer.Ordinal)) is { Count: > 0 } way ? way : null;

    private static Cure Moved(CureKind kind, RoutedCable cable, IReadOnlyList<TraySegment> way, RoutePlan routes)
    {
        var (m, extra) = (way.Sum(routes.LengthM), way.Sum(routes.LengthM) - (cable.LengthM ?? 0));
        var more = extra > 0 ? $"{Text.N(extra)} m more" : extra < 0 ? $"{Text.N(-extra)} m less" : "as long as now";
        var words = $"{cable.Tag} over {string.Join(", ", way.Select(s => s.Name))}: {Text.N(m)} m, {more}";
        return new Cure(kind, words, Math.Max(0, extra) + (LayingPu * m), [.. way.Select(s => s.Id)]);
    }
}

/// <summary>A pair of cables as it would be.</summary>
/// <param name="Disturbing">The one that disturbs.</param>
/// <param name="Disturbed">The other.</param>
/// <param name="Dividers">Trays that would have a divider.</param>
/// <param name="GapsMm">Gaps of trays to the one beside them, mm, that would be others.</param>
internal sealed record ChangedPair(RoutedCable Disturbing, RoutedCable Disturbed, IReadOnlyList<string> Dividers,
    IReadOnlyDictionary<string, double> GapsMm);
