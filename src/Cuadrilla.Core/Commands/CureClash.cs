using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Ends a clash of two cables in one of the ways that end it.</summary>
/// <param name="DisturbingId">Key of the cable that disturbs.</param>
/// <param name="DisturbedId">Key of the other.</param>
/// <param name="Cure">How.</param>
/// <param name="And">What is done besides, where one change is not enough.</param>
public sealed record CureClash(string DisturbingId, string DisturbedId, CureKind Cure, CureKind? And = null) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var study = studies.Separation(plant);
        if (study?.Clashes.FirstOrDefault(c => c.Disturbing.Id == DisturbingId && c.Disturbed.Id == DisturbedId) is not { } clash)
        {
            return CommandOutcome.Not("disturbingId", "The two cables do not clash, or no longer.");
        }

        if (study.Cures(clash).FirstOrDefault(c => c.Kind == Cure && c.And?.Kind == And) is not { } cure)
        {
            return CommandOutcome.Not("cure", "That does not end this clash.");
        }

        var after = Done(plant, clash, cure);
        return new CommandOutcome.Done(cure.And is { } and ? Done(after, clash, and) : after,
            CommandOutcome.Shortened($"{clash.Disturbing.Tag} and {clash.Disturbed.Tag}: {cure.Words}"), []);
    }

    private static PlantSpecification Done(PlantSpecification plant, Clash clash, Cure cure) => cure.Kind switch
    {
        CureKind.Divider => plant with
        {
            Routes = plant.Routes with { Segments = [.. plant.Routes.Segments.Select(s => cure.SegmentIds.Contains(s.Id)
                ? s with { Divider = true }
                : s)] },
        },
        CureKind.ScreenDisturbing => Screened(plant, clash.Disturbing),
        CureKind.ScreenDisturbed => Screened(plant, clash.Disturbed),
        CureKind.WidenGap => plant with
        {
            Routes = plant.Routes with { Segments = [.. plant.Routes.Segments.Select(s => cure.SegmentIds.Contains(s.Id)
                ? s with { GapMm = cure.GapMm }
                : s)] },
        },
        CureKind.MoveDisturbing => Moved(plant, clash.Disturbing.Id, cure),
        _ => Moved(plant, clash.Disturbed.Id, cure),
    };

    private static PlantSpecification Screened(PlantSpecification plant, RoutedCable cable) => cable.Role == RouteRole.Motor
        ? plant.Changed([cable.PointId], p => p with { Cable = p.Cable with { Screened = true } })
        : plant with { Routes = plant.Routes with { Cables = [.. plant.Routes.Cables.Select(c => c.Id == cable.Id
            ? c with { Screen = ReceiverScreen.Braid } : c)] } };

    private static PlantSpecification Moved(PlantSpecification plant, string cableId, Cure cure) => plant with
    {
        Routes = plant.Routes with { Ways = [.. plant.Routes.Ways.Where(w => w.CableId != cableId),
            new CableWay(cableId, [.. cure.SegmentIds])] },
    };
}
