using System.Collections.Concurrent;
using System.Numerics;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Impedance of a bus over the frequency.</summary>
/// <param name="Order">Frequency over the fundamental.</param>
/// <param name="Ohm">With everything connected, ohm.</param>
/// <param name="WithoutBanksOhm">Without capacitor banks, ohm.</param>
public readonly record struct ScanPoint(double Order, double Ohm, double WithoutBanksOhm);

/// <summary>What capacitor banks do to the impedance of the buses of a scenario. See <c>docs/methods/resonance.md</c>.</summary>
/// <param name="loaded">The network with what hangs on it.</param>
internal sealed class NetworkScan(LoadedNetwork loaded)
{
    private const double FirstOrder = 0.5;
    private const double LastOrder = 50;
    private const double Step = 0.1;
    private readonly SupplyNetwork network = loaded.Network;
    private readonly ConcurrentDictionary<(int Node, double Order), (double With, double Without)> known = new();

    /// <summary>True when a bank is on.</summary>
    public bool HasBanks { get; } = loaded.Distribution.CapacitorBanks.Any(b =>
        loaded.Network.IsLive(b.BusId) && loaded.Scenario.StepsOnOf(b) > 0);

    /// <summary>|Z| over the frequency at a bus.</summary>
    /// <param name="busId">The bus.</param>
    /// <param name="step">Distance of two points, orders.</param>
    /// <param name="last">Last order.</param>
    public IReadOnlyList<ScanPoint> Of(string busId, double step = Step, double last = LastOrder)
    {
        var points = new List<ScanPoint>();
        for (var order = FirstOrder; order <= last + 1e-9; order += step)
        {
            var (with, without) = At(busId, order);
            points.Add(new ScanPoint(Math.Round(order, 3), with, without));
        }

        return points;
    }

    /// <summary>Impedance with and without banks at a bus and frequency, ohm.</summary>
    public (double WithOhm, double WithoutOhm) At(string busId, double order)
    {
        var node = network.NodeOf(busId);
        if (node == SupplyNetwork.Reference)
        {
            return (0, 0);
        }

        var (with, without) = known.GetOrAdd((node, order), k => (Solve(k.Node, k.Order, banks: true), HasBanks
            ? Solve(k.Node, k.Order, banks: false)
            : double.NaN));
        return (with * network.BaseOhm(busId), (HasBanks ? without : with) * network.BaseOhm(busId));
    }

    /// <summary>Orders at which the impedance has a maximum.</summary>
    public static IReadOnlyList<ScanPoint> Peaks(IReadOnlyList<ScanPoint> scan) =>
    [
        .. Enumerable.Range(1, Math.Max(0, scan.Count - 2))
            .Where(i => scan[i].Ohm > scan[i - 1].Ohm && scan[i].Ohm >= scan[i + 1].Ohm && scan[i].Ohm > 1.2 * scan[i].WithoutBanksOhm)
            .Select(i => scan[i]),
    ];

    private double Solve(int node, double order, bool banks)
    {
        var unit = new Complex[network.NodeCount];
        unit[node] = 1;
        return new LoadedOrder(network, order, loaded.ShuntsAt(order, banks)).Factors.Solve(unit)[node].Magnitude;
    }
}
