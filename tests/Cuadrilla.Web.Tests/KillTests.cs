using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Acknowledged work survives <c>kill -9</c>, and undo still reaches back over the restart.</summary>
public sealed class KillTests : IDisposable
{
    // Each costs a start of the program; CUADRILLA_KILLS=200 now and then.
    private static readonly int Kills = int.TryParse(Environment.GetEnvironmentVariable("CUADRILLA_KILLS"), out var kills) ? kills : 50;

    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-kill-").FullName;
    private readonly HttpClient client = new() { BaseAddress = new Uri($"http://127.0.0.1:{ServerProcess.FreePort()}") };

    [Fact]
    public async Task An_acknowledged_edit_survives_the_death_of_the_server()
    {
        JsonNode project;
        var last = 1;
        using (var server = await ServerProcess.StartAsync(folder, client))
        {
            project = await client.ImportDemo();
            for (; last < 12; last++)
            {
                using var saved = await client.Save(project, last, s => s["site"]!["altitudeM"] = 100 + last);
                Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
            }

            // So does an entry of the log.
            using var entry = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/commissioning/entries",
                new { who = "commissioning engineer", pointId = "dp-02", stepId = "earth", values = new { ohm = 0.04 } },
                TestContext.Current.CancellationToken);
            Assert.Equal(HttpStatusCode.OK, entry.StatusCode);
            await server.KillAsync();
        }

        using (var server = await ServerProcess.StartAsync(folder, client))
        {
            var log = await client.GetFromJsonAsync<JsonArray>($"/api/projects/{project["id"]}/commissioning/log",
                TestContext.Current.CancellationToken);
            Assert.Equal(0.04, (double)Assert.Single(log!)!["values"]!["ohm"]!);
            var found = await (await client.GetAsync($"/api/projects/{project["id"]}", TestContext.Current.CancellationToken)).Body();
            Assert.Equal(12, (long)found["edit"]!);
            Assert.Equal(111, (double)found["specification"]!["site"]!["altitudeM"]!);
            using var undone = await client.Step(project, "undo", 12);
            Assert.Equal(110, (double)(await undone.Body())["specification"]!["site"]!["altitudeM"]!);
        }
    }

    [Fact]
    public async Task In_the_middle_of_edits_nothing_acknowledged_is_lost_and_nothing_is_half_written()
    {
        var random = new Random(50);
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

    public void Dispose()
    {
        client.Dispose();
        TestFolder.Remove(folder);
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
