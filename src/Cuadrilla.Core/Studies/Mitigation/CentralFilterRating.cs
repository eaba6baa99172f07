using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Mitigation;

/// <summary>Rates a central active filter by what has to be removed. See <c>docs/methods/mitigation.md</c>.</summary>
internal static class CentralFilterRating
{
    private const double FilterMargin = 1.2;

    // Each order beyond its limit is brought to it, and the rest evenly as far as the total asks.
    public static CentralFilter Of(PlantSpecification plant, PlantAssessment assessment, EngineeringData data)
    {
        if (assessment.Demand is not { } demand || assessment.CurrentLimits is not { } row || !double.IsFinite(demand.FaultA))
        {
            return new CentralFilter(0, 0);
        }

        double most = 0;
        foreach (var scenario in assessment.Scenarios)
        {
            double removed = 0, left = 0;
            foreach (var h in Enumerable.Range(2, 49))
            {
                var current = scenario.PccPhases.Max(p => p.CurrentA[h - 1].Magnitude);
                var allowed = data.PccLimits.OrderLimitPct(row, h) / 100 * demand.CurrentA;
                removed += Math.Pow(Math.Max(0, current - allowed), 2);
                left += Math.Pow(Math.Min(current, allowed), 2);
            }

            var over = Math.Max(0, Math.Sqrt(left) - (row.TddPct / 100 * demand.CurrentA));
            most = Math.Max(most, Math.Sqrt(removed + (over * over)));
        }

        var pcc = plant.Distribution.Bus(plant.Pcc.BusId).NominalVoltageV;
        var low = plant.Distribution.Buses.Where(b => b.NominalVoltageV <= 1000).Select(b => b.NominalVoltageV).DefaultIfEmpty(pcc).Max();
        return new CentralFilter(FilterMargin * most * pcc / low, most);
    }
}
