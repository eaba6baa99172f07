using Dapper;
using Microsoft.AspNetCore.Identity;

namespace Cuadrilla.Data.Accounts;

/// <summary>Accounts in the database, as the framework's user manager asks for them.</summary>
/// <param name="database">Where they are.</param>
/// <param name="clock">Tells the time.</param>
public sealed class AccountStore(Database database, TimeProvider clock) : IUserPasswordStore<Account>, IUserLockoutStore<Account>
{
    private const string Columns = "id, name, normalized_name, role, password_hash, failed_count, locked_until_utc, at_utc";

    /// <summary>True where there is any: from then on nothing is done without signing in.</summary>
    public bool HasAny()
    {
        using var connection = database.Open();
        return connection.ExecuteScalar<bool>("SELECT EXISTS (SELECT 1 FROM account)");
    }

    /// <summary>All, by name.</summary>
    public IReadOnlyList<Account> List()
    {
        using var connection = database.Open();
        return connection.Query<Account>($"SELECT {Columns} FROM account ORDER BY normalized_name").AsList();
    }

    /// <summary>Changes what an account may do; false where it is the last administrator, who stays one.</summary>
    public bool ChangeRole(string id, AccountRole role)
    {
        using var connection = database.Open();
        return connection.Execute(
            $"UPDATE account SET role = @role WHERE id = @id AND (@role = 'administrator' OR {AnotherAdministrator})",
            new { id, role = Stored(role) }) > 0;
    }

    /// <summary>Sets a password, whatever it was, and unlocks the account.</summary>
    public void SetPassword(string id, string hash)
    {
        using var connection = database.Open();
        connection.Execute("UPDATE account SET password_hash = @hash, failed_count = 0, locked_until_utc = NULL WHERE id = @id",
            new { id, hash });
    }

    /// <summary>Removes an account with its sessions; false where it is the last administrator.</summary>
    public bool Remove(string id)
    {
        using var connection = database.Open();
        return connection.Execute($"DELETE FROM account WHERE id = @id AND {AnotherAdministrator}", new { id }) > 0;
    }

    private const string AnotherAdministrator = "EXISTS (SELECT 1 FROM account other WHERE other.role = 'administrator' AND other.id "
        + "<> @id)";

    /// <inheritdoc/>
    public Task<IdentityResult> CreateAsync(Account user, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(user);
        using var connection = database.Open();
        var added = connection.Execute(
            $"INSERT INTO account ({Columns}) VALUES (@Id, @Name, @NormalizedName, @role, @PasswordHash, 0, NULL, @at) ON CONFLICT "
                + "(normalized_name) DO NOTHING",
            new { user.Id, user.Name, user.NormalizedName, role = Stored(user.Role), user.PasswordHash,
                at = Instant.Text(clock.GetUtcNow()) });
        return Task.FromResult(added == 1
            ? IdentityResult.Success
            : IdentityResult.Failed(new IdentityError { Code = "DuplicateUserName",
                Description = $"There is an account {user.Name} already." }));
    }

    /// <inheritdoc/>
    public Task<IdentityResult> UpdateAsync(Account user, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(user);
        using var connection = database.Open();

        // A try that was under way while a new password was set brings neither the old one nor fewer tries back.
        connection.Execute(
            """
            UPDATE account SET
                failed_count = CASE WHEN @FailedCount = 0 THEN 0 ELSE max(failed_count, @FailedCount) END,
                locked_until_utc = @LockedUntilUtc,
                password_hash = @PasswordHash
            WHERE id = @Id AND password_hash = @HashAsRead
            """,
            new { user.Id, user.FailedCount, user.LockedUntilUtc, user.PasswordHash, user.HashAsRead });
        return Task.FromResult(IdentityResult.Success);
    }

    /// <inheritdoc/>
    public Task<IdentityResult> DeleteAsync(Account user, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(user);
        return Task.FromResult(Remove(user.Id)
            ? IdentityResult.Success
            : IdentityResult.Failed(new IdentityError { Code = "LastAdministrator", Description = "The last administrator stays." }));
    }

    /// <inheritdoc/>
    public Task<Account?> FindByIdAsync(string userId, CancellationToken cancellationToken) => Task.FromResult(One("id", userId));

    /// <inheritdoc/>
    public Task<Account?> FindByNameAsync(string normalizedUserName, CancellationToken cancellationToken) =>
        Task.FromResult(One("normalized_name", normalizedUserName));

    private Account? One(string column, string value)
    {
        using var connection = database.Open();
        var found = connection.QuerySingleOrDefault<Account>($"SELECT {Columns} FROM account WHERE {column} = @value", new { value });
        if (found is not null)
        {
            found.HashAsRead = found.PasswordHash;
        }

        return found;
    }

    /// <inheritdoc/>
    public Task<string> GetUserIdAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.Id);

    /// <inheritdoc/>
    public Task<string?> GetUserNameAsync(Account user, CancellationToken cancellationToken) => Task.FromResult<string?>(user.Name);

    /// <inheritdoc/>
    public Task SetUserNameAsync(Account user, string? userName, CancellationToken cancellationToken) =>
        Set(() => user.Name = userName ?? string.Empty);

    /// <inheritdoc/>
    public Task<string?> GetNormalizedUserNameAsync(Account user, CancellationToken cancellationToken) =>
        Task.FromResult<string?>(user.NormalizedName);

    /// <inheritdoc/>
    public Task SetNormalizedUserNameAsync(Account user, string? normalizedName, CancellationToken cancellationToken) =>
        Set(() => user.NormalizedName = normalizedName ?? string.Empty);

    /// <inheritdoc/>
    public Task SetPasswordHashAsync(Account user, string? passwordHash, CancellationToken cancellationToken) =>
        Set(() => user.PasswordHash = passwordHash ?? string.Empty);

    /// <inheritdoc/>
    public Task<string?> GetPasswordHashAsync(Account user, CancellationToken cancellationToken) =>
        Task.FromResult<string?>(user.PasswordHash);

    /// <inheritdoc/>
    public Task<bool> HasPasswordAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(user.PasswordHash.Length > 0);

    /// <inheritdoc/>
    public Task<DateTimeOffset?> GetLockoutEndDateAsync(Account user, CancellationToken cancellationToken) =>
        Task.FromResult(user.LockedUntilUtc is { } until ? Instant.Read(until) : (DateTimeOffset?)null);

    /// <inheritdoc/>
    public Task SetLockoutEndDateAsync(Account user, DateTimeOffset? lockoutEnd, CancellationToken cancellationToken) =>
        Set(() => user.LockedUntilUtc = lockoutEnd is { } until ? Instant.Text(until) : null);

    /// <inheritdoc/>
    public Task<int> IncrementAccessFailedCountAsync(Account user, CancellationToken cancellationToken)
    {
        // Counted where it is stored: tries at the same time each count.
        using var connection = database.Open();
        user.FailedCount = connection.QuerySingle<long>("UPDATE account SET failed_count = failed_count + 1 WHERE id = @Id RETURNING "
            + "failed_count", user);
        return Task.FromResult((int)user.FailedCount);
    }

    /// <inheritdoc/>
    public Task ResetAccessFailedCountAsync(Account user, CancellationToken cancellationToken) => Set(() => user.FailedCount = 0);

    /// <inheritdoc/>
    public Task<int> GetAccessFailedCountAsync(Account user, CancellationToken cancellationToken) => Task.FromResult((int)user.FailedCount);

    /// <inheritdoc/>
    public Task<bool> GetLockoutEnabledAsync(Account user, CancellationToken cancellationToken) => Task.FromResult(true);

    /// <inheritdoc/>
    public Task SetLockoutEnabledAsync(Account user, bool enabled, CancellationToken cancellationToken) => Task.CompletedTask;

    /// <inheritdoc/>
    public void Dispose() => GC.SuppressFinalize(this);

    private static Task Set(Action set)
    {
        set();
        return Task.CompletedTask;
    }

    private static string Stored(AccountRole role) => role.ToString().ToLowerInvariant();
}
