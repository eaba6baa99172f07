using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>motor.continuous</c>, <c>motor.peak</c> and <c>motor.match</c>.</summary>
internal static class MotorChecks
{
    /// <summary>Torque for ever, which tells a motor's size.</summary>
    internal const string ContinuousId = "motor.continuous";

    private const string ContinuousTitle = "Motor, continuous torque";
    private const string PeakId = "motor.peak";
    private const string PeakTitle = "Motor, peak torque";
    private const string MatchId = "motor.match";
    private const string MatchTitle = "Motor against converter size";

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        yield return Judging.One(ContinuousId, model.Id, BoardRow.Motor, ContinuousTitle, () => Continuous(model));
        yield return Judging.One(PeakId, model.Id, BoardRow.Motor, PeakTitle, () => Peak(model));
        yield return Judging.One(MatchId, model.Id, BoardRow.Motor, MatchTitle, () => Match(model));
    }

    /// <summary>
    /// What uses most of the continuous torque: a steady point, or the rms of the cycle against the torque at rated speed.
    /// </summary>
    public static (double SpeedRpm, double TorqueNm, double AvailableNm, string Where) MostUsed(
        LoadedMotor model, MotorLossModel motor, ThermalBudget budget)
    {
        var load = model.Load;
        if (load.Cycle is { } cycle)
        {
            var rated = motor.Plate.RatedSpeedRpm;
            var rms = cycle.RmsTorqueNm(motor.Plate.InertiaKgM2, n => budget.CoolingPu(n / rated));
            var speed = Math.Max(rated, load.RatedSpeedRpm);
            return (speed, rms, budget.ContinuousTorqueNm(motor, speed, model.Feed),
                "rms over the cycle, standing and slow time weighted by cooling");
        }

        (double SpeedRpm, double TorqueNm, double AvailableNm, string Where) worst = default;
        var worstUse = double.NegativeInfinity;
        foreach (var point in model.SteadyPoints())
        {
            var available = budget.ContinuousTorqueNm(motor, point.SpeedRpm, model.Feed);
            var torque = Math.Abs(point.TorqueNm);
            var use = available > 0 ? torque / available : double.PositiveInfinity;
            if (use > worstUse)
            {
                worstUse = use;
                worst = (point.SpeedRpm, torque, available, point.What ?? $"load at {Text.N(100 * point.LevelPu, 3)} % {load.LevelName}");
            }
        }

        return worst;
    }

    private static Check Continuous(DrivePointModel point)
    {
        const string id = ContinuousId;
        const string title = ContinuousTitle;
        if (point is not LoadedMotor model)
        {
            return Check.Lacking(id, point.Id, BoardRow.Motor, title, point.MissingForMotor());
        }

        var (speed, torque, available, where) = MostUsed(model, model.Motor, model.Budget);
        if (!model.Motor.Plate.Limits.RatedRiseK.IsKnown && torque > available
            && MostUsed(model, model.Motor, model.Budget with { RatedRiseK = model.Input.Defaults.RiseClassBK }) is var cooler
                && cooler.TorqueNm <= cooler.AvailableNm)
        {
            // With the rise of class F it fails, with that of class B it holds: the verdict rests on what is not stated.
            return Check.Lacking(id, model.Id, BoardRow.Motor, title,
                ["rated temperature rise of the motor: with its rise of class B it would hold"]);
        }

        var plate = model.Motor.Plate;
        var budget = model.Budget;
        var allowed = budget.AllowedLossW(plate, speed);
        var reason = new Reason(
            $"P_loss(n, T) = P_N,loss · cooling(n) · (ΔΘ_used − (Θ_a − {ThermalBudget.RatedAmbientC}))/ΔΘ_rated · k_altitude, solved for T",
            $"{Text.N(plate.RatedLossW)} W · {Text.N(budget.CoolingPu(speed / plate.RatedSpeedRpm))} · ({Text.N(budget.RiseUsedK)} − "
                + $"({Text.N(budget.AmbientC)} − {ThermalBudget.RatedAmbientC}))/{Text.N(budget.RatedRiseK)} · "
                + $"{Text.N(budget.AltitudePu)} = {Text.N(allowed)} W, met at {Text.N(available)} Nm; needed {Text.N(torque)} Nm at "
                + $"{Text.N(speed)} rpm",
            "Thermal budget with the loss model of docs/methods/motor-losses.md; converter addition included (IEC TS 60034-30-2)",
            [
                ReasonInput.Of("speed", speed, "rpm", where),
                ReasonInput.Of("torque there", torque, "Nm", "load"),
                ReasonInput.Of("rated losses", plate.RatedLossW, "W", "motor plate: P·(1/η − 1)"),
                ReasonInput.Of("ambient", budget.AmbientC, "°C", "site"),
                ReasonInput.Of("altitude", budget.AltitudeM, "m", "site"),
                ReasonInput.Of("temperature rise used", budget.RiseUsedK, "K", $"class {model.MotorChoice.RiseUsed}, motor choice"),
            ]);
        return CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, title, torque, available, "Nm", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            Relief(model), reason);
    }

    private static string Relief(LoadedMotor model)
    {
        var choice = model.MotorChoice!;
        var cures = new List<string> { "next larger motor" };
        if (choice.RiseUsed == ThermalClass.B)
        {
            cures.Add("temperature rise used to class F");
        }

        if (choice.Cooling == MotorCooling.OwnFan && model.Load.At(1).SpeedRpm < 0.8 * model.Motor.Plate.RatedSpeedRpm)
        {
            cures.Add("separately driven fan");
        }

        cures.Add("cooler air");
        return "Relief: " + string.Join(", ", cures) + ".";
    }

    /// <summary>The peak torque of a motor on the line at the lowest voltage of its bus, of another at what its converter gives.</summary>
    public static Check Peak(DrivePointModel point, double lowestPu = 1, string scenario = "")
    {
        const string id = PeakId;
        const string title = PeakTitle;
        var missing = point.MissingForMotor().Concat(StartDemand.Missing(point)).ToList();
        if (point is not LoadedMotor model || missing.Count > 0)
        {
            return Check.Lacking(id, point.Id, BoardRow.Motor, title, missing);
        }

        var start = StartDemand.Of(model);
        var plate = model.Motor.Plate;
        var keep = 1 + (model.Input.Defaults.PeakMarginPct / 100);

        // Torque and flux both change over the duty: what counts is the point nearest to its own breakdown torque.
        var (needed, atRpm, at) = Demands(model).MaxBy(d => d.TorqueNm / Math.Max(model.Motor.BreakdownTorqueNm(d.SpeedRpm), 1e-9));
        var breakdown = model.Motor.BreakdownTorqueNm(atRpm) * lowestPu * lowestPu;
        var limit = breakdown / keep;
        var repeats = model.Load.Cycle is not null;
        var limits = $"nearest {at}: {Text.N(needed)} Nm at {Text.N(atRpm)} rpm against {Text.N(breakdown)}/{Text.N(keep)} = "
            + $"{Text.N(limit)} Nm" + (lowestPu < 1 ? $", the bus at {Text.N(100 * lowestPu)} %" : string.Empty);
        var reason = new Reason(
            repeats
                ? "T_peak = max over the cycle of |T_load + J_motor·α| ≤ T_breakdown·φ²/(1 + margin)"
                : "T_peak = max(T_load + (J_machine + J_motor)·ω/t_start, T_breakaway) ≤ T_breakdown·φ²/(1 + margin)",
            repeats
                ? limits
                : $"{Text.N(start.LoadTorqueNm)} + ({Text.N(start.MachineInertiaKgM2)} + "
                    + $"{Text.N(plate.InertiaKgM2)})·{Text.N(start.EndSpeedRadPerS)}/{Text.N(start.TimeS)} = "
                    + $"{Text.N(start.LoadTorqueNm + start.AccelerationTorqueNm)} Nm, breakaway {Text.N(start.BreakawayNm)} Nm; {limits}",
            "Breakdown torque ∝ flux², at every point of the duty, start and cycle; margin from project defaults",
            [
                ReasonInput.Of(repeats ? "largest torque of the cycle" : "load torque", start.LoadTorqueNm, "Nm", "load"),
                ReasonInput.Of("machine inertia at the motor's shaft", start.MachineInertiaKgM2, "kg·m²", "load"),
                ReasonInput.Of("motor inertia", plate.InertiaKgM2, "kg·m²", "catalogue motor"),
                ReasonInput.Of(repeats ? "duration of the largest torque" : "start time", start.TimeS, "s", "load"),
                ReasonInput.Of("breakdown torque", plate.BreakdownTorquePu, "× rated", "catalogue motor"),
            ]);
        return CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, title, needed, limit, "Nm", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            repeats ? "Relief: gentler acceleration, or a larger motor." : "Relief: a longer start time, or a larger motor.", reason,
            scenario);
    }

    // Largest torques with the speeds at which they are asked.
    private static IEnumerable<(double TorqueNm, double SpeedRpm, string At)> Demands(LoadedMotor model)
    {
        var load = model.Load;
        var motorKgM2 = model.Motor.Plate.InertiaKgM2;
        if (load.Cycle is { } cycle)
        {
            return [.. new[] { (cycle, "in the cycle"), (new LoadCycle(load.BrokenOff), "letting down the rated load") }
                .SelectMany(c => c.Item1.Points(motorKgM2).Where(p => !p.Rests)
                    .Select(p => (Math.Abs(p.TorqueNm), Math.Abs(p.SpeedRpm), c.Item2)))
                .DefaultIfEmpty((load.BreakawayNm, 0.0, "to break away"))];
        }

        var starts = load.StartPoints().Select(p => (
            Math.Abs(p.TorqueNm) + ((p.InertiaKgM2.Value + motorKgM2) * Math.Abs(p.SpeedRpm) * 2 * Math.PI / 60 / load.StartTimeS.Value),
            Math.Abs(p.SpeedRpm), "at the end of the start"));
        return [.. starts, .. model.SteadyPoints().Select(p =>
            (Math.Abs(p.TorqueNm), Math.Abs(p.SpeedRpm), p.What ?? $"at {Text.N(100 * p.LevelPu, 3)} % {load.LevelName}")),
                (load.BreakawayNm, 0, "to break away")];
    }

    private static Check Match(DrivePointModel model)
    {
        const string id = MatchId;
        const string title = MatchTitle;
        if (model.Starter is not null)
        {
            return Check.NotConcerned(id, model.Id, BoardRow.Motor, title, "the motor runs on the line");
        }

        if (model is not { Fitted.Losses: { } motor, Converter: { } converter })
        {
            return Check.Lacking(
                id, model.Id, BoardRow.Motor, title,
                new[] { model.Fitted is null ? "motor" : null, model.Converter is null ? "converter" : null }.OfType<string>());
        }

        var defaults = model.Input.Defaults;
        var rated = converter.RatedCurrentA;
        if (rated <= 0)
        {
            return Check.Lacking(id, model.Id, BoardRow.Motor, title, ["rated current of the converter for this duty"]);
        }

        var magnetisingPct = 100 * motor.MagnetisingCurrentA / rated;
        var currentPct = 100 * motor.Plate.RatedCurrentA / rated;

        // The nearer of the two limits is shown; both must hold. Magnets and a field winding need no magnetising current.
        var magnetises = motor.Plate.Technology is MotorTechnology.CageInduction or MotorTechnology.SynchronousReluctance;
        var byMagnetising = magnetises && magnetisingPct / defaults.MatchMagnetisingPct < currentPct / defaults.MatchCurrentPct;
        var reason = new Reason(
            "I_N,motor/I_N,converter ≥ limit and I_m/I_N,converter ≥ limit",
            $"{Text.N(motor.Plate.RatedCurrentA)}/{Text.N(rated)} = {Text.N(currentPct, 3)} % (at least "
                + $"{Text.N(defaults.MatchCurrentPct)} %); {Text.N(motor.MagnetisingCurrentA)}/{Text.N(rated)} = "
                + $"{Text.N(magnetisingPct, 3)} % (at least {Text.N(defaults.MatchMagnetisingPct)} %)",
            "Identification and phase-loss detection need enough current; magnetising current from the circle diagram "
                + "(docs/methods/motor-losses.md)",
            [
                ReasonInput.Of("motor rated current", motor.Plate.RatedCurrentA, "A", "motor plate"),
                ReasonInput.Of("magnetising current", motor.MagnetisingCurrentA, "A", "estimated from the plate"),
                ReasonInput.Of("converter rated current", rated, "A", "catalogue converter"),
            ]);
        return CheckWriter.Judged(
            id,
            model.Id,
            BoardRow.Motor,
            byMagnetising ? title + " (magnetising current)" : title,
            byMagnetising ? magnetisingPct : currentPct,
            byMagnetising ? defaults.MatchMagnetisingPct : defaults.MatchCurrentPct,
            "%",
            LimitSense.AtLeast,
            defaults.TightMarginPct,
            "Relief: a smaller converter.",
            reason);
    }
}
