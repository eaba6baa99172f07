namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Carries the bridge over an angle with the fifth-order Dormand–Prince pair (J. R. Dormand, P. J. Prince, J. Comp. Appl.
/// Math. 6, 1980), step size by the embedded error, each switching instant found as a root of its guard.
/// </summary>
internal sealed class BridgeIntegrator(BridgeCircuit circuit)
{
    private const double LongestStepRad = 2 * Math.PI / 100;
    private const double ShortestStepRad = 1e-9;
    private const double RelativeTolerance = 2e-8;
    private const double GuardTolerance = 1e-11;
    private const int MaxSteps = 20_000;

    private double lastStepRad = 0.01;

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
        BridgeEquations.Slope(circuit, mode, angle, state, out var slope);
        for (var count = 0; count < MaxSteps; count++)
        {
            var remaining = end - angle;
            if (remaining <= 1e-13)
            {
                return state;
            }

            width = Math.Min(Math.Min(width, LongestStepRad), remaining);
            var error = TryStep(mode, angle, state, slope, width, out var next, out var nextSlope);
            if (error > 1 && width > ShortestStepRad)
            {
                width *= Math.Max(0.2, 0.9 * Math.Pow(error, -0.2));
                continue;
            }

            var taken = width;
            var guard = BridgeEquations.Guard(circuit, mode, angle + width, next, out var bridgeEvent);
            var switches = guard < -GuardTolerance;
            if (switches)
            {
                taken = LocateEvent(mode, angle, state, slope, width, guard, out next, out nextSlope, ref bridgeEvent);
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
                BridgeEquations.Slope(circuit, mode, angle, state, out slope);
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
            if (BridgeEquations.Guard(circuit, mode, angle, state, out var bridgeEvent) >= -GuardTolerance)
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
        in ConductionMode mode, double angle, in BridgeState state, in BridgeState slope, double width, double guardAtEnd,
        out BridgeState next, out BridgeState nextSlope, ref BridgeEvent bridgeEvent)
    {
        var end = width;
        while (true)
        {
            end = RootOfGuard(mode, angle, state, slope, end, guardAtEnd, bridgeEvent);
            TryStep(mode, angle, state, slope, end, out next, out nextSlope);
            guardAtEnd = BridgeEquations.Guard(circuit, mode, angle + end, next, out var other);
            if (guardAtEnd >= -10 * GuardTolerance || other == bridgeEvent || end < 1e-14)
            {
                return end;
            }

            bridgeEvent = other;
        }
    }

    // Illinois variant of false position, each trial a fresh step from the same start.
    private double RootOfGuard(
        in ConductionMode mode, double angle, in BridgeState state, in BridgeState slope, double width, double guardAtEnd, in BridgeEvent watched)
    {
        var low = 0.0;
        var lowGuard = BridgeEquations.GuardOf(circuit, mode, angle, state, watched);
        for (var part = width / 2; lowGuard <= GuardTolerance; part /= 8)
        {
            // A diode that has just begun to conduct starts from zero: look for an instant at which it does conduct.
            if (part < 1e-14)
            {
                return 0;
            }

            TryStep(mode, angle, state, slope, part, out var early, out _);
            lowGuard = BridgeEquations.GuardOf(circuit, mode, angle + part, early, watched);
            low = part;
        }

        var high = width;
        var highGuard = guardAtEnd;
        var lastSide = 0;
        for (var i = 0; i < 80; i++)
        {
            var trial = high - (highGuard * (high - low) / (highGuard - lowGuard));
            TryStep(mode, angle, state, slope, trial, out var there, out _);
            var guard = BridgeEquations.GuardOf(circuit, mode, angle + trial, there, watched);
            if (Math.Abs(guard) < GuardTolerance || high - low < 1e-13)
            {
                return trial;
            }

            var side = Math.Sign(guard);
            if (side < 0)
            {
                high = trial;
                highGuard = guard;
                lowGuard *= lastSide == side ? 0.5 : 1;
            }
            else
            {
                low = trial;
                lowGuard = guard;
                highGuard *= lastSide == side ? 0.5 : 1;
            }

            lastSide = side;
        }

        return high;
    }

    private double TryStep(
        in ConductionMode mode, double angle, in BridgeState y, in BridgeState k1, double h, out BridgeState next, out BridgeState k7)
    {
        BridgeEquations.Slope(circuit, mode, angle + (h / 5), y.Plus(h / 5, k1), out var k2);
        BridgeEquations.Slope(circuit, mode, angle + (0.3 * h), y.Plus(h * 3 / 40, k1).Plus(h * 9 / 40, k2), out var k3);
        BridgeEquations.Slope(
            circuit, mode, angle + (0.8 * h), y.Plus(h * 44 / 45, k1).Plus(-h * 56 / 15, k2).Plus(h * 32 / 9, k3), out var k4);
        BridgeEquations.Slope(
            circuit,
            mode,
            angle + (h * 8 / 9),
            y.Plus(h * 19372 / 6561, k1).Plus(-h * 25360 / 2187, k2).Plus(h * 64448 / 6561, k3).Plus(-h * 212 / 729, k4),
            out var k5);
        BridgeEquations.Slope(
            circuit,
            mode,
            angle + h,
            y.Plus(h * 9017 / 3168, k1).Plus(-h * 355 / 33, k2).Plus(h * 46732 / 5247, k3).Plus(h * 49 / 176, k4).Plus(-h * 5103 / 18656, k5),
            out var k6);
        next = y.Plus(h * 35 / 384, k1).Plus(h * 500 / 1113, k3).Plus(h * 125 / 192, k4).Plus(-h * 2187 / 6784, k5).Plus(h * 11 / 84, k6);
        BridgeEquations.Slope(circuit, mode, angle + h, next, out k7);
        var error = default(BridgeState)
            .Plus(h * 71 / 57600, k1).Plus(-h * 71 / 16695, k3).Plus(h * 71 / 1920, k4).Plus(-h * 17253 / 339200, k5).Plus(h * 22 / 525, k6).Plus(-h / 40, k7);
        return error.Largest() / (RelativeTolerance * (1 + Math.Abs(y.Choke)));
    }
}
