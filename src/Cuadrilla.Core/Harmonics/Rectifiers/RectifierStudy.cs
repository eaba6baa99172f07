using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Line current of a diode front end in its periodic steady state: one bridge, or two or three behind shifted secondaries on one source
/// and one link. See <c>docs/methods/rectifier.md</c> and <c>docs/methods/multi-pulse.md</c>. Valid for ideal diodes, linear inductances
/// and a DC-link capacitor without series resistance; orders above 50 are in the rms only.
/// </summary>
public static class RectifierStudy
{
    /// <summary>Solves one front end.</summary>
    /// <param name="input">Circuit in SI units.</param>
    /// <param name="near">Result of a circuit that hardly differs, where the search may begin; null when none is known.</param>
    /// <returns>A steady state, or the reason why there is none.</returns>
    /// <exception cref="ArgumentOutOfRangeException">An input lies outside the range given in <see cref="RectifierInput"/>.</exception>
    public static RectifierResult Run(RectifierInput input, RectifierResult? near)
    {
        ArgumentNullException.ThrowIfNull(input);
        Validate(input);
        if (input.LoadModel == DcLoadModel.ConstantPower)
        {
            return Solved(FrontCircuit.Of(input), near is RectifierResult.SteadyState { Waveform: OrbitWaveform wave } ? wave.Orbit : null);
        }

        // The resistor that takes the stated mean power: R = mean(v²)/P, found by repetition; v hardly depends on R.
        var noLoad = input.Kind == RectifierKind.SinglePhase ? 1 : Math.Sqrt(3) * (1 + input.UnbalancePu);
        var conductance = 1 / Math.Pow(0.95 * noLoad, 2);
        for (var i = 0; i < 20; i++)
        {
            var circuit = FrontCircuit.Of(input, conductance);
            var emf = circuit.StatedEmf();
            if (circuit.Orbit(emf, null) is not OrbitResult.Settled settled)
            {
                break;
            }

            var next = 1 / settled.Spectra[0].LinkSquare;
            var change = Math.Abs(next - conductance);
            conductance = next;
            if (change < 1e-10 * conductance)
            {
                break;
            }
        }

        return Solved(FrontCircuit.Of(input, conductance), null);
    }

    /// <summary>Solves one front end.</summary>
    /// <param name="input">Circuit in SI units.</param>
    /// <returns>A steady state, or the reason why there is none.</returns>
    /// <exception cref="ArgumentOutOfRangeException">An input lies outside the range given in <see cref="RectifierInput"/>.</exception>
    public static RectifierResult Run(RectifierInput input) => Run(input, null);

    /// <summary>Why a front end, or several that hang close together, have no steady state.</summary>
    /// <param name="input">The circuit, of several the first.</param>
    /// <param name="orbit">What was found.</param>
    /// <param name="links">How many DC links the circuit has.</param>
    internal static RectifierResult.NoSteadyState None(RectifierInput input, OrbitResult orbit, int links = 1) => orbit switch
    {
        OrbitResult.Collapsed => new RectifierResult.NoSteadyState(
            "The supply can't deliver this power through its impedance: the DC-link voltage collapses. Lower the load or the impedance."),
        OrbitResult.Unsettled unsettled when links > 1 => new RectifierResult.NoSteadyState(Reason(
            $"The DC links of {links} unlike front ends on one supply ring against each other's constant-power load.", unsettled.Multiplier)),
        OrbitResult.Unsettled unsettled =>
            new RectifierResult.NoSteadyState(Reason(WhatRings(input), unsettled.Multiplier), () => SettlingCapacitanceF(input)),
        _ => throw new ArgumentOutOfRangeException(nameof(orbit), orbit, "An orbit that was not found."),
    };

    private static RectifierResult Solved(FrontCircuit circuit, OrbitResult.Settled? near)
    {
        var emf = circuit.StatedEmf();
        return circuit.Orbit(emf, near) is var orbit && orbit is OrbitResult.Settled settled
            ? circuit.Result(settled, emf, settled.Spectra[0])
            : None(circuit.Input, orbit);
    }

    private static string WhatRings(RectifierInput input) => input switch
    {
        { Kind: RectifierKind.SinglePhase } =>
            "The reactance and the DC-link capacitor swing against each other: the current settles with even orders or not at all.",
        { Bridges: > 1 } => "The chokes and the DC-link capacitor ring against the load behind the shifted bridges.",
        _ => "The choke and the DC-link capacitor ring at a subharmonic against the constant-power load.",
    };

    private static string Reason(string what, double multiplier) => double.IsNaN(multiplier)
        ? what + " No state repeats itself every cycle."
        : what + FormattableString.Invariant($" A disturbance grows by {multiplier:0.000} each repeat instead of dying out.");

    // Bisection on the logarithm of the capacitance for the smallest one above the given that settles.
    private static double? SettlingCapacitanceF(RectifierInput input)
    {
        bool Settles(double farad)
        {
            var circuit = FrontCircuit.Of(input with { DcCapacitanceF = farad });
            return circuit.Orbit(circuit.StatedEmf(), null, patient: false) is OrbitResult.Settled;
        }

        double low = input.DcCapacitanceF, high = 1.5 * low;
        while (!Settles(high))
        {
            (low, high) = (high, 1.5 * high);
            if (high > 100 * input.DcCapacitanceF)
            {
                return null;
            }
        }

        while (high / low > 1.01)
        {
            var middle = Math.Sqrt(low * high);
            (low, high) = Settles(middle) ? (low, middle) : (middle, high);
        }

        return high;
    }

    private static void Validate(RectifierInput input)
    {
        Positive(input.LineVoltageV, nameof(input.LineVoltageV));
        Positive(input.FrequencyHz, nameof(input.FrequencyHz));
        Positive(input.SourceInductanceH, nameof(input.SourceInductanceH));
        Positive(input.DcCapacitanceF, nameof(input.DcCapacitanceF));
        Positive(input.DcLoadW, nameof(input.DcLoadW));
        NotNegative(input.SourceResistanceOhm, nameof(input.SourceResistanceOhm));
        NotNegative(input.DcChokeH, nameof(input.DcChokeH));
        NotNegative(input.DcChokeResistanceOhm, nameof(input.DcChokeResistanceOhm));
        NotNegative(input.UnbalancePu, nameof(input.UnbalancePu));
        NotNegative(input.LeakageH, nameof(input.LeakageH));
        ArgumentOutOfRangeException.ThrowIfGreaterThan(input.Bridges, 3, nameof(input.Bridges));
        ArgumentOutOfRangeException.ThrowIfLessThan(input.Bridges, 1, nameof(input.Bridges));
        ArgumentOutOfRangeException.ThrowIfGreaterThan(input.UnbalancePu, 0.2, nameof(input.UnbalancePu));
        ArgumentOutOfRangeException.ThrowIfGreaterThan(input.Background.Largest, 0.3, nameof(input.Background));
        ArgumentOutOfRangeException.ThrowIfGreaterThan(Math.Abs(input.LeakageMismatchPu), 0.5, nameof(input.LeakageMismatchPu));
        if (input.Bridges > 1)
        {
            Positive(input.LeakageH, nameof(input.LeakageH));
        }
    }

    private static void Positive(double value, string name)
    {
        if (!(value > 0) || !double.IsFinite(value))
        {
            throw new ArgumentOutOfRangeException(name, value, "must be a number above 0");
        }
    }

    private static void NotNegative(double value, string name)
    {
        if (!(value >= 0) || !double.IsFinite(value))
        {
            throw new ArgumentOutOfRangeException(name, value, "must be a number not below 0");
        }
    }
}
