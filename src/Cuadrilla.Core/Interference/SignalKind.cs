namespace Cuadrilla.Core.Interference;

/// <summary>Cables by how much they disturb or are disturbed.</summary>
public enum CableClass
{
    /// <summary>Encoder, analogue, thermocouple.</summary>
    VerySensitive,

    /// <summary>24 V control, fieldbus.</summary>
    Sensitive,

    /// <summary>Supply.</summary>
    Supply,

    /// <summary>Motor, brake, chopper resistor.</summary>
    Noisy,
}

/// <summary>What a cable entered by hand carries.</summary>
public enum SignalKind
{
    /// <summary>Pulses or lines of an encoder.</summary>
    Encoder,

    /// <summary>Analogue voltage, 0 to 10 V.</summary>
    Voltage,

    /// <summary>Analogue current, 4 to 20 mA.</summary>
    Current,

    /// <summary>Thermocouple or resistance thermometer.</summary>
    Temperature,

    /// <summary>Fieldbus, industrial Ethernet.</summary>
    Fieldbus,

    /// <summary>Control at 24 V.</summary>
    Control24V,

    /// <summary>Thermistors of a motor, in a cable of their own.</summary>
    Thermistor,

    /// <summary>Coil of a holding brake.</summary>
    Brake,

    /// <summary>Brake resistor.</summary>
    BrakeResistor,

    /// <summary>Supply at the line's frequency.</summary>
    Supply,
}

/// <summary>Class and input of what a cable carries.</summary>
public static class SignalKinds
{
    /// <summary>Class of a kind.</summary>
    public static CableClass ClassOf(SignalKind kind) => kind switch
    {
        SignalKind.Encoder or SignalKind.Voltage or SignalKind.Current or SignalKind.Temperature => CableClass.VerySensitive,
        SignalKind.Fieldbus or SignalKind.Control24V or SignalKind.Thermistor => CableClass.Sensitive,
        SignalKind.Supply => CableClass.Supply,
        _ => CableClass.Noisy,
    };

    /// <summary>
    /// What reads it: a usual input, where its own is not known. A converter of 12 bit behind 0.1 ms for analogue voltages, the same over
    /// 250 Ω for currents, 40 mV and 16 bit for thermometers; digital ones notice at half their least swing: 5 V lines of an encoder, 0.2
    /// V of a bus, 24 V inputs at 5 V. Null where nothing reads it.
    /// </summary>
    public static CoupledVoltage.Input? InputOf(SignalKind kind) => kind switch
    {
        SignalKind.Encoder => new CoupledVoltage.Input(4, 1, 0.1),
        SignalKind.Voltage => new CoupledVoltage.Input(10, 12, 100),
        SignalKind.Current => new CoupledVoltage.Input(4, 12, 100),
        SignalKind.Temperature => new CoupledVoltage.Input(0.04, 12, 10_000),
        SignalKind.Fieldbus => new CoupledVoltage.Input(0.4, 1, 0.02),
        SignalKind.Control24V => new CoupledVoltage.Input(10, 1, 1000),
        SignalKind.Thermistor => new CoupledVoltage.Input(5, 1, 10_000),
        _ => null,
    };
}
