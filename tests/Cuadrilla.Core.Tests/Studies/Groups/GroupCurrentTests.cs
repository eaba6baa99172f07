using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Studies.Groups;

namespace Cuadrilla.Core.Tests.Studies.Groups;

/// <summary>Currents of many motors on one converter.</summary>
public sealed class GroupCurrentTests
{
    [Fact]
    public void The_reserve_is_on_the_sum()
    {
        var found = GroupCurrent.Of([new GroupMotors(4, 2.5, 0), new GroupMotors(2, 5, 0)], 1.25, 1);

        Assert.Equal(20, found.SumA);
        Assert.Equal(25, found.WantedA);
        Assert.Equal(-1, found.LateIndex);
        Assert.Equal(0, found.LateStartA);
    }

    [Fact]
    public void The_worst_late_start_is_the_one_that_adds_most()
    {
        var found = GroupCurrent.Of([new GroupMotors(4, 2.5, 15), new GroupMotors(2, 5, 32), new GroupMotors(1, 8, 0)], 1.25, 0.5);

        Assert.Equal(1, found.LateIndex);
        Assert.Equal((0.5 * (28 - 5)) + 32, found.LateStartA);
    }

    [Fact]
    public void Refuses_an_empty_group() => Assert.Throws<UnfitDataException>(() => GroupCurrent.Of([], 1.25, 1));

    [Fact]
    public void A_jam_trips_a_relay_in_the_time_of_its_class()
    {
        Assert.Equal(4, TripHeat.TripS(7.2, 0, TripClass.Class10), 1e-9);
        Assert.Equal(9, TripHeat.TripS(7.2, 0, TripClass.Class30), 1e-9);
        Assert.True(TripHeat.TripS(7.2, 1, TripClass.Class10) < 1.5);
        Assert.Equal(double.PositiveInfinity, TripHeat.TripS(1.1, 1, TripClass.Class10));
    }
}
