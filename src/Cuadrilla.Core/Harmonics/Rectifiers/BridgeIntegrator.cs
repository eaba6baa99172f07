namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Carries the bridge over an angle with the fifth-order Dormand–Prince pair (J. R. Dormand, P. J. Prince, J. Comp. Appl.
/// Math. 6, 1980), step size by the embedded error, each switching instant found as a root of its guard.
/// </summary>
/// <param name="circuit">The bridge.</param>
/// <param name="relativeTolerance">Permitted error of a step in parts of the current.</param>
/// <param name="longestStepRad">Longest step; longer ones may overlook a diode that conducts for an instant.</param>
internal sealed class BridgeIntegrator(BridgeCircuit circuit, double relativeTolerance, double longestStepRad)
{
    private const double ShortestStepRad = 1e-9;
    private const double GuardTolerance = 1e-11;
    private const int MaxSteps = 20_000;

    // Over so small an angle a guard is straight.
    private const double Glance = 1e-6;

    private double lastStepRad = 0.01;

    /// <summary>For the orbit that is reported: steps short and exact enough to be interpolated.</summary>
    public static BridgeIntegrator Exact(in BridgeCircuit circuit) => new(circuit, 2e-8, 2 * Math.PI / 100);

    /// <summary>For the way towards the orbit.</summary>
    public static BridgeIntegrator Rough(in BridgeCircuit circuit) => new(circuit, 1e-6, 2 * Math.PI / 36);

    /// <summary>
    /// The state after <paramref name="spanRad"/>. When <paramref name="steps"/> is given each accepted step is recorded.
    /// </summary>
    /// <exception cref="InvalidOperationException">The circuit is so stiff that the step limit is reached.</exception>
    public BridgeState Advance(BridgeState state, double startRad, double spanRad, List<BridgeStep>? steps = null)
    {
        var end = startRad + spanRad;
        var angle = startRad;
        var mode = ModeOf(ref state);
        var width = Math.Min(lastStepRad, spanRad);
        var stalled = 0;
        SettleMode(angle, ref mode, ref state);
        var equations = new ModeEquations(circuit, mode);
        equations.Slope(angle, state, out var slope);
        for (var count = 0; count < MaxSteps; count++)
        {
            var remaining = end - angle;
            if (remaining <= 1e-13)
            {
                return state;
            }

            width = Math.Min(Math.Min(width, longestStepRad), remaining);
            var error = TryStep(equations, angle, state, slope, width, out var next, out var nextSlope);
            if (!double.IsFinite(error))
            {
                throw new InvalidOperationException("The bridge equations leave the range of numbers.");
            }

            if (error > 1 && width > ShortestStepRad)
            {
                width *= Math.Max(0.2, 0.9 * Math.Pow(error, -0.2));
                continue;
            }

            var taken = width;
            var guard = BridgeGuards.Guard(circuit, mode, equations, angle + width, next, out var bridgeEvent);
            var switches = guard < -GuardTolerance;
            if (switches)
            {
                var tried = new BridgeStep { StartAngleRad = angle, WidthRad = width, Start = state, End = next, StartSlope = slope, EndSlope = nextSlope };
                taken = LocateEvent(mode, equations, tried, guard, out next, out nextSlope, ref bridgeEvent);
            }

            steps?.Add(new BridgeStep { StartAngleRad = angle, WidthRad = taken, Start = state, End = next, StartSlope = slope, EndSlope = nextSlope });
            angle += taken;
            state = next;
            slope = nextSlope;
            if (switches)
            {
                stalled = taken < ShortestStepRad ? stalled + 1 : 0;
                if (stalled > 40)
                {
                    throw new InvalidOperationException("The bridge keeps switching without advancing.");
                }

                Apply(bridgeEvent, ref mode, ref state);
                SettleMode(angle, ref mode, ref state);
                equations = new ModeEquations(circuit, mode);
                equations.Slope(angle, state, out slope);
                width = Math.Max(0.25 * width, 1e-6);
            }
            else
            {
                lastStepRad = width;
                width *= error > 0 ? Math.Min(4, 0.9 * Math.Pow(error, -0.2)) : 4;
            }
        }

        throw new InvalidOperationException("The bridge equations are too stiff to integrate.");
    }

    private ConductionMode ModeOf(ref BridgeState state)
    {
        const double nothing = 1e-13;
        var mode = new ConductionMode
        {
            A = Math.Abs(state.A) < nothing ? 0 : Math.Sign(state.A),
            B = Math.Abs(state.B) < nothing ? 0 : Math.Sign(state.B),
            C = Math.Abs(state.C) < nothing ? 0 : Math.Sign(state.C),
        };
        mode.BlockIfOneSided();
        if (circuit.ChokeReactancePu > 0 && state.Choke > state.PositiveSum + 1e-10)
        {
            mode.Freewheel = true;
        }

        Tidy(mode, ref state);
        return mode;
    }

    // After a change the new mode may itself be impossible at this instant: change again until it stands.
    private void SettleMode(double angle, ref ConductionMode mode, ref BridgeState state)
    {
        for (var i = 0; i < 8; i++)
        {
            if (BridgeGuards.Guard(circuit, mode, new ModeEquations(circuit, mode), angle, state, out var bridgeEvent) >= -GuardTolerance)
            {
                return;
            }

            Apply(bridgeEvent, ref mode, ref state);
        }
    }

    private static void Apply(BridgeEvent bridgeEvent, ref ConductionMode mode, ref BridgeState state)
    {
        switch (bridgeEvent.Kind)
        {
            case BridgeEventKind.TurnOff:
                mode.Set(bridgeEvent.Phase, 0);
                mode.BlockIfOneSided();
                break;
            case BridgeEventKind.TopTurnsOn:
                mode.Set(bridgeEvent.Phase, 1);
                break;
            case BridgeEventKind.BottomTurnsOn:
                mode.Set(bridgeEvent.Phase, -1);
                break;
            case BridgeEventKind.PairTurnsOn:
                mode.Set(bridgeEvent.Phase, 1);
                mode.Set(bridgeEvent.BottomPhase, -1);
                break;
            case BridgeEventKind.FreewheelStarts:
                mode.Freewheel = true;
                break;
            default:
                mode.Freewheel = false;
                mode.A = Math.Sign(state.A);
                mode.B = Math.Sign(state.B);
                mode.C = Math.Sign(state.C);
                mode.BlockIfOneSided();
                break;
        }

        Tidy(mode, ref state);
    }

    // Floating phases carry nothing; round-off must not leave a sum of phase currents behind.
    private static void Tidy(in ConductionMode mode, ref BridgeState state)
    {
        if (mode.Freewheel)
        {
            return;
        }

        var a = mode.A == 0 ? 0 : state.A;
        var b = mode.B == 0 ? 0 : state.B;
        var c = mode.C == 0 ? 0 : state.C;
        var active = Math.Abs(mode.A) + Math.Abs(mode.B) + Math.Abs(mode.C);
        var surplus = active == 0 ? 0 : (a + b + c) / active;
        a -= mode.A == 0 ? 0 : surplus;
        b -= mode.B == 0 ? 0 : surplus;
        c -= mode.C == 0 ? 0 : surplus;
        state = new BridgeState(a, b, state.Voltage, Math.Max(a, 0) + Math.Max(b, 0) + Math.Max(c, 0));
    }

    // The earliest switching instant inside a step. The guard that is negative at the end is followed to its root; should
    // another guard be negative there, that one came first.
    private double LocateEvent(
        in ConductionMode mode, in ModeEquations equations, BridgeStep step, double guardAtEnd, out BridgeState next, out BridgeState nextSlope,
        ref BridgeEvent bridgeEvent)
    {
        while (true)
        {
            RootOfGuard(mode, equations, ref step, guardAtEnd, bridgeEvent);
            (next, nextSlope) = (step.End, step.EndSlope);
            guardAtEnd = BridgeGuards.Guard(circuit, mode, equations, step.StartAngleRad + step.WidthRad, next, out var other);
            if (guardAtEnd >= -10 * GuardTolerance || other == bridgeEvent || step.WidthRad < 1e-14)
            {
                return step.WidthRad;
            }

            bridgeEvent = other;
        }
    }

    // Shortens a step until it ends where the guard is zero. The step's own polynomial tells where to try first; then Newton
    // with the slopes at the trial's end, each trial a fresh step from the same start, kept within the bracket by bisection.
    private void RootOfGuard(in ConductionMode mode, in ModeEquations equations, ref BridgeStep step, double guardAtEnd, in BridgeEvent watched)
    {
        var (low, high) = (0.0, step.WidthRad);
        var lowGuard = BridgeGuards.GuardOf(circuit, mode, equations, step.StartAngleRad, step.Start, watched);
        if (lowGuard <= GuardTolerance)
        {
            // A diode that has just begun to conduct starts from zero: look for an instant at which it does conduct.
            (low, lowGuard) = FirstPositive(mode, equations, step, watched);
            if (low == 0)
            {
                Shorten(equations, ref step, 0);
                return;
            }
        }

        var trial = PolynomialRoot(mode, equations, step, low, lowGuard, guardAtEnd, watched);
        for (var i = 0; i < 80; i++)
        {
            Shorten(equations, ref step, trial);
            var end = step.StartAngleRad + trial;
            var guard = BridgeGuards.GuardOf(circuit, mode, equations, end, step.End, watched);
            if (Math.Abs(guard) < GuardTolerance || high - low < 1e-13)
            {
                return;
            }

            (low, high) = guard < 0 ? (low, trial) : (trial, high);
            var ahead = BridgeGuards.GuardOf(circuit, mode, equations, end + Glance, step.End.Plus(Glance, step.EndSlope), watched);
            trial -= guard * Glance / (ahead - guard);
            if (!(trial > low && trial < high))
            {
                trial = 0.5 * (low + high);
            }
        }
    }

    private (double WidthRad, double Guard) FirstPositive(in ConductionMode mode, in ModeEquations equations, in BridgeStep step, in BridgeEvent watched)
    {
        for (var part = step.WidthRad / 2; part > 1e-14; part /= 8)
        {
            TryStep(equations, step.StartAngleRad, step.Start, step.StartSlope, part, out var early, out _);
            var guard = BridgeGuards.GuardOf(circuit, mode, equations, step.StartAngleRad + part, early, watched);
            if (guard > GuardTolerance)
            {
                return (part, guard);
            }
        }

        return (0, 0);
    }

    // Two rounds of false position are near enough for Newton to finish.
    private double PolynomialRoot(
        in ConductionMode mode, in ModeEquations equations, in BridgeStep step, double low, double lowGuard, double highGuard, in BridgeEvent watched)
    {
        var high = step.WidthRad;
        for (var i = 0; i < 2; i++)
        {
            var trial = high - (highGuard * (high - low) / (highGuard - lowGuard));
            var guard = BridgeGuards.GuardOf(
                circuit, mode, equations, step.StartAngleRad + trial, BridgeState.Between(step, trial / step.WidthRad), watched);
            (low, lowGuard, high, highGuard) = guard < 0 ? (low, lowGuard, trial, guard) : (trial, guard, high, highGuard);
        }

        return high - (highGuard * (high - low) / (highGuard - lowGuard));
    }

    private void Shorten(in ModeEquations equations, ref BridgeStep step, double widthRad)
    {
        TryStep(equations, step.StartAngleRad, step.Start, step.StartSlope, widthRad, out var end, out var endSlope);
        step.WidthRad = widthRad;
        step.End = end;
        step.EndSlope = endSlope;
    }

    private double TryStep(
        in ModeEquations equations, double angle, in BridgeState y, in BridgeState k1, double h, out BridgeState next, out BridgeState k7)
    {
        equations.Slope(angle + (h / 5), y.Plus(h / 5, k1), out var k2);
        equations.Slope(angle + (0.3 * h), y.Plus(h * (3.0 / 40), k1).Plus(h * (9.0 / 40), k2), out var k3);
        equations.Slope(angle + (0.8 * h), y.Plus(h * (44.0 / 45), k1).Plus(-h * (56.0 / 15), k2).Plus(h * (32.0 / 9), k3), out var k4);
        equations.Slope(
            angle + (h * (8.0 / 9)),
            y.Plus(h * (19372.0 / 6561), k1).Plus(-h * (25360.0 / 2187), k2).Plus(h * (64448.0 / 6561), k3).Plus(-h * (212.0 / 729), k4),
            out var k5);
        equations.Slope(
            angle + h,
            y.Plus(h * (9017.0 / 3168), k1).Plus(-h * (355.0 / 33), k2).Plus(h * (46732.0 / 5247), k3).Plus(h * (49.0 / 176), k4).Plus(-h * (5103.0 / 18656), k5),
            out var k6);
        next = y.Plus(h * (35.0 / 384), k1).Plus(h * (500.0 / 1113), k3).Plus(h * (125.0 / 192), k4).Plus(-h * (2187.0 / 6784), k5).Plus(h * (11.0 / 84), k6);
        equations.Slope(angle + h, next, out k7);
        var error = default(BridgeState)
            .Plus(h * (71.0 / 57600), k1).Plus(-h * (71.0 / 16695), k3).Plus(h * (71.0 / 1920), k4)
            .Plus(-h * (17253.0 / 339200), k5).Plus(h * (22.0 / 525), k6).Plus(-h / 40, k7);
        return error.Largest() / (relativeTolerance * (1 + Math.Abs(y.Choke)));
    }
}
