using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using CsCheck;
using Cuadrilla.Catalogue;
using Cuadrilla.Documents.Calculations;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Every engine with good and bad input, as the command line and the API offer it.</summary>
public sealed class CalculationTests
{
    // The examples of the documentation are good input for each engine.
    private static readonly List<(string Name, string Input)> Good =
        [.. WorkedExampleTests.Examples.Select(e => (e.Data.Item2, e.Data.Item3)).DistinctBy(e => e.Item1)];

    public static TheoryData<string> Names => [.. Calculation.All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void An_array_gives_an_array_in_order(string name)
    {
        var input = JsonNode.Parse(InputOf(name))!;
        var result = Run(name, new JsonArray(input, input.DeepClone())).AsArray();
        Assert.Equal(2, result.Count);
        Assert.True(JsonNode.DeepEquals(result[0], Run(name, input.DeepClone())));
        Assert.True(JsonNode.DeepEquals(result[0], result[1]));
    }

    /// <summary>Engines that go through time or search are stopped inside, and nothing of it stays for those who come after.</summary>
    [Theory]
    [InlineData("rectifier")]
    [InlineData("start")]
    [InlineData("shared-shaft")]
    [InlineData("brake-sequence")]
    public void An_engine_ends_with_whom_it_works_for(string name)
    {
        var input = Encoding.UTF8.GetBytes(InputOf(name));
        var before = Calculation.Named(name).Run(input);
        using var leaves = new CancellationTokenSource();
        leaves.Cancel();
        Assert.Throws<OperationCanceledException>(() => Calculation.Named(name).Run(input, leaves.Token));
        Assert.True(JsonNode.DeepEquals(before, Calculation.Named(name).Run(input, CancellationToken.None)));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void An_unknown_field_is_named_with_its_place_in_the_array(string name)
    {
        var bad = JsonNode.Parse(InputOf(name))!;
        bad["colour"] = 1;
        var problem = Refused(name, new JsonArray(JsonNode.Parse(InputOf(name)), bad));
        Assert.Equal("/1/colour", problem.Problems[0].Pointer);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void A_number_far_out_of_range_is_named(string name)
    {
        foreach (var path in Numbers(JsonNode.Parse(InputOf(name))!))
        {
            var input = JsonNode.Parse(InputOf(name))!;
            Set(input, path, -1e12);
            var problem = Refused(name, input);
            Assert.Contains(problem.Problems,
                p => p.Pointer.StartsWith('/' + path.Split('/')[1], StringComparison.Ordinal) && p.Value.Length > 0
                    && p.Allowed.Length > 0);
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Text_in_place_of_a_number_is_named(string name)
    {
        foreach (var path in Numbers(JsonNode.Parse(InputOf(name))!))
        {
            var input = JsonNode.Parse(InputOf(name))!;
            Set(input, path, "many");
            Assert.Equal(path, Refused(name, input).Problems[0].Pointer);
        }
    }

    /// <summary>Whatever the numbers, the answer is a result of finite figures or a problem that names a field.</summary>
    [Theory]
    [MemberData(nameof(Names))]
    [Trait("speed", "slow")]
    public void No_number_makes_an_engine_fall_over(string name)
    {
        var paths = Numbers(JsonNode.Parse(InputOf(name))!).ToList();
        Gen.Select(Gen.Int[0, paths.Count - 1],
            Gen.OneOf(Gen.Const(0.0), Gen.Const(1e-9), Gen.Double[-10, 10], Gen.Double[0, 1e4], Gen.Const(1e15))).Sample(
            x =>
            {
                var input = JsonNode.Parse(InputOf(name))!;
                Set(input, paths[x.Item1], x.Item2);
                try
                {
                    return Finite(Run(name, input));
                }
                catch (InputException problem)
                {
                    return problem.Problems.Count > 0;
                }
            },
            iter: 60,
            threads: 1);
    }

    [Fact]
    public void A_plate_by_hand_gives_back_its_own_figures()
    {
        var plate = JsonSerializer.SerializeToNode(ReferenceCatalogue.Data.Motors["cage-4p-ie3-45"].Plate, ProjectJson.Options)!;
        var rpm = (double)plate["ratedSpeedRpm"]!;
        var result = Run("motor-losses",
            new JsonObject { ["plate"] = plate, ["speedRpm"] = rpm, ["torqueNm"] = 45e3 / (2 * Math.PI * rpm / 60), ["feed"] = "line" });
        Assert.Equal(100 * (double)plate["efficiency"]!, (double)result["efficiencyPct"]!, 4);
        Assert.Equal((double)plate["ratedCurrentA"]!, (double)result["currentA"]!, 4);
    }

    [Fact]
    public void Motor_and_plate_together_are_refused()
    {
        var both = Refused("motor-losses",
            JsonNode.Parse("""{ "motorId": "cage-4p-ie3-45", "plate": null, "speedRpm": 1, "torqueNm": 1, "feed": "sun" }""")!);
        Assert.Equal("/feed", both.Problems[0].Pointer);
        var none = Refused("motor-losses", JsonNode.Parse("""{ "speedRpm": 1, "torqueNm": 1, "feed": "line" }""")!);
        Assert.Equal("either motorId or plate", none.Problems[0].Allowed);
    }

    [Fact]
    public void An_engine_that_does_not_exist_is_refused_with_those_that_do()
    {
        var problem = Assert.Throws<InputException>(() => Calculation.Named("tea")).Problems[0];
        Assert.Equal("'tea'", problem.Value);
        Assert.Contains("rectifier", problem.Allowed, StringComparison.Ordinal);
    }

    private static string InputOf(string name) => Good.Single(g => g.Name == name).Input;

    private static JsonNode Run(string name, JsonNode input) => Calculation.Named(name).Run(Encoding.UTF8.GetBytes(input.ToJsonString()));

    private static InputException Refused(string name, JsonNode input) => Assert.Throws<InputException>(() => Run(name, input));

    private static bool Finite(JsonNode node) => node switch
    {
        JsonObject fields => fields.All(f => f.Value is null || Finite(f.Value)),
        JsonArray items => items.All(i => i is null || Finite(i)),
        _ => node.GetValueKind() != JsonValueKind.Number || double.IsFinite(node.GetValue<double>()),
    };

    private static IEnumerable<string> Numbers(JsonNode node, string at = "") => node switch
    {
        JsonObject fields => fields.SelectMany(f => Numbers(f.Value!, $"{at}/{f.Key}")),
        JsonArray items => items.SelectMany((item, i) => Numbers(item!, $"{at}/{i}")),
        _ => node.GetValueKind() == JsonValueKind.Number ? [at] : [],
    };

    private static void Set(JsonNode root, string pointer, JsonNode value)
    {
        var parts = pointer.Split('/')[1..];
        var node = parts[..^1].Aggregate(root, (n, part) => (int.TryParse(part, out var index) ? n[index] : n[part])!);
        if (int.TryParse(parts[^1], out var last))
        {
            node[last] = value;
        }
        else
        {
            node[parts[^1]] = value;
        }
    }
}
