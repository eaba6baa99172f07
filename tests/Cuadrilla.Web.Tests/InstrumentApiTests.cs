using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Web.Instruments;
using Microsoft.Extensions.DependencyInjection;

namespace Cuadrilla.Web.Tests;

/// <summary>Stand-ins as a process of their own: their readings become entries, marked simulated for ever, and their end loses
/// nothing.</summary>
public sealed class InstrumentApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task A_fan_is_measured_through_the_stand_ins_and_all_that_comes_of_it_is_marked_simulated()
    {
        var demo = await client.ImportDemo();
        var (id, path) = ((string)demo["id"]!, $"/api/projects/{demo["id"]}/instruments");
        await Refused(path + "/orders", new { pointId = "dp-02", order = "start" }, HttpStatusCode.Conflict);
        await Posted(path + "/stand-ins", new { seed = 4, times = 20 });
        var resistances = await Take(path, "dp-02", ["winding.uv", "winding.vw", "winding.wu", "temperature.winding",
            "insulation.after1min"]);
        var log = $"/api/projects/{id}/commissioning";
        await Posted(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "insulation",
            taken = new { megohm = resistances["insulation.after1min"], winding = resistances["temperature.winding"] } });
        var found = await Posted(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "resistances",
            taken = new { uv = resistances["winding.uv"], vw = resistances["winding.vw"], wu = resistances["winding.wu"] } });
        var entry = found["entries"]![0]!;
        Assert.True((bool)entry["simulated"]!);
        Assert.Equal("micro-ohmmeter (simulated)", (string)entry["instrument"]!);
        Assert.Equal("Holds", (string)entry["verdict"]!);

        // Of another quantity, another drive point, typed beside, or not held: refused, by field.
        await Refused(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "earth",
            taken = new { ohm = resistances["winding.uv"] } });
        await Refused(log + "/entries", new { who = "c", pointId = "dp-03", stepId = "insulation",
            taken = new { megohm = resistances["insulation.after1min"] }, values = new { winding = 20 } });
        await Refused(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "insulation",
            taken = new { megohm = resistances["insulation.after1min"] }, values = new { megohm = 5, winding = 20 } });
        await Refused(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "earth", taken = new { ohm = 999_999_999 } });

        // One moment is not two: a sound under power is not that of coasting too.
        var loud = (await Take(path, "dp-02", ["sound.level"]))["sound.level"];
        using (var twice = await client.PostAsJsonAsync(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "noise",
            taken = new { ramp = loud, coast = loud } }, TestContext.Current.CancellationToken))
        {
            Assert.Equal(HttpStatusCode.BadRequest, twice.StatusCode);
            Assert.Contains("a reading of its own", await twice.Content.ReadAsStringAsync(TestContext.Current.CancellationToken),
                StringComparison.Ordinal);
        }

        // It runs by order; while it does its windings can't be measured.
        var running = await Posted(path + "/orders", new { pointId = "dp-02", order = "start", frequencyHz = 20 });
        Assert.Equal("running", (string)running["standIn"]!["state"]!);
        Assert.Contains("Hz", (string)(await Posted(path + "/orders", new { pointId = "dp-02", order = "start",
            frequencyHz = 400 }))["standIn"]!["refused"]!,
            StringComparison.Ordinal);
        await Until(async () => Reading(await Point(path, "dp-02"), "winding.uv") is { } r && !(bool)r["good"]!);

        // Its power analyser records cycles; beside the study's they are alike but for tolerances.
        JsonNode? wave = null;
        await Until(async () =>
            (wave = (await client.GetFromJsonAsync<JsonObject>(path + "/points/dp-02/line-wave"))!["wave"]) is not null);
        Assert.True((bool)wave!["simulated"]!);
        Assert.Empty((string)wave["problem"]!);
        Assert.Equal(20, (double)wave["periodMs"]!);
        Assert.Equal(256, wave["instants"]!.AsArray().Count);
        Assert.InRange((double)wave["thdiPct"]! / (double)wave["computedThdiPct"]!, 0.9, 1.1);
        Assert.True((int)(await client.GetFromJsonAsync<JsonObject>(path))!["standIns"]!["drivePoints"]! > 20);

        // A sign-off that rests on it says so.
        var open = found["openIds"]!.AsArray().Select(o => (string)o!).ToArray();
        found = await Posted(log + "/entries", new { who = "c", pointId = "dp-02", stepId = "sign-off", openPoints = open });
        Assert.True((bool)found["signed"]!["simulated"]!);
        Assert.Contains("2 simulated", (string)found["signed"]!["result"]!, StringComparison.Ordinal);
        Assert.Null((await Posted(path + "/stand-ins/stop", new { }))["standIns"]);
    }

    [Fact]
    public async Task Killing_the_stand_ins_in_the_middle_of_a_run_loses_nothing_and_is_said()
    {
        var demo = await client.ImportDemo();
        var path = $"/api/projects/{demo["id"]}/instruments";
        await Posted(path + "/stand-ins", new { seed = 4, times = 10 });
        await Take(path, "dp-02", ["temperature.frame"]);
        await Posted(path + "/orders", new { pointId = "dp-02", order = "start" });
        var run = await Posted(path + "/runs", new { who = "c", pointId = "dp-02", stepId = "temperature-run" });
        await Until(async () => Points(await Newest(path)) >= 4);
        var process = host.Services.GetRequiredService<InstrumentRoom>().ProcessOf((string)demo["id"]!)!;
        using (var victim = Process.GetProcessById(process.ProcessId))
        {
            victim.Kill();
            await victim.WaitForExitAsync(TestContext.Current.CancellationToken);
        }

        var before = Points(await Newest(path));
        Assert.True(before >= 4);
        await Until(async () => !(bool)(await client.GetFromJsonAsync<JsonObject>(path))!["standIns"]!["running"]!);
        Assert.Contains("ended by itself", (string)(await client.GetFromJsonAsync<JsonObject>(path))!["standIns"]!["ended"]!,
            StringComparison.Ordinal);
        var ended = await Posted(path + "/runs/end", new { who = "c", pointId = "dp-02", stepId = "temperature-run" });
        Assert.True(Points(ended) >= before);
        Assert.True((bool)ended["simulated"]!);

        // What there is of it makes an entry.
        var entry = (await Posted($"/api/projects/{demo["id"]}/commissioning/entries", new { who = "c", pointId = "dp-02",
            stepId = "temperature-run", runNumber = run["number"], values = new { ambientC = 20 } }))["entries"]![0]!;
        Assert.Equal(Points(ended), entry["run"]!.AsArray().Count);
        Assert.True((bool)entry["simulated"]!);
        await Refused(path + "/runs", new { who = "c", pointId = "dp-02", stepId = "earth" });

        // Started again they answer again; a run that went on would say that time went back.
        await Posted(path + "/stand-ins", new { seed = 4, times = 1 });
        await Take(path, "dp-02", ["temperature.frame"]);
        await Posted(path + "/stand-ins/stop", new { });
    }

    [Fact]
    public async Task A_sites_map_is_kept_and_one_that_does_not_fit_is_refused_by_field()
    {
        var map = new JsonObject { ["format"] = "cuadrilla-topics", ["version"] = 1, ["name"] = "Hall 3", ["topics"] = new JsonArray(
            new JsonObject { ["topic"] = "hall/{point}/t", ["readings"] = new JsonObject { ["temperature.frame"] =
                new JsonObject { ["from"] = "", ["unit"] = "°F" } } }) };
        using (var kept = await client.PostAsJsonAsync("/api/topic-maps", map, TestContext.Current.CancellationToken))
        {
            Assert.Equal(["Stand-ins", "Hall 3"],
                (await kept.Content.ReadFromJsonAsync<JsonArray>(TestContext.Current.CancellationToken))!.Select(m => (string)m!["name"]!));
        }

        // Removed by its name in the folder; what ships, and what lies elsewhere, can't be.
        foreach (var strange in new[] { "hall-4.json", "..%2Fcuadrilla.db", "%20" })
        {
            using var none = await client.DeleteAsync($"/api/topic-maps/{strange}", TestContext.Current.CancellationToken);
            Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
        }

        using (var removed = await client.DeleteAsync("/api/topic-maps/hall-3.json", TestContext.Current.CancellationToken))
        {
            Assert.Equal("Stand-ins", (string)Assert.Single(
                (await removed.Content.ReadFromJsonAsync<JsonArray>(TestContext.Current.CancellationToken))!)!["name"]!);
        }

        map["topics"]![0]!["readings"]!["temperature.frame"]!["unit"] = "V";
        await Refused("/api/topic-maps", map);
        await Refused("/api/projects/none/instruments/stand-ins", new { seed = -1, times = 1 });
        await Refused("/api/projects/none/instruments/stand-ins", new { seed = 1, times = 900 });
    }

    [Fact]
    public async Task Nothing_listens_before_somebody_wants_instruments()
    {
        // A server of its own: others of this class have opened theirs.
        using var fresh = new WebHost();
        using var own = fresh.CreateClient();
        var demo = await own.ImportDemo();
        var found = (await own.GetFromJsonAsync<JsonObject>($"/api/projects/{demo["id"]}/instruments"))!;
        Assert.Equal("off", (string)found["state"]!);
        Assert.Empty((string)found["broker"]!);
    }

    private static JsonNode? Reading(JsonNode point, string name) =>
        point["readings"]!.AsArray().FirstOrDefault(r => (string?)r!["name"] == name);

    private static int Points(JsonNode? run) => run is null ? 0 : run["points"]!.AsArray().Count;

    private static async Task Until(Func<Task<bool>> condition)
    {
        for (var i = 0; i < 400 && !await condition(); i++)
        {
            await Task.Delay(100, TestContext.Current.CancellationToken);
        }

        Assert.True(await condition());
    }

    private async Task<JsonNode> Point(string path, string point) => (await client.GetFromJsonAsync<JsonObject>($"{path}/points/{point}"))!;

    private async Task<JsonNode?> Newest(string path) =>
        (await client.GetFromJsonAsync<JsonObject>($"{path}/runs/dp-02/temperature-run"))!["newest"];

    // Numbers of readings, once all of them are there.
    private async Task<Dictionary<string, long>> Take(string path, string point, string[] names)
    {
        Dictionary<string, long> taken = [];
        await Until(async () =>
        {
            using var answer = await client.PostAsJsonAsync(path + "/taken", new { pointId = point, names });
            taken = (await answer.Content.ReadFromJsonAsync<JsonArray>())!.ToDictionary(r => (string)r!["name"]!, r => (long)r!["number"]!);
            return taken.Count == names.Length;
        });
        return taken;
    }

    private async Task<JsonNode> Posted(string path, object body)
    {
        using var answer = await client.PostAsJsonAsync(path, body, TestContext.Current.CancellationToken);
        var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.True(answer.IsSuccessStatusCode, $"{path}: {text}");
        return JsonNode.Parse(text)!;
    }

    private async Task Refused(string path, object body, HttpStatusCode status = HttpStatusCode.BadRequest)
    {
        using var answer = await client.PostAsJsonAsync(path, body, TestContext.Current.CancellationToken);
        Assert.Equal(status, answer.StatusCode);
    }
}
