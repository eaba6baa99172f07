using System.Text;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Schedules;
using Cuadrilla.Documents.Sheets;
using Cuadrilla.Documents.Tables;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Schedules that leave the program: every cable and device once, units of the project, no formula in a cell.</summary>
public sealed class ScheduleTests
{
    private static readonly Cuadrilla.Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private static readonly Assessor Assessor = new(Data);

    [Fact]
    public void Each_cable_and_device_has_a_row_and_text_is_guarded()
    {
        var demo = DemoPlant.Read(Data);
        var plant = demo with { Lineups = [demo.Lineups[0] with { DrivePoints = [demo.Lineups[0].DrivePoints[0] with { Tag = "=1+1" },
            .. demo.Lineups[0].DrivePoints.Skip(1)] }, .. demo.Lineups.Skip(1)] };
        var plan = Assessor.Protection(plant);
        var lines = Encoding.UTF8.GetString(Schedules.CablesCsv(plant, plan)).TrimEnd().Split('\n');
        Assert.Equal(plan.Cables.Count + 1, lines.Length);
        Assert.Contains("'=1+1-W1", lines[2], StringComparison.Ordinal);
        Assert.Equal(plan.Devices.Count + 1, Encoding.UTF8.GetString(Schedules.DevicesCsv(plan)).TrimEnd().Split('\n').Length);
        Assert.Equal(plan.Cables.Count, plan.Cables.Select(c => c.Tag).Distinct().Count());

        // A row for each motor cable, one for each feeder of its own, of drive points and of supply modules, one for each plant cable of
        // low voltage.
        var modules = plant.Lineups.SelectMany(l => l.DcBuses).Count(b => b.Feeder is Feeder.ByCable);
        Assert.Equal(plant.AllDrivePoints().Count() + plant.AllDrivePoints().Count(p => p.Feeder is Feeder.ByCable) + modules + 1,
            plan.Cables.Count);
    }

    [Fact]
    public void The_water_works_is_written_in_its_own_units()
    {
        var works = DemoPlant.Read(Data, "tarn-hollow");
        var plan = Assessor.Protection(works);
        using var book = new MemoryStream(Schedules.Xlsx(works, plan));
        var rows = Workbook.Read(book, CancellationToken.None);
        Assert.Contains("Length ft", rows[0]);
        Assert.Contains(rows, r => r.Any(c => c.Contains("kcmil", StringComparison.Ordinal)));
        var sheet = LineupSheet.Of(works, works.Lineups[0], Assessor, new DateOnly(2026, 1, 2));
        Assert.Equal(["Cable schedule", "Device schedule", "Interference: for the fitter", "Cabinets", "Signals"],
            sheet.Schedules.Select(s => s.Title));
        Assert.Equal(2 * works.Lineups[0].DrivePoints.Count, sheet.Schedules[0].Rows.Count);
        Assert.True(SheetPdf.Write(sheet).Length > 20_000);
    }

    [Fact]
    public void The_fitter_reads_what_this_plant_asks_of_him()
    {
        var demo = DemoPlant.Read(Data);
        IReadOnlyList<IReadOnlyList<string>> Rows(string lineup, PlantSpecification plant) =>
            LineupSheet.Of(plant, plant.Lineups.First(l => l.Id == lineup), Assessor,
                new DateOnly(2026, 1, 2)).Schedules.Single(s => s.Title.StartsWith("Interference", StringComparison.Ordinal)).Rows;
        string Where(string lineup, string rule) =>
            string.Join(' ', Rows(lineup, demo).Where(r => r[1].Contains(rule, StringComparison.Ordinal)).Select(r => r[2]));

        Assert.Contains("DP-01", Where("l1", "85 % cover"), StringComparison.Ordinal);
        Assert.DoesNotContain("DP-04", Where("l1", "85 % cover"), StringComparison.Ordinal);
        Assert.Contains("DP-05 motor", Where("l1", "150 mm from DP-05 encoder"), StringComparison.Ordinal);
        Assert.Contains("DP-05 encoder", Where("l1", "meshed bond"), StringComparison.Ordinal);
        Assert.Equal("DP-17", Where("l2", "type A, 30 mA"));
        Assert.Contains("DP-11", Where("l2", "two equal protective conductors"), StringComparison.Ordinal);
        var works = DemoPlant.Read(Data, "tarn-hollow");
        Assert.Contains(Rows(works.Lineups[0].Id, works), r => r[1].StartsWith("open the earth links", StringComparison.Ordinal));
    }
}
