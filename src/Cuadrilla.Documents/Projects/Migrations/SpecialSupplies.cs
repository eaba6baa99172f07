using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 11 to 12: special supplies, the sun first of them.</summary>
internal sealed class SpecialSupplies : Migration
{
    // Nothing to bring over: what has no supply of its own is fed from its lineup, as before.
    protected override void Apply(JsonObject specification)
    {
    }
}
