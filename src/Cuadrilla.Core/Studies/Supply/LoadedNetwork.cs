using System.Collections.Concurrent;
using System.Numerics;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply.Balance;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// The network of a scenario with all that hangs on it beside its front ends, solved once at each order, whoever asks. Front ends change
/// nothing in it: after an edit of a drive it is the same. Safe for use from several threads.
/// </summary>
public sealed class LoadedNetwork
{
    private readonly ConcurrentDictionary<int, LoadedOrder> orders = new();
    private readonly ConcurrentDictionary<int, Complex[]> gains = new();
    private readonly Lock gate = new();
    private readonly List<OrderNetworks> seen = [];

    // Orders that the balance solves, and the one that unbalance makes.
    private const int MostSeen = 4;

    /// <summary>Of a scenario.</summary>
    /// <param name="plant">The plant; of it the source and the distribution are kept.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="network">Its network.</param>
    /// <param name="fundamentalShunts">Admittances between node and earth at the fundamental, per unit.</param>
    /// <param name="loads">What hangs on it at harmonics.</param>
    internal LoadedNetwork(PlantSpecification plant, Scenario scenario, SupplyNetwork network, Complex[] fundamentalShunts,
        HarmonicLoads loads)
    {
        (Source, Distribution, Scenario, Network) = (plant.Source, plant.Distribution, scenario, network);
        (FundamentalShunts, Loads) = (fundamentalShunts, loads);
        Fundamental = new LoadedOrder(network, 1, fundamentalShunts);
        Scan = new NetworkScan(this);
    }

    internal Source Source { get; }

    internal Distribution Distribution { get; }

    internal Scenario Scenario { get; }

    internal SupplyNetwork Network { get; }

    internal HarmonicLoads Loads { get; }

    /// <summary>Admittances between node and earth at the fundamental, per unit.</summary>
    internal Complex[] FundamentalShunts { get; }

    /// <summary>The fundamental: loads at nominal voltage.</summary>
    internal LoadedOrder Fundamental { get; }

    /// <summary>What capacitor banks do to it, at the frequencies that checks ask for.</summary>
    internal NetworkScan Scan { get; }

    /// <summary>An order: motors at rest. The first one too, for what turns backwards.</summary>
    internal LoadedOrder At(int order) => orders.GetOrAdd(order, h => new LoadedOrder(Network, h, ShuntsAt(h)));

    /// <summary>Admittances between node and earth at a frequency, motors at rest.</summary>
    internal Complex[] ShuntsAt(double order, bool banks = true) => StandingLoads.Harmonic(
        banks ? Distribution : Distribution with { CapacitorBanks = [] }, Scenario, Network, order, Loads);

    /// <summary>Voltage of each node for an EMF of one of the source, at an order.</summary>
    internal Complex[] GainOfSource(int order) =>
        gains.GetOrAdd(order, h => At(h).Factors.Solve(Network.SourceCurrentsPu(h)));

    /// <summary>The network as front ends at some nodes see it.</summary>
    /// <param name="nodes">Nodes where currents are drawn, without the reference.</param>
    /// <param name="asked">Orders of space vectors.</param>
    internal OrderNetworks Seen(IReadOnlyList<int> nodes, IReadOnlyList<int> asked)
    {
        lock (gate)
        {
            var known = seen.Find(s => s.Nodes.SequenceEqual(nodes) && s.Orders.SequenceEqual(asked));
            if (known is null)
            {
                seen.Add(known = new OrderNetworks(this, nodes, asked));
                seen.RemoveRange(0, Math.Max(0, seen.Count - MostSeen));
            }

            return known;
        }
    }

    /// <summary>True where it is what another would be, on the same network of the same scenario.</summary>
    internal bool IsOf(SupplyNetwork network, Complex[] fundamentalShunts, HarmonicLoads loads) =>
        ReferenceEquals(network, Network) && FundamentalShunts.AsSpan().SequenceEqual(fundamentalShunts) && Loads.AreAlike(loads);
}
