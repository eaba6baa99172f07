using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 8 to 9: a supply module has a feeder and a device; fuses of DC buses, isolators, bypasses, contactors of
/// capacitors and soil are stated.</summary>
internal sealed class FeedersOfModules : Migration
{
    protected override void Apply(JsonObject specification)
    {
        foreach (var lineup in Each(specification, "lineups"))
        {
            foreach (var bus in Each(lineup, "dcBuses").Concat(Each(lineup, "setAside").SelectMany(v => Each(v, "dcBuses"))))
            {
                bus["feeder"] ??= new JsonObject { ["kind"] = "on-busbar" };
                bus["device"] ??= new JsonObject { ["kind"] = "not-chosen" };
            }
        }
    }
}
