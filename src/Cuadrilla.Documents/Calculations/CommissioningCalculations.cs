using System.ComponentModel.DataAnnotations;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commissioning;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of commissioning: insulation, rise, end of a temperature run, identification, harmonic records.</summary>
internal static class CommissioningCalculations
{
    private const double Large = 1e9;
    private const double ColdestC = -60;
    private const double HottestC = 400;
    private const double LargestA = 100_000;
    private const double LargestV = 100_000;
    private const int MostDayValues = 1_000_000;

    private static CommissioningRules Rules => ReferenceCatalogue.Data.Commissioning;

    public static object Insulation(InsulationInput input, InputRanges ranges)
    {
        ranges.Require(input.Kind != InsulationKind.OldWinding || input.RatedKv is not null, "ratedKv", "absent",
            "the rated voltage, kV, of an old winding").Done();
        return Rules.Insulation.Judge(input.Kind, input.ReadingMegohm, input.WindingC, input.RatedKv ?? 0, input.TenMinuteMegohm);
    }

    public static object Rise(RiseInput input, InputRanges ranges)
    {
        ranges.Require(input.HotOhm is null != input.Readings is null, "hotOhm", input.HotOhm is null ? "absent" : "given beside readings",
            "either hotOhm or readings").Done();
        var winding = new WindingRise(input.ColdOhm, input.ColdC, input.Material);
        var (hot, delay) = (winding.TemperatureC(input.HotOhm ?? input.ColdOhm), input.DelayS);
        if (input.Readings is { } readings)
        {
            for (var i = 0; i < readings.Count; i++)
            {
                var found = winding.TemperatureC(readings[i].ResistanceOhm);
                ranges
                    .Require(found > input.AmbientC, $"readings/{i}/resistanceOhm", $"{readings[i].ResistanceOhm}",
                        $"that of a winding above {input.AmbientC} °C, ambientC")
                    .Require(i == 0 || readings[i].TimeS > readings[i - 1].TimeS, $"readings/{i}/timeS", $"{readings[i].TimeS}",
                        "later than the reading before it");
            }

            ranges.Done();
            hot = winding.BackToC([.. readings.Select(r => new ResistanceReading(r.TimeS, r.ResistanceOhm))], input.AmbientC);
            delay = readings[0].TimeS;
        }

        return Rules.Rise.Judge(hot, input.AmbientC, input.RatedKw, input.RiseClass, delay);
    }

    public static object End(EndInput input, InputRanges ranges)
    {
        var points = input.Points.Select(p => new TemperaturePoint(p.TimeS, p.TemperatureC)).ToList();
        for (var i = 1; i < points.Count; i++)
        {
            ranges.Require(points[i].TimeS > points[i - 1].TimeS, $"points/{i}/timeS", $"{points[i].TimeS}",
                "later than the point before it");
        }

        var kept = points.Where(p => p.TimeS >= input.FromS).ToList();
        ranges.Require(kept.Count >= EndTemperature.FewestPoints, "fromS", $"{input.FromS}",
            $"a time that leaves {EndTemperature.FewestPoints} points or more").Done();
        var found = EndTemperature.Of(kept);
        var rise = found?.EndC - input.AmbientC;
        return new EndOutput(found is not null, found?.EndC, rise, found?.TimeConstantS, found?.ResidualK,
            rise is null or 0 ? null : (points[^1].TemperatureC - input.AmbientC) / rise * 100, EndTemperature.IsStable(points));
    }

    public static object Identification(IdentificationInput input, InputRanges ranges)
    {
        ranges
            .Require(input.Poles is 2 or 4 or 6 or 8, "poles", $"{input.Poles}", "2, 4, 6, 8")
            .Require(input.NoLoad is not null || input.Stator is not null || input.Inertia is not null, "noLoad", "absent",
                "at least one of noLoad, stator, inertia")
            .Done();
        var windows = Rules.Identification;
        var noLoad = input.NoLoad is { } n
            ? windows.NoLoad(input.Poles, input.RatedKw, input.RatedA, n.MeasuredA, n.ExpectedA, n.Reference)
            : null;
        var stator = input.Stator is { } s
            ? windows.StatorOf(input.RatedKw, input.RatedV, input.RatedA, s.MeasuredOhm, s.Expected20Ohm, s.WindingC, s.CableOhm)
            : null;
        var inertia = input.Inertia is { } j ? windows.InertiaOf(j.MeasuredKgM2, j.ExpectedKgM2) : null;
        return new IdentificationOutput(
            noLoad is null ? null : new(noLoad.DeviationPct, noLoad.WindowPct, noLoad.SizePu!.Value, noLoad.Usual, noLoad.Verdict),
            stator is null ? null : new(stator.Expected, stator.DeviationPct, stator.WindowPct, stator.SizePu!.Value, stator.Usual,
                stator.Verdict),
            inertia is null ? null : new(inertia.DeviationPct, inertia.WindowPct, inertia.Verdict),
            new[] { noLoad, stator, inertia }.OfType<IdentifiedValue>().Max(v => v.Verdict));
    }

    public static object Statistics(StatisticsInput input, InputRanges ranges)
    {
        ranges.Require(input.Days is not null || input.WeekTenMinutePct is not null, "days", "absent",
            "at least one of days, weekTenMinutePct").Done();
        var found = Rules.Statistics.Judge(input.Quantity, input.LimitPct, input.Days?.Select(d => d.ThreeSecondPct).ToList(),
            input.WeekTenMinutePct);
        return new StatisticsOutput(found.Daily99Pct, found.WorstDay?.ValuePct, found.WorstDay?.LimitPct, found.WorstDay?.Holds,
            found.Weekly99?.ValuePct, found.Weekly99?.LimitPct, found.Weekly99?.Holds, found.Weekly95?.ValuePct, found.Weekly95?.LimitPct,
            found.Weekly95?.Holds, found.Complete,
            !found.NothingFails ? RecordVerdict.Fails : found.Complete ? RecordVerdict.Holds : RecordVerdict.NeedsData);
    }

    internal enum RecordVerdict
    {
        Fails,
        Holds,
        NeedsData,
    }

    internal sealed record InsulationInput(
        InsulationKind Kind,
        [Above(0, Large)] double ReadingMegohm,
        [Range(-20, 200)] double WindingC,
        [Above(0, 100)] double? RatedKv = null,
        [Above(0, Large)] double? TenMinuteMegohm = null);

    internal sealed record ReadingInput([Range(0, Large)] double TimeS, [Above(0, Large)] double ResistanceOhm);

    internal sealed record RiseInput(
        [Above(0, Large)] double ColdOhm,
        [Range(ColdestC, HottestC)] double ColdC,
        [Range(ColdestC, HottestC)] double AmbientC,
        [Above(0, Large)] double RatedKw,
        RiseClass RiseClass,
        WindingMaterial Material = WindingMaterial.Copper,
        [Above(0, Large)] double? HotOhm = null,
        [Range(0, Large)] double DelayS = 0,
        [Length(2, 100)] IReadOnlyList<ReadingInput>? Readings = null);

    internal sealed record PointInput([Range(0, Large)] double TimeS, [Range(ColdestC, HottestC)] double TemperatureC);

    internal sealed record EndInput(
        [Range(ColdestC, HottestC)] double AmbientC,
        [Length(4, 10_000)] IReadOnlyList<PointInput> Points,
        [Range(0, Large)] double FromS = 0);

    internal sealed record EndOutput(bool Settles, double? EndC, double? RiseK, double? TimeConstantS, double? ResidualK,
        double? ReachedPct,
        bool Stable);

    internal sealed record NoLoadInput([Above(0, LargestA)] double MeasuredA, [Above(0, LargestA)] double ExpectedA,
        NoLoadReference Reference = NoLoadReference.Estimated);

    internal sealed record StatorInput([Above(0, Large)] double MeasuredOhm, [Above(0, Large)] double Expected20Ohm,
        [Range(ColdestC, HottestC)] double WindingC, [Range(0, Large)] double CableOhm = 0);

    internal sealed record InertiaInput([Above(0, Large)] double MeasuredKgM2, [Above(0, Large)] double ExpectedKgM2);

    internal sealed record IdentificationInput(
        [Range(2, 8)] int Poles,
        [Above(0, Large)] double RatedKw,
        [Above(0, LargestV)] double RatedV,
        [Above(0, LargestA)] double RatedA,
        NoLoadInput? NoLoad = null,
        StatorInput? Stator = null,
        InertiaInput? Inertia = null);

    internal sealed record NoLoadOutput(double DeviationPct, double WindowPct, double RatioPu, bool Usual, WindowVerdict Verdict);

    internal sealed record StatorOutput(double ExpectedOhm, double DeviationPct, double WindowPct, double ResistancePu, bool Usual,
        WindowVerdict Verdict);

    internal sealed record InertiaOutput(double DeviationPct, double WindowPct, WindowVerdict Verdict);

    internal sealed record IdentificationOutput(NoLoadOutput? NoLoad, StatorOutput? Stator, InertiaOutput? Inertia, WindowVerdict Verdict);

    internal sealed record DayInput([Length(1, MostDayValues)][Range(0, Large)] IReadOnlyList<double> ThreeSecondPct);

    internal sealed record StatisticsInput(
        [Above(0, 100)] double LimitPct,
        RecordedQuantity Quantity = RecordedQuantity.Current,
        [Length(1, 200)] IReadOnlyList<DayInput>? Days = null,
        [Length(1, MostDayValues)][Range(0, Large)] IReadOnlyList<double>? WeekTenMinutePct = null);

    internal sealed record StatisticsOutput(IReadOnlyList<double>? Daily99Pct, double? WorstDayPct, double? DailyLimitPct, bool? DailyHolds,
        double? Weekly99Pct, double? Weekly99LimitPct, bool? Weekly99Holds, double? Weekly95Pct, double? Weekly95LimitPct,
        bool? Weekly95Holds, bool Complete, RecordVerdict Verdict);
}
