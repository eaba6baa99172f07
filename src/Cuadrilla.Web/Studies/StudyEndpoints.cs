using Cuadrilla.Web.Http;
using Microsoft.OpenApi;

namespace Cuadrilla.Web.Studies;

/// <summary>How far long studies are, and what they give way to.</summary>
internal static class StudyEndpoints
{
    public static void MapStudies(this IEndpointRouteBuilder app) => app
        .MapGet("/api/studies/{key}", (string key, StudyQueue queue) => queue.Find(key))
        .WithTags("Studies").WithName("getStudy");

    /// <summary>States what an endpoint of a long study takes and answers beside its own: a key to ask for its progress by, and 503 when
    /// the line is full.</summary>
    public static RouteHandlerBuilder AsStudy(this RouteHandlerBuilder endpoint) =>
        endpoint.Produces<ProblemDocument>(503, Problems.ContentType)
        .AddOpenApiOperationTransformer((operation, _, _) =>
        {
            (operation.Parameters ??= []).Add(new OpenApiParameter
            {
                Name = "study",
                In = ParameterLocation.Query,
                Description = "Key by which /api/studies tells how far it is, at most 64 characters; the caller makes it.",
                Schema = new OpenApiSchema { Type = JsonSchemaType.String, MaxLength = StudyProgress.LongestKey },
            });
            return Task.CompletedTask;
        });

    /// <summary>Edits are answered in turn, so many at a time as there are cores, and long studies give way meanwhile.</summary>
    public static async ValueTask<object?> BeforeStudies(EndpointFilterInvocationContext invocation, EndpointFilterDelegate next)
    {
        var context = invocation.HttpContext;
        if (HttpMethods.IsGet(context.Request.Method))
        {
            return await next(invocation);
        }

        var tidies = context.RequestServices.GetRequiredService<TidyingUp>();
        tidies.Begin();
        context.Response.OnCompleted(() =>
        {
            _ = tidies.EndAsync();
            return Task.CompletedTask;
        });
        using (await context.RequestServices.GetRequiredService<EditTurns>().TakeAsync(context.RequestAborted))
        {
            return await next(invocation);
        }
    }
}
