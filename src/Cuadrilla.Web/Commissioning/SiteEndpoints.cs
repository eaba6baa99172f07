using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Instruments;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Commissioning;

/// <summary>The guided log: steps of a drive point, entries, sign-off.</summary>
internal static class SiteEndpoints
{
    private const string Spreadsheet = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
    private const int MostEntries = 500;
    private const int UsualEntries = 100;
    private const int LongestWords = 100;

    public static void MapSite(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/commissioning").WithTags("Commissioning");
        group.MapGet("/", (string id, ProjectStore projects, ProjectReader reader, SiteRecords records) =>
                projects.Find(id) is { } head ? Results.Ok(records.Progress(head, reader.Of(head))) : ProjectEndpoints.Unknown())
            .WithName("getSiteProgress").Produces<IReadOnlyList<SiteProgressDocument>>();
        group.MapGet("/points/{point}", (string id, string point, ProjectStore projects, ProjectReader reader, SiteRecords records) =>
                OnPoint(id, point, projects, reader, (head, plant, p) => Results.Ok(records.Point(head, plant, p))))
            .WithName("getSitePoint").Produces<SitePointDocument>();
        group.MapGet("/points/{point}/record.pdf",
            (string id, string point, ProjectStore projects, ProjectReader reader, SiteRecords records, TimeProvider clock) =>
                OnPoint(id, point, projects, reader, (head, plant, p) => Results.File(
                    records.Record(head, plant, p).Pdf(DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime)), "application/pdf",
                    $"{p.Id}-record.pdf")))
            .WithName("exportSiteRecordPdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
        group.MapGet("/points/{point}/record.xlsx",
            (string id, string point, ProjectStore projects, ProjectReader reader, SiteRecords records) =>
                OnPoint(id, point, projects, reader,
                    (head, plant, p) => Results.File(records.Record(head, plant, p).Xlsx(), Spreadsheet, $"{p.Id}-record.xlsx")))
            .WithName("exportSiteRecordXlsx").Produces<Stream>(StatusCodes.Status200OK, Spreadsheet);
        group.MapGet("/log", Log).WithName("getSiteLog").Produces<IReadOnlyList<EntryDocument>>();
        group.MapPost("/entries", MakeAsync).WithName("makeSiteEntry").For(AccountRole.Engineer)
            .Accepts<MakeEntryRequest>("application/json")
            .Produces<SitePointDocument>();
    }

    internal static IResult OnPoint(string id, string point, ProjectStore projects, ProjectReader reader,
        Func<ProjectHead, PlantSpecification, DrivePoint, IResult> answer)
    {
        if (projects.Find(id) is not { } head)
        {
            return ProjectEndpoints.Unknown();
        }

        var plant = reader.Of(head);
        return plant.AllDrivePoints().FirstOrDefault(p => p.Id == point) is { } found
            ? answer(head, plant, found)
            : Problems.NotFound("There is no such drive point.");
    }

    private static IResult Log(string id, ProjectStore projects, SiteLogStore store, string? point, string? step, string? verdict,
        string? words,
        long? before, int? most)
    {
        if (most is < 1 or > MostEntries)
        {
            throw new InputException(InputProblem.Of("/most", "Most", $"{most}", $"1 to {MostEntries}"));
        }

        if (words?.Length > LongestWords)
        {
            throw new InputException(InputProblem.Of("/words", "Words", $"{words.Length} characters long",
                $"up to {LongestWords} characters"));
        }

        return projects.Find(id) is null ? ProjectEndpoints.Unknown()
            : Results.Ok(store.Find(id, new SiteEntryFilter(point, step, verdict, words is { Length: > 0 } ? words : null, before,
                most ?? UsualEntries))
                .Select(EntryDocument.Of));
    }

    private static async Task<IResult> MakeAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        SiteLogStore store,
        SiteRecords records, Assessor assessor, TakenReadings taken)
    {
        var told = await RequestBody.ReadAsync<MakeEntryRequest>(request);
        var (wanted, isSimulated) = taken.Filled(id, told);
        var author = request.Author(wanted.Who);
        return OnPoint(id, wanted.PointId, projects, reader, (head, plant, point) =>
        {
            var source = assessor.SiteOf(plant, point);
            var states = SiteRecords.States(source, store.OfPoint(id, point.Id));
            var entry = SiteEntryMaking.Of(wanted, author, head.Edit, source, states, isSimulated);
            return store.Add(id, [entry]) is not null
                ? Results.Ok(records.Point(head, plant, point))
                : head.State != ProjectStates.Open
                    ? Problems.Of("closed", "Refused", StatusCodes.Status403Forbidden,
                        "The plant is archived or in the bin; open it again first.", [])
                : throw new InputException(InputProblem.Of("/corrects", "Corrected entry", $"{wanted.Corrects}",
                    "an entry of this step and drive point"));
        });
    }
}
