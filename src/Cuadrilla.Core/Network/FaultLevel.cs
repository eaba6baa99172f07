using System.ComponentModel.DataAnnotations;
using System.Numerics;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>
/// Fault level and impedance at a bus behind a source and transformers in series. See <c>docs/methods/fault-level.md</c>.
/// Source: Z = U²/S_sc and X/R for the source, Z = uk·U²/S and R = P_k·U²/S² for a transformer (IEC 60909-0 without voltage
/// factor or tap correction), all referred to the bus.
/// </summary>
public static class FaultLevel
{
    /// <summary>A transformer of the chain.</summary>
    /// <param name="RatedKva">Rated power, kVA.</param>
    /// <param name="UkPct">Short-circuit voltage, %.</param>
    /// <param name="LoadLossKw">Load loss at rated current, kW.</param>
    public sealed record TransformerInput([Above(0, 1e7)] double RatedKva, [Range(0.1, 50)] double UkPct,
        [Range(0, 1e5)] double LoadLossKw);

    /// <summary>Result.</summary>
    /// <param name="IscKa">Three-phase fault current, kA.</param>
    /// <param name="ROhm">Resistance, ohm.</param>
    /// <param name="XOhm">Reactance at the fundamental, ohm.</param>
    public readonly record struct Result(double IscKa, double ROhm, double XOhm);

    /// <summary>Computes the fault level.</summary>
    /// <param name="nominalVoltageV">Line-to-line voltage of the bus, V.</param>
    /// <param name="sourceMva">Source short-circuit power, MVA; infinity for an ideal source.</param>
    /// <param name="sourceXr">Source X/R.</param>
    /// <param name="transformers">Transformers in series, may be empty.</param>
    /// <exception cref="UnfitDataException">A transformer's load loss exceeds what its short-circuit voltage allows, or nothing limits the
    /// current.</exception>
    public static Result Run(double nominalVoltageV, double sourceMva, double sourceXr, IReadOnlyList<TransformerInput> transformers)
    {
        ArgumentNullException.ThrowIfNull(transformers);
        var impedance = SourceImpedance(nominalVoltageV, sourceMva, sourceXr);
        foreach (var transformer in transformers)
        {
            impedance += TransformerImpedance(nominalVoltageV, transformer);
        }

        if (impedance == Complex.Zero)
        {
            throw new UnfitDataException("An ideal source without a transformer has no fault level.");
        }

        return new Result(nominalVoltageV / Math.Sqrt(3) / impedance.Magnitude / 1e3, impedance.Real, impedance.Imaginary);
    }

    /// <summary>Source impedance seen at a voltage, ohm.</summary>
    public static Complex SourceImpedance(double nominalVoltageV, double sourceMva, double sourceXr)
    {
        if (double.IsPositiveInfinity(sourceMva))
        {
            return Complex.Zero;
        }

        var magnitude = nominalVoltageV * nominalVoltageV / (sourceMva * 1e6);
        var reactance = magnitude * sourceXr / Math.Sqrt(1 + (sourceXr * sourceXr));
        return new Complex(reactance / sourceXr, reactance);
    }

    /// <summary>Transformer impedance seen at a voltage, ohm.</summary>
    /// <exception cref="UnfitDataException">The load loss exceeds what the short-circuit voltage allows.</exception>
    public static Complex TransformerImpedance(double nominalVoltageV, TransformerInput transformer)
    {
        var ratedVa = transformer.RatedKva * 1e3;
        var squareVoltage = nominalVoltageV * nominalVoltageV;
        var magnitude = transformer.UkPct / 100 * squareVoltage / ratedVa;
        var resistance = transformer.LoadLossKw * 1e3 * squareVoltage / (ratedVa * ratedVa);
        if (resistance > magnitude)
        {
            var (kva, most) = (transformer.RatedKva, transformer.UkPct / 100 * transformer.RatedKva);
            throw new UnfitDataException(
                FormattableString.Invariant($"A load loss of {transformer.LoadLossKw} kW is more than uk = {transformer.UkPct} % ")
                + FormattableString.Invariant($"of {kva} kVA allows ({most:0.###} kW)."));
        }

        return new Complex(resistance, Math.Sqrt((magnitude * magnitude) - (resistance * resistance)));
    }
}
