using Cuadrilla.Core.Base;

namespace Cuadrilla.Web.Http;

/// <summary>
/// What no endpoint took. An endpoint that wants JSON is passed over when the body is something else, so that case ends
/// here too and is named.
/// </summary>
internal static class ApiFallback
{
    public static IResult Answer(HttpRequest request)
    {
        if (HttpMethods.IsPost(request.Method) && !request.HasJsonContentType())
        {
            var found = request.ContentType is { Length: > 0 } type ? $"'{type}'" : "absent";
            return Problems.Of(
                "content-type", "Wrong content type", StatusCodes.Status415UnsupportedMediaType, $"The content type is {found}; allowed: application/json.",
                [InputProblem.Of(string.Empty, "Content type", found, "application/json")]);
        }

        return Problems.NotFound("There is nothing at this address.");
    }
}
