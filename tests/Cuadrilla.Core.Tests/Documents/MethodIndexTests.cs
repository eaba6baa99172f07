using System.Text.RegularExpressions;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Each check on the screen leads to the page that says how its figure is found.</summary>
public sealed partial class MethodIndexTests
{
    private static readonly string Folder = Path.Combine(AppContext.BaseDirectory, "methods");

    [Fact]
    public void Every_check_stands_in_the_index_once()
    {
        var listed = CheckId().Matches(File.ReadAllText(Path.Combine(Folder, "README.md"))).Select(m => m.Groups[1].Value).ToList();
        Assert.Equal(listed.Distinct(), listed);
        var data = ReferenceCatalogue.Data;
        var assessor = new Assessor(data);
        var found = Enumerable.Range(40_000, 10).Select(seed => RandomPlant.Of(seed, data)).Append(DemoPlant.Read(data))
            .SelectMany(p => assessor.Run(p).Checks).Select(c => c.Id).Distinct();
        Assert.Empty(found.Except(listed));
    }

    [Fact]
    public void Every_page_stands_in_the_index_and_every_entry_has_its_page()
    {
        var listed = Link().Matches(File.ReadAllText(Path.Combine(Folder, "README.md"))).Select(m => m.Groups[1].Value)
            .Order(StringComparer.Ordinal);
        Assert.Equal(Directory.GetFiles(Folder, "*.md").Select(f => Path.GetFileName(f)).Where(f => f != "README.md")
            .Order(StringComparer.Ordinal), listed);
    }

    [Fact]
    public void Every_place_in_the_code_that_the_index_names_is_there()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (root is not null && !File.Exists(Path.Combine(root.FullName, "Cuadrilla.slnx")))
        {
            root = root.Parent;
        }

        Assert.NotNull(root);
        var named = Place().Matches(File.ReadAllText(Path.Combine(Folder, "README.md"))).Select(m => m.Groups[1].Value).Distinct().ToList();
        Assert.NotEmpty(named);
        Assert.DoesNotContain(named, p => !Path.Exists(Path.Combine(root.FullName, "src", "Cuadrilla." + p)));
    }

    [GeneratedRegex(@"`(Core/[\w/.]+)`")]
    private static partial Regex Place();

    [GeneratedRegex(@"\(?`([a-z-]+\.[a-z0-9-]+)`\)")]
    private static partial Regex CheckId();

    [GeneratedRegex(@"^\| \[[\w-]+\]\(([\w-]+\.md)\)", RegexOptions.Multiline)]
    private static partial Regex Link();
}
