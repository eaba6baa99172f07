using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Documents.Projects.Migrations;

namespace Cuadrilla.Core.Tests.Documents;

/// <summary>Versions of the project: each migration by itself, what is stored, and that no field comes or goes without one.</summary>
public sealed class MigrationTests
{
    private const string Fields = "fields-version-17.txt";

    public static TheoryData<int, string> Earlier =>
    [
        .. Enumerable.Range(1, ProjectFile.CurrentVersion - 1)
        .SelectMany(v => Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Documents", "Files"), $"plant-version-{v}*.json")
            .Select(f => (v, Path.GetFileName(f)))),
    ];

    [Theory]
    [InlineData(2, """{"lineups":[{"drivePoints":[]}]}""",
        """{"lineups":[{"drivePoints":[],"dcBuses":[],"arrangements":[],"variantName":"","reason":"","setAside":[]}],"converters":[],"startPresets":[],"conventions":{"units":"si","installation":"iec60364"},"devices":[]}""")]
    [InlineData(
        3, """{"lineups":[{"dcBuses":[{}],"drivePoints":[{}]}]}""",
        """{"lineups":[{"dcBuses":[{"control":{"kind":"none"},"feeder":{"kind":"on-busbar"},"device":{"kind":"not-chosen"}}],"drivePoints":[{"brake":{"kind":"none"},"devices":{"device":{"kind":"not-chosen"},"contactorA":null,"coordination":"one"}}],"arrangements":[],"variantName":"","reason":"","setAside":[]}],"conventions":{"units":"si","installation":"iec60364"},"devices":[]}""")]
    [InlineData(
        4, """{"lineups":[{"drivePoints":[{"load":{"stopTimeS":90,"train":{}}}]}],"motors":[{}],"overrides":[{"key":"withstand-v","value":1300}]}""",
        """{"lineups":[{"drivePoints":[{"load":{"train":{"stopTimeS":90}},"devices":{"device":{"kind":"not-chosen"},"contactorA":null,"coordination":"one"}}]}],"motors":[{"withstandV":1300}],"overrides":[],"conventions":{"units":"si","installation":"iec60364"},"devices":[]}""")]
    [InlineData(5, """{"overrides":[{"key":"harmonics-all-orders"},{"key":"plant-class"}]}""",
        """{"overrides":[{"key":"plant-class"}],"conventions":{"units":"si","installation":"iec60364"},"devices":[]}""")]
    [InlineData(6, """{"overrides":[{"key":"harmonics-all-orders"}]}""",
        """{"overrides":[{"key":"harmonics-all-orders"}],"conventions":{"units":"si","installation":"iec60364"},"devices":[]}""")]
    [InlineData(7, """{"lineups":[{"drivePoints":[{}]}]}""",
        """{"lineups":[{"drivePoints":[{"devices":{"device":{"kind":"not-chosen"},"contactorA":null,"coordination":"one"}}]}],"devices":[]}""")]
    [InlineData(
        8, """{"lineups":[{"dcBuses":[{}],"setAside":[{"dcBuses":[{}]}]}]}""",
        """{"lineups":[{"dcBuses":[{"feeder":{"kind":"on-busbar"},"device":{"kind":"not-chosen"}}],"setAside":[{"dcBuses":[{"feeder":{"kind":"on-busbar"},"device":{"kind":"not-chosen"}}]}]}],"devices":[]}""")]
    [InlineData(9, """{"overrides":[]}""", """{"overrides":[],"devices":[]}""")]
    [InlineData(10, """{"overrides":[]}""", """{"overrides":[]}""")]
    [InlineData(11, """{"overrides":[]}""", """{"overrides":[]}""")]
    [InlineData(12, """{"overrides":[]}""", """{"overrides":[]}""")]
    [InlineData(13, """{"overrides":[]}""", """{"overrides":[]}""")]
    [InlineData(15, """{"overrides":[]}""", """{"overrides":[]}""")]
    [InlineData(16, """{"overrides":[]}""", """{"overrides":[]}""")]
    public void From_a_version_on_all_migrations_run_and_none_before(int version, string before, string after)
    {
        var specification = JsonNode.Parse(before)!.AsObject();
        Migration.Run(specification, version);
        Assert.Equal(Sorted(JsonNode.Parse(after)!), Sorted(specification));
    }

    [Theory]
    [MemberData(nameof(Earlier))]
    public void A_file_of_every_version_is_read_as_file_and_as_stored(int version, string name)
    {
        var file = File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, "Documents", "Files", name));
        var plant = ProjectFile.Read(file, ReferenceCatalogue.Data);
        var stored = JsonNode.Parse(file)!["specification"]!.ToJsonString();
        var written = ProjectFile.Write(plant, ReferenceCatalogue.Data);
        Assert.Equal(written, ProjectFile.Write(StoredProject.Read(stored, version), ReferenceCatalogue.Data));
        Assert.Equal(written, ProjectFile.Write(StoredProject.Read(stored, null), ReferenceCatalogue.Data));
    }

    // Once a further version comes, these are what must still be readable: nothing that this one can hold is missing from them.
    [Fact]
    public void The_frozen_files_of_this_version_hold_every_kind_and_field_and_are_read_as_they_were_written()
    {
        var files = Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Documents", "Files"),
            $"plant-version-{ProjectFile.CurrentVersion}-*.json").Select(File.ReadAllBytes).ToList();
        var held = files.SelectMany(f => PathsIn(JsonNode.Parse(f), string.Empty)).ToHashSet(StringComparer.Ordinal);
        var frozen = File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Documents", "Files", Fields));
        Assert.All(frozen.Where(l => l.Length > 0 && !l.Contains(": ", StringComparison.Ordinal)),
            l => Assert.Contains(l.Split(" = ")[0], held));
        Assert.All(files, f =>
        {
            var read = ProjectFile.ReadWhole(f, ReferenceCatalogue.Data);
            var written = JsonNode.Parse(ProjectFile.Write(read.Specification, ReferenceCatalogue.Data, read.Log))!;
            Assert.All(new[] { "specification", "log" },
                part => Assert.Equal(JsonNode.Parse(f)![part]!.ToJsonString(), written[part]!.ToJsonString()));
        });
    }

    [Fact]
    public void What_is_in_force_is_not_changed_by_migrations()
    {
        var specification = JsonNode.Parse(DemoPlant.File())!["specification"]!.AsObject();
        var before = specification.ToJsonString();
        Migration.Run(specification, 1);
        Assert.Equal(before, specification.ToJsonString());
    }

    [Fact]
    public void A_newer_stored_document_is_named_as_such()
    {
        var refused = Assert.Throws<InputException>(() => StoredProject.Read("{}", ProjectFile.CurrentVersion + 1));
        Assert.Contains("newer program", refused.Message, StringComparison.Ordinal);
    }

    // A field that comes, goes or changes its kind is a new version: with a migration, or with the rule that an absent one has a value
    // that changes
    // nothing. Then the list is written anew under the new version, and a file of the old one is frozen beside the others.
    [Fact]
    public void No_field_comes_or_goes_without_a_version()
    {
        var found = FieldsOf(JsonNode.Parse(ProjectSchema.Text())!, string.Empty).Distinct(StringComparer.Ordinal)
            .Order(StringComparer.Ordinal).ToList();
        var frozen = File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Documents", "Files", Fields));
        Assert.Contains($"-{ProjectFile.CurrentVersion}.", Fields, StringComparison.Ordinal);
        Assert.Equal(frozen, found);
    }

    private static IEnumerable<string> PathsIn(JsonNode? node, string at) => node switch
    {
        JsonArray list => list.SelectMany(item => PathsIn(item, at)),
        JsonObject record => new[] { at, $"{at}[{record["kind"]}]" }
            .SelectMany(here => record.SelectMany(f => PathsIn(f.Value, $"{here}/{f.Key}").Prepend($"{here}/{f.Key}"))),
        _ => [],
    };

    // Paths with the kinds that stand there; what a schema refers to is followed by its own name only.
    private static IEnumerable<string> FieldsOf(JsonNode schema, string at)
    {
        if (schema is not JsonObject node)
        {
            yield break;
        }

        if (node["type"] is { } type)
        {
            yield return $"{at}: {type.ToJsonString()}";
        }

        foreach (var (name, child) in node["properties"] as JsonObject ?? [])
        {
            var kind = child?["const"]?.ToJsonString();
            yield return $"{at}/{name}{(kind is null ? string.Empty : " = " + kind)}";
            foreach (var field in child is null ? [] : FieldsOf(child, $"{at}/{name}"))
            {
                yield return field;
            }
        }

        foreach (var child in (node["items"] is { } items ? [items] : Array.Empty<JsonNode>())
            .Concat((node["anyOf"] as JsonArray ?? []).OfType<JsonNode>()))
        {
            var kind = child["properties"]?["kind"]?["const"]?.ToString();
            foreach (var field in FieldsOf(child, kind is null ? at : $"{at}[{kind}]"))
            {
                yield return field;
            }
        }
    }

    private static string Sorted(JsonNode node) => node switch
    {
        JsonObject o => "{" + string.Join(',',
            o.OrderBy(p => p.Key, StringComparer.Ordinal).Select(p => $"{p.Key}:{(p.Value is null ? "null" : Sorted(p.Value))}")) + "}",
        JsonArray a => "[" + string.Join(',', a.Select(v => v is null ? "null" : Sorted(v))) + "]",
        _ => node.ToJsonString(),
    };
}
