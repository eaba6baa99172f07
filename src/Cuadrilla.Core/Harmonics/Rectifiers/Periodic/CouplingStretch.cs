using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>A stretch with the same diodes: closed form of what small changes do in it.</summary>
internal sealed class CouplingStretch
{
    private readonly ModeSolution mode;
    private readonly int[] orders;
    private readonly double start;
    private readonly double width;
    private readonly ComplexRows forcedAtStart;
    private readonly double[][] freeAtStart;
    private readonly double[] transition;

    /// <param name="mode">Which diodes conduct, solved.</param>
    /// <param name="orders">Orders.</param>
    /// <param name="start">Where it begins, rad.</param>
    /// <param name="width">How long it lasts, rad.</param>
    /// <param name="forcedAtStart">What each order has driven until then.</param>
    /// <param name="freeAtStart">What each change of the section's start has become until then.</param>
    public CouplingStretch(ModeSolution mode, int[] orders, double start, double width, ComplexRows forcedAtStart, double[][] freeAtStart)
    {
        (this.mode, this.orders, this.start, this.width) = (mode, orders, start, width);
        (this.forcedAtStart, this.freeAtStart) = (forcedAtStart, freeAtStart);
        transition = MatrixExponential.Of(mode.A, mode.Size, width);
    }

    /// <summary>Carries forced and free parts to the end.</summary>
    public void Carry(ComplexRows forced, double[][] free)
    {
        foreach (var column in free)
        {
            DenseRows.Multiply(transition, (double[])column.Clone(), column);
        }

        Span<double> re = stackalloc double[mode.Size], im = stackalloc double[mode.Size];
        for (var m = 0; m < orders.Length; m++)
        {
            forced.Re(m).CopyTo(re);
            forced.Im(m).CopyTo(im);
            AddParticular(m, -Complex.FromPolarCoordinates(1, orders[m] * start), re, im);
            DenseRows.Multiply(transition, re, forced.Re(m));
            DenseRows.Multiply(transition, im, forced.Im(m));
            AddParticular(m, Complex.FromPolarCoordinates(1, orders[m] * (start + width)), forced.Re(m), forced.Im(m));
        }
    }

    /// <summary>Adds its part of the Fourier integrals, once the start of the forced part is known.</summary>
    /// <param name="starts">That start: a row for each free number, real and imaginary parts of the orders.</param>
    /// <param name="direct">Takes δi_n by δs_m.</param>
    /// <param name="conjugate">Takes δi_n by δs_m*.</param>
    /// <param name="span">Angle that the mean is taken over.</param>
    public void Collect(double[,] starts, Complex[,] direct, Complex[,] conjugate, double span)
    {
        var (n, count) = (mode.Size, orders.Length);
        var own = forcedAtStart.Copy();
        var through = new Complex[count];
        var opposite = new Complex[count];
        for (var m = 0; m < count; m++)
        {
            AddParticular(m, -Complex.FromPolarCoordinates(1, orders[m] * start), own.Re(m), own.Im(m));
            for (var f = 0; f < freeAtStart.Length; f++)
            {
                DenseRows.Add(own.Re(m), freeAtStart[f], starts[f, 2 * m]);
                DenseRows.Add(own.Im(m), freeAtStart[f], starts[f, (2 * m) + 1]);
            }

            for (var c = 0; c < n; c++)
            {
                through[m] += mode.Line[c] * mode.Particular[m, c];
                opposite[m] += mode.Line[c] * Complex.Conjugate(mode.Particular[m, c]);
            }
        }

        // Orders are odd, so their sums and differences are even.
        var integrals = new Complex[(2 * SpaceVector.HighestOrder) + 1];
        for (var i = 0; i < integrals.Length; i++)
        {
            integrals[i] = Integral((2 * i) - (2 * SpaceVector.HighestOrder));
        }

        Span<double> a = stackalloc double[n], b = stackalloc double[n];
        for (var k = 0; k < count; k++)
        {
            Row(k, a, b);
            for (var m = 0; m < count; m++)
            {
                double ax = DenseRows.Dot(a, own.Re(m)), by = DenseRows.Dot(b, own.Im(m)), ay = DenseRows.Dot(a, own.Im(m)),
                bx = DenseRows.Dot(b, own.Re(m));
                var plain = through[m] * integrals[((orders[m] - orders[k]) / 2) + SpaceVector.HighestOrder];
                var mirrored = opposite[m] * integrals[((-orders[m] - orders[k]) / 2) + SpaceVector.HighestOrder];
                direct[k, m] += (plain + new Complex(ax - by, ay + bx)) / span;
                conjugate[k, m] += (mirrored + new Complex(ax + by, bx - ay)) / span;
            }
        }
    }

    private void AddParticular(int m, Complex factor, Span<double> re, Span<double> im)
    {
        DenseRows.Add(re, mode.Particular.Re(m), factor.Real);
        DenseRows.Add(re, mode.Particular.Im(m), -factor.Imaginary);
        DenseRows.Add(im, mode.Particular.Im(m), factor.Real);
        DenseRows.Add(im, mode.Particular.Re(m), factor.Imaginary);
    }

    // ∫ line·e^{A(θ−start)}·e^{−jnθ} dθ = e^{−jn·start}·line·(A − jn)⁻¹·(e^{A·width}·e^{−jn·width} − 1).
    private void Row(int k, Span<double> re, Span<double> im)
    {
        re.Clear();
        im.Clear();
        var leftRe = mode.Lefts.Re(k);
        var leftIm = mode.Lefts.Im(k);
        var n = mode.Size;
        for (var r = 0; r < n; r++)
        {
            DenseRows.Add(re, transition.AsSpan(r * n, n), leftRe[r]);
            DenseRows.Add(im, transition.AsSpan(r * n, n), leftIm[r]);
        }

        var turn = Complex.FromPolarCoordinates(1, -orders[k] * start);
        var end = Complex.FromPolarCoordinates(1, -orders[k] * width);
        for (var c = 0; c < n; c++)
        {
            var whole = ((new Complex(re[c], im[c]) * end) - new Complex(leftRe[c], leftIm[c])) * turn;
            (re[c], im[c]) = (whole.Real, whole.Imaginary);
        }
    }

    // ∫ e^{jmθ} dθ.
    private Complex Integral(int m) => m == 0
        ? width
        : (Complex.FromPolarCoordinates(1, m * (start + width)) - Complex.FromPolarCoordinates(1, m * start)) / new Complex(0, m);
}
