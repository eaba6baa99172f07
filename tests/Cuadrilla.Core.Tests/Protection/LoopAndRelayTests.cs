using System.Numerics;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;
using CsCheck;

namespace Cuadrilla.Core.Tests.Protection;

/// <summary>Loops, trip classes and ride-through, each a second way.</summary>
public sealed class LoopAndRelayTests
{
    [Fact]
    public void At_its_largest_length_a_loop_just_disconnects()
    {
        Gen.Select(Gen.Double[0, 0.2], Gen.Double[0.001, 0.2], Gen.Double[0.0002, 0.01], Gen.Double[0.0002, 0.02], Gen.Double[20, 2000])
            .Sample((sr, sx, line, earth, trip) =>
        {
            var loop = new LoopFault.Loop(230, new Complex(sr, sx), new Complex(line, 8e-5), new Complex(earth, 8e-5), 50, trip, 0.95);
            var found = LoopFault.Of(loop);
            if (found.LargestLengthM is not { } largest)
            {
                Assert.True(loop.Source.Magnitude > found.PermittedOhm && !found.Disconnects);
                return;
            }

            Assert.Equal(largest >= 50, found.Disconnects);
            Assert.Equal(found.PermittedOhm, LoopFault.Of(loop with { LengthM = largest }).LoopOhm, 1e-9);
            Assert.False(LoopFault.Of(loop with { LengthM = largest * 1.0001 }).Disconnects);
            Assert.True(found.TouchV < 230);
        });
    }

    [Fact]
    public void Equal_line_and_earth_without_source_leave_half_of_the_voltage_to_touch() =>
        Assert.Equal(0.95 * 115, LoopFault.Of(new LoopFault.Loop(230, new Complex(1e-9, 0), 0.001, 0.001, 100, 100, 0.95)).TouchV, 1e-4);

    [Theory]
    [InlineData(TripClass.Class5, 0.5, 5)]
    [InlineData(TripClass.Class10A, 2, 10)]
    [InlineData(TripClass.Class10, 4, 10)]
    [InlineData(TripClass.Class20, 6, 20)]
    [InlineData(TripClass.Class30, 9, 30)]
    public void At_the_test_current_a_class_trips_within_its_band(TripClass trip, double shortest, double longest)
    {
        Assert.Equal(shortest, TripHeat.TripS(7.2, 0, trip), 1e-9);
        Assert.Equal(longest, TripHeat.LongestTripS(7.2, 0, trip), 1e-9);
        Assert.Equal(double.PositiveInfinity, TripHeat.TripS(1.15, 0, trip));
    }

    [Fact]
    public void A_start_heats_as_the_image_stepped_in_time_does()
    {
        Gen.Select(Gen.Enum<TripClass>(), Gen.Double[0, 1.1], Gen.Double[1.5, 8], Gen.Double[0.1, 20])
            .Sample((trip, before, current, time) =>
        {
            // dθ/dt = (x² − θ)/τ in small steps of the middle rule.
            const int steps = 4000;
            var (heat, step, constant) = (before * before, time / steps, TripHeat.TimeConstantS(trip));
            for (var i = 0; i < steps; i++)
            {
                var half = heat + (step / 2 * ((current * current) - heat) / constant);
                heat += step * ((current * current) - half) / constant;
            }

            Assert.Equal(100 * heat / (1.15 * 1.15), RelayTime.StartHeatPct(trip, before, current, time),
                1e-3 * RelayTime.StartHeatPct(trip, before, current, time));
            Assert.Equal(TripHeat.TripS(current, before, trip) > time, RelayTime.StartHeatPct(trip, before, current, time) < 100);
        });
    }

    [Fact]
    public void Ride_through_against_constant_torque_is_its_closed_form()
    {
        Gen.Select(Gen.Double[0.1, 100], Gen.Double[0, 900], Gen.Double[950, 3000], Gen.Double[100, 20_000], Gen.Double[1, 800])
            .Sample((inertia, least, speed, keep, torque) =>
        {
            var wheel = new RideThrough.Flywheel(inertia, speed, least, 0.9, keep, torque, RideThrough.TorqueShape.Constant);
            var (first, last, need) = (speed * Math.PI / 30, least * Math.PI / 30, keep / 0.9);
            var exact = inertia / torque * (first - last - (need / torque * Math.Log(((torque * first) + need) / ((torque * last)
                + need))));
            Assert.Equal(exact, RideThrough.KineticS(wheel), 1e-6 * exact);
        });
    }

    [Fact]
    public void Without_load_the_flywheel_gives_all_its_energy_to_the_link()
    {
        var wheel = new RideThrough.Flywheel(18, 1485, 900, 0.9, 1500, 0, RideThrough.TorqueShape.Square);
        Assert.Equal(RideThrough.KineticEnergyJ(wheel) / 1500, RideThrough.KineticS(wheel), 1e-6);
        Assert.True(RideThrough.KineticS(wheel with { LoadTorqueNm = 250 }) < RideThrough.KineticS(wheel));
    }
}
