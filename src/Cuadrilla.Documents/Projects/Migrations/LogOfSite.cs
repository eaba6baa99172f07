using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 15 to 16: the file carries the log of the site.</summary>
internal sealed class LogOfSite : Migration
{
    // The log stands beside the specification: an earlier file has none.
    protected override void Apply(JsonObject specification)
    {
    }
}
