namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>A front end among those solved as one circuit.</summary>
/// <param name="Front">Which front end of the scenario.</param>
/// <param name="Place">Place of the network that it draws its current from; −1 on an infinite bus.</param>
/// <param name="Kind">Which kind of the circuit it belongs to.</param>
/// <param name="Share">Its part of that kind's current.</param>
/// <param name="PartOfAll">Its part of the load of all.</param>
internal readonly record struct UnitMember(int Front, int Place, int Kind, double Share, double PartOfAll);

/// <summary>What the balance solves as one circuit behind one EMF: a front end, or several that hang close together.</summary>
/// <param name="Front">The circuit and the place whose voltage it sees.</param>
/// <param name="Members">Front ends in it.</param>
internal sealed record BalanceUnit(BalanceFront Front, IReadOnlyList<UnitMember> Members)
{
    /// <summary>Of a single front end.</summary>
    public static BalanceUnit Of(BalanceFront front, int index) => new(front, [new UnitMember(index, front.Place, 0, 1, 1)]);

    /// <summary>Parts of its current by place.</summary>
    public IReadOnlyList<(int Place, double Part)> Draws { get; } =
        [.. Members.Where(m => m.Place >= 0).GroupBy(m => m.Place).Select(g => (g.Key, g.Sum(m => m.PartOfAll)))];

    /// <summary>Part of each kind in the load.</summary>
    public IReadOnlyList<double> KindParts { get; } =
        [.. Members.GroupBy(m => m.Kind).OrderBy(g => g.Key).Select(g => g.Sum(m => m.PartOfAll))];
}
