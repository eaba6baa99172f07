using System.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>
/// Fault currents by IEC 60909-0, each for what it serves: the largest for breaking and withstand, the least for disconnection, the plain
/// one for distortion. See <c>docs/methods/short-circuit.md</c>.
/// </summary>
public static class FaultCurrent
{
    // Peak factor of motors on the line; those below a hundredth of the rest are left out.
    private const double MotorPeak = 1.3;
    private const double MotorsFromPu = 0.01;

    // Medium voltage, IEC 60909-0, table 1.
    private const double MediumMax = 1.10;
    private const double MediumMin = 1.00;

    /// <summary>Voltage factors of a low-voltage bus.</summary>
    /// <param name="Max">For the largest current.</param>
    /// <param name="Min">For the least.</param>
    public sealed record VoltageFactors(double Max, double Min)
    {
        /// <summary>By the tolerance of the system's voltage, %.</summary>
        public static VoltageFactors Of(double tolerancePct) => tolerancePct > 6 ? new(1.10, 0.90) : new(1.05, 0.95);

        /// <summary>Of the system that a medium-voltage source is on.</summary>
        public static VoltageFactors Medium { get; } = new(MediumMax, MediumMin);
    }

    /// <summary>A transformer, its resistance and reactance at the bus, Ω.</summary>
    /// <param name="Impedance">Positive sequence, Ω.</param>
    /// <param name="RatedVa">Rated power, VA.</param>
    /// <param name="ZeroResistancePu">Zero-sequence resistance in parts of its resistance.</param>
    /// <param name="ZeroReactancePu">Zero-sequence reactance in parts of its reactance.</param>
    public sealed record TransformerPart(Complex Impedance, double RatedVa, double ZeroResistancePu, double ZeroReactancePu);

    /// <summary>A cable behind it, all parallel cables, Ω.</summary>
    /// <param name="Cold">At 20 °C.</param>
    /// <param name="Hot">At the end of the fault.</param>
    /// <param name="ZeroResistancePu">Zero-sequence resistance in parts of its resistance.</param>
    /// <param name="ZeroReactancePu">Zero-sequence reactance in parts of its reactance.</param>
    public sealed record CablePart(Complex Cold, Complex Hot, double ZeroResistancePu, double ZeroReactancePu);

    /// <summary>What a place hangs from.</summary>
    /// <param name="VoltageV">Nominal voltage, V.</param>
    /// <param name="Bus">Voltage factors of the bus.</param>
    /// <param name="SourceFactors">Voltage factors of the source's system.</param>
    /// <param name="SourceMva">Largest fault power of the source, MVA.</param>
    /// <param name="SourceMinMva">Least, MVA.</param>
    /// <param name="SourceXr">Its X/R.</param>
    /// <param name="Transformer">Transformer; null: none.</param>
    /// <param name="Cable">Cable; null: none.</param>
    /// <param name="MotorsA">Rated currents of motors on the line, A.</param>
    /// <param name="MotorFactor">What they feed into a fault in parts of that.</param>
    public sealed record Place(
        double VoltageV, VoltageFactors Bus, VoltageFactors SourceFactors, double SourceMva, double SourceMinMva, double SourceXr,
        TransformerPart? Transformer, CablePart? Cable,
        double MotorsA, double MotorFactor);

    /// <summary>The largest.</summary>
    /// <param name="Impedance">Of the path, Ω.</param>
    /// <param name="Kappa">Peak factor κ.</param>
    /// <param name="MotorsA">Part of the motors, A.</param>
    /// <param name="CurrentA">I_k″ with them, A.</param>
    /// <param name="PeakA">i_p, A.</param>
    public sealed record Largest(Complex Impedance, double Kappa, double MotorsA, double CurrentA, double PeakA);

    /// <summary>The least.</summary>
    /// <param name="Impedance">Of the path, Ω.</param>
    /// <param name="CurrentA">Of three phases, A.</param>
    /// <param name="PhaseToPhaseA">Of two, A.</param>
    /// <param name="PhaseToEarthA">Of one to earth, A; null where the zero sequence is not known.</param>
    public sealed record Least(Complex Impedance, double CurrentA, double PhaseToPhaseA, double? PhaseToEarthA);

    /// <summary>All of them.</summary>
    /// <param name="PlainA">Without voltage factor or correction, A.</param>
    /// <param name="TransformerFactor">K_T; null without a transformer.</param>
    /// <param name="Max">The largest.</param>
    /// <param name="Min">The least.</param>
    public sealed record Result(double PlainA, double? TransformerFactor, Largest Max, Least Min);

    /// <summary>Correction of a transformer's impedance for the largest current, K_T = 0.95·c_max/(1 + 0.6·x_T).</summary>
    public static double CorrectionOf(TransformerPart transformer, double voltageV, double largestFactor)
    {
        ArgumentNullException.ThrowIfNull(transformer);
        return 0.95 * largestFactor / (1 + (0.6 * transformer.Impedance.Imaginary * transformer.RatedVa / (voltageV * voltageV)));
    }

    /// <summary>Computes them.</summary>
    public static Result Of(Place place)
    {
        ArgumentNullException.ThrowIfNull(place);
        var transformer = place.Transformer?.Impedance ?? Complex.Zero;
        double? correction = place.Transformer is { } t ? CorrectionOf(t, place.VoltageV, place.Bus.Max) : null;
        var (cold, hot) = (place.Cable?.Cold ?? Complex.Zero, place.Cable?.Hot ?? Complex.Zero);
        var phase = place.VoltageV / Math.Sqrt(3);

        var plain = Source(place, place.SourceMva, 1) + transformer + cold;
        var largest = Source(place, place.SourceMva, place.SourceFactors.Max) + ((correction ?? 1) * transformer) + cold;
        var network = place.Bus.Max * phase / largest.Magnitude;
        var kappa = 1.02 + (0.98 * Math.Exp(-3 * largest.Real / largest.Imaginary));
        var motors = place.MotorsA > MotorsFromPu * network ? place.MotorFactor * place.MotorsA : 0;

        var least = Source(place, place.SourceMinMva, place.SourceFactors.Min) + transformer + hot;
        var three = place.Bus.Min * phase / least.Magnitude;
        return new Result(
            phase / plain.Magnitude,
            correction,
            new Largest(largest, kappa, motors, network + motors, Math.Sqrt(2) * ((kappa * network) + (MotorPeak * motors))),
            new Least(least, three, Math.Sqrt(3) / 2 * three, ToEarth(place, least)));
    }

    // Delta at the primary: the zero sequence ends in the transformer.
    private static double? ToEarth(Place place, Complex least)
    {
        if (place.Transformer is not { } transformer)
        {
            return null;
        }

        var zero = new Complex(transformer.ZeroResistancePu * transformer.Impedance.Real,
            transformer.ZeroReactancePu * transformer.Impedance.Imaginary);
        if (place.Cable is { } cable)
        {
            zero += new Complex(cable.ZeroResistancePu * cable.Hot.Real, cable.ZeroReactancePu * cable.Hot.Imaginary);
        }

        return Math.Sqrt(3) * place.Bus.Min * place.VoltageV / ((2 * least) + zero).Magnitude;
    }

    private static Complex Source(Place place, double mva, double factor) =>
        factor * FaultLevel.SourceImpedance(place.VoltageV, mva, place.SourceXr);
}
