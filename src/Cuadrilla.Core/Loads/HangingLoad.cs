namespace Cuadrilla.Core.Loads;

/// <summary>What a load that can fall shows to the motor's shaft, friction left out.</summary>
/// <param name="GravityNm">Torque of the largest hanging mass, Nm, ≥ 0.</param>
/// <param name="MPerRad">Way of the mass for a radian of the motor, m.</param>
/// <param name="SpeedRpm">Maximum speed of the motor, rpm.</param>
/// <param name="RampS">Time of a ramp, s.</param>
/// <param name="TravelS">Time at full speed, s.</param>
public sealed record HangingLoad(double GravityNm, double MPerRad, double SpeedRpm, double RampS, double TravelS);
