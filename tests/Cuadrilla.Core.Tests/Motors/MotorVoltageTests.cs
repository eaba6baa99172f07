using System.Numerics;
using CsCheck;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Tests.Motors;

/// <summary>Voltage is a limit of every kind of motor, and on the line it is the line's.</summary>
public sealed class MotorVoltageTests
{
    private static MotorPlate Plate(string id) => ReferenceCatalogue.Data.Motors[id].Plate;

    public static TheoryData<string> Kinds =>
        ["cage-4p-ie4-160", "cage-2p-ie3-7.5", "reluctance-ie5-45", "pm-ie5-45", "servo-ie5-5.5", "dc-45"];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void No_state_shows_more_than_the_supply_gives(string id)
    {
        var plate = Plate(id);
        foreach (var limit in new[] { 0.575, 0.95, 1, 1.73 })
        {
            var model = new MotorLossModel(plate, limit);
            Gen.Select(Gen.Double[0, 2.2], Gen.Double[-1.5, 1.5]).Sample(
                x =>
                {
                    var point = model.At(x.Item1 * plate.RatedSpeedRpm, x.Item2 * plate.RatedTorqueNm, MotorFeed.Converter);
                    return !point.WithinVoltage || point.VoltageV <= limit * plate.RatedVoltageV * (1 + 1e-6);
                },
                iter: 2000);
        }
    }

    // Above base speed more current for the same torque: that is what the limit costs. Before, voltage simply rose.
    [Theory]
    [MemberData(nameof(Kinds))]
    public void Above_base_speed_the_same_power_takes_at_least_the_same_current(string id)
    {
        var plate = Plate(id);
        var model = new MotorLossModel(plate);
        var half = model.At(1.4 * plate.RatedSpeedRpm, 0.8 * plate.RatedTorqueNm, MotorFeed.Converter);
        var below = model.At(0.9 * plate.RatedSpeedRpm, 0.8 * plate.RatedTorqueNm, MotorFeed.Converter);
        Assert.True(half.CurrentA > below.CurrentA);
        Assert.True(half.FluxPu < below.FluxPu);

        // √3·U·I·cos φ·η bounds what comes out.
        var phases = plate.Technology == MotorTechnology.DcSeparatelyExcited ? 1 : Math.Sqrt(3);
        Assert.True(half.ShaftW <= phases * plate.RatedVoltageV * half.CurrentA * half.PowerFactor + 1e-6);
        Assert.Equal(half.InputW - half.HarmonicW - (plate.Split.FieldPu > 0 ? half.RotorW : 0),
            phases * half.VoltageV * half.CurrentA * half.PowerFactor, 0.01 * plate.RatedPowerW);
    }

    // By hand with the two-axis equations, independent of the search inside.
    [Fact]
    public void A_magnet_motor_at_its_voltage_limit_obeys_the_two_axis_equations()
    {
        var plate = Plate("pm-ie5-45");
        var model = new MotorLossModel(plate);
        var apparent = Math.Sqrt(3) * plate.RatedVoltageV * plate.RatedCurrentA;
        var rated = model.At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line);
        var m = model.MagnetisingCurrentA / plate.RatedCurrentA;
        var r = rated.StatorW / apparent;
        var c = (rated.ShaftW + rated.IronW + rated.FrictionW + rated.StrayW) / apparent;
        double q = Math.Sqrt(1 - (plate.PowerFactor * plate.PowerFactor)), iq = Math.Sqrt(1 - (m * m));
        double linkD = (iq * c) - (m * q), linkQ = (iq * q) + (m * c), xq = linkQ / iq, xd = plate.SaliencyPu * xq, psi = linkD + (xd * m);

        var point = model.At(1.3 * plate.RatedSpeedRpm, 0.6 * plate.RatedTorqueNm, MotorFeed.Line);
        var quadrature = point.TorqueCurrentA / plate.RatedCurrentA;
        var direct = -Math.Sqrt(Math.Pow(point.CurrentA / plate.RatedCurrentA, 2) - (quadrature * quadrature));
        double d = (r * direct) - (1.3 * xq * quadrature), v = (r * quadrature) + (1.3 * (psi + (xd * direct)));
        Assert.Equal(1, Math.Sqrt((d * d) + (v * v)), 1e-6);
        var airGap = (point.ShaftW + point.IronW + point.FrictionW + point.StrayW) / apparent / 1.3;
        Assert.Equal(airGap, (psi + ((xd - xq) * direct)) * quadrature, 1e-4);
        Assert.True(direct < -m);
    }

    [Fact]
    public void The_voltage_of_the_magnets_that_a_plate_implies_is_the_one_it_states()
    {
        foreach (var plate in ReferenceCatalogue.Data.Motors.Values.Select(i => i.Plate).Where(p => p.HasMagnets))
        {
            var model = new MotorLossModel(plate);

            // No load, no current against the magnets: the terminals show them alone.
            var idle = model.At(0.5 * plate.RatedSpeedRpm, 0, MotorFeed.Line);
            Assert.Equal(0.5 * plate.BackEmfVPerKrpm * plate.RatedSpeedRpm / 1000, idle.VoltageV, 0.01 * plate.RatedVoltageV);
        }
    }

    [Fact]
    public void A_dc_motor_obeys_its_two_equations()
    {
        var plate = Plate("dc-45");
        var model = new MotorLossModel(plate);
        var rated = model.At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line);
        var ohm = rated.StatorW / (plate.RatedCurrentA * plate.RatedCurrentA);
        var emf = plate.RatedVoltageV - (ohm * plate.RatedCurrentA);
        foreach (var (speed, torque) in new[] { (0.0, 1.0), (0.5, 0.3), (1.0, 0.0), (1.3, 0.5), (0.8, -0.6) })
        {
            var p = model.At(speed * plate.RatedSpeedRpm, torque * plate.RatedTorqueNm, MotorFeed.Line);
            var signed = Math.CopySign(p.CurrentA, p.TorqueCurrentA);
            Assert.Equal(Math.Abs((emf * speed * p.FluxPu) + (ohm * signed)), p.VoltageV, 1e-6);
        }

        // Without load it still takes the current of friction and iron.
        Assert.True(model.At(plate.RatedSpeedRpm, 0, MotorFeed.Line).CurrentA > 0.01 * plate.RatedCurrentA);
    }

    [Theory]
    [InlineData(0.25, 0.5)]
    [InlineData(0.49, 0.7)]
    public void Reluctance_takes_the_least_current_for_its_torque(double torquePu, double currentPu)
    {
        var plate = Plate("reluctance-ie5-45");
        var point = new MotorLossModel(plate).At(0.8 * plate.RatedSpeedRpm, torquePu * plate.RatedTorqueNm, MotorFeed.Converter);
        Assert.Equal(currentPu, point.CurrentA / plate.RatedCurrentA, 0.02);
    }

    [Theory]
    [InlineData(400)]
    [InlineData(420)]
    [InlineData(380)]
    public void On_the_line_the_terminals_stand_at_the_lines_voltage_at_any_load(double lineV)
    {
        var model = new MotorLossModel(Plate("cage-4p-ie3-45"));
        foreach (var load in new[] { 0, 0.25, 0.5, 1, 1.2 })
        {
            var point = model.OnLine(50, lineV, load * model.Plate.RatedTorqueNm);
            Assert.Equal(lineV, point.VoltageV, 1e-4 * lineV);
            Assert.Equal(50, point.FrequencyHz, 9);
        }

        Assert.True(model.OnLine(50, 420, 0).CurrentA > model.OnLine(50, 400, 0).CurrentA);
        Assert.True(model.OnLine(50, 380, model.Plate.RatedTorqueNm).CurrentA > model.OnLine(50, 400, model.Plate.RatedTorqueNm).CurrentA);
    }

    // A 60 Hz motor of 460 V on 50 Hz and 383 V: the same flux, so the same slip in rpm for the same torque.
    [Fact]
    public void A_60_Hz_motor_on_50_Hz_runs_towards_1500()
    {
        var plate = Plate("cage-4p-ie3-45") with { RatedFrequencyHz = 60, RatedVoltageV = 460, RatedCurrentA = 70, RatedSpeedRpm = 1780,
            PowerFactor = 45e3 / (Math.Sqrt(3) * 460 * 70 * 0.942) };
        var model = new MotorLossModel(plate);
        var at60 = model.OnLine(60, 460, plate.RatedTorqueNm);
        var at50 = model.OnLine(50, 460 * 50.0 / 60, plate.RatedTorqueNm);
        Assert.Equal(1780, at60.SpeedPu * plate.RatedSpeedRpm, 0.1);
        Assert.Equal(1480, at50.SpeedPu * plate.RatedSpeedRpm, 1.0);
    }

    // The fitted circuit at another frequency against the same circuit written out.
    [Fact]
    public void The_circuit_of_a_start_follows_the_frequency()
    {
        var circuit = CageCircuitFit.Run(Plate("cage-4p-ie3-45")).Circuit;
        var slower = circuit.AtFrequency(5.0 / 6);
        Assert.Equal(circuit.SynchronousRadPerS * 5 / 6, slower.SynchronousRadPerS, 9);
        var rotor = circuit.RunningOhm + ((circuit.StandstillOhm - circuit.RunningOhm) * Math.Sqrt(5.0 / 6));
        Complex At(Complex z) => new(z.Real, z.Imaginary * 5 / 6);
        var magnetising = new Complex(0, circuit.MagnetisingOhm * 5 / 6);
        var branch = At(rotor);
        var total = At(circuit.StatorOhm) + (branch * magnetising / (branch + magnetising));
        Assert.Equal(383 / Math.Sqrt(3) / total.Magnitude, slower.At(1, 383).CurrentA, 1e-6 * slower.At(1, 383).CurrentA);
    }

    [Fact]
    public void For_ever_a_motor_gives_no_more_than_its_rated_torque()
    {
        var budget = new ThermalBudget(0, 0, MotorCooling.SeparateFan, 105, 80, 0.3);
        foreach (var item in ReferenceCatalogue.Data.Motors.Values)
        {
            var model = new MotorLossModel(item.Plate);
            Assert.All(new[] { 0.1, 0.5, 1, 1.4 },
                n => Assert.True(budget.ContinuousTorqueNm(model, n * item.Plate.RatedSpeedRpm,
                    MotorFeed.Line) <= item.Plate.RatedTorqueNm * (1 + 1e-9)));
        }
    }
}
