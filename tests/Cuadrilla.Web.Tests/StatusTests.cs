using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Web.Tests;

/// <summary>The OpenAPI document states every answer of every endpoint.</summary>
public sealed class StatusTests(WebHost host) : IClassFixture<WebHost>
{
    [Fact]
    public async Task Every_endpoint_states_every_status_with_what_it_holds()
    {
        var document = (await host.CreateClient().GetFromJsonAsync<JsonObject>("/api/openapi.json"))!;
        var seen = 0;
        foreach (var (path, operations) in document["paths"]!.AsObject())
        {
            foreach (var (method, operation) in operations!.AsObject())
            {
                var answers = operation!["responses"]!.AsObject();
                string[] wanted =
                [
                    "421", "500", .. (string?)operation["x-role"] == "anyone" ? Array.Empty<string>() : ["401", "403"],
                    .. path.Contains('{', StringComparison.Ordinal) ? ["404"] : Array.Empty<string>(),
                    .. method == "post" ? ["400", "403", "413", "415"] : Array.Empty<string>(),
                ];
                Assert.True(wanted.All(answers.ContainsKey), $"{method} {path}: {string.Join(' ', answers.Select(a => a.Key))}");
                Assert.All(answers.Where(a => a.Key[0] >= '4'),
                    a => Assert.NotNull(a.Value!["content"]!["application/problem+json"]!["schema"]));
                Assert.All(answers.Where(a => a.Key[0] == '2'),
                    a => Assert.All(a.Value!["content"]!.AsObject(), c => Assert.NotNull(c.Value!["schema"])));
                seen++;
            }
        }

        Assert.True(seen > 35, $"{seen}");
    }
}
