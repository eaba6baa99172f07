using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Tests.Harmonics.Second;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>
/// The common simplification of multi-pulse converters, as a second way: the source lumped N times into each bridge, which is then solved
/// by the solver of a single bridge.
/// </summary>
internal static class LumpedMultiPulse
{
    /// <summary>
    /// Each bridge by itself with the unbalanced and distorted voltage that it sees behind its shift: the negative sequence turns the
    /// other way, so that against its own positive sequence it stands at −2δ, the 5th and the 7th at −6δ.
    /// </summary>
    /// <param name="whole">The converter: source per phase, load and capacitance of all, choke of one bridge.</param>
    /// <param name="bridges">2 or 3.</param>
    /// <param name="leakageH">Leakage of the transformer to one secondary, H per phase.</param>
    public static RectifierResult Run(RectifierInput whole, int bridges, double leakageH)
    {
        var results = new List<(double ShiftRad, RectifierResult.SteadyState Steady)>();
        foreach (var shift in MultiPulseStudy.ShiftsDeg(bridges))
        {
            var rad = shift * Math.PI / 180;
            var found = RectifierStudy.Run(whole with
            {
                SourceResistanceOhm = bridges * whole.SourceResistanceOhm,
                SourceInductanceH = (bridges * whole.SourceInductanceH) + leakageH,
                DcCapacitanceF = whole.DcCapacitanceF / bridges,
                DcLoadW = whole.DcLoadW / bridges,
                UnbalanceRad = whole.UnbalancePu == 0 ? 0 : whole.UnbalanceRad - (2 * rad),
                Background = HarmonicEmf.Of(h => whole.Background[h] * Complex.FromPolarCoordinates(1, -(h - HarmonicEmf.TurnOf(h)) * rad)),
            });
            if (found is not RectifierResult.SteadyState steady)
            {
                return found;
            }

            results.Add((rad, steady));
        }

        return Sum(whole, results);
    }

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

        var phases = Enumerable.Range(0, 3).Select(k => Phase(whole, [.. sums.Select(s => s.Phase(k))], k)).ToList();
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
        RectifierInput whole, Complex[] orders, int phase)
    {
        var lag = phase * 2 * Math.PI / 3;
        var emf = Complex.FromPolarCoordinates(1, -lag) + (whole.UnbalancePu * Complex.FromPolarCoordinates(1, whole.UnbalanceRad + lag));
        var rms = Math.Sqrt(orders.Sum(o => (o.Real * o.Real) + (o.Imaginary * o.Imaginary)));
        var volts = whole.LineVoltageV / Math.Sqrt(3);
        var power = volts * (orders[0] * Complex.Conjugate(emf)).Real;
        foreach (var order in HarmonicEmf.Orders)
        {
            power += volts * (orders[order - 1] * Complex.Conjugate(whole.Background[order] * Complex.FromPolarCoordinates(1,
                -HarmonicEmf.TurnOf(order) * lag))).Real;
        }

        return new LineCurrent(
            orders,
            rms,
            new OrderWaveform(orders).PeakA(),
            Math.Cos(orders[0].Phase - emf.Phase),
            power / (volts * Math.Sqrt((emf.Magnitude * emf.Magnitude) + whole.Background.SquareSum) * rms));
    }
}
