using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What this plant has to relieve its supply with: relief names what is there and leaves out what is not.</summary>
/// <param name="Supply">The plant with its scenarios.</param>
internal sealed record PlantMeans(SupplyContext Supply)
{
    private const int MostNamed = 3;

    /// <summary>Relief in words; what is null is left out.</summary>
    /// <param name="ways">Ways in the order in which they are tried.</param>
    /// <returns>A sentence; empty where nothing is left.</returns>
    public static string Relief(params IEnumerable<string?> ways)
    {
        var left = ways.Where(w => !string.IsNullOrEmpty(w)).ToList();
        return left.Count == 0 ? string.Empty : $"Relief: {string.Join(", ", left)}.";
    }

    /// <summary>Couplers that are closed in a scenario; null where there are none.</summary>
    public string? OpenCoupler(string scenarioName) => Named("open", Couplers(scenarioName, true));

    /// <summary>Couplers that are open in a scenario; null where there are none.</summary>
    public string? CloseCoupler(string scenarioName) => Named("close", Couplers(scenarioName, false));

    /// <summary>Drive points at a bus whose rectifiers have no choke; null where each has one.</summary>
    public string? Chokes(string busId) =>
        Named("a choke or more pulses at", Diodes(busId).Where(d => d.Item.ChokePct <= 0).Select(d => d.Tag));

    /// <summary>Drive points at a bus whose rectifiers have six pulses with a choke already; null where there are none.</summary>
    public string? MorePulses(string busId) =>
        Named("more pulses or an active front end at", Diodes(busId).Where(d => d.Item.ChokePct > 0).Select(d => d.Tag));

    /// <summary>Banks without reactor; null where each has one.</summary>
    public string? Detuning() => Named("a reactor ahead of",
        Supply.Plant.Distribution.CapacitorBanks.Where(b => b.DetuningPu <= 0).Select(b => b.Name));

    /// <summary>A bank that could be switched off; null where there is none.</summary>
    public string? CapacitorsOff() => Named("fewer steps at low load of", Supply.Plant.Distribution.CapacitorBanks.Select(b => b.Name));

    /// <summary>A transformer of another vector group than that which feeds a bus; null where there is none.</summary>
    public string? OtherVectorGroup(string busId)
    {
        var own = Supply.Plant.Distribution.Transformers.Where(t => t.ToBusId == busId).Select(t => t.VectorGroup).ToHashSet();
        return own.Count == 0 ? null : Named("part of the drives on",
            Supply.Plant.Distribution.Transformers.Where(t => t.ToBusId != busId && !own.Contains(t.VectorGroup) && IsLow(t.ToBusId))
                .Select(t => t.Name));
    }

    /// <summary>Single-phase loads; null where there are none.</summary>
    public string? Spread() => Named("spread the phases of",
        Supply.Plant.Distribution.Loads.OfType<BusLoad.SinglePhaseGroup>().Select(l => l.Name));

    private bool IsLow(string busId) => Supply.Plant.Distribution.Bus(busId).NominalVoltageV <= 1000;

    private IEnumerable<string> Couplers(string scenarioName, bool closed)
    {
        var scenario = Supply.Plant.Scenarios.FirstOrDefault(s => s.Name == scenarioName);
        return Supply.Plant.Distribution.Links.OfType<BusLink.Coupler>()
            .Where(c => (scenario?.IsClosed(c.Id, c.NormallyClosed) ?? c.NormallyClosed) == closed)
            .Select(c => c.Name);
    }

    private IEnumerable<(string Tag, ConverterItem Item)> Diodes(string busId) => Supply.Plant.Lineups
        .Where(l => l.BusId == busId)
        .SelectMany(l => l.DrivePoints)
        .Select(p => (p.Tag, Item: p.Converter is ConverterChoice.FromCatalogue c
            ? Supply.Data.Converters.GetValueOrDefault(c.ItemId)
            : null))
        .Where(d => d.Item is { Kind: ConverterKind.SixPulse })
        .OrderByDescending(d => d.Item!.RatedKw)
        .Select(d => (d.Tag, d.Item!));

    private static string? Named(string what, IEnumerable<string> names)
    {
        var all = names.ToList();
        var rest = all.Count - MostNamed;
        return all.Count == 0 ? null : $"{what} {string.Join(", ", all.Take(MostNamed))}{(rest > 0 ? $" and {rest} more" : string.Empty)}";
    }
}
