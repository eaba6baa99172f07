using Cuadrilla.Core.Assessment;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Supplies;

/// <summary>Lineups to which only one phase is available.</summary>
internal static class OnePhaseEndpoints
{
    public static void MapOnePhase(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/projects/{id}/lineups/{lineup}/one-phase", (string id, string lineup, ProjectReader reader, Assessor assessor) =>
                reader.Specification(id) is not { } plant ? ProjectEndpoints.Unknown()
                : plant.Lineups.FirstOrDefault(l => l.Id == lineup) is { OnePhase: not null } found
                    ? Results.Ok(OnePhaseDocument.Of(plant, found, assessor))
                    : Problems.NotFound("There is no such lineup on one phase."))
            .WithTags("Special supplies").WithName("getOnePhase").Produces<OnePhaseDocument>();
}
