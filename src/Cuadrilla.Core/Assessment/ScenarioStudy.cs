using System.Numerics;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment;

/// <summary>Runs one scenario: operating points, front ends, sums at the bus and at the PCC.</summary>
internal static class ScenarioStudy
{
    /// <param name="plant">The plant.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="network">Source and transformer.</param>
    /// <param name="models">Drive points that are complete.</param>
    /// <param name="rectifier">Solver of a front end, usually one that remembers.</param>
    public static ScenarioResult Run(
        PlantSpecification plant,
        Scenario scenario,
        BusNetwork network,
        IReadOnlyList<DrivePointModel> models,
        Func<RectifierInput, RectifierResult> rectifier)
    {
        var running = new List<(DrivePointModel Model, OperatingPoint Point)>(models.Count);
        foreach (var model in models)
        {
            var level = scenario.LevelPuOf(model.Id);
            if (level > 0 && model.At(level) is { DrawsFromLine: true } point)
            {
                running.Add((model, point));
            }
        }

        var allDcW = running.Sum(r => r.Point.DcLoadW);
        var (linearA, emfV) = LinearLoad(plant.Bus, scenario.LinearLoadPu, network);
        var drives = new DriveInScenario[running.Count];

        // The front ends do not depend on each other once the attenuation factor is known.
        Parallel.For(0, running.Count, i =>
        {
            var (model, point) = running[i];
            var input = RectifierOfDrive.Input(model.Converter!.Item, plant.Source, network, emfV, model.Feeder!.Value, point.DcLoadW, allDcW);
            drives[i] = new DriveInScenario(model.Id, point, rectifier(input), input);
        });
        return Sum(plant, scenario, network, running, drives, linearA, allDcW);
    }

    private static ScenarioResult Sum(
        PlantSpecification plant,
        Scenario scenario,
        BusNetwork network,
        List<(DrivePointModel Model, OperatingPoint Point)> running,
        DriveInScenario[] drives,
        Complex linearA,
        double allDcW)
    {
        var unsettled = new List<string>();
        var fronts = new List<RectifierResult.SteadyState>(drives.Length);
        for (var i = 0; i < drives.Length; i++)
        {
            switch (drives[i].Front)
            {
                case RectifierResult.SteadyState steady:
                    fronts.Add(steady);
                    break;
                case RectifierResult.NoSteadyState none:
                    unsettled.Add($"{running[i].Model.Input.DrivePoint.Tag}: {none.Reason}{Cure(none)}");
                    break;
                default:
                    throw new InvalidOperationException("Unknown front-end result.");
            }
        }

        var atPrimary = plant.Pcc == PccLocation.TransformerPrimary;
        var ratio = atPrimary ? plant.Bus.NominalVoltageV / plant.Source.NominalVoltageV : 1;
        var pccOhm = atPrimary ? network.SourceOhm / (ratio * ratio) : network.BusOhm;
        var pccVoltage = atPrimary ? plant.Source.NominalVoltageV : plant.Bus.NominalVoltageV;

        // With unbalance the phases differ; the worst is judged. Balanced, one stands for all.
        var phases = fronts.Count == 0 || fronts.All(f => f.IsBalanced) ? 1 : 3;
        PccStudy.Result[] all =
        [
            .. Enumerable.Range(0, phases).Select(k => PccStudy.Run(new PccStudy.Input(
                [.. fronts.Select(f => f.Phases[k].Orders)], linearA * Complex.FromPolarCoordinates(1, -k * 2 * Math.PI / 3), ratio, pccOhm, pccVoltage))),
        ];
        var pcc = all.MaxBy(r => r.HarmonicA)!;

        // The transformer is heated by its most loaded phase, which need not be the most distorted one.
        var loaded = all.MaxBy(r => r.RmsA)!;
        var busFundamental = loaded.FundamentalA / ratio;
        var busRms = loaded.RmsA / ratio;
        var heats = plant.Transformer.EddyLossPu.IsKnown
            ? all.Where(r => r.RmsA > 0).Select(r => WindingHeat.Run(
                r.CurrentA.Select((a, index) => new WindingHeat.OrderCurrent(index + 1, a.Magnitude / ratio)), plant.Transformer.EddyLossPu.Value)).ToList()
            : [];
        var heat = heats.Count > 0 ? heats.MaxBy(h => h.HarmonicLossFactor) : (WindingHeat.Result?)null;
        return new ScenarioResult(scenario.Id, scenario.Name, pcc, all, busRms, busFundamental, allDcW, heat, drives, unsettled);
    }

    private static string Cure(RectifierResult.NoSteadyState none) => none.SettlingCapacitanceF is { } capacitance
        ? FormattableString.Invariant($" It settles from {capacitance * 1e6:0} µF upwards, or with more resistance or a smaller choke.")
        : string.Empty;

    // Thevenin at the bus: the linear load lowers the EMF that the rectifiers see.
    private static (Complex CurrentA, double EmfV) LinearLoad(Bus bus, double loadPu, BusNetwork network)
    {
        var powerW = bus.LinearLoadKw * 1e3 * loadPu;
        if (powerW <= 0)
        {
            return (Complex.Zero, bus.NominalVoltageV);
        }

        var angle = Math.Acos(bus.LinearLoadPowerFactor);
        var apparent = powerW / bus.LinearLoadPowerFactor;
        var impedance = Complex.FromPolarCoordinates(bus.NominalVoltageV * bus.NominalVoltageV / apparent, angle);
        var total = impedance + network.BusOhm;
        return (bus.NominalVoltageV / Math.Sqrt(3) / total, bus.NominalVoltageV * (impedance / total).Magnitude);
    }
}
