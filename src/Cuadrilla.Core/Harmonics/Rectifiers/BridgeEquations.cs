namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// The differential equations of the bridge in each conduction mode and the quantities whose sign ends a mode.
/// Source: Kirchhoff's laws on the circuit of <see cref="RectifierInput"/>; with n_t phases on the top rail, n_b on the
/// bottom and k = n_t·n_b/(n_t+n_b) the choke current obeys (x + k·x_d)·di/dθ = E_t − k·v − (r + k·r_d)·i, where E_t is
/// the sum of the top EMFs less n_t times the mean of all conducting EMFs.
/// </summary>
internal static class BridgeEquations
{
    /// <summary>Slopes of the state, and the voltage between the rails.</summary>
    public static double Slope(in BridgeCircuit circuit, in ConductionMode mode, double angleRad, in BridgeState state, out BridgeState slope)
    {
        circuit.Emf(angleRad, out var a, out var b, out var c);
        return Slope(circuit, mode, state, a, b, c, out slope, out _);
    }

    /// <summary>
    /// The smallest of the quantities that must stay positive for the mode to last, and which event it announces.
    /// </summary>
    public static double Guard(in BridgeCircuit circuit, in ConductionMode mode, double angleRad, in BridgeState state, out BridgeEvent next)
    {
        circuit.Emf(angleRad, out var a, out var b, out var c);
        if (mode.Freewheel)
        {
            next = new BridgeEvent(BridgeEventKind.FreewheelEnds, 0);
            return state.Choke - state.PositiveSum;
        }

        if (mode.IsBlocking)
        {
            return BlockingGuard(circuit.PhaseCount, state.Voltage, a, b, c, out next);
        }

        var railVoltage = Slope(circuit, mode, state, a, b, c, out _, out var neutral);
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
    public static double GuardOf(in BridgeCircuit circuit, in ConductionMode mode, double angleRad, in BridgeState state, in BridgeEvent watched)
    {
        if (watched.Kind == BridgeEventKind.TurnOff)
        {
            return mode.Of(watched.Phase) * CurrentOf(state, watched.Phase);
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

        var railVoltage = Slope(circuit, mode, state, a, b, c, out _, out var neutral);
        var potential = Pick(watched.Phase, a, b, c) + neutral;
        return watched.Kind switch
        {
            BridgeEventKind.FreewheelStarts => railVoltage,
            BridgeEventKind.TopTurnsOn => railVoltage - potential,
            _ => potential,
        };
    }

    private static double CurrentOf(in BridgeState state, int phase) => Pick(phase, state.A, state.B, state.C);

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

    private static double Slope(
        in BridgeCircuit circuit, in ConductionMode mode, in BridgeState state, double a, double b, double c, out BridgeState slope, out double neutral)
    {
        var r = circuit.ResistancePu;
        var x = circuit.ReactancePu;
        var drain = circuit.LoadCurrent(state.Voltage);
        neutral = 0;
        if (mode.Freewheel)
        {
            var mean = circuit.PhaseCount == 3 ? (a + b + c) / 3 : (a + b) / 2;
            slope = new BridgeState(
                (a - mean - (r * state.A)) / x,
                (b - mean - (r * state.B)) / x,
                (state.Choke - drain) / circuit.SusceptancePu,
                -(state.Voltage + (circuit.ChokeResistancePu * state.Choke)) / circuit.ChokeReactancePu);
            return 0;
        }

        int topCount = 0, bottomCount = 0;
        double topEmf = 0, allEmf = 0, choke = 0;
        Gather(mode.A, a, state.A, ref topCount, ref bottomCount, ref topEmf, ref allEmf, ref choke);
        Gather(mode.B, b, state.B, ref topCount, ref bottomCount, ref topEmf, ref allEmf, ref choke);
        Gather(mode.C, c, state.C, ref topCount, ref bottomCount, ref topEmf, ref allEmf, ref choke);
        if (topCount == 0)
        {
            slope = new BridgeState(0, 0, -drain / circuit.SusceptancePu, 0);
            return state.Voltage;
        }

        double count = topCount + bottomCount;
        var k = topCount * bottomCount / count;
        var drive = topEmf - (topCount / count * allEmf) - (k * state.Voltage) - ((r + (k * circuit.ChokeResistancePu)) * choke);
        var chokeSlope = drive / (x + (k * circuit.ChokeReactancePu));
        var rail = state.Voltage + (circuit.ChokeResistancePu * choke) + (circuit.ChokeReactancePu * chokeSlope);
        neutral = ((topCount * rail) - allEmf) / count;
        slope = new BridgeState(
            PhaseSlope(mode.A, a, state.A, neutral, rail, r, x),
            PhaseSlope(mode.B, b, state.B, neutral, rail, r, x),
            (choke - drain) / circuit.SusceptancePu,
            chokeSlope);
        return rail;
    }

    private static void Gather(
        int side, double emf, double current, ref int topCount, ref int bottomCount, ref double topEmf, ref double allEmf, ref double choke)
    {
        if (side > 0)
        {
            topCount++;
            topEmf += emf;
            allEmf += emf;
            choke += current;
        }
        else if (side < 0)
        {
            bottomCount++;
            allEmf += emf;
        }
    }

    private static double PhaseSlope(int side, double emf, double current, double neutral, double rail, double r, double x) =>
        side == 0 ? 0 : (emf + neutral - (side > 0 ? rail : 0) - (r * current)) / x;
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
