using System.Security.Cryptography;
using Microsoft.Extensions.Options;

namespace Cuadrilla.Web.Http;

/// <summary>
/// Headers of every answer, refusals too: a strict content security policy with a fresh nonce for each page and no inline script; nothing
/// is shown in a frame, read by another site or kept by a cache unless an endpoint says so.
/// </summary>
internal sealed class SecurityHeaders(RequestDelegate next, IOptions<ServerOptions> options)
{
    private const string NonceKey = "csp-nonce";

    public static string Nonce(HttpContext context) => (string)context.Items[NonceKey]!;

    public Task InvokeAsync(HttpContext context)
    {
        var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
        context.Items[NonceKey] = nonce;
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy =
            $"default-src 'none'; script-src 'self' 'nonce-{nonce}'; style-src 'self' 'nonce-{nonce}'; img-src 'self' data:; font-src "
                + "'self'; "
            + "connect-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers["Cross-Origin-Opener-Policy"] = "same-origin";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        headers["Permissions-Policy"] = "camera=(), geolocation=(), microphone=(), payment=(), usb=()";
        headers.CacheControl = "no-store";
        if (context.Request.IsHttps || options.Value.Proxy.Count > 0)
        {
            headers.StrictTransportSecurity = "max-age=31536000";
        }

        return next(context);
    }
}
