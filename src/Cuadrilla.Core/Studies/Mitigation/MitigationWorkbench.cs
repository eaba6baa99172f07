using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Mitigation;

/// <summary>
/// Compares front ends for one drive, a lineup or the plant: each candidate takes the place of the diode front ends looked at, at the
/// same size, and the plant is assessed anew. See <c>docs/methods/mitigation.md</c>.
/// </summary>
public static class MitigationWorkbench
{
    // A family that begins much larger is no way for a small drive.
    private const double LargestStep = 2.5;

    private static readonly (string Family, string Spoils)[] Families =
    [
        ("six-pulse-plain", "everything: no inductance of its own"),
        ("six-pulse-choke-3", "unbalance brings the third order back"),
        ("six-pulse-choke", "unbalance brings the third order back"),
        ("six-pulse-choke-5", "unbalance brings the third order back; takes some volts from the link"),
        ("six-pulse-reactor", "takes some volts from the link"),
        ("six-pulse-filter", "light load: its capacitor supplies reactive power, a generator may lose its voltage; drinks the fifth of "
            + "its neighbours"),
        ("twelve-pulse", "unbalance and distortion of the line; unequal leakage"),
        ("eighteen-pulse", "unbalance and distortion of the line; unequal leakage"),
        ("active", "its filter's capacitor shifts resonances; light load on a generator; 2 to 9 kHz not computed"),
        ("direct", "its filter's capacitor shifts resonances; light load on a generator"),
    ];

    /// <summary>All ways, those that comply first, the cheapest over the life cycle first.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="pointIds">Drive points looked at; only those with a diode front end of their own, or a converter that replaced one,
    /// change.</param>
    /// <param name="assessor">Assessor.</param>
    /// <param name="told">Told how many ways of how many are done; may be called from several threads.</param>
    public static (IReadOnlyList<MitigationWay> Ways, CentralFilter Filter) Of(
        PlantSpecification plant, IReadOnlyList<string> pointIds, IPlantStudies assessor, Action<int, int>? told = null)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(pointIds);
        ArgumentNullException.ThrowIfNull(assessor);

        // Ways are compared on the mains: on a generator nothing couples to the public system.
        plant = StandbyPlant.Has(plant) ? StandbyPlant.OnMains(plant) : plant;
        var data = assessor.Data.With(plant);
        List<DrivePoint> points = [.. plant.AllDrivePoints().Where(p => pointIds.Contains(p.Id) && Replaceable(p, plant, data))];
        var now = assessor.Run(plant);
        var filter = CentralFilterRating.Of(plant, now, data);
        List<Trial> trials =
        [
            new Trial("as-is", "as it is", MitigationChange.None, string.Empty),
            .. Families.Select(f => OfFamily(f.Family, f.Spoils, points, data)).OfType<Trial>(),
            .. VectorGroupMoves.Of(plant, pointIds, now).Select(m => new Trial(
                $"move:{m.Move.LineupId}{m.Move.DrivePointId}:{m.Move.BusId}{m.Move.ToLineupId}", m.Name,
                MitigationChange.None with { Move = m.Move },
                "only 5, 7, 17, 19 … cancel, and only while both sides run")),
        ];
        if (plant.Distribution.CapacitorBanks.Any(b => !b.DetuningPct.IsKnown))
        {
            trials.Add(new Trial(
                "detuned", "reactor of 7 % for the capacitor banks", MitigationChange.None with { Detunes = true },
                "takes a little of the reactive power; the banks' price is not in the sum"));
        }

        if (filter.CurrentA > 0 && CentralFilterTrial(plant, now, data, assessor) is { } central)
        {
            trials.Add(central);
        }

        var done = 0;
        told?.Invoke(0, trials.Count);
        var ways = Cores.Map(trials, t =>
        {
            var way = Assessed(t, t.Change.On(plant, data), points, assessor);
            told?.Invoke(Interlocked.Increment(ref done), trials.Count);
            return way;
        });
        return ([.. ways.OrderByDescending(w => w.Complies).ThenBy(w => w.Complies ? w.Year.LifetimeCost : w.Fails)
            .ThenBy(w => w.Year.LifetimeCost)], filter);
    }

    private static Trial? OfFamily(string family, string spoils, List<DrivePoint> points, EngineeringData data)
    {
        var choices = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var point in points)
        {
            var now = data.Converters[((ConverterChoice.FromCatalogue)point.Converter).ItemId];
            if (now.Family != family && Same(now, family, data) is { } item)
            {
                choices[point.Id] = item.Id;
            }
        }

        return choices.Count == 0
            ? null
            : new Trial(family, ItemText.Converter(data.Converters[choices.Values.First()]),
                MitigationChange.None with { Choices = choices }, spoils);
    }

    // On the low-voltage bus behind which most harmonic current is drawn, so large that it takes all of its part, in whole tens of amperes.
    private static Trial? CentralFilterTrial(PlantSpecification plant, PlantAssessment now, EngineeringData data, IPlantStudies assessor)
    {
        var worst = now.Scenarios.MaxBy(s => s.Pcc.HarmonicA)!;
        var bus = plant.Distribution.Buses.Where(b => b.NominalVoltageV <= 1000 && worst.Network.IsLive(b.Id))
            .MaxBy(b => worst.Drives.Where(d => d.BusId == b.Id).Select(d => d.Front).OfType<RectifierResult.LineDraw>()
                .Sum(d => d.WorstPhase.FundamentalA * d.WorstPhase.ThdiPct));
        if (bus is null)
        {
            return null;
        }

        MitigationChange With(double ampere) =>
            MitigationChange.None with { Filter = new ActiveFilter(FilterId, $"Active filter at {bus.Name}", bus.Id, ampere) };
        var asked = assessor.HarmonicsOf(With(LargestFilterA).On(plant, data) with { Name = $"{plant.Name} · active-filter" }, false).Scenarios
            .Max(s => s.FilterCurrents.TryGetValue(FilterId, out var c) ? c.AskedA : 0);
        if (asked <= 0)
        {
            return null;
        }

        var fitted = With(Math.Min(LargestFilterA, 10 * Math.Ceiling(FilterReserve * asked / 10)));
        return new Trial(
            "active-filter", "central active filter of "
                + FormattableString.Invariant($"{fitted.Filter!.RatedCurrentA:0} A at {bus.Name}"), fitted,
            "its own filter shifts resonances; does nothing for the cables between it and the drives; 2 to 9 kHz not computed");
    }

    private const double LargestFilterA = 10_000;

    // So much more than asked for, that the check of its current is not tight.
    private const double FilterReserve = 1.15;

    private const string FilterId = "active-filter";

    private sealed record Trial(string Id, string Name, MitigationChange Change, string Spoils);

    private static bool Replaceable(DrivePoint point, PlantSpecification plant, EngineeringData data) =>
        point.Converter is ConverterChoice.FromCatalogue choice
        && plant.DcBusOf(point.Id) is null
        && data.Converters.TryGetValue(choice.ItemId, out var item)
        && Families.Any(f => f.Family == item.Family);

    private static ConverterItem? Same(ConverterItem now, string family, EngineeringData data) => data.Converters.Values
        .Where(c => c.Family == family && c.OwnName.Length == 0 && c.RatedKw >= now.RatedKw - 1e-9 && c.RatedKw <= LargestStep * now.RatedKw
            && Math.Abs((c.RatedVoltageV / now.RatedVoltageV) - 1) < 0.1)
        .MinBy(c => c.RatedKw);

    private static MitigationWay Assessed(Trial trial, PlantSpecification changed, List<DrivePoint> points, IPlantStudies assessor)
    {
        // Under a name of its own, so that the plant on the board keeps what was found of it.
        var plant = trial.Id == "as-is" ? changed : changed with { Name = $"{changed.Name} · {trial.Id}" };
        var draft = trial.Id == "as-is" ? Harmonics(assessor.Run(plant)) : assessor.HarmonicsOf(plant, seeksSecond: false);
        var way = Judged(trial, plant, draft, points, assessor);

        // Only what is to hold is worth the search for a second state.
        return way.Complies && draft.Scenarios.Any(s => s.Iteration.IsSearchOwed)
            ? Judged(trial, plant, assessor.HarmonicsOf(plant, seeksSecond: true), points, assessor)
            : way;
    }

    private static HarmonicDraft Harmonics(PlantAssessment whole) =>
        new(whole.Scenarios, [.. whole.Checks.Where(c => c.Id.StartsWith("harmonics.", StringComparison.Ordinal))]);

    private static MitigationWay Judged(Trial trial, PlantSpecification plant, HarmonicDraft assessment, List<DrivePoint> points,
        IPlantStudies assessor)
    {
        var looked = points.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var harmonic = assessment.Checks.Where(c => c.DrivePointId.Length == 0 || looked.Contains(c.DrivePointId)).ToList();
        var shown = trial.Change.Choices.Count > 0 ? trial.Change.Choices.Keys.ToHashSet(StringComparer.Ordinal) : looked;
        var draws = assessment.Scenarios.SelectMany(s => s.Drives).Where(d => shown.Contains(d.DrivePointId)).Select(d => d.Front)
            .OfType<RectifierResult.LineDraw>().ToList();
        var studies = plant.AllDrivePoints().Where(p => looked.Contains(p.Id)).Select(p => assessor.Study(plant, p)).ToList();
        var years = studies.Select(s => s.Chosen?.Year).OfType<YearlyEnergy>().ToList();
        if (trial.Change.Filter is { } filter)
        {
            years.Add(YearOf(filter, plant, studies, assessor));
        }

        var year = years.Aggregate(new YearlyEnergy(0, 0, 0, 0, 0, 0), (a, b) => new YearlyEnergy(
            a.EnergyKwh + b.EnergyKwh, a.DemandKw + b.DemandKw, a.CostPerYear + b.CostPerYear, a.EquipmentCost + b.EquipmentCost,
            a.LifetimeCost + b.LifetimeCost, a.Co2Kg + b.Co2Kg, a.ReactiveKvarh + b.ReactiveKvarh));
        var fails = harmonic.Count(c => c.Verdict is Verdict.Fails or Verdict.NeedsData);
        double Figure(string check) => harmonic.Where(c => c.Id == check && c.Figure.IsKnown).Select(c => c.Figure.Value)
            .DefaultIfEmpty(double.NaN).Max();
        double Use(string check) => harmonic.Where(c => c.Id == check && c is { Figure.IsKnown: true, Limit.IsKnown: true })
            .Select(c => 100 * c.Figure.Value / c.Limit.Value).DefaultIfEmpty(double.NaN).Max();
        return new MitigationWay
        {
            Id = trial.Id,
            Name = trial.Name,
            Changed = trial.Change.Choices.Count,
            ThdiPct = draws.Select(d => d.WorstPhase.ThdiPct).DefaultIfEmpty(double.NaN).Max(),
            TddPct = Figure("harmonics.pcc-tdd"),
            ThdvPct = assessment.Scenarios.SelectMany(s => s.Buses).Where(b => plant.Distribution.Bus(b.BusId).NominalVoltageV <= 1000)
                .Select(b => b.TotalThdvPct).DefaultIfEmpty(double.NaN).Max(),
            OrderUsePct = Use("harmonics.pcc-orders"),
            Fails = fails,
            Complies = fails == 0,
            Year = year,
            WidthMm = studies.Sum(s => s.Model.Converter?.Item.Size.WidthMm ?? 0),
            Spoils = trial.Spoils,
            Change = trial.Change,
        };
    }

    // Loss in parts of its rating while the busiest of the drives runs; price by its current.
    private static YearlyEnergy YearOf(ActiveFilter filter, PlantSpecification plant, List<DrivePointStudy> studies, IPlantStudies assessor)
    {
        var defaults = DefaultsInForce.Resolve(assessor.Data.Defaults, plant.Overrides).Harmonics;
        var hours = studies.Select(s => s.Model.Load?.Duty.Sum(d => d.HoursPerYear) ?? 0).DefaultIfEmpty(0).Max();
        var va = Math.Sqrt(3) * plant.Distribution.Bus(filter.BusId).NominalVoltageV * filter.RatedCurrentA;
        return YearlyEnergy.Of([new EnergyPoint(1, hours, defaults.ActiveFilterLossPu * va)],
            defaults.ActiveFilterPointsPerA * filter.RatedCurrentA, plant.Tariff);
    }
}
