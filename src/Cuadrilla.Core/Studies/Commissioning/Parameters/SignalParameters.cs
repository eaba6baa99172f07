using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>What terminals do, how analogue ones are scaled, preset speeds.</summary>
internal static class SignalParameters
{
    public static void Of(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Signals, BoardRow.Converter);
        if (source.Signals is not { } unit)
        {
            return;
        }

        foreach (var signal in unit.Signals.Where(s => s.Terminal is not null && s.Wanted.Function != SignalFunction.TorqueOff))
        {
            var id = $"terminal.{signal.Terminal!.Name}";
            list.Follows(id, $"terminal {signal.Terminal.Name}", signal.Facts.Name, "function on the terminal",
                signal.Channel.Length > 0 ? $"other end {signal.Channel}" : $"other end: {SignalWords.Of(signal.Wanted.Far)}",
                "docs/methods/signals.md");
            if (unit.Ends(signal) is { } ends)
            {
                var quantity = SignalWords.Unit(signal.Facts.Quantity);
                list.Computed($"{id}.zero", $"terminal {signal.Terminal.Name}, value at 0 %", ends.ZeroAt, quantity, "as listed",
                    SignalWords.Of(ends.Range), "docs/methods/signals.md", $"0 % = {Text.N(SignalScaling.BottomOf(ends.Range))} "
                        + (SignalScaling.IsVoltage(ends.Range) ? "V" : "mA"));
                list.Computed($"{id}.full", $"terminal {signal.Terminal.Name}, value at 100 %", ends.FullAt, quantity, "as listed",
                    SignalWords.Of(ends.Range), "docs/methods/signals.md", $"100 % = {Text.N(SignalScaling.TopOf(ends.Range))} "
                        + (SignalScaling.IsVoltage(ends.Range) ? "V" : "mA"));
            }
        }

        foreach (var (preset, number) in unit.Plan.Presets.Select((p, i) => (p, i + 1)))
        {
            list.Entered($"preset.{number}", $"preset speed {number}", preset.FrequencyHz, "Hz", $"preset speed {number}");
        }
    }
}
