using System.Net;

namespace Cuadrilla.Web.Http;

/// <summary>A proxy stands before the server only where that was stated.</summary>
internal static class StatedProxy
{
    /// <summary>Takes what a stated proxy says of the request, and refuses what came another way.</summary>
    public static void UseStatedProxy(this WebApplication app, ServerOptions options)
    {
        var proxies = options.Proxy.Select(IPAddress.Parse).ToHashSet();
        app.Use((context, next) =>
        {
            var isForwarded = context.Request.Headers.ContainsKey("X-Forwarded-For") || context.Request.Headers.ContainsKey("Forwarded");
            if (proxies.Count == 0)
            {
                // Whoever forwards others to a machine's own address makes it a server for all.
                return isForwarded
                    ? Refused(context, "The request came through a proxy that was not stated when the server was started.")
                    : next(context);
            }

            return isForwarded && context.Connection.RemoteIpAddress is { } from
                && proxies.Contains(from.IsIPv4MappedToIPv6 ? from.MapToIPv4() : from)
                ? next(context)
                : Refused(context, "The server is reached through its proxy alone.");
        });
        if (proxies.Count > 0)
        {
            app.UseForwardedHeaders(app.Services.GetRequiredService<Microsoft.Extensions.Options.IOptions<ForwardedHeadersOptions>>()
                .Value);
        }
    }

    private static Task Refused(HttpContext context, string says) =>
        Problems.Of("proxy", "Refused", StatusCodes.Status421MisdirectedRequest, says, []).ExecuteAsync(context);
}
