using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

// What ends a stretch, and when.
internal sealed partial class SeriesIntegrator
{
    private void GuardSeries(SwitchingGuard of, int terms)
    {
        for (var k = 0; k < terms; k++)
        {
            guard[k] = (of.Row[size] * emfRe[k]) + (of.Row[size + 1] * emfIm[k])
                + DenseRows.Dot(of.Row.AsSpan(0, size), series.AsSpan(k * stride, size));
        }
    }

    // The earliest root among the guards; the width is cut back to it.
    private SwitchingGuard? FirstSwitching(SwitchedMode mode, ref double width)
    {
        SwitchingGuard? first = null;
        var (before, whole) = (0.0, width);
        mode.GuardRows.Multiply(series.AsSpan(stride, stride), emfRe[1], emfIm[1], 1, slopesBefore);
        foreach (var look in Looks)
        {
            var at = look * whole;
            Evaluate(series, stride, degree, at, looked, lookedSlope);
            var (re, reSlope) = Polynomial(emfRe.AsSpan(0, degree + 1), at);
            var (im, imSlope) = Polynomial(emfIm.AsSpan(0, degree + 1), at);
            mode.GuardRows.Multiply(looked, re, im, 1, guards[0]);
            mode.GuardRows.Multiply(lookedSlope, reSlope, imSlope, 1, guards[1]);
            for (var g = 0; g < mode.Guards.Length; g++)
            {
                if (CrossedBy(mode.Guards[g], before, at, guards[0][g], slopesBefore[g], guards[1][g]) is { } high)
                {
                    var root = Root(before, first is null ? high : Math.Min(high, width));
                    (width, first) = first is null || root < width ? (root, mode.Guards[g]) : (width, first);
                }
            }

            if (first is not null)
            {
                return first;
            }

            (before, slopesBefore, guards[1]) = (at, guards[1], slopesBefore);
        }

        return null;
    }

    // Where between two looks a guard is below zero: at the second, or at the lowest place of one that falls at the first and rises at the
    // second. Its series is at hand then.
    private double? CrossedBy(SwitchingGuard of, double before, double at, double value, double slopeBefore, double slope)
    {
        if (value < 0)
        {
            GuardSeries(of, degree + 1);
            return at;
        }

        if (slopeBefore >= 0 || slope <= 0)
        {
            return null;
        }

        GuardSeries(of, degree + 1);
        var (low, high) = (before, at);
        for (var i = 0; i < MostHalvings; i++)
        {
            var middle = 0.5 * (low + high);
            var (lowest, rising) = Polynomial(guard.AsSpan(0, degree + 1), middle);
            if (lowest < -Nothing * (1 + scale))
            {
                return middle;
            }

            (low, high) = rising < 0 ? (middle, high) : (low, middle);
        }

        return null;
    }

    // Newton on the series within the bracket that halving keeps.
    private double Root(double low, double high)
    {
        var at = high;
        for (var i = 0; i < 100 && high - low > ShortestRad; i++)
        {
            var (value, slope) = Polynomial(guard.AsSpan(0, degree + 1), at);

            (low, high) = value < 0 ? (low, at) : (at, high);
            var next = at - (value / slope);
            if (Math.Abs(next - at) < 1e-15)
            {
                return at;
            }

            at = next > low && next < high ? next : 0.5 * (low + high);
        }

        return at;
    }
}
