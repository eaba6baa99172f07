using System.Numerics;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Cuadrilla.Core.Numerics;

/// <summary>LU factors of a dense matrix with partial pivoting (Doolittle), rows kept in one array.</summary>
/// <typeparam name="T"><see cref="double"/> or <see cref="Complex"/>.</typeparam>
internal sealed class DenseLu<T>
    where T : struct, INumberBase<T>
{
    // A pivot that is this small beside what its row began with is rounding.
    private const double SingularPu = 1e-15;

    private readonly T[] lu;
    private readonly int[] rows;
    private readonly int n;

    private DenseLu(T[] matrix, int size) => (lu, n, rows) = (matrix, size, [.. Enumerable.Range(0, size)]);

    /// <summary>Factors of a square matrix, row by row in one array, which is overwritten.</summary>
    /// <exception cref="SingularMatrixException">The matrix is singular to rounding, or holds what is no number.</exception>
    public static DenseLu<T> Of(T[] matrix, int size) => OrNull(matrix, size) ?? throw new SingularMatrixException();

    /// <summary>The same; null where it is singular.</summary>
    public static DenseLu<T>? OrNull(T[] matrix, int size)
    {
        var factors = new DenseLu<T>(matrix, size);
        return factors.Factor() ? factors : null;
    }

    /// <summary>Solves for one right-hand side.</summary>
    public T[] Solve(ReadOnlySpan<T> right)
    {
        var x = new T[n];
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

    /// <summary>Solves with the transposed matrix.</summary>
    public T[] SolveTransposed(ReadOnlySpan<T> right)
    {
        var x = new T[n];
        for (var i = 0; i < n; i++)
        {
            x[i] = right[i];
            for (var j = 0; j < i; j++)
            {
                x[i] -= lu[(j * n) + i] * x[j];
            }

            x[i] /= lu[(i * n) + i];
        }

        for (var i = n - 1; i >= 0; i--)
        {
            for (var j = i + 1; j < n; j++)
            {
                x[i] -= lu[(j * n) + i] * x[j];
            }
        }

        var solved = new T[n];
        for (var i = 0; i < n; i++)
        {
            solved[rows[i]] = x[i];
        }

        return solved;
    }

    /// <summary>Solves for many right-hand sides at once, the columns of a matrix kept row by row; replaced by what is found.</summary>
    public void SolveInPlace(Span<T> rights, int columns)
    {
        T[] before = [.. rights];
        for (var i = 0; i < n; i++)
        {
            var row = rights.Slice(i * columns, columns);
            before.AsSpan(rows[i] * columns, columns).CopyTo(row);
            for (var j = 0; j < i; j++)
            {
                Add(row, rights.Slice(j * columns, columns), -lu[(i * n) + j]);
            }
        }

        for (var i = n - 1; i >= 0; i--)
        {
            var row = rights.Slice(i * columns, columns);
            for (var j = i + 1; j < n; j++)
            {
                Add(row, rights.Slice(j * columns, columns), -lu[(i * n) + j]);
            }

            var inverse = T.One / lu[(i * n) + i];
            for (var c = 0; c < columns; c++)
            {
                row[c] *= inverse;
            }
        }
    }

    private bool Factor()
    {
        var scales = new double[n];
        for (var i = 0; i < n; i++)
        {
            foreach (var value in lu.AsSpan(i * n, n))
            {
                scales[i] = Math.Max(scales[i], Size(value));
            }
        }

        for (var k = 0; k < n; k++)
        {
            if (!Pivot(k, scales))
            {
                return false;
            }

            var pivot = lu[(k * n) + k];
            var pivotRow = lu.AsSpan((k * n) + k + 1, n - k - 1);
            for (var i = k + 1; i < n; i++)
            {
                if (!T.IsZero(lu[(i * n) + k]))
                {
                    var factor = lu[(i * n) + k] / pivot;
                    lu[(i * n) + k] = factor;
                    Add(lu.AsSpan((i * n) + k + 1, n - k - 1), pivotRow, -factor);
                }
            }
        }

        return true;
    }

    private bool Pivot(int k, double[] scales)
    {
        var (best, size) = (k, Size(lu[(k * n) + k]));
        for (var i = k + 1; i < n; i++)
        {
            if (Size(lu[(i * n) + k]) is var other && other > size)
            {
                (best, size) = (i, other);
            }
        }

        if (!(size > SingularPu * scales[best]))
        {
            return false;
        }

        if (best != k)
        {
            (rows[k], rows[best], scales[k], scales[best]) = (rows[best], rows[k], scales[best], scales[k]);
            for (var j = 0; j < n; j++)
            {
                (lu[(k * n) + j], lu[(best * n) + j]) = (lu[(best * n) + j], lu[(k * n) + j]);
            }
        }

        return true;
    }

    // |re| + |im|: as good for choosing as the magnitude, and cheaper.
    private static double Size(T value) => typeof(T) == typeof(double)
        ? Math.Abs(Unsafe.BitCast<T, double>(value))
        : Unsafe.BitCast<T, Complex>(value) is var z ? Math.Abs(z.Real) + Math.Abs(z.Imaginary) : 0;

    // to += factor·what.
    private static void Add(Span<T> to, ReadOnlySpan<T> what, T factor)
    {
        if (typeof(T) == typeof(double))
        {
            DenseRows.Add(MemoryMarshal.Cast<T, double>(to), MemoryMarshal.Cast<T, double>(what), Unsafe.BitCast<T, double>(factor));
        }
        else
        {
            DenseRows.Add(MemoryMarshal.Cast<T, double>(to), MemoryMarshal.Cast<T, double>(what), Unsafe.BitCast<T, Complex>(factor));
        }
    }
}

/// <summary>Factors of matrices in two indices, which are left as they are.</summary>
internal static class DenseLu
{
    /// <summary>Factors of a square complex matrix.</summary>
    /// <exception cref="SingularMatrixException">The matrix is singular to rounding.</exception>
    public static DenseLu<Complex> Of(Complex[,] matrix) => DenseLu<Complex>.Of([.. DenseRows.Of(matrix)], matrix.GetLength(0));

    /// <summary>Factors of a square real matrix; null where it is singular to rounding.</summary>
    public static DenseLu<double>? OrNull(double[,] matrix) => DenseLu<double>.OrNull([.. DenseRows.Of(matrix)], matrix.GetLength(0));
}
