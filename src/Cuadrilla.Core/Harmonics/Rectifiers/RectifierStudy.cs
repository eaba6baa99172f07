using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Line current of a diode front end in its periodic steady state. See <c>docs/methods/rectifier.md</c>.
/// Valid for ideal diodes, linear inductances and a link capacitor without series resistance; orders above 50 are in the
/// rms only.
/// </summary>
public static class RectifierStudy
{
    // What does not come near its orbit in so many cycles is no cure to propose.
    private const int SearchPatienceCycles = 20;

    /// <summary>Solves one front end.</summary>
    /// <param name="input">Circuit in SI units.</param>
    /// <param name="near">Result of a circuit that hardly differs, where the search may begin; null when none is known.</param>
    /// <returns>A steady state, or the reason why there is none.</returns>
    /// <exception cref="ArgumentOutOfRangeException">An input lies outside the range given in <see cref="RectifierInput"/>.</exception>
    public static RectifierResult Run(RectifierInput input, RectifierResult? near)
    {
        ArgumentNullException.ThrowIfNull(input);
        Validate(input);
        if (input.Bridges > 1)
        {
            return MultiPulseStudy.Run(input);
        }

        if (input.LoadModel == DcLoadModel.ConstantPower)
        {
            return Scaled(input, Circuit(input, 0), near is RectifierResult.SteadyState { Waveform: BridgeWaveform wave } ? wave.Start : null);
        }

        // The resistor that takes the stated mean power: R = mean(v²)/P, found by repetition; v hardly depends on R.
        var conductance = 1 / Math.Pow(0.95 * Circuit(input, 0).NoLoadVoltagePu, 2);
        var circuit = Circuit(input, conductance);
        for (var i = 0; i < 12; i++)
        {
            if (PeriodicSteadyState.Solve(circuit) is not BridgeOrbit.Settled settled)
            {
                break;
            }

            var next = 1 / new BridgeSpectrum(circuit, settled.Steps).VoltageSquareMeanPu;
            var change = Math.Abs(next - conductance);
            conductance = next;
            circuit = Circuit(input, conductance);
            if (change < 1e-8 * conductance)
            {
                break;
            }
        }

        return Scaled(input, circuit, null);
    }

    /// <summary>Solves one front end.</summary>
    /// <param name="input">Circuit in SI units.</param>
    /// <returns>A steady state, or the reason why there is none.</returns>
    /// <exception cref="ArgumentOutOfRangeException">An input lies outside the range given in <see cref="RectifierInput"/>.</exception>
    public static RectifierResult Run(RectifierInput input) => Run(input, null);

    private static BridgeCircuit Circuit(RectifierInput input, double loadConductancePu)
    {
        var (_, _, impedanceBase) = Bases(input);
        var omega = 2 * Math.PI * input.FrequencyHz;
        var share = input.Kind == RectifierKind.SinglePhase ? 0.5 : 1;
        return new BridgeCircuit(
            input.Kind == RectifierKind.SinglePhase ? 2 : 3,
            share * input.SourceResistanceOhm / impedanceBase,
            share * omega * input.SourceInductanceH / impedanceBase,
            omega * input.DcChokeH / impedanceBase,
            input.DcChokeResistanceOhm / impedanceBase,
            omega * input.DcCapacitanceF * impedanceBase,
            loadConductancePu,
            input.UnbalancePu,
            input.Background,
            input.UnbalanceRad);
    }

    private static (double VoltageV, double CurrentA, double ImpedanceOhm) Bases(RectifierInput input)
    {
        var voltage = input.LineVoltageV * (input.Kind == RectifierKind.SinglePhase ? Math.Sqrt(2) : Math.Sqrt(2.0 / 3));
        var current = input.DcLoadW / voltage;
        return (voltage, current, voltage / current);
    }

    private static RectifierResult Scaled(RectifierInput input, in BridgeCircuit circuit, BridgeState? near)
    {
        var (voltageBase, currentBase, impedanceBase) = Bases(input);
        switch (PeriodicSteadyState.Solve(circuit, near: near))
        {
            case BridgeOrbit.Settled settled:
                return Steady(circuit, settled, voltageBase, currentBase);
            case BridgeOrbit.Unsettled { Multiplier: double.NaN } when input.Kind == RectifierKind.SixPulse && MultiPulseStudy.OneBridge(input, circuit.LoadConductancePu) is { } second:
                // No orbit was found on this way: another solver looks once more before it is said that there is none.
                return second;
            case BridgeOrbit.Unsettled unsettled:
                var (omega, rings) = (2 * Math.PI * input.FrequencyHz, circuit);
                return new RectifierResult.NoSteadyState(Reason(input, unsettled.Multiplier), () => SettlingSusceptance(rings) / (omega * impedanceBase));
            case BridgeOrbit.Collapsed:
                return new RectifierResult.NoSteadyState(
                    "The supply can't deliver this power through its impedance: the link voltage collapses. Lower the load or the impedance.");
            default:
                throw new InvalidOperationException("Unknown orbit.");
        }
    }

    private static string Reason(RectifierInput input, double multiplier)
    {
        var what = input.Kind == RectifierKind.SinglePhase
            ? "The reactance and the link capacitor swing against each other: the current settles with even orders or not at all."
            : "The choke and the link capacitor ring at a subharmonic against the constant-power load.";
        return double.IsNaN(multiplier)
            ? what + " No state repeats itself every cycle."
            : what + FormattableString.Invariant($" A disturbance grows by {multiplier:0.000} each repeat instead of dying out.");
    }

    // Bisection on the logarithm of the capacitance for the smallest one above the given that settles.
    private static double? SettlingSusceptance(in BridgeCircuit circuit)
    {
        var low = circuit.SusceptancePu;
        var high = low;
        do
        {
            low = high;
            high *= 1.5;
            if (high > 100 * circuit.SusceptancePu)
            {
                return null;
            }
        }
        while (PeriodicSteadyState.Solve(circuit with { SusceptancePu = high }, SearchPatienceCycles) is not BridgeOrbit.Settled);

        while (high / low > 1.01)
        {
            var middle = Math.Sqrt(low * high);
            if (PeriodicSteadyState.Solve(circuit with { SusceptancePu = middle }, SearchPatienceCycles) is BridgeOrbit.Settled)
            {
                high = middle;
            }
            else
            {
                low = middle;
            }
        }

        return high;
    }

    private static RectifierResult.SteadyState Steady(in BridgeCircuit circuit, BridgeOrbit.Settled settled, double voltageBase, double currentBase)
    {
        var spectrum = new BridgeSpectrum(circuit, settled.Steps);
        var singlePhase = circuit.PhaseCount == 2;
        var phases = new LineCurrent[spectrum.PhasorsPu.Length];
        var background = circuit.Background.SquareSum;
        for (var phase = 0; phase < phases.Length; phase++)
        {
            var emf = EmfPhasor(circuit, phase);
            var orders = Array.ConvertAll(spectrum.PhasorsPu[phase], p => p * currentBase / Math.Sqrt(2));
            var rmsEmf = Math.Sqrt(((emf.Magnitude * emf.Magnitude) + background) / 2);
            var power = (singlePhase ? 2 : 1) * spectrum.PowerPu[phase];
            phases[phase] = new LineCurrent(
                orders,
                spectrum.RmsPu[phase] * currentBase,
                spectrum.PeakPu[phase] * currentBase,
                Math.Cos(spectrum.PhasorsPu[phase][0].Phase - emf.Phase),
                power / (rmsEmf * spectrum.RmsPu[phase]));
        }

        return new RectifierResult.SteadyState(
            phases,
            spectrum.PowerPu.Sum() * voltageBase * currentBase,
            spectrum.VoltageMeanPu * voltageBase,
            (spectrum.VoltageHighPu - spectrum.VoltageLowPu) * voltageBase,
            spectrum.ChokeMeanPu * currentBase,
            Math.Sqrt(spectrum.ChokeSquareMeanPu) * currentBase,
            spectrum.ChokeLowPu > 0.005 * spectrum.ChokeMeanPu,
            settled.Multiplier,
            new BridgeWaveform(circuit, settled.Steps, currentBase, voltageBase));
    }

    private static Complex EmfPhasor(in BridgeCircuit circuit, int phase)
    {
        if (circuit.PhaseCount == 2)
        {
            return Complex.One;
        }

        var lag = phase * 2 * Math.PI / 3;
        return Complex.FromPolarCoordinates(1, -lag) + (circuit.UnbalancePu * Complex.FromPolarCoordinates(1, circuit.UnbalanceRad + lag));
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
