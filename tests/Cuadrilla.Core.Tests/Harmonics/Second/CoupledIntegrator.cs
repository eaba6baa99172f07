namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>One accepted step, enough to interpolate inside it.</summary>
/// <param name="StartRad">Angle of its start.</param>
/// <param name="WidthRad">Its width.</param>
/// <param name="Start">State at the start.</param>
/// <param name="StartSlope">Slope there.</param>
/// <param name="End">State at the end.</param>
/// <param name="EndSlope">Slope there, before anything switches.</param>
internal readonly record struct CoupledStep(
    double StartRad, double WidthRad, CoupledState Start, CoupledState StartSlope, CoupledState End, CoupledState EndSlope);

/// <summary>
/// Carries coupled bridges over an angle with the fifth-order Dormand–Prince pair, step size by the embedded error. A switching instant is
/// found on the step's own cubic; a fresh step then ends there exactly.
/// </summary>
/// <param name="circuit">The circuit.</param>
internal sealed class CoupledIntegrator(CoupledCircuit circuit)
{
    private const double GuardTolerance = 1e-9;

    // A diode may be this late, far below what a spectrum shows; aimed at is a third of it.
    private const double Overstep = 2e-8;
    private const double Aim = 0.3 * Overstep;
    private const int MostSteps = 20_000;
    private readonly Dictionary<int, CoupledMode> modes = [];

    // A longer step may overlook a bridge that conducts for an instant only.
    private const double LongestBlockedRad = 2 * Math.PI / 300;

    // On the way to the orbit; the steps that are reported are read by quadrature up to order 50.
    private double tolerance = 1e-7;
    private double longestStepRad = 2 * Math.PI / 72;
    private double lastStepRad = 0.02;

    /// <summary>Sides at the end of the last span and at the start of the next.</summary>
    public int[] Sides { get; } = new int[circuit.Phases];

    /// <summary>True when a top rail was met below the bottom rail since <see cref="Refine"/>.</summary>
    public bool ShortedRails { get; private set; }

    /// <summary>From here on steps short and exact enough to be reported.</summary>
    public void Refine() => (tolerance, longestStepRad, ShortedRails) = (2e-8, 2 * Math.PI / 100, false);

    /// <summary>The state after a span; steps are recorded when asked.</summary>
    /// <exception cref="InvalidOperationException">Too stiff, or switching without end.</exception>
    public CoupledState Advance(CoupledState state, double startRad, double spanRad, List<CoupledStep>? steps = null)
    {
        double angle = startRad, end = startRad + spanRad, width = Math.Min(lastStepRad, spanRad);
        var mode = Settled(angle, ref state);
        var slope = Slope(mode, angle, ref state);
        var stalled = 0;
        for (var count = 0; count < MostSteps; count++)
        {
            var remaining = end - angle;
            if (remaining <= 1e-13)
            {
                return state;
            }

            width = Math.Min(Math.Min(width, mode.AnyBlocked ? LongestBlockedRad : longestStepRad), remaining);
            var error = Try(mode, angle, state, slope, width, out var next, out var nextSlope);
            if (!double.IsFinite(error))
            {
                throw new InvalidOperationException("The equations of the coupled bridges leave the range of numbers.");
            }

            if (error > 1 && width > 1e-9)
            {
                width *= Math.Max(0.2, 0.9 * Math.Pow(error, -0.2));
                continue;
            }

            var taken = width;
            var switches = CoupledGuards.Of(circuit, mode, next, nextSlope, out var change) < -GuardTolerance;
            if (switches)
            {
                taken = Locate(mode, angle, state, slope, width, ref next, ref nextSlope, ref change);
            }

            ShortedRails |= steps is not null && CoupledGuards.LowestRail(circuit, mode, next) < -1e-6;
            steps?.Add(new CoupledStep(angle, taken, state, slope, next, nextSlope));
            angle += taken;
            (state, slope) = (next, nextSlope);
            if (switches)
            {
                stalled = taken < 1e-9 ? stalled + 1 : 0;
                if (stalled > 40)
                {
                    throw new InvalidOperationException("The coupled bridges keep switching without advancing.");
                }

                CoupledGuards.Apply(change, Sides, ref state);
                mode = Settled(angle, ref state);
                slope = Slope(mode, angle, ref state);
                width = Math.Max(0.5 * width, 1e-5);
            }
            else
            {
                lastStepRad = Math.Max(taken, 1e-3);
                width *= error > 0 ? Math.Min(4, 0.9 * Math.Pow(error, -0.2)) : 4;
            }
        }

        throw new InvalidOperationException("The equations of the coupled bridges are too stiff to integrate.");
    }

    // After a change the new combination may itself be impossible: change again until it stands.
    private CoupledMode Settled(double angle, ref CoupledState state)
    {
        var mode = ModeOf();
        for (var i = 0; i < 16; i++)
        {
            var slope = Slope(mode, angle, ref state);
            if (CoupledGuards.Of(circuit, mode, state, slope, out var change) >= -GuardTolerance)
            {
                return mode;
            }

            CoupledGuards.Apply(change, Sides, ref state);
            mode = ModeOf();
        }

        return mode;
    }

    private CoupledMode ModeOf()
    {
        var key = 0;
        foreach (var side in Sides)
        {
            key = (3 * key) + side + 1;
        }

        if (!modes.TryGetValue(key, out var mode))
        {
            modes[key] = mode = new CoupledMode(circuit, Sides);
        }

        return mode;
    }

    private CoupledState Slope(CoupledMode mode, double angle, ref CoupledState state)
    {
        SetEmf(angle, ref state);
        var slope = mode.Slopes(state);
        slope[circuit.Phases] -= circuit.LoadCurrent(state[circuit.Phases]) / circuit.Susceptance;
        return slope;
    }

    private void SetEmf(double angle, ref CoupledState state)
    {
        circuit.Emf(angle, out var re, out var im);
        state[circuit.Phases + 1] = re;
        state[circuit.Phases + 2] = im;
    }

    // The root of the margin on the cubic of the step; then steps that end there, corrected with the cubic's slope.
    private double Locate(
        CoupledMode mode, double angle, in CoupledState state, in CoupledState slope, double width, ref CoupledState next,
        ref CoupledState nextSlope, ref CoupledEvent change)
    {
        var step = new CoupledStep(angle, width, state, slope, next, nextSlope);
        var trial = RootOnCubic(mode, step, change, out var rise);
        double low = 0, high = width;
        for (var i = 0; i < 40; i++)
        {
            Try(mode, angle, state, slope, trial, out next, out nextSlope);
            var worst = CoupledGuards.Of(circuit, mode, next, nextSlope, out var nearest);
            if (worst < -Overstep && nearest != change)
            {
                // Another one came first.
                step = new CoupledStep(angle, trial, state, slope, next, nextSlope);
                (low, high, change) = (0, trial, nearest);
                trial = RootOnCubic(mode, step, change, out rise);
                continue;
            }

            var margin = CoupledGuards.Of(circuit, mode, next, change);
            if (margin is >= -Overstep and <= 0 || high - low < 1e-13)
            {
                return trial;
            }

            (low, high) = margin < 0 ? (low, trial) : (trial, high);
            trial -= (margin + Aim) / rise;
            if (!(trial > low && trial < high))
            {
                trial = 0.5 * (low + high);
            }
        }

        return trial;
    }

    // False position, halved where one end stays, on the margin of the change that was found overstepped; and the margin's slope there.
    private double RootOnCubic(CoupledMode mode, in CoupledStep step, in CoupledEvent watched, out double rise)
    {
        // The cubic of a shorter step is truer, by the fourth power.
        var near = Math.Max(0.1 * Overstep, 1e-3 * Math.Pow(step.WidthRad, 4));
        double low = 0, high = 1, trial = 1;
        var lowGuard = Math.Max(CoupledGuards.Of(circuit, mode, step.Start, watched), Overstep);
        var highGuard = Math.Min(CoupledGuards.Of(circuit, mode, step.End, watched), -Overstep);
        for (var i = 0; i < 30 && (high - low) * step.WidthRad > 1e-12; i++)
        {
            trial = low + ((high - low) * Math.Clamp(lowGuard / (lowGuard - highGuard), 0.01, 0.99));
            var guard = OnCubic(mode, step, watched, trial);
            if (Math.Abs(guard) < near)
            {
                break;
            }

            if (guard < 0)
            {
                (high, highGuard, lowGuard) = (trial, guard, 0.5 * lowGuard);
            }
            else
            {
                (low, lowGuard, highGuard) = (trial, guard, 0.5 * highGuard);
            }
        }

        const double glance = 1e-3;
        rise = (OnCubic(mode, step, watched, trial + glance) - OnCubic(mode, step, watched, trial - glance)) / (2 * glance * step.WidthRad);
        return trial * step.WidthRad;
    }

    private double OnCubic(CoupledMode mode, in CoupledStep step, in CoupledEvent watched, double u)
    {
        var between = CoupledState.Between(step.Start, step.StartSlope, step.End, step.EndSlope, step.WidthRad, u);
        if (watched.Side != 0)
        {
            SetEmf(step.StartRad + (u * step.WidthRad), ref between);
        }

        return CoupledGuards.Of(circuit, mode, between, watched);
    }

    private double Try(CoupledMode mode, double angle, in CoupledState y, in CoupledState k1, double h, out CoupledState next,
        out CoupledState k7)
    {
        var s = y.Plus(h / 5, k1);
        var k2 = Slope(mode, angle + (h / 5), ref s);
        s = y.Plus(h * (3.0 / 40), k1).Plus(h * (9.0 / 40), k2);
        var k3 = Slope(mode, angle + (0.3 * h), ref s);
        s = y.Plus(h * (44.0 / 45), k1).Plus(-h * (56.0 / 15), k2).Plus(h * (32.0 / 9), k3);
        var k4 = Slope(mode, angle + (0.8 * h), ref s);
        s = y.Plus(h * (19372.0 / 6561), k1).Plus(-h * (25360.0 / 2187), k2).Plus(h * (64448.0 / 6561), k3).Plus(-h * (212.0 / 729), k4);
        var k5 = Slope(mode, angle + (h * (8.0 / 9)), ref s);
        s = y.Plus(h * (9017.0 / 3168), k1).Plus(-h * (355.0 / 33), k2).Plus(h * (46732.0 / 5247), k3).Plus(h * (49.0 / 176), k4)
            .Plus(-h * (5103.0 / 18656), k5);
        var k6 = Slope(mode, angle + h, ref s);
        next = y.Plus(h * (35.0 / 384), k1).Plus(h * (500.0 / 1113), k3).Plus(h * (125.0 / 192), k4).Plus(-h * (2187.0 / 6784), k5)
            .Plus(h * (11.0 / 84), k6);
        k7 = Slope(mode, angle + h, ref next);
        var error = default(CoupledState)
            .Plus(h * (71.0 / 57600), k1).Plus(-h * (71.0 / 16695), k3).Plus(h * (71.0 / 1920), k4)
            .Plus(-h * (17253.0 / 339200), k5).Plus(h * (22.0 / 525), k6).Plus(-h / 40, k7);
        return error.Largest(circuit.Phases + 1) / (tolerance * (1 + y.Largest(circuit.Phases)));
    }
}
