using Cuadrilla.Core.Base;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Loads;

/// <summary>
/// Head and shaft power of a fan or pump over its flow at rated speed, all in parts of the rated point; similarity laws carry them to any
/// speed: h(q, n) = n²·c(q/n), P(q, n) = n³·p(q/n). See <c>docs/methods/fluid-machine.md</c>.
/// </summary>
public abstract class MachineCurve
{
    /// <summary>Largest flow at rated speed that the curve describes, parts of the rated.</summary>
    public abstract double RunOutPu { get; }

    /// <summary>Head at rated speed.</summary>
    /// <param name="flowPu">Flow x = q/n.</param>
    public abstract double HeadPu(double flowPu);

    /// <summary>Shaft power at a flow and speed, W.</summary>
    /// <param name="ratedW">Shaft power at the rated point, W.</param>
    /// <param name="machineFlowPu">Flow of the machine.</param>
    /// <param name="speedPu">Speed.</param>
    /// <param name="headPu">Head there.</param>
    public abstract double PowerW(double ratedW, double machineFlowPu, double speedPu, double headPu);

    /// <summary>Shaft power of a machine that turns without delivering anything, W.</summary>
    /// <param name="ratedW">Shaft power at the rated point, W.</param>
    /// <param name="speedPu">Speed.</param>
    public abstract double StillW(double ratedW, double speedPu);

    /// <summary>Speed at which a machine gives a head at a flow of its own.</summary>
    public abstract double SpeedForPu(double machineFlowPu, double headPu);

    /// <summary>Head at a flow and speed.</summary>
    public double HeadAt(double machineFlowPu, double speedPu) => speedPu * speedPu * HeadPu(machineFlowPu / speedPu);

    /// <summary>
    /// Largest flow of the system s + (1−s)·q² that the machine with its share of it gives at a speed; 0 where nothing is delivered.
    /// </summary>
    /// <param name="speedPu">Speed.</param>
    /// <param name="staticFraction">Static part s.</param>
    /// <param name="share">Flow of this machine over the system's flow, above 0.</param>
    public abstract double SystemFlowPu(double speedPu, double staticFraction, double share);

    /// <summary>c = a − (a−1)·x², efficiency x·(2−x): the usual shape of a radial machine.</summary>
    /// <param name="ShutOffPu">Head at no flow a, above 1.</param>
    public sealed class Parabola(double ShutOffPu) : MachineCurve
    {
        /// <inheritdoc/>
        public override double RunOutPu => 1.4;

        /// <inheritdoc/>
        public override double HeadPu(double flowPu) => ShutOffPu - ((ShutOffPu - 1) * flowPu * flowPu);

        /// <summary>q·h/η written without the division 0/0 at no flow.</summary>
        public override double PowerW(double ratedW, double machineFlowPu, double speedPu, double headPu) =>
            ratedW * headPu * speedPu / (2 - (machineFlowPu / speedPu));

        /// <summary>The limit of q·h/η as q goes to 0: a·n³/2.</summary>
        public override double StillW(double ratedW, double speedPu) => ratedW * ShutOffPu * speedPu * speedPu * speedPu / 2;

        /// <inheritdoc/>
        public override double SpeedForPu(double machineFlowPu, double headPu) => PumpPoint.SpeedForPu(machineFlowPu, headPu, ShutOffPu);

        /// <inheritdoc/>
        public override double SystemFlowPu(double speedPu, double staticFraction, double share) =>
            Math.Sqrt(Math.Max(0, ((ShutOffPu * speedPu * speedPu) - staticFraction) / ((1 - staticFraction)
                + ((ShutOffPu - 1) * share * share))));
    }

    /// <summary>A curve by points: head and power linear between them, head falling on beyond the last as between the last two.</summary>
    public sealed class ByPoints : MachineCurve
    {
        private readonly IReadOnlyList<CurvePoint> head;
        private readonly IReadOnlyList<CurvePoint> power;

        /// <summary>The curve.</summary>
        /// <param name="head">Head over flow, ascending in flow, at least two points.</param>
        /// <param name="power">Power over flow, likewise.</param>
        public ByPoints(IReadOnlyList<CurvePoint> head, IReadOnlyList<CurvePoint> power)
        {
            ArgumentNullException.ThrowIfNull(head);
            (this.head, this.power) = (head, power);
        }

        /// <inheritdoc/>
        public override double RunOutPu => head[^1].X;

        /// <inheritdoc/>
        public override double HeadPu(double flowPu) => flowPu <= head[^1].X
            ? Curve.At(head, flowPu)
            : head[^1].Y + (Math.Min(0, (head[^1].Y - head[^2].Y) / (head[^1].X - head[^2].X)) * (flowPu - head[^1].X));

        /// <inheritdoc/>
        public override double PowerW(double ratedW, double machineFlowPu, double speedPu, double headPu) =>
            ratedW * speedPu * speedPu * speedPu * PowerPu(machineFlowPu / speedPu);

        /// <inheritdoc/>
        public override double StillW(double ratedW, double speedPu) => PowerW(ratedW, 0, speedPu, 0);

        /// <summary>Shaft power at rated speed, parts of the rated power.</summary>
        /// <param name="flowPu">Flow.</param>
        public double PowerPu(double flowPu) => Curve.At(power, flowPu);

        /// <inheritdoc/>
        public override double SpeedForPu(double machineFlowPu, double headPu)
        {
            // n²·c(q/n) grows with n as long as c does not rise faster than the square of the flow.
            var high = 1.0;
            while (HeadAt(machineFlowPu, high) < headPu && high < 1e3)
            {
                high *= 2;
            }

            return Halving.Between(high, high / 1e6, n => HeadAt(machineFlowPu, n) >= headPu).Low;
        }

        /// <inheritdoc/>
        public override double SystemFlowPu(double speedPu, double staticFraction, double share)
        {
            double Spare(double q) => HeadAt(q, speedPu) - PumpPoint.SystemHeadPu(q / share, staticFraction);

            // From the far end inwards: of two crossings of a drooping curve the stable one has the larger flow.
            var end = 2 * RunOutPu * speedPu;
            const int steps = 64;
            for (var i = steps - 1; i >= 0; i--)
            {
                var q = end * i / steps;
                if (Spare(q) >= 0)
                {
                    return Halving.Between(q, end * (i + 1) / steps, x => Spare(x) >= 0).Low / share;
                }
            }

            return 0;
        }
    }

    /// <summary>
    /// A pump's curve in parts of its duty point: the speed that gives the rated head at the rated flow, and the curve there; null where
    /// it does not reach so far.
    /// </summary>
    /// <param name="points">At least three, flow ascending.</param>
    /// <param name="ratedFlowM3PerS">Rated flow, m³/s.</param>
    /// <param name="ratedHeadM">Rated head, m.</param>
    public static (double SpeedPu, double Efficiency, ByPoints Curve)? Of(IReadOnlyList<PumpCurvePoint> points, double ratedFlowM3PerS,
        double ratedHeadM)
    {
        ArgumentNullException.ThrowIfNull(points);
        List<CurvePoint> heads = [.. points.Select(p => new CurvePoint(p.FlowM3PerS / ratedFlowM3PerS, p.HeadM / ratedHeadM))];

        // Hydraulic power over efficiency, parts of Q·H of the rated point; at no flow it runs on straight from the two least flows.
        List<CurvePoint> powers = [.. points.Where(p => p is { FlowM3PerS: > 0, Efficiency: > 0 })
            .Select(p => new CurvePoint(p.FlowM3PerS / ratedFlowM3PerS,
                p.FlowM3PerS * p.HeadM / p.Efficiency / (ratedFlowM3PerS * ratedHeadM)))];
        if (heads.Count < 2 || powers.Count < 2)
        {
            return null;
        }

        var slope = (powers[1].Y - powers[0].Y) / (powers[1].X - powers[0].X);
        powers.Insert(0, new CurvePoint(0, Math.Max(powers[0].Y - (slope * powers[0].X), powers[0].Y / 2)));
        var entered = new ByPoints(heads, powers);
        var speed = entered.SpeedForPu(1, 1);
        if (1 / speed > entered.RunOutPu)
        {
            return null;
        }

        var ratedPower = speed * speed * speed * entered.PowerPu(1 / speed);
        return (speed, 1 / ratedPower, new ByPoints(
            [.. heads.Select(p => new CurvePoint(p.X * speed, p.Y * speed * speed))],
            [.. powers.Select(p => new CurvePoint(p.X * speed, p.Y * speed * speed * speed / ratedPower))]));
    }
}
