using System.Text.Json;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Core.Tests.Specification;

/// <summary>Usual values are proposed for open entries only.</summary>
public sealed class UsualEntryTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly DriveTrain Open = new(Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown);

    private static DrivePoint Point(Load load) => new(
        "dp-77", "DP-77", "new", new Feeder.OnBusbar(), new ConverterChoice.NotChosen(),
        new MotorCable(30, 6, 1, ConductorMaterial.Copper, true), new MotorChoice.NotChosen(), load, [], new HoldingBrake.None());

    private static FanLoad Fan(Given flow, Given pressure) => new(
        new FluidMachine(flow, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, [],
            PresentControl.NotStated, new ParallelPath.Own(), []), pressure);

    private static DrivePoint All(DrivePoint point, double hz = 50) =>
        UsualEntries.Accepted(point, [.. UsualEntries.For(point, Data, hz).Select(u => u.Key)], Data, hz);

    [Fact]
    public void A_fan_with_flow_and_pressure_computes_after_they_are_taken()
    {
        var point = Point(Fan(10, 1500));
        Assert.Null(LoadModels.Build(point.Load, Loads, out _));
        var after = All(point);
        var model = LoadModels.Build(after.Load, Loads, out var missing);
        Assert.Empty(missing);

        // p·q/η: 1500 Pa · 10 m³/s at 0.75.
        Assert.Equal(1500 * 10 / 0.75 / (1470 * Math.PI / 30), model!.RatedTorqueNm, 6);
        Assert.Empty(UsualEntries.For(after, Data, 50));
    }

    private static LoadDefaults Loads => DefaultsInForce.Resolve(Data.Defaults, []).Loads;

    [Theory]
    [InlineData(50, 1470)]
    [InlineData(60, 1764)]
    public void The_speed_follows_the_frequency(double hz, double rpm) =>
        Assert.Equal(rpm, UsualEntries.For(Point(Fan(1, 1)), Data, hz).First(u => u.Key == "fluid.speed").Value);

    [Fact]
    public void A_gear_is_proposed_from_the_machines_speed_and_none_where_it_is_the_motors()
    {
        static double Gear(Load load) => UsualEntries.For(Point(load), Data, 50).First(u => u.Key == "train.gear-ratio").Value;
        Assert.Equal(24.5, Gear(new ConstantTorqueLoad(Open, [], 100, 60, Given.Unknown, Given.Unknown)));
        Assert.Equal(1, Gear(new ConstantTorqueLoad(Open, [], 100, 1450, Given.Unknown, Given.Unknown)));

        // Two falls: the rope runs twice as fast as the hook. 60·2·0.5/(π·0.4) = 47.75 rpm.
        var hoist = new HoistLoad(Open with { InertiaKgM2 = 10 }, [], 1000, 0, 0, 90, 0.5, 10, 10, 2, 0.4, 0.9);
        Assert.Equal(Math.Round(1470 / (60 * 2 * 0.5 / (Math.PI * 0.4)), 2), Gear(hoist));

        // The models of the loads, which share nothing with the proposal, run their motors at 1470 rpm with it.
        ConveyorLoad belt = new(Open, [], 50, 100, 5, 1.5, 0.025, 1.8, 10, 10, 0.5, 150);
        WinderLoad winder = new(Open, [], false, 3, 200, 0, 0.1, 0.8, 1, 900, 1);
        Assert.All<Load>([hoist, belt, winder],
            load => Assert.Equal(1470, LoadModels.Build(All(Point(load)).Load, Loads, out _)!.RatedSpeedRpm, 1470 * 2e-3));
        Assert.DoesNotContain(UsualEntries.For(Point(hoist with { DrumDiameterM = Given.Unknown }), Data, 50),
            u => u.Key == "train.gear-ratio");
    }

    [Fact]
    public void Nothing_known_is_touched_and_what_a_statement_makes_needless_is_not_proposed()
    {
        var known = Fan(10, 1500) with { Common = Fan(10, 1500).Common with { StaticFraction = 0.6, RatedShaftKw = 20 } };
        var keys = UsualEntries.For(Point(known), Data, 50).Select(u => u.Key).ToList();
        Assert.DoesNotContain("fan.static-share", keys);
        Assert.DoesNotContain("fan.efficiency", keys);
        Assert.DoesNotContain("cable.length", keys);
        var after = (FanLoad)All(Point(known)).Load;
        Assert.Equal((Given.Of(0.6), Given.Of(20)), (after.Common.StaticFraction, after.Common.RatedShaftKw));
        var chosen = UsualEntries.Accepted(Point(known), ["fluid.start", "fan.static-share"], Data, 50);
        Assert.Equal(known with { Common = known.Common with { StartTimeS = 10 } }, chosen.Load);
    }

    [Fact]
    public void Every_value_has_its_place_and_each_is_told()
    {
        var plant = DemoPlant.Read(Data, DemoPlant.Keys[0]);
        var studies = new Assessor(Data);
        Load[] loads =
        [
            Fan(1, 1), new PumpLoad(Fan(1, 1).Common, 10, Given.Unknown),
            new ConstantTorqueLoad(Open, [], 1, 1, Given.Unknown, Given.Unknown), new HighInertiaLoad(Open, [], 1, 1, Given.Unknown),
            new RollerGroupLoad(Open, [], 1, 1, Given.Unknown, 1, Given.Unknown),
            new DosingPumpLoad(Open, [], 1, 1, Given.Unknown, 1, Given.Unknown),
            new ConveyorLoad(Open, [], 1, 1, 1, 1, Given.Unknown, 1, 1, 1, 1, Given.Unknown),
            new HoistLoad(Open, [], 1, 1, Given.Unknown, Given.Unknown, 1, 1, 1, Given.Unknown, 1, Given.Unknown),
            new WinderLoad(Open, [], false, 1, 1, Given.Unknown, 1, 1, 1, 1, 1),
            new ServoAxisLoad(Open, [], MoveShape.Trapezoid, 1, 1, 1, 1, 1, 1, Given.Unknown),
        ];
        var cable = new MotorCable(Given.Unknown, 6, 1, ConductorMaterial.Copper, true);
        var feeder = new Feeder.ByCable(Given.Unknown, 6, 1, ConductorMaterial.Copper);
        var proposed = loads.SelectMany(l =>
            UsualEntries.For(Point(l) with { Cable = cable, Feeder = feeder, Sun = SunSupply.Open, StepUp = StepUpSupply.Open }, Data, 50))
            .Select(u => u.Key).ToHashSet();
        Assert.All(Data.UsualEntries, u => Assert.Contains(u.Key, proposed));

        var first = plant.Lineups[0];
        var done = Assert.IsType<CommandOutcome.Done>(new AcceptUsual(["dp-77"], [])
            .On(plant with { Lineups = [first with { DrivePoints = [.. first.DrivePoints, Point(Fan(10, 1500))] },
                .. plant.Lineups.Skip(1)] }, studies));
        Assert.Contains("DP-77, assumed: static pressure share 0.1, ", Assert.Single(done.Notes), StringComparison.Ordinal);
        Assert.IsType<CommandOutcome.Refused>(new AcceptUsual(["dp-77"], []).On(done.After, studies));
    }

    [Fact]
    public void What_is_taken_stands_assumed_until_it_is_confirmed_or_typed_over()
    {
        var plant = DemoPlant.Read(Data);
        var studies = new Assessor(Data);
        var first = plant.Lineups[0];
        var taken = Done(new AcceptUsual(["dp-77"], ["fan.efficiency", "fan.static-share", "fluid.speed"]),
            plant with { Lineups = [first with { DrivePoints = [.. first.DrivePoints, Point(Fan(10, 1500))] }, .. plant.Lineups.Skip(1)] });
        Assert.Equal([("fan.static-share", 0.1), ("fan.efficiency", 0.75), ("fluid.speed", 1470)], Assumed(taken));

        // A value of the engineer's own is no assumption; taken again as it was, it is none either.
        var typed = taken.Changed(["dp-77"], p => p with { Load = WithEfficiency(p, 0.8) });
        Assert.Equal(["fan.static-share", "fluid.speed"], Assumed(typed).Select(a => a.Key));
        var confirmed = Done(new ConfirmAssumed(["dp-77"], ["fluid.speed"]), typed);
        Assert.Equal(["fan.static-share"], Assumed(confirmed).Select(a => a.Key));
        Assert.Equal(["fan.static-share"], Assumed(confirmed.Changed(["dp-77"], p => p with { Load = WithEfficiency(p, 0.75) }))
            .Select(a => a.Key));

        // The rest is taken beside it; confirmed whole, nothing is left to confirm.
        var all = Done(new AcceptUsual(["dp-77"], []), confirmed);
        Assert.Contains("fan.static-share", Assumed(all).Select(a => a.Key));
        var known = Done(new ConfirmAssumed(["dp-77"], []), all);
        Assert.Empty(Assumed(known));
        Assert.Equal(all.Point("dp-77")!.Load, known.Point("dp-77")!.Load);

        // The list and the reasons tell how many: a confirmation alone changes that.
        Assert.Equal(Assumed(all).Count, studies.Run(all).DrivePoints.Single(p => p.DrivePointId == "dp-77").AssumedEntries);
        Assert.All(studies.Run(known).DrivePoints, p => Assert.Equal(0, p.AssumedEntries));
        Assert.IsType<CommandOutcome.Refused>(new ConfirmAssumed(["dp-77"], []).On(known, studies));
        Assert.IsType<CommandOutcome.Refused>(new ConfirmAssumed(["dp-99"], []).On(known, studies));

        PlantSpecification Done(PlantCommand command, PlantSpecification on) =>
            Assert.IsType<CommandOutcome.Done>(command.On(on, studies)).After;
        static List<(string Key, double Value)> Assumed(PlantSpecification plant) =>
            [.. UsualEntries.Assumed(plant.Point("dp-77")!, Data).Select(a => (a.Key, a.Value))];
        static FanLoad WithEfficiency(DrivePoint p, double pu) =>
            ((FanLoad)p.Load) with { Common = ((FanLoad)p.Load).Common with { RatedEfficiency = pu } };
    }

    // The screen marks the entry that is named: each must be one of its table, and where the value goes.
    [Fact]
    public void Every_assumed_value_names_an_entry_of_the_table()
    {
        using var api = JsonDocument.Parse(File.ReadAllText(Path.Combine(Root(), "docs", "api", "cuadrilla.json")));
        var schemas = api.RootElement.GetProperty("components").GetProperty("schemas");
        Assert.All(UsualPlaces.All.Concat(UsualPlaces.Computed), place =>
        {
            var entry = place.Entry.Split('.');
            var unit = schemas.GetProperty(entry[0]).GetProperty("properties").GetProperty(entry[1]);
            Assert.True(unit.TryGetProperty("title", out _), place.Entry);
        });
    }

    private static string Root()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "Cuadrilla.slnx")))
        {
            at = at.Parent!;
        }

        return at.FullName;
    }
}
