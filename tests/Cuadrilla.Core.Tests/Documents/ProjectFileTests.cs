using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Documents.Sheets;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Documents;

public sealed class ProjectFileTests
{
    private static readonly EngineeringData Data = ReferenceCatalogue.Data;

    [Fact]
    public void A_file_gives_back_the_same_project()
    {
        var first = ProjectFile.Write(DemoPlant.Read(Data), Data);
        Assert.Equal(first, ProjectFile.Write(ProjectFile.Read(first, Data), Data));
        Assert.Equal(Encoding.UTF8.GetString(DemoPlant.File()).Trim(), Encoding.UTF8.GetString(first));
    }

    [Theory]
    [InlineData("/specification/site/altitudeM", "-5000", "-400 to 5000")]
    [InlineData("/specification/lineups/0/drivePoints/0/load/common/duty/0/hoursPerYear", "9000", "0 to 8760")]
    [InlineData("/specification/lineups/0/drivePoints/0/load/common/ratedFlowM3PerS", "-1", "above 0")]
    [InlineData("/specification/lineups/0/drivePoints/0/motor/itemId", "\"x\"", "catalogue")]
    [InlineData("/specification/site/altitudeM", "\"high\"", "type")]
    [InlineData("/specification/lineups/0/drivePoints/0/load/kind", "\"windmill\"", "one of unspecified, fan, pump")]
    [InlineData("/format", "\"other\"", "cuadrilla-project")]
    [InlineData("/formatVersion", "18", "1 to 17")]
    [InlineData("/specification/lineups/0/drivePoints/0/feeder/reason", "null", "type in the schema")]
    [InlineData("/specification/lineups/1/dcBuses/0/feeder", "null", "type in the schema")]
    [InlineData("/specification/lineups/1/dcBuses/0/feeder/parallelRuns", "0", "1 to 12")]
    [InlineData("/specification/distribution/transformers/0/ukPct", "0.1", "0.5 to 25")]
    [InlineData("/specification/distribution/transformers/1/toBusId", "\"nowhere\"", "bus of this plant")]
    [InlineData("/specification/distribution/links/1/kind", "\"wire\"", "one of coupler, cable")]
    [InlineData("/specification/distribution/loads/1/lockedRotorCurrentPu", "50", "2 to 12")]
    [InlineData("/specification/distribution/capacitorBanks/0/steps", "0", "1 to 24")]
    [InlineData("/specification/scenarios/1/bankStates/0/stepsOn", "7", "0 to 6")]
    [InlineData("/specification/lineups/0/busId", "\"bus-mv\"", "1000 V")]
    public void A_bad_value_is_named_with_what_is_allowed(string pointer, string value, string allowed)
    {
        var problem = Refused(Set(pointer, JsonNode.Parse(value))).Problems[0];
        Assert.Equal(pointer, problem.Pointer);
        Assert.Contains(allowed, problem.Allowed, StringComparison.Ordinal);
        Assert.NotEmpty(problem.Value);
    }

    [Fact]
    public void A_file_of_the_first_version_becomes_one_of_this_version()
    {
        var plant = ProjectFile.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files",
            "plant-version-1.cuadrilla.json")), Data);
        Assert.Equal(["network connection", "400 V bus A"], plant.Distribution.Buses.Select(b => b.Name));
        Assert.Equal(1600, plant.Distribution.Transformers.Single().RatedKva);
        Assert.Equal(840, Assert.IsType<BusLoad.Linear>(plant.Distribution.Loads.Single()).PowerKw);
        Assert.All(plant.Lineups, l => Assert.Equal(plant.Pcc.BusId, l.BusId));
        Assert.Equal(11, plant.AllDrivePoints().Count());

        // What it computes is what the version before computed: 34.78 kA at the bus.
        Assert.Equal(34.7834e3, new Assessor(Data).Run(plant).Scenarios[0].Network.FaultA(plant.Pcc.BusId), 0.1);
    }

    [Fact]
    public void A_file_of_the_second_version_is_read_and_computes_the_same_choices()
    {
        var plant = ProjectFile.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files",
            "plant-version-2.cuadrilla.json")), Data);
        Assert.Empty(plant.Converters);
        Assert.Empty(plant.StartPresets);
        Assert.Equal(0, plant.Tariff.ReactivePerKvarh);
        Assert.Equal(11, plant.AllDrivePoints().Count());
        Assert.All(
            plant.AllDrivePoints().Select(p => p.Converter).OfType<ConverterChoice.FromCatalogue>(),
            c => Assert.Equal((OutputFilter.None, SupplyFeed.ThreePhase), (c.Filter, c.Feed)));
        Assert.Empty(SpecificationValidation.Problems(plant, Data));

        // Written again it is of the version in force, and reads the same.
        var written = ProjectFile.Write(plant, Data);
        Assert.Equal(ProjectFile.CurrentVersion, (int)JsonNode.Parse(written)!["formatVersion"]!);
        Assert.Equal(written, ProjectFile.Write(ProjectFile.Read(written, Data), Data));
    }

    [Fact]
    public void A_file_of_the_third_version_is_read_with_single_drives_and_its_buses()
    {
        var plant = ProjectFile.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files",
            "plant-version-3.cuadrilla.json")), Data);
        Assert.Empty(SpecificationValidation.Problems(plant, Data));
        Assert.Equal(13, plant.AllDrivePoints().Count());
        Assert.All(plant.AllDrivePoints(), p => Assert.IsType<HoldingBrake.None>(p.Brake));
        Assert.All(plant.Lineups, l => Assert.Empty(l.Arrangements));
        Assert.IsType<ServoControl.None>(plant.Lineups.SelectMany(l => l.DcBuses).Single().Control);
        Assert.All(
            plant.AllDrivePoints().Select(p => p.Converter).OfType<ConverterChoice.FromCatalogue>(),
            c => Assert.Equal((MotorControl.Vector, 1), (c.Control, c.Modules)));

        // Stored before versions were.
        var stored = JsonNode.Parse(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files",
            "plant-version-3.cuadrilla.json")))!["specification"]!;
        Assert.Equal(ProjectFile.Write(plant, Data), ProjectFile.Write(StoredProject.Read(stored.ToJsonString(), null), Data));
    }

    [Fact]
    public void A_file_of_the_fourth_version_keeps_the_stopping_time_of_its_heavy_rotor()
    {
        var file = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files", "plant-version-4.cuadrilla.json"));
        var plant = ProjectFile.Read(file, Data);
        Assert.Empty(SpecificationValidation.Problems(plant, Data));
        var heavy = Assert.Single(plant.AllDrivePoints().Select(p => p.Load).OfType<HighInertiaLoad>());
        Assert.Equal(90, heavy.Train.StopTimeS.Value);
        var stored = JsonNode.Parse(file)!["specification"]!;
        Assert.Equal(ProjectFile.Write(plant, Data), ProjectFile.Write(StoredProject.Read(stored.ToJsonString(), null), Data));

        // What was a value of the project is one of its own motors.
        var own = new OwnMotor(
            "own", "old mill motor", MotorTechnology.CageInduction, "IE1", 55, 400, Given.Unknown, 50, 1480, 96.7, 94.6, 0.868, 4, 2.8,
            Given.Unknown, 7, 2.4, Given.Unknown, Given.Unknown,
            0.6, 2600, 250, 900, 430, 90, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown, Given.Unknown,
            Given.Unknown);
        stored["motors"]!.AsArray().Add(JsonNode.Parse(ProjectFile.Write(plant with { Motors = [own] },
            Data))!["specification"]!["motors"]![0]!.DeepClone());
        stored["overrides"]!.AsArray().Add(new JsonObject { ["key"] = "withstand-v", ["value"] = 1300, ["reason"] = "old windings" });
        var upgraded = StoredProject.Read(stored.ToJsonString(), null);
        Assert.DoesNotContain(upgraded.Overrides, o => o.Key == "withstand-v");
        Assert.Equal(1300, Assert.Single(upgraded.Motors).WithstandV.Value);
    }

    [Fact]
    public void A_stored_document_of_the_first_version_is_still_read()
    {
        var old = JsonNode.Parse(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files",
            "plant-version-1.cuadrilla.json")))!["specification"]!;
        old["pcc"] = "transformer-primary";
        old["scenarios"]![0]!["linearLoadPu"] = 0.4;
        old["scenarios"]![0]!["states"] = JsonNode.Parse("""[{"drivePointId":"dp-01","running":true,"levelPu":0.5}]""");
        var plant = StoredProject.Read(old.ToJsonString(), null);
        Assert.Equal(20_000, plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV);
        Assert.Equal(0.4, plant.Scenarios[0].LoadLevelPuOf(plant.Distribution.Loads[0].Id));
        Assert.Equal(new DrivePointState("dp-01", true, 0.5, 1), plant.Scenarios[0].StateOf("dp-01"));
        Assert.Empty(SpecificationValidation.Problems(plant, Data));
    }

    [Fact]
    public void A_project_value_that_no_longer_exists_is_left_out_and_the_others_stay()
    {
        var plant = ProjectFile.Read(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files",
            "plant-version-5.cuadrilla.json")), Data);
        Assert.Equal([new DefaultOverride("plant-class", 3, "welding")], plant.Overrides);
    }

    [Fact]
    public void Voltages_of_different_vector_groups_are_never_joined()
    {
        var root = JsonNode.Parse(DemoPlant.File())!;
        root["specification"]!["distribution"]!["links"]![0]!["normallyClosed"] = true;
        var problem = Refused(root).Problems[0];
        Assert.Equal("/specification/scenarios/0/switches", problem.Pointer);
        Assert.Contains("clock number", problem.Allowed, StringComparison.Ordinal);
    }

    [Fact]
    public void Hours_over_the_year_together_are_refused()
    {
        var problem = Refused(Set("/specification/lineups/0/drivePoints/0/load/common/duty/0/hoursPerYear", 8000)).Problems.Single();
        Assert.EndsWith("/duty", problem.Pointer, StringComparison.Ordinal);
        Assert.Contains("8760", problem.Allowed, StringComparison.Ordinal);
    }

    [Fact]
    public void An_unknown_field_is_named()
    {
        var root = JsonNode.Parse(DemoPlant.File())!;
        root["specification"]!["site"]!["colour"] = "green";
        Assert.Equal("/specification/site/colour", Refused(root).Problems[0].Pointer);
    }

    [Fact]
    public void An_absent_field_is_named()
    {
        var root = JsonNode.Parse(DemoPlant.File())!;
        root["specification"]!["site"]!.AsObject().Remove("ambientMaxC");
        Assert.Equal("/specification/site/ambientMaxC", Refused(root).Problems[0].Pointer);
        Assert.Equal("absent", Refused(root).Problems[0].Value);
    }

    [Fact]
    public void A_cut_off_file_and_not_a_number_are_refused()
    {
        var text = Encoding.UTF8.GetString(DemoPlant.File());
        var cut = Assert.Throws<InputException>(() => ProjectFile.Read(Encoding.UTF8.GetBytes(text[..(text.Length / 2)]), Data));
        Assert.Contains("cut off", cut.Message, StringComparison.Ordinal);
        var nan = Assert.Throws<InputException>(() =>
            ProjectFile.Read(Encoding.UTF8.GetBytes(text.Replace("\"altitudeM\": 640", "\"altitudeM\": NaN",
                StringComparison.Ordinal)), Data));
        Assert.Contains("NaN", nan.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_huge_file_is_refused_by_its_size()
    {
        var problem = Assert.Throws<InputException>(() => ProjectFile.Read(new byte[50_000_000], Data)).Problems[0];
        Assert.Equal("50000000 bytes", problem.Value);
    }

    [Fact]
    public void The_published_schema_is_that_of_the_code()
    {
        var schema = JsonNode.Parse(ProjectSchema.Text())!;
        Assert.Equal("cuadrilla-project", (string?)schema["properties"]!["format"]!["const"]);
        Assert.NotNull(schema["properties"]!["specification"]!["properties"]!["lineups"]);
    }

    [Fact]
    public void Nothing_derived_is_written_into_a_file()
    {
        var specification = JsonNode.Parse(ProjectFile.Write(DemoPlant.Read(Data), Data))!["specification"]!.AsObject();
        Assert.Equal(
            typeof(PlantSpecification).GetConstructors().Single(c => c.IsPublic).GetParameters().Select(p => p.Name!.ToLowerInvariant())
                .Append("conventions").Append("devices").Append("routes").Append("cables").Append("standby").Append("controller"),
            specification.Select(p => p.Key.ToLowerInvariant()));
    }

    [Fact]
    public void The_drive_list_has_a_row_for_each_drive_and_guards_formulae()
    {
        var plant = DemoPlant.Read(Data);
        var evil = plant with { Lineups = [plant.Lineups[0] with { DrivePoints =
            [plant.Lineups[0].DrivePoints[0] with { Name = "=HYPERLINK(1)" }, .. plant.Lineups[0].DrivePoints.Skip(1)] }] };
        var assessment = new Assessor(Data).Run(evil);
        var lines = Encoding.UTF8.GetString(DriveList.Csv(evil, assessment, Data)).Trim().Split("\r\n");
        Assert.Equal(1 + evil.AllDrivePoints().Count(), lines.Length);
        Assert.Contains("Shaft power kW", lines[0], StringComparison.Ordinal);
        Assert.Contains("'=HYPERLINK(1)", lines[1], StringComparison.Ordinal);
        Assert.Contains(",142.3952,", lines[1], StringComparison.Ordinal);
        var workbook = DriveList.Xlsx(evil, assessment, Data);
        Assert.Equal("PK"u8.ToArray(), workbook[..2]);
    }

    [Theory]
    [InlineData("=1+1", "'=1+1")]
    [InlineData(" =1+1", "' =1+1")]
    [InlineData("@SUM(A1)", "'@SUM(A1)")]
    [InlineData("-5", "-5")]
    [InlineData("-2.5e3", "-2.5e3")]
    [InlineData("-5+cmd", "'-5+cmd")]
    [InlineData("\tx", "'\tx")]
    [InlineData("＝1", "'＝1")]
    [InlineData("P-1", "P-1")]
    [InlineData("", "")]
    public void Text_that_would_be_a_formula_is_guarded_and_a_number_is_not(string text, string written) =>
        Assert.Equal(written, DriveList.Guarded(text));

    [Fact]
    public void Names_of_own_items_are_guarded_too()
    {
        bool Uses(PlantSpecification p) =>
            p.AllDrivePoints().Any(d => d.Motor is MotorChoice.FromCatalogue m && p.Motors.Any(o => o.Id == m.ItemId))
            && p.AllDrivePoints().Any(d => d.Converter is ConverterChoice.FromCatalogue c && p.Converters.Any(o => o.Id == c.ItemId));
        var plant = Enumerable.Range(1, 500).Select(seed => RandomPlant.Of(seed, Data)).First(Uses);
        var own = plant with
        {
            Motors = [.. plant.Motors.Select(m => m with { Name = "=cmd|'/c calc'!A1" })],
            Converters = [.. plant.Converters.Select(c => c with { Name = "@SUM(A1)" })],
        };
        var csv = Encoding.UTF8.GetString(DriveList.Csv(own, new Assessor(Data).Run(own), Data));
        Assert.Contains("'=cmd", csv, StringComparison.Ordinal);
        Assert.Contains("'@SUM", csv, StringComparison.Ordinal);
        Assert.DoesNotContain(",=", csv, StringComparison.Ordinal);
        Assert.DoesNotContain(",@", csv, StringComparison.Ordinal);
        Assert.DoesNotContain("\"=", csv, StringComparison.Ordinal);
    }

    [Fact]
    public void A_refusal_of_very_many_or_very_long_things_stays_short()
    {
        var refusal = new InputException([.. Enumerable.Range(0, 5_000)
            .Select(i => InputProblem.Of($"/x/{i}", "Name", new string('é', 100_000), "1 to 80 characters"))]);
        Assert.Equal(51, refusal.Problems.Count);
        Assert.Equal("And 4950 more.", refusal.Problems[^1].Message);
        Assert.InRange(refusal.Message.Length, 1_000, 60_000);
        Assert.EndsWith("…", new InputException(InputProblem.Of("/x", "Name", string.Concat(Enumerable.Repeat("😀", 500)),
            "short")).Problems[0].Value, StringComparison.Ordinal);
    }

    [Fact]
    public void The_sheet_holds_every_drive_point_and_becomes_a_pdf()
    {
        var plant = DemoPlant.Read(Data);
        var sheet = LineupSheet.Of(plant, plant.Lineups[0], new Assessor(Data), new DateOnly(2026, 11, 24));
        Assert.Equal(["DP-01", "DP-02", "DP-03", "DP-04", "DP-05", "DP-07", "DP-06"], sheet.DrivePoints.Select(p => p.Tag));
        Assert.Contains(sheet.DrivePoints[2].Lines, l => l.Value.Contains("Spare unit", StringComparison.Ordinal));

        // The ball mill's starter: 450 % of the motor's 342 A on a starter of 470 A.
        var limit = sheet.DrivePoints[3].Lines.Single(l => l.Name == "Current limit").Value;
        Assert.Contains("450 % of the motor's current", limit, StringComparison.Ordinal);
        Assert.Contains("327 % of the starter's 470 A", limit, StringComparison.Ordinal);
        Assert.Contains("chopper and resistor, 40 Ω", sheet.DrivePoints[4].Lines.Single(l => l.Name == "Brakes").Value,
            StringComparison.Ordinal);
        Assert.StartsWith("50 kVA, 400 V, tap 470 V", sheet.DrivePoints[6].Lines.Single(l => l.Name == "Step-up transformer").Value,
            StringComparison.Ordinal);
        Assert.Equal("sine filter, step-up transformer", sheet.DrivePoints[6].Lines.Single(l => l.Name == "Output filter").Value);
        Assert.Contains("160 Nm", sheet.DrivePoints[5].Lines.Single(l => l.Name == "Holding brake").Value, StringComparison.Ordinal);
        Assert.Contains("hoist drum", sheet.DrivePoints[5].Lines.Single(l => l.Name == "Works with").Value, StringComparison.Ordinal);

        // Process data and hours as entered, in the units of the sheet.
        Assert.Contains("rated flow 41 m³/s", sheet.DrivePoints[0].Lines.Single(l => l.Name == "Process data").Value,
            StringComparison.Ordinal);
        Assert.Contains("static share 22 %", sheet.DrivePoints[0].Lines.Single(l => l.Name == "Process data").Value,
            StringComparison.Ordinal);
        Assert.EndsWith("6900 h a year", sheet.DrivePoints[0].Lines.Single(l => l.Name == "Duty").Value, StringComparison.Ordinal);
        Assert.Contains("rated flow 96 m³/h", sheet.DrivePoints[2].Lines.Single(l => l.Name == "Process data").Value,
            StringComparison.Ordinal);
        Assert.All(
            plant.Lineups.SelectMany(l => LineupSheet.Of(plant, l, new Assessor(Data), new DateOnly(2026, 11, 24)).DrivePoints),
            p => Assert.Contains(p.Lines, l => l.Name == "Duty"));
        Assert.Contains("drum diameter 500 mm", sheet.DrivePoints[4].Lines.Single(l => l.Name == "Process data").Value,
            StringComparison.Ordinal);
        var pdf = SheetPdf.Write(sheet);
        Assert.Equal("%PDF"u8.ToArray(), pdf[..4]);
        Assert.InRange(pdf.Length, 10_000, 1_000_000);
    }

    private static InputException Refused(JsonNode root) =>
        Assert.Throws<InputException>(() => ProjectFile.Read(Encoding.UTF8.GetBytes(root.ToJsonString()), Data));

    private static JsonNode Set(string pointer, JsonNode? value)
    {
        var root = JsonNode.Parse(DemoPlant.File())!;
        var node = root;
        var parts = pointer.Split('/', StringSplitOptions.RemoveEmptyEntries);
        foreach (var part in parts[..^1])
        {
            node = int.TryParse(part, out var index) ? node![index] : node![part];
        }

        node![parts[^1]] = value;
        return root;
    }
}
