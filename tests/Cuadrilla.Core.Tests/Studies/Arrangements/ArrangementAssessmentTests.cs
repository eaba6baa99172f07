using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Arrangements;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Followers;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Shafts;
using Cuadrilla.Core.Tests.Assessment;
using static Cuadrilla.Core.Tests.Assessment.DemoChanges;

namespace Cuadrilla.Core.Tests.Studies.Arrangements;

/// <summary>Groups, shared shafts, followers, brakes, parallel modules and servo lineups of the demo plant, judged over its
/// scenarios.</summary>
public sealed class ArrangementAssessmentTests
{
    private static readonly PlantAssessment Found = DemoChanges.Assessor.Run(Demo);

    [Fact]
    public void Each_family_has_its_fault_in_the_demo()
    {
        string[] failing = [.. Found.Checks.Where(c => c.Verdict == Verdict.Fails).Select(c => c.Id).Distinct()];
        string[] wanted = ["group.motor-protection", "share.unit-lost", "brake.sequence", "follower.setting", "parallel.rating",
            "lineup.emergency-stop", "lineup.control-supply"];

        Assert.Empty(wanted.Except(failing));

        // Motor cables longer than any maker declares a filter for: the one verdict that more data would not give.
        Assert.Equal([("emc.category", "dp-06"), ("emc.category", "dp-21")],
            Found.Checks.Where(c => c.Verdict == Verdict.NeedsData).Select(c => (c.Id, c.DrivePointId)).Order());
    }

    [Fact]
    public void A_group_takes_its_power_through_one_converter()
    {
        var scenario = Found.Scenarios[0];
        var front = scenario.Drives.Single(d => d.DrivePointId == "group-exit");
        var members = DemoChanges.Assessor.Group(Demo, "group-exit")!.Members;

        Assert.DoesNotContain(scenario.Drives, d => d.DrivePointId is "dp-21" or "dp-22");
        Assert.Equal(members.Sum(m => m.Member.Count * ((CompleteDrive)m.Model).At(1).LinkW), front.Point.LinkW, 6);

        // The parts of all motors make the whole converter.
        Assert.Equal(1, members.Sum(m => m.Member.Count * m.Model.Input.Group!.PartPu), 12);
        var whole = Data.Converters["six-pulse-choke-15"];
        Assert.Equal(whole.PriceIndex, members.Sum(m => m.Member.Count * m.Model.Converter!.Item.PriceIndex), 9);
        Assert.Equal(whole.DcCapacitanceUf, members.Sum(m => m.Member.Count * m.Model.Converter!.Item.DcCapacitanceUf), 9);
    }

    [Fact]
    public void A_groups_year_counts_every_motor()
    {
        var study = DemoChanges.Assessor.Study(Demo, Demo.AllDrivePoints().First(p => p.Id == "dp-21"));
        var alone = study.Complete!.At(1).LineW * 8000 / 1e3;

        Assert.Equal(8 * alone, study.Alternatives.Single(a => a.IsChosen).Year.EnergyKwh, 1e-6 * alone);
        Assert.All(study.Alternatives, a => Assert.True(a.IsChosen || a.Id is "present" || a.RunsOnLine));
    }

    [Fact]
    public void Current_slip_and_jam_of_a_group_by_hand()
    {
        var model = DemoChanges.Assessor.Group(Demo, "group-exit")!;
        var work = model.At(Demo.Scenarios[0])!;
        double small = Data.Motors["cage-4p-ie3-0.75"].Plate.RatedCurrentA, large = Data.Motors["cage-4p-ie3-1.1"].Plate.RatedCurrentA;
        Assert.Equal(1.25 * ((8 * small) + (3 * large)), work.Current.WantedA, 9);
        Assert.Equal((0.9 * ((7 * small) + (3 * large))) + work.Motors[0].JamA, work.Current.LateStartA, 9);

        // One frequency for all: each slips by its load.
        var second = work.Motors[1];
        var plate = second.Model.Motor!.Plate;
        var torque = second.Model.At(1).Shaft.TorqueNm;
        Assert.Equal((1500 * work.FrequencyPu) - ((1500 - plate.RatedSpeedRpm) * torque / plate.RatedTorqueNm), second.SpeedRpm, 6);

        // At rated frequency a jam is the locked rotor.
        var circuit = CageCircuitFit.Run(second.Model.Connected!.Plate).Circuit;
        Assert.Equal(plate.LockedRotorCurrentPu * plate.RatedCurrentA,
            circuit.StandingCurrentA(1, second.Model.Connected.Plate.RatedVoltageV), 0.01 * plate.RatedCurrentA);
    }

    [Theory]
    [InlineData(MotorControl.Vector, "cage-4p-ie3-1.1", "group.control-mode")]
    [InlineData(MotorControl.Scalar, "pm-ie5-1.1", "group.motor-kind")]
    public void A_group_asks_for_scalar_control_and_cage_motors(MotorControl control, string motor, string failing)
    {
        var plant = Changed(Demo, "dp-21",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Control = control } });
        plant = Changed(plant, "dp-22", p => p with { Motor = ((MotorChoice.FromCatalogue)p.Motor) with { ItemId = motor } });
        Assert.Equal(Verdict.Fails, Check(plant, failing, "group-exit").Verdict);
    }

    [Fact]
    public void A_late_start_uses_the_overload_or_only_the_continuous_current()
    {
        var group = Demo.GroupOf("dp-21")!;
        var loaded = Arranged(Demo, group.Id,
            a => ((MotorGroup)a) with { Members = [group.Members[0] with { Count = 9 }, group.Members[1] with { SwitchedLate = true }] });
        var cautious = loaded with { Overrides = [.. loaded.Overrides,
            new DefaultOverride("group-late-start-on-overload", 0, "cautious")] };
        var (by, at) = (Check(loaded, "group.late-start", group.Id), Check(cautious, "group.late-start", group.Id));

        Assert.Equal(by.Figure, at.Figure);
        Assert.True(at.Limit.Value < by.Limit.Value);
        Assert.Equal(DemoChanges.Assessor.Group(loaded, group.Id)!.Whole!.SiteCurrentA, at.Limit.Value, 9);
    }

    [Fact]
    public void Shares_of_the_hoist_are_its_load_in_every_scenario()
    {
        var model = DemoChanges.Assessor.Shaft(Demo, "shaft-hoist")!;
        foreach (var scenario in Demo.Scenarios.Where(s => model.RunningIn(s).Count == 2))
        {
            Assert.Equal(model.LoadIn(scenario)!.Value.TorqueNm, model.SteadyIn(scenario)!.TorquesNm.Sum(), 9);
        }

        Assert.Null(model.LoadIn(Demo.Scenarios.First(s => s.Id == "night-kiln")));
        var run = model.Over(Demo.Scenarios[0], 0.3, 1)!;
        Assert.All(run.Moments, m => Assert.Equal(m.LoadNm + m.AcceleratingNm, m.SharesNm.Sum(), 1e-6));
    }

    [Theory]
    [InlineData(SharingKind.SpeedFollower, true, "circulate")]
    [InlineData(SharingKind.SpeedTrim, true, "elastic")]
    [InlineData(SharingKind.TorqueFollower, false, "rigid")]
    public void A_way_of_sharing_that_does_not_fit_fails_with_its_reason(SharingKind kind, bool rigid, string word)
    {
        SharingMethod method = kind switch
        {
            SharingKind.SpeedFollower => new SharingMethod.SpeedFollower(),
            SharingKind.SpeedTrim => new SharingMethod.SpeedTrim(2, 120),
            _ => new SharingMethod.TorqueFollower(3, 5),
        };
        var plant = Arranged(Demo, "shaft-hoist",
            a => ((SharedShaft)a) with { Method = method,
                Coupling = rigid ? new ShaftCoupling.Rigid() : new ShaftCoupling.Elastic(4000, 30) });
        var check = Check(plant, "share.method", "shaft-hoist");

        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains(word, check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_hanging_load_on_a_shared_shaft_wants_encoders()
    {
        var plant = Changed(Demo, "dp-07",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Control = MotorControl.Vector } });
        var check = Check(plant, "share.method", "shaft-hoist");

        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.Contains("DP-07", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void The_rest_of_a_shaft_holds_out_as_long_as_overload_and_heat_allow()
    {
        var check = Check(Demo, "share.unit-lost", "shaft-hoist");
        var unit = DemoChanges.Assessor.Shaft(Demo, "shaft-hoist")!.Units[0];
        var load = DemoChanges.Assessor.Shaft(Demo, "shaft-hoist")!.LoadIn(Demo.Scenarios[0])!.Value;
        var current = unit.Motor!.At(load.Rpm, load.TorqueNm, MotorFeed.Converter).CurrentA;
        double Time(double pu, double rated, double seconds) => seconds * ((rated * rated) - 1) / ((pu * pu) - 1);
        var expected = Math.Min(
            Time(current / unit.Converter!.SiteCurrentA, unit.Converter.Overload.CurrentPu, unit.Converter.Overload.TimeS),
            Time(current / unit.Motor.Plate.RatedCurrentA, 1.5, 120));

        Assert.Equal(expected, check.Figure.Value, 1e-6 * expected);
        var shorter = Arranged(Demo, "shaft-hoist", a => ((SharedShaft)a) with { RunOnS = 20 });
        Assert.Equal(Verdict.Holds, Check(shorter, "share.unit-lost", "shaft-hoist").Verdict);
    }

    [Fact]
    public void A_follower_is_held_against_every_scenario()
    {
        var glaze = (RatioFollower)Demo.Lineups[1].Arrangements.Single(a => a.Id == "ratio-glaze");
        var fast = Arranged(Demo, "ratio-glaze", a => glaze with { Leader = glaze.Leader with { LargestRpm = 800 } });
        var faster = fast with { Scenarios = [.. fast.Scenarios,
            Scenario.AsUsual("fast", "belt at 120 %") with { States = [new DrivePointState("dp-11", true, 1.2, 1)] }] };

        Assert.True(Check(faster, "follower.limits", "ratio-glaze").Figure.Value > Check(fast, "follower.limits",
            "ratio-glaze").Figure.Value);
        Assert.Equal("belt at 120 %", Check(faster, "follower.limits", "ratio-glaze").Scenario);
        var cured = Arranged(Demo, "ratio-glaze",
            a => glaze with { Leader = glaze.Leader with { PulsesPerTurn = 512 }, Follower = glaze.Follower with { PulsesPerTurn = 512 },
                SampleTimeS = 0.5, InputLimitHz = 20_000, ImpliedDecimals = 4 });
        Assert.NotEqual(Verdict.Fails, Check(cured, "follower.setting", "ratio-glaze").Verdict);
        var open = Arranged(Demo, "ratio-glaze", a => glaze with { WantedRatio = Given.Unknown });
        Assert.Contains("wanted ratio", Check(open, "follower.setting", "ratio-glaze").Relief, StringComparison.Ordinal);
    }

    [Fact]
    public void A_follower_slower_than_its_leader_falls_behind_by_half_the_product()
    {
        var ramp = RampMismatch.Of(4, 1200, 1500, 10, 0.02);

        Assert.Equal(8, ramp.ReachS, 12);
        Assert.Equal(0.5 * 1200 / 60 * 4 * 0.02, ramp.MissingUnits, 12);
        Assert.Equal(0, RampMismatch.Of(9, 1200, 1500, 10, 0.02).MissingUnits);
    }

    [Fact]
    public void A_brake_holds_one_and_a_half_times_the_hanging_load()
    {
        // 1300 kg on a drum of 0.5 m behind 38: 1300·9.80665·0.25/38.
        var check = Found.Checks.Single(c => c is { Id: "brake.holding", DrivePointId: "dp-05" });
        Assert.Equal(Digits.Kept(1.5 * 1300 * 9.80665 * 0.25 / 38), check.Limit.Value, 9);
        Assert.Equal(Verdict.Fails, BrakeCheck("brake.holding", b => b with { HoldingNm = 100 }).Verdict);
        Assert.Contains("Never stand under a load", BrakeCheck("brake.holding", b => b with { HoldingNm = 100 }).Relief,
            StringComparison.Ordinal);
    }

    [Fact]
    public void A_sequence_by_threshold_holds_and_a_missing_feedback_makes_it_tight()
    {
        Assert.Equal(Verdict.Holds, BrakeCheck("brake.sequence",
            b => b with { Control = b.Control with { CloseDelayS = Given.Unknown } }).Verdict);
        Assert.Equal(Verdict.Tight, BrakeCheck("brake.sequence",
            b => b with { Control = b.Control with { CloseDelayS = Given.Unknown, CommandFeedback = false } }).Verdict);
        var early = BrakeCheck("brake.sequence",
            b => b with { Control = b.Control with { CloseDelayS = Given.Unknown, PositionFeedback = false, HoldMs = 10,
                SpeedAfterReleaseMs = 150 } });
        Assert.Equal(Verdict.Fails, early.Verdict);
        Assert.Contains("turning shaft", early.Title, StringComparison.Ordinal);
        Assert.Equal(Verdict.NeedsData,
            BrakeCheck("brake.sequence", b => b with { Coil = b.Coil with { TimeConstantMs = Given.Unknown } }).Verdict);
    }

    [Fact]
    public void A_coil_wants_a_suppression_and_an_output_that_carries_it()
    {
        Assert.Equal(Digits.Kept(130.0 / 205), BrakeCheck("brake.coil", b => b).Figure.Value, 12);
        Assert.Equal(Verdict.Fails, BrakeCheck("brake.coil", b => b with { Coil = b.Coil with { OutputA = 0.5 } }).Verdict);
        Assert.Equal(Verdict.Fails, BrakeCheck("brake.coil",
            b => b with { Coil = b.Coil with { Suppression = CoilSuppression.None } }).Verdict);
        Assert.Equal(Verdict.NeedsData, BrakeCheck("brake.coil", b => b with { Coil = b.Coil with { PowerW = Given.Unknown } }).Verdict);
    }

    [Fact]
    public void Modules_side_by_side_give_95_per_cent_of_their_sum()
    {
        var plant = Changed(Demo, "dp-26",
            p => p with { Converter = ((ConverterChoice.FromCatalogue)p.Converter) with { Wiring = ModuleWiring.OneWindingWithChokes } });
        var check = DemoChanges.Assessor.Run(plant).Checks.Single(c => c is { Id: "parallel.rating", DrivePointId: "dp-26" });
        var one = DemoChanges.Assessor.Study(plant, plant.AllDrivePoints().First(p => p.Id == "dp-26")).Model.Converter!;

        Assert.NotEqual(Verdict.Fails, check.Verdict);
        Assert.Equal(2 * 0.95 * Data.Converters["six-pulse-choke-11"].LightCurrentA, one.Item.LightCurrentA, 9);
        Assert.Contains("with one module out", check.Reason.WithNumbers, StringComparison.Ordinal);
    }

    [Fact]
    public void A_servo_lineup_adds_up_its_24_volt_its_cables_and_its_axes()
    {
        // 1.2 + 0.8 + 3·0.9 + 22 W/24 V of the one brake.
        Assert.Equal(Digits.Kept(1.2 + 0.8 + 2.7 + (22.0 / 24)), Check(Demo, "lineup.control-supply", "dc-servo").Figure.Value, 9);
        Assert.Equal(14 + 16 + 19, Check(Demo, "lineup.cable-total", "dc-servo").Figure.Value, 9);
        Assert.Equal(3, Check(Demo, "lineup.axis-count", "dc-servo").Figure.Value);
        var turned = Bused(b => b with { MemberIds = ["dp-25", "dp-23", "dp-24"] });
        Assert.Equal(Verdict.Fails, Check(turned, "lineup.module-order", "dc-servo").Verdict);
        var open = Bused(b => b with { Control = ((ServoControl.Modular)b.Control) with { LargestAxes = Given.Unknown } });
        Assert.Equal(Verdict.NeedsData, Check(open, "lineup.axis-count", "dc-servo").Verdict);
    }

    [Fact]
    public void An_axis_with_too_little_motor_has_an_inertia_ratio_that_fails()
    {
        var heavy = Changed(Demo, "dp-23", p => p with { Load = ((ServoAxisLoad)p.Load) with { MassKg = 900 } });
        var check = DemoChanges.Assessor.Run(heavy).Checks.Single(c => c is { Id: "motor.inertia-ratio", DrivePointId: "dp-23" });

        Assert.Equal(Verdict.Fails, check.Verdict);
        Assert.True(check.Figure.Value > 10);
    }

    [Fact]
    public void Two_ways_of_a_lineup_are_scored_in_the_same_plant()
    {
        var found = LineupComparison.Of(Demo, "l2", DemoChanges.Assessor);
        var (bus, single) = (found.Scores[0], found.Scores[1]);

        Assert.Equal("film-single", found.BestId);
        Assert.Equal(1, single.IncomingCables - bus.IncomingCables);
        Assert.Equal(0, single.ExchangedKwhPerHour);
        Assert.True(bus.ExchangedKwhPerHour > 1);
        Assert.True(single.BurntKwh > bus.BurntKwh + 1000);
        Assert.True(single.Year.EnergyKwh > bus.Year.EnergyKwh);
        Assert.Equal((2, 1), (bus.StopsTogether, single.StopsTogether));
        Assert.Equal(2 * 18.5, single.SuppliesKw - bus.SuppliesKw + 11, 9);
        Assert.Contains(found.Why, w => w.StartsWith("For it", StringComparison.Ordinal));
        Assert.Contains(found.Why, w => w.StartsWith("Against it", StringComparison.Ordinal));
    }

    private static Check Check(PlantSpecification plant, string id, string elementId) =>
        DemoChanges.Assessor.Run(plant).Checks.Single(c => c.Id == id && c.ElementId == elementId);

    private static Check BrakeCheck(string id, Func<HoldingBrake.SpringApplied, HoldingBrake.SpringApplied> change) =>
        DemoChanges.Assessor.Study(Changed(Demo, "dp-05", p => p with { Brake = change((HoldingBrake.SpringApplied)p.Brake) }),
            Changed(Demo, "dp-05", p => p with { Brake = change((HoldingBrake.SpringApplied)p.Brake) }).AllDrivePoints()
                .First(p => p.Id == "dp-05"))
            .Checks.Single(c => c.Id == id);

    private static PlantSpecification Arranged(PlantSpecification plant, string id, Func<Arrangement, Arrangement> change) => plant with
    {
        Lineups = [.. plant.Lineups.Select(l => l with { Arrangements = [.. l.Arrangements.Select(a => a.Id == id ? change(a) : a)] })],
    };

    private static PlantSpecification Bused(Func<CommonDcBus, CommonDcBus> change) => Demo with
    {
        Lineups = [.. Demo.Lineups.Select(l => l with { DcBuses = [.. l.DcBuses.Select(b => b.Id == "dc-servo" ? change(b) : b)] })],
    };
}
