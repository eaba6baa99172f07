namespace Cuadrilla.Core.Supplies;

/// <summary>Speed read from a sensor that gives pulses: n = 60·f/z.</summary>
public static class PulseSensor
{
    /// <summary>Speed, rpm.</summary>
    /// <param name="hertz">Pulses a second, Hz, ≥ 0.</param>
    /// <param name="pulsesPerTurn">Pulses each turn gives, &gt; 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">No pulses, or a negative frequency.</exception>
    public static double Rpm(double hertz, double pulsesPerTurn)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(hertz);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(pulsesPerTurn);
        return 60 * hertz / pulsesPerTurn;
    }

    /// <summary>Pulses a second at a speed, Hz.</summary>
    /// <param name="rpm">Speed, rpm, ≥ 0.</param>
    /// <param name="pulsesPerTurn">Pulses each turn gives, &gt; 0.</param>
    /// <exception cref="ArgumentOutOfRangeException">No pulses, or a negative speed.</exception>
    public static double Hertz(double rpm, double pulsesPerTurn)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(rpm);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(pulsesPerTurn);
        return rpm * pulsesPerTurn / 60;
    }
}
