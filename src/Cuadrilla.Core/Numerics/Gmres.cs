namespace Cuadrilla.Core.Numerics;

/// <summary>
/// Generalised minimal residual method without restart, for x of A·x = b where A is known by what it does to a vector. Y. Saad, M. H.
/// Schultz, SIAM J. Sci. Stat. Comput. 7 (1986); orthogonal by modified Gram–Schmidt, least squares by Givens rotations.
/// </summary>
internal static class Gmres
{
    /// <summary>Solves it; the best x of the steps allowed, whatever its residual.</summary>
    /// <param name="apply">A·x.</param>
    /// <param name="right">b.</param>
    /// <param name="tolerancePu">Residual at which to stop, parts of b's length.</param>
    /// <param name="mostSteps">Most steps.</param>
    public static double[] Solve(Func<double[], double[]> apply, double[] right, double tolerancePu, int mostSteps)
    {
        var n = right.Length;
        var length = Length(right);
        if (length == 0)
        {
            return new double[n];
        }

        var basis = new List<double[]> { Scaled(right, 1 / length) };
        var columns = new List<double[]>();
        var (cosines, sines) = (new List<double>(), new List<double>());
        var residual = new List<double> { length };
        for (var step = 0; step < Math.Min(mostSteps, n) && Math.Abs(residual[^1]) > tolerancePu * length; step++)
        {
            var next = apply(basis[step]);
            var column = new double[step + 2];
            for (var k = 0; k <= step; k++)
            {
                column[k] = DenseRows.Dot(next, basis[k]);
                DenseRows.Add(next, basis[k], -column[k]);
            }

            column[step + 1] = Length(next);
            for (var k = 0; k < step; k++)
            {
                (column[k], column[k + 1]) = ((cosines[k] * column[k]) + (sines[k] * column[k + 1]),
                    (cosines[k] * column[k + 1]) - (sines[k] * column[k]));
            }

            var size = Math.Sqrt((column[step] * column[step]) + (column[step + 1] * column[step + 1]));
            if (size == 0)
            {
                break;
            }

            cosines.Add(column[step] / size);
            sines.Add(column[step + 1] / size);
            var below = column[step + 1];
            (column[step], column[step + 1]) = (size, 0);
            residual.Add(-sines[step] * residual[step]);
            residual[step] *= cosines[step];
            columns.Add(column);
            if (below <= 1e-14 * size)
            {
                break;
            }

            basis.Add(Scaled(next, 1 / below));
        }

        var weights = new double[columns.Count];
        for (var k = columns.Count - 1; k >= 0; k--)
        {
            var sum = residual[k];
            for (var j = k + 1; j < columns.Count; j++)
            {
                sum -= columns[j][k] * weights[j];
            }

            weights[k] = sum / columns[k][k];
        }

        var x = new double[n];
        for (var k = 0; k < weights.Length; k++)
        {
            DenseRows.Add(x, basis[k], weights[k]);
        }

        return x;
    }

    private static double Length(double[] a) => Math.Sqrt(DenseRows.Dot(a, a));

    private static double[] Scaled(double[] a, double factor) => Array.ConvertAll(a, v => v * factor);
}
