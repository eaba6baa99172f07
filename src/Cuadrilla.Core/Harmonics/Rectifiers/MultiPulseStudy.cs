using System.Numerics;
using Cuadrilla.Core.Plant.Network;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Two or three six-pulse bridges behind a transformer that shifts their voltages by ±15° or by +20°, 0° and −20°. Each bridge is
/// solved with the unbalanced and distorted voltage that it sees behind its shift: the negative sequence turns the other way, so
/// that against its own positive sequence it stands at −2δ, the 5th and the 7th at −6δ. The source is lumped into each bridge
/// N times, since all draw their power through it, and each has its share of load and capacitor. See
/// <c>docs/methods/multi-pulse.md</c>, which says how far that is from bridges that truly share one source.
/// </summary>
public static class MultiPulseStudy
{
    private const double Degree = Math.PI / 180;

    /// <summary>Solves it.</summary>
    /// <param name="whole">
    /// The converter: source per phase, load and capacitance of all, choke of one bridge.
    /// </param>
    /// <param name="bridges">2 or 3.</param>
    /// <param name="leakageH">Leakage of the transformer to one secondary, H per phase.</param>
    /// <param name="solver">Solver of one bridge, usually one that remembers.</param>
    public static RectifierResult Run(RectifierInput whole, int bridges, double leakageH, Func<RectifierInput, RectifierResult> solver)
    {
        ArgumentNullException.ThrowIfNull(whole);
        ArgumentNullException.ThrowIfNull(solver);
        var results = new List<(double ShiftRad, RectifierResult.SteadyState Steady)>();
        foreach (var shift in Shifts(bridges))
        {
            var rad = shift * Degree;
            var found = solver(whole with
            {
                SourceResistanceOhm = bridges * whole.SourceResistanceOhm,
                SourceInductanceH = (bridges * whole.SourceInductanceH) + leakageH,
                DcCapacitanceF = whole.DcCapacitanceF / bridges,
                DcLoadW = whole.DcLoadW / bridges,
                UnbalanceRad = whole.UnbalancePu == 0 ? 0 : whole.UnbalanceRad - (2 * rad),
                BackgroundRad = whole.BackgroundV5Pu == 0 && whole.BackgroundV7Pu == 0 ? 0 : whole.BackgroundRad - (6 * rad),
            });
            if (found is not RectifierResult.SteadyState steady)
            {
                return found;
            }

            results.Add((rad, steady));
        }

        return Sum(whole, results);
    }

    private static double[] Shifts(int bridges) => bridges switch
    {
        2 => [15, -15],
        3 => [20, 0, -20],
        _ => throw new ArgumentOutOfRangeException(nameof(bridges), bridges, "2 or 3 bridges."),
    };

    private static RectifierResult.SteadyState Sum(RectifierInput whole, List<(double ShiftRad, RectifierResult.SteadyState Steady)> parts)
    {
        var sums = new Sequences[LineCurrent.HighestOrder];
        foreach (var (shift, steady) in parts)
        {
            for (var h = 1; h <= LineCurrent.HighestOrder; h++)
            {
                // The bridge's own time runs ahead by its shift; the transformer turns the two sequences back.
                var own = Sequences.Of(steady.Phases[0].Orders[h - 1], steady.Phases[1].Orders[h - 1], steady.Phases[2].Orders[h - 1]);
                sums[h - 1] += new Sequences(
                    own.Positive * Complex.FromPolarCoordinates(1, (h - 1) * shift),
                    own.Negative * Complex.FromPolarCoordinates(1, (h + 1) * shift));
            }
        }

        var background = (whole.BackgroundV5Pu * whole.BackgroundV5Pu) + (whole.BackgroundV7Pu * whole.BackgroundV7Pu);
        var phases = Enumerable.Range(0, 3).Select(k => Phase(whole, [.. sums.Select(s => s.Phase(k))], k, background, parts)).ToList();
        var dcMean = parts.Sum(p => p.Steady.DcCurrentMeanA);
        return new RectifierResult.SteadyState(
            phases,
            parts.Sum(p => p.Steady.ActivePowerW),
            parts.Average(p => p.Steady.DcVoltageMeanV),
            parts.Max(p => p.Steady.DcVoltageRipplePkPkV),
            dcMean,
            Math.Sqrt(parts.Sum(p => p.Steady.DcCurrentRmsA * p.Steady.DcCurrentRmsA)),
            parts.TrueForAll(p => p.Steady.IsContinuous),
            parts.Max(p => p.Steady.Multiplier),
            new OrderWaveform(phases[0].Orders));
    }

    private static LineCurrent Phase(
        RectifierInput whole, Complex[] orders, int phase, double background, List<(double ShiftRad, RectifierResult.SteadyState Steady)> parts)
    {
        var lag = phase * 2 * Math.PI / 3;
        var emf = Complex.FromPolarCoordinates(1, -lag) + (whole.UnbalancePu * Complex.FromPolarCoordinates(1, whole.UnbalanceRad + lag));
        var rms = Math.Sqrt(orders.Sum(o => (o.Real * o.Real) + (o.Imaginary * o.Imaginary)));
        var volts = whole.LineVoltageV / Math.Sqrt(3);
        var power = volts * (orders[0] * Complex.Conjugate(emf)).Real;
        foreach (var (order, size, sequence) in new[] { (5, whole.BackgroundV5Pu, 1), (7, whole.BackgroundV7Pu, -1) })
        {
            power += volts * size * (orders[order - 1] * Complex.FromPolarCoordinates(1, -(whole.BackgroundRad + (sequence * lag)))).Real;
        }

        return new LineCurrent(
            orders,
            rms,
            new OrderWaveform(orders).PeakA(),
            Math.Cos(orders[0].Phase - emf.Phase),
            power / (volts * Math.Sqrt((emf.Magnitude * emf.Magnitude) + background) * rms));
    }
}
