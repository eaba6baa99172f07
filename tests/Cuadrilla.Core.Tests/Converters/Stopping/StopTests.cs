using Cuadrilla.Catalogue;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Tests.Converters.Stopping;

/// <summary>Stops against closed forms and the conservation of energy.</summary>
public sealed class StopTests
{
    private const double InertiaKgM2 = 12;
    private const double TopRadPerS = 150;
    private static readonly LinkCircuit Link = new(5e-3, 566, 780, 820, 760, null, false);

    [Fact]
    public void Constant_torques_stop_in_J_omega_over_their_sum()
    {
        var run = StopSimulation.Run(Input(load: 40, largest: 160) with { ReturnedW = (_, _) => 0 });
        Assert.Equal(StopEnd.Stopped, run.End);
        Assert.Equal(0.99 * InertiaKgM2 * TopRadPerS / 200, run.TimeS, run.TimeS * 1e-9);
    }

    [Fact]
    public void A_wanted_ramp_is_kept_where_the_link_allows_it()
    {
        var run = StopSimulation.Run(Input(load: 20, largest: 1000) with { WantedS = 12, ReturnedW = (_, _) => 0 });
        Assert.Equal(0.99 * 12, run.TimeS, 9);
    }

    [Fact]
    public void Kinetic_energy_goes_into_motor_and_load()
    {
        var run = StopSimulation.Run(Input(load: 35, largest: 200) with { Link = Link with { ReturnsToLine = true } });
        var kinetic = 0.5 * InertiaKgM2 * TopRadPerS * TopRadPerS * (1 - (0.01 * 0.01));
        Assert.Equal(kinetic, run.MotorJ + run.LoadJ, kinetic * 1e-9);

        // 90 % of what the motor takes comes back, and all of it reaches the line.
        Assert.Equal(0.9 * run.MotorJ, run.ReturnedJ, run.MotorJ * 1e-9);
        Assert.Equal(run.ReturnedJ, run.ToLineJ, run.ReturnedJ * 1e-9);
        Assert.Equal(566, run.HighestLinkV);
    }

    [Fact]
    public void What_a_resistor_does_not_burn_is_in_the_capacitor()
    {
        var run = StopSimulation.Run(Input(load: 0, largest: 100) with { Link = Link with { ResistorOhm = 30 } });
        Assert.Equal(StopEnd.Stopped, run.End);
        var stored = 0.5 * Link.CapacitanceF * ((760.0 * 760) - (566.0 * 566));
        Assert.Equal(run.ReturnedJ - stored, run.BurntJ, run.ReturnedJ * 1e-9);
        Assert.Equal(760, run.HighestLinkV, 6);
    }

    [Fact]
    public void A_resistor_too_large_lets_the_link_trip()
    {
        var run = StopSimulation.Run(Input(load: 0, largest: 100) with { Link = Link with { ResistorOhm = 200 } });
        Assert.Equal(StopEnd.LinkTrips, run.End);
        Assert.Equal(820, run.HighestLinkV, 9);

        // Held by the controller it stops, only later.
        var held = StopSimulation.Run(Input(load: 0, largest: 100) with { Link = Link with { ResistorOhm = 200 }, HoldsLink = true });
        Assert.Equal(StopEnd.Stopped, held.End);
        Assert.True(held.HighestLinkV <= 820 && held.TimeS > 0.99 * InertiaKgM2 * TopRadPerS / 100);
    }

    [Fact]
    public void Losses_alone_stop_it_in_the_time_that_burns_the_energy()
    {
        // The drive loses 900 W whatever it does: braking power is held at 900 W, so t = (½·J·ω² − capacitor)/900.
        var run = StopSimulation.Run(Input(load: 0, largest: 1e6) with { Link = Link, HoldsLink = true,
            ReturnedW = (omega, torque) => (omega * torque) - 900 });
        Assert.Equal(StopEnd.Stopped, run.End);
        var kinetic = 0.5 * InertiaKgM2 * TopRadPerS * TopRadPerS;
        var stored = 0.5 * Link.CapacitanceF * ((780.0 * 780) - (566.0 * 566));
        Assert.Equal((kinetic - stored) / 900, run.TimeS, 0.01 * run.TimeS);
        Assert.InRange(run.HighestLinkV, 566, 781);
    }

    [Fact]
    public void Without_load_or_brake_it_never_stops()
    {
        var run = StopSimulation.Run(Input(load: 0, largest: 0));
        Assert.Equal(StopEnd.NeverStops, run.End);
        Assert.True(double.IsInfinity(run.TimeS));
    }

    [Fact]
    public void A_quadratic_load_coasts_to_a_hundredth_in_ninety_nine_time_constants()
    {
        // J·dω/dt = −k·ω²: t = J/(k·ω₀)·(1/0.01 − 1).
        var k = 50 / (TopRadPerS * TopRadPerS);
        var run = StopSimulation.Run(Input(load: 0, largest: 0) with { LoadNm = omega => k * omega * omega });
        Assert.Equal(InertiaKgM2 / (k * TopRadPerS) * 99, run.TimeS, 0.01 * run.TimeS);
    }

    [Fact]
    public void Direct_current_follows_the_closed_form_where_the_bars_have_no_depth()
    {
        var fitted = CageCircuitFit.Run(ReferenceCatalogue.Data.Motors["cage-4p-ie3-37"].Plate).Circuit;
        var circuit = fitted with { StandstillOhm = fitted.RunningOhm };
        var brake = new DcBrake(circuit, 66);

        // T = 2·T_m/(ν/ν_m + ν_m/ν) with ν_m = R_2/(X_m + X_2).
        var nu = circuit.RunningOhm.Real / (circuit.MagnetisingOhm + circuit.RunningOhm.Imaginary);
        var most = brake.TorqueNm(nu * circuit.SynchronousRadPerS);
        foreach (var part in new[] { 0.01, 0.2, 0.5, 1.0 })
        {
            Assert.Equal(2 * most / ((part / nu) + (nu / part)), brake.TorqueNm(part * circuit.SynchronousRadPerS), most * 1e-9);
        }

        // Twice the current, four times the torque.
        Assert.Equal(4 * brake.TorqueNm(30), new DcBrake(circuit, 132).TorqueNm(30), 9);
    }

    private static StopInput Input(double load, double largest) => new(
        InertiaKgM2, TopRadPerS, _ => load, _ => largest, (omega, torque) => 0.9 * omega * torque, null, Link, false);
}
