namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Dense algebra on the three or four coordinates of a bridge.</summary>
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

    /// <summary>Inverse; a column of zeros where it is singular.</summary>
    public static double[,] Inverse(double[,] matrix)
    {
        var n = matrix.GetLength(0);
        var inverse = new double[n, n];
        for (var c = 0; c < n; c++)
        {
            var unit = new double[n];
            unit[c] = 1;
            var column = Solve((double[,])matrix.Clone(), unit) ?? new double[n];
            for (var r = 0; r < n; r++)
            {
                inverse[r, c] = column[r];
            }
        }

        return inverse;
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

    /// <summary>(factor·matrix)².</summary>
    public static double[,] Square(double[,] matrix, double factor)
    {
        var n = matrix.GetLength(0);
        var result = new double[n, n];
        for (var row = 0; row < n; row++)
        {
            for (var column = 0; column < n; column++)
            {
                var sum = 0.0;
                for (var k = 0; k < n; k++)
                {
                    sum += matrix[row, k] * matrix[k, column];
                }

                result[row, column] = sum * factor * factor;
            }
        }

        return result;
    }
}
