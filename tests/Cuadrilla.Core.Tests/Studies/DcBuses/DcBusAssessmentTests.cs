using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Tests.Assessment;

namespace Cuadrilla.Core.Tests.Studies.DcBuses;

/// <summary>The film winders on their common DC bus, through the whole assessment.</summary>
public sealed class DcBusAssessmentTests
{
    private static readonly EngineeringData Data = DemoChanges.Data;
    private static readonly PlantAssessment Found = DemoChanges.Assessor.Run(DemoChanges.Demo);

    [Fact]
    public void The_module_draws_what_the_members_take_together()
    {
        var module = Found.Scenarios[0].Drives.Single(d => d.DrivePointId == "dc-film");
        var members = new[] { "dp-14", "dp-15" }.Select(id => Found.DrivePoints.Single(d => d.DrivePointId == id).Rated!.Value.LinkW)
            .ToArray();
        Assert.True(members[0] < 0 && members[1] > 0);
        Assert.Equal(members.Sum(), module.Point.LinkW, 6);
        var steady = Assert.IsType<RectifierResult.SteadyState>(module.Front);
        Assert.Equal(members.Sum(), steady.ActivePowerW, members.Sum() * 0.02);
        Assert.DoesNotContain(Found.Scenarios[0].Drives, d => d.DrivePointId is "dp-14" or "dp-15");
    }

    [Fact]
    public void Together_they_draw_less_than_as_single_drives()
    {
        var single = DemoChanges.Assessor.Run(DemoChanges.SingleWinders).Scenarios[0].Drives.Single(d =>
            d.DrivePointId == "dp-15").Point.LinkW;
        Assert.True(Found.Scenarios[0].Drives.Single(d => d.DrivePointId == "dc-film").Point.LinkW < 0.7 * single);
    }

    [Theory]
    [InlineData("lineup.supply-module", Verdict.Holds)]
    [InlineData("lineup.regeneration", Verdict.NotApplicable)]
    [InlineData("lineup.dc-bus-current", Verdict.Holds)]
    [InlineData("lineup.precharge", Verdict.Holds)]
    [InlineData("lineup.emergency-stop", Verdict.Fails)]
    public void Verdicts(string id, Verdict verdict) => Assert.Equal(verdict, Check(Found, id).Verdict);

    [Fact]
    public void A_resistor_on_the_bus_makes_the_common_stop_hold()
    {
        PlantAssessment With(double ohm) => Run(b => b with { ResistorOhm = ohm, ResistorContinuousKw = 1 });
        Assert.Equal(Verdict.Holds, Check(With(15), "lineup.emergency-stop").Verdict);
        Assert.Equal(Verdict.Fails, Check(With(200), "lineup.emergency-stop").Verdict);
        Assert.Equal(Verdict.NotApplicable, Check(Run(b => b with { StopTimeS = Given.Unknown }), "lineup.emergency-stop").Verdict);

        // A module that returns power needs none.
        Assert.Equal(Verdict.Holds, Check(Run(b => b with { SupplyModuleId = "supply-active-45" }), "lineup.emergency-stop").Verdict);
    }

    [Fact]
    public void Limits_of_module_busbar_and_precharge_are_found()
    {
        Assert.Equal(Verdict.Fails, Check(Run(b => b with { BusbarA = 2 }), "lineup.dc-bus-current").Verdict);
        Assert.Equal(Verdict.NeedsData, Check(Run(b => b with { BusbarA = Given.Unknown }), "lineup.dc-bus-current").Verdict);
        Assert.Equal(Verdict.NeedsData, Check(Run(b => b with { SupplyModuleId = string.Empty }), "lineup.supply-module").Verdict);

        // The busbar carries, section by section, what hangs behind: the winder first from the supply, net in the first section.
        var sections = Check(Found, "lineup.dc-bus-current").Reason.WithNumbers;
        Assert.Contains("sections from the supply on", sections, StringComparison.Ordinal);
    }

    [Fact]
    public void When_the_line_is_gone_capacitors_carry_for_an_instant_and_a_common_stop_for_longer()
    {
        var model = DemoChanges.Assessor.DcBus(DemoChanges.Demo, "dc-film")!;
        var scenario = DemoChanges.Demo.Scenarios[0];
        var goesOn = model.Run(scenario, BusEvent.MainsLoss)!;
        Assert.NotNull(goesOn.OffAtS);
        var net = model.Members.Sum(m => m.At(1).LinkW);
        var usable = 0.5 * model.CapacitanceF * ((model.RestV * model.RestV) - Math.Pow(0.65 * model.RestV, 2));
        Assert.Equal(usable / net, goesOn.OffAtS!.Value, 0.11);
        Assert.True(usable / net > goesOn.OffAtS.Value - 0.11);

        // Braking, the masses feed the bus: with a resistor it stays up to the end of the stop.
        var stop = DemoChanges.Assessor.DcBus(Changed(b => b with { ResistorOhm = 15, ResistorContinuousKw = 1 }), "dc-film")!.Run(scenario,
            BusEvent.MainsLossStop)!;
        Assert.True(stop.OffAtS is null || stop.OffAtS > 1.4, $"{stop.OffAtS}");
        Assert.Equal(0, stop.SupplyJ);
    }

    [Fact]
    public void A_single_drive_on_the_bus_and_a_module_off_it_are_named()
    {
        var single = DemoChanges.Assessor.Run(DemoChanges.Changed("dp-14",
            p => p with { Converter = DemoChanges.SingleWinders.AllDrivePoints().Single(x => x.Id == "dp-14").Converter }));
        Assert.Contains("inverter module", Check(single, "lineup.supply-module").Reason.WithNumbers, StringComparison.Ordinal);
        Assert.Equal(Verdict.NeedsData, Check(single, "lineup.supply-module").Verdict);
    }

    [Fact]
    public void Members_are_of_the_lineup_and_of_one_bus_only()
    {
        string Pointer(Func<CommonDcBus, CommonDcBus> change) =>
            SpecificationValidation.Problems(Changed(change), Data).Select(p => p.Pointer).First();
        Assert.Equal("/lineups/1/dcBuses/0/memberIds/0", Pointer(b => b with { MemberIds = ["dp-01"] }));
        Assert.Equal("/lineups/1/dcBuses/0/memberIds/1", Pointer(b => b with { MemberIds = ["dp-15", "dp-15"] }));
        Assert.Equal("/lineups/1/dcBuses/0/memberIds", Pointer(b => b with { MemberIds = [] }));
        Assert.Equal("/lineups/1/dcBuses/0/supplyModuleId", Pointer(b => b with { SupplyModuleId = "x" }));
        Assert.Equal("/lineups/1/dcBuses/0/stopTimeS", Pointer(b => b with { StopTimeS = 0 }));
    }

    private static PlantSpecification Changed(Func<CommonDcBus, CommonDcBus> change) => DemoChanges.Demo with
    {
        Lineups = [.. DemoChanges.Demo.Lineups.Select(l => l with { DcBuses = [.. l.DcBuses.Select(change)] })],
    };

    private static PlantAssessment Run(Func<CommonDcBus, CommonDcBus> change) => DemoChanges.Assessor.Run(Changed(change));

    private static Check Check(PlantAssessment found, string id) => found.Checks.Single(c => c.Id == id && c.ElementId == "dc-film");
}
