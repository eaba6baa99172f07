using Cuadrilla.Core.Base;
using Microsoft.AspNetCore.Routing.Template;

namespace Cuadrilla.Web.Http;

/// <summary>What no endpoint took: another method, a body that is no JSON, or nothing at this address.</summary>
internal static class ApiFallback
{
    public const string Pattern = "/api/{**rest}";

    public static IResult Answer(HttpContext context, EndpointDataSource endpoints)
    {
        var request = context.Request;
        var allowed = endpoints.Endpoints.OfType<RouteEndpoint>()
            .Where(e => e.RoutePattern.RawText != Pattern && IsAt(e, request.Path))
            .SelectMany(e => e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? [])
            .Distinct().Order(StringComparer.Ordinal).ToList();
        if (allowed.Count > 0 && !allowed.Contains(request.Method))
        {
            context.Response.Headers.Allow = string.Join(", ", allowed);
            return Problems.Of(
                "method", "Method not allowed", StatusCodes.Status405MethodNotAllowed,
                $"The method is {Short(request.Method)}; allowed: {string.Join(", ", allowed)}.", []);
        }

        if (allowed.Count > 0 && HttpMethods.IsPost(request.Method) && !request.HasJsonContentType())
        {
            var found = request.ContentType is { Length: > 0 } type ? $"'{Short(type)}'" : "absent";
            return Problems.Of(
                "content-type", "Wrong content type", StatusCodes.Status415UnsupportedMediaType,
                $"The content type is {found}; allowed: application/json.",
                [InputProblem.Of(string.Empty, "Content type", found, "application/json")]);
        }

        return Problems.NotFound("There is nothing at this address.");
    }

    private static bool IsAt(RouteEndpoint endpoint, PathString path) =>
        endpoint.RoutePattern.PathSegments.Count > 0
            && new TemplateMatcher(new RouteTemplate(endpoint.RoutePattern), []).TryMatch(path, []);

    private static string Short(string text) => text.Length > 60 ? text[..60] + "…" : text;
}
