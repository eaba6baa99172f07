using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>motor.inertia-ratio</c> of a servo axis.</summary>
internal static class InertiaRatioCheck
{
    public static IEnumerable<Check> Of(DrivePointModel point)
    {
        const string id = "motor.inertia-ratio";
        const string title = "Inertia of load over motor";
        if (point.Input.DrivePoint.Load is not ServoAxisLoad)
        {
            yield break;
        }

        if (point is not LoadedMotor model)
        {
            yield return Check.Lacking(id, point.Id, BoardRow.Motor, title, point.MissingForMotor());
            yield break;
        }

        double load = model.Load.InertiaKgM2.Value, motor = model.Motor.Plate.InertiaKgM2;
        yield return CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, title, load / motor, model.Input.Defaults.Lineups.ServoInertiaRatio, string.Empty,
            LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            "Relief: a larger gear ratio, a motor with more inertia, a softer controller.",
            new Reason(
                "J_load/J_motor, both at the motor's shaft", $"{Text.N(load)} kg·m²/{Text.N(motor)} kg·m² = {Text.N(load / motor, 3)}",
                "docs/methods/servo-lineup.md",
                [ReasonInput.Of("largest ratio", model.Input.Defaults.Lineups.ServoInertiaRatio, string.Empty, "project default")]));
    }
}
