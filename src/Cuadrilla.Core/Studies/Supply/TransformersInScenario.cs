using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Current and heat of a transformer in a scenario.</summary>
internal static class TransformersInScenario
{
    /// <summary>Of one transformer; null when it is out of service or carries nothing to a live bus.</summary>
    public static TransformerInScenario? Of(Transformer transformer, PlantSpecification plant, SupplyNetwork network, HarmonicSums sums,
        HarmonicDefaults defaults)
    {
        var phases = sums.Through(transformer.Id, transformer.ToBusId);
        if (phases.Length == 0)
        {
            return null;
        }

        // The winding is heated by its most loaded phase, which need not be the most distorted one.
        var loaded = phases.MaxBy(p => p.RmsA)!;
        var ratedA = transformer.RatedCurrentA(network.VoltageV(transformer.ToBusId));
        var share = StrayShares.Of(transformer, defaults);
        var heats = phases.Select(p => p.Heat(share.EddyPu, share.OtherPu)).OfType<WindingHeat.Result>().ToList();
        return new TransformerInScenario(
            transformer.Id,
            loaded.RmsA,
            loaded.FundamentalA,
            ratedA,
            heats.Count > 0 ? heats.MinBy(h => h.MaxCurrentPu) : null,
            WindingHeat.KFactor(loaded.OrdersA.Select((a, i) => new WindingHeat.OrderCurrent(i + 1, a.Magnitude)), ratedA),
            transformer.LoadLossKw * 1e3 * phases.Average(p => p.RmsA * p.RmsA) / (ratedA * ratedA))
        { RatedVa = transformer.RatedKva * 1e3 };
    }
}
