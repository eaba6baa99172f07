using Cuadrilla.Core.Base;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;

namespace Cuadrilla.Web.Projects;

/// <summary>What a project is, in a sentence.</summary>
/// <param name="Description">The sentence, at most 500 characters; may be empty.</param>
internal sealed record DescriptionRequest(string Description);

/// <summary>Who asks for another state; a body, because what has none is asked for by any page.</summary>
/// <param name="Who">Who, 1 to 60 characters.</param>
internal sealed record StateRequest(string Who);

/// <summary>Projects are described, archived, put into the bin and taken back, and go for ever only from there.</summary>
internal static class ProjectStateEndpoints
{
    private const int LongestDescription = 500;

    public static void MapProjectStates(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Projects");
        group.MapPost("/description", DescribeAsync).WithName("describeProject").For(AccountRole.Engineer)
            .Accepts<DescriptionRequest>("application/json")
            .Produces<IReadOnlyList<ProjectListItem>>();
        Map(group, "archive", "archiveProject", AccountRole.Reviewer, ProjectStates.Open, ProjectStates.Archived);
        Map(group, "reopen", "reopenProject", AccountRole.Reviewer, ProjectStates.Archived, ProjectStates.Open);
        Map(group, "bin", "binProject", AccountRole.Engineer, ProjectStates.Open, ProjectStates.Binned);
        Map(group, "unbin", "unbinProject", AccountRole.Engineer, ProjectStates.Binned, ProjectStates.Open);
        group.MapDelete("/", (string id, ProjectStore store) => store.Find(id) is null
                ? ProjectEndpoints.Unknown()
                : store.Remove(id) ? Results.Ok(store.List()) : Refused("It goes for ever only from the bin; put it there first."))
            .WithName("removeProject").For(AccountRole.Reviewer).Produces<IReadOnlyList<ProjectListItem>>();
    }

    private static void Map(RouteGroupBuilder group, string step, string name, AccountRole least, string from, string to) =>
        group.MapPost("/" + step, async (string id, HttpRequest request, ProjectStore store) =>
            {
                var author = request.Author((await RequestBody.ReadAsync<StateRequest>(request)).Who);
                return store.Find(id) is not { } head ? ProjectEndpoints.Unknown()
                    : head.State != from ? Refused($"The plant is {head.State}; allowed: one that is {from}.")
                    : store.Change(id, to, author) ? Results.Ok(store.List()) : ProjectEndpoints.Unknown();
            })
            .WithName(name).For(least).Accepts<StateRequest>("application/json").Produces<IReadOnlyList<ProjectListItem>>();

    private static async Task<IResult> DescribeAsync(string id, HttpRequest request, ProjectStore store)
    {
        var wanted = (await RequestBody.ReadAsync<DescriptionRequest>(request)).Description.Trim();
        if (wanted.Length > LongestDescription || PlainWords.FirstStrange(wanted) is not null)
        {
            throw new InputException(InputProblem.Of("/description", "Description", $"{wanted.Length} characters long",
                $"at most {LongestDescription} characters on one line, none that controls"));
        }

        return store.Describe(id, wanted) ? Results.Ok(store.List()) : ProjectEndpoints.Unknown();
    }

    private static IResult Refused(string says) => Problems.Of("state", "Refused", StatusCodes.Status400BadRequest, says, []);
}
