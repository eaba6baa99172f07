using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Documents.Demo;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;

namespace Cuadrilla.Web.Tests;

/// <summary>The real program on a real SQLite file in a folder of its own.</summary>
public sealed class WebHost : WebApplicationFactory<Program>
{
    public string Folder { get; } = Directory.CreateTempSubdirectory("cuadrilla-test-").FullName;

    /// <summary>How often a minute one may try a password; the program's own for the test of that.</summary>
    public int? TriesPerMin { get; init; } = 1000;

    protected override void ConfigureWebHost(IWebHostBuilder builder)
    {
        builder.UseSetting("data", Folder);
        if (TriesPerMin is { } tries)
        {
            builder.UseSetting("triesPerMin", $"{tries}");
        }
    }

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing)
        {
            TestFolder.Remove(Folder);
        }
    }
}

/// <summary>The same with an account of each role, made as the command line makes them.</summary>
public sealed class AccountHost : IDisposable
{
    public const string Password = "nine tall chimneys";

    public static readonly string[] Roles = ["reader", "engineer", "reviewer", "administrator"];

    public AccountHost()
    {
        foreach (var role in Roles.Reverse())
        {
            AddAsync(role, Enum.Parse<AccountRole>(role, ignoreCase: true)).GetAwaiter().GetResult();
        }
    }

    public WebHost Server { get; } = new();

    public async Task AddAsync(string name, AccountRole role)
    {
        using var scope = Server.Services.CreateScope();
        var made = await scope.ServiceProvider.GetRequiredService<UserManager<Account>>()
            .CreateAsync(new Account { Name = name, Role = role }, Password);
        Assert.True(made.Succeeded, string.Join(' ', made.Errors.Select(e => e.Description)));
    }

    /// <summary>A browser that is signed in; without a name one that is not.</summary>
    public async Task<HttpClient> SignedInAsync(string name = "", string password = Password)
    {
        var client = Server.CreateClient();
        if (name.Length > 0)
        {
            using var answer = await client.PostAsJsonAsync("/api/session", new JsonObject { ["name"] = name, ["password"] = password });
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        }

        return client;
    }

    public void Dispose() => Server.Dispose();
}

/// <summary>Calls that tests share.</summary>
internal static class Calls
{
    public static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");

    public static async Task<JsonNode> Body(this HttpResponseMessage response) =>
        JsonNode.Parse(await response.Content.ReadAsStringAsync())!;

    public static async Task<JsonNode> ImportDemo(this HttpClient client)
    {
        using var content = Json(Encoding.UTF8.GetString(DemoPlant.File()));
        using var response = await client.PostAsync("/api/projects/import", content);
        response.EnsureSuccessStatusCode();
        return await response.Body();
    }

    public static Task<HttpResponseMessage> Save(this HttpClient client, JsonNode project, long basedOn, Action<JsonNode> change,
        string label = "test")
    {
        var specification = project["specification"]!.DeepClone();
        change(specification);
        return client.PostAsJsonAsync(
            $"/api/projects/{project["id"]}/edits",
            new JsonObject { ["basedOn"] = basedOn, ["label"] = label, ["who"] = "tester", ["specification"] = specification });
    }

    public static Task<HttpResponseMessage> Step(this HttpClient client, JsonNode project, string step, long basedOn) =>
        client.PostAsJsonAsync($"/api/projects/{project["id"]}/{step}", new JsonObject { ["basedOn"] = basedOn, ["who"] = "tester" });
}
