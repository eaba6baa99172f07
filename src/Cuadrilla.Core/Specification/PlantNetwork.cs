using Cuadrilla.Core.Base;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Specification;

/// <summary>The network of a plant, and what it needs to know.</summary>
public static class PlantNetwork
{
    /// <summary>The network in a scenario; null while something of <see cref="Missing"/> is missing.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="scenario">The switching state.</param>
    /// <param name="view">Which strength of the source.</param>
    /// <param name="cables">Constants of cables.</param>
    public static SupplyNetwork? Of(PlantSpecification plant, Scenario scenario, SourceView view, CableConstants cables)
    {
        ArgumentNullException.ThrowIfNull(plant);
        return Missing(plant).Any() ? null : SupplyNetwork.Of(plant.Source, plant.Distribution, scenario, view, cables);
    }

    /// <summary>Names of what is missing before the network can be built.</summary>
    public static IEnumerable<string> Missing(PlantSpecification plant)
    {
        ArgumentNullException.ThrowIfNull(plant);

        // A cable that no scenario closes carries nothing and may wait.
        return MissingOf(plant.Source.Strength).Concat(plant.Distribution.Links.OfType<BusLink.Cable>()
            .Where(c => (!c.LengthM.IsKnown || !c.CrossSectionMm2.IsKnown) && plant.Scenarios.Any(s => s.IsClosed(c.Id, c.NormallyClosed)))
            .Select(c => $"length and cross-section of {c.Name}"));
    }

    private static IEnumerable<string> MissingOf(SourceStrength strength) => strength switch
    {
        SourceStrength.NotStated => ["fault level of the source (or assume it infinite)"],
        SourceStrength.FaultLevel f => Names((f.ShortCircuitMva, "fault level of the source"), (f.XrRatio, "X/R of the source")),
        SourceStrength.Generator g => Names(
            (g.RatedKva, "rated power of the generator"), (g.SubtransientPct, "subtransient reactance of the generator"),
            (g.XrRatio, "X/R of the generator")),
        _ => [],
    };

    private static IEnumerable<string> Names(params (Given Value, string Name)[] entries) =>
        entries.Where(e => !e.Value.IsKnown).Select(e => e.Name);
}
