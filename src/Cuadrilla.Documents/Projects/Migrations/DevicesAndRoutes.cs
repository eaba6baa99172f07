using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 9 to 10: devices of own lists and their curves; environment, filters, residual-current devices, places and
/// trays.</summary>
internal sealed class DevicesAndRoutes : Migration
{
    // All that is new may stay open.
    protected override void Apply(JsonObject specification) => specification["devices"] ??= new JsonArray();
}
