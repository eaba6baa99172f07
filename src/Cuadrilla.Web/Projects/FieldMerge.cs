using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Web.Projects;

/// <summary>
/// Whether changes made on an older edit can be made on the one in force: where nobody has touched the same fields since, and every list
/// on the way still holds the same things at the same places. Two people on one plant then do not stand in each other's way.
/// </summary>
internal static class FieldMerge
{
    /// <summary>True where the changes mean the same on both.</summary>
    /// <param name="on">What they were made on.</param>
    /// <param name="now">What is in force.</param>
    /// <param name="changes">The changes.</param>
    public static bool IsPossible(PlantSpecification on, PlantSpecification now, IReadOnlyList<SpecificationChange> changes)
    {
        var (before, after) = (JsonSerializer.SerializeToNode(on, ProjectJson.Options)!,
            JsonSerializer.SerializeToNode(now, ProjectJson.Options)!);
        return changes.All(c => IsSame(before, after, c));
    }

    private static bool IsSame(JsonNode before, JsonNode after, SpecificationChange change)
    {
        var steps = change.Path.Split('/').Skip(1).Select(s => s.Replace("~1", "/", StringComparison.Ordinal)
            .Replace("~0", "~", StringComparison.Ordinal)).ToList();
        JsonNode? one = before, other = after;
        foreach (var step in steps.SkipLast(1))
        {
            var (next, isThere) = Child(one, step);
            var (otherNext, isThereToo) = Child(other, step);
            if (!HoldTheSame(one, other) || !isThere || !isThereToo)
            {
                return false;
            }

            (one, other) = (next, otherNext);
        }

        // A list that grows or shrinks must be as it was; of a field only its own value.
        if (one is JsonArray || other is JsonArray)
        {
            return JsonNode.DeepEquals(one, other);
        }

        var (value, has) = Child(one, steps[^1]);
        var (otherValue, otherHas) = Child(other, steps[^1]);
        return HoldTheSame(one, other) && has == otherHas && JsonNode.DeepEquals(value, otherValue);
    }

    // Of one kind; of lists the same things, told by their keys, at the same places.
    private static bool HoldTheSame(JsonNode? one, JsonNode? other) => (one, other) switch
    {
        (JsonObject a, JsonObject b) => Key(a, "id") == Key(b, "id") && Key(a, "kind") == Key(b, "kind"),
        (JsonArray a, JsonArray b) => a.Count == b.Count
            && a.Zip(b).All(p => p is { First: JsonObject f, Second: JsonObject s }
                ? Key(f, "id") == Key(s, "id")
                : JsonNode.DeepEquals(p.First, p.Second)),
        _ => false,
    };

    private static string? Key(JsonObject node, string name) =>
        node[name] is JsonValue value && value.TryGetValue<string>(out var text) ? text : null;

    private static (JsonNode? Value, bool IsThere) Child(JsonNode? node, string step) => node switch
    {
        JsonObject fields => (fields[step], fields.ContainsKey(step)),
        JsonArray list when int.TryParse(step, NumberStyles.None, CultureInfo.InvariantCulture, out var at) && at < list.Count =>
            (list[at], true),
        _ => (null, false),
    };
}
