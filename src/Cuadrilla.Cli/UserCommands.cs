using Cuadrilla.Core.Base;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Projects;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;

namespace Cuadrilla.Cli;

/// <summary>Accounts from the machine itself: the first administrator, and what helps who is locked out.</summary>
internal static class UserCommands
{
    /// <summary>Says all accounts, one a line.</summary>
    public static string List(string database)
    {
        using var services = Services(database);
        return string.Concat(services.GetRequiredService<AccountStore>().List()
            .Select(a => $"{a.Name}\t{a.Role.ToString().ToLowerInvariant()}"
                + $"{(a.LockedUntilUtc is { } until ? $"\tlocked until {until}" : string.Empty)}\n"));
    }

    /// <summary>Makes an account.</summary>
    public static string Add(string database, string name, string role, string password)
    {
        using var services = Services(database);
        using var scope = services.CreateScope();
        var wanted = Role(role);
        if (wanted != AccountRole.Administrator && !services.GetRequiredService<AccountStore>().HasAny())
        {
            throw new InputException(InputProblem.Of("/role", "Role of the first account", role, "administrator"));
        }

        Require(scope.ServiceProvider.GetRequiredService<UserManager<Account>>()
            .CreateAsync(new Account { Name = name, Role = wanted }, password).GetAwaiter().GetResult());
        return $"{name} may sign in as {role}.\n";
    }

    /// <summary>Sets a password, unlocks the account and ends its sessions.</summary>
    public static string SetPassword(string database, string name, string password)
    {
        using var services = Services(database);
        using var scope = services.CreateScope();
        var users = scope.ServiceProvider.GetRequiredService<UserManager<Account>>();
        var account = Named(users, name);
        Require(Passwords.SetAsync(users, services.GetRequiredService<AccountStore>(), account, password).GetAwaiter().GetResult());
        services.GetRequiredService<SessionStore>().EndAll(account.Id, string.Empty);
        return $"{account.Name} has a new password; their sessions are ended.\n";
    }

    /// <summary>Changes what an account may do.</summary>
    public static string SetRole(string database, string name, string role)
    {
        using var services = Services(database);
        using var scope = services.CreateScope();
        var account = Named(scope.ServiceProvider.GetRequiredService<UserManager<Account>>(), name);
        return services.GetRequiredService<AccountStore>().ChangeRole(account.Id, Role(role))
            ? $"{account.Name} is {role}.\n"
            : throw LastStays();
    }

    /// <summary>Removes an account with its sessions; what it did stays in the histories under its name.</summary>
    public static string Remove(string database, string name)
    {
        using var services = Services(database);
        using var scope = services.CreateScope();
        var account = Named(scope.ServiceProvider.GetRequiredService<UserManager<Account>>(), name);
        return services.GetRequiredService<AccountStore>().Remove(account.Id) ? $"{account.Name} is removed.\n" : throw LastStays();
    }

    private static ServiceProvider Services(string path)
    {
        var database = new Database(path);
        database.Migrate();
        var services = new ServiceCollection();
        services.AddSingleton(database);
        services.AddLogging();
        services.AddAccounts();
        return services.BuildServiceProvider();
    }

    private static Account Named(UserManager<Account> users, string name) => users.FindByNameAsync(name).GetAwaiter().GetResult()
        ?? throw new InputException(InputProblem.Of("/name", "Name", $"'{name}'",
            "the name of an account; './cuadrilla user list' says them"));

    private static AccountRole Role(string role) => Enum.GetNames<AccountRole>().Contains(role, StringComparer.OrdinalIgnoreCase)
        ? Enum.Parse<AccountRole>(role, ignoreCase: true)
        : throw new InputException(InputProblem.Of("/role", "Role", $"'{role}'",
            string.Join(", ", Enum.GetNames<AccountRole>()).ToLowerInvariant()));

    private static InputException LastStays() =>
        new(InputProblem.Of("/name", "Account", "the last administrator", "one beside whom there is another"));

    private static void Require(IdentityResult outcome)
    {
        if (!outcome.Succeeded)
        {
            throw new InputException([.. outcome.Errors.Select(e =>
                new InputProblem("/" + e.Code.ToLowerInvariant(), string.Empty, string.Empty, e.Description))]);
        }
    }
}
