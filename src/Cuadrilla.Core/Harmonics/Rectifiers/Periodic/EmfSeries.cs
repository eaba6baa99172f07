using System.Numerics;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// EMF of three phases as a space vector e(θ) = Σ s_m·e^{jmθ} over odd m, positive turning with the fundamental: phase k sees
/// Re(e·e^{−j·120°·k}). A positive-sequence phasor V_h (sines) is s_h = −jV_h, a negative-sequence one s_−h = jV_h*.
/// Kept as power series on equal cells of the angle, so that it costs nothing to ask for again.
/// </summary>
internal sealed class EmfSeries
{
    /// <summary>Degree of the series: on a cell the highest order is exact to rounding.</summary>
    public const int Degree = 28;

    /// <summary>Room for the coefficients of a series, whole vectors.</summary>
    public const int Length = (Degree + Lanes) / Lanes * Lanes;

    /// <summary>Width of a cell, rad.</summary>
    public const double CellRad = Math.PI / 48;

    private const int Lanes = 4;

    // h^k/k! of the odd orders.
    private static readonly double[][] Powers = [.. Enumerable.Range(0, SpaceVector.Count / 2).Select(i => PowersOf((2 * i) + 1))];

    // Row j: binomial coefficients of j over k.
    private static readonly double[][] Binomials = [.. Enumerable.Range(0, Degree + 1).Select(BinomialsOf)];

    private readonly double startRad;
    private readonly double[] alpha;
    private readonly double[] beta;

    /// <param name="emf">Its parts.</param>
    /// <param name="startRad">Where the first cell begins.</param>
    /// <param name="spanRad">Angle that the cells cover, a multiple of a cell.</param>
    public EmfSeries(SpaceVector emf, double startRad, double spanRad)
    {
        this.startRad = startRad;
        Cells = (int)Math.Round(spanRad / CellRad);
        alpha = new double[Cells * Length];
        beta = new double[Cells * Length];
        foreach (var (m, part) in emf.Parts())
        {
            var turn = Complex.FromPolarCoordinates(1, m * CellRad);
            var at = part * Complex.FromPolarCoordinates(1, m * startRad);
            ref var powers = ref MemoryMarshal.GetArrayDataReference(Powers[Math.Abs(m) >> 1]);
            for (var cell = 0; cell < Cells; cell++, at *= turn)
            {
                // Each derivative turns by ±90°, so that every fourth looks the same way.
                var (re, im, side) = (at.Real, at.Imaginary, Math.Sign(m));
                var (ofRe, ofIm) = (Vector256.Create(re, -side * im, -re, side * im), Vector256.Create(im, side * re, -im, -side * re));
                ref var toRe = ref alpha[cell * Length];
                ref var toIm = ref beta[cell * Length];
                for (nuint k = 0; k < Length; k += Lanes)
                {
                    var power = Vector256.LoadUnsafe(ref powers, k);
                    Vector256.FusedMultiplyAdd(power, ofRe, Vector256.LoadUnsafe(ref toRe, k)).StoreUnsafe(ref toRe, k);
                    Vector256.FusedMultiplyAdd(power, ofIm, Vector256.LoadUnsafe(ref toIm, k)).StoreUnsafe(ref toIm, k);
                }
            }
        }
    }

    /// <summary>Number of cells.</summary>
    public int Cells { get; }

    /// <summary>Start of a cell, rad.</summary>
    public double StartOf(int cell) => startRad + (cell * CellRad);

    /// <summary>The series about a place inside a cell.</summary>
    /// <param name="cell">Cell.</param>
    /// <param name="offsetRad">Place from its start, rad.</param>
    /// <param name="re">Takes the coefficients of the real part; as long as <see cref="Length"/>.</param>
    /// <param name="im">Takes the coefficients of the imaginary part, likewise.</param>
    public void About(int cell, double offsetRad, Span<double> re, Span<double> im)
    {
        var fromRe = alpha.AsSpan(cell * Length, Length);
        var fromIm = beta.AsSpan(cell * Length, Length);
        if (offsetRad == 0)
        {
            fromRe.CopyTo(re);
            fromIm.CopyTo(im);
            return;
        }

        // Σ_j a_j·(offset + t)^j: t^k takes a_j·(j over k)·offset^(j−k). The powers of the offset stand the highest first.
        Span<double> falling = stackalloc double[2 * Length];
        var power = 1.0;
        for (var i = Degree; i >= 0; i--, power *= offsetRad)
        {
            falling[i] = power;
        }

        falling[(Degree + 1)..].Clear();
        re[..Length].Clear();
        im[..Length].Clear();
        ref var powers = ref MemoryMarshal.GetReference(falling);
        ref var toRe = ref MemoryMarshal.GetReference(re);
        ref var toIm = ref MemoryMarshal.GetReference(im);
        for (var j = 0; j <= Degree; j++)
        {
            var (partRe, partIm) = (Vector256.Create(fromRe[j]), Vector256.Create(fromIm[j]));
            ref var binomials = ref MemoryMarshal.GetArrayDataReference(Binomials[j]);
            for (nuint k = 0; k <= (nuint)j; k += Lanes)
            {
                var part = Vector256.LoadUnsafe(ref binomials, k) * Vector256.LoadUnsafe(ref powers, k + (nuint)(Degree - j));
                Vector256.FusedMultiplyAdd(part, partRe, Vector256.LoadUnsafe(ref toRe, k)).StoreUnsafe(ref toRe, k);
                Vector256.FusedMultiplyAdd(part, partIm, Vector256.LoadUnsafe(ref toIm, k)).StoreUnsafe(ref toIm, k);
            }
        }
    }

    private static double[] PowersOf(int order)
    {
        var powers = new double[Length];
        var power = 1.0;
        for (var k = 0; k <= Degree; power *= (double)order / ++k)
        {
            powers[k] = power;
        }

        return powers;
    }

    private static double[] BinomialsOf(int j)
    {
        var row = new double[Length];
        var binomial = 1.0;
        for (var k = 0; k <= j; binomial *= (double)(j - k) / (k + 1), k++)
        {
            row[k] = binomial;
        }

        return row;
    }
}
