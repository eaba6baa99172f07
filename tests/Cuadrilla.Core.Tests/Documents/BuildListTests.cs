using System.Globalization;
using System.Text;
using System.Xml.Linq;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Sheets;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Lists for panel builder, programmer and buyer, and the drawings beside them.</summary>
public sealed class BuildListTests
{
    private static readonly Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);
    private static readonly PlantSpecification Water = DemoPlant.Read(Data, "tarn-hollow");

    [Fact]
    public void The_signal_list_has_every_signal_once_with_its_values()
    {
        var rows = BuildLists.Rows(BuildList.Signals, Water, Assessor);
        Assert.Equal(Water.AllDrivePoints().Sum(p => p.Signals!.Wanted.Count), rows.Count);
        var reference = rows.Single(r => (string?)r["Drive point"] == "RW-2" && (string?)r["Signal"] == "speed reference");
        Assert.Equal([0.0, 30, 60], new[] { "At 0 %", "At 50 %", "At 100 %" }.Select(h => (double)reference[h]!));
        Assert.Equal("told", reference["Wire break"]);
        Assert.StartsWith("AO-", (string?)reference["Channel"], StringComparison.Ordinal);
    }

    // What goes to a channel comes from its terminal, and the other way round.
    [Fact]
    public void Both_ends_of_the_terminal_plan_agree()
    {
        var rows = BuildLists.Rows(BuildList.Terminals, Water, Assessor);
        var fromUnits = rows.Where(r => ((string?)r["Goes to"])?.Contains('.', StringComparison.Ordinal) == true
            && (string?)r["Lineup"] != string.Empty)
            .Select(r => $"{r["At"]} {r["Terminal"]} {r["Goes to"]}").Order(StringComparer.Ordinal).ToList();
        var fromCards = rows.Where(r => (string?)r["Lineup"] == string.Empty && (string?)r["Signal"] != "spare")
            .Select(r => $"{r["Goes to"]} {((string)r["At"]!).Split(", ")[1]}.{r["Terminal"]}").Order(StringComparer.Ordinal).ToList();
        Assert.NotEmpty(fromUnits);
        Assert.Equal(fromUnits, fromCards);
        Assert.Contains(rows, r => (string?)r["Signal"] == "spare");
    }

    [Fact]
    public void The_parts_list_counts_what_is_specified()
    {
        var rows = BuildLists.Rows(BuildList.Parts, Water, Assessor);
        Assert.Equal(Water.AllDrivePoints().Count(p => p.Converter is Core.Converters.ConverterChoice.FromCatalogue),
            rows.Count(r => (string?)r["Part"] == "converter"));
        Assert.All(rows.Where(r => r["Price index each"] is double), r => Assert.Equal(
            (double)r["Price index each"]! * Convert.ToDouble(r["Number"], CultureInfo.InvariantCulture), (double)r["Price index"]!, 9));
    }

    [Theory]
    [InlineData(BuildList.Signals)]
    [InlineData(BuildList.Terminals)]
    [InlineData(BuildList.Sections)]
    [InlineData(BuildList.Parts)]
    public void Every_list_leaves_as_table_and_on_paper(BuildList list)
    {
        var rows = BuildLists.Rows(list, Water, Assessor);
        var csv = Encoding.UTF8.GetString(TableFiles.Csv(rows));
        Assert.Equal(rows.Count + 1, csv.TrimEnd().Split('\n').Length);
        Assert.StartsWith("%PDF", Encoding.ASCII.GetString(BuildListPdf.Write(list, Water, Assessor, ["today"]), 0, 4),
            StringComparison.Ordinal);
        Assert.Single(BuildLists.Rows(list, Water with { Lineups = [], Controller = null }, Assessor));
    }

    // As many boxes as terminals with signals; links as the motor is connected.
    [Fact]
    public void The_wiring_picture_shows_terminals_far_ends_and_links()
    {
        var point = Water.AllDrivePoints().First(p => p.Id == "rw-2");
        var drawing = WiringSource.Of(Water, point, Assessor);
        var study = Assessor.Signals(Water).Of("rw-2")!;
        foreach (var signal in study.Signals)
        {
            Assert.Contains(drawing.Labels, l => l.Text == signal.Terminal!.Name);
            Assert.Contains(drawing.Labels, l => l.Text == signal.Facts.Name);
        }

        Assert.Contains(drawing.Labels, l => l.Text.StartsWith("links:", StringComparison.Ordinal));
        Assert.Equal(7, drawing.Circles.Count);
        var svg = XDocument.Parse(SvgDrawing.Text(drawing, "wiring"));
        Assert.Equal(drawing.Labels.Count, svg.Descendants().Count(e => e.Name.LocalName == "text"));
        Assert.Equal(drawing.Rectangles.Count, svg.Descendants().Count(e => e.Name.LocalName == "rect"));
    }

    [Fact]
    public void Every_drive_point_of_the_demos_has_a_wiring_picture()
    {
        foreach (var plant in DemoPlant.Keys.Select(k => DemoPlant.Read(Data, k)))
        {
            Assert.All(plant.AllDrivePoints(), p => Assert.True(WiringSource.Of(plant, p, Assessor).Lines.Count > 5, p.Tag));
        }
    }

    // Side section and floor plan have the sizes of the data.
    [Fact]
    public void Cabinets_from_the_side_and_from_above_are_to_scale()
    {
        var study = Assessor.Cabinets(Water, Water.Lineups[1])!;
        var plan = CabinetDrawing.Plan(study);
        Assert.Equal(study.Layout.WidthMm, plan.Rectangles.Where(r => r.Layer == "SECTIONS").Sum(r => r.WidthMm), 9);
        var section = study.Layout.Sections.MaxBy(s => s.Units.Count)!;
        var side = CabinetDrawing.Side(study, section.Number).Rectangles.Where(r => r.Layer == "UNITS").ToList();
        Assert.Equal(section.Units.Select(u => u.Unit.Size.DepthMm), side.Select(r => r.WidthMm));
        Assert.All(side, r => Assert.True(r.LeftMm >= 0 && r.LeftMm + r.WidthMm <= study.DepthMm, $"{r}"));
        Assert.StartsWith("%PDF", Encoding.ASCII.GetString(CabinetSheetPdf.Write(study, Water, Assessor, new DateOnly(2026, 1, 2)), 0, 4),
            StringComparison.Ordinal);
    }
}
