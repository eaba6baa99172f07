using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks a project's own converters.</summary>
internal static class OwnConverterValidation
{
    private const int MaxConverters = 2000;

    public static void Check(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        p.Require(plant.Converters.Count <= MaxConverters, "/converters", "Number of own converters", $"{plant.Converters.Count}", $"up to {MaxConverters}");
        var ids = new HashSet<string>(data.Converters.Keys, StringComparer.Ordinal);
        for (var i = 0; i < plant.Converters.Count; i++)
        {
            var converter = plant.Converters[i];
            var at = $"/converters/{i}";
            p.Words(at + "/id", "Converter key", converter.Id, 1, 60);
            p.Unique(at + "/id", "Converter key", converter.Id, ids);
            Ranges(converter, at, p);
        }
    }

    private static void Ranges(OwnConverter c, string at, ProblemList p)
    {
        p.Words(at + "/name", "Name", c.Name, 1, 80);
        p.Words(at + "/catalogue", "Catalogue", c.Catalogue, 1, 80);
        p.Words(at + "/version", "Version of the catalogue", c.Version, 1, 40);
        p.Number(at + "/ratedKw", "Size", c.RatedKw, 0.05, 3000, "kW");
        p.Number(at + "/ratedVoltageV", "Voltage", c.RatedVoltageV, 100, 1000, "V");
        p.Number(at + "/lightCurrentA", "Current, light overload", c.LightCurrentA, 0.1, 6000, "A");
        p.Number(at + "/heavyCurrentA", "Current, heavy overload", c.HeavyCurrentA, 0.1, Math.Max(0.1, c.LightCurrentA), "A");
        p.Number(at + "/chokePct", "DC choke", c.ChokePct, 0, 10, "%");
        p.Number(at + "/lightOverloadPct", "Light overload", c.LightOverloadPct, 101, 400, "%");
        p.Number(at + "/heavyOverloadPct", "Heavy overload", c.HeavyOverloadPct, 101, 400, "%");
        p.Number(at + "/standbyW", "Stand-by loss", c.StandbyW, 0, 5000, "W");
        p.Number(at + "/capacitanceUf", "Link capacitance", c.CapacitanceUf, 1, 1e6, "µF");
        p.Number(at + "/leastBrakeOhm", "Least brake resistance", c.LeastBrakeOhm, 0.1, 2000, "Ω");
        p.Number(at + "/shortCircuitKa", "Rated short-circuit current", c.ShortCircuitKa, 0.5, 200, "kA");
        p.Number(at + "/singlePhaseFeedPu", "Factor fed by two conductors", c.SinglePhaseFeedPu, 0.1, 1, string.Empty);
        p.Number(at + "/widthMm", "Width", c.WidthMm, 10, 5000, "mm");
        p.Number(at + "/heightMm", "Height", c.HeightMm, 10, 5000, "mm");
        p.Number(at + "/depthMm", "Depth", c.DepthMm, 10, 5000, "mm");
        p.Number(at + "/massKg", "Mass", c.MassKg, 0.1, 10_000, "kg");
        p.Number(at + "/airflowM3PerH", "Cooling air", c.AirflowM3PerH, 0, 50_000, "m³/h");
        p.Number(at + "/priceIndex", "Price index", c.PriceIndex, 0, 1e6, "points");
        var losses = c.EightLosses();
        string[] names = ["lossF0I25W", "lossF0I50W", "lossF0I100W", "lossF50I25W", "lossF50I50W", "lossF50I100W", "lossF90I50W", "lossF90I100W"];
        for (var i = 0; i < losses.Count; i++)
        {
            p.Number($"{at}/{names[i]}", "Loss", losses[i], 0, 1000 * Math.Max(0.05, c.RatedKw) / 2, "W");
        }

        var known = losses.Count(l => l.IsKnown);
        p.Require(known is 0 or 8, at + "/lossF0I25W", "Losses at the eight points", $"{known} of 8", "all eight or none");
    }
}
