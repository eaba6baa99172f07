using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Entries of starters.</summary>
internal static class StarterValidation
{
    public static void Check(ConverterChoice choice, string at, EngineeringData data, ProblemList p)
    {
        if (choice is ConverterChoice.SoftStarter s)
        {
            p.Require(data.SoftStarters.ContainsKey(s.ItemId), at + "/itemId", "Soft starter", $"'{s.ItemId}'", "an item of the catalogue");
            Settings(s.Settings, at + "/settings", p);
        }
    }

    /// <summary>The project's own presets.</summary>
    public static void Presets(PlantSpecification plant, EngineeringData data, ProblemList p)
    {
        p.Require(plant.StartPresets.Count <= 100, "/startPresets", "Number of presets", $"{plant.StartPresets.Count}", "up to 100");
        var names = data.StartPresets.Select(s => s.Application).ToHashSet(StringComparer.Ordinal);
        for (var i = 0; i < plant.StartPresets.Count; i++)
        {
            var at = $"/startPresets/{i}";
            p.Unique(at + "/application", "Name of the preset", plant.StartPresets[i].Application, names);
            Settings(plant.StartPresets[i].Settings, at + "/settings", p);
        }
    }

    private static void Settings(SoftStarterSettings s, string at, ProblemList p)
    {
        if (s.Mode == SoftStartMode.VoltageRamp)
        {
            p.Within<SoftStarterSettings>(at, nameof(s.InitialPct), s.InitialPct, 0, 100);
        }
    }
}
