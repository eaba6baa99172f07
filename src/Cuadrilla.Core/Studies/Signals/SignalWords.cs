using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Words for what signals are, those of their entries where they have one.</summary>
public static class SignalWords
{
    /// <summary>What a terminal is.</summary>
    public static string Of(TerminalNature nature) => nature switch
    {
        TerminalNature.DigitalInput => "digital input",
        TerminalNature.DigitalOutput => "transistor output",
        TerminalNature.Relay => "relay contact",
        TerminalNature.AnalogueInput => "analogue input",
        TerminalNature.AnalogueOutput => "analogue output",
        TerminalNature.Enable => "enable",
        TerminalNature.TorqueOff => "safe torque off",
        TerminalNature.Thermistor => "thermistor input",
        TerminalNature.Encoder => "encoder",
        TerminalNature.PulseInput => "pulse input",
        TerminalNature.PulseOutput => "pulse output",
        TerminalNature.Bus => "fieldbus",
        TerminalNature.BrakeOutput => "brake output",
        _ => "coil",
    };

    /// <summary>Range of an analogue signal.</summary>
    public static string Of(AnalogueRange range) => Word<ControllerCard>(nameof(ControllerCard.Range), range);

    /// <summary>Channels of a card.</summary>
    public static string Of(CardKind kind) => Word<ControllerCard>(nameof(ControllerCard.Kind), kind);

    /// <summary>Conductor at which something is active.</summary>
    public static string Of(DigitalSense sense) => sense == DigitalSense.ToPlus ? "+24 V" : "0 V";

    /// <summary>Where the other end is.</summary>
    public static string Of(FarEnd far) => Word<WantedSignal>(nameof(WantedSignal.Far), far);

    /// <summary>What the thermal switch of a resistor does.</summary>
    public static string Of(ResistorTrip trip) => Word<SignalPlan>(nameof(SignalPlan.ResistorTrip), trip);

    /// <summary>What a stop depends on.</summary>
    public static string Of(StopMeans means) => Word<SignalPlan>(nameof(SignalPlan.StopBy), means);

    /// <summary>Stop category.</summary>
    public static string Of(StopCategory category) => category == StopCategory.NotStated
        ? "no category stated"
        : $"category {Word<SignalPlan>(nameof(SignalPlan.StopCategory), category)}";

    /// <summary>Unit of a signal's value.</summary>
    public static string Unit(SignalQuantity quantity) => quantity switch
    {
        SignalQuantity.FrequencyHz => "Hz",
        SignalQuantity.CurrentA => "A",
        SignalQuantity.Percent => "%",
        _ => string.Empty,
    };

    private static string Word<T>(string key, Enum value) =>
        FieldTable.Of(typeof(T)).OfType<ChoiceField>().First(f => f.Key == key).Options.First(o => o.Value == value.ToString()).Words;
}
