using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Sun;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Bench;

/// <summary>The pond pump of the tile works over every hour of a year (bound 15 ms), and 200 pairs of array and pump over the same light
/// (bound 2 s).</summary>
public class SunBenchmarks
{
    private readonly DrivePointModel model;
    private readonly SunStudy study;

    public SunBenchmarks()
    {
        var plant = DemoPlant.Read(ReferenceCatalogue.Data);
        model = new Assessor(ReferenceCatalogue.Data).Study(plant, plant.AllDrivePoints().First(p => p.Sun is not null)).Model;
        study = SunStudy.Of(model, out _)!;
    }

    [Benchmark(Description = "pump on the sun: light, drive and a year of hours")]
    public double FromNothing() => SunStudy.Of(model, out _)!.Year().WaterM3;

    [Benchmark(Description = "pump on the sun: a year on the light that is known")]
    public double Year() => study.Year().WaterM3;

    [Benchmark(Description = "pump on the sun: 200 pairs of array and pump")]
    public int Sweep() => SunSweep.Of(study, 20, 10).Pairs.Count;
}
