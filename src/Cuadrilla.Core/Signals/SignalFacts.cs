using Cuadrilla.Core.Interference;

namespace Cuadrilla.Core.Signals;

/// <summary>What is always so of a signal's function.</summary>
/// <param name="Name">In a list.</param>
/// <param name="Way">Seen from the unit.</param>
/// <param name="Natures">Terminals that can take it, the best first; empty: none at the unit.</param>
/// <param name="Usual">Where its other end usually is.</param>
/// <param name="Quantity">What an analogue value is in.</param>
public sealed record SignalFacts(string Name, SignalWay Way, IReadOnlyList<TerminalNature> Natures, FarEnd Usual,
    SignalQuantity Quantity = SignalQuantity.None)
{
    private static readonly TerminalNature[] Inputs = [TerminalNature.DigitalInput];
    private static readonly TerminalNature[] Outputs = [TerminalNature.Relay, TerminalNature.DigitalOutput];

    private static readonly Dictionary<SignalFunction, SignalFacts> Known = new()
    {
        [SignalFunction.Run] = new("run", SignalWay.In, [TerminalNature.DigitalInput, TerminalNature.Coil], FarEnd.Controller),
        [SignalFunction.StartPulse] = new("start, pulse", SignalWay.In, Inputs, FarEnd.LocalStation),
        [SignalFunction.StopPulse] = new("stop, opens", SignalWay.In, Inputs, FarEnd.LocalStation),
        [SignalFunction.Reverse] = new("reverse", SignalWay.In, [TerminalNature.DigitalInput, TerminalNature.Coil], FarEnd.Controller),
        [SignalFunction.Jog] = new("jog", SignalWay.In, Inputs, FarEnd.LocalStation),
        [SignalFunction.PresetBit0] = new("preset speed, bit 0", SignalWay.In, Inputs, FarEnd.Controller),
        [SignalFunction.PresetBit1] = new("preset speed, bit 1", SignalWay.In, Inputs, FarEnd.Controller),
        [SignalFunction.PresetBit2] = new("preset speed, bit 2", SignalWay.In, Inputs, FarEnd.Controller),
        [SignalFunction.Reset] = new("fault reset", SignalWay.In, Inputs, FarEnd.Controller),
        [SignalFunction.LocalRemote] = new("local or remote", SignalWay.In, Inputs, FarEnd.LocalStation),
        [SignalFunction.Enable] = new("enable", SignalWay.In, [TerminalNature.Enable, TerminalNature.DigitalInput], FarEnd.Controller),
        [SignalFunction.TorqueOff] = new("safe torque off", SignalWay.In, [TerminalNature.TorqueOff], FarEnd.LocalStation),
        [SignalFunction.ExternalFault] = new("fault outside", SignalWay.In, Inputs, FarEnd.Machine),
        [SignalFunction.Thermistor] = new("thermistors", SignalWay.In, [TerminalNature.Thermistor], FarEnd.Machine),
        [SignalFunction.ResistorSwitch] = new("thermal switch of the resistor", SignalWay.In, Inputs, FarEnd.Cabinet),
        [SignalFunction.SpeedReference] = new("speed reference", SignalWay.In, [TerminalNature.AnalogueInput], FarEnd.Controller,
            SignalQuantity.FrequencyHz),
        [SignalFunction.ProcessValue] = new("measured value", SignalWay.In, [TerminalNature.AnalogueInput], FarEnd.Machine,
            SignalQuantity.Percent),
        [SignalFunction.SpeedValue] = new("speed", SignalWay.Out, [TerminalNature.AnalogueOutput], FarEnd.Controller,
            SignalQuantity.FrequencyHz),
        [SignalFunction.CurrentValue] = new("current", SignalWay.Out, [TerminalNature.AnalogueOutput], FarEnd.Controller,
            SignalQuantity.CurrentA),
        [SignalFunction.Running] = new("running", SignalWay.Out, Outputs, FarEnd.Controller),
        [SignalFunction.AtSpeed] = new("at speed", SignalWay.Out, Outputs, FarEnd.Controller),
        [SignalFunction.Ready] = new("ready", SignalWay.Out, Outputs, FarEnd.Controller),
        [SignalFunction.Fault] = new("fault", SignalWay.Out, Outputs, FarEnd.Controller),
        [SignalFunction.Bypassed] = new("bypassed", SignalWay.Out, Outputs, FarEnd.Controller),
        [SignalFunction.BrakeRelease] = new("brake release", SignalWay.Out, [TerminalNature.BrakeOutput, .. Outputs], FarEnd.Machine),
        [SignalFunction.BrakeCommandBack] = new("brake command read back", SignalWay.In, Inputs, FarEnd.Cabinet),
        [SignalFunction.BrakePosition] = new("brake open", SignalWay.In, Inputs, FarEnd.Machine),
        [SignalFunction.SupplyContactor] = new("supply contactor", SignalWay.Out, Outputs, FarEnd.Cabinet),
        [SignalFunction.Encoder] = new("encoder", SignalWay.In, [TerminalNature.Encoder], FarEnd.Machine),
        [SignalFunction.PulsesIn] = new("pulses of the leader", SignalWay.In, [TerminalNature.PulseInput], FarEnd.OtherUnit),
        [SignalFunction.PulsesOut] = new("pulses for the follower", SignalWay.Out, [TerminalNature.PulseOutput], FarEnd.OtherUnit),
        [SignalFunction.Bus] = new("fieldbus", SignalWay.Both, [TerminalNature.Bus], FarEnd.Controller),
    };

    /// <summary>An analogue value.</summary>
    public bool IsAnalogue => Quantity != SignalQuantity.None;

    /// <summary>Facts of a function.</summary>
    public static SignalFacts Of(SignalFunction function) => Known[function];

    /// <summary>What its cable carries; see <c>docs/methods/separation.md</c>.</summary>
    /// <param name="function">Function.</param>
    /// <param name="range">Of an analogue signal.</param>
    public static SignalKind KindOf(SignalFunction function, AnalogueRange? range) => function switch
    {
        SignalFunction.Thermistor => SignalKind.Thermistor,
        SignalFunction.Encoder or SignalFunction.PulsesIn or SignalFunction.PulsesOut => SignalKind.Encoder,
        SignalFunction.Bus => SignalKind.Fieldbus,
        SignalFunction.BrakeRelease => SignalKind.Brake,
        _ when !Of(function).IsAnalogue => SignalKind.Control24V,
        _ => range is { } r && SignalScaling.IsVoltage(r) ? SignalKind.Voltage : SignalKind.Current,
    };
}
