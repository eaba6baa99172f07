using System.Runtime.InteropServices;

namespace Cuadrilla.Core.Numerics;

/// <summary>Products, norm and spectral radius of square matrices.</summary>
internal static class SquareMatrix
{
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
