using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>supply.voltage</c> of each bus: lowest and highest steady voltage over all scenarios.</summary>
internal static class VoltageChecks
{
    private const string Id = "supply.voltage";
    private const double LowestPct = 90;
    private const double HighestPct = 110;

    // Tight from 95 down and from 105 up.
    private const double LowTightPct = 100 * ((95 / LowestPct) - 1);
    private const double HighTightPct = 100 * (1 - (105 / HighestPct));

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> missing)
    {
        foreach (var bus in supply.Plant.Distribution.Buses)
        {
            var title = $"Voltage of {bus.Name}";
            if (missing.Count > 0 || !supply.Voltages.TryGetValue(bus.Id, out var range))
            {
                yield return Check.Lacking(Id, string.Empty, BoardRow.Plant, title,
                    missing.Count > 0 ? missing : PlantNetwork.Missing(supply.Plant).DefaultIfEmpty($"a closed path to {bus.Name}"))
                        .At(bus.Id);
                continue;
            }

            var source = supply.Plant.Source;
            var tap = supply.Plant.Distribution.Transformers.Count > 0 ? "another tap" : "another voltage agreed with the network operator";
            var byLow = 100 - range.LowestPct >= range.HighestPct - 100;
            yield return CheckWriter.Judged(
                Id, string.Empty, BoardRow.Plant, byLow
                    ? title + ", lowest"
                    : title + ", highest", byLow ? range.LowestPct : range.HighestPct, byLow ? LowestPct : HighestPct, "% of nominal",
                byLow ? LimitSense.AtLeast : LimitSense.AtMost, byLow ? LowTightPct : HighTightPct,
                byLow ? PlantMeans.Relief(tap, "a stronger transformer", "less load at once")
                    : PlantMeans.Relief(tap, new PlantMeans(supply).CapacitorsOff()),
                new Reason(
                    "V = s·t − (1 − V_nominal)/(s·t), s the source's voltage, t the no-load voltages of the transformers; holds within 95 "
                        + "to 105 %, tight to 90 and 110 %",
                    $"lowest {Text.N(range.LowestPct)} % in '{range.LowestScenario}', highest {Text.N(range.HighestPct)} % in "
                        + $"'{range.HighestScenario}'; no-load voltage {Text.N(100 * range.NoLoadPu)} %"
                        + (source.LowestPct.IsKnown && source.HighestPct.IsKnown
                            ? string.Empty
                            : "; the source's range is not stated and taken as none"),
                    "IEC 60038, IEC 60364-5-52; docs/methods/supply-network.md",
                    [
                        ReasonInput.Of("source, lowest", source.LowestPct.IsKnown ? source.LowestPct.Value : 100, "%",
                            source.LowestPct.IsKnown ? "source" : "not stated"),
                        ReasonInput.Of("source, highest", source.HighestPct.IsKnown ? source.HighestPct.Value : 100, "%",
                            source.HighestPct.IsKnown ? "source" : "not stated"),
                    ]),
                byLow ? range.LowestScenario : range.HighestScenario).At(bus.Id);
        }
    }
}
