using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// The linear network as front ends see it, order by order, in the frame of the source and per unit: voltage of each node that they hang
/// from without them, and what their currents do to it. Orders are those of space vectors: a negative one meets the conjugate impedance.
/// </summary>
internal sealed class OrderNetworks
{
    private readonly Dictionary<int, int> places;
    private readonly Complex[][,] impedances;
    private readonly Complex[][] open;
    private readonly Source source;

    /// <summary>Solves the network of each order.</summary>
    /// <param name="loaded">The network with what hangs on it.</param>
    /// <param name="nodes">Nodes where currents are drawn, without the reference.</param>
    /// <param name="orders">Orders to solve.</param>
    public OrderNetworks(LoadedNetwork loaded, IReadOnlyList<int> nodes, IReadOnlyList<int> orders)
    {
        (Orders, source) = (orders, loaded.Source);
        var network = loaded.Network;
        Nodes = nodes;
        places = nodes.Select((n, i) => (n, i)).ToDictionary(p => p.n, p => p.i);
        impedances = new Complex[orders.Count][,];
        open = new Complex[orders.Count][];
        foreach (var group in Enumerable.Range(0, orders.Count).GroupBy(k => orders[k] == 1 ? 0 : Math.Abs(orders[k])))
        {
            var order = Math.Max(1, group.Key);
            var factors = (group.Key == 0 ? loaded.Fundamental : loaded.At(order)).Factors;
            var unit = new Complex[nodes.Count, nodes.Count];
            for (var c = 0; c < nodes.Count; c++)
            {
                var right = new Complex[network.NodeCount];
                right[nodes[c]] = 1;
                var column = factors.Solve(right);
                for (var r = 0; r < nodes.Count; r++)
                {
                    unit[r, c] = column[nodes[r]];
                }
            }

            foreach (var k in group)
            {
                var emf = SourceEmf(source, orders[k]);
                impedances[k] = orders[k] > 0 ? unit : Conjugated(unit);
                open[k] = new Complex[nodes.Count];
                if (emf != Complex.Zero)
                {
                    var arriving = factors.Solve(network.SourceCurrentsPu(order));
                    for (var r = 0; r < nodes.Count; r++)
                    {
                        var gain = arriving[nodes[r]];
                        open[k][r] = emf * (orders[k] > 0 ? gain : Complex.Conjugate(gain));
                    }
                }
            }
        }
    }

    /// <summary>Orders of space vectors.</summary>
    public IReadOnlyList<int> Orders { get; }

    /// <summary>Nodes where currents are drawn.</summary>
    public IReadOnlyList<int> Nodes { get; }

    /// <summary>EMF of the source at an order.</summary>
    public Complex Emf(int order) => SourceEmf(source, order);

    /// <summary>Place of a node among <see cref="Nodes"/>; −1 for the reference.</summary>
    public int PlaceOf(int node) => node == SupplyNetwork.Reference ? -1 : places[node];

    /// <summary>Impedance between two places at an order's index.</summary>
    public Complex Impedance(int orderIndex, int place, int other) => impedances[orderIndex][place, other];

    /// <summary>Voltage of a place without the drives' currents.</summary>
    public Complex Open(int orderIndex, int place) => open[orderIndex][place];

    /// <summary>EMF of the source as a space vector's part, per unit of the fundamental.</summary>
    public static Complex SourceEmf(Source source, int order) => order switch
    {
        1 => -Complex.ImaginaryOne,
        -1 => Complex.ImaginaryOne * Pu(source.UnbalancePct),
        < 0 when -order % 6 == 5 => Complex.ImaginaryOne * Complex.Conjugate(source.BackgroundPu(-order)),
        > 0 when order % 6 == 1 => -Complex.ImaginaryOne * source.BackgroundPu(order),
        _ => Complex.Zero,
    };

    private static double Pu(Given pct) => pct.IsKnown ? pct.Value / 100 : 0;

    private static Complex[,] Conjugated(Complex[,] of)
    {
        var n = of.GetLength(0);
        var conjugated = new Complex[n, n];
        for (var r = 0; r < n; r++)
        {
            for (var c = 0; c < n; c++)
            {
                conjugated[r, c] = Complex.Conjugate(of[r, c]);
            }
        }

        return conjugated;
    }
}
