using Cuadrilla.Data.Accounts;

namespace Cuadrilla.Web.Accounts;

/// <summary>Who asks.</summary>
/// <param name="HasAccounts">True where one signs in; false where the program is one person's.</param>
/// <param name="Name">Name of the account; null where nobody is signed in.</param>
/// <param name="Role">What it may do; null where nobody is signed in.</param>
internal sealed record SessionDocument(bool HasAccounts, string? Name, AccountRole? Role);

/// <summary>Somebody wants to sign in.</summary>
/// <param name="Name">Name of the account.</param>
/// <param name="Password">Its password.</param>
internal sealed record SignInRequest(string Name, string Password);

/// <summary>Somebody changes their password; their other sessions end.</summary>
/// <param name="Current">The password until now.</param>
/// <param name="Next">The one from now on, 12 to 128 characters.</param>
internal sealed record PasswordRequest(string Current, string Next);

/// <summary>A browser that is signed in.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">Whose it is.</param>
/// <param name="BeganUtc">Since when.</param>
/// <param name="SeenUtc">When it was last used, to the minute.</param>
/// <param name="Device">What the browser says of itself.</param>
/// <param name="IsThis">True for the one that asks.</param>
internal sealed record OpenSessionDocument(string Id, string Name, string BeganUtc, string SeenUtc, string Device, bool IsThis);

/// <summary>An account.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">Name, as it stands in histories.</param>
/// <param name="Role">What it may do.</param>
/// <param name="LockedUntilUtc">Until when it is locked after wrong passwords; null where it is not.</param>
/// <param name="AtUtc">When it was made.</param>
internal sealed record AccountDocument(string Id, string Name, AccountRole Role, string? LockedUntilUtc, string AtUtc);

/// <summary>A new account.</summary>
/// <param name="Name">Name, 1 to 60 characters; it can't be changed, because histories name it.</param>
/// <param name="Password">Its first password, 12 to 128 characters.</param>
/// <param name="Role">What it may do.</param>
internal sealed record AccountRequest(string Name, string Password, AccountRole Role);

/// <summary>What is changed of an account.</summary>
internal sealed record AccountChangeRequest
{
    /// <summary>What it may do from now on; absent: as before.</summary>
    public AccountRole? Role { get; init; }

    /// <summary>A new password, which also unlocks it and ends its sessions; absent: as before.</summary>
    public string? Password { get; init; }
}
