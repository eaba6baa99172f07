using Cuadrilla.Core.Plant.Network;

namespace Cuadrilla.Core.Assessment.Checks;

/// <summary>All checks of the plant as a whole: the supply's, then the PCC's.</summary>
internal static class PlantChecks
{
    public static IEnumerable<Check> Of(SupplyContext supply)
    {
        List<string> missing = [.. NetworkData.Missing(supply.Plant), .. supply.Incomplete, .. supply.Scenarios.SelectMany(s => s.Unsettled).Distinct()];
        return
        [
            UnbalanceCheck.Of(supply),
            .. UnbalanceCheck.OfMotors(supply),
            FeedCheck.Of(supply),
            .. TransformerChecks.Of(supply, missing),
            .. FaultLevelChecks.OfBuses(supply),
            .. StartDipChecks.Of(supply),
            .. NeutralChecks.Of(supply),
            .. PccChecks.Of(supply, missing),
            .. PlantVoltageChecks.Of(supply, missing),
            .. CapacitorChecks.Of(supply, missing),
            .. ActiveFilterChecks.Of(supply, missing),
        ];
    }
}
