using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>Trays as a graph of places: shortest ways by what a tray takes.</summary>
internal sealed class TrayGraph
{
    // Of two equal ways the one in a tray for its class alone.
    private const double SharedTrayPu = 1.0001;
    private readonly Dictionary<string, double> lengths;
    private readonly ILookup<string, (TraySegment Segment, string Other)> from;

    public TrayGraph(PlantRoutes routes)
    {
        var places = routes.Places.ToDictionary(p => p.Id, StringComparer.Ordinal);
        lengths = routes.Segments.ToDictionary(s => s.Id, s => LengthOf(s, places), StringComparer.Ordinal);
        from = routes.Segments.SelectMany(s =>
            new[] { (At: s.FromPlaceId, s, Other: s.ToPlaceId), (At: s.ToPlaceId, s, Other: s.FromPlaceId) })
            .ToLookup(x => x.At, x => (x.s, x.Other), StringComparer.Ordinal);
    }

    /// <summary>Length of a piece of tray, m: as stated, or straight between its places.</summary>
    public double LengthM(TraySegment segment) => lengths[segment.Id];

    /// <summary>True where a tray takes a class.</summary>
    public static bool Takes(TraySegment segment, CableClass of) => segment.Use switch
    {
        TrayUse.Power => of is CableClass.Supply or CableClass.Noisy,
        TrayUse.Signals => of is CableClass.Sensitive or CableClass.VerySensitive,
        _ => true,
    };

    /// <summary>Shortest way between two places in trays that take a class; null where there is none.</summary>
    /// <param name="start">Place at one end.</param>
    /// <param name="end">Place at the other end.</param>
    /// <param name="of">Class of the cable.</param>
    /// <param name="without">Trays left out.</param>
    public IReadOnlyList<TraySegment>? Shortest(string start, string end, CableClass of, IReadOnlySet<string>? without = null)
    {
        Dictionary<string, (double M, TraySegment? By, string Before)> best = new(StringComparer.Ordinal) { [start] = (0, null,
            string.Empty) };
        HashSet<string> settled = new(StringComparer.Ordinal);
        PriorityQueue<string, (double M, string Id)> waiting = new();
        waiting.Enqueue(start, (0, start));
        while (waiting.TryDequeue(out var place, out _))
        {
            if (!settled.Add(place))
            {
                continue;
            }

            if (place == end)
            {
                return Traced(best, end);
            }

            foreach (var (segment, other) in from[place])
            {
                if (!Takes(segment, of) || without?.Contains(segment.Id) == true)
                {
                    continue;
                }

                var m = best[place].M + (lengths[segment.Id] * (segment.Use == TrayUse.All ? SharedTrayPu : 1));
                if (!best.TryGetValue(other, out var known) || m < known.M)
                {
                    best[other] = (m, segment, place);
                    waiting.Enqueue(other, (m, other));
                }
            }
        }

        return null;
    }

    /// <summary>Where pieces of tray in their order lead from a place; null where they do not hang together.</summary>
    public static string? End(string start, IEnumerable<TraySegment> way)
    {
        var at = start;
        foreach (var segment in way)
        {
            if (segment.FromPlaceId != at && segment.ToPlaceId != at)
            {
                return null;
            }

            at = segment.FromPlaceId == at ? segment.ToPlaceId : segment.FromPlaceId;
        }

        return at;
    }

    private static List<TraySegment> Traced(Dictionary<string, (double M, TraySegment? By, string Before)> best, string end)
    {
        List<TraySegment> way = [];
        for (var at = best[end]; at.By is { } by; at = best[at.Before])
        {
            way.Add(by);
        }

        way.Reverse();
        return way;
    }

    private static double LengthOf(TraySegment segment, Dictionary<string, Place> places)
    {
        if (segment.LengthM.IsKnown)
        {
            return segment.LengthM.Value;
        }

        var (a, b) = (places[segment.FromPlaceId], places[segment.ToPlaceId]);
        return Math.Sqrt(((a.RightM - b.RightM) * (a.RightM - b.RightM)) + ((a.DownM - b.DownM) * (a.DownM - b.DownM)));
    }
}
