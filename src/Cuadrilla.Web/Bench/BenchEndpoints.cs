using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Candidates;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Documents.Assessments;
using Cuadrilla.Documents.Bench;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Bench;

/// <summary>Pictures, reasons and candidates, asked for one by one.</summary>
internal static class BenchEndpoints
{
    public static void MapBench(this IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}").WithTags("Bench");
        group.MapGet("/drive-points/{point}/bench", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) => Results.Ok(BenchDocument.Of(plant, found, assessor))))
            .WithName("getBench").Produces<BenchDocument>();
        group.MapGet("/drive-points/{point}/motor-candidates", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                    Results.Ok(CandidateRanking.Motors(assessor.Study(plant, found).Model.Input, assessor.Data.With(plant)))))
            .WithName("listMotorCandidates").Produces<IReadOnlyList<Candidate>>();
        group.MapGet("/drive-points/{point}/converter-candidates", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                    Results.Ok(CandidateRanking.Converters(assessor.Study(plant, found).Model.Input, assessor.Data.With(plant)))))
            .WithName("listConverterCandidates").Produces<IReadOnlyList<Candidate>>();
        group.MapGet("/drive-points/{point}/technologies", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                    Results.Ok(TechnologyComparison.Of(assessor.Study(plant, found).Model.Input, assessor.Data.With(plant)))))
            .WithName("compareTechnologies").Produces<IReadOnlyList<TechnologyRow>>();
        group.MapGet("/drive-points/{point}/time-current", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) => assessor.TimeCurrent(plant, found) is { } picture
                    ? Results.Ok(picture)
                    : Results.Ok(new TimeCurrentPicture([], [], [], false))))
            .WithName("getTimeCurrent").Produces<TimeCurrentPicture>();
        group.MapGet("/drive-points/{point}/starting", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                {
                    var (place, cases, missing) = assessor.Starts(plant, found);
                    return Results.Ok(StartingDocument.Of(place, cases, missing,
                        assessor.Study(plant, found).Model.Fitted?.Connected.Plate.RatedCurrentA ?? 0));
                }))
            .WithName("getStarting").Produces<StartingDocument>();
        group.MapGet("/drive-points/{point}/stopping", (string id, string point, ProjectReader reader, Assessor assessor) =>
                OnPoint(id, point, reader, (plant, found) =>
                {
                    var model = assessor.Study(plant, found).Model;
                    var (place, _, missing) = assessor.Starts(plant, found);
                    return Results.Ok(StoppingDocument.Of(model,
                        place is not null && missing.Count == 0 && model is CabledMotor motor ? StartStudy.Stop(motor, place) : null));
                }))
            .WithName("getStopping").Produces<StoppingDocument>();
        group.MapGet("/checks/{checkId}",
            (string id, string checkId, string? drivePointId, string? elementId, ProjectReader reader, Assessor assessor) =>
                reader.Specification(id) is not { } plant
                    ? ProjectEndpoints.Unknown()
                    : assessor.Run(plant).Checks.FirstOrDefault(c => c.Id == checkId && c.DrivePointId == (drivePointId ?? string.Empty)
                        && c.ElementId == (elementId ?? string.Empty)) is { } check
                        ? Results.Ok(CheckDocument.Of(check, withReason: true))
                        : Problems.NotFound("There is no such check."))
            .WithName("getCheck").Produces<CheckDocument>();
    }

    private static IResult OnPoint(string id, string point, ProjectReader reader, Func<PlantSpecification, DrivePoint, IResult> answer)
    {
        var plant = reader.Specification(id);
        return plant is null
            ? ProjectEndpoints.Unknown()
            : plant.AllDrivePoints().FirstOrDefault(p => p.Id == point) is { } found ? answer(plant, found)
                : Problems.NotFound("There is no such drive point.");
    }
}
