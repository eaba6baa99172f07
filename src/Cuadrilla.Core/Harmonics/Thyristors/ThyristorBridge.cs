using Cuadrilla.Core.Numerics;
using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Harmonics.Thyristors;

/// <summary>What a thyristor bridge works at.</summary>
/// <param name="LineVoltageV">Rms line-to-line EMF, V, &gt; 0.</param>
/// <param name="ReactanceOhm">Reactance per phase at the fundamental ahead of the bridge, ohm, ≥ 0.</param>
/// <param name="DcVoltageV">Voltage at its output, V; negative when power returns.</param>
/// <param name="DcCurrentA">Output current, A, &gt; 0.</param>
public sealed record ThyristorInput(double LineVoltageV, double ReactanceOhm, double DcVoltageV, double DcCurrentA);

/// <summary>What a thyristor bridge draws.</summary>
/// <param name="FiringAngleRad">Firing angle from natural commutation.</param>
/// <param name="OverlapRad">Overlap.</param>
/// <param name="ExtinctionAngleRad">Angle left after the overlap until the voltage turns, π − α − μ.</param>
/// <param name="Orders">Rms phasors of phase A, orders 1 to 50: i = Σ √2·|I_h|·sin(h·ωt + arg I_h) from the rising zero of its EMF,
/// A.</param>
/// <param name="RmsA">True rms, A.</param>
public sealed record ThyristorResult(double FiringAngleRad, double OverlapRad, double ExtinctionAngleRad, IReadOnlyList<Complex> Orders,
    double RmsA);

/// <summary>
/// A line-commutated six-pulse thyristor bridge with smooth output current, closed form with overlap:
/// U_d = 3√2/π·U·cos α − 3·X·I_d/π and cos α − cos(α + μ) = √2·X·I_d/U; while it commutates the current follows
/// I_d·(cos α − cos θ)/(cos α − cos(α + μ)). Valid for μ below 60°, balanced EMFs and a current that does not pulse.
/// Source: textbook; see <c>docs/methods/thyristor.md</c>.
/// </summary>
public static class ThyristorBridge
{
    /// <summary>Solves it; null when it can't be commutated: the overlap would pass 60° or the voltage turns before it is over.</summary>
    /// <exception cref="ArgumentOutOfRangeException">A value is out of its range.</exception>
    public static ThyristorResult? Run(ThyristorInput input)
    {
        ArgumentNullException.ThrowIfNull(input);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(input.LineVoltageV);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(input.DcCurrentA);
        ArgumentOutOfRangeException.ThrowIfNegative(input.ReactanceOhm);
        var noLoad = 3 * Math.Sqrt(2) / Math.PI * input.LineVoltageV;
        var drop = 3 * input.ReactanceOhm * input.DcCurrentA / Math.PI;
        var cosine = (input.DcVoltageV + drop) / noLoad;
        var endCosine = cosine - (Math.Sqrt(2) * input.ReactanceOhm * input.DcCurrentA / input.LineVoltageV);
        if (cosine > 1 || endCosine < -1)
        {
            return null;
        }

        var alpha = Math.Acos(cosine);
        var end = Math.Acos(endCosine);
        if (end - alpha > Math.PI / 3)
        {
            return null;
        }

        return new ThyristorResult(alpha, end - alpha, Math.PI - end, Spectrum(alpha, end, input.DcCurrentA),
            Rms(alpha, end, input.DcCurrentA));
    }

    // Phase A conducts from 30° + α; half a cycle later the same with the other sign, so that only odd orders exist and
    // C_h = (2j/π)·∫ i·e^{−jhθ} dθ over the positive half.
    private static Complex[] Spectrum(double alpha, double end, double currentA)
    {
        var orders = new Complex[LineCurrent.HighestOrder];
        var step = Math.Cos(alpha) - Math.Cos(end);
        var third = 2 * Math.PI / 3;
        var start = Math.PI / 6;
        for (var h = 1; h <= LineCurrent.HighestOrder; h += 2)
        {
            // θ' counts from natural commutation; the fall is the rise a third of a cycle later, taken from I_d.
            Complex rise;
            if (step > 1e-12)
            {
                rise = ((Math.Cos(alpha) * Exponential(h, alpha, end)) - CosineExponential(h, alpha, end)) / step;
            }
            else
            {
                rise = Complex.Zero;
            }

            var fallTurn = Complex.FromPolarCoordinates(1, -h * third);
            var flat = Exponential(h, end, third + alpha);
            var fall = (Exponential(h, alpha, end) - rise) * fallTurn;
            var half = (rise + flat + fall) * Complex.FromPolarCoordinates(1, -h * start);
            orders[h - 1] = h % 3 == 0 ? Complex.Zero : currentA * half * new Complex(0, 2 / Math.PI) / Math.Sqrt(2);
        }

        return orders;
    }

    // ∫ e^{−jhθ} dθ.
    private static Complex Exponential(int h, double from, double to) =>
        (Complex.FromPolarCoordinates(1, -h * to) - Complex.FromPolarCoordinates(1, -h * from)) / new Complex(0, -h);

    // ∫ cos θ·e^{−jhθ} dθ, cos θ = (e^{jθ} + e^{−jθ})/2.
    private static Complex CosineExponential(int h, double from, double to) =>
        ((h == 1 ? new Complex(to - from, 0) : Exponential(h - 1, from, to)) + Exponential(h + 1, from, to)) / 2;

    // I² = (2/2π)·I_d²·(∫ rise² + flat + ∫ fall²), the two ramps by Simpson's rule.
    private static double Rms(double alpha, double end, double currentA)
    {
        const int panels = 64;
        var step = Math.Cos(alpha) - Math.Cos(end);
        double Both(double theta)
        {
            var rise = (Math.Cos(alpha) - Math.Cos(theta)) / step;
            return (rise * rise) + ((1 - rise) * (1 - rise));
        }

        var ramps = step > 1e-12 ? Quadrature.Simpson(Both, alpha, end, panels) : 0;
        var flat = (2 * Math.PI / 3) - (end - alpha);
        return currentA * Math.Sqrt((ramps + flat) / Math.PI);
    }
}
