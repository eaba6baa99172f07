using System.Net;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

public sealed class ProjectApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task An_edit_is_saved_and_every_figure_follows()
    {
        var project = await client.ImportDemo();
        var before = Limit(project, "converter.continuous", "dp-01");
        using var response = await client.Save(project, 1, s => s["site"]!["ambientMaxC"] = 42);
        Assert.Equal(HttpStatusCode.OK, response.StatusCode);
        var after = await response.Body();
        Assert.Equal(2, (long)after["edit"]!);
        Assert.True(Limit(after, "converter.continuous", "dp-01") < before);
        var stored = await (await client.GetAsync($"/api/projects/{project["id"]}")).Body();
        Assert.Equal(42, (double)stored["specification"]!["site"]!["ambientMaxC"]!);
    }

    [Fact]
    public async Task A_stale_edit_is_refused_with_both_versions_and_nothing_is_lost()
    {
        var project = await client.ImportDemo();
        using var first = await client.Save(project, 1, s => s["site"]!["ambientMaxC"] = 41);
        using var stale = await client.Save(project, 1, s => s["site"]!["altitudeM"] = 700);
        Assert.Equal(HttpStatusCode.Conflict, stale.StatusCode);
        var body = await stale.Body();
        Assert.Equal(38, (double)body["base"]!["site"]!["ambientMaxC"]!);
        Assert.Equal(41, (double)body["current"]!["specification"]!["site"]!["ambientMaxC"]!);
        Assert.Equal(2, (long)body["current"]!["edit"]!);
        using var again = await client.Save(body["current"]!, 2, s => s["site"]!["altitudeM"] = 700);
        var merged = await again.Body();
        Assert.Equal(41, (double)merged["specification"]!["site"]!["ambientMaxC"]!);
        Assert.Equal(700, (double)merged["specification"]!["site"]!["altitudeM"]!);
    }

    [Fact]
    public async Task Undo_and_redo_walk_the_edits_and_a_new_edit_ends_redo()
    {
        var project = await client.ImportDemo();
        foreach (var (basedOn, value) in new[] { (1, 31), (2, 32), (3, 33) })
        {
            using var saved = await client.Save(project, basedOn, s => s["site"]!["ambientMaxC"] = value, $"to {value}");
            Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
        }

        Assert.Equal(32, await Ambient("undo", 4));
        Assert.Equal(31, await Ambient("undo", 5));
        Assert.Equal(32, await Ambient("redo", 6));
        Assert.Equal(33, await Ambient("redo", 7));
        Assert.Equal(HttpStatusCode.BadRequest, (await client.Step(project, "redo", 8)).StatusCode);
        Assert.Equal(32, await Ambient("undo", 8));
        using var branch = await client.Save(project, 9, s => s["site"]!["ambientMaxC"] = 40, "another way");
        var now = await branch.Body();
        Assert.Null(now["redoLabel"]);
        Assert.Equal("another way", (string?)now["undoLabel"]);
        Assert.Equal(32, await Ambient("undo", 10));
        var history = (await (await client.GetAsync($"/api/projects/{project["id"]}/history")).Body()).AsArray();
        Assert.Equal(11, history.Count);
        Assert.Equal("Undo: another way", (string?)history[0]!["label"]);
        var old = await (await client.GetAsync($"/api/projects/{project["id"]}/history/2")).Body();
        Assert.Equal(31, (double)old["site"]!["ambientMaxC"]!);

        async Task<double> Ambient(string step, long basedOn)
        {
            using var response = await client.Step(project, step, basedOn);
            return (double)(await response.Body())["specification"]!["site"]!["ambientMaxC"]!;
        }
    }

    [Theory]
    [InlineData("altitudeM", -5000.0, "/specification/site/altitudeM", "-400 to 5000 m")]
    [InlineData("cabinetAirRiseK", 31.0, "/specification/site/cabinetAirRiseK", "0 to 30 K")]
    public async Task A_bad_value_is_named_and_the_database_is_unchanged(string field, double value, string pointer, string allowed)
    {
        var project = await client.ImportDemo();
        using var response = await client.Save(project, 1, s => s["site"]![field] = value);
        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
        Assert.Equal("application/problem+json", response.Content.Headers.ContentType?.MediaType);
        var error = (await response.Body())["errors"]![0]!;
        Assert.Equal(pointer, (string?)error["pointer"]);
        Assert.Equal(allowed, (string?)error["allowed"]);
        Assert.Contains(value.ToString(System.Globalization.CultureInfo.InvariantCulture), (string?)error["message"],
            StringComparison.Ordinal);
        Assert.Equal(1, (long)(await (await client.GetAsync($"/api/projects/{project["id"]}")).Body())["edit"]!);
    }

    [Fact]
    public async Task Bad_requests_are_problem_documents()
    {
        using var text = await client.PostAsync("/api/calc/pump-point", new StringContent("{}"));
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, text.StatusCode);
        using var nan = await client.PostAsync("/api/calc/pump-point",
            Calls.Json("{\"flowPu\":NaN,\"staticFraction\":0,\"shutOffPu\":1.25}"));
        Assert.Contains("NaN", (string?)(await nan.Body())["detail"], StringComparison.Ordinal);
        using var newer = await client.PostAsync("/api/projects/import",
            Calls.Json("{\"format\":\"cuadrilla-project\",\"formatVersion\":99,\"x\":1}"));
        Assert.Equal("/formatVersion", (string?)(await newer.Body())["errors"]![0]!["pointer"]);
        using var huge = await client.PostAsync("/api/assess",
            new ByteArrayContent(new byte[50_000_000]) { Headers = { { "Content-Type", "application/json" } } });
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, huge.StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync("/api/projects/none")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync("/api/nothing")).StatusCode);
        using var foreign = new HttpRequestMessage(HttpMethod.Post,
            "/api/projects") { Content = Calls.Json("{\"name\":\"x\",\"who\":\"y\"}"), Headers = { { "Sec-Fetch-Site", "cross-site" } } };
        Assert.Equal(HttpStatusCode.Forbidden, (await client.SendAsync(foreign)).StatusCode);
    }

    [Fact]
    public async Task Export_and_import_give_back_the_same_project()
    {
        var project = await client.ImportDemo();
        var file = await client.GetStringAsync($"/api/projects/{project["id"]}/file");
        using var response = await client.PostAsync("/api/projects/import", Calls.Json(file));
        var copy = await response.Body();
        Assert.True(JsonNode.DeepEquals(project["specification"], copy["specification"]));
        Assert.Equal(file, await client.GetStringAsync($"/api/projects/{copy["id"]}/file"));
    }

    [Fact]
    public async Task A_new_plant_is_empty_and_says_what_it_needs()
    {
        using var response = await client.PostAsync("/api/projects", Calls.Json("{\"name\":\"New works\",\"who\":\"tester\"}"));
        Assert.Equal(HttpStatusCode.Created, response.StatusCode);
        var project = await response.Body();
        Assert.Equal("not-stated", (string?)project["specification"]!["source"]!["strength"]!["kind"]);
        Assert.All(
            project["assessment"]!["checks"]!.AsArray().Where(c => (string?)c!["id"] != "supply.unbalance"),
            c => Assert.Equal("needs-data", (string?)c!["verdict"]));
    }

    [Fact]
    public async Task Bench_candidates_reasons_and_documents_answer()
    {
        var id = (await client.ImportDemo())["id"];
        var bench = await (await client.GetAsync($"/api/projects/{id}/drive-points/dp-01/bench")).Body();
        Assert.Equal(61, bench["torque"]!["points"]!.AsArray().Count);
        Assert.True(bench["lineCurrent"]!["orders"]!.AsArray().Count > 10);
        Assert.Contains(bench["figures"]!.AsArray(),
            f => (string?)f!["id"] == "thdi" && ((string?)f["reason"]!["withNumbers"])!.Length > 0);
        var motors = (await (await client.GetAsync($"/api/projects/{id}/drive-points/dp-02/motor-candidates")).Body()).AsArray();
        Assert.True((bool)motors[0]!["fits"]!);
        var check = await (await client.GetAsync($"/api/projects/{id}/checks/motor.continuous?drivePointId=dp-02")).Body();
        Assert.NotEmpty(check["reason"]!["withNumbers"]!.GetValue<string>());
        Assert.Equal("%PDF", System.Text.Encoding.ASCII.GetString((await client.GetByteArrayAsync($"/api/projects/{id}"
            + "/lineups/l1/sheet.pdf"))[..4]));
        Assert.Equal("%PDF", System.Text.Encoding.ASCII.GetString((await client.GetByteArrayAsync($"/api/projects/{id}"
            + "/lineups/l1/interference.pdf"))[..4]));
        Assert.Equal(System.Net.HttpStatusCode.NotFound,
            (await client.GetAsync($"/api/projects/{id}/lineups/none/interference.pdf")).StatusCode);
        Assert.StartsWith("\uFEFFLineup,Tag",
            System.Text.Encoding.UTF8.GetString(await client.GetByteArrayAsync($"/api/projects/{id}/drive-list.csv")),
            StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_workbook_is_read_as_rows_and_anything_else_is_refused()
    {
        const string kind = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
        var id = (await client.ImportDemo())["id"];
        using var list = new ByteArrayContent(await client.GetByteArrayAsync($"/api/projects/{id}"
            + "/drive-list.xlsx")) { Headers = { { "Content-Type", kind } } };
        using var read = await client.PostAsync("/api/tables/xlsx", list);
        var rows = (await read.Body()).AsArray();
        Assert.Contains("Shaft power kW", rows[0]!.AsArray().Select(c => (string?)c));
        Assert.Contains("DP-01", rows[1]!.AsArray().Select(c => (string?)c));
        using var junk = new ByteArrayContent([1, 2, 3, 4]) { Headers = { { "Content-Type", kind } } };
        using var refused = await client.PostAsync("/api/tables/xlsx", junk);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
    }

    [Fact]
    public async Task Pages_carry_a_strict_policy_with_a_fresh_nonce()
    {
        using var one = await client.GetAsync("/api/health");
        using var two = await client.GetAsync("/api/health");
        var policy = string.Join(' ', one.Headers.GetValues("Content-Security-Policy"));
        Assert.DoesNotContain("unsafe", policy, StringComparison.Ordinal);
        Assert.NotEqual(policy, string.Join(' ', two.Headers.GetValues("Content-Security-Policy")));
    }

    private static double Limit(JsonNode project, string id, string point) => (double)project["assessment"]!["checks"]!.AsArray()
        .Single(c => (string?)c!["id"] == id && (string?)c["drivePointId"] == point)!["limit"]!;
}
