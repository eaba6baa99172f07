namespace Cuadrilla.Core.Loads;

/// <summary>Cycles of hoists, servo axes and profiles at the motor's shaft. See <c>docs/methods/load-cycles.md</c>.</summary>
internal static class CycleBuilders
{
    private const double GravityMPerS2 = 9.80665;

    /// <summary>Up loaded, rest, down, rest.</summary>
    public static LoadModel? Hoist(HoistLoad load, MissingNames missing, LoadDefaults defaults)
    {
        var (v, way, ramp) = (load.SpeedMPerS.Value, load.LiftM.Value, load.Train.StartTimeS.Value);
        var travel = (way / v) - ramp;
        var rest = (3600 / load.CyclesPerHour.Value / 2) - (way / v) - ramp;
        if (travel < 0)
        {
            missing.Names.Add("a start time the travel leaves room for: at "
                + FormattableString.Invariant($"most {way / v:0.##} s at this speed"));
        }
        else if (rest < 0)
        {
            missing.Names.Add("cycles per hour that fit: at most "
                + FormattableString.Invariant($"{3600 / (2 * ((way / v) + ramp)):0.#} with these movements"));
        }

        if (missing.Names.Count > 0)
        {
            return null;
        }

        var gearing = Gearing.Of(load.Train);
        var falls = load.Falls.Value;
        var arm = load.DrumDiameterM.Value / 2 / falls;
        var drumRpm = 60 * v * falls / (Math.PI * load.DrumDiameterM.Value);
        var incline = load.InclineDeg.Value * Math.PI / 180;
        double sine = Math.Sin(incline), cosine = Math.Cos(incline);
        var rolling = load.RollingFriction.IsKnown ? load.RollingFriction.Value : defaults.RollingFriction;
        var counter = load.CounterweightKg.Value;
        var own = load.Train.InertiaKgM2.Value;

        // A way up or down with a mass: accelerate, travel, brake; wheels on a track roll against either way.
        IEnumerable<CycleStretch> Way(double mass, double direction)
        {
            var moving = new CycleStretch(1, 0, 0)
            {
                HangingNm = (mass - counter) * GravityMPerS2 * sine * arm,
                HangingKgM2 = (mass + counter) * arm * arm,
                RopeEfficiency = load.Efficiency.Value,
                StartMachineNm = direction * rolling * cosine * (mass + counter) * GravityMPerS2 * arm,
                EndMachineNm = direction * rolling * cosine * (mass + counter) * GravityMPerS2 * arm,
                MachineKgM2 = own,
                GearRatio = gearing.Ratio,
                GearEfficiency = gearing.Efficiency,
            };
            return Move(moving, direction * gearing.SpeedRpm(drumRpm), ramp, travel, false);
        }

        var stretches = new List<CycleStretch>();
        foreach (var (mass, direction) in new[] { (load.MassKg.Value, 1.0), (load.ReturnMassKg.Value, -1.0) })
        {
            stretches.AddRange(Way(mass, direction));
            if (rest > 0)
            {
                // The brake holds: no torque is asked of the motor.
                stretches.Add(new CycleStretch(rest, 0, 0) { Rests = true });
            }
        }

        var hangingNm = new[] { load.MassKg.Value, load.ReturnMassKg.Value }
            .Max(m => Math.Abs(m - counter)) * GravityMPerS2 * sine * arm / gearing.Ratio;
        return new CyclicModel(
            load, stretches, gearing.InertiaKgM2(own + ((load.MassKg.Value + counter) * arm * arm)),
            hangingNm > 0 ? new HangingLoad(hangingNm, arm / gearing.Ratio, gearing.SpeedRpm(drumRpm), ramp, travel) : null,
            [.. Way(load.MassKg.Value, -1)]);
    }

    /// <summary>Forth, dwell, back, dwell.</summary>
    public static CyclicModel Servo(ServoAxisLoad load)
    {
        var gearing = Gearing.Of(load.Train);
        var arm = load.FeedMPerRev.Value / (2 * Math.PI);
        var third = load.MoveTimeS.Value / 3;
        var machineRpm = 60 * 1.5 * load.DistanceM.Value / load.MoveTimeS.Value / load.FeedMPerRev.Value;
        var sine = Math.Sin(load.InclineDeg.Value * Math.PI / 180);
        var weightNm = load.MassKg.Value * GravityMPerS2 * sine * arm;
        var frictionNm = load.FrictionN.Value * arm;
        var inertia = load.Train.InertiaKgM2.Value + (load.MassKg.Value * arm * arm);
        var stretches = new List<CycleStretch>();
        foreach (var direction in new[] { 1.0, -1.0 })
        {
            var moving = new CycleStretch(1, 0, 0)
            {
                StartMachineNm = weightNm + (direction * frictionNm),
                EndMachineNm = weightNm + (direction * frictionNm),
                MachineKgM2 = inertia,
                GearRatio = gearing.Ratio,
                GearEfficiency = gearing.Efficiency,
            };
            stretches.AddRange(Move(moving, direction * gearing.SpeedRpm(machineRpm), third, third, load.Shape == MoveShape.SmoothS));
            if (load.DwellS.Value > 0)
            {
                // At rest the controller holds the weight; nothing turns that could lose any of it.
                stretches.Add(new CycleStretch(load.DwellS.Value, 0, 0) { StartMachineNm = weightNm, EndMachineNm = weightNm,
                    GearRatio = gearing.Ratio, Rests = weightNm == 0 });
            }
        }

        return new CyclicModel(
            load, stretches, gearing.InertiaKgM2(inertia),
            weightNm > 0
                ? new HangingLoad(weightNm / gearing.Ratio, arm / gearing.Ratio, gearing.SpeedRpm(machineRpm), third, third)
                : null, []);
    }

    /// <summary>Straight between the points; two points at one time are a step of the torque.</summary>
    public static CyclicModel Profile(ProfileLoad load)
    {
        var gearing = Gearing.Of(load.Train);
        var stretches = load.Points.Zip(load.Points.Skip(1)).Where(p => p.Second.TimeS > p.First.TimeS).Select(p =>
            new CycleStretch(p.Second.TimeS - p.First.TimeS, gearing.SpeedRpm(p.First.SpeedRpm), gearing.SpeedRpm(p.Second.SpeedRpm))
            {
                StartMachineNm = p.First.TorqueNm,
                EndMachineNm = p.Second.TorqueNm,
                MachineKgM2 = load.Train.InertiaKgM2.Value,
                GearRatio = gearing.Ratio,
                GearEfficiency = gearing.Efficiency,
                Rests = p.First is { SpeedRpm: 0, TorqueNm: 0 } && p.Second is { SpeedRpm: 0, TorqueNm: 0 },
            });
        return new CyclicModel(load, [.. stretches], gearing.InertiaKgM2(load.Train.InertiaKgM2.Value), null, []);
    }

    private static IEnumerable<CycleStretch> Move(CycleStretch moving, double rpm, double rampS, double steadyS, bool smooth)
    {
        yield return moving with { DurationS = rampS, StartRpm = 0, EndRpm = rpm, IsSmooth = smooth };
        if (steadyS > 0)
        {
            yield return moving with { DurationS = steadyS, StartRpm = rpm, EndRpm = rpm };
        }

        yield return moving with { DurationS = rampS, StartRpm = rpm, EndRpm = 0, IsSmooth = smooth };
    }
}
