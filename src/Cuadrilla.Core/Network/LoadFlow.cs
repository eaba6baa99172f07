using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>
/// Fundamental voltages of a network with loads of constant impedance and of constant power: nodal equations, the current of
/// constant-power loads renewed until voltages move by less than 1e-10. See <c>docs/methods/supply-network.md</c>.
/// </summary>
internal static class LoadFlow
{
    private const int MostRounds = 200;

    /// <summary>Voltages by node, per unit; null when there is no solution: the network can't carry the load.</summary>
    /// <param name="network">The network.</param>
    /// <param name="shuntsPu">Admittance between each node and earth.</param>
    /// <param name="powersPu">P + jQ that each node draws whatever its voltage.</param>
    public static Complex[]? Run(SupplyNetwork network, IReadOnlyList<Complex> shuntsPu, IReadOnlyList<Complex> powersPu)
    {
        var matrix = network.Admittance(1);
        for (var i = 0; i < network.NodeCount; i++)
        {
            matrix[i, i] += shuntsPu[i];
        }

        var factors = DenseLu.Of(matrix);
        var source = network.SourceCurrentsPu();
        var voltages = factors.Solve(source);
        if (powersPu.All(p => p == Complex.Zero))
        {
            return voltages;
        }

        for (var round = 0; round < MostRounds; round++)
        {
            var currents = source.Select((s, i) => s - Complex.Conjugate(powersPu[i] / voltages[i])).ToArray();
            var next = factors.Solve(currents);
            var moved = next.Zip(voltages, (a, b) => (a - b).Magnitude).DefaultIfEmpty(0).Max();
            voltages = next;
            if (moved < 1e-10)
            {
                return voltages.Any(v => v.Magnitude < 0.3) ? null : voltages;
            }
        }

        return null;
    }
}
