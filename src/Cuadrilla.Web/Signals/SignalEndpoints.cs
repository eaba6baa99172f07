using System.Text;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Sheets;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Signals;

/// <summary>Signals, wiring pictures, and the lists for panel builder, programmer and buyer.</summary>
internal static class SignalEndpoints
{
    private const string Spreadsheet = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    public static void MapSignals(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Signals");
        group.MapGet("/signals", (string id, ProjectReader reader, Assessor assessor) =>
                OnPlant(id, reader, plant => Results.Ok(SignalDocument.Of(assessor.Signals(plant)))))
            .WithName("getSignals").Produces<SignalDocument>();
        group.MapGet("/drive-points/{point}/wiring.svg", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, p) => Results.File(
                    Encoding.UTF8.GetBytes(SvgDrawing.Text(WiringSource.Of(plant, p, assessor), $"Wiring of {p.Tag} {p.Name}")),
                    "image/svg+xml")))
            .WithName("getWiringSvg").Produces<string>(StatusCodes.Status200OK, "image/svg+xml");
        group.MapGet("/drive-points/{point}/wiring.pdf",
            (string id, string point, ProjectReader reader, Assessor assessor, TimeProvider clock) =>
                OnPoint(id, point, reader, (plant, p) =>
                Results.File(DrawingPdf.Write(new DrawingHead("Wiring", $"{p.Tag}  {p.Name}", [plant.Name, Today(clock)]),
                    [("Power and control", WiringSource.Of(plant, p, assessor))], [],
                    ["Isolate, lock, wait for the link to discharge, prove absence of voltage. Makers' "
                        + "instructions and local codes go first."]),
                    "application/pdf", $"{p.Id}-wiring.pdf")))
            .WithName("getWiringPdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
        group.MapGet("/lists/{list}.csv",
            (string id, string list, ProjectReader reader, Assessor assessor) => OnList(id, list, reader, (plant, l) =>
                Results.File(TableFiles.Csv(BuildLists.Rows(l, plant, assessor)), "text/csv", FileName(l) + ".csv")))
            .WithName("exportBuildListCsv").Produces<Stream>(StatusCodes.Status200OK, "text/csv");
        group.MapGet("/lists/{list}.pdf", (string id, string list, ProjectReader reader, Assessor assessor, TimeProvider clock) =>
                OnList(id, list, reader, (plant, l) =>
                    Results.File(BuildListPdf.Write(l, plant, assessor, [Today(clock)]), "application/pdf",
                    FileName(l) + ".pdf")))
            .WithName("exportBuildListPdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
        group.MapGet("/lists.xlsx", (string id, ProjectReader reader, Assessor assessor) => OnPlant(id, reader, plant =>
                Results.File(TableFiles.Xlsx(Enum.GetValues<BuildList>()
                    .ToDictionary(BuildLists.Name, l => BuildLists.Rows(l, plant, assessor))),
                    Spreadsheet, "lists.xlsx")))
            .WithName("exportBuildListsXlsx").Produces<Stream>(StatusCodes.Status200OK, Spreadsheet);
    }

    private static string FileName(BuildList list) => BuildLists.Name(list).Replace(' ', '-').ToLowerInvariant();

    private static string Today(TimeProvider clock) => DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime).ToString("yyyy-MM-dd");

    private static IResult OnPlant(string id, ProjectReader reader, Func<PlantSpecification, IResult> answer) =>
        reader.Specification(id) is { } plant ? answer(plant) : ProjectEndpoints.Unknown();

    private static IResult OnList(string id, string list, ProjectReader reader, Func<PlantSpecification, BuildList, IResult> answer) =>
        OnPlant(id, reader, plant => Enum.GetValues<BuildList>().Cast<BuildList?>()
            .FirstOrDefault(l => string.Equals(l.ToString(), list, StringComparison.OrdinalIgnoreCase)) is { } known
                ? answer(plant, known)
                : Problems.NotFound($"There is no list '{list}'; there are: "
                    + $"{string.Join(", ", Enum.GetNames<BuildList>()).ToLowerInvariant()}."));

    private static IResult OnPoint(string id, string point, ProjectReader reader, Func<PlantSpecification, DrivePoint, IResult> answer) =>
        OnPlant(id, reader, plant => plant.AllDrivePoints().FirstOrDefault(p => p.Id == point) is { } found
            ? answer(plant, found)
            : Problems.NotFound("There is no such drive point."));
}
