using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>A stretch without switching, as power series of all numbers of the state about its start.</summary>
/// <param name="StartRad">Where it begins.</param>
/// <param name="WidthRad">How long it lasts.</param>
/// <param name="Mode">Which diodes conduct.</param>
/// <param name="Series">Coefficients, all numbers of a degree together.</param>
/// <param name="EndsBy">What switches at its end; null: nothing.</param>
internal sealed record SeriesPiece(double StartRad, double WidthRad, SwitchedMode Mode, double[] Series, SwitchingGuard? EndsBy)
{
    /// <summary>The state at a distance from the start.</summary>
    public void At(double offsetRad, Span<double> state) =>
        SeriesIntegrator.Evaluate(Series, state.Length, EmfSeries.Degree, offsetRad, state);
}

/// <summary>
/// Carries bridges over an angle by power series: the equations are linear but for the load, and the EMF is a sum of exponentials, so that
/// each coefficient follows from the one before (E. Hairer, S. P. Nørsett, G. Wanner, Solving Ordinary Differential Equations I, I.8).
/// Switching instants are roots of the series themselves. One stretch never passes the end of a cell of the EMF's.
/// </summary>
internal sealed class SeriesIntegrator
{
    private const int Full = EmfSeries.Degree;
    private const int Terms = Full + 1;
    private const double ShortestRad = 1e-13;
    private const double Glance = 1e-5;
    private const double Nothing = 1e-11;
    private const int MostPieces = 20_000;
    private const int MostChanges = 16;
    private const int SettlingDegree = 3;
    private static readonly double[] Looks = [0.25, 0.5, 0.75, 1];

    private readonly SwitchedCircuit circuit;
    private readonly EmfSeries emf;
    private readonly double scale;
    private readonly int size;
    private readonly int stride;
    private readonly double[] series;
    private readonly double[] moved;
    private readonly double[] looked;
    private readonly Stack<double[]> spare = new();
    private readonly double[][] volts;
    private readonly double[][] movedVolts;
    private readonly double[] emfRe = new double[Terms];
    private readonly double[] emfIm = new double[Terms];

    // The last term first, so that products of series are products of rows.
    private readonly double[][] load;
    private readonly double[][] loadSlope;
    private readonly double[] guard = new double[Terms];
    private readonly double[][] guards;
    private int degree = Full;
    private double precision = 1e-13;

    /// <param name="circuit">The bridges.</param>
    /// <param name="emf">EMF, with cells over the angle that is asked for.</param>
    /// <param name="scale">A usual current, that small ones are measured by.</param>
    public SeriesIntegrator(SwitchedCircuit circuit, EmfSeries emf, double scale)
    {
        (this.circuit, this.emf, this.scale) = (circuit, emf, scale);
        size = circuit.Size;
        stride = circuit.Stride;
        series = new double[stride * Terms];
        moved = new double[stride * Terms];
        looked = new double[stride];
        volts = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        movedVolts = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        load = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        loadSlope = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        guards = [.. Enumerable.Range(0, SettlingDegree + 1).Select(_ => new double[circuit.Bridges * SwitchedMode.MostGuards])];
    }

    /// <summary>On the way to an orbit a few terms are enough; what is reported is exact to rounding.</summary>
    public void SetRough(bool isRough) => (degree, precision) = isRough ? (9, 1e-6) : (Full, 1e-13);

    /// <summary>Carries a state from the first cell to the end of the last, and with it how it moves with its start.</summary>
    /// <param name="state">State; replaced by that at the end.</param>
    /// <param name="conduction">Which diodes conduct; replaced likewise.</param>
    /// <param name="moves">Columns of small changes of the state, carried along; null: none.</param>
    /// <param name="pieces">Takes the stretches; null: not wanted.</param>
    /// <exception cref="RectifierSearchException">Switching without end, or numbers out of range.</exception>
    public void Advance(double[] state, ref Conduction conduction, double[][]? moves = null, List<SeriesPiece>? pieces = null)
    {
        var (cell, offset, stalled, mode) = (0, 0.0, 0, (SwitchedMode?)null);
        for (var count = 0; cell < emf.Cells; count++)
        {
            if (count > MostPieces)
            {
                throw new RectifierSearchException("The bridge equations are too stiff to integrate.");
            }

            emf.About(cell, offset, emfRe, emfIm);
            mode ??= Settled(ref conduction, state);
            Expand(mode, state, degree);
            var rest = EmfSeries.CellRad - offset;
            var width = Math.Min(rest, Reach());
            var found = FirstSwitching(mode, ref width);
            if (moves is not null)
            {
                Carry(mode, moves, width);
            }

            pieces?.Add(new SeriesPiece(emf.StartOf(cell) + offset, width, mode, Kept(), found));
            Evaluate(series, stride, degree, width, state);
            (cell, offset) = width >= rest - ShortestRad ? (cell + 1, 0) : (cell, offset + width);
            if (found is null)
            {
                continue;
            }

            stalled = width < 1e-10 ? stalled + 1 : 0;
            if (stalled > 60)
            {
                throw new RectifierSearchException("The bridge keeps switching without advancing.");
            }

            Switch(mode, found, state, ref conduction, width, moves);
            mode = null;
        }
    }

    /// <summary>Takes stretches back that nobody needs, so that others may be kept in their place.</summary>
    public void Recycle(List<SeriesPiece> pieces)
    {
        foreach (var piece in pieces)
        {
            spare.Push(piece.Series);
        }

        pieces.Clear();
    }

    private double[] Kept()
    {
        var kept = spare.TryPop(out var used) ? used : new double[series.Length];
        series.CopyTo(kept, 0);
        return kept;
    }

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

    private static double Polynomial(ReadOnlySpan<double> coefficients, double at)
    {
        var sum = coefficients[^1];
        for (var k = coefficients.Length - 2; k >= 0; k--)
        {
            sum = Math.FusedMultiplyAdd(sum, at, coefficients[k]);
        }

        return sum;
    }

    private void Expand(SwitchedMode mode, double[] state, int terms)
    {
        state.AsSpan(0, stride).CopyTo(series);
        for (var l = 0; l < volts.Length; l++)
        {
            volts[l][0] = state[circuit.Link(l)];
        }

        for (var k = 0; k < terms; k++)
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

    // How far the series are exact.
    private double Reach()
    {
        double last = 0, before = 0;
        for (var i = 0; i < size; i++)
        {
            var unit = circuit.IsVoltage(i) && i < circuit.FirstOfBank ? Math.Abs(series[i]) : scale;
            last = Math.Max(last, Math.Abs(series[(degree * stride) + i]) / unit);
            before = Math.Max(before, Math.Abs(series[((degree - 1) * stride) + i]) / unit);
        }

        if (!double.IsFinite(last))
        {
            throw new RectifierSearchException("The bridge equations leave the range of numbers.");
        }

        // Most often a whole cell is within reach, and no root need be drawn.
        var (cell, before1) = (Power(EmfSeries.CellRad, degree), Power(EmfSeries.CellRad, degree - 1));
        if (last * cell <= precision && before * before1 <= precision)
        {
            return EmfSeries.CellRad;
        }

        var reach = Math.Min(
            last > 0 ? Math.Pow(precision / last, 1.0 / degree) : double.PositiveInfinity,
            before > 0 ? Math.Pow(precision / before, 1.0 / (degree - 1)) : double.PositiveInfinity);
        return Math.Max(reach, 1e-7);
    }

    private static double Power(double value, int exponent)
    {
        var power = 1.0;
        for (var i = 0; i < exponent; i++)
        {
            power *= value;
        }

        return power;
    }

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
        var before = 0.0;
        foreach (var look in Looks)
        {
            var at = look * width;
            Evaluate(series, stride, degree, at, looked);
            double re = Polynomial(emfRe.AsSpan(0, degree + 1), at), im = Polynomial(emfIm.AsSpan(0, degree + 1), at);
            mode.GuardRows.Multiply(looked, re, im, 1, guards[0]);
            for (var g = 0; g < mode.Guards.Length; g++)
            {
                if (guards[0][g] < 0)
                {
                    var candidate = mode.Guards[g];
                    GuardSeries(candidate, degree + 1);
                    var root = Root(before, first is null ? at : Math.Min(at, width));
                    (width, first) = first is null || root < width ? (root, candidate) : (width, first);
                }
            }

            if (first is not null)
            {
                return first;
            }

            before = at;
        }

        return null;
    }

    // Newton on the series within the bracket that halving keeps.
    private double Root(double low, double high)
    {
        var at = high;
        for (var i = 0; i < 100 && high - low > ShortestRad; i++)
        {
            double value = guard[degree], slope = 0;
            for (var k = degree - 1; k >= 0; k--)
            {
                slope = Math.FusedMultiplyAdd(slope, at, value);
                value = Math.FusedMultiplyAdd(value, at, guard[k]);
            }

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

    // A combination that can't be at this instant changes until it can.
    private SwitchedMode Settled(ref Conduction conduction, double[] state)
    {
        for (var i = 0; ; i++)
        {
            var mode = circuit.Mode(conduction);
            Expand(mode, state, SettlingDegree);
            SwitchingGuard? broken = null;
            var worst = 0.0;
            for (var k = 0; k <= SettlingDegree; k++)
            {
                mode.GuardRows.Multiply(series.AsSpan(k * stride, stride), emfRe[k], emfIm[k], 1, guards[k]);
            }

            for (var g = 0; g < mode.Guards.Length; g++)
            {
                var now = guards[0][g];
                var ahead = now + (Glance * (guards[1][g] + (Glance * (guards[2][g] + (Glance * guards[3][g])))));
                var value = Math.Abs(now) > Nothing * (1 + scale) ? now : Math.Min(ahead, 0);
                if (value < worst)
                {
                    (worst, broken) = (value, mode.Guards[g]);
                }
            }

            if (broken is null || i == MostChanges)
            {
                return mode;
            }

            conduction = After(broken, conduction, state);
        }
    }

    private Conduction After(SwitchingGuard change, Conduction conduction, double[] state)
    {
        var (from, n) = (change.Bridge * circuit.PhasesOfBridge, circuit.PhasesOfBridge);
        switch (change.Kind)
        {
            case SwitchingKind.TurnsOff:
                conduction = conduction.With(change.Phase, 0);
                break;
            case SwitchingKind.TopTurnsOn:
                conduction = conduction.With(change.Phase, 1);
                break;
            case SwitchingKind.BottomTurnsOn:
                conduction = conduction.With(change.Phase, -1);
                break;
            case SwitchingKind.PairTurnsOn:
                conduction = conduction.With(change.Phase, 1).With(change.Lower, -1);
                break;
            case SwitchingKind.FreewheelStarts:
                return conduction.WithFreewheel(change.Bridge, true);
            default:
                conduction = conduction.WithFreewheel(change.Bridge, false);
                for (var x = from; x < from + n; x++)
                {
                    conduction = conduction.With(x, Math.Abs(state[x]) < Nothing * scale ? 0 : Math.Sign(state[x]));
                }

                break;
        }

        int top = 0, bottom = 0;
        for (var x = from; x < from + n; x++)
        {
            top += conduction.Side(x) > 0 ? 1 : 0;
            bottom += conduction.Side(x) < 0 ? 1 : 0;
        }

        var isOneSided = top == 0 || bottom == 0;
        double rest = 0, choke = 0;
        for (var x = from; x < from + n; x++)
        {
            conduction = isOneSided ? conduction.With(x, 0) : conduction;
            state[x] = conduction.Side(x) == 0 ? 0 : state[x];
            rest += state[x];
        }

        // Round-off must not leave a sum behind.
        for (var x = from; x < from + n; x++)
        {
            state[x] -= conduction.Side(x) == 0 ? 0 : rest / (top + bottom);
            choke += conduction.Side(x) > 0 ? state[x] : 0;
        }

        if (circuit.ChokeX[change.Bridge] > 0)
        {
            state[circuit.Choke(change.Bridge)] = choke;
        }

        return conduction;
    }

    private void Switch(SwitchedMode mode, SwitchingGuard found, double[] state, ref Conduction conduction, double width, double[][]? moves)
    {
        if (moves is null)
        {
            conduction = After(found, conduction, state);
            return;
        }

        double re = Polynomial(emfRe.AsSpan(0, degree + 1), width), im = Polynomial(emfIm.AsSpan(0, degree + 1), width);
        var before = Slopes(mode, state, re, im);
        GuardSeries(found, degree + 1);
        double rate = 0;
        for (var k = degree; k >= 1; k--)
        {
            rate = (rate * width) + (k * guard[k]);
        }

        conduction = After(found, conduction, state);
        var after = Slopes(circuit.Mode(conduction), state, re, im);

        // A moved state switches earlier or later and follows the slopes of before for longer or shorter.
        foreach (var column in moves)
        {
            double by = 0;
            for (var c = 0; c < size; c++)
            {
                by += found.Row[c] * column[c];
            }

            var later = -by / rate;
            for (var c = 0; c < size && double.IsFinite(later); c++)
            {
                column[c] += (before[c] - after[c]) * later;
            }

            Settle(column, conduction, found.Bridge);
        }
    }

    private double[] Slopes(SwitchedMode mode, double[] state, double re, double im)
    {
        state.AsSpan(0, stride).CopyTo(looked);
        var both = new double[2 * stride];
        looked.CopyTo(both, 0);
        Through(mode, both, 0, re, im);
        for (var l = 0; l < circuit.Links.Length; l++)
        {
            var link = circuit.Links[l];
            var at = state[circuit.Link(l)];
            both[stride + circuit.Link(l)] -= link.LoadCurrent(link.LoadPower > 0
                ? Math.Max(at, circuit.ClampVoltage)
                : at) / link.Susceptance;
        }

        return both[stride..];
    }

    // What floats carries nothing, moved or not.
    private void Settle(double[] column, Conduction conduction, int bridge)
    {
        if (conduction.Freewheels(bridge))
        {
            return;
        }

        double choke = 0;
        for (var x = bridge * circuit.PhasesOfBridge; x < (bridge + 1) * circuit.PhasesOfBridge; x++)
        {
            column[x] = conduction.Side(x) == 0 ? 0 : column[x];
            choke += conduction.Side(x) > 0 ? column[x] : 0;
        }

        if (circuit.ChokeX[bridge] > 0)
        {
            column[circuit.Choke(bridge)] = choke;
        }
    }

    // Small changes obey the equations made linear: the load of constant power moves by −ι/v.
    private void Carry(SwitchedMode mode, double[][] moves, double width)
    {
        for (var l = 0; l < volts.Length; l++)
        {
            SlopeOfLoad(circuit.Links[l], volts[l], load[l], loadSlope[l]);
        }

        foreach (var column in moves)
        {
            column.AsSpan(0, stride).CopyTo(moved);
            for (var k = 0; k < degree; k++)
            {
                Through(mode, moved, k, 0, 0);
                for (var l = 0; l < volts.Length; l++)
                {
                    var link = circuit.Link(l);
                    movedVolts[l][k] = moved[(k * stride) + link];
                    var drawn = DenseRows.Dot(movedVolts[l].AsSpan(0, k + 1), loadSlope[l].AsSpan(Full - k, k + 1));
                    moved[((k + 1) * stride) + link] -= drawn / (circuit.Links[l].Susceptance * (k + 1));
                }
            }

            Evaluate(moved, stride, degree, width, column);
        }
    }

    // Series of dι/dv = −ι²/P, and ι is a series already.
    private void SlopeOfLoad(SwitchedLink link, double[] volts, double[] load, double[] loadSlope)
    {
        Array.Clear(loadSlope);
        if (link.LoadPower <= 0)
        {
            loadSlope[Full] = link.LoadConductance;
            return;
        }

        if (volts[0] < circuit.ClampVoltage)
        {
            return;
        }

        for (var k = 0; k < degree; k++)
        {
            double sum = 0;
            for (var j = 0; j <= k; j++)
            {
                sum += load[Full - j] * load[Full - k + j];
            }

            loadSlope[Full - k] = -sum / link.LoadPower;
        }
    }
}

/// <summary>A search for a repeating state that leads nowhere.</summary>
internal sealed class RectifierSearchException : Exception
{
    public RectifierSearchException()
    {
    }

    public RectifierSearchException(string message)
        : base(message)
    {
    }

    public RectifierSearchException(string message, Exception inner)
        : base(message, inner)
    {
    }
}
