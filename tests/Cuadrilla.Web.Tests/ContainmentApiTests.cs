using System.Net;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Catalogue;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;

namespace Cuadrilla.Web.Tests;

/// <summary>A program whose catalogue has an item that throws: the plant opens, is edited, stored and undone all the same.</summary>
public sealed class ContainmentApiTests
{
    [Fact]
    public async Task A_plant_with_a_fault_opens_and_an_edit_is_stored_and_undone()
    {
        await using var host = new WebHost();
        await using var broken = host.WithWebHostBuilder(b => b.ConfigureTestServices(s => s.AddSingleton(Broken())));
        using var client = broken.CreateClient();
        var project = await client.ImportDemo();
        Assert.True((int)project["assessment"]!["counts"]!["needsData"]! > 0);
        using var saved = await client.Save(project, 1, s => s["site"]!["ambientMaxC"] = 41);
        Assert.Equal(HttpStatusCode.OK, saved.StatusCode);
        var again = await (await client.GetAsync($"/api/projects/{project["id"]}")).Body();
        Assert.Equal(41, (double)again["specification"]!["site"]!["ambientMaxC"]!);
        using var undone = await client.Step(project, "undo", 2);
        Assert.Equal(38, (double)(await undone.Body())["specification"]!["site"]!["ambientMaxC"]!);
    }

    private static EngineeringData Broken()
    {
        var data = ReferenceCatalogue.Data;
        return data with
        {
            Converters = data.Converters.ToDictionary(c => c.Key, c => c.Value with { Derating = c.Value.Derating with { Switching = [] } },
                StringComparer.Ordinal),
        };
    }
}
