using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 10 to 11: earth electrodes of buses, and what listens near a plant.</summary>
internal sealed class Receivers : Migration
{
    // Nothing to bring over: an electrode that nobody measured and receivers that nobody named may stay open.
    protected override void Apply(JsonObject specification)
    {
    }
}
