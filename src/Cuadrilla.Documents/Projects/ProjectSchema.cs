using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization.Metadata;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification.Fields;
using Cuadrilla.Documents.Calculations;

namespace Cuadrilla.Documents.Projects;

/// <summary>The published JSON Schema of the project file, made from the same rules that read it.</summary>
public static class ProjectSchema
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true, Encoder = ProjectJson.FileOptions.Encoder };

    /// <summary>The schema as text, ending with a line feed.</summary>
    public static string Text()
    {
        var schema = Of(typeof(ProjectFile));
        var document = new JsonObject
        {
            ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
            ["title"] = $"Cuadrilla project file, version {ProjectFile.CurrentVersion}",
        };
        foreach (var (key, value) in schema.ToList())
        {
            document[key] = value?.DeepClone();
        }

        var properties = (JsonObject)document["properties"]!;
        properties["format"] = new JsonObject { ["const"] = ProjectFile.FormatName };
        properties["formatVersion"] = new JsonObject { ["const"] = ProjectFile.CurrentVersion };
        return document.ToJsonString(Indented) + "\n";
    }

    /// <summary>Schema of a record: names, help, units and ranges of its entries.</summary>
    internal static JsonObject Of(Type record) => (JsonObject)ProjectJson.Options.GetJsonSchemaAsNode(record, new JsonSchemaExporterOptions
    {
        TreatNullObliviousAsNonNullable = true,
        TransformSchemaNode = (context, node) => Described(
            context.TypeInfo.Type == typeof(Given)
                ? new JsonObject { ["type"] = new JsonArray("number", "null") }
                : Stated(node, context.TypeInfo), context.PropertyInfo),
    });

    // What is only computed is not stated.
    private static JsonNode Stated(JsonNode node, JsonTypeInfo type)
    {
        foreach (var computed in type.Properties.Where(p => p.Set is null && p.AssociatedParameter is null))
        {
            (node["properties"] as JsonObject)?.Remove(computed.Name);
        }

        return node;
    }

    // Name, help, unit and range of an entry, from the one table.
    private static JsonNode Described(JsonNode node, JsonPropertyInfo? property)
    {
        if (property is null || node is not JsonObject schema)
        {
            return node;
        }

        StatedRanges.Describe(schema, property);
        if (FieldTable.Of(property.DeclaringType).FirstOrDefault(f =>
            JsonNamingPolicy.CamelCase.ConvertName(f.Key) == property.Name) is not { } field)
        {
            return node;
        }

        schema["title"] = field.Name;
        schema["description"] = field.Help;
        if (field is NumberField number)
        {
            schema[number.IsAboveMin ? "exclusiveMinimum" : "minimum"] = number.Min;
            schema["maximum"] = number.Max;
            if (number.Unit.Length > 0)
            {
                schema["unit"] = number.Unit;
            }
        }
        else if (field is TextField text)
        {
            schema["minLength"] = text.Least;
            schema["maxLength"] = text.Most;
        }

        return schema;
    }
}
