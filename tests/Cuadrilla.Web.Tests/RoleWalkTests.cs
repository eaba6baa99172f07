using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Cuadrilla.Web.Tests;

/// <summary>Every endpoint of the OpenAPI document, tried by every role and by nobody.</summary>
public sealed class RoleWalkTests(AccountHost host) : IClassFixture<AccountHost>
{
    // Whoever reads, calculates and asks writes nothing.
    private static readonly HashSet<string> PostsOfReaders =
        ["/api/calc/{name}", "/api/assess", "/api/tables/xlsx", "/api/projects/{id}/commands/possible",
            "/api/projects/{id}/drive-list/judge", "/api/projects/{id}/measurements/compare", "/api/session/password"];

    [Fact]
    public async Task Each_endpoint_is_open_to_the_roles_that_it_states_and_to_no_other()
    {
        var stop = TestContext.Current.CancellationToken;
        var reader = await host.SignedInAsync("reader");
        var paths = (await reader.GetFromJsonAsync<JsonObject>("/api/openapi.json", stop))!["paths"]!.AsObject();
        var tried = 0;
        foreach (var role in AccountHost.Roles.Prepend(string.Empty))
        {
            var client = await host.SignedInAsync(role);
            foreach (var (path, operations) in paths)
            {
                foreach (var (method, operation) in operations!.AsObject())
                {
                    var least = (string?)operation!["x-role"];
                    Assert.True(least == "anyone" || AccountHost.Roles.Contains(least), $"{method} {path} states no role");
                    using var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()),
                        Regex.Replace(path, "{[^}]*}", "7"))
                    {
                        Content = operation["requestBody"]?["content"]?.AsObject().First().Key is { } type
                            ? new StringContent("{}", Encoding.UTF8, type)
                            : null,
                    };

                    // Signing out would end the walk.
                    if ((method, path) == ("delete", "/api/session"))
                    {
                        continue;
                    }

                    using var answer = await client.SendAsync(request, HttpCompletionOption.ResponseHeadersRead, stop);
                    var expected = least == "anyone" ? Outcome.Open
                        : role.Length == 0 ? Outcome.SignInFirst
                        : Array.IndexOf(AccountHost.Roles, role) >= Array.IndexOf(AccountHost.Roles, least) ? Outcome.Open
                            : Outcome.NotOfTheRole;
                    var found = await Found(answer);
                    Assert.True(found == expected, $"{method} {path} by '{role}': {answer.StatusCode}, expected {expected}");
                    tried++;
                }
            }
        }

        Assert.True(tried > 250, $"{tried}");
    }

    [Fact]
    public async Task What_changes_something_asks_for_more_than_reading()
    {
        var paths = (await (await host.SignedInAsync("reader"))
            .GetFromJsonAsync<JsonObject>("/api/openapi.json", TestContext.Current.CancellationToken))!["paths"]!.AsObject();
        foreach (var (path, operations) in paths)
        {
            foreach (var (method, operation) in operations!.AsObject()
                .Where(o => o.Key != "get" && !o.Value!["tags"]!.AsArray().Any(t => (string?)t == "Accounts")))
            {
                Assert.True(PostsOfReaders.Contains(path) == ((string?)operation!["x-role"] == "reader"),
                    $"{method} {path}: {operation["x-role"]}");
            }
        }
    }

    [Fact]
    public async Task Pages_are_there_for_who_has_not_signed_in_yet_and_hold_nothing()
    {
        var client = await host.SignedInAsync();
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync("/api/health", TestContext.Current.CancellationToken)).StatusCode);
        var session = await (await client.GetAsync("/api/session", TestContext.Current.CancellationToken)).Body();
        Assert.True((bool?)session["hasAccounts"]);
        Assert.Null(session["name"]);
        Assert.Equal(HttpStatusCode.Unauthorized,
            (await client.GetAsync("/api/openapi.json", TestContext.Current.CancellationToken)).StatusCode);
    }

    private enum Outcome
    {
        Open,
        SignInFirst,
        NotOfTheRole,
    }

    private static async Task<Outcome> Found(HttpResponseMessage answer) => answer.StatusCode switch
    {
        HttpStatusCode.Unauthorized when (string?)(await answer.Body())["detail"] == "Sign in first." => Outcome.SignInFirst,
        HttpStatusCode.Forbidden when (string?)(await answer.Body())["type"] == "urn:cuadrilla:role" => Outcome.NotOfTheRole,
        _ => Outcome.Open,
    };
}
