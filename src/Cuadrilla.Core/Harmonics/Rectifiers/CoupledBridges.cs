namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Two or three six-pulse bridges behind shifted secondaries that truly share one source: what one draws lowers the voltage of the
/// others. Each bridge has its leakage, its choke and its conduction; all feed one capacitor. In every combination of conducting diodes the
/// equations are linear in the slopes: phase currents of the live phases and the star potentials, solved with a factorisation kept
/// by combination. Fourth-order Runge-Kutta with located switching, shooting over half a cycle. See <c>docs/methods/multi-pulse.md</c>.
/// </summary>
internal sealed class CoupledBridges
{
    // Rough steps to the neighbourhood and for the slopes of the map, exact ones for the orbit.
    private const int RoughSteps = 180;
    private const int ExactSteps = 360;
    private const int SettlingHalves = 4;
    private const int MostRounds = 40;
    private const double Tolerance = 1e-7;
    private readonly RectifierInput input;
    private readonly int bridges;
    private readonly double leakageH;
    private readonly double[] shiftRad;
    private readonly double omega;
    private readonly double phaseV;
    private readonly Dictionary<long, double[,]> inverses = [];
    private readonly int[] sides;
    private readonly double[] slopes;
    private readonly double[] stars;
    private readonly double[] rails;
    private readonly double[] emf;
    private double[,] inverse = new double[0, 0];
    private readonly List<(int Bridge, int Phase)> live = [];
    private readonly List<int> conducting = [];
    private readonly double[] axisCos;
    private readonly double[] axisSin;
    private int stepsInCycle = RoughSteps;

    public CoupledBridges(RectifierInput input, double[] shiftRad, double leakageH)
    {
        this.input = input;
        this.shiftRad = shiftRad;
        this.leakageH = leakageH;
        bridges = shiftRad.Length;
        omega = 2 * Math.PI * input.FrequencyHz;
        phaseV = Math.Sqrt(2.0 / 3) * input.LineVoltageV;
        sides = new int[3 * bridges];
        slopes = new double[(3 * bridges) + 1];
        emf = new double[3 * bridges];
        stars = new double[bridges];
        rails = new double[bridges];
        axisCos = [.. Enumerable.Range(0, sides.Length).Select(x => Math.Cos(Axis(x)))];
        axisSin = [.. Enumerable.Range(0, sides.Length).Select(x => Math.Sin(Axis(x)))];
    }

    /// <summary>A moment: angle, currents of the primary and their slopes, link voltage, sum of the choke currents.</summary>
    internal readonly record struct Moment(double AngleRad, double[] PrimaryA, double[] SlopeAPerRad, double LinkV, double ChokeA);

    /// <summary>One cycle in steady state; null when none was found.</summary>
    public List<Moment>? Run()
    {
        // State: phase currents of every bridge, link voltage.
        var state = new double[(3 * bridges) + 1];
        state[^1] = 0.98 * phaseV * Math.Sqrt(3) * (1 + input.BackgroundV5Pu);
        Array.Clear(sides);
        for (var i = 0; i < SettlingHalves; i++)
        {
            Half(state, 0, null);
            Mirror(state);
        }

        // Chords: the slopes of the half-cycle map are found once and again only when the residual no longer falls.
        double[,]? jacobian = null;
        var last = double.PositiveInfinity;
        for (var round = 0; round < MostRounds; round++)
        {
            var before = (double[])state.Clone();
            var sidesBefore = (int[])sides.Clone();
            stepsInCycle = ExactSteps;
            var image = (double[])state.Clone();
            Half(image, 0, null);
            Mirror(image);
            var sidesAfter = (int[])sides.Clone();
            var residual = Difference(image, before);
            var norm = Norm(residual);
            if (norm < Tolerance)
            {
                image.CopyTo(state, 0);
                var moments = new List<Moment>();
                Half(state, 0, moments);
                Half(state, Math.PI, moments);
                return moments;
            }

            var free = Free();
            if (jacobian is null || norm > 0.5 * last)
            {
                jacobian = Jacobian(before, sidesBefore, free);
            }

            last = norm;
            var step = SmallSolve(jacobian, [.. free.Select(f => -residual[f])]);
            if (step is null || step.Any(s => !double.IsFinite(s)) || round % 10 == 9)
            {
                sidesAfter.CopyTo(sides, 0);
                image.CopyTo(state, 0);
                jacobian = null;
                continue;
            }

            before.CopyTo(state, 0);
            for (var k = 0; k < free.Count; k++)
            {
                Shift(state, free[k], step[k]);
            }

            Reopen(state);
        }

        return null;
    }

    // Slopes of the map of half a cycle less one, by differences on rough steps.
    private double[,] Jacobian(double[] at, int[] sidesAt, List<int> free)
    {
        stepsInCycle = RoughSteps;
        double[] Image(double[] from)
        {
            sidesAt.CopyTo(sides, 0);
            Reopen(from);
            Half(from, 0, null);
            Mirror(from);
            return from;
        }

        var centre = Image((double[])at.Clone());
        var jacobian = new double[free.Count, free.Count];
        for (var k = 0; k < free.Count; k++)
        {
            var moved = (double[])at.Clone();
            var width = free[k] == moved.Length - 1 ? 1e-4 * moved[^1] : 1e-4 * Scale;
            Shift(moved, free[k], width);
            moved = Image(moved);
            for (var r = 0; r < free.Count; r++)
            {
                jacobian[r, k] = ((moved[free[r]] - centre[free[r]]) / width) - (r == k ? 1 : 0);
            }
        }

        return jacobian;
    }

    private double Scale => Math.Max(input.DcLoadW / input.LineVoltageV, 1e-3);

    private List<int> Free()
    {
        var free = new List<int>();
        for (var k = 0; k < bridges; k++)
        {
            free.Add(3 * k);
            free.Add((3 * k) + 1);
        }

        free.Add(3 * bridges);
        return free;
    }

    private static void Shift(double[] state, int index, double by)
    {
        state[index] += by;
        if (index < state.Length - 1)
        {
            // The third phase takes it back.
            state[(3 * (index / 3)) + 2] -= by;
        }
    }

    // Phases that were given a current conduct it.
    private void Reopen(double[] state)
    {
        for (var i = 0; i < sides.Length; i++)
        {
            if (Math.Abs(state[i]) < 1e-12 * Scale)
            {
                state[i] = 0;
            }

            sides[i] = Math.Sign(state[i]);
        }
    }

    private static double[] Difference(double[] image, double[] before) => [.. image.Zip(before, (i, b) => i - b)];

    private double Norm(double[] residual) => Math.Sqrt(residual.Select((r, i) => i == residual.Length - 1 ? Math.Pow(r / phaseV, 2) : Math.Pow(r / Scale, 2)).Sum());

    private void Mirror(double[] state)
    {
        for (var i = 0; i < state.Length - 1; i++)
        {
            state[i] = -state[i];
            sides[i] = -sides[i];
        }
    }

    private void Half(double[] state, double startRad, List<Moment>? moments)
    {
        double angle = startRad, end = startRad + Math.PI;
        var h0 = 2 * Math.PI / stepsInCycle;
        Select();
        Settle(angle, state);
        var k1 = new double[state.Length];
        var k2 = new double[state.Length];
        var k3 = new double[state.Length];
        var k4 = new double[state.Length];
        var tried = new double[state.Length];
        var guardCount = 0;
        while (angle < end - 1e-12 && guardCount++ < 40 * stepsInCycle)
        {
            var h = Math.Min(h0, end - angle);
            Slopes(angle, state, k1);
            if (moments is not null)
            {
                moments.Add(MomentAt(angle, state, k1));
            }

            Advance(angle, state, k1, h, k2, k3, k4, tried);
            var guard = Guard(angle + h, tried, out var phase, out var side);
            if (guard < -1e-9)
            {
                // False position, halved where one end stays, towards the first instant at which something switches.
                double low = 0, high = h, lowGuard = Guard(angle, state, out _, out _), highGuard = guard;
                lowGuard = Math.Max(lowGuard, 1e-9);
                for (var i = 0; i < 40 && high - low > 1e-11 && highGuard < -1e-8; i++)
                {
                    var middle = low + ((high - low) * Math.Clamp(lowGuard / (lowGuard - highGuard), 0.02, 0.98));
                    Advance(angle, state, k1, middle, k2, k3, k4, tried);
                    var there = Guard(angle + middle, tried, out var p, out var s);
                    if (there < -1e-9)
                    {
                        (high, highGuard, phase, side) = (middle, there, p, s);
                        lowGuard *= 0.5;
                    }
                    else
                    {
                        (low, lowGuard) = (middle, Math.Max(there, 1e-12));
                        highGuard *= 0.5;
                    }
                }

                h = high;
                Advance(angle, state, k1, h, k2, k3, k4, tried);
                tried.CopyTo(state, 0);
                angle += h;
                if (moments is not null)
                {
                    Slopes(angle, state, k1);
                    moments.Add(MomentAt(angle, state, k1));
                }

                Switch(state, phase, side);
                Select();
                Settle(angle, state);
                continue;
            }

            tried.CopyTo(state, 0);
            angle += h;
        }

        if (moments is not null)
        {
            Slopes(angle, state, k1);
            moments.Add(MomentAt(angle, state, k1));
        }
    }

    private void Settle(double angle, double[] state)
    {
        for (var i = 0; i < 12; i++)
        {
            var dummy = new double[state.Length];
            Slopes(angle, state, dummy);
            if (GuardNow(state, out var phase, out var side) >= -1e-9)
            {
                return;
            }

            Switch(state, phase, side);
            Select();
        }
    }

    private double Guard(double angle, double[] state, out int phase, out int side)
    {
        var dummy = guardSlopes ??= new double[state.Length];
        Slopes(angle, state, dummy);
        return GuardNow(state, out phase, out side);
    }

    private double[]? guardSlopes;

    // Negative when a diode must change: in parts of the current or of the voltage.
    private double GuardNow(double[] state, out int phase, out int side)
    {
        double worst = double.PositiveInfinity;
        (phase, side) = (0, 0);
        for (var k = 0; k < bridges; k++)
        {
            if (sides[3 * k] == 0 && sides[(3 * k) + 1] == 0 && sides[(3 * k) + 2] == 0)
            {
                int high = 3 * k, low = 3 * k;
                for (var x = (3 * k) + 1; x < (3 * k) + 3; x++)
                {
                    high = emf[x] > emf[high] ? x : high;
                    low = emf[x] < emf[low] ? x : low;
                }

                var open = (state[^1] - (emf[high] - emf[low])) / phaseV;
                if (open < worst)
                {
                    // Both change: the pair is coded as the upper one with the lower one behind it.
                    (worst, phase, side) = (open, (high * 64) + low, 2);
                }

                continue;
            }

            for (var x = 3 * k; x < (3 * k) + 3; x++)
            {
                if (sides[x] != 0)
                {
                    var off = sides[x] * state[x] / Scale;

                    // What has just begun to conduct rises from nothing.
                    if (off < worst && !(off > -1e-7 && sides[x] * slopes[x] > 0))
                    {
                        (worst, phase, side) = (off, x, 0);
                    }

                    continue;
                }

                var volts = emf[x] + stars[k];
                var top = (rails[k] - volts) / phaseV;
                var bottom = volts / phaseV;
                if (top < worst)
                {
                    (worst, phase, side) = (top, x, 1);
                }

                if (bottom < worst)
                {
                    (worst, phase, side) = (bottom, x, -1);
                }
            }
        }

        return worst;
    }

    private void Switch(double[] state, int phase, int side)
    {
        if (side == 2)
        {
            sides[phase / 64] = 1;
            sides[phase % 64] = -1;
            return;
        }

        sides[phase] = side;
        var k = phase / 3;
        if (side == 0)
        {
            state[phase] = 0;
            var span = Enumerable.Range(3 * k, 3).ToArray();
            if (!span.Any(x => sides[x] > 0) || !span.Any(x => sides[x] < 0))
            {
                foreach (var x in span)
                {
                    sides[x] = 0;
                    state[x] = 0;
                }

                return;
            }

            // Round-off must not leave a sum behind.
            var rest = span.Sum(x => state[x]) / span.Count(x => sides[x] != 0);
            foreach (var x in span.Where(x => sides[x] != 0))
            {
                state[x] -= rest;
            }
        }
    }

    // Live phases and conducting bridges of the combination, and the inverse of its matrix.
    private void Select()
    {
        live.Clear();
        conducting.Clear();
        long key = 0;
        for (var i = 0; i < sides.Length; i++)
        {
            key = (3 * key) + sides[i] + 1;
            if (sides[i] != 0)
            {
                live.Add((i / 3, i));
                if (!conducting.Contains(i / 3))
                {
                    conducting.Add(i / 3);
                }
            }
        }

        if (!inverses.TryGetValue(key, out var found))
        {
            inverses[key] = found = Invert();
        }

        inverse = found;
    }

    // Unknown: slope of each live phase (A/s), star potential of each conducting bridge.
    // Row of a phase: (L_k + source through the shift)·di − v_star + (top: L_c·Σdi_top) = e' − r·i − (top: u + R_c·i_d).
    private double[,] Invert()
    {
        var n = live.Count + conducting.Count;
        var matrix = new double[n, n];
        for (var r = 0; r < live.Count; r++)
        {
            var (k, x) = live[r];
            for (var c = 0; c < live.Count; c++)
            {
                var (m, y) = live[c];

                // A current of phase y of bridge m lowers phase x of bridge k by L_s·(2/3)·cos of the angle between their axes.
                matrix[r, c] = input.SourceInductanceH * 2.0 / 3 * Math.Cos(Axis(x) - Axis(y));
                if (x == y)
                {
                    matrix[r, c] += leakageH;
                }

                if (k == m && sides[x] > 0 && sides[y] > 0)
                {
                    matrix[r, c] += input.DcChokeH;
                }
            }

            matrix[r, live.Count + conducting.IndexOf(k)] = -1;
            matrix[live.Count + conducting.IndexOf(k), r] = 1;
        }

        return SmallInverse(matrix);
    }

    // Axis of a phase of a bridge on the primary: its own less the shift.
    private double Axis(int phase) => (phase % 3 * 2 * Math.PI / 3) - shiftRad[phase / 3];

    private void Slopes(double angle, double[] state, double[] into)
    {
        Source(angle, out var sourceRe, out var sourceIm);
        double primaryRe = 0, primaryIm = 0;
        for (var x = 0; x < sides.Length; x++)
        {
            primaryRe += 2.0 / 3 * state[x] * axisCos[x];
            primaryIm += 2.0 / 3 * state[x] * axisSin[x];
        }

        var behindRe = sourceRe - (input.SourceResistanceOhm * primaryRe);
        var behindIm = sourceIm - (input.SourceResistanceOhm * primaryIm);
        var n = live.Count + conducting.Count;
        Span<double> right = stackalloc double[n];
        for (var r = 0; r < live.Count; r++)
        {
            var (k, x) = live[r];
            right[r] = (behindRe * axisCos[x]) + (behindIm * axisSin[x]);
            if (sides[x] > 0)
            {
                double choke = 0;
                for (var y = 3 * k; y < (3 * k) + 3; y++)
                {
                    choke += sides[y] > 0 ? state[y] : 0;
                }

                right[r] -= state[^1] + (input.DcChokeResistanceOhm * choke);
            }
        }

        Array.Clear(slopes);
        Array.Clear(stars);
        for (var r = 0; r < n; r++)
        {
            double sum = 0;
            for (var c = 0; c < live.Count; c++)
            {
                sum += inverse[r, c] * right[c];
            }

            if (r < live.Count)
            {
                slopes[live[r].Phase] = sum;
            }
            else
            {
                stars[conducting[r - live.Count]] = sum;
            }
        }

        // What every phase sees with the slopes known: the source less its drop, and of live ones less their leakage.
        double seenRe = behindRe, seenIm = behindIm;
        for (var r = 0; r < live.Count; r++)
        {
            var x = live[r].Phase;
            var drop = 2.0 / 3 * input.SourceInductanceH * slopes[x];
            seenRe -= drop * axisCos[x];
            seenIm -= drop * axisSin[x];
        }

        double total = 0;
        for (var k = 0; k < bridges; k++)
        {
            double choke = 0, chokeSlope = 0;
            for (var x = 3 * k; x < (3 * k) + 3; x++)
            {
                emf[x] = (seenRe * axisCos[x]) + (seenIm * axisSin[x]);
                if (sides[x] > 0)
                {
                    choke += state[x];
                    chokeSlope += slopes[x];
                }
            }

            rails[k] = state[^1] + (input.DcChokeResistanceOhm * choke) + (input.DcChokeH * chokeSlope);
            total += choke;
        }

        for (var x = 0; x < sides.Length; x++)
        {
            into[x] = slopes[x] / omega;
        }

        into[^1] = (total - LoadA(state[^1])) / (input.DcCapacitanceF * omega);
    }

    private double LoadA(double volts) => input.LoadModel == DcLoadModel.ConstantPower
        ? input.DcLoadW / Math.Max(volts, 0.6 * 0.97 * Math.Sqrt(2) * input.LineVoltageV)
        : volts * input.DcLoadW / Math.Pow(3 * Math.Sqrt(2) / Math.PI * input.LineVoltageV, 2);

    // Space vector of the source, phase A rising through zero at angle 0: −j·e^(jθ) of positive sequences, j·e^(−jθ) of negative ones.
    private void Source(double angle, out double re, out double im)
    {
        var (sine, cosine) = Math.SinCos(angle);
        (re, im) = (phaseV * sine, -phaseV * cosine);
        if (input.UnbalancePu != 0)
        {
            (sine, cosine) = Math.SinCos(angle + input.UnbalanceRad);
            re += phaseV * input.UnbalancePu * sine;
            im += phaseV * input.UnbalancePu * cosine;
        }

        if (input.BackgroundV5Pu != 0)
        {
            (sine, cosine) = Math.SinCos((5 * angle) + input.BackgroundRad);
            re += phaseV * input.BackgroundV5Pu * sine;
            im += phaseV * input.BackgroundV5Pu * cosine;
        }

        if (input.BackgroundV7Pu != 0)
        {
            (sine, cosine) = Math.SinCos((7 * angle) + input.BackgroundRad);
            re += phaseV * input.BackgroundV7Pu * sine;
            im -= phaseV * input.BackgroundV7Pu * cosine;
        }
    }

    private void Advance(double angle, double[] state, double[] k1, double h, double[] k2, double[] k3, double[] k4, double[] into)
    {
        var middle = middleState ??= new double[state.Length];
        void Move(double[] k, double width)
        {
            for (var i = 0; i < state.Length; i++)
            {
                middle[i] = state[i] + (width * k[i]);
            }
        }

        Move(k1, h / 2);
        Slopes(angle + (h / 2), middle, k2);
        Move(k2, h / 2);
        Slopes(angle + (h / 2), middle, k3);
        Move(k3, h);
        Slopes(angle + h, middle, k4);
        for (var i = 0; i < state.Length; i++)
        {
            into[i] = state[i] + (h / 6 * (k1[i] + (2 * k2[i]) + (2 * k3[i]) + k4[i]));
        }
    }

    private double[]? middleState;

    private Moment MomentAt(double angle, double[] state, double[] slope)
    {
        var current = new double[3];
        var rise = new double[3];
        double choke = 0;
        for (var x = 0; x < sides.Length; x++)
        {
            choke += Math.Max(0, state[x]);
            for (var p = 0; p < 3; p++)
            {
                var part = 2.0 / 3 * Math.Cos((p * 2 * Math.PI / 3) - Axis(x));
                current[p] += part * state[x];
                rise[p] += part * slope[x];
            }
        }

        return new Moment(angle, current, rise, state[^1], choke);
    }

    private static double[,] SmallInverse(double[,] matrix)
    {
        var n = matrix.GetLength(0);
        var inverse = new double[n, n];
        for (var c = 0; c < n; c++)
        {
            var unit = new double[n];
            unit[c] = 1;
            var column = SmallSolve(matrix, unit) ?? new double[n];
            for (var r = 0; r < n; r++)
            {
                inverse[r, c] = column[r];
            }
        }

        return inverse;
    }

    // Gauss with row exchange; null when singular.
    private static double[]? SmallSolve(double[,] matrix, double[] right)
    {
        var n = right.Length;
        var a = (double[,])matrix.Clone();
        var b = (double[])right.Clone();
        for (var c = 0; c < n; c++)
        {
            var pivot = c;
            for (var r = c + 1; r < n; r++)
            {
                pivot = Math.Abs(a[r, c]) > Math.Abs(a[pivot, c]) ? r : pivot;
            }

            if (a[pivot, c] == 0)
            {
                return null;
            }

            for (var k = 0; k < n && pivot != c; k++)
            {
                (a[c, k], a[pivot, k]) = (a[pivot, k], a[c, k]);
            }

            (b[c], b[pivot]) = (b[pivot], b[c]);
            for (var r = c + 1; r < n; r++)
            {
                var factor = a[r, c] / a[c, c];
                for (var k = c; k < n && factor != 0; k++)
                {
                    a[r, k] -= factor * a[c, k];
                }

                b[r] -= factor * b[c];
            }
        }

        for (var r = n - 1; r >= 0; r--)
        {
            for (var k = r + 1; k < n; k++)
            {
                b[r] -= a[r, k] * b[k];
            }

            b[r] /= a[r, r];
        }

        return b;
    }
}
