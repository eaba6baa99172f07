namespace Cuadrilla.Core.Supplies;

/// <summary>A machine where only one phase is available.</summary>
/// <param name="RatedKw">Rated output of its motor, kW.</param>
/// <param name="EfficiencyPu">Efficiency of the motor.</param>
/// <param name="PowerFactor">Power factor of the motor.</param>
/// <param name="LoadPct">Load, % of the rated output.</param>
/// <param name="HoursPerYear">Hours that it runs in a year.</param>
/// <param name="HeavyStart">True where it starts against full torque, as compressors do.</param>
/// <param name="SpeedControl">True where its speed is to be set.</param>
/// <param name="MotorVoltageV">Lowest voltage between phases that the motor can be linked for, V.</param>
public sealed record SingleMachine(double RatedKw, double EfficiencyPu, double PowerFactor, double LoadPct, double HoursPerYear,
    bool HeavyStart, bool SpeedControl, double MotorVoltageV)
{
    /// <summary>Rated apparent power at the line, kVA.</summary>
    public double RatedKva => RatedKw / (EfficiencyPu * PowerFactor);

    /// <summary>Input of its motor over a year, kWh.</summary>
    public double WorkKwh => RatedKw * LoadPct / 100 / EfficiencyPu * HoursPerYear;
}
