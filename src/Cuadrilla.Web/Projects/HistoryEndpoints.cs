using Cuadrilla.Core.Specification;
using Cuadrilla.Data;
using Cuadrilla.Web.Http;

namespace Cuadrilla.Web.Projects;

/// <summary>The history of a project.</summary>
internal static class HistoryEndpoints
{
    private const int Longest = 500;

    public static void MapHistory(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/history").WithTags("History");
        group.MapGet("/", (string id, ProjectStore store) => store.History(id, Longest)).WithName("listHistory");
        group.MapGet("/{sequence:long}", (string id, long sequence, ProjectStore store) =>
                store.DocumentAt(id, sequence) is { } document
                    ? Results.Ok(ProjectReader.Read(document))
                    : Problems.NotFound("There is no such edit."))
            .WithName("getEdit").Produces<PlantSpecification>();
    }
}
