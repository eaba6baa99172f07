using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Energy;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Lineups;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Assessment.Mitigation;

/// <summary>One way of mitigating, assessed in the whole plant.</summary>
/// <param name="Id">Stable key: a family of converters, <c>as-is</c>, or <c>detuned</c>.</param>
/// <param name="Name">What it is.</param>
/// <param name="Changed">Drive points that it changes.</param>
/// <param name="ThdiPct">Largest distortion of the changed drives' currents, %; NaN when none draws.</param>
/// <param name="TddPct">TDD at the coupling, worst scenario, %; NaN when not known.</param>
/// <param name="ThdvPct">Largest distortion of a low-voltage bus, %; the line's own included.</param>
/// <param name="OrderUsePct">Nearest order at the coupling, % of its limit.</param>
/// <param name="Fails">Harmonic checks that fail.</param>
/// <param name="Complies">True when none does.</param>
/// <param name="Year">Energy, cost and price of the drive points looked at.</param>
/// <param name="WidthMm">Width of their converters, mm.</param>
/// <param name="Spoils">What spoils it.</param>
/// <param name="Choices">Converter item of each changed drive point.</param>
public sealed record MitigationWay(
    string Id,
    string Name,
    int Changed,
    double ThdiPct,
    double TddPct,
    double ThdvPct,
    double OrderUsePct,
    int Fails,
    bool Complies,
    YearlyEnergy Year,
    double WidthMm,
    string Spoils,
    IReadOnlyDictionary<string, string> Choices);

/// <summary>A central active filter at the low-voltage side that would bring the coupling within its limits.</summary>
/// <param name="CurrentA">Harmonic current that it has to give at its bus's voltage, margin included, A; 0: none is needed.</param>
/// <param name="AtCouplingA">The same at the coupling, without margin, A.</param>
public sealed record CentralFilter(double CurrentA, double AtCouplingA);

/// <summary>
/// Compares front ends for one drive, a lineup or the plant: each candidate takes the place of the diode front ends looked at, at the same size,
/// and the plant is assessed anew. See <c>docs/methods/mitigation.md</c>.
/// </summary>
public static class MitigationWorkbench
{
    private const double FilterMargin = 1.2;

    // A family that begins much larger is no way for a small drive.
    private const double LargestStep = 2.5;

    private static readonly (string Family, string Spoils)[] Families =
    [
        ("six-pulse-plain", "everything: no inductance of its own"),
        ("six-pulse-choke", "unbalance brings the third order back"),
        ("six-pulse-reactor", "takes some volts from the link"),
        ("twelve-pulse", "unbalance and distortion of the line; unequal leakage"),
        ("eighteen-pulse", "unbalance and distortion of the line; unequal leakage"),
        ("active", "its filter's capacitor shifts resonances; light load on a generator; 2 to 9 kHz not computed"),
        ("direct", "its filter's capacitor shifts resonances; light load on a generator"),
    ];

    /// <summary>All ways, those that comply first, the cheapest over the lifetime first.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="pointIds">Drive points looked at; only those with a diode front end of their own, or a converter that replaced one, change.</param>
    /// <param name="assessor">Assessor.</param>
    public static (IReadOnlyList<MitigationWay> Ways, CentralFilter Filter) Of(PlantSpecification plant, IReadOnlyList<string> pointIds, Assessor assessor)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(pointIds);
        ArgumentNullException.ThrowIfNull(assessor);
        var data = assessor.Data.With(plant);
        List<DrivePoint> points = [.. plant.AllDrivePoints().Where(p => pointIds.Contains(p.Id) && Replaceable(p, plant, data))];
        var ways = new List<MitigationWay> { Assessed(plant, "as-is", "as it is", points, new Dictionary<string, string>(StringComparer.Ordinal), string.Empty, assessor) };
        foreach (var (family, spoils) in Families)
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

            if (choices.Count > 0)
            {
                ways.Add(Assessed(With(plant, choices, data), family, Text.Converter(data.Converters[choices.Values.First()]), points, choices, spoils, assessor));
            }
        }

        if (plant.Distribution.CapacitorBanks.Any(b => !b.DetuningPct.IsKnown))
        {
            var detuned = plant with
            {
                Distribution = plant.Distribution with { CapacitorBanks = [.. plant.Distribution.CapacitorBanks.Select(b => b.DetuningPct.IsKnown ? b : b with { DetuningPct = UsualDetuningPct })] },
            };
            ways.Add(Assessed(detuned, "detuned", "reactor of 7 % for the capacitor banks", points, new Dictionary<string, string>(StringComparer.Ordinal), "takes a little of the reactive power; the banks' price is not in the sum", assessor));
        }

        return ([.. ways.OrderByDescending(w => w.Complies).ThenBy(w => w.Complies ? w.Year.LifetimeCost : w.Fails).ThenBy(w => w.Year.LifetimeCost)], Central(plant, assessor.Run(plant), data));
    }

    // Below the 5th order whatever the network: √(1/0.07) = 3.8.
    private const double UsualDetuningPct = 7;

    private static bool Replaceable(DrivePoint point, PlantSpecification plant, EngineeringData data) =>
        point.Converter is ConverterChoice.FromCatalogue choice
        && plant.DcBusOf(point.Id) is null
        && data.Converters.TryGetValue(choice.ItemId, out var item)
        && Families.Any(f => f.Family == item.Family);

    private static ConverterItem? Same(ConverterItem now, string family, EngineeringData data) => data.Converters.Values
        .Where(c => c.Family == family && c.OwnName.Length == 0 && c.RatedKw >= now.RatedKw - 1e-9 && c.RatedKw <= LargestStep * now.RatedKw && Math.Abs((c.RatedVoltageV / now.RatedVoltageV) - 1) < 0.15)
        .MinBy(c => c.RatedKw);

    private static PlantSpecification With(PlantSpecification plant, Dictionary<string, string> choices, EngineeringData data) => plant with
    {
        Lineups =
        [
            .. plant.Lineups.Select(l => l with
            {
                DrivePoints =
                [
                    .. l.DrivePoints.Select(p => choices.TryGetValue(p.Id, out var item) ? p with { Converter = Changed((ConverterChoice.FromCatalogue)p.Converter, data.Converters[item]) } : p),
                ],
            }),
        ],
    };

    // What returns to the line needs no resistor.
    private static ConverterChoice.FromCatalogue Changed(ConverterChoice.FromCatalogue choice, ConverterItem item) => choice with
    {
        ItemId = item.Id,
        Braking = item.FrontEnd.ReturnsToLine ? new Converters.Stopping.Braking.ToLine() : choice.Braking is Converters.Stopping.Braking.ToLine ? new Converters.Stopping.Braking.Nothing() : choice.Braking,
    };

    private static MitigationWay Assessed(
        PlantSpecification plant, string id, string name, List<DrivePoint> points, Dictionary<string, string> choices, string spoils, Assessor assessor)
    {
        var assessment = assessor.Run(plant);
        var looked = points.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
        var harmonic = assessment.Checks.Where(c => c.Id.StartsWith("harmonics.", StringComparison.Ordinal) && (c.DrivePointId.Length == 0 || looked.Contains(c.DrivePointId))).ToList();
        var draws = assessment.Scenarios.SelectMany(s => s.Drives).Where(d => looked.Contains(d.DrivePointId)).Select(d => d.Front).OfType<RectifierResult.LineDraw>().ToList();
        var studies = plant.AllDrivePoints().Where(p => looked.Contains(p.Id)).Select(p => assessor.Study(plant, p)).ToList();
        var year = studies.Select(s => s.Alternatives.FirstOrDefault(a => a.IsChosen)?.Year).OfType<YearlyEnergy>().Aggregate(new YearlyEnergy(0, 0, 0, 0, 0, 0), (a, b) => new YearlyEnergy(
            a.EnergyKwh + b.EnergyKwh, a.DemandKw + b.DemandKw, a.CostPerYear + b.CostPerYear, a.EquipmentCost + b.EquipmentCost, a.LifetimeCost + b.LifetimeCost, a.Co2Kg + b.Co2Kg, a.ReactiveKvarh + b.ReactiveKvarh));
        var fails = harmonic.Count(c => c.Verdict is Verdict.Fails or Verdict.NeedsData);
        double Figure(string check) => harmonic.Where(c => c.Id == check && c.Figure.IsKnown).Select(c => c.Figure.Value).DefaultIfEmpty(double.NaN).Max();
        double Use(string check) => harmonic.Where(c => c.Id == check && c is { Figure.IsKnown: true, Limit.IsKnown: true }).Select(c => 100 * c.Figure.Value / c.Limit.Value).DefaultIfEmpty(double.NaN).Max();
        return new MitigationWay(
            id, name, choices.Count, draws.Select(d => d.WorstPhase.ThdiPct).DefaultIfEmpty(double.NaN).Max(), Figure("harmonics.pcc-tdd"),
            assessment.Scenarios.SelectMany(s => s.Buses).Where(b => plant.Distribution.Bus(b.BusId).NominalVoltageV <= 1000).Select(b => b.TotalThdvPct).DefaultIfEmpty(double.NaN).Max(),
            Use("harmonics.pcc-orders"), fails, fails == 0, year, studies.Sum(s => s.Model.Converter?.Item.Size.WidthMm ?? 0), spoils, choices);
    }

    // Each order beyond its limit is brought to it, and the rest evenly as far as the total asks.
    private static CentralFilter Central(PlantSpecification plant, PlantAssessment assessment, EngineeringData data)
    {
        if (assessment.Demand is not { } demand || assessment.CurrentLimits is not { } row || !double.IsFinite(demand.FaultA))
        {
            return new CentralFilter(0, 0);
        }

        double most = 0;
        foreach (var scenario in assessment.Scenarios)
        {
            double removed = 0, left = 0;
            foreach (var h in Enumerable.Range(2, 49))
            {
                var current = scenario.PccPhases.Max(p => p.CurrentA[h - 1].Magnitude);
                var allowed = data.PccLimits.OrderLimitPct(row, h) / 100 * demand.CurrentA;
                removed += Math.Pow(Math.Max(0, current - allowed), 2);
                left += Math.Pow(Math.Min(current, allowed), 2);
            }

            var over = Math.Max(0, Math.Sqrt(left) - (row.TddPct / 100 * demand.CurrentA));
            most = Math.Max(most, Math.Sqrt(removed + (over * over)));
        }

        var pcc = plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV;
        var low = plant.Distribution.Buses.Where(b => b.NominalVoltageV <= 1000).Select(b => b.NominalVoltageV).DefaultIfEmpty(pcc).Max();
        return new CentralFilter(FilterMargin * most * pcc / low, most);
    }
}
