using System.Security.Cryptography;
using System.Text;
using Dapper;

namespace Cuadrilla.Data.Accounts;

/// <summary>Sessions of browsers: begun by signing in, ended by hand, by their age, or by lying idle.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time.</param>
public sealed class SessionStore(Database database, TimeProvider clock)
{
    /// <summary>How long a session lasts at most, hours (ASVS 3.3.2, level 2).</summary>
    public const int LongestH = 12;

    /// <summary>How long it may lie idle, minutes; an open window is no use by itself.</summary>
    public const int LongestIdleMin = 60;

    private const int LongestDevice = 120;

    private const string Columns = "s.id, s.account_id, a.name, a.role, s.began_utc, s.seen_utc, s.device";

    /// <summary>Begins a session; the answer is the key that the browser holds, which is not stored.</summary>
    public string Begin(string accountId, string device)
    {
        ArgumentNullException.ThrowIfNull(device);
        var key = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(32));
        using var connection = database.Open();
        var now = Instant.Text(clock.GetUtcNow());
        var oldest = Oldest();
        connection.Execute("DELETE FROM session WHERE began_utc < @began OR seen_utc < @seen",
            new { began = oldest.Began, seen = oldest.Seen });
        connection.Execute(
            "INSERT INTO session (id, key_hash, account_id, began_utc, seen_utc, device) VALUES (@id, @hash, @accountId, @now, @now, "
                + "@device)",
            new { id = Guid.CreateVersion7().ToString("N"), hash = Hash(key), accountId, now,
                device = device[..Math.Min(device.Length, LongestDevice)] });
        return key;
    }

    /// <summary>The session of a key, with the account as it is now; null where there is none any more.</summary>
    public AccountSession? Find(string key)
    {
        using var connection = database.Open();
        var oldest = Oldest();
        var found = connection.QuerySingleOrDefault<Row>(
            $"SELECT {Columns} FROM session s JOIN account a ON a.id = s.account_id WHERE s.key_hash = @hash AND s.began_utc >= @began "
                + "AND s.seen_utc >= @seen",
            new { hash = Hash(key), began = oldest.Began, seen = oldest.Seen });
        if (found is null)
        {
            return null;
        }

        // To the minute: not every answer is a write.
        var now = clock.GetUtcNow();
        if (now - Instant.Read(found.SeenUtc) > TimeSpan.FromMinutes(1))
        {
            connection.Execute("UPDATE session SET seen_utc = @now WHERE id = @Id", new { now = Instant.Text(now), found.Id });
        }

        return found.Session;
    }

    /// <summary>True while a session may go on.</summary>
    public bool IsLive(string id)
    {
        using var connection = database.Open();
        var oldest = Oldest();
        return connection.ExecuteScalar<bool>(
            "SELECT EXISTS (SELECT 1 FROM session WHERE id = @id AND began_utc >= @began AND seen_utc >= @seen)",
            new { id, began = oldest.Began, seen = oldest.Seen });
    }

    /// <summary>Sessions of an account, or of all; last used first.</summary>
    /// <param name="accountId">Which account; null: all.</param>
    public IReadOnlyList<AccountSession> List(string? accountId)
    {
        using var connection = database.Open();
        var oldest = Oldest();
        return [.. connection.Query<Row>(
            $"""
            SELECT {Columns} FROM session s JOIN account a ON a.id = s.account_id
            WHERE (@accountId IS NULL OR s.account_id = @accountId) AND s.began_utc >= @began AND s.seen_utc >= @seen
            ORDER BY s.seen_utc DESC, s.id
            """,
            new { accountId, began = oldest.Began, seen = oldest.Seen }).Select(r => r.Session)];
    }

    /// <summary>Ends the session of a key.</summary>
    public void EndKey(string key)
    {
        using var connection = database.Open();
        connection.Execute("DELETE FROM session WHERE key_hash = @hash", new { hash = Hash(key) });
    }

    /// <summary>Ends one; false where there is none.</summary>
    public bool End(string id)
    {
        using var connection = database.Open();
        return connection.Execute("DELETE FROM session WHERE id = @id", new { id }) > 0;
    }

    /// <summary>Ends all of an account.</summary>
    /// <param name="accountId">Which account.</param>
    /// <param name="butId">One that goes on; empty: none.</param>
    public void EndAll(string accountId, string butId)
    {
        using var connection = database.Open();
        connection.Execute("DELETE FROM session WHERE account_id = @accountId AND id <> @butId", new { accountId, butId });
    }

    private (string Began, string Seen) Oldest()
    {
        var now = clock.GetUtcNow();
        return (Instant.Text(now.AddHours(-LongestH)), Instant.Text(now.AddMinutes(-LongestIdleMin)));
    }

    private static string Hash(string key) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key)));

    // Dapper makes enumerations of words by property, not by constructor.
    private sealed record Row
    {
        public string Id { get; init; } = string.Empty;

        public string AccountId { get; init; } = string.Empty;

        public string Name { get; init; } = string.Empty;

        public AccountRole Role { get; init; }

        public string BeganUtc { get; init; } = string.Empty;

        public string SeenUtc { get; init; } = string.Empty;

        public string Device { get; init; } = string.Empty;

        public AccountSession Session => new(Id, AccountId, Name, Role, BeganUtc, SeenUtc, Device);
    }
}
