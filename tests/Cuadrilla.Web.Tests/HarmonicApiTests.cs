using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>Harmonics explained, mitigation and measurements over the API.</summary>
public sealed class HarmonicApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task The_study_opens_where_it_is_worst_and_follows_what_is_asked()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var worst = await (await client.GetAsync($"/api/projects/{id}/harmonics")).Body();
        var asked = await (await client.GetAsync($"/api/projects/{id}/harmonics?scenarioId=night-kiln&busId=bus-b")).Body();

        Assert.Equal("t2-out", (string)worst["scenarioId"]!);
        Assert.Equal(("night-kiln", "bus-b"), ((string)asked["scenarioId"]!, (string)asked["busId"]!));
        Assert.Equal(100, worst["contributions"]!.AsArray().Sum(c => (double)c!["sharePct"]!), 3);
        Assert.Equal(361, worst["waves"]!.AsArray().Count);
        Assert.All(worst["matrix"]!.AsArray(), r => Assert.Equal(4, r!["figures"]!.AsArray().Count));
    }

    [Fact]
    public async Task Mitigation_of_one_drive_names_its_choices()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var found = await (await client.GetAsync($"/api/projects/{id}/mitigation?drivePointId=dp-02")).Body();
        var active = found["ways"]!.AsArray().Single(w => (string)w!["id"]! == "active")!;

        Assert.Equal("active-55", (string)active["change"]!["choices"]!["dp-02"]!);
        using var tried = await client.PostAsJsonAsync(
            $"/api/projects/{id}/commands",
            new { basedOn = 1, who = "engineer",
                commands = new JsonArray(new JsonObject { ["kind"] = "mitigate", ["name"] = "active",
                    ["change"] = active["change"]!.DeepClone() }) });
        var converter = (await tried.Body())["saved"]!["specification"]!["lineups"]![0]!["drivePoints"]![1]!["converter"]!;
        Assert.Equal(("active-55", "to-line"), ((string)converter["itemId"]!, (string)converter["braking"]!["kind"]!));
        Assert.True((double)found["filterA"]! > 0);
    }

    [Theory]
    [InlineData("binary")]
    [InlineData("ascii")]
    public async Task A_computed_recording_read_back_is_the_study(string kind)
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var path = $"/api/projects/{id}/waveforms/";
        var configuration = await client.GetStringAsync($"{path}cfg?scenarioId=full-production&busId=bus-mv&kind={kind}");
        var data = await client.GetByteArrayAsync($"{path}dat?scenarioId=full-production&busId=bus-mv&kind={kind}");
        using var response = await client.PostAsJsonAsync(
            $"/api/projects/{id}/measurements/compare",
            new JsonObject { ["scenarioId"] = "full-production", ["target"] = "coupling", ["text"] = configuration,
                ["dataBase64"] = Convert.ToBase64String(data), ["channel"] = 1 });
        var found = await response.Body();

        // The recording is phase A, the study's worst phase may be another: orders agree within what unbalance parts them.
        Assert.Equal(HttpStatusCode.OK, response.StatusCode);
        Assert.Equal((double)found["computedFundamental"]!, (double)found["measuredFundamental"]!,
            0.05 * (double)found["computedFundamental"]!);
        Assert.Equal((double)found["computedThdPct"]!, (double)found["measuredThdPct"]!, 1.5);
        Assert.Equal(2, found["channels"]!.AsArray().Count);
    }

    [Fact]
    public async Task A_bad_measurement_is_refused_by_line()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        async Task<HttpResponseMessage> Post(string target, string text) => await client.PostAsJsonAsync(
            $"/api/projects/{id}/measurements/compare",
            new JsonObject { ["scenarioId"] = "full-production", ["target"] = target, ["text"] = text });
        using var bad = await Post("coupling", "order,A\n1,40\n5,x\n");
        using var unknown = await Post("bus:none", "order,A\n1,40\n");
        using var drive = await Post("drive:dp-01", "order,A\n1,240\n5,80\n");

        Assert.Equal(HttpStatusCode.BadRequest, bad.StatusCode);
        Assert.Equal("/line 3", (string)(await bad.Body())["errors"]![0]!["pointer"]!);
        Assert.Equal(HttpStatusCode.NotFound, unknown.StatusCode);
        Assert.True((double)(await drive.Body())["orders"]![3]!["computedPct"]! > 10);
    }
}
