using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Two windows on one plant: each hears of what the other saves.</summary>
public sealed class EventApiTests(WebHost host) : IClassFixture<WebHost>
{
    [Fact]
    public async Task An_edit_undo_and_list_are_told_to_whoever_listens()
    {
        using var client = host.CreateClient();
        var project = await client.ImportDemo();
        using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(60));
        using var stream = await client.GetStreamAsync($"/api/projects/{project["id"]}/events", stop.Token);
        using var lines = new StreamReader(stream);
        Assert.Equal("event: open", await lines.ReadLineAsync(stop.Token));

        client.DefaultRequestHeaders.Add("X-Cuadrilla-Window", "w-1");
        using var done = await client.PostAsJsonAsync(
            $"/api/projects/{project["id"]}/commands",
            new { basedOn = 1, who = "reviewer", commands = new[] { new { kind = "add-lineup" } } }, stop.Token);
        done.EnsureSuccessStatusCode();
        var told = await Next(lines, stop.Token);
        Assert.Equal((2, "reviewer", "w-1"), ((int)told["edit"]!, (string?)told["who"], (string?)told["window"]));
        Assert.False(string.IsNullOrEmpty((string?)told["label"]));

        // What is refused is not told: the next event is the undo.
        using var refused = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/undo", new { basedOn = 7, who = "reviewer" },
            stop.Token);
        Assert.False(refused.IsSuccessStatusCode);
        using var undone = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/undo", new { basedOn = 2, who = "engineer" },
            stop.Token);
        Assert.Equal((3, "engineer"), ((int)(told = await Next(lines, stop.Token))["edit"]!, (string?)told["who"]));
    }

    [Fact]
    public async Task There_are_no_events_of_a_project_that_is_not()
    {
        using var client = host.CreateClient();
        using var answer = await client.GetAsync(new Uri("/api/projects/none/events", UriKind.Relative));
        Assert.Equal(HttpStatusCode.NotFound, answer.StatusCode);
    }

    private static async Task<JsonNode> Next(StreamReader lines, CancellationToken stop)
    {
        while (true)
        {
            var line = await lines.ReadLineAsync(stop) ?? throw new EndOfStreamException();
            if (line.StartsWith("data: {", StringComparison.Ordinal))
            {
                return JsonNode.Parse(line["data: ".Length..])!;
            }
        }
    }
}
