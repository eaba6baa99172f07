using CsCheck;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Core.Tests.Converters.Stopping;

/// <summary>Short-time rating of brake resistors.</summary>
public sealed class ResistorRatingTests
{
    private static readonly ResistorRating OneKw = new(1e3, 120, ResistorRating.WireWound);

    [Theory]
    [InlineData(1, 20)]
    [InlineData(5, 12)]
    [InlineData(10, 8)]
    [InlineData(30, 4)]
    [InlineData(60, 2)]
    [InlineData(120, 1)]
    public void A_pulse_of_its_rating_fills_it_exactly(double timeS, double pu) =>
        Assert.Equal(1, OneKw.Of([new ReturnedPower(timeS, pu * 1e3)], false).LoadingPu, 9);

    [Fact]
    public void A_stop_of_two_megajoules_does_not_go_into_a_hundred_watts()
    {
        var rating = new ResistorRating(100, 120, ResistorRating.WireWound);
        var loading = rating.Of([.. Enumerable.Range(0, 30).Select(i => new ReturnedPower(1, 150e3 * (1 - ((i + 0.5) / 30))))], false);
        Assert.True(loading.LoadingPu > 100);
    }

    [Fact]
    public void What_repeats_counts_in_its_window_not_over_the_hour()
    {
        // 3 kW for 30 s every ten minutes: 150 W mean, and still 90 kJ within the window.
        var loading = OneKw.Of([new ReturnedPower(30, 3e3), new ReturnedPower(570, 0)], true);
        Assert.Equal(0.75, loading.LoadingPu, 9);
    }

    [Fact]
    public void The_worst_stretch_is_that_of_a_fine_search() =>
        Gen.Select(Gen.Double[0.2, 20], Gen.Double[0, 30e3]).List[1, 6].Sample(parts =>
    {
        List<ReturnedPower> profile = [.. parts.Select(p => new ReturnedPower(p.Item1, p.Item2))];
        double At(double t)
        {
            foreach (var p in profile)
            {
                if (t < p.DurationS)
                {
                    return p.PowerW;
                }

                t -= p.DurationS;
            }

            return 0;
        }

        var span = profile.Sum(p => p.DurationS);
        const int Grid = 4000;
        var step = span / Grid;
        var sums = new double[Grid + 1];
        for (var i = 0; i < Grid; i++)
        {
            sums[i + 1] = sums[i] + (At((i + 0.5) * step) * step);
        }

        var worst = ResistorRating.WireWound.Append(new ResistorPulse(120, 1)).Max(p =>
        {
            var width = Math.Max(1, Math.Min(Grid, (int)Math.Round(p.TimeS / step)));
            return Enumerable.Range(0, Grid - width + 1).Max(i => sums[i + width] - sums[i]) / (p.PowerPu * 1e3 * p.TimeS);
        });
        Assert.Equal(worst, OneKw.Of(profile, false).LoadingPu, 0.03 * Math.Max(worst, 0.1));
    }, iter: 100);
}
