using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.CableRoutes;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Interference;

namespace Cuadrilla.Core.Assessment;

/// <summary>Trays, clashes and earth currents of a plant.</summary>
public sealed partial class Assessor
{
    /// <inheritdoc/>
    public SeparationStudy? Separation(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var laying = LaidWith(plant);
        return laying.Routes is { } routes
            ? SeparationOf(laying.Plant, routes, [.. plant.AllDrivePoints().Select(p => Study(plant, p).Model)])
            : null;
    }

    /// <summary>Trays, cables, clashes and earth currents of a plant.</summary>
    public InterferencePlan Earth(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var routes = Routes(plant) ?? RoutePlan.Of(plant);
        return InterferencePlan.Of(plant, routes, Separation(plant), plant.AllDrivePoints().Select(p => Interference(plant, p)));
    }

    /// <summary>What a drive point drives into its motor cable and leaks to earth.</summary>
    public InterferenceFigures Interference(PlantSpecification plant, DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        return InterferenceFigures.Of(Study(plant, point).Model, plant.BusOfDrivePoints()[point.Id], Laid(plant));
    }

    /// <summary>What all converters and supply modules of a lineup leak together, as a bound, mA; null where a part of it is not known,
    /// and whose.</summary>
    public (double? SumMa, IReadOnlyList<string> Unknown) Leakage(PlantSpecification plant, Lineup lineup)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        var models = lineup.DrivePoints.Select(p => Study(plant, p).Model);
        return LeakageSum.Of(Laid(plant), lineup, plant.Distribution.Bus(lineup.BusId), models, data.With(plant));
    }

    private static SeparationStudy SeparationOf(PlantSpecification plant, RoutePlan routes, IReadOnlyList<DrivePointModel> models)
    {
        var buses = plant.BusOfDrivePoints();
        var byId = models.ToDictionary(m => m.Id, StringComparer.Ordinal);
        Dictionary<string, CommonMode.Result?> edges = new(StringComparer.Ordinal);

        // A brake's wires beside the motor cable carry what that leaves in them.
        return SeparationStudy.Of(plant, routes, cable => !byId.TryGetValue(cable.PointId, out var model) ? null
            : edges.TryGetValue(cable.PointId, out var known) ? known
            : edges[cable.PointId] = InterferenceFigures.Of(model, buses[cable.PointId], plant).Edge);
    }
}
