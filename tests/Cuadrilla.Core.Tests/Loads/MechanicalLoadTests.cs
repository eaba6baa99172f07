using CsCheck;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification.Validation;

namespace Cuadrilla.Core.Tests.Loads;

public sealed class MechanicalLoadTests
{
    private const double G = 9.80665;

    [Fact]
    public void The_winder_of_the_worked_example_takes_the_same_power_at_every_diameter()
    {
        var model = Build(Winder(unwinds: false));
        Assert.All(model.PointsAt(1), p => Assert.Equal(2400, p.PowerW, 6));
        Assert.All(Build(Winder(unwinds: true)).PointsAt(1), p => Assert.Equal(-2400, p.PowerW, 6));
        var torques = model.PointsAt(1).Select(p => p.TorqueNm).ToList();
        Assert.Equal(0.61 / 0.09, torques[^1] / torques[0], 9);
    }

    [Fact]
    public void Gear_losses_are_on_the_side_that_drives()
    {
        var train = new DriveTrain(5, 0.9, 0, 10);
        var winds = Build(Winder(false) with { Train = train }).PointsAt(1)[0];
        var unwinds = Build(Winder(true) with { Train = train }).PointsAt(1)[0];
        Assert.Equal(2400 / 0.9, winds.PowerW, 6);
        Assert.Equal(-2400 * 0.9, unwinds.PowerW, 6);
    }

    [Fact]
    public void A_full_roll_is_a_cylinder_with_a_hole()
    {
        var model = Build(Winder(false) with { Train = new DriveTrain(1, 1, 0, 10) });
        var mass = 920 * 0.8 * Math.PI / 4 * ((0.61 * 0.61) - (0.09 * 0.09));
        Assert.Equal(mass / 8 * ((0.61 * 0.61) + (0.09 * 0.09)), model.InertiaKgM2.Value, 9);
    }

    [Fact]
    public void A_hoist_gives_back_the_mechanical_energy_times_the_efficiencies()
    {
        var energy = Build(Hoist()).Cycle!.Energy(0.3);
        Assert.Equal(1000 * G * 20 / (0.85 * 0.95), energy.MotoringJ, 1e-3);
        Assert.Equal(1000 * G * 20 * 0.85 * 0.95, energy.RegeneratedJ, 1e-3);
    }

    [Fact]
    public void A_lossless_hoist_gives_back_all_it_took() =>
        Gen.Select(Gen.Double[100, 5000], Gen.Double[0.2, 2], Gen.Double[0, 3]).Sample(x =>
    {
        var (mass, speed, motorInertia) = x;
        var hoist = Hoist() with { MassKg = mass, ReturnMassKg = mass, SpeedMPerS = speed, Efficiency = 1, CyclesPerHour = 5,
            Train = new DriveTrain(30, 1, 2, 1) };
        var energy = Build(hoist).Cycle!.Energy(motorInertia);
        return Math.Abs(energy.MotoringJ - energy.RegeneratedJ) < 1e-6 * energy.MotoringJ;
    });

    [Fact]
    public void A_counterweight_lowers_the_peak_and_an_empty_skip_then_pulls_up()
    {
        var plain = Build(Hoist()).Cycle!.Peak(0);
        var balanced = Build(Hoist() with { CounterweightKg = 600 }).Cycle!.Peak(0);
        Assert.True(balanced.TorqueNm < plain.TorqueNm);
        var empty = Build(Hoist() with { ReturnMassKg = 100, CounterweightKg = 600 }).Cycle!;

        // Down with less than the counterweight: the motor must drive, nothing comes back while travelling.
        Assert.Contains(empty.Stretches, s => s.MeanRpm < 0 && s.AccelerationRadPerS2 == 0 && s.TorqueNm(0.5, 0) < 0);
    }

    [Fact]
    public void A_cycle_that_does_not_fit_is_named_with_what_would()
    {
        Assert.Null(LoadModels.Build(Hoist() with { CyclesPerHour = 100 }, Defaults, out var missing));
        Assert.Contains("at most 81.8", Assert.Single(missing), StringComparison.Ordinal);
        Assert.Null(LoadModels.Build(Hoist() with { Train = new DriveTrain(30, 0.95, 0, 25) }, Defaults, out missing));
        Assert.Contains("at most 20 s", missing[0], StringComparison.Ordinal);
    }

    [Fact]
    public void A_servo_move_by_hand()
    {
        var cycle = Build(Servo()).Cycle!;

        // v = 1.5·0.6/0.6, a = v/0.2, T = m·a·feed/2π for 0.2 s; rms √(4·T²·0.2/2.0).
        var torque = 10 * 7.5 * 0.1 / (2 * Math.PI);
        var peak = cycle.Peak(0);
        Assert.Equal(torque, peak.TorqueNm, 9);
        Assert.Equal(0.2, peak.TimeS, 9);
        Assert.Equal(torque * Math.Sqrt(4 * 0.2 / 2.0), cycle.RmsTorqueNm(0, _ => 1), 9);
        Assert.Equal(2 * 0.5 * 10 * 1.5 * 1.5, cycle.Energy(0).MotoringJ, 9);
        Assert.Equal(2.0, cycle.DurationS, 9);
    }

    [Fact]
    public void A_smooth_move_doubles_the_peak_and_keeps_the_energy()
    {
        var straight = Build(Servo()).Cycle!;
        var smooth = Build(Servo() with { Shape = MoveShape.SmoothS }).Cycle!;
        Assert.Equal(2 * straight.Peak(0.001).TorqueNm, smooth.Peak(0.001).TorqueNm, 9);
        Assert.Equal(Math.Sqrt(1.5) * straight.RmsTorqueNm(0, _ => 1), smooth.RmsTorqueNm(0, _ => 1), 9);
        Assert.Equal(straight.Energy(0).MotoringJ, smooth.Energy(0).MotoringJ, 9);
    }

    [Fact]
    public void Less_cooling_at_rest_never_lowers_the_equivalent_torque() => Gen.Select(Gen.Double[0.1, 1], Gen.Double[0, 5]).Sample(x =>
    {
        var (still, dwell) = x;
        var cycle = Build(Servo() with { DwellS = dwell }).Cycle!;
        return cycle.RmsTorqueNm(0.01, n => n > 0 ? 1 : still) >= cycle.RmsTorqueNm(0.01, _ => 1) - 1e-12;
    });

    [Fact]
    public void The_motors_inertia_takes_no_energy_over_a_cycle_of_a_stiff_profile()
    {
        var profile = new ProfileLoad(new DriveTrain(1, 1, 0, Given.Unknown), [],
            [new(0, 0, 10), new(1, 1000, 10), new(3, 1000, 10), new(4, 0, 10)]);
        var cycle = Build(profile).Cycle!;
        double Net(double inertia) => cycle.Energy(inertia).MotoringJ - cycle.Energy(inertia).RegeneratedJ;
        Assert.Equal(10 * 2 * Math.PI * 1000 / 60 * 3, Net(0), 6);
        Assert.Equal(Net(0), Net(5), 6);
        Assert.True(cycle.Energy(5).RegeneratedJ > 0);
    }

    [Fact]
    public void A_conveyor_by_hand_and_downhill_it_drives()
    {
        var belt = Conveyor();
        var cosine = Math.Sqrt(1 - Math.Pow(8.0 / 120, 2));
        var force = (1.8 * 0.025 * 120 * G * (12 + (45 * cosine))) + (25 * 8 * G);
        Assert.Equal(force, ConveyorModel.ForceN(belt, belt.FrictionFactor.Value, 1), 6);
        Assert.Equal(force * 0.2 / (20 * 0.95), Build(belt).RatedTorqueNm, 6);
        var down = Build(belt with { LiftM = -30 });
        Assert.True(down.RatedTorqueNm < 0);
        Assert.Equal(ConveyorModel.ForceN(belt with { LiftM = -30 }, 0.012, 1) * 1.6 * 0.95, down.RatedPowerW, 6);
    }

    [Fact]
    public void A_dosing_pump_takes_pressure_times_flow_over_efficiency()
    {
        var pump = new DosingPumpLoad(new DriveTrain(4, 0.9, 0.01, 1), [], 50, 12, 0.85, 300, 150);
        Assert.Equal(12e5 * 50e-6 * 5 / 0.85 / 0.9, Build(pump).RatedPowerW, 6);
        Assert.Equal(1.5 * Build(pump).RatedTorqueNm, Build(pump).BreakawayNm, 9);
        Assert.Equal(Build(pump).BreakawayNm, Build(pump).TorqueAtSpeedNm(0), 9);
        Assert.Equal(Build(pump).RatedTorqueNm, Build(pump).TorqueAtSpeedNm(600), 9);
    }

    [Fact]
    public void Machines_on_one_path_of_the_worked_example()
    {
        // One of two could deliver the flow: both at half of it against the full head.
        var common = new FluidMachine(10, 0.8, 1000, 0, 1.25, 5, 20, [], PresentControl.NotStated, new ParallelPath.Common(2, 1), []);
        var model = FluidMachineModel.Build(new FanLoad(common, 1000), out _)!;
        Assert.Equal(Math.Sqrt((1 + (0.25 * 0.25)) / 1.25), model.AtFlow(1).SpeedRpm / 1000, 9);
        Assert.Equal(0.922, model.AtFlow(1).SpeedRpm / 1000, 3);
        var alone = FluidMachineModel.Build(new FanLoad(common with { Path = new ParallelPath.Own() }, 1000), out _)!;
        Assert.Equal(0.5, alone.AtFlow(0.5).SpeedRpm / 1000, 9);
    }

    [Fact]
    public void Both_needed_on_one_path_are_as_one_with_a_path_of_its_own() =>
        Gen.Select(Gen.Double[0.1, 1], Gen.Double[0, 0.8]).Sample(x =>
    {
        var (flow, s) = x;
        var common = new FluidMachine(10, 0.8, 1000, s, 1.25, 5, 20, [], PresentControl.NotStated, new ParallelPath.Common(3, 3), []);
        var shared = FluidMachineModel.Build(new FanLoad(common, 1000), out _)!.AtFlow(flow);
        var own = FluidMachineModel.Build(new FanLoad(common with { Path = new ParallelPath.Own() }, 1000), out _)!.AtFlow(flow);
        return Math.Abs(shared.PowerW - own.PowerW) < 1e-9 * own.PowerW;
    });

    [Fact]
    public void Present_controls_stand_in_their_order()
    {
        var common = new FluidMachine(10, 0.8, 1000, 0, 1.25, 5, 20, [], PresentControl.NotStated, new ParallelPath.Own(), []);
        var model = FluidMachineModel.Build(new FanLoad(common, 1000), out _)!;
        foreach (var q in new[] { 0.2, 0.4, 0.6, 0.8 })
        {
            Assert.True(model.AtFlow(q).PowerW < model.OnOff(q).PowerW);
            Assert.True(model.OnOff(q).PowerW < model.Throttled(q).PowerW);
            Assert.True(model.TwoSpeed(q, 0.5).PowerW <= model.Throttled(q).PowerW);
            Assert.True(model.Throttled(q).PowerW < model.Bypassed(q).PowerW);
        }

        Assert.Equal(500, model.TwoSpeed(0.4, 0.5).SpeedRpm);
        Assert.Equal(1000, model.TwoSpeed(0.6, 0.5).SpeedRpm);
    }

    [Theory]
    [InlineData("core", "/load/fullDiameterM", "0.09 to 6")]
    [InlineData("time", "/load/points/2/timeS", "must not go back")]
    [InlineData("hours", "/load/duty", "8760")]
    [InlineData("lift", "/load/liftM", "not more than the length")]
    [InlineData("running", "/load/common/path/neededAtRatedFlow", "1 to 2")]
    public void Bad_entries_are_named_with_their_range(string what, string pointer, string allowed)
    {
        var common = new FluidMachine(10, 0.8, 1000, 0, 1.25, 5, 20, [], PresentControl.NotStated, new ParallelPath.Common(2, 3), []);
        Load load = what switch
        {
            "core" => Winder(false) with { FullDiameterM = 0.05 },
            "time" => new ProfileLoad(new DriveTrain(1, 1, 0, 1), [], [new(0, 0, 1), new(2, 5, 1), new(1, 0, 1)]),
            "hours" => Hoist() with { Duty = [new(1, 8000), new(0.5, 900)] },
            "lift" => Conveyor() with { LiftM = 130 },
            _ => new FanLoad(common, 1000),
        };
        var problem = Assert.Single(SpecificationValidation.Problems(load, "/load"));
        Assert.Equal(pointer, problem.Pointer);
        Assert.Contains(allowed, problem.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void Loads_are_equal_by_value_so_that_results_can_be_kept()
    {
        static HoistLoad Made() => Hoist() with { Duty = [new(1, 100)] };
        Assert.Equal(Made(), Made());
        Assert.Equal(Made().GetHashCode(), Made().GetHashCode());
        Assert.NotEqual(Made(), Made() with { Duty = [new(1, 101)] });
        Assert.NotEqual(Made(), Made() with { MassKg = 1001 });
    }

    private static LoadDefaults Defaults { get; } = new() { RegenerationFriction = 0.012, RollingFriction = 0.01 };

    private static LoadModel Build(Load load)
    {
        var model = LoadModels.Build(load, Defaults, out var missing);
        Assert.Empty(missing);
        return model!;
    }

    private static WinderLoad Winder(bool unwinds) => new(new DriveTrain(1, 1, 0.2, 10), [], unwinds, 3, 800, 0, 0.09, 0.61, 0.8, 920, 0);

    private static HoistLoad Hoist() => new(new DriveTrain(30, 0.95, 0, 2), [], 1000, 1000, 0, 90, 1, 20, 60, 1, 0.4, 0.85);

    private static ServoAxisLoad Servo() =>
        new(new DriveTrain(1, 1, 0, Given.Unknown), [], MoveShape.Trapezoid, 10, 0.1, 0.6, 0.6, 0.4, 0, 0);

    private static ConveyorLoad Conveyor() => new(new DriveTrain(20, 0.95, 4, 6), [], 40, 120, 8, 1.6, 0.025, 1.8, 12, 10, 0.4, 150);
}
