using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Commands;
using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Commissioning;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Studies;

namespace Cuadrilla.Web.Projects;

/// <summary>Projects: list, create, import, read, edit, undo, redo.</summary>
internal static class ProjectEndpoints
{
    public static void MapProjects(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects").WithTags("Projects").AddEndpointFilter(EventEndpoints.Tell)
            .AddEndpointFilter(StudyEndpoints.BeforeStudies);
        group.MapGet("/", (ProjectStore store) => store.List()).WithName("listProjects");
        group.MapPost("/", CreateAsync).WithName("createProject").For(AccountRole.Engineer).Accepts<CreateRequest>("application/json")
            .Produces<ProjectDocument>(StatusCodes.Status201Created);
        group.MapPost("/import", ImportAsync).WithName("importProject").For(AccountRole.Engineer).Accepts<ProjectFile>("application/json")
            .Produces<ProjectDocument>(StatusCodes.Status201Created);
        group.MapGet("/{id}", (string id, ProjectStore store, ProjectReader reader) =>
                store.Find(id) is { } head ? Results.Ok(reader.Document(head)) : Unknown())
            .WithName("getProject").Produces<ProjectDocument>();
        group.MapPost("/{id}/edits", EditAsync).WithName("saveEdit").For(AccountRole.Engineer).Accepts<EditRequest>("application/json")
            .Produces<ProjectDocument>().Produces<StaleDocument>(409, Problems.ContentType);
        group.MapPost("/{id}/changes", ChangeAsync).WithName("saveChanges").For(AccountRole.Engineer)
            .Accepts<ChangeRequest>("application/json")
            .Produces<SavedDocument>().Produces<StaleDocument>(409, Problems.ContentType);
        group.MapPost("/{id}/commands", CommandAsync).WithName("runCommands").For(AccountRole.Engineer)
            .Accepts<CommandRequest>("application/json")
            .Produces<CommandDocument>().Produces<StaleDocument>(409, Problems.ContentType);
        group.MapPost("/{id}/commands/possible", PossibleAsync).WithName("askCommands").For(AccountRole.Reader)
            .Accepts<PossibleRequest>("application/json")
            .Produces<IReadOnlyList<string>>();
        group.MapPost("/{id}/undo", (string id, HttpRequest request, ProjectStore store, ProjectReader reader) =>
                StepAsync(request, reader, (basedOn, who) => store.Undo(id, basedOn, who)))
            .WithName("undo").For(AccountRole.Engineer).Accepts<StepRequest>("application/json")
            .Produces<SavedDocument>().Produces<StaleDocument>(409, Problems.ContentType);
        group.MapPost("/{id}/redo", (string id, HttpRequest request, ProjectStore store, ProjectReader reader) =>
                StepAsync(request, reader, (basedOn, who) => store.Redo(id, basedOn, who)))
            .WithName("redo").For(AccountRole.Engineer).Accepts<StepRequest>("application/json")
            .Produces<SavedDocument>().Produces<StaleDocument>(409, Problems.ContentType);
    }

    // On one plant at most so many are between reading and writing at the same time.
    private const int MostTries = 50;

    public static IResult Unknown() => Problems.NotFound("There is no such project.");

    private static async Task<IResult> CreateAsync(HttpRequest request, ProjectReader reader, Assessor assessor)
    {
        var wanted = await RequestBody.ReadAsync<CreateRequest>(request);
        var author = request.Author(wanted.Who);
        var (plant, label) = wanted.Template.Length > 0
            ? Copied(wanted, reader)
            : (Begun(wanted, assessor), "New plant with starting values");
        ProjectFile.Require(plant, reader.Data);
        var document = reader.Create(plant, author, label);
        return Results.Created($"/api/projects/{document.Id}", document);
    }

    private static PlantSpecification Begun(CreateRequest wanted, Assessor assessor)
    {
        var supplies = assessor.Data.UsualSupplies;
        var supply = wanted.Supply.Length == 0 ? supplies[0] : supplies.FirstOrDefault(s => s.Key == wanted.Supply)
            ?? throw new InputException(InputProblem.Of("/supply", "Supply", $"'{wanted.Supply}'",
                string.Join(", ", supplies.Select(s => s.Key))));
        return NewPlant.Named(wanted.Name, supply, assessor);
    }

    private static (PlantSpecification Plant, string Label) Copied(CreateRequest wanted, ProjectReader reader)
    {
        var example = DemoPlant.Keys.FirstOrDefault(k => k == wanted.Template);
        var plant = example is not null ? DemoPlant.Read(reader.Data, example) : reader.Specification(wanted.Template)
            ?? throw new InputException(InputProblem.Of("/template", "Template", $"'{wanted.Template}'",
                $"{string.Join(", ", DemoPlant.Keys)} or the key of a project"));
        return (wanted.Name.Length > 0 ? plant with { Name = wanted.Name } : plant, CommandOutcome.Shortened($"Copy of {plant.Name}"));
    }

    private static async Task<IResult> ImportAsync(HttpRequest request, ProjectReader reader, SiteLogStore log)
    {
        var file = ProjectFile.ReadWhole(await RequestBody.BytesAsync(request), reader.Data);
        var document = reader.Create(file.Specification, request.Author("import"), "Imported from a file");
        if (log.Add(document.Id, SiteLogFile.Stored(file.Log)) is null)
        {
            throw new InvalidOperationException("A log that was found to hold together could not be stored.");
        }

        return Results.Created($"/api/projects/{document.Id}", document);
    }

    private static async Task<IResult> EditAsync(string id, HttpRequest request, ProjectStore store, ProjectReader reader)
    {
        var edit = await RequestBody.ReadAsync<EditRequest>(request);
        Persons.RequireWords("/label", "Label", edit.Label, 120);
        var author = request.Author(edit.Who);
        ProjectFile.Require(edit.Specification, reader.Data, "/specification");
        return Answer(store.Save(id, edit.BasedOn, ProjectReader.Write(edit.Specification), author, edit.Label), reader,
            edit.Specification);
    }

    private static async Task<IResult> ChangeAsync(string id, HttpRequest request, ProjectStore store, ProjectReader reader)
    {
        var wanted = await RequestBody.ReadAsync<ChangeRequest>(request);
        Persons.RequireWords("/label", "Label", wanted.Label, 120);
        var author = request.Author(wanted.Who);
        if (store.Find(id) is not { } head)
        {
            return Unknown();
        }

        for (var tries = 0; ; tries++)
        {
            if (!IsKnown(store, head, wanted.BasedOn, out var before))
            {
                return Unknown();
            }

            var isMerged = before is not null && wanted.Merges && head.State == ProjectStates.Open
                && FieldMerge.IsPossible(ProjectReader.Read(before), reader.Of(head), wanted.Changes);
            if (!isMerged && Refusal(head, before, wanted.BasedOn) is { } refusal)
            {
                return Answer(refusal, reader, null);
            }

            var (specification, text, isJustThat) = SpecificationPatch.Apply(reader.Of(head), reader.TextOf(head), wanted.Changes);
            ProjectFile.Require(specification, reader.Data, "/specification");
            var outcome = store.Save(id, head.Edit, text, author, wanted.Label);
            if (outcome is WriteOutcome.Saved saved)
            {
                return Results.Ok(reader.Saved(saved.Head, specification, text, isJustThat && !isMerged,
                    new ClientHas(wanted.BasedOn, wanted.Knows)));
            }

            // Somebody was first between reading and writing: once more on theirs.
            if (outcome is not WriteOutcome.Stale stale || !wanted.Merges || tries == MostTries)
            {
                return Answer(outcome, reader, null);
            }

            head = stale.Head;
        }
    }

    private static async Task<IResult> CommandAsync(string id, HttpRequest request, ProjectStore store, ProjectReader reader,
        Assessor assessor)
    {
        var wanted = await RequestBody.ReadAsync<CommandRequest>(request);
        return Command(id, wanted with { Who = request.Author(wanted.Who) }, store, reader, assessor);
    }

    /// <summary>Carries out commands and saves what they make, in the name that they state.</summary>
    public static IResult Command(string id, CommandRequest wanted, ProjectStore store, ProjectReader reader, Assessor assessor)
    {
        if (store.Find(id) is not { } head || !IsKnown(store, head, wanted.BasedOn, out var before))
        {
            return Unknown();
        }

        if (Refusal(head, before, wanted.BasedOn) is { } refusal)
        {
            return Answer(refusal, reader, null);
        }

        var done = CommandRun.All(reader.Of(head), wanted.Commands, assessor);
        var text = ProjectReader.Write(done.After);
        var outcome = store.Save(id, wanted.BasedOn, text, wanted.Who, done.Label);
        return outcome is WriteOutcome.Saved saved
            ? Results.Ok(new CommandDocument(done.CreatedIds, done.Notes,
                reader.Saved(saved.Head, done.After, text, false, new ClientHas(wanted.BasedOn, wanted.Knows))))
            : Answer(outcome, reader, null);
    }

    // What is shown with a button that can't be pressed.
    private static async Task<IResult> PossibleAsync(string id, HttpRequest request, ProjectReader reader, Assessor assessor)
    {
        var wanted = await RequestBody.ReadAsync<PossibleRequest>(request);
        return reader.Specification(id) is { } plant ? Results.Ok(CommandRun.Refusals(plant, wanted.Commands, assessor)) : Unknown();
    }

    private static async Task<IResult> StepAsync(HttpRequest request, ProjectReader reader, Func<long, string, WriteOutcome> step)
    {
        var wanted = await RequestBody.ReadAsync<StepRequest>(request);
        return step(wanted.BasedOn, request.Author(wanted.Who)) switch
        {
            WriteOutcome.Saved saved => Results.Ok(reader.Saved(saved.Head, new ClientHas(wanted.BasedOn, wanted.Knows))),
            var refused => Answer(refused, reader, null),
        };
    }

    // What is in force is at hand; what a write was based on is read only where somebody else was there since.
    private static bool IsKnown(ProjectStore store, ProjectHead head, long basedOn, out StoredDocument? before)
    {
        before = head.Edit == basedOn ? null : store.DocumentAt(head.Id, basedOn);
        return head.Edit == basedOn || before is not null;
    }

    // Before anything is computed: what is refused costs nothing.
    private static WriteOutcome? Refusal(ProjectHead head, StoredDocument? before, long basedOn) =>
        head.State != ProjectStates.Open
            ? new WriteOutcome.Closed(head.State)
            : head.Edit != basedOn && before is not null ? new WriteOutcome.Stale(head, before) : null;

    private static IResult Answer(WriteOutcome outcome, ProjectReader reader, PlantSpecification? known) => outcome switch
    {
        WriteOutcome.Saved saved => Results.Ok(known is null ? reader.Document(saved.Head) : reader.Document(saved.Head, known)),
        WriteOutcome.Stale stale => Results.Json(
            new StaleDocument(
                "urn:cuadrilla:stale", "Somebody else saved first", StatusCodes.Status409Conflict,
                $"The change was based on another edit than {stale.Head.Edit}, which is in force. Nothing was saved; merge and save again.",
                ProjectReader.Read(stale.BaseDocument), reader.Document(stale.Head)),
            contentType: Problems.ContentType,
            statusCode: StatusCodes.Status409Conflict),
        WriteOutcome.Closed closed => Problems.Of(
            "closed", "Refused", StatusCodes.Status403Forbidden,
            closed.State == ProjectStates.Archived
                ? "The plant is archived and only read; open it again first."
                : "The plant is in the bin; take it back first.", []),
        WriteOutcome.Nothing => Problems.Of("nothing-to-do", "Nothing to undo or redo", StatusCodes.Status400BadRequest,
            "There is nothing to undo or redo.", []),
        WriteOutcome.Unknown => Unknown(),
        _ => throw new InvalidOperationException("Unknown outcome."),
    };
}
