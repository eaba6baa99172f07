using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>Everything between the source and the lineups.</summary>
/// <param name="Buses">Buses, at least one; ids are unique among all elements.</param>
/// <param name="Transformers">Transformers between buses.</param>
/// <param name="Links">Cables and couplers between buses of one voltage.</param>
/// <param name="CapacitorBanks">Capacitor banks.</param>
/// <param name="Loads">What hangs on the buses beside the lineups.</param>
public sealed record Distribution(
    ValueList<Bus> Buses,
    ValueList<Transformer> Transformers,
    ValueList<BusLink> Links,
    ValueList<CapacitorBank> CapacitorBanks,
    ValueList<BusLoad> Loads)
{
    /// <summary>Central active filters.</summary>
    public ValueList<ActiveFilter> ActiveFilters { get; init; } = [];

    /// <summary>The bus with a key.</summary>
    /// <exception cref="InvalidOperationException">There is none; validation refuses such a plant.</exception>
    public Bus Bus(string id) => Buses.First(b => b.Id == id);
}
