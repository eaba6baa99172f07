using System.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>
/// Positive and negative sequence of one order of three phase currents. A vector group turns the positive sequence one way
/// and the negative the other; a zero sequence does not pass a three-wire front end.
/// </summary>
/// <param name="Positive">Phasor of phase A.</param>
/// <param name="Negative">Phasor of phase A.</param>
internal readonly record struct Sequences(Complex Positive, Complex Negative)
{
    private static readonly Complex A = Complex.FromPolarCoordinates(1, 2 * Math.PI / 3);

    /// <summary>Sum.</summary>
    public static Sequences operator +(Sequences a, Sequences b) => new(a.Positive + b.Positive, a.Negative + b.Negative);

    /// <summary>Scaled.</summary>
    public static Sequences operator *(Sequences a, double factor) => new(a.Positive * factor, a.Negative * factor);

    /// <summary>Of three phases of one order.</summary>
    public static Sequences Of(Complex a, Complex b, Complex c) => new((a + (A * b) + (A * A * c)) / 3, (a + (A * A * b) + (A * c)) / 3);

    /// <summary>Of phase A of a balanced order: 1, 7, 13 … turn forwards, 5, 11, 17 … backwards, triplens not at all.</summary>
    public static Sequences OfBalanced(Complex a, int order) => (order % 3) switch
    {
        1 => new(a, Complex.Zero),
        2 => new(Complex.Zero, a),
        _ => default,
    };

    /// <summary>
    /// Turned from a bus into the frame of the source: the wave is later by the bus's angle at the fundamental, the order
    /// turns as often as it says, and the vector groups are taken back by sequence.
    /// </summary>
    /// <param name="order">Order.</param>
    /// <param name="waveRad">Angle of the bus's voltage in its own time, vector groups included.</param>
    /// <param name="shiftRad">Angle of the vector groups alone.</param>
    public Sequences ToSource(int order, double waveRad, double shiftRad) => new(
        Positive * Complex.FromPolarCoordinates(1, (order * waveRad) - shiftRad),
        Negative * Complex.FromPolarCoordinates(1, (order * waveRad) + shiftRad));

    /// <summary>Turned from the frame of the source to a bus.</summary>
    public Sequences ToBus(double shiftRad) => new(
        Positive * Complex.FromPolarCoordinates(1, shiftRad), Negative * Complex.FromPolarCoordinates(1, -shiftRad));

    /// <summary>Phase 0, 1 or 2.</summary>
    public Complex Phase(int phase) => phase switch
    {
        0 => Positive + Negative,
        1 => (A * A * Positive) + (A * Negative),
        _ => (A * Positive) + (A * A * Negative),
    };
}
