using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Documents.Assessments;

/// <summary>An assessment as JSON: checks, figures by drive point, scenarios, supply.</summary>
public sealed record AssessmentDocument(
    string CatalogueVersion,
    VerdictCounts Counts,
    IReadOnlyList<CheckDocument> Checks,
    IReadOnlyList<DrivePointDocument> DrivePoints,
    SupplyDocument? Supply,
    IReadOnlyList<ScenarioDocument> Scenarios,
    IReadOnlyList<OwnMotorDocument> OwnMotors)
{
    /// <summary>Builds the document.</summary>
    /// <param name="plant">The specification.</param>
    /// <param name="assessment">Its assessment.</param>
    /// <param name="limits">Limits at the PCC.</param>
    /// <param name="withReasons">True to write each check's reason too.</param>
    public static AssessmentDocument Of(PlantSpecification plant, PlantAssessment assessment, HarmonicLimits limits, bool withReasons)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessment);
        ArgumentNullException.ThrowIfNull(limits);
        return new AssessmentDocument(
            assessment.CatalogueVersion,
            VerdictCounts.Of(assessment.Checks),
            [.. assessment.Tightest().Concat(assessment.Checks.Where(c => c.Verdict == Verdict.NotApplicable)).Select(c => CheckDocument.Of(c, withReasons))],
            [.. assessment.DrivePoints.Select(DrivePointDocument.Of)],
            SupplyDocument.Of(plant, assessment),
            [.. assessment.Scenarios.Select(s => ScenarioDocument.Of(s, plant, assessment, limits))],
            [.. plant.Motors.Select(m => new OwnMotorDocument(m.Item(Catalogue.ReferenceCatalogue.Data.Motors.Values), m.Assumed()))]);
    }
}

/// <summary>A motor of the project as it is computed with, and what was left open on its plate.</summary>
public sealed record OwnMotorDocument(MotorItem Item, IReadOnlyList<string> Assumed);

/// <summary>How many checks have each verdict.</summary>
public sealed record VerdictCounts(int Holds, int Tight, int Fails, int NeedsData)
{
    /// <summary>Counts.</summary>
    public static VerdictCounts Of(IReadOnlyList<Check> checks)
    {
        ArgumentNullException.ThrowIfNull(checks);
        int Count(Verdict verdict) => checks.Count(c => c.Verdict == verdict);
        return new VerdictCounts(Count(Verdict.Holds), Count(Verdict.Tight), Count(Verdict.Fails), Count(Verdict.NeedsData));
    }
}

/// <summary>A check; those nearest to failing come first in the list.</summary>
public sealed record CheckDocument(
    string Id,
    string DrivePointId,
    BoardRow Row,
    string Title,
    Verdict Verdict,
    double? Figure,
    double? Limit,
    string Unit,
    LimitSense Sense,
    double? MarginPct,
    string Scenario,
    string Relief,
    Reason? Reason)
{
    /// <summary>Builds it.</summary>
    public static CheckDocument Of(Check check, bool withReason)
    {
        ArgumentNullException.ThrowIfNull(check);
        return new CheckDocument(
            check.Id, check.DrivePointId, check.Row, check.Title, check.Verdict, Plain(check.Figure), Plain(check.Limit), check.Unit, check.Sense,
            Plain(check.MarginPct), check.Scenario, check.Relief, withReason ? check.Reason : null);
    }

    private static double? Plain(Given value) => value.IsKnown ? value.Value : null;
}

/// <summary>Figures of a drive point; null where entries are missing.</summary>
public sealed record DrivePointDocument(
    string DrivePointId,
    double? ShaftPowerKw,
    double? ShaftSpeedRpm,
    double? ShaftTorqueNm,
    double? MotorCurrentA,
    double? MotorEfficiencyPct,
    double? CableLossW,
    double? ConverterLossW,
    double? SiteCurrentA,
    double? LinePowerKw,
    double? LineCurrentA,
    double? ThdiPct,
    double? YearKwh,
    double? SavingPerYear)
{
    /// <summary>Builds it.</summary>
    public static DrivePointDocument Of(DrivePointSummary summary)
    {
        ArgumentNullException.ThrowIfNull(summary);
        return new DrivePointDocument(
            summary.DrivePointId,
            summary.ShaftPowerW / 1e3,
            summary.ShaftSpeedRpm,
            summary.Rated?.Shaft.TorqueNm,
            summary.Rated?.Motor.CurrentA,
            100 * summary.Rated?.Motor.Efficiency,
            summary.Rated?.CableLossW,
            summary.Rated?.ConverterLossW,
            summary.SiteCurrentA,
            summary.Rated?.LineW / 1e3,
            summary.LineRmsA,
            summary.ThdiPct,
            summary.YearKwh,
            summary.SavingPerYear);
    }
}

/// <summary>The supply as seen from the bus and from the PCC.</summary>
public sealed record SupplyDocument(
    double BusFaultKa, double BusResistanceMohm, double BusReactanceMohm, bool AssumedInfinite, double? DemandA, string DemandOrigin, double? ShortCircuitRatio)
{
    /// <summary>Builds it; null while the source is not stated.</summary>
    public static SupplyDocument? Of(PlantSpecification plant, PlantAssessment assessment)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(assessment);
        return assessment.Network is not { } network
            ? null
            : new SupplyDocument(
                network.BusFaultA / 1e3,
                1e3 * network.BusOhm.Real,
                1e3 * network.BusOhm.Imaginary,
                network.AssumedInfinite,
                assessment.Demand?.CurrentA,
                assessment.Demand?.Origin ?? string.Empty,
                assessment.Demand is { } demand && double.IsFinite(demand.Ratio) ? demand.Ratio : null);
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
    double? HarmonicLossFactor,
    double TransformerLoadingPct,
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
        var nominal = plant.Pcc == PccLocation.TransformerPrimary ? plant.Source.NominalVoltageV : plant.Bus.NominalVoltageV;
        var voltageRow = limits.VoltageRow(nominal);
        var ratedA = plant.Transformer.RatedKva * 1e3 / (Math.Sqrt(3) * plant.Bus.NominalVoltageV);
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
            scenario.Heat?.HarmonicLossFactor,
            100 * scenario.BusRmsA / (ratedA * (scenario.Heat?.MaxCurrentPu ?? 1)),
            [.. orders],
            scenario.Unsettled);
    }
}

/// <summary>One order at the PCC; per cent of the demand current and of the nominal voltage.</summary>
public sealed record OrderDocument(int Order, double CurrentA, double? CurrentPct, double? CurrentLimitPct, double VoltagePct, double VoltageLimitPct);
