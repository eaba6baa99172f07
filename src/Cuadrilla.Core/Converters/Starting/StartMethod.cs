namespace Cuadrilla.Core.Converters.Starting;

/// <summary>How a soft starter raises the voltage.</summary>
public enum SoftStartMode
{
    /// <summary>Voltage from an initial value to full over the ramp, current held below the limit.</summary>
    VoltageRamp,

    /// <summary>Current from an initial value to the limit over the ramp.</summary>
    CurrentRamp,

    /// <summary>Current at the limit from the first moment.</summary>
    CurrentLimit,
}

/// <summary>Settings of a soft starter; currents in per cent of the motor's set current.</summary>
/// <param name="Mode">How the voltage is raised.</param>
/// <param name="InitialPct">Initial voltage (voltage ramp) or current (current ramp), %.</param>
/// <param name="RampS">Duration of the ramp, s.</param>
/// <param name="CurrentLimitPct">Current limit, % of the motor's set current.</param>
/// <param name="KickPct">Voltage of a kick that breaks the machine away, %; 0 for none.</param>
/// <param name="KickS">Duration of the kick, s.</param>
/// <param name="InsideDelta">Inside the delta: the starter carries the line current over √3; needs six leads.</param>
/// <param name="StopRampS">Voltage ramp at stop, against water hammer, s; 0: coasting.</param>
public sealed record SoftStarterSettings(
    SoftStartMode Mode, double InitialPct, double RampS, double CurrentLimitPct, double KickPct, double KickS, bool InsideDelta,
    double StopRampS)
{
    /// <summary>Moment from which nothing is raised any more, s.</summary>
    public double SettledAtS => (KickPct > 0 ? KickS : 0) + (Mode == SoftStartMode.CurrentLimit ? 0 : RampS);
}
