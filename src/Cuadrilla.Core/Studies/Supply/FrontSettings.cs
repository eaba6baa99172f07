namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What the search for the line currents of a scenario works with.</summary>
/// <param name="LeakageMismatchPu">How far the leakages of phase-shifting transformers differ.</param>
/// <param name="Before">Front ends as the last run of this scenario left them, by key; empty the first time.</param>
internal sealed record FrontSettings(double LeakageMismatchPu, IReadOnlyDictionary<string, DriveInScenario> Before)
{
    /// <summary>Unbalance up to which the orders that only it makes are drawn but do not come back to the front ends, %.</summary>
    public double LittleUnbalancePct { get; init; } = 1;

    /// <summary>False: whether there is a second state is not looked for, and what would have been says so.</summary>
    public bool SeeksSecond { get; init; } = true;

    /// <summary>Asked in every round.</summary>
    public CancellationToken Stop { get; init; }
}
