using CsCheck;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Energy;
using Check = Cuadrilla.Core.Checks.Check;

namespace Cuadrilla.Core.Tests.Checks;

/// <summary>How figures are judged, limits by their tables, and money by hand.</summary>
public sealed class JudgingTests
{
    [Theory]
    [InlineData(50, 100, LimitSense.AtMost, Verdict.Holds, 50)]
    [InlineData(95, 100, LimitSense.AtMost, Verdict.Tight, 5)]
    [InlineData(100, 100, LimitSense.AtMost, Verdict.Tight, 0)]
    [InlineData(101, 100, LimitSense.AtMost, Verdict.Fails, -1)]
    [InlineData(150, 100, LimitSense.AtLeast, Verdict.Holds, 50)]
    [InlineData(104, 100, LimitSense.AtLeast, Verdict.Tight, 4)]
    [InlineData(80, 100, LimitSense.AtLeast, Verdict.Fails, -20)]
    public void A_figure_is_judged_by_its_margin(double figure, double limit, LimitSense sense, Verdict verdict, double margin)
    {
        Assert.Equal(verdict, Check.Judge(figure, limit, sense, 10, out var found));
        Assert.Equal(margin, found, 9);
    }

    [Fact]
    public void A_limit_of_zero_is_failed_by_anything_above() =>
        Assert.Equal(Verdict.Fails, Check.Judge(0.1, 0, LimitSense.AtMost, 10, out _));

    [Fact]
    public void Not_a_number_never_holds() => Assert.Equal(Verdict.Fails, Check.Judge(double.NaN, 5, LimitSense.AtMost, 10, out _));

    [Fact]
    public void A_larger_figure_never_gets_a_better_verdict() =>
        Gen.Select(Gen.Double[0, 200], Gen.Double[0, 100], Gen.Double[0, 30]).Sample(x =>
    {
        var (figure, more, tight) = x;
        return Check.Judge(figure, 100, LimitSense.AtMost, tight, out _) <= Check.Judge(figure + more, 100, LimitSense.AtMost,
            tight, out _);
    });

    [Theory]
    [InlineData(110_000, 30, 3.5, 4.0)]
    [InlineData(161_000, 1500, 7.5, 10.0)]
    [InlineData(220_000, 20, 1.0, 1.5)]
    [InlineData(400_000, 60, 3.0, 3.75)]
    public void Above_69_kV_tables_of_their_own_hold(double volts, double ratio, double below11, double tdd)
    {
        var row = ReferenceCatalogue.Data.PccLimits.CurrentRow(ratio, volts);
        Assert.Equal((below11, tdd), (ReferenceCatalogue.Data.PccLimits.OrderLimitPct(row, 5), row.TddPct));
    }

    // IEEE 519-2022, 120 V to 69 kV: the whole table.
    [Theory]
    [InlineData(10, 4.0, 2.0, 1.5, 0.6, 0.3, 5.0)]
    [InlineData(20, 7.0, 3.5, 2.5, 1.0, 0.5, 8.0)]
    [InlineData(49.9, 7.0, 3.5, 2.5, 1.0, 0.5, 8.0)]
    [InlineData(50, 10.0, 4.5, 4.0, 1.5, 0.7, 12.0)]
    [InlineData(100, 12.0, 5.5, 5.0, 2.0, 1.0, 15.0)]
    [InlineData(1000, 15.0, 7.0, 6.0, 2.5, 1.4, 20.0)]
    public void Current_limits_are_those_of_the_table(double ratio, double below11, double below17, double below23, double below35,
        double to50, double tdd)
    {
        var limits = ReferenceCatalogue.Data.PccLimits;
        var row = limits.CurrentRow(ratio, 20_000);
        Assert.Equal(tdd, row.TddPct);
        Assert.Equal(
            [below11, below11, below17, below17, below23, below35, below35, to50, to50],
            new[] { 5, 9, 11, 15, 17, 23, 33, 35, 49 }.Select(h => limits.OrderLimitPct(row, h)));
        Assert.Equal(below11 / 2, limits.OrderLimitPct(row, 2));
        Assert.Equal(below11 / 2, limits.OrderLimitPct(row, 6));
        Assert.Equal(below11, limits.OrderLimitPct(row, 8));
    }

    [Theory]
    [InlineData(400, 5.0, 8.0)]
    [InlineData(1000, 5.0, 8.0)]
    [InlineData(20_000, 3.0, 5.0)]
    [InlineData(69_000, 3.0, 5.0)]
    public void Voltage_limits_are_those_of_the_table(double voltageV, double each, double total)
    {
        var row = ReferenceCatalogue.Data.PccLimits.VoltageRow(voltageV);
        Assert.Equal((each, total), (row.EachPct, row.ThdPct));
    }

    [Fact]
    public void A_year_by_hand()
    {
        var tariff = new Tariff("EUR", 0.1, 50, 0.2, 10, 5, 0);
        var year = YearlyEnergy.Of([new EnergyPoint(1, 1000, 20e3), new EnergyPoint(0.5, 3000, 5e3), new EnergyPoint(0.2, 0, 90e3)], 30,
            tariff);
        Assert.Equal(35_000, year.EnergyKwh, 9);
        Assert.Equal(20, year.DemandKw, 9);
        Assert.Equal(4500, year.CostPerYear, 9);
        Assert.Equal(7000, year.Co2Kg, 9);
        Assert.Equal(300 + (5 * 4500), year.LifetimeCost, 9);
    }

    [Fact]
    public void A_dearer_kilowatt_hour_never_lowers_the_cost() =>
        Gen.Select(Gen.Double[0, 1], Gen.Double[0, 1], Gen.Double[0, 20]).Sample(x =>
    {
        var (price, more, rate) = x;
        Tariff At(double p) => new("EUR", p, 50, 0.2, 10, 10, rate);
        EnergyPoint[] points = [new(1, 2000, 30e3)];
        return YearlyEnergy.Of(points, 10, At(price)).LifetimeCost <= YearlyEnergy.Of(points, 10, At(price + more)).LifetimeCost;
    });

    [Fact]
    public void Every_default_says_its_range_and_source_and_lies_within() => Assert.All(ReferenceCatalogue.Data.Defaults, d =>
    {
        Assert.InRange(d.Value, d.Min, d.Max);
        Assert.NotEmpty(d.Source);
        Assert.NotEmpty(d.Name);
    });
}
