using System.Globalization;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Catalogue;

/// <summary>Builds the generic soft starters and reads the presets.</summary>
internal static class SoftStarterSeries
{
    public static IEnumerable<SoftStarterItem> Build(File file) => file.CurrentsA.Select(a => new SoftStarterItem
    {
        Id = string.Create(CultureInfo.InvariantCulture, $"soft-{a}"),
        Series = file.Series,
        RatedCurrentA = a,
        StartCurrentPu = file.StartCurrentPu,
        StartTimeS = file.StartTimeS,
        StartsPerHour = file.StartsPerHour,
        ThyristorWPerA = file.ThyristorWPerA,
        AuxiliaryW = Math.Round(file.Auxiliary.FixedW + (file.Auxiliary.WPerA * a), 1),
        ShortCircuitKa = file.ShortCircuitKa,
        WidthMm = Math.Round((file.Width.FixedMm + (file.Width.MmPerRootA * Math.Sqrt(a))) / 5) * 5,
        MassKg = Math.Round(file.Mass.FixedKg + (file.Mass.KgPerA * a), 1),
        PriceIndex = Math.Round(file.Price.FixedPoints + (file.Price.PointsPerA * a), 2),
        Derating = file.Derating,
    });

    public static IEnumerable<StartPreset> Presets(PresetFile file) => file.Presets.Select(p => new StartPreset(
        p.Application,
        new SoftStarterSettings(p.Mode, p.InitialPct, p.RampS, p.CurrentLimitPct, p.KickPct, p.KickS, false, p.StopRampS),
        p.Trip));

    internal sealed record File(
        string Series,
        string Source,
        string Edition,
        IReadOnlyList<double> CurrentsA,
        double StartCurrentPu,
        double StartTimeS,
        double StartsPerHour,
        double ThyristorWPerA,
        AuxiliaryRule Auxiliary,
        double ShortCircuitKa,
        WidthRule Width,
        MassRule Mass,
        PriceRule Price,
        SiteDerating Derating);

    internal sealed record AuxiliaryRule(double FixedW, double WPerA);

    internal sealed record WidthRule(double FixedMm, double MmPerRootA);

    internal sealed record MassRule(double FixedKg, double KgPerA);

    internal sealed record PriceRule(double FixedPoints, double PointsPerA);

    internal sealed record PresetFile(string Source, string Edition, IReadOnlyList<Preset> Presets);

    internal sealed record Preset(
        string Application,
        SoftStartMode Mode,
        double InitialPct,
        double RampS,
        double CurrentLimitPct,
        double KickPct,
        double KickS,
        double StopRampS,
        TripClass Trip);
}
