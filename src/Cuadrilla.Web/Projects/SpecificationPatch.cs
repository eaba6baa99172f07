using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Projects;
using Microsoft.AspNetCore.JsonPatch.SystemTextJson;
using Microsoft.AspNetCore.JsonPatch.SystemTextJson.Exceptions;
using Microsoft.AspNetCore.JsonPatch.SystemTextJson.Operations;

namespace Cuadrilla.Web.Projects;

/// <summary>A small change of a specification: JSON Patch (RFC 6902), of its operations add, remove and replace.</summary>
/// <param name="Op">What is done.</param>
/// <param name="Path">JSON pointer into the specification.</param>
internal sealed record SpecificationChange(ChangeOperation Op, string Path)
{
    /// <summary>What is put there; absent or null: nothing known.</summary>
    public JsonNode? Value { get; init; }
}

/// <summary>What a change does at its path.</summary>
internal enum ChangeOperation
{
    /// <summary>Puts a value into a list or a field.</summary>
    Add,

    /// <summary>Takes one away.</summary>
    Remove,

    /// <summary>Puts another in its place.</summary>
    Replace,
}

/// <summary>Applies small changes to what is stored.</summary>
internal static class SpecificationPatch
{
    private const int MostChanges = 20_000;

    /// <summary>The specification after them, its text, and whether it is just what they make: fields that they left out were not
    /// filled in.</summary>
    /// <param name="plant">What they were made on.</param>
    /// <param name="before">Its text, as this program writes it.</param>
    /// <param name="changes">In their order.</param>
    /// <exception cref="InputException">One does not apply, or what comes out is none.</exception>
    public static (PlantSpecification Specification, byte[] Text, bool IsJustThat) Apply(PlantSpecification plant, byte[] before,
        IReadOnlyList<SpecificationChange> changes)
    {
        if (changes.Count is 0 or > MostChanges)
        {
            throw new InputException(InputProblem.Of("/changes", "Changes", $"{changes.Count}", $"1 to {MostChanges}"));
        }

        return InOneDrivePoint(plant, before, changes) ?? InTheWhole(before, changes);
    }

    /// <summary>The same by way of the whole text, wherever the changes are.</summary>
    internal static (PlantSpecification Specification, byte[] Text, bool IsJustThat) InTheWhole(byte[] before,
        IReadOnlyList<SpecificationChange> changes)
    {
        // Nodes are made of what is reached alone; the rest stays text.
        var document = JsonNode.Parse(before)!.AsObject();
        Apply(document, changes, 0);
        var made = Written(document);
        var after = JsonReading.Read<PlantSpecification>(made, ProjectJson.Options, "/specification");
        var text = ProjectReader.Write(after);
        return (after, text, IsSame(document, made, text));
    }

    /// <summary>The same where all of them are inside one drive point: the others are neither read nor written anew. Null where they are
    /// not, and where one does not apply: what is refused is said of the whole.</summary>
    internal static (PlantSpecification Specification, byte[] Text, bool IsJustThat)? InOneDrivePoint(PlantSpecification plant,
        byte[] before, IReadOnlyList<SpecificationChange> changes)
    {
        if (DrivePointPlace.Of(plant, changes.Select(c => c?.Path ?? string.Empty)) is not { } place)
        {
            return null;
        }

        var (start, end) = place.In(before);
        try
        {
            var document = JsonNode.Parse(before.AsSpan(start, end - start))!.AsObject();
            Apply(document, changes, place.Prefix.Length);
            var made = Written(document);
            var point = JsonReading.Read<DrivePoint>(made, Inner);
            var text = JsonSerializer.SerializeToUtf8Bytes(point, ProjectJson.Options);
            return (place.With(plant, point), [.. before.AsSpan(0, start), .. text, .. before.AsSpan(end)], IsSame(document, made, text));
        }
        catch (InputException)
        {
            return null;
        }
    }

    // As deep as the whole allows below a drive point.
    private static readonly JsonSerializerOptions Inner = new(ProjectJson.Options)
    {
        MaxDepth = ProjectJson.Options.MaxDepth - DrivePointPlace.Depth,
    };

    // What is put in comes from a text that is not too deep by itself.
    private static byte[] Written(JsonNode document)
    {
        try
        {
            return JsonSerializer.SerializeToUtf8Bytes(document, ProjectJson.Options);
        }
        catch (JsonException)
        {
            throw TooDeep();
        }
    }

    private static InputException TooDeep() => new(InputProblem.Of("/changes", "Values", "too deep",
        $"at most {ProjectJson.Options.MaxDepth} objects and lists in one another, those of the plant among them"));

    private static bool IsSame(JsonNode document, byte[] made, byte[] text) =>
        text.AsSpan().SequenceEqual(made) || JsonNode.DeepEquals(document, JsonNode.Parse(text));

    // At paths that stand so far within the text.
    private static void Apply(JsonObject document, IReadOnlyList<SpecificationChange> changes, int within)
    {
        for (var i = 0; i < changes.Count; i++)
        {
            var change = changes[i] ?? throw new InputException(InputProblem.Of($"/changes/{i}", "Change", "null", "an object"));
            Apply(document, change, within, $"/changes/{i}");
            RefuseGaps(document, change);
        }
    }

    private static void Apply(JsonObject document, SpecificationChange change, int within, string pointer)
    {
        // The whole document is replaced by an edit, not by a change; and no field has an empty name.
        if (!change.Path.StartsWith('/') || change.Path.EndsWith('/') || change.Path.Contains("//", StringComparison.Ordinal))
        {
            throw NotThere(change, pointer);
        }

        var operation = new Operation(change.Op.ToString().ToLowerInvariant(), change.Path[within..], null, change.Value?.DeepClone());
        var patch = new JsonPatchDocument([operation], ProjectJson.Options);
        JsonPatchError? refused = null;
        try
        {
            patch.ApplyTo(document, error => refused ??= error);
        }
        catch (JsonPatchException)
        {
            throw NotThere(change, pointer);
        }
        catch (JsonException)
        {
            throw TooDeep();
        }

        if (refused is not null)
        {
            throw NotThere(change, pointer);
        }
    }

    // A list holds things, or is shorter. There was no gap before; where nothing is put, the whole document is looked through.
    private static void RefuseGaps(JsonObject document, SpecificationChange change)
    {
        if (change.Value is { } value)
        {
            RefuseGaps(value, "/specification" + change.Path);
        }
        else if (change.Op != ChangeOperation.Remove)
        {
            RefuseGaps(document, "/specification");
        }
    }

    private static void RefuseGaps(JsonNode node, string pointer)
    {
        switch (node)
        {
            case JsonObject fields:
                foreach (var (name, child) in fields.Where(f => f.Value is not null))
                {
                    RefuseGaps(child!, $"{pointer}/{name}");
                }

                break;
            case JsonArray list:
                for (var i = 0; i < list.Count; i++)
                {
                    RefuseGaps(list[i] ?? throw new InputException(InputProblem.Of($"{pointer}/{i}", "Entry of a list", "null", "a value")),
                        $"{pointer}/{i}");
                }

                break;
        }
    }

    private static InputException NotThere(SpecificationChange change, string pointer) => new(InputProblem.Of(
        pointer + "/path", "Path", $"'{(change.Path.Length > 80 ? change.Path[..80] + "…" : change.Path)}'",
        $"a pointer to a field that {change.Op.ToString().ToLowerInvariant()} can reach"));
}
