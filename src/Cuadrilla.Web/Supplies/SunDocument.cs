using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Web.Supplies;

/// <summary>A pump on the sun: limits of its strings, ways to connect them, its year.</summary>
/// <param name="Missing">What is missing before a year can be computed.</param>
/// <param name="Limits">Voltages of a module and limits; null while the module is not entered.</param>
/// <param name="Ways">Ways to connect modules.</param>
/// <param name="Pump">From power to water; null while something is missing.</param>
/// <param name="Year">The year; null likewise.</param>
internal sealed record SunDocument(IReadOnlyList<string> Missing, SunLimits? Limits, IReadOnlyList<StringWay> Ways, SunPumpDocument? Pump,
    SunYearDocument? Year)
{
    private const int CurvePoints = 24;

    public static SunDocument Of(DrivePointModel model)
    {
        var study = SunStudy.Of(model, out var missing);
        var feed = SunFeed.Of(model);
        return new SunDocument(missing, feed is null ? null : LimitsOf(feed),
            feed is null ? [] : SunChoices.Of(feed, study, model is DriveOnConverter drive ? SunPump.Of(drive) : null),
            study is null ? null : PumpOf(study.Pump), study is null ? null : YearOf(study));
    }

    private static SunLimits LimitsOf(SunFeed feed) => new(feed.UocColdV, feed.UmpHotV, feed.ConverterV, feed.LimitV?.V, feed.LimitV?.Whose,
        feed.MostInSeries, PvString.StringA(feed.Module), feed.ArrayKw, feed.ArrayA,
        feed.ArrayKw is { } kw ? PvString.InsulationKohm(kw) : null);

    private static SunPumpDocument PumpOf(SunPump pump) => new(pump.FlowBeginsRpm, pump.RatedRpm, pump.RatedKw, pump.RatedM3PerH,
        [
            .. Enumerable.Range(0, CurvePoints + 1).Select(k => pump.FlowBeginsRpm
                + ((pump.RatedRpm - pump.FlowBeginsRpm) * k / CurvePoints))
                .Select(rpm => new SunPumpPoint(rpm, pump.PowerAtKw(rpm), pump.FlowAtM3PerH(rpm))),
        ]);

    private static SunYearDocument YearOf(SunStudy study)
    {
        var year = study.Year();
        return new SunYearDocument(year.WaterM3, year.EnergyKwh, year.UsedKwh, study.Hours.KwhPerM2, year.WorstShare, year.WorstMonth,
            year.ShortDays, year.MostStartsPerDay, year.LongestPumpingH,
            [
                .. year.Months.Select(m => new SunMonthDocument(m.WaterM3PerDay, m.DemandM3PerDay, m.EnergyKwhPerDay, m.UsedKwhPerDay,
                    m.PumpingHours, [.. m.Day.Select(h => new SunHourDocument(h.WPerM2, h.PowerKw, h.SpeedRpm, h.FlowM3PerH))])),
            ]);
    }
}

/// <summary>Voltages of one module and the limits of a string.</summary>
internal sealed record SunLimits(double? UocColdV, double? UmpHotV, double? ConverterV, double? LimitV, string? Whose, int? MostInSeries,
    double StringA, double? ArrayKw, double? ArrayA, double? InsulationKohm);

/// <summary>A pump from power to water.</summary>
internal sealed record SunPumpDocument(double FlowBeginsRpm, double RatedRpm, double RatedKw, double RatedM3PerH,
    IReadOnlyList<SunPumpPoint> Curve);

/// <summary>A speed.</summary>
internal sealed record SunPumpPoint(double SpeedRpm, double PowerKw, double FlowM3PerH);

/// <summary>A year by months.</summary>
internal sealed record SunYearDocument(double WaterM3, double EnergyKwh, double UsedKwh, double LightKwhPerM2, double? WorstShare,
    int WorstMonth,
    int? ShortDays, int MostStartsPerDay, double LongestPumpingH, IReadOnlyList<SunMonthDocument> Months);

/// <summary>A month and its mean day.</summary>
internal sealed record SunMonthDocument(double WaterM3PerDay, double? DemandM3PerDay, double EnergyKwhPerDay, double UsedKwhPerDay,
    double PumpingHours, IReadOnlyList<SunHourDocument> Day);

/// <summary>Mean of an hour.</summary>
internal sealed record SunHourDocument(double WPerM2, double PowerKw, double SpeedRpm, double FlowM3PerH);
