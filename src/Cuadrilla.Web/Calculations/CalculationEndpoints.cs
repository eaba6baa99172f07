using Cuadrilla.Core.Assessment;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Calculations;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;

namespace Cuadrilla.Web.Calculations;

/// <summary>Engines and assessment without a stored project.</summary>
internal static class CalculationEndpoints
{
    public static void MapCalculations(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/calc/{name}", async (string name, HttpRequest request) =>
            {
                if (!Calculation.All.TryGetValue(name, out var calculation))
                {
                    return Problems.NotFound($"There is no calculation '{name}'; there are: {string.Join(", ", Calculation.All.Keys)}.");
                }

                var answer = calculation.Run(await RequestBody.BytesAsync(request));
                return Results.Text(answer.ToJsonString(ProjectJson.Options), "application/json");
            })
            .WithName("calculate").For(AccountRole.Reader).WithTags("Calculations").Accepts<object>("application/json").Produces<object>();
        app.MapGet("/api/calc/{name}/schema", (string name) => Results.Text(Calculation.Named(name).Schema(), "application/schema+json"))
            .WithName("getCalculationSchema").WithTags("Calculations").Produces<object>(StatusCodes.Status200OK, "application/schema+json");
        app.MapPost("/api/assess", async (HttpRequest request, Assessor assessor) =>
            {
                var plant = ProjectFile.Read(await RequestBody.BytesAsync(request), assessor.Data);
                return AssessmentDocument.Of(plant, assessor.Run(plant), assessor.Data.PccLimits, withReasons: true);
            })
            .WithName("assess").For(AccountRole.Reader).WithTags("Calculations").Accepts<ProjectFile>("application/json")
            .Produces<AssessmentDocument>();
        app.MapGet("/api/schema/project", () => Results.Text(ProjectSchema.Text(), "application/schema+json"))
            .WithName("getProjectSchema").WithTags("Calculations").Produces<object>(StatusCodes.Status200OK, "application/schema+json");
        app.MapGet("/api/health", (Database database) => database.Trouble() is { } trouble
                ? Problems.Of("unwell", "Projects can't be read or saved", StatusCodes.Status503ServiceUnavailable, trouble, [])
                : Results.Ok(new HealthDocument("ok")))
            .WithName("getHealth").AllowAnonymous().WithTags("Calculations").Produces<HealthDocument>().Produces<ProblemDocument>(503, Problems.ContentType);
    }

    internal sealed record HealthDocument(string Status);
}
