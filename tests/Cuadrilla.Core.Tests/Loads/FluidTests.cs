using CsCheck;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Loads;

public sealed class FluidTests
{
    [Theory]
    [InlineData(0.8, 0.0, 1.25, 0.8, 0.64)]
    [InlineData(0.8, 0.4, 1.25, 0.869022, 0.784)]
    [InlineData(1.0, 0.4, 1.25, 1.0, 1.0)]
    [InlineData(0.0, 0.4, 1.25, 0.565685, 0.4)]
    public void Pump_point_of_the_worked_examples(double flow, double s, double a, double speed, double head)
    {
        var result = PumpPoint.Run(flow, s, a);
        Assert.Equal(speed, result.SpeedPu, 6);
        Assert.Equal(head, result.HeadPu, 6);
    }

    [Fact]
    public void Machine_and_system_meet_at_the_speed_found() =>
        Gen.Select(Gen.Double[0, 1.2], Gen.Double[0, 0.95], Gen.Double[1.02, 2]).Sample(x =>
    {
        var (q, s, a) = x;
        var point = PumpPoint.Run(q, s, a);
        return Math.Abs(PumpPoint.MachineHeadPu(q, point.SpeedPu, a) - PumpPoint.SystemHeadPu(q, s)) < 1e-12;
    });

    [Fact]
    public void Without_static_head_power_follows_the_cube()
    {
        var model = Fan(0);
        foreach (var q in new[] { 0.3, 0.5, 0.8 })
        {
            Assert.Equal(model.RatedPowerW * q * q * q, model.AtFlow(q).PowerW, 6);
        }
    }

    [Fact]
    public void With_static_head_it_takes_more_than_the_cube_and_less_than_throttling() =>
        Gen.Select(Gen.Double[0.2, 0.95], Gen.Double[0.05, 0.8]).Sample(x =>
    {
        var (q, s) = x;
        var model = Fan(s);
        var power = model.AtFlow(q).PowerW;
        return power > model.RatedPowerW * q * q * q && power < model.Throttled(q).PowerW
            && model.Throttled(q).PowerW < model.Bypassed(q).PowerW * 1.0001;
    });

    [Fact]
    public void Throttled_power_by_hand()
    {
        // q 0.6, a 1.25: h = 1.25 − 0.25·0.36 = 1.16, η/η_r = 0.6·1.4 = 0.84, P = 0.6·1.16/0.84.
        Assert.Equal(0.6 * 1.16 / 0.84, Fan(0).Throttled(0.6).PowerW / Fan(0).RatedPowerW, 12);
    }

    [Fact]
    public void Rated_power_is_flow_times_pressure_over_efficiency() => Assert.Equal(41 * 2900 / 0.835, Fan(0.22).RatedPowerW, 9);

    [Fact]
    public void Torque_over_speed_is_continuous_where_flow_begins()
    {
        var model = Fan(0.3);
        var below = model.TorqueAtSpeedNm(model.FlowBeginsAtRpm * 0.999999);
        var above = model.TorqueAtSpeedNm(model.FlowBeginsAtRpm * 1.000001);
        Assert.Equal(below, above, model.RatedTorqueNm * 0.002);
    }

    [Fact]
    public void Staged_machines_run_as_few_as_the_flow_needs()
    {
        // Four machines, all needed at rated flow, friction only: k at full speed reach where 1.25 − 0.25·(4q/k)² = q².
        var common = Common(0) with { PresentControl = PresentControl.Staged, Path = new ParallelPath.Common(4, 4) };
        var model = FluidMachineModel.Build(new FanLoad(common, 2900), out _)!;
        double Reach(int k) => Math.Sqrt(1.25 / (1 + (0.25 * 16.0 / (k * k))));
        Assert.Equal(0.25, model.Staged(0.15).Share, 12);
        Assert.Equal(0.5, model.Staged(Math.Min(Reach(2), 0.599) - 0.01).Share, 12);
        Assert.Equal(1, model.Staged(1).Share, 12);
        Assert.Equal(model.RatedPowerW, model.Staged(1).Running.PowerW, 6);
        foreach (var q in new[] { 0.2, 0.4, 0.6, 0.8 })
        {
            var (running, share) = model.Staged(q);
            Assert.True(running.PowerW * share < model.Throttled(q).PowerW * 1.0001);
            Assert.True(running.PowerW * share > model.AtFlow(q).PowerW, "adjusted speed still takes less");
        }
    }

    [Fact]
    public void Missing_entries_are_named()
    {
        var fan = new FanLoad(Common(0) with { RatedSpeedRpm = Given.Unknown }, Given.Unknown);
        Assert.Null(FluidMachineModel.Build(fan, out var missing));
        Assert.Equal(["rated speed", "rated pressure"], missing);
    }

    private static FluidMachineModel Fan(double staticFraction) =>
        FluidMachineModel.Build(new FanLoad(Common(staticFraction), 2900), out _)!;

    private static FluidMachine Common(double s) =>
        new(41, 0.835, 1480, s, 1.25, 95, 60, [], PresentControl.OutletThrottle, new ParallelPath.Own(), []);
}
