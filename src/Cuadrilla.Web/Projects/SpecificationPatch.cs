using System.Text;
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
    /// <param name="before">Text of what they were made on, as this program writes it.</param>
    /// <param name="changes">In their order.</param>
    /// <exception cref="InputException">One does not apply, or what comes out is none.</exception>
    public static (PlantSpecification Specification, string Text, bool IsJustThat) Apply(string before,
        IReadOnlyList<SpecificationChange> changes)
    {
        if (changes.Count is 0 or > MostChanges)
        {
            throw new InputException(InputProblem.Of("/changes", "Changes", $"{changes.Count}", $"1 to {MostChanges}"));
        }

        // Nodes are made of what is reached alone; the rest stays text.
        var document = JsonNode.Parse(before)!.AsObject();
        for (var i = 0; i < changes.Count; i++)
        {
            var change = changes[i] ?? throw new InputException(InputProblem.Of($"/changes/{i}", "Change", "null", "an object"));
            Apply(document, change, $"/changes/{i}");
            RefuseGaps(document, change);
        }

        var made = JsonSerializer.SerializeToUtf8Bytes(document, ProjectJson.Options);
        var after = JsonReading.Read<PlantSpecification>(made, ProjectJson.Options, "/specification");
        var text = ProjectReader.Write(after);
        return (after, text, Encoding.UTF8.GetBytes(text).AsSpan().SequenceEqual(made)
            || JsonNode.DeepEquals(document, JsonNode.Parse(text)));
    }

    private static void Apply(JsonObject document, SpecificationChange change, string pointer)
    {
        // The whole document is replaced by an edit, not by a change; and no field has an empty name.
        if (!change.Path.StartsWith('/') || change.Path.EndsWith('/') || change.Path.Contains("//", StringComparison.Ordinal))
        {
            throw NotThere(change, pointer);
        }

        var operation = new Operation(change.Op.ToString().ToLowerInvariant(), change.Path, null, change.Value?.DeepClone());
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
