using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>Tables of limits, and a bank beside a short-circuit power in closed form.</summary>
public sealed class LimitTableTests
{
    [Theory]
    [InlineData(1, 5, 3.0)]
    [InlineData(1, 17, 2.0)]
    [InlineData(2, 5, 6.0)]
    [InlineData(2, 7, 5.0)]
    [InlineData(2, 11, 3.5)]
    [InlineData(2, 17, 2.0)]
    [InlineData(2, 25, (2.27 * 17 / 25) - 0.27)]
    [InlineData(2, 3, 5.0)]
    [InlineData(2, 27, 0.2)]
    [InlineData(2, 4, 1.0)]
    [InlineData(2, 20, 0.375)]
    [InlineData(3, 13, 4.5)]
    [InlineData(3, 49, (4.5 * 17 / 49) - 0.5)]
    [InlineData(3, 20, 1.0)]
    public void Compatibility_levels_of_the_classes(int number, int order, double pct) =>
        Assert.Equal(pct, ReferenceCatalogue.Data.Compatibility.Classes[number].LevelPct(order), 12);

    [Fact]
    public void Totals_of_the_classes_and_their_edition()
    {
        var levels = ReferenceCatalogue.Data.Compatibility;
        Assert.Equal([5.0, 8.0, 10.0], new[] { 1, 2, 3 }.Select(n => levels.Classes[n].ThdPct));
        Assert.Contains("61000-2-4", levels.Source, StringComparison.Ordinal);
        Assert.NotEmpty(levels.Edition);
    }

    [Theory]
    [InlineData(10, 7, 3, 1.9, 33.0)]
    [InlineData(12, 7, 3, 1.9, 47.730181)]
    [InlineData(30, 14, 8, 5, 239.166667)]
    [InlineData(38, 20, 8, 5, 327.777778)]
    public void Between_rows_the_limits_run_in_straight_lines(double h5, double h7, double h11, double h13, double ratio)
    {
        var needed = ReferenceCatalogue.Data.Equipment.Needed(Orders((5, h5), (7, h7), (11, h11), (13, h13)), 100, balanced: true);
        Assert.Equal(ratio, needed!.Value.Ratio, 1e-5);

        // Even orders: 16/h per cent of the reference current, whatever the ratio.
        Assert.Null(ReferenceCatalogue.Data.Equipment.Needed(Orders((2, 8.1)), 100, balanced: true));
        Assert.NotNull(ReferenceCatalogue.Data.Equipment.Needed(Orders((2, 7.9)), 100, balanced: true));
    }

    [Fact]
    public void A_spectrum_beyond_every_row_has_no_ratio_and_triplens_have_rows_of_their_own()
    {
        var limits = ReferenceCatalogue.Data.Equipment;
        Assert.Null(limits.Needed(Orders((5, 60)), 100, balanced: true));
        Assert.Equal(33 + (33 * (23 - 21.6) / (24 - 21.6)), limits.Needed(Orders((3, 23)), 100, balanced: false)!.Value.Ratio, 1e-9);

        // Weighted orders from 14 on: 8 % of the 25th is √25·8 = 40 %, a quarter of the way from 250 to 350.
        Assert.Equal(275, limits.Needed(Orders((5, 6), (25, 8)), 100, balanced: true)!.Value.Ratio, 1e-9);
    }

    [Theory]
    [InlineData(30, 14, 120.0, 33 + (87 * (30 - 10.7) / (40 - 10.7)))]
    [InlineData(30, 14, -240.0, 33 + (87 * (30 - 10.7) / (40 - 10.7)))]
    [InlineData(30, 14, 151.0, 239.166667)]
    [InlineData(30, 14, 89.0, 239.166667)]
    [InlineData(30, 14, double.NaN, 239.166667)]
    [InlineData(39, 24, 100.0, 33 + (87 * (39 - 10.7) / (40 - 10.7)))]
    public void The_angle_of_the_fifth_admits_the_table_made_for_it(double h5, double h7, double fifthDeg, double ratio) =>
        Assert.Equal(ratio, ReferenceCatalogue.Data.Equipment.Needed(Orders((5, h5), (7, h7), (11, 8), (13, 5)), 100, balanced: true,
            fifthDeg)!.Value.Ratio, 1e-5);

    [Fact]
    public void A_small_fifth_and_seventh_need_no_angle()
    {
        var limits = ReferenceCatalogue.Data.Equipment;

        // 9 % of the 11th: between rows 120 (7 %) and 250 (12 %) of the one table, between 33 (3.1 %) and 120 (15 %) of the other.
        Assert.Equal(33 + (87 * (9 - 3.1) / (15 - 3.1)),
            limits.Needed(Orders((5, 4.9), (7, 4.9), (11, 9)), 100, balanced: true)!.Value.Ratio, 1e-9);
        Assert.Equal(120 + (130 * (9 - 7) / 5.0),
            limits.Needed(Orders((5, 5.1), (7, 4.9), (11, 9)), 100, balanced: true)!.Value.Ratio, 1e-9);
    }

    [Fact]
    public void A_bank_resonates_at_the_root_of_the_powers()
    {
        var bare = BankResonance.Of(20, 1e6, 400, 0, 0);
        Assert.Equal(Math.Sqrt(20 / 0.4), bare.ParallelOrder, 4);
        Assert.Equal(double.PositiveInfinity, bare.SeriesOrder);

        // Lossless: 1/|1 − h²·Q/S|.
        foreach (var h in new[] { 2, 5, 7, 11, 25 })
        {
            Assert.Equal(1 / Math.Abs(1 - (h * h * 0.4 / 20)), bare.Gains[h - 1], 3);
        }
    }

    [Fact]
    public void A_reactor_moves_the_resonance_below_the_fifth()
    {
        var detuned = BankResonance.Of(20, 10, 400, 7, 0);
        Assert.Equal(1 / Math.Sqrt(0.07), detuned.SeriesOrder, 12);
        Assert.True(detuned.ParallelOrder < detuned.SeriesOrder);
        Assert.All(detuned.Gains.Skip(4), g => Assert.True(g < 1));
    }

    private static Complex[] Orders(params (int Order, double Pct)[] parts)
    {
        var orders = new Complex[50];
        orders[0] = 100;
        foreach (var (order, pct) in parts)
        {
            orders[order - 1] = pct;
        }

        return orders;
    }
}
