namespace Cuadrilla.Core.Signals;

/// <summary>What a signal of a drive is for.</summary>
public enum SignalFunction
{
    /// <summary>Runs while it is on (two-wire).</summary>
    Run,

    /// <summary>Starts by a pulse (three-wire).</summary>
    StartPulse,

    /// <summary>Stops when it opens (three-wire).</summary>
    StopPulse,

    /// <summary>The other direction.</summary>
    Reverse,

    /// <summary>Runs slowly while it is on.</summary>
    Jog,

    /// <summary>First bit of a preset speed.</summary>
    PresetBit0,

    /// <summary>Second bit of a preset speed.</summary>
    PresetBit1,

    /// <summary>Third bit of a preset speed.</summary>
    PresetBit2,

    /// <summary>Acknowledges a fault.</summary>
    Reset,

    /// <summary>Selects local or remote control.</summary>
    LocalRemote,

    /// <summary>Permits running.</summary>
    Enable,

    /// <summary>Safe torque off, both channels.</summary>
    TorqueOff,

    /// <summary>A fault outside trips the unit.</summary>
    ExternalFault,

    /// <summary>Thermistors of the motor.</summary>
    Thermistor,

    /// <summary>Thermal switch of the brake resistor.</summary>
    ResistorSwitch,

    /// <summary>Reference of speed.</summary>
    SpeedReference,

    /// <summary>Measured value of the process.</summary>
    ProcessValue,

    /// <summary>Speed told to others.</summary>
    SpeedValue,

    /// <summary>Current told to others.</summary>
    CurrentValue,

    /// <summary>Runs.</summary>
    Running,

    /// <summary>Has reached its speed.</summary>
    AtSpeed,

    /// <summary>Ready to run.</summary>
    Ready,

    /// <summary>Fault.</summary>
    Fault,

    /// <summary>Bypassed.</summary>
    Bypassed,

    /// <summary>Releases the brake.</summary>
    BrakeRelease,

    /// <summary>The brake's command read back.</summary>
    BrakeCommandBack,

    /// <summary>The brake's position.</summary>
    BrakePosition,

    /// <summary>Coil of the supply's contactor.</summary>
    SupplyContactor,

    /// <summary>Encoder of the motor.</summary>
    Encoder,

    /// <summary>Pulses of a leader.</summary>
    PulsesIn,

    /// <summary>Pulses for a follower.</summary>
    PulsesOut,

    /// <summary>Fieldbus.</summary>
    Bus,
}

/// <summary>Which way a signal goes, seen from the unit.</summary>
public enum SignalWay
{
    /// <summary>Into the unit.</summary>
    In,

    /// <summary>Out of it.</summary>
    Out,

    /// <summary>Both.</summary>
    Both,
}

/// <summary>What becomes active when it is joined to which conductor.</summary>
public enum DigitalSense
{
    /// <summary>Active at +24 V: the output sources, the input sinks.</summary>
    ToPlus,

    /// <summary>Active at 0 V: the output sinks, the input sources.</summary>
    ToZero,
}

/// <summary>Where the other end of a signal is.</summary>
public enum FarEnd
{
    /// <summary>A channel of the controller.</summary>
    Controller,

    /// <summary>Buttons and lamps at the machine.</summary>
    LocalStation,

    /// <summary>A coil or relay in the same cabinet.</summary>
    Cabinet,

    /// <summary>Motor, brake, resistor or transmitter of the machine.</summary>
    Machine,

    /// <summary>Another drive.</summary>
    OtherUnit,
}

/// <summary>What a signal's value is in.</summary>
public enum SignalQuantity
{
    /// <summary>On or off.</summary>
    None,

    /// <summary>Frequency, Hz.</summary>
    FrequencyHz,

    /// <summary>Current, A.</summary>
    CurrentA,

    /// <summary>Part of the transmitter's range, %.</summary>
    Percent,
}
