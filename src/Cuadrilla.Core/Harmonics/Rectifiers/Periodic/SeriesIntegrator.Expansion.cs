using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

// The power series of a state, and what they come to at a distance.
internal sealed partial class SeriesIntegrator
{
    /// <summary>Values of the series at a distance.</summary>
    public static void Evaluate(ReadOnlySpan<double> series, int stride, int degree, double offsetRad, Span<double> state)
    {
        var at = Vector256.Create(offsetRad);
        ref var first = ref MemoryMarshal.GetReference(series);
        ref var to = ref MemoryMarshal.GetReference(state);
        var v = 0;
        for (; v + 16 <= state.Length; v += 16)
        {
            ref var last = ref Unsafe.Add(ref first, (degree * stride) + v);
            var (s0, s1) = (Vector256.LoadUnsafe(ref last), Vector256.LoadUnsafe(ref last, 4));
            var (s2, s3) = (Vector256.LoadUnsafe(ref last, 8), Vector256.LoadUnsafe(ref last, 12));
            for (var k = degree - 1; k >= 0; k--)
            {
                ref var of = ref Unsafe.Add(ref first, (k * stride) + v);
                s0 = Vector256.FusedMultiplyAdd(s0, at, Vector256.LoadUnsafe(ref of));
                s1 = Vector256.FusedMultiplyAdd(s1, at, Vector256.LoadUnsafe(ref of, 4));
                s2 = Vector256.FusedMultiplyAdd(s2, at, Vector256.LoadUnsafe(ref of, 8));
                s3 = Vector256.FusedMultiplyAdd(s3, at, Vector256.LoadUnsafe(ref of, 12));
            }

            s0.StoreUnsafe(ref to, (nuint)v);
            s1.StoreUnsafe(ref to, (nuint)(v + 4));
            s2.StoreUnsafe(ref to, (nuint)(v + 8));
            s3.StoreUnsafe(ref to, (nuint)(v + 12));
        }

        for (; v < state.Length; v += 4)
        {
            var sum = Vector256.LoadUnsafe(ref first, (nuint)((degree * stride) + v));
            for (var k = degree - 1; k >= 0; k--)
            {
                sum = Vector256.FusedMultiplyAdd(sum, at, Vector256.LoadUnsafe(ref first, (nuint)((k * stride) + v)));
            }

            sum.StoreUnsafe(ref to, (nuint)v);
        }
    }

    // Values of the series and of their slopes.
    private static void Evaluate(
        ReadOnlySpan<double> series, int stride, int degree, double offsetRad, Span<double> state, Span<double> slopes)
    {
        var at = Vector256.Create(offsetRad);
        ref var first = ref MemoryMarshal.GetReference(series);
        for (var v = 0; v < stride; v += 4)
        {
            var sum = Vector256.LoadUnsafe(ref first, (nuint)((degree * stride) + v));
            Vector256<double> slope = default;
            for (var k = degree - 1; k >= 0; k--)
            {
                slope = Vector256.FusedMultiplyAdd(slope, at, sum);
                sum = Vector256.FusedMultiplyAdd(sum, at, Vector256.LoadUnsafe(ref first, (nuint)((k * stride) + v)));
            }

            sum.CopyTo(state[v..]);
            slope.CopyTo(slopes[v..]);
        }
    }

    private static (double Value, double Slope) Polynomial(ReadOnlySpan<double> coefficients, double at)
    {
        var (value, slope) = (coefficients[^1], 0.0);
        for (var k = coefficients.Length - 2; k >= 0; k--)
        {
            slope = Math.FusedMultiplyAdd(slope, at, value);
            value = Math.FusedMultiplyAdd(value, at, coefficients[k]);
        }

        return (value, slope);
    }

    // As many terms as a distance needs, of the state and of the EMF, which guards ask for too; how far they are exact where the most of
    // them do not suffice for all of it.
    private double Expand(SwitchedMode mode, double[] state, double rest)
    {
        Begin(state);
        for (var i = 0; i < size; i++)
        {
            units[i] = 1 / (circuit.IsVoltage(i) && i < circuit.FirstOfBank ? Math.Abs(series[i]) : scale);
        }

        var most = isRough ? RoughDegree : Full;
        var (before, power) = (double.PositiveInfinity, 1.0);
        for (degree = 1; ; degree++)
        {
            Term(mode, degree - 1);
            power *= rest;
            var last = Math.Max(Largest(series, degree), Math.Max(Math.Abs(emfRe[degree]), Math.Abs(emfIm[degree])));
            if (!double.IsFinite(last))
            {
                throw new RectifierSearchException("The bridge equations leave the range of numbers.");
            }

            if (last * power <= precision && before * power <= precision * rest && degree > SettlingDegree)
            {
                return rest;
            }

            if (degree == most)
            {
                return Math.Clamp(Math.Min(Reach(last, degree), Reach(before, degree - 1)), 1e-7, rest);
            }

            before = last;
        }
    }

    private double Reach(double last, int terms) => last > 0 ? Math.Pow(precision / last, 1.0 / terms) : double.PositiveInfinity;

    // Largest coefficient of a degree, each in its unit.
    private double Largest(double[] series, int of)
    {
        Vector256<double> largest = default;
        ref var from = ref MemoryMarshal.GetReference(series.AsSpan(of * stride, stride));
        ref var unit = ref MemoryMarshal.GetArrayDataReference(units);
        for (nuint i = 0; i < (nuint)stride; i += 4)
        {
            largest = Vector256.Max(largest, Vector256.Abs(Vector256.LoadUnsafe(ref from, i) * Vector256.LoadUnsafe(ref unit, i)));
        }

        return Math.Max(Math.Max(largest[0], largest[1]), Math.Max(largest[2], largest[3]));
    }

    private void Expand(SwitchedMode mode, double[] state, int terms)
    {
        Begin(state);
        for (var k = 0; k < terms; k++)
        {
            Term(mode, k);
        }
    }

    private void Begin(double[] state)
    {
        state.AsSpan(0, stride).CopyTo(series);
        for (var l = 0; l < volts.Length; l++)
        {
            volts[l][0] = state[circuit.Link(l)];
        }
    }

    // The coefficients after those of a degree.
    private void Term(SwitchedMode mode, int k)
    {
        Through(mode, series, k, emfRe[k], emfIm[k]);
        for (var l = 0; l < volts.Length; l++)
        {
            load[l][Full - k] = LoadTerm(circuit.Links[l], volts[l], load[l], k);
            var at = ((k + 1) * stride) + circuit.Link(l);
            series[at] -= load[l][Full - k] / (circuit.Links[l].Susceptance * (k + 1));
            volts[l][k + 1] = series[at];
        }
    }

    // The next coefficients of all numbers but for the load: matrix times the last ones, over the degree.
    private void Through(SwitchedMode mode, double[] of, int k, double re, double im) =>
        mode.Equations.Multiply(of.AsSpan(k * stride, stride), re, im, 1.0 / (k + 1), of.AsSpan((k + 1) * stride, stride));

    // ι·v = P term by term.
    private double LoadTerm(SwitchedLink link, double[] volts, double[] load, int k)
    {
        if (link.LoadPower <= 0)
        {
            return link.LoadConductance * volts[k];
        }

        if (k == 0)
        {
            return link.LoadPower / Math.Max(volts[0], circuit.ClampVoltage);
        }

        if (volts[0] < circuit.ClampVoltage)
        {
            return 0;
        }

        return -DenseRows.Dot(volts.AsSpan(1, k), load.AsSpan(Full - k + 1, k)) / volts[0];
    }
}
