using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Supplies;

/// <summary>Pumps on the sun.</summary>
internal static class SunEndpoints
{
    public static void MapSun(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/drive-points/{point}/sun").WithTags("Special supplies");
        group.MapGet("", (string id, string point, ProjectReader reader, Assessor assessor) => On(id, point, reader,
                (plant, found) => Results.Ok(SunDocument.Of(assessor.Study(plant, found).Model))))
            .WithName("getSun").Produces<SunDocument>();
        group.MapGet("/sweep", (string id, string point, ProjectReader reader, Assessor assessor) => On(id, point, reader,
                (plant, found) => SunStudy.Of(assessor.Study(plant, found).Model, out var missing) is { } study
                    ? Results.Ok(SunSweep.Of(study))
                    : Problems.NotFound("There is no year yet; missing: " + string.Join(", ", missing) + ".")))
            .WithName("sweepSun").Produces<SunSweepResult>();
    }

    private static IResult On(string id, string point, ProjectReader reader, Func<PlantSpecification, DrivePoint, IResult> answer) =>
        reader.Specification(id) is not { } plant
            ? ProjectEndpoints.Unknown()
            : plant.AllDrivePoints().FirstOrDefault(p => p.Id == point) is { Sun: not null } found
                ? answer(plant, found)
                : Problems.NotFound("There is no such drive point on the sun.");
}
