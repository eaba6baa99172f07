using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>
/// <c>supply.start-dip</c> of each motor that starts across the line: at its bus and at the PCC, in every scenario that
/// carries it, with everything else of the scenario running.
/// </summary>
internal static class StartDipChecks
{
    private const string Id = "supply.start-dip";

    public static IEnumerable<Check> Of(SupplyContext supply) =>
        supply.Plant.Distribution.Loads.OfType<BusLoad.LineMotor>().Select(m => Of(m, supply).At(m.Id));

    private static Check Of(BusLoad.LineMotor motor, SupplyContext supply)
    {
        var title = $"Dip when {motor.Name} starts";
        List<string> missing = [.. PlantNetwork.Missing(supply.Plant), .. GeneratorChecks.DipMissing(supply)];
        if (missing.Count > 0)
        {
            return Check.Lacking(Id, string.Empty, BoardRow.Plant, title, missing);
        }

        var plant = supply.Plant;
        var powerFactor = motor.LockedRotorPowerFactor.IsKnown
            ? motor.LockedRotorPowerFactor.Value
            : supply.Defaults.LockedRotorPowerFactor;
        var frequent = motor.StartsPerHour > 1;
        var (pccPct, why) = GeneratorChecks.DipLimit(supply, frequent)!.Value;
        var limits = (Motor: supply.Defaults.DipAtMotorPct, Pcc: pccPct);
        var cases = new List<(string Scenario, StartDip.Result? Dip)>();
        foreach (var result in supply.Scenarios.Where(s => s.Network.IsLive(motor.BusId) && s.Network.IsLive(plant.Pcc.BusId)))
        {
            if (plant.Scenarios.First(s => s.Id == result.ScenarioId).LoadLevelPuOf(motor.Id) > 0)
            {
                cases.Add((result.ScenarioName, StartDip.Run(
                    result.ForDips, StandingLoads.Beside(plant, result, motor.Id), motor.BusId, motor.LockedRotorVa(), powerFactor,
                    plant.Pcc.BusId)));
            }
        }

        if (cases.Count == 0)
        {
            return Check.NotConcerned(Id, string.Empty, BoardRow.Plant, title,
                "it runs in no scenario, or its bus or the PCC is dead there");
        }

        if (cases.FirstOrDefault(c => c.Dip is null) is { Scenario: not null } collapsed && cases.Any(c => c.Dip is null))
        {
            return new Check(
                Id, string.Empty, BoardRow.Plant, title, Verdict.Fails, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost,
                Given.Unknown,
                collapsed.Scenario, "Relief: a soft starter or converter, a stronger supply.",
                new Reason("voltage with locked rotor", "no voltage settles: the network can't carry the start beside the running drives",
                    "docs/methods/start-dip.md", []))
            { IsRule = true };
        }

        var worst = cases.MaxBy(c => Math.Max(c.Dip!.Value.AtMotor.DipPct / limits.Motor, c.Dip.Value.AtCoupling.DipPct / limits.Pcc));
        var dip = worst.Dip!.Value;
        var byPcc = dip.AtCoupling.DipPct / limits.Pcc > dip.AtMotor.DipPct / limits.Motor;
        var at = byPcc ? dip.AtCoupling : dip.AtMotor;
        return CheckWriter.Judged(
            Id, string.Empty, BoardRow.Plant, byPcc ? title + ", at the PCC" : title, at.DipPct, byPcc ? limits.Pcc : limits.Motor, "%",
            LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: start it by a soft starter or converter, feed it nearer to the source, start it before the rest.",
            new Reason(
                "Y·V = I with the motor's locked-rotor admittance at its bus; dip = 1 − V_during/V_before",
                $"bus: {Text.N(100 * dip.AtMotor.BeforePu)} % → {Text.N(100 * dip.AtMotor.DuringPu)} %, dip "
                    + $"{Text.N(dip.AtMotor.DipPct, 3)} % (limit {Text.N(limits.Motor)} %); "
                    + $"PCC: dip {Text.N(dip.AtCoupling.DipPct, 3)} % (limit {Text.N(limits.Pcc)} %, {why}); "
                    + $"shortcut S_start/S_sc: {Text.N(dip.ShortcutPct, 3)} %",
                "docs/methods/start-dip.md",
                [
                    ReasonInput.Of("power with locked rotor", motor.LockedRotorVa() / 1e3, "kVA", motor.Name),
                    ReasonInput.Of("its power factor", powerFactor, string.Empty,
                        motor.LockedRotorPowerFactor.IsKnown ? motor.Name : "default of the project, not stated"),
                    ReasonInput.Of("starts per hour", motor.StartsPerHour, "1/h", motor.Name),
                ]),
            worst.Scenario);
    }
}
