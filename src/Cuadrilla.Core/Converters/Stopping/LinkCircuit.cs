namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>A converter's DC link while energy comes back. ½·C·(U² − U₀²) is what the capacitor takes.</summary>
/// <param name="CapacitanceF">Capacitance, F, &gt; 0.</param>
/// <param name="RestV">Voltage with the line on and little load, V: √2 times the line voltage.</param>
/// <param name="HoldV">Voltage that the controller keeps by braking less, V.</param>
/// <param name="TripV">Voltage at which the converter trips, V.</param>
/// <param name="ChopperV">Voltage at which the chopper works, V.</param>
/// <param name="ResistorOhm">Resistor at the chopper, ohm; null without.</param>
/// <param name="ReturnsToLine">True when the front end takes all that comes back.</param>
public sealed record LinkCircuit(
    double CapacitanceF, double RestV, double HoldV, double TripV, double ChopperV, double? ResistorOhm, bool ReturnsToLine);

/// <summary>Link voltage after a time with a power.</summary>
/// <param name="VoltageV">Voltage at the end, V.</param>
/// <param name="BurntJ">Energy burnt in the resistor, J.</param>
/// <param name="ToLineJ">Energy returned, J.</param>
public readonly record struct LinkStep(double VoltageV, double BurntJ, double ToLineJ)
{
    /// <summary>
    /// A step: while power returns the capacitor is charged up to the chopper's voltage, then the resistor burns what it can and
    /// the rest charges on; a front end that returns power keeps the voltage. While power is drawn the line holds the rest voltage.
    /// </summary>
    /// <param name="link">The link.</param>
    /// <param name="voltageV">Voltage before, V.</param>
    /// <param name="returnedW">Power into the link, W; negative when drawn.</param>
    /// <param name="timeS">Time, s.</param>
    public static LinkStep Of(LinkCircuit link, double voltageV, double returnedW, double timeS)
    {
        ArgumentNullException.ThrowIfNull(link);
        var energy = returnedW * timeS;
        if (link.ReturnsToLine)
        {
            return new LinkStep(link.RestV, 0, Math.Max(0, energy));
        }

        var stored = 0.5 * link.CapacitanceF * voltageV * voltageV;
        if (energy <= 0)
        {
            return new LinkStep(Math.Sqrt(Math.Max(stored + energy, 0.5 * link.CapacitanceF * link.RestV * link.RestV) / (0.5 * link.CapacitanceF)), 0, 0);
        }

        var burnt = 0.0;
        var after = stored + energy;
        if (link.ResistorOhm is { } ohm)
        {
            var level = 0.5 * link.CapacitanceF * link.ChopperV * link.ChopperV;
            burnt = Math.Clamp(after - level, 0, link.ChopperV * link.ChopperV / ohm * timeS);
            after -= burnt;
        }

        return new LinkStep(Math.Sqrt(2 * after / link.CapacitanceF), burnt, 0);
    }
}
