using CsCheck;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Tests.Motors;

public sealed class MotorTests
{
    [Fact]
    public void Every_plate_is_reproduced() => Assert.All(ReferenceCatalogue.Data.Motors.Values, item =>
    {
        var plate = item.Plate;
        var point = new MotorLossModel(plate).At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line);
        Assert.Equal(plate.RatedCurrentA, point.CurrentA, 1e-6 * plate.RatedCurrentA);
        Assert.Equal(plate.Efficiency, point.Efficiency, 1e-6);
        Assert.Equal(plate.PowerFactor, point.PowerFactor, 1e-6);
        Assert.Equal(plate.RatedVoltageV, point.VoltageV, 1e-3);
        Assert.Equal(plate.RatedFrequencyHz, point.FrequencyHz, 1e-6);
    });

    [Theory]
    [InlineData("cage-4p-ie3-0.75", 82.5)]
    [InlineData("cage-4p-ie4-11", 93.3)]
    [InlineData("cage-4p-ie3-160", 95.8)]
    [InlineData("cage-4p-ie4-355", 96.7)]
    public void Catalogue_efficiency_is_the_standards(string id, double efficiencyPct) =>
        Assert.Equal(efficiencyPct, 100 * ReferenceCatalogue.Data.Motors[id].Plate.Efficiency, 9);

    [Theory]
    [InlineData(2, "IE3", 80.7, 90.1, 95.8)]
    [InlineData(4, "IE2", 79.6, 88.7, 95.1)]
    [InlineData(4, "IE3", 82.5, 90.4, 96.0)]
    [InlineData(4, "IE4", 85.7, 92.6, 96.7)]
    [InlineData(6, "IE3", 78.9, 89.1, 95.8)]
    public void Efficiencies_of_the_standard_at_the_ends_and_in_the_middle(int poles, string efficiencyClass, double at075, double at75,
        double at250)
    {
        double Of(string kw) => 100 * ReferenceCatalogue.Data.Motors[$"cage-{poles}p-"
            + $"{efficiencyClass.ToLowerInvariant()}-{kw}"].Plate.Efficiency;
        Assert.Equal(at075, Of("0.75"), 9);
        Assert.Equal(at75, Of("7.5"), 9);
        Assert.Equal(at250, Of("250"), 9);
    }

    [Fact]
    public void Every_series_grows_with_size_and_every_class_loses_less()
    {
        var motors = ReferenceCatalogue.Data.Motors.Values.ToList();
        foreach (var series in motors.GroupBy(m =>
            (m.Series, m.Technology, m.EfficiencyClass, m.Poles, m.Plate.RatedVoltageV,
                m.Technology == MotorTechnology.CageInduction ? 0 : m.Plate.RatedSpeedRpm)))
        {
            var sorted = series.OrderBy(m => m.Plate.RatedPowerW).ToList();
            foreach (var (small, large) in sorted.Zip(sorted.Skip(1)))
            {
                Assert.True(small.Plate.RatedCurrentA < large.Plate.RatedCurrentA);
                Assert.True(small.Plate.InertiaKgM2 < large.Plate.InertiaKgM2);
                Assert.True(small.PriceIndex < large.PriceIndex);
                Assert.True(small.MassKg < large.MassKg);
                Assert.True(small.ShaftHeightMm <= large.ShaftHeightMm && small.ShaftHeightMm > 0);
            }
        }

        foreach (var size in motors.Where(m => m.Technology == MotorTechnology.CageInduction)
            .GroupBy(m => (m.Poles, m.Plate.RatedPowerW, m.Plate.RatedFrequencyHz)))
        {
            var losses = size.OrderBy(m => m.EfficiencyClass, StringComparer.Ordinal).Select(m => m.Plate.RatedLossW).ToList();
            Assert.Equal(losses.OrderDescending(), losses);
        }

        Assert.Equal(
            [MotorTechnology.CageInduction, MotorTechnology.SynchronousReluctance, MotorTechnology.PermanentMagnet, MotorTechnology.Servo,
                MotorTechnology.DcSeparatelyExcited],
            motors.Select(m => m.Technology).Distinct().Order());
    }

    [Theory]
    [InlineData("reluctance-ie5-45")]
    [InlineData("pm-ie5-45")]
    [InlineData("servo-ie5-5.5")]
    [InlineData("dc-45")]
    public void Motors_without_slip_lose_nothing_by_it_and_account_for_every_watt(string id)
    {
        var plate = ReferenceCatalogue.Data.Motors[id].Plate;
        var model = new MotorLossModel(plate);
        foreach (var (speed, torque) in new[] { (0.1, 1.0), (0.5, 0.5), (1.0, 1.0), (1.2, 0.4), (1.0, -0.7) })
        {
            var point = model.At(speed * plate.RatedSpeedRpm, torque * plate.RatedTorqueNm, MotorFeed.Converter);
            Assert.Equal(0, point.InputW - point.ShaftW - point.LossW, 1e-6 * plate.RatedPowerW);
            Assert.Equal(plate.Split.FieldPu * plate.RatedLossW, point.RotorW, 1e-9 * plate.RatedPowerW);
        }
    }

    [Fact]
    public void Reluctance_takes_more_amperes_and_fewer_kilowatts_than_the_cage_motor()
    {
        var cage = ReferenceCatalogue.Data.Motors["cage-4p-ie3-45"].Plate;
        var reluctance = ReferenceCatalogue.Data.Motors["reluctance-ie5-45"].Plate;
        foreach (var speed in new[] { 600.0, 1000, 1450 })
        {
            var a = new MotorLossModel(cage).At(speed, 200, MotorFeed.Converter);
            var b = new MotorLossModel(reluctance).At(speed, 200, MotorFeed.Converter);
            Assert.True(b.CurrentA > a.CurrentA);
            Assert.True(b.InputW < a.InputW);
        }
    }

    [Fact]
    public void Magnets_need_current_against_them_above_base_speed()
    {
        var model = new MotorLossModel(ReferenceCatalogue.Data.Motors["pm-ie5-45"].Plate);
        Assert.True(model.At(2200, 0, MotorFeed.Converter).CurrentA > model.At(1400, 0, MotorFeed.Converter).CurrentA);

        // What voltage and the current of the largest torque leave falls from there on, and never rises again.
        var largest = new[] { 1500.0, 1700, 1900, 2200 }.Select(model.BreakdownTorqueNm).ToList();
        Assert.Equal(largest.OrderDescending(), largest);
        Assert.All(largest, t => Assert.InRange(t, 1, model.Plate.BreakdownTorquePu * model.Plate.RatedTorqueNm));
    }

    [Theory]
    [InlineData(400, 230, 28.75)]
    [InlineData(400, 400, 50)]
    public void A_400_V_delta_motor_keeps_its_torque_to_its_share_of_50_Hz(double delta, double output, double baseHz)
    {
        var plate = Model().Plate with { DeltaVoltageV = delta };
        Assert.Equal(baseHz, ConnectedMotor.Of(plate, MotorConnection.Delta, output, output).BaseFrequencyHz, 9);
    }

    [Fact]
    public void The_87_hertz_practice_by_hand()
    {
        // 230 Δ/400 Y on 400 V: in star as the plate says; in delta √3 the current and constant torque to 87 Hz.
        var plate = ReferenceCatalogue.Data.Motors["cage-4p-ie3-3"].Plate;
        Assert.Equal(231, plate.DeltaVoltageV);
        var star = ConnectedMotor.Of(plate, MotorConnection.Fitting, 400, 400);
        Assert.False(star.IsDelta);
        Assert.Equal(plate, star.Plate);
        var delta = ConnectedMotor.Of(plate, MotorConnection.Delta, 400, 400);
        Assert.Equal(Math.Sqrt(3), delta.Plate.RatedCurrentA / plate.RatedCurrentA, 2);
        Assert.Equal(86.6, delta.BaseFrequencyHz, 1);
        var model = new MotorLossModel(delta.Plate, delta.BaseFrequencyPu);
        Assert.Equal(plate.BreakdownTorquePu * plate.RatedTorqueNm, model.BreakdownTorqueNm(2400), 6);
        Assert.True(model.BreakdownTorqueNm(3200) < plate.BreakdownTorquePu * plate.RatedTorqueNm);

        // At the rated point nothing but the link has changed: the same losses at √3 the current.
        var point = model.At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line);
        Assert.Equal(plate.Efficiency, point.Efficiency, 6);
    }

    [Fact]
    public void Every_watt_between_shaft_and_terminals_is_a_loss() => Gen.Select(Gen.Double[0, 2400], Gen.Double[-1200, 1200]).Sample(x =>
    {
        var (speed, torque) = x;
        var p = Model().At(speed, torque, MotorFeed.Converter);
        return Math.Abs(p.InputW - p.ShaftW - p.LossW) < 1e-6;
    });

    [Fact]
    public void More_torque_never_means_less_current_or_loss() =>
        Gen.Select(Gen.Double[50, 1450], Gen.Double[0, 900], Gen.Double[1, 200]).Sample(x =>
    {
        var (speed, torque, more) = x;
        var a = Model().At(speed, torque, MotorFeed.Converter);
        var b = Model().At(speed, torque + more, MotorFeed.Converter);
        return b.CurrentA > a.CurrentA && b.LossW > a.LossW;
    });

    [Fact]
    public void Continuous_torque_meets_the_budget_exactly() =>
        Gen.Select(Gen.Double[100, 1800], Gen.Double[20, 50], Gen.Double[0, 3000]).Sample(x =>
    {
        var (speed, ambient, altitude) = x;
        var model = Model();
        var budget = Budget(ambient, altitude, MotorCooling.OwnFan);
        var torque = budget.ContinuousTorqueNm(model, speed, MotorFeed.Converter);

        // Never more than the rated torque, however cold it is.
        return torque == 0 || torque == model.Plate.RatedTorqueNm
            || Math.Abs(model.At(speed, torque, MotorFeed.Converter).LossW - budget.AllowedLossW(model.Plate,
                speed)) < 1e-4 * model.Plate.RatedLossW;
    });

    [Fact]
    public void At_the_rated_point_on_the_line_the_budget_is_the_plate()
    {
        var model = Model();
        Assert.Equal(model.Plate.RatedTorqueNm,
            Budget(40, 1000, MotorCooling.OwnFan).ContinuousTorqueNm(model, model.Plate.RatedSpeedRpm, MotorFeed.Line),
            1e-6 * model.Plate.RatedTorqueNm);
    }

    [Fact]
    public void An_own_fan_derates_with_falling_speed_and_a_separate_one_does_not()
    {
        var model = Model();
        var own = Budget(40, 0, MotorCooling.OwnFan);
        Assert.Equal(0.3, own.CoolingPu(0), 12);
        Assert.Equal(1, own.CoolingPu(1), 12);
        Assert.True(own.ContinuousTorqueNm(model, 300, MotorFeed.Converter) < own.ContinuousTorqueNm(model, 1200, MotorFeed.Converter));
        var separate = Budget(40, 0, MotorCooling.SeparateFan);
        Assert.True(separate.ContinuousTorqueNm(model, 300, MotorFeed.Converter) >= separate.ContinuousTorqueNm(model, 1200,
            MotorFeed.Converter));
    }

    [Fact]
    public void Breakdown_torque_falls_with_the_square_above_base_speed()
    {
        var model = Model();
        var rated = model.Plate.BreakdownTorquePu * model.Plate.RatedTorqueNm;
        Assert.Equal(rated, model.BreakdownTorqueNm(700), 9);
        Assert.InRange(model.BreakdownTorqueNm(2 * model.Plate.RatedSpeedRpm) / rated, 0.23, 0.26);
    }

    [Fact]
    public void Torque_at_a_current_is_the_inverse_of_current_at_a_torque() =>
        Gen.Select(Gen.Double[100, 1400], Gen.Double[50, 1200]).Sample(x =>
    {
        var (speed, torque) = x;
        var model = Model();
        return Math.Abs(model.TorqueAtCurrentNm(speed, model.At(speed, torque, MotorFeed.Line).CurrentA) - torque) < 1e-6 * torque;
    });

    [Fact]
    public void A_plate_that_contradicts_itself_is_refused()
    {
        var plate = Model().Plate;
        Assert.Throws<UnfitDataException>(() => new MotorLossModel(plate with { RatedSpeedRpm = 1500 }));
        Assert.Throws<UnfitDataException>(() => new MotorLossModel(plate with { RatedSpeedRpm = 1400, Efficiency = 0.97 }));
    }

    private static MotorLossModel Model() => new(ReferenceCatalogue.Data.Motors["cage-4p-ie4-160"].Plate);

    private static ThermalBudget Budget(double ambient, double altitude, MotorCooling cooling) =>
        new(ambient, altitude, cooling, 80, 80, 0.3);
}
