using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;

namespace Cuadrilla.RandomPlants;

/// <summary>A load of any kind, sized about a motor, with wild duties.</summary>
internal static class RandomLoads
{
    private const int Kinds = 12;

    public static Load Of(Draw draw, double kw, double rpm)
    {
        // Most loads suit the motor; some are far too large or too small for it.
        var wanted = kw * draw.One([0.05, 0.3, 0.7, 0.9, 1.0, 1.6]);
        var torque = wanted * 1e3 / (2 * Math.PI * rpm / 60);
        var gear = draw.One([1.0, 1, 5, 30]);
        var machineRpm = Math.Clamp(rpm / gear * draw.One([0.5, 0.95, 1, 1.3]), 0.1, 20_000);
        var train = new DriveTrain(draw.Maybe(gear), draw.MaybeEven(0.7, 1), draw.MaybeSize(0.001, 500),
            draw.MaybeSize(0.2, 60)) { StopTimeS = draw.Chance(70) ? Given.Unknown : draw.Size(0.5, 300) };
        var duty = Duty(draw);
        Given MachineNm() => draw.Maybe(Math.Max(1e-3, torque * gear));
        Given Breakaway() => draw.Maybe(draw.One([0.0, 100, 150, 250]));
        return draw.Whole(0, Kinds - 1) switch
        {
            0 => new UnspecifiedLoad(),
            1 => new FanLoad(Fluid(draw, wanted * 1e3 * 0.7 / 2000, rpm, duty, true), draw.Maybe(2000)),
            2 => new PumpLoad(Fluid(draw, wanted * 1e3 * 0.7 / (30 * 1000 * 9.80665), rpm, duty, false), draw.Maybe(30), draw.Maybe(1000)),
            3 => new ConstantTorqueLoad(train, duty, MachineNm(), draw.Maybe(machineRpm), Breakaway(), draw.MaybeEven(0, 1)),
            4 => new HighInertiaLoad(train, duty, MachineNm(), draw.Maybe(machineRpm), Breakaway()),
            5 => Conveyor(draw, train, duty),
            6 => new RollerGroupLoad(train, duty, draw.Maybe(draw.Whole(1, 40)), draw.Maybe(Math.Max(1e-3, torque * gear / 10)),
                draw.MaybeEven(10, 100), draw.Maybe(machineRpm), Breakaway()),
            7 => new DosingPumpLoad(train, duty, draw.MaybeSize(1, 500), draw.MaybeEven(1, 100), draw.MaybeEven(0.4, 1),
                draw.Maybe(machineRpm), Breakaway()),
            8 => Winder(draw, train, duty, wanted),
            9 => Hoist(draw, train, duty, wanted),
            10 => Servo(draw, train, duty),
            _ => Profile(draw, train, duty, torque * gear, machineRpm),
        };
    }

    public static ValueList<DutyPoint> Duty(Draw draw) => draw.Whole(0, 3) switch
    {
        0 => [],
        1 => [new DutyPoint(1, draw.One([0.0, 8760, 4000]))],
        _ => [.. Enumerable.Range(1, draw.Whole(1, 4)).Select(i =>
            new DutyPoint(draw.One([0.05, 0.3, 0.6, 0.8, 1, 1.2]), draw.One([0.0, 500, 2000])))],
    };

    private static FluidMachine Fluid(Draw draw, double flow, double rpm, ValueList<DutyPoint> duty, bool fan)
    {
        var running = draw.Whole(2, 4);
        ParallelPath path = draw.Chance(25) ? new ParallelPath.Common(running, draw.Whole(1, running)) : new ParallelPath.Own();
        var control = draw.One<PresentControl>();
        if ((control == PresentControl.InletVanes && !fan) || (control == PresentControl.Staged && path is ParallelPath.Own))
        {
            control = PresentControl.OutletThrottle;
        }

        return new FluidMachine(
            draw.Maybe(Math.Max(flow, 1e-6)), draw.Maybe(0.7), draw.Maybe(Math.Clamp(rpm * draw.One([0.7, 0.98, 1, 1.15]), 10, 6000)),
            draw.Maybe(draw.One([0.0, 0.3, 0.7, 0.99])),
            draw.MaybeEven(1.01, 2), draw.MaybeSize(0.001, 500), draw.MaybeSize(0.5, 120), duty, control, path, []);
    }

    /// <summary>A pump with static head in metres, a maker's curve, both or none.</summary>
    public static PumpLoad WithCurve(Draw draw, PumpLoad pump)
    {
        var head = pump.RatedHeadM.IsKnown ? pump.RatedHeadM.Value : 30;
        var flow = pump.Common.RatedFlowM3PerS.IsKnown ? pump.Common.RatedFlowM3PerS.Value : 0.05;
        if (draw.Chance(40))
        {
            pump = pump with { StaticHeadM = head * draw.One([0.0, 0.2, 0.6, 0.95]) };
        }

        if (!draw.Chance(40))
        {
            return pump;
        }

        // Larger or smaller than the rated point asks, reaching it or not, drooping at no flow or not.
        var (large, droop) = (draw.One([0.7, 1.0, 1.3]), draw.One([1.0, 0.97]));
        return pump with
        {
            Curve =
            [
                .. new[] { (0.0, 1.25 * droop), (0.4, 1.24), (0.8, 1.1), (1.0, 1.0), (1.3, 0.7) }
                    .Select(p => new PumpCurvePoint(p.Item1 * flow * large, p.Item2 * head * large,
                        p.Item1 == 0 ? 0 : Math.Min(0.9, 0.75 * p.Item1 * (2 - p.Item1) + 0.02))),
            ],
        };
    }

    /// <summary>A fan or pump whose shaft power is stated, the rest of it open.</summary>
    public static FluidLoad WithPower(Draw draw, FluidLoad load, double kw) => draw.Chance(30)
        ? load with { Common = load.Common with { RatedShaftKw = kw, RatedFlowM3PerS = Given.Unknown, RatedEfficiency = Given.Unknown } }
        : load;

    private static ConveyorLoad Conveyor(Draw draw, DriveTrain train, ValueList<DutyPoint> duty)
    {
        var length = draw.Size(5, 2000);
        return new ConveyorLoad(
            train, duty, draw.Maybe(draw.One([0, draw.Size(1, 800)])), draw.Maybe(length),
            draw.Maybe(length * draw.One([-0.3, -0.05, 0, 0.1, 0.4])), draw.MaybeEven(0.2, 5),
            draw.MaybeEven(0.012, 0.05), draw.MaybeEven(1, 4), draw.MaybeEven(1, 60), draw.MaybeEven(1, 40), draw.MaybeEven(0.1, 1.5),
            draw.Maybe(draw.One([100.0, 150])));
    }

    private static WinderLoad Winder(Draw draw, DriveTrain train, ValueList<DutyPoint> duty, double kw)
    {
        var speed = draw.Size(0.1, 20);
        var core = draw.Even(0.05, 0.4);
        return new WinderLoad(
            train, duty, draw.Chance(50), draw.Maybe(speed), draw.Maybe(Math.Clamp(kw * 1e3 / speed, 1, 1e6)), draw.MaybeEven(0, 50),
            draw.Maybe(core), draw.Maybe(core * draw.One([1.0, 1.5, 4])),
            draw.MaybeEven(0.1, 3), draw.MaybeSize(100, 8000), draw.MaybeEven(0, 20));
    }

    private static HoistLoad Hoist(Draw draw, DriveTrain train, ValueList<DutyPoint> duty, double kw)
    {
        var speed = draw.Size(0.05, 3);
        var mass = Math.Clamp(kw * 1e3 / (9.81 * speed), 1, 1e6);
        return new HoistLoad(
            train, duty, draw.Maybe(mass), draw.Maybe(mass * draw.One([0.0, 0.3, 1])),
            draw.Maybe(Math.Min(1e6, mass * draw.One([0.0, 0.5, 1.2]))), draw.Maybe(draw.One([90.0, 30, 5])), draw.Maybe(speed),
            draw.MaybeSize(1, 100), draw.MaybeSize(1, 60), draw.Maybe(draw.One([1.0, 2, 4])), draw.MaybeEven(0.2, 1.5),
            draw.MaybeEven(0.5, 1));
    }

    private static ServoAxisLoad Servo(Draw draw, DriveTrain train, ValueList<DutyPoint> duty) => new(
        train, duty, draw.One<MoveShape>(), draw.MaybeSize(0.5, 500), draw.MaybeSize(0.005, 1), draw.MaybeSize(0.01, 3),
        draw.MaybeSize(0.05, 5), draw.Maybe(draw.One([0.0, 0.5])),
        draw.MaybeEven(0, 200), draw.Maybe(draw.One([0.0, 90])));

    private static ProfileLoad Profile(Draw draw, DriveTrain train, ValueList<DutyPoint> duty, double torqueNm, double rpm)
    {
        var points = new List<ProfilePoint> { new(0, draw.One([0, rpm, -rpm]), draw.One([0, torqueNm])) };
        for (var i = 0; i < draw.Whole(1, 8); i++)
        {
            points.Add(new ProfilePoint(points[^1].TimeS + draw.Size(0.05, 60), rpm * draw.One([-1.0, 0, 0.5, 1]),
                torqueNm * draw.One([-1.0, 0, 0.5, 1, 2])));
        }

        return new ProfileLoad(train, duty, [.. points]);
    }
}
