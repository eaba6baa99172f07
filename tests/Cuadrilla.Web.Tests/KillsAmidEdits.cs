using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>
/// Killed in the middle of edits, nothing acknowledged is lost and nothing is half written. Half of the kills in each of two
/// classes, which run beside each other: what a kill costs is the next start of the program.
/// </summary>
public abstract class KillsAmidEdits : IDisposable
{
    // CUADRILLA_KILLS=200 now and then.
    private static readonly int Kills =
        (int.TryParse(Environment.GetEnvironmentVariable("CUADRILLA_KILLS"), out var kills) ? kills : 50) / 2;

    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-kill-").FullName;
    private readonly HttpClient client = new() { BaseAddress = new Uri($"http://127.0.0.1:{ServerProcess.FreePort()}") };

    public void Dispose()
    {
        client.Dispose();
        TestFolder.Remove(folder);
        GC.SuppressFinalize(this);
    }

    /// <summary>So often, at moments that differ by seed.</summary>
    protected async Task NothingIsLost(int seed)
    {
        var random = new Random(seed);
        var (id, edit, acknowledged) = (string.Empty, 1L, 0);
        for (var kill = 0; kill < Kills; kill++)
        {
            using var server = await ServerProcess.StartAsync(folder, client);
            if (id.Length == 0)
            {
                using var made = await client.PostAsJsonAsync("/api/projects", new { name = "Killed", who = "tester" },
                    TestContext.Current.CancellationToken);
                id = (string)(await made.Body())["id"]!;
            }

            var found = await (await client.GetAsync($"/api/projects/{id}", TestContext.Current.CancellationToken)).Body();
            var now = (long)found["edit"]!;

            // The one that was under way may have been stored without its answer having left.
            Assert.InRange(now, edit, edit + 1);
            Assert.Equal(now > 1 ? now : 0, (double)found["specification"]!["site"]!["altitudeM"]!);
            edit = now;
            var after = random.Next(1, 3);
            var delay = random.Next(40);
            Task? killed = null;
            for (var i = 0; ; i++)
            {
                if (i == after)
                {
                    killed = Killed(server, delay);
                }

                try
                {
                    using var saved = await client.PostAsJsonAsync($"/api/projects/{id}/changes", Change(edit, edit + 1),
                        TestContext.Current.CancellationToken);
                    Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
                    edit = (long)(await saved.Body())["edit"]!;
                    acknowledged++;
                }
                catch (Exception problem) when (problem is HttpRequestException or IOException)
                {
                    Assert.NotNull(killed);
                    await killed;
                    break;
                }
            }
        }

        Assert.True(acknowledged > Kills / 2, $"{acknowledged}");
    }

    private static async Task Killed(ServerProcess server, int delayMs)
    {
        await Task.Delay(delayMs, TestContext.Current.CancellationToken);
        await server.KillAsync();
    }

    private static JsonObject Change(long basedOn, double altitudeM) => new()
    {
        ["basedOn"] = basedOn,
        ["label"] = "altitude",
        ["who"] = "tester",
        ["changes"] = new JsonArray(new JsonObject { ["op"] = "replace", ["path"] = "/site/altitudeM", ["value"] = altitudeM }),
    };
}
