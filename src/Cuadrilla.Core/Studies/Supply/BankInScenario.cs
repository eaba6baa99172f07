using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>A capacitor bank in a scenario, in parts of its own rating.</summary>
/// <param name="BankId">Which one.</param>
/// <param name="CurrentPu">Rms current.</param>
/// <param name="VoltagePu">Rms voltage of its capacitors, parts of the fundamental that they carry at nominal voltage.</param>
/// <param name="WorstOrder">Order that adds most.</param>
/// <param name="ResonantOrder">Frequency at which it resonates with what lies behind its bus, over the fundamental; NaN: none above
/// 1.</param>
/// <param name="Gain">How often it multiplies the impedance of its bus at the order present that it lifts most.</param>
/// <param name="GainOrder">That order.</param>
public sealed record BankInScenario(string BankId, double CurrentPu, double VoltagePu, int WorstOrder, double ResonantOrder, double Gain,
    int GainOrder)
{
    // Fine enough to name a resonance in a check; the picture is finer.
    private const double CoarseStep = 0.25;
    private const double CoarseLast = 25;

    // Less than a hundredth of the largest harmonic current counts as absent.
    private const double PresentPu = 0.01;

    /// <summary>Of a bank that is on at a live bus; null otherwise.</summary>
    internal static BankInScenario? Of(
        CapacitorBank bank, LoadedNetwork loaded, HarmonicSums sums, IReadOnlyList<DriveInScenario> drives, double reactorLossPu)
    {
        var (network, scan) = (loaded.Network, loaded.Scan);
        var steps = loaded.Scenario.StepsOnOf(bank);
        if (steps == 0 || !network.IsLive(bank.BusId))
        {
            return null;
        }

        var volts = network.VoltageV(bank.BusId);
        var fundamental = sums.VoltagePu(bank.BusId);
        var voltages = sums.WithBackgroundPct(bank.BusId);
        double current = fundamental * fundamental, voltage = fundamental * fundamental, most = 0;
        var worst = 1;
        for (var h = 2; h <= voltages.Length; h++)
        {
            var part = (bank.AdmittanceS(h, steps, volts, reactorLossPu) / bank.AdmittanceS(1, steps, volts,
                reactorLossPu)).Magnitude * voltages[h - 1] / 100;
            current += part * part;
            voltage += part / h * (part / h);
            (most, worst) = part > most ? (part, h) : (most, worst);
        }

        var present = Present(drives);
        var gains = present.Select(h => (Order: h,
            Ratio: scan.At(bank.BusId, h) is var (with, without) && without > 0 ? with / without : 1)).DefaultIfEmpty((Order: 1, Ratio: 1))
                .MaxBy(g => g.Ratio);
        var peaks = NetworkScan.Peaks(scan.Of(bank.BusId, CoarseStep, CoarseLast));
        return new BankInScenario(
            bank.Id, Math.Sqrt(current), Math.Sqrt(voltage), worst, peaks.Count > 0
                ? peaks.MaxBy(p => p.Ohm / p.WithoutBanksOhm).Order
                : double.NaN, gains.Ratio, gains.Order);
    }

    /// <summary>Orders that the front ends of a scenario draw in earnest.</summary>
    internal static IReadOnlyList<int> Present(IReadOnlyList<DriveInScenario> drives)
    {
        var sums = new double[LineCurrent.HighestOrder + 1];
        foreach (var draw in drives.Select(d => d.Front).OfType<RectifierResult.LineDraw>())
        {
            var orders = draw.WorstPhase.Orders;
            for (var h = 2; h < sums.Length; h++)
            {
                sums[h] += orders[h - 1].Magnitude;
            }
        }

        var largest = sums.Max();
        return [.. Enumerable.Range(2, sums.Length - 2).Where(h => largest > 0 && sums[h] >= PresentPu * largest)];
    }
}
