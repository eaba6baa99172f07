using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Converters;

/// <summary>Where a converter with a diode front end puts energy that comes back from the motor.</summary>
public abstract record Braking
{
    private Braking()
    {
    }

    /// <summary>Nowhere: it must stay within what motor and converter lose, and the machine coasts otherwise.</summary>
    public sealed record Nothing : Braking;

    /// <summary>Chopper and resistor.</summary>
    /// <param name="ResistanceOhm">Resistance, ohm.</param>
    /// <param name="ContinuousKw">Power that the resistor burns for ever, kW.</param>
    public sealed record Resistor(Given ResistanceOhm, Given ContinuousKw) : Braking;
}
