using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Energy;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;
using Cuadrilla.Web.Studies;

namespace Cuadrilla.Web.Energy;

/// <summary>Ways of driving a lineup or the plant.</summary>
/// <param name="ReferenceWay">The way that the others are compared with; empty without rows.</param>
/// <param name="DrivePoints">Drive points that are complete.</param>
/// <param name="Rows">The ways, lowest life-cycle cost first.</param>
/// <param name="Sensitivity">The cheapest at other hours and prices.</param>
internal sealed record PlantAlternativesDocument(
    string ReferenceWay, int DrivePoints, IReadOnlyList<PlantWayDocument> Rows, IReadOnlyList<PlantSensitivityDocument> Sensitivity);

/// <summary>A way.</summary>
internal sealed record PlantWayDocument(
    string Way,
    string Name,
    int Applied,
    double EnergyKwh,
    double DemandKw,
    double CostPerYear,
    double EquipmentCost,
    double LifetimeCost,
    double Co2Kg,
    double ReactiveKvarh,
    ReturnedEnergy Returned,
    Comparison? Against);

/// <summary>The cheapest way at other hours and another energy price.</summary>
internal sealed record PlantSensitivityDocument(double HoursPu, double PricePu, string BestWay, string BestName, double LifetimeCost);

/// <summary>Alternatives of a lineup and of the plant.</summary>
internal static class AlternativeEndpoints
{
    public static void MapAlternatives(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/alternatives",
            (string id, string? lineupId, ProjectReader reader, Assessor assessor, StudyQueue queue, HttpContext context) =>
            queue.RunAsync(context, _ => reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : lineupId is not null && plant.Lineups.All(l => l.Id != lineupId)
                    ? Problems.NotFound("There is no such lineup.")
                    : Results.Ok(Of(plant, lineupId, assessor))))
        .WithName("getAlternatives").WithTags("Energy").Produces<PlantAlternativesDocument>().AsStudy();

    private static PlantAlternativesDocument Of(PlantSpecification plant, string? lineupId, Assessor assessor)
    {
        var points = plant.Lineups.Where(l => lineupId is null || l.Id == lineupId).SelectMany(l => l.DrivePoints);
        var studies = points.Select(p => assessor.Study(plant, p)).ToList();
        var rows = PlantAlternatives.Of(studies, assessor.Data);
        if (rows.Count == 0)
        {
            return new PlantAlternativesDocument(string.Empty, 0, [], []);
        }

        // A choice of the cheapest for each one would win every corner and say nothing.
        var single = rows.Where(r => r.Way != PlantAlternatives.Best).ToList();
        var against = PlantAlternatives.Against(rows, plant.Tariff);
        return new PlantAlternativesDocument(
            rows[PlantAlternatives.Reference(rows)].Way,
            studies.Count(s => s.Alternatives.Any(a => a.IsChosen)),
            [
                .. rows.Select((r, i) => new PlantWayDocument(
                    r.Way, r.Name, r.Applied, r.Year.EnergyKwh, r.Year.DemandKw, r.Year.CostPerYear, r.Year.EquipmentCost,
                    r.Year.LifetimeCost, r.Year.Co2Kg, r.Year.ReactiveKvarh, r.Returned, against[i])),
            ],
            [
                .. SensitivityCorner.Grid([.. single.Select(r => r.Year)], plant.Tariff)
                    .Select(c => new PlantSensitivityDocument(c.HoursPu, c.PricePu, single[c.Best].Way, single[c.Best].Name,
                        c.LifetimeCost)),
            ]);
    }
}
