using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Specification;
using Cuadrilla.Documents.Projects.Migrations;

namespace Cuadrilla.Documents.Projects;

/// <summary>Specifications as the store keeps them: each with the version it was written in.</summary>
public static class StoredProject
{
    /// <summary>Reads one.</summary>
    /// <param name="document">The specification as JSON.</param>
    /// <param name="version">Its version; null for those stored before versions were: all migrations run, which leave alone what they need
    /// not change.</param>
    /// <exception cref="InputException">It is no specification, or newer than this program.</exception>
    public static PlantSpecification Read(string document, int? version)
    {
        ArgumentNullException.ThrowIfNull(document);
        if (version == ProjectFile.CurrentVersion)
        {
            return JsonReading.Read<PlantSpecification>(Encoding.UTF8.GetBytes(document), ProjectJson.Options);
        }

        if (version < 1 || version > ProjectFile.CurrentVersion)
        {
            throw ProjectFile.NewerVersion(version.Value);
        }

        var specification = JsonNode.Parse(document)!.AsObject();
        Migration.Run(specification, version ?? 1);
        return JsonReading.Read<PlantSpecification>(JsonSerializer.SerializeToUtf8Bytes(specification), ProjectJson.Options);
    }
}
