namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// The differential equations of the bridge in one conduction mode, everything that does not change within the mode worked
/// out beforehand: they are evaluated some ten thousand times for one spectrum.
/// Source: Kirchhoff's laws on the circuit of <see cref="RectifierInput"/>; with n_t phases on the top rail, n_b on the
/// bottom and k = n_t·n_b/(n_t+n_b) the choke current obeys (x + k·x_d)·di/dθ = E_t − k·v − (r + k·r_d)·i, where E_t is
/// the sum of the top EMFs less n_t times the mean of all conducting EMFs.
/// </summary>
internal readonly struct ModeEquations
{
    private readonly BridgeCircuit circuit;
    private readonly bool freewheel;
    private readonly double topA, topB, topC;
    private readonly double liveA, liveB, liveC;
    private readonly double weightA, weightB, weightC;
    private readonly double topCount;
    private readonly double inverseCount;
    private readonly double pairs;
    private readonly double dropPu;
    private readonly double inverseLoop;
    private readonly double inverseReactance;
    private readonly double inverseSusceptance;

    public ModeEquations(in BridgeCircuit circuit, in ConductionMode mode)
    {
        this.circuit = circuit;
        freewheel = mode.Freewheel;
        inverseReactance = 1 / circuit.ReactancePu;
        inverseSusceptance = 1 / circuit.SusceptancePu;
        (topA, topB, topC) = (mode.A > 0 ? 1 : 0, mode.B > 0 ? 1 : 0, mode.C > 0 ? 1 : 0);
        (liveA, liveB, liveC) = (mode.A != 0 ? 1 : 0, mode.B != 0 ? 1 : 0, mode.C != 0 ? 1 : 0);
        topCount = topA + topB + topC;
        var count = liveA + liveB + liveC;
        inverseCount = count > 0 ? 1 / count : 0;
        pairs = topCount * (count - topCount) * inverseCount;
        dropPu = circuit.ResistancePu + (pairs * circuit.ChokeResistancePu);
        inverseLoop = 1 / (circuit.ReactancePu + (pairs * circuit.ChokeReactancePu));
        var share = topCount * inverseCount;
        (weightA, weightB, weightC) = (topA - (share * liveA), topB - (share * liveB), topC - (share * liveC));
    }

    /// <summary>Slopes of the state at an angle.</summary>
    public void Slope(double angleRad, in BridgeState state, out BridgeState slope)
    {
        circuit.Emf(angleRad, out var a, out var b, out var c);
        if (freewheel)
        {
            Freewheeling(state, a, b, c, out slope);
            return;
        }

        Rails(state, a, b, c, out var rail, out var neutral, out var choke, out var chokeSlope);
        var r = circuit.ResistancePu;
        slope = new BridgeState(
            liveA * (a + neutral - (topA * rail) - (r * state.A)) * inverseReactance,
            liveB * (b + neutral - (topB * rail) - (r * state.B)) * inverseReactance,
            (choke - circuit.LoadCurrent(state.Voltage)) * inverseSusceptance,
            chokeSlope);
    }

    /// <summary>Voltage between the rails and of the star point against the bottom rail; not for freewheeling.</summary>
    public void Rails(in BridgeState state, double a, double b, double c, out double rail, out double neutral) =>
        Rails(state, a, b, c, out rail, out neutral, out _, out _);

    private void Rails(
        in BridgeState state, double a, double b, double c, out double rail, out double neutral, out double choke, out double chokeSlope)
    {
        choke = (topA * state.A) + (topB * state.B) + (topC * state.C);
        var drive = (weightA * a) + (weightB * b) + (weightC * c) - (pairs * state.Voltage) - (dropPu * choke);
        chokeSlope = topCount > 0 ? drive * inverseLoop : 0;
        rail = state.Voltage + (circuit.ChokeResistancePu * choke) + (circuit.ChokeReactancePu * chokeSlope);
        neutral = ((topCount * rail) - (liveA * a) - (liveB * b) - (liveC * c)) * inverseCount;
    }

    private void Freewheeling(in BridgeState state, double a, double b, double c, out BridgeState slope)
    {
        var mean = circuit.PhaseCount == 3 ? (a + b + c) / 3 : (a + b) / 2;
        slope = new BridgeState(
            (a - mean - (circuit.ResistancePu * state.A)) * inverseReactance,
            (b - mean - (circuit.ResistancePu * state.B)) * inverseReactance,
            (state.Choke - circuit.LoadCurrent(state.Voltage)) * inverseSusceptance,
            -(state.Voltage + (circuit.ChokeResistancePu * state.Choke)) / circuit.ChokeReactancePu);
    }
}
