using System.Globalization;
using System.Text.RegularExpressions;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Stopping;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Commands;

/// <summary>Brake resistors and transformers of the catalogue.</summary>
public sealed class CatalogueSizeTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);
    private static readonly PlantSpecification Tiles = DemoPlant.Read(Data, DemoPlant.Keys[0]);

    [Theory]
    [InlineData("eu", 1000, 6, 7.6, 0.693)]
    [InlineData("eu", 630, 4, 4.6, 0.54)]
    [InlineData("us", 1000, 5.75, 5.7327, 1.4332)]
    public void Sizes_have_what_their_rule_says(string key, double kva, double ukPct, double loadLossKw, double noLoadLossKw)
    {
        var size = Data.Transformers.Single(s => s.Key == key).Sizes.Single(s => s.RatedKva == kva);
        Assert.Equal((ukPct, loadLossKw, noLoadLossKw), (size.UkPct, Math.Round(size.LoadLossKw, 4), Math.Round(size.NoLoadLossKw, 4)),
            new Near(6e-4));
    }

    [Theory]
    [InlineData(45, 98.92)]
    [InlineData(500, 99.35)]
    [InlineData(2500, 99.53)]
    public void A_half_load_efficiency_comes_back_from_its_losses(double kva, double efficiencyPct)
    {
        var size = TransformerSize.OfHalfLoadEfficiency(kva, 5, efficiencyPct);
        Assert.Equal(efficiencyPct, 100 * kva / 2 / ((kva / 2) + size.NoLoadLossKw + (size.LoadLossKw / 4)), 2);
        Assert.Equal(size.NoLoadLossKw, size.LoadLossKw / 4, 1e-3 * size.LoadLossKw);
    }

    [Fact]
    public void Sizes_rise_and_larger_ones_lose_less_of_their_rating()
    {
        foreach (var series in Data.Transformers)
        {
            Assert.All(series.Sizes.Zip(series.Sizes.Skip(1)), s => Assert.True(s.First.RatedKva < s.Second.RatedKva));
            Assert.True(series.Sizes[^1].LoadLossKw / series.Sizes[^1].RatedKva < series.Sizes[0].LoadLossKw / series.Sizes[0].RatedKva);
        }
    }

    [Fact]
    public void The_smallest_that_holds_holds_and_the_one_below_does_not()
    {
        var id = Tiles.Distribution.Transformers[0].Id;
        var done = Assert.IsType<CommandOutcome.Done>(new UseTransformerSize(id, "eu", null).On(Tiles, Studies));
        var chosen = done.After.Distribution.Transformers.Single(t => t.Id == id);
        var series = Data.Transformers.Single(s => s.Key == "eu");
        Assert.Equal(Verdict.Holds, Loading(done.After, id));
        var below = series.Sizes.Last(s => s.RatedKva < chosen.RatedKva);
        var smaller = Assert.IsType<CommandOutcome.Done>(new UseTransformerSize(id, "eu", below.RatedKva).On(Tiles, Studies));
        Assert.NotEqual(Verdict.Holds, Loading(smaller.After, id));
        Assert.Equal(Tiles.Distribution.Transformers[0].VectorGroup, chosen.VectorGroup);
    }

    // A pump of the water works across the line, where no more than a small dip is allowed: its transformer carries it sooner than it
    // starts it.
    [Fact]
    public void What_a_larger_size_would_mend_is_told_and_is_mended_by_it()
    {
        var works = DemoPlant.Read(Data, "tarn-hollow");
        var strict = works with
        {
            Scenarios = [works.Scenarios[0]],
            Overrides = [.. works.Overrides, new DefaultOverride("dip-motor-bus-pct", 7, "controls drop out")],
        };
        var plant = Assert.IsType<CommandOutcome.Done>(new FeedBy(["bw-1"], FeedWay.AcrossTheLine).On(strict, Studies)).After;
        var done = Assert.IsType<CommandOutcome.Done>(new UseTransformerSize("t2", "us", null).On(plant, Studies));
        Assert.Equal(2, done.Notes.Count);
        var told = Regex.Match(done.Notes[1], @"^(\d+) kVA would also end: Dip at start, BW-1");
        Assert.True(told.Success, done.Notes[1]);
        var kva = double.Parse(told.Groups[1].Value, CultureInfo.InvariantCulture);
        Assert.Equal(Verdict.Fails, Dip(done.After));
        var sizes = Data.Transformers.Single(s => s.Key == "us").Sizes;
        foreach (var size in sizes.Where(s => s.RatedKva > Kva(done.After) && s.RatedKva <= kva))
        {
            var larger = Assert.IsType<CommandOutcome.Done>(new UseTransformerSize("t2", "us", size.RatedKva).On(plant, Studies)).After;
            Assert.Equal(size.RatedKva < kva, Dip(larger) == Verdict.Fails);
        }

        // Switchgear that stands what the size that carries the load feeds into a fault, and no more, would not stand it.
        var bus = plant.BusOfDrivePoints()["bw-1"].Id;
        var faultKa = Studies.Run(done.After).Checks.Single(c => c.Id == "supply.fault-level" && c.ElementId == bus).Figure.Value;
        var weak = plant with
        {
            Distribution = plant.Distribution with
            {
                Buses = [.. plant.Distribution.Buses.Select(b => b.Id == bus ? b with { WithstandKa = 1.01 * faultKa } : b)],
            },
        };
        var warned = Assert.IsType<CommandOutcome.Done>(new UseTransformerSize("t2", "us", null).On(weak, Studies));
        Assert.Contains("It would bring: Fault level of ", warned.Notes[1], StringComparison.Ordinal);
        Assert.DoesNotContain("It would bring", done.Notes[1], StringComparison.Ordinal);

        static double Kva(PlantSpecification plant) => plant.Distribution.Transformers.Single(t => t.Id == "t2").RatedKva;
        static Verdict Dip(PlantSpecification plant) =>
            Studies.Run(plant).Checks.Single(c => c.Id == "supply.start-dip" && c.DrivePointId == "bw-1").Verdict;
    }

    [Fact]
    public void A_size_that_no_one_makes_is_refused_with_those_that_there_are()
    {
        var why = Assert.IsType<CommandOutcome.Refused>(new UseTransformerSize(Tiles.Distribution.Transformers[0].Id, "eu", 999)
            .On(Tiles, Studies)).Why;
        Assert.Equal("/ratedKva", why.Pointer);
        Assert.Contains("1000", why.Message, StringComparison.Ordinal);
        Assert.IsType<CommandOutcome.Refused>(new UseTransformerSize("none", "eu", 1000).On(Tiles, Studies));
        Assert.IsType<CommandOutcome.Refused>(new UseTransformerSize(Tiles.Distribution.Transformers[0].Id, "moon", 1000)
            .On(Tiles, Studies));
    }

    [Fact]
    public void A_transformer_behind_which_nothing_runs_is_not_sized_by_its_no_load()
    {
        var still = Tiles with
        {
            Lineups = [Tiles.Lineups[0] with { DrivePoints = [], DcBuses = [], Arrangements = [], SetAside = [] }],
            Scenarios = [Scenario.AsUsual("s", "usual")],
            Distribution = Tiles.Distribution with { Loads = [], CapacitorBanks = [], ActiveFilters = [] },
        };
        var why = Assert.IsType<CommandOutcome.Refused>(new UseTransformerSize(Tiles.Distribution.Transformers[0].Id, "eu", null)
            .On(still, Studies)).Why;
        Assert.Contains("can't be sized yet", why.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_transformer_of_which_nothing_is_known_is_not_sized()
    {
        var open = Tiles with { Source = Tiles.Source with { Strength = new SourceStrength.NotStated() } };
        Assert.IsType<CommandOutcome.Refused>(new UseTransformerSize(Tiles.Distribution.Transformers[0].Id, "eu", null).On(open, Studies));
    }

    [Fact]
    public void The_resistor_chosen_holds_and_every_smaller_one_of_the_list_does_not()
    {
        var candidates = Tiles.AllDrivePoints()
            .Where(p => p.Converter is ConverterChoice.FromCatalogue { Braking: Braking.Resistor } c
                && Data.Converters.TryGetValue(c.ItemId, out var item) && item.Brake is not null)
            .ToList();
        Assert.NotEmpty(candidates);
        foreach (var point in candidates)
        {
            var done = Assert.IsType<CommandOutcome.Done>(new SizeResistor([point.Id]).On(Tiles, Studies));
            var check = Studies.Run(done.After).Checks.Single(c => c.Id == "converter.braking" && c.DrivePointId == point.Id);
            Assert.Equal(Verdict.Holds, check.Verdict);
            var chosen = (Braking.Resistor)((ConverterChoice.FromCatalogue)done.After.AllDrivePoints()
                .Single(p => p.Id == point.Id).Converter).Braking;
            Assert.Contains(Data.BrakeResistors,
                r => r.ResistanceOhm == chosen.ResistanceOhm.Value && r.ContinuousKw == chosen.ContinuousKw.Value);
            foreach (var other in Data.BrakeResistors.Where(r => r.ContinuousKw < chosen.ContinuousKw.Value).TakeLast(6))
            {
                var after = done.After.Changed([point.Id], p => p with
                {
                    Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Braking = new Braking.Resistor(other.ResistanceOhm,
                        other.ContinuousKw) { WindowS = other.WindowS } },
                });
                Assert.NotEqual(Verdict.Holds, Studies.Run(after).Checks.Single(c => c.Id == "converter.braking"
                    && c.DrivePointId == point.Id).Verdict);
            }
        }
    }

    [Fact]
    public void A_stop_of_known_power_takes_the_resistor_that_arithmetic_gives()
    {
        // 12 kW for 5 s once: wire-wound stands 12 times for 5 s, so 1 kW and 10 % of margin more: 1.5 kW; R at most 0.9·750²/12000 = 42.2
        // ohm.
        var stop = new BrakingDemand("a stop", [new ReturnedPower(5, 12_000)], false) { IsStop = true };
        var found = ResistorFit.Of(Data.BrakeResistors, new ChopperLimits(20, 750), [stop], 10)!;
        Assert.Equal((1.5, 33), (found.ContinuousKw, found.ResistanceOhm));
        Assert.Null(ResistorFit.Of(Data.BrakeResistors, new ChopperLimits(60, 750), [stop], 10));
    }

    [Fact]
    public void Where_there_is_nothing_to_size_it_is_told()
    {
        var online = Tiles.AllDrivePoints().First(p => p.Converter is not ConverterChoice.FromCatalogue);
        var why = Assert.IsType<CommandOutcome.Refused>(new SizeResistor([online.Id]).On(Tiles, Studies)).Why;
        Assert.Contains(online.Tag, why.Message, StringComparison.Ordinal);
    }

    private static Verdict Loading(PlantSpecification plant, string id) =>
        Studies.Run(plant).Checks.Single(c => c.Id == "supply.transformer-loading" && c.ElementId == id).Verdict;

    private sealed class Near(double within) : IEqualityComparer<(double, double, double)>
    {
        public bool Equals((double, double, double) x, (double, double, double) y) =>
            Math.Abs(x.Item1 - y.Item1) <= within && Math.Abs(x.Item2 - y.Item2) <= within && Math.Abs(x.Item3 - y.Item3) <= within;

        public int GetHashCode((double, double, double) obj) => 0;
    }
}
