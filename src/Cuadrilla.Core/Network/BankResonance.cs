using System.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>
/// A capacitor bank beside the short-circuit impedance of its bus: parallel resonance without reactor at h = √(S_sc/Q), with one of p at
/// h = 1/√(p + (1 − p)·Q/S_sc), and how often it multiplies the impedance of an order. See <c>docs/methods/resonance.md</c>.
/// </summary>
/// <param name="ParallelOrder">Order at which bank and supply resonate.</param>
/// <param name="SeriesOrder">Order at which reactor and capacitor do, 1/√p; infinite without reactor.</param>
/// <param name="Gains">|Z_h| with the bank over |Z_h| without it, for orders 1…50.</param>
public sealed record BankResonance(double ParallelOrder, double SeriesOrder, IReadOnlyList<double> Gains)
{
    private const int HighestOrder = 50;

    /// <summary>Computes it.</summary>
    /// <param name="shortCircuitMva">Short-circuit power at the bus, MVA, &gt; 0.</param>
    /// <param name="xrRatio">Reactance over resistance there, &gt; 0; the resistance rises with √h.</param>
    /// <param name="bankKvar">Reactive power at nominal voltage, with its reactor, kvar, &gt; 0.</param>
    /// <param name="detuningPct">Reactor, % of the capacitor's reactance; 0: none.</param>
    /// <param name="reactorLossPu">Resistance of the reactor, parts of its reactance at the fundamental, ≥ 0; with 0 a bank tuned to an
    /// order shorts it.</param>
    public static BankResonance Of(double shortCircuitMva, double xrRatio, double bankKvar, double detuningPct, double reactorLossPu)
    {
        var p = detuningPct / 100;

        // On the bank's own base its susceptance is 1 at the fundamental.
        var magnitude = bankKvar / 1e3 / shortCircuitMva;
        var reactance = magnitude * xrRatio / Math.Sqrt(1 + (xrRatio * xrRatio));
        double[] gains =
        [
            .. Enumerable.Range(1, HighestOrder).Select(h =>
            {
                var supply = new Complex(reactance / xrRatio * Math.Sqrt(h), reactance * h);
                // Z_bank = (p·r + j·(p·h − 1/h))/(1 − p): the gain is that of a divider, which bears a bank without any impedance.
                var bank = new Complex(p * reactorLossPu, (p * h) - (1.0 / h)) / (1 - p);
                return (bank / (bank + supply)).Magnitude;
            }),
        ];
        return new BankResonance(1 / Math.Sqrt(p + ((1 - p) * reactance)), p > 0 ? 1 / Math.Sqrt(p) : double.PositiveInfinity, gains);
    }
}
