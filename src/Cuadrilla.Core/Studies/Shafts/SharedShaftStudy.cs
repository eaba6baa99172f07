using Cuadrilla.Core.Numerics;
using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Studies.Shafts;

/// <summary>
/// Units on one shaft in time: each a torque loop of first order behind a speed controller (proportional and integral, tuned to the
/// total inertia) as its way of sharing asks, all on one mass or each behind a spring. Fourth-order Runge-Kutta, fixed step. See
/// <c>docs/methods/sharing.md</c>.
/// </summary>
public static class SharedShaftStudy
{
    // Torque loop of a field-oriented drive, and the filter of the torque that droop and trim see.
    private const double TorqueLagS = 0.005;
    private const double FilterS = 0.05;

    // Bandwidth of the speed loop on one mass; behind springs it stays a quarter below their resonance.
    private const double SpeedBandwidthRadPerS = 40;
    private const double LargestStepS = 1e-3;
    private const int KeptMoments = 400;

    /// <summary>Runs it.</summary>
    /// <exception cref="UnfitDataException">A unit without torque or inertia, a shaft without inertia or speed, droop of zero.</exception>
    public static SharingResult Run(SharingInput input)
    {
        ArgumentNullException.ThrowIfNull(input);
        if (input.Units.Count < 2 || input.Units.Any(u => !(u.RatedNm > 0) || !(u.InertiaKgM2 > 0)) || !(input.LoadInertiaKgM2 > 0)
            || !(input.SpeedRadPerS > 0))
        {
            throw new UnfitDataException("A shared shaft needs two units with torque and inertia, an inertia of the load and a speed.");
        }

        if (input.Kind == SharingKind.Droop && input.Units.Any(u => !(u.DroopPct > 0)))
        {
            throw new UnfitDataException("Without droop the share is not determined.");
        }

        var shaft = new Shaft(input);
        var steps = (int)Math.Ceiling(input.SpanS / shaft.StepS);
        var keepEach = Math.Max(1, steps / KeptMoments);
        var moments = new List<SharingMoment>(KeptMoments + 2);
        SharingMoment? loaded = null, lost = null;
        for (var i = 0; i <= steps; i++)
        {
            var time = i * shaft.StepS;
            if (i % keepEach == 0 || i == steps)
            {
                moments.Add(shaft.At(time));
            }

            if (loaded is null && time + shaft.StepS >= input.LostAtS)
            {
                loaded = shaft.At(time);
            }

            if (lost is null && time + shaft.StepS >= input.BackAtS)
            {
                lost = shaft.At(time);
            }

            shaft.Advance(time);
        }

        double[] Pu(SharingMoment m) => [.. m.SharesNm.Select((t, i) => t / input.Units[i].RatedNm)];
        var atLoad = loaded ?? moments[^1];
        var atLoss = lost ?? moments[^1];
        var pu = Pu(atLoad);
        var mean = atLoad.SharesNm.Sum() / input.Units.Sum(u => u.RatedNm);
        return new SharingResult(
            moments,
            100 * pu.Max(p => Math.Abs(p - mean)),
            0.5 * pu.Select((p, i) => Math.Abs(p - mean) * input.Units[i].RatedNm).Sum(),
            pu,
            Pu(atLoss),
            atLoad.SpeedRadPerS / input.SpeedRadPerS,
            atLoss.SpeedRadPerS / input.SpeedRadPerS);
    }

    // State: speed of the load; of each unit its speed, twist, torque, integral, filtered torque and trim.
    private sealed class Shaft
    {
        private const int PerUnit = 6;
        private const int Speed = 0, Twist = 1, Torque = 2, Integral = 3, Filtered = 4, Trim = 5;

        private readonly SharingInput input;
        private readonly double totalInertia;
        private readonly double[] proportional;
        private readonly double[] integral;
        private readonly double[] y;
        private readonly Rk4 runge;

        public Shaft(SharingInput input)
        {
            this.input = input;
            var n = input.Units.Count;
            totalInertia = input.LoadInertiaKgM2 + input.Units.Sum(u => u.InertiaKgM2);
            var bandwidth = SpeedBandwidthRadPerS;
            StepS = LargestStepS;
            if (!input.IsRigid)
            {
                var resonance = input.Units.Max(u =>
                    Math.Sqrt(input.StiffnessNmPerRad * ((1 / u.InertiaKgM2) + (1 / input.LoadInertiaKgM2))));
                var softest = Math.Sqrt(n * input.StiffnessNmPerRad / input.LoadInertiaKgM2);
                bandwidth = Math.Min(bandwidth, softest / 4);
                StepS = Math.Clamp(Math.Min(0.2 / resonance,
                    0.5 * input.Units.Min(u => u.InertiaKgM2) / Math.Max(input.DampingNmSPerRad, 1e-9)), 2e-5, LargestStepS);
            }

            var rated = input.Units.Sum(u => u.RatedNm);
            proportional = [.. input.Units.Select(u => totalInertia * bandwidth * u.RatedNm / rated)];
            integral = [.. proportional.Select(p => p * bandwidth / 4)];
            y = new double[1 + (PerUnit * n)];
            runge = new Rk4(y.Length);

            // At rest with the idle torque shared by rating.
            y[0] = input.SpeedRadPerS;
            for (var i = 0; i < n; i++)
            {
                var share = input.IdleNm * input.Units[i].RatedNm / rated;
                var at = 1 + (PerUnit * i);
                y[at + Speed] = input.SpeedRadPerS;
                y[at + Twist] = input.IsRigid ? 0 : share / input.StiffnessNmPerRad;
                y[at + Torque] = share;
                y[at + Integral] = share;
                y[at + Filtered] = share;
            }
        }

        public double StepS { get; }

        public SharingMoment At(double time)
        {
            var k1 = new double[y.Length];
            Derivatives(time, y, k1);
            var shares = new double[input.Units.Count];
            for (var i = 0; i < shares.Length; i++)
            {
                shares[i] = ShareNm(y, i, k1[0]);
            }

            return new SharingMoment(time, y[0], shares, LoadNm(time), input.LoadInertiaKgM2 * k1[0]);
        }

        public void Advance(double time)
        {
            var h = StepS;
            runge.Step(Derivatives, time, h, y);

            // A unit that is not connected keeps nothing of its controller's past.
            for (var i = 0; i < input.Units.Count; i++)
            {
                if (!Connected(i, time + h))
                {
                    var at = 1 + (PerUnit * i);
                    y[at + Torque] = y[at + Integral] = y[at + Filtered] = y[at + Trim] = 0;
                }
            }
        }

        private double LoadNm(double time) => time < input.StepAtS ? input.IdleNm : input.LoadNm;

        private bool Connected(int unit, double time) => unit != input.LostUnit || time < input.LostAtS || time >= input.BackAtS;

        private double ShareNm(ReadOnlySpan<double> s, int unit, double loadAcceleration)
        {
            var at = 1 + (PerUnit * unit);
            return input.IsRigid
                ? s[at + Torque] - (input.Units[unit].InertiaKgM2 * loadAcceleration)
                : (input.StiffnessNmPerRad * s[at + Twist]) + (input.DampingNmSPerRad * (s[at + Speed] - s[0]));
        }

        private void Derivatives(double time, ReadOnlySpan<double> s, Span<double> d)
        {
            var n = input.Units.Count;
            double sum = 0;
            for (var i = 0; i < n; i++)
            {
                sum += input.IsRigid ? s[1 + (PerUnit * i) + Torque] : ShareNm(s, i, 0);
            }

            d[0] = (sum - LoadNm(time)) / (input.IsRigid ? totalInertia : input.LoadInertiaKgM2);
            double leaderReference = 0;
            for (var i = 0; i < n; i++)
            {
                var at = 1 + (PerUnit * i);
                var unit = input.Units[i];
                var speed = input.IsRigid ? s[0] : s[at + Speed];
                d[at + Speed] = input.IsRigid ? d[0] : (s[at + Torque] - ShareNm(s, i, 0)) / unit.InertiaKgM2;
                d[at + Twist] = input.IsRigid ? 0 : speed - s[0];
                d[at + Filtered] = (s[at + Torque] - s[at + Filtered]) / FilterS;
                d[at + Trim] = 0;
                if (!Connected(i, time))
                {
                    d[at + Torque] = d[at + Integral] = d[at + Filtered] = 0;
                    continue;
                }

                var reference = Reference(i, s, d, speed, leaderReference);
                if (i == 0)
                {
                    leaderReference = reference;
                }

                d[at + Torque] = (reference - s[at + Torque]) / TorqueLagS;
            }
        }

        private double Reference(int i, ReadOnlySpan<double> s, Span<double> d, double speed, double leaderReference)
        {
            var at = 1 + (PerUnit * i);
            var unit = input.Units[i];
            var wanted = input.SpeedRadPerS * (1 + (unit.SpeedErrorPct / 100));
            if (input.Kind == SharingKind.TorqueFollower && i > 0)
            {
                // Within the window it takes the leader's torque in parts of rated; beyond, it keeps its speed.
                var taken = (leaderReference / input.Units[0].RatedNm * unit.RatedNm) + (unit.TorqueErrorPct / 100 * unit.RatedNm);
                var window = input.SpeedRadPerS * input.SpeedWindowPct / 100;
                var beyond = speed - input.SpeedRadPerS > window
                    ? speed - input.SpeedRadPerS - window
                    : Math.Min(0, speed - input.SpeedRadPerS + window);
                d[at + Integral] = 0;
                return Math.Clamp(taken - (proportional[i] * 10 * beyond), -unit.LargestNm, unit.LargestNm);
            }

            var limit = unit.LargestNm;
            if (input.Kind == SharingKind.Droop)
            {
                wanted -= unit.DroopPct / 100 * s[at + Filtered] / unit.RatedNm * input.SpeedRadPerS;
            }
            else if (input.Kind == SharingKind.SpeedTrim && i > 0)
            {
                limit = Math.Min(limit, input.TrimLimitPct / 100 * unit.RatedNm);
                var largest = input.TrimPct / 100 * input.SpeedRadPerS;
                var missing = (s[1 + Filtered] / input.Units[0].RatedNm) - (s[at + Filtered] / unit.RatedNm);
                var trim = s[at + Trim];
                d[at + Trim] = (trim >= largest && missing > 0) || (trim <= -largest && missing < 0)
                    ? 0
                    : 0.02 * input.SpeedRadPerS * missing;
                wanted += trim;
            }

            var error = wanted - speed;
            var raw = (proportional[i] * error) + s[at + Integral];
            var given = Math.Clamp(raw, -limit, limit);

            // The integral stands still while the torque is at its limit and the error asks for more.
            d[at + Integral] = (raw > limit && error > 0) || (raw < -limit && error < 0) ? 0 : integral[i] * error;
            return given;
        }
    }
}
