using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>What the supply does on the demo plant: fault level, unbalance, generator, drives on one bus.</summary>
[Trait("speed", "slow")]
public sealed class DemoSupplyTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly PlantAssessment Found = DemoChanges.Assessor.Run(Demo);

    [Fact]
    public void A_choke_lowers_the_fifth_order_on_a_balanced_supply()
    {
        // Not the seventh: that of a bridge without choke takes back a part of what the choked ones draw. A bank without reactor amplifies.
        PlantSpecification Balanced(PlantSpecification p) => p with
        {
            Name = "balanced",
            Source = p.Source with { UnbalancePct = 0 },
            Distribution = p.Distribution with { CapacitorBanks = [] },
        };
        var changed = With("dp-02", p => p with { Converter = new ConverterChoice.FromCatalogue("six-pulse-choke-55", OverloadDuty.Light, 4,
            string.Empty, new Braking.Nothing()) });
        ScenarioResult Found(PlantSpecification p) => DemoChanges.Assessor.Run(Balanced(p)).Scenarios[0];
        double Own(ScenarioResult r) => ((RectifierResult.SteadyState)r.Drives.Single(d => d.DrivePointId == "dp-02").Front).PhaseA.ThdiPct;
        var (plain, choked) = (Found(Demo), Found(changed));
        Assert.True(choked.Pcc.CurrentA[4].Magnitude < plain.Pcc.CurrentA[4].Magnitude);
        Assert.True(Own(choked) < Own(plain) / 2);
    }

    [Fact]
    public void Without_a_fault_level_harmonics_need_data()
    {
        var open = DemoChanges.Assessor.Run(Demo with { Source = Demo.Source with { Strength = new SourceStrength.NotStated() } });
        Assert.Equal(Verdict.NeedsData, Check(open, "harmonics.pcc-tdd", string.Empty).Verdict);
        Assert.Contains("fault level", Check(open, "harmonics.pcc-tdd", string.Empty).Relief, StringComparison.Ordinal);
        Assert.Equal(Verdict.NeedsData, Check(open, "supply.data", "dp-01").Verdict);
        var assumed = DemoChanges.Assessor.Run(Demo with { Source = Demo.Source with { Strength = new SourceStrength.AssumedInfinite() } });
        Assert.Equal(Verdict.Tight, Check(assumed, "supply.data", "dp-01").Verdict);
        Assert.Contains("infinite", Check(assumed, "harmonics.pcc-tdd", string.Empty).Relief, StringComparison.Ordinal);
    }

    [Fact]
    public void The_worst_scenario_is_named()
    {
        var quiet = Scenario.AsUsual("quiet", "quiet night") with
        {
            States = [new DrivePointState("dp-01", true, 0.5, 1), new DrivePointState("dp-02", false, 1, 1)],
            LoadStates = [.. Demo.Distribution.Loads.Select(l => new LoadState(l.Id, 0.1))],
        };
        var result = DemoChanges.Assessor.Run(Demo with { Scenarios = [quiet, Demo.Scenarios[0]] });
        Assert.Equal("full production", result.Checks.Single(c => c is { Id: "supply.transformer-loading", ElementId: "t1" }).Scenario);
        Assert.Equal(Found.Scenarios[0].Drives.Count - 1, result.Scenarios[0].Drives.Count);
        Assert.True(result.Scenarios[0].Pcc.CurrentA[0].Magnitude < result.Scenarios[1].Pcc.CurrentA[0].Magnitude);
    }

    [Fact]
    public void Drives_alike_on_one_bus_flatten_each_others_current()
    {
        double Thdi(PlantAssessment a) =>
            ((RectifierResult.SteadyState)a.Scenarios[0].Drives.Single(d => d.DrivePointId == "dp-05").Front).PhaseA.ThdiPct;
        Scenario Only(params string[] ids) =>
            Demo.Scenarios[0] with { States = [.. Demo.AllDrivePoints().Where(p => !ids.Contains(p.Id))
                .Select(p => new DrivePointState(p.Id, false, 1, 1))] };
        double With(params string[] ids) =>
            Thdi(DemoChanges.Assessor.Run(Demo with { Name = string.Join(' ', ids), Scenarios = [Only(ids)] }));
        var (alone, two, three) = (With("dp-05"), With("dp-05", "dp-07"), With("dp-05", "dp-07", "dp-06"));
        Assert.True(three < two - 0.5 && two < alone - 0.5, $"{alone} {two} {three}");
    }

    [Fact]
    public void Unbalance_is_judged_and_the_worst_phase_counts()
    {
        // The workshop's single-phase fan left out: by itself it already loads the phases unevenly.
        var three = DemoChanges.ThreePhases with { Lineups = [.. DemoChanges.ThreePhases.Lineups.Select(l =>
            l with { DrivePoints = [.. l.DrivePoints.Where(p => p.Id != "dp-17")] })] };
        PlantSpecification With(double pct) =>
            three with { Source = Demo.Source with { UnbalancePct = pct, BackgroundV5Pct = 0, BackgroundV7Pct = 0 } };
        var balanced = DemoChanges.Assessor.Run(With(0));
        var worse = DemoChanges.Assessor.Run(With(3));
        Assert.Equal(Verdict.Holds, Check(balanced, "supply.unbalance", string.Empty).Verdict);
        Assert.Equal(Verdict.Fails, Check(worse, "supply.unbalance", string.Empty).Verdict);

        // A motor on the line loaded to 85 % stands 3 % (0.88), not 4 % (0.82), and nothing above 5 %.
        Verdict Motor(double pct) => DemoChanges.Assessor.Run(With(pct)).Checks.Single(c =>
            c is { Id: "supply.unbalance", ElementId: "compressor" }).Verdict;
        Assert.Equal([Verdict.Holds, Verdict.Tight, Verdict.Fails, Verdict.Fails], new[] { 0.0, 3, 4, 6 }.Select(Motor));
        var silent = DemoChanges.Assessor.Run(Demo with { Source = Demo.Source with { UnbalancePct = Given.Unknown } });
        Assert.Equal(Verdict.NotApplicable, Check(silent, "supply.unbalance", string.Empty).Verdict);
        Assert.Contains("unbalance", Check(silent, "supply.data", "dp-01").Reason.WithNumbers, StringComparison.Ordinal);
        var front = (RectifierResult.SteadyState)worse.Scenarios[0].Drives.Single(d => d.DrivePointId == "dp-02").Front;
        Assert.False(front.IsBalanced);
        Assert.Equal(front.LoadedPhase.ThdiPct, worse.DrivePoints.Single(d => d.DrivePointId == "dp-02").ThdiPct!.Value, 9);

        // Each question is put to the phase that is worst for it: heat to the most loaded, distortion to the most distorted.
        var scenario = worse.Scenarios[0];
        Assert.Equal(3, scenario.PccPhases.Count);
        Assert.Single(balanced.Scenarios[0].PccPhases);
        Assert.Equal(scenario.PccPhases.Max(p => p.HarmonicA), scenario.Pcc.HarmonicA, 6);

        // At the bus of one transformer alone, without linear load: its heat is that of the most loaded phase.
        var bare = DemoChanges.Assessor.Run(With(3) with
        {
            Pcc = new CommonCoupling("bus-a", Given.Unknown),
            Distribution = Demo.Distribution with { Loads = [], CapacitorBanks = [] },
        }).Scenarios[0];
        Assert.True(bare.PccPhases.Max(p => p.RmsA) > 1.005 * bare.PccPhases.Min(p => p.RmsA), "the phases differ");
        Assert.Equal(bare.PccPhases.Max(p => p.RmsA), bare.Transformers.Single(t => t.TransformerId == "t1").RmsA, 6);

        // A third harmonic appears, which a balanced diode bridge does not have.
        Assert.True(worse.Scenarios[0].Pcc.CurrentA[2].Magnitude > 1);
        Assert.True(balanced.Scenarios[0].Pcc.CurrentA[2].Magnitude < 0.001);
    }

    [Fact]
    public void A_generator_is_a_source_behind_its_subtransient_reactance()
    {
        static double Fault(PlantSpecification p) => DemoChanges.Assessor.Run(p).Scenarios[0].Network.FaultA("bus-a");
        var generator = Demo with { Source = Demo.Source with { Strength = new SourceStrength.Generator(2000, 15, Given.Unknown, 20) } };

        // 2 MVA/0.15 = 13.3 MVA at the primary.
        var same = Demo with { Source = Demo.Source with { Strength = new SourceStrength.FaultLevel(2.0 / 0.15, Given.Unknown, 20) } };
        Assert.Equal(Fault(same), Fault(generator), 6);
        var open = DemoChanges.Assessor.Run(Demo with { Source = Demo.Source with { Strength = new SourceStrength.Generator(2000,
            Given.Unknown, Given.Unknown, 20) } });
        Assert.Contains("subtransient", Check(open, "harmonics.pcc-tdd", string.Empty).Relief, StringComparison.Ordinal);
        Assert.Equal("/source/strength/subtransientPct",
            SpecificationValidation.Problems(Demo with { Source = Demo.Source with { Strength = new SourceStrength.Generator(2000, 90,
                Given.Unknown, 20) } }, Data).Single().Pointer);
    }

    private static Check Check(PlantAssessment assessment, string id, string point) =>
        assessment.Checks.Single(c => c.Id == id && c.DrivePointId == point && c.ElementId.Length == 0);

    private static DrivePoint Point(string id) => Demo.AllDrivePoints().Single(p => p.Id == id);

    private static PlantSpecification With(string id, Func<DrivePoint, DrivePoint> change) => With(Demo, id, change);

    private static PlantSpecification With(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) =>
        DemoChanges.Changed(plant, id, change);

    [Fact]
    public void A_cell_tells_current_and_distortion_of_one_and_the_same_phase()
    {
        var uneven = DemoChanges.Assessor.Run(Demo with { Name = "uneven", Source = Demo.Source with { UnbalancePct = 1 } });
        var apart = 0;
        var fronts = uneven.Scenarios.SelectMany(s => s.Drives).DistinctBy(d => d.DrivePointId)
            .ToDictionary(d => d.DrivePointId, d => d.Front);
        foreach (var summary in uneven.DrivePoints.Where(d => d.LinePhase.Length > 0 && fronts.ContainsKey(d.DrivePointId)))
        {
            var draw = (RectifierResult.LineDraw)fronts[summary.DrivePointId];
            var phase = draw.Phases["ABC".IndexOf(summary.LinePhase, StringComparison.Ordinal)];
            Assert.Equal(phase.RmsA, summary.LineRmsA);
            Assert.Equal(phase.ThdiPct, summary.ThdiPct);
            Assert.Equal(draw.Phases.Max(p => p.RmsA), phase.RmsA);
            apart += draw.WorstPhase == phase ? 0 : 1;
        }

        // The most loaded phase is not the most distorted one.
        Assert.True(apart > 0);
        var even = DemoChanges.Assessor.Run(Demo with { Name = "even", Source = Demo.Source with { UnbalancePct = 0 } });
        var balanced = even.Scenarios[0].Drives.Where(d => d.Front is RectifierResult.LineDraw { IsBalanced: true })
            .Select(d => d.DrivePointId).ToHashSet(StringComparer.Ordinal);
        Assert.NotEmpty(balanced);
        Assert.All(even.DrivePoints.Where(d => balanced.Contains(d.DrivePointId)), d => Assert.Empty(d.LinePhase));
    }
}
