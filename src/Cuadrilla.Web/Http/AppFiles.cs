using Microsoft.Extensions.FileProviders;
using Microsoft.Extensions.Options;

namespace Cuadrilla.Web.Http;

/// <summary>Serves the built app: hashed files for ever, the page itself with a fresh nonce.</summary>
internal static class AppFiles
{
    private const string Placeholder = "__CSP_NONCE__";

    public static void Map(WebApplication app)
    {
        var folder = Path.GetFullPath(app.Services.GetRequiredService<IOptions<ServerOptions>>().Value.App);
        if (!File.Exists(Path.Combine(folder, "index.html")))
        {
            app.MapFallback(() => Problems.NotFound("The app has not been built; the API answers under /api."));
            return;
        }

        app.UseStaticFiles(new StaticFileOptions
        {
            FileProvider = new PhysicalFileProvider(Path.Combine(folder, "assets")),
            RequestPath = "/assets",
            OnPrepareResponse = file => file.Context.Response.Headers.CacheControl = "public, max-age=31536000, immutable",
        });
        var page = File.ReadAllText(Path.Combine(folder, "index.html"));
        app.MapGet("/icon.svg", () => Results.File(Path.Combine(folder, "icon.svg"), "image/svg+xml"));
        app.MapFallback((HttpContext context) =>
        {
            if (!HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method))
            {
                context.Response.Headers.Allow = "GET, HEAD";
                return Problems.Of("method", "Method not allowed", StatusCodes.Status405MethodNotAllowed, "Pages are only read.", []);
            }

            return Results.Text(page.Replace(Placeholder, SecurityHeaders.Nonce(context), StringComparison.Ordinal), "text/html");
        });
    }
}
