using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using System.Text.Json.Nodes;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;

namespace Cuadrilla.Web.Tests;

/// <summary>The program in a process of its own, where others than this machine reach it.</summary>
public sealed class ServedTests : IDisposable
{
    private const string Password = "nine tall chimneys";

    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-served-").FullName;

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Without_accounts_it_is_served_to_nobody_with_TLS_or_behind_a_proxy()
    {
        var (certificate, key) = Certificate();
        foreach (var options in new[] { new[] { "--urls", "https://0.0.0.0:0", "--certificate", certificate, "--certificateKey", key },
            ["--urls", "http://127.0.0.1:0", "--proxy:0", "127.0.0.1"] })
        {
            using var server = Process.Start(new ProcessStartInfo("dotnet",
                [ServerProcess.Program, "--data", folder, .. options]) { RedirectStandardError = true })!;
            await server.WaitForExitAsync(Stop).WaitAsync(TimeSpan.FromSeconds(60), Stop);
            Assert.Equal(2, server.ExitCode);
            var said = await server.StandardError.ReadToEndAsync(Stop);
            Assert.Contains("./cuadrilla user add NAME administrator", said, StringComparison.Ordinal);
            Assert.DoesNotContain("   at ", said, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData("https://0.0.0.0:0", false, "State the names by which they reach it: --hosts:0 plant-server")]
    [InlineData("https://203.0.113.7:0", true, "can't listen on https://203.0.113.7:0: ")]
    public async Task Where_it_would_reach_nobody_it_is_not_served(string url, bool isNamed, string says)
    {
        await AddAdministratorAsync();
        var (certificate, key) = Certificate();
        using var server = Process.Start(new ProcessStartInfo("dotnet",
            [ServerProcess.Program, "--data", folder, "--urls", url, "--certificate", certificate, "--certificateKey", key,
                .. isNamed ? new[] { "--hosts:0", "plant-server" } : []]) { RedirectStandardError = true, RedirectStandardOutput = true })!;
        await EndsSaying(server, says);
    }

    [Fact]
    public async Task A_port_that_another_has_is_said_in_a_line()
    {
        using var other = new TcpListener(IPAddress.Loopback, 0);
        other.Start();
        using var server = Process.Start(new ProcessStartInfo("dotnet",
            [ServerProcess.Program, "--data", folder, "--urls", $"http://127.0.0.1:{((IPEndPoint)other.LocalEndpoint).Port}"])
            { RedirectStandardError = true, RedirectStandardOutput = true })!;
        await EndsSaying(server, "Another program listens there");
    }

    // In one line, and in no other.
    private static async Task EndsSaying(Process server, string says)
    {
        await server.WaitForExitAsync(Stop).WaitAsync(TimeSpan.FromSeconds(60), Stop);
        Assert.Equal(2, server.ExitCode);
        var lines = (await server.StandardError.ReadToEndAsync(Stop) + await server.StandardOutput.ReadToEndAsync(Stop))
            .Split('\n', StringSplitOptions.RemoveEmptyEntries);
        Assert.Contains(says, Assert.Single(lines), StringComparison.Ordinal);
    }

    [Fact]
    public async Task With_TLS_and_accounts_it_is_served_and_its_cookie_stays_on_TLS()
    {
        await AddAdministratorAsync();
        var (certificate, key) = Certificate();
        var port = ServerProcess.FreePort();
        using var handler = new HttpClientHandler { ServerCertificateCustomValidationCallback = (_, presented, _, _) =>
            presented!.Subject == "CN=plant-server" };
        using var client = new HttpClient(handler) { BaseAddress = new Uri($"https://127.0.0.1:{port}") };
        using var server = await ServerProcess.StartAsync(folder, client, "--urls", $"https://0.0.0.0:{port}", "--certificate", certificate,
            "--certificateKey", key, "--hosts:0", "plant-server");
        Assert.Equal(HttpStatusCode.Unauthorized, (await client.GetAsync("/api/projects", Stop)).StatusCode);
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/session") { Headers = { Host = $"plant-server:{port}" },
            Content = SignIn() };
        using var answer = await client.SendAsync(request, Stop);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        Assert.Equal("max-age=31536000", answer.Headers.GetValues("Strict-Transport-Security").Single());
        var cookie = answer.Headers.GetValues("Set-Cookie").Single();
        Assert.StartsWith("__Host-cuadrilla=", cookie, StringComparison.Ordinal);
        Assert.Contains("; secure", cookie, StringComparison.OrdinalIgnoreCase);
    }

    [Fact]
    public async Task Behind_a_stated_proxy_it_is_reached_through_that_alone()
    {
        await AddAdministratorAsync();
        using var client = new HttpClient(new HttpClientHandler { UseCookies = false }) { BaseAddress = new Uri("http://127.0.0.1:"
            + $"{ServerProcess.FreePort()}") };
        client.DefaultRequestHeaders.Add("X-Forwarded-For", "192.0.2.7");
        client.DefaultRequestHeaders.Add("X-Forwarded-Proto", "https");
        client.DefaultRequestHeaders.Add("X-Forwarded-Host", "plant-server");
        using var server = await ServerProcess.StartAsync(
            folder, client, "--urls", client.BaseAddress.GetLeftPart(UriPartial.Authority), "--proxy:0", "127.0.0.1", "--hosts:0",
            "plant-server");
        using var direct = new HttpClient { BaseAddress = client.BaseAddress };
        Assert.Equal(HttpStatusCode.MisdirectedRequest, (await direct.GetAsync("/api/health", Stop)).StatusCode);
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/session") { Headers = { { "Origin", "https://plant-server" } },
            Content = SignIn() };
        using var answer = await client.SendAsync(request, Stop);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        using var foreign = new HttpRequestMessage(HttpMethod.Post,
            "/api/session") { Headers = { { "Origin", client.BaseAddress.GetLeftPart(UriPartial.Authority) } }, Content = SignIn() };
        Assert.Equal(HttpStatusCode.Forbidden, (await client.SendAsync(foreign, Stop)).StatusCode);
    }

    public void Dispose() => TestFolder.Remove(folder);

    private static JsonContent SignIn() => JsonContent.Create(new JsonObject { ["name"] = "chief", ["password"] = Password });

    private async Task AddAdministratorAsync()
    {
        var database = new Database(Path.Combine(folder, "cuadrilla.db"));
        database.Migrate();
        var services = new ServiceCollection().AddSingleton(database).AddLogging();
        services.AddAccounts();
        await using var provider = services.BuildServiceProvider();
        using var scope = provider.CreateScope();
        Assert.True((await scope.ServiceProvider.GetRequiredService<UserManager<Account>>()
            .CreateAsync(new Account { Name = "chief", Role = AccountRole.Administrator }, Password)).Succeeded);
    }

    private (string Certificate, string Key) Certificate()
    {
        using var pair = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        using var made = new CertificateRequest("CN=plant-server", pair, HashAlgorithmName.SHA256)
            .CreateSelfSigned(DateTimeOffset.UtcNow.AddDays(-1), DateTimeOffset.UtcNow.AddDays(1));
        var (certificate, key) = (Path.Combine(folder, "certificate.pem"), Path.Combine(folder, "key.pem"));
        File.WriteAllText(certificate, made.ExportCertificatePem());
        File.WriteAllText(key, pair.ExportPkcs8PrivateKeyPem());
        return (certificate, key);
    }
}
