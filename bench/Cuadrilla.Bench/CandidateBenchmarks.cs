using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Bench;

/// <summary>Ranking motors for one load, and the cycle of a hoist. Bound: 1,000 motors in 100 ms.</summary>
public class CandidateBenchmarks
{
    private DrivePointInput input = null!;
    private EngineeringData thousand = null!;
    private LoadCycle cycle = null!;

    [GlobalSetup]
    public void Setup()
    {
        var plant = MadePlant.Of(DemoPlant.Read(ReferenceCatalogue.Data), 1);
        var data = ReferenceCatalogue.Data;
        input = new Assessor(data).Study(plant, plant.Lineups[0].DrivePoints[0]).Model.Input;
        var motors = new Dictionary<string, MotorItem>(StringComparer.Ordinal);
        foreach (var item in Enumerable.Repeat(data.Motors.Values, 4).SelectMany(m => m).Take(1000))
        {
            motors[$"{item.Id}/{motors.Count}"] = item with { Id = $"{item.Id}/{motors.Count}" };
        }

        thousand = data with { Motors = motors };
        var hoist = new HoistLoad(new DriveTrain(30, 0.95, 1, 2), [], 1000, 300, 0, 90, 1, 20, 60, 1, 0.4, 0.85);
        cycle = LoadModels.Build(hoist, new LoadDefaults { RegenerationFriction = 0.012, RollingFriction = 0.01 }, out _)!.Cycle!;
    }

    [Benchmark(Description = "1,000 motors ranked for one load")]
    public int Rank() => CandidateRanking.Motors(input, thousand).Count;

    [Benchmark(Description = "rms torque of a hoist's cycle")]
    public double Cycle() => cycle.RmsTorqueNm(0.3, n => 0.3 + (0.7 * Math.Pow(n / 1480, 0.7)));
}
