using BenchmarkDotNet.Attributes;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Signals;
using Cuadrilla.Documents.Demo;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.RandomPlants;

namespace Cuadrilla.Bench;

/// <summary>Cabinets of a lineup of 40 units: laid out, drawn, written; and the signals of 200 drive points on their channels.</summary>
[MemoryDiagnoser]
public class CabinetBenchmarks
{
    private static readonly Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;
    private PlantSpecification plant = null!;
    private PlantSpecification signals = null!;
    private Lineup lineup = null!;
    private List<DrivePointModel> models = null!;
    private CabinetStudy study = null!;

    /// <summary>Makes the plants, and studies their drives once.</summary>
    [GlobalSetup]
    public void Setup()
    {
        plant = MadePlant.Of(DemoPlant.Read(Data), 40);
        lineup = plant.Lineups[0] with
        {
            DrivePoints = [.. plant.AllDrivePoints()],
            Cabinets = CabinetBuild.Open with { FanM3PerH = 1500, RoomMm = 60_000 },
        };
        plant = plant with { Lineups = [lineup], Scenarios = [.. plant.Scenarios] };
        var assessor = new Assessor(Data);
        models = [.. lineup.DrivePoints.Select(p => assessor.Study(plant with { Lineups = [lineup with { Cabinets = null }] }, p).Model)];
        study = Layout()!;
        var many = MadePlant.Of(DemoPlant.Read(Data), 200);
        signals = many with
        {
            Lineups = [.. many.Lineups.Select(l => l with
            {
                DrivePoints = [.. l.DrivePoints.Select(p => p with { Signals = SignalPresets.Of(many, p, SignalJob.ByDrivePoint, Data) })],
            })],
            Controller = new PlantController("controller",
                [.. Enumerable.Range(0, 120).Select(i => new ControllerCard($"c{i}", $"card {i}", (CardKind)(i % 6), 32))]),
        };
    }

    /// <summary>Units in their sections, heat and air in every scenario.</summary>
    [Benchmark]
    public CabinetStudy? Layout() => CabinetStudy.Of(plant, lineup, models, Data);

    /// <summary>Elevation, side section and plan as SVG.</summary>
    [Benchmark]
    public string Drawn() => SvgDrawing.Text(CabinetDrawing.All(study), "cabinets");

    /// <summary>Signals of 200 drive points on terminals and channels.</summary>
    [Benchmark]
    public SignalStudy Signals() => SignalStudy.Of(signals, Data);
}
