using System.Diagnostics;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification.Validation;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Bench;

/// <summary>Random plants in numbers and sizes beyond the tests': <c>bench random [plants] [drive points] [first seed]</c>.</summary>
internal static class RandomPlantRun
{
    private const int SlowestShown = 10;

    public static int Run(int plants, int drivePoints, int firstSeed)
    {
        var data = ReferenceCatalogue.Data;
        var assessor = new Assessor(data);
        var times = new List<(int Seed, double Ms, int Points)>();
        var faults = new List<string>();
        var whole = Stopwatch.StartNew();
        for (var seed = firstSeed; seed < firstSeed + plants; seed++)
        {
            var plant = RandomPlant.Of(seed, data, drivePoints);
            faults.AddRange(SpecificationValidation.Problems(plant, data).Select(p => $"seed {seed}: invalid: {p.Pointer}: {p.Message}"));
            var watch = Stopwatch.StartNew();
            var assessment = assessor.Run(plant);
            times.Add((seed, watch.Elapsed.TotalMilliseconds, plant.AllDrivePoints().Count()));
            faults.AddRange(assessment.Faults.Select(f => $"seed {seed}: {f.Where}: {f.What} {f.Trace.Split('\n')[0].Trim()}"));
        }

        Console.WriteLine(FormattableString.Invariant($"{plants} plants of up to {drivePoints} drive points from seed {firstSeed} in ")
            + FormattableString.Invariant($"{whole.Elapsed.TotalSeconds:0.0} s; {faults.Count} faults"));
        foreach (var (seed, ms, points) in times.OrderByDescending(t => t.Ms).Take(SlowestShown))
        {
            Console.WriteLine(FormattableString.Invariant($"  seed {seed}: {ms:0} ms, {points} drive points"));
        }

        foreach (var fault in faults.Take(SlowestShown))
        {
            Console.WriteLine(fault);
        }

        return faults.Count == 0 ? 0 : 1;
    }
}
