using System.Text.Json;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Commands;

/// <summary>Commands on the demo plant: which sizes they take, what follows, what they refuse.</summary>
public sealed class CommandTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly PlantSpecification Demo = DemoPlant.Read(Data);
    private static readonly Assessor Studies = new(Data);

    // Three fans, a mill and a pump alike but for their load, on 7.5 kW.
    private static readonly PlantSpecification Five = Demo with
    {
        Scenarios = [Scenario.AsUsual("all", "all") with { States = [new DrivePointState("dp-03", true, 0.8, 1)] }],
        Lineups =
        [
            Demo.Lineups[0] with { DcBuses = [], Arrangements = [], SetAside = [],
                DrivePoints = [.. Enumerable.Range(1, 5).Select(Point)] },
            Demo.Lineups[1] with { DcBuses = [], Arrangements = [], SetAside = [], DrivePoints = [Point(9)] },
        ],
    };

    [Fact]
    public void A_group_takes_the_first_ones_converter_large_enough_for_all_under_scalar_control()
    {
        var joined = Done(new JoinGroup(["dp-02", "dp-01", "dp-03"]), Five);
        var converter = Assert.IsType<ConverterChoice.FromCatalogue>(Of(joined, "dp-02").Converter);
        var wanted = 1.25 * 3 * Data.Motors["cage-4p-ie3-7.5"].Plate.RatedCurrentA;
        var sizes = Data.Converters.Values.Where(c => c.Family == "six-pulse-choke" && c.OwnName.Length == 0
            && Math.Abs(c.RatedVoltageV - 400) < 1).OrderBy(c => c.RatedKw).ToList();
        Assert.Equal(sizes.First(c => c.LightCurrentA >= wanted).Id, converter.ItemId);
        Assert.Equal(MotorControl.Scalar, converter.Control);
        Assert.IsType<ConverterChoice.OfGroup>(Of(joined, "dp-01").Converter);
        Assert.Equal(["dp-02", "dp-01", "dp-03"], joined.Lineups[0].Arrangements.Single().PointIds());

        // Every motor gets a converter of its own again: the smallest of that family that carries it.
        var single = Done(new DissolveArrangement("group-1"), joined);
        Assert.All(
            new[] { "dp-01", "dp-02", "dp-03" },
            id => Assert.Equal(sizes.First(c => c.LightCurrentA >= wanted / 3.75).Id,
                Assert.IsType<ConverterChoice.FromCatalogue>(Of(single, id).Converter).ItemId));

        // The first one goes: the next has its converter. With the last goes the group.
        var without = Done(new RemoveDrivePoints(["dp-02"]), joined);
        Assert.Equal(converter, Of(without, "dp-01").Converter);
        Assert.Equal(["dp-01", "dp-03"], without.Lineups[0].Arrangements.Single().PointIds());
        Assert.Empty(Done(new RemoveDrivePoints(["dp-01", "dp-02", "dp-03"]), joined).Lineups[0].Arrangements);
        Assert.Empty(Done(new RemoveDrivePoints(["dp-03"]), joined).Scenarios[0].States);

        Refused("in a group", new JoinGroup(["dp-01", "dp-04"]), joined);
        Refused("different lineups", new JoinGroup(["dp-01", "dp-09"]), Five);
        Refused("'nothing'", new JoinGroup(["dp-01", "nothing"]), Five);
        Refused("no converter", new JoinGroup(["dp-01", "dp-02"]), Done(new FeedBy(["dp-01"], FeedWay.AcrossTheLine), Five));
    }

    [Fact]
    public void A_dc_bus_takes_modules_of_their_size_and_half_of_them_as_supply()
    {
        var joined = Done(new JoinDcBus(["dp-01", "dp-02", "dp-03"]), Five);
        var bus = joined.Lineups[0].DcBuses.Single();
        Assert.Equal(["dp-01", "dp-02", "dp-03"], bus.MemberIds);
        Assert.Equal(Data.SupplyModules.Values.Where(m => m.Kind == SupplyModuleKind.Diode && m.RatedKw >= 3 * 7.5 / 2)
            .MinBy(m => m.RatedKw)!.Id, bus.SupplyModuleId);
        var member = Assert.IsType<ConverterChoice.FromCatalogue>(Of(joined, "dp-02").Converter);
        Assert.Equal(("inverter-module", 7.5), (Data.Converters[member.ItemId].Family, Data.Converters[member.ItemId].RatedKw));
        Assert.IsType<Braking.ToLine>(member.Braking);
        Refused("common DC bus", new JoinDcBus(["dp-03", "dp-04"]), joined);
        Refused("At least 2", new JoinDcBus(["dp-04", "dp-04"]), joined);

        Assert.Equal(["dp-01", "dp-03"], Done(new RemoveDrivePoints(["dp-02"]), joined).Lineups[0].DcBuses.Single().MemberIds);
        var single = Done(new DissolveDcBus(bus.Id), joined);
        Assert.Empty(single.Lineups[0].DcBuses);
        Assert.Equal("six-pulse-choke-7.5", Assert.IsType<ConverterChoice.FromCatalogue>(Of(single, "dp-02").Converter).ItemId);

        var compared = Done(new CompareSingleDrives(bus.Id), joined);
        Assert.Single(compared.Lineups[0].DcBuses);
        Assert.Equal("single drives for DC bus 1", compared.Lineups[0].SetAside.Single().Name);
    }

    [Fact]
    public void A_shaft_joins_two_and_a_split_halves_the_load()
    {
        var split = (CommandOutcome.Done)new SplitOnShaft("dp-03").On(Five, Studies);
        Assert.Equal(["dp-10", "shaft-1"], split.CreatedIds);
        var whole = (Core.Loads.FanLoad)Of(Five, "dp-03").Load;
        Assert.All(split.After.Lineups[0].Arrangements.Single().PointIds(), id => Assert.Equal(
            whole.Common.RatedFlowM3PerS.Value / 2, ((Core.Loads.FanLoad)Of(split.After, id).Load).Common.RatedFlowM3PerS.Value, 5e-7));
        Assert.Equal([0.8, 0.8], split.After.Scenarios[0].States.Select(s => s.LevelPu));
        Refused("shares a shaft", new SplitOnShaft("dp-03"), split.After);
        Refused("shares a shaft", new JoinShaft(["dp-03", "dp-04"]), split.After);
        Assert.Empty(Done(new RemoveDrivePoints(["dp-10"]), split.After).Lineups[0].Arrangements);

        var trimmed = Done(new ShareBy("shaft-1", SharingWay.SpeedTrim), split.After);
        Assert.Equal(new SharingMethod.SpeedTrim(2, 120), ((SharedShaft)trimmed.Lineups[0].Arrangements.Single()).Method);
    }

    [Fact]
    public void A_follower_takes_gear_drum_and_displacement_from_the_loads()
    {
        var points = Demo.AllDrivePoints().ToList();
        var belt = points.First(p => p.Load is Core.Loads.ConveyorLoad { DrumDiameterM.IsKnown: true });
        var dosing = points.First(p => p.Load is Core.Loads.DosingPumpLoad);
        var plant = Five with { Lineups = [Five.Lineups[0] with { DrivePoints = [belt, dosing] },
            Five.Lineups[1] with { DrivePoints = [] }], Scenarios = [Scenario.AsUsual("s", "s")] };
        var ratio = (RatioFollower)Done(new JoinFollower(belt.Id, dosing.Id), plant).Lineups[0].Arrangements.Single();
        var drum = ((Core.Loads.ConveyorLoad)belt.Load).DrumDiameterM.Value;
        Assert.Equal((Math.PI * drum, "m"), (ratio.Leader.UnitsPerMachineTurn.Value, ratio.Leader.Unit), Close);
        Assert.Equal((((Core.Loads.DosingPumpLoad)dosing.Load).DisplacementCm3PerRev.Value / 1000, "L"),
            (ratio.Follower.UnitsPerMachineTurn.Value, ratio.Follower.Unit), Close);
        Assert.Equal(((Core.Loads.ConveyorLoad)belt.Load).Train.GearRatio, ratio.Leader.GearRatio);
        Refused("At least 2", new JoinFollower(belt.Id, belt.Id), plant);
    }

    [Fact]
    public void Each_motor_gets_the_smallest_soft_starter_that_carries_it_at_this_site()
    {
        // The largest has none of its size at 2,000 m.
        var high = Five with { Site = Five.Site with { AltitudeM = 2000 } };
        var started = Done(new FeedBy(["dp-01", "dp-04"], FeedWay.SoftStarter), high);
        foreach (var id in new[] { "dp-01", "dp-04" })
        {
            var choice = Assert.IsType<ConverterChoice.SoftStarter>(Of(started, id).Converter);
            var current = Data.Motors[((MotorChoice.FromCatalogue)Of(started, id).Motor).ItemId].Plate.RatedCurrentA;
            var sizes = Data.SoftStarters.Values.OrderBy(s => s.RatedCurrentA).ToList();
            Assert.Equal(sizes.First(s => s.RatedCurrentA * s.Derating.FactorPu(high.Site) >= current).Id, choice.ItemId);
            Assert.Equal(Data.StartPresets.First(p => p.Application == "fan").Settings, choice.Settings);
        }

        // Nothing is sized by a motor that is not there.
        var open = Changed(Five, "dp-02", p => p with { Motor = new MotorChoice.NotChosen() });
        Refused("DP-02 has no motor", new FeedBy(["dp-01", "dp-02"], FeedWay.SoftStarter), open);
        var joined = Done(new JoinGroup(["dp-01", "dp-02"]), open);
        Assert.Equal("six-pulse-choke-7.5", ((ConverterChoice.FromCatalogue)Of(joined, "dp-01").Converter).ItemId);
        Assert.IsType<ConverterChoice.NotChosen>(Of(Done(new DissolveArrangement("group-1"), joined), "dp-02").Converter);

        Assert.Equal(new ConverterChoice.StarDelta(5, TripClass.Class10, 2, string.Empty),
            Of(Done(new FeedBy(["dp-01"], FeedWay.StarDelta), Five), "dp-01").Converter);
        Assert.IsType<ConverterChoice.NotChosen>(Of(Done(new FeedBy(["dp-01"], FeedWay.Converter), started), "dp-01").Converter);
        Refused("shares its supply", new FeedBy(["dp-02"], FeedWay.SoftStarter), Done(new JoinGroup(["dp-01", "dp-02"]), Five));
    }

    [Fact]
    [Trait("speed", "slow")]
    public void Every_point_is_sized_by_its_own_candidates_and_keeps_its_settings()
    {
        var plant = Done(new BrakeBy(["dp-02"], BrakingWay.Coast), Five);
        var sized = Done(new SizeBest(["dp-01", "dp-02"], SizedPart.Both), plant);
        foreach (var id in new[] { "dp-01", "dp-02" })
        {
            var input = Studies.Study(sized, Of(sized, id)).Model.Input;
            var sizing = Studies.Study(sized, Of(sized, id)).Checks.Where(c => c.Id is "motor.continuous" or "converter.continuous")
                .ToList();
            Assert.Equal(2, sizing.Count);
            Assert.All(sizing, c => Assert.Contains(c.Verdict, new[] { Core.Checks.Verdict.Holds, Core.Checks.Verdict.Tight }));
            Assert.Equal(((ConverterChoice.FromCatalogue)Of(sized, id).Converter).ItemId,
                Core.Studies.Candidates.CandidateRanking.Converters(input, Data)[0].ItemId);
        }

        Assert.IsType<Braking.Coast>(((ConverterChoice.FromCatalogue)Of(sized, "dp-02").Converter).Braking);

        // Where nothing can be said what stands stays, and a note says why; nothing at all is refused.
        var open = Changed(Five, "dp-01", p => p with { Load = new Core.Loads.UnspecifiedLoad() });
        Refused("DP-01", new SizeBest(["dp-01"], SizedPart.Motor), open);
        var partly = (CommandOutcome.Done)new SizeBest(["dp-01", "dp-02"], SizedPart.Both).On(open, Studies);
        Assert.Equal(Of(open, "dp-01"), Of(partly.After, "dp-01"));
        Assert.NotEqual(Of(open, "dp-02"), Of(partly.After, "dp-02"));
        Assert.Contains("DP-01: Needs data", Assert.Single(partly.Notes), StringComparison.Ordinal);
        Assert.DoesNotContain("DP-01", partly.Label, StringComparison.Ordinal);

        var chosen = Done(new ChooseConverter(["dp-01", "dp-02"], "six-pulse-choke-30", "spare in store"), plant);
        Assert.Equal(
            ((ConverterChoice.FromCatalogue)Of(plant, "dp-02").Converter) with { ItemId = "six-pulse-choke-30", Reason = "spare in store" },
            Of(chosen, "dp-02").Converter);
        Refused("'no such'", new ChooseMotor(["dp-01"], "no such", string.Empty), plant);
    }

    // Above 350 kW an insulated bearing alone does not do: a size that never came with its ring would never fit.
    [Fact]
    [Trait("speed", "slow")]
    public void A_large_motor_on_a_converter_comes_with_a_ring_at_its_shaft()
    {
        var large = Changed(Demo, "dp-01", p => p with
        {
            Load = p.Load is Core.Loads.FanLoad fan ? fan with { RatedPressurePa = 2.6 * fan.RatedPressurePa.Value } : p.Load,
            Motor = new MotorChoice.NotChosen(),
            Converter = new ConverterChoice.NotChosen(),
            Cable = p.Cable with { LengthM = 12 },
        });
        var sized = (CommandOutcome.Done)new SizeBest(["dp-01"], SizedPart.Motor).On(large, Studies);
        var point = Of(sized.After, "dp-01");
        var motor = Data.Motors[Assert.IsType<MotorChoice.FromCatalogue>(point.Motor).ItemId];
        Assert.InRange(motor.Plate.RatedPowerW, 351e3, 700e3);
        Assert.True(point.Interference.ShaftRing);
        Assert.Contains("DP-01: with an earthing ring at the shaft", Assert.Single(sized.Notes), StringComparison.Ordinal);
        Assert.Equal(Core.Checks.Verdict.Holds,
            Studies.Study(sized.After, point).Checks.Single(c => c.Id == "motor.bearings").Verdict);

        // By hand likewise; not where cores do the same, not on the line, not for less power.
        var byHand = (CommandOutcome.Done)new ChooseMotor(["dp-01"], motor.Id, string.Empty).On(large, Studies);
        Assert.Equal(point, Of(byHand.After, "dp-01"));
        Assert.Equal(sized.Notes, byHand.Notes);
        bool Rings(PlantSpecification plant, string item) =>
            Of(Done(new ChooseMotor(["dp-01"], item, string.Empty), plant), "dp-01").Interference.ShaftRing;
        Assert.False(Rings(large, "cage-4p-ie3-160"));
        Assert.False(Rings(Done(new FeedBy(["dp-01"], FeedWay.StarDelta), large), motor.Id));
        var withCores = Changed(large, "dp-01", p => p with { Interference = p.Interference with { CommonModeCores = true } });
        Assert.False(Rings(withCores, motor.Id));

        // Taken back by hand it stays away while the motor stays.
        var without = Changed(sized.After, "dp-01", p => p with { Interference = p.Interference with { ShaftRing = false } });
        Assert.False(Rings(without, motor.Id));

        // Behind thyristors nothing asks for one.
        var direct = Data.Motors.Values.First(m => m.Technology == MotorTechnology.DcSeparatelyExcited && m.Plate.RatedPowerW > 351e3);
        Assert.False(Rings(large, direct.Id));
    }

    [Fact]
    public void Ways_of_a_lineup_are_kept_exchanged_adopted_and_dropped()
    {
        var lineup = Five.Lineups[0].Id;
        var aside = Done(new SetWayAside(lineup, "five drives"), Five);
        var fewer = Done(new RemoveDrivePoints(["dp-03"]), aside);

        // It may come back: scenarios remember what is set aside.
        Assert.Single(fewer.Scenarios[0].States);
        var back = Done(new PutOnBoard(lineup, "way-1"), fewer);
        Assert.Equal(5, back.Lineups[0].DrivePoints.Count);
        Assert.Equal(("five drives", "before"), (back.Lineups[0].VariantName, back.Lineups[0].SetAside.Single().Name));

        var adopted = Done(new AdoptWay(lineup, "way-1", "fewer cables"), back);
        Assert.Equal((4, "before", "fewer cables"),
            (adopted.Lineups[0].DrivePoints.Count, adopted.Lineups[0].VariantName, adopted.Lineups[0].Reason));
        Assert.Empty(adopted.Lineups[0].SetAside);
        Assert.Empty(adopted.Scenarios[0].States);
        Assert.Empty(Done(new DropWay(lineup, "way-1"), back).Lineups[0].SetAside);

        var full = Done(new SetWayAside(lineup, "c"), Done(new SetWayAside(lineup, "b"), aside));
        Refused("At most 3", new SetWayAside(lineup, "d"), full);
        Refused("'way-9'", new PutOnBoard(lineup, "way-9"), full);
    }

    [Fact]
    public void Elements_begin_where_they_can_stand_and_say_where_they_cannot()
    {
        var low = Five with { Distribution = Five.Distribution with { Buses = [.. Five.Distribution.Buses.Where(b =>
            b.Id == Five.Source.BusId)] } };
        Refused("lower voltage", new AddElement(ElementKind.Transformer), low);
        Refused("two buses", new AddElement(ElementKind.Coupler), low);
        var bus = (CommandOutcome.Done)new AddElement(ElementKind.Bus).On(Five, Studies);
        Assert.Equal(bus.CreatedIds[0], bus.After.Distribution.Buses[^1].Id);
        var coupler = Done(new AddElement(ElementKind.Coupler), bus.After).Distribution.Links[^1];
        Assert.Equal((bus.CreatedIds[0], false), (coupler.ToBusId, coupler.NormallyClosed));
    }

    [Fact]
    public void Several_are_all_done_or_none_and_read_as_json()
    {
        const string json = """
            [
              { "kind": "add-drive-point", "lineupId": "l1", "afterId": "dp-01" },
              { "kind": "join-shaft", "pointIds": ["dp-01", "dp-02"] },
              { "kind": "feed-by", "pointIds": ["dp-03"], "way": "star-delta" }
            ]
            """;
        var commands = JsonSerializer.Deserialize<IReadOnlyList<PlantCommand>>(json, ProjectJson.Options)!;
        var done = CommandRun.All(Five, commands, Studies);
        Assert.Equal("Add DP-10 and 2 more", done.Label);
        Assert.Equal(["dp-10", "shaft-1"], done.CreatedIds);
        Assert.Equal("dp-10", done.After.Lineups[0].DrivePoints[1].Id);

        var refused = Assert.Throws<InputException>(() => CommandRun.All(Five, [.. commands, new CopyDrivePoint("dp-77")], Studies));
        Assert.Equal("/commands/3/pointId", refused.Problems.Single().Pointer);
        Assert.Equal(["", "Drive point is 'dp-77'; allowed: a key of this plant."],
            CommandRun.Refusals(Five, [commands[1], new CopyDrivePoint("dp-77")], Studies));
        Assert.Throws<InputException>(() => CommandRun.All(Five, [], Studies));
        Assert.Throws<InputException>(() => CommandRun.All(Five, [null!], Studies));
        var tooLong = Assert.Throws<InputException>(() => CommandRun.All(Five, [new SetWayAside("l1", new string('x', 70))], Studies));
        Assert.StartsWith("/specification/lineups/0/setAside/0", tooLong.Problems.Single().Pointer, StringComparison.Ordinal);
    }

    private static bool Close((double Value, string Unit) a, (double Value, string Unit) b) =>
        Math.Abs(a.Value - b.Value) < 1e-4 && a.Unit == b.Unit;

    private static DrivePoint Point(int i) => Demo.Lineups[0].DrivePoints[0] with
    {
        Id = $"dp-{i:00}",
        Tag = $"DP-{i:00}",
        Motor = new MotorChoice.FromCatalogue(i == 4 ? "cage-4p-ie3-55" : "cage-4p-ie3-7.5", MotorCooling.OwnFan, ThermalClass.F,
            MotorConnection.Fitting, false, string.Empty),
        Converter = new ConverterChoice.FromCatalogue("six-pulse-choke-7.5", OverloadDuty.Light, 4, string.Empty, new Braking.Nothing()),
    };

    private static DrivePoint Of(PlantSpecification plant, string id) => plant.AllDrivePoints().Single(p => p.Id == id);

    private static PlantSpecification Changed(PlantSpecification plant, string id, Func<DrivePoint, DrivePoint> change) =>
        plant with { Lineups = [.. plant.Lineups.Select(l =>
            l with { DrivePoints = [.. l.DrivePoints.Select(p => p.Id == id ? change(p) : p)] })] };

    private static PlantSpecification Done(PlantCommand command, PlantSpecification plant) => command.On(plant, Studies) switch
    {
        CommandOutcome.Done done => done.After,
        CommandOutcome.Refused refused => throw new InvalidOperationException(refused.Why.Message),
        _ => throw new InvalidOperationException("Unknown outcome."),
    };

    private static void Refused(string because, PlantCommand command, PlantSpecification plant) =>
        Assert.Contains(because, Assert.IsType<CommandOutcome.Refused>(command.On(plant, Studies)).Why.Message, StringComparison.Ordinal);
}
