using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Standby;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Standby;

/// <summary>Sizes of a generator against its checks, and what has to be shed.</summary>
public sealed class GeneratorStudyTests
{
    private static readonly PlantSpecification Water = DemoPlant.Read(DemoChanges.Data, "tarn-hollow");
    private static readonly GeneratorFeed Feed = GeneratorFeed.Of(Water)!;

    [Fact]
    public void Without_a_generator_there_is_nothing_to_study()
    {
        Assert.Null(GeneratorFeed.Of(DemoChanges.Demo));
        Assert.IsType<CommandOutcome.Refused>(new ShedOnGenerator().On(DemoChanges.Demo, DemoChanges.Assessor));
        Assert.True(Feed.IsStandby);
        Assert.Null(SetSweep.Of(Feed with { Generator = Feed.Generator with { RatedKva = Given.Unknown } }, DemoChanges.Assessor));
    }

    // Power over rating falls with the rating; the reactance in ohm too, and distortion with it.
    [Fact]
    public void A_larger_set_is_loaded_and_distorted_less()
    {
        var sweep = SetSweep.Of(Feed, DemoChanges.Assessor)!;
        var judged = sweep.Sizes.Where(s => s.LoadingPct is not null && s.DistortionPct is not null).ToList();
        Assert.True(judged.Count >= 8);
        Assert.All(judged.Zip(judged.Skip(1)), p =>
        {
            Assert.True(p.Second.LoadingPct < p.First.LoadingPct);
            Assert.True(p.Second.DistortionPct < p.First.DistortionPct);
        });
        Assert.Single(sweep.Sizes, s => s.IsPresent);
        var present = sweep.Sizes.Single(s => s.IsPresent);
        Assert.Contains(present.Fails, f => f.Contains("Distortion on the generator", StringComparison.Ordinal));
        Assert.True(sweep.LeastKva > present.Kva);

        // The least size that is said is one at which a whole assessment finds nothing of it failing.
        var sized = Feed.Generator with { RatedKva = sweep.LeastKva!.Value, RatedKw = 0.8 * sweep.LeastKva.Value };
        Assert.DoesNotContain(GeneratorFeed.Concerned(DemoChanges.Assessor.Run(Feed.On(sized))), c => c.Verdict == Verdict.Fails);
    }

    [Fact]
    public void What_is_shed_makes_it_hold_and_the_command_does_the_same()
    {
        var shed = Shedding.Of(Feed, DemoChanges.Assessor);
        Assert.NotEmpty(shed.Steps);
        Assert.Empty(shed.Left);
        Assert.True(shed.FilterA > 0);
        Assert.True(shed.FilteredPct < 8);
        var done = Assert.IsType<CommandOutcome.Done>(new ShedOnGenerator().On(Water, DemoChanges.Assessor));
        Assert.DoesNotContain(DemoChanges.Assessor.Run(done.After).Checks,
            c => c.Id.StartsWith("supply.generator", StringComparison.Ordinal) && c.Verdict == Verdict.Fails);

        // On the mains everything runs as before.
        Assert.Equal(Water.Scenarios.Where(s => !s.OnStandby), done.After.Scenarios.Where(s => !s.OnStandby));
        Assert.IsType<CommandOutcome.Refused>(new ShedOnGenerator().On(done.After, DemoChanges.Assessor));
    }

    [Fact]
    public void Too_small_a_set_sheds_the_largest_first()
    {
        var small = Water with { Standby = Water.Standby! with { Generator = Water.Standby.Generator with { RatedKva = 120,
            RatedKw = 96 } } };
        var shed = Shedding.Of(GeneratorFeed.Of(small)!, DemoChanges.Assessor);
        Assert.Contains("HS-1", shed.Steps[0].What, StringComparison.Ordinal);
    }

    [Fact]
    public void What_the_source_gives_is_what_runs_and_what_is_lost()
    {
        var result = DemoChanges.Assessor.Run(Feed.Plant).Scenarios[0];
        var va = GeneratorLoad.OnSource(Feed.Plant, result);
        var running = result.Running.Sum(r => r.LineW);
        Assert.True(va.Real > running);
        Assert.InRange(va.Real, running, 1.5 * running);
    }

    [Fact]
    public void Capacitors_go_first_where_they_lead()
    {
        var plant = DemoChanges.Demo;
        var idle = new Scenario("outage", "mains away", [.. plant.AllDrivePoints().Select(p => new DrivePointState(p.Id, false, 1, 1))],
            [.. plant.Distribution.Loads.Select(l => new LoadState(l.Id, 0.05))],
            [new SwitchState("t1", false), new SwitchState("t2", false), new SwitchState("coupler", true)], [])
        {
            OnStandby = true,
        };
        var with = plant with
        {
            Standby = new StandbySupply("bus-a",
                new SourceStrength.Generator(630, 14, 16, 20) { RatedKw = 500, TransientPct = 24, GoverningClass = 2 }),
            Scenarios = [.. plant.Scenarios, idle],
        };
        var shed = Shedding.Of(GeneratorFeed.Of(with)!, DemoChanges.Assessor);
        Assert.Equal(plant.Distribution.CapacitorBanks[0].Name, shed.Steps[0].What);
    }
}
