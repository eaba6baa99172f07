using System.Net;

namespace Cuadrilla.Web.Tests;

/// <summary>Laboratories of lineups over the API.</summary>
public sealed class LineupApiTests(WebHost host) : IClassFixture<WebHost>
{
    private readonly HttpClient client = host.CreateClient();

    [Fact]
    public async Task A_group_says_what_each_motor_takes_in_a_scenario()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var group = await (await client.GetAsync($"/api/projects/{id}/groups/group-exit?scenarioId=full-production")).Body();
        var motors = group["atWork"]!["motors"]!.AsArray();

        Assert.Empty(group["missing"]!.AsArray());
        Assert.Equal([8, 3], motors.Select(m => (int)m!["count"]!));
        Assert.Null(motors[1]!["jamTripS"]);
        Assert.True((double)group["atWork"]!["wantedA"]! < (double)group["siteCurrentA"]!);
    }

    [Fact]
    public async Task A_shaft_shows_any_way_of_sharing_and_any_lost_unit()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var fight = await (await client.GetAsync($"/api/projects/{id}/shafts/shaft-hoist?kind=speed-follower&lost=-1")).Body();
        var droop = await (await client.GetAsync($"/api/projects/{id}/shafts/shaft-hoist?kind=droop&lost=1")).Body();

        Assert.Equal("speed-follower", (string)fight["kind"]!);
        Assert.True((double)fight["run"]!["circulatingNm"]! > (double)droop["run"]!["circulatingNm"]!);
        Assert.Equal(0, (double)droop["run"]!["afterLossPct"]![1]!, 3);
        foreach (var moment in fight["run"]!["trace"]!.AsArray())
        {
            Assert.Equal((double)moment!["loadNm"]! + (double)moment["acceleratingNm"]!,
                moment["sharesNm"]!.AsArray().Sum(s => (double)s!), 1e-3);
        }
    }

    [Fact]
    public async Task A_follower_gives_the_number_to_enter_and_a_brake_its_sequence()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var follower = await (await client.GetAsync($"/api/projects/{id}/followers/ratio-glaze")).Body();
        var brake = await (await client.GetAsync($"/api/projects/{id}/drive-points/dp-07/brake?fault=power-lost&down=true")).Body();

        Assert.Equal(1658, (double)follower["setting"]!["displaySetting"]!);
        Assert.Equal("power-lost", (string)brake["run"]!["fault"]!);
        Assert.True((bool)brake["run"]!["heldAtEnd"]!);
        Assert.True((double)brake["run"]!["brakeJ"]! > 1000);
    }

    [Fact]
    public async Task Ways_of_a_lineup_come_with_a_recommendation()
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        var found = await (await client.GetAsync($"/api/projects/{id}/lineups/l2/comparison")).Body();

        Assert.Equal(["", "film-single"], found["ways"]!.AsArray().Select(w => (string)w!["variantId"]!));
        Assert.Equal("film-single", (string)found["bestId"]!);
        Assert.NotEmpty(found["why"]!.AsArray());
    }

    [Theory]
    [InlineData("groups/x")]
    [InlineData("shafts/group-exit")]
    [InlineData("followers/x")]
    [InlineData("drive-points/dp-01/brake")]
    [InlineData("lineups/x/comparison")]
    public async Task What_is_not_there_is_not_found(string path)
    {
        var id = (string)(await client.ImportDemo())["id"]!;
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync($"/api/projects/{id}/{path}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await client.GetAsync($"/api/projects/none/{path}")).StatusCode);
    }

    [Fact]
    public async Task A_group_without_motors_is_refused_by_name()
    {
        var project = await client.ImportDemo();
        using var response = await client.Save(project, 1, s => s["lineups"]![2]!["arrangements"]![0]!["members"]![0]!["count"] = 0);
        var error = (await response.Body())["errors"]![0]!;

        Assert.Equal(HttpStatusCode.BadRequest, response.StatusCode);
        Assert.EndsWith("/lineups/2/arrangements/0/members/0/count", (string)error["pointer"]!, StringComparison.Ordinal);
        Assert.Contains("1 to 200", (string)error["allowed"]!, StringComparison.Ordinal);
    }
}
