using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>harmonics.active-filter</c> of each central active filter, over all scenarios.</summary>
internal static class ActiveFilterChecks
{
    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> missing)
    {
        foreach (var filter in supply.Plant.Distribution.ActiveFilters)
        {
            var title = $"Current of {filter.Name}";
            var cases = supply.Scenarios.Where(s => s.FilterCurrents.ContainsKey(filter.Id))
                .Select(s => (s.ScenarioName, s.FilterCurrents[filter.Id].AskedA)).ToList();
            if (missing.Count > 0)
            {
                yield return Check.Lacking("harmonics.active-filter", string.Empty, BoardRow.Plant, title, missing).At(filter.Id);
            }
            else if (cases.Count == 0)
            {
                yield return Check.NotConcerned("harmonics.active-filter", string.Empty, BoardRow.Plant, title,
                    "its bus is dead, or joined to an infinite source, in every scenario").At(filter.Id);
            }
            else
            {
                var (scenario, asked) = cases.MaxBy(c => c.AskedA);
                yield return CheckWriter.Judged(
                    "harmonics.active-filter", string.Empty, BoardRow.Plant, title, asked, filter.RatedCurrentA, "A", LimitSense.AtMost,
                    supply.Defaults.TightMarginPct,
                    "Relief: a larger filter, chokes or other front ends at the largest drives. Beyond its current it removes only a part "
                        + "of each order.",
                    new Reason(
                        "I = √(ΣI_h²) over the orders 2…25 that its bus and all behind it draw, 95 % of each",
                        $"{Text.N(asked, 3)} A of {Text.N(filter.RatedCurrentA, 3)} A",
                        "docs/methods/mitigation.md; catalogue data, not computed as a circuit", []),
                    scenario).At(filter.Id);
            }
        }
    }
}
