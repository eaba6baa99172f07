namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Two or three six-pulse bridges behind shifted secondaries that truly share one source: what one draws lowers the voltage of the
/// others. Each bridge has its leakage, its choke and its conduction; all feed one capacitor. In every combination of conducting diodes the
/// equations are linear in the slopes: phase currents of the live phases and the star potentials, solved with a factorisation kept
/// by combination. Fourth-order Runge-Kutta with located switching, shooting over half a cycle. See <c>docs/methods/multi-pulse.md</c>.
/// </summary>
internal sealed partial class CoupledBridges
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
            var step = SmallLinearSystem.Solve((double[,])jacobian.Clone(), [.. free.Select(f => -residual[f])]);
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
}
