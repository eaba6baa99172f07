using Cuadrilla.Core.Assessment.Supply.Balance;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>How waveforms and network settled with each other in a scenario.</summary>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="ResidualPu">Largest contradiction between network and front ends at any order, parts of nominal voltage.</param>
/// <param name="ResidualOrder">Order at which it is.</param>
/// <param name="WorstId">Front end at which it is; empty where nothing runs.</param>
public sealed record FrontIteration(int Rounds, double ResidualPu, int ResidualOrder, string WorstId)
{
    /// <summary>Nothing was searched.</summary>
    public static FrontIteration None { get; } = new(0, 0, 1, string.Empty);

    /// <summary>Contradiction up to which they count as found, parts of nominal voltage.</summary>
    public static double LimitPu => BalanceResult.LimitPu;

    /// <summary>True when they are.</summary>
    public bool IsSettled => ResidualPu <= LimitPu;
}
