using System.Numerics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Tests.Converters.Starting;

public sealed class StartTests
{
    private static readonly MotorPlate Plate = ReferenceCatalogue.Data.Motors["cage-4p-ie3-90"].Plate;
    private static readonly CageCircuit Circuit = CageCircuitFit.Run(Plate).Circuit;
    private static readonly StartBus Stiff = new(400, Complex.Zero, Complex.Zero);
    private static readonly StartBus Weak = new(400, new Complex(0.004, 0.016), new Complex(0.002, 0.013));

    [Fact]
    public void Every_generic_cage_motor_is_fitted_to_its_five_values()
    {
        foreach (var motor in ReferenceCatalogue.Data.Motors.Values.Where(m => m.Plate.StartsOnTheLine))
        {
            var fit = CageCircuitFit.Run(motor.Plate);
            Assert.True(fit.LargestDeviationPct < 1e-4, motor.Id);
            var c = fit.Circuit;
            Assert.True(c.RunningOhm.Real > 0 && c.StandstillOhm.Imaginary > 0, motor.Id);
            Assert.True(motor.Plate.RatedPowerW < 22e3 || c.RunningOhm.Real < c.StandstillOhm.Real,
                "deep bars raise the resistance at standstill: " + motor.Id);
        }

        Assert.Throws<UnfitDataException>(() => CageCircuitFit.Run(ReferenceCatalogue.Data.Motors["pm-ie5-55"].Plate));
    }

    [Fact]
    public void The_circuit_keeps_its_power_balance_and_the_square_of_the_voltage()
    {
        foreach (var slip in new[] { 1, 0.6, 0.2, 0.05, 0.01 })
        {
            var full = Circuit.At(slip, 400);
            var input = 3 * full.CurrentA * full.CurrentA * full.ImpedanceOhm.Real;
            var shaft = full.TorqueNm * Circuit.SynchronousRadPerS * (1 - slip);
            Assert.Equal(input, shaft + full.StatorLossW + full.RotorLossW, 6);
            Assert.Equal(full.TorqueNm / 4, Circuit.At(slip, 200).TorqueNm, 9);
        }
    }

    [Fact]
    public void Constant_torques_follow_the_closed_form()
    {
        // t = J·ω/(T − T_L).
        var run = StartSimulation.Run(new Constant(500, 157), [new LoadPoint(0, 200)], 12, 0.01);
        Assert.Equal(StartEnd.Reached, run.End);
        Assert.Equal(12 * 157 / 300.0, run.TimeS, 12 * 157 / 300.0 * 1e-3);
        Assert.Equal(0, run.Energy.RestPu, 9);
        Assert.Equal(200 * 157 * run.TimeS / 2, run.Energy.LoadJ, 1);
    }

    [Fact]
    public void The_energy_balance_closes_and_halving_the_step_changes_nothing_that_matters()
    {
        foreach (var (name, drive) in Ways(Weak))
        {
            var load = Square(0.7);
            var coarse = StartSimulation.Run(drive, load, 25, 0.01);
            var fine = StartSimulation.Run(drive, load, 25, 0.005);
            Assert.True(Math.Abs(coarse.Energy.RestPu) < 0.005, $"{name}: {coarse.Energy.RestPu}");
            Assert.True(Math.Abs((coarse.TimeS / fine.TimeS) - 1) < 0.005, $"{name}: {coarse.TimeS} s, {fine.TimeS} s");
            Assert.Equal(StartEnd.Reached, coarse.End);
        }
    }

    [Theory]
    [InlineData(0.05)]
    [InlineData(0.4)]
    public void In_the_gap_between_star_and_delta_nothing_flows_and_the_load_slows_the_shaft(double gapS)
    {
        const double ChangeOverS = 1, LoadNm = 60, InertiaKgM2 = 4;
        var drive = CageStart.StarDelta(Circuit, Stiff, ChangeOverS, gapS, [new LoadPoint(0, LoadNm)]);
        var open = drive.At(ChangeOverS + (gapS / 2), 100, LoadNm);
        Assert.Equal((0.0, 0.0, 0.0), (open.TorqueNm, open.LineCurrentA, open.InputW));
        Assert.Equal(3, drive.At(ChangeOverS + gapS, 0, LoadNm).LineCurrentA / drive.At(0, 0, LoadNm).LineCurrentA, 1e-9);

        // ω falls by T_L·t/J.
        var run = StartSimulation.Run(drive, [new LoadPoint(0, LoadNm)], InertiaKgM2, 0.002);
        var before = run.Moments.Last(m => m.TimeS <= ChangeOverS);
        var after = run.Moments.First(m => m.TimeS >= ChangeOverS + gapS - 1e-9);
        Assert.Equal(LoadNm * gapS / InertiaKgM2, before.SpeedRadPerS - after.SpeedRadPerS, 1e-3);
    }

    [Fact]
    public void Without_load_the_rotor_takes_as_much_heat_as_the_masses_take_energy()
    {
        // Whatever the voltage: ∫s·P_gap dt = ½·J·ω_s² for a start from rest to synchronous speed.
        foreach (var drive in new[] { Drive(Stiff, new FullVoltage(), 0.995),
            Drive(Stiff, new SoftStartLaw(Settings(SoftStartMode.CurrentLimit, 300), Plate.RatedCurrentA), 0.995) })
        {
            var run = StartSimulation.Run(drive, [new LoadPoint(0, 0)], 25, 0.002);
            Assert.Equal(1, run.Energy.RotorJ / run.Energy.KineticJ, 0.02);
        }
    }

    [Fact]
    public void Star_has_a_third_of_torque_and_line_current()
    {
        var delta = Drive(Stiff, new FullVoltage()).At(0, 50, 0);
        var star = Drive(Stiff, new StarDeltaLaw(5, 0.05)).At(1, 50, 0);
        Assert.Equal(delta.TorqueNm / 3, star.TorqueNm, 9);
        Assert.Equal(delta.LineCurrentA / 3, star.LineCurrentA, 9);
        Assert.Equal(delta.InputW / 3, star.InputW, 6);
        var open = Drive(Stiff, new StarDeltaLaw(5, 0.05)).At(5.02, 50, 0);
        Assert.Equal(0, open.TorqueNm);
        Assert.Equal(delta.TorqueNm, Drive(Stiff, new StarDeltaLaw(5, 0.05)).At(5.06, 50, 0).TorqueNm, 9);
    }

    [Fact]
    public void Inside_the_delta_the_starter_carries_the_line_current_over_root_three()
    {
        var settings = Settings(SoftStartMode.CurrentLimit, 350);
        var inLine = Drive(Weak, new SoftStartLaw(settings, Plate.RatedCurrentA)).At(1, 20, 0);
        var inside = Drive(Weak, new SoftStartLaw(settings with { InsideDelta = true }, Plate.RatedCurrentA)).At(1, 20, 0);
        Assert.Equal(inLine.LineCurrentA, inside.LineCurrentA, 9);
        Assert.Equal(inLine.StarterCurrentA, inLine.LineCurrentA, 9);
        Assert.Equal(inside.LineCurrentA / Math.Sqrt(3), inside.StarterCurrentA, 9);
    }

    [Fact]
    public void A_soft_starter_keeps_its_limit_and_torque_falls_with_the_square()
    {
        var run = StartSimulation.Run(Drive(Weak, new SoftStartLaw(Settings(SoftStartMode.CurrentLimit, 350), Plate.RatedCurrentA)),
            Square(0.4), 25, 0.01);
        Assert.All(run.Moments, m => Assert.True(m.State.LineCurrentA <= 3.5 * Plate.RatedCurrentA * 1.0001));
        var first = run.Moments[0].State;
        var full = Circuit.At(1, 400);
        Assert.Equal(full.TorqueNm * Math.Pow(first.LineCurrentA / full.CurrentA, 2), first.TorqueNm, 6);
    }

    [Fact]
    public void Ramps_begin_where_they_are_set_and_a_kick_goes_before()
    {
        var voltage = new SoftStartLaw(new SoftStarterSettings(SoftStartMode.VoltageRamp, 40, 10, 900, 70, 0.3, false, 0), 100);
        Assert.Equal(0.7, voltage.Share(0.1, 400, 700));
        Assert.Equal(0.4, voltage.Share(0.3, 400, 700), 9);
        Assert.Equal(0.7, voltage.Share(5.3, 400, 700), 9);
        Assert.Equal(1, voltage.Share(11, 400, 700), 9);
        Assert.Equal([0.3], voltage.JumpsS);
        var current = new SoftStartLaw(new SoftStarterSettings(SoftStartMode.CurrentRamp, 200, 10, 400, 0, 0, false, 0), 100);
        Assert.Equal(200 / 700.0, current.Share(0, 400, 700), 9);
        Assert.Equal(300 / 700.0, current.Share(5, 400, 700), 9);
        Assert.Equal(1, current.Share(20, 400, 350), 9);
    }

    [Fact]
    public void Too_low_a_limit_sticks_and_the_speed_is_where_torque_meets_load()
    {
        var drive = Drive(Stiff, new SoftStartLaw(Settings(SoftStartMode.CurrentLimit, 220), Plate.RatedCurrentA));
        var run = StartSimulation.Run(drive, Square(0.9), 8, 0.01);
        Assert.Equal(StartEnd.Sticks, run.End);
        Assert.InRange(run.EndRadPerS, 20, 0.9 * Circuit.SynchronousRadPerS);
        var last = run.Moments[^1];
        Assert.Equal(last.LoadTorqueNm, last.State.TorqueNm, 0.02 * Plate.RatedTorqueNm);

        // With breakaway above the torque it does not even move.
        var held = StartSimulation.Run(drive, [new LoadPoint(0, 3 * Plate.RatedTorqueNm)], 8, 0.01);
        Assert.Equal(StartEnd.Sticks, held.End);
        Assert.Equal(0, held.EndRadPerS);
    }

    [Fact]
    public void The_bus_sinks_by_the_drop_of_the_current_and_no_more()
    {
        var state = Drive(Weak, new FullVoltage()).At(0, 0, 0);
        var z = Circuit.At(1, 400).ImpedanceOhm;
        var current = 400 / Math.Sqrt(3) / (z + Weak.Ohm);
        Assert.Equal(current.Magnitude, state.LineCurrentA, 6);
        Assert.Equal(Math.Sqrt(3) * (current * (z + Weak.Ohm - Weak.BusOhm)).Magnitude, state.BusVoltageV, 6);
        Assert.Equal(3 * current.Magnitude * current.Magnitude * (z + Weak.Ohm - Weak.BusOhm).Real, state.InputW, 3);
    }

    [Theory]
    [InlineData(TripClass.Class10A, 2)]
    [InlineData(TripClass.Class10, 4)]
    [InlineData(TripClass.Class20, 6)]
    [InlineData(TripClass.Class30, 9)]
    public void A_trip_class_trips_at_its_shortest_time(TripClass trip, double seconds)
    {
        StartMoment At(double t) => new(t, 0, 0, new StartState(0, 720, 720, 400, 0, 0, 0, 0));
        Assert.Equal(1, TripHeat.Of([At(0), At(seconds)], 100, trip), 9);
        Assert.True(TripHeat.Of([At(0), At(seconds * 0.9)], 100, trip) < 1);
    }

    [Fact]
    public void A_converter_starts_with_about_rated_current_on_the_line()
    {
        var motor = new MotorLossModel(Plate);
        var drive = new ConverterStartDrive(motor, Weak, 1.5 * Plate.RatedCurrentA, 25, 155, 20, (_, _) => 500, 0.95);
        var run = StartSimulation.Run(drive, Square(0.8), 25, 0.02);
        Assert.Equal(20, run.TimeS, 0.05);
        Assert.True(run.Moments.Max(m => m.State.LineCurrentA) < 1.3 * Plate.RatedCurrentA);
        Assert.True(Math.Abs(run.Energy.RestPu) < 0.005);
    }

    private static (string Name, IStartDrive Drive)[] Ways(StartBus bus) =>
    [
        ("across the line", Drive(bus, new FullVoltage())),
        ("star-delta", Drive(bus, new StarDeltaLaw(9, 0.05))),
        ("voltage ramp", Drive(bus, new SoftStartLaw(new SoftStarterSettings(SoftStartMode.VoltageRamp, 40, 8, 450, 70, 0.3, false, 0),
            Plate.RatedCurrentA))),
        ("current ramp", Drive(bus, new SoftStartLaw(new SoftStarterSettings(SoftStartMode.CurrentRamp, 150, 8, 450, 0, 0, true, 0),
            Plate.RatedCurrentA))),
    ];

    private static SoftStarterSettings Settings(SoftStartMode mode, double limitPct) => new(mode, 0, 0, limitPct, 0, 0, false, 0);

    private static CageStartDrive Drive(StartBus bus, IVoltageLaw law, double share = 0.97) =>
        new(Circuit, bus, law, share * Circuit.SynchronousRadPerS);

    private static LoadPoint[] Square(double part) =>
        [.. Enumerable.Range(0, 101).Select(i =>
            new LoadPoint(Circuit.SynchronousRadPerS * i / 100, part * Plate.RatedTorqueNm * i * i / 1e4))];

    private sealed class Constant(double torqueNm, double targetRadPerS) : IStartDrive
    {
        public double TargetRadPerS => targetRadPerS;

        public double SettledAtS => 0;

        public IReadOnlyList<double> JumpsS => [];

        public StartState At(double timeS, double speedRadPerS, double loadTorqueNm) =>
            new(torqueNm, 1, 1, 400, torqueNm * speedRadPerS, 0, 0, 0);
    }
}
