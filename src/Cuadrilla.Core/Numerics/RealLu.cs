namespace Cuadrilla.Core.Numerics;

/// <summary>LU factors of a dense real matrix with partial pivoting (Doolittle), rows kept in one array.</summary>
internal sealed class RealLu
{
    private const double SingularPu = 1e-14;
    private readonly double[] lu;
    private readonly int[] rows;
    private readonly int n;

    /// <summary>Factors a square matrix, row by row in one array, which is overwritten.</summary>
    /// <exception cref="SingularMatrixException">The matrix is singular to rounding.</exception>
    public RealLu(double[] matrix, int size)
        : this(size, matrix)
    {
        if (!Factor())
        {
            throw new SingularMatrixException();
        }
    }

    private RealLu(int size, double[] matrix) => (lu, n, rows) = (matrix, size, [.. Enumerable.Range(0, size)]);

    private bool Factor()
    {
        var largest = 0.0;
        foreach (var value in lu)
        {
            largest = Math.Max(largest, Math.Abs(value));
        }

        for (var k = 0; k < n; k++)
        {
            if (!Pivot(k, largest))
            {
                return false;
            }

            var pivotRow = lu.AsSpan((k * n) + k + 1, n - k - 1);
            for (var i = k + 1; i < n; i++)
            {
                var factor = lu[(i * n) + k] / lu[(k * n) + k];
                lu[(i * n) + k] = factor;
                if (factor != 0)
                {
                    DenseRows.Add(lu.AsSpan((i * n) + k + 1, n - k - 1), pivotRow, -factor);
                }
            }
        }

        return true;
    }

    /// <summary>Factors of a matrix, overwritten; null where it is singular to rounding or holds what is no number.</summary>
    public static RealLu? OrNull(double[] matrix, int size)
    {
        var lu = new RealLu(size, matrix);
        return lu.Factor() ? lu : null;
    }

    /// <summary>Solves for one right-hand side.</summary>
    public double[] Solve(ReadOnlySpan<double> right)
    {
        var x = new double[n];
        for (var i = 0; i < n; i++)
        {
            var sum = right[rows[i]];
            for (var j = 0; j < i; j++)
            {
                sum -= lu[(i * n) + j] * x[j];
            }

            x[i] = sum;
        }

        for (var i = n - 1; i >= 0; i--)
        {
            var sum = x[i];
            for (var j = i + 1; j < n; j++)
            {
                sum -= lu[(i * n) + j] * x[j];
            }

            x[i] = sum / lu[(i * n) + i];
        }

        return x;
    }

    /// <summary>Solves for many right-hand sides at once, the columns of a matrix kept row by row; replaced by what is found.</summary>
    public void SolveInPlace(double[] rights, int columns)
    {
        var ordered = (double[])rights.Clone();
        for (var i = 0; i < n; i++)
        {
            var row = rights.AsSpan(i * columns, columns);
            ordered.AsSpan(rows[i] * columns, columns).CopyTo(row);
            for (var j = 0; j < i; j++)
            {
                DenseRows.Add(row, rights.AsSpan(j * columns, columns), -lu[(i * n) + j]);
            }
        }

        for (var i = n - 1; i >= 0; i--)
        {
            var row = rights.AsSpan(i * columns, columns);
            for (var j = i + 1; j < n; j++)
            {
                DenseRows.Add(row, rights.AsSpan(j * columns, columns), -lu[(i * n) + j]);
            }

            var inverse = 1 / lu[(i * n) + i];
            for (var c = 0; c < columns; c++)
            {
                row[c] *= inverse;
            }
        }
    }

    private bool Pivot(int k, double largest)
    {
        var best = k;
        for (var i = k + 1; i < n; i++)
        {
            best = Math.Abs(lu[(i * n) + k]) > Math.Abs(lu[(best * n) + k]) ? i : best;
        }

        if (!(Math.Abs(lu[(best * n) + k]) > SingularPu * largest))
        {
            return false;
        }

        if (best == k)
        {
            return true;
        }

        (rows[k], rows[best]) = (rows[best], rows[k]);
        for (var j = 0; j < n; j++)
        {
            (lu[(k * n) + j], lu[(best * n) + j]) = (lu[(best * n) + j], lu[(k * n) + j]);
        }

        return true;
    }
}
