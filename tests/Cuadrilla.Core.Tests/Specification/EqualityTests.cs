using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Core.Tests.Specification;

/// <summary>Specifications are equal by value, and every member takes part.</summary>
public sealed class EqualityTests
{
    private static readonly IReadOnlyList<PlantSpecification> Plants =
        [.. Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "Documents", "Files"),
            $"plant-version-{ProjectFile.CurrentVersion}-*.json").Order(StringComparer.Ordinal)
            .Select(f => ProjectFile.Read(File.ReadAllBytes(f), ReferenceCatalogue.Data))];

    [Fact]
    public void What_is_read_twice_is_equal()
    {
        Assert.True(Plants.Count >= 5);
        foreach (var plant in Plants)
        {
            var again = Read(JsonSerializer.SerializeToNode(plant, ProjectJson.Options)!);
            Assert.Equal(plant, again);
            Assert.Equal(plant.GetHashCode(), again.GetHashCode());
        }
    }

    // The frozen files hold every kind and field: each value that is changed makes another plant.
    [Fact]
    [Trait("speed", "slow")]
    public void Every_member_takes_part()
    {
        var tried = 0;
        foreach (var plant in Plants)
        {
            var document = JsonSerializer.SerializeToNode(plant, ProjectJson.Options)!;
            foreach (var (parent, key, other) in Changes(document))
            {
                var before = parent[key]?.DeepClone();
                parent[key] = other;
                Assert.False(plant.Equals(Read(document)), $"{parent.GetPath()}.{key}");
                parent[key] = before;
                tried++;
            }
        }

        Assert.True(tried > 2500, $"{tried}");
    }

    [Fact]
    public void Lists_are_equal_by_their_entries_and_never_change()
    {
        ValueList<int> list = [1, 2, 3];
        Assert.Equal<ValueList<int>>([1, 2, 3], list);
        Assert.NotEqual<ValueList<int>>([1, 3, 2], list);
        Assert.NotEqual<ValueList<int>>([1, 2], list);
        Assert.Equal<ValueList<int>>([2, 3], list[1..]);
        Assert.Throws<NotSupportedException>(() => ((ICollection<int>)list).Add(4));
        Assert.Throws<NotSupportedException>(() => ((ICollection<int>)list).Clear());
        Assert.True(((ICollection<int>)list).IsReadOnly);

        // One that was read from a document stands still from its first use on.
        var read = JsonSerializer.Deserialize<ValueList<int>>("[1, 2, 3]", ProjectJson.Options)!;
        Assert.Equal(list, read);
        Assert.Throws<NotSupportedException>(() => ((ICollection<int>)read).Add(4));
    }

    private static PlantSpecification Read(JsonNode document) => document.Deserialize<PlantSpecification>(ProjectJson.Options)!;

    private static IEnumerable<(JsonObject Parent, string Key, JsonNode? Other)> Changes(JsonNode node)
    {
        foreach (var (key, value) in (node as JsonObject)?.ToList() ?? [])
        {
            JsonNode? other = value?.GetValueKind() switch
            {
                JsonValueKind.Number => value!.GetPath().EndsWith("priceIndex", StringComparison.Ordinal)
                    ? JsonValue.Create(7.5)
                    : JsonValue.Create((int)Math.Min(value.GetValue<double>(), 1e9) + 1),
                JsonValueKind.True or JsonValueKind.False => JsonValue.Create(!value!.GetValue<bool>()),
                JsonValueKind.String when key is "id" or "name" or "tag" or "reason" || key.EndsWith("Id", StringComparison.Ordinal) =>
                    JsonValue.Create(value!.GetValue<string>() + "x"),
                JsonValueKind.Array when value!.AsArray().Count > 0 =>
                    new JsonArray([.. value.AsArray().Skip(1).Select(v => v?.DeepClone())]),
                _ => null,
            };
            if (other is not null)
            {
                yield return ((JsonObject)node, key, other);
            }
        }

        IEnumerable<JsonNode?> inside = node is JsonObject record
            ? [.. record.Select(f => f.Value)]
            : node is JsonArray list ? [.. list] : [];
        foreach (var inner in inside)
        {
            foreach (var change in inner is null ? [] : Changes(inner))
            {
                yield return change;
            }
        }
    }
}
