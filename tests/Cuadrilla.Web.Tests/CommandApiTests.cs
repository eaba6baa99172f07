using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Commands over the wire: all of them or none, on the edit they were asked on, undone as one.</summary>
public sealed class CommandApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task Commands_are_saved_as_one_edit_and_undone_as_one()
    {
        var project = await client.ImportDemo();
        using var answer = await Run(project, 1, Add("l1"),
            new JsonObject { ["kind"] = "feed-by", ["pointIds"] = new JsonArray("dp-02"), ["way"] = "star-delta" });
        answer.EnsureSuccessStatusCode();
        var done = await answer.Body();
        Assert.Equal(2, (int)done["saved"]!["edit"]!);
        var created = (string)done["createdIds"]![0]!;
        Assert.Contains(done["saved"]!["specification"]!["lineups"]![0]!["drivePoints"]!.AsArray(), p => (string?)p!["id"] == created);
        Assert.Equal("star-delta", (string?)done["saved"]!["specification"]!["lineups"]![0]!["drivePoints"]![1]!["converter"]!["kind"]);

        using var undone = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/undo", new { basedOn = 2, who = "engineer" });
        Assert.Equal(project["specification"]!.ToJsonString(), (await undone.Body())["specification"]!.ToJsonString());
    }

    [Theory]
    [InlineData("""{ "kind": "join-shaft", "pointIds": ["dp-01", "dp-11"] }""", "/commands/1/pointIds")]
    [InlineData("""{ "kind": "join-shaft", "pointIds": ["dp-01", null] }""", "/commands/1/pointIds")]
    [InlineData("""{ "kind": "remove-drive-points", "pointIds": [null] }""", "/commands/1/pointIds")]
    [InlineData("""{ "kind": "size-best", "pointIds": [], "part": "motor" }""", "/commands/1/pointIds")]
    [InlineData("""{ "kind": "set-way-aside", "lineupId": "l1", "name": "" }""", "/specification/lineups/0/setAside/0")]
    [InlineData("""{ "kind": "mitigate", "name": "x", "change": { "choices": {}, "move": null, "filter": { "id": "f", "name": "f", "busId": "none", "ratedCurrentA": 5 }, "detunes": false } }""", "/specification/distribution/activeFilters/0")]
    [InlineData("""{ "kind": "mitigate", "name": "x", "change": { "choices": { "dp-02": null }, "move": null, "filter": { "id": "f", "name": "f", "busId": "none", "ratedCurrentA": 5 }, "detunes": false } }""", "/commands/1/change/choices/dp-02")]
    [InlineData("""{ "kind": "fly" }""", "")]
    [InlineData("null", "/commands/1")]
    public async Task One_that_cannot_be_done_leaves_all_undone(string command, string pointer)
    {
        var project = await client.ImportDemo();
        using var refused = await Run(project, 1, Add("l1"), JsonNode.Parse(command));
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.StartsWith(pointer, (string?)(await refused.Body())["errors"]![0]!["pointer"], StringComparison.Ordinal);
        Assert.Equal(1, (int)(await client.GetFromJsonAsync<JsonObject>($"/api/projects/{project["id"]}"))!["edit"]!);
    }

    [Fact]
    public async Task A_stale_one_is_refused_with_what_is_in_force()
    {
        var project = await client.ImportDemo();
        using var first = await Run(project, 1, Add("l1"));
        using var late = await Run(project, 1, Add("l2"));
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        Assert.Equal(2, (int)(await late.Body())["current"]!["edit"]!);
        using var unknown = await client.PostAsJsonAsync("/api/projects/nothing/commands",
            new { basedOn = 1, who = "engineer", commands = new JsonArray(Add("l1")) });
        Assert.Equal(HttpStatusCode.NotFound, unknown.StatusCode);
    }

    [Fact]
    public async Task What_could_be_done_is_asked_without_doing_it()
    {
        var project = await client.ImportDemo();
        var apart = new JsonObject { ["kind"] = "join-group", ["pointIds"] = new JsonArray("dp-01", "dp-11") };
        using var answer = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/commands/possible",
            new { commands = new JsonArray(Add("l1"), apart) });
        answer.EnsureSuccessStatusCode();
        var why = (await answer.Content.ReadFromJsonAsync<string[]>())!;
        Assert.Equal(["", "They stand in different lineups."], why);
        Assert.Equal(1, (int)(await client.GetFromJsonAsync<JsonObject>($"/api/projects/{project["id"]}"))!["edit"]!);
    }

    private static JsonObject Add(string lineup) => new() { ["kind"] = "add-drive-point", ["lineupId"] = lineup, ["afterId"] = "" };

    private Task<HttpResponseMessage> Run(JsonNode project, int basedOn, params JsonNode?[] commands) =>
        client.PostAsJsonAsync($"/api/projects/{project["id"]}/commands",
            new { basedOn, who = "engineer", commands = new JsonArray(commands) });
}
