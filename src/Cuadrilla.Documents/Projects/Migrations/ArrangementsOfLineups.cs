using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 3 to 4: groups, shared shafts, followers, holding brakes, servo control and other ways to build a
/// lineup.</summary>
internal sealed class ArrangementsOfLineups : Migration
{
    protected override void Apply(JsonObject specification)
    {
        foreach (var lineup in (specification["lineups"] as JsonArray ?? []).OfType<JsonObject>()
            .Where(l => !l.ContainsKey("arrangements")))
        {
            lineup["arrangements"] = new JsonArray();
            lineup["variantName"] = string.Empty;
            lineup["reason"] = string.Empty;
            lineup["setAside"] = new JsonArray();
            foreach (var bus in (lineup["dcBuses"] as JsonArray ?? []).OfType<JsonObject>())
            {
                bus["control"] = new JsonObject { ["kind"] = "none" };
            }

            foreach (var point in (lineup["drivePoints"] as JsonArray ?? []).OfType<JsonObject>())
            {
                point["brake"] = new JsonObject { ["kind"] = "none" };
            }
        }
    }
}
