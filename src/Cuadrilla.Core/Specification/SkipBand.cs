namespace Cuadrilla.Core.Specification;

/// <summary>Speeds at which the machine resonates: passed through, never held. At the motor's shaft.</summary>
/// <param name="FromRpm">Lower edge, rpm.</param>
/// <param name="ToRpm">Upper edge, rpm.</param>
public sealed record SkipBand(double FromRpm, double ToRpm)
{
    /// <summary>True when a speed lies inside; the edges may be held.</summary>
    public bool Holds(double speedRpm) => speedRpm > FromRpm && speedRpm < ToRpm;
}
