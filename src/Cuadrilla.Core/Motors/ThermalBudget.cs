namespace Cuadrilla.Core.Motors;

/// <summary>
/// What a motor can carry for ever at a speed. See <c>docs/methods/thermal-budget.md</c>. Allowed losses = rated losses ×
/// cooling(n) × (ΔΘ_used − (Θ_a − 40))/ΔΘ_rated × altitude factor; continuous torque is where the loss model meets them.
/// </summary>
/// <param name="AmbientC">Air at the motor, °C.</param>
/// <param name="AltitudeM">Altitude, m.</param>
/// <param name="Cooling">How the motor is cooled.</param>
/// <param name="RiseUsedK">Temperature rise that may be used, K.</param>
/// <param name="RatedRiseK">Temperature rise at the rated point on a sinusoidal supply, K.</param>
/// <param name="StandstillCoolingPu">Cooling that remains at standstill with an own fan (k0).</param>
public sealed record ThermalBudget(
    double AmbientC, double AltitudeM, MotorCooling Cooling, double RiseUsedK, double RatedRiseK, double StandstillCoolingPu)
{
    /// <summary>Cooling at a speed in parts of the rated: k0 + (1−k0)·n^0.7 with an own fan, otherwise 1.</summary>
    public double CoolingPu(double speedPu) => Cooling != MotorCooling.OwnFan
        ? 1
        : StandstillCoolingPu + ((1 - StandstillCoolingPu) * Math.Pow(Math.Max(speedPu, 0), 0.7));

    /// <summary>Temperature factor.</summary>
    public double TemperaturePu => Math.Max(0, (RiseUsedK - (AmbientC - 40)) / RatedRiseK);

    /// <summary>Altitude factor: 1 % less for each 100 m above 1000 m.</summary>
    public double AltitudePu => AltitudeM <= 1000 ? 1 : Math.Max(0, 1 - (0.01 * (AltitudeM - 1000) / 100));

    /// <summary>Losses the motor may have for ever at a speed, W.</summary>
    public double AllowedLossW(MotorPlate plate, double speedRpm)
    {
        ArgumentNullException.ThrowIfNull(plate);
        return plate.RatedLossW * CoolingPu(speedRpm / plate.RatedSpeedRpm) * TemperaturePu * AltitudePu;
    }

    /// <summary>Torque the motor can carry for ever at a speed, Nm; 0 when even no load is too much.</summary>
    public double ContinuousTorqueNm(MotorLossModel model, double speedRpm, MotorFeed feed)
    {
        ArgumentNullException.ThrowIfNull(model);
        var allowed = AllowedLossW(model.Plate, speedRpm);
        var fixedLoss = model.At(speedRpm, 0, feed).LossW;
        if (fixedLoss >= allowed)
        {
            return 0;
        }

        // Losses are A + B·T² but for the slip in the frequency: repeat with the last torque's frequency.
        var torque = model.Plate.RatedTorqueNm;
        var breakdown = model.BreakdownTorqueNm(speedRpm);
        for (var i = 0; i < 40; i++)
        {
            var loss = model.At(speedRpm, torque, feed).LossW;
            var next = torque * Math.Sqrt((allowed - fixedLoss) / Math.Max(loss - fixedLoss, 1e-9));
            next = Math.Min(next, breakdown);
            if (Math.Abs(next - torque) < 1e-10 * model.Plate.RatedTorqueNm)
            {
                return next;
            }

            torque = next;
        }

        return torque;
    }
}
