using Cuadrilla.Core.Numerics;
using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Brakes;

/// <summary>
/// The sequence of a drive with a spring-applied brake in time. Start: magnetise, torque proven, release, speed reference. Stop: below
/// the speed or after the delay, whichever comes first, close; torque until it is closed; off. The brake holds its full torque until its
/// release time has passed and none of it before its closing time has: the worst either way. Between the moments at which something
/// switches the motion is exact for constant torque. See <c>docs/methods/holding-brake.md</c>.
/// </summary>
public sealed class BrakeSequence
{
    private const double StepS = 2.5e-4;
    private const double TorqueLagS = 0.004;
    private const double ControlRadPerS = 50;
    private const double ConfirmS = 0.5;
    private const double WatchS = 1;
    private const int KeptMoments = 500;

    private readonly BrakeMechanics mechanics;
    private readonly BrakeTimes times;
    private readonly BrakeMove move;
    private readonly BrakeFault fault;

    private double time;
    private double phaseSince;
    private BrakePhase phase = BrakePhase.Magnetise;
    private double speed;
    private double position;
    private double motorNm;
    private double integralNm;
    private bool released;
    private double releasedSince = double.NaN;
    private double closedSince = double.NaN;
    private bool clamped = true;
    private bool opened;
    private double stopSince = double.NaN;
    private double offAtM = double.NaN;
    private double rollback;
    private double brakeJ;
    private double clampedAt;

    private BrakeSequence(BrakeMechanics mechanics, BrakeTimes times, BrakeMove move, BrakeFault fault)
    {
        this.mechanics = mechanics;
        this.times = times;
        this.move = move;
        this.fault = fault;
    }

    private double ReleaseS => times.ReleaseS * (fault == BrakeFault.LateRelease ? 3 : 1);

    private double CloseDelayS => fault == BrakeFault.ClosesAtSpeed ? Math.Min(times.CloseDelayS, move.RampS / 4) : times.CloseDelayS;

    /// <summary>Runs it.</summary>
    /// <exception cref="UnfitDataException">Without inertia, brake torque or ramp.</exception>
    public static BrakeSequenceResult Run(BrakeMechanics mechanics, BrakeTimes times, BrakeMove move, BrakeFault fault)
    {
        ArgumentNullException.ThrowIfNull(mechanics);
        ArgumentNullException.ThrowIfNull(times);
        ArgumentNullException.ThrowIfNull(move);
        if (!(mechanics.InertiaKgM2 > 0) || !(times.HoldingNm > 0) || !(move.RampS > 0))
        {
            throw new UnfitDataException("A sequence needs an inertia, a brake torque and a ramp.");
        }

        return new BrakeSequence(mechanics, times, move, fault).Run();
    }

    private BrakeSequenceResult Run()
    {
        var moments = new List<BrakeMoment>();
        var span = mechanics.FluxS + ConfirmS + (2 * move.RampS) + move.TravelS + times.ReleaseS + times.CloseS + WatchS + 2;
        var keepEach = span / KeptMoments;
        var nextKept = 0.0;
        Enter(BrakePhase.Magnetise);
        if (fault == BrakeFault.ReleasedBeforeTorque)
        {
            Command(true);
        }

        double ends = span;
        while (time < ends)
        {
            Leaving.Ask();
            if (time >= nextKept)
            {
                moments.Add(Now());
                nextKept = time + keepEach;
            }

            Decide();
            if (phase is BrakePhase.Off or BrakePhase.HoldAndWarn && ends == span)
            {
                ends = Math.Min(span, time + WatchS);
            }

            Step(NextStep(ends));
        }

        moments.Add(Now());
        var drop = double.IsNaN(offAtM) ? 0 : offAtM - position;
        return new BrakeSequenceResult(moments, rollback, drop, clampedAt, brakeJ, phase,
            Math.Abs(speed) < 1e-3 * Math.Max(1, Math.Abs(move.SpeedRadPerS)));
    }

    private BrakeMoment Now() => new(time, phase, position, speed, motorNm, clamped, released);

    // Up to the next moment at which the brake lets go or grips, so that no such moment falls inside a step.
    private double NextStep(double ends) => EventSteps.Before(
        time, Math.Min(StepS, ends - time), releasedSince + ReleaseS, closedSince + times.CloseS, phaseSince + mechanics.FluxS,
        phaseSince + times.HoldS);

    private void Enter(BrakePhase next)
    {
        phase = next;
        phaseSince = time;
    }

    private void Command(bool on)
    {
        released = on;
        if (on)
        {
            (releasedSince, closedSince) = (time, double.NaN);
        }
        else
        {
            (releasedSince, closedSince) = (double.NaN, time);
        }
    }

    private void Decide()
    {
        const double Now = 1e-12;
        if (released && clamped && time >= releasedSince + ReleaseS - Now)
        {
            clamped = false;
        }

        if (!released && !clamped && fault != BrakeFault.DoesNotClose && time >= closedSince + times.CloseS - Now)
        {
            clamped = true;
            clampedAt = Math.Max(clampedAt, Math.Abs(speed));
        }

        if (fault == BrakeFault.PowerLost && phase == BrakePhase.Move && time >= phaseSince + move.RampS + (move.TravelS / 2))
        {
            TurnOff();
            Command(false);
            return;
        }

        switch (phase)
        {
            case BrakePhase.Magnetise when time >= phaseSince + mechanics.FluxS - Now:
                Enter(BrakePhase.ProveTorque);
                break;
            case BrakePhase.ProveTorque when motorNm >= 0.95 * times.ProvenNm:
                integralNm = motorNm;
                if (!released)
                {
                    Command(true);
                }

                Enter(BrakePhase.Release);
                break;
            case BrakePhase.Release:
                DecideRelease();
                break;
            case BrakePhase.Move when time >= phaseSince + move.RampS + move.TravelS:
                stopSince = time;
                Enter(BrakePhase.Stop);
                break;
            case BrakePhase.Stop when Math.Abs(speed) < times.CloseBelowRadPerS || time >= stopSince + CloseDelayS:
                Command(false);
                Enter(BrakePhase.Close);
                if (fault == BrakeFault.TorqueOffEarly)
                {
                    TurnOff();
                }

                break;
            case BrakePhase.Close:
                DecideClose();
                break;
        }
    }

    private void DecideRelease()
    {
        if (!times.PositionFeedback)
        {
            if (time >= releasedSince + times.SpeedAfterReleaseS)
            {
                Enter(BrakePhase.Move);
            }
        }
        else if (!clamped && fault != BrakeFault.OpenNotConfirmed)
        {
            Enter(BrakePhase.Move);
        }
        else if (time >= releasedSince + (4 * times.ReleaseS) + ConfirmS)
        {
            // Not confirmed: no start. The brake closes again, the motor holds until then.
            Command(false);
            stopSince = time;
            Enter(BrakePhase.Close);
        }
    }

    private void DecideClose()
    {
        if (!times.PositionFeedback)
        {
            if (time >= phaseSince + times.HoldS - 1e-12)
            {
                TurnOff();
            }
        }
        else if (clamped)
        {
            TurnOff();
        }
        else if (time >= closedSince + (4 * times.CloseS) + ConfirmS)
        {
            Enter(BrakePhase.HoldAndWarn);
        }
    }

    private void TurnOff()
    {
        motorNm = 0;
        integralNm = 0;
        offAtM = position;
        Enter(BrakePhase.Off);
    }

    private double ReferenceRadPerS => phase switch
    {
        BrakePhase.Move => move.SpeedRadPerS * Math.Min(1, (time - phaseSince) / move.RampS),
        BrakePhase.Stop or BrakePhase.Close or BrakePhase.HoldAndWarn when opened =>
            move.SpeedRadPerS * Math.Max(0, 1 - ((time - stopSince) / move.RampS)),
        _ => 0,
    };

    // The controller knows its ramp: acceleration is fed forward.
    private double RampRadPerS2 => (phase, opened) switch
    {
        (BrakePhase.Move, _) when time - phaseSince < move.RampS => move.SpeedRadPerS / move.RampS,
        (BrakePhase.Stop or BrakePhase.Close or BrakePhase.HoldAndWarn, true) when time - stopSince < move.RampS =>
            -move.SpeedRadPerS / move.RampS,
        _ => 0,
    };

    private void Step(double h)
    {
        opened |= phase == BrakePhase.Move;
        var torqueBefore = motorNm;
        motorNm += (TorqueReference(h) - motorNm) * (1 - Math.Exp(-h / TorqueLagS));
        if (phase is BrakePhase.Magnetise or BrakePhase.Off)
        {
            motorNm = 0;
        }

        var driving = (0.5 * (torqueBefore + motorNm)) - mechanics.GravityNm;
        var startSpeed = speed;
        if (clamped)
        {
            Clamp(driving, h);
        }
        else
        {
            var acceleration = driving / mechanics.InertiaKgM2;
            Travel(acceleration, h);
        }

        if (phase is BrakePhase.Magnetise or BrakePhase.ProveTorque or BrakePhase.Release
            || (phase == BrakePhase.Move && move.SpeedRadPerS > 0 && startSpeed < 0))
        {
            rollback = Math.Max(rollback, -position);
        }

        time += h;
    }

    // Friction holds what is slower than it can stop within the step; it works against the motion otherwise.
    private void Clamp(double drivingNm, double h)
    {
        var direction = speed != 0 ? Math.Sign(speed) : Math.Sign(drivingNm);
        if (speed == 0 && Math.Abs(drivingNm) <= times.HoldingNm)
        {
            return;
        }

        var acceleration = (drivingNm - (direction * times.HoldingNm)) / mechanics.InertiaKgM2;
        var stopsIn = speed != 0 && acceleration * direction < 0 ? -speed / acceleration : double.PositiveInfinity;
        var part = Math.Min(h, stopsIn);
        var turned = (speed * part) + (0.5 * acceleration * part * part);
        brakeJ += times.HoldingNm * Math.Abs(turned);
        position += turned * mechanics.MPerRad;
        speed = stopsIn <= h ? 0 : speed + (acceleration * part);
    }

    private void Travel(double acceleration, double h)
    {
        position += ((speed * h) + (0.5 * acceleration * h * h)) * mechanics.MPerRad;
        speed += acceleration * h;
    }

    private double TorqueReference(double h)
    {
        switch (phase)
        {
            case BrakePhase.Magnetise or BrakePhase.Off:
                return 0;
            case BrakePhase.ProveTorque:
                return times.ProvenNm;
            default:
                var error = ReferenceRadPerS - speed;
                var gain = mechanics.InertiaKgM2 * ControlRadPerS;
                var raw = (gain * error) + integralNm + (mechanics.InertiaKgM2 * RampRadPerS2);
                var given = Math.Clamp(raw, -mechanics.LargestNm, mechanics.LargestNm);
                if (given == raw && !(clamped && phase == BrakePhase.Release))
                {
                    integralNm += gain * ControlRadPerS / 4 * error * h;
                }

                return given;
        }
    }
}
