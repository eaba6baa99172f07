using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 16 to 17: drive points say which of their values are assumed.</summary>
internal sealed class AssumedValues : Migration
{
    // Nobody can tell afterwards what was assumed: an earlier file says nothing of it.
    protected override void Apply(JsonObject specification)
    {
    }
}
