using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.Training;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Projects;

namespace Cuadrilla.Documents.Training;

/// <summary>The exercises that ship: a data file each.</summary>
public static class Exercises
{
    private const string Ending = ".exercise.json";
    private static readonly Lazy<IReadOnlyList<Exercise>> Read = new(Load);

    /// <summary>All of them.</summary>
    public static IReadOnlyList<Exercise> All => Read.Value;

    /// <summary>The one with a key; null where there is none.</summary>
    public static Exercise? Named(string id) => All.FirstOrDefault(e => e.Id == id);

    /// <summary>The plant that an exercise happens in, as it is specified.</summary>
    public static PlantSpecification PlantOf(Exercise exercise, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        var plant = DemoPlant.Read(data, exercise.Plant) with { Name = "Exercise: " + exercise.Title };
        return exercise.SoftStart is not { } set ? plant : plant with
        {
            Lineups = [.. plant.Lineups.Select(l => l with
            {
                DrivePoints = [.. l.DrivePoints.Select(p => p.Id == exercise.PointId && p.Converter is ConverterChoice.SoftStarter soft
                    ? p with
                    {
                        Converter = soft with
                        {
                            Settings = soft.Settings with { InitialPct = set.InitialPct, CurrentLimitPct = set.LimitPct },
                        },
                    }
                    : p)],
            })],
        };
    }

    private static IReadOnlyList<Exercise> Load()
    {
        var assembly = typeof(Exercises).Assembly;
        return [.. assembly.GetManifestResourceNames().Where(n => n.EndsWith(Ending, StringComparison.Ordinal))
            .Order(StringComparer.Ordinal)
            .Select(name =>
            {
                using var stream = assembly.GetManifestResourceStream(name)!;
                using var memory = new MemoryStream();
                stream.CopyTo(memory);
                return JsonReading.Read<Exercise>(memory.ToArray(), ProjectJson.Options, name);
            })];
    }
}
