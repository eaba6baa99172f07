using Cuadrilla.Core.Assessment.Supply.Balance;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>How waveforms and network settled with each other in a scenario.</summary>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="ResidualPu">Largest contradiction between network and front ends at any order, parts of nominal voltage.</param>
/// <param name="ResidualOrder">Order at which it is.</param>
/// <param name="WorstId">Front end at which it is; empty where nothing runs.</param>
public sealed record FrontIteration(int Rounds, double ResidualPu, int ResidualOrder, string WorstId)
{
    /// <summary>Contradiction at which they count as settled.</summary>
    public const double LimitPu = BalanceResult.LimitPu;

    /// <summary>Nothing was searched.</summary>
    public static FrontIteration None { get; } = new(0, 0, 0, string.Empty);

    /// <summary>True when they did.</summary>
    public bool IsSettled => ResidualPu <= LimitPu;
}
