using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Demo;
using Check = Cuadrilla.Core.Checks.Check;

namespace Cuadrilla.Core.Tests.Studies.Supply;

/// <summary>Steady voltages, generators and largest fault currents of the demo, changed one entry at a time.</summary>
[Trait("speed", "slow")]
public sealed class SupplyVoltageTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly PlantAssessment Found = DemoChanges.Assessor.Run(Demo);

    [Fact]
    public void A_low_source_lowers_every_bus_by_more_than_itself()
    {
        Check Of(double low, double tap) =>
            DemoChanges.Assessor.Run(With(low, tap)).Checks.Single(c => c is { Id: "supply.voltage", ElementId: "bus-a" });

        // V = s·t − (1 − V_nominal)/(s·t): with 90 % and no tap the drop of the demo grows by a ninth.
        var scenario = Found.Scenarios.MinBy(s => s.Buses.Single(b => b.BusId == "bus-a").VoltagePu)!;
        var drop = 1 - scenario.Buses.Single(b => b.BusId == "bus-a").VoltagePu;
        var low = Of(90, 100);
        Assert.Equal(100 * (0.9 - (drop / 0.9)), low.Figure.Value, 0.01);
        Assert.Equal(Verdict.Fails, low.Verdict);
        Assert.Equal(Verdict.Tight, Of(96, 100).Verdict);
        Assert.Equal(Verdict.Holds, Of(98, 104).Verdict);

        // A tap too high is as wrong: 113 % without load.
        var high = Of(98, 113);
        Assert.Equal(Verdict.Fails, high.Verdict);
        Assert.Contains("highest", high.Title, StringComparison.Ordinal);
    }

    [Fact]
    public void Files_without_a_range_are_read_as_exactly_nominal()
    {
        var old = Demo with { Source = Demo.Source with { LowestPct = Given.Unknown, HighestPct = Given.Unknown },
            Distribution = Demo.Distribution with { Transformers = [.. Demo.Distribution.Transformers.Select(t =>
                t with { NoLoadSecondaryPct = Given.Unknown })] } };
        var found = DemoChanges.Assessor.Run(old);
        var least = found.Scenarios.Min(s => s.Buses.Single(b => b.BusId == "bus-a").VoltagePu);
        Assert.Equal(Digits.Kept(100 * least),
            found.Checks.Single(c => c is { Id: "supply.voltage", ElementId: "bus-a" }).Figure.Value, 1e-9);
    }

    [Fact]
    public void A_converter_gives_no_more_than_the_lowest_voltage_of_its_bus()
    {
        Check Of(PlantSpecification plant) =>
            DemoChanges.Assessor.Run(plant).Checks.Single(c => c is { Id: "converter.output-voltage", DrivePointId: "dp-27" });
        Assert.True(Of(With(92, 100)).Figure.Value > Of(Demo).Figure.Value + 5);
        Assert.Equal(Verdict.Fails, Of(With(92, 100)).Verdict);
    }

    [Fact]
    public void A_motor_on_the_line_has_the_torque_of_the_lowest_voltage()
    {
        Check Peak(PlantSpecification plant) =>
            DemoChanges.Assessor.Run(plant).Checks.Single(c => c is { Id: "motor.peak", DrivePointId: "dp-04" });
        var range = BusVoltages.Of(With(90, 100), DemoChanges.Assessor.Run(With(90, 100)).Scenarios)["bus-a"];
        var ratio = Peak(With(90, 100)).Limit.Value / Peak(With(100, 104)).Limit.Value;
        Assert.InRange(ratio, Math.Pow(range.LowestPct / 100, 2) * 0.97, Math.Pow(range.LowestPct / 100, 2) * 1.03);
    }

    [Fact]
    public void A_generator_needs_its_kilowatts_and_its_transient_reactance()
    {
        var generator = new SourceStrength.Generator(1500, 12, 14, 15);
        var bare = DemoChanges.Assessor.Run(Demo with { Source = Demo.Source with { Strength = generator } });
        Assert.Equal(Verdict.NeedsData, bare.Checks.Single(c => c.Id == "supply.generator-loading").Verdict);
        var dip = bare.Checks.Single(c => c is { Id: "supply.start-dip", ElementId: "compressor" });
        Assert.Equal(Verdict.NeedsData, dip.Verdict);
        Assert.Contains("X′d", dip.Relief, StringComparison.Ordinal);

        Check Dip(double transient) => DemoChanges.Assessor.Run(Demo with { Source = Demo.Source
            with { Strength = generator with { RatedKw = 1200, TransientPct = transient, GoverningClass = 2 } } })
            .Checks.Single(c => c is { Id: "supply.start-dip", ElementId: "compressor" });
        Assert.True(Dip(30).Figure.Value > Dip(12).Figure.Value);
        Assert.Contains("class G2", Dip(30).Reason.WithNumbers, StringComparison.Ordinal);
        var loading = DemoChanges.Assessor.Run(Demo with { Source = Demo.Source with { Strength = generator with { RatedKw = 400,
            TransientPct = 25, GoverningClass = 2 } } })
            .Checks.Single(c => c.Id == "supply.generator-loading");
        Assert.Equal(Verdict.Fails, loading.Verdict);
        Assert.Contains("active power", loading.Title, StringComparison.Ordinal);
    }

    [Fact]
    public void Withstand_counts_voltage_factor_transformer_correction_and_motors()
    {
        // By hand: 250 MVA behind one transformer, K_T = 0.95·1.05/(1 + 0.6·x_T), and what runs on the line beside.
        var scenario = Found.Scenarios.First(s => s.Strongest.IsLive("bus-a"));
        var plain = scenario.Buses.Single(b => b.BusId == "bus-a").LargestFaultA;
        var (largest, motors) = WithstandCurrents.At(Demo, scenario, "bus-a");
        Assert.InRange((largest - motors) / plain, 1.05, 1.11);
        var compressor = Demo.Distribution.Loads.OfType<BusLoad.LineMotor>().First();
        var where = Found.Scenarios.First(s => s.Network.IsLive(compressor.BusId) && Demo.Scenarios.First(x => x.Id == s.ScenarioId)
            .LoadLevelPuOf(compressor.Id) > 0);
        var without = Demo with { Distribution = Demo.Distribution with { Loads = [.. Demo.Distribution.Loads.Where(l =>
            l.Id != compressor.Id)] } };
        Assert.Equal(
            compressor.LockedRotorVa() / (Math.Sqrt(3) * Demo.Distribution.Bus(compressor.BusId).NominalVoltageV),
            WithstandCurrents.At(Demo, where, compressor.BusId).MotorsA - WithstandCurrents.At(without, where,
                compressor.BusId).MotorsA, 1e-6);

        // The source alone at its own bus: c_max = 1.1 times the plain figure.
        Assert.Equal(1.1, WithstandCurrents.At(Demo, scenario,
            "bus-mv").Ampere / scenario.Buses.Single(b => b.BusId == "bus-mv").LargestFaultA, 1e-6);
    }

    [Fact]
    public void A_bus_has_a_class_of_its_own_and_a_demand_not_stated_leaves_a_doubt()
    {
        var strict = Demo with { Distribution = Demo.Distribution with { Buses = [.. Demo.Distribution.Buses.Select(b => b.Id == "bus-b"
            ? b with { EnvironmentClass = 1 }
            : b)] } };
        var found = DemoChanges.Assessor.Run(strict);
        Check Of(PlantAssessment a, string bus) => a.Checks.Single(c => c.Id == "harmonics.plant-voltage" && c.ElementId == bus);
        Assert.Contains("class 1", Of(found, "bus-b").Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Equal(Of(Found, "bus-a").Limit, Of(found, "bus-a").Limit);

        var quiet = Demo with { Pcc = Demo.Pcc with { MaximumDemandKva = Given.Unknown },
            Distribution = Demo.Distribution with { CapacitorBanks = [] } };
        quiet = quiet with { Scenarios = [.. quiet.Scenarios.Select(s =>
            s with { States = [.. s.States.Select(x => x with { Running = x.DrivePointId == "dp-04" })] })] };
        var tdd = DemoChanges.Assessor.Run(quiet).Checks.Single(c => c.Id == "harmonics.pcc-tdd");
        Assert.NotEqual(Verdict.Holds, tdd.Verdict);
    }

    [Theory]
    [InlineData(1, "harmonics.plant-voltage", "harmonics.pcc-tdd")]
    [InlineData(2, "harmonics.pcc-tdd", "harmonics.plant-voltage")]
    public void The_other_school_of_limits_is_shown_and_not_judged(double code, string shown, string judged)
    {
        var found = DemoChanges.Assessor.Run(Demo with { Overrides = [new DefaultOverride("harmonics-code", code, "agreed")] }).Checks;
        Assert.All(found.Where(c => c.Id == shown), c =>
        {
            Assert.Equal(Verdict.NotApplicable, c.Verdict);
            Assert.True(c.Figure.IsKnown);
            Assert.StartsWith("shown, not judged", c.Reason.WithNumbers, StringComparison.Ordinal);
        });
        Assert.Contains(found, c => c.Id == judged && c.Verdict == Verdict.Fails);
    }

    private static PlantSpecification With(double lowestPct, double noLoadPct) => Demo with
    {
        Source = Demo.Source with { LowestPct = lowestPct },
        Distribution = Demo.Distribution with { Transformers = [.. Demo.Distribution.Transformers.Select(t =>
            t with { NoLoadSecondaryPct = noLoadPct })] },
    };
}
