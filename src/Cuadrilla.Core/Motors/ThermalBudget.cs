using Cuadrilla.Core.Numerics;

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
    /// <summary>Air in which rated values hold, °C (IEC 60034-1).</summary>
    public const double RatedAmbientC = 40;

    /// <summary>Altitude up to which they hold, m (IEC 60034-1).</summary>
    public const double RatedAltitudeM = 1000;

    /// <summary>Cooling at a speed in parts of the rated: k0 + (1−k0)·n^0.7 with an own fan, otherwise 1.</summary>
    public double CoolingPu(double speedPu) => Cooling != MotorCooling.OwnFan
        ? 1
        : StandstillCoolingPu + ((1 - StandstillCoolingPu) * Math.Pow(Math.Max(speedPu, 0), 0.7));

    /// <summary>Temperature factor.</summary>
    public double TemperaturePu => Math.Max(0, (RiseUsedK - (AmbientC - RatedAmbientC)) / RatedRiseK);

    /// <summary>Altitude factor: 1 % less for each 100 m above 1000 m.</summary>
    public double AltitudePu => AltitudeM <= RatedAltitudeM ? 1 : Math.Max(0, 1 - (0.01 * (AltitudeM - RatedAltitudeM) / 100));

    /// <summary>Losses the motor may have for ever at a speed, W.</summary>
    public double AllowedLossW(MotorPlate plate, double speedRpm)
    {
        ArgumentNullException.ThrowIfNull(plate);
        return plate.RatedLossW * CoolingPu(speedRpm / plate.RatedSpeedRpm) * TemperaturePu * AltitudePu;
    }

    /// <summary>
    /// Torque the motor can carry for ever at a speed, Nm; 0 when even no load is too much. Never more than the rated torque (IEC TS
    /// 60034-25): what a colder winding would allow, shaft, bearings and the maker have not been asked for.
    /// </summary>
    public double ContinuousTorqueNm(MotorLossModel model, double speedRpm, MotorFeed feed)
    {
        ArgumentNullException.ThrowIfNull(model);
        var most = Math.Min(model.Plate.RatedTorqueNm, model.BreakdownTorqueNm(speedRpm));
        return most <= 0 ? 0 : SquareSecant.Solve(torque => model.At(speedRpm, torque, feed).LossW,
            AllowedLossW(model.Plate, speedRpm), most);
    }
}
