
namespace Cuadrilla.Core.Studies.Drives;

/// <summary>What motor and converter of a drive point give for a time.</summary>
internal static class UnitLimits
{
    /// <summary>Largest torque at a speed, Nm: breakdown torque with its margin, or the converter's peak current.</summary>
    public static double LargestNm(DriveOnConverter model, double rpm)
    {
        var motor = model.Motor;
        var converter = model.Converter;
        return Math.Min(
            motor.BreakdownTorqueNm(rpm) / (1 + (model.Input.Defaults.PeakMarginPct / 100)),
            motor.TorqueAtCurrentNm(rpm, converter.SiteCurrentA * converter.Overload.PeakPu));
    }

    /// <summary>For how long a torque may be given at a speed, s; infinite for ever, 0 not at all.</summary>
    public static (double TimeS, double CurrentA, string By) PermittedS(DriveOnConverter model, double rpm, double torqueNm)
    {
        var current = model.Motor.At(rpm, torqueNm, model.Feed).CurrentA;
        var converter = model.Converter;
        var lineups = model.Input.Defaults.Lineups;
        if (Math.Abs(torqueNm) > LargestNm(model, rpm))
        {
            return (0, current, "the largest torque");
        }

        var byConverter = ByHeat(current / converter.SiteCurrentA, converter.Overload.CurrentPu, converter.Overload.TimeS);
        var byMotor = ByHeat(current / model.Motor.Plate.RatedCurrentA, lineups.MotorOverloadPu, lineups.MotorOverloadS);
        return byConverter <= byMotor ? (byConverter, current, "the converter's overload") : (byMotor, current, "the motor's heat");
    }

    // Equal heat above the rated current: (k² − 1)·t constant.
    private static double ByHeat(double pu, double overloadPu, double overloadS) =>
        pu <= 1 ? double.PositiveInfinity : overloadS * ((overloadPu * overloadPu) - 1) / ((pu * pu) - 1);
}
