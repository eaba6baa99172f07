using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>Every cable of a plant with its way: chosen by hand, or the shortest in the trays that its class permits. See
/// <c>docs/methods/separation.md</c>.</summary>
public sealed class RoutePlan
{
    private readonly Dictionary<string, RoutedCable> byId;

    private RoutePlan(TrayGraph graph, IReadOnlyList<RoutedCable> cables)
    {
        (Graph, Cables) = (graph, cables);
        byId = cables.ToDictionary(c => c.Id, StringComparer.Ordinal);
        On = cables.SelectMany(c => c.Way.Select(s => (s.Id, Cable: c))).ToLookup(x => x.Id, x => x.Cable, StringComparer.Ordinal);
    }

    /// <summary>All cables.</summary>
    public IReadOnlyList<RoutedCable> Cables { get; }

    /// <summary>Cables on each piece of tray, by its key.</summary>
    public ILookup<string, RoutedCable> On { get; }

    internal TrayGraph Graph { get; }

    /// <summary>Length of a piece of tray, m.</summary>
    public double LengthM(TraySegment segment) => Graph.LengthM(segment);

    /// <summary>Loaded circuits on a piece of tray, each cable in parallel counted.</summary>
    public int LoadedOn(TraySegment segment)
    {
        ArgumentNullException.ThrowIfNull(segment);
        return On[segment.Id].Where(c => c.IsLoaded).Sum(c => c.Runs);
    }

    /// <summary>The cable of a drive point; null where it has none of that role.</summary>
    public RoutedCable? Of(string pointId, RouteRole role) => byId.GetValueOrDefault(PlantCables.KeyOf(pointId, role));

    /// <summary>Lays all cables of a plant, each counted for what lies beside it.</summary>
    public static RoutePlan Of(PlantSpecification plant) => Of(plant, []);

    /// <summary>Lays all cables of a plant; light ones are not counted.</summary>
    internal static RoutePlan Of(PlantSpecification plant, IReadOnlyCollection<string> light, SignalStudy? signals = null)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var graph = new TrayGraph(plant.Routes);
        var segments = plant.Routes.Segments.ToDictionary(s => s.Id, StringComparer.Ordinal);
        var places = plant.Routes.Places.ToDictionary(p => p.Id, p => p.Name, StringComparer.Ordinal);
        var byHand = plant.Routes.Ways.Where(w => w.SegmentIds.Count > 0)
            .ToDictionary(w => w.CableId, w => w.SegmentIds.Select(id => segments[id]).ToList(), StringComparer.Ordinal);
        Dictionary<(string, string, CableClass), IReadOnlyList<TraySegment>?> found = [];
        IReadOnlyList<TraySegment>? Shortest(RoutedCable cable)
        {
            var key = (cable.FromPlaceId, cable.ToPlaceId, cable.Class);
            return found.TryGetValue(key, out var way) ? way : found[key] = graph.Shortest(cable.FromPlaceId, cable.ToPlaceId, cable.Class);
        }

        return new RoutePlan(graph, [.. PlantCables.Of(plant, signals).Select(c => light.Contains(c.Id) ? c with { IsLight = true } : c)
            .Select(Laid)]);

        RoutedCable Laid(RoutedCable cable)
        {
            if (cable.FromPlaceId.Length == 0 || cable.ToPlaceId.Length == 0)
            {
                return cable with { Missing = cable.FromPlaceId.Length == 0 ? "the place where it begins" : "the place where it ends" };
            }

            if (byHand.TryGetValue(cable.Id, out var own))
            {
                return TrayGraph.End(cable.FromPlaceId, own) == cable.ToPlaceId
                    ? cable with { Way = own, LengthM = own.Sum(graph.LengthM), IsByHand = true }
                    : cable with { IsByHand = true,
                        Missing = $"trays that hang together from {places[cable.FromPlaceId]} to {places[cable.ToPlaceId]}: its way is "
                            + "chosen by hand" };
            }

            if (cable.FromPlaceId == cable.ToPlaceId)
            {
                return cable with { LengthM = 0 };
            }

            return Shortest(cable) is { } way
                ? cable with { Way = way, LengthM = way.Sum(graph.LengthM) }
                : cable with { Missing = $"a tray for its class from {places[cable.FromPlaceId]} to {places[cable.ToPlaceId]}" };
        }
    }
}
