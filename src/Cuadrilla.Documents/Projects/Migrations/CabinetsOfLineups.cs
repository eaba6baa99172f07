using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 13 to 14: cabinets of lineups.</summary>
internal sealed class CabinetsOfLineups : Migration
{
    // Nothing to bring over: where none are entered the air at the converters is as the plant's site says.
    protected override void Apply(JsonObject specification)
    {
    }
}
