using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Voltage lost between where an installation begins and one of its buses.</summary>
internal static class BusDrops
{
    /// <summary>Of each bus with a lineup: lost from the transformer or source that feeds it, % of nominal, worst scenario.</summary>
    public static IReadOnlyDictionary<string, double> Pct(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios) =>
        plant.Lineups.Select(l => l.BusId).Distinct(StringComparer.Ordinal)
            .ToDictionary(b => b, b => Pct(plant, scenarios, b), StringComparer.Ordinal);

    private static double Pct(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios, string busId)
    {
        double worst = 0;
        foreach (var result in scenarios)
        {
            var scenario = plant.Scenarios.First(s => s.Id == result.ScenarioId);
            var linked = BusIsland.Of(plant.Distribution.Links, [busId], l => scenario.IsClosed(l.Id, l.NormallyClosed));
            var voltages = result.Buses.Where(b => linked.Contains(b.BusId)).ToList();
            if (voltages.FirstOrDefault(b => b.BusId == busId) is { } own)
            {
                worst = Math.Max(worst, 100 * (voltages.Max(b => b.VoltagePu) - own.VoltagePu));
            }
        }

        return worst;
    }

    /// <summary>True when a transformer of the plant feeds it, alone or through links.</summary>
    public static bool IsBehindTransformer(PlantSpecification plant, string busId)
    {
        var linked = BusIsland.Of(plant.Distribution.Links, [busId], _ => true);
        return plant.Distribution.Transformers.Any(t => linked.Contains(t.ToBusId));
    }
}
