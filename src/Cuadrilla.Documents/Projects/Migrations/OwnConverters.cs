using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 2 to 3: converters of the engineer's own catalogues, output filters, feeds by two phases, common DC buses. What
/// it added to choices and tariff has values that change nothing.</summary>
internal sealed class OwnConverters : Migration
{
    protected override void Apply(JsonObject specification)
    {
        foreach (var lineup in (specification["lineups"] as JsonArray ?? []).OfType<JsonObject>().Where(l => !l.ContainsKey("dcBuses")))
        {
            lineup["dcBuses"] = new JsonArray();
        }

        foreach (var list in new[] { "converters", "startPresets" })
        {
            if (!specification.ContainsKey(list))
            {
                specification[list] = new JsonArray();
            }
        }
    }
}
