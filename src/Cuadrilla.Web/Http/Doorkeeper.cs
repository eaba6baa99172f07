using Microsoft.Extensions.Options;
using Microsoft.Extensions.Primitives;

namespace Cuadrilla.Web.Http;

/// <summary>
/// Who may talk to the server. It answers to its own names only, so that a foreign name that resolves to this machine opens nothing; and
/// a write must come from a page of its own, whatever the browser says of it.
/// </summary>
internal sealed class Doorkeeper(RequestDelegate next, IOptions<ServerOptions> options)
{
    private readonly IList<StringSegment> names = [.. new[] { "localhost", "127.0.0.1", "[::1]" }.Concat(options.Value.Hosts)
        .Select(h => new StringSegment(h))];

    public Task InvokeAsync(HttpContext context)
    {
        var request = context.Request;
        if (!request.Host.HasValue || !HostString.MatchesAny(request.Host.Host, names))
        {
            return Problems.Of(
                "unknown-host", "Refused", StatusCodes.Status421MisdirectedRequest,
                "The server does not answer to this name; its own are configured when it is started.", []).ExecuteAsync(context);
        }

        return IsForeignWrite(request)
            ? Problems.Of("foreign-origin", "Refused", StatusCodes.Status403Forbidden, "The request came from another site.", [])
                .ExecuteAsync(context)
            : next(context);
    }

    // Programs that are no browsers send neither; a browser sends the origin with every write, old ones without fetch metadata.
    private static bool IsForeignWrite(HttpRequest request)
    {
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method))
        {
            return false;
        }

        var origin = request.Headers.Origin.ToString();
        return (origin.Length > 0 && !string.Equals(origin, $"{request.Scheme}://{request.Host}", StringComparison.OrdinalIgnoreCase))
            || request.Headers["Sec-Fetch-Site"].ToString() is not ("" or "same-origin" or "none");
    }
}
