using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>Usual values of loads where none is entered; the project's, and said.</summary>
public sealed record LoadDefaults
{
    /// <summary>Friction factor of a belt while it drives the motor: low, so that nothing is counted on.</summary>
    [Default("conveyor-regeneration-friction")]
    public double RegenerationFriction { get; init; }

    /// <summary>Rolling friction of a car on a track.</summary>
    [Default("track-rolling-friction")]
    public double RollingFriction { get; init; }
}
