namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>
/// A separately excited DC motor: U = k·φ·ω + I·R; the armature current carries friction, iron and stray torque too, I = I_N·T/(T_N·φ).
/// At the voltage limit the field is weakened until E·n·φ + R·I_N·T/φ meets it.
/// </summary>
internal sealed class DcElectrics : IMotorElectrics
{
    private const double LeastSpeedPu = 1e-3;

    private readonly MotorPlate plate;
    private readonly RatedLosses losses;
    private readonly double ohm;
    private readonly double emfV;
    private readonly double convertedW;

    public DcElectrics(MotorPlate plate, RatedLosses losses)
    {
        (this.plate, this.losses) = (plate, losses);
        ohm = losses.StatorW / (plate.RatedCurrentA * plate.RatedCurrentA);
        emfV = plate.RatedVoltageV - (ohm * plate.RatedCurrentA);
        convertedW = plate.RatedPowerW + BehindW(1, 1, 1);
    }

    /// <inheritdoc/>
    public double MagnetisingA => 0;

    /// <inheritdoc/>
    public ElectricalState At(double speedPu, double torquePu, double limitPu)
    {
        var speed = Math.Abs(speedPu);
        var limitV = limitPu * plate.RatedVoltageV;
        double flux = 1, current = torquePu;
        var within = true;
        for (var i = 0; i < 4; i++)
        {
            var turning = Math.Max(speed, LeastSpeedPu);
            var part = ((plate.RatedPowerW * torquePu) + (BehindW(turning, flux, current) / turning)) / convertedW;
            (flux, within) = Flux(speed, part, limitV);
            current = part / flux;
        }

        return new ElectricalState(
            speed, flux, Math.Abs(current) * plate.RatedCurrentA, current * plate.RatedCurrentA,
            Math.Abs((emfV * flux * speed) + (ohm * plate.RatedCurrentA * current)), 0, current, within);
    }

    /// <inheritdoc/>
    public double LargestTorquePu(double speedPu, double limitPu) =>
        plate.BreakdownTorquePu * Math.Min(1, limitPu / Math.Max(Math.Abs(speedPu), 1e-9));

    private double BehindW(double speed, double flux, double current) =>
        losses.IronW(flux, speed) + losses.FrictionW(speed) + losses.StrayW(current, speed);

    private (double Flux, bool Within) Flux(double speed, double part, double limitV)
    {
        var drop = ohm * plate.RatedCurrentA * part;
        if ((emfV * speed) + drop <= limitV * (1 + 1e-9))
        {
            return (1, true);
        }

        // E·n·φ² − U·φ + R·I_N·T = 0, the larger root.
        var root = (limitV * limitV) - (4 * emfV * speed * drop);
        return root >= 0 && speed > 0
            ? (Math.Min(1, (limitV + Math.Sqrt(root)) / (2 * emfV * speed)), true)
            : (Math.Min(1, limitV / Math.Max(2 * emfV * speed, 1e-9)), false);
    }
}
