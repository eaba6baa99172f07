using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Signals;

/// <summary>What a terminal of a unit is.</summary>
public enum TerminalNature
{
    /// <summary>Digital input, 24 V.</summary>
    DigitalInput,

    /// <summary>Transistor output with open collector, switches to 0 V.</summary>
    DigitalOutput,

    /// <summary>Contact of a relay.</summary>
    Relay,

    /// <summary>Analogue input, voltage or current.</summary>
    AnalogueInput,

    /// <summary>Analogue output, voltage or current.</summary>
    AnalogueOutput,

    /// <summary>Enable: without it the unit does not run.</summary>
    Enable,

    /// <summary>Safe torque off, both channels: without them the unit does not run.</summary>
    TorqueOff,

    /// <summary>Input for thermistors.</summary>
    Thermistor,

    /// <summary>Encoder.</summary>
    Encoder,

    /// <summary>Pulse input.</summary>
    PulseInput,

    /// <summary>Pulse output.</summary>
    PulseOutput,

    /// <summary>Fieldbus.</summary>
    Bus,

    /// <summary>Output for a brake's coil.</summary>
    BrakeOutput,

    /// <summary>Coil of a contactor.</summary>
    Coil,
}

/// <summary>A terminal or pair of terminals of a unit, by its role.</summary>
/// <param name="Name">Neutral name.</param>
/// <param name="Nature">What it is.</param>
/// <param name="RatedA">What it carries at direct current into a coil, or a coil takes while on, A; 0: not asked.</param>
/// <param name="RatedAcA">What a contact carries at 230 V alternating into a coil, A.</param>
/// <param name="Bits">Resolution of an analogue one.</param>
/// <param name="Only">The one function that it can have; null: any that fits.</param>
public sealed record UnitTerminal(
    string Name, TerminalNature Nature, double RatedA, double RatedAcA, int Bits, SignalFunction? Only = null)
{
    /// <summary>A function can be on it.</summary>
    public bool Takes(SignalFunction function) =>
        SignalFacts.Of(function).Natures.Contains(Nature) && (Only is null || Only == function);
}

/// <summary>Terminals that units of a kind usually have.</summary>
/// <param name="Units">By kind of unit: converter, servo, soft-starter, contactor.</param>
/// <param name="Extension">What an extension card adds.</param>
/// <param name="InputMa">Current of a digital input, mA.</param>
public sealed record TerminalSeries(IReadOnlyDictionary<string, IReadOnlyList<UnitTerminal>> Units, IReadOnlyList<UnitTerminal> Extension,
    double InputMa)
{
    /// <summary>What control takes.</summary>
    public required ControlDraws Draws { get; init; }

    /// <summary>Terminals of a chosen unit; null while none is chosen.</summary>
    /// <param name="choice">What is chosen.</param>
    /// <param name="kind">Kind of the converter.</param>
    /// <param name="extension">An extension card is fitted.</param>
    public IReadOnlyList<UnitTerminal>? Of(ConverterChoice choice, ConverterKind? kind, bool extension)
    {
        var key = choice switch
        {
            ConverterChoice.FromCatalogue => kind is null ? null : kind == ConverterKind.Servo ? "servo" : "converter",
            ConverterChoice.SoftStarter => "soft-starter",
            ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta => "contactor",
            _ => null,
        };
        return key is null ? null : extension && key != "contactor" ? [.. Units[key], .. Extension] : Units[key];
    }
}
