using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Parameter sheets and the guided log over the wire.</summary>
public sealed class SiteApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task Steps_are_done_in_their_order_a_change_makes_them_stale_and_only_then_signed_off_with_open_points()
    {
        var demo = await client.ImportDemo();
        var path = $"/api/projects/{demo["id"]}/commissioning";
        Assert.Equal("waiting", Standing(await Point(path), "resistances"));
        await Refused(path, new { who = "c", pointId = "dp-02", stepId = "resistances", values = new { uv = 0.1, vw = 0.1, wu = 0.1 } },
            "/stepId");
        await Made(path, new { who = "c", pointId = "dp-02", stepId = "insulation", values = new { megohm = 210, winding = 21 },
            instrument = "tester", calibrated = "2026-03-01" });
        var found = await Made(path, new { who = "c", pointId = "dp-02", stepId = "resistances",
            values = new { uv = 0.1, vw = 0.12, wu = 0.12 } });
        Assert.Equal("wrong", Standing(found, "resistances"));
        var wrong = (long)found["entries"]![0]!["number"]!;
        found = await Made(path, new { who = "c", pointId = "dp-02", stepId = "resistances", values = new { uv = 0.1, vw = 0.1, wu = 0.1 },
            corrects = wrong, note = "lug tightened" });
        Assert.Equal("done", Standing(found, "resistances"));
        Assert.Equal(3, found["entries"]!.AsArray().Count);

        using (var changed = await client.Save(demo, 1, s => PointOf(s, "dp-02")["cable"]!["lengthM"] = 71))
        {
            Assert.Equal(HttpStatusCode.OK, changed.StatusCode);
        }

        found = await Point(path);
        Assert.Equal("stale", Standing(found, "insulation"));
        Assert.Contains("71 m", (string?)Step(found, "insulation")["why"]![0], StringComparison.Ordinal);
        var open = found["openIds"]!.AsArray().Select(o => (string)o!).ToArray();
        Assert.Contains("insulation", open);
        await Refused(path, new { who = "c", pointId = "dp-02", stepId = "sign-off", openPoints = open.Where(o => o != "insulation") },
            "/openPoints");
        found = await Made(path, new { who = "c", pointId = "dp-02", stepId = "sign-off", openPoints = open });
        Assert.NotNull(found["signed"]);
        var progress = await client.GetFromJsonAsync<JsonArray>(path);
        Assert.True((bool)progress!.Single(p => (string?)p!["pointId"] == "dp-02")!["isSigned"]!);

        // A later entry takes it back.
        found = await Made(path, new { who = "c", pointId = "dp-02", stepId = "earth", values = new { ohm = 0.3 } });
        Assert.Null(found["signed"]);
        var log = await client.GetFromJsonAsync<JsonArray>(path + "/log?verdict=Fails&words=ohm&most=10");
        Assert.Empty(log!);
        Assert.Equal(["earth", "resistances"],
            (await client.GetFromJsonAsync<JsonArray>(path + "/log?verdict=Fails"))!.Select(e => (string)e!["stepId"]!));
    }

    [Theory]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"nothing"}""", "/stepId")]
    [InlineData("""{"who":"c","pointId":"dp-05","stepId":"rotating","values":{"noLoad":8}}""", "/stepId")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","values":{"ohms":0.05}}""", "/values/ohms")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","values":{}}""", "/values")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","values":{"ohm":2e9}}""", "/values/ohm")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","done":true}""", "/done")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","values":{"ohm":0.05},"calibrated":"soon"}""", "/calibrated")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","values":{"ohm":0.05},"corrects":7}""", "/corrects")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"temperature-run","values":{"ambientC":20},"run":[{"timeS":5,"value":20},{"timeS":5,"value":21}]}""", "/run/1")]
    [InlineData("""{"who":"c","pointId":"dp-02","stepId":"earth","values":{"ohm":0.05},"run":[{"timeS":5,"value":20}]}""", "/run")]
    public async Task What_does_not_fit_a_step_is_refused_by_field(string body, string pointer)
    {
        var demo = await client.ImportDemo();
        await Refused($"/api/projects/{demo["id"]}/commissioning", JsonNode.Parse(body)!, pointer);
    }

    [Fact]
    public async Task A_sheet_says_what_changed_since_it_left_and_own_numbers_serve_the_next_of_its_kind()
    {
        var demo = await client.ImportDemo();
        var path = $"/api/projects/{demo["id"]}/parameters";
        using (var issued = await client.PostAsJsonAsync(path + "/dp-01/issue", new { who = "engineer" }))
        {
            Assert.Equal(1, (long)(await issued.Body())["issue"]!["edit"]!);
        }

        using (var changed = await client.Save(demo, 1, s => PointOf(s, "dp-01")["converter"]!["switchingKhz"] = 6))
        {
            Assert.Equal(HttpStatusCode.OK, changed.StatusCode);
        }

        var sheet = await client.GetFromJsonAsync<JsonNode>(path + "/dp-01");
        Assert.Equal("4", (string?)Row(sheet!, "control.switching")["was"]);
        Assert.Null(Row(sheet!, "motor.power")["was"]);
        using (var kept = await client.PostAsJsonAsync("/api/parameter-numbers", new
        {
            who = "engineer", product = (string?)sheet!["product"],
            numbers = new[] { new { parameter = "ramp.up", ownNumber = "P-12", ownUnit = "0.1 s", factor = 10.0 } },
        }))
        {
            Assert.Equal(HttpStatusCode.OK, kept.StatusCode);
        }

        // Another drive point with a unit of the same series.
        var next = await client.GetFromJsonAsync<JsonNode>(path + "/dp-03");
        Assert.Equal((string?)sheet["product"], (string?)next!["product"]);
        Assert.Equal("P-12", (string?)Row(next, "ramp.up")["ownNumber"]);
        Assert.Equal(10 * double.Parse((string)Row(next, "ramp.up")["value"]!), double.Parse((string)Row(next, "ramp.up")["ownValue"]!), 3);
        using var left = await client.PostAsJsonAsync(path + "/dp-01/left", new
        {
            who = "engineer", heads = new[] { "Key", "note", "As left" },
            rows = new[] { new[] { "ramp.up", "", "95" }, ["ramp.none", "", "3"], ["limit.current", "", ""],
                ["stop.mode", "", "ram\u202Ep"] },
        });
        var answer = await left.Body();
        Assert.Equal(1, (int)answer["taken"]!);
        Assert.Equal([2, 4], answer["refused"]!.AsArray().Select(r => (int)r!["row"]!));
        Assert.Equal("95", (string?)Row(answer["sheet"]!, "ramp.up")["left"]);
        var csv = await client.GetStringAsync(path + "/dp-01.csv");
        Assert.Contains("control.switching", csv, StringComparison.Ordinal);
        Assert.Contains("changed", csv.Split('\n').Single(l => l.Contains("control.switching", StringComparison.Ordinal)),
            StringComparison.Ordinal);
        var overview = await client.GetFromJsonAsync<JsonArray>(path);
        Assert.Equal("6 kHz", (string?)overview!.Single(o => (string?)o!["id"] == "control.switching")!["values"]!["dp-01"]);
        Assert.NotEmpty(await client.GetByteArrayAsync(path + "/dp-01.xlsx"));
    }

    [Fact]
    public async Task A_record_leaves_as_pdf_and_workbook_and_what_was_measured_comes_back_as_a_proposal()
    {
        var demo = await client.ImportDemo();
        var path = $"/api/projects/{demo["id"]}/commissioning";
        Assert.Empty((await Point(path))["asBuilt"]!.AsArray());
        var found = await Made(path, new { who = "=c", pointId = "dp-02", stepId = "cable", values = new { metres = 93 },
            instrument = "metre marks" });
        var proposal = Assert.Single(found["asBuilt"]!.AsArray())!;
        Assert.Equal(("cable-length-m", 93.0), ((string)proposal["entry"]!, (double)proposal["measured"]!));
        var pdf = await client.GetByteArrayAsync(path + "/points/dp-02/record.pdf");
        Assert.Equal("%PDF"u8.ToArray(), pdf[..4]);
        using var workbook = new MemoryStream(await client.GetByteArrayAsync(path + "/points/dp-02/record.xlsx"));
        var rows = MiniExcelLibs.MiniExcel.Query(workbook, useHeaderRow: true, sheetName: "Entries").Cast<IDictionary<string, object>>()
            .ToList();
        Assert.Equal("Motor cable as laid", Assert.Single(rows)["step"]);
        Assert.StartsWith("'=c", (string)rows[0]["who"], StringComparison.Ordinal);

        // Taken over, nothing is left to propose.
        using var taken = await client.Save(demo, 1, s => PointOf(s, "dp-02")["cable"]!["lengthM"] = 93);
        Assert.Equal(HttpStatusCode.OK, taken.StatusCode);
        found = await Point(path);
        Assert.Empty(found["asBuilt"]!.AsArray());
        Assert.Equal("wrong", Standing(found, "cable"));
    }

    [Fact]
    public async Task The_log_goes_with_the_project_file_and_a_log_that_does_not_hold_together_is_refused()
    {
        var demo = await client.ImportDemo();
        var path = $"/api/projects/{demo["id"]}/commissioning";
        await Made(path, new { who = "c", pointId = "dp-02", stepId = "earth", values = new { ohm = 0.3 }, note = "paint" });
        await Made(path, new { who = "d", pointId = "dp-02", stepId = "earth", values = new { ohm = 0.04 }, corrects = 1,
            instrument = "milliohmmeter", calibrated = "2026-01-31" });
        await Made(path, new { who = "d", pointId = "dp-02", stepId = "temperature-run", values = new { ambientC = 20 },
            run = new[] { new { timeS = 0, value = 20 }, new { timeS = 600, value = 30 }, new { timeS = 1200, value = 36 },
                new { timeS = 1800, value = 40 } } });
        var file = (await client.GetFromJsonAsync<JsonNode>($"/api/projects/{demo["id"]}/file"))!;
        using var imported = await client.PostAsJsonAsync("/api/projects/import", file);
        Assert.Equal(HttpStatusCode.Created, imported.StatusCode);
        var other = $"/api/projects/{(await imported.Body())["id"]}/commissioning";
        Assert.Equal((await client.GetStringAsync(path + "/log")), await client.GetStringAsync(other + "/log"));
        Assert.Equal("done", Standing(await Point(other), "earth"));
        Assert.Equal(file.ToJsonString(),
            (await client.GetFromJsonAsync<JsonNode>(other.Replace("/commissioning", "/file", StringComparison.Ordinal)))!.ToJsonString());

        foreach (var (pointer, change) in new (string, Action<JsonNode>)[]
        {
            ("/log/1/number", f => f["log"]![1]!["number"] = 3), ("/log/0/atUtc", f => f["log"]![0]!["atUtc"] = "once"),
            ("/log/2/who", f => f["log"]![2]!["who"] = ""), ("/log/1/corrects", f => f["log"]![1]!["corrects"] = 2),
            ("/log/0/values", f => f["log"]![0]!["values"]!["ohm"] = 1e12),
            ("/log/1/calibrated", f => f["log"]![1]!["calibrated"] = "January"),
        })
        {
            var bad = JsonNode.Parse(file.ToJsonString())!;
            change(bad);
            using var refused = await client.PostAsJsonAsync("/api/projects/import", bad);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Equal(pointer, (string?)(await refused.Body())["errors"]![0]!["pointer"]);
        }
    }

    private async Task<JsonNode> Point(string path) => (await client.GetFromJsonAsync<JsonNode>(path + "/points/dp-02"))!;

    private async Task<JsonNode> Made(string path, object entry)
    {
        using var made = await client.PostAsJsonAsync(path + "/entries", entry);
        Assert.True(made.IsSuccessStatusCode, await made.Content.ReadAsStringAsync());
        return await made.Body();
    }

    private async Task Refused(string path, object entry, string pointer)
    {
        using var refused = await client.PostAsJsonAsync(path + "/entries", entry);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal(pointer, (string?)(await refused.Body())["errors"]![0]!["pointer"]);
    }

    private static JsonNode Step(JsonNode found, string id) => found["steps"]!.AsArray().Single(s => (string?)s!["id"] == id)!;

    private static string? Standing(JsonNode found, string id) => (string?)Step(found, id)["standing"];

    private static JsonNode Row(JsonNode sheet, string id) => sheet["rows"]!.AsArray().Single(r => (string?)r!["id"] == id)!;

    private static JsonNode PointOf(JsonNode specification, string id) => specification["lineups"]!.AsArray()
        .SelectMany(l => l!["drivePoints"]!.AsArray()).Single(p => (string?)p!["id"] == id)!;
}
