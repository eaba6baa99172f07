using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Documents.Projects;

/// <summary>The published JSON Schema of the project file, made from the same rules that read it.</summary>
public static class ProjectSchema
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true, Encoder = ProjectJson.FileOptions.Encoder };

    /// <summary>The schema as text, ending with a line feed.</summary>
    public static string Text()
    {
        var options = new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            TransformSchemaNode = (context, node) => context.TypeInfo.Type == typeof(Given)
                ? new JsonObject { ["type"] = new JsonArray("number", "null"), ["description"] = "A number, or null while it is not known." }
                : node,
        };
        var schema = (JsonObject)ProjectJson.Options.GetJsonSchemaAsNode(typeof(ProjectFile), options);
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
}
