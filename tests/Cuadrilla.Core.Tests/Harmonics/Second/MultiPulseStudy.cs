using System.Numerics;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>
/// Two or three six-pulse bridges behind a transformer that shifts their voltages by ±15° or by +20°, 0° and −20°, on one source and one
/// link, solved together. See <c>docs/methods/multi-pulse.md</c>.
/// </summary>
internal static class MultiPulseStudy
{
    private const double Degree = Math.PI / 180;

    /// <summary>Solves it.</summary>
    /// <param name="input">Source per phase, load and capacitance of all, choke of one bridge; validated, 2 or 3 bridges.</param>
    public static RectifierResult Run(RectifierInput input)
    {
        if (input.LoadModel == DcLoadModel.ConstantPower)
        {
            return Scaled(input, Circuit(input, 0));
        }

        // The resistor that takes the stated mean power, by repetition as with one bridge.
        var circuit = Circuit(input, 0);
        var conductance = 1 / Math.Pow(0.95 * circuit.NoLoadVoltage, 2);
        for (var i = 0; i < 12; i++)
        {
            circuit = Circuit(input, conductance);
            if (CoupledSteadyState.Solve(circuit) is not CoupledOrbit.Settled settled)
            {
                break;
            }

            var next = 1 / new CoupledSpectrum(circuit, settled.Steps).VoltageSquareMeanPu;
            var change = Math.Abs(next - conductance);
            conductance = next;
            if (change < 1e-8 * conductance)
            {
                break;
            }
        }

        return Scaled(input, Circuit(input, conductance));
    }

    /// <summary>
    /// A single three-phase bridge on this solver: a second way where the other finds no orbit, and a check of it. Null when it finds
    /// none either, or the choke shorts the rails.
    /// </summary>
    /// <param name="input">One bridge, three phases.</param>
    /// <param name="conductancePu">Conductance of a resistive load; 0 for constant power.</param>
    public static RectifierResult.SteadyState? OneBridge(RectifierInput input, double conductancePu)
    {
        var circuit = Circuit(input, conductancePu);
        return CoupledSteadyState.Solve(circuit) is CoupledOrbit.Settled settled ? Steady(input, circuit, settled) : null;
    }

    /// <summary>Shifts of the secondaries, degrees.</summary>
    public static double[] ShiftsDeg(int bridges) => bridges switch
    {
        1 => [0],
        2 => [15, -15],
        3 => [20, 0, -20],
        _ => throw new ArgumentOutOfRangeException(nameof(bridges), bridges, "1 to 3 bridges."),
    };

    private static CoupledCircuit Circuit(RectifierInput input, double conductancePu) =>
        new(input, [.. ShiftsDeg(input.Bridges).Select(s => s * Degree)], conductancePu);

    private static RectifierResult Scaled(RectifierInput input, CoupledCircuit circuit) => CoupledSteadyState.Solve(circuit) switch
    {
        CoupledOrbit.Settled settled => Steady(input, circuit, settled),
        CoupledOrbit.Collapsed => new RectifierResult.NoSteadyState(
            "The supply can't deliver this power through its impedance: the link voltage collapses. Lower the load or the impedance."),
        CoupledOrbit.Unsettled unsettled =>
            new RectifierResult.NoSteadyState(Reason(unsettled.Multiplier), () => SettlingCapacitanceF(input)),
        _ => throw new InvalidOperationException("Unknown orbit."),
    };

    private static string Reason(double multiplier) =>
        "The chokes and the link capacitor ring against the load behind the shifted bridges." + (double.IsNaN(multiplier)
        ? " No state repeats itself every cycle."
        : FormattableString.Invariant($" A disturbance grows by {multiplier:0.000} each half cycle instead of dying out."));

    // The smallest capacitance above the given, within a tenth, at which a state repeats.
    private static double? SettlingCapacitanceF(RectifierInput input)
    {
        bool Settles(double farad) => CoupledSteadyState.Solve(Circuit(input with { DcCapacitanceF = farad }, 0)) is CoupledOrbit.Settled;
        double low = input.DcCapacitanceF, high = 2 * low;
        while (!Settles(high))
        {
            (low, high) = (high, 2 * high);
            if (high > 100 * input.DcCapacitanceF)
            {
                return null;
            }
        }

        while (high / low > 1.1)
        {
            var middle = Math.Sqrt(low * high);
            (low, high) = Settles(middle) ? (low, middle) : (middle, high);
        }

        return high;
    }

    private static RectifierResult.SteadyState Steady(RectifierInput input, CoupledCircuit circuit, CoupledOrbit.Settled settled)
    {
        var spectrum = new CoupledSpectrum(circuit, settled.Steps);
        var phases = new LineCurrent[3];
        for (var p = 0; p < 3; p++)
        {
            var lag = p * 2 * Math.PI / 3;
            var emf = Complex.FromPolarCoordinates(1, -lag)
                + (input.UnbalancePu * Complex.FromPolarCoordinates(1, input.UnbalanceRad + lag));
            var rmsEmf = Math.Sqrt(((emf.Magnitude * emf.Magnitude) + input.Background.SquareSum) / 2);
            var rms = Math.Sqrt(spectrum.SquaresPu[p]);
            phases[p] = new LineCurrent(
                Array.ConvertAll(spectrum.PhasorsPu[p], o => o * circuit.CurrentBaseA / Math.Sqrt(2)),
                rms * circuit.CurrentBaseA,
                spectrum.PeakPu[p] * circuit.CurrentBaseA,
                Math.Cos(spectrum.PhasorsPu[p][0].Phase - emf.Phase),
                spectrum.PowerPu[p] / (rmsEmf * rms));
        }

        return new RectifierResult.SteadyState(
            phases,
            spectrum.PowerPu.Sum() * circuit.VoltageBaseV * circuit.CurrentBaseA,
            spectrum.VoltageMeanPu * circuit.VoltageBaseV,
            (spectrum.VoltageHighPu - spectrum.VoltageLowPu) * circuit.VoltageBaseV,
            spectrum.ChokeMeanPu * circuit.CurrentBaseA,
            Math.Sqrt(spectrum.ChokeSquareMeanPu) * circuit.CurrentBaseA,
            spectrum.ChokeLowPu > 0.005 * spectrum.ChokeMeanPu,
            settled.Multiplier,
            new CoupledWaveform(circuit, settled.Steps));
    }
}
