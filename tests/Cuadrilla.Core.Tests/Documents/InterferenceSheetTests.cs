using System.Text.RegularExpressions;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Tests.Assessment;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Sheets;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>The sheet that the fitter takes along, and lengths that follow from trays where they are shown.</summary>
public sealed class InterferenceSheetTests
{
    // Commas between quotes part nothing.
    private static readonly Regex Quoted = new(",(?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)");
    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);
    private static readonly PlantSpecification Demo = DemoChanges.Demo;

    private static InterferenceSheet Of(PlantSpecification plant) =>
        InterferenceSheet.Of(plant, plant.Lineups[0], Assessor, new DateOnly(2026, 11, 29));

    [Fact]
    public void It_says_what_this_plant_asks_and_what_is_not_settled()
    {
        var sheet = Of(Demo);
        Assert.Equal(["Environment", "Earthing", "Separation", "Leakage", "Nearby", "Nearby"], sheet.Lines.Select(l => l.Name));
        Assert.Contains("category C3", sheet.Lines[0].Value, StringComparison.Ordinal);
        Assert.Contains("18 m away", sheet.Lines[4].Value, StringComparison.Ordinal);
        var distances = sheet.Tables[2].Rows;
        Assert.Equal(["noisy", "very sensitive", "300 mm", "150 mm", "150 mm", "300 mm", "0 mm"], distances[0]);
        var dryer = sheet.Cables.Rows.Single(r => r[0] == "W101 dryer pressure");
        Assert.Equal("S4 signals, S2 signals, T4 dryer", dryer[^1]);

        // Every check that does not hold, of this lineup and the plant, and none of another lineup; what is too close stands below.
        bool IsAsked(Check c) => c.Verdict is not (Verdict.Holds or Verdict.NotApplicable) && c.Id != "emc.separation"
            && (c.Id.StartsWith("emc.", StringComparison.Ordinal) || c.Id == "motor.bearings");
        var tags = Demo.AllDrivePoints().ToDictionary(p => p.Id, p => p.Tag);
        var asked = Assessor.Run(Demo).Checks.Where(IsAsked).Where(c => tags.ContainsKey(c.DrivePointId))
            .Select(c => (c.Title, Tag: tags[c.DrivePointId])).ToList();
        var own = Demo.Lineups[0].DrivePoints.Select(p => p.Tag).ToHashSet();
        Assert.Contains(asked, c => !own.Contains(c.Tag));
        var told = sheet.Tables[0].Rows.SelectMany(r => r[3].Split(", ").Select(tag => (Title: r[1], Tag: tag))).ToList();
        Assert.Equal(asked.Where(c => own.Contains(c.Tag)).Order(), told.Where(t => t.Tag != "plant").Order());
        Assert.Equal(2, told.Count(t => t.Tag == "plant"));
        var pdf = InterferenceSheetPdf.Write(sheet);
        Assert.Equal("%PDF"u8.ToArray(), pdf[..4]);
    }

    [Fact]
    public void It_speaks_the_units_of_the_project()
    {
        var sheet = Of(Demo with { Conventions = Demo.Conventions with { Units = UnitSystem.UsCustomary } });
        Assert.Contains("59.1 ft away", sheet.Lines[4].Value, StringComparison.Ordinal);
        Assert.Equal("11.8 in", sheet.Tables[2].Rows[0][2]);
        Assert.DoesNotContain(sheet.Tables.Append(sheet.Cables).SelectMany(t => t.Rows).SelectMany(r => r),
            cell => cell.EndsWith(" mm", StringComparison.Ordinal) || cell.EndsWith(" m", StringComparison.Ordinal));
    }

    [Fact]
    public void A_length_that_follows_from_trays_stands_in_the_summary_and_the_list()
    {
        var plant = DemoChanges.Changed("dp-02", p => p with { Cable = p.Cable with { LengthM = Given.Unknown } });
        var assessment = Assessor.Run(plant);
        var way = Assessor.Routes(plant)!.Of("dp-02", Core.Studies.CableRoutes.RouteRole.Motor)!.LengthM!.Value;
        Assert.Equal(way, assessment.DrivePoints.Single(p => p.DrivePointId == "dp-02").CableM!.Value, 9);
        var lines = System.Text.Encoding.UTF8.GetString(DriveList.Csv(plant, assessment, ReferenceCatalogue.Data)).Split('\n');
        var heads = lines[0].TrimStart('\uFEFF').Split(',').Select(h => h.Trim('"', '\r')).ToList();
        string Cell(string tag, string head) =>
            Quoted.Split(lines.Single(l => l.Contains($"{tag},", StringComparison.Ordinal)))[heads.IndexOf(head)];
        Assert.Equal((string.Empty, Text.N(way)),
            (Cell("DP-02", "Motor cable m"),
                Text.N(double.Parse(Cell("DP-02", "By trays m"), System.Globalization.CultureInfo.InvariantCulture))));
        Assert.Equal(string.Empty, Cell("DP-01", "By trays m"));
    }
}
