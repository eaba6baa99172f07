using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>An order of a network with what hangs on it.</summary>
internal sealed class LoadedOrder
{
    /// <param name="network">The network.</param>
    /// <param name="order">Frequency over the fundamental.</param>
    /// <param name="shunts">Admittances between node and earth, per unit.</param>
    public LoadedOrder(SupplyNetwork network, double order, Complex[] shunts)
    {
        Shunts = shunts;
        var matrix = network.Admittance(order);
        for (var i = 0; i < network.NodeCount; i++)
        {
            matrix[i, i] += shunts[i];
        }

        Factors = DenseLu.Of(matrix);
    }

    /// <summary>Admittances between node and earth, per unit.</summary>
    public Complex[] Shunts { get; }

    /// <summary>The admittance matrix, ready to be solved with.</summary>
    public DenseLu<Complex> Factors { get; }
}
