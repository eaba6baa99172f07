using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks a project's own converters.</summary>
internal static class OwnConverterValidation
{
    private const int MaxConverters = 2000;

    private static readonly string[] Losses =
    [
        nameof(OwnConverter.LossF0I25W), nameof(OwnConverter.LossF0I50W), nameof(OwnConverter.LossF0I100W),
        nameof(OwnConverter.LossF50I25W),
        nameof(OwnConverter.LossF50I50W), nameof(OwnConverter.LossF50I100W), nameof(OwnConverter.LossF90I50W),
        nameof(OwnConverter.LossF90I100W),
    ];

    public static void Check(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        p.Require(plant.Converters.Count <= MaxConverters, "/converters", "Number of own converters", $"{plant.Converters.Count}",
            $"up to {MaxConverters}");
        var ids = new HashSet<string>(data.Converters.Keys, StringComparer.Ordinal);
        for (var i = 0; i < plant.Converters.Count; i++)
        {
            var converter = plant.Converters[i];
            var at = $"/converters/{i}";
            p.Unique(at + "/id", "Converter key", converter.Id, ids);
            Relations(converter, at, p);
        }
    }

    private static void Relations(OwnConverter c, string at, ProblemList p)
    {
        p.Within<OwnConverter>(at, nameof(c.HeavyCurrentA), c.HeavyCurrentA, 0, Math.Max(0.1, c.LightCurrentA));
        var losses = c.EightLosses();
        foreach (var (loss, key) in losses.Zip(Losses))
        {
            p.Within<OwnConverter>(at, key, loss, 0, 1000 * Math.Max(0.05, c.RatedKw) / 2);
        }

        var known = losses.Count(l => l.IsKnown);
        p.Require(known is 0 or 8, at + "/lossF0I25W", "Losses at the eight points", $"{known} of 8", "all eight or none");
    }
}
