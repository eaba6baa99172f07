using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>
/// Voltages and currents of one order: the admittance matrix of source, branches and shunts, with the drives' currents drawn
/// from their nodes. Positive and negative sequence meet the same impedances.
/// </summary>
internal sealed class HarmonicNetwork
{
    private readonly SupplyNetwork network;
    private readonly int order;
    private readonly Sequences[] voltages;

    /// <summary>Solves one order.</summary>
    /// <param name="network">The network.</param>
    /// <param name="order">Order, at least 2.</param>
    /// <param name="factors">Its admittance matrix with what stands between each node and earth at that order.</param>
    /// <param name="drawnPu">Current that each node draws, in the frame of the source.</param>
    public HarmonicNetwork(SupplyNetwork network, int order, DenseLu<Complex> factors, IReadOnlyList<Sequences> drawnPu)
    {
        this.network = network;
        this.order = order;
        var positive = factors.Solve([.. drawnPu.Select(d => -d.Positive)]);
        var negative = drawnPu.Any(d => d.Negative != Complex.Zero)
            ? factors.Solve([.. drawnPu.Select(d => -d.Negative)])
            : new Complex[network.NodeCount];
        voltages = [.. positive.Zip(negative, (p, n) => new Sequences(p, n))];
    }

    /// <summary>Voltage of a node; zero at the reference, which is a short circuit for harmonics.</summary>
    public Sequences Voltage(int node) => node == SupplyNetwork.Reference ? default : voltages[node];

    /// <summary>Current of a branch from its first node to its second.</summary>
    public Sequences Current(NetworkBranch branch)
    {
        var admittance = 1 / branch.At(order);
        Sequences from = Voltage(branch.From), to = Voltage(branch.To);
        return new Sequences((from.Positive - to.Positive) * admittance, (from.Negative - to.Negative) * admittance);
    }

    /// <summary>Current that a branch carries away from a node into the plant, summed over all that leave it.</summary>
    public Sequences Leaving(int node) =>
        network.Downstream(node).Aggregate(default(Sequences), (sum, b) => sum + (Current(b.Branch) * b.Sign));
}
