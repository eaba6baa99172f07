using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Files with numbers next to nothing, or keys that stand for two things: refused by name, or judged to the end.</summary>
public sealed partial class StrangeFileTests
{
    // All of them take a minute; CUADRILLA_TINY=1 tries every one.
    private static readonly int Every = Environment.GetEnvironmentVariable("CUADRILLA_TINY") is { } all
        ? int.Parse(all, System.Globalization.CultureInfo.InvariantCulture)
        : 6;

    private static readonly Assessor Assessor = new(ReferenceCatalogue.Data);

    [Theory]
    [InlineData(5e-324)]
    [InlineData(1e-9)]
    [InlineData(1.7e308)]
    public void A_number_next_to_nothing_or_beyond_all_is_refused_or_judged(double value)
    {
        var demo = JsonNode.Parse(DemoPlant.File())!;
        var shapes = Numbers(demo, string.Empty).GroupBy(p => Index().Replace(p, "/#")).Select(g => g.First()).Order(StringComparer.Ordinal)
            .ToList();
        Assert.True(shapes.Count > 200, $"{shapes.Count}");
        var (refused, judged) = (0, 0);
        foreach (var path in shapes.Where((_, i) => i % Every == 0))
        {
            var changed = demo.DeepClone();
            Put(changed, path, value);
            if (Judge(changed, path) is { } refusal)
            {
                Assert.All(refusal.Problems, p => Assert.NotEmpty(p.Message));
                refused++;
            }
            else
            {
                judged++;
            }
        }

        Assert.True(refused > 10 && judged > 0 == (value == 1e-9), $"{refused} refused, {judged} judged");
    }

    [Fact]
    public void A_key_that_stands_for_two_things_is_refused_by_name()
    {
        var demo = JsonNode.Parse(DemoPlant.File())!;
        var specification = demo["specification"]!;
        var lineups = specification["lineups"]!.AsArray();
        var points = lineups.SelectMany(l => l!["drivePoints"]!.AsArray()).Select(p => (string)p!["id"]!).ToList();
        var tried = 0;
        foreach (var list in new[] { "arrangements", "dcBuses" })
        {
            for (var l = 0; l < lineups.Count; l++)
            {
                for (var i = 0; i < (lineups[l]![list]?.AsArray().Count ?? 0); i++)
                {
                    foreach (var id in new[] { points[0], (string)lineups[l]!["id"]!, (string)specification["scenarios"]![0]!["id"]! })
                    {
                        var changed = demo.DeepClone();
                        var old = (string)changed["specification"]!["lineups"]![l]![list]![i]!["id"]!;
                        changed["specification"]!["lineups"]![l]![list]![i]!["id"] = id;
                        var refusal = Judge(changed);
                        if (points.Contains(id))
                        {
                            Assert.Contains(refusal?.Problems ?? [], p => p.Pointer.Contains($"/{list}/{i}", StringComparison.Ordinal));
                        }

                        tried += old.Length > 0 ? 1 : 0;
                    }
                }
            }
        }

        Assert.True(tried > 12, $"{tried}");
    }

    // Null where it is judged to the end and can be written down.
    private static InputException? Judge(JsonNode file, string? path = null)
    {
        try
        {
            var plant = ProjectFile.Read(JsonSerializer.SerializeToUtf8Bytes(file), ReferenceCatalogue.Data);
            var assessment = Assessor.Run(plant);
            Assert.True(assessment.Faults.Count == 0, $"{path}: {string.Join(" ", assessment.Faults.Select(f => f.What))}");
            var written = JsonSerializer.SerializeToUtf8Bytes(AssessmentDocument.Of(plant, assessment, ReferenceCatalogue.Data.PccLimits,
                withReasons: true), ProjectJson.Options);
            Assert.NotNull(JsonNode.Parse(written));
            return null;
        }
        catch (InputException refusal)
        {
            return refusal;
        }
    }

    private static IEnumerable<string> Numbers(JsonNode? node, string path) => node switch
    {
        JsonObject fields => fields.SelectMany(f => Numbers(f.Value, $"{path}/{f.Key}")),
        JsonArray list => list.SelectMany((n, i) => Numbers(n, $"{path}/{i}")),
        JsonValue value when value.GetValueKind() == JsonValueKind.Number => [path],
        _ => [],
    };

    private static void Put(JsonNode root, string path, double value)
    {
        var steps = path.Split('/').Skip(1).ToList();
        var node = root;
        foreach (var step in steps.SkipLast(1))
        {
            node = node is JsonArray list ? list[int.Parse(step, System.Globalization.CultureInfo.InvariantCulture)]! : node[step]!;
        }

        if (node is JsonArray array)
        {
            array[int.Parse(steps[^1], System.Globalization.CultureInfo.InvariantCulture)] = value;
        }
        else
        {
            node[steps[^1]] = value;
        }
    }

    [GeneratedRegex("/[0-9]+")]
    private static partial Regex Index();
}
