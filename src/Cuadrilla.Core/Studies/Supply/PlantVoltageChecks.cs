using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary><c>harmonics.plant-voltage</c> of each low-voltage bus, over all scenarios: compatibility levels of its class.</summary>
internal static class PlantVoltageChecks
{
    private const string Id = "harmonics.plant-voltage";
    private const double LowVoltageV = 1000;
    private const int FloorFromOrder = 25;
    private const double FloorPct = 0.1;

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<string> missing)
    {
        var levels = supply.Data.Compatibility;
        var means = new PlantMeans(supply);
        foreach (var bus in supply.Plant.Distribution.Buses.Where(b => b.NominalVoltageV <= LowVoltageV))
        {
            var level = levels.Classes[bus.EnvironmentClass.IsKnown
                ? (int)Math.Round(bus.EnvironmentClass.Value)
                : supply.Defaults.Harmonics.PlantClass];
            var title = $"Voltage distortion, {bus.Name}";
            var cases = supply.Scenarios.SelectMany(s => s.Buses.Where(b => b.BusId == bus.Id).Select(b => (s.ScenarioName, Bus: b)))
                .ToList();
            if (missing.Count > 0 || cases.Count == 0)
            {
                yield return Check.Lacking(Id, string.Empty, BoardRow.Plant, title,
                    missing.Count > 0 ? missing : PlantNetwork.Missing(supply.Plant).DefaultIfEmpty($"a closed path to {bus.Name}"))
                        .At(bus.Id);
                continue;
            }

            var worst = cases
                .SelectMany(c => Enumerable.Range(2,
                    49).Select(h => (c.ScenarioName, c.Bus, Order: h, Pct: c.Bus.VoltagePct[h - 1], Level: level.LevelPct(h)))
                    .Append((c.ScenarioName, c.Bus, Order: 0, Pct: c.Bus.TotalThdvPct, Level: level.ThdPct)))
                .Where(x => !BelowFloor(x.Order, x.Pct, x.Level))
                .MaxBy(x => x.Pct / x.Level);
            yield return CheckWriter.Judged(
                Id, string.Empty, BoardRow.Plant, worst.Order == 0 ? title : FormattableString.Invariant($"{title}, order {worst.Order}"),
                worst.Pct, worst.Level, "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
                PlantMeans.Relief(means.Chokes(bus.Id), means.MorePulses(bus.Id), means.Detuning(), means.OtherVectorGroup(bus.Id),
                    "a stronger transformer"),
                new Reason(
                    "Y_h·V_h = −I_h on the network of each order, the line's own distortion added as if in phase; each order and the "
                        + "total have a level, the nearest is shown",
                    $"THDv {Text.N(worst.Bus.TotalThdvPct)} % ({Text.N(level.ThdPct)} %), the plant's own share "
                        + $"{Text.N(worst.Bus.ThdvPct)} %; "
                        + $"{(worst.Order == 0 ? "the total decides" : $"order {worst.Order}: {Text.N(worst.Pct)} % ({Text.N(worst.Level)} %)")}; class {level.Number}",
                    $"{levels.Source}, {levels.Edition}; interharmonics and the band from 2 to 150 kHz are not computed",
                    [ReasonInput.Of("class", level.Number, string.Empty, bus.EnvironmentClass.IsKnown ? bus.Name : "project default")]),
                worst.ScenarioName).At(bus.Id);
        }
    }

    // Above order 25 models and measurements are not so exact that a tenth of a per cent of the voltage decides: it is reported only.
    private static bool BelowFloor(int order, double pct, double level) => order > FloorFromOrder && pct > level && pct - level < FloorPct;
}
