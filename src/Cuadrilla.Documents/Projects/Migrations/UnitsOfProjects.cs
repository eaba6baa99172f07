using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 6 to 7: units and installation code are a project's own; until then all were SI and IEC. Pumps may state static
/// head and curve.</summary>
internal sealed class UnitsOfProjects : Migration
{
    protected override void Apply(JsonObject specification) =>
        specification["conventions"] ??= new JsonObject { ["units"] = "si", ["installation"] = "iec60364" };
}
