using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>
/// What would end a clash: only what does is offered, with what it costs in metres of plain cable. Where no single change does, two of them together.
/// </summary>
internal static class ClashCures
{
    // A metre of divider, and what a metre of screen costs more, each in metres of plain cable; another way costs its new cable and the laying.
    private const double DividerPu = 0.8;
    private const double ScreenPu = 0.4;
    private const double LayingPu = 0.2;

    /// <summary>Cures of a clash in no order.</summary>
    /// <param name="clash">The clash.</param>
    /// <param name="routes">Ways of all cables.</param>
    /// <param name="ends">True where two cables, changed so and with dividers in those trays, do not clash any more.</param>
    public static IEnumerable<Cure> Of(Clash clash, RoutePlan routes, Func<RoutedCable, RoutedCable, IReadOnlyList<string>, bool> ends)
    {
        var changes = Changes(clash, routes).ToList();
        var single = changes.Where(c => Ends(c.Change(new State(clash.Disturbing, clash.Disturbed, [])))).Select(c => c.Cure).ToList();
        return single.Count > 0 ? single : Pairs();

        bool Ends(State state) => ends(state.Disturbing, state.Disturbed, state.Dividers);

        IEnumerable<Cure> Pairs() =>
            from i in Enumerable.Range(0, changes.Count)
            from j in Enumerable.Range(i + 1, changes.Count - i - 1)
            let both = (One: changes[i], Other: changes[j])
            where Ends(both.Other.Change(both.One.Change(new State(clash.Disturbing, clash.Disturbed, []))))
            select both.One.Cure with
            {
                Words = $"{both.One.Cure.Words}, and {both.Other.Cure.Words}",
                Cost = both.One.Cure.Cost + both.Other.Cure.Cost,
                And = both.Other.Cure,
            };
    }

    private static IEnumerable<(Cure Cure, Func<State, State> Change)> Changes(Clash clash, RoutePlan routes)
    {
        var (one, other) = (clash.Disturbing, clash.Disturbed);
        var shared = clash.Stretches.Where(s => s.Disturbing.Id == s.Disturbed.Id && s.Between != MetalBetween.Solid).Select(s => s.Disturbing).ToList();
        if (shared.Count > 0 && TrayDistances.IsSignal(other.Class))
        {
            var m = shared.Sum(routes.LengthM);
            IReadOnlyList<string> ids = [.. shared.Select(s => s.Id)];
            var words = $"a metal divider over {Text.N(m)} m in {string.Join(", ", shared.Select(s => s.Name))}";
            yield return (new Cure(CureKind.Divider, words, DividerPu * m, ids), s => s with { Dividers = ids });
        }

        if (CanBeScreened(one))
        {
            yield return (Screen(CureKind.ScreenDisturbing, one), s => s with { Disturbing = s.Disturbing with { Screen = ReceiverScreen.Braid } });
        }

        if (CanBeScreened(other))
        {
            yield return (Screen(CureKind.ScreenDisturbed, other), s => s with { Disturbed = s.Disturbed with { Screen = ReceiverScreen.Braid } });
        }

        if (Way(other, clash.Stretches.Select(s => s.Disturbed.Id), routes) is { } moved)
        {
            yield return (Moved(CureKind.MoveDisturbed, other, moved, routes), s => s with { Disturbed = s.Disturbed with { Way = moved } });
        }

        if (Way(one, clash.Stretches.Select(s => s.Disturbing.Id), routes) is { } moving)
        {
            yield return (Moved(CureKind.MoveDisturbing, one, moving, routes), s => s with { Disturbing = s.Disturbing with { Way = moving } });
        }
    }

    private static bool CanBeScreened(RoutedCable cable) =>
        cable is { Screen: ReceiverScreen.None, LengthM: not null, Role: RouteRole.Motor or RouteRole.ByHand, Class: not CableClass.Supply };

    private static Cure Screen(CureKind kind, RoutedCable cable) => new(kind, $"a screen around {cable.Tag}, {Text.N(cable.LengthM!.Value)} m", ScreenPu * cable.LengthM.Value, []);

    private static IReadOnlyList<TraySegment>? Way(RoutedCable cable, IEnumerable<string> without, RoutePlan routes) =>
        routes.Graph.Shortest(cable.FromPlaceId, cable.ToPlaceId, cable.Class, without.ToHashSet(StringComparer.Ordinal)) is { Count: > 0 } way ? way : null;

    private static Cure Moved(CureKind kind, RoutedCable cable, IReadOnlyList<TraySegment> way, RoutePlan routes)
    {
        var (m, extra) = (way.Sum(routes.LengthM), way.Sum(routes.LengthM) - (cable.LengthM ?? 0));
        var more = extra > 0 ? $"{Text.N(extra)} m more" : extra < 0 ? $"{Text.N(-extra)} m less" : "as long as now";
        var words = $"{cable.Tag} over {string.Join(", ", way.Select(s => s.Name))}: {Text.N(m)} m, {more}";
        return new Cure(kind, words, Math.Max(0, extra) + (LayingPu * m), [.. way.Select(s => s.Id)]);
    }

    private sealed record State(RoutedCable Disturbing, RoutedCable Disturbed, IReadOnlyList<string> Dividers);
}
