using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Bench;

/// <summary>The alternatives of one drive point with a year in bins of 2 % of the flow. Bound: 200 ms for 20 candidates.</summary>
public class AlternativeBenchmarks
{
    private CompleteDrive model = null!;

    [GlobalSetup]
    public void Setup()
    {
        var plant = DemoPlant.Read(ReferenceCatalogue.Data);
        var point = plant.AllDrivePoints().Single(p => p.Id == "dp-01");
        var fan = (FanLoad)point.Load;

        // 8760 hours in 60 bins between 20 and 100 % of the flow.
        var duty = Enumerable.Range(0, 60).Select(i => new DutyPoint(0.2 + (0.8 * i / 59), 8760.0 / 60)).ToList();
        var binned = point with { Load = fan with { Common = fan.Common with { Duty = [.. duty] } } };
        model = (CompleteDrive)DrivePointModel.Build(new Assessor(ReferenceCatalogue.Data)
            .Study(plant, point).Model.Input with { DrivePoint = binned }, ReferenceCatalogue.Data);
    }

    [Benchmark(Description = "alternatives of one drive point, 8760 h in 60 bins")]
    public int Alternatives() => EnergyAlternatives.Of(model).Count;
}
