using System.Numerics;

namespace Cuadrilla.Core.Numerics;

/// <summary>Products with dense real matrices kept row by row in one array.</summary>
internal static class DenseRows
{
    /// <summary>y = A·x; as many rows as y has numbers.</summary>
    public static void Multiply(ReadOnlySpan<double> matrix, ReadOnlySpan<double> x, Span<double> y)
    {
        for (var r = 0; r < y.Length; r++)
        {
            y[r] = Dot(matrix.Slice(r * x.Length, x.Length), x);
        }
    }

    /// <summary>Σ a·b.</summary>
    public static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var lanes = Vector<double>.Count;
        var sums = Vector<double>.Zero;
        var i = 0;
        for (; i <= a.Length - lanes; i += lanes)
        {
            sums += new Vector<double>(a[i..]) * new Vector<double>(b[i..]);
        }

        var sum = Vector.Sum(sums);
        for (; i < a.Length; i++)
        {
            sum += a[i] * b[i];
        }

        return sum;
    }

    /// <summary>to += factor·what.</summary>
    public static void Add(Span<double> to, ReadOnlySpan<double> what, double factor)
    {
        var lanes = Vector<double>.Count;
        var i = 0;
        for (; i <= to.Length - lanes; i += lanes)
        {
            (new Vector<double>(to[i..]) + (factor * new Vector<double>(what[i..]))).CopyTo(to[i..]);
        }

        for (; i < to.Length; i++)
        {
            to[i] += factor * what[i];
        }
    }
}
