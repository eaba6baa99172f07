using Cuadrilla.Core.Studies.Commissioning.StandIns;
using Cuadrilla.Core.Studies.Commissioning.Training;
using Cuadrilla.Data.Commissioning;

namespace Cuadrilla.Web.Training;

/// <summary>Exercises, what may be decided, and who did how.</summary>
internal sealed record TrainingDocument(IReadOnlyList<ExerciseDocument> Exercises, IReadOnlyList<FaultDocument> Faults,
    IReadOnlyList<DoneDocument> Done);

/// <summary>An exercise as a trainee sees it.</summary>
internal sealed record ExerciseDocument(string Id, string Title, string Trains, string PointId, string Brief)
{
    public static ExerciseDocument Of(Exercise exercise) => new(exercise.Id, exercise.Title, exercise.Trains, exercise.PointId,
        exercise.Brief);
}

/// <summary>Something that may be wrong.</summary>
internal sealed record FaultDocument(HiddenFault Fault, string Word);

/// <summary>An exercise that was decided.</summary>
internal sealed record DoneDocument(string Exercise, string Who, string DecidedUtc, long Points)
{
    public static DoneDocument Of(StoredTraining t) => new(t.Exercise, t.Who, t.DecidedUtc ?? string.Empty, t.Points ?? 0);
}

/// <summary>Begins an exercise.</summary>
internal sealed record BeginExerciseRequest(string Who);

/// <summary>An exercise that was begun.</summary>
internal sealed record BegunDocument(string ProjectId, string PointId);

/// <summary>A decision.</summary>
internal sealed record DecideRequest(string Who, HiddenFault Fault);

/// <summary>The exercise of a plant; null where none happens in it.</summary>
internal sealed record TrainingSessionDocument(ExerciseDocument? Exercise, OutcomeDocument? Outcome);

/// <summary>What came of a decision.</summary>
/// <param name="Decision">What was decided.</param>
/// <param name="Fault">What it was.</param>
/// <param name="Word">The same in words.</param>
/// <param name="Points">0 to 100.</param>
/// <param name="Told">What the evidence was.</param>
/// <param name="Cost">What it would have cost.</param>
/// <param name="Shortest">Steps of the shortest way.</param>
/// <param name="HadEvidence">It had been measured; null when asked later.</param>
/// <param name="WasDeadFirst">Insulation had been measured before anything turned; null likewise.</param>
/// <param name="Taken">Entries made; null likewise.</param>
internal sealed record OutcomeDocument(HiddenFault Decision, HiddenFault Fault, string Word, int Points, string Told, string Cost,
    IReadOnlyList<string> Shortest, bool? HadEvidence, bool? WasDeadFirst, int? Taken);
