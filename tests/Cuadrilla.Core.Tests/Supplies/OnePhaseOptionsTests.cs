using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Tests.Supplies;

public sealed class OnePhaseOptionsTests
{
    private static readonly SingleMachine Saw = new(3, 0.84, 0.82, 60, 700, false, false, 230);

    private static OnePhaseOptions.Case With(params SingleMachine[] machines) =>
        new(230, 50, machines, 0.6, false, 4.5, 0.2, 1800, 0.6, new OnePhasePrices(0.2, 220, 95, 260, 10));

    [Fact]
    public void One_lightly_loaded_machine_is_the_case_for_capacitors()
    {
        var found = OnePhaseOptions.Of(With(Saw));
        Assert.True(found.Static.Suits);
        Assert.Equal(OnePhaseWay.Static, found.Recommended);
        Assert.Equal(2, found.Static.UsableKw[0], 9);
        Assert.False(OnePhaseOptions.Of(With(Saw with { LoadPct = 66.67 })).Static.Suits);
        Assert.True(OnePhaseOptions.Of(With(Saw with { LoadPct = 66.667 })).Static.Suits);
        Assert.False(OnePhaseOptions.Of(With(Saw, Saw)).Static.Suits);
        Assert.True(OnePhaseOptions.Of(With(Saw, Saw) with { OneAtATime = true }).Static.Suits);
        Assert.False(OnePhaseOptions.Of(With(Saw with { HeavyStart = true })).Static.Suits);
    }

    [Fact]
    public void Wish_for_speed_leaves_converters_only()
    {
        var found = OnePhaseOptions.Of(With(Saw with { SpeedControl = true }, Saw));
        Assert.Equal(OnePhaseWay.Converter, found.Recommended);
        Assert.False(found.Rotary.Suits);
    }

    [Fact]
    public void A_speed_to_be_set_on_a_motor_that_takes_400_volts_suits_nothing()
    {
        var found = OnePhaseOptions.Of(With(Saw with { SpeedControl = true, MotorVoltageV = 400 }));
        Assert.Null(found.Recommended);
        Assert.Equal(28.75, found.Converter.FullTorqueHz[0], 9);
    }

    [Fact]
    public void A_rotary_converter_is_sized_by_what_runs_or_by_what_starts()
    {
        var many = OnePhaseOptions.Of(With([.. Enumerable.Repeat(Saw, 10)])).Rotary;
        Assert.Equal(1.5 * many.RunningKva, many.Kva, 9);
        Assert.Equal(6 * Saw.RatedKva, many.RunningKva, 9);
        var one = OnePhaseOptions.Of(With(Saw)).Rotary;
        Assert.Equal(2 * Saw.RatedKva, one.Kva, 9);
        Assert.Equal(4.5 * Saw.RatedKva, OnePhaseOptions.Of(With(Saw with { HeavyStart = true })).Rotary.Kva, 9);
        Assert.Equal(Saw.RatedKva, OnePhaseOptions.Of(With(Saw, Saw) with { OneAtATime = true }).Rotary.RunningKva, 9);
    }

    [Fact]
    public void Power_in_equals_power_out_and_losses()
    {
        var given = With(Saw);
        Assert.Equal(
            3e3 * 0.6 / 0.84 / OnePhaseOptions.ConverterEfficiencyPu,
            OnePhaseOptions.Of(given).Converter.InputA[0] * 230 * given.InputPowerFactor, 6);
        Assert.Equal(Saw.WorkKwh / 0.97, OnePhaseOptions.Of(given).Converter.Costs.EnergyKwh, 6);
    }
}
