using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Protection;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Studies.Protection;

/// <summary>The feeder of a supply module, fuses on its bus, isolators, bypasses and contactors of capacitors.</summary>
public sealed class ModuleProtectionTests
{
    private static readonly Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly Assessor Assessor = new(Data);

    private static CommonDcBus Film => Demo.Lineups.SelectMany(l => l.DcBuses).First(b => b.Id == "dc-film");

    [Fact]
    public void A_module_on_a_thin_long_feeder_fails_and_the_proposal_holds()
    {
        var thin = WithBus(Film with { Feeder = new Feeder.ByCable(220, 1.5, 1, ConductorMaterial.Copper),
            Device = new ProtectiveDevice.Fuse(63, 100, string.Empty) });
        var before = Of(thin, "dc-film");
        Assert.All(["cable.capacity", "cable.disconnection", "cable.short-circuit"],
            id => Assert.Equal(Verdict.Fails, before.Single(c => c.Id == id).Verdict));
        var done = Assert.IsType<CommandOutcome.Done>(new SizeModuleProtection("dc-film").On(thin, Assessor));
        Assert.Empty(done.Notes);
        var after = Of(done.After, "dc-film");
        Assert.All(
            ["cable.capacity", "cable.voltage-drop", "cable.disconnection", "cable.short-circuit", "cable.protective-conductor",
                "protection.device", "protection.breaking-capacity"],
            id => Assert.Contains(after.Single(c => c.Id == id).Verdict, new[] { Verdict.Holds, Verdict.Tight }));
        Assert.All(Film.MemberIds, m => Assert.Equal(Verdict.Holds, Fuses(done.After, m).Verdict));

        // What the feeder loses is part of what its module sees: the loop to its end is that of the schedule.
        var row = Assessor.Protection(done.After).Cables.Single(c => c.ElementId == "dc-film");
        Assert.True(row.SectionMm2 > 1.5);
        Assert.Equal(row.SectionMm2, row.ProposedMm2);
        Assert.Equal(done.After.Lineups.First(l => l.DcBuses.Any(b => b.Id == "dc-film")).Id, row.LineupId);
    }

    [Fact]
    public void A_feeder_weakens_the_supply_of_its_module()
    {
        double Fifth(PlantSpecification plant) =>
            Assessor.Run(plant).Scenarios.SelectMany(s => s.Drives).Where(d => d.DrivePointId == "dc-film")
            .Max(d => ((Core.Harmonics.Rectifiers.RectifierResult.LineDraw)d.Front).LoadedPhase is var p ? p.RmsA / p.FundamentalA : 0);
        Assert.True(Fifth(WithBus(Film with { Feeder = new Feeder.ByCable(220, 6, 1, ConductorMaterial.Copper) })) < Fifth(Demo));
    }

    [Theory]
    [InlineData(10, 700, Verdict.Fails, "voltage")]
    [InlineData(10, 1000, Verdict.Holds, "DC fuses")]
    [InlineData(1, 1000, Verdict.Fails, "DC fuses")]
    [InlineData(400, 1000, Verdict.Fails, "listed")]
    public void Fuses_of_a_DC_bus_break_its_voltage_carry_their_inverter_and_are_listed(double ratedA, double ratedV, Verdict expected,
        string title)
    {
        var check = Fuses(Changed(Film.MemberIds[0], p => p with { Devices = p.Devices with { DcFuseA = ratedA, DcFuseV = ratedV } }),
            Film.MemberIds[0]);
        Assert.Equal(expected, check.Verdict);
        Assert.Contains(title, check.Title, StringComparison.Ordinal);
    }

    // Two moments of 1 s and 3 s at 1000 W and −600 W: √((1·10⁶ + 3·3.6·10⁵)/4).
    [Fact]
    public void The_current_of_a_member_is_the_rms_of_its_power()
    {
        var member = new BusMember("m", [new BusPower(1, 1000), new BusPower(3, -600)], 1e-3) { Repeats = true };
        var run = CommonBusStudy.Run([member], new BusSupply(5000, 8000, 5000, 0, 565, 700, 800));
        Assert.Equal(Math.Sqrt((1e6 + (3 * 3.6e5)) / 4), run.MemberRmsW(0), 2.0);
    }

    [Theory]
    [InlineData(63, Verdict.Fails)]
    [InlineData(1250, Verdict.Holds)]
    public void An_isolator_carries_the_design_current_and_what_its_device_lets_through(double isolatorA, Verdict expected)
    {
        var plant = Changed("dp-02", p => p with { Devices = p.Devices with { IsolatorA = isolatorA } });
        var check = Assessor.Run(plant).Checks.Single(c => c is { Id: "contactor.duty", DrivePointId: "dp-02", ElementId: "isolator" });
        Assert.Equal(expected, check.Verdict);
        Assert.Contains("AC-21A", check.Title, StringComparison.Ordinal);
        var device = (ProtectiveDevice.Fuse)plant.AllDrivePoints().First(p => p.Id == "dp-02").Devices.Device;
        Assert.Equal(device.RatedA, check.Figure.Value, 6);
    }

    [Theory]
    [InlineData(10, Verdict.Fails)]
    [InlineData(1600, Verdict.Holds)]
    public void A_bypass_carries_the_motor_and_an_isolator_of_a_motor_is_asked_in_AC_23A(double ratedA, Verdict expected)
    {
        var soft = Demo.AllDrivePoints().First(p => p.Converter is Core.Converters.ConverterChoice.SoftStarter).Id;
        var checks = Assessor.Run(Changed(soft,
            p => p with { Devices = p.Devices with { BypassA = ratedA, IsolatorA = ratedA } })).Checks.Where(c => c.DrivePointId == soft)
                .ToList();
        Assert.Equal(expected, checks.Single(c => c.ElementId == "bypass").Verdict);
        var isolator = checks.Single(c => c.ElementId == "isolator");
        Assert.Equal(expected, isolator.Verdict);
        Assert.Contains("AC-23A", isolator.Title, StringComparison.Ordinal);
    }

    // A step of Q kvar at U: 1.43·Q/(√3·U) at least.
    [Fact]
    public void A_contactor_of_a_capacitor_carries_more_than_its_rated_current()
    {
        var bank = Demo.Distribution.CapacitorBanks[0];
        var nominalA = bank.StepKvar * 1e3 / (Math.Sqrt(3) * Demo.Distribution.Bus(bank.BusId).NominalVoltageV);
        Check With(double a) => Assessor.Run(Demo with { Distribution = Demo.Distribution
            with { CapacitorBanks = [.. Demo.Distribution.CapacitorBanks.Select(b => b with { ContactorA = a })] } })
            .Checks.Single(c => c.Id == "contactor.duty" && c.ElementId == bank.Id);
        Assert.Equal(Verdict.Fails, With(nominalA).Verdict);
        Assert.Equal(Verdict.Holds, With(4 * nominalA).Verdict);
        Assert.True(With(nominalA).Figure.Value >= 1.43 * nominalA - 1e-3);
    }

    // The next smaller of each series fails: proposed is the smallest that holds.
    [Fact]
    public void Isolators_and_contactors_of_capacitors_are_proposed_as_small_as_they_may_be()
    {
        static double Below(IReadOnlyList<double> series, double rated) => series.Last(a => a < rated);
        foreach (var id in new[] { "dp-02", "dp-04" })
        {
            var done = Assert.IsType<CommandOutcome.Done>(new SizeProtection([id], ProtectedPart.Isolators, DeviceKind.Usual)
                .On(Demo, Assessor)).After;
            Verdict Isolator(PlantSpecification plant) =>
                Assessor.Run(plant).Checks.Single(c => c.Id == "contactor.duty" && c.DrivePointId == id
                    && c.ElementId == "isolator").Verdict;
            Assert.Equal(Verdict.Holds, Isolator(done));
            var rated = done.AllDrivePoints().Single(p => p.Id == id).Devices.IsolatorA.Value;
            Assert.Equal(Verdict.Fails, Isolator(Changed(id,
                p => p with { Devices = p.Devices with { IsolatorA = Below(Data.Switchgear.IsolatorA, rated) } })));
            Assert.Equal(Demo.AllDrivePoints().Single(p => p.Id == id).Devices,
                done.AllDrivePoints().Single(p => p.Id == id).Devices with { IsolatorA = Given.Unknown });
        }

        var bank = Demo.Distribution.CapacitorBanks[0];
        var switched = Assert.IsType<CommandOutcome.Done>(new SizeBankContactor(bank.Id).On(Demo, Assessor)).After;
        Verdict Of(PlantSpecification plant) =>
            Assessor.Run(plant).Checks.Single(c => c.Id == "contactor.duty" && c.ElementId == bank.Id).Verdict;
        Assert.Equal(Verdict.Holds, Of(switched));
        var amperes = switched.Distribution.CapacitorBanks[0].ContactorA.Value;
        Assert.Equal(Verdict.Fails, Of(Demo with { Distribution = Demo.Distribution
            with { CapacitorBanks = [bank with { ContactorA = Below(Data.Switchgear.CapacitorContactorA, amperes) },
                .. Demo.Distribution.CapacitorBanks.Skip(1)] } }));
        Assert.IsType<CommandOutcome.Refused>(new SizeBankContactor("none").On(Demo, Assessor));
        var large = Demo with { Distribution = Demo.Distribution with { CapacitorBanks = [bank with { StepKvar = 400 }] } };
        Assert.IsType<CommandOutcome.Refused>(new SizeBankContactor(bank.Id).On(large, Assessor));
    }

    // An isolator that stands follows its device; where there is none none comes.
    [Fact]
    public void Devices_that_are_proposed_take_a_stated_isolator_along()
    {
        PlantSpecification Sized(PlantSpecification plant) =>
            Assert.IsType<CommandOutcome.Done>(new SizeProtection(["dp-02"], ProtectedPart.Devices, DeviceKind.Usual)
                .On(plant, Assessor)).After;
        var device = Sized(Changed("dp-02", p => p with { Devices = p.Devices with { IsolatorA = 16 } })).AllDrivePoints()
            .Single(p => p.Id == "dp-02").Devices;
        Assert.True(device.IsolatorA.Value >= ((ProtectiveDevice.Fuse)device.Device).RatedA);
        Assert.False(Sized(Demo).AllDrivePoints().Single(p => p.Id == "dp-02").Devices.IsolatorA.IsKnown);
    }

    [Fact]
    public void A_feeder_that_is_open_leaves_the_plant_unjudged()
    {
        var open = WithBus(Film with { Feeder = new Feeder.ByCable(35, Given.Unknown, 1, ConductorMaterial.Copper) });
        var checks = Assessor.Run(open).Checks;
        Assert.All(checks.Where(c => c.Id == "harmonics.pcc-tdd"), c => Assert.Equal(Verdict.NeedsData, c.Verdict));
        Assert.Contains(checks, c => c.Id == "harmonics.pcc-tdd"
            && c.Reason.WithNumbers.Contains("feeder of its supply module", StringComparison.Ordinal));
        Assert.Equal(Verdict.NeedsData, Of(open, "dc-film").Single(c => c.Id == "cable.capacity").Verdict);
        Assert.All(
            Assessor.Run(WithBus(Film with { SupplyModuleId = string.Empty })).Checks.Where(c => c.Id == "harmonics.pcc-tdd"), c =>
                Assert.Equal(Verdict.NeedsData, c.Verdict));
    }

    [Fact]
    public void Fuses_below_the_peak_of_a_process_are_not_said_to_hold()
    {
        var lift = Demo.AllDrivePoints().First(p => p.Id == Film.MemberIds[0]);
        var check = Fuses(Changed(lift.Id, p => p with { Devices = p.Devices with { DcFuseA = 10, DcFuseV = 1000 } }), lift.Id);
        Assert.Equal(Verdict.Holds, check.Verdict);
        var member = new BusMember("m", [new BusPower(1, 9000), new BusPower(9, 500)], 1e-3) { Repeats = true };
        var run = CommonBusStudy.Run([member], new BusSupply(9000, 12000, 0, 0, 565, 700, 800));
        Assert.Equal(9000, run.MemberPeakW(0), 1e-6);
        Assert.True(run.MemberRmsW(0) < 3100 && run.NetRmsW <= 9000);
    }

    [Fact]
    public void An_isolator_behind_no_device_is_not_said_to_hold()
    {
        var plant = Changed("dp-02", p =>
            p with { Devices = p.Devices with { IsolatorA = 1250, Device = new ProtectiveDevice.NotChosen() } });
        Assert.Equal(Verdict.NeedsData,
            Assessor.Run(plant).Checks.Single(c => c is { DrivePointId: "dp-02", ElementId: "isolator" }).Verdict);
    }

    // By the US code 1.25 times what the module draws at its rated power, more than what the process takes.
    [Fact]
    public void By_the_US_code_a_module_is_fed_for_its_rating()
    {
        var us = WithBus(Film with { Feeder = new Feeder.ByCable(35, 2.08, 1, ConductorMaterial.Copper) }) with
        {
            Conventions = Demo.Conventions with { Installation = InstallationCode.Nfpa70 },
        };
        var capacity = Of(us, "dc-film").Single(c => c.Id == "cable.capacity");
        var module = Data.SupplyModules[Film.SupplyModuleId];
        Assert.True(capacity.Figure.Value > 1.25 * module.RatedKw * 1e3 / (Math.Sqrt(3) * 400));
        Assert.True(capacity.Figure.Value < 1.25 * 2 * module.RatedKw * 1e3 / (Math.Sqrt(3) * 400));
    }

    // In hot air the ground is harder on a thick cable than a pipe is: what holds unsaid must hold in both.
    [Fact]
    public void What_holds_unsaid_holds_in_the_ground_too()
    {
        foreach (var hard in CableInstallation.Hardest)
        {
            var said = Assessor.Run(Demo with { Cables = hard }).Checks.Where(c => c.Id == "cable.capacity")
                .ToDictionary(c => (c.DrivePointId, c.ElementId), c => c.Verdict);
            Assert.All(
                Assessor.Run(Demo with { Cables = null }).Checks.Where(c => c.Id == "cable.capacity" && c.Verdict == Verdict.Holds),
                c => Assert.Equal(Verdict.Holds, said[(c.DrivePointId, c.ElementId)]));
        }

        var plates = new[] { 30.0, 40, 50 }.SelectMany(air => new[] { 1.5, 16, 240 }.Select(mm2 => CableInstallation.Hardest
            .Select(h => CurrentCapacity.CapacityA(mm2, 1, ConductorMaterial.Copper, h, h.SurroundC(air), 0, Data.Cables)!.Value)
            .ToArray())).ToList();
        Assert.Contains(plates, a => a[0] < a[1]);
        Assert.Contains(plates, a => a[1] < a[0]);
    }

    [Fact]
    public void A_bus_that_is_not_there_has_nothing_proposed()
    {
        Assert.IsType<CommandOutcome.Refused>(new SizeModuleProtection("nothing").On(Demo, Assessor));
    }

    private static Check Fuses(PlantSpecification plant, string member) =>
        Assessor.Run(plant).Checks.Single(c => c.DrivePointId == member && c.ElementId == "dc-fuses");

    private static List<Check> Of(PlantSpecification plant, string bus) => [.. Assessor.Run(plant).Checks.Where(c => c.ElementId == bus)];

    private static PlantSpecification WithBus(CommonDcBus bus) =>
        Demo with { Lineups = [.. Demo.Lineups.Select(l => l with { DcBuses = [.. l.DcBuses.Select(b => b.Id == bus.Id ? bus : b)] })] };

    private static PlantSpecification Changed(string id, Func<DrivePoint, DrivePoint> how) =>
        Demo with { Lineups = [.. Demo.Lineups.Select(l =>
            l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? how(p) : p)] })] };
}
