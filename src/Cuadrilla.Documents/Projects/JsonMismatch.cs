using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Documents.Projects;

/// <summary>Where a JSON document does not fit a type, found by walking both.</summary>
internal static class JsonMismatch
{
    private const string Kind = "kind";
    private const int LongestShown = 60;

    /// <summary>The first place; null where the document fits.</summary>
    /// <param name="element">What stands in the document.</param>
    /// <param name="type">What is wanted.</param>
    /// <param name="options">Rules.</param>
    /// <param name="pointer">Pointer to the element.</param>
    public static InputProblem? Find(JsonElement element, Type type, JsonSerializerOptions options, string pointer)
    {
        var info = options.GetTypeInfo(Nullable.GetUnderlyingType(type) ?? type);
        return info.Kind switch
        {
            _ when element.ValueKind == JsonValueKind.Null => Leaf(element, type, options, pointer),
            JsonTypeInfoKind.Object when element.ValueKind == JsonValueKind.Object => Record(element, info, options, pointer),
            JsonTypeInfoKind.Enumerable when element.ValueKind == JsonValueKind.Array => element.EnumerateArray()
                .Select((item, i) => Item(item, info.ElementType!, options, $"{pointer}/{i}")).FirstOrDefault(p => p is not null),
            JsonTypeInfoKind.Dictionary when element.ValueKind == JsonValueKind.Object => Twice(element, pointer)
                ?? element.EnumerateObject().Select(p => Item(p.Value, info.ElementType!, options, $"{pointer}/{Escaped(p.Name)}"))
                    .FirstOrDefault(p => p is not null),
            _ => Leaf(element, type, options, pointer),
        };
    }

    private static InputProblem? Item(JsonElement element, Type type, JsonSerializerOptions options, string pointer) =>
        element.ValueKind == JsonValueKind.Null && !type.IsValueType ? Wrong(element, pointer) : Find(element, type, options, pointer);

    private static InputProblem? Record(JsonElement element, JsonTypeInfo info, JsonSerializerOptions options, string pointer)
    {
        if (Twice(element, pointer) is { } twice)
        {
            return twice;
        }

        if (info.PolymorphismOptions is { } kinds)
        {
            var kind = element.TryGetProperty(Kind, out var word) && word.ValueKind == JsonValueKind.String ? word.GetString() : null;
            var found = kinds.DerivedTypes.FirstOrDefault(d => d.TypeDiscriminator as string == kind).DerivedType;
            if (kind is null || found is null)
            {
                return new InputProblem(
                    $"{pointer}/{Kind}", kind is null ? "absent or not known" : $"'{kind}'",
                    $"one of {string.Join(", ", kinds.DerivedTypes.Select(d => d.TypeDiscriminator))}",
                    $"The field 'kind' at {Shown(pointer)} is absent or not known.");
            }

            info = options.GetTypeInfo(found);
        }

        var properties = info.Properties.ToDictionary(p => p.Name, StringComparer.Ordinal);
        var absent = info.Properties.Where(p => p.IsRequired && !element.TryGetProperty(p.Name, out _)).Select(p => p.Name).ToList();
        foreach (var field in element.EnumerateObject().Where(f => f.Name != Kind || properties.ContainsKey(Kind)))
        {
            // What is only computed can't be stated.
            if (!properties.TryGetValue(field.Name, out var property) || (property.Set is null && property.AssociatedParameter is null))
            {
                return new InputProblem($"{pointer}/{Escaped(field.Name)}", field.Name, "only known fields",
                    $"The field '{field.Name}' at {Shown(pointer)} is not known.");
            }

            var here = $"{pointer}/{Escaped(field.Name)}";
            var isNull = field.Value.ValueKind == JsonValueKind.Null;
            if (isNull && (property.IsSetNullable || property.PropertyType == typeof(Given)))
            {
                continue;
            }

            if ((isNull ? Wrong(field.Value, here) : Find(field.Value, property.PropertyType, options, here)) is { } problem)
            {
                return problem;
            }
        }

        return absent.Count == 0 ? null : new InputProblem(
            $"{pointer}/{absent[0]}", "absent", "a value, or null where it is not known yet",
            $"At {Shown(pointer)} the field{(absent.Count > 1 ? "s" : string.Empty)} {string.Join(", ", absent.Select(n => $"'{n}'"))} "
                + $"{(absent.Count > 1 ? "are" : "is")} absent.");
    }

    private static InputProblem? Twice(JsonElement element, string pointer)
    {
        var names = new HashSet<string>(StringComparer.Ordinal);
        return element.EnumerateObject().Any(f => !names.Add(f.Name))
            ? new InputProblem(pointer, "given twice", "each field once", $"A field at {Shown(pointer)} is given twice.")
            : null;
    }

    // A value by itself: it fits when it can be read.
    private static InputProblem? Leaf(JsonElement element, Type type, JsonSerializerOptions options, string pointer)
    {
        try
        {
            _ = element.Deserialize(type, options);
            return null;
        }
        catch (JsonException)
        {
            return Wrong(element, pointer);
        }
    }

    private static InputProblem Wrong(JsonElement element, string pointer)
    {
        var text = element.GetRawText();
        var found = text.Length > LongestShown ? text[..LongestShown] + "…" : text;
        return new InputProblem(pointer, found, "a value of the type in the schema",
            $"The value {found} at {Shown(pointer)} is not of the kind wanted there.");
    }

    internal static string Shown(string pointer) => pointer.Length == 0 ? "the top" : pointer;

    private static string Escaped(string name) =>
        name.Replace("~", "~0", StringComparison.Ordinal).Replace("/", "~1", StringComparison.Ordinal);
}
