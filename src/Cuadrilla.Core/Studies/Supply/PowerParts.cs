using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Parts of the apparent power at the front end's EMF, sums of the phases: S² = P² + Q1² + D².</summary>
/// <param name="ActiveKw">P.</param>
/// <param name="ReactiveKvar">Q1, of the fundamental.</param>
/// <param name="DistortionKva">D, what is left: voltage times the harmonic currents.</param>
/// <param name="ApparentKva">S, voltage times rms current.</param>
public sealed record PowerParts(double ActiveKw, double ReactiveKvar, double DistortionKva, double ApparentKva)
{
    /// <summary>Of a front end's line current at a sinusoidal voltage between its conductors, V.</summary>
    public static PowerParts Of(RectifierResult.LineDraw steady, double lineVoltageV)
    {
        ArgumentNullException.ThrowIfNull(steady);
        var volts = lineVoltageV / Math.Sqrt(steady.Phases.Count == 1 ? 1 : 3);
        double active = 0, reactive = 0, apparent = 0;
        foreach (var phase in steady.Phases)
        {
            var fundamental = volts * phase.FundamentalA;
            active += fundamental * phase.DisplacementPowerFactor;
            reactive += fundamental * Math.Sqrt(Math.Max(0, 1 - (phase.DisplacementPowerFactor * phase.DisplacementPowerFactor)));
            apparent += volts * phase.RmsA;
        }

        var rest = (apparent * apparent) - (active * active) - (reactive * reactive);
        return new PowerParts(active / 1e3, reactive / 1e3, Math.Sqrt(Math.Max(0, rest)) / 1e3, apparent / 1e3);
    }
}
