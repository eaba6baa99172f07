using System.Globalization;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Catalogue;

/// <summary>Builds the generic six-pulse converter series, each size with and without DC choke.</summary>
internal static class SixPulseSeries
{
    public static IEnumerable<ConverterItem> Build(File file)
    {
        foreach (var kw in file.SizesKw)
        {
            foreach (var variant in file.Variants)
            {
                yield return Item(file, kw, variant);
            }
        }
    }

    private static ConverterItem Item(File file, double kw, Variant variant)
    {
        double Rule(Func<Anchor, double> value) => LogInterpolation.At(file.Anchors, a => a.Kw, value, kw);
        double Scale(Func<Anchor, double> value) => LogInterpolation.PowerAt(file.Anchors, a => a.Kw, value, kw);
        var ratedLossW = Rule(a => a.LossPu) * kw * 1e3;
        var lightA = Tidy(Rule(a => a.AmpPerKw) * kw);
        double Loss(double shape) => Math.Round(shape * ratedLossW, 1);
        return new ConverterItem(
            string.Create(CultureInfo.InvariantCulture, $"six-pulse-{variant.Key}-{kw}"),
            file.Series,
            kw,
            file.RatedVoltageV,
            lightA,
            Tidy(file.HeavyFactor * lightA),
            variant.ChokePct,
            variant.ChokePct > 0 ? Rule(a => a.ChokeLossPu) : 0,
            variant.DcFormFactor,
            Math.Round(variant.CapacitanceUfPerKw * kw, 0),
            new ConverterLossPoints(
                Loss(file.LossShape.F0I25), Loss(file.LossShape.F0I50), Loss(file.LossShape.F0I100), Loss(file.LossShape.F50I25),
                Loss(file.LossShape.F50I50), Loss(file.LossShape.F50I100), Loss(file.LossShape.F90I50), Loss(file.LossShape.F90I100)),
            Math.Round(Rule(a => a.StandbyW), 0),
            file.Overload.Light,
            file.Overload.Heavy,
            Derating(file.Derating, kw),
            kw <= file.ShortCircuit.SmallUpToKw ? file.ShortCircuit.SmallKa : file.ShortCircuit.LargeKa,
            Math.Round(file.Brake.ChopperV * file.Brake.ChopperV / (file.Brake.PeakPu * kw * 1e3), 2),
            file.Brake.ChopperV,
            Math.Round(Rule(a => a.WidthMm) / 5) * 5,
            Math.Round(variant.MassFactor * Scale(a => a.MassKg), 1),
            Math.Round(Scale(a => a.AirflowM3PerH), 0),
            Math.Round(variant.PriceFactor * Scale(a => a.PriceIndex), 2));
    }

    private static ConverterDerating Derating(DeratingRule rule, double kw)
    {
        var curve = kw <= rule.SmallUpToKw ? rule.SwitchingSmall : rule.SwitchingLarge;
        return new ConverterDerating(
            rule.AmbientFreeC,
            rule.AmbientPctPerK,
            rule.AmbientMaxC,
            rule.AltitudeFreeM,
            rule.AltitudePctPer100M,
            rule.AltitudeMaxM,
            [.. curve.Select(p => new SwitchingFactor(p[0], p[1]))]);
    }

    private static double Tidy(double currentA) => currentA < 10 ? Math.Round(currentA, 1) : currentA < 100 ? Math.Round(currentA * 2) / 2 : Math.Round(currentA);

    internal sealed record File(
        string Series,
        string Source,
        string Edition,
        double RatedVoltageV,
        string Interpolation,
        IReadOnlyList<double> SizesKw,
        IReadOnlyList<Anchor> Anchors,
        double HeavyFactor,
        Shape LossShape,
        OverloadPair Overload,
        DeratingRule Derating,
        ShortCircuitRule ShortCircuit,
        BrakeRule Brake,
        IReadOnlyList<Variant> Variants);

    internal sealed record Anchor(
        double Kw, double AmpPerKw, double LossPu, double StandbyW, double WidthMm, double MassKg, double AirflowM3PerH, double PriceIndex, double ChokeLossPu);

    internal sealed record Shape(
        double F0I25, double F0I50, double F0I100, double F50I25, double F50I50, double F50I100, double F90I50, double F90I100);

    internal sealed record OverloadPair(OverloadRating Light, OverloadRating Heavy);

    internal sealed record DeratingRule(
        double AmbientFreeC,
        double AmbientPctPerK,
        double AmbientMaxC,
        double AltitudeFreeM,
        double AltitudePctPer100M,
        double AltitudeMaxM,
        IReadOnlyList<double[]> SwitchingSmall,
        IReadOnlyList<double[]> SwitchingLarge,
        double SmallUpToKw);

    internal sealed record BrakeRule(double ChopperV, double PeakPu);

    internal sealed record ShortCircuitRule(double SmallUpToKw, double SmallKa, double LargeKa);

    internal sealed record Variant(
        string Key, string Name, double ChokePct, double DcFormFactor, double CapacitanceUfPerKw, double PriceFactor, double MassFactor);
}
