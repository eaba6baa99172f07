using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Assessment;

/// <summary>Cabinets of lineups: what stands in them, and what their air does to the converters.</summary>
public sealed partial class Assessor
{
    // Finer, and every edit of one drive point would change the rating of all in its section.
    private const double StepK = 0.1;

    /// <summary>Cabinets of a lineup; null without.</summary>
    public CabinetStudy? Cabinets(PlantSpecification plant, Lineup lineup)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(lineup);
        return CabinetsOf(plant).GetValueOrDefault(lineup.Id).Study;
    }

    // Losses do not hang on the air: they are taken with the plant's, then the air of each section follows from them.
    private IReadOnlyDictionary<string, (CabinetStudy? Study, Fault? Fault)> CabinetsOf(PlantSpecification plant) =>
        cabinets.GetValue(plant, _ => new Once<IReadOnlyDictionary<string, (CabinetStudy? Study, Fault? Fault)>>()).Get(() =>
        {
            var defaults = DefaultsInForce.Resolve(data.Defaults, plant.Overrides).At(plant.Source.FrequencyHz);
            var laid = LaidWith(plant).Plant;
            return laid.Lineups.Where(l => l.Cabinets is not null).ToDictionary(l => l.Id, Contained, StringComparer.Ordinal);

            // One that can't be computed costs its own checks and no others.
            (CabinetStudy? Study, Fault? Fault) Contained(Lineup lineup)
            {
                try
                {
                    var volts = laid.Distribution.Bus(lineup.BusId).NominalVoltageV;
                    List<DrivePointModel> models = [.. lineup.DrivePoints
                        .Select(p => drivePoints.Get(InputOf(laid, p, volts, defaults, plant.Site)).Model)];
                    return (CabinetStudy.Of(laid, lineup, models, data.With(plant)), null);
                }
                catch (Exception problem) when (Fault.IsContained(problem))
                {
                    return (null, Fault.Of($"Cabinets of {lineup.Tag}", problem));
                }
            }
        });

    private IEnumerable<Check> CabinetChecksOf(SupplyContext supply) =>
        CabinetsOf(supply.Plant).SelectMany(c => c.Value switch
        {
            { Study: { } study } => Judging.All(CabinetChecks.HeatId, string.Empty, BoardRow.Plant, $"Cabinets of {study.Lineup.Tag}",
                () => CabinetChecks.Of(study, supply.Defaults.TightMarginPct).Concat(AssemblyChecks.Of(study, supply))),
            { Fault: { } fault } => [Check.NotJudged(CabinetChecks.HeatId, string.Empty, BoardRow.Plant, fault.Where, fault).At(c.Key)],
            _ => [],
        });

    /// <summary>Control supply of a lineup; null without.</summary>
    public ControlSupplyStudy? ControlSupply(PlantSpecification plant, Lineup lineup) =>
        ControlSupplyStudy.Of(plant, lineup, Cabinets(plant, lineup), data.With(plant));

    private IEnumerable<Check> ControlChecksOf(SupplyContext supply) => supply.Plant.Lineups.Where(l => l.Control is not null)
        .SelectMany(l => Judging.All(ControlSupplyChecks.Id, string.Empty, BoardRow.Plant, $"Control supply of {l.Tag}",
            () => ControlSupply(supply.Plant, l) is { } study ? ControlSupplyChecks.Of(study, supply.Defaults.TightMarginPct) : []));

    // The air at a drive point's unit, in place of the plant's.
    private Site SiteOf(PlantSpecification plant, Lineup lineup, DrivePoint point)
    {
        if (lineup.Cabinets is null || CabinetsOf(plant).GetValueOrDefault(lineup.Id).Study?.InletC(point.Id) is not { } inlet)
        {
            return plant.Site;
        }

        var rise = Math.Ceiling(((inlet - plant.Site.AmbientMaxC) / StepK) - 1e-9) * StepK;
        return plant.Site with { CabinetAirRiseK = Math.Round(rise, 1) };
    }
}
