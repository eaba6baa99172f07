using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Edits sent as small changes: as good as whole ones, refused whole, compressed on the wire.</summary>
public sealed class ChangeApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task A_change_is_what_a_whole_edit_would_have_saved()
    {
        var one = await client.ImportDemo();
        var other = await client.ImportDemo();
        using var whole = await client.Save(one, 1, s => s["site"]!["altitudeM"] = 1250);
        using var part = await Change(other, 1, Op("replace", "/site/altitudeM", 1250));
        part.EnsureSuccessStatusCode();
        var saved = await part.Body();
        Assert.Equal((2, true), ((int)saved["edit"]!, saved["specification"] is null));
        Assert.Equal((await whole.Body())["assessment"]!["counts"]!.ToJsonString(), saved["assessment"]!["counts"]!.ToJsonString());
        Assert.Equal((await Get(one))["specification"]!.ToJsonString(), (await Get(other))["specification"]!.ToJsonString());
    }

    [Fact]
    public async Task Lists_grow_and_shrink_and_what_was_left_out_comes_back_filled_in()
    {
        var project = await client.ImportDemo();
        var bus = new JsonObject { ["id"] = "bus-new", ["name"] = "new", ["nominalVoltageV"] = 400, ["withstandKa"] = null };
        using var added = await Change(project, 1, Op("add", "/distribution/buses/0", bus));
        var saved = await added.Body();
        Assert.Equal("bus-new", (string?)saved["specification"]!["distribution"]!["buses"]![0]!["id"]);
        Assert.True(saved["specification"]!["distribution"]!["buses"]![0]!.AsObject().Count > bus.Count);
        using var removed = await Change(project, 2, Op("remove", "/distribution/buses/0", null));
        removed.EnsureSuccessStatusCode();
        Assert.Equal(project["specification"]!.ToJsonString(), (await Get(project))["specification"]!.ToJsonString());
    }

    [Theory]
    [InlineData("replace", "/site/depthM", "/changes/1/path")]
    [InlineData("replace", "/lineups/99/name", "/changes/1/path")]
    [InlineData("replace", "", "/changes/1/path")]
    [InlineData("replace", "/", "/changes/1/path")]
    [InlineData("add", "//", "/changes/1/path")]
    [InlineData("replace", "/lineups/-1/name", "/changes/1/path")]
    [InlineData("remove", "/lineups/99999999999999999999", "/changes/1/path")]
    [InlineData("replace", "/site/altitudeM/x", "/changes/1/path")]
    [InlineData("remove", "/site/altitudeM", "/specification")]
    [InlineData("replace", "/site/altitudeM", "/specification/site/altitudeM")]
    public async Task What_does_not_apply_is_refused_and_nothing_of_the_rest_is_saved(string op, string path, string pointer)
    {
        var project = await client.ImportDemo();
        using var refused = await Change(project, 1, Op("replace", "/site/ambientMaxC", 35), Op(op, path, -99_999));
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.StartsWith(pointer, (string?)(await refused.Body())["errors"]![0]!["pointer"], StringComparison.Ordinal);
        Assert.Equal(1, (int)(await Get(project))["edit"]!);
    }

    [Theory]
    [InlineData("/lineups/0/drivePoints/1/load")]
    [InlineData("/site")]
    public async Task What_is_too_deep_where_it_is_put_is_refused(string path)
    {
        // Not too deep for a request.
        JsonNode value = new JsonArray();
        for (var i = 0; i < 26; i++)
        {
            value = new JsonArray(value);
        }

        var project = await client.ImportDemo();
        using var refused = await Change(project, 1, new JsonObject { ["op"] = "replace", ["path"] = path, ["value"] = value });
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal(1, (int)(await Get(project))["edit"]!);
    }

    [Fact]
    public async Task Gaps_in_lists_are_named()
    {
        var project = await client.ImportDemo();
        using var gap = await Change(project, 1, Op("add", "/lineups/-", null));
        Assert.Equal(HttpStatusCode.BadRequest, gap.StatusCode);
        Assert.StartsWith("/specification/lineups/", (string?)(await gap.Body())["errors"]![0]!["pointer"], StringComparison.Ordinal);
        using var nothing = await Change(project, 1, Op("replace", "/site/altitudeM", 10), null!);
        Assert.Equal(HttpStatusCode.BadRequest, nothing.StatusCode);
        Assert.Equal("/changes/1", (string?)(await nothing.Body())["errors"]![0]!["pointer"]);
    }

    [Fact]
    public async Task A_stale_change_is_refused_with_both_versions()
    {
        var project = await client.ImportDemo();
        using var first = await Change(project, 1, Op("replace", "/site/altitudeM", 10));
        using var late = await Change(project, 1, Op("replace", "/site/altitudeM", 20));
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        var body = await late.Body();
        Assert.Equal((640, 10), ((int)body["base"]!["site"]!["altitudeM"]!,
            (int)body["current"]!["specification"]!["site"]!["altitudeM"]!));
        using var unknown = await Change(new JsonObject { ["id"] = "none" }, 1, Op("replace", "/site/altitudeM", 20));
        Assert.Equal(HttpStatusCode.NotFound, unknown.StatusCode);
    }

    [Fact]
    public async Task Answers_are_compressed_and_the_catalogue_is_not_sent_twice()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/catalogue") { Headers = { { "Accept-Encoding", "br" } } };
        using var answer = await client.SendAsync(request);
        Assert.Equal("br", Assert.Single(answer.Content.Headers.ContentEncoding));
        using var again = new HttpRequestMessage(HttpMethod.Get,
            "/api/catalogue") { Headers = { { "If-None-Match", answer.Headers.ETag!.ToString() } } };
        using var same = await client.SendAsync(again);
        Assert.Equal(HttpStatusCode.NotModified, same.StatusCode);
    }

    private static JsonObject Op(string op, string path, JsonNode? value) => new() { ["op"] = op, ["path"] = path, ["value"] = value };

    private Task<HttpResponseMessage> Change(JsonNode project, long basedOn, params JsonObject[] changes) => client.PostAsJsonAsync(
        $"/api/projects/{project["id"]}/changes",
        new JsonObject { ["basedOn"] = basedOn, ["label"] = "test", ["who"] = "tester", ["changes"] = new JsonArray([.. changes]) });

    private async Task<JsonNode> Get(JsonNode project) => (await client.GetFromJsonAsync<JsonNode>($"/api/projects/{project["id"]}"))!;

    [Fact]
    public async Task Who_has_the_assessment_is_told_what_differs_and_who_names_another_is_told_all()
    {
        var project = await client.ImportDemo();
        var (known, stamp) = (project["assessment"]!, (string)project["stamp"]!);
        for (var edit = 1; edit <= 3; edit++)
        {
            using var part = await Knowing(stamp, edit, 100.0 * edit);
            var saved = await part.Body();
            Assert.Null(saved["assessment"]);
            Assert.InRange(saved["changed"]!["checks"]!["put"]!.AsArray().Count, 1, known["checks"]!.AsArray().Count / 2);
            foreach (var name in new[] { "checks", "drivePoints" })
            {
                known[name] = Applied(known[name]!.AsArray(), saved["changed"]![name]!);
            }

            var all = (await Get(project))["assessment"]!;
            Assert.Equal(all["checks"]!.ToJsonString(), known["checks"]!.ToJsonString());
            Assert.Equal(all["drivePoints"]!.ToJsonString(), known["drivePoints"]!.ToJsonString());
            Assert.Equal(all["counts"]!.ToJsonString(), saved["changed"]!["counts"]!.ToJsonString());
            stamp = (string)saved["stamp"]!;
        }

        foreach (var (other, edit) in new[] { (string.Empty, 4L), ("0123456789", 5L), ((string)project["stamp"]!, 6L) })
        {
            using var whole = await Knowing(other, edit, 50 + edit);
            var saved = await whole.Body();
            Assert.Equal((true, true), (saved["changed"] is null, saved["assessment"] is not null));
        }

        Task<HttpResponseMessage> Knowing(string knows, long basedOn, double altitudeM) => client.PostAsJsonAsync(
            $"/api/projects/{project["id"]}/changes",
            new JsonObject
            {
                ["basedOn"] = basedOn, ["label"] = "test", ["who"] = "tester", ["knows"] = knows,
                ["changes"] = new JsonArray(Op("replace", "/site/altitudeM", altitudeM)),
            });
    }

    [Fact]
    public async Task Commands_undo_and_redo_tell_what_differs_too()
    {
        var project = await client.ImportDemo();
        var (known, stamp) = (project["assessment"]!, (string)project["stamp"]!);
        await Follow("commands", 1, new JsonArray(new JsonObject { ["kind"] = "remove-drive-points", ["pointIds"] =
            new JsonArray("dp-01") }));
        await Follow("undo", 2);
        await Follow("redo", 3);
        using var unknowing = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/undo", new { basedOn = 4, who = "tester" });
        Assert.NotNull((await unknowing.Body())["assessment"]);

        async Task Follow(string way, long basedOn, JsonArray? commands = null)
        {
            var request = new JsonObject { ["basedOn"] = basedOn, ["who"] = "tester", ["knows"] = stamp };
            if (commands is not null)
            {
                request["commands"] = commands;
            }

            using var answer = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/{way}", request);
            var body = await answer.Body();
            var saved = body["saved"] ?? body;
            Assert.True(answer.StatusCode == HttpStatusCode.OK, body.ToJsonString());
            Assert.Null(saved["assessment"]);
            var now = await Get(project);
            Assert.Equal(now["specification"]!.ToJsonString(), saved["specification"]!.ToJsonString());
            foreach (var name in new[] { "checks", "drivePoints" })
            {
                known[name] = Applied(known[name]!.AsArray(), saved["changed"]![name]!);
                Assert.Equal(now["assessment"]![name]!.ToJsonString(), known[name]!.ToJsonString());
            }

            Assert.Equal(now["assessment"]!["supply"]!.ToJsonString(), saved["changed"]!["supply"]!.ToJsonString());
            stamp = (string)saved["stamp"]!;
        }
    }

    private static JsonArray Applied(JsonArray before, JsonNode changes)
    {
        var gone = changes["gone"]!.AsArray().Select(g => (int)g!).ToHashSet();
        var after = before.Where((_, i) => !gone.Contains(i)).Select(c => c!.DeepClone()).ToList();
        foreach (var (at, item) in changes["at"]!.AsArray().Zip(changes["put"]!.AsArray()))
        {
            after.Insert((int)at!, item!.DeepClone());
        }

        return new JsonArray([.. after]);
    }

    [Fact]
    public async Task Changes_of_other_fields_are_made_on_what_somebody_else_saved()
    {
        var client = host.CreateClient();
        var project = await client.ImportDemo();
        using var theirs = await Merge(client, project, 1, ("replace", "/site/altitudeM", 700));
        Assert.Equal(HttpStatusCode.OK, theirs.StatusCode);
        using var mine = await Merge(client, project, 1, ("replace", "/lineups/0/drivePoints/1/cable/lengthM", 91),
            ("replace", "/site/ambientMaxC", 36));
        var saved = await mine.Body();
        Assert.Equal((HttpStatusCode.OK, 3), (mine.StatusCode, (int)saved["edit"]!));

        // The client does not have it: it is sent.
        Assert.Equal((700, 36, 91), ((double)saved["specification"]!["site"]!["altitudeM"]!,
            (double)saved["specification"]!["site"]!["ambientMaxC"]!,
            (double)saved["specification"]!["lineups"]![0]!["drivePoints"]![1]!["cable"]!["lengthM"]!));
    }

    [Theory]
    [InlineData("replace", "/site/altitudeM", 800)]
    [InlineData("replace", "/lineups/0/drivePoints/1/cable/lengthM", 91)]
    [InlineData("remove", "/lineups/0/drivePoints/2", 0)]
    [InlineData("replace", "/lineups/0/name", 0)]
    public async Task What_both_changed_or_what_may_stand_elsewhere_now_is_not_merged(string op, string path, double value)
    {
        var client = host.CreateClient();
        var project = await client.ImportDemo();
        using var site = await Merge(client, project, 1, ("replace", "/site/altitudeM", 700));
        using var named = await Merge(client, project, 2, ("replace", "/lineups/0/name", "Other"));
        using var moved = await client.PostAsJsonAsync($"/api/projects/{project["id"]}/commands",
            new JsonObject { ["basedOn"] = 3, ["who"] = "tester",
                ["commands"] = new JsonArray(new JsonObject { ["kind"] = "copy-drive-point",
                    ["pointId"] = (string?)project["specification"]!["lineups"]![0]!["drivePoints"]![0]!["id"] }) });
        Assert.Equal((HttpStatusCode.OK, HttpStatusCode.OK), (named.StatusCode, moved.StatusCode));
        using var late = await Merge(client, project, 1, (op, path, path.EndsWith("name", StringComparison.Ordinal) ? "Mine" : value));
        Assert.Equal(HttpStatusCode.Conflict, late.StatusCode);
        using var history = await client.GetAsync($"/api/projects/{project["id"]}/history", TestContext.Current.CancellationToken);
        Assert.Equal(4, (await history.Body()).AsArray().Count);
    }

    [Fact]
    public async Task Many_at_once_on_one_plant_all_get_through()
    {
        var client = host.CreateClient();
        var project = await client.ImportDemo();
        var answers = await Task.WhenAll(Enumerable.Range(0, 6)
            .Select(i => Merge(client, project, 1, ("replace", $"/lineups/0/drivePoints/{i}/cable/lengthM", 40 + i))));
        Assert.All(answers, a => Assert.Equal(HttpStatusCode.OK, a.StatusCode));
        var now = await (await client.GetAsync($"/api/projects/{project["id"]}", TestContext.Current.CancellationToken)).Body();
        Assert.Equal(7, (int)now["edit"]!);
        Assert.All(Enumerable.Range(0, 6),
            i => Assert.Equal(40 + i, (double)now["specification"]!["lineups"]![0]!["drivePoints"]![i]!["cable"]!["lengthM"]!));
    }

    private static Task<HttpResponseMessage> Merge(HttpClient client, JsonNode project, long basedOn,
        params (string Op, string Path, object Value)[] changes) => client.PostAsJsonAsync(
        $"/api/projects/{project["id"]}/changes",
        new JsonObject
        {
            ["basedOn"] = basedOn,
            ["label"] = "test",
            ["who"] = "tester",
            ["merges"] = true,
            ["changes"] = new JsonArray([.. changes.Select(c =>
                new JsonObject { ["op"] = c.Op, ["path"] = c.Path, ["value"] = JsonValue.Create(c.Value) })]),
        });
}
