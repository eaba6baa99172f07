using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Http.Metadata;

namespace Cuadrilla.Web.Http;

/// <summary>States in the OpenAPI document what every endpoint may answer beside what it says itself.</summary>
internal static class EveryStatus
{
    /// <summary>Problem documents for what is unknown, not accepted, foreign, not signed in, not of the role, meant for another name, too
    /// large, no JSON, or failed.</summary>
    public static RouteGroupBuilder WithEveryStatus(this RouteGroupBuilder group)
    {
        ((IEndpointConventionBuilder)group).Finally(endpoint =>
        {
            var isWrite = endpoint.Metadata.OfType<IHttpMethodMetadata>().Any(m => m.HttpMethods.Any(HttpMethods.IsPost));
            int[] writes = [StatusCodes.Status400BadRequest, StatusCodes.Status403Forbidden, StatusCodes.Status413PayloadTooLarge,
                StatusCodes.Status415UnsupportedMediaType];
            var isNamed = endpoint is RouteEndpointBuilder { RoutePattern.Parameters.Count: > 0 };
            var isOpen = endpoint.Metadata.OfType<IAllowAnonymous>().Any();
            int[] refusals = isOpen ? [] : [StatusCodes.Status401Unauthorized, StatusCodes.Status403Forbidden];
            foreach (var status in (int[])[StatusCodes.Status421MisdirectedRequest, .. refusals, .. isWrite ? writes : [],
                .. isNamed ? [StatusCodes.Status404NotFound] : Array.Empty<int>(), StatusCodes.Status500InternalServerError])
            {
                if (!endpoint.Metadata.OfType<IProducesResponseTypeMetadata>().Any(m => m.StatusCode == status))
                {
                    endpoint.Metadata.Add(new ProducesResponseTypeMetadata(status, typeof(ProblemDocument), [Problems.ContentType]));
                }
            }
        });
        return group;
    }
}
