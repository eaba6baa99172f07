using System.Security.Claims;
using Cuadrilla.Core.Base;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Http;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Identity;

namespace Cuadrilla.Web.Accounts;

/// <summary>Signing in and out, one's own password and sessions.</summary>
internal static class SessionEndpoints
{
    private const string Scheme = CookieAuthenticationDefaults.AuthenticationScheme;

    // Hashed for names that are none, so that their answer takes as long as any.
    private static readonly Account Nobody = new() { Name = "nobody" };

    public static void MapSessions(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api").WithTags("Accounts");
        group.MapGet("/session", (HttpContext context, AccountStore accounts) => Document(context.User, accounts)).WithName("getSession")
            .AllowAnonymous();
        group.MapPost("/session", BeginAsync).WithName("signIn").AllowAnonymous().RequireRateLimiting(SignIn.TriesPolicy)
            .Accepts<SignInRequest>("application/json")
            .Produces<SessionDocument>().Produces<ProblemDocument>(401, Problems.ContentType)
            .Produces<ProblemDocument>(429, Problems.ContentType);
        group.MapDelete("/session", async (HttpContext context) =>
        {
            await context.SignOutAsync(Scheme);
            return new SessionDocument(true, null, null);
        }).WithName("signOut").AllowAnonymous();
        group.MapPost("/session/password", ChangePasswordAsync).WithName("changePassword").For(AccountRole.Reader)
            .RequireRateLimiting(SignIn.TriesPolicy)
            .Accepts<PasswordRequest>("application/json").Produces<SessionDocument>().Produces<ProblemDocument>(429, Problems.ContentType);
        group.MapGet("/sessions", (HttpContext context, SessionStore sessions) => All(context.User, sessions)).WithName("listSessions")
            .For(AccountRole.Reader);
        group.MapDelete("/sessions/{id}", End).WithName("endSession").For(AccountRole.Reader)
            .Produces<IReadOnlyList<OpenSessionDocument>>();
    }

    private static SessionDocument Document(ClaimsPrincipal user, AccountStore accounts) => new(
        accounts.HasAny(), user.Identity?.Name, user.FindFirst(ClaimTypes.Role) is { } role ? Enum.Parse<AccountRole>(role.Value) : null);

    private static async Task<IResult> BeginAsync(HttpContext context, UserManager<Account> users)
    {
        var wanted = await RequestBody.ReadAsync<SignInRequest>(context.Request);
        var account = wanted.Name.Length is > 0 and <= AccountRules.LongestName ? await users.FindByNameAsync(wanted.Name.Trim()) : null;
        if (account is null)
        {
            users.PasswordHasher.HashPassword(Nobody, Shortened(wanted.Password));
            return Wrong();
        }

        if (await users.IsLockedOutAsync(account) || wanted.Password.Length > AccountRules.LongestPassword)
        {
            users.PasswordHasher.HashPassword(Nobody, Shortened(wanted.Password));
            return Wrong();
        }

        if (!await users.CheckPasswordAsync(account, wanted.Password))
        {
            await users.AccessFailedAsync(account);
            return Wrong();
        }

        await users.ResetAccessFailedCountAsync(account);
        var identity = new ClaimsIdentity([new Claim(ClaimTypes.NameIdentifier, account.Id), new Claim(ClaimTypes.Name, account.Name)],
            Scheme);
        await context.SignInAsync(Scheme, new ClaimsPrincipal(identity));
        return Results.Ok(new SessionDocument(true, account.Name, account.Role));
    }

    private static string Shortened(string password) => password[..Math.Min(password.Length, AccountRules.LongestPassword)];

    // One sentence for all of it: it says neither whether there is such an account nor whether it is locked.
    private static IResult Wrong() => Problems.Of(
        "sign-in", "Refused", StatusCodes.Status401Unauthorized,
        $"Name or password is wrong. After {AccountRules.MostTries} wrong passwords an account is locked for {AccountRules.LockedMin} "
            + "minutes.", []);

    private static async Task<IResult> ChangePasswordAsync(HttpContext context, UserManager<Account> users, AccountStore accounts,
        SessionStore sessions)
    {
        var wanted = await RequestBody.ReadAsync<PasswordRequest>(context.Request);
        if (context.User.FindFirst(ClaimTypes.NameIdentifier) is not { } key || await users.FindByIdAsync(key.Value) is not { } account)
        {
            return Problems.Of("no-accounts", "Refused", StatusCodes.Status400BadRequest,
                "There are no accounts here, so there is no password.", []);
        }

        if (await users.IsLockedOutAsync(account) || !await users.CheckPasswordAsync(account, Shortened(wanted.Current)))
        {
            await users.AccessFailedAsync(account);
            throw new InputException(InputProblem.Of("/current", "Password until now", "another than given",
                "the one that you signed in with"));
        }

        AccountEndpoints.Require(await Passwords.SetAsync(users, accounts, account, wanted.Next), "/next");
        sessions.EndAll(account.Id, context.User.FindFirst(Persons.SessionClaim)?.Value ?? string.Empty);
        return Results.Ok(new SessionDocument(true, account.Name, account.Role));
    }

    private static IReadOnlyList<OpenSessionDocument> All(ClaimsPrincipal user, SessionStore sessions)
    {
        var own = user.FindFirst(Persons.SessionClaim)?.Value;
        return [.. sessions.List(user.IsInRole(nameof(AccountRole.Administrator)) ? null : user.FindFirst(ClaimTypes.NameIdentifier)!.Value)
            .Select(s => new OpenSessionDocument(s.Id, s.Name, s.BeganUtc, s.SeenUtc, s.Device, s.Id == own))];
    }

    private static IResult End(string id, HttpContext context, SessionStore sessions) =>
        All(context.User, sessions).Any(s => s.Id == id) && sessions.End(id)
            ? Results.Ok(All(context.User, sessions))
            : Problems.NotFound("There is no such session.");
}
