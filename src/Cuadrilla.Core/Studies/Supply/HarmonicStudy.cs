using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Harmonics of a scenario, explained: impedance of a bus, who adds what at the coupling, waveforms.</summary>
/// <param name="Scan">Impedance of the bus over the frequency.</param>
/// <param name="Peaks">Its maxima that capacitor banks make.</param>
/// <param name="PresentOrders">Orders that the front ends draw in earnest.</param>
/// <param name="Contributions">Each front end's part at the coupling, the largest first.</param>
/// <param name="Stories">Who adds and who cancels, for the orders present up to 25.</param>
/// <param name="BusA">Current into the bus over a cycle, phase A, A: the sum of all that hangs on it and behind it.</param>
/// <param name="BusVoltagePct">Voltage of the bus over a cycle, phase A, % of the crest of its nominal value.</param>
public sealed record HarmonicStudy(
    IReadOnlyList<ScanPoint> Scan,
    IReadOnlyList<ScanPoint> Peaks,
    IReadOnlyList<int> PresentOrders,
    IReadOnlyList<Contribution> Contributions,
    IReadOnlyList<OrderStory> Stories,
    IReadOnlyList<double> BusA,
    IReadOnlyList<double> BusVoltagePct)
{
    private const int WavePoints = 360;
    private const int HighestTold = 25;

    /// <summary>Runs it.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="result">A scenario that was solved.</param>
    /// <param name="busId">A bus that is live in it.</param>
    public static HarmonicStudy Of(PlantSpecification plant, ScenarioResult result, string busId)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(result);
        plant = StandbyPlant.Of(plant, result.ScenarioId);
        var scan = new NetworkScan(result.Loaded).Of(busId);
        var contributions = Supply.Contributions.Of(plant, result);
        var present = BankInScenario.Present(result.Drives);
        var (current, voltage) = Phasors(plant, result, busId);
        return new HarmonicStudy(
            scan,
            NetworkScan.Peaks(scan),
            present,
            contributions,
            [.. present.Where(h => h <= HighestTold).Select(h => OrderStory.Of(h, contributions))],
            current.Count == 0 ? [] : Wave(current, Math.Sqrt(2)),
            Wave(voltage, 1));
    }

    /// <summary>Orders 1…50 in phase A: current into a bus, rms, A (empty where it is dead), and its voltage, % of nominal.</summary>
    public static (IReadOnlyList<Complex> CurrentA, IReadOnlyList<Complex> VoltagePct) Phasors(PlantSpecification plant,
        ScenarioResult result, string busId)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(result);
        plant = StandbyPlant.Of(plant, result.ScenarioId);
        var sums = new HarmonicSums(plant, result.Loaded, result.Drives, forcePhases: true);
        var into = sums.AtCoupling(busId);
        return (into.Length == 0 ? [] : into[0].CurrentA, sums.VoltagePhasorsPct(busId));
    }

    private static double[] Wave(IReadOnlyList<Complex> orders, double factor) =>
    [
        .. Enumerable.Range(0, WavePoints + 1).Select(i => factor * Enumerable.Range(0, LineCurrent.HighestOrder)
            .Sum(h => (orders[h] * Complex.FromPolarCoordinates(1, (h + 1) * 2 * Math.PI * i / WavePoints)).Real)),
    ];
}
