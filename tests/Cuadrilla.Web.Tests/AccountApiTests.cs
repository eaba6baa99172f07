using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Data.Accounts;
using Microsoft.AspNetCore.Identity;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;

namespace Cuadrilla.Web.Tests;

/// <summary>Signing in, sessions, passwords and who did what.</summary>
public sealed class AccountApiTests(AccountHost host) : IClassFixture<AccountHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Who_did_what_is_the_account_whatever_the_client_says()
    {
        var client = await host.SignedInAsync("engineer");
        using var made = await client.PostAsJsonAsync("/api/projects",
            new JsonObject { ["name"] = "Pump house", ["who"] = "administrator" }, Stop);
        var project = await made.Body();
        using var saved = await client.Save(project, 1, s => s["name"] = "Pump house two");
        Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
        using var undone = await client.Step(project, "undo", 2);
        using var like = await client.ImportDemo() is { } demo
            ? await client.PostAsJsonAsync("/api/templates",
                new JsonObject { ["projectId"] = (string?)demo["id"],
                    ["pointId"] = (string?)demo["specification"]!["lineups"]![0]!["drivePoints"]![0]!["id"], ["name"] = "mill",
                    ["who"] = "somebody" }, Stop)
            : throw new InvalidOperationException();
        Assert.Equal("engineer", (string?)(await like.Body())["who"]);
        var history = await client.GetFromJsonAsync<JsonArray>($"/api/projects/{project["id"]}/history", Stop);
        Assert.Equal(3, history!.Count);
        Assert.All(history, h => Assert.Equal("engineer", (string?)h!["who"]));
    }

    [Fact]
    public async Task Wrong_passwords_lock_the_account_and_the_answer_is_the_same_for_all()
    {
        await host.AddAsync("locked", AccountRole.Engineer);
        var client = await host.SignedInAsync();
        string? said = null;
        foreach (var (name, password) in Enumerable.Repeat(("locked", "wrong wrong wrong"), AccountRules.MostTries)
            .Append(("locked", AccountHost.Password)).Append(("nobody of that name", "x")))
        {
            using var answer = await client.PostAsJsonAsync("/api/session",
                new JsonObject { ["name"] = name, ["password"] = password }, Stop);
            Assert.Equal(HttpStatusCode.Unauthorized, answer.StatusCode);
            Assert.False(answer.Headers.Contains("Set-Cookie"));
            var detail = (string?)(await answer.Body())["detail"];
            Assert.Equal(said ??= detail, detail);
        }

        // An administrator sees it and opens it again with a new password.
        var administrator = await host.SignedInAsync("administrator");
        var locked = (await administrator.GetFromJsonAsync<JsonArray>("/api/accounts", Stop))!.Single(a =>
            (string?)a!["name"] == "locked")!;
        Assert.NotNull(locked["lockedUntilUtc"]);
        using var opened = await administrator.PostAsJsonAsync($"/api/accounts/{locked["id"]}",
            new JsonObject { ["password"] = "seven grey herons" }, Stop);
        Assert.Equal(HttpStatusCode.OK, opened.StatusCode);
        await host.SignedInAsync("LOCKED", "seven grey herons");
    }

    [Fact]
    public async Task Sessions_are_listed_and_ended_and_what_a_role_may_do_is_asked_anew()
    {
        await host.AddAsync("two windows", AccountRole.Engineer);
        var (one, other) = (await host.SignedInAsync("two windows"), await host.SignedInAsync("two windows"));
        var open = (await one.GetFromJsonAsync<JsonArray>("/api/sessions", Stop))!;
        Assert.Equal(2, open.Count);
        Assert.Single(open, s => (bool?)s!["isThis"] == true);

        // Those of others are neither seen nor ended.
        var reader = await host.SignedInAsync("reader");
        var theirs = open.First(s => (bool?)s!["isThis"] != true)!;
        Assert.Equal(HttpStatusCode.NotFound, (await reader.DeleteAsync($"/api/sessions/{theirs["id"]}", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await one.DeleteAsync($"/api/sessions/{theirs["id"]}", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await other.GetAsync("/api/projects", Stop)).StatusCode);

        var administrator = await host.SignedInAsync("administrator");
        var account = (await administrator.GetFromJsonAsync<JsonArray>("/api/accounts", Stop))!.Single(a =>
            (string?)a!["name"] == "two windows")!;
        await administrator.PostAsJsonAsync($"/api/accounts/{account["id"]}", new JsonObject { ["role"] = "reader" }, Stop);
        using var refused = await one.PostAsJsonAsync("/api/projects", new JsonObject { ["name"] = "x", ["who"] = "x" }, Stop);
        Assert.Equal("urn:cuadrilla:role", (string?)(await refused.Body())["type"]);
        Assert.Equal("The account two windows is reader; allowed: engineer and above.", (string?)(await refused.Body())["detail"]);

        await one.DeleteAsync("/api/session", Stop);
        Assert.Equal(HttpStatusCode.Unauthorized, (await one.GetAsync("/api/projects", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await administrator.DeleteAsync($"/api/accounts/{account["id"]}", Stop)).StatusCode);
    }

    [Fact]
    public async Task A_new_password_ends_the_other_sessions()
    {
        await host.AddAsync("careful", AccountRole.Reader);
        var (one, other) = (await host.SignedInAsync("careful"), await host.SignedInAsync("careful"));
        foreach (var (current, next) in new[] { ("not that one at all", "seven grey herons"), (AccountHost.Password, "short"),
            (AccountHost.Password, "Careful careful 1"), (AccountHost.Password, "aaaaaaaaaaaaaa"), (AccountHost.Password, "qwertyuiop12") })
        {
            using var refused = await one.PostAsJsonAsync("/api/session/password",
                new JsonObject { ["current"] = current, ["next"] = next }, Stop);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.DoesNotContain(next, await refused.Content.ReadAsStringAsync(Stop), StringComparison.Ordinal);
        }

        using var changed = await one.PostAsJsonAsync("/api/session/password",
            new JsonObject { ["current"] = AccountHost.Password, ["next"] = "seven grey herons" }, Stop);
        Assert.Equal(HttpStatusCode.OK, changed.StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await one.GetAsync("/api/projects", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await other.GetAsync("/api/projects", Stop)).StatusCode);
    }

    [Fact]
    public async Task A_try_that_was_under_way_brings_neither_the_old_password_nor_fewer_tries_back()
    {
        await host.AddAsync("raced", AccountRole.Reader);
        using var scope = host.Server.Services.CreateScope();
        var (users, accounts) = (scope.ServiceProvider.GetRequiredService<UserManager<Account>>(),
            scope.ServiceProvider.GetRequiredService<AccountStore>());
        var (one, other) = ((await users.FindByNameAsync("raced"))!, (await users.FindByNameAsync("raced"))!);

        // Two wrong tries at once: both count, whichever is written last.
        await accounts.IncrementAccessFailedCountAsync(one, Stop);
        await accounts.IncrementAccessFailedCountAsync(other, Stop);
        await accounts.UpdateAsync(other, Stop);
        await accounts.UpdateAsync(one, Stop);
        Assert.Equal(2, (await users.FindByNameAsync("raced"))!.FailedCount);

        // A new password is set before the wrong try is written down.
        Assert.True((await Passwords.SetAsync(users, accounts, other, "seven grey herons")).Succeeded);
        await users.AccessFailedAsync(one);
        await host.SignedInAsync("raced", "seven grey herons");
    }

    [Fact]
    public async Task The_last_administrator_stays()
    {
        var client = await host.SignedInAsync("administrator");
        var own = (await client.GetFromJsonAsync<JsonArray>("/api/accounts", Stop))!.Single(a => (string?)a!["role"] == "administrator")!;
        Assert.Equal(HttpStatusCode.BadRequest, (await client.DeleteAsync($"/api/accounts/{own["id"]}", Stop)).StatusCode);
        using var lowered = await client.PostAsJsonAsync($"/api/accounts/{own["id"]}", new JsonObject { ["role"] = "reader" }, Stop);
        Assert.Equal(HttpStatusCode.BadRequest, lowered.StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync("/api/accounts", Stop)).StatusCode);
    }

    [Theory]
    [InlineData("engineer", "nine tall chimneys", "already")]
    [InlineData("ENGINEER", "nine tall chimneys", "already")]
    [InlineData("", "nine tall chimneys", "1 to 60")]
    [InlineData("left \u202E right", "nine tall chimneys", "none that controls")]
    [InlineData("new", "too short", "12 to 128")]
    public async Task Names_and_passwords_are_refused_by_a_sentence(string name, string password, string says)
    {
        var client = await host.SignedInAsync("administrator");
        using var answer = await client.PostAsJsonAsync("/api/accounts",
            new JsonObject { ["name"] = name, ["password"] = password, ["role"] = "reader" }, Stop);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Contains(says, (string?)(await answer.Body())["detail"], StringComparison.Ordinal);
    }

    [Fact]
    public async Task The_cookie_is_kept_from_scripts_and_other_sites_and_no_key_or_password_is_stored()
    {
        using var client = host.Server.CreateClient(new() { HandleCookies = false });
        using var answer = await client.PostAsJsonAsync("/api/session",
            new JsonObject { ["name"] = "engineer", ["password"] = AccountHost.Password }, Stop);
        var cookie = Assert.Single(answer.Headers.GetValues("Set-Cookie"));
        Assert.Contains("httponly", cookie, StringComparison.OrdinalIgnoreCase);
        Assert.Contains("samesite=strict", cookie, StringComparison.OrdinalIgnoreCase);
        using var connection = new SqliteConnection("Data Source="
            + $"{Path.Combine(host.Server.Folder, "cuadrilla.db")};Mode=ReadOnly;Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT group_concat(password_hash) || (SELECT group_concat(key_hash) FROM session) FROM account";
        var stored = (string)command.ExecuteScalar()!;
        Assert.DoesNotContain(AccountHost.Password, stored, StringComparison.Ordinal);
        Assert.DoesNotContain(cookie.Split('=', ';')[1][..20], stored, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Tries_from_one_address_are_counted_whatever_the_account()
    {
        using var strict = new WebHost { TriesPerMin = null };
        var client = strict.CreateClient();
        for (var i = 0; i < 20; i++)
        {
            using var wrong = await client.PostAsJsonAsync("/api/session",
                new JsonObject { ["name"] = $"somebody {i}", ["password"] = "x" }, Stop);
            Assert.Equal(HttpStatusCode.Unauthorized, wrong.StatusCode);
        }

        using var more = await client.PostAsJsonAsync("/api/session", new JsonObject { ["name"] = "one more", ["password"] = "x" }, Stop);
        Assert.Equal((HttpStatusCode.TooManyRequests, "60"), (more.StatusCode, more.Headers.GetValues("Retry-After").Single()));
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync("/api/projects", Stop)).StatusCode);
    }

    [Fact]
    public async Task Without_accounts_the_program_is_one_persons_and_makes_none_by_itself()
    {
        using var alone = new WebHost();
        var client = alone.CreateClient();
        var session = await (await client.GetAsync("/api/session", Stop)).Body();
        Assert.Equal((false, null), ((bool?)session["hasAccounts"], (string?)session["name"]));
        using var made = await client.PostAsJsonAsync("/api/accounts",
            new JsonObject { ["name"] = "me", ["password"] = AccountHost.Password, ["role"] = "administrator" }, Stop);
        Assert.Equal(HttpStatusCode.BadRequest, made.StatusCode);
        Assert.Contains("./cuadrilla user add", (string?)(await made.Body())["detail"], StringComparison.Ordinal);
        using var project = await client.PostAsJsonAsync("/api/projects",
            new JsonObject { ["name"] = "x", ["who"] = "site engineer" }, Stop);
        var history = await client.GetFromJsonAsync<JsonArray>($"/api/projects/{(await project.Body())["id"]}/history", Stop);
        Assert.Equal("site engineer", (string?)history![0]!["who"]);
        using var turned = await client.PostAsJsonAsync("/api/projects",
            new JsonObject { ["name"] = "x", ["who"] = "site\u202Eengineer" }, Stop);
        Assert.Contains("U+202E", (string?)(await turned.Body())["detail"], StringComparison.Ordinal);
    }
}
