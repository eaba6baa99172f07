using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Tests.Cabinets;

public sealed class DewPointTests
{
    // From tables of moist air; saturated air is at its dew point.
    [Theory]
    [InlineData(20, 50, 9.3)]
    [InlineData(25, 60, 16.7)]
    [InlineData(35, 80, 31.0)]
    [InlineData(40, 100, 40.0)]
    public void It_is_that_of_the_tables(double airC, double humidityPct, double dewC) =>
        Assert.Equal(dewC, DewPoint.OfC(airC, humidityPct), 1);

    // Water vapour at the dew point is what the air holds: Magnus there and back.
    [Fact]
    public void The_vapour_is_the_same()
    {
        static double Saturated(double c) => Math.Exp(17.62 * c / (243.12 + c));
        foreach (var (air, humidity) in new[] { (10.0, 20.0), (30, 45), (45, 90) })
        {
            Assert.Equal(humidity / 100 * Saturated(air), Saturated(DewPoint.OfC(air, humidity)), 9);
        }
    }
}
