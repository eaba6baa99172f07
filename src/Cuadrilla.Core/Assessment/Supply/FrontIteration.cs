namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>How waveforms and network settled with each other in a scenario.</summary>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="ResidualPoints">What the next round would still move a THDi by, the largest, points.</param>
/// <param name="WorstId">Front end that would move most; empty when none would.</param>
public sealed record FrontIteration(int Rounds, double ResidualPoints, string WorstId)
{
    /// <summary>THDi that moves by less has settled, points.</summary>
    public const double LimitPoints = 0.1;

    /// <summary>True when it settled.</summary>
    public bool IsSettled => ResidualPoints < LimitPoints;
}
