using Cuadrilla.Core.Assessment.Supply.Balance;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>How waveforms and network settled with each other in a scenario.</summary>
/// <param name="Rounds">How often the front ends were solved.</param>
/// <param name="IsBalance">True where all orders were solved together, false where the orders to 13 were mixed.</param>
/// <param name="Residual">
/// Of the balance the largest contradiction between network and front ends at any order, parts of nominal voltage; of mixing what the next round
/// would still move a THDi by, points.
/// </param>
/// <param name="ResidualOrder">Order at which it is; 0 of mixing.</param>
/// <param name="WorstId">Front end at which it is; empty where nothing runs.</param>
public sealed record FrontIteration(int Rounds, bool IsBalance, double Residual, int ResidualOrder, string WorstId)
{
    /// <summary>THDi that moves by less has settled, points.</summary>
    public const double LimitPoints = 0.1;

    /// <summary>Nothing was searched.</summary>
    public static FrontIteration None { get; } = new(0, false, 0, 0, string.Empty);

    /// <summary>Bound of the residual.</summary>
    public double Limit => IsBalance ? BalanceResult.LimitPu : LimitPoints;

    /// <summary>True when it settled.</summary>
    public bool IsSettled => Residual <= Limit;

    /// <summary>Of the balance on all orders.</summary>
    public static FrontIteration OfBalance(int rounds, double residualPu, int order, string worstId) => new(rounds, true, residualPu, order, worstId);

    /// <summary>Of mixing.</summary>
    public static FrontIteration OfMixing(int rounds, double residualPoints, string worstId) => new(rounds, false, residualPoints, 0, worstId);
}
