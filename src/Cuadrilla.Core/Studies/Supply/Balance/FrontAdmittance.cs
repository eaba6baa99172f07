using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>
/// A front end made linear, as the network sees it: δi = A·(r + G·δv) for a change of the voltage at its place and a residual of its EMF,
/// with A = (1 − J·Z_s)⁻¹·J. Real and imaginary parts of the orders stand one after the other.
/// </summary>
internal sealed class FrontAdmittance
{
    private readonly double[] admittance;
    private readonly Complex[] held;
    private readonly Complex[] gains;
    private readonly int width;

    private FrontAdmittance(Complex[] held, Complex[] gains, double[] admittance) =>
        (this.held, this.gains, this.admittance, width) = (held, gains, admittance, 2 * held.Length);

    /// <summary>Null where at some change of the voltage the current would move without bound.</summary>
    /// <param name="front">The front end.</param>
    /// <param name="slope">J, row by row: how its current moves with its EMF.</param>
    /// <param name="orders">Orders of rows and columns.</param>
    public static FrontAdmittance? OrNull(BalanceFront front, double[] slope, IReadOnlyList<int> orders)
    {
        var width = 2 * orders.Count;
        Complex[] held = [.. orders.Select(front.Held.SeenAt)];
        var matrix = Columns(slope, held, -1);
        for (var i = 0; i < width; i++)
        {
            matrix[(i * width) + i] += 1;
        }

        if (DenseLu<double>.OrNull(matrix, width) is not { } factors)
        {
            return null;
        }

        var admittance = (double[])slope.Clone();
        factors.SolveInPlace(admittance, width);
        return new FrontAdmittance(held, [.. orders.Select(front.Held.GainAt)], admittance);
    }

    /// <summary>Change of the current for a change of the EMF ahead of what its circuit holds.</summary>
    public void Current(ReadOnlySpan<double> emf, Span<double> current) => DenseRows.Multiply(admittance, emf, current);

    /// <summary>Change of its own EMF for the same, and for the change of the current that <see cref="Current"/> tells of it.</summary>
    public double[] Emf(ReadOnlySpan<double> emf, ReadOnlySpan<double> current)
    {
        var moved = new double[width];
        for (var k = 0; k < held.Length; k++)
        {
            var own = held[k] * new Complex(current[2 * k], current[(2 * k) + 1]);
            (moved[2 * k], moved[(2 * k) + 1]) = (emf[2 * k] + own.Real, emf[(2 * k) + 1] + own.Imaginary);
        }

        return moved;
    }

    /// <summary>A·G: change of the current for a change of the voltage at its place.</summary>
    public double[] Raised() => Columns(admittance, gains, 1);

    // Each pair of columns times a complex number.
    private static double[] Columns(double[] of, Complex[] factors, double sign)
    {
        var width = 2 * factors.Length;
        var product = new double[of.Length];
        for (var r = 0; r < width; r++)
        {
            for (var k = 0; k < factors.Length; k++)
            {
                var at = (r * width) + (2 * k);
                var (re, im) = (sign * factors[k].Real, sign * factors[k].Imaginary);
                product[at] = (of[at] * re) + (of[at + 1] * im);
                product[at + 1] = (of[at + 1] * re) - (of[at] * im);
            }
        }

        return product;
    }
}
