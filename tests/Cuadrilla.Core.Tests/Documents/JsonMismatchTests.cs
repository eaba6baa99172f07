using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Whatever is spoilt in a document is named where it stands, without asking the reader's own words.</summary>
public sealed class JsonMismatchTests
{
    private const int Tries = 600;

    private static readonly string Demo = JsonNode.Parse(DemoPlant.File())!["specification"]!.ToJsonString();

    [Fact]
    [Trait("speed", "slow")]
    public void A_spoilt_place_is_named()
    {
        var random = new Random(7);
        var refused = 0;
        for (var i = 0; i < Tries; i++)
        {
            var document = JsonNode.Parse(Demo)!;
            var (pointer, parent) = Somewhere(document, random);
            Spoil(parent, pointer.Split('/')[^1], random);
            try
            {
                JsonReading.Read<PlantSpecification>(Encoding.UTF8.GetBytes(document.ToJsonString()), ProjectJson.Options);
            }
            catch (InputException problem)
            {
                refused++;
                var named = problem.Problems.Single().Pointer;
                Assert.True(
                    named.StartsWith(pointer, StringComparison.Ordinal) || pointer.StartsWith(named, StringComparison.Ordinal)
                        || named.StartsWith(pointer[..pointer.LastIndexOf('/')], StringComparison.Ordinal),
                    $"{pointer}: {problem.Message}");
                Assert.DoesNotContain("does not fit the schema", problem.Message, StringComparison.Ordinal);
            }
        }

        Assert.True(refused > Tries / 2, $"{refused}");
    }

    [Theory]
    [InlineData("""{ "altitudeM": 1, "ambientMaxC": 2, "cabinetAirRiseK": 3, "altitudeM": 4 }""", "", "given twice")]
    [InlineData("""{ "altitudeM": 1, "ambientMaxC": "2", "cabinetAirRiseK": 3 }""", "/ambientMaxC", "\"2\"")]
    [InlineData("""{ "altitudeM": 1, "ambientMaxC": null, "cabinetAirRiseK": 3 }""", "/ambientMaxC", "null")]
    [InlineData("""{ "altitudeM": 1, "cabinetAirC": 2 }""", "/cabinetAirC", "not known")]
    [InlineData("""{ "altitudeM": 1 }""", "/ambientMaxC", "'ambientMaxC', 'cabinetAirRiseK' are absent")]
    [InlineData("[]", "", "[]")]
    [InlineData("""{ "altitudeM": NaN }""", "", "NaN")]
    [InlineData("""{ "altitudeM": 1,""", "", "cut off")]
    public void Each_kind_of_fault_has_its_sentence(string json, string pointer, string said)
    {
        var problem = Assert.Throws<InputException>(() =>
            JsonReading.Read<Cuadrilla.Core.Base.Site>(Encoding.UTF8.GetBytes(json), ProjectJson.Options)).Problems.Single();
        Assert.Equal(pointer, problem.Pointer);
        Assert.Contains(said, problem.Message, StringComparison.Ordinal);
    }

    private static (string Pointer, JsonNode Parent) Somewhere(JsonNode node, Random random)
    {
        var pointer = string.Empty;
        while (true)
        {
            var keys = node is JsonObject record
                ? record.Select(f => f.Key).ToList()
                : [.. Enumerable.Range(0, ((JsonArray)node).Count).Select(i => $"{i}")];
            var key = keys[random.Next(keys.Count)];
            pointer += "/" + key;
            var inner = node is JsonArray list ? list[int.Parse(key, System.Globalization.CultureInfo.InvariantCulture)] : node[key];
            if (inner is not (JsonObject { Count: > 0 } or JsonArray { Count: > 0 }) || random.Next(6) == 0)
            {
                return (pointer, node);
            }

            node = inner;
        }
    }

    private static void Spoil(JsonNode parent, string key, Random random)
    {
        JsonNode? wrong = random.Next(4) switch { 0 => new JsonArray(1), 1 => new JsonObject { ["strange"] = true },
            2 => JsonValue.Create(false), _ => null };
        if (parent is JsonArray list)
        {
            list[int.Parse(key, System.Globalization.CultureInfo.InvariantCulture)] = wrong;
        }
        else if (random.Next(3) == 0)
        {
            parent.AsObject().Remove(key);
        }
        else
        {
            parent[key] = wrong;
        }
    }
}
