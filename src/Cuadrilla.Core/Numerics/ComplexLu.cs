using System.Numerics;

namespace Cuadrilla.Core.Numerics;

/// <summary>LU factors of a dense complex matrix with partial pivoting (Doolittle); real and imaginary parts in rows of their own.</summary>
internal sealed class ComplexLu
{
    private const double Nothing = 1e-300;
    private readonly int n;
    private readonly double[] re;
    private readonly double[] im;
    private readonly int[] rows;

    /// <summary>Factors a square matrix.</summary>
    /// <exception cref="SingularMatrixException">The matrix is singular.</exception>
    public ComplexLu(Complex[,] matrix)
    {
        n = matrix.GetLength(0);
        (re, im, rows) = (new double[n * n], new double[n * n], [.. Enumerable.Range(0, n)]);
        for (var r = 0; r < n; r++)
        {
            for (var c = 0; c < n; c++)
            {
                (re[(r * n) + c], im[(r * n) + c]) = (matrix[r, c].Real, matrix[r, c].Imaginary);
            }
        }

        for (var k = 0; k < n; k++)
        {
            Pivot(k);
            var (pivot, left) = (At(k, k), n - k - 1);
            for (var i = k + 1; i < n; i++)
            {
                if (At(i, k) == Complex.Zero)
                {
                    continue;
                }

                var factor = At(i, k) / pivot;
                (re[(i * n) + k], im[(i * n) + k]) = (factor.Real, factor.Imaginary);
                Subtract(factor, re.AsSpan((k * n) + k + 1, left), im.AsSpan((k * n) + k + 1, left), re.AsSpan((i * n) + k + 1, left), im.AsSpan((i * n) + k + 1, left));
            }
        }
    }

    /// <summary>Solves for one right-hand side.</summary>
    public Complex[] Solve(IReadOnlyList<Complex> right)
    {
        var x = new Complex[n];
        for (var i = 0; i < n; i++)
        {
            x[i] = right[rows[i]];
            for (var j = 0; j < i; j++)
            {
                x[i] -= At(i, j) * x[j];
            }
        }

        for (var i = n - 1; i >= 0; i--)
        {
            for (var j = i + 1; j < n; j++)
            {
                x[i] -= At(i, j) * x[j];
            }

            x[i] /= At(i, i);
        }

        return x;
    }

    /// <summary>Solves with the transposed matrix.</summary>
    public Complex[] SolveTransposed(IReadOnlyList<Complex> right)
    {
        var x = new Complex[n];
        for (var i = 0; i < n; i++)
        {
            x[i] = right[i];
            for (var j = 0; j < i; j++)
            {
                x[i] -= At(j, i) * x[j];
            }

            x[i] /= At(i, i);
        }

        for (var i = n - 1; i >= 0; i--)
        {
            for (var j = i + 1; j < n; j++)
            {
                x[i] -= At(j, i) * x[j];
            }
        }

        var solved = new Complex[n];
        for (var i = 0; i < n; i++)
        {
            solved[rows[i]] = x[i];
        }

        return solved;
    }

    private Complex At(int r, int c) => new(re[(r * n) + c], im[(r * n) + c]);

    private static void Subtract(Complex factor, ReadOnlySpan<double> whatRe, ReadOnlySpan<double> whatIm, Span<double> fromRe, Span<double> fromIm)
    {
        DenseRows.Add(fromRe, whatRe, -factor.Real);
        DenseRows.Add(fromIm, whatIm, -factor.Real);
        if (factor.Imaginary != 0)
        {
            DenseRows.Add(fromRe, whatIm, factor.Imaginary);
            DenseRows.Add(fromIm, whatRe, -factor.Imaginary);
        }
    }

    private void Pivot(int k)
    {
        var best = k;
        for (var i = k + 1; i < n; i++)
        {
            best = Square(i, k) > Square(best, k) ? i : best;
        }

        if (!(At(best, k).Magnitude >= Nothing))
        {
            throw new SingularMatrixException();
        }

        if (best == k)
        {
            return;
        }

        (rows[k], rows[best]) = (rows[best], rows[k]);
        for (var j = 0; j < n; j++)
        {
            (re[(k * n) + j], re[(best * n) + j]) = (re[(best * n) + j], re[(k * n) + j]);
            (im[(k * n) + j], im[(best * n) + j]) = (im[(best * n) + j], im[(k * n) + j]);
        }
    }

    private double Square(int r, int c) => (re[(r * n) + c] * re[(r * n) + c]) + (im[(r * n) + c] * im[(r * n) + c]);
}
