using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Who may talk to the server, and what every answer says of itself.</summary>
public sealed class DoorTests(WebHost host) : IClassFixture<WebHost>
{
    private const string Create = "{\"name\":\"x\",\"who\":\"y\"}";

    [Theory]
    [InlineData("evil.example")]
    [InlineData("127.0.0.1.evil.example")]
    [InlineData("localhost.evil.example:5080")]
    [InlineData("10.0.0.7")]
    public async Task A_foreign_name_opens_nothing(string name)
    {
        foreach (var path in new[] { "/api/projects", "/api/health", "/", "/plants/x" })
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, path) { Headers = { Host = name } };
            using var answer = await host.CreateClient().SendAsync(request, TestContext.Current.CancellationToken);
            Assert.Equal(HttpStatusCode.MisdirectedRequest, answer.StatusCode);
            Assert.Equal("urn:cuadrilla:unknown-host", (string?)(await answer.Body())["type"]);
            Says(answer);
        }
    }

    [Theory]
    [InlineData("localhost")]
    [InlineData("LOCALHOST:5080")]
    [InlineData("127.0.0.1:80")]
    [InlineData("[::1]:5080")]
    public async Task Names_of_this_machine_are_answered(string name)
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/projects") { Headers = { Host = name } };
        Assert.Equal(HttpStatusCode.OK, (await host.CreateClient().SendAsync(request, TestContext.Current.CancellationToken)).StatusCode);
    }

    [Theory]
    [InlineData("Origin", "http://evil.example")]
    [InlineData("Origin", "null")]
    [InlineData("Origin", "http://localhost:8080")]
    [InlineData("Origin", "https://localhost")]
    [InlineData("Origin", "http://localhost.evil.example")]
    [InlineData("Sec-Fetch-Site", "cross-site")]
    [InlineData("Sec-Fetch-Site", "same-site")]
    [InlineData("Sec-Fetch-Site", "nonsense")]
    public async Task A_write_from_another_site_is_refused_and_changes_nothing(string header, string value)
    {
        var client = host.CreateClient();
        var before = await client.GetStringAsync("/api/projects", TestContext.Current.CancellationToken);
        foreach (var path in new[] { "/api/projects", "/api/projects/import", "/api/calc/motor-losses" })
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, path) { Content = Calls.Json(Create),
                Headers = { { header, value } } };
            using var answer = await client.SendAsync(request, TestContext.Current.CancellationToken);
            Assert.Equal(HttpStatusCode.Forbidden, answer.StatusCode);
            Says(answer);
        }

        Assert.Equal(before, await client.GetStringAsync("/api/projects", TestContext.Current.CancellationToken));
    }

    [Theory]
    [InlineData("Origin", "http://localhost")]
    [InlineData("Sec-Fetch-Site", "same-origin")]
    public async Task A_write_from_a_page_of_its_own_is_taken(string header, string value)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/projects") { Content = Calls.Json(Create),
            Headers = { { header, value } } };
        Assert.Equal(HttpStatusCode.Created,
            (await host.CreateClient().SendAsync(request, TestContext.Current.CancellationToken)).StatusCode);
    }

    [Theory]
    [InlineData("GET", "/api/projects", 200)]
    [InlineData("GET", "/api/nothing", 404)]
    [InlineData("DELETE", "/api/projects", 405)]
    [InlineData("PUT", "/api/catalogue", 405)]
    [InlineData("OPTIONS", "/api/projects/x", 405)]
    [InlineData("PATCH", "/api/projects/x/edits", 405)]
    [InlineData("GET", "/api/projects/x/edits", 405)]
    [InlineData("TRACE", "/api/health", 405)]
    [InlineData("HEAD", "/api/projects", 200)]
    [InlineData("HEAD", "/api/nothing", 404)]
    [InlineData("GET", "/api/projects/none", 404)]
    [InlineData("POST", "/api/projects", 415)]
    public async Task Every_answer_carries_the_headers_and_every_refusal_is_a_problem_document(string method, string path, int status)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        using var answer = await host.CreateClient().SendAsync(request, TestContext.Current.CancellationToken);
        Assert.Equal(status, (int)answer.StatusCode);
        Says(answer);
        if (status >= 400)
        {
            Assert.Equal("application/problem+json", answer.Content.Headers.ContentType?.MediaType);
        }

        if (status == 405)
        {
            Assert.NotEmpty(answer.Content.Headers.Allow);
        }
    }

    [Fact]
    public async Task Every_endpoint_refuses_every_other_method_by_a_problem_document()
    {
        var client = host.CreateClient();
        var document = (await client.GetFromJsonAsync<JsonObject>("/api/openapi.json", TestContext.Current.CancellationToken))!;
        var tried = 0;
        foreach (var (path, operations) in document["paths"]!.AsObject())
        {
            var known = operations!.AsObject().Select(o => o.Key.ToUpperInvariant()).ToList();
            // Read or removed, the address of an import is that of a project of this key.
            foreach (var method in new[] { "GET", "POST", "PUT", "DELETE", "PATCH" }.Except(known)
                .Where(m => m is not ("GET" or "DELETE") || path != "/api/projects/import"))
            {
                using var request = new HttpRequestMessage(new HttpMethod(method),
                    path.Replace("{", "a", StringComparison.Ordinal).Replace("}", "z",
                        StringComparison.Ordinal)) { Content = method == "GET" ? null : Calls.Json("{}") };
                using var answer = await client.SendAsync(request, TestContext.Current.CancellationToken);
                Assert.True(answer.StatusCode == HttpStatusCode.MethodNotAllowed, $"{method} {path}: {answer.StatusCode}");
                Assert.Equal("urn:cuadrilla:method", (string?)(await answer.Body())["type"]);
                tried++;
            }
        }

        Assert.True(tried > 150, $"{tried}");
    }

    [Theory]
    [InlineData("--urls", "http://0.0.0.0:0")]
    [InlineData("--urls", "http://127.0.0.1:0;http://*:0")]
    [InlineData("--urls", "http://plant-server:0")]
    [InlineData("--http_ports", "0")]
    [InlineData("--Kestrel:Endpoints:Open:Url", "http://[::]:0")]
    public async Task It_refuses_to_listen_where_others_reach_it(string option, string value)
    {
        using var server = Process.Start(new ProcessStartInfo("dotnet",
            [ServerProcess.Program, "--data", host.Folder, option, value]) { RedirectStandardError = true })!;
        await server.WaitForExitAsync(TestContext.Current.CancellationToken)
            .WaitAsync(TimeSpan.FromSeconds(30), TestContext.Current.CancellationToken);
        Assert.Equal(2, server.ExitCode);
        var said = await server.StandardError.ReadToEndAsync(TestContext.Current.CancellationToken);
        Assert.Contains("does not listen on", said, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", said, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("--urls garbage", "'garbage' is no address to listen on; allowed: http://NAME:PORT")]
    [InlineData("--urls http://127.0.0.1:99999", "'http://127.0.0.1:99999' is no address to listen on")]
    [InlineData("--http_ports 80,81", "'80,81' of --http_ports is no port; allowed: 0 to 65535")]
    [InlineData("--urls https://127.0.0.1:0", "https://127.0.0.1:0 wants a certificate: --certificate FILE and --certificateKey FILE")]
    [InlineData("--urls https://0.0.0.0:0 --certificate {folder}/none.pem", "wants its key: --certificateKey FILE")]
    [InlineData("--urls https://0.0.0.0:0 --certificate {folder}/none.pem --certificateKey {folder}/none.pem",
        "can't be used: Could not find file")]
    [InlineData("--urls https://0.0.0.0:0 --certificate {folder}/cuadrilla.db --certificateKey {folder}/cuadrilla.db",
        "two PEM files that go together")]
    [InlineData("--urls http://127.0.0.1:0 --proxy:0 nonsense", "'nonsense' of --proxy is no address; allowed: the IP address")]
    [InlineData("--urls http://127.0.0.1:0 --hosts:0 x/y", "'x/y' of --hosts is no name of a machine; allowed: a name or an IP address")]
    [InlineData("--urls http://127.0.0.1:0 --largestMB 0", "LargestMB")]
    [InlineData("--urls http://127.0.0.1:0 --largestMB much", "'much'")]
    [InlineData("--urls http://203.0.113.7:0 --proxy:0 127.0.0.1 --hosts:0 plant-server", "user add NAME administrator")]
    public async Task What_it_can_not_be_told_is_said_in_a_line(string told, string says)
    {
        var options = told.Replace("{folder}", host.Folder, StringComparison.Ordinal).Split(' ');
        using var server = Process.Start(new ProcessStartInfo("dotnet",
            [ServerProcess.Program, "--data", host.Folder, .. options]) { RedirectStandardError = true })!;
        await server.WaitForExitAsync(TestContext.Current.CancellationToken)
            .WaitAsync(TimeSpan.FromSeconds(30), TestContext.Current.CancellationToken);
        Assert.Equal(2, server.ExitCode);
        var said = await server.StandardError.ReadToEndAsync(TestContext.Current.CancellationToken);
        Assert.Contains(says, said, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", said, StringComparison.Ordinal);
        Assert.Single(said.Split('\n', StringSplitOptions.RemoveEmptyEntries));
    }

    private static void Says(HttpResponseMessage answer)
    {
        string Header(string name) => answer.Headers.TryGetValues(name, out var values) ? string.Join(',', values) : string.Empty;
        Assert.Contains("default-src 'none'", Header("Content-Security-Policy"), StringComparison.Ordinal);
        Assert.Equal("nosniff", Header("X-Content-Type-Options"));
        Assert.Equal("same-origin", Header("Cross-Origin-Resource-Policy"));
        Assert.Equal("same-origin", Header("Cross-Origin-Opener-Policy"));
        Assert.Equal("no-referrer", Header("Referrer-Policy"));
        Assert.Contains("no-", Header("Cache-Control"), StringComparison.Ordinal);
    }
}
