using System.Threading.RateLimiting;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Web.Http;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.DataProtection.Repositories;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.Extensions.Options;

namespace Cuadrilla.Web.Accounts;

/// <summary>How somebody is known from one request to the next.</summary>
internal static class SignIn
{
    /// <summary>Name of the limit on tries to sign in.</summary>
    public const string TriesPolicy = "tries";

    /// <summary>Cookies, roles and the limit on tries.</summary>
    public static void AddSignIn(this IServiceCollection services, ServerOptions options, bool isServed, bool keepsKeys)
    {
        services.AddAccounts();
        services.AddDataProtection().SetApplicationName("cuadrilla");
        if (keepsKeys)
        {
            // Beside the database, for its owner alone: whoever has them can make a cookie, but no session.
            services.AddOptions<KeyManagementOptions>().Configure<IOptions<ServerOptions>, ILoggerFactory>((keys, server, log) =>
                keys.XmlRepository = new FileSystemXmlRepository(OwnersOnly(Path.Combine(Path.GetFullPath(server.Value.Data),
                    "keys")), log));
        }

        services.AddSingleton<SessionTickets>();
        services.AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme).AddCookie(cookie =>
        {
            cookie.Cookie.Name = isServed ? "__Host-cuadrilla" : "cuadrilla";
            cookie.Cookie.HttpOnly = true;
            cookie.Cookie.SameSite = SameSiteMode.Strict;
            cookie.Cookie.SecurePolicy = isServed ? CookieSecurePolicy.Always : CookieSecurePolicy.SameAsRequest;
            cookie.ExpireTimeSpan = TimeSpan.FromHours(SessionStore.LongestH);
            cookie.SlidingExpiration = false;
            cookie.Events.OnRedirectToLogin = context =>
                Refused(context.HttpContext, StatusCodes.Status401Unauthorized, "sign-in", "Sign in first.");
            cookie.Events.OnRedirectToAccessDenied = context =>
                Refused(context.HttpContext, StatusCodes.Status403Forbidden, "role", Allowed(context.HttpContext));
        });
        services.AddOptions<CookieAuthenticationOptions>(CookieAuthenticationDefaults.AuthenticationScheme)
            .Configure<SessionTickets>((cookie, tickets) => cookie.SessionStore = tickets);
        services.AddAuthorization(Roles.Apply);
        services.AddRateLimiter(limiter =>
        {
            limiter.AddPolicy(TriesPolicy, context => RateLimitPartition.GetFixedWindowLimiter(
                context.Connection.RemoteIpAddress?.ToString() ?? string.Empty,
                _ => new FixedWindowRateLimiterOptions { PermitLimit = TriesPerMin(context), Window = TimeSpan.FromMinutes(1) }));
            limiter.OnRejected = async (rejected, _) =>
            {
                rejected.HttpContext.Response.Headers.RetryAfter = "60";
                await Refused(rejected.HttpContext, StatusCodes.Status429TooManyRequests, "too-many",
                    $"More than {TriesPerMin(rejected.HttpContext)} tries a minute; wait a minute.");
            };
        });
        if (options.Proxy.Count > 0)
        {
            services.Configure<ForwardedHeadersOptions>(forwarded =>
            {
                forwarded.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto | ForwardedHeaders.XForwardedHost;
                foreach (var proxy in options.Proxy)
                {
                    forwarded.KnownProxies.Add(System.Net.IPAddress.Parse(proxy));
                }
            });
        }
    }

    /// <summary>Knows who asks, and where there are no accounts takes them for who works here alone.</summary>
    public static void UseSignIn(this WebApplication app, bool isServed)
    {
        app.UseAuthentication();
        app.Use((context, next) =>
        {
            if (!isServed && context.User.Identity?.IsAuthenticated != true && !context.RequestServices.GetRequiredService<AccountStore>()
                .HasAny())
            {
                context.User = Persons.Alone();
            }

            return next(context);
        });
        app.UseAuthorization();
        app.UseRateLimiter();
    }

    private static int TriesPerMin(HttpContext context) =>
        context.RequestServices.GetRequiredService<IOptions<ServerOptions>>().Value.TriesPerMin;

    private static DirectoryInfo OwnersOnly(string folder) => OperatingSystem.IsWindows()
        ? Directory.CreateDirectory(folder)
        : Directory.CreateDirectory(folder, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);

    private static string Allowed(HttpContext context)
    {
        var least = context.GetEndpoint()?.Metadata.GetOrderedMetadata<LeastRole>().Select(r => r.Role).DefaultIfEmpty().Max();
        var role = context.User.FindFirst(System.Security.Claims.ClaimTypes.Role)?.Value;
        return $"The account {context.User.Identity?.Name} is {role?.ToLowerInvariant()}; allowed: {least.ToString()!.ToLowerInvariant()}"
            + $"{(least < AccountRole.Administrator ? " and above" : string.Empty)}.";
    }

    private static Task Refused(HttpContext context, int status, string type, string says) =>
        Problems.Of(type, "Refused", status, says, []).ExecuteAsync(context);
}
