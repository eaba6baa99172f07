using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Tests.Loads;

/// <summary>Cycles against closed forms and against an integration by a fine grid that shares no code.</summary>
public sealed class CycleTests
{
    private const double G = 9.80665;
    private static readonly LoadDefaults Defaults = new() { RegenerationFriction = 0.012, RollingFriction = 0.01 };

    [Fact]
    public void A_torque_that_passes_through_zero_does_not_cancel_itself()
    {
        // +20 to −20 Nm within 2 s at 1000 rpm: a second of motoring, a second of braking, 10 Nm mean each.
        var cycle = Build(new ProfileLoad(new DriveTrain(1, 1, 0, Given.Unknown), [], [new(0, 1000, 20), new(2, 1000, -20)])).Cycle!;
        var energy = cycle.Energy(0);
        var each = 10 * 1000 * 2 * Math.PI / 60;
        Assert.Equal(each, energy.MotoringJ, each * 1e-9);
        Assert.Equal(each, energy.RegeneratedJ, each * 1e-9);
        Assert.Equal(20 / Math.Sqrt(3), cycle.RmsTorqueNm(0, _ => 1), 1e-9);
        Assert.Equal(2 * each, energy.PeakMotoringW, each * 1e-9);
        Assert.Contains(cycle.Slices(0), s => s.TorqueNm < -10);
        Assert.Contains(cycle.Slices(0), s => s.TorqueNm > 10);
    }

    [Fact]
    public void Two_points_at_one_time_are_a_step_of_the_torque()
    {
        var cycle = Build(new ProfileLoad(new DriveTrain(1, 1, 0, Given.Unknown), [],
            [new(0, 1000, 5), new(1, 1000, 5), new(1, 1000, 25), new(2, 1000, 25)])).Cycle!;
        Assert.Equal(2, cycle.Stretches.Count);
        Assert.Equal(2, cycle.DurationS, 12);
        Assert.Equal(Math.Sqrt((25.0 + 625) / 2), cycle.RmsTorqueNm(0, _ => 1), 1e-9);
    }

    [Fact]
    public void A_smooth_move_has_its_largest_power_between_middle_and_end_of_the_ramp()
    {
        // T = 2·T_mean·sin²(πx), ω = ω_top·(x − sin(2πx)/2π): crest on a fine grid that shares no code.
        var servo = new ServoAxisLoad(new DriveTrain(1, 1, 0, Given.Unknown), [], MoveShape.SmoothS, 10, 0.1, 0.6, 0.6, 0.4, 0, 0);
        var top = 1.5;
        var mean = 10 * top / 0.2;
        var crest = Enumerable.Range(0, 200_001).Select(i => i / 200_000.0)
            .Max(x => 2 * mean * Math.Pow(Math.Sin(Math.PI * x), 2) * top * (x - (Math.Sin(2 * Math.PI * x) / (2 * Math.PI))));
        Assert.Equal(crest, Build(servo).Cycle!.Energy(0).PeakMotoringW, crest * 1e-3);
    }

    [Fact]
    public void A_hoist_loses_in_its_ropes_while_it_accelerates_too()
    {
        // Up: (m·g + m·a)·r/η_rope/(i·η_gear); no counterweight, all on the ropes.
        var cycle = Build(Hoist(90)).Cycle!;
        const double a = 1.0 / 2;
        var peak = 1000 * (G + a) * 0.2 / 0.85 / (30 * 0.95);
        Assert.Equal(peak, cycle.Peak(0).TorqueNm, peak * 1e-9);
    }

    [Fact]
    public void A_car_on_an_incline_rolls()
    {
        // 10°: along the rope m·g·sin, rolling 0.01·m·g·cos against the way up and down.
        var cycle = Build(Hoist(10) with { Train = new DriveTrain(1, 1, 0, 2), Efficiency = 1 }).Cycle!;
        double sine = Math.Sin(Math.PI / 18), cosine = Math.Cos(Math.PI / 18);
        var up = cycle.Stretches.First(s => s.IsConstant && s.MeanRpm > 0).TorqueNm(0.5, 0);
        var down = cycle.Stretches.First(s => s.IsConstant && s.MeanRpm < 0).TorqueNm(0.5, 0);
        Assert.Equal(1000 * G * (sine + (0.01 * cosine)) * 0.2, up, up * 1e-9);
        Assert.Equal(1000 * G * (sine - (0.01 * cosine)) * 0.2, down, down * 1e-9);
    }

    [Fact]
    public void A_hoist_that_comes_down_empty_must_still_lower_what_it_lifted()
    {
        var hoist = Hoist(90) with { ReturnMassKg = 0 };
        var model = Build(hoist);
        var lowered = new LoadCycle(model.BrokenOff).Energy(0);
        Assert.Equal(0, model.Cycle!.Energy(0).RegeneratedJ, 1);

        // m·g·h·η_rope·η_gear, kinetic energy gained and given back apart.
        var potential = 1000 * G * hoist.LiftM.Value * 0.85 * 0.95;
        Assert.Equal(potential, lowered.RegeneratedJ - lowered.MotoringJ, 0.01 * potential);
    }

    [Fact]
    public void A_falling_belt_is_braked_with_the_low_friction()
    {
        var belt = new ConveyorLoad(new DriveTrain(20, 0.95, 4, 6), [], 40, 120, -8, 1.6, 0.025, 1.8, 12, 10, 0.4, 150);
        var steep = belt with { LiftM = -30 };
        Assert.Equal(ConveyorModel.ForceN(steep, 0.012, 1) * 1.6 * 0.95, Build(steep).RatedPowerW, 6);

        // With the high friction it takes power, with the low one it gives: both size the drive.
        Assert.True(ConveyorModel.ForceN(belt, 0.025, 1) > 0);
        Assert.True(ConveyorModel.ForceN(belt, 0.012, 1) < 0);
        var torques = Build(belt).SizingPointsAt(1).Select(p => p.TorqueNm).ToList();
        Assert.True(torques.Min() < 0 && torques.Max() > 0);
    }

    private static LoadModel Build(Load load)
    {
        var model = LoadModels.Build(load, Defaults, out var missing);
        Assert.Empty(missing);
        return model!;
    }

    private static HoistLoad Hoist(double inclineDeg) =>
        new(new DriveTrain(30, 0.95, 0, 2), [], 1000, 1000, 0, inclineDeg, 1, 20, 60, 1, 0.4, 0.85);
}
