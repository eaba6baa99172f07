namespace Cuadrilla.Core.Commissioning;

/// <summary>Windows of steps on site that no engine has of itself; defaults of practice.</summary>
/// <param name="EarthOhm">Largest resistance of a protective connection, Ω.</param>
/// <param name="LongCableM">Motor cable that counts as long when its insulation is measured with it, m.</param>
/// <param name="CableLengthPct">Length of a cable as laid, ±%.</param>
/// <param name="SpreadPct">Spread of the three resistances that holds, %.</param>
/// <param name="SpreadTightPct">That is tight, %.</param>
/// <param name="LeakagePct">Leakage against the expected, ±%.</param>
/// <param name="BackEmfPct">Voltage of magnets, ±%.</param>
/// <param name="MagnetPctPerK">Change of it with temperature, %/K.</param>
/// <param name="OffsetDeg">Offset of two runs, ± electrical degrees.</param>
/// <param name="LoopLeastS">Least sum of small time constants of a speed loop, s.</param>
/// <param name="LoopMostS">Largest, s.</param>
/// <param name="VibrationMmPerS">Zone limits by rating.</param>
/// <param name="NoiseStepDb">Level under power over that of the same speed coasting which is electrical, dB.</param>
/// <param name="LoadedCurrentPct">Current of a loaded run, ±%.</param>
/// <param name="LoadedPowerPct">Power, ±%.</param>
/// <param name="SlipPct">Slip frequency, ±%.</param>
/// <param name="PowerFactor">Power factor, ±.</param>
/// <param name="BearingC">Temperature of a bearing, °C.</param>
/// <param name="BearingRiseK">Its rise, K.</param>
/// <param name="StopPct">Time of a stop, ±%.</param>
/// <param name="StartTimePct">Time of a start on the line, ±%.</param>
/// <param name="BrakePct">Times of a brake, ±%.</param>
/// <param name="BrakeTestPct">Static test of a hoist's brake, % of the rated load.</param>
/// <param name="RatioPct">Ratio against a counter, ±%.</param>
/// <param name="OrderPct">Orders of the line current, ±%.</param>
/// <param name="OrderOfFundamentalPct">Or within this of the fundamental, %.</param>
/// <param name="ResidualTripMs">Longest trip of a residual-current device, ms.</param>
/// <param name="ControlLeastV">Least voltage of a 24 V circuit at its far end, V.</param>
/// <param name="ControlMostV">Largest, V.</param>
/// <param name="AtSpeedPct">So far below its speed a machine is still taken to be at it, %.</param>
/// <param name="LeastRiseK">Rise from which a frame is warm by its losses, K.</param>
/// <param name="SaliencyPct">Ratio of the inductances of a motor with magnets, ±%.</param>
public sealed record SiteRules(double EarthOhm, double LongCableM, double CableLengthPct, double SpreadPct, double SpreadTightPct,
    double LeakagePct,
    double BackEmfPct, double MagnetPctPerK, double OffsetDeg, double LoopLeastS, double LoopMostS,
    IReadOnlyList<VibrationZones> VibrationMmPerS, double NoiseStepDb, double LoadedCurrentPct, double LoadedPowerPct, double SlipPct,
    double PowerFactor, double BearingC, double BearingRiseK, double StopPct, double StartTimePct, double BrakePct, double BrakeTestPct,
    double RatioPct, double OrderPct, double OrderOfFundamentalPct, double ResidualTripMs, double ControlLeastV, double ControlMostV,
    double AtSpeedPct, double LeastRiseK, double SaliencyPct);

/// <summary>Zone limits of vibration velocity for machines up to a rating, mm/s rms.</summary>
/// <param name="ToKw">Ratings up to this, kW.</param>
/// <param name="GoodMmPerS">A/B.</param>
/// <param name="LongMmPerS">B/C.</param>
/// <param name="ShortMmPerS">C/D.</param>
public sealed record VibrationZones(double ToKw, double GoodMmPerS, double LongMmPerS, double ShortMmPerS);
