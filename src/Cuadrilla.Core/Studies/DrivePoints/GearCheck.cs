using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>gear.service-factor</c>: a gearbox against rms and peak torque and against its thermal power, where its plate is
/// entered.</summary>
internal static class GearCheck
{
    private const string Id = "gear.service-factor";
    private const string Title = "Gearbox";

    // What gearboxes usually stand now and then, parts of the rated torque; the maker's word counts.
    private const double PeakPu = 2;

    public static IEnumerable<Check> Of(DrivePointModel point)
    {
        if (point.Input.DrivePoint.Load is not MechanicalLoad { Train: { GearTorqueNm.IsKnown: true } train })
        {
            yield break;
        }

        List<string> missing = [.. point.MissingForMotor(), .. StartDemand.Missing(point)];
        if (!train.ServiceFactor.IsKnown)
        {
            missing.Add("service factor of the gearbox");
        }

        if (point is not LoadedMotor model || missing.Count > 0)
        {
            yield return Check.Lacking(Id, point.Id, BoardRow.Load, Title, missing);
            yield break;
        }

        yield return Judged(model, train);
    }

    private static Check Judged(LoadedMotor model, DriveTrain train)
    {
        var (ratio, efficiency) = (train.GearRatio.Value, train.GearEfficiency.Value);
        var (rms, power) = Steady(model);
        var across = model.Starter is not null;

        // Across the line the motor gives what it can, whatever the machine asks.
        var peak = across ? Math.Max(model.Connected.Plate.BreakdownTorquePu,
            model.Connected.Plate.LockedRotorTorquePu) * model.Connected.Plate.RatedTorqueNm : StartDemand.Of(model).PeakTorqueNm;
        double AtMachine(double motorNm) => motorNm * ratio * efficiency;
        var ratedNm = train.GearTorqueNm.Value;
        (double Pct, string What)[] uses =
        [
            (100 * train.ServiceFactor.Value * AtMachine(rms) / ratedNm, "rms torque with its service factor"),
            (100 * AtMachine(peak) / (PeakPu * ratedNm), "peak torque"),
            (train.GearThermalKw.IsKnown ? 100 * power / 1e3 / train.GearThermalKw.Value : 0, "thermal power"),
        ];
        var (worst, what) = uses.MaxBy(u => u.Pct);
        return CheckWriter.Judged(
            Id, model.Id, BoardRow.Load, $"{Title}, {what}", worst, 100, "%", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            $"Relief: a larger gearbox{(across ? ", a soft starter or converter" : ", a longer ramp")}, cooling of the gearbox where its "
                + "heat counts.",
            new Reason(
                "max(f_B·T_rms/T_N, T_peak/(2·T_N), P/P_thermal), torques at the machine's shaft",
                $"rms {Text.N(AtMachine(rms))} Nm × {Text.N(train.ServiceFactor.Value)}, peak {Text.N(AtMachine(peak))} "
                    + $"Nm{(across ? " (what the motor can give on the line)" : string.Empty)}, {Text.N(power / 1e3)} "
                    + $"kW{(train.GearThermalKw.IsKnown ? string.Empty : ", thermal power not stated")}",
                "Gearbox makers' practice, ISO 6336-6 for the service factor; twice the rated torque for peaks is practice (verify with "
                    + "the maker)",
                [ReasonInput.Of("rated torque of the gearbox", ratedNm, "Nm", "load"),
                    ReasonInput.Of("service factor", train.ServiceFactor.Value, string.Empty, "load")]));
    }

    // Motor's side: rms torque and mean power.
    private static (double TorqueNm, double PowerW) Steady(LoadedMotor model)
    {
        if (model.Load.Cycle is { } cycle)
        {
            var slices = cycle.Slices(model.Motor.Plate.InertiaKgM2).Where(s => !s.Rests).ToList();
            return (
                Math.Sqrt(slices.Sum(s => s.TorqueNm * s.TorqueNm * s.DurationS) / cycle.DurationS),
                slices.Sum(s => Math.Abs(s.TorqueNm * s.SpeedRpm) * Math.PI / 30 * s.DurationS) / cycle.DurationS);
        }

        var points = model.SteadyPoints().ToList();
        return (points.Max(p => Math.Abs(p.TorqueNm)), points.Max(p => Math.Abs(p.TorqueNm * p.SpeedRpm) * Math.PI / 30));
    }
}
