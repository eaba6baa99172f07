using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Web.Tests;

/// <summary>Whatever is sent: an answer that is whole, never an internal error, and the project as it was or as the answer says.</summary>
public sealed class FuzzTests : IDisposable
{
    private static readonly int Inputs = int.TryParse(Environment.GetEnvironmentVariable("CUADRILLA_INPUTS"), out var inputs)
        ? inputs
        : 3000;
    private static readonly int Seed = int.TryParse(Environment.GetEnvironmentVariable("CUADRILLA_SEED"), out var seed) ? seed : 20261128;

    private readonly string folder = Directory.CreateTempSubdirectory("cuadrilla-fuzz-").FullName;
    private readonly HttpClient client = new() { BaseAddress = new Uri($"http://127.0.0.1:{ServerProcess.FreePort()}") };

    private static readonly string[] Strange =
    [
        "null", "[]", "{}", "true", "\"\"", "\"x\"", "-1", "0", "5e-324", "1e308", "-1e308", "1e999", "-1e999", "NaN", "1e", "01",
        "\"\\ud800\"", "\"\\udc00x\"", "\"\\u0000\"", "\"\\u202e\"", "[null]",
        "[[]]", "{\"kind\":null}", "{\"kind\":\"x\"}", "{\"kind\":7}", "9007199254740993", "\"\\uffff\"", "{\"a\":1,\"a\":2}", "2147483648",
        "0.1e-400", "\"dp-01\"",
    ];

    [Fact]
    public async Task No_input_makes_the_server_fall_over()
    {
        using var server = await ServerProcess.StartAsync(folder, client);
        var project = await client.ImportDemo();
        var id = (string)project["id"]!;
        var files = Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "plants")).Order(StringComparer.Ordinal)
            .Select(File.ReadAllText).Append(Encoding.UTF8.GetString(DemoPlant.File())).ToList();
        var examples = Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "methods")).Order(StringComparer.Ordinal)
            .SelectMany(f => Regex.Matches(File.ReadAllText(f), "```json calc (\\S+)\\n(.*?)\\n```", RegexOptions.Singleline))
            .Select(m => (Name: m.Groups[1].Value, Input: m.Groups[2].Value)).ToList();
        Assert.True(files.Count > 10 && examples.Count > 20, $"{files.Count} {examples.Count}");
        var edit = 1L;
        var specification = project["specification"]!.ToJsonString();
        var random = new Random(Seed);
        var seen = new Dictionary<HttpStatusCode, int>();
        for (var i = 0; i < Inputs; i++)
        {
            var (path, body) = (i % 6) switch
            {
                0 => ("/api/projects/import", Spoilt(files[random.Next(files.Count)], random)),
                1 => ($"/api/projects/{id}/edits",
                    $"{{\"basedOn\":{edit},\"label\":\"x\",\"who\":\"y\",\"specification\":{Spoilt(specification, random)}}}"),
                2 => ($"/api/projects/{id}/changes",
                    Spoilt("{\"basedOn\":999999,\"label\":\"x\",\"who\":\"y\",\"changes\":[{\"op\":\"replace\",\"path\":\"/site/altitudeM\",\"value\":7}]}", random)),
                3 => ($"/api/projects/{id}/commands",
                    Spoilt("{\"basedOn\":999999,\"who\":\"y\",\"commands\":[{\"kind\":\"feed-by\",\"pointIds\":[\"dp-01\"],\"way\":\"soft-starter\"}]}", random)),
                4 => Spoilt(examples[random.Next(examples.Count)], random),
                _ => ($"/api/projects/{id}/drive-list/judge",
                    Spoilt("{\"heads\":[\"Tag\",\"Type\",\"Motor kW\"],\"rows\":[[\"P-1\",\"pump\",\"5\"],[\"P-2\",\"fan\",\"7\"]]}",
                        random)),
            };
            using var content = Calls.Json(body);
            using var answer = await client.PostAsync(path, content, TestContext.Current.CancellationToken);
            var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
            var told = $"input {i}, {path}: {(int)answer.StatusCode} {text[..Math.Min(300, text.Length)]}\n"
                + $"{body[..Math.Min(400, body.Length)]}";
            Assert.True((int)answer.StatusCode < 500, told);
            Assert.True(IsWhole(text), told);
            if ((int)answer.StatusCode >= 400)
            {
                Assert.True(answer.Content.Headers.ContentType?.MediaType == "application/problem+json", told);
                Assert.True(text.Length < 2_000_000, told);
            }

            if (i % 6 == 1 && answer.StatusCode == HttpStatusCode.OK)
            {
                edit = (long)JsonNode.Parse(text)!["edit"]!;
            }

            seen[answer.StatusCode] = seen.GetValueOrDefault(answer.StatusCode) + 1;
        }

        // Neither all refused nor all taken: the spoiling reaches past the first gate.
        Assert.True(seen.GetValueOrDefault(HttpStatusCode.BadRequest) > Inputs / 3, string.Join(' ', seen));
        Assert.True(seen.Where(s => s.Key is HttpStatusCode.OK or HttpStatusCode.Created or HttpStatusCode.Conflict
            or HttpStatusCode.NotFound).Sum(s => s.Value) > Inputs / 30, string.Join(' ', seen));
        Assert.True(edit > 2, $"{edit}");
        Assert.Equal(edit, (long)(await (await client.GetAsync($"/api/projects/{id}", TestContext.Current.CancellationToken))
            .Body())["edit"]!);
    }

    public void Dispose()
    {
        client.Dispose();
        TestFolder.Remove(folder);
    }

    private static (string Path, string Body) Spoilt((string Name, string Input) example, Random random) =>
        ($"/api/calc/{example.Name}", Spoilt(example.Input, random));

    private static bool IsWhole(string text)
    {
        try
        {
            using var document = JsonDocument.Parse(text);
            return true;
        }
        catch (JsonException)
        {
            return false;
        }
    }

    // One to three values of the document become strange ones, a name is doubled, or the text is cut or scribbled on.
    private static string Spoilt(string json, Random random)
    {
        switch (random.Next(10))
        {
            case 0:
                return json[..random.Next(json.Length)];
            case 1:
                var letters = json.ToCharArray();
                letters[random.Next(letters.Length)] = (char)random.Next(32, 127);
                return new string(letters);
            case 2:
                var at = json.IndexOf("\":", random.Next(json.Length), StringComparison.Ordinal);
                var from = at < 1 ? -1 : json.LastIndexOf('"', at - 1);
                return from < 0 ? json : $"{json[..from]}{json[from..(at + 2)]}{Strange[random.Next(Strange.Length)]},{json[from..]}";
            default:
                var root = JsonNode.Parse(json)!;
                List<string> put = [];
                for (var k = random.Next(1, 4); k > 0; k--)
                {
                    var places = new List<JsonNode>();
                    Collect(root, places);
                    if (places.Count > 0)
                    {
                        places[random.Next(places.Count)].ReplaceWith($"@@{put.Count}@@");
                        put.Add(Strange[random.Next(Strange.Length)]);
                    }
                }

                var text = root.ToJsonString();
                return put.Select((value, n) => (value, n)).Aggregate(text,
                    (t, p) => t.Replace($"\"@@{p.n}@@\"", p.value, StringComparison.Ordinal));
        }
    }

    private static void Collect(JsonNode? node, List<JsonNode> places)
    {
        foreach (var child in node switch { JsonObject o => o.Select(p => p.Value), JsonArray a => a, _ => Enumerable.Empty<JsonNode?>() })
        {
            if (child is not null)
            {
                places.Add(child);
                Collect(child, places);
            }
        }
    }
}
