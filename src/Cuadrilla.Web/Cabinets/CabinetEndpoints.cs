using System.Text;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Documents.Drawings;
using Cuadrilla.Documents.Sheets;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Cabinets;

/// <summary>Cabinets of lineups: figures, and the elevation for a layout program.</summary>
internal static class CabinetEndpoints
{
    public static void MapCabinets(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/projects/{id}/lineups/{lineup}/cabinets", (string id, string lineup, ProjectReader reader, Assessor assessor) =>
                Found(id, lineup, reader, assessor, (study, plant) => Results.Ok(CabinetDocument.Of(study,
                    BusbarCurrents.Of(study, assessor.Run(plant).Scenarios)))))
            .WithTags("Cabinets").WithName("getCabinets").Produces<CabinetDocument>();
        app.MapGet("/api/projects/{id}/lineups/{lineup}/cabinets.dxf",
            (string id, string lineup, ProjectReader reader, Assessor assessor) =>
                Found(id, lineup, reader, assessor, (study, _) => Results.File(
                    Encoding.Latin1.GetBytes(DxfDrawing.Text(CabinetDrawing.All(study))), "image/vnd.dxf", $"{study.Lineup.Id}.dxf")))
            .WithTags("Cabinets").WithName("getCabinetsDxf").Produces<string>(StatusCodes.Status200OK, "image/vnd.dxf");
        app.MapGet("/api/projects/{id}/lineups/{lineup}/cabinets.pdf",
            (string id, string lineup, ProjectReader reader, Assessor assessor, TimeProvider clock) =>
                Found(id, lineup, reader, assessor, (study, plant) => Results.File(
                    CabinetSheetPdf.Write(study, plant, assessor, DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime)), "application/pdf",
                    $"{study.Lineup.Id}-cabinets.pdf")))
            .WithTags("Cabinets").WithName("getCabinetsPdf").Produces<Stream>(StatusCodes.Status200OK, "application/pdf");
        app.MapGet("/api/projects/{id}/lineups/{lineup}/control", (string id, string lineup, ProjectReader reader, Assessor assessor) =>
                reader.Specification(id) is not { } plant ? ProjectEndpoints.Unknown()
                : plant.Lineups.FirstOrDefault(l => l.Id == lineup) is { Control: not null } found
                    && assessor.ControlSupply(plant, found) is { } study ? Results.Ok(ControlDocument.Of(study))
                : Problems.NotFound("There is no such lineup with a control supply."))
            .WithTags("Cabinets").WithName("getControlSupply").Produces<ControlDocument>();
    }

    private static IResult Found(string id, string lineup, ProjectReader reader, Assessor assessor,
        Func<CabinetStudy, PlantSpecification, IResult> answer) =>
        reader.Specification(id) is not { } plant ? ProjectEndpoints.Unknown()
        : plant.Lineups.FirstOrDefault(l => l.Id == lineup) is { Cabinets: not null } found && assessor.Cabinets(plant, found) is { } study
            ? answer(study, plant)
            : Problems.NotFound("There is no such lineup with cabinets.");
}
