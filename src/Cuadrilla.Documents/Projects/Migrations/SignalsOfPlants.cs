using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 14 to 15: signals, the controller, control supplies, splits of cabinets.</summary>
internal sealed class SignalsOfPlants : Migration
{
    // Nothing to bring over: where none are entered nothing is judged of them.
    protected override void Apply(JsonObject specification)
    {
    }
}
