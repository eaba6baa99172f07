using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 12 to 13: standby generators, and lineups to which only one phase is available.</summary>
internal sealed class StandbyAndOnePhase : Migration
{
    // Nothing to bring over: what has none of them is fed as before.
    protected override void Apply(JsonObject specification)
    {
    }
}
