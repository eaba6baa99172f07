using Cuadrilla.Core.Base;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>What would end a clash: only what does is offered, with what it costs in metres of plain cable.</summary>
internal static class ClashCures
{
    // A metre of divider, and what a metre of screen costs more, each in metres of plain cable; another way costs its new cable and the laying.
    private const double DividerPu = 0.8;
    private const double ScreenPu = 0.4;
    private const double LayingPu = 0.2;

    public static IEnumerable<Cure> Of(Clash clash, RoutePlan routes, Func<RoutedCable, RoutedCable, IReadOnlyList<string>, bool> ends)
    {
        var (one, other) = (clash.Disturbing, clash.Disturbed);
        var shared = clash.Stretches.Where(s => s.Disturbing.Id == s.Disturbed.Id && s.Between != MetalBetween.Solid).Select(s => s.Disturbing).ToList();
        if (shared.Count > 0 && TrayDistances.IsSignal(other.Class) && ends(one, other, [.. shared.Select(s => s.Id)]))
        {
            var m = shared.Sum(routes.LengthM);
            yield return new Cure(CureKind.Divider, $"a metal divider over {Text.N(m)} m in {string.Join(", ", shared.Select(s => s.Name))}", DividerPu * m, [.. shared.Select(s => s.Id)]);
        }

        if (CanBeScreened(one) && ends(one with { Screen = ReceiverScreen.Braid }, other, []))
        {
            yield return new Cure(CureKind.ScreenDisturbing, $"a screen around {one.Tag}, {Text.N(one.LengthM!.Value)} m", ScreenPu * one.LengthM.Value, []);
        }

        if (CanBeScreened(other) && ends(one, other with { Screen = ReceiverScreen.Braid }, []))
        {
            yield return new Cure(CureKind.ScreenDisturbed, $"a screen around {other.Tag}, {Text.N(other.LengthM!.Value)} m", ScreenPu * other.LengthM.Value, []);
        }

        if (Way(other, clash.Stretches.Select(s => s.Disturbed.Id), routes) is { } moved && ends(one, other with { Way = moved }, []))
        {
            yield return Moved(CureKind.MoveDisturbed, other, moved, routes);
        }

        if (Way(one, clash.Stretches.Select(s => s.Disturbing.Id), routes) is { } moving && ends(one with { Way = moving }, other, []))
        {
            yield return Moved(CureKind.MoveDisturbing, one, moving, routes);
        }
    }

    private static bool CanBeScreened(RoutedCable cable) => cable is { Screen: ReceiverScreen.None, LengthM: not null, Role: RouteRole.Motor or RouteRole.ByHand, Class: not CableClass.Supply };

    private static IReadOnlyList<TraySegment>? Way(RoutedCable cable, IEnumerable<string> without, RoutePlan routes) =>
        routes.Graph.Shortest(cable.FromPlaceId, cable.ToPlaceId, cable.Class, without.ToHashSet(StringComparer.Ordinal)) is { Count: > 0 } way ? way : null;

    private static Cure Moved(CureKind kind, RoutedCable cable, IReadOnlyList<TraySegment> way, RoutePlan routes)
    {
        var (m, extra) = (way.Sum(routes.LengthM), way.Sum(routes.LengthM) - (cable.LengthM ?? 0));
        var more = extra > 0 ? $"{Text.N(extra)} m more" : extra < 0 ? $"{Text.N(-extra)} m less" : "as long as now";
        return new Cure(kind, $"{cable.Tag} over {string.Join(", ", way.Select(s => s.Name))}: {Text.N(m)} m, {more}", Math.Max(0, extra) + (LayingPu * m), [.. way.Select(s => s.Id)]);
    }
}
