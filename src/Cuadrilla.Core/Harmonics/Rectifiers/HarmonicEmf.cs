using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Harmonic EMFs behind a front end, in parts of the fundamental EMF: e_h = |V_h|·sin(h·(ωt − k·120°) + arg V_h) for the phases
/// k = 0, 1, 2, ωt = 0 at the rising zero of the fundamental of phase A; the 5th and 11th turn backwards, the 7th and 13th forwards.
/// </summary>
/// <param name="V5">Fifth order.</param>
/// <param name="V7">Seventh order.</param>
/// <param name="V11">Eleventh order.</param>
/// <param name="V13">Thirteenth order.</param>
public readonly record struct HarmonicEmf(Complex V5, Complex V7, Complex V11 = default, Complex V13 = default)
{
    /// <summary>The orders that it holds.</summary>
    public static IReadOnlyList<int> Orders => All;

    /// <summary>The same as an array.</summary>
    internal static readonly int[] All = [5, 7, 11, 13];

    /// <summary>True when there is none.</summary>
    public bool IsZero => this == default;

    /// <summary>Sum of the squares of the sizes.</summary>
    public double SquareSum => Square(V5) + Square(V7) + Square(V11) + Square(V13);

    /// <summary>EMF of an order; zero for the orders that it does not hold.</summary>
    public Complex this[int order] => order switch { 5 => V5, 7 => V7, 11 => V11, 13 => V13, _ => Complex.Zero };

    /// <summary>Largest size of a single order.</summary>
    public double Largest => Math.Max(Math.Max(V5.Magnitude, V7.Magnitude), Math.Max(V11.Magnitude, V13.Magnitude));

    /// <summary>The sense in which an order turns: −1 backwards (5, 11), +1 forwards (7, 13).</summary>
    public static int TurnOf(int order) => order % 6 == 5 ? -1 : 1;

    /// <summary>Built order by order.</summary>
    public static HarmonicEmf Of(Func<int, Complex> emf)
    {
        ArgumentNullException.ThrowIfNull(emf);
        return new(emf(5), emf(7), emf(11), emf(13));
    }

    private static double Square(Complex v) => (v.Real * v.Real) + (v.Imaginary * v.Imaginary);
}
