using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// What central active filters give into the network for the currents that are drawn: of each odd order up to their highest the stated
/// part of all that their bus and those behind it take, in one proportion once their current is passed.
/// </summary>
/// <param name="Place">Place of the filter's bus.</param>
/// <param name="Behind">Places that it serves, its own among them.</param>
/// <param name="RatedPu">Its current, per unit of the network.</param>
internal sealed record FilterInjection(int Place, IReadOnlyList<int> Behind, double RatedPu)
{
    /// <summary>Those in service on buses with an impedance behind them.</summary>
    public static IReadOnlyList<FilterInjection> Of(IEnumerable<ActiveFilter> filters, SupplyNetwork network, OrderNetworks orders) =>
    [
        .. InService(filters, network).Select(f => new FilterInjection(
            orders.PlaceOf(network.NodeOf(f.BusId)),
            [.. network.NodesBehind(network.NodeOf(f.BusId)).Where(orders.Nodes.Contains).Select(orders.PlaceOf)],
            f.RatedCurrentA / network.BaseA(f.BusId))),
    ];

    /// <summary>Filters that give something.</summary>
    public static IEnumerable<ActiveFilter> InService(IEnumerable<ActiveFilter> filters, SupplyNetwork network) =>
        filters.Where(f => network.IsLive(f.BusId) && network.NodeOf(f.BusId) != SupplyNetwork.Reference);

    /// <summary>The part of what is asked that its current suffices for, and adds what it gives to what is drawn.</summary>
    /// <param name="drawn">Current drawn by place; changed.</param>
    public double Add(SpaceVector[] drawn)
    {
        var asked = Asked(drawn);
        double square = 0;
        for (var h = 3; h <= ActiveFilter.HighestOrder; h += 2)
        {
            var order = h;
            square += Math.Pow(Enumerable.Range(0, 3).Max(p => asked.Phasor(order, p).Magnitude), 2);
        }

        var size = Math.Sqrt(square);
        var part = size > RatedPu ? RatedPu / size : 1;
        Give(drawn, asked, part);
        return part;
    }

    /// <summary>The same with a part that is known.</summary>
    public void Add(SpaceVector[] drawn, double part) => Give(drawn, Asked(drawn), part);

    private SpaceVector Asked(SpaceVector[] drawn)
    {
        var asked = new SpaceVector();
        foreach (var m in SpaceVector.All.Where(m => Math.Abs(m) is > 1 and <= ActiveFilter.HighestOrder))
        {
            asked[m] = Behind.Aggregate(Complex.Zero, (sum, p) => sum + drawn[p][m]) * ActiveFilter.RemovedPu;
        }

        return asked;
    }

    private void Give(SpaceVector[] drawn, SpaceVector asked, double part)
    {
        foreach (var (m, given) in asked.Parts())
        {
            drawn[Place][m] -= given * part;
        }
    }
}
