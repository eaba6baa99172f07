using System.Numerics;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Studies.OnePhase.Workshop;

namespace Cuadrilla.Core.Tests.Studies.OnePhase;

/// <summary>The three ways side by side, and what the list of machines asks for.</summary>
public sealed class OnePhaseStudyTests
{
    // Sides of a triangle of voltages by a second way: the corner is put where the two long sides meet, and the sequences are taken of the
    // three phasors.
    [Theory]
    [InlineData(0)]
    [InlineData(5)]
    [InlineData(7.5)]
    [InlineData(10)]
    [InlineData(-8)]
    public void The_unbalance_of_a_made_phase_is_that_of_its_triangle(double deviationPct)
    {
        var made = 1 + (deviationPct / 100);
        Complex a = 0, b = 1, c = new(0.5, Math.Sqrt((made * made) - 0.25));
        Complex ab = b - a, bc = c - b, ca = a - c;
        var turn = Complex.FromPolarCoordinates(1, 2 * Math.PI / 3);
        var (one, other) = ((ab + (turn * bc) + (turn * turn * ca)).Magnitude, (ab + (turn * turn * bc) + (turn * ca)).Magnitude);
        Assert.Equal(100 * Math.Min(one, other) / Math.Max(one, other), MadePhase.UnbalancePct(deviationPct), 6);
    }

    [Fact]
    public void The_study_is_the_engine_with_what_the_catalogue_adds()
    {
        var plant = Of();
        var study = OnePhaseStudy.Of(plant, plant.Lineups[0], DemoChanges.Data);
        Assert.Empty(study.Missing);
        Assert.Equal(400 / Math.Sqrt(3), study.SupplyV, 9);
        var machines = ComparedMachine.Of(plant, plant.Lineups[0], DemoChanges.Data);
        Assert.All(machines, m => Assert.Equal(["efficiency", "power factor", "lowest link"], m.FromCatalogue));
        var engine = OnePhaseOptions.Of(new OnePhaseOptions.Case(study.SupplyV, 50, [.. machines.Select(m => m.Figures!)], 1, false, 4.5,
            0.2, 1800,
            0.6, new OnePhasePrices(plant.Tariff.EnergyPerKwh, 220, 95, 260, 10)));
        Assert.Equal([engine.Converter.Costs.Total, engine.Rotary.Costs.Total, engine.Static.Costs.Total],
            study.Options.Select(o => o.Total!.Value));
        Assert.Equal(engine.Rotary.Kva, study.RotaryKva);
        Assert.Equal(OnePhaseMeans.Converters, study.Recommended);
    }

    [Fact]
    public void A_wish_for_speed_and_a_heavy_start_rule_ways_out_and_say_so()
    {
        var plant = Of(o => o with { Machines = [Machine("lathe", 2.2, 60, speed: true), Machine("press", 1.5, 60, heavy: true)] });
        var study = OnePhaseStudy.Of(plant, plant.Lineups[0], DemoChanges.Data);
        Assert.Contains(Way(study, OnePhaseMeans.Rotary).Against, a => a.Contains("lathe", StringComparison.Ordinal));
        Assert.Contains(Way(study, OnePhaseMeans.Static).Against, a => a.Contains("press starts heavily", StringComparison.Ordinal));
        Assert.Contains(Way(study, OnePhaseMeans.Static).Against, a => a.Contains("machines run together", StringComparison.Ordinal));
        Assert.True(Way(study, OnePhaseMeans.Converters).Suits);
    }

    [Fact]
    public void A_supply_that_is_too_small_suits_nothing()
    {
        var plant = Of(o => o with { SupplyA = 10 });
        var study = OnePhaseStudy.Of(plant, plant.Lineups[0], DemoChanges.Data);
        Assert.All(study.Options, o => Assert.False(o.Suits));
        Assert.Equal(OnePhaseMeans.NotChosen, study.Recommended);
        Assert.StartsWith("None suits.", study.Why, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_prices_ways_are_judged_but_none_is_recommended()
    {
        var plant = Of(o => o with { Costs = new OnePhaseCosts() });
        var study = OnePhaseStudy.Of(plant, plant.Lineups[0], DemoChanges.Data);
        Assert.Equal(3, study.MissingPrices.Count);
        Assert.Equal(OnePhaseMeans.NotChosen, study.Recommended);
        Assert.All(study.Options, o => Assert.Null(o.Total));
        Assert.Contains(study.Options, o => o.Suits);
    }

    // More than 5 % of unbalance leaves a motor nothing (chapter 01): a made phase that is 10 % off is one.
    [Theory]
    [InlineData(4.0, true)]
    [InlineData(10.0, false)]
    public void A_made_phase_far_off_leaves_motors_nothing(double deviationPct, bool suits)
    {
        var plant = Of(o => o with { Rotary = o.Rotary with { DeviationPct = deviationPct } });
        var study = OnePhaseStudy.Of(plant, plant.Lineups[0], DemoChanges.Data);
        Assert.Equal(suits, Way(study, OnePhaseMeans.Rotary).Suits);
        Assert.Equal(suits, Way(study, OnePhaseMeans.Rotary).DeliversKw[0] > 0);
    }

    [Fact]
    public void What_is_missing_is_named_and_nothing_is_built()
    {
        var plant = Of(o => o with { Machines = [new OnePhaseMachine("m", "Mystery")] });
        var refused = Assert.IsType<CommandOutcome.Refused>(new ChooseOnePhaseMeans(LineupId, OnePhaseMeans.Converters)
            .On(plant, DemoChanges.Assessor));
        Assert.Contains("Mystery: motor", refused.Why.Message, StringComparison.Ordinal);
        Assert.Contains("Mystery: hours a year", refused.Why.Message, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(1450, 60, 1450)]
    [InlineData(24, 1, 1440)]
    public void Pulses_tell_the_speed(double hertz, double pulses, double rpm)
    {
        Assert.Equal(rpm, PulseSensor.Rpm(hertz, pulses), 9);
        Assert.Equal(hertz, PulseSensor.Hertz(rpm, pulses), 9);
        Assert.Throws<ArgumentOutOfRangeException>(() => PulseSensor.Rpm(hertz, 0));
    }

    private static OnePhaseOption Way(OnePhaseStudy study, OnePhaseMeans means) => study.Options.Single(o => o.Means == means);
}
