using System.ComponentModel.DataAnnotations;
using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics.Measured;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engines <c>bank-resonance</c> and <c>equipment-ratio</c>.</summary>
internal static class HarmonicCalculations
{
    private const int HighestOrder = 50;

    public static object Resonance(ResonanceInput input)
    {
        var found = BankResonance.Of(input.ShortCircuitMva, input.XrRatio, input.BankKvar, input.DetuningPct, 0);
        return new ResonanceOutput(found.ParallelOrder, double.IsInfinity(found.SeriesOrder) ? null : found.SeriesOrder, found.Gains);
    }

    public static object EquipmentRatio(EquipmentInput input)
    {
        var orders = new Complex[HighestOrder];
        for (var i = 0; i < input.Orders.Count; i++)
        {
            if (input.Orders[i].Order is >= 1 and <= HighestOrder)
            {
                orders[input.Orders[i].Order - 1] = input.Orders[i].Pct;
            }
        }

        var needed = ReferenceCatalogue.Data.Equipment.Needed(orders, 100, input.Balanced, input.FifthDeg ?? double.NaN);
        return new EquipmentOutput(needed?.Ratio, needed?.By ?? "no row admits it");
    }

    public static object Spectrum(SpectrumInput input)
    {
        var found = WaveformSpectrum.Of(input.Samples, input.SamplesPerS, input.FrequencyHz);
        double[] rms = [.. found.Orders.Select(o => o.Magnitude)];
        return new SpectrumOutput(found.Cycles, rms, rms[0] > 0 ? 100 * Math.Sqrt(rms.Skip(1).Sum(r => r * r)) / rms[0] : null);
    }

    internal sealed record SpectrumInput([Range(-1e9, 1e9)] [Length(8, 200_000)] IReadOnlyList<double> Samples,
        [Above(0, 1e7)] double SamplesPerS, [Range(1, 1000)] double FrequencyHz);

    internal sealed record SpectrumOutput(int Cycles, IReadOnlyList<double> Rms, double? ThdPct);

    internal sealed record ResonanceInput([Above(0, 1e6)] double ShortCircuitMva, [Above(0, 1000)] double XrRatio,
        [Above(0, 1e6)] double BankKvar, [Range(0, 50)] double DetuningPct = 0);

    internal sealed record ResonanceOutput(double ParallelOrder, double? SeriesOrder, IReadOnlyList<double> Gains);

    internal sealed record EquipmentInput([Length(1, HighestOrder)] IReadOnlyList<OrderPct> Orders, bool Balanced = true,
        [Range(-360, 360)] double? FifthDeg = null);

    internal sealed record OrderPct([Range(1, HighestOrder)] int Order, [Range(0, 1000)] double Pct);

    internal sealed record EquipmentOutput(double? Ratio, string By);
}
