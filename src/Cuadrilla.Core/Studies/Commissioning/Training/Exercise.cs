using Cuadrilla.Core.Studies.Commissioning.StandIns;

namespace Cuadrilla.Core.Studies.Commissioning.Training;

/// <summary>An exercise: something is wrong at a simulated drive point, and what is found is told by its evidence.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Title">What it is called; says nothing of the fault.</param>
/// <param name="Trains">What it trains: brake, follower, long cable.</param>
/// <param name="Plant">Key of the example plant that it happens in.</param>
/// <param name="PointId">Drive point.</param>
/// <param name="Brief">What is known when one arrives.</param>
/// <param name="Seed">Seed of tolerances.</param>
/// <param name="Fault">What is hidden.</param>
/// <param name="Evidence">Steps that show it; any of them is enough. Where nothing is wrong: steps that must all hold.</param>
/// <param name="Shortest">Steps of the shortest way to it.</param>
/// <param name="Told">What the evidence was.</param>
/// <param name="Cost">What it would have cost.</param>
public sealed record Exercise(string Id, string Title, string Trains, string Plant, string PointId, string Brief, int Seed,
    HiddenFault Fault,
    IReadOnlyList<string> Evidence, IReadOnlyList<string> Shortest, string Told, string Cost)
{
    /// <summary>How the soft starter of the drive point is specified in this exercise; null: as in the example plant.</summary>
    public SoftStartSetting? SoftStart { get; init; }
}

/// <summary>Currents of a soft starter, % of the motor's rated.</summary>
/// <param name="InitialPct">At the beginning.</param>
/// <param name="LimitPct">Limit.</param>
public sealed record SoftStartSetting(double InitialPct, double LimitPct);

/// <summary>A step as a trainee measured it.</summary>
/// <param name="StepId">Step.</param>
/// <param name="Phase">Part of the work.</param>
/// <param name="Fails">It was not in order.</param>
public readonly record struct TrainedStep(string StepId, Steps.SitePhase Phase, bool Fails);

/// <summary>How a trainee did.</summary>
/// <param name="IsRight">The decision is right.</param>
/// <param name="HasEvidence">It was measured before it was decided.</param>
/// <param name="WasDeadFirst">Insulation was measured before anything turned.</param>
/// <param name="Taken">Entries made.</param>
/// <param name="Shortest">Entries of the shortest way.</param>
/// <param name="Points">0 to 100.</param>
public sealed record ExerciseScore(bool IsRight, bool HasEvidence, bool WasDeadFirst, int Taken, int Shortest, int Points)
{
    // A right decision without evidence is a guess; the way counts once there is evidence; safety in any case.
    private const int ForDecision = 40, ForEvidence = 30, ForWay = 20, ForSafety = 10;

    /// <summary>Scores a decision by what was measured before it.</summary>
    /// <param name="exercise">The exercise.</param>
    /// <param name="steps">What was measured, in order.</param>
    /// <param name="decision">What the trainee says is wrong.</param>
    public static ExerciseScore Of(Exercise exercise, IReadOnlyList<TrainedStep> steps, HiddenFault decision)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(steps);
        var isRight = decision == exercise.Fault;
        var has = exercise.Fault == HiddenFault.None
            ? exercise.Evidence.All(e => steps.Any(s => s.StepId == e))
            : steps.Any(s => s.Fails && exercise.Evidence.Contains(s.StepId));
        var turned = steps.ToList().FindIndex(s => s.Phase > Steps.SitePhase.Identification || s.StepId is "direction" or "rotating");
        var dead = steps.ToList().FindIndex(s => s.StepId == "insulation");
        var wasDead = turned < 0 || dead >= 0 && dead < turned;
        var way = steps.Count == 0 ? 0 : Math.Min(1, exercise.Shortest.Count / (double)steps.Count);
        var points = (isRight && has ? ForDecision : isRight ? ForDecision / 2 : 0) + (has ? ForEvidence : 0)
            + (isRight && has ? (int)Math.Round(ForWay * way) : 0) + (wasDead && steps.Count > 0 ? ForSafety : 0);
        return new(isRight, has, wasDead, steps.Count, exercise.Shortest.Count, points);
    }
}
