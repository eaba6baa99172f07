using Cuadrilla.Catalogue;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Tests.Converters;

public sealed class ConverterTests
{
    private static readonly ConverterLossPoints Points = new(100, 150, 300, 110, 165, 330, 180, 360);

    [Theory]
    [InlineData(0, 0.25, 100)]
    [InlineData(0, 0.5, 150)]
    [InlineData(0, 1, 300)]
    [InlineData(0.5, 0.25, 110)]
    [InlineData(0.5, 0.5, 165)]
    [InlineData(0.5, 1, 330)]
    [InlineData(0.9, 0.5, 180)]
    [InlineData(0.9, 1, 360)]
    [InlineData(0.25, 0.75, 236.25)]
    [InlineData(0.9, 0.25, 125)]
    [InlineData(1.0, 1, 367.5)]
    [InlineData(2.0, 1, 367.5)]
    public void Losses_meet_the_eight_points_and_interpolate(double frequency, double current, double lossW) =>
        Assert.Equal(lossW, Points.At(frequency, current, 10), 9);

    [Fact]
    public void Losses_never_fall_below_stand_by() => Assert.Equal(95, Points.At(0, 0, 95), 9);

    [Theory]
    [InlineData(35, 1)]
    [InlineData(43, 0.955)]
    [InlineData(50, 0.85)]
    [InlineData(51, 0)]
    public void Ambient_derating(double airC, double factor) => Assert.Equal(factor, Item().Derating.AmbientPu(airC), 12);

    [Theory]
    [InlineData(640, 1)]
    [InlineData(2000, 0.9)]
    [InlineData(4100, 0)]
    public void Altitude_derating(double altitudeM, double factor) => Assert.Equal(factor, Item().Derating.AltitudePu(altitudeM), 12);

    [Theory]
    [InlineData(1, 1)]
    [InlineData(4, 0.96)]
    [InlineData(5, 0.91)]
    [InlineData(9, 0)]
    public void Switching_derating(double khz, double factor) => Assert.Equal(factor, Item().Derating.SwitchingPu(khz), 12);

    [Fact]
    public void Overload_is_met_at_its_own_time_and_capped_at_the_peak()
    {
        var rating = new OverloadRating(1.5, 60, 600, 1.8);
        Assert.Equal(1.5, rating.AllowedPu(60), 12);
        Assert.Equal(1.8, rating.AllowedPu(1), 12);
        Assert.Equal(Math.Sqrt(1 + (1.25 * 60 / 120)), rating.AllowedPu(120), 12);
    }

    [Fact]
    public void The_series_spans_the_sizes_with_and_without_choke()
    {
        var items = ReferenceCatalogue.Data.Converters.Values.Where(c => c.Family is "six-pulse-plain" or "six-pulse-choke").ToList();
        Assert.All(items.GroupBy(c => c.RatedVoltageV), g => Assert.Equal(g.Count(c => c.ChokePct == 0), g.Count(c => c.ChokePct > 0)));
        var at400 = items.Where(c => c.RatedVoltageV == 400).ToList();
        Assert.Equal(80, at400.Count);
        Assert.Equal(0.25, at400.Min(c => c.RatedKw));
        Assert.Equal(1500, at400.Max(c => c.RatedKw));
        Assert.All(items, c => Assert.True(c.HeavyCurrentA < c.LightCurrentA));
    }

    private static ConverterItem Item() => ReferenceCatalogue.Data.Converters["six-pulse-choke-160"];
}
