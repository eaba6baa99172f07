using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Harmonics.Measured;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>bank-resonance</c> and <c>equipment-ratio</c>.</summary>
internal static class HarmonicCalculations
{
    private const int HighestOrder = 50;

    public static object Resonance(ResonanceInput input, InputRanges ranges)
    {
        ranges
            .Number("shortCircuitMva", input.ShortCircuitMva, 0, 1e6, minExcluded: true)
            .Number("xrRatio", input.XrRatio, 0, 1000, minExcluded: true)
            .Number("bankKvar", input.BankKvar, 0, 1e6, minExcluded: true)
            .Number("detuningPct", input.DetuningPct, 0, 50)
            .Done();
        var found = BankResonance.Of(input.ShortCircuitMva, input.XrRatio, input.BankKvar, input.DetuningPct, 0);
        return new ResonanceOutput(found.ParallelOrder, double.IsInfinity(found.SeriesOrder) ? null : found.SeriesOrder, found.Gains);
    }

    public static object EquipmentRatio(EquipmentInput input, InputRanges ranges)
    {
        ranges.Require(input.Orders.Count is > 0 and <= HighestOrder, "orders", $"{input.Orders.Count} orders", "1 to 50 orders");
        var orders = new Complex[HighestOrder];
        for (var i = 0; i < input.Orders.Count; i++)
        {
            ranges.Number($"orders/{i}/order", input.Orders[i].Order, 1, HighestOrder).Number($"orders/{i}/pct", input.Orders[i].Pct, 0, 1000);
            if (input.Orders[i].Order is >= 1 and <= HighestOrder)
            {
                orders[input.Orders[i].Order - 1] = input.Orders[i].Pct;
            }
        }

        if (input.FifthDeg is { } angle)
        {
            ranges.Number("fifthDeg", angle, -360, 360);
        }

        ranges.Done();
        var needed = ReferenceCatalogue.Data.Equipment.Needed(orders, 100, input.Balanced, input.FifthDeg ?? double.NaN);
        return new EquipmentOutput(needed?.Ratio, needed?.By ?? "no row admits it");
    }

    public static object Spectrum(SpectrumInput input, InputRanges ranges)
    {
        ranges
            .Number("samplesPerS", input.SamplesPerS, 0, 1e7, minExcluded: true)
            .Number("frequencyHz", input.FrequencyHz, 1, 1000)
            .Require(input.Samples.Count is >= 8 and <= 200_000, "samples", $"{input.Samples.Count} samples", "8 to 200000 samples");
        for (var i = 0; i < input.Samples.Count; i++)
        {
            ranges.Number($"samples/{i}", input.Samples[i], -1e9, 1e9);
        }

        ranges.Done();
        var found = WaveformSpectrum.Of(input.Samples, input.SamplesPerS, input.FrequencyHz);
        double[] rms = [.. found.Orders.Select(o => o.Magnitude)];
        return new SpectrumOutput(found.Cycles, rms, rms[0] > 0 ? 100 * Math.Sqrt(rms.Skip(1).Sum(r => r * r)) / rms[0] : null);
    }

    internal sealed record SpectrumInput(IReadOnlyList<double> Samples, double SamplesPerS, double FrequencyHz);

    internal sealed record SpectrumOutput(int Cycles, IReadOnlyList<double> Rms, double? ThdPct);

    internal sealed record ResonanceInput(double ShortCircuitMva, double XrRatio, double BankKvar, double DetuningPct = 0);

    internal sealed record ResonanceOutput(double ParallelOrder, double? SeriesOrder, IReadOnlyList<double> Gains);

    internal sealed record EquipmentInput(IReadOnlyList<OrderPct> Orders, bool Balanced = true, double? FifthDeg = null);

    internal sealed record OrderPct(int Order, double Pct);

    internal sealed record EquipmentOutput(double? Ratio, string By);
}
