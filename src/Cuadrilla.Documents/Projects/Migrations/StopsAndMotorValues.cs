using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 4 to 5: a stopping time of every load, and what motors stand by their makers instead of by the project.</summary>
internal sealed class StopsAndMotorValues : Migration
{
    private const string StopField = "stopTimeS";

    private static readonly Dictionary<string, string> OfMotors = new(StringComparer.Ordinal)
    {
        ["motor-rated-rise-k"] = "ratedRiseK",
        ["stall-time-s"] = "stallTimeS",
        ["withstand-v"] = "withstandV",
    };

    // Until version 4 only a heavy rotor had a stopping time, beside its train.
    protected override void Apply(JsonObject specification)
    {
        foreach (var load in (specification["lineups"] as JsonArray ?? []).OfType<JsonObject>()
            .SelectMany(l => (l["drivePoints"] as JsonArray ?? []).OfType<JsonObject>()).Select(p => p["load"]).OfType<JsonObject>()
            .Where(l => l.ContainsKey(StopField)))
        {
            var stop = load[StopField]?.DeepClone();
            load.Remove(StopField);
            if (load["train"] is JsonObject train)
            {
                train[StopField] = stop;
            }
        }

        // Project values that belong to motors now: an override becomes what the project's own motors stand; the catalogue's state their
        // own.
        foreach (var item in (specification["overrides"] as JsonArray ?? []).OfType<JsonObject>()
            .Where(o => OfMotors.ContainsKey(o["key"]?.ToString() ?? string.Empty)).ToList())
        {
            foreach (var motor in (specification["motors"] as JsonArray ?? []).OfType<JsonObject>())
            {
                motor[OfMotors[item["key"]!.ToString()]] = item["value"]?.DeepClone();
            }

            specification["overrides"]!.AsArray().Remove(item);
        }
    }
}
