using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Studies.Arrangements;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Studies;

namespace Cuadrilla.Web.Lineups;

/// <summary>Ways of building a lineup side by side.</summary>
/// <param name="BestId">Key of the recommended way; empty for the one in force.</param>
/// <param name="Why">Why, and what speaks against it.</param>
/// <param name="Ways">The way in force first.</param>
internal sealed record LineupComparisonDocument(string BestId, IReadOnlyList<string> Why, IReadOnlyList<LineupWayDocument> Ways);

/// <summary>A way of building a lineup.</summary>
internal sealed record LineupWayDocument(
    string VariantId,
    string Name,
    int Fails,
    int Tight,
    int NeedsData,
    IReadOnlyList<string> Worst,
    double SuppliesKw,
    double SimultaneousKw,
    double LineA,
    double? TddPct,
    int IncomingCables,
    double ExchangedKwhPerHour,
    double BurntKwh,
    int Resistors,
    double WidthMm,
    double EnergyKwh,
    double CostPerYear,
    double EquipmentCost,
    double LifetimeCost,
    int Incomplete,
    int StopsTogether,
    IReadOnlyList<string> Coordination,
    double SparePct);

/// <summary>The comparison's endpoint.</summary>
internal static class ComparisonEndpoint
{
    public static void MapComparison(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/lineups/{lineup}/comparison",
            (string id, string lineup, ProjectReader reader, Assessor assessor, StudyQueue queue, HttpContext context) =>
            queue.RunAsync(context, _ => reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : plant.Lineups.Any(l => l.Id == lineup)
                    ? Results.Ok(Of(LineupComparison.Of(plant, lineup, assessor)))
                    : Problems.NotFound("There is no such lineup.")))
        .WithName("getLineupComparison").WithTags("Lineups").Produces<LineupComparisonDocument>().AsStudy();

    private static LineupComparisonDocument Of(LineupComparison found) => new(
        found.BestId, found.Why,
        [
            .. found.Scores.Select(s => new LineupWayDocument(
                s.VariantId, s.Name, s.Fails, s.Tight, s.NeedsData, s.Worst, s.SuppliesKw, s.SimultaneousKw, s.LineA,
                double.IsFinite(s.TddPct) ? s.TddPct : null, s.IncomingCables,
                s.ExchangedKwhPerHour, s.BurntKwh, s.Resistors, s.WidthMm, s.Year.EnergyKwh, s.Year.CostPerYear, s.Year.EquipmentCost,
                s.Year.LifetimeCost, s.Incomplete, s.StopsTogether,
                s.Coordination, s.SparePct)),
        ]);
}
