using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Documents.Demo;

namespace Cuadrilla.Bench;

/// <summary>Starts in time. Bound: 20 ms for one, on the plant's bus.</summary>
public class StartBenchmarks
{
    private CabledMotor mill = null!;
    private CabledMotor fan = null!;
    private StartPlace place = null!;

    [GlobalSetup]
    public void Setup()
    {
        var plant = DemoPlant.Read(ReferenceCatalogue.Data);
        var assessor = new Assessor(ReferenceCatalogue.Data);
        DrivePoint Point(string id) => plant.AllDrivePoints().Single(p => p.Id == id);
        mill = (CabledMotor)assessor.Study(plant, Point("dp-04")).Model;
        fan = (CabledMotor)assessor.Study(plant, Point("dp-01")).Model;
        place = assessor.Starts(plant, Point("dp-04")).Place!;
    }

    [Benchmark(Description = "fit of the equivalent circuit")]
    public double Fit() => CageCircuitFit.Run(fan.Connected.Plate).LargestDeviationPct;

    [Benchmark(Description = "ball mill by soft starter, until it sticks")]
    public StartCase Mill() => StartStudy.Of(mill, place, mill.Input.DrivePoint.Converter);

    [Benchmark(Description = "large fan by soft starter, 24 s")]
    public StartCase Fan() => StartStudy.Of(fan, place, StartStudy.SoftStarterFor(fan));

    [Benchmark(Description = "large fan, four ways")]
    public int All() => StartStudy.All(fan, place).Count;
}
