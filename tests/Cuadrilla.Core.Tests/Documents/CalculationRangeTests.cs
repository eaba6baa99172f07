using System.Text;
using System.Text.Json.Nodes;
using Cuadrilla.Documents.Calculations;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Every number of every engine's input is refused beyond both ends of what its schema states.</summary>
public sealed class CalculationRangeTests
{
    // Numbers whose range hangs on another one, by engine.
    private static readonly HashSet<string> Related =
    [
        "follower:largestRpm", "overload:cycleS", "shared-shaft:largestNm", "shared-shaft:lostUnit", "stop:holdV", "stop:tripV",
        "stop:chopperV",
    ];

    [Fact]
    public void Numbers_of_worked_examples_are_refused_beyond_both_ends()
    {
        var tried = 0;
        HashSet<string> open = [];
        foreach (var (_, name, input, _) in WorkedExampleTests.Examples.Select(e => e.Data))
        {
            var schema = JsonNode.Parse(Calculation.Named(name).Schema())!;
            foreach (var (path, range) in Numbers(JsonNode.Parse(input)!, schema, string.Empty).ToList())
            {
                if (range is not { } r)
                {
                    open.Add($"{name}:{path.Split('/')[^1]}");
                    continue;
                }

                Assert.Contains(path, Refused(name, input, path, r.IsBelowMax ? r.Max : Beyond(r.Max, 1)));
                Assert.Contains(path, Refused(name, input, path, r.IsAboveMin ? r.Min : Beyond(r.Min, -1)));
                tried++;
            }
        }

        Assert.Empty(open.Except(Related));
        Assert.Empty(Related.Except(open));
        Assert.True(tried > 200, $"{tried} numbers");
    }

    private static double Beyond(double end, int way) => Math.Truncate(end + (way * (1 + (0.01 * Math.Abs(end)))));

    private static IReadOnlyList<string> Refused(string name, string input, string path, double value)
    {
        var changed = JsonNode.Parse(input)!;
        var at = changed;
        var steps = path.Split('/')[1..];
        foreach (var step in steps[..^1])
        {
            at = at is JsonArray list ? list[int.Parse(step, System.Globalization.CultureInfo.InvariantCulture)]! : at[step]!;
        }

        if (at is JsonArray last)
        {
            last[int.Parse(steps[^1], System.Globalization.CultureInfo.InvariantCulture)] = value;
        }
        else
        {
            at[steps[^1]] = value;
        }

        var refused = Assert.Throws<InputException>(() => Calculation.Named(name).Run(Encoding.UTF8.GetBytes(changed.ToJsonString())));
        return [.. refused.Problems.Select(p => p.Pointer)];
    }

    // Leaves that are numbers, with the range of their schema; null where it states none.
    private static IEnumerable<(string Path, (double Min, double Max, bool IsAboveMin, bool IsBelowMax)? Range)> Numbers(JsonNode node,
        JsonNode? schema,
        string path)
    {
        switch (node)
        {
            case JsonObject record:
                foreach (var (key, value) in record.Where(p => p.Value is not null))
                {
                    foreach (var found in Numbers(value!, (schema?["properties"] ?? Variant(schema, record)?["properties"])?[key],
                        $"{path}/{key}"))
                    {
                        yield return found;
                    }
                }

                break;
            case JsonArray list:
                for (var i = 0; i < list.Count; i++)
                {
                    foreach (var found in Numbers(list[i]!, schema?["items"], $"{path}/{i}"))
                    {
                        yield return found;
                    }
                }

                break;
            case JsonValue value when value.TryGetValue<double>(out _):
                yield return (path, (schema?["exclusiveMaximum"] ?? schema?["maximum"]) is { } max
                    ? ((double)(schema!["exclusiveMinimum"] ?? schema["minimum"])!, (double)max, schema["exclusiveMinimum"] is not null,
                        schema["exclusiveMaximum"] is not null)
                    : null);
                break;
        }
    }

    private static JsonNode? Variant(JsonNode? schema, JsonObject record) =>
        (schema?["anyOf"] as JsonArray)?.FirstOrDefault(s => (string?)s?["properties"]?["kind"]?["const"] == (string?)record["kind"]);
}
