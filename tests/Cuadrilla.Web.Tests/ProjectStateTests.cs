using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Projects are described, archived, binned, taken back and removed.</summary>
public sealed class ProjectStateTests(WebHost host) : IClassFixture<WebHost>
{
    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task What_is_archived_or_binned_is_read_and_not_written_and_comes_back_as_it_was()
    {
        var client = host.CreateClient();
        var project = await Made(client);
        foreach (var (close, open, state) in new[] { ("archive", "reopen", "archived"), ("bin", "unbin", "binned") })
        {
            Assert.Equal(HttpStatusCode.OK, await Do(client, project, close));
            Assert.Equal(HttpStatusCode.BadRequest, await Do(client, project, close));
            var read = await (await client.GetAsync($"/api/projects/{project["id"]}", Stop)).Body();
            Assert.Equal((state, 1), ((string?)read["state"], (int?)read["edit"]));
            using var saved = await client.Save(project, 1, s => s["name"] = "y");
            using var undone = await client.Step(project, "undo", 1);
            using var commands = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/commands",
                new JsonObject { ["basedOn"] = 1, ["who"] = "e",
                    ["commands"] = new JsonArray(new JsonObject { ["kind"] = "add-lineup" }) }, Stop);
            foreach (var refused in new[] { saved, undone, commands })
            {
                Assert.Equal((HttpStatusCode.Forbidden, "urn:cuadrilla:closed"),
                    (refused.StatusCode, (string?)(await refused.Body())["type"]));
            }

            Assert.Equal(HttpStatusCode.OK, await Do(client, project, open));
        }

        using var again = await client.Save(project, 1, s => s["name"] = "y");
        Assert.Equal(HttpStatusCode.OK, again.StatusCode);
        var listed = (await client.GetFromJsonAsync<JsonArray>("/api/projects", Stop))!.Single(p =>
            (string?)p!["id"] == (string?)project["id"])!;
        Assert.Equal(("open", "tester"), ((string?)listed["state"], (string?)listed["stateWho"]));
    }

    [Fact]
    public async Task It_goes_for_ever_only_from_the_bin_and_takes_nothing_with_it()
    {
        var client = host.CreateClient();
        var (gone, stays) = (await Made(client), await Made(client));
        Assert.Equal(HttpStatusCode.BadRequest, (await client.DeleteAsync($"/api/projects/{gone["id"]}", Stop)).StatusCode);
        await Do(client, gone, "bin");
        using var removed = await client.DeleteAsync($"/api/projects/{gone["id"]}", Stop);
        Assert.DoesNotContain((await removed.Body()).AsArray(), p => (string?)p!["id"] == (string?)gone["id"]);
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync($"/api/projects/{gone["id"]}", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await client.GetAsync($"/api/projects/{stays["id"]}", Stop)).StatusCode);
    }

    [Fact]
    public async Task A_description_is_kept_and_a_bad_one_refused()
    {
        var client = host.CreateClient();
        var project = await Made(client);
        using var told = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/description",
            new JsonObject { ["description"] = " Second stage of the pump house " }, Stop);
        Assert.Equal("Second stage of the pump house",
            (string?)(await told.Body()).AsArray().Single(p => (string?)p!["id"] == (string?)project["id"])!["description"]);
        foreach (var bad in new[] { new string('x', 501), "two\nlines", "turned \u202E" })
        {
            using var refused = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/description",
                new JsonObject { ["description"] = bad }, Stop);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        }

        using var none = await client.PostAsJsonAsync("/api/projects/none/description", new JsonObject { ["description"] = "x" }, Stop);
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
    }

    private static async Task<JsonNode> Made(HttpClient client) =>
        await (await client.PostAsJsonAsync("/api/projects", new JsonObject { ["name"] = "x", ["who"] = "e" }, Stop)).Body();

    private static async Task<HttpStatusCode> Do(HttpClient client, JsonNode project, string step) =>
        (await client.PostAsJsonAsync($"/api/projects/{project["id"]}/{step}", new JsonObject { ["who"] = "tester" }, Stop)).StatusCode;
}
