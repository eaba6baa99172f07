namespace Cuadrilla.Core.Loads;

/// <summary>Cycles of hoists, servo axes and profiles at the motor's shaft. See <c>docs/methods/load-cycles.md</c>.</summary>
internal static class CycleBuilders
{
    private const double GravityMPerS2 = 9.80665;

    /// <summary>Up loaded, rest, down, rest.</summary>
    public static LoadModel? Hoist(HoistLoad load, MissingNames missing)
    {
        var (v, way, ramp) = (load.SpeedMPerS.Value, load.LiftM.Value, load.Train.StartTimeS.Value);
        var travel = (way / v) - ramp;
        var rest = (3600 / load.CyclesPerHour.Value / 2) - (way / v) - ramp;
        if (travel < 0)
        {
            missing.Names.Add(FormattableString.Invariant($"a start time the way leaves room for: at most {way / v:0.##} s at this speed"));
        }
        else if (rest < 0)
        {
            missing.Names.Add(FormattableString.Invariant($"cycles an hour that fit: at most {3600 / (2 * ((way / v) + ramp)):0.#} with these movements"));
        }

        if (missing.Names.Count > 0)
        {
            return null;
        }

        var gearing = Gearing.Of(load.Train);
        var falls = load.Falls.Value;
        var arm = load.DrumDiameterM.Value / 2 / falls;
        var drumRpm = 60 * v * falls / (Math.PI * load.DrumDiameterM.Value);
        var sine = Math.Sin(load.InclineDeg.Value * Math.PI / 180);
        var stretches = new List<CycleStretch>();
        var counter = load.CounterweightKg.Value;
        var own = load.Train.InertiaKgM2.Value;
        foreach (var (mass, direction) in new[] { (load.MassKg.Value, 1.0), (load.ReturnMassKg.Value, -1.0) })
        {
            var weightNm = (mass - counter) * GravityMPerS2 * sine * arm;
            var efficiency = load.Efficiency.Value;
            var machineNm = weightNm * direction >= 0 ? weightNm / efficiency : weightNm * efficiency;
            var inertia = own + ((mass + counter) * arm * arm);
            Move(stretches, gearing, direction * drumRpm, machineNm, inertia, ramp, travel, ramp);
            if (rest > 0)
            {
                // The brake holds: no torque is asked of the motor.
                stretches.Add(new CycleStretch(rest, 0, 0, 0));
            }
        }

        var hangingNm = new[] { load.MassKg.Value, load.ReturnMassKg.Value }.Max(m => Math.Abs(m - counter)) * GravityMPerS2 * sine * arm / gearing.Ratio;
        return new CyclicModel(
            load, stretches, gearing.InertiaKgM2(own + ((load.MassKg.Value + counter) * arm * arm)),
            hangingNm > 0 ? new HangingLoad(hangingNm, arm / gearing.Ratio, gearing.SpeedRpm(drumRpm), ramp, travel) : null);
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
        var factor = load.Shape == MoveShape.SmoothS ? 2.0 : 1.0;
        var stretches = new List<CycleStretch>();
        foreach (var direction in new[] { 1.0, -1.0 })
        {
            Move(stretches, gearing, direction * machineRpm, weightNm + (direction * frictionNm), inertia, third, third, third, factor);
            if (load.DwellS.Value > 0)
            {
                stretches.Add(new CycleStretch(load.DwellS.Value, 0, 0, gearing.TorqueNm(weightNm, 1)));
            }
        }

        return new CyclicModel(
            load, stretches, gearing.InertiaKgM2(inertia),
            weightNm > 0 ? new HangingLoad(weightNm / gearing.Ratio, arm / gearing.Ratio, gearing.SpeedRpm(machineRpm), third, third) : null);
    }

    /// <summary>Straight between the points.</summary>
    public static CyclicModel Profile(ProfileLoad load)
    {
        var gearing = Gearing.Of(load.Train);
        var inertia = load.Train.InertiaKgM2.Value;
        var stretches = new List<CycleStretch>();
        foreach (var (a, b) in load.Points.Zip(load.Points.Skip(1)))
        {
            stretches.Add(Stretch(gearing, b.TimeS - a.TimeS, a.SpeedRpm, b.SpeedRpm, 0.5 * (a.TorqueNm + b.TorqueNm), inertia, 1));
        }

        return new CyclicModel(load, stretches, gearing.InertiaKgM2(inertia));
    }

    private static void Move(
        List<CycleStretch> stretches, Gearing gearing, double machineRpm, double machineNm, double inertia, double up, double steady, double down,
        double peakFactor = 1)
    {
        stretches.Add(Stretch(gearing, up, 0, machineRpm, machineNm, inertia, peakFactor));
        if (steady > 0)
        {
            stretches.Add(Stretch(gearing, steady, machineRpm, machineRpm, machineNm, inertia, 1));
        }

        stretches.Add(Stretch(gearing, down, machineRpm, 0, machineNm, inertia, peakFactor));
    }

    private static CycleStretch Stretch(
        Gearing gearing, double durationS, double startRpm, double endRpm, double machineNm, double inertia, double peakFactor)
    {
        var acceleration = (endRpm - startRpm) * 2 * Math.PI / 60 / durationS;
        var direction = Math.Sign(startRpm + endRpm);
        var steady = gearing.TorqueNm(machineNm, direction);
        var total = gearing.TorqueNm(machineNm + (inertia * acceleration), direction);
        return new CycleStretch(durationS, gearing.SpeedRpm(startRpm), gearing.SpeedRpm(endRpm), total, total - steady, peakFactor);
    }
}
