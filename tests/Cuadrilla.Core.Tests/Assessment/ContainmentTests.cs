using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Tests.Assessment;

/// <summary>A fault costs what it touches and nothing else; what a plant specifies is always one of its alternatives.</summary>
[Trait("speed", "slow")]
public sealed class ContainmentTests
{
    private static readonly EngineeringData Data = DemoChanges.Data;

    // A converter of the catalogue without its switching curve: its model throws.
    private static EngineeringData Broken(string itemId)
    {
        var items = Data.Converters.ToDictionary(c => c.Key, c => c.Value, StringComparer.Ordinal);
        items[itemId] = items[itemId] with { Derating = items[itemId].Derating with { Switching = [] } };
        return Data with { Converters = items };
    }

    [Fact]
    public void A_drive_point_that_throws_costs_its_own_verdicts_and_those_that_rest_on_all()
    {
        var id = ((ConverterChoice.FromCatalogue)DemoChanges.Demo.AllDrivePoints().First(p => p.Id == "dp-01").Converter).ItemId;
        var whole = new Assessor(Data).Run(DemoChanges.Demo);
        var broken = new Assessor(Broken(id)).Run(DemoChanges.Demo);
        var touched = DemoChanges.Demo.AllDrivePoints().Where(p => p.Converter is ConverterChoice.FromCatalogue c && c.ItemId == id)
            .Select(p => p.Id).ToHashSet(StringComparer.Ordinal);

        Assert.NotEmpty(broken.Faults);
        Assert.Equal(whole.DrivePoints.Count, broken.DrivePoints.Count);
        Assert.All(broken.Checks.Where(c => touched.Contains(c.DrivePointId)), c => Assert.NotEqual(Verdict.Holds, c.Verdict));
        Assert.All(broken.Checks.Where(c => c.Id.StartsWith("harmonics.pcc", StringComparison.Ordinal)),
            c => Assert.Equal(Verdict.NeedsData, c.Verdict));
        var motor = Assert.Single(broken.Checks, c => c.Id == "motor.continuous" && c.DrivePointId == "dp-02");
        Assert.Equal(whole.Checks.Single(c => c.Id == "motor.continuous" && c.DrivePointId == "dp-02").Verdict, motor.Verdict);
    }

    [Fact]
    public void What_could_not_be_judged_says_what_threw_and_how_to_repeat_it()
    {
        var check = Check.NotJudged("a.b", "dp", BoardRow.Motor, "Title", Fault.Of("here", new InvalidOperationException("no way")));
        Assert.Equal(Verdict.NeedsData, check.Verdict);
        Assert.Contains("no way", check.Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Contains(Fault.HowToRepeat, check.Relief, StringComparison.Ordinal);
        var holds = new Check("a.b", "dp", BoardRow.Motor, "Title", Verdict.Holds, 1, 2, "A", LimitSense.AtMost, 50, string.Empty,
            string.Empty, check.Reason);
        Assert.Equal(Verdict.NeedsData, holds.Doubted([check.Fault!]).Verdict);
        Assert.Equal(Verdict.Fails, (holds with { Verdict = Verdict.Fails }).Doubted([check.Fault!]).Verdict);
        Assert.Same(holds, holds.Doubted([]));
    }

    [Theory]
    [InlineData(230)]
    [InlineData(475)]
    [InlineData(480)]
    [InlineData(500)]
    [InlineData(525)]
    [InlineData(600)]
    [InlineData(660)]
    [InlineData(690)]
    public void The_chosen_unit_is_an_alternative_at_every_voltage(double busV)
    {
        var demo = DemoChanges.Demo;
        var plant = demo with
        {
            Distribution = demo.Distribution with
            {
                Buses = [.. demo.Distribution.Buses.Select(b => b.NominalVoltageV < 1000 ? b with { NominalVoltageV = busV } : b)],
            },
        };
        var assessor = new Assessor(Data);
        Assert.Empty(assessor.Run(plant).Faults);
        foreach (var point in plant.AllDrivePoints())
        {
            var study = assessor.Study(plant, point);
            Assert.True(study.Alternatives.Count == 0 || study.Alternatives.Count(a => a.IsChosen) == 1, point.Tag);
        }
    }

    // A unit without choke distorts nine tenths of its current; it is no unit with a passive filter.
    [Theory]
    [InlineData(0)]
    [InlineData(1.4)]
    [InlineData(4)]
    public void An_own_six_pulse_converter_is_a_diode_bridge_whatever_its_choke(double chokePct)
    {
        var own = Own.SixPulse(chokePct);
        var item = own.Item(Data.Converters.Values);
        var diode = Assert.IsType<FrontEnd.Diode>(item.FrontEnd);
        Assert.Equal((1, chokePct, 0.0), (diode.Bridges, diode.ChokePct, diode.ReactorPct));
    }

    private static class Own
    {
        public static OwnConverter SixPulse(double chokePct) => new(
            "own", "own", "catalogue", "1", ConverterKind.SixPulse, 22, 400, 45, Given.Unknown, chokePct, Given.Unknown, Given.Unknown,
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            Given.Unknown, Given.Unknown, Given.Unknown);
    }
}
