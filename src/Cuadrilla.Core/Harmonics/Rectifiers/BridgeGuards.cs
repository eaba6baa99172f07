namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// The quantities whose fall below zero ends a conduction mode: a diode's current while it conducts, its blocking voltage
/// while it does not.
/// </summary>
internal static class BridgeGuards
{
    /// <summary>
    /// The smallest of the quantities that must stay positive for the mode to last, and which event it announces.
    /// </summary>
    public static double Guard(
        in BridgeCircuit circuit, in ConductionMode mode, in ModeEquations equations, double angleRad, in BridgeState state, out BridgeEvent next)
    {
        if (mode.Freewheel)
        {
            next = new BridgeEvent(BridgeEventKind.FreewheelEnds, 0);
            return state.Choke - state.PositiveSum;
        }

        circuit.Emf(angleRad, out var a, out var b, out var c);
        if (mode.IsBlocking)
        {
            return BlockingGuard(circuit.PhaseCount, state.Voltage, a, b, c, out next);
        }

        equations.Rails(state, a, b, c, out var railVoltage, out var neutral);
        next = new BridgeEvent(BridgeEventKind.FreewheelStarts, 0);
        var least = circuit.ChokeReactancePu > 0 ? railVoltage : double.PositiveInfinity;
        PhaseGuard(0, mode.A, state.A, a + neutral, railVoltage, ref least, ref next);
        PhaseGuard(1, mode.B, state.B, b + neutral, railVoltage, ref least, ref next);
        if (circuit.PhaseCount == 3)
        {
            PhaseGuard(2, mode.C, state.C, c + neutral, railVoltage, ref least, ref next);
        }

        return least;
    }

    /// <summary>The quantity whose fall below zero is the given event.</summary>
    public static double GuardOf(
        in BridgeCircuit circuit, in ConductionMode mode, in ModeEquations equations, double angleRad, in BridgeState state, in BridgeEvent watched)
    {
        if (watched.Kind == BridgeEventKind.TurnOff)
        {
            return mode.Of(watched.Phase) * Pick(watched.Phase, state.A, state.B, state.C);
        }

        if (watched.Kind == BridgeEventKind.FreewheelEnds)
        {
            return state.Choke - state.PositiveSum;
        }

        circuit.Emf(angleRad, out var a, out var b, out var c);
        if (watched.Kind == BridgeEventKind.PairTurnsOn)
        {
            return state.Voltage - (Pick(watched.Phase, a, b, c) - Pick(watched.BottomPhase, a, b, c));
        }

        equations.Rails(state, a, b, c, out var railVoltage, out var neutral);
        var potential = Pick(watched.Phase, a, b, c) + neutral;
        return watched.Kind switch
        {
            BridgeEventKind.FreewheelStarts => railVoltage,
            BridgeEventKind.TopTurnsOn => railVoltage - potential,
            _ => potential,
        };
    }

    private static double Pick(int phase, double a, double b, double c) => phase switch { 0 => a, 1 => b, _ => c };

    private static void PhaseGuard(
        int phase, int side, double current, double potential, double railVoltage, ref double least, ref BridgeEvent next)
    {
        if (side != 0)
        {
            if (side * current < least)
            {
                least = side * current;
                next = new BridgeEvent(BridgeEventKind.TurnOff, phase);
            }

            return;
        }

        if (railVoltage - potential < least)
        {
            least = railVoltage - potential;
            next = new BridgeEvent(BridgeEventKind.TopTurnsOn, phase);
        }

        if (potential < least)
        {
            least = potential;
            next = new BridgeEvent(BridgeEventKind.BottomTurnsOn, phase);
        }
    }

    private static double BlockingGuard(int phaseCount, double voltage, double a, double b, double c, out BridgeEvent next)
    {
        var top = a >= b ? 0 : 1;
        var bottom = a >= b ? 1 : 0;
        var highest = Math.Max(a, b);
        var lowest = Math.Min(a, b);
        if (phaseCount == 3 && c > highest)
        {
            highest = c;
            top = 2;
        }
        else if (phaseCount == 3 && c < lowest)
        {
            lowest = c;
            bottom = 2;
        }

        next = new BridgeEvent(BridgeEventKind.PairTurnsOn, top, bottom);
        return voltage - (highest - lowest);
    }
}

/// <summary>What ends a conduction mode.</summary>
internal enum BridgeEventKind
{
    TurnOff,
    TopTurnsOn,
    BottomTurnsOn,
    PairTurnsOn,
    FreewheelStarts,
    FreewheelEnds,
}

/// <summary>An event and the phase (for a pair: the top and the bottom phase) that it concerns.</summary>
internal readonly record struct BridgeEvent(BridgeEventKind Kind, int Phase, int BottomPhase = 0);
