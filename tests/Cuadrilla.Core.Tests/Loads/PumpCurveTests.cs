using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Loads;

/// <summary>A pump by its maker's curve and static head in metres: against the parabola, by hand, and at the speed that the curve
/// asks.</summary>
public sealed class PumpCurveTests
{
    private const double Flow = 0.05;
    private const double Head = 30;
    private const double G = 9.80665;

    [Fact]
    public void A_curve_along_the_parabola_gives_what_the_parabola_gives()
    {
        // Points of h = 1.25 − 0.25·x², η = 0.75·x·(2 − x), close together.
        var curve = Enumerable.Range(0, 29).Select(i => 0.05 * i)
            .Select(x => new PumpCurvePoint(x * Flow, Head * (1.25 - (0.25 * x * x)), 0.75 * x * (2 - x))).ToList();
        var plain = Model(Pump());
        var byPoints = Model(Pump() with { Curve = [.. curve] });
        foreach (var q in new[] { 0.3, 0.5, 0.8, 1.0, 1.1 })
        {
            Assert.Equal(plain.AtFlow(q).SpeedRpm, byPoints.AtFlow(q).SpeedRpm, 0.5);
            Assert.Equal(1, byPoints.AtFlow(q).PowerW / plain.AtFlow(q).PowerW, 2e-3);
            Assert.Equal(1, byPoints.Throttled(q).PowerW / plain.Throttled(q).PowerW, 2e-3);
        }

        Assert.Equal(plain.FlowBeginsAtRpm, byPoints.FlowBeginsAtRpm, 0.5);
        Assert.Equal(plain.MostFlowPu(0.9), byPoints.MostFlowPu(0.9), 2e-3);
        Assert.Equal(1, byPoints.Still(0.5).PowerW / plain.Still(0.5).PowerW, 0.05);
    }

    [Fact]
    public void A_pump_too_large_turns_slower_at_the_rated_point_and_takes_what_its_curve_says_there()
    {
        // A straight curve: H = 50 − 10·(Q/0.05) m at 1450 rpm. At speed n it gives n²·(50 − 10·q/n) = 30 at q = 1: 50·n² − 10·n − 30 = 0.
        PumpCurvePoint[] curve = [new(0, 50, 0), new(0.025, 45, 0.5), new(0.05, 40, 0.7), new(0.1, 30, 0.6)];
        var model = Model(Pump() with { Curve = [.. curve] });
        var n = (10 + Math.Sqrt(100 + (4 * 50 * 30))) / 100;
        Assert.Equal(1450 * n, model.RatedSpeedRpm, 0.01);

        // Power by the same laws: at Q/n on its curve, linear between the points' powers.
        var x = Flow / n;
        double PowerAt(PumpCurvePoint p) => p.FlowM3PerS * 1000 * G * p.HeadM / p.Efficiency;
        var between = PowerAt(curve[2]) + ((PowerAt(curve[3]) - PowerAt(curve[2])) * (x - 0.05) / 0.05);
        Assert.Equal(1, model.RatedPowerW / (n * n * n * between), 1e-6);
        Assert.Equal(model.RatedPowerW, model.AtFlow(1).PowerW, 1);
        Assert.Equal(model.RatedSpeedRpm, model.AtFlow(1).SpeedRpm, 0.01);

        // At full speed, the valve open, the system lets through what both curves agree on.
        var most = model.MostFlowPu(1 / n);
        Assert.Equal(50 - (10 * most), Head * (0.4 + (0.6 * most * most)), 0.01);
    }

    [Fact]
    public void Hydraulic_power_is_flow_times_head_at_any_flow()
    {
        var model = Model(Pump() with { Curve = [new(0, 36, 0), new(0.03, 34, 0.65), new(0.055, 28, 0.78), new(0.07, 20, 0.7)] });
        foreach (var q in new[] { 0.4, 0.7, 1.0, 1.2 })
        {
            var point = model.AtFlow(q);
            Assert.Equal(1, point.PowerW * point.EfficiencyPu * model.RatedEfficiency.Value
                / (q * Flow * 1000 * G * point.HeadPu * Head), 1e-9);
        }
    }

    [Fact]
    public void Static_head_in_metres_is_its_share_and_follows_the_rated_head()
    {
        var pump = Pump() with { StaticHeadM = 12 };
        Assert.Equal(0.4, pump.StaticShare().Value, 12);
        Assert.Equal(0.3, (pump with { RatedHeadM = 40 }).StaticShare().Value, 12);
        Assert.Equal(Model(Pump()).AtFlow(0.5).PowerW,
            Model(pump with { Common = pump.Common with { StaticFraction = 0 } }).AtFlow(0.5).PowerW, 9);
    }

    [Fact]
    public void A_stated_shaft_power_goes_before_flow_and_head()
    {
        var pump = Pump();
        var stated = Model(pump with { RatedHeadM = Given.Unknown,
            Common = pump.Common with { RatedFlowM3PerS = Given.Unknown, RatedEfficiency = Given.Unknown, RatedShaftKw = 22 } });
        Assert.Equal(22_000, stated.RatedPowerW, 9);
        Assert.Equal(Model(pump).AtFlow(0.6).PowerW / Model(pump).RatedPowerW, stated.AtFlow(0.6).PowerW / 22_000, 12);
        Assert.Equal(11, Assert.IsType<PumpLoad>((pump with { Common = pump.Common with { RatedShaftKw = 22 } })
            .Part(0.5)).Common.RatedShaftKw.Value);
    }

    [Fact]
    public void A_curve_that_does_not_reach_the_rated_point_needs_data()
    {
        var pump = Pump() with { Curve = [new(0, 9, 0), new(0.002, 8, 0.5), new(0.004, 6, 0.6)] };
        Assert.Null(FluidMachineModel.Build(pump, out var missing));
        Assert.Contains("up to its rated flow", Assert.Single(missing), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("flowM3PerS", 0.02, 28, 0.6)]
    [InlineData("headM", 0.06, 90, 0.6)]
    [InlineData("efficiency", 0.06, 20, 0)]
    public void Points_that_make_no_curve_are_refused_by_name(string field, double flow, double head, double efficiency)
    {
        var plant = DemoPlant.Read(ReferenceCatalogue.Data);
        var lineup = plant.Lineups[0];
        var pump = Pump() with { Curve = [new(0, 36, 0), new(0.03, 34, 0.65), new(flow, head, efficiency)] };
        var bad = plant with { Lineups = [lineup with { DrivePoints = [lineup.DrivePoints[0] with { Load = pump },
            .. lineup.DrivePoints.Skip(1)] }, .. plant.Lineups.Skip(1)] };
        var problem = Assert.Single(SpecificationValidation.Problems(bad, ReferenceCatalogue.Data));
        Assert.EndsWith("/curve/2/" + field, problem.Pointer, StringComparison.Ordinal);
    }

    private static PumpLoad Pump() => new(
        new FluidMachine(Flow, 0.75, 1450, 0.4, 1.25, 0.1, 5, [new DutyPoint(1, 4000)], PresentControl.NotStated, new ParallelPath.Own(),
            []), Head, 1000);

    private static FluidMachineModel Model(PumpLoad load) =>
        FluidMachineModel.Build(load, out _) ?? throw new InvalidOperationException("not complete");
}
