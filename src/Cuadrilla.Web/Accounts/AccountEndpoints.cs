using Cuadrilla.Core.Base;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Web.Http;
using Microsoft.AspNetCore.Identity;

namespace Cuadrilla.Web.Accounts;

/// <summary>Accounts, for administrators; the first is made by the command line.</summary>
internal static class AccountEndpoints
{
    public static void MapAccounts(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/accounts").WithTags("Accounts").For(AccountRole.Administrator);
        group.MapGet("/", (AccountStore accounts) => All(accounts)).WithName("listAccounts");
        group.MapPost("/", AddAsync).WithName("addAccount").Accepts<AccountRequest>("application/json")
            .Produces<IReadOnlyList<AccountDocument>>();
        group.MapPost("/{id}", ChangeAsync).WithName("changeAccount").Accepts<AccountChangeRequest>("application/json")
            .Produces<IReadOnlyList<AccountDocument>>();
        group.MapDelete("/{id}", RemoveAsync).WithName("removeAccount").Produces<IReadOnlyList<AccountDocument>>();
    }

    private static IReadOnlyList<AccountDocument> All(AccountStore accounts) =>
        [.. accounts.List().Select(a => new AccountDocument(a.Id, a.Name, a.Role, a.LockedUntilUtc, a.AtUtc))];

    private static async Task<IResult> AddAsync(HttpRequest request, AccountStore accounts, UserManager<Account> users)
    {
        var wanted = await RequestBody.ReadAsync<AccountRequest>(request);
        if (!accounts.HasAny())
        {
            return Problems.Of(
                "no-accounts", "Refused", StatusCodes.Status400BadRequest,
                "The first account is an administrator's and is made on the machine itself: ./cuadrilla user add NAME administrator.", []);
        }

        Require(await users.CreateAsync(new Account { Name = wanted.Name, Role = wanted.Role }, wanted.Password), "/name");
        return Results.Ok(All(accounts));
    }

    private static async Task<IResult> ChangeAsync(string id, HttpRequest request, AccountStore accounts, SessionStore sessions,
        UserManager<Account> users)
    {
        var wanted = await RequestBody.ReadAsync<AccountChangeRequest>(request);
        if (await users.FindByIdAsync(id) is not { } account)
        {
            return Problems.NotFound("There is no such account.");
        }

        if (wanted.Password is { } password)
        {
            Require(await Passwords.SetAsync(users, accounts, account, password), "/password");
            sessions.EndAll(id, string.Empty);
        }

        return wanted.Role is not { } role || accounts.ChangeRole(id, role) ? Results.Ok(All(accounts)) : LastStays();
    }

    private static async Task<IResult> RemoveAsync(string id, AccountStore accounts, UserManager<Account> users)
    {
        if (await users.FindByIdAsync(id) is null)
        {
            return Problems.NotFound("There is no such account.");
        }

        return accounts.Remove(id) ? Results.Ok(All(accounts)) : LastStays();
    }

    private static IResult LastStays() => Problems.Of(
        "last-administrator", "Refused", StatusCodes.Status400BadRequest, "The last administrator stays one: make another first.", []);

    /// <summary>Refuses what the rules refuse.</summary>
    public static void Require(IdentityResult outcome, string pointer)
    {
        if (!outcome.Succeeded)
        {
            throw new InputException([.. outcome.Errors.Select(e =>
                new InputProblem(e.Code == "Password" ? pointer.Replace("/name", "/password", StringComparison.Ordinal) : pointer,
                    string.Empty, string.Empty, e.Description))]);
        }
    }
}
