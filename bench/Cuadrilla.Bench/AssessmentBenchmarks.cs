using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Documents.Demo;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Bench;

/// <summary>Assessment of a made plant. Bounds at 200 drive points: 400 ms from nothing, 50 ms after an edit.</summary>
public class AssessmentBenchmarks
{
    private PlantSpecification plant = null!;
    private Assessor warm = null!;
    private int edit;

    [Params(50, 200, 800)]
    public int DrivePoints { get; set; }

    [GlobalSetup]
    public void Setup()
    {
        plant = MadePlant.Of(DemoPlant.Read(ReferenceCatalogue.Data), DrivePoints);
        warm = new Assessor(ReferenceCatalogue.Data);
        warm.Run(plant);
    }

    [Benchmark(Description = "from nothing")]
    public PlantAssessment FromNothing() => new Assessor(ReferenceCatalogue.Data).Run(plant);

    [Benchmark(Description = "after an edit of one drive point")]
    public PlantAssessment AfterAnEdit() => warm.Run(Edited(2900 - (0.01 * ++edit)));

    [Benchmark(Description = "after an edit of the bus: every front end again")]
    public PlantAssessment AfterAnEditOfTheBus() => warm.Run(plant with
    {
        Distribution = plant.Distribution with
        {
            Loads = [.. plant.Distribution.Loads.Select((l, i) => i == 0
                ? ((BusLoad.Linear)l) with { PowerKw = 840 + (0.01 * ++edit) }
                : l)],
        },
    });

    // A value never seen before, so that nothing of this drive point is remembered.
    private PlantSpecification Edited(double pressurePa)
    {
        var lineup = plant.Lineups[0];
        var point = lineup.DrivePoints[7];
        var load = (FanLoad)point.Load;
        var changed = point with { Load = load with { RatedPressurePa = pressurePa,
            Common = load.Common with { StartTimeS = 30 + (0.001 * edit) } } };
        return plant with
        {
            Lineups = [lineup with { DrivePoints = [.. lineup.DrivePoints.Select(p => p == point ? changed : p)] },
                .. plant.Lineups.Skip(1)],
        };
    }

    [Benchmark(Description = "all motor candidates of one drive point ranked")]
    public int Candidates() =>
        CandidateRanking.Motors(warm.Study(plant, plant.Lineups[0].DrivePoints[0]).Model.Input, ReferenceCatalogue.Data).Count;
}
