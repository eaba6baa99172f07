using Cuadrilla.Core.Assessment;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Calculations;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Studies;

namespace Cuadrilla.Web.Calculations;

/// <summary>Engines and assessment without a stored project.</summary>
internal static class CalculationEndpoints
{
    public static void MapCalculations(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/calc/{name}", async (string name, HttpRequest request, StudyQueue queue) =>
            {
                if (!Calculation.All.TryGetValue(name, out var calculation))
                {
                    return Problems.NotFound($"There is no calculation '{name}'; there are: {string.Join(", ", Calculation.All.Keys)}.");
                }

                var body = await RequestBody.BytesAsync(request);
                IResult Answer() => Results.Text(calculation.Run(body, request.HttpContext.RequestAborted)
                    .ToJsonString(ProjectJson.Options), "application/json");

                // One is done at once; a list of them waits its turn.
                return body.AsSpan().TrimStart(" \t\r\n"u8).StartsWith("["u8)
                    ? await queue.RunAsync(request.HttpContext, _ => Answer())
                    : Answer();
            })
            .WithName("calculate").For(AccountRole.Reader).WithTags("Calculations").Accepts<object>("application/json").Produces<object>()
            .AsStudy();
        app.MapGet("/api/calc/{name}/schema", (string name) => Results.Text(Calculation.Named(name).Schema(), "application/schema+json"))
            .WithName("getCalculationSchema").WithTags("Calculations").Produces<object>(StatusCodes.Status200OK, "application/schema+json");
        app.MapPost("/api/assess", async (HttpRequest request, Assessor assessor, StudyQueue queue) =>
            {
                var plant = ProjectFile.Read(await RequestBody.BytesAsync(request), assessor.Data);
                return await queue.RunAsync(
                    request.HttpContext, _ => Results.Ok(AssessmentDocument.Of(plant, assessor.Run(plant), assessor.Data.PccLimits,
                        withReasons: true)));
            })
            .WithName("assess").For(AccountRole.Reader).WithTags("Calculations").Accepts<ProjectFile>("application/json")
            .Produces<AssessmentDocument>().AsStudy();
        app.MapGet("/api/schema/project", () => Results.Text(ProjectSchema.Text(), "application/schema+json"))
            .WithName("getProjectSchema").WithTags("Calculations").Produces<object>(StatusCodes.Status200OK, "application/schema+json");
        app.MapGet("/api/health", (Database database) => database.Trouble() is { } trouble
                ? Problems.Of("unwell", "Projects can't be read or saved", StatusCodes.Status503ServiceUnavailable, trouble, [])
                : Results.Ok(new HealthDocument("ok")))
            .WithName("getHealth").AllowAnonymous().WithTags("Calculations").Produces<HealthDocument>()
            .Produces<ProblemDocument>(503, Problems.ContentType);
    }

    internal sealed record HealthDocument(string Status);
}
