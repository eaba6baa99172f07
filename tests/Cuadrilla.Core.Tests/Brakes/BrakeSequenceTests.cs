using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;

namespace Cuadrilla.Core.Tests.Brakes;

/// <summary>The sequence of a holding brake against free fall, energy and its own promises.</summary>
public sealed class BrakeSequenceTests
{
    // A hanging mass of 1000 kg on a drum of 0.25 m behind a gear of 20: r = 0.0125 m, T_g = m·g·r, J = J_rot + m·r².
    private const double MassKg = 1000, GravityMPerS2 = 9.80665, ArmM = 0.0125, RotorKgM2 = 0.5;
    private static readonly BrakeMechanics Hoist = new(RotorKgM2 + (MassKg * ArmM * ArmM), MassKg * GravityMPerS2 * ArmM, ArmM, 240,
        400, 0.3);
    private static readonly BrakeTimes Times = new(360, 0.12, 0.08, 120, 0.2, 1.5, double.PositiveInfinity, 0.15, true);
    private static readonly BrakeMove Up = new(150, 1.5, 2);
    private static readonly BrakeMove Down = new(-150, 1.5, 2);

    [Fact]
    public void Free_load_rolls_back_by_half_a_t_squared()
    {
        // Released with the start command: free from 0.12 s until the motor is magnetised at 0.3 s.
        var run = BrakeSequence.Run(Hoist, Times with { ProvenNm = 0 }, Up, BrakeFault.ReleasedBeforeTorque);
        var atTorque = run.Moments.Last(m => m.Phase == BrakePhase.Magnetise);
        var a = MassKg * GravityMPerS2 / (MassKg + (RotorKgM2 / (ArmM * ArmM)));

        Assert.Equal(a, Hoist.FallMPerS2, 1e-12);
        Assert.Equal(-0.5 * a * Math.Pow(atTorque.TimeS - 0.12, 2), atTorque.PositionM, Math.Abs(0.001 * atTorque.PositionM));
        Assert.True(run.RollbackM > 0.5 * a * 0.18 * 0.18);
    }

    [Fact]
    public void Torque_off_with_the_close_command_drops_the_load_for_the_closing_time()
    {
        var run = BrakeSequence.Run(Hoist, Times with { CloseBelowRadPerS = 1e-4, CloseDelayS = 20 }, Up with { TravelS = 0.5 },
            BrakeFault.TorqueOffEarly);
        var expected = 0.5 * Hoist.FallMPerS2 * 0.08 * 0.08;

        // What it still falls while the brake grips: the same energy against the brake's surplus.
        var fallen = Hoist.FallMPerS2 * 0.08 / ArmM;
        var gripping = Hoist.InertiaKgM2 * fallen * fallen / 2 / (360 - Hoist.GravityNm) * ArmM;
        Assert.Equal(expected + gripping, run.DropM, 0.001 * (expected + gripping));
    }

    [Fact]
    public void In_order_it_neither_rolls_back_nor_brakes_by_friction()
    {
        var run = BrakeSequence.Run(Hoist, Times, Up, BrakeFault.None);

        Assert.Equal(BrakePhase.Off, run.EndPhase);
        Assert.True(run.HeldAtEnd);
        Assert.True(run.RollbackM < 0.001, $"{run.RollbackM}");
        Assert.True(run.BrakeJ < 0.05 * 0.5 * Hoist.InertiaKgM2 * 150 * 150);
        Assert.Equal(
            [BrakePhase.Magnetise, BrakePhase.ProveTorque, BrakePhase.Release, BrakePhase.Move, BrakePhase.Stop, BrakePhase.Close,
                BrakePhase.Off],
            run.Moments.Select(m => m.Phase).Distinct());
        Assert.Equal((1.5 + 2) * 150 * ArmM, run.Moments[^1].PositionM, 0.05);
    }

    [Fact]
    public void Power_lost_going_down_clamps_with_the_energy_of_speed_and_fall()
    {
        var run = BrakeSequence.Run(Hoist, Times, Down, BrakeFault.PowerLost);

        // v at the grip: v0 + α·t_close; then E = ½Jω²·T_b/(T_b − T_g).
        var speed = 150 + (Hoist.GravityNm / Hoist.InertiaKgM2 * 0.08);
        var work = 0.5 * Hoist.InertiaKgM2 * speed * speed * 360 / (360 - Hoist.GravityNm);
        Assert.Equal(speed, run.ClampedAtRadPerS, 0.005 * speed);
        Assert.Equal(work, run.BrakeJ, 0.01 * work);
        Assert.True(run.HeldAtEnd);
    }

    [Fact]
    public void Power_lost_going_up_takes_less_of_the_brake_than_going_down()
    {
        var up = BrakeSequence.Run(Hoist, Times, Up, BrakeFault.PowerLost);
        var down = BrakeSequence.Run(Hoist, Times, Down, BrakeFault.PowerLost);

        Assert.True(up.BrakeJ < 0.6 * down.BrakeJ);
    }

    [Fact]
    public void A_short_delay_clamps_a_turning_shaft()
    {
        var late = BrakeSequence.Run(Hoist, Times, Down, BrakeFault.None);
        var early = BrakeSequence.Run(Hoist, Times, Down, BrakeFault.ClosesAtSpeed);
        var byDelay = BrakeSequence.Run(Hoist, Times with { CloseDelayS = 0.375 }, Down, BrakeFault.None);

        Assert.True(early.ClampedAtRadPerS > 90, $"{early.ClampedAtRadPerS} {late.ClampedAtRadPerS} {early.BrakeJ} {late.BrakeJ}");
        Assert.Equal(early.ClampedAtRadPerS, byDelay.ClampedAtRadPerS, 1e-9);
        Assert.True(late.ClampedAtRadPerS < 2, $"{late.ClampedAtRadPerS}");
        Assert.True(early.BrakeJ > 20 * late.BrakeJ, $"{early.BrakeJ} {late.BrakeJ}");
    }

    [Fact]
    public void Without_a_position_switch_an_open_brake_drops_the_load()
    {
        var watched = BrakeSequence.Run(Hoist, Times, Up, BrakeFault.DoesNotClose);
        var blind = BrakeSequence.Run(Hoist, Times with { PositionFeedback = false }, Up, BrakeFault.DoesNotClose);

        Assert.Equal(BrakePhase.HoldAndWarn, watched.EndPhase);
        Assert.True(watched.HeldAtEnd);
        Assert.False(blind.HeldAtEnd);
        Assert.True(blind.DropM > 0.5);
    }

    [Fact]
    public void Not_confirmed_open_means_no_start()
    {
        var run = BrakeSequence.Run(Hoist, Times, Up, BrakeFault.OpenNotConfirmed);

        Assert.DoesNotContain(run.Moments, m => m.Phase == BrakePhase.Move);
        Assert.Equal(BrakePhase.Off, run.EndPhase);
        Assert.True(Math.Abs(run.Moments[^1].PositionM) < 0.005);
    }

    [Fact]
    public void A_late_release_holds_the_start_back_with_a_switch_and_drags_without()
    {
        var watched = BrakeSequence.Run(Hoist, Times, Up, BrakeFault.LateRelease);
        var blind = BrakeSequence.Run(Hoist, Times with { PositionFeedback = false }, Up, BrakeFault.LateRelease);

        Assert.True(watched.Moments.First(m => m.Phase == BrakePhase.Move).TimeS > blind.Moments.First(m =>
            m.Phase == BrakePhase.Move).TimeS);
        Assert.Contains(blind.Moments, m => m.Phase == BrakePhase.Move && m.Clamped);
        Assert.DoesNotContain(watched.Moments, m => m.Phase == BrakePhase.Move && m.Clamped);
    }

    [Fact]
    public void A_diode_is_slower_than_a_zener_and_no_coil_current_is_left_out()
    {
        Assert.Equal(0.05 * Math.Log(2.5), CoilCircuit.DelayS(0.05, 0.4, 0), 1e-12);
        Assert.Equal(0.05 * Math.Log(3 / 2.4), CoilCircuit.DelayS(0.05, 0.4, 2), 1e-12);
        Assert.Equal(0, CoilCircuit.DelayS(0.05, 1, 2), 1e-12);
        Assert.Equal(2, CoilCircuit.CurrentA(48, 24));
    }

    [Fact]
    public void Refuses_what_has_no_answer()
    {
        Assert.Throws<UnfitDataException>(() => BrakeSequence.Run(Hoist with { InertiaKgM2 = 0 }, Times, Up, BrakeFault.None));
        Assert.Throws<UnfitDataException>(() => BrakeSequence.Run(Hoist, Times with { HoldingNm = 0 }, Up, BrakeFault.None));
    }
}
