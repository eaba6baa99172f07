using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>A standby generator: its scenarios are those of a plant whose source it is, and of each check the worse counts.</summary>
public sealed class StandbyTests
{
    private static readonly SourceStrength.Generator Set = new(630, 14, 16, 20)
    {
        RatedKw = 500, TransientPct = 24, GoverningClass = 2,
    };

    private static readonly Scenario Outage = new("outage", "mains away", [], [], [], [])
    {
        OnStandby = true,
        Switches = [new SwitchState("t1", false), new SwitchState("t2", false), new SwitchState("coupler", true)],
    };

    private static PlantSpecification With(SourceStrength.Generator generator, Scenario? scenario = null) => DemoChanges.Demo with
    {
        Standby = new StandbySupply("bus-a", generator),
        Scenarios = [.. DemoChanges.Demo.Scenarios, scenario ?? Outage],
    };

    [Fact]
    public void On_the_mains_nothing_changes_and_on_the_generator_it_is_the_source()
    {
        var plant = With(Set);
        var found = DemoChanges.Assessor.Run(plant);
        var before = DemoChanges.Assessor.Run(DemoChanges.Demo);
        Assert.Equal(before.Scenarios.Count + 1, found.Scenarios.Count);
        Assert.Equal(before.Demand, found.Demand);
        var alone = DemoChanges.Assessor.Run(StandbyPlant.OnGenerator(plant));
        Assert.Equal("bus-a", StandbyPlant.OnGenerator(plant).Source.BusId);
        foreach (var check in alone.Checks.Where(c => c.Id.StartsWith("supply.generator", StringComparison.Ordinal)))
        {
            Assert.Contains(found.Checks, c => c.Id == check.Id && c.Verdict == check.Verdict && c.Scenario == check.Scenario);
        }

        Assert.DoesNotContain(before.Checks, c => c.Id.StartsWith("supply.generator", StringComparison.Ordinal));
    }

    // Two sets of half the size are one of the whole: the network sees the same impedance, the loading the same sum.
    [Fact]
    public void Equal_sets_in_parallel_are_one_of_their_sum()
    {
        var one = DemoChanges.Assessor.Run(StandbyPlant.OnGenerator(With(Set)));
        var two = DemoChanges.Assessor.Run(StandbyPlant.OnGenerator(With(Set with { RatedKva = 315, RatedKw = 250, Sets = 2 })));
        Assert.Equal(one.Scenarios[0].Network.FaultA("bus-a"), two.Scenarios[0].Network.FaultA("bus-a"), 6);
        Assert.Equal(Of(one.Checks, "supply.generator-loading").Figure.Value, Of(two.Checks, "supply.generator-loading").Figure.Value, 3);
    }

    [Fact]
    public void The_fault_current_is_that_behind_the_subtransient_reactance()
    {
        var found = DemoChanges.Assessor.Run(StandbyPlant.OnGenerator(With(Set))).Scenarios[0];
        var ratedA = 630e3 / (Math.Sqrt(3) * 400);
        Assert.Equal(ratedA / 0.14, found.Network.FaultA("bus-a"), 0.01 * ratedA / 0.14);
        Assert.Equal(ratedA / 0.24, found.ForDips.FaultA("bus-a"), 0.01 * ratedA / 0.24);
    }

    [Fact]
    public void A_generator_that_feeds_the_mains_fails()
    {
        Assert.Equal(Verdict.Holds, Of(DemoChanges.Assessor.Run(With(Set)).Checks, "supply.change-over").Verdict);
        var fed = With(Set, Outage with { Switches = [new SwitchState("t2", false)] });
        var check = Of(DemoChanges.Assessor.Run(fed).Checks, "supply.change-over");
        Assert.Equal((Verdict.Fails, "mains away"), (check.Verdict, check.Scenario));
    }

    [Fact]
    public void Too_small_a_set_fails_and_a_large_one_carries_the_plant()
    {
        Assert.Equal(Verdict.Fails, Of(DemoChanges.Assessor.Run(With(Set with { RatedKva = 200, RatedKw = 160 })).Checks,
            "supply.generator-loading").Verdict);
        Assert.NotEqual(Verdict.Fails,
            Of(DemoChanges.Assessor.Run(With(Set with { RatedKva = 2000, RatedKw = 1600 })).Checks, "supply.generator-loading").Verdict);
    }

    [Theory]
    [InlineData(null, Verdict.Fails)]
    [InlineData(60.0, Verdict.Holds)]
    public void Capacitors_alone_on_a_generator_lead(double? statedPct, Verdict verdict)
    {
        var idle = Outage with
        {
            States = [.. DemoChanges.Demo.AllDrivePoints().Select(p => new DrivePointState(p.Id, false, 1, 1))],
            LoadStates = [.. DemoChanges.Demo.Distribution.Loads.Select(l => new LoadState(l.Id, 0))],
        };
        var generator = Set with { LeadingPct = statedPct is { } pct ? pct : Given.Unknown };
        Assert.Equal(verdict, Of(DemoChanges.Assessor.Run(With(generator, idle)).Checks, "supply.generator-reactive").Verdict);
    }

    [Fact]
    public void Each_check_is_the_worse_of_both()
    {
        var (mains, standby) = (DemoChanges.Assessor.Run(DemoChanges.Demo), DemoChanges.Assessor.Run(StandbyPlant.OnGenerator(With(Set))));
        var both = DemoChanges.Assessor.Run(With(Set));
        int Rank(Verdict v) => v switch { Verdict.Fails => 0, Verdict.NeedsData => 1, Verdict.Tight => 2, Verdict.Holds => 3, _ => 4 };
        var live = standby.Scenarios[0].Network;
        foreach (var check in both.Checks.Where(c => c.Id == "supply.voltage"))
        {
            // Of what is dead on the generator nothing is asked there.
            var ranks = mains.Checks.Concat(standby.Checks.Where(c => live.IsLive(c.ElementId)))
                .Where(c => c.Id == check.Id && c.ElementId == check.ElementId).Select(c => Rank(c.Verdict));
            Assert.Equal(ranks.Min(), Rank(check.Verdict));
        }

        Assert.All(both.Checks.Where(c => c.Id.StartsWith("harmonics.pcc", StringComparison.Ordinal)),
            c => Assert.Contains(mains.Checks, m => m.Id == c.Id && m.Verdict == c.Verdict && m.Scenario == c.Scenario));
    }

    // What cannot be computed is not known to be dead, and nothing of it holds.
    [Fact]
    public void A_generator_that_lacks_data_leaves_nothing_to_hold()
    {
        var found = DemoChanges.Assessor.Run(With(Set with { XrRatio = Given.Unknown })).Checks;
        Assert.Equal(Verdict.NeedsData, Of(found, "supply.change-over").Verdict);
        Assert.Equal(Verdict.NeedsData, Of(found, "supply.generator-loading").Verdict);
        Assert.All(found.Where(c => c.Id == "supply.voltage"), c => Assert.Equal(Verdict.NeedsData, c.Verdict));
    }

    // The regulator holds the terminals; what lies behind a cable is lower by its drop alone.
    [Fact]
    public void The_terminals_are_held_by_the_regulator()
    {
        var plant = StandbyPlant.OnGenerator(With(Set));
        var found = DemoChanges.Assessor.Run(plant);
        Assert.Equal(100, found.Voltages["bus-a"].LowestPct, 6);
        var scenario = found.Scenarios[0];
        double Solved(string busId) => scenario.Buses.Single(b => b.BusId == busId).VoltagePu;
        Assert.True(Solved("bus-a") < 0.99);
        Assert.Equal(100 * (1 - Solved("bus-a") + Solved("bus-w")), found.Voltages["bus-w"].LowestPct, 6);
    }

    // Phases of 1.12, 1.12 and 0.76 times the mean: their negative sequence by the three phasors.
    [Fact]
    public void Uneven_groups_unbalance_a_generator()
    {
        var lighting = (BusLoad.SinglePhaseGroup)DemoChanges.Demo.Distribution.Loads.Single(l => l is BusLoad.SinglePhaseGroup);
        var u = lighting.UnevenPct.Value / 100;
        var turn = System.Numerics.Complex.FromPolarCoordinates(1, 2 * Math.PI / 3);
        var negative = ((1 + u) + (turn * turn * (1 + u) * turn * turn) + (turn * (1 - (2 * u)) * turn)).Magnitude / 3;
        Assert.Equal(u, negative, 9);
        Assert.Equal(u, NeutralCurrent.NegativePu(u), 9);
        var plant = StandbyPlant.OnGenerator(With(Set)) with { Lineups = [] };
        var check = Of(DemoChanges.Assessor.Run(plant).Checks, "supply.generator-unbalance");
        Assert.Equal(100 * u * lighting.PowerVa().Magnitude / 630e3, check.Figure.Value, 0.01);
        var open = plant with
        {
            Distribution = plant.Distribution with
            {
                Loads = [.. plant.Distribution.Loads.Select(l => l is BusLoad.SinglePhaseGroup g
                    ? g with { UnevenPct = Given.Unknown }
                    : l)],
            },
        };
        Assert.Equal(Verdict.NeedsData, Of(DemoChanges.Assessor.Run(open).Checks, "supply.generator-unbalance").Verdict);
    }

    [Fact]
    public void Scenarios_on_a_generator_that_is_not_there_are_refused()
    {
        var open = With(Set) with { Standby = null };
        Assert.Contains(SpecificationProblems(open), p => p.Pointer == "/scenarios");
        var none = With(Set) with { Scenarios = [Outage] };
        Assert.Contains(SpecificationProblems(none), p => p.Pointer == "/scenarios");
        Assert.Contains(SpecificationProblems(With(Set with { Sets = 1.5 })), p => p.Pointer == "/standby/generator/sets");
    }

    private static IReadOnlyList<InputProblem> SpecificationProblems(PlantSpecification plant) =>
        Core.Specification.Validation.SpecificationValidation.Problems(plant, DemoChanges.Data);

    private static Check Of(IReadOnlyList<Check> checks, string id) => checks.Single(c => c.Id == id);
}
