using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>The supply of the demo plant through the whole assessment.</summary>
[Trait("speed", "slow")]
public sealed class SupplyAssessmentTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);

    /// <summary>The same lineup twice, on two transformers; balanced, without anything else.</summary>
    private static PlantSpecification Twins(VectorGroup first, VectorGroup second)
    {
        var lineup = Demo.Lineups[0] with { DrivePoints = [Demo.Lineups[0].DrivePoints[0]], Arrangements = [] };
        var twin = lineup with { Id = "twin", BusId = "bus-b", DrivePoints = [lineup.DrivePoints[0] with { Id = "twin-1" }] };
        var pattern = Demo.Distribution.Transformers[0];
        return Demo with
        {
            Source = Demo.Source with { UnbalancePct = 0, BackgroundV5Pct = 0, BackgroundV7Pct = 0 },
            Scenarios = [Scenario.AsUsual("all", "all running")],
            Lineups = [lineup, twin],
            Distribution = Demo.Distribution with
            {
                Transformers = [pattern with { VectorGroup = first }, pattern with { Id = "t2", ToBusId = "bus-b", VectorGroup = second }],
                CapacitorBanks = [],
                Loads = [],
            },
        };
    }

    private static double Order(PlantSpecification plant, int order) =>
        DemoChanges.Assessor.Run(plant).Scenarios[0].Pcc.CurrentA[order - 1].Magnitude;

    [Theory]
    [InlineData(VectorGroup.Dyn11, VectorGroup.Dd0)]
    [InlineData(VectorGroup.Dyn5, VectorGroup.Yyn0)]
    [InlineData(VectorGroup.Dyn1, VectorGroup.Dzn0)]
    public void Equal_drives_on_odd_and_even_hours_cancel_5_and_7_and_keep_11_and_13(VectorGroup odd, VectorGroup even)
    {
        var together = Twins(even, even);
        var apart = Twins(odd, even);
        foreach (var order in new[] { 5, 7, 17, 19 })
        {
            Assert.True(Order(apart, order) < 0.02 * Order(together, order) / 2, $"order {order}");
        }

        // The two no longer flatten each other, so what adds is even a little more than before.
        foreach (var order in new[] { 1, 11, 13, 23, 25 })
        {
            Assert.True(Order(apart, order) > 0.9 * Order(together, order), $"order {order}");
        }
    }

    [Fact]
    public void Which_odd_hour_it_is_does_not_matter()
    {
        Assert.Equal(Order(Twins(VectorGroup.Dyn11, VectorGroup.Dyn11), 5), Order(Twins(VectorGroup.Dyn5, VectorGroup.Dyn5), 5), 9);
        Assert.Equal(Order(Twins(VectorGroup.Dyn1, VectorGroup.Dd0), 11), Order(Twins(VectorGroup.Dyn7, VectorGroup.Dd0), 11), 6);
    }

    [Fact]
    public void A_detuned_bank_ends_the_resonance()
    {
        var detuned = Demo with { Distribution = Demo.Distribution with { CapacitorBanks =
            [Demo.Distribution.CapacitorBanks[0] with { DetuningPct = 7 }] } };
        double Tdd(PlantSpecification p) => DemoChanges.Assessor.Run(p).Checks.Single(c => c.Id == "harmonics.pcc-tdd").Figure.Value;
        Assert.True(Tdd(detuned) < 0.7 * Tdd(Demo));
    }

    [Fact]
    public void A_drive_point_without_feed_fails_by_name()
    {
        var dark = Demo with { Scenarios = [Scenario.AsUsual("dark",
            "transformer 2 out, coupler open") with { Switches = [new SwitchState("t2", false)] }] };
        var found = DemoChanges.Assessor.Run(dark);
        var check = found.Checks.Single(c => c.Id == "supply.feed");
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("DP-16", check.Reason.WithNumbers, StringComparison.Ordinal);
        Assert.DoesNotContain(found.Scenarios[0].Drives, d => d.BusId == "bus-b");
        Assert.Equal(Verdict.NotApplicable, found.Checks.Single(c => c is { Id: "supply.start-dip", ElementId: "compressor" }).Verdict);
        Assert.Equal(Verdict.NotApplicable, found.Checks.Single(c => c is { Id: "supply.transformer-loading", ElementId: "t2" }).Verdict);
    }

    [Fact]
    public void A_bigger_motor_started_often_fails_at_the_pcc()
    {
        var motor = (BusLoad.LineMotor)Demo.Distribution.Loads.Single(l => l.Id == "compressor");
        Check Dip(BusLoad.LineMotor m, Given leastMva) => DemoChanges.Assessor.Run(Demo with
        {
            Source = Demo.Source with { Strength = new SourceStrength.FaultLevel(250, leastMva, 10) },
            Distribution = Demo.Distribution with { Loads = [.. Demo.Distribution.Loads.Select(l => l.Id == m.Id ? m : l)] },
        }).Checks.Single(c => c is { Id: "supply.start-dip", ElementId: "compressor" });
        Assert.Equal(Verdict.Holds, Dip(motor, 180).Verdict);
        Assert.Equal(Verdict.Fails, Dip(motor with { RatedKw = 400 }, 180).Verdict);
        var weak = Dip(motor with { RatedKw = 200 }, 40);
        Assert.Equal(3, weak.Limit.Value);
        Assert.Contains("PCC", weak.Title, StringComparison.Ordinal);
        Assert.Equal(Verdict.Fails, weak.Verdict);
        Assert.Contains("shortcut", weak.Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Contains("default of the project", weak.Reason.Inputs[1].Origin, StringComparison.Ordinal);
        Assert.Equal(Verdict.Fails, Dip(motor with { RatedKw = 9000 }, 40).Verdict);
    }

    [Fact]
    public void Switchgear_and_converters_are_held_against_the_fault_level()
    {
        var weak = Demo with
        {
            Distribution = Demo.Distribution with { Buses = [.. Demo.Distribution.Buses.Select(b => b.Id == "bus-a"
                ? b with { WithstandKa = 25 }
                : b)] },
        };
        var check = DemoChanges.Assessor.Run(weak).Checks.Single(c => c is { Id: "supply.fault-level", ElementId: "bus-a" });
        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("licensed", check.Relief, StringComparison.Ordinal);
        var bare = DemoChanges.Changed("dp-12", p => p with { Feeder = new Feeder.OnBusbar() });
        var large = bare with
        {
            Distribution = Demo.Distribution with { Transformers = [.. Demo.Distribution.Transformers.Select(t =>
                t with { RatedKva = 3150, LoadLossKw = 25 })] },
        };
        Assert.Equal(Verdict.Fails, DemoChanges.Assessor.Run(large).Checks.Single(c =>
            c is { Id: "converter.short-circuit-rating", DrivePointId: "dp-12" }).Verdict);
    }

    [Fact]
    public void Missing_data_of_the_supply_is_named()
    {
        var open = Demo with
        {
            Distribution = Demo.Distribution with
            {
                Transformers = [.. Demo.Distribution.Transformers.Select(t => t with { Cooling = TransformerCooling.Oil })],
                Loads = [.. Demo.Distribution.Loads.Select(l => l is BusLoad.SinglePhaseGroup g ? g with { NeutralA = Given.Unknown } : l)],
            },
        };
        var found = DemoChanges.Assessor.Run(open);
        var oil = found.Checks.Single(c => c is { Id: "supply.transformer-loading", ElementId: "t1" });
        Assert.True(oil.Figure.IsKnown);
        Assert.Contains("assumed: other stray loss of 10 %", oil.Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Equal(Verdict.NeedsData, found.Checks.Single(c => c.Id == "supply.neutral").Verdict);
        var cable = Demo with
        {
            Distribution = Demo.Distribution with { Links = [.. Demo.Distribution.Links.Select(l => l is BusLink.Cable c
                ? c with { LengthM = Given.Unknown }
                : l)] },
        };
        var without = DemoChanges.Assessor.Run(cable);
        Assert.Empty(without.Scenarios);
        Assert.Contains("cable to the workshop", without.Checks.Single(c => c.Id == "harmonics.pcc-tdd").Relief, StringComparison.Ordinal);
    }

    [Fact]
    public void Less_load_at_the_same_speed_draws_less()
    {
        var half = Demo with { Scenarios = [Scenario.AsUsual("s",
            "half load") with { States = [new DrivePointState("dp-04", true, 1, 0.5), new DrivePointState("dp-01", true, 1, 0.5)] }] };
        double Line(PlantSpecification p) =>
            DemoChanges.Assessor.Run(p).Scenarios[0].Drives.Single(d => d.DrivePointId == "dp-01").Point.LineW;
        double OnLine(PlantSpecification p) =>
            DemoChanges.Assessor.Run(p).Scenarios[0].OnLine.Single(d => d.DrivePointId == "dp-04").Point.LineW;
        var full = Demo with { Scenarios = [Scenario.AsUsual("s", "full")] };
        Assert.InRange(Line(half) / Line(full), 0.48, 0.56);
        Assert.InRange(OnLine(half) / OnLine(full), 0.48, 0.56);
    }

    [Fact]
    public void An_infinite_source_with_its_own_bus_as_pcc_needs_data()
    {
        var assumed = Demo with { Source = Demo.Source with { Strength = new SourceStrength.AssumedInfinite() } };
        var found = DemoChanges.Assessor.Run(assumed);
        Assert.Contains("infinite", found.Checks.Single(c => c.Id == "harmonics.pcc-tdd").Relief, StringComparison.Ordinal);
        Assert.Equal(Verdict.NeedsData, found.Checks.Single(c => c is { Id: "supply.fault-level", ElementId: "bus-mv" }).Verdict);
        Assert.True(found.Scenarios[0].Pcc.FundamentalA > 30, "the current is known all the same");

        // At the bus behind the transformer it can be judged, optimistically.
        var behind = DemoChanges.Assessor.Run(assumed with { Pcc = new CommonCoupling("bus-a", Given.Unknown) });
        Assert.NotEqual(Verdict.NeedsData, behind.Checks.Single(c => c.Id == "harmonics.pcc-tdd").Verdict);
    }
}
