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
        var now = new State(0, default);
        double time = 0;
        Rates At(double t, double omega)
        {
            var loadTorque = TorqueAt(load, omega);
            var state = drive.At(t, omega, loadTorque);

            // At rest a load holds back but does not drive backwards.
            var net = state.TorqueNm - loadTorque;
            var acceleration = omega <= 0 && net < 0 ? 0 : net / inertiaKgM2;
            return new Rates(
                acceleration, new StartEnergy(state.InputW, 0, acceleration == 0 && omega <= 0 ? 0 : loadTorque * omega, state.StatorLossW, state.RotorLossW, state.OtherLossW), state, loadTorque);
        }

        while (true)
        {
            var rates = At(time, now.Omega);
            moments.Add(new StartMoment(time, now.Omega, rates.LoadTorqueNm, rates.Drive));
            if (time >= LongestS)
            {
                return End(StartEnd.TooLong, time, now, moments, inertiaKgM2);
            }

            // It would take more than a thousand seconds from here: it stands.
            if (time >= drive.SettledAtS && Math.Abs(rates.Acceleration) < 1e-3 * drive.TargetRadPerS && now.Omega < drive.TargetRadPerS)
            {
                return End(StartEnd.Sticks, time, now, moments, inertiaKgM2);
            }

            var step = StepTo(time, stepS, drive.JumpsS);
            var next = RungeKutta(now, time, step, At);
            if (next.Omega >= drive.TargetRadPerS)
            {
                // The moment between: a step of its own that ends at the speed.
                var part = step * (drive.TargetRadPerS - now.Omega) / (next.Omega - now.Omega);
                for (var i = 0; i < 3; i++)
                {
                    next = RungeKutta(now, time, part, At);
                    var slope = Math.Max(At(time + part, next.Omega).Acceleration, 1e-12);
                    part = Math.Clamp(part + ((drive.TargetRadPerS - next.Omega) / slope), 0, step);
                }

                next = RungeKutta(now, time, part, At);
                var last = At(time + part, next.Omega);
                moments.Add(new StartMoment(time + part, next.Omega, last.LoadTorqueNm, last.Drive));
                return End(StartEnd.Reached, time + part, next, moments, inertiaKgM2);
            }

            now = next;
            time += step;
        }
    }

    /// <summary>A step that resolves a start of about so many seconds.</summary>
    public static double StepFor(double expectedS) => Math.Clamp(expectedS / 400, 1e-3, 0.05);

    private static Result End(StartEnd end, double time, State state, List<StartMoment> moments, double inertia) => new(
        end, time, state.Omega, moments, state.Energy with { KineticJ = inertia * state.Omega * state.Omega / 2 });

    private static double StepTo(double time, double step, IReadOnlyList<double> jumps)
    {
        foreach (var jump in jumps)
        {
            if (jump > time + 1e-9 && jump < time + step)
            {
                return jump - time;
            }
        }

        return step;
    }

    // Inside a step that begins at a jump the law after it holds, so the first evaluation looks a hair beyond.
    private static State RungeKutta(State from, double time, double step, Func<double, double, Rates> at)
    {
        const double hair = 1e-9;
        var a = at(time + Math.Min(hair, step / 2), from.Omega);
        var b = at(time + (step / 2), from.Omega + (a.Acceleration * step / 2));
        var c = at(time + (step / 2), from.Omega + (b.Acceleration * step / 2));
        var d = at(time + Math.Max(step - hair, step / 2), from.Omega + (c.Acceleration * step));
        double Sum(Func<Rates, double> of) => step / 6 * (of(a) + (2 * of(b)) + (2 * of(c)) + of(d));
        var e = from.Energy;
        return new State(
            Math.Max(0, from.Omega + Sum(r => r.Acceleration)),
            new StartEnergy(
                e.InputJ + Sum(r => r.Power.InputJ), 0, e.LoadJ + Sum(r => r.Power.LoadJ), e.StatorJ + Sum(r => r.Power.StatorJ),
                e.RotorJ + Sum(r => r.Power.RotorJ), e.OtherJ + Sum(r => r.Power.OtherJ)));
    }

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
                return from.TorqueNm + ((to.TorqueNm - from.TorqueNm) * (omega - from.SpeedRadPerS) / (to.SpeedRadPerS - from.SpeedRadPerS));
            }
        }

        return load[^1].TorqueNm;
    }

    private readonly record struct State(double Omega, StartEnergy Energy);

    private readonly record struct Rates(double Acceleration, StartEnergy Power, StartState Drive, double LoadTorqueNm);
}
