using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// EMF of three phases as a space vector e(θ) = Σ s_m·e^{jmθ} over odd m, positive turning with the fundamental: phase k sees
/// Re(e·e^{−j·120°·k}). A positive-sequence phasor V_h (sines) is s_h = −jV_h, a negative-sequence one s_−h = jV_h*.
/// Kept as power series on equal cells of the angle, so that it costs nothing to ask for again.
/// </summary>
internal sealed class EmfSeries
{
    /// <summary>Degree of the series: on a cell the 49th order is exact to 1e-9 of itself, the 25th to rounding.</summary>
    public const int Degree = 20;

    /// <summary>Width of a cell, rad.</summary>
    public const double CellRad = Math.PI / 48;

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
        alpha = new double[Cells * (Degree + 1)];
        beta = new double[Cells * (Degree + 1)];
        foreach (var (m, part) in emf.Parts())
        {
            var turn = Complex.FromPolarCoordinates(1, m * CellRad);
            var at = part * Complex.FromPolarCoordinates(1, m * startRad);
            for (var cell = 0; cell < Cells; cell++, at *= turn)
            {
                var (re, im) = (at.Real, at.Imaginary);
                var to = cell * (Degree + 1);
                for (var k = 0; k <= Degree; k++)
                {
                    alpha[to + k] += re;
                    beta[to + k] += im;
                    var factor = (double)m / (k + 1);
                    (re, im) = (-im * factor, re * factor);
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
    /// <param name="re">Takes the coefficients of the real part.</param>
    /// <param name="im">Takes the coefficients of the imaginary part.</param>
    public void About(int cell, double offsetRad, Span<double> re, Span<double> im)
    {
        var from = cell * (Degree + 1);
        alpha.AsSpan(from, Degree + 1).CopyTo(re);
        beta.AsSpan(from, Degree + 1).CopyTo(im);
        if (offsetRad != 0)
        {
            Shift(re, offsetRad);
            Shift(im, offsetRad);
        }
    }

    // Horner's scheme again and again: the coefficients about another centre.
    private static void Shift(Span<double> series, double by)
    {
        for (var k = 0; k < series.Length - 1; k++)
        {
            for (var i = series.Length - 2; i >= k; i--)
            {
                series[i] += by * series[i + 1];
            }
        }
    }
}
