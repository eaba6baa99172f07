using Cuadrilla.Core.Assessment;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Supplies;

/// <summary>Motors at the end of long cables behind step-up transformers.</summary>
internal static class LongCableEndpoints
{
    public static void MapLongCables(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/drive-points/{point}/long-cable", (string id, string point, ProjectReader reader, Assessor assessor) =>
            reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : plant.AllDrivePoints().FirstOrDefault(p => p.Id == point) is { StepUp: not null } found
                    ? Results.Ok(LongCableDocument.Of(assessor.Study(plant, found).Model))
                    : Problems.NotFound("There is no such drive point behind a step-up transformer."))
        .WithName("getLongCable").WithTags("Special supplies").Produces<LongCableDocument>();
}
