using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Brakes;

/// <summary><c>brake.holding</c>, <c>brake.sequence</c> and <c>brake.coil</c> of a drive point with a holding brake.</summary>
internal static class BrakeChecks
{
    private const string Source = "docs/methods/holding-brake.md";
    private const string Caution = "Never stand under a load; secure it before the brake is released by hand or tested. Lifting codes, "
        + "the maker's instructions and licensed people decide; an emergency stop acts on the brake circuit too. Cuadrilla designs no "
        + "safety function.";

    public static IEnumerable<Check> Of(DrivePointModel point) => BrakeModel.Of(point) is { } model
        ?
        [
            Judging.One("brake.holding", point.Id, BoardRow.Motor, "Holding torque of the brake", () => Holding(model)),
            Judging.One("brake.sequence", point.Id, BoardRow.Motor, "Brake sequence", () => Sequence(model)),
            Judging.One("brake.coil", point.Id, BoardRow.Motor, "Coil of the brake", () => Coil(model)),
        ]
        : [];

    private static Check Holding(BrakeModel model)
    {
        const string id = "brake.holding";
        const string title = "Holding torque of the brake";
        List<string> missing = [.. model.Point.LoadMissing];
        if (!model.Brake.HoldingNm.IsKnown)
        {
            missing.Add("holding torque of the brake");
        }

        if (model.Point.Load is not { } load || missing.Count > 0)
        {
            return Check.Lacking(id, model.Point.Id, BoardRow.Motor, title, missing);
        }

        if (load.Hanging is not { } hanging)
        {
            return Check.NotConcerned(id, model.Point.Id, BoardRow.Motor, title, "nothing hangs on this shaft");
        }

        var factor = model.Point.Input.Defaults.Lineups.BrakeHoldingFactor;
        return CheckWriter.Judged(
            id, model.Point.Id, BoardRow.Motor, title, model.Brake.HoldingNm.Value, factor * hanging.GravityNm, "Nm", LimitSense.AtLeast,
            model.Point.Input.Defaults.TightMarginPct,
            "Relief: a larger brake, a second one on the drum. " + Caution,
            new Reason(
                "T_brake ≥ k·m·g·r, friction left out",
                $"{Text.N(factor)}·{Text.N(hanging.GravityNm)} Nm = {Text.N(factor * hanging.GravityNm)} Nm against "
                    + $"{Text.N(model.Brake.HoldingNm.Value)} Nm",
                Source + "; where persons are exposed the lifting code decides",
                [ReasonInput.Of("torque of the hanging load at the motor", hanging.GravityNm, "Nm", "load, gear")]));
    }

    private static Check Sequence(BrakeModel model)
    {
        const string id = "brake.sequence";
        const string title = "Brake sequence";
        List<string> missing = [.. model.Missing];
        if (!model.Brake.PermittedJ.IsKnown)
        {
            missing.Add("permitted work of the brake");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(id, model.Point.Id, BoardRow.Motor, title, missing);
        }

        var defaults = model.Point.Input.Defaults;
        var limitM = defaults.Lineups.BrakeRollbackMm / 1e3;
        var up = model.Run(BrakeFault.None, up: true)!;
        var down = model.Run(BrakeFault.None, up: false)!;
        var lost = model.Run(BrakeFault.PowerLost, up: false)!;
        var times = model.Times();
        var rolled = Math.Max(up.RollbackM, down.RollbackM);
        var dropped = Math.Max(Math.Abs(up.DropM), Math.Abs(down.DropM));
        var touched = Math.Max(up.ClampedAtRadPerS, down.ClampedAtRadPerS);
        const double rpm = 60 / (2 * Math.PI);
        Part[] parts =
        [
            new("the load rolls back at the start", model.Hangs ? 1e3 * rolled : 0, 1e3 * limitM, "mm"),
            new("the load drops when the motor lets go", model.Hangs ? 1e3 * dropped : 0, 1e3 * limitM, "mm"),
            new("it closes on a turning shaft", times.CloseBelowRadPerS > 0 && touched > times.CloseBelowRadPerS ? touched * rpm : 0,
                times.CloseBelowRadPerS > 0 ? times.CloseBelowRadPerS * rpm : 1, "rpm"),
            new("work when power is lost", lost.HeldAtEnd ? lost.BrakeJ : double.PositiveInfinity, model.Brake.PermittedJ.Value, "J"),
        ];
        var worst = parts.MaxBy(p => p.Used)!;
        var blind = model.Hangs && !(model.Brake.Control.PositionFeedback && model.Brake.Control.CommandFeedback);
        var wear = model.Brake.PermittedClampings.IsKnown && lost.BrakeJ > 0
            ? $", {Text.N(model.Brake.PermittedClampings.Value * Math.Min(1, model.Brake.PermittedJ.Value / lost.BrakeJ), 3)} such "
                + "emergency engagements until the lining is worn"
            : string.Empty;
        var check = CheckWriter.Judged(
            id, model.Point.Id, BoardRow.Motor, $"{title}, {worst.Name}", worst.Figure, worst.Limit, worst.Unit, LimitSense.AtMost,
            defaults.TightMarginPct,
            "Relief: torque proven near the load's before the release, a zero-speed threshold instead of a short delay, torque held until "
                + "the brake is proven closed, a suppression that is faster. " + Caution,
            new Reason(
                "simulated: rolled back and dropped ≤ permitted way; touched ≤ threshold; ½·J·ω²·T_b/(T_b − T_g) ≤ permitted work",
                $"rolls back {Text.N(1e3 * rolled, 3)} mm, drops {Text.N(1e3 * dropped, 3)} mm of {Text.N(1e3 * limitM)} mm; closes at "
                    + $"{Text.N(touched * 60 / (2 * Math.PI), 3)} rpm; power lost going down at full speed: {Text.N(lost.BrakeJ)} J of "
                    + $"{Text.N(model.Brake.PermittedJ.Value)} J{wear}; closes in {Text.N(1e3 * times.CloseS, 3)} ms, "
                    + $"{Text.N(1e3 * model.SuppressionS!.Value, 3)} ms of them by the "
                    + $"suppression{(blind ? "; a hanging load wants both feedbacks, command and position" : string.Empty)}",
                Source,
                [
                    ReasonInput.Of("holding torque", times.HoldingNm, "Nm", "brake"),
                    ReasonInput.Of("torque proven", times.ProvenNm, "Nm", "brake control"),
                    ReasonInput.Of("torque of the load", model.Mechanics().GravityNm, "Nm", "load, gear"),
                ]));
        return blind && check.Verdict == Verdict.Holds
            ? check with { Verdict = Verdict.Tight,
                Relief = "Relief: both feedbacks, command and position, for a hanging load. " + Caution }
            : check;
    }

    private static Check Coil(BrakeModel model)
    {
        const string id = "brake.coil";
        const string title = "Coil of the brake";
        if (model.CoilA is not { } current || !model.Brake.Coil.OutputA.IsKnown)
        {
            return Check.Lacking(id, model.Point.Id, BoardRow.Motor, title,
                ["voltage and power of the coil, rating of the output that switches it"]);
        }

        var coil = model.Brake.Coil;
        var delay = model.SuppressionS is { } s
            ? $"{Text.N(1e3 * s, 3)} ms added to the closing"
            : "delay not known without the coil's time constant";
        var reason = new Reason(
            "I = P/U ≤ rating of the output; the coil's energy goes into a suppression, which delays the closing",
            $"{Text.N(coil.PowerW.Value)} W/{Text.N(coil.VoltageV.Value)} V = {Text.N(current, 3)} A against {Text.N(coil.OutputA.Value)} "
                + $"A; {Words(coil.Suppression)}, {delay}",
            Source,
            []);
        return coil.Suppression == CoilSuppression.None
            ? CheckWriter.Rule(id, model.Point.Id, BoardRow.Motor, title + ", no suppression", Verdict.Fails,
                "Relief: a suppression at the coil: diode with its cathode at plus, faster with zener diode or varistor. "
                    + Caution, reason)
            : CheckWriter.Judged(
                id, model.Point.Id, BoardRow.Motor, title, current, coil.OutputA.Value, "A", LimitSense.AtMost,
                model.Point.Input.Defaults.TightMarginPct,
                "Relief: a relay or contactor between output and coil. " + Caution, reason);
    }

    private static string Words(CoilSuppression suppression) => suppression switch
    {
        CoilSuppression.None => "nothing takes the coil's energy",
        CoilSuppression.Diode => "diode, cathode at plus",
        CoilSuppression.Zener => "diode with zener diode",
        CoilSuppression.Varistor => "varistor",
        _ => throw new InvalidOperationException("Unknown suppression."),
    };

    // One of the things that a check looks at, in its own unit.
    private sealed record Part(string Name, double Figure, double Limit, string Unit)
    {
        public double Used => Figure / Limit;
    }
}
