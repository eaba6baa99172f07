using System.Numerics;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;

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
        ArgumentOutOfRangeException.ThrowIfLessThan(b.Length, a.Length);
        ref var x = ref MemoryMarshal.GetReference(a);
        ref var y = ref MemoryMarshal.GetReference(b);
        Vector256<double> even = default, odd = default;
        nuint i = 0, length = (nuint)a.Length;
        for (; i + 8 <= length; i += 8)
        {
            even = Vector256.FusedMultiplyAdd(Vector256.LoadUnsafe(ref x, i), Vector256.LoadUnsafe(ref y, i), even);
            odd = Vector256.FusedMultiplyAdd(Vector256.LoadUnsafe(ref x, i + 4), Vector256.LoadUnsafe(ref y, i + 4), odd);
        }

        if (i + 4 <= length)
        {
            even = Vector256.FusedMultiplyAdd(Vector256.LoadUnsafe(ref x, i), Vector256.LoadUnsafe(ref y, i), even);
            i += 4;
        }

        var sum = Vector256.Sum(even + odd);
        for (; i < length; i++)
        {
            sum = Math.FusedMultiplyAdd(Unsafe.Add(ref x, i), Unsafe.Add(ref y, i), sum);
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
