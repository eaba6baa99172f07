using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Brakes;
using Cuadrilla.Core.Studies.Commissioning.Parameters;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Stopping;

namespace Cuadrilla.Core.Assessment;

/// <summary>What goes to site.</summary>
public sealed partial class Assessor
{
    // What is measured on site and compared.

    private static readonly ConditionalWeakTable<DrivePointModel, StrongBox<double?>> StopTimes = [];

    /// <summary>Parameter sheet of a drive point of a plant.</summary>
    public ParameterSheet Parameters(PlantSpecification plant, DrivePoint point) => ParameterSheet.Of(ParametersOf(plant, point));

    /// <summary>What the steps on site of a drive point are made from; of the same plant made once.</summary>
    public StepSource SiteOf(PlantSpecification plant, DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        return sites.GetValue(plant, _ => new ConcurrentDictionary<string, StepSource>(StringComparer.Ordinal))
            .GetOrAdd(point.Id, _ => SourceOf(plant, point));
    }

    private StepSource SourceOf(PlantSpecification plant, DrivePoint point)
    {
        var parameters = ParametersOf(plant, point);
        var whole = Run(plant);
        var bus = plant.BusOfDrivePoints()[point.Id];
        var line = (whole.Scenarios.SelectMany(s => s.Drives).FirstOrDefault(d => d.DrivePointId == point.Id)?.Front
            as RectifierResult.LineDraw)?.LoadedPhase;
        return new StepSource
        {
            Parameters = parameters,
            Sheet = ParameterSheet.Of(parameters),
            Rules = data.Commissioning,
            Bus = bus,
            Voltage = whole.Voltages.GetValueOrDefault(bus.Id),
            Start = point.Converter.IsOnLine()
                ? Starts(plant, point).Cases.FirstOrDefault(c => c is { IsChosen: true, Run: not null })
                : null,
            Loop = CableChecks.LoopAtEnd(FeederOf(plant, point, SupplyOf(plant, whole))),
            StopS = StopTimeS(parameters.Model),
            Brake = BrakeModel.Of(parameters.Model),
            SupplyHz = plant.Source.FrequencyHz,
            LineOrdersA = line?.Orders,
            ThdiPct = line?.ThdiPct,
            DemandLimitPct = KeepsTheRecord(plant, whole, point) ? whole.CurrentLimits?.TddPct : null,
        };
    }

    // The record of the coupling is the plant's, not a drive's: it is kept with the one that draws most, where that code is in force.
    private static bool KeepsTheRecord(PlantSpecification plant, PlantAssessment whole, DrivePoint point) =>
        whole.Checks.Any(c => c is { Id: "harmonics.pcc-tdd" })
        && whole.Scenarios.SelectMany(s => s.Drives).Where(d => d.Front is RectifierResult.LineDraw)
            .MaxBy(d => ((RectifierResult.LineDraw)d.Front).LoadedPhase.Orders[0].Magnitude)?.DrivePointId == point.Id
        && plant.Pcc.BusId.Length > 0;

    private ParameterSource ParametersOf(PlantSpecification plant, DrivePoint point)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        var lineup = plant.LineupOf(point.Id);
        var arrangements = lineup.Arrangements.Where(a => a.PointIds().Contains(point.Id)).ToList();
        var ratio = arrangements.OfType<RatioFollower>().FirstOrDefault(r => r.Follower.PointId == point.Id);
        return new ParameterSource
        {
            Model = Study(plant, point).Model,
            Lineup = lineup,
            Earthing = plant.BusOfDrivePoints()[point.Id].Earthing,
            Usual = data.Commissioning.Parameters,
            Signals = Signals(plant).Of(point.Id),
            Shaft = arrangements.OfType<SharedShaft>().FirstOrDefault(),
            Follower = ratio is null ? null : Follower(plant, ratio.Id),
        };
    }

    // A drive point's model outlives edits of others, and so does its stop.
    private static double? StopTimeS(DrivePointModel model) =>
        StopTimes.GetValue(model, m => new StrongBox<double?>(SimulatedStopS(m))).Value;

    private static double? SimulatedStopS(DrivePointModel model) =>
        model is DriveOnConverter { Load: { Cycle: null, Hanging: null } } drive && !StopStudy.Missing(model).Any()
            ? StopStudy.Chosen(drive).Run?.TimeS
            : null;
}
