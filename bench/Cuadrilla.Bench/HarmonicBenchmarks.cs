using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Mitigation;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Bench;

/// <summary>
/// Harmonics of plants on 20 buses in six scenarios, two vector groups, everything settled with the network. Bounds at 200 drive points:
/// 1.5 s from nothing, 100 ms after an edit of one drive.
/// </summary>
public class HarmonicBenchmarks
{
    private PlantSpecification plant = null!;
    private Assessor warm = null!;
    private int edit;

    [Params(50, 200, 800)]
    public int DrivePoints { get; set; }

    [GlobalSetup]
    public void Setup()
    {
        plant = MadePlant.OfManyBuses(DemoPlant.Read(ReferenceCatalogue.Data), DrivePoints, 20, 6);
        warm = new Assessor(ReferenceCatalogue.Data);
        warm.Run(plant);
    }

    /// <summary>Under a name of its own each time: assessors begin where any has ended with a plant of that name.</summary>
    [Benchmark(Description = "20 buses, 6 scenarios, from nothing")]
    public PlantAssessment FromNothing() =>
        Settled(new Assessor(ReferenceCatalogue.Data).Run(plant with { Name = FormattableString.Invariant($"{plant.Name} {++edit}") }));

    [Benchmark(Description = "after an edit of one drive")]
    public PlantAssessment AfterAnEdit()
    {
        // Never seen before; in turn a tenth less and a tenth more, so that the bus feels it.
        var lineup = plant.Lineups[0];
        var point = lineup.DrivePoints[1];
        var load = (FanLoad)point.Load;
        var part = (++edit % 2 == 0 ? 0.9 : 1) - (1e-5 * edit);
        var changed = point with { Load = load with { RatedPressurePa = load.RatedPressurePa.Value * part } };
        return Settled(warm.Run(plant with
        {
            Lineups = [lineup with { DrivePoints = [.. lineup.DrivePoints.Select(p => p == point ? changed : p)] },
                .. plant.Lineups.Skip(1)],
        }));
    }

    private static PlantAssessment Settled(PlantAssessment found) =>
        found.Scenarios.All(s => s.Iteration.IsSettled) ? found : throw new InvalidOperationException("A scenario did not settle.");
}

/// <summary>The mitigation workbench over the whole demo plant.</summary>
public class MitigationBenchmarks
{
    private readonly PlantSpecification demo = DemoPlant.Read(ReferenceCatalogue.Data);

    [Benchmark(Description = "mitigation workbench, demo plant, from nothing")]
    public int Workbench() => MitigationWorkbench.Of(demo, [.. demo.AllDrivePoints().Select(p => p.Id)],
        new Assessor(ReferenceCatalogue.Data)).Ways.Count;
}
