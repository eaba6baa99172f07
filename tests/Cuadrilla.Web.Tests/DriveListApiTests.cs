using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Drive lists and new plants over the wire.</summary>
public sealed class DriveListApiTests(WebHost host) : IClassFixture<WebHost>
{
    private static readonly string[] Heads = ["Tag", "Type", "Motor kW", "Shaft power kW"];
    private static readonly string[][] Rows = [["N-1", "fan", "15", "12"], ["N-2", "pump", "many", ""], ["N-3", "pump", "11", "9"]];

    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task Rows_are_judged_and_the_good_ones_taken_as_one_edit()
    {
        var project = await client.ImportDemo();
        var judged = await (await client.PostAsJsonAsync($"/api/projects/{project["id"]}/drive-list/judge",
            new { heads = Heads, rows = Rows })).Body();
        Assert.Equal(["new", "refused", "new"], judged["rows"]!.AsArray().Select(r => (string?)r!["outcome"]));
        Assert.Equal("tag", (string?)judged["known"]![0]!["key"]);
        using var taken = await client.PostAsJsonAsync(
            $"/api/projects/{project["id"]}/drive-list",
            new { basedOn = 1, who = "engineer", sized = true, heads = Heads, rows = Rows, columns = judged["columns"] });
        taken.EnsureSuccessStatusCode();
        var done = await taken.Body();
        Assert.Equal((2, 2, "Drive list: 2 new"),
            ((int)done["saved"]!["edit"]!, done["createdIds"]!.AsArray().Count, (string?)done["saved"]!["label"]));
        using var undone = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/undo", new { basedOn = 2, who = "engineer" });
        Assert.Equal(project["specification"]!.ToJsonString(), (await undone.Body())["specification"]!.ToJsonString());
    }

    [Theory]
    [InlineData("""{ "heads": ["Tag"], "rows": [] }""", "/rows")]
    [InlineData("""{ "heads": ["Tag"], "rows": [["a"]], "columns": { "tag": 7 } }""", "/columns/tag")]
    [InlineData("""{ "heads": ["Tag"], "rows": [["a"]], "columns": { "colour": 0 } }""", "/columns/colour")]
    public async Task A_list_that_makes_no_sense_is_refused_by_name(string list, string pointer)
    {
        var project = await client.ImportDemo();
        using var refused = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/drive-list/judge", JsonNode.Parse(list));
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal(pointer, (string?)(await refused.Body())["errors"]![0]!["pointer"]);
    }

    [Fact]
    public async Task A_stale_list_or_one_without_news_is_not_taken()
    {
        var project = await client.ImportDemo();
        object List(int on, string[][] rows) => new { basedOn = on, who = "engineer", sized = false, heads = Heads, rows };
        using var stale = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/drive-list", List(7, Rows));
        Assert.Equal(HttpStatusCode.NotFound, stale.StatusCode);
        using var nothing = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/drive-list",
            List(1, [["N-2", "pump", "many", ""]]));
        Assert.Equal(HttpStatusCode.BadRequest, nothing.StatusCode);
    }

    [Fact]
    public async Task A_plant_is_begun_on_a_usual_supply_or_as_a_copy()
    {
        var us = await Created(new { name = "Mesa", who = "engineer", supply = "480-60" });
        var specification = us["specification"]!;
        Assert.Equal("us-customary", (string?)specification["conventions"]!["units"]);
        Assert.Equal(60, (double)specification["source"]!["frequencyHz"]!);
        Assert.Equal([13_800.0, 480], specification["distribution"]!["buses"]!.AsArray().Select(b => (double)b!["nominalVoltageV"]!));
        var example = await Created(new { name = "", who = "engineer", template = "tarn-hollow" });
        Assert.Equal("Tarn Hollow Water Works", (string?)example["specification"]!["name"]);
        var copy = await Created(new { name = "Second works", who = "engineer", template = (string?)example["id"] });
        Assert.Equal("Second works", (string?)copy["specification"]!["name"]);
        Assert.Equal(example["specification"]!["lineups"]!.ToJsonString(), copy["specification"]!["lineups"]!.ToJsonString());
        using var unknown = await client.PostAsJsonAsync("/api/projects", new { name = "X", who = "engineer", supply = "12-dc" });
        Assert.Equal("/supply", (string?)(await unknown.Body())["errors"]![0]!["pointer"]);
        using var nowhere = await client.PostAsJsonAsync("/api/projects", new { name = "X", who = "engineer", template = "moon" });
        Assert.Equal("/template", (string?)(await nowhere.Body())["errors"]![0]!["pointer"]);
    }

    private async Task<JsonNode> Created(object wanted)
    {
        using var answer = await client.PostAsJsonAsync("/api/projects", wanted);
        Assert.Equal(HttpStatusCode.Created, answer.StatusCode);
        return await answer.Body();
    }
}
