namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What has to be done at a drive point for a step to be measured.</summary>
public static class StepOrders
{
    /// <summary>A frequency low enough to see a direction, Hz.</summary>
    public const double DirectionHz = 8;

    private static readonly StandInCommand Run = new(StandInOrder.Start), Couple = new(StandInOrder.Couple);

    private static readonly Dictionary<string, IReadOnlyList<StandInCommand>> Orders = new(StringComparer.Ordinal)
    {
        ["direction"] = [new(StandInOrder.Start, DirectionHz)],
        ["standstill"] = [new(StandInOrder.IdentifyStanding)],
        ["rotating"] = [new(StandInOrder.Uncouple), new(StandInOrder.IdentifyTurning)],
        ["magnets"] = [Run, new(StandInOrder.Coast)],
        ["inertia"] = [Couple, new(StandInOrder.TwoRamps)],
        ["skip-bands"] = [Couple, Run],
        ["no-load"] = [new(StandInOrder.Uncouple), Run],
        ["noise"] = [Run, new(StandInOrder.Coast)],
        ["loaded"] = [Couple, Run],
        ["rise"] = [Couple, Run, new(StandInOrder.Coast)],
        ["temperature-run"] = [Couple, Run],
        ["bearings"] = [Couple, Run],
        ["vibration"] = [Couple, Run],
        ["start"] = [Couple, Run],
        ["stop"] = [Couple, Run, new(StandInOrder.Stop)],
        ["brake"] = [new(StandInOrder.TimeBrake)],
        ["brake-test"] = [new(StandInOrder.TimeBrake)],
        ["ratio"] = [Run],
        ["rotations"] = [Couple, Run],
        ["harmonics"] = [Couple, Run],
    };

    /// <summary>Orders of a step in their order; empty: it is measured at rest.</summary>
    /// <param name="stepId">Step.</param>
    public static IReadOnlyList<StandInCommand> Of(string stepId) => Orders.GetValueOrDefault(stepId) ?? [];
}
