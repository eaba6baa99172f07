using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Studies;

namespace Cuadrilla.Web.Lists;

/// <summary>A drive list to be judged or taken.</summary>
/// <param name="Heads">Heads of its columns.</param>
/// <param name="Rows">Cells of each row; at most 1000 rows.</param>
internal record ListRequest(IReadOnlyList<string> Heads, IReadOnlyList<IReadOnlyList<string>> Rows)
{
    /// <summary>Position of each column by its key; null: by the heads.</summary>
    public IReadOnlyDictionary<string, int>? Columns { get; init; }
}

/// <summary>A drive list to be taken.</summary>
/// <param name="BasedOn">The edit it was judged on.</param>
/// <param name="Who">Who takes it, 1 to 60 characters.</param>
/// <param name="Sized">True to put the best motor and converter where the list names none.</param>
/// <param name="Heads">Heads of its columns.</param>
/// <param name="Rows">Cells of each row.</param>
internal sealed record TakeListRequest(long BasedOn, string Who, bool Sized, IReadOnlyList<string> Heads,
    IReadOnlyList<IReadOnlyList<string>> Rows) : ListRequest(Heads, Rows);

/// <summary>A column that a list may have.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Name">What it is.</param>
/// <param name="Unit">Unit taken where neither head nor cell names one.</param>
internal sealed record ListColumnDocument(string Key, string Name, string Unit);

/// <summary>A list as it was judged.</summary>
/// <param name="Known">Columns that a list may have.</param>
/// <param name="Columns">Position of each that this one has.</param>
/// <param name="Rows">Its rows.</param>
internal sealed record JudgedListDocument(IReadOnlyList<ListColumnDocument> Known, IReadOnlyDictionary<string, int> Columns,
    IReadOnlyList<JudgedRow> Rows);

/// <summary>Import of drive lists: judged row by row, then the good rows taken as one edit.</summary>
internal static class DriveListEndpoints
{
    public static void MapDriveLists(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/drive-list").WithTags("Drive list").AddEndpointFilter(EventEndpoints.Tell)
            .AddEndpointFilter(StudyEndpoints.BeforeStudies);
        group.MapPost("/judge", JudgeAsync).WithName("judgeDriveList").For(AccountRole.Reader).Accepts<ListRequest>("application/json")
            .Produces<JudgedListDocument>();
        group.MapPost("/", TakeAsync).WithName("takeDriveList").For(AccountRole.Engineer).Accepts<TakeListRequest>("application/json")
            .Produces<CommandDocument>().Produces<StaleDocument>(409, Problems.ContentType);
    }

    private static async Task<IResult> JudgeAsync(string id, HttpRequest request, ProjectReader reader)
    {
        var list = await RequestBody.ReadAsync<ListRequest>(request);
        if (reader.Specification(id) is not { } plant)
        {
            return ProjectEndpoints.Unknown();
        }

        var columns = Columns(list);
        return Results.Ok(new JudgedListDocument(
            [.. ListColumn.AsWritten.Select(c => new ListColumnDocument(c.Key, c.Name, Unit(c, plant.Conventions.Units)))],
            columns,
            [.. DriveListImport.Judge(plant, reader.Data, list.Heads, list.Rows, columns).Select(r => r.Judged)]));
    }

    private static async Task<IResult> TakeAsync(string id, HttpRequest request, ProjectStore store, ProjectReader reader,
        Assessor assessor)
    {
        var list = await RequestBody.ReadAsync<TakeListRequest>(request);
        var columns = Columns(list);
        if (reader.Specification(id) is not { } plant)
        {
            return ProjectEndpoints.Unknown();
        }

        // What says nothing new needs no taking.
        var rows = DriveListImport.Judge(plant, reader.Data, list.Heads, list.Rows, columns)
            .Where(r => r.Judged.Outcome is RowOutcome.New or RowOutcome.Changes).Select(r => r.Row!).ToList();
        if (rows.Count == 0)
        {
            throw new InputException(InputProblem.Of("/rows", "Rows", "none that says anything new", "at least one good row"));
        }

        return ProjectEndpoints.Command(id,
            new CommandRequest(list.BasedOn, request.Author(list.Who), [new TakeDriveList(rows, list.Sized)]), store, reader, assessor);
    }

    private static IReadOnlyDictionary<string, int> Columns(ListRequest list)
    {
        if (list.Rows.Count is 0 or > TakeDriveList.Most)
        {
            throw new InputException(InputProblem.Of("/rows", "Rows", $"{list.Rows.Count}", $"1 to {TakeDriveList.Most}"));
        }

        var columns = list.Columns ?? ListColumn.Guess(list.Heads);
        foreach (var (key, at) in columns)
        {
            if (at < 0 || at >= list.Heads.Count || ListColumn.All.All(c => c.Key != key))
            {
                throw new InputException(InputProblem.Of($"/columns/{key}", "Column", $"{at}",
                    $"one of {string.Join(", ", ListColumn.All.Select(c => c.Key))}, at 0 to {list.Heads.Count - 1}"));
            }
        }

        return columns;
    }

    private static string Unit(ListColumn column, UnitSystem system) =>
        column.Kept is null
            ? string.Empty
            : system == UnitSystem.UsCustomary && column.Us.Length > 0 ? column.Us : column.Quantity.UnitIn(system);
}
