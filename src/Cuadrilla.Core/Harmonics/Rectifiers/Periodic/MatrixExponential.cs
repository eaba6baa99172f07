namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>e^{A·t} of a small matrix by its series after halving, squared up again.</summary>
internal static class MatrixExponential
{
    private const int Terms = 14;

    /// <summary>Of a square matrix and a time.</summary>
    public static double[,] Of(double[,] matrix, double time)
    {
        var n = matrix.GetLength(0);
        double norm = SmallLinearSystem.Norm(matrix) * Math.Abs(time);
        var halvings = Math.Max(0, (int)Math.Ceiling(Math.Log2(Math.Max(norm, 1e-300) / 0.5)));
        var scale = time / Math.Pow(2, halvings);
        var sum = Identity(n);
        var term = Identity(n);
        for (var k = 1; k <= Terms; k++)
        {
            term = SmallLinearSystem.Product(term, matrix, scale / k);
            for (var r = 0; r < n; r++)
            {
                for (var c = 0; c < n; c++)
                {
                    sum[r, c] += term[r, c];
                }
            }
        }

        for (var i = 0; i < halvings; i++)
        {
            sum = SmallLinearSystem.Product(sum, sum, 1);
        }

        return sum;
    }

    private static double[,] Identity(int n)
    {
        var identity = new double[n, n];
        for (var i = 0; i < n; i++)
        {
            identity[i, i] = 1;
        }

        return identity;
    }
}
