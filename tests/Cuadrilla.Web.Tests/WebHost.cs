using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Cuadrilla.Documents.Demo;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Cuadrilla.Web.Tests;

/// <summary>The real program on a real SQLite file in a folder of its own.</summary>
public sealed class WebHost : WebApplicationFactory<Program>
{
    public string Folder { get; } = Directory.CreateTempSubdirectory("cuadrilla-test-").FullName;

    protected override void ConfigureWebHost(IWebHostBuilder builder) => builder.UseSetting("data", Folder);

    protected override void Dispose(bool disposing)
    {
        base.Dispose(disposing);
        if (disposing && Directory.Exists(Folder))
        {
            Directory.Delete(Folder, recursive: true);
        }
    }
}

/// <summary>Calls that tests share.</summary>
internal static class Calls
{
    public static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");

    public static async Task<JsonNode> Body(this HttpResponseMessage response) => JsonNode.Parse(await response.Content.ReadAsStringAsync())!;

    public static async Task<JsonNode> ImportDemo(this HttpClient client)
    {
        using var content = Json(Encoding.UTF8.GetString(DemoPlant.File()));
        using var response = await client.PostAsync("/api/projects/import", content);
        response.EnsureSuccessStatusCode();
        return await response.Body();
    }

    public static Task<HttpResponseMessage> Save(this HttpClient client, JsonNode project, long basedOn, Action<JsonNode> change, string label = "test")
    {
        var specification = project["specification"]!.DeepClone();
        change(specification);
        return client.PostAsJsonAsync(
            $"/api/projects/{project["id"]}/edits", new JsonObject { ["basedOn"] = basedOn, ["label"] = label, ["who"] = "tester", ["specification"] = specification });
    }

    public static Task<HttpResponseMessage> Step(this HttpClient client, JsonNode project, string step, long basedOn) =>
        client.PostAsJsonAsync($"/api/projects/{project["id"]}/{step}", new JsonObject { ["basedOn"] = basedOn, ["who"] = "tester" });
}
