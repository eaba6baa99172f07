using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Assessment.Checks;

/// <summary>
/// <c>harmonics.equipment</c>: the short-circuit ratio that each drive needs on a public system, and
/// <c>harmonics.terminal-thdi</c> where the buyer asks for it; over all scenarios.
/// </summary>
internal static class EquipmentChecks
{
    public const string EquipmentId = "harmonics.equipment";
    private const string ThdiId = "harmonics.terminal-thdi";
    private const double PublicVoltageV = 1000;
    private const double FullLoadPct = 95;

    public static IEnumerable<Check> Of(DrivePointModel model, SupplyContext supply, Plant.Bus bus)
    {
        var draws = supply.Scenarios.SelectMany(s => s.Drives.Where(d => d.DrivePointId == model.Id).Select(d => (s.ScenarioName, Drive: d, Draw: d.Front as RectifierResult.LineDraw)))
            .Where(d => d.Draw is not null).Select(d => (d.ScenarioName, d.Drive, Draw: d.Draw!)).ToList();
        if (draws.Count == 0)
        {
            yield break;
        }

        yield return Equipment(model, supply, bus, draws.MaxBy(d => d.Draw.WorstPhase.Orders[0].Magnitude));
        if (supply.Defaults.Harmonics.TerminalThdiPct > 0)
        {
            yield return Thdi(model, supply, draws.MaxBy(d => d.Draw.WorstPhase.ThdiPct));
        }
    }

    private static Check Equipment(DrivePointModel model, SupplyContext supply, Plant.Bus bus, (string Scenario, DriveInScenario Drive, RectifierResult.LineDraw Draw) worst)
    {
        const string title = "Current on a public system";
        var limits = supply.Data.Equipment;
        var current = worst.Draw.WorstPhase;
        var reference = current.Orders[0].Magnitude;
        // Balanced is what the equipment is, not the voltage at its terminals.
        var balanced = worst.Draw.Phases.Count == 3;
        var needed = limits.Needed(current.Orders, balanced);
        var says = needed is var (ratio, by)
            ? $"it needs R_sce {Text.N(ratio)}: {Text.N(ratio * Math.Sqrt(3) * bus.NominalVoltageV * reference / 1e6, 3)} MVA at its bus ({by})"
            : "no row of the standard admits it";
        if (current.RmsA <= limits.FromA || current.RmsA > limits.ToA)
        {
            return Check.NotConcerned(EquipmentId, model.Id, BoardRow.Supply, title, $"{Text.N(current.RmsA)} A: the standard is for {Text.N(limits.FromA)} to {Text.N(limits.ToA)} A; {says}");
        }

        var pcc = supply.Plant.Distribution.Bus(supply.Plant.Pcc.BusId);
        if (pcc.NominalVoltageV > PublicVoltageV)
        {
            return Check.NotConcerned(EquipmentId, model.Id, BoardRow.Supply, title, $"the plant has its own transformer and is judged at its coupling of {Text.N(pcc.NominalVoltageV / 1e3)} kV; on a public low-voltage system {says}");
        }

        var least = supply.Scenarios.SelectMany(s => s.Buses).Where(b => b.BusId == bus.Id).Min(b => b.LeastFaultA);
        var reason = new Reason(
            "R_sce = I_sc/I_ref ≥ the row that admits I_5, I_7, I_11, I_13, THC and PWHC",
            $"{Text.N(least)} A/{Text.N(reference)} A = {Text.N(least / reference)}; {says}",
            $"{limits.Source}, {limits.Edition}",
            [Text.In("least fault current at the bus", least, "A", bus.Name), Text.In("reference current", reference, "A", "front end")]);
        const string relief = "Relief: a choke, more pulses, an active front end, a stronger connection as agreed with the utility.";
        if (needed is var (wanted, _))
        {
            // The standard asks for the rated input current: what was computed at part load can't be signed as holding.
            var usedPct = model.Converter is { } converter ? 100 * worst.Drive.Point.DcLoadW / (converter.Item.RatedKw * 1e3) : 100;
            var check = CheckWriter.Judged(
                EquipmentId, model.Id, BoardRow.Supply, title, least / reference, wanted, string.Empty, LimitSense.AtLeast, supply.Defaults.TightMarginPct, relief, reason, worst.Scenario);
            return usedPct >= FullLoadPct
                ? check
                : check.AtBestTight(
                    $"computed at {Text.N(usedPct, 3)} % of the converter's rated power, while the standard refers to the rated input current",
                    "Relief: a scenario in which it runs at its rated power, or the maker's declaration.");
        }

        return CheckWriter.Rule(EquipmentId, model.Id, BoardRow.Supply, title, Verdict.Fails, relief, reason, worst.Scenario);
    }

    private static Check Thdi(DrivePointModel model, SupplyContext supply, (string Scenario, DriveInScenario Drive, RectifierResult.LineDraw Draw) worst) => CheckWriter.Judged(
        ThdiId, model.Id, BoardRow.Supply, "THDi at the drive", worst.Draw.WorstPhase.ThdiPct, supply.Defaults.Harmonics.TerminalThdiPct, "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
        "Relief: a choke, more pulses, an active front end; or agree on the distortion at the coupling, which is what the standards ask for.",
        new Reason(
            "THDi = √ΣI_h²/I_1 of the drive's own current, worst phase; it says nothing of the plant: TDD at the coupling does",
            $"{Text.N(worst.Draw.WorstPhase.ThdiPct)} % at {Text.N(worst.Draw.WorstPhase.RmsA)} A",
            "The buyer's specification", [Text.In("asked", supply.Defaults.Harmonics.TerminalThdiPct, "%", "project default")]),
        worst.Scenario);
}
