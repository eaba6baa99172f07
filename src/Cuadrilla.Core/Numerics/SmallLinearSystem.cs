using System.Runtime.InteropServices;

namespace Cuadrilla.Core.Numerics;

/// <summary>Dense algebra on the few coordinates of one or several bridges.</summary>
internal static class SmallLinearSystem
{
    /// <summary>Solution of a square system by Gaussian elimination with row pivoting, or null when singular.</summary>
    public static double[]? Solve(double[,] matrix, double[] right)
    {
        var n = right.Length;
        for (var pivot = 0; pivot < n; pivot++)
        {
            var best = pivot;
            for (var row = pivot + 1; row < n; row++)
            {
                best = Math.Abs(matrix[row, pivot]) > Math.Abs(matrix[best, pivot]) ? row : best;
            }

            if (Math.Abs(matrix[best, pivot]) < 1e-12 || !double.IsFinite(matrix[best, pivot]))
            {
                return null;
            }

            for (var column = 0; column < n; column++)
            {
                (matrix[pivot, column], matrix[best, column]) = (matrix[best, column], matrix[pivot, column]);
            }

            (right[pivot], right[best]) = (right[best], right[pivot]);
            for (var row = pivot + 1; row < n; row++)
            {
                var factor = matrix[row, pivot] / matrix[pivot, pivot];
                for (var column = pivot; column < n; column++)
                {
                    matrix[row, column] -= factor * matrix[pivot, column];
                }

                right[row] -= factor * right[pivot];
            }
        }

        for (var row = n - 1; row >= 0; row--)
        {
            for (var column = row + 1; column < n; column++)
            {
                right[row] -= matrix[row, column] * right[column];
            }

            right[row] /= matrix[row, row];
        }

        return right;
    }

    /// <summary>Product of two square matrices, times a factor.</summary>
    public static double[,] Product(double[,] left, double[,] right, double factor = 1)
    {
        var n = left.GetLength(0);
        var product = new double[n, n];
        if (n == 0)
        {
            return product;
        }

        var rows = MemoryMarshal.CreateSpan(ref product[0, 0], n * n);
        var from = MemoryMarshal.CreateSpan(ref right[0, 0], n * n);
        for (var r = 0; r < n; r++)
        {
            for (var k = 0; k < n; k++)
            {
                DenseRows.Add(rows.Slice(r * n, n), from.Slice(k * n, n), factor * left[r, k]);
            }
        }

        return product;
    }

    /// <summary>Solves for all columns of the right side, which becomes the solution; the matrix is used up.</summary>
    /// <exception cref="SingularMatrixException">The matrix is singular.</exception>
    public static void SolveInPlace(double[,] matrix, double[,] right)
    {
        int n = matrix.GetLength(0), columns = right.GetLength(1);
        for (var pivot = 0; pivot < n; pivot++)
        {
            var best = pivot;
            for (var row = pivot + 1; row < n; row++)
            {
                best = Math.Abs(matrix[row, pivot]) > Math.Abs(matrix[best, pivot]) ? row : best;
            }

            if (!(Math.Abs(matrix[best, pivot]) > 1e-14))
            {
                throw new SingularMatrixException();
            }

            for (var c = 0; c < n && best != pivot; c++)
            {
                (matrix[pivot, c], matrix[best, c]) = (matrix[best, c], matrix[pivot, c]);
            }

            for (var c = 0; c < columns && best != pivot; c++)
            {
                (right[pivot, c], right[best, c]) = (right[best, c], right[pivot, c]);
            }

            var scale = 1 / matrix[pivot, pivot];
            for (var row = 0; row < n; row++)
            {
                var factor = matrix[row, pivot] * scale;
                if (row == pivot || factor == 0)
                {
                    continue;
                }

                for (var c = pivot; c < n; c++)
                {
                    matrix[row, c] -= factor * matrix[pivot, c];
                }

                for (var c = 0; c < columns; c++)
                {
                    right[row, c] -= factor * right[pivot, c];
                }
            }
        }

        for (var row = 0; row < n; row++)
        {
            for (var c = 0; c < columns; c++)
            {
                right[row, c] /= matrix[row, row];
            }
        }
    }

    /// <summary>Spectral radius by Gelfand's formula and repeated squaring: |J^(2^k)|^(1/2^k).</summary>
    public static double SpectralRadius(double[,] matrix)
    {
        var power = matrix;
        var logarithm = 0.0;
        var weight = 1.0;
        for (var i = 0; i < 12; i++)
        {
            var norm = Norm(power);
            if (norm == 0)
            {
                return 0;
            }

            logarithm += Math.Log(norm) * weight;
            power = Product(power, power, 1 / (norm * norm));
            weight /= 2;
        }

        return Math.Exp(logarithm + (Math.Log(Math.Max(Norm(power), 1e-300)) * weight));
    }

    /// <summary>Largest absolute row sum.</summary>
    public static double Norm(double[,] matrix)
    {
        var worst = 0.0;
        for (var row = 0; row < matrix.GetLength(0); row++)
        {
            var sum = 0.0;
            for (var column = 0; column < matrix.GetLength(1); column++)
            {
                sum += Math.Abs(matrix[row, column]);
            }

            worst = Math.Max(worst, sum);
        }

        return worst;
    }
}
