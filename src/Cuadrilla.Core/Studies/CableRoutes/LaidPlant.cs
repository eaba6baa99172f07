using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>
/// A plant as its trays lay it: cables whose length or way of laying is not stated have that of their way. One length is used everywhere.
/// What is stated stays.
/// </summary>
public static class LaidPlant
{
    /// <summary>The plant; itself where it has no trays.</summary>
    public static PlantSpecification Of(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Routes.Segments.Count == 0 ? plant : Of(plant, RoutePlan.Of(plant));
    }

    internal static PlantSpecification Of(PlantSpecification plant, RoutePlan routes) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Select(p => Of(p, plant.Cables, routes))] })],
    };

    /// <summary>A drive point of the plant, perhaps changed, with what its ways give.</summary>
    public static DrivePoint Of(DrivePoint point, CableInstallation? usual, RoutePlan routes)
    {
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(routes);
        var feeder = point.Feeder;
        if (feeder is Feeder.ByCable cable && routes.Of(point.Id, RouteRole.Feeder) is { Way.Count: > 0 } fed)
        {
            feeder = cable with { LengthM = Or(cable.LengthM, fed), Installation = cable.Installation ?? Laid(usual, fed, routes) };
        }

        return routes.Of(point.Id, RouteRole.Motor) is { Way.Count: > 0 } motor
            ? point with { Feeder = feeder,
                Cable = point.Cable with { LengthM = Or(point.Cable.LengthM, motor),
                    Installation = point.Cable.Installation ?? Laid(usual, motor, routes) } }
            : feeder == point.Feeder ? point : point with { Feeder = feeder };
    }

    private static Given Or(Given stated, RoutedCable way) => stated.IsKnown || way.LengthM is not { } m ? stated : m;

    // By its worst piece: most loaded circuits together, of others each cable in parallel, its own counted where its capacity is; where
    // two are alike the one that cools less.
    private static CableInstallation? Laid(CableInstallation? usual, RoutedCable cable, RoutePlan routes)
    {
        if (usual is null)
        {
            return null;
        }

        var (circuits, kind) = cable.Way.Select(s => (Circuits: routes.LoadedOn(s) - (cable.IsLoaded ? cable.Runs : 0) + 1, s.Kind))
            .OrderByDescending(x => x.Circuits).ThenByDescending(x => x.Kind).First();
        var (method, grouping) = kind switch
        {
            TrayKind.OpenMetal => (InstallationMethod.E, CableGrouping.Ladder),
            TrayKind.Perforated => (InstallationMethod.E, CableGrouping.PerforatedTray),
            TrayKind.SolidMetal => (InstallationMethod.C, CableGrouping.Bunched),
            _ => (usual.Method, CableGrouping.Bunched),
        };
        // In one layer nine cost as much as more of them; of a bunch beyond nine the tables say nothing.
        var most = grouping == CableGrouping.Bunched ? int.MaxValue : CableInstallation.MostCircuits;
        return usual with { Method = method, Grouping = grouping, Circuits = Math.Clamp(circuits, 1, most) };
    }
}
