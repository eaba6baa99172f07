using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Limits;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Documents.Assessments;

/// <summary>An assessment as JSON: checks, figures by drive point, scenarios, supply.</summary>
public sealed record AssessmentDocument(
    string CatalogueVersion,
    VerdictCounts Counts,
    IReadOnlyList<CheckDocument> Checks,
    IReadOnlyList<DrivePointDocument> DrivePoints,
    SupplyDocument? Supply,
    IReadOnlyList<ScenarioDocument> Scenarios,
    IReadOnlyList<OwnMotorDocument> OwnMotors,
    IReadOnlyList<ConverterDocument> OwnConverters)
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
            [.. assessment.Tightest().Concat(assessment.Checks.Where(c => c.Verdict == Verdict.NotApplicable))
                .Select(c => CheckDocument.Of(c, withReasons))],
            [.. assessment.DrivePoints.Select(DrivePointDocument.Of)],
            SupplyDocument.Of(plant, assessment),
            [.. assessment.Scenarios.Select(s => ScenarioDocument.Of(s, plant, assessment, limits))],
            [.. plant.Motors.Select(m => new OwnMotorDocument(m.Item(Catalogue.ReferenceCatalogue.Data.Motors.Values), m.Assumed()))],
            [.. plant.Converters.Select(c => ConverterDocument.Of(c.Item(Catalogue.ReferenceCatalogue.Data.Converters.Values)))]);
    }

    /// <summary>What is said of a plant whose assessment failed as a whole: one check that is not judged.</summary>
    public static AssessmentDocument Failed(Fault fault, string catalogueVersion)
    {
        var check = Check.NotJudged("assessment", string.Empty, BoardRow.Plant, "Assessment of the plant", fault);
        return new AssessmentDocument(catalogueVersion, VerdictCounts.Of([check]), [CheckDocument.Of(check, withReason: true)], [], null,
            [], [], []);
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
    string ElementId,
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
            check.Id, check.DrivePointId, check.ElementId, check.Row, check.Title, check.Verdict, Plain(check.Figure), Plain(check.Limit),
            check.Unit, check.Sense,
            Plain(check.MarginPct), check.Scenario, check.Relief, withReason ? check.Reason : null);
    }

    // As they leave, so that equal documents are equal.
    private static double? Plain(Given value) => value.IsKnown ? Digits.Kept(value.Value) : null;
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
    double? SavingPerYear,
    string LinePhase,
    double? CableM,
    double? FeederM,
    int AssumedEntries)
{
    /// <summary>Builds it.</summary>
    public static DrivePointDocument Of(DrivePointSummary summary)
    {
        ArgumentNullException.ThrowIfNull(summary);
        return new DrivePointDocument(
            summary.DrivePointId,
            Digits.Kept(summary.ShaftPowerW / 1e3),
            Digits.Kept(summary.ShaftSpeedRpm),
            Digits.Kept(summary.Rated?.Shaft.TorqueNm),
            Digits.Kept(summary.Rated?.Motor.CurrentA),
            Digits.Kept(100 * summary.Rated?.Motor.Efficiency),
            Digits.Kept(summary.Rated?.CableLossW),
            Digits.Kept(summary.Rated?.ConverterLossW),
            Digits.Kept(summary.SiteCurrentA),
            Digits.Kept(summary.Rated?.LineW / 1e3),
            Digits.Kept(summary.LineRmsA),
            Digits.Kept(summary.ThdiPct),
            Digits.Kept(summary.YearKwh),
            Digits.Kept(summary.SavingPerYear),
            summary.LinePhase,
            Digits.Kept(summary.CableM),
            Digits.Kept(summary.FeederM),
            summary.AssumedEntries);
    }
}
