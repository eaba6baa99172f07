using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Documents.Assessments;

/// <summary>The supply as seen from each bus and from the PCC.</summary>
public sealed record SupplyDocument(
    IReadOnlyList<BusDocument> Buses,
    IReadOnlyList<TransformerDocument> Transformers,
    bool AssumedInfinite,
    double? DemandA,
    string DemandOrigin,
    double? ShortCircuitRatio)
{
    /// <summary>Builds it; null while the source is not stated.</summary>
    public static SupplyDocument? Of(PlantSpecification plant, PlantAssessment assessment)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessment);
        return assessment.Scenarios.Count == 0
            ? null
            : new SupplyDocument(
                [.. plant.Distribution.Buses.Select(b => BusDocument.Of(b.Id, assessment)).OfType<BusDocument>()],
                [.. plant.Distribution.Transformers.Select(t => TransformerDocument.Of(t.Id, assessment)).OfType<TransformerDocument>()],
                assessment.Scenarios[0].Network.AssumedInfinite,
                assessment.Demand?.CurrentA,
                assessment.Demand?.Origin ?? string.Empty,
                assessment.Demand is { } demand && double.IsFinite(demand.Ratio) ? demand.Ratio : null);
    }
}

/// <summary>A bus over all scenarios; fault currents absent where the source is infinite.</summary>
/// <param name="BusId">Which one.</param>
/// <param name="LargestFaultKa">Largest fault current, kA.</param>
/// <param name="LargestFaultScenario">Where it is.</param>
/// <param name="LeastFaultKa">Least fault current, kA.</param>
/// <param name="LeastFaultScenario">Where it is.</param>
/// <param name="ResistanceMohm">Impedance behind the bus where the fault current is least, mΩ.</param>
/// <param name="ReactanceMohm">Likewise.</param>
/// <param name="LowestVoltagePct">Lowest steady voltage, source low, taps as set, % of nominal.</param>
/// <param name="LowestVoltageScenario">Where it is.</param>
/// <param name="HighestVoltagePct">Highest one, source high and least load, % of nominal.</param>
/// <param name="ThdvPct">Largest distortion from the plant's own currents, %.</param>
/// <param name="BreakingKa">Largest fault current for breaking and withstand, motors with it, kA.</param>
/// <param name="PeakKa">Its peak, kA.</param>
/// <param name="TwoPhaseKa">Least fault current of two phases, for disconnection, kA.</param>
/// <param name="EarthKa">Least fault current to earth, kA; absent where the zero sequence is not known.</param>
public sealed record BusDocument(
    string BusId,
    double? LargestFaultKa,
    string LargestFaultScenario,
    double? LeastFaultKa,
    string LeastFaultScenario,
    double ResistanceMohm,
    double ReactanceMohm,
    double LowestVoltagePct,
    string LowestVoltageScenario,
    double HighestVoltagePct,
    double ThdvPct,
    double? BreakingKa,
    double? PeakKa,
    double? TwoPhaseKa,
    double? EarthKa)
{
    internal static BusDocument? Of(string busId, PlantAssessment assessment)
    {
        var cases = assessment.Scenarios.SelectMany(s => s.Buses.Where(b => b.BusId == busId).Select(b => (Scenario: s, Bus: b))).ToList();
        if (cases.Count == 0)
        {
            return null;
        }

        var largest = cases.MaxBy(c => c.Bus.LargestFaultA);
        var least = cases.MinBy(c => c.Bus.LeastFaultA);
        var low = cases.MinBy(c => c.Bus.VoltagePu);
        var impedance = least.Scenario.Network.ImpedanceOhm(busId);
        var fault = assessment.ShortCircuits.GetValueOrDefault(busId);
        var range = assessment.Voltages.GetValueOrDefault(busId);
        return new BusDocument(
            busId,
            Kilo(largest.Bus.LargestFaultA),
            largest.Scenario.ScenarioName,
            Kilo(least.Bus.LeastFaultA),
            least.Scenario.ScenarioName,
            1e3 * impedance.Real,
            1e3 * impedance.Imaginary,
            range?.LowestPct ?? 100 * low.Bus.VoltagePu,
            range?.LowestScenario ?? low.Scenario.ScenarioName,
            range?.HighestPct ?? 100 * low.Bus.VoltagePu,
            cases.Max(c => c.Bus.ThdvPct),
            Kilo(fault?.LargestA),
            Kilo(fault?.PeakA),
            Kilo(fault?.PhaseToPhaseA),
            Kilo(fault?.ToEarthA));
    }

    private static double? Kilo(double? currentA) => currentA is { } ampere && double.IsFinite(ampere) ? ampere / 1e3 : null;
}

/// <summary>A transformer in the scenario that loads it most.</summary>
/// <param name="TransformerId">Which one.</param>
/// <param name="LoadingPct">Loading with harmonics, % of what it may carry.</param>
/// <param name="Scenario">Where it is.</param>
/// <param name="HarmonicLossFactor">F_HL; absent without eddy-loss share or current.</param>
/// <param name="KFactor">K-factor.</param>
public sealed record TransformerDocument(string TransformerId, double LoadingPct, string Scenario, double? HarmonicLossFactor,
    double KFactor)
{
    internal static TransformerDocument? Of(string transformerId, PlantAssessment assessment)
    {
        var cases = assessment.Scenarios
            .SelectMany(s => s.Transformers.Where(t => t.TransformerId == transformerId).Select(t => (Scenario: s, State: t)))
            .ToList();
        if (cases.Count == 0)
        {
            return null;
        }

        var (scenario, state) = cases.MaxBy(c => c.State.LoadingPct);
        return new TransformerDocument(transformerId, state.LoadingPct, scenario.ScenarioName, state.Heat?.HarmonicLossFactor,
            state.KFactor);
    }
}

/// <summary>A scenario at the PCC.</summary>
public sealed record ScenarioDocument(
    string ScenarioId,
    string Name,
    double FundamentalA,
    double RmsA,
    double HarmonicA,
    double ThdiPct,
    double? TddPct,
    double? TddLimitPct,
    double ThdvPct,
    double ThdvLimitPct,
    double RectifierKw,
    IReadOnlyList<ScenarioTransformerDocument> Transformers,
    IReadOnlyList<ScenarioBusDocument> Buses,
    IReadOnlyList<OrderDocument> Orders,
    IReadOnlyList<string> Unsettled)
{
    /// <summary>Builds it.</summary>
    public static ScenarioDocument Of(ScenarioResult scenario, PlantSpecification plant, PlantAssessment assessment, HarmonicLimits limits)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessment);
        ArgumentNullException.ThrowIfNull(limits);
        var pcc = scenario.Pcc;
        var demand = assessment.Demand?.CurrentA;
        var row = assessment.CurrentLimits;
        var voltageRow = limits.VoltageRow(plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV);
        var orders = Enumerable.Range(2, 49)
            .Where(h => pcc.CurrentA[h - 1].Magnitude > 1e-6 * pcc.FundamentalA)
            .Select(h => new OrderDocument(
                h,
                pcc.CurrentA[h - 1].Magnitude,
                demand is { } d ? 100 * pcc.CurrentA[h - 1].Magnitude / d : null,
                row is null ? null : limits.OrderLimitPct(row, h),
                pcc.VoltagePct[h - 1],
                voltageRow.EachPct));
        return new ScenarioDocument(
            scenario.ScenarioId,
            scenario.ScenarioName,
            pcc.FundamentalA,
            pcc.RmsA,
            pcc.HarmonicA,
            pcc.ThdiPct,
            demand is { } current ? pcc.TddPct(current) : null,
            row?.TddPct,
            pcc.ThdvPct,
            voltageRow.ThdPct,
            scenario.RectifierDcW / 1e3,
            [.. scenario.Transformers.Select(t =>
                new ScenarioTransformerDocument(t.TransformerId, t.RmsA, t.LoadingPct, t.Heat?.HarmonicLossFactor))],
            [.. scenario.Buses.Select(b => new ScenarioBusDocument(b.BusId, 100 * b.VoltagePu, b.ThdvPct))],
            [.. orders],
            scenario.Unsettled);
    }
}

/// <summary>A transformer in a scenario.</summary>
public sealed record ScenarioTransformerDocument(string TransformerId, double RmsA, double LoadingPct, double? HarmonicLossFactor);

/// <summary>A live bus in a scenario.</summary>
public sealed record ScenarioBusDocument(string BusId, double VoltagePct, double ThdvPct);

/// <summary>One order at the PCC; per cent of the demand current and of the nominal voltage.</summary>
public sealed record OrderDocument(int Order, double CurrentA, double? CurrentPct, double? CurrentLimitPct, double VoltagePct,
    double VoltageLimitPct);
