using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Brakes;

/// <summary>Brake at the motor's shaft.</summary>
public abstract record HoldingBrake
{
    private HoldingBrake()
    {
    }

    /// <summary>None.</summary>
    public sealed record None : HoldingBrake;

    /// <summary>Clamped by springs, released by current: loss of power clamps.</summary>
    /// <param name="HoldingNm">Holding torque, Nm.</param>
    /// <param name="ReleaseMs">From current on to free, ms.</param>
    /// <param name="CloseMs">From current off to full torque, switched on the DC side without suppression, ms.</param>
    /// <param name="PermittedJ">Work that it stands in one emergency clamping, J.</param>
    /// <param name="PermittedClampings">Emergency engagements with that work until the lining is worn.</param>
    /// <param name="Coil">Its coil and what switches it.</param>
    /// <param name="Control">Who commands it, and when.</param>
    public sealed record SpringApplied(
        Given HoldingNm, Given ReleaseMs, Given CloseMs, Given PermittedJ, Given PermittedClampings, BrakeCoil Coil, BrakeControl Control)
            : HoldingBrake;
}

/// <summary>Coil of a brake.</summary>
/// <param name="VoltageV">Rated voltage, V direct.</param>
/// <param name="PowerW">Power, W.</param>
/// <param name="TimeConstantMs">Inductance over resistance, ms.</param>
/// <param name="OutputA">Rating of the output or relay contact that switches it, for direct current, A.</param>
/// <param name="Suppression">What takes the coil's energy when it is switched off.</param>
public sealed record BrakeCoil(Given VoltageV, Given PowerW, Given TimeConstantMs, Given OutputA, CoilSuppression Suppression);

/// <summary>What takes the energy of a coil that is switched off.</summary>
public enum CoilSuppression
{
    /// <summary>Nothing: the contact burns.</summary>
    None,

    /// <summary>A diode across the coil, cathode to plus: slow.</summary>
    Diode,

    /// <summary>A diode with a zener diode: faster.</summary>
    Zener,

    /// <summary>A varistor across the coil.</summary>
    Varistor,
}

/// <summary>Commands of a brake.</summary>
/// <param name="By">Who gives them.</param>
/// <param name="ProvenPct">Motor torque that must be there before the release, % of rated.</param>
/// <param name="SpeedAfterReleaseMs">From the release command to the speed reference when no position feedback says it is open, ms.</param>
/// <param name="CloseBelowPct">Speed below which it closes, % of rated.</param>
/// <param name="CloseDelayS">Time after the stop command at which it closes anyway, s; not known: never by time.</param>
/// <param name="HoldMs">Torque held after the close command when no position feedback says it is closed, ms.</param>
/// <param name="CommandFeedback">True when the command is read back.</param>
/// <param name="PositionFeedback">True when a switch says open or closed.</param>
public sealed record BrakeControl(
    BrakeCommand By, Given ProvenPct, Given SpeedAfterReleaseMs, Given CloseBelowPct, Given CloseDelayS, Given HoldMs, bool CommandFeedback,
    bool PositionFeedback);

/// <summary>Who commands a brake.</summary>
public enum BrakeCommand
{
    /// <summary>The converter; usual for hoists.</summary>
    Converter,

    /// <summary>The machine's controller.</summary>
    MachineController,
}
