using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Acknowledged work survives <c>kill -9</c>, and undo still reaches back over the restart.</summary>
public sealed class KillTests : IDisposable
{
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

    public void Dispose()
    {
        client.Dispose();
        TestFolder.Remove(folder);
    }
}
