namespace Cuadrilla.Core.Motors.Electrics;

/// <summary>Electrical state of a motor at a speed and torque.</summary>
/// <param name="FrequencyPu">Stator frequency, parts of the rated, ≥ 0.</param>
/// <param name="FluxPu">Flux, parts of the rated.</param>
/// <param name="CurrentA">Line current, A.</param>
/// <param name="TorqueCurrentA">Its torque-producing part, A, with the sign of the torque.</param>
/// <param name="VoltageV">Voltage at the terminals, line to line, V.</param>
/// <param name="RotorPu">Rotor current, parts of the rated.</param>
/// <param name="StrayPu">Current that the stray loss goes with, parts of the rated.</param>
/// <param name="WithinVoltage">False where no state keeps the voltage within its limit: the torque is beyond what this speed
/// allows.</param>
internal readonly record struct ElectricalState(
    double FrequencyPu, double FluxPu, double CurrentA, double TorqueCurrentA, double VoltageV, double RotorPu, double StrayPu,
    bool WithinVoltage);

/// <summary>How one kind of motor answers with current, flux and voltage. Voltage is a limit: where it is reached the flux gives
/// way.</summary>
internal interface IMotorElectrics
{
    /// <summary>Magnetising current at full flux, A; d-current of a magnet motor's rated point, without sign.</summary>
    double MagnetisingA { get; }

    /// <summary>State behind a converter.</summary>
    /// <param name="speedPu">Speed, parts of the rated.</param>
    /// <param name="torquePu">Shaft torque, parts of the rated; negative when braking.</param>
    /// <param name="limitPu">Highest voltage at the terminals, parts of the plate's.</param>
    ElectricalState At(double speedPu, double torquePu, double limitPu);

    /// <summary>Largest torque at a speed for a moment, parts of the rated.</summary>
    /// <param name="speedPu">Speed, parts of the rated.</param>
    /// <param name="limitPu">Highest voltage at the terminals, parts of the plate's.</param>
    double LargestTorquePu(double speedPu, double limitPu);
}
