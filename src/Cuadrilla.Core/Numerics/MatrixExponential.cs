namespace Cuadrilla.Core.Numerics;

/// <summary>
/// e^{A·t} of a small matrix, rows in one array: Taylor's series to the 15th power after halving, in few products (M. S. Paterson,
/// L. J. Stockmeyer 1973), squared up again.
/// </summary>
internal static class MatrixExponential
{
    private const int Block = 4;
    private const int Blocks = 4;

    // At this norm the first term left out is 0.5¹⁶/16! < 1e-18.
    private const double LargestNorm = 0.5;
    private static readonly double[] Factors = TaylorFactors();

    /// <summary>Of a square matrix and a time.</summary>
    public static double[] Of(double[] matrix, int n, double time)
    {
        var halvings = Math.Max(0, (int)Math.Ceiling(Math.Log2(Math.Max(Norm(matrix, n) * Math.Abs(time), 1e-300) / LargestNorm)));
        var scale = time / Math.Pow(2, halvings);
        var powers = new double[Block + 1][];
        powers[1] = Array.ConvertAll(matrix, x => x * scale);
        for (var k = 2; k <= Block; k++)
        {
            Multiply(powers[k - 1], powers[1], powers[k] = new double[n * n], n);
        }

        double[] sum = new double[n * n], spare = new double[n * n];
        for (var block = Blocks - 1; block >= 0; block--)
        {
            Multiply(sum, powers[Block], spare, n);
            (sum, spare) = (spare, sum);
            for (var k = 0; k < Block; k++)
            {
                AddPower(sum, k == 0 ? null : powers[k], Factors[(block * Block) + k], n);
            }
        }

        for (var i = 0; i < halvings; i++)
        {
            Multiply(sum, sum, spare, n);
            (sum, spare) = (spare, sum);
        }

        return sum;
    }

    private static void AddPower(double[] sum, double[]? power, double factor, int n)
    {
        if (power is not null)
        {
            DenseRows.Add(sum, power, factor);
            return;
        }

        for (var i = 0; i < n; i++)
        {
            sum[(i * n) + i] += factor;
        }
    }

    private static void Multiply(double[] left, double[] right, double[] product, int n)
    {
        Array.Clear(product);
        for (var r = 0; r < n; r++)
        {
            var row = product.AsSpan(r * n, n);
            for (var k = 0; k < n; k++)
            {
                if (left[(r * n) + k] != 0)
                {
                    DenseRows.Add(row, right.AsSpan(k * n, n), left[(r * n) + k]);
                }
            }
        }
    }

    // Largest absolute row sum.
    private static double Norm(double[] matrix, int n)
    {
        var worst = 0.0;
        for (var r = 0; r < n; r++)
        {
            var sum = 0.0;
            foreach (var x in matrix.AsSpan(r * n, n))
            {
                sum += Math.Abs(x);
            }

            worst = Math.Max(worst, sum);
        }

        return worst;
    }

    private static double[] TaylorFactors()
    {
        var factors = new double[Block * Blocks];
        factors[0] = 1;
        for (var k = 1; k < factors.Length; k++)
        {
            factors[k] = factors[k - 1] / k;
        }

        return factors;
    }
}
