using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Studies.Standby;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Supplies;

/// <summary>A generator that feeds the plant, always or while the mains are away.</summary>
internal static class GeneratorEndpoints
{
    public static void MapGenerator(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/generator").WithTags("Special supplies");
        group.MapGet("", (string id, ProjectReader reader, Assessor assessor) => On(id, reader,
                feed => Results.Ok(GeneratorDocument.Of(feed, assessor))))
            .WithName("getGenerator").Produces<GeneratorDocument>();
        group.MapGet("/sweep", (string id, ProjectReader reader, Assessor assessor) => On(id, reader,
                feed => SetSweep.Of(feed, assessor) is { } sweep ? Results.Ok(sweep)
                    : Problems.NotFound("The generator's rated power is missing.")))
            .WithName("sweepGenerator").Produces<SetSweep>();
        group.MapGet("/shedding", (string id, ProjectReader reader, Assessor assessor) => On(id, reader,
                feed => Results.Ok(SheddingDocument.Of(Shedding.Of(feed, assessor)))))
            .WithName("shedOnGenerator").Produces<SheddingDocument>();
    }

    private static IResult On(string id, ProjectReader reader, Func<GeneratorFeed, IResult> answer) =>
        reader.Specification(id) is not { } plant ? ProjectEndpoints.Unknown()
        : GeneratorFeed.Of(plant) is { } feed ? answer(feed)
        : Problems.NotFound("No generator feeds the plant in any scenario.");
}
