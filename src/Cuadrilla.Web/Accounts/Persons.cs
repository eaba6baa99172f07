using System.Security.Claims;
using Cuadrilla.Core.Base;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Web.Accounts;

/// <summary>Who a request is of.</summary>
internal static class Persons
{
    /// <summary>Claim with the key by which the session is ended.</summary>
    public const string SessionClaim = "session";

    /// <summary>Claim of who works alone on this machine.</summary>
    public const string AloneClaim = "alone";

    private const int LongestName = 60;

    /// <summary>Somebody signed in.</summary>
    public static ClaimsPrincipal Of(AccountSession session, string scheme) => new(new ClaimsIdentity(
        [
            new Claim(ClaimTypes.NameIdentifier, session.AccountId),
            new Claim(ClaimTypes.Name, session.Name),
            new Claim(ClaimTypes.Role, session.Role.ToString()),
            new Claim(SessionClaim, session.Id),
        ],
        scheme));

    /// <summary>Who works where there are no accounts: everything is theirs.</summary>
    public static ClaimsPrincipal Alone() =>
        new(new ClaimsIdentity([new Claim(AloneClaim, "yes"), new Claim(ClaimTypes.Role, nameof(AccountRole.Administrator))], AloneClaim));

    /// <summary>Who did it, as it stands in the history: the account; what the client says only where there are none.</summary>
    /// <exception cref="InputException">There are no accounts and the client says nothing that can be a name.</exception>
    public static string Author(this HttpRequest request, string stated)
    {
        if (request.HttpContext.User.Identity?.Name is { Length: > 0 } name)
        {
            return name;
        }

        RequireWords("/who", "Who", stated, LongestName);
        return stated;
    }

    /// <summary>Refuses words that are absent, too long, or hold what is not seen.</summary>
    public static void RequireWords(string pointer, string name, string value, int max)
    {
        if (value.Length is 0 || value.Length > max)
        {
            throw new InputException(InputProblem.Of(pointer, name, $"{value.Length} characters long", $"1 to {max} characters"));
        }

        if (PlainWords.FirstStrange(value) is { } strange)
        {
            throw new InputException(InputProblem.Of(pointer, name, $"with {strange} in it",
                "characters on one line that neither control nor turn the direction"));
        }
    }
}
