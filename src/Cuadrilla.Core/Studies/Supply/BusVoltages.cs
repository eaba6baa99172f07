using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Steady voltage of a bus over all scenarios, % of its nominal voltage.</summary>
/// <param name="LowestPct">Source low, taps as set, greatest load.</param>
/// <param name="LowestScenario">Where.</param>
/// <param name="HighestPct">Source high, least load.</param>
/// <param name="HighestScenario">Where.</param>
/// <param name="NoLoadPu">No-load voltages of the transformers on the way, multiplied.</param>
public sealed record BusVoltageRange(double LowestPct, string LowestScenario, double HighestPct, string HighestScenario, double NoLoadPu);

/// <summary>
/// Steady voltages: the load flow at the source's nominal voltage gives the drop 1 − V; with another source voltage and other no-load
/// voltages of the transformers the same powers draw 1/(s·t) of the current, so that V = s·t − (1 − V_nominal)/(s·t). See
/// <c>docs/methods/supply-network.md</c>.
/// </summary>
internal static class BusVoltages
{
    /// <summary>Each bus that is live in a scenario.</summary>
    public static IReadOnlyDictionary<string, BusVoltageRange> Of(PlantSpecification plant, IReadOnlyList<ScenarioResult> scenarios)
    {
        var low = plant.Source.LowestPct.IsKnown ? plant.Source.LowestPct.Value / 100 : 1;
        var high = plant.Source.HighestPct.IsKnown ? plant.Source.HighestPct.Value / 100 : 1;
        var found = new Dictionary<string, BusVoltageRange>(StringComparer.Ordinal);
        foreach (var scenario in scenarios)
        {
            var taps = NoLoad(plant, scenario.Network);
            var heldPu = GeneratorLoad.HeldPu(plant, scenario);
            foreach (var bus in scenario.Buses)
            {
                var (least, most) = taps.GetValueOrDefault(scenario.Network.NodeOf(bus.BusId), (1, 1));
                var lowest = 100 * Loaded(low * least, bus.VoltagePu + heldPu);
                var highest = 100 * Loaded(high * most, bus.VoltagePu + heldPu);
                var before = found.GetValueOrDefault(bus.BusId)
                    ?? new BusVoltageRange(double.PositiveInfinity, string.Empty, double.NegativeInfinity, string.Empty, most);
                if (lowest < before.LowestPct)
                {
                    before = before with { LowestPct = lowest, LowestScenario = scenario.ScenarioName };
                }

                if (highest > before.HighestPct)
                {
                    before = before with { HighestPct = highest, HighestScenario = scenario.ScenarioName };
                }

                found[bus.BusId] = before;
            }
        }

        return found;
    }

    private static double Loaded(double noLoadPu, double atNominalPu) => Math.Max(0, noLoadPu - ((1 - atNominalPu) / noLoadPu));

    // Outwards from the source; transformers side by side with unlike taps leave a range.
    private static Dictionary<int, (double Least, double Most)> NoLoad(PlantSpecification plant, SupplyNetwork network)
    {
        var ratios = plant.Distribution.Transformers.Where(t => t.NoLoadSecondaryPct.IsKnown)
            .ToDictionary(t => t.Id, t => t.NoLoadSecondaryPct.Value / 100, StringComparer.Ordinal);
        var fed = plant.Distribution.Transformers.ToDictionary(t => t.Id, t => t.ToBusId, StringComparer.Ordinal);
        var start = network.NodeOf(plant.Source.BusId);
        var found = new Dictionary<int, (double Least, double Most)> { [start] = (1, 1) };
        var depth = new Dictionary<int, int> { [start] = 0 };
        var open = new Queue<int>([start]);
        while (open.TryDequeue(out var node))
        {
            foreach (var branch in network.Branches.Where(b => b.ElementId.Length > 0 && (b.From == node || b.To == node)))
            {
                var other = branch.From == node ? branch.To : branch.From;
                var ratio = ratios.GetValueOrDefault(branch.ElementId, 1);
                ratio = fed.TryGetValue(branch.ElementId, out var to) && network.NodeOf(to) == node ? 1 / ratio : ratio;
                if (!depth.TryGetValue(other, out var there))
                {
                    depth[other] = depth[node] + 1;
                    open.Enqueue(other);
                    found[other] = (found[node].Least * ratio, found[node].Most * ratio);
                }
                else if (there > depth[node])
                {
                    found[other] = (Math.Min(found[other].Least, found[node].Least * ratio),
                        Math.Max(found[other].Most, found[node].Most * ratio));
                }
            }
        }

        return found;
    }
}
