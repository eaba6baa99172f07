using Cuadrilla.Core.Studies.Supply.Balance;

namespace Cuadrilla.Core.Studies.Supply;

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

    /// <summary>Another state that repeats, found from another start; null where none was found or none was looked for.</summary>
    public SecondState? Second { get; init; }

    /// <summary>True where another state was looked for: where the network lifts some order.</summary>
    public bool IsLookedForTwice { get; init; }

    /// <summary>True where a second state would have been looked for, had that been asked: nothing is judged on it that holds.</summary>
    public bool IsSearchOwed { get; init; }

    /// <summary>True when they did.</summary>
    public bool IsSettled => ResidualPu <= LimitPu;
}

/// <summary>Two states of one scenario that both repeat: which of them the plant takes is decided by how it got there.</summary>
/// <param name="WorstId">Front end that differs most.</param>
/// <param name="ApartPu">How far its EMF differs, parts of nominal voltage.</param>
/// <param name="Order">At which order; negative: turning backwards.</param>
/// <param name="ThdiPct">Distortion of its current in one, %.</param>
/// <param name="OtherThdiPct">In the other, %.</param>
public sealed record SecondState(string WorstId, double ApartPu, int Order, double ThdiPct, double OtherThdiPct);
