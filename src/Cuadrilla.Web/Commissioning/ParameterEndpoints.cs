using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Commissioning.Log;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Commissioning;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Commissioning;

/// <summary>Parameter sheets: out, own numbers of products, values as left back in.</summary>
internal static class ParameterEndpoints
{
    private const string Spreadsheet = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
    private const int MostRows = 1000;
    private const int LongestValue = 60;
    private const int LongestOwn = 40;
    private const int LongestUnit = 20;
    private const double LargestFactor = 1e9;

    public static void MapParameters(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/parameters").WithTags("Parameters");
        group.MapGet("/", (string id, ProjectReader reader, ParameterSheets sheets) =>
                reader.Specification(id) is { } plant ? Results.Ok(sheets.Overview(plant)) : ProjectEndpoints.Unknown())
            .WithName("getParameterOverview").Produces<IReadOnlyList<ParameterOverview>>();
        group.MapGet("/{point}", (string id, string point, ProjectStore projects, ProjectReader reader, ParameterSheets sheets) =>
                SiteEndpoints.OnPoint(id, point, projects, reader, (head, plant, p) => Results.Ok(sheets.Of(head, plant, p))))
            .WithName("getParameters").Produces<ParameterSheetDocument>();
        group.MapGet("/{point}.csv", (string id, string point, ProjectStore projects, ProjectReader reader, ParameterSheets sheets) =>
                SiteEndpoints.OnPoint(id, point, projects, reader, (head, plant, p) =>
                    Results.File(TableFiles.Csv(sheets.Table(head, plant, p)), "text/csv", $"{p.Id}-parameters-{head.Edit}.csv")))
            .WithName("exportParametersCsv").Produces<Stream>(StatusCodes.Status200OK, "text/csv");
        group.MapGet("/{point}.xlsx", (string id, string point, ProjectStore projects, ProjectReader reader, ParameterSheets sheets) =>
                SiteEndpoints.OnPoint(id, point, projects, reader, (head, plant, p) => Results.File(
                    TableFiles.Xlsx(new Dictionary<string, IReadOnlyList<IReadOnlyDictionary<string,
                        object?>>> { ["Parameters"] = sheets.Table(head, plant, p) }),
                    Spreadsheet, $"{p.Id}-parameters-{head.Edit}.xlsx")))
            .WithName("exportParametersXlsx").Produces<Stream>(StatusCodes.Status200OK, Spreadsheet);
        group.MapGet("/{point}.pdf", (string id, string point, ProjectStore projects, ProjectReader reader, ParameterSheets sheets,
                TimeProvider clock) => SiteEndpoints.OnPoint(id, point, projects, reader, (head, plant, p) => Results.File(
                    ParameterTable.Pdf(plant.Name, $"{p.Tag}  {p.Name}", sheets.Of(head, plant, p).Product, sheets.Table(head, plant, p),
                        head.Edit, DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime)),
                    "application/pdf", $"{p.Id}-parameters-{head.Edit}.pdf")))
            .WithName("exportParametersPdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
        group.MapPost("/{point}/issue", IssueAsync).WithName("issueParameters").For(AccountRole.Engineer)
            .Accepts<IssueRequest>("application/json")
            .Produces<ParameterSheetDocument>();
        group.MapPost("/{point}/left", LeftAsync).WithName("leaveParameters").For(AccountRole.Engineer)
            .Accepts<LeftRequest>("application/json")
            .Produces<LeftDocument>();
        app.MapPost("/api/parameter-numbers", KeepAsync).WithTags("Parameters").WithName("keepParameterNumbers").For(AccountRole.Engineer)
            .Accepts<KeepNumbersRequest>("application/json").Produces<IReadOnlyList<OwnParameter>>();
    }

    private static async Task<IResult> IssueAsync(string id, string point, HttpRequest request, ProjectStore projects, ProjectReader reader,
        ParameterStore store, ParameterSheets sheets)
    {
        var author = request.Author((await RequestBody.ReadAsync<IssueRequest>(request)).Who);
        return SiteEndpoints.OnPoint(id, point, projects, reader, (head, plant, p) =>
        {
            store.Issue(id, p.Id, head.Edit, author);
            return Results.Ok(sheets.Of(head, plant, p));
        });
    }

    private static async Task<IResult> KeepAsync(HttpRequest request, ParameterStore store)
    {
        var wanted = await RequestBody.ReadAsync<KeepNumbersRequest>(request);
        var author = request.Author(wanted.Who);
        Persons.RequireWords("/product", "Product", wanted.Product, LongestValue);
        for (var i = 0; i < wanted.Numbers.Count; i++)
        {
            var own = wanted.Numbers[i];
            Persons.RequireWords($"/numbers/{i}/parameter", "Parameter", own.Parameter, LongestValue);
            if (own.OwnNumber.Length > 0)
            {
                Persons.RequireWords($"/numbers/{i}/ownNumber", "Own number", own.OwnNumber, LongestOwn);
            }

            if (own.OwnUnit.Length > 0)
            {
                Persons.RequireWords($"/numbers/{i}/ownUnit", "Own unit", own.OwnUnit, LongestUnit);
            }

            if (!(Math.Abs(own.Factor) is > 0 and <= LargestFactor))
            {
                throw new InputException(InputProblem.Of($"/numbers/{i}/factor", "Factor", $"{own.Factor}", "other than 0, −1e9 to 1e9"));
            }
        }

        store.Keep(wanted.Product, wanted.Numbers, author);
        return Results.Ok(store.Of(wanted.Product));
    }

    private static async Task<IResult> LeftAsync(string id, string point, HttpRequest request, ProjectStore projects, ProjectReader reader,
        SiteLogStore log, ParameterSheets sheets, Assessor assessor)
    {
        var wanted = await RequestBody.ReadAsync<LeftRequest>(request);
        var author = request.Author(wanted.Who);
        if (wanted.Rows.Count is 0 or > MostRows)
        {
            throw new InputException(InputProblem.Of("/rows", "Rows", $"{wanted.Rows.Count}", $"1 to {MostRows}"));
        }

        var (keyAt, leftAt) = (Column(wanted, ParameterTable.Key), Column(wanted, ParameterTable.AsLeft));
        return SiteEndpoints.OnPoint(id, point, projects, reader, (head, plant, p) =>
        {
            var source = assessor.SiteOf(plant, p);
            var known = source.Sheet.Rows.Select(r => r.Id).ToHashSet(StringComparer.Ordinal);
            var basis = SiteJson.Write(SiteBasis.Of(source));
            List<StoredSiteEntry> entries = [];
            List<RefusedRow> refused = [];
            foreach (var (cells, number) in wanted.Rows.Select((r, i) => (r, i + 1)))
            {
                var (key, value) = (Cell(cells, keyAt), Cell(cells, leftAt));
                if (value.Length == 0)
                {
                    continue;
                }

                var why = !known.Contains(key) ? $"'{Short(key)}' is no parameter of this sheet"
                    : value.Length > LongestValue ? $"the value has {value.Length} characters; up to {LongestValue}"
                    : PlainWords.FirstStrange(value) is { } strange ? $"{strange} in the value" : null;
                if (why is not null)
                {
                    refused.Add(new(number, why));
                    continue;
                }

                entries.Add(new StoredSiteEntry
                {
                    Who = author, PointId = p.Id, StepId = ParameterSheets.LeftPrefix + key, Verdict = nameof(Verdict.Holds),
                    Result = $"{source.Sheet.Rows.First(r => r.Id == key).Name} left at {value}",
                    Reading = SiteJson.Write(new SiteReading(new Dictionary<string, double>(), [], null)), Basis = basis, Note = value,
                    Edit = head.Edit,
                });
            }

            return entries.Count > 0 && log.Add(id, entries) is null
                ? Problems.Of("closed", "Refused", StatusCodes.Status403Forbidden,
                    "The plant is archived or in the bin; open it again first.", [])
                : Results.Ok(new LeftDocument(entries.Count, refused, sheets.Of(head, plant, p)));
        });
    }

    private static int Column(LeftRequest wanted, string head) =>
        wanted.Heads.ToList().FindIndex(h => string.Equals(h.Trim(), head, StringComparison.OrdinalIgnoreCase)) is >= 0 and var at
            ? at
            : throw new InputException(InputProblem.Of("/heads", "Heads", $"without '{head}'",
                $"{ParameterTable.Key} and {ParameterTable.AsLeft}"));

    private static string Cell(IReadOnlyList<string> cells, int at) => at < cells.Count ? cells[at].Trim() : string.Empty;

    private static string Short(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
