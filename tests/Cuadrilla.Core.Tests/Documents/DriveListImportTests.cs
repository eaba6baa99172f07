using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Drive lists as people write them: columns found by their heads, units in head or cell, rows judged by themselves, taken as one
/// edit.</summary>
public sealed class DriveListImportTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Studies = new(Data);
    private static readonly PlantSpecification WaterWorks = DemoPlant.Read(Data, "tarn-hollow");

    private static readonly string[] UsHeads = ["Tag No.", "Service", "MCC", "Type", "Motor HP", "Brake hp", "Poles", "Cable length (ft)",
        "Wire size", "Starter", "Hours/y"];

    [Fact]
    public void Columns_are_found_by_their_heads_whatever_their_order()
    {
        var found = ListColumn.Guess(UsHeads);
        Assert.Equal(
            ["cableLength:7", "cableSize:8", "feed:9", "hours:10", "lineup:2", "load:3", "motorPower:4", "name:1", "poles:6",
                "shaftPower:5", "tag:0"],
            found.Select(f => $"{f.Key}:{f.Value}").Order(StringComparer.Ordinal));
        var metric = ListColumn.Guess(["Flow [m³/h]", "Description", "Static head m", "Equipment tag", "Rated power [kW]", "Speed rpm",
            "Head (m)", "Pump efficiency %", "Absorbed power kW"]);
        Assert.Equal((3, 1, 4, 5, 0, 6, 2, 7, 8),
            (metric["tag"], metric["name"], metric["motorPower"], metric["speed"], metric["flow"], metric["head"], metric["staticHead"],
                metric["efficiency"], metric["shaftPower"]));
    }

    [Fact]
    public void A_row_in_us_units_becomes_what_it_says()
    {
        var (judged, row) = Assert.Single(Judge(WaterWorks, UsHeads,
            ["P-7", "Sump pump", "L2", "pump", "15", "12.4", "4", "300", "8 AWG", "VFD", "4000"]));
        Assert.Equal(RowOutcome.New, judged.Outcome);
        Assert.Contains("static share 30 %", judged.Assumed);
        Assert.NotNull(row);
        Assert.Equal((15 * 0.745699872, 91.44, 8.37, 4),
            (row.MotorKw.Value, row.CableLengthM.Value, row.CrossSectionMm2.Value, row.Poles.Value), (a, b) =>
                Math.Abs(a.Item1 - b.Item1) + Math.Abs(a.Item2 - b.Item2) + Math.Abs(a.Item3 - b.Item3)
                    + Math.Abs(a.Item4 - b.Item4) < 1e-6);
        var pump = Assert.IsType<PumpLoad>(row.Load);
        Assert.Equal(12.4 * 0.745699872, pump.Common.RatedShaftKw.Value, 1e-6);
        Assert.Equal(1773, pump.Common.RatedSpeedRpm.Value);
        Assert.Equal([new DutyPoint(1, 4000)], pump.Common.Duty);
        Assert.Equal(ListedFeed.Converter, row.Feed);
    }

    [Theory]
    [InlineData("Tag,Type,Motor kW", "P-1,pump,many", "Motor, rated power: “many” is no number")]
    [InlineData("Tag,Type,Motor kW", "P-1,teapot,5", "“teapot” is no kind of machine that is known")]
    [InlineData("Tag,Type,Motor kW", ",pump,5", "It has no tag.")]
    [InlineData("Tag,Type,Cable length m", "P-1,pump,5000", "allowed: 0 to 2000 m")]
    [InlineData("Tag,Type,Poles", "P-1,pump,5", "an even number from 2 to 16")]
    [InlineData("Tag,Type,Starter", "P-1,pump,magic", "“magic” is not known")]
    [InlineData("Tag,Type,Flow gpm", "P-1,pump,5 apples", "Flow: “5 apples” is no number with a unit such as")]
    [InlineData("Tag,Type,Flow (bbl/fortnight)", "P-1,pump,5", "Flow: its head says (bbl/fortnight), which is not known here; known: ")]
    [InlineData("Tag,Type,Head (ch)", "P-1,pump,5", "Head: its head says (ch)")]
    [InlineData("Tag,Type,Machine efficiency %", "P-1,pump,120", "Machine efficiency: 120")]
    public void A_row_that_is_wrong_is_refused_by_name_and_the_others_are_not(string heads, string cells, string why)
    {
        var good = string.Join(',', heads.Split(',').Select((h, i) => i == 0 ? "OK-1" : i == 1 ? "fan" : string.Empty)).Split(',');
        var rows = Judge(DemoPlant.Read(Data), heads.Split(','), cells.Split(','), good);
        Assert.Equal(RowOutcome.Refused, rows[0].Judged.Outcome);
        Assert.Contains(rows[0].Judged.Problems, p => p.Contains(why, StringComparison.Ordinal));
        Assert.Null(rows[0].Row);
        Assert.Equal(RowOutcome.New, rows[1].Judged.Outcome);
    }

    // The unit of the head counts, whatever the project's: a flow of 100 m³/h is not one of 100 gpm.
    [Theory]
    [InlineData("Flow m3/h", 100 / 3600.0)]
    [InlineData("Flow_l/s", 0.1)]
    [InlineData("Flow (m³/h)", 100 / 3600.0)]
    [InlineData("Flow, gpm", 100 * 6.30901964e-5)]
    [InlineData("Flow (rated)", 100 * 6.30901964e-5)]
    [InlineData("Flow (max.)", 100 * 6.30901964e-5)]
    [InlineData("Flow (l/h)", 100 / 3.6e6)]
    [InlineData("Flow", 100 * 6.30901964e-5)]
    public void The_unit_of_a_head_goes_before_the_projects(string head, double m3PerS)
    {
        var pump = Assert.IsType<PumpLoad>(Judge(WaterWorks, ["Tag", "Type", head], ["T", "pump", "100"])[0].Row!.Load);
        Assert.Equal(m3PerS, pump.Common.RatedFlowM3PerS.Value, 1e-9);
    }

    [Fact]
    public void Nothing_is_assumed_without_being_said()
    {
        var assumed = Judge(WaterWorks, ["Tag", "Type", "Shaft power kW"], ["T", "mixer", "5"])[0].Judged.Assumed;
        Assert.Contains("breakaway 150 %, 10 s to start", assumed);
        Assert.Contains("never slower than 50 % for long", assumed);
    }

    [Fact]
    public void A_tag_twice_is_refused_the_second_time_and_an_empty_row_is_nothing()
    {
        var rows = Judge(WaterWorks, ["Tag", "Type"], ["X-1", "fan"], ["", " "], ["x-1", "pump"]);
        Assert.Equal([RowOutcome.New, RowOutcome.Empty, RowOutcome.Refused], rows.Select(r => r.Judged.Outcome));
        Assert.Equal([2, 3, 4], rows.Select(r => r.Judged.Number));
    }

    [Theory]
    [InlineData("Induced draft fan", typeof(FanLoad))]
    [InlineData("Slurry pump", typeof(PumpLoad))]
    [InlineData("Dosing pump", typeof(DosingPumpLoad))]
    [InlineData("Ball mill", typeof(HighInertiaLoad))]
    [InlineData("Belt conveyor", typeof(ConstantTorqueLoad))]
    [InlineData("Overhead crane", typeof(HoistLoad))]
    [InlineData("bomba", typeof(PumpLoad))]
    [InlineData("servo-axis", typeof(ServoAxisLoad))]
    public void Machines_are_known_by_the_usual_words(string words, Type kind) =>
        Assert.IsType(kind, Judge(WaterWorks, ["Tag", "Type", "Motor kW"], ["T", words, "5"])[0].Row!.Load);

    // A hoist comes down by itself: its power alone says nothing of that.
    [Fact]
    public void A_hoist_by_its_power_alone_stays_open()
    {
        var hoist = Assert.IsType<HoistLoad>(Judge(WaterWorks, ["Tag", "Type", "Motor kW"], ["T", "hoist", "5"])[0].Row!.Load);
        Assert.False(hoist.MassKg.IsKnown);
    }

    // The machine's speed says how many poles; a gear turns the motor faster.
    [Theory]
    [InlineData("pump", "3550", "", 2)]
    [InlineData("fan", "1180", "", 6)]
    [InlineData("mixer", "885", "2", 4)]
    [InlineData("pump", "", "", 4)]
    public void A_motor_without_poles_turns_like_its_machine(string kind, string rpm, string gear, int poles)
    {
        var rows = Judge(WaterWorks, ["Tag", "Type", "Motor HP", "Speed rpm", "Gear ratio"], ["T", kind, "30", rpm, gear]);
        var done = Assert.IsType<CommandOutcome.Done>(new TakeDriveList([.. rows.Select(r => r.Row!)], false).On(WaterWorks, Studies));
        var motor = Assert.IsType<MotorChoice.FromCatalogue>(done.After.AllDrivePoints().Single(p => p.Tag == "T").Motor);
        Assert.Equal(poles, Data.Motors[motor.ItemId].Poles);
    }

    [Fact]
    public void A_list_is_taken_as_one_edit_with_motors_starters_and_lineups()
    {
        var rows = Judge(
            WaterWorks, UsHeads,
            ["P-1", "Sump pump", "L2", "pump", "15", "12.4", "4", "300", "8 AWG", "VFD", "4000"],
            ["P-2", "Drain pump", "New hall", "pump", "7.5", "6", "4", "100", "12 AWG", "DOL", "2000"],
            ["F-1", "Roof fan", "New hall", "fan", "", "4.4", "4", "80", "12 AWG", "VFD", "8000"],
            ["M-1", "Mixer", "New hall", "mixer", "20", "17", "6", "80", "8 AWG", "soft starter", "8000"]);
        var done = Assert.IsType<CommandOutcome.Done>(new TakeDriveList([.. rows.Select(r => r.Row!)], true).On(WaterWorks, Studies));
        Assert.Equal("Drive list: 4 new", done.Label);
        Assert.Equal(4, done.CreatedIds.Count);
        ProjectFile.Require(done.After, Data);
        var hall = done.After.Lineups[^1];
        Assert.Equal(("New hall", 3), (hall.Tag, hall.DrivePoints.Count));
        DrivePoint Of(string tag) => done.After.AllDrivePoints().Single(p => p.Tag == tag);
        var sump = Data.Motors[Assert.IsType<MotorChoice.FromCatalogue>(Of("P-1").Motor).ItemId];
        Assert.Equal((15, 4, "Premium"), (sump.RatedHp, sump.Poles, sump.EfficiencyClass));
        Assert.IsType<ConverterChoice.FromCatalogue>(Of("P-1").Converter);
        Assert.IsType<ConverterChoice.AcrossTheLine>(Of("P-2").Converter);
        Assert.IsType<MotorChoice.FromCatalogue>(Of("F-1").Motor);
        Assert.IsType<ConverterChoice.SoftStarter>(Of("M-1").Converter);

        // The same list again says nothing new; a changed row names what it changes.
        var again = Judge(done.After, UsHeads, ["P-1", "Sump pump", "L2", "pump", "15", "12.4", "4", "300", "8 AWG", "VFD", "4000"],
            ["P-2", "Drain pump", "New hall", "pump", "10", "6", "4", "120", "12 AWG", "DOL", "2000"]);
        Assert.Equal([RowOutcome.Same, RowOutcome.Changes], again.Select(r => r.Judged.Outcome));
        Assert.Equal(2, again[1].Judged.Changes.Count);
        Assert.Contains(again[1].Judged.Changes, c => c.StartsWith("cable length, m: 30.48 → 36.58", StringComparison.Ordinal));
        Assert.Contains(again[1].Judged.Changes, c => c.StartsWith("motor:", StringComparison.Ordinal));
        var updated = Assert.IsType<CommandOutcome.Done>(new TakeDriveList([again[1].Row!], true).On(done.After, Studies));
        Assert.Empty(updated.CreatedIds);
        Assert.Equal(10, Data.Motors[((MotorChoice.FromCatalogue)updated.After.AllDrivePoints()
            .Single(p => p.Tag == "P-2").Motor).ItemId].RatedHp);
        Assert.Equal(done.After.AllDrivePoints().Count(), updated.After.AllDrivePoints().Count());
    }

    [Fact]
    public void What_a_list_does_not_say_stays_as_it_is()
    {
        var before = WaterWorks.AllDrivePoints().Single(p => p.Tag == "RW-1");
        var row = Judge(WaterWorks, ["Tag", "Flow gpm"], ["RW-1", "3600"])[0];
        Assert.Equal("Rated flow", Assert.Single(row.Judged.Changes).Split(':')[0]);
        var after = Assert.IsType<CommandOutcome.Done>(new TakeDriveList([row.Row!], true).On(WaterWorks, Studies)).After.AllDrivePoints()
            .Single(p => p.Tag == "RW-1");
        var load = (PumpLoad)before.Load;
        Assert.Equal(3600 * 6.30901964e-5, ((PumpLoad)after.Load).Common.RatedFlowM3PerS.Value, 1e-8);
        Assert.Equal(before with { Load = load with { Common = load.Common
            with { RatedFlowM3PerS = ((PumpLoad)after.Load).Common.RatedFlowM3PerS } } }, after);
    }

    [Fact]
    public void No_motor_of_a_size_is_said_and_the_drive_point_is_made_all_the_same()
    {
        var row = Judge(WaterWorks, ["Tag", "Type", "Motor kW", "Shaft power kW"], ["BIG", "fan", "5200", "4000"])[0];
        var done = Assert.IsType<CommandOutcome.Done>(new TakeDriveList([row.Row!], false).On(WaterWorks, Studies));
        Assert.Contains("BIG: no cage motor of 5200 kW", Assert.Single(done.Notes), StringComparison.Ordinal);
        Assert.Single(done.CreatedIds);
    }

    [Fact]
    public void Too_many_rows_or_none_are_refused()
    {
        Assert.IsType<CommandOutcome.Refused>(new TakeDriveList([], true).On(WaterWorks, Studies));
        var row = new DriveListRow("T", string.Empty, string.Empty, new UnspecifiedLoad(), Given.Unknown, Given.Unknown, string.Empty,
            ListedFeed.NotStated, Given.Unknown, Given.Unknown);
        Assert.Contains("2 times", Assert.IsType<CommandOutcome.Refused>(new TakeDriveList([row, row with { Tag = " t" }], true)
            .On(WaterWorks, Studies)).Why.Message, StringComparison.Ordinal);
    }

    private static IReadOnlyList<(JudgedRow Judged, DriveListRow? Row)> Judge(PlantSpecification plant, IReadOnlyList<string> heads,
        params string[][] rows) =>
        DriveListImport.Judge(plant, Data, heads, rows, ListColumn.Guess(heads));
}
