using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>Where the search for a circuit ended: the next one begins there.</summary>
/// <param name="Emf">EMF in the frame of the source, per unit.</param>
/// <param name="Circuit">The circuit; null where closed form or catalogue data tell its current.</param>
/// <param name="Answer">What it answers.</param>
/// <param name="Uneven">What it answers with the line's little unbalance; the same where there is none.</param>
/// <param name="Slope">How its current moved with its EMF on the way there; null where nothing was asked.</param>
internal sealed record FrontSearch(SpaceVector Emf, SwitchedCircuit? Circuit, FrontAnswer Answer, UnevenAnswer Uneven, AskedSlope? Slope)
{
    /// <summary>Where a second state of the scenario was last looked for without any being found; null: it never was.</summary>
    public SecondLook? Look { get; init; }

    /// <summary>Drive points of each kind of the circuit with their parts of its load.</summary>
    public IReadOnlyList<IReadOnlyDictionary<string, double>> Kinds { get; init; } = [];

    /// <summary>The same for a circuit of other kinds: each begins as that it has most of its load in common with.</summary>
    /// <param name="circuit">The other circuit.</param>
    /// <param name="kinds">Its kinds.</param>
    public FrontSearch As(SwitchedCircuit circuit, IReadOnlyList<IReadOnlyDictionary<string, double>> kinds)
    {
        if (Circuit is null || (kinds.Count < 2 && Kinds.Count < 2) || AreAlike(kinds))
        {
            return this;
        }

        if (ReferenceEquals(Circuit, circuit))
        {
            // The same bridges in the same order, whatever the front ends behind them are called now.
            return this with { Kinds = kinds };
        }

        var like = kinds.Select(kind =>
        {
            var common = Kinds.Select(own => own.Where(m => kind.ContainsKey(m.Key)).Sum(m => m.Value)).ToList();
            var most = common.Count == 0 ? -1 : common.IndexOf(common.Max());
            return most < 0 || common[most] == 0 ? (-1, 0) : (most, kind.Values.Sum() / Kinds[most].Values.Sum());
        }).ToList();
        FrontAnswer Regrouped(FrontAnswer answer) => answer with { Orbit = answer.Orbit?.Regrouped(Circuit, circuit, like) };
        var uneven = Uneven with { Even = Regrouped(Uneven.Even), Answer = Regrouped(Uneven.Answer) };
        return this with { Answer = Regrouped(Answer), Uneven = uneven, Kinds = kinds };
    }

    private bool AreAlike(IReadOnlyList<IReadOnlyDictionary<string, double>> kinds) => kinds.Count == Kinds.Count
        && Kinds.Zip(kinds).All(k => k.First.Count == k.Second.Count && k.First.Keys.All(k.Second.ContainsKey));
}
