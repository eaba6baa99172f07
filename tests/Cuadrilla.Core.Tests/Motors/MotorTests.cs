using Cuadrilla.Catalogue;
using Cuadrilla.Core.Motors;
using CsCheck;

namespace Cuadrilla.Core.Tests.Motors;

public sealed class MotorTests
{
    public static TheoryData<string> Ids => [.. ReferenceCatalogue.Data.Motors.Keys];

    [Theory]
    [MemberData(nameof(Ids))]
    public void The_plate_is_reproduced(string id)
    {
        var plate = ReferenceCatalogue.Data.Motors[id].Plate;
        var point = new MotorLossModel(plate).At(plate.RatedSpeedRpm, plate.RatedTorqueNm, MotorFeed.Line);
        Assert.Equal(plate.RatedCurrentA, point.CurrentA, 1e-6 * plate.RatedCurrentA);
        Assert.Equal(plate.Efficiency, point.Efficiency, 1e-6);
        Assert.Equal(plate.PowerFactor, point.PowerFactor, 1e-6);
        Assert.Equal(plate.RatedVoltageV, point.VoltageV, 1e-3);
        Assert.Equal(plate.RatedFrequencyHz, point.FrequencyHz, 1e-6);
    }

    [Theory]
    [InlineData("cage-4p-ie3-0.75", 82.5)]
    [InlineData("cage-4p-ie4-11", 93.3)]
    [InlineData("cage-4p-ie3-160", 95.8)]
    [InlineData("cage-4p-ie4-355", 96.7)]
    public void Catalogue_efficiency_is_the_standards(string id, double efficiencyPct) =>
        Assert.Equal(efficiencyPct, 100 * ReferenceCatalogue.Data.Motors[id].Plate.Efficiency, 9);

    [Fact]
    public void The_catalogue_spans_the_sizes_and_grows_with_them()
    {
        foreach (var series in ReferenceCatalogue.Data.Motors.Values.GroupBy(m => m.EfficiencyClass))
        {
            var sorted = series.OrderBy(m => m.Plate.RatedPowerW).ToList();
            Assert.Equal(0.75e3, sorted[0].Plate.RatedPowerW);
            Assert.Equal(355e3, sorted[^1].Plate.RatedPowerW);
            foreach (var (small, large) in sorted.Zip(sorted.Skip(1)))
            {
                Assert.True(small.Plate.RatedCurrentA < large.Plate.RatedCurrentA);
                Assert.True(small.Plate.InertiaKgM2 < large.Plate.InertiaKgM2);
                Assert.True(small.PriceIndex < large.PriceIndex);
                Assert.True(small.MassKg < large.MassKg);
            }
        }
    }

    [Fact]
    public void Every_watt_between_shaft_and_terminals_is_a_loss() => Gen.Select(Gen.Double[0, 2400], Gen.Double[-1200, 1200]).Sample(x =>
    {
        var (speed, torque) = x;
        var p = Model().At(speed, torque, MotorFeed.Converter);
        return Math.Abs(p.InputW - p.ShaftW - p.LossW) < 1e-6;
    });

    [Fact]
    public void More_torque_never_means_less_current_or_loss() => Gen.Select(Gen.Double[50, 1450], Gen.Double[0, 900], Gen.Double[1, 200]).Sample(x =>
    {
        var (speed, torque, more) = x;
        var a = Model().At(speed, torque, MotorFeed.Converter);
        var b = Model().At(speed, torque + more, MotorFeed.Converter);
        return b.CurrentA > a.CurrentA && b.LossW > a.LossW;
    });

    [Fact]
    public void Continuous_torque_meets_the_budget_exactly() => Gen.Select(Gen.Double[100, 1800], Gen.Double[20, 50], Gen.Double[0, 3000]).Sample(x =>
    {
        var (speed, ambient, altitude) = x;
        var model = Model();
        var budget = Budget(ambient, altitude, MotorCooling.OwnFan);
        var torque = budget.ContinuousTorqueNm(model, speed, MotorFeed.Converter);
        return torque == 0 || Math.Abs(model.At(speed, torque, MotorFeed.Converter).LossW - budget.AllowedLossW(model.Plate, speed)) < 1e-4 * model.Plate.RatedLossW;
    });

    [Fact]
    public void At_the_rated_point_on_the_line_the_budget_is_the_plate()
    {
        var model = Model();
        Assert.Equal(model.Plate.RatedTorqueNm, Budget(40, 1000, MotorCooling.OwnFan).ContinuousTorqueNm(model, model.Plate.RatedSpeedRpm, MotorFeed.Line), 1e-6 * model.Plate.RatedTorqueNm);
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
        Assert.True(separate.ContinuousTorqueNm(model, 300, MotorFeed.Converter) >= separate.ContinuousTorqueNm(model, 1200, MotorFeed.Converter));
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
    public void Torque_at_a_current_is_the_inverse_of_current_at_a_torque() => Gen.Select(Gen.Double[100, 1400], Gen.Double[50, 1200]).Sample(x =>
    {
        var (speed, torque) = x;
        var model = Model();
        return Math.Abs(model.TorqueAtCurrentNm(speed, model.At(speed, torque, MotorFeed.Line).CurrentA) - torque) < 1e-6 * torque;
    });

    [Fact]
    public void A_plate_that_contradicts_itself_is_refused()
    {
        var plate = Model().Plate;
        Assert.Throws<ArgumentException>(() => new MotorLossModel(plate with { RatedSpeedRpm = 1500 }));
        Assert.Throws<ArgumentException>(() => new MotorLossModel(plate with { RatedSpeedRpm = 1400, Efficiency = 0.97 }));
    }

    private static MotorLossModel Model() => new(ReferenceCatalogue.Data.Motors["cage-4p-ie4-160"].Plate);

    private static ThermalBudget Budget(double ambient, double altitude, MotorCooling cooling) => new(ambient, altitude, cooling, 80, 80, 0.3);
}
