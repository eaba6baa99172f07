using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Makes three line currents from the orders of phase A, each phase a third of a cycle after the one before.</summary>
public static class StatedCurrents
{
    /// <summary>Balanced currents.</summary>
    /// <param name="phaseA">Rms phasors of orders 1 to 50, A.</param>
    /// <param name="rmsA">True rms, orders above 50 included; 0 takes it from the orders.</param>
    /// <param name="provenance">Where they come from.</param>
    public static RectifierResult.Stated Balanced(IReadOnlyList<Complex> phaseA, double rmsA, string provenance)
    {
        ArgumentNullException.ThrowIfNull(phaseA);
        var rms = rmsA > 0 ? rmsA : Math.Sqrt(phaseA.Sum(p => (p.Real * p.Real) + (p.Imaginary * p.Imaginary)));
        var waveform = new OrderWaveform(phaseA);
        var peak = waveform.PeakA();
        var displacement = Math.Cos(phaseA[0].Phase);
        var phases = Enumerable.Range(0, 3).Select(k => new LineCurrent(
            [.. phaseA.Select((p, i) => p * Complex.FromPolarCoordinates(1, -(i + 1) * k * 2 * Math.PI / 3))],
            rms,
            peak,
            displacement,
            displacement * phaseA[0].Magnitude / rms));
        return new RectifierResult.Stated([.. phases], waveform, provenance);
    }
}
