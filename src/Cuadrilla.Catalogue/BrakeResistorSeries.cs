using System.Globalization;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Catalogue;

/// <summary>Builds the series of brake resistors by the rules of its data file.</summary>
internal static class BrakeResistorSeries
{
    public static IEnumerable<BrakeResistorItem> Build(File file) =>
        from kw in file.ContinuousKw
        from ohm in file.Ohm
        where IsMade(file, kw, ohm)
        select new BrakeResistorItem(
            string.Create(CultureInfo.InvariantCulture, $"brake-resistor-{kw}kw-{ohm}ohm"),
            string.Create(CultureInfo.InvariantCulture, $"{kw} kW, {ohm} Ω"),
            ohm,
            kw,
            file.WindowS,
            ResistorRating.WireWound,
            AnchorRule.Significant(file.Mass.FixedKg + (file.Mass.KgPerKw * kw)),
            AnchorRule.Significant(file.Price.FixedPoints + (file.Price.PointsPerKw * kw)));

    // Where its one-second pulse would need less than so much voltage the wire would be too thick for its power: nobody winds it.
    private static bool IsMade(File file, double kw, double ohm) =>
        Math.Sqrt(ResistorRating.WireWound[0].PowerPu * kw * 1e3 * ohm) >= file.LeastPulseV;

    internal sealed record File(
        string Series, string Source, string Edition, IReadOnlyList<double> ContinuousKw, IReadOnlyList<double> Ohm, double LeastPulseV,
        double WindowS, PriceRule Price, MassRule Mass);

    internal sealed record PriceRule(double FixedPoints, double PointsPerKw);

    internal sealed record MassRule(double FixedKg, double KgPerKw);
}
