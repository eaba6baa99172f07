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
    double CapacitanceF, double RestV, double HoldV, double TripV, double ChopperV, double? ResistorOhm, bool ReturnsToLine)
{
    /// <summary>The same as limits of a motion.</summary>
    public LinkLimits Limits => new(CapacitanceF, RestV, ChopperV, ResistorOhm, TripV, ReturnsToLine ? double.PositiveInfinity : 0,
        0, false);
}
