using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Projects;

/// <summary>
/// Brings specifications of earlier layouts to the one in force. Version 1 knew one transformer and one bus; version 2 knows
/// buses, transformers, links, capacitors and loads by key; version 3 knows converters of the engineer's own catalogues, output
/// filters, feeds by two phases, more ways of braking and a charge for reactive energy; version 4 knows groups, shared shafts,
/// followers, holding brakes, servo control and other ways to build a lineup; version 5 knows a stopping time of every load, what motors stand by their
/// makers, the operating range of the supply and the harmonics code.
/// </summary>
public static class ProjectUpgrade
{
    private const string SourceBus = "bus-source";
    private const string FirstBus = "bus-1";
    private const string FirstTransformer = "transformer-1";
    private const string FirstLoad = "load-1";
    private const string StopField = "stopTimeS";

    private static readonly Dictionary<string, string> OfMotors = new(StringComparer.Ordinal)
    {
        ["motor-rated-rise-k"] = "ratedRiseK",
        ["stall-time-s"] = "stallTimeS",
        ["withstand-v"] = "withstandV",
    };

    // Whether all orders are solved together was once a choice.
    private static readonly HashSet<string> Gone = new(StringComparer.Ordinal) { "harmonics-all-orders" };

    private static readonly string[] NewMotorFields =
    [
        "lockedRotorCurrentPu", "lockedRotorTorquePu", "halfLoadPowerFactor", "lossN90T100W", "lossN50T100W", "lossN25T100W", "lossN90T50W", "lossN50T50W", "lossN50T25W", "lossN25T25W",
    ];

    /// <summary>Reads a specification of any layout, as the store keeps it.</summary>
    /// <exception cref="InputException">It is no specification.</exception>
    public static PlantSpecification ReadStored(string document)
    {
        ArgumentNullException.ThrowIfNull(document);
        var utf8 = Encoding.UTF8.GetBytes(document);
        return WithoutGone(JsonReading.Read<PlantSpecification>(IsEarlier(utf8) ? Upgraded(JsonNode.Parse(utf8)!.AsObject()) : utf8, ProjectJson.Options));
    }

    /// <summary>Without overrides of project values that no longer exist: nothing depends on them.</summary>
    internal static PlantSpecification WithoutGone(PlantSpecification specification) => specification.Overrides.Any(o => Gone.Contains(o.Key))
        ? specification with { Overrides = [.. specification.Overrides.Where(o => !Gone.Contains(o.Key))] }
        : specification;

    /// <summary>A project file of an earlier version as one in force; what doesn't fit is left for the reader to name.</summary>
    internal static byte[] FileOfEarlier(ReadOnlySpan<byte> utf8)
    {
        JsonNode? root;
        try
        {
            root = JsonNode.Parse(utf8);
        }
        catch (JsonException)
        {
            return utf8.ToArray();
        }

        if (root is not JsonObject file)
        {
            return utf8.ToArray();
        }

        file["formatVersion"] = ProjectFile.CurrentVersion;
        if (file["specification"] is JsonObject specification)
        {
            Upgrade(specification);
        }

        return JsonSerializer.SerializeToUtf8Bytes(file);
    }

    private static bool IsEarlier(ReadOnlySpan<byte> utf8)
    {
        using var document = JsonDocument.Parse(utf8.ToArray());
        return !document.RootElement.TryGetProperty("converters", out _)
            || (document.RootElement.TryGetProperty("overrides", out var overrides) && overrides.EnumerateArray().Any(o => o.TryGetProperty("key", out var key) && OfMotors.ContainsKey(key.GetString() ?? string.Empty)))
            || (document.RootElement.TryGetProperty("lineups", out var lineups) && lineups.EnumerateArray().Any(l => !l.TryGetProperty("arrangements", out _) || HasStopOfVersion4(l)));
    }

    private static bool HasStopOfVersion4(JsonElement lineup) => lineup.TryGetProperty("drivePoints", out var points)
        && points.EnumerateArray().Any(p => p.TryGetProperty("load", out var load) && load.TryGetProperty(StopField, out _));

    private static byte[] Upgraded(JsonObject specification)
    {
        Upgrade(specification);
        return JsonSerializer.SerializeToUtf8Bytes(specification);
    }

    private static void Upgrade(JsonObject s)
    {
        ToVersion2(s);
        ToVersion3(s);
        ToVersion4(s);
        ToVersion5(s);
    }

    // Until version 4 only a heavy rotor had a stopping time, beside its train.
    private static void ToVersion5(JsonObject s)
    {
        foreach (var load in (s["lineups"] as JsonArray ?? []).OfType<JsonObject>()
            .SelectMany(l => (l["drivePoints"] as JsonArray ?? []).OfType<JsonObject>()).Select(p => p["load"]).OfType<JsonObject>().Where(l => l.ContainsKey(StopField)))
        {
            var stop = load[StopField]?.DeepClone();
            load.Remove(StopField);
            if (load["train"] is JsonObject train)
            {
                train[StopField] = stop;
            }
        }

        // Project values that belong to motors now: an override becomes what the project's own motors stand; the catalogue's state their own.
        foreach (var item in (s["overrides"] as JsonArray ?? []).OfType<JsonObject>().Where(o => OfMotors.ContainsKey(o["key"]?.ToString() ?? string.Empty)).ToList())
        {
            foreach (var motor in (s["motors"] as JsonArray ?? []).OfType<JsonObject>())
            {
                motor[OfMotors[item["key"]!.ToString()]] = item["value"]?.DeepClone();
            }

            s["overrides"]!.AsArray().Remove(item);
        }
    }

    private static void ToVersion4(JsonObject s)
    {
        foreach (var lineup in (s["lineups"] as JsonArray ?? []).OfType<JsonObject>().Where(l => !l.ContainsKey("arrangements")))
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

    // What version 3 added to choices and tariff has values that change nothing when they are absent.
    private static void ToVersion3(JsonObject s)
    {
        foreach (var lineup in (s["lineups"] as JsonArray ?? []).OfType<JsonObject>().Where(l => !l.ContainsKey("dcBuses")))
        {
            lineup["dcBuses"] = new JsonArray();
        }

        foreach (var list in new[] { "converters", "startPresets" })
        {
            if (!s.ContainsKey(list))
            {
                s[list] = new JsonArray();
            }
        }
    }

    private static void ToVersion2(JsonObject s)
    {
        if (s["source"] is not JsonObject source || s["transformer"] is not JsonObject transformer || s["bus"] is not JsonObject bus)
        {
            return;
        }

        var atPrimary = s["pcc"]?.GetValueKind() == JsonValueKind.String && s["pcc"]!.GetValue<string>() == "transformer-primary";
        s["distribution"] = new JsonObject
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
        s["pcc"] = new JsonObject { ["busId"] = atPrimary ? SourceBus : FirstBus, ["maximumDemandKva"] = Taken(bus, "maximumDemandKva") };
        source["busId"] = SourceBus;
        Strength(source["strength"] as JsonObject);
        s.Remove("bus");
        s.Remove("transformer");
        foreach (var lineup in (s["lineups"] as JsonArray ?? []).OfType<JsonObject>())
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

        foreach (var motor in (s["motors"] as JsonArray ?? []).OfType<JsonObject>())
        {
            foreach (var field in NewMotorFields)
            {
                motor[field] = null;
            }
        }

        foreach (var scenario in (s["scenarios"] as JsonArray ?? []).OfType<JsonObject>())
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

        scenario["loadStates"] = Taken(scenario, "linearLoadPu") is JsonValue level && !(level.GetValueKind() == JsonValueKind.Number && level.GetValue<double>() == 1)
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
        var transformer = new JsonObject { ["id"] = FirstTransformer, ["name"] = "transformer", ["fromBusId"] = SourceBus, ["toBusId"] = FirstBus };
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
