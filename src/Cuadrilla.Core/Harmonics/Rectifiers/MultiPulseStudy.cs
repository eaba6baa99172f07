using System.Numerics;
using Cuadrilla.Core.Plant.Network;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Two or three six-pulse bridges behind a transformer that shifts their voltages by ±15° or by +20°, 0° and −20°, on one source and one
/// link: solved together (<see cref="CoupledBridges"/>). Where that finds no steady state, or there is no leakage between them, each bridge is
/// solved by itself with the source lumped into it N times. See <c>docs/methods/multi-pulse.md</c>.
/// </summary>
public static class MultiPulseStudy
{
    private const double Degree = Math.PI / 180;

    /// <summary>Solves it.</summary>
    /// <param name="whole">The converter, with the number of its bridges and their leakage.</param>
    public static RectifierResult Run(RectifierInput whole)
    {
        ArgumentNullException.ThrowIfNull(whole);
        var shared = whole.LoadModel == DcLoadModel.ConstantPower && whole.LeakageH > 0 ? Shared(whole, whole.Bridges, whole.LeakageH) : null;
        return shared ?? Lumped(whole with { Bridges = 1, LeakageH = 0 }, whole.Bridges, whole.LeakageH, RectifierStudy.Run);
    }

    /// <summary>
    /// Each bridge by itself with the unbalanced and distorted voltage that it sees behind its shift: the negative sequence turns the other way, so
    /// that against its own positive sequence it stands at −2δ, the 5th and the 7th at −6δ.
    /// </summary>
    /// <param name="whole">The converter: source per phase, load and capacitance of all, choke of one bridge.</param>
    /// <param name="bridges">2 or 3.</param>
    /// <param name="leakageH">Leakage of the transformer to one secondary, H per phase.</param>
    /// <param name="solver">Solver of one bridge.</param>
    internal static RectifierResult Lumped(RectifierInput whole, int bridges, double leakageH, Func<RectifierInput, RectifierResult> solver)
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

    /// <summary>Solves it with all bridges behind one source; null when no steady state was found.</summary>
    /// <param name="whole">The converter: source per phase, load and capacitance of all, choke of one bridge.</param>
    /// <param name="bridges">2 or 3.</param>
    /// <param name="leakageH">Leakage of the transformer to one secondary, H per phase.</param>
    internal static RectifierResult.SteadyState? Shared(RectifierInput whole, int bridges, double leakageH)
    {
        ArgumentNullException.ThrowIfNull(whole);
        if (new CoupledBridges(whole, [.. Shifts(bridges).Select(s => s * Degree)], leakageH).Run() is not { } moments)
        {
            return null;
        }

        var sums = new Complex[3][];
        for (var p = 0; p < 3; p++)
        {
            sums[p] = Fourier(moments, p);
        }

        var background = (whole.BackgroundV5Pu * whole.BackgroundV5Pu) + (whole.BackgroundV7Pu * whole.BackgroundV7Pu);
        var phases = Enumerable.Range(0, 3).Select(k => Phase(whole, sums[k], k, background)).ToList();
        double volts = 0, choke = 0, chokeSquare = 0;
        for (var i = 1; i < moments.Count; i++)
        {
            var width = (moments[i].AngleRad - moments[i - 1].AngleRad) / (2 * Math.PI);
            volts += width * 0.5 * (moments[i].LinkV + moments[i - 1].LinkV);
            choke += width * 0.5 * (moments[i].ChokeA + moments[i - 1].ChokeA);
            chokeSquare += width * 0.5 * ((moments[i].ChokeA * moments[i].ChokeA) + (moments[i - 1].ChokeA * moments[i - 1].ChokeA));
        }

        return new RectifierResult.SteadyState(
            phases,
            phases.Sum(p => p.TruePowerFactor * p.RmsA * whole.LineVoltageV / Math.Sqrt(3)),
            volts,
            moments.Max(m => m.LinkV) - moments.Min(m => m.LinkV),
            choke,
            Math.Sqrt(chokeSquare / bridges),
            moments.TrueForAll(m => m.ChokeA > 0),
            0,
            new OrderWaveform(phases[0].Orders));
    }

    // j/(√2·π)·∫i·e^(−jhθ)dθ, i between two moments as the cubic of its ends and slopes, three points of Gauss each.
    private static Complex[] Fourier(List<CoupledBridges.Moment> moments, int phase)
    {
        var orders = new Complex[LineCurrent.HighestOrder];
        ReadOnlySpan<double> at = [0.5 - (0.5 * Math.Sqrt(0.6)), 0.5, 0.5 + (0.5 * Math.Sqrt(0.6))];
        ReadOnlySpan<double> weight = [5.0 / 18, 8.0 / 18, 5.0 / 18];
        for (var i = 1; i < moments.Count; i++)
        {
            var (from, to) = (moments[i - 1], moments[i]);
            var width = to.AngleRad - from.AngleRad;
            if (width <= 1e-14)
            {
                continue;
            }

            for (var g = 0; g < 3; g++)
            {
                var t = at[g];
                double t2 = t * t, t3 = t2 * t;
                var value = (((2 * t3) - (3 * t2) + 1) * from.PrimaryA[phase]) + ((t3 - (2 * t2) + t) * width * from.SlopeAPerRad[phase])
                    + (((-2 * t3) + (3 * t2)) * to.PrimaryA[phase]) + ((t3 - t2) * width * to.SlopeAPerRad[phase]);
                var turn = Complex.FromPolarCoordinates(1, -(from.AngleRad + (t * width)));
                var power = Complex.One;
                for (var h = 0; h < orders.Length; h++)
                {
                    power *= turn;
                    orders[h] += weight[g] * width * value * power;
                }
            }
        }

        for (var h = 0; h < orders.Length; h++)
        {
            orders[h] *= new Complex(0, 1 / (Math.Sqrt(2) * Math.PI));
        }

        return orders;
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
        var phases = Enumerable.Range(0, 3).Select(k => Phase(whole, [.. sums.Select(s => s.Phase(k))], k, background)).ToList();
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
        RectifierInput whole, Complex[] orders, int phase, double background)
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
