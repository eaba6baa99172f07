using System.Net;
using System.Net.Http.Json;

namespace Cuadrilla.Web.Tests;

/// <summary>Templates of drive points over the wire.</summary>
public sealed class TemplateApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task A_drive_point_is_kept_replaced_under_its_name_used_in_another_plant_and_removed()
    {
        var demo = await client.ImportDemo();
        async Task<string> Kept(string point, string name)
        {
            using var kept = await client.PostAsJsonAsync("/api/templates",
                new { projectId = (string?)demo["id"], pointId = point, name, who = "engineer" });
            kept.EnsureSuccessStatusCode();
            return (string)(await kept.Body())["id"]!;
        }

        var first = await Kept("dp-01", "Fan as usual");
        var id = await Kept("dp-02", "fan as usual ");
        Assert.Equal(first, id);
        var content = await client.GetFromJsonAsync<System.Text.Json.Nodes.JsonNode>($"/api/templates/{id}");
        Assert.Equal("DP-02", (string?)content!["original"]!["tag"]);

        using var made = await client.PostAsJsonAsync("/api/projects", new { name = "Mesa", who = "engineer", supply = "480-60" });
        var plant = await made.Body();
        using var added = await client.PostAsJsonAsync($"/api/projects/{plant["id"]}/commands", new
        {
            basedOn = 1,
            who = "engineer",
            commands = new[] { new { kind = "add-like", original = content["original"], motors = content["motors"],
                converters = content["converters"], lineupId = (string?)plant["specification"]!["lineups"]![0]!["id"],
                afterId = string.Empty, count = 2 } },
        });
        var done = await added.Body();
        Assert.Equal(2, done["createdIds"]!.AsArray().Count);
        Assert.Equal(content["original"]!["load"]!.ToJsonString(),
            done["saved"]!["specification"]!["lineups"]![0]!["drivePoints"]![0]!["load"]!.ToJsonString());

        using var removed = await client.DeleteAsync($"/api/templates/{id}");
        Assert.Equal(HttpStatusCode.OK, removed.StatusCode);
        Assert.DoesNotContain((await removed.Body()).AsArray(), t => (string?)t!["id"] == id);
        using var gone = await client.GetAsync($"/api/templates/{id}");
        Assert.Equal(HttpStatusCode.NotFound, gone.StatusCode);
    }

    [Theory]
    [InlineData("dp-99", "Pump", "/pointId")]
    [InlineData("dp-01", " ", "/name")]
    public async Task What_can_not_be_kept_is_refused_by_name(string point, string name, string pointer)
    {
        var demo = await client.ImportDemo();
        using var refused = await client.PostAsJsonAsync("/api/templates",
            new { projectId = (string?)demo["id"], pointId = point, name, who = "engineer" });
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal(pointer, (string?)(await refused.Body())["errors"]![0]!["pointer"]);
    }
}
