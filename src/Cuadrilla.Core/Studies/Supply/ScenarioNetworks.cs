using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>The network of a scenario in its switching state, as each study asks for it. It serves the next assessment too as long as what
/// it is made of stands.</summary>
internal sealed class ScenarioNetworks
{
    private readonly Source source;
    private readonly Distribution distribution;
    private readonly Scenario scenario;
    private readonly CableConstants cables;

    private ScenarioNetworks(PlantSpecification plant, Scenario scenario, CableConstants cables, SupplyNetwork weakest)
    {
        (source, distribution, this.scenario, this.cables) = (plant.Source, plant.Distribution, scenario, cables);
        Weakest = weakest;
        Strongest = PlantNetwork.Of(plant, scenario, SourceView.Strongest, cables)!;
        ForDips = Transient(plant) is { } transient ? PlantNetwork.Of(transient, scenario, SourceView.Weakest, cables)! : weakest;
        ForWithstand = PlantNetwork.Of(WithstandCurrents.Corrected(plant), scenario, SourceView.Strongest, cables.Cold())!;
    }

    /// <summary>Source at its weakest.</summary>
    public SupplyNetwork Weakest { get; }

    /// <summary>Source at its strongest.</summary>
    public SupplyNetwork Strongest { get; }

    /// <summary>A generator by its transient reactance.</summary>
    public SupplyNetwork ForDips { get; }

    /// <summary>Source at its strongest, transformers corrected by K_T (IEC 60909-0).</summary>
    public SupplyNetwork ForWithstand { get; }

    /// <summary>Builds them; null while the supply is not stated.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="scenario">The scenario.</param>
    /// <param name="cables">Constants of cables.</param>
    /// <param name="before">Those of an earlier assessment of the scenario; null: none known.</param>
    public static ScenarioNetworks? Of(PlantSpecification plant, Scenario scenario, CableConstants cables, ScenarioNetworks? before) =>
        PlantNetwork.Missing(plant).Any() ? null
        : before?.AreOf(plant, scenario, cables) == true ? before
        : new ScenarioNetworks(plant, scenario, cables, PlantNetwork.Of(plant, scenario, SourceView.Weakest, cables)!);

    // What drive points do in the scenario changes nothing here.
    private bool AreOf(PlantSpecification plant, Scenario other, CableConstants otherCables) =>
        source == plant.Source && distribution == plant.Distribution && cables == otherCables
        && scenario with { States = [], Name = string.Empty } == other with { States = [], Name = string.Empty };

    // Null where nothing but the source's first instant is known, or needed.
    private static PlantSpecification? Transient(PlantSpecification plant) =>
        plant.Source.Strength is SourceStrength.Generator { TransientPct.IsKnown: true } g
            ? plant with { Source = plant.Source with { Strength = g with { SubtransientPct = g.TransientPct } } }
            : null;
}
