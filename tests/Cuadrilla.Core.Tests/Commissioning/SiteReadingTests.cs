using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commissioning;

namespace Cuadrilla.Core.Tests.Commissioning;

/// <summary>Readings on site against closed forms, limits and the opposite way round.</summary>
public sealed class SiteReadingTests
{
    private static readonly CommissioningRules Rules = ReferenceCatalogue.Data.Commissioning;

    [Theory]
    [InlineData(InsulationKind.RandomWound, 5)]
    [InlineData(InsulationKind.FormWound, 100)]
    [InlineData(InsulationKind.OldWinding, 7.6)]
    [InlineData(InsulationKind.LongCable, 1)]
    [InlineData(InsulationKind.NewRandomWound, 20)]
    public void Insulation_is_asked_for_at_40_degrees_and_a_reading_at_the_limit_holds(InsulationKind kind, double requiredMegohm)
    {
        var at40 = Rules.Insulation.Judge(kind, requiredMegohm, 40, 6.6, null);
        Assert.Equal(requiredMegohm, at40.RequiredMegohm, 9);
        Assert.True(at40.Holds);
        Assert.False(Rules.Insulation.Judge(kind, requiredMegohm * 0.999, 40, 6.6, null).Holds);

        // 10 K warmer it may be half of it, 20 K colder it must be four times it.
        Assert.True(Rules.Insulation.Judge(kind, requiredMegohm / 2, 50, 6.6, null).Holds);
        Assert.False(Rules.Insulation.Judge(kind, requiredMegohm * 3.99, 20, 6.6, null).Holds);
        Assert.True(Rules.Insulation.Judge(kind, requiredMegohm * 4, 20, 6.6, null).Holds);
    }

    [Fact]
    public void An_index_says_nothing_where_the_insulation_is_very_good()
    {
        Assert.False(Rules.Insulation.Judge(InsulationKind.FormWound, 4000, 40, 0, 7000).IndexHolds);
        Assert.True(Rules.Insulation.Judge(InsulationKind.FormWound, 4000, 40, 0, 8000).IndexHolds);
        Assert.Null(Rules.Insulation.Judge(InsulationKind.FormWound, 5001, 40, 0, 5100).IndexHolds);
        Assert.Null(Rules.Insulation.Judge(InsulationKind.FormWound, 4000, 40, 0, null).IndexHolds);
    }

    [Theory]
    [InlineData(WindingMaterial.Copper, 0.00393)]
    [InlineData(WindingMaterial.Aluminium, 0.00408)]
    public void A_resistance_and_its_temperature_are_each_other_s_opposite(WindingMaterial material, double alpha20)
    {
        var winding = new WindingRise(0.42, 20, material);
        Assert.All(new[] { -20.0, 20, 75, 180 }, c => Assert.Equal(c, winding.TemperatureC(winding.ResistanceOhm(c)), 9));

        // The linear law of a textbook, from a coefficient that shares nothing with k.
        Assert.Equal(0.42 * (1 + (alpha20 * 80)), winding.ResistanceOhm(100), 5e-4);
    }

    [Fact]
    public void A_cooling_winding_is_followed_back_to_its_switching_off()
    {
        var winding = new WindingRise(0.2, 22, WindingMaterial.Copper);
        ResistanceReading At(double s) => new(s, winding.ResistanceOhm(26 + (71.5 * Math.Exp(-s / 420))));
        Assert.Equal(97.5, winding.BackToC([At(25), At(60), At(95), At(170)], 26), 9);
        Assert.Throws<UnfitDataException>(() => winding.BackToC([At(25), new ResistanceReading(60, winding.ResistanceOhm(26))], 26));
        Assert.Throws<UnfitDataException>(() => winding.BackToC([At(25), At(25)], 26));
    }

    [Theory]
    [InlineData(50, 30)]
    [InlineData(50.1, 90)]
    [InlineData(200, 90)]
    [InlineData(201, 120)]
    public void The_first_reading_has_its_time_by_rating(double ratedKw, double delayS)
    {
        var found = Rules.Rise.Judge(100, 20, ratedKw, RiseClass.B, delayS);
        Assert.Equal(delayS, found.DelayLimitS);
        Assert.True(found.DelayHolds && found.Holds);
        Assert.False(Rules.Rise.Judge(100.1, 20, ratedKw, RiseClass.B, delayS + 1) is { Holds: true } or { DelayHolds: true });
        Assert.True(Rules.Rise.Judge(125, 20, ratedKw, RiseClass.F, 0).Holds);
        Assert.True(Rules.Rise.Judge(145, 20, ratedKw, RiseClass.H, 0).Holds);
    }

    [Theory]
    [InlineData(1.0)]
    [InlineData(0.4)]
    [InlineData(0.15)]
    public void A_run_s_end_is_found_from_a_part_of_it(double spanInTimeConstants)
    {
        const double tau = 2700;
        var points = Enumerable.Range(0, 30).Select(i => i * spanInTimeConstants * tau / 29)
            .Select(t => new TemperaturePoint(t + 300, 96.5 - (71 * Math.Exp(-t / tau)))).ToList();
        var found = EndTemperature.Of(points)!;
        Assert.Equal(96.5, found.EndC, 0.05);
        Assert.Equal(tau, found.TimeConstantS, 0.005 * tau);
        Assert.Equal(0, found.ResidualK, 1e-4);
    }

    [Fact]
    public void Noise_leaves_the_residual_that_was_put_in()
    {
        var points = Enumerable.Range(0, 400).Select(i => new TemperaturePoint(30 * i, 90 - (60 * Math.Exp(-i * 30 / 3000.0))
            + (i % 2 == 0 ? 0.2 : -0.2))).ToList();
        var found = EndTemperature.Of(points)!;
        Assert.Equal(0.2, found.ResidualK, 0.002);
        Assert.Equal(90, found.EndC, 0.3);
    }

    [Fact]
    public void A_straight_line_a_cooling_and_a_standing_run_do_not_settle()
    {
        Assert.Null(EndTemperature.Of([.. Enumerable.Range(0, 10).Select(i => new TemperaturePoint(60 * i, 20 + i))]));
        Assert.Null(EndTemperature.Of([.. Enumerable.Range(0, 10)
            .Select(i => new TemperaturePoint(60 * i, 20 + (50 * Math.Exp(-i / 3.0))))]));
        Assert.Null(EndTemperature.Of([.. Enumerable.Range(0, 10).Select(i => new TemperaturePoint(60 * i, 40))]));
    }

    [Fact]
    public void Half_an_hour_within_one_kelvin_is_stable()
    {
        List<TemperaturePoint> Run(double lastS, double stepK) =>
            [.. Enumerable.Range(0, 7).Select(i => new TemperaturePoint(lastS * i / 6, 80 + (stepK * i)))];
        Assert.True(EndTemperature.IsStable(Run(1800, 1.0 / 6)));
        Assert.False(EndTemperature.IsStable(Run(1800, 0.17)));
        Assert.False(EndTemperature.IsStable(Run(1799, 0)));
        Assert.True(EndTemperature.IsStable([new(0, 20), new(3000, 80), new(4800, 80.9)]));
    }

    [Theory]
    [InlineData(2, 30, 0.35, 25, NoLoadReference.Estimated, WindowVerdict.Holds)]
    [InlineData(2, 30, 0.50, 25, NoLoadReference.Estimated, WindowVerdict.Tight)]
    [InlineData(2, 30, 0.35, 10.1, NoLoadReference.Measured, WindowVerdict.Tight)]
    [InlineData(2, 30, 0.35, 40.1, NoLoadReference.Measured, WindowVerdict.Fails)]
    [InlineData(4, 1.99, 0.65, -25, NoLoadReference.Estimated, WindowVerdict.Holds)]
    [InlineData(4, 2, 0.65, -25, NoLoadReference.Estimated, WindowVerdict.Tight)]
    [InlineData(6, 30, 0.65, 0, NoLoadReference.Estimated, WindowVerdict.Holds)]
    [InlineData(8, 30, 0.49, 0, NoLoadReference.Estimated, WindowVerdict.Tight)]
    [InlineData(8, 30, 0.70, -40.1, NoLoadReference.Estimated, WindowVerdict.Fails)]
    public void A_no_load_current_is_held_to_its_reference_and_its_usual_size(int poles, double kw, double ratio, double deviationPct,
        NoLoadReference reference, WindowVerdict verdict)
    {
        var found = Rules.Identification.NoLoad(poles, kw, 100, 100 * ratio, 100 * ratio / (1 + (deviationPct / 100)), reference);
        Assert.Equal(deviationPct, found.DeviationPct, 9);
        Assert.Equal(verdict, found.Verdict);
    }

    [Theory]
    [InlineData(3, 0.05)]
    [InlineData(3, 0.08)]
    [InlineData(6.9, 0.021)]
    [InlineData(7, 0.035)]
    [InlineData(30, 0.02)]
    [InlineData(31, 0.011)]
    [InlineData(54.9, 0.034)]
    [InlineData(55, 0.018)]
    [InlineData(160, 0.01)]
    [InlineData(161, 0.004)]
    public void A_stator_s_resistance_has_a_usual_size_by_rating(double kw, double pu)
    {
        IdentifiedValue Of(double size) => Rules.Identification.StatorOf(kw, 400 * Math.Sqrt(3), 100,
            (4 * size * 275 / 255) + 0.05, 4 * size, 40, 0.05);
        var found = Of(pu);
        Assert.Equal(pu, found.SizePu!.Value, 9);
        Assert.Equal(0, found.DeviationPct, 9);
        Assert.Equal(WindowVerdict.Holds, found.Verdict);
        Assert.Equal(WindowVerdict.Tight, Of(0.2).Verdict);
    }

    [Fact]
    public void Stator_and_inertia_are_tight_beside_their_windows_and_fail_far_off()
    {
        var windows = Rules.Identification;
        WindowVerdict Stator(double part) => windows.StatorOf(90, 400, 160, 0.02 * part, 0.02, 20, 0).Verdict;
        Assert.Equal([WindowVerdict.Holds, WindowVerdict.Tight, WindowVerdict.Tight, WindowVerdict.Fails],
            new[] { 1.1, 1.11, 0.8, 0.79 }.Select(Stator));
        Assert.Equal([WindowVerdict.Holds, WindowVerdict.Tight, WindowVerdict.Fails],
            new[] { 1.2, 1.4, 1.41 }.Select(p => windows.InertiaOf(3 * p, 3).Verdict));
    }

    [Theory]
    [InlineData(1, 99, 1)]
    [InlineData(100, 99, 99)]
    [InlineData(101, 99, 100)]
    [InlineData(20, 95, 19)]
    [InlineData(1008, 95, 958)]
    [InlineData(28800, 99, 28512)]
    public void A_percentile_is_the_value_of_its_rank(int count, int percent, int rank) => Assert.Equal(rank,
        StatisticFactors.Percentile([.. Enumerable.Range(1, count).Reverse().Select(i => (double)i)], percent));

    [Fact]
    public void A_record_is_complete_with_a_whole_week_and_judged_by_its_worst_day()
    {
        IReadOnlyList<double> Day(double pct) => [.. Enumerable.Repeat(pct, 28800)];
        IReadOnlyList<double> week = [.. Enumerable.Repeat(4.9, 1008)];
        var days = Enumerable.Repeat(Day(9), 6).Append(Day(10.1)).ToList();
        var found = Rules.Statistics.Judge(RecordedQuantity.Current, 5, days, week);
        Assert.True(found.Complete);
        Assert.False(found.WorstDay!.Holds);
        Assert.True(found.Weekly99!.Holds && found.Weekly95!.Holds);
        Assert.False(found.NothingFails);
        Assert.False(Rules.Statistics.Judge(RecordedQuantity.Current, 5, [.. days.Skip(1)], week).Complete);

        // Voltage: 1.5 times a day, no weekly 99th.
        var voltage = Rules.Statistics.Judge(RecordedQuantity.Voltage, 5, [Day(7.6)], week);
        Assert.Equal(7.5, voltage.WorstDay!.LimitPct);
        Assert.False(voltage.WorstDay.Holds);
        Assert.Null(voltage.Weekly99);
    }
}
