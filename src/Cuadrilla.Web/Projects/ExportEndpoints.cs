using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Core.Studies.Interference;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Documents.Schedules;
using Cuadrilla.Documents.Sheets;
using Cuadrilla.Web.Commissioning;
using Cuadrilla.Web.Http;

namespace Cuadrilla.Web.Projects;

/// <summary>What leaves the program: project file, drive list, specification sheet.</summary>
internal static class ExportEndpoints
{
    private const string Spreadsheet = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    public static void MapExports(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Exports");
        group.MapGet("/file", (string id, ProjectReader reader, SiteLogStore log) => OnPlant(id, reader, plant => Results.File(
                ProjectFile.Write(plant, reader.Data, SiteLogFile.Logged(log.All(id))), "application/json",
                FileName(plant.Name) + ProjectFile.Extension)))
            .WithName("exportProject").Produces<Stream>(StatusCodes.Status200OK, "application/json");
        group.MapGet("/drive-list.csv", (string id, ProjectReader reader, Assessor assessor) => OnPlant(id, reader, plant => Results.File(
                DriveList.Csv(plant, assessor.Run(plant), reader.Data), "text/csv", FileName(plant.Name) + "-drives.csv")))
            .WithName("exportDriveListCsv").Produces<Stream>(StatusCodes.Status200OK, "text/csv");
        group.MapGet("/drive-list.xlsx", (string id, ProjectReader reader, Assessor assessor) => OnPlant(id, reader, plant => Results.File(
                DriveList.Xlsx(plant, assessor.Run(plant), reader.Data), Spreadsheet, FileName(plant.Name) + "-drives.xlsx")))
            .WithName("exportDriveListXlsx").Produces<Stream>(StatusCodes.Status200OK, Spreadsheet);
        group.MapGet("/cable-schedule.csv",
            (string id, ProjectReader reader, Assessor assessor) => OnPlant(id, reader, plant => Results.File(
                Schedules.CablesCsv(plant, assessor.Protection(plant)), "text/csv", FileName(plant.Name) + "-cables.csv")))
            .WithName("exportCableScheduleCsv").Produces<Stream>(StatusCodes.Status200OK, "text/csv");
        group.MapGet("/device-schedule.csv",
            (string id, ProjectReader reader, Assessor assessor) => OnPlant(id, reader, plant => Results.File(
                Schedules.DevicesCsv(assessor.Protection(plant)), "text/csv", FileName(plant.Name) + "-devices.csv")))
            .WithName("exportDeviceScheduleCsv").Produces<Stream>(StatusCodes.Status200OK, "text/csv");
        group.MapGet("/schedules.xlsx", (string id, ProjectReader reader, Assessor assessor) => OnPlant(id, reader, plant => Results.File(
                Schedules.Xlsx(plant, assessor.Protection(plant)), Spreadsheet, FileName(plant.Name) + "-schedules.xlsx")))
            .WithName("exportSchedulesXlsx").Produces<Stream>(StatusCodes.Status200OK, Spreadsheet);
        group.MapGet("/interference", (string id, ProjectReader reader, Assessor assessor) =>
            OnPlant(id, reader, plant => Results.Ok(assessor.Earth(plant))))
            .WithName("getInterference").Produces<InterferencePlan>();
        group.MapGet("/protection", (string id, ProjectReader reader, Assessor assessor) =>
            OnPlant(id, reader, plant => Results.Ok(assessor.Protection(plant))))
            .WithName("getProtection").Produces<ProtectionPlan>();
        group.MapGet("/lineups/{lineup}/sheet",
            (string id, string lineup, ProjectStore store, ProjectReader reader, Assessor assessor, TimeProvider clock) =>
                OnPlant(id, reader, plant => Sheet(plant, Revision(store, id), lineup, assessor, clock, sheet => Results.Ok(sheet))))
            .WithName("getSheet").Produces<LineupSheet>();
        group.MapGet("/lineups/{lineup}/sheet.pdf",
            (string id, string lineup, ProjectStore store, ProjectReader reader, Assessor assessor, TimeProvider clock) =>
                OnPlant(id, reader, plant => Sheet(plant, Revision(store, id), lineup, assessor, clock, sheet => Results.File(
                    SheetPdf.Write(sheet), "application/pdf", FileName($"{plant.Name} {sheet.Tag}") + ".pdf"))))
            .WithName("getSheetPdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
        group.MapGet("/lineups/{lineup}/interference.pdf",
            (string id, string lineup, ProjectStore store, ProjectReader reader, Assessor assessor, TimeProvider clock) =>
                OnPlant(id, reader, plant => OnLineup(plant, lineup, l => Results.File(
                    InterferenceSheetPdf.Write(InterferenceSheet.Of(plant, l, assessor,
                        Today(clock)) with { Revision = Revision(store, id) }), "application/pdf",
                    FileName($"{plant.Name} {l.Tag} interference") + ".pdf"))))
            .WithName("getInterferencePdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
    }

    private static IResult Sheet(PlantSpecification plant, string revision, string lineupId, Assessor assessor, TimeProvider clock,
        Func<LineupSheet, IResult> answer) =>
        OnLineup(plant, lineupId, lineup => answer(LineupSheet.Of(plant, lineup, assessor, Today(clock)) with { Revision = revision }));

    private static IResult OnLineup(PlantSpecification plant, string lineupId, Func<Lineup, IResult> answer) =>
        plant.Lineups.FirstOrDefault(l => l.Id == lineupId) is { } lineup ? answer(lineup) : Problems.NotFound("There is no such lineup.");

    private static DateOnly Today(TimeProvider clock) => DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime);

    private static string Revision(ProjectStore store, string id) =>
        store.Find(id) is { } head ? $"edit {head.Edit}: {head.Label}" : string.Empty;

    private static IResult OnPlant(string id, ProjectReader reader, Func<PlantSpecification, IResult> answer) =>
        reader.Specification(id) is { } plant ? answer(plant) : ProjectEndpoints.Unknown();

    // A file name that every system takes: letters, digits, dots and dashes.
    private static string FileName(string name)
    {
        var plain = new string([.. name.Select(c => char.IsAsciiLetterOrDigit(c) ? char.ToLowerInvariant(c) : '-')]);
        return string.Join('-', plain.Split('-', StringSplitOptions.RemoveEmptyEntries)) is { Length: > 0 } tidy ? tidy : "plant";
    }
}
