using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Entries of starters.</summary>
internal static class StarterValidation
{
    public static void Check(ConverterChoice choice, string at, EngineeringData data, ProblemList p)
    {
        p.Words(at + "/reason", "Reason", choice.ReasonGiven(), 0, 300);
        if (choice is not (ConverterChoice.NotChosen or ConverterChoice.FromCatalogue or ConverterChoice.OfGroup))
        {
            p.Number(at + "/startsPerHour", "Starts an hour", choice.StartsWanted(), 0, 60, "1/h");
        }

        switch (choice)
        {
            case ConverterChoice.StarDelta s:
                p.Number(at + "/changeOverS", "Time in star", s.ChangeOverS, 0.5, 120, "s");
                break;
            case ConverterChoice.SoftStarter s:
                p.Require(data.SoftStarters.ContainsKey(s.ItemId), at + "/itemId", "Soft starter", $"'{s.ItemId}'", "an item of the catalogue");
                Settings(s.Settings, at + "/settings", p);
                break;
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
            p.Words(at + "/application", "Name of the preset", plant.StartPresets[i].Application, 1, 40);
            p.Unique(at + "/application", "Name of the preset", plant.StartPresets[i].Application, names);
            Settings(plant.StartPresets[i].Settings, at + "/settings", p);
        }
    }

    internal static void Settings(SoftStarterSettings s, string at, ProblemList p)
    {
        p.Number(at + "/initialPct", "Initial value", s.InitialPct, 0, s.Mode == SoftStartMode.VoltageRamp ? 100 : 700, "%");
        p.Number(at + "/rampS", "Ramp", s.RampS, 0, 120, "s");
        p.Number(at + "/currentLimitPct", "Current limit", s.CurrentLimitPct, 100, 1000, "% of the motor's set current");
        p.Number(at + "/kickPct", "Kick", s.KickPct, 0, 100, "% voltage");
        p.Number(at + "/kickS", "Kick time", s.KickS, 0, 2, "s");
        p.Number(at + "/stopRampS", "Stop ramp", s.StopRampS, 0, 120, "s");
    }
}
