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

    /// <summary>to += factor·what, complex numbers with real and imaginary part side by side.</summary>
    public static void Add(Span<double> to, ReadOnlySpan<double> what, Complex factor)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(what.Length, to.Length);
        ref var x = ref MemoryMarshal.GetReference(what);
        ref var y = ref MemoryMarshal.GetReference(to);
        var real = Vector256.Create(factor.Real);
        var imaginary = Vector256.Create(-factor.Imaginary, factor.Imaginary, -factor.Imaginary, factor.Imaginary);
        var turned = Vector256.Create(1L, 0, 3, 2);
        nuint i = 0, length = (nuint)to.Length;
        for (; i + 4 <= length; i += 4)
        {
            var two = Vector256.LoadUnsafe(ref x, i);
            (Vector256.LoadUnsafe(ref y, i) + (two * real) + (Vector256.Shuffle(two, turned) * imaginary)).StoreUnsafe(ref y, i);
        }

        if (i < length)
        {
            to[(int)i] += (factor.Real * what[(int)i]) - (factor.Imaginary * what[(int)i + 1]);
            to[(int)i + 1] += (factor.Real * what[(int)i + 1]) + (factor.Imaginary * what[(int)i]);
        }
    }

    /// <summary>The numbers of a matrix in two indices, row by row.</summary>
    public static Span<T> Of<T>(T[,] matrix) =>
        MemoryMarshal.CreateSpan(ref Unsafe.As<byte, T>(ref MemoryMarshal.GetArrayDataReference(matrix)), matrix.Length);
}
