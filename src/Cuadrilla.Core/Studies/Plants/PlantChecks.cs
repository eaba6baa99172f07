using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DcBuses;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Followers;
using Cuadrilla.Core.Studies.Groups;
using Cuadrilla.Core.Studies.OnePhase;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Core.Studies.Shafts;
using Cuadrilla.Core.Studies.Starting;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Plants;

/// <summary>All checks of the plant as a whole: the supply's, then the PCC's.</summary>
internal static class PlantChecks
{
    public static IEnumerable<Check> Of(SupplyContext supply)
    {
        var missing = Missing(supply);
        IEnumerable<Check> checks =
        [
            .. Family("supply.voltage", "Voltage of buses", () => VoltageChecks.Of(supply, missing)),
            .. Family("supply.generator-loading", "Loading of the generator", () => GeneratorChecks.Of(supply)),
            .. Family("supply.unbalance", "Unbalance of the supply", () => [UnbalanceCheck.Of(supply), .. UnbalanceCheck.OfMotors(supply)]),
            .. Family("supply.feed", "Feed in every scenario", () => [FeedCheck.Of(supply)]),
            .. Family("supply.transformer-loading", "Loading of transformers", () => TransformerChecks.Of(supply, missing)),
            .. Family("supply.fault-level", "Fault level of buses", () => FaultLevelChecks.OfBuses(supply)),
            .. Family("cable.capacity", "Plant cables", () => PlantCableChecks.Of(supply)),
            .. Family("supply.start-dip", "Dip when motors start", () => StartDipChecks.Of(supply)),
            .. Family("supply.neutral", "Neutral of single-phase groups", () => NeutralChecks.Of(supply)),
            .. Family(OnePhaseLineupChecks.InputId, "Lineups on one phase", () => OnePhaseLineupChecks.Of(supply)),
        ];
        return [.. checks.Select(c => c.Doubted(supply.Faults)), .. Harmonics(supply)];
    }

    /// <summary>Those of harmonics alone.</summary>
    public static IEnumerable<Check> Harmonics(SupplyContext supply)
    {
        var missing = Missing(supply);
        IEnumerable<Check> checks =
        [
            .. Family("harmonics.pcc-tdd", "TDD at the PCC", () => PccChecks.Of(supply, missing)),
            .. Family("harmonics.plant-voltage", "Voltage distortion inside the plant", () => PlantVoltageChecks.Of(supply, missing)),
            .. Family("harmonics.capacitor", "Load of capacitor banks", () => CapacitorChecks.Of(supply, missing)),
            .. Family("harmonics.active-filter", "Current of active filters", () => ActiveFilterChecks.Of(supply, missing)),
        ];
        return checks.Select(c => c.Doubted(supply.Faults)).Select(c => Judges(supply.Defaults.Code, c.Id) ? c : c.ShownOnly());
    }

    private static List<string> Missing(SupplyContext supply) => [.. PlantNetwork.Missing(supply.Plant), .. supply.Incomplete,
        .. supply.Scenarios.SelectMany(s => s.Unsettled).Distinct()];

    private static IReadOnlyList<Check> Family(string id, string title, Func<IEnumerable<Check>> judge) =>
        Judging.All(id, string.Empty, BoardRow.Plant, title, judge);

    private static bool Judges(HarmonicsCode code, string id) => code switch
    {
        HarmonicsCode.DemandDistortion => id != "harmonics.plant-voltage",
        HarmonicsCode.Compatibility => !id.StartsWith("harmonics.pcc-", StringComparison.Ordinal),
        _ => true,
    };

    /// <summary>Checks of common DC buses, groups, shared shafts and followers.</summary>
    public static IEnumerable<Check> OfArrangements(SupplyContext supply, IReadOnlyList<DrivePointStudy> studies)
    {
        IEnumerable<Check> checks =
        [
            .. Judging.All("lineup.supply-module", string.Empty, BoardRow.Plant, "Common DC buses", () => DcBusChecks.Of(supply, studies)),
            .. Judging.All("protection.device", string.Empty, BoardRow.Plant, "Feeders of supply modules",
                () => ModuleFeederStudy.Checks(supply, studies)),
            .. Judging.All("group.current", string.Empty, BoardRow.Plant, "Groups of motors", () => GroupChecks.Of(supply, studies)),
            .. Judging.All("share.balance", string.Empty, BoardRow.Plant, "Shared shafts", () => SharingChecks.Of(supply, studies)),
            .. Judging.All("follower.setting", string.Empty, BoardRow.Plant, "Ratio followers", () => FollowerChecks.Of(supply, studies)),
        ];
        return checks.Select(c => c.Doubted(supply.Faults));
    }
}
