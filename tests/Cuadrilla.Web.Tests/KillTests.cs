using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Acknowledged work survives <c>kill -9</c>, and undo still reaches back over the restart.</summary>
public sealed class KillTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-kill-").FullName;
    private readonly int port = FreePort();

    [Fact]
    public async Task An_acknowledged_edit_survives_the_death_of_the_server()
    {
        using var client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        JsonNode project;
        var last = 1;
        using (var server = await Start(client))
        {
            project = await client.ImportDemo();
            for (; last < 12; last++)
            {
                using var saved = await client.Save(project, last, s => s["site"]!["altitudeM"] = 100 + last);
                Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
            }

            // SIGKILL: no handler runs, nothing is flushed.
            server.Kill(entireProcessTree: true);
            await server.WaitForExitAsync(TestContext.Current.CancellationToken);
        }

        using (var server = await Start(client))
        {
            var found = await (await client.GetAsync($"/api/projects/{project["id"]}")).Body();
            Assert.Equal(12, (long)found["edit"]!);
            Assert.Equal(111, (double)found["specification"]!["site"]!["altitudeM"]!);
            using var undone = await client.Step(project, "undo", 12);
            Assert.Equal(110, (double)(await undone.Body())["specification"]!["site"]!["altitudeM"]!);
            server.Kill(entireProcessTree: true);
            await server.WaitForExitAsync(TestContext.Current.CancellationToken);
        }
    }

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private async Task<Process> Start(HttpClient client)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var argument in new[] { typeof(Program).Assembly.Location, "--data", folder, "--urls", $"http://127.0.0.1:{port}" })
        {
            start.ArgumentList.Add(argument);
        }

        var server = Process.Start(start)!;
        for (var i = 0; i < 200; i++)
        {
            try
            {
                if ((await client.GetAsync("/api/health")).IsSuccessStatusCode)
                {
                    return server;
                }
            }
            catch (HttpRequestException)
            {
                await Task.Delay(100, TestContext.Current.CancellationToken);
            }
        }

        server.Kill();
        throw new InvalidOperationException("The server did not start: " + await server.StandardError.ReadToEndAsync(TestContext.Current.CancellationToken));
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }
}
