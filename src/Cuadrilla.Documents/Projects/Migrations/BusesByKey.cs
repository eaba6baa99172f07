using System.Text.Json;
using System.Text.Json.Nodes;

namespace Cuadrilla.Documents.Projects.Migrations;

/// <summary>From version 1, which knew one transformer and one bus, to 2: buses, transformers, links, capacitors and loads by
/// key.</summary>
internal sealed class BusesByKey : Migration
{
    private const string SourceBus = "bus-source";
    private const string FirstBus = "bus-1";
    private const string FirstTransformer = "transformer-1";
    private const string FirstLoad = "load-1";

    private static readonly string[] NewMotorFields =
    [
        "lockedRotorCurrentPu", "lockedRotorTorquePu", "halfLoadPowerFactor", "lossN90T100W", "lossN50T100W", "lossN25T100W", "lossN90T50W",
        "lossN50T50W", "lossN50T25W", "lossN25T25W",
    ];

    protected override void Apply(JsonObject specification)
    {
        if (specification["source"] is not JsonObject source || specification["transformer"] is not JsonObject transformer
            || specification["bus"] is not JsonObject bus)
        {
            return;
        }

        var atPrimary = specification["pcc"]?.GetValueKind() == JsonValueKind.String
            && specification["pcc"]!.GetValue<string>() == "transformer-primary";
        specification["distribution"] = new JsonObject
        {
            ["buses"] = new JsonArray(
                Bus(SourceBus, "network connection", Taken(source, "nominalVoltageV")),
                Bus(FirstBus, Taken(bus, "name") is JsonValue name ? name : JsonValue.Create("bus"), Taken(bus, "nominalVoltageV"))),
            ["transformers"] = new JsonArray(Transformer(transformer)),
            ["links"] = new JsonArray(),
            ["capacitorBanks"] = new JsonArray(),
            ["loads"] = new JsonArray(new JsonObject
            {
                ["kind"] = "linear",
                ["id"] = FirstLoad,
                ["name"] = "linear load",
                ["busId"] = FirstBus,
                ["powerKw"] = Taken(bus, "linearLoadKw"),
                ["powerFactor"] = Taken(bus, "linearLoadPowerFactor"),
            }),
        };
        specification["pcc"] = new JsonObject { ["busId"] = atPrimary ? SourceBus : FirstBus,
            ["maximumDemandKva"] = Taken(bus, "maximumDemandKva") };
        source["busId"] = SourceBus;
        Strength(source["strength"] as JsonObject);
        specification.Remove("bus");
        specification.Remove("transformer");
        foreach (var lineup in (specification["lineups"] as JsonArray ?? []).OfType<JsonObject>())
        {
            lineup["busId"] = FirstBus;
            foreach (var point in (lineup["drivePoints"] as JsonArray ?? []).OfType<JsonObject>())
            {
                point["skipBands"] = new JsonArray();
                if (point["converter"] is JsonObject converter && converter["kind"]?.ToString() == "catalogue")
                {
                    converter["braking"] = new JsonObject { ["kind"] = "nothing" };
                }

                if (point["load"]?["common"] is JsonObject fluid)
                {
                    fluid["vaneCurve"] = new JsonArray();
                }
            }
        }

        foreach (var motor in (specification["motors"] as JsonArray ?? []).OfType<JsonObject>())
        {
            foreach (var field in NewMotorFields)
            {
                motor[field] = null;
            }
        }

        foreach (var scenario in (specification["scenarios"] as JsonArray ?? []).OfType<JsonObject>())
        {
            Scenario(scenario);
        }
    }

    private static void Strength(JsonObject? strength)
    {
        switch (strength?["kind"]?.ToString())
        {
            case "fault-level":
                strength["leastMva"] = null;
                break;
            case "generator":
                strength["negativeSequencePct"] = null;
                break;
        }
    }

    private static void Scenario(JsonObject scenario)
    {
        foreach (var state in (scenario["states"] as JsonArray ?? []).OfType<JsonObject>())
        {
            state["loadPu"] = 1;
        }

        scenario["loadStates"] = Taken(scenario, "linearLoadPu") is JsonValue level
            && !(level.GetValueKind() == JsonValueKind.Number && level.GetValue<double>() == 1)
            ? new JsonArray(new JsonObject { ["loadId"] = FirstLoad, ["levelPu"] = level })
            : new JsonArray();
        scenario["switches"] = new JsonArray();
        scenario["bankStates"] = new JsonArray();
    }

    private static JsonObject Bus(string id, JsonNode? name, JsonNode? voltage) => new()
    {
        ["id"] = id,
        ["name"] = name,
        ["nominalVoltageV"] = voltage,
        ["withstandKa"] = null,
    };

    private static JsonObject Transformer(JsonObject old)
    {
        var transformer = new JsonObject { ["id"] = FirstTransformer, ["name"] = "transformer", ["fromBusId"] = SourceBus,
            ["toBusId"] = FirstBus };
        foreach (var field in old.Select(p => p.Key).ToList())
        {
            transformer[field] = Taken(old, field);
        }

        transformer["vectorGroup"] = "dyn11";
        transformer["cooling"] = "dry";
        transformer["otherStrayLossPu"] = null;
        return transformer;
    }

    private static JsonNode? Taken(JsonObject from, string field)
    {
        var value = from[field];
        from.Remove(field);
        return value;
    }
}
