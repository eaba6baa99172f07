using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Rows over (state, Re e, Im e), kept column by column and filled up to whole vectors, so that all rows are worked out at once. Columns of
/// zeros are left out.
/// </summary>
internal sealed class ColumnMatrix
{
    private const int Lanes = 4;
    private readonly double[] columns;
    private readonly int[] live;
    private readonly int size;

    /// <param name="rows">Number of rows.</param>
    /// <param name="size">Numbers of a state.</param>
    /// <param name="at">What stands in a row and a column; columns <paramref name="size"/> and the next are those of the EMF.</param>
    /// <param name="isLive">False: that number of the state is always zero.</param>
    public ColumnMatrix(int rows, int size, Func<int, int, double> at, Func<int, bool> isLive)
    {
        this.size = size;
        Stride = (rows + Lanes - 1) / Lanes * Lanes;
        columns = new double[(size + 2) * Stride];
        for (var c = 0; c < size + 2; c++)
        {
            for (var r = 0; r < rows; r++)
            {
                columns[(c * Stride) + r] = at(r, c);
            }
        }

        live = [.. Enumerable.Range(0, size).Where(c => isLive(c) && columns.AsSpan(c * Stride, rows).ContainsAnyExcept(0.0))];
    }

    /// <summary>Length of a result.</summary>
    public int Stride { get; }

    /// <summary>What stands in a row and a column.</summary>
    public double this[int row, int column] => columns[(column * Stride) + row];

    /// <summary>A row, with the columns of the EMF.</summary>
    public double[] Row(int row)
    {
        var whole = new double[size + 2];
        for (var c = 0; c < whole.Length; c++)
        {
            whole[c] = this[row, c];
        }

        return whole;
    }

    /// <summary>Result = scale·A·(x, re, im). Four vectors at a time, so that no sum waits for the one before.</summary>
    /// <param name="x">State; as many numbers as it has.</param>
    /// <param name="re">Real part of the EMF.</param>
    /// <param name="im">Imaginary part.</param>
    /// <param name="scale">Factor of all.</param>
    /// <param name="result">As long as <see cref="Stride"/>.</param>
    public void Multiply(ReadOnlySpan<double> x, double re, double im, double scale, Span<double> result)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(x.Length, size);
        ArgumentOutOfRangeException.ThrowIfLessThan(result.Length, Stride);
        ref var first = ref MemoryMarshal.GetArrayDataReference(columns);
        ref var from = ref MemoryMarshal.GetReference(x);
        ref var to = ref MemoryMarshal.GetReference(result);
        var (stride, part) = (Stride, Vector256.Create(scale));
        var (ofRe, ofIm) = (Vector256.Create(re), Vector256.Create(im));
        var v = 0;
        for (; v + (4 * Lanes) <= stride; v += 4 * Lanes)
        {
            ref var block = ref Unsafe.Add(ref first, v);
            ref var last = ref Unsafe.Add(ref block, size * stride);
            var (s0, s1) = (Emf(ref last, 0), Emf(ref last, 4));
            var (s2, s3) = (Emf(ref last, 8), Emf(ref last, 12));
            foreach (var c in live)
            {
                var at = Vector256.Create(Unsafe.Add(ref from, c));
                ref var column = ref Unsafe.Add(ref block, c * stride);
                s0 = Vector256.FusedMultiplyAdd(at, Vector256.LoadUnsafe(ref column), s0);
                s1 = Vector256.FusedMultiplyAdd(at, Vector256.LoadUnsafe(ref column, 4), s1);
                s2 = Vector256.FusedMultiplyAdd(at, Vector256.LoadUnsafe(ref column, 8), s2);
                s3 = Vector256.FusedMultiplyAdd(at, Vector256.LoadUnsafe(ref column, 12), s3);
            }

            ref var there = ref Unsafe.Add(ref to, v);
            (s0 * part).StoreUnsafe(ref there);
            (s1 * part).StoreUnsafe(ref there, 4);
            (s2 * part).StoreUnsafe(ref there, 8);
            (s3 * part).StoreUnsafe(ref there, 12);
        }

        for (; v < stride; v += Lanes)
        {
            ref var block = ref Unsafe.Add(ref first, v);
            var sum = Emf(ref Unsafe.Add(ref block, size * stride), 0);
            foreach (var c in live)
            {
                sum = Vector256.FusedMultiplyAdd(
                    Vector256.Create(Unsafe.Add(ref from, c)), Vector256.LoadUnsafe(ref block, (nuint)(c * stride)), sum);
            }

            (sum * part).StoreUnsafe(ref to, (nuint)v);
        }

        Vector256<double> Emf(ref double last, int at) => Vector256.FusedMultiplyAdd(
            ofIm, Vector256.LoadUnsafe(ref last, (nuint)(stride + at)), ofRe * Vector256.LoadUnsafe(ref last, (nuint)at));
    }
}
