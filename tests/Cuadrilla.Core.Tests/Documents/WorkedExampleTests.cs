using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Cuadrilla.Documents.Calculations;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>The documentation's examples, read from its pages and run.</summary>
public sealed partial class WorkedExampleTests
{
    // Six digits are printed.
    private const double RelativeTolerance = 6e-6;

    public static TheoryData<string, string, string, string> Examples
    {
        get
        {
            var data = new TheoryData<string, string, string, string>();
            foreach (var page in Pages())
            {
                foreach (Match match in Example().Matches(File.ReadAllText(page)))
                {
                    data.Add(Path.GetFileName(page), match.Groups["name"].Value, match.Groups["input"].Value, match.Groups["result"].Value);
                }
            }

            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Examples))]
    public void An_example_gives_what_its_page_says(string page, string name, string input, string result)
    {
        var found = Calculation.Named(name).Run(Encoding.UTF8.GetBytes(input));
        Compare(JsonNode.Parse(result)!, found, page + ": " + name);
    }

    [Fact]
    public void Every_engine_has_an_example_and_every_block_is_a_pair()
    {
        var named = Examples.Select(e => e.Data.Item2).ToHashSet(StringComparer.Ordinal);
        Assert.Equal(Calculation.All.Keys.Order(), named.Order());
        var calc = File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "calc.md"));
        Assert.All(Calculation.All.Keys, name => Assert.Contains($"\n## {name}\n", calc, StringComparison.Ordinal));
        foreach (var page in Pages())
        {
            var text = File.ReadAllText(page);
            Assert.Equal(Block().Count(text), Example().Count(text));
        }
    }

    [Fact]
    public void Every_method_page_states_formula_source_and_validity()
    {
        var pages = Pages().Where(p => Path.GetFileName(p) is not ("calc.md" or "README.md" or "catalogue.md")).ToList();
        Assert.True(pages.Count >= 9);
        Assert.All(pages, p =>
        {
            var text = File.ReadAllText(p);
            Assert.Contains("**Source.**", text, StringComparison.Ordinal);
            Assert.Contains("**Valid for**", text, StringComparison.Ordinal);
            Assert.Contains("## Worked example", text, StringComparison.Ordinal);
        });
    }

    private static IEnumerable<string> Pages() =>
        Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "methods"), "*.md")
            .Append(Path.Combine(AppContext.BaseDirectory, "calc.md"));

    private static void Compare(JsonNode expected, JsonNode found, string at)
    {
        if (expected is JsonObject fields)
        {
            Assert.NotEmpty(fields);
            foreach (var (key, value) in fields)
            {
                Assert.True(found.AsObject().ContainsKey(key), $"{at}: no field {key}");
                Compare(value!, found[key]!, $"{at}/{key}");
            }
        }
        else if (expected is JsonArray items)
        {
            Assert.Equal(items.Count, found.AsArray().Count);
            for (var i = 0; i < items.Count; i++)
            {
                Compare(items[i]!, found[i]!, $"{at}/{i}");
            }
        }
        else if (expected.GetValueKind() == JsonValueKind.Number)
        {
            var number = expected.GetValue<double>();
            Assert.True(Math.Abs(found.GetValue<double>() - number) <= RelativeTolerance * Math.Max(Math.Abs(number), 1e-9),
                $"{at}: {found} is not {number}");
        }
        else
        {
            Assert.True(JsonNode.DeepEquals(expected, found), $"{at}: {found} is not {expected}");
        }
    }

    [GeneratedRegex("```json calc (?<name>\\S+)\\n(?<input>.*?)\\n```\\n\\n```json result\\n(?<result>.*?)\\n```", RegexOptions.Singleline)]
    private static partial Regex Example();

    [GeneratedRegex("```json calc ")]
    private static partial Regex Block();
}
