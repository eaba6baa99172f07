using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Tests.Converters.Starting;

/// <summary>Trip classes as ranges, warm and cold; derating of starters; starts per hour.</summary>
public sealed class ProtectionTests
{
    [Fact]
    public void Class_20_at_six_times_its_current_by_the_reference()
    {
        Assert.Equal(8.68993, TripHeat.TripS(6, 0, TripClass.Class20), 1e-4);
        Assert.Equal(28.9664, TripHeat.LongestTripS(6, 0, TripClass.Class20), 1e-3);
        Assert.Equal(3.40626, TripHeat.TripS(6, 0.9, TripClass.Class20), 1e-4);
        Assert.Equal(11.3542, TripHeat.LongestTripS(6, 0.9, TripClass.Class20), 1e-3);
    }

    [Fact]
    public void A_start_from_running_begins_with_the_heat_of_running()
    {
        static StartMoment At(double time) => new(time, 0, 0, new StartState(0, 550, 550, 400, 0, 0, 0, 0));
        Assert.Equal(0.992705, TripHeat.Of([At(0), At(4)], 100, TripClass.Class20, 0.9), 1e-5);
        Assert.True(TripHeat.Of([At(0), At(4)], 100, TripClass.Class20) < 0.7);
    }

    [Theory]
    [InlineData(40, 1000, 1)]
    [InlineData(50, 1000, 0.88)]
    [InlineData(40, 2000, 0.93)]
    [InlineData(61, 0, 0)]
    [InlineData(20, 4001, 0)]
    public void Warm_and_thin_air_lower_a_starters_current(double airC, double altitudeM, double factor)
    {
        var derating = new SiteDerating(40, 1.2, 60, 1000, 0.7, 4000);
        Assert.Equal(factor, derating.AmbientPu(airC) * derating.AltitudePu(altitudeM), 12);
    }

    [Theory]
    [InlineData(132e3, 3)]
    [InlineData(55e3, 10)]
    [InlineData(4e3, 30)]
    public void Large_motors_stand_few_starts(double watts, double most) => Assert.Equal(most, StartsAnHour.Of(watts).MostPerHour);
}
