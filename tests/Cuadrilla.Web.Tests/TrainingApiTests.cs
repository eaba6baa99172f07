using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Documents.Training;

namespace Cuadrilla.Web.Tests;

/// <summary>The trainer over the wire: what is hidden stays so until it is decided, and is found through the stand-ins.</summary>
public sealed class TrainingApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task An_exercise_is_begun_measured_decided_once_and_told()
    {
        var all = await client.GetFromJsonAsync<JsonObject>("/api/training");
        Assert.Equal(Exercises.All.Count, all!["exercises"]!.AsArray().Count);
        Assert.Equal(14, all["faults"]!.AsArray().Count);
        var wanted = Exercises.Named("roller-group")!;
        var begun = await Posted($"/api/training/{wanted.Id}", new { who = "trainee" });
        var (id, point) = ((string)begun["projectId"]!, (string)begun["pointId"]!);
        Assert.Equal(wanted.PointId, point);

        // Nothing that a trainee may ask says what is hidden.
        foreach (var path in new[] { $"/api/projects/{id}/training", $"/api/projects/{id}", $"/api/projects/{id}/instruments",
            "/api/training" })
        {
            var text = await client.GetStringAsync(path);
            Assert.DoesNotContain(wanted.Told, text, StringComparison.Ordinal);
            Assert.DoesNotContain("\"fault\":\"phase-missing\"", path == "/api/training" ? string.Empty : text, StringComparison.Ordinal);
        }

        var taken = await Take(id, point, ["supply.v12", "supply.v23", "supply.v31"]);
        var found = await Posted($"/api/projects/{id}/commissioning/entries", new { who = "trainee", pointId = point, stepId = "supply",
            taken = new { v12 = taken["supply.v12"], v23 = taken["supply.v23"], v31 = taken["supply.v31"] } });
        Assert.Equal("Fails", (string)found["entries"]![0]!["verdict"]!);
        var told = (await Posted($"/api/projects/{id}/training/decision", new { who = "trainee", fault = "phase-missing" }))["outcome"]!;
        Assert.Equal(100, (int)told["points"]!);
        Assert.Equal(wanted.Told, (string)told["told"]!);
        Assert.True((bool)told["hadEvidence"]!);
        using (var again = await client.PostAsJsonAsync($"/api/projects/{id}/training/decision", new { who = "trainee", fault = "joint" }))
        {
            Assert.Equal(HttpStatusCode.BadRequest, again.StatusCode);
        }

        Assert.Equal(100, (int)(await client.GetFromJsonAsync<JsonObject>($"/api/projects/{id}/training"))!["outcome"]!["points"]!);
        Assert.Contains((await client.GetFromJsonAsync<JsonObject>("/api/training"))!["done"]!.AsArray(),
            d => (string?)d!["exercise"] == wanted.Id && (int)d["points"]! == 100);
        await Posted($"/api/projects/{id}/instruments/stand-ins/stop", new { });
    }

    [Fact]
    public async Task What_is_no_exercise_is_said()
    {
        using var none = await client.PostAsJsonAsync("/api/training/nothing", new { who = "trainee" });
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
        var demo = await client.ImportDemo();
        Assert.Null((await client.GetFromJsonAsync<JsonObject>($"/api/projects/{demo["id"]}/training"))!["exercise"]);
        using var decided = await client.PostAsJsonAsync($"/api/projects/{demo["id"]}/training/decision", new { who = "t",
            fault = "joint" });
        Assert.Equal(HttpStatusCode.NotFound, decided.StatusCode);
    }

    private async Task<Dictionary<string, long>> Take(string id, string point, string[] names)
    {
        for (var i = 0; i < 400; i++)
        {
            using var answer = await client.PostAsJsonAsync($"/api/projects/{id}/instruments/taken", new { pointId = point, names });
            var taken = (await answer.Content.ReadFromJsonAsync<JsonArray>())!.ToDictionary(r => (string)r!["name"]!,
                r => (long)r!["number"]!);
            if (taken.Count == names.Length)
            {
                return taken;
            }

            await Task.Delay(100, TestContext.Current.CancellationToken);
        }

        throw new InvalidOperationException("The stand-ins do not answer.");
    }

    private async Task<JsonNode> Posted(string path, object body)
    {
        using var answer = await client.PostAsJsonAsync(path, body, TestContext.Current.CancellationToken);
        var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.True(answer.IsSuccessStatusCode, $"{path}: {text}");
        return JsonNode.Parse(text)!;
    }
}
