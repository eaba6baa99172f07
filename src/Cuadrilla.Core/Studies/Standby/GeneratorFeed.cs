using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Standby;

/// <summary>The plant as its generator feeds it: always, or in the scenarios on standby.</summary>
/// <param name="Plant">The plant with the generator as its source and those scenarios only.</param>
/// <param name="Generator">The generator.</param>
/// <param name="IsStandby">True where the mains feed otherwise.</param>
public sealed record GeneratorFeed(PlantSpecification Plant, SourceStrength.Generator Generator, bool IsStandby)
{
    private const int Named = 4;

    // What public systems ask has no place on a generator of one's own; what lacks and what is assumed of the supply neither.
    private static readonly string[] OfMains = ["harmonics.pcc", "harmonics.equipment", "harmonics.terminal-thdi", "supply.data"];

    // What voltages, fault currents, distortion and dips of the source decide.
    private static readonly string[] OfSource =
    [
        "supply.", "harmonics.", "starter.", "cable.", "protection.", "contactor.", "converter.output-voltage",
        "converter.short-circuit-rating", "lineup.short-circuit-rating", "motor.peak", "motor.connection", "long-cable.", "single-phase.",
        "cabinet.short-circuit",
    ];

    /// <summary>Of a plant; null where no generator feeds it in any scenario.</summary>
    public static GeneratorFeed? Of(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return plant.Source.Strength is SourceStrength.Generator own && !StandbyPlant.Has(plant) ? new GeneratorFeed(plant, own, false)
            : StandbyPlant.Has(plant) ? new GeneratorFeed(StandbyPlant.OnGenerator(plant), plant.Standby!.Generator, true)
            : null;
    }

    /// <summary>The plant on another generator.</summary>
    public PlantSpecification On(SourceStrength.Generator generator) => Plant with { Source = Plant.Source with { Strength = generator } };

    /// <summary>Checks of an assessment that the generator, or what runs on it, can change: of the plant, and of what runs.</summary>
    public static IReadOnlyList<Check> Concerned(PlantAssessment assessment)
    {
        ArgumentNullException.ThrowIfNull(assessment);
        var running = assessment.Scenarios.SelectMany(s => s.Drives.Select(d => d.DrivePointId)
            .Concat(s.OnLine.Select(d => d.DrivePointId))).ToHashSet(StringComparer.Ordinal);
        return [.. assessment.Checks.Where(c => c.DrivePointId.Length == 0 || running.Contains(c.DrivePointId))
            .Where(c => Array.Exists(OfSource, o => c.Id.StartsWith(o, StringComparison.Ordinal))
                && !Array.Exists(OfMains, o => c.Id.StartsWith(o, StringComparison.Ordinal)))];
    }

    /// <summary>Checks in words: each title once, with whose it is; of many the first few.</summary>
    public IReadOnlyList<string> Said(IEnumerable<Check> checks)
    {
        var tags = Plant.AllDrivePoints().ToDictionary(p => p.Id, p => p.Tag, StringComparer.Ordinal);
        return [.. checks.GroupBy(c => c.Title, StringComparer.Ordinal)
            .Select(g => (g.Key, Whose: g.Select(c => tags.GetValueOrDefault(c.DrivePointId))
                .OfType<string>().Distinct(StringComparer.Ordinal).ToList()))
            .Select(g => g.Whose.Count == 0 ? g.Key
                : $"{g.Key}: {string.Join(", ", g.Whose.Take(Named))}"
                    + (g.Whose.Count > Named ? $" and {g.Whose.Count - Named} more" : string.Empty))];
    }
}
