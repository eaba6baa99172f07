using Microsoft.AspNetCore.Identity;

namespace Cuadrilla.Data.Accounts;

/// <summary>Passwords set anew, by the rules: what was being done with the account at the same time does not bring the old one
/// back.</summary>
public static class Passwords
{
    /// <summary>Sets one; the account is not locked then.</summary>
    /// <param name="users">Its rules and hasher.</param>
    /// <param name="accounts">Where it is stored.</param>
    /// <param name="account">The account.</param>
    /// <param name="password">The password.</param>
    /// <returns>What is wrong with it; nothing was changed then.</returns>
    public static async Task<IdentityResult> SetAsync(UserManager<Account> users, AccountStore accounts, Account account, string password)
    {
        ArgumentNullException.ThrowIfNull(users);
        ArgumentNullException.ThrowIfNull(accounts);
        ArgumentNullException.ThrowIfNull(account);
        foreach (var rule in users.PasswordValidators)
        {
            if (await rule.ValidateAsync(users, account, password) is { Succeeded: false } refused)
            {
                return refused;
            }
        }

        accounts.SetPassword(account.Id, users.PasswordHasher.HashPassword(account, password));
        return IdentityResult.Success;
    }
}
