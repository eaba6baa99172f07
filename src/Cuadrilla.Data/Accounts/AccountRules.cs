using Cuadrilla.Core.Base;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.DependencyInjection.Extensions;

namespace Cuadrilla.Data.Accounts;

/// <summary>What names and passwords of accounts must be, and how often one may try.</summary>
public static class AccountRules
{
    /// <summary>Least length of a password, characters (ASVS 2.1.1).</summary>
    public const int ShortestPassword = 12;

    /// <summary>Greatest length of a password, characters (ASVS 2.1.2).</summary>
    public const int LongestPassword = 128;

    /// <summary>Greatest length of a name, characters.</summary>
    public const int LongestName = 60;

    /// <summary>Wrong passwords after which an account is locked.</summary>
    public const int MostTries = 5;

    /// <summary>How long it is locked then, minutes.</summary>
    public const int LockedMin = 15;

    // PBKDF2 with HMAC-SHA512: the count that OWASP's password storage guide states for it.
    private const int HashRounds = 210_000;

    private const int FewestCharacters = 5;

    /// <summary>Registers the stores and the framework's user manager with these rules.</summary>
    public static void AddAccounts(this IServiceCollection services)
    {
        services.TryAddSingleton(TimeProvider.System);
        services.AddSingleton<AccountStore>();
        services.AddSingleton<SessionStore>();
        services.AddSingleton<IUserStore<Account>>(s => s.GetRequiredService<AccountStore>());
        services.Configure<PasswordHasherOptions>(hasher => hasher.IterationCount = HashRounds);

        // Replaces the framework's own, which want a capital, a digit and a sign, and know nothing of names.
        services.AddScoped<IUserValidator<Account>, NameRule>();
        services.AddScoped<IPasswordValidator<Account>, PasswordRule>();
        services.AddIdentityCore<Account>(identity =>
        {
            identity.Lockout.MaxFailedAccessAttempts = MostTries;
            identity.Lockout.DefaultLockoutTimeSpan = TimeSpan.FromMinutes(LockedMin);
        });
        services.RemoveAll<IPasswordValidator<Account>>();
        services.AddScoped<IPasswordValidator<Account>, PasswordRule>();
    }

    private static IdentityResult Wrong(string code, string says) =>
        IdentityResult.Failed(new IdentityError { Code = code, Description = says });

    private sealed class NameRule : IUserValidator<Account>
    {
        public Task<IdentityResult> ValidateAsync(UserManager<Account> manager, Account user) => Task.FromResult(
            user.Name.Length is 0 or > LongestName || user.Name != user.Name.Trim() || PlainWords.FirstStrange(user.Name) is not null
                ? Wrong("Name", $"The name has {user.Name.Length} characters; allowed: 1 to {LongestName}, none at an end that is blank, "
                    + "none that controls.")
                : IdentityResult.Success);
    }

    private sealed class PasswordRule : IPasswordValidator<Account>
    {
        public Task<IdentityResult> ValidateAsync(UserManager<Account> manager, Account user, string? password)
        {
            var given = password ?? string.Empty;
            if (given.Length is < ShortestPassword or > LongestPassword)
            {
                return Task.FromResult(Wrong("Password",
                    $"The password has {given.Length} characters; allowed: {ShortestPassword} to {LongestPassword}."));
            }

            // What is guessed first: the name, one sign over and over, a row of the keyboard or of the alphabet.
            var lower = given.ToLowerInvariant();
            var isGuessed = (user.Name.Length > 0 && lower.Contains(user.Name.ToLowerInvariant(), StringComparison.Ordinal))
                || lower.Distinct().Count() < FewestCharacters
                || lower.Contains("password", StringComparison.Ordinal) || lower.Contains("cuadrilla", StringComparison.Ordinal)
                    || IsRow(lower);
            return Task.FromResult(isGuessed
                ? Wrong("Password", "The password is easily guessed; allowed: one without the account's or the program's name, without "
                    + "'password', not one sign or one row of keys over and over.")
                : IdentityResult.Success);
        }

        // Most neighbours are neighbours on the keyboard or in the alphabet too.
        private static bool IsRow(string word)
        {
            string[] rows = ["qwertyuiop", "asdfghjkl", "zxcvbnm", "1234567890", "abcdefghijklmnopqrstuvwxyz", "qwertzuiop", "azertyuiop"];
            var steps = word.Zip(word.Skip(1)).Count(p =>
                rows.Any(r => r.Contains($"{p.First}{p.Second}", StringComparison.Ordinal)
                    || r.Contains($"{p.Second}{p.First}", StringComparison.Ordinal)));
            return steps * 4 >= (word.Length - 1) * 3;
        }
    }
}
