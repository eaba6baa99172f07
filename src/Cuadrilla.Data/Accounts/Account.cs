namespace Cuadrilla.Data.Accounts;

/// <summary>What an account may do; each may what those before it may.</summary>
public enum AccountRole
{
    /// <summary>Reads plants and calculates.</summary>
    Reader,

    /// <summary>Makes and changes plants, lists and templates.</summary>
    Engineer,

    /// <summary>Closes plants against changes, opens them again, and empties the bin.</summary>
    Reviewer,

    /// <summary>Manages accounts and ends the sessions of others.</summary>
    Administrator,
}

/// <summary>Somebody who may sign in.</summary>
public sealed class Account
{
    /// <summary>Key.</summary>
    public string Id { get; init; } = Guid.CreateVersion7().ToString("N");

    /// <summary>Name, as it stands in histories.</summary>
    public string Name { get; set; } = string.Empty;

    /// <summary>Name by which it is found: upper and lower case are the same.</summary>
    public string NormalizedName { get; set; } = string.Empty;

    /// <summary>What it may do.</summary>
    public AccountRole Role { get; set; }

    /// <summary>Hash of the password with its salt and count of rounds (PBKDF2 with HMAC-SHA512).</summary>
    public string PasswordHash { get; set; } = string.Empty;

    /// <summary>The hash as it was read: only over that one is another written.</summary>
    internal string HashAsRead { get; set; } = string.Empty;

    /// <summary>Wrong passwords since the last right one.</summary>
    public long FailedCount { get; set; }

    /// <summary>Until when it is locked, ISO 8601; null where it is not.</summary>
    public string? LockedUntilUtc { get; set; }

    /// <summary>When it was made, ISO 8601.</summary>
    public string AtUtc { get; init; } = string.Empty;
}

/// <summary>A browser that is signed in.</summary>
/// <param name="Id">Key by which it is ended; it signs nobody in.</param>
/// <param name="AccountId">Of which account.</param>
/// <param name="Name">Name of that account.</param>
/// <param name="Role">What that account may do now.</param>
/// <param name="BeganUtc">When it was begun, ISO 8601.</param>
/// <param name="SeenUtc">When it was last used, to the minute.</param>
/// <param name="Device">What the browser said of itself.</param>
public sealed record AccountSession(string Id, string AccountId, string Name, AccountRole Role, string BeganUtc, string SeenUtc,
    string Device);
