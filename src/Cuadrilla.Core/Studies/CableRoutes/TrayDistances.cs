using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.CableRoutes;

/// <summary>How far apart trays run that lie beside each other, over all that lie between them.</summary>
internal sealed class TrayDistances
{
    private readonly Dictionary<string, List<(TraySegment Other, double? GapMm)>> beside = new(StringComparer.Ordinal);

    public TrayDistances(IReadOnlyList<TraySegment> segments)
    {
        var byId = segments.ToDictionary(s => s.Id, StringComparer.Ordinal);
        foreach (var segment in segments.Where(s => s.BesideId.Length > 0))
        {
            var other = byId[segment.BesideId];
            double? gap = segment.GapMm.IsKnown ? segment.GapMm.Value : null;
            Add(segment, other, gap);
            Add(other, segment, gap);
        }

        // Two trays between the same places run beside each other, whether anybody says how far or not.
        foreach (var group in segments.GroupBy(Ends).Where(g => g.Count() > 1))
        {
            foreach (var one in group)
            {
                foreach (var other in group.Where(o => o.Id != one.Id && Reach(one).All(r => r.Tray.Id != o.Id)))
                {
                    Add(one, other, null);
                }
            }
        }

        All = segments.ToDictionary(s => s.Id, Reach, StringComparer.Ordinal);
    }

    /// <summary>Trays beside each one, with the free distance in mm; null where that is not stated.</summary>
    public IReadOnlyDictionary<string, IReadOnlyList<(TraySegment Tray, double? ApartMm)>> All { get; }

    /// <summary>Metal between cables of two trays: the better of their walls; in one and the same none, but for a divider, which parts
    /// signals from the rest.</summary>
    public static MetalBetween Between(TraySegment one, TraySegment other, CableClass disturbed) => one.Id == other.Id
        ? one.Divider && IsSignal(disturbed) ? MetalBetween.Solid : MetalBetween.None
        : (MetalBetween)Math.Max((int)Wall(one.Kind), (int)Wall(other.Kind));

    /// <summary>True for what lies on the signals' side of a divider.</summary>
    public static bool IsSignal(CableClass of) => of is CableClass.Sensitive or CableClass.VerySensitive;

    private static MetalBetween Wall(TrayKind kind) => kind switch
    {
        TrayKind.OpenMetal => MetalBetween.Open,
        TrayKind.Perforated => MetalBetween.Perforated,

        // Its bottom and walls are solid, but it is open above: what lies beside sees over the edge.
        TrayKind.SolidMetal => MetalBetween.Perforated,
        _ => MetalBetween.None,
    };

    private static (string, string) Ends(TraySegment s) =>
        string.CompareOrdinal(s.FromPlaceId, s.ToPlaceId) < 0 ? (s.FromPlaceId, s.ToPlaceId) : (s.ToPlaceId, s.FromPlaceId);

    private void Add(TraySegment one, TraySegment other, double? gap)
    {
        if (!beside.TryGetValue(one.Id, out var list))
        {
            beside[one.Id] = list = [];
        }

        list.Add((other, gap));
    }

    // Gaps and widths add up from tray to tray.
    private IReadOnlyList<(TraySegment Tray, double? ApartMm)> Reach(TraySegment from)
    {
        List<(TraySegment, double?)> found = [];
        HashSet<string> seen = [from.Id];
        Queue<(TraySegment At, double? Mm)> waiting = new([(from, 0)]);
        while (waiting.TryDequeue(out var here))
        {
            foreach (var (next, gap) in beside.GetValueOrDefault(here.At.Id) ?? [])
            {
                if (seen.Add(next.Id))
                {
                    double? between = here.At.Id == from.Id ? 0 : here.At.WidthMm.IsKnown ? here.At.WidthMm.Value : 0;
                    var apart = here.Mm + between + gap;
                    found.Add((next, apart));
                    waiting.Enqueue((next, apart));
                }
            }
        }

        return found;
    }
}
