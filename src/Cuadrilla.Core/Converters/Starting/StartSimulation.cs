using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Converters.Starting;

/// <summary>A point of the load's torque over speed.</summary>
/// <param name="SpeedRadPerS">Speed, rad/s.</param>
/// <param name="TorqueNm">Torque, Nm.</param>
public readonly record struct LoadPoint(double SpeedRadPerS, double TorqueNm);

/// <summary>A moment of a start.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="SpeedRadPerS">Speed, rad/s.</param>
/// <param name="LoadTorqueNm">Torque of the load, Nm.</param>
/// <param name="State">The drive.</param>
public readonly record struct StartMoment(double TimeS, double SpeedRadPerS, double LoadTorqueNm, StartState State);

/// <summary>Energies of a start, J. Input = kinetic + load work + all losses.</summary>
/// <param name="InputJ">Electrical, at the bus.</param>
/// <param name="KineticJ">½·J·ω² at the end.</param>
/// <param name="LoadJ">Work on the load.</param>
/// <param name="StatorJ">Heat of the stator winding.</param>
/// <param name="RotorJ">Heat of the rotor.</param>
/// <param name="OtherJ">Heat elsewhere.</param>
public readonly record struct StartEnergy(double InputJ, double KineticJ, double LoadJ, double StatorJ, double RotorJ, double OtherJ)
{
    /// <summary>What the balance leaves over, parts of the input: the error of the integration.</summary>
    public double RestPu => InputJ > 0 ? (InputJ - KineticJ - LoadJ - StatorJ - RotorJ - OtherJ) / InputJ : 0;
}

/// <summary>How a start ended.</summary>
public enum StartEnd
{
    /// <summary>At speed.</summary>
    Reached,

    /// <summary>Torque and load met below the speed: it stays there.</summary>
    Sticks,

    /// <summary>Not within the time looked at.</summary>
    TooLong,
}

/// <summary>
/// A start in time: J·dω/dt = T(t, ω) − T_L(ω), classical Runge-Kutta of fourth order with energies as further states, steps
/// that end at every jump of the torque. See <c>docs/methods/starting.md</c>.
/// </summary>
public static class StartSimulation
{
    private const double LongestS = 600;

    /// <summary>Result.</summary>
    /// <param name="End">How it ended.</param>
    /// <param name="TimeS">Start time, or how long was looked at, s.</param>
    /// <param name="EndRadPerS">Speed at the end, rad/s.</param>
    /// <param name="Moments">Every step.</param>
    /// <param name="Energy">Energies to the end.</param>
    public sealed record Result(StartEnd End, double TimeS, double EndRadPerS, IReadOnlyList<StartMoment> Moments, StartEnergy Energy);

    /// <summary>Runs it.</summary>
    /// <param name="drive">Motor and starter.</param>
    /// <param name="load">Torque over speed, ascending in speed, at least one point.</param>
    /// <param name="inertiaKgM2">All masses at the shaft, kg·m².</param>
    /// <param name="stepS">Step, s.</param>
    /// <exception cref="ArgumentOutOfRangeException">Inertia or step is not above zero.</exception>
    public static Result Run(IStartDrive drive, IReadOnlyList<LoadPoint> load, double inertiaKgM2, double stepS)
    {
        ArgumentNullException.ThrowIfNull(drive);
        ArgumentNullException.ThrowIfNull(load);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(inertiaKgM2);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(stepS);
        var moments = new List<StartMoment>();
        var runge = new Rk4(6);
        double[] now = new double[6], next = new double[6];
        double[] jumps = [.. drive.JumpsS];
        double time = 0;
        Rates At(double t, double omega)
        {
            var loadTorque = TorqueAt(load, omega);
            var state = drive.At(t, omega, loadTorque);

            // At rest a load holds back but does not drive backwards.
            var net = state.TorqueNm - loadTorque;
            return new Rates(omega <= 0 && net < 0 ? 0 : net / inertiaKgM2, state, loadTorque);
        }

        // Speed, then energies: input, load, stator, rotor, other.
        void Slopes(double t, ReadOnlySpan<double> y, Span<double> slopes)
        {
            var (acceleration, state, loadTorque) = At(t, y[0]);
            (slopes[0], slopes[1], slopes[2]) = (acceleration, state.InputW, acceleration == 0 && y[0] <= 0 ? 0 : loadTorque * y[0]);
            (slopes[3], slopes[4], slopes[5]) = (state.StatorLossW, state.RotorLossW, state.OtherLossW);
        }

        void Move(double step)
        {
            now.CopyTo(next, 0);
            runge.Step(Slopes, time, step, next);
            next[0] = Math.Max(0, next[0]);
        }

        while (true)
        {
            var rates = At(time, now[0]);
            moments.Add(new StartMoment(time, now[0], rates.LoadTorqueNm, rates.Drive));
            if (time >= LongestS)
            {
                return End(StartEnd.TooLong, time, now, moments, inertiaKgM2);
            }

            // It would take more than a thousand seconds from here: it stands.
            if (time >= drive.SettledAtS && Math.Abs(rates.Acceleration) < 1e-3 * drive.TargetRadPerS && now[0] < drive.TargetRadPerS)
            {
                return End(StartEnd.Sticks, time, now, moments, inertiaKgM2);
            }

            var step = EventSteps.Before(time, stepS, jumps);
            Move(step);
            if (next[0] >= drive.TargetRadPerS)
            {
                // The moment between: a step of its own that ends at the speed.
                var part = EventSteps.Reaching(step, now[0], next[0], drive.TargetRadPerS, p =>
                {
                    Move(p);
                    return (next[0], At(time + p, next[0]).Acceleration);
                });
                Move(part);
                var last = At(time + part, next[0]);
                moments.Add(new StartMoment(time + part, next[0], last.LoadTorqueNm, last.Drive));
                return End(StartEnd.Reached, time + part, next, moments, inertiaKgM2);
            }

            (now, next) = (next, now);
            time += step;
        }
    }

    /// <summary>A step that resolves a start of about so many seconds.</summary>
    public static double StepFor(double expectedS) => Math.Clamp(expectedS / 400, 1e-3, 0.05);

    private static Result End(StartEnd end, double time, double[] state, List<StartMoment> moments, double inertia) => new(
        end, time, state[0], moments, new StartEnergy(state[1], inertia * state[0] * state[0] / 2, state[2], state[3], state[4], state[5]));

    /// <summary>Torque of a curve at a speed, straight between its points, held at its ends.</summary>
    internal static double TorqueAt(IReadOnlyList<LoadPoint> load, double omega)
    {
        if (omega <= load[0].SpeedRadPerS)
        {
            return load[0].TorqueNm;
        }

        for (var i = 1; i < load.Count; i++)
        {
            if (omega <= load[i].SpeedRadPerS)
            {
                var (from, to) = (load[i - 1], load[i]);
                return from.TorqueNm + ((to.TorqueNm - from.TorqueNm) * (omega - from.SpeedRadPerS)
                    / (to.SpeedRadPerS - from.SpeedRadPerS));
            }
        }

        return load[^1].TorqueNm;
    }

    private readonly record struct Rates(double Acceleration, StartState Drive, double LoadTorqueNm);
}
