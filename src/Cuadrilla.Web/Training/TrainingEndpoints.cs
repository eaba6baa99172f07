using System.Text.Json;
using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Steps;
using Cuadrilla.Core.Studies.Commissioning.Training;
using Cuadrilla.Data;
using Cuadrilla.Data.Accounts;
using Cuadrilla.Data.Commissioning;
using Cuadrilla.Documents.Projects;
using Cuadrilla.Documents.Training;
using Cuadrilla.Instruments.StandIns;
using Cuadrilla.Web.Accounts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Instruments;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Training;

/// <summary>The trainer: exercises, each in a plant of its own with something hidden in its stand-ins.</summary>
internal static class TrainingEndpoints
{
    // An exercise does not wait for a mill.
    private const double Times = 20;

    public static void MapTraining(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/training", (TrainingStore store) => Results.Ok(new TrainingDocument(
                [.. Exercises.All.Select(ExerciseDocument.Of)],
                [.. Enum.GetValues<HiddenFault>().Select(f => new FaultDocument(f, HiddenFaults.Word(f)))],
                [.. store.Decided().Select(DoneDocument.Of)])))
            .WithTags("Training").WithName("getTraining").Produces<TrainingDocument>();
        app.MapPost("/api/training/{exercise}", BeginAsync).WithTags("Training").WithName("beginExercise").For(AccountRole.Engineer)
            .Accepts<BeginExerciseRequest>("application/json").Produces<BegunDocument>();
        var group = app.MapGroup("/api/projects/{id}/training").WithTags("Training");
        group.MapGet("/", (string id, ProjectStore projects, TrainingStore store) =>
                projects.Find(id) is null ? ProjectEndpoints.Unknown() : Results.Ok(Session(store.Find(id), null)))
            .WithName("getExercise").Produces<TrainingSessionDocument>();
        group.MapPost("/decision", DecideAsync).WithName("decideExercise").For(AccountRole.Engineer)
            .Accepts<DecideRequest>("application/json").Produces<TrainingSessionDocument>();
    }

    /// <summary>What is hidden in a plant; nothing in one that no exercise happens in.</summary>
    public static StandInJob With(StandInJob job, StoredTraining? training) =>
        training is not null && Exercises.Named(training.Exercise) is { } exercise
            ? job with
            {
                Seed = exercise.Seed,
                Faults = new Dictionary<string, HiddenFault> { [exercise.PointId] = exercise.Fault },
                Points = [exercise.PointId],
            }
            : job;

    private static async Task<IResult> BeginAsync(string exercise, HttpRequest request, ProjectReader reader, ProjectStore projects,
        TrainingStore store, InstrumentRoom room, EngineeringData data)
    {
        var author = request.Author((await RequestBody.ReadAsync<BeginExerciseRequest>(request)).Who);
        if (Exercises.Named(exercise) is not { } wanted)
        {
            return Problems.NotFound("There is no such exercise.");
        }

        if (room.WhyNoMore(string.Empty) is { } full)
        {
            return Problems.Of("too-many", "Refused", StatusCodes.Status409Conflict, full, []);
        }

        var made = reader.Create(Exercises.PlantOf(wanted, data), author, "Exercise begun");
        store.Begin(made.Id, wanted.Id, author);
        var head = projects.Find(made.Id)!;
        using var project = JsonDocument.Parse(ProjectFile.Write(reader.Of(head), data));
        await room.StartStandInsAsync(
            With(new StandInJob(string.Empty, made.Id, 0, project.RootElement.Clone()) { Times = Times }, store.Find(made.Id)), head.Edit);
        return Results.Ok(new BegunDocument(made.Id, wanted.PointId));
    }

    private static async Task<IResult> DecideAsync(string id, HttpRequest request, ProjectStore projects, ProjectReader reader,
        TrainingStore store, SiteLogStore log, Assessor assessor)
    {
        var wanted = await RequestBody.ReadAsync<DecideRequest>(request);
        request.Author(wanted.Who);
        if (projects.Find(id) is not { } head || store.Find(id) is not { } training
            || Exercises.Named(training.Exercise) is not { } exercise)
        {
            return Problems.NotFound("No exercise happens in this plant.");
        }

        var plant = reader.Of(head);
        var score = Score(exercise, wanted.Fault, plant, id, log, assessor);
        if (!store.Decide(id, wanted.Fault.ToString(), score.Points))
        {
            throw new InputException(InputProblem.Of("/fault", "Decision", wanted.Fault.ToString(), "one: this exercise is decided"));
        }

        return Results.Ok(Session(store.Find(id), score));
    }

    private static ExerciseScore Score(Exercise exercise, HiddenFault decision, PlantSpecification plant, string id, SiteLogStore log,
        Assessor assessor)
    {
        // As the steps are today; what was entered is in the log.
        var phases = plant.AllDrivePoints().FirstOrDefault(p => p.Id == exercise.PointId) is { } point
            ? SiteSteps.Of(assessor.SiteOf(plant, point)).ToDictionary(s => s.Id, s => s.Phase, StringComparer.Ordinal)
            : [];
        return ExerciseScore.Of(exercise, [.. log.OfPoint(id, exercise.PointId).Where(e => phases.ContainsKey(e.StepId))
            .Select(e => new TrainedStep(e.StepId, phases[e.StepId], e.Verdict == nameof(Verdict.Fails)))], decision);
    }

    private static TrainingSessionDocument Session(StoredTraining? stored, ExerciseScore? score)
    {
        if (stored is null || Exercises.Named(stored.Exercise) is not { } exercise)
        {
            return new TrainingSessionDocument(null, null);
        }

        // What is hidden is told once it is decided, and not before.
        return new TrainingSessionDocument(ExerciseDocument.Of(exercise), stored.Decision is null ? null : new OutcomeDocument(
            Enum.Parse<HiddenFault>(stored.Decision), exercise.Fault, HiddenFaults.Word(exercise.Fault), (int)(stored.Points ?? 0),
            exercise.Told, exercise.Cost, exercise.Shortest, score?.HasEvidence, score?.WasDeadFirst, score?.Taken));
    }
}
