using System.Numerics;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Numerics;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Impedance of a bus over the frequency.</summary>
/// <param name="Order">Frequency over the fundamental.</param>
/// <param name="Ohm">With everything connected, ohm.</param>
/// <param name="WithoutBanksOhm">Without capacitor banks, ohm.</param>
public readonly record struct ScanPoint(double Order, double Ohm, double WithoutBanksOhm);

/// <summary>What capacitor banks do to the impedance of the buses of a scenario. See <c>docs/methods/resonance.md</c>.</summary>
internal sealed class NetworkScan(PlantSpecification plant, Scenario scenario, SupplyNetwork network, HarmonicLoads loads)
{
    private const double FirstOrder = 0.5;
    private const double LastOrder = 50;
    private const double Step = 0.1;

    /// <summary>True when a bank is on.</summary>
    public bool HasBanks { get; } = plant.Distribution.CapacitorBanks.Any(b => network.IsLive(b.BusId) && scenario.StepsOnOf(b) > 0);

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

        return (Solve(node, order, banks: true) * network.BaseOhm(busId),
            HasBanks ? Solve(node, order, banks: false) * network.BaseOhm(busId)
                : Solve(node, order, banks: true) * network.BaseOhm(busId));
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
        return Factors(order, banks).Solve(unit)[node].Magnitude;
    }

    private DenseLu<Complex> Factors(double order, bool banks)
    {
        var matrix = network.Admittance(order);
        var shunts = StandingLoads.Harmonic(banks ? plant : WithoutBanks, scenario, network, order, loads);
        for (var i = 0; i < network.NodeCount; i++)
        {
            matrix[i, i] += shunts[i];
        }

        return DenseLu.Of(matrix);
    }

    private PlantSpecification WithoutBanks { get; } = plant with { Distribution = plant.Distribution with { CapacitorBanks = [] } };
}
