using Cuadrilla.Core.Supplies;
using MathNet.Numerics.Integration;

namespace Cuadrilla.Core.Tests.Supplies;

public sealed class SunTests
{
    // Days on which the declination of the formula is 0: 284 + n a multiple of 365, and half a year on.
    private const double SpringEquinox = 81;
    private const double MidYear = 172.25;

    [Theory]
    [InlineData(52)]
    [InlineData(0)]
    [InlineData(-33.9)]
    public void At_an_equinox_the_sun_stands_at_noon_as_far_from_the_zenith_as_the_place_from_the_equator(double latitudeDeg)
    {
        var (east, north, up) = Sun.Direction(latitudeDeg, SpringEquinox, 12);
        Assert.Equal(Math.Abs(latitudeDeg), Math.Acos(up) * 180 / Math.PI, 4);
        Assert.Equal(0, east, 12);
        Assert.Equal(latitudeDeg > 0 ? -1 : latitudeDeg < 0 ? 1 : 0, Math.Sign(Math.Round(north, 9)));
    }

    [Theory]
    [InlineData(0, 81, 12)]
    [InlineData(60, 81, 12)]
    [InlineData(0, 172.25, 12)]
    [InlineData(70, 172.25, 24)]
    [InlineData(-70, 172.25, 0)]
    public void A_day_lasts_twelve_hours_at_the_equator_and_equinoxes_and_none_or_all_beyond_the_circles(
        double latitudeDeg, double day, double hours) => Assert.Equal(hours, Sun.DayLengthH(latitudeDeg, day), 6);

    // Madrid at midsummer: 15 h 4 min of the sun's centre over a level horizon.
    [Fact]
    public void The_longest_day_of_a_place_is_that_of_almanacs() => Assert.Equal(14.9, Sun.DayLengthH(40.4, MidYear), 1);

    [Fact]
    public void A_direction_has_length_one_and_rises_in_the_east() => Assert.All(
        Enumerable.Range(0, 24), hour =>
        {
            var (east, north, up) = Sun.Direction(37, 200, hour);
            Assert.Equal(1, (east * east) + (north * north) + (up * up), 12);
            Assert.Equal(hour is > 0 and < 12, Math.Round(east, 9) > 0);
        });

    [Theory]
    [InlineData(37.2, 20, 100)]
    [InlineData(-30, 35, 300)]
    public void A_plane_towards_the_equator_sees_the_sun_as_a_flat_one_nearer_to_it(double latitudeDeg, double tiltDeg, double day)
    {
        var nearer = latitudeDeg > 0 ? latitudeDeg - tiltDeg : latitudeDeg + tiltDeg;
        foreach (var hour in new[] { 8.0, 12, 15.5 })
        {
            var tilted = TiltedPlane.ToEquator(latitudeDeg, tiltDeg).CosineOf(Sun.Direction(latitudeDeg, day, hour));
            Assert.Equal(Sun.Direction(nearer, day, hour).Up, tilted, 12);
        }
    }

    [Fact]
    public void The_clear_sky_of_a_day_is_its_integral()
    {
        const double latitude = 37.2;
        var day = PvYear.TypicalDays[6];
        var half = Sun.DayLengthH(latitude, day) / 2;
        var wh = GaussLegendreRule.Integrate(h => Sky.ClearWPerM2(Sun.Direction(latitude, day, h).Up), 12 - half, 12 + half, 128);
        var month = PvYear.Of(
            new PvYear.Site(latitude, 0, [.. new double[12]], 0, [.. Enumerable.Repeat(1.0, 12)], 0), new PvArray(1, 45, 0), null)[6];
        Assert.Equal(1, month.HorizontalKwhPerM2 * 1e3 / wh, 3);

        // Flat, the plane sees all of the sky and the beam as the ground does.
        Assert.Equal(month.HorizontalKwhPerM2, month.TiltedKwhPerM2, 9);
        Assert.Equal(month.HorizontalKwhPerM2 * 0.95 * 0.97, month.EnergyKwhPerDay, 9);
    }

    [Fact]
    public void Poles_have_no_winter_sun_and_south_mirrors_north()
    {
        PvYear.Site At(double latitude) => new(latitude, 30, [.. Enumerable.Repeat(10.0, 12)], 8, [.. Enumerable.Repeat(0.7, 12)], 0.2);
        var array = new PvArray(10, 45, -0.35);
        Assert.Equal(0, PvYear.Of(At(90), array, null)[11].EnergyKwh);

        // The formula's declination turns about the equinox, its distance to the sun does not: within its 3.3 %.
        double north = PvYear.Of(At(40), array, null).Sum(m => m.TiltedKwhPerM2), south = PvYear.Of(At(-40), array, null)
            .Sum(m => m.TiltedKwhPerM2);
        Assert.InRange(south / north, 0.967, 1.033);
        Assert.NotEqual(north, south);
    }

    [Fact]
    public void More_cloud_more_diffuse_light_and_hot_cells_give_less()
    {
        var parts = Enumerable.Range(0, 101).Select(k => Sky.DiffusePart(k / 100.0)).ToList();
        Assert.True(parts.Zip(parts.Skip(1)).All(p => p.Second <= p.First + 0.002), "the diffuse part falls with clearness");
        Assert.All(parts, p => Assert.InRange(p, 0.16, 1));
        var array = new PvArray(10, 45, -0.4);
        Assert.Equal(10 * 0.95 * 0.97 * (1 - (0.004 * (40 + 31.25 - 25))), array.PowerKw(1000, 40), 9);
        Assert.True(array.PowerKw(1000, 40) < array.PowerKw(1000, 0));
    }
}
