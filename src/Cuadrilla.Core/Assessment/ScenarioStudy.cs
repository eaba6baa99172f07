using Cuadrilla.Core.Assessment.Supply;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Plant.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment;

/// <summary>Runs one scenario: operating points, voltages, front ends, sums on the network.</summary>
internal static class ScenarioStudy
{
    private static readonly PccStudy.Result Nothing = PccStudy.Of(
        new System.Numerics.Complex[LineCurrent.HighestOrder], [100, .. new double[LineCurrent.HighestOrder - 1]]);

    /// <summary>Runs it; null while the supply is not stated.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="defaults">Defaults in force.</param>
    /// <param name="models">Drive points that are complete.</param>
    /// <param name="rectifier">Solver of a front end, usually one that remembers.</param>
    public static ScenarioResult? Run(
        PlantSpecification plant,
        Scenario scenario,
        DefaultsInForce defaults,
        IReadOnlyList<DrivePointModel> models,
        Func<RectifierInput, RectifierResult> rectifier)
    {
        if (SupplyNetwork.Of(plant, scenario, SourceView.Weakest, defaults.Cables) is not { } network)
        {
            return null;
        }

        var buses = plant.BusOfDrivePoints();
        var unfed = plant.AllDrivePoints().Where(p => scenario.StateOf(p.Id).Running && !network.IsLive(buses[p.Id].Id)).Select(p => p.Tag).ToList();
        var running = new List<RunningDrive>(models.Count);
        var onLine = new List<LineDrive>();
        foreach (var model in models)
        {
            var state = scenario.StateOf(model.Id);
            if (!state.Running || !network.IsLive(buses[model.Id].Id))
            {
                continue;
            }

            var point = model.At(state.LevelPu, state.LoadPu);
            if (model.Starter is not null)
            {
                onLine.Add(LineDrive.Of(model, point, buses[model.Id].Id));
            }
            else if (point.DrawsFromLine)
            {
                running.Add(new RunningDrive(model, point, buses[model.Id].Id));
            }
        }

        var shunts = StandingLoads.Fundamental(plant, scenario, network, onLine);
        var strongest = SupplyNetwork.Of(plant, scenario, SourceView.Strongest, defaults.Cables)!;
        var drives = DriveFronts.Solve(plant.Source, network, running, shunts, rectifier);
        var unsettled = drives is null
            ? ["the network can't carry the load: no voltage settles"]
            : Unsettled(plant, drives);
        var sums = new HarmonicSums(plant, scenario, network, shunts, drives ?? [], onLine, defaults.LockedRotorPowerFactor);
        var pcc = sums.AtCoupling(plant.Pcc.BusId);
        return new ScenarioResult(
            scenario.Id,
            scenario.Name,
            network,
            strongest,
            pcc.Length == 0 ? Nothing : pcc.MaxBy(r => r.HarmonicA)!,
            pcc.Length == 0 ? [Nothing] : pcc,
            [.. plant.Distribution.Transformers.Select(t => TransformersInScenario.Of(t, plant, network, sums)).OfType<TransformerInScenario>()],
            [
                .. plant.Distribution.Buses.Where(b => network.IsLive(b.Id)).Select(b => new BusInScenario(
                    b.Id, sums.VoltagePu(b.Id), sums.ThdvPct(b.Id), strongest.FaultA(b.Id), network.FaultA(b.Id))),
            ],
            running.Sum(r => r.Point.DcLoadW),
            drives ?? [],
            onLine,
            unsettled,
            unfed);
    }

    private static List<string> Unsettled(PlantSpecification plant, IReadOnlyList<DriveInScenario> drives)
    {
        var tags = plant.AllDrivePoints().ToDictionary(p => p.Id, p => p.Tag, StringComparer.Ordinal);
        return
        [
            .. drives.Where(d => d.Front is RectifierResult.NoSteadyState)
                .Select(d => (d.DrivePointId, None: (RectifierResult.NoSteadyState)d.Front))
                .Select(x => $"{tags[x.DrivePointId]}: {x.None.Reason}{Cure(x.None)}"),
        ];
    }

    private static string Cure(RectifierResult.NoSteadyState none) => none.SettlingCapacitanceF is { } capacitance
        ? FormattableString.Invariant($" It settles from {capacitance * 1e6:0} µF upwards, or with more resistance or a smaller choke.")
        : string.Empty;
}
