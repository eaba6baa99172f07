using Cuadrilla.Catalogue;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Tests.Numerics;

/// <summary>A crossing is found from the side at which the function is not above zero, whatever it looks like.</summary>
public sealed class CrossingTests
{
    [Theory]
    [InlineData(0.0, 3.0)]
    [InlineData(-1.0, 10.0)]
    public void A_smooth_one_is_found_to_the_last_digits_with_few_questions(double below, double above)
    {
        var asked = 0;
        var x = Crossing.Between(below, above, v =>
        {
            asked++;
            return Math.Pow(v, 3) - 2;
        }, 1e-12);
        Assert.Equal(Math.Cbrt(2), x, 12);
        Assert.InRange(Math.Pow(x, 3) - 2, -1e-12, 0);
        Assert.InRange(asked, 3, 120);
    }

    [Fact]
    public void Ends_may_stand_the_other_way_round() =>
        Assert.Equal(-Math.Sqrt(2), Crossing.Between(0, -5, v => (v * v) - 2, 1e-13), 12);

    // At a jump nothing is near zero: the last argument before it is given.
    [Fact]
    public void A_jump_is_met_from_below()
    {
        var x = Crossing.Between(0, 1, v => v < 0.3 ? -1 : 5, 1e-12);
        Assert.InRange(x, 0.3 - 1e-12, 0.3);
    }

    [Fact]
    public void A_bend_does_not_stall_it() =>
        Assert.Equal(0.25, Crossing.Between(0, 100, v => v < 0.25 ? 1e-6 * (v - 0.25) : 1e6 * (v - 0.25), 1e-15), 8);

    [Fact]
    public void Where_it_does_not_cross_the_nearer_end_is_given()
    {
        Assert.Equal(2, Crossing.Between(2, 3, v => v, 1e-12));
        Assert.Equal(3, Crossing.Between(2, 3, v => v - 4, 1e-12));
    }

    // Both meet: the speed that the line gives under the torque of a fan is the speed at which the fan asks for it. At 50 and 60 Hz.
    [Fact]
    public void A_motor_on_the_line_turns_as_its_machine_asks()
    {
        var motors = ReferenceCatalogue.Data.Motors.Values.Where(m => m.Plate.StartsOnTheLine).Where((_, i) => i % 5 == 0)
            .ToList();
        Assert.Contains(motors, m => m.Plate.RatedFrequencyHz == 60);
        Assert.All(motors, m =>
        {
            var plate = m.Plate;
            var model = new MotorLossModel(plate);
            double Asked(double rpm) => 0.9 * plate.RatedTorqueNm * Math.Pow(rpm / plate.RatedSpeedRpm, 2);
            var point = model.OnLine(plate.RatedFrequencyHz, plate.RatedVoltageV, Asked);
            var rpm = point.SpeedPu * plate.RatedSpeedRpm;
            Assert.True(point.WithinVoltage);
            Assert.Equal(Asked(rpm), point.ShaftW / (rpm * Math.PI / 30), 1e-8 * plate.RatedTorqueNm);
            Assert.InRange(rpm, plate.RatedSpeedRpm, plate.SynchronousSpeedRpm);
        });
    }
}
