using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>
/// Between a machine's shaft and the motor's: speed times the ratio; torque over ratio and efficiency while the motor
/// drives, times efficiency over ratio while it is driven.
/// </summary>
/// <param name="Ratio">Motor speed over machine speed.</param>
/// <param name="Efficiency">Efficiency of the gear.</param>
internal readonly record struct Gearing(double Ratio, double Efficiency)
{
    public static Gearing Of(DriveTrain train) => new(train.GearRatio.Value, train.GearEfficiency.Value);

    public double SpeedRpm(double machineRpm) => machineRpm * Ratio;

    /// <summary>Torque at the motor for a torque at the machine, positive forwards, when it turns in a direction.</summary>
    public double TorqueNm(double machineNm, double direction) =>
        machineNm * direction >= 0 ? machineNm / (Ratio * Efficiency) : machineNm * Efficiency / Ratio;

    public double InertiaKgM2(double machineKgM2) => machineKgM2 / (Ratio * Ratio);
}

/// <summary>Collects the names of missing entries.</summary>
internal sealed class MissingNames
{
    public List<string> Names { get; } = [];

    public MissingNames Need(Given value, string name)
    {
        if (!value.IsKnown)
        {
            Names.Add(name);
        }

        return this;
    }
}
