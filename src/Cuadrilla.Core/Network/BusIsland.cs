namespace Cuadrilla.Core.Network;

/// <summary>Buses of one voltage that links join.</summary>
internal static class BusIsland
{
    /// <summary>All that can be reached from some buses over closed links, these among them.</summary>
    /// <param name="links">Links of the plant.</param>
    /// <param name="from">Keys of the buses to begin from.</param>
    /// <param name="isClosed">Whether a link is closed.</param>
    public static HashSet<string> Of(IReadOnlyList<BusLink> links, IEnumerable<string> from, Func<BusLink, bool> isClosed)
    {
        var found = from.ToHashSet(StringComparer.Ordinal);
        var waiting = new Queue<string>(found);
        while (waiting.TryDequeue(out var at))
        {
            foreach (var link in links.Where(l => (l.FromBusId == at || l.ToBusId == at) && isClosed(l)))
            {
                var other = link.FromBusId == at ? link.ToBusId : link.FromBusId;
                if (found.Add(other))
                {
                    waiting.Enqueue(other);
                }
            }
        }

        return found;
    }
}
