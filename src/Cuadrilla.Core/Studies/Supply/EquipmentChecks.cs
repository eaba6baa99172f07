using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>
/// <c>harmonics.equipment</c>: the short-circuit ratio that each drive needs on a public system, and
/// <c>harmonics.terminal-thdi</c> where the buyer asks for it; over all scenarios.
/// </summary>
internal static class EquipmentChecks
{
    public const string EquipmentId = "harmonics.equipment";
    private const string ThdiId = "harmonics.terminal-thdi";
    private const double PublicVoltageV = 1000;

    public static IEnumerable<Check> Of(DrivePointModel point, SupplyContext supply, Bus bus)
    {
        var draws = supply.DrivesOf(point.Id).Select(d =>
            (d.Scenario.ScenarioName, d.Drive, Draw: d.Drive.Front as RectifierResult.LineDraw))
            .Where(d => d.Draw is not null).Select(d => (d.ScenarioName, d.Drive, Draw: d.Draw!)).ToList();
        if (point is not DriveOnConverter model || draws.Count == 0)
        {
            yield break;
        }

        yield return Equipment(model, supply, bus, draws.MaxBy(d => d.Draw.WorstPhase.Orders[0].Magnitude));
        if (supply.Defaults.Harmonics.TerminalThdiPct > 0)
        {
            yield return Thdi(model, supply, draws.MaxBy(d => d.Draw.WorstPhase.ThdiPct));
        }
    }

    private static Check Equipment(
        DriveOnConverter model, SupplyContext supply, Bus bus,
        (string Scenario, DriveInScenario Drive, RectifierResult.LineDraw Draw) worst)
    {
        const string title = "Current on a public system";
        var limits = supply.Data.Equipment;
        var pcc = supply.Plant.Distribution.Bus(supply.Plant.Pcc.BusId);
        if (pcc.NominalVoltageV > PublicVoltageV)
        {
            return Check.NotConcerned(
                EquipmentId, model.Id, BoardRow.Supply, title,
                $"the plant has its own transformer and is judged at its coupling of {Text.N(pcc.NominalVoltageV / 1e3)} kV");
        }

        var live = supply.Scenarios.Where(s => s.Network.IsLive(bus.Id)).MinBy(s => s.Network.FaultA(bus.Id))!;
        if (RatedFront.Of(model, live.Network, bus.Id) is not { } rated)
        {
            return Check.Lacking(
                EquipmentId, model.Id, BoardRow.Supply, title,
                ["a rated input current: at the rated power of the converter its current does not repeat itself on this bus"]);
        }

        var current = rated.Draw.WorstPhase;
        var reference = current.RmsA;
        var needed = limits.Needed(current.Orders, reference, rated.Draw.Phases.Count == 3, rated.FifthDeg);
        var says = needed is var (ratio, by)
            ? $"it needs R_sce {Text.N(ratio)}: {Text.N(ratio * Math.Sqrt(3) * bus.NominalVoltageV * reference / 1e6, 3)} MVA at its bus "
                + $"({by})"
            : "no row of the standard admits it";
        if (reference <= limits.FromA || reference > limits.ToA)
        {
            return Check.NotConcerned(
                EquipmentId, model.Id, BoardRow.Supply, title,
                $"rated input current {Text.N(reference)} A: the standard is for {Text.N(limits.FromA)} to {Text.N(limits.ToA)} A; {says}");
        }

        var least = live.Network.FaultA(bus.Id);
        var angle = double.IsNaN(rated.FifthDeg) ? "not known" : $"{Text.N(rated.FifthDeg - (360 * Math.Floor(rated.FifthDeg / 360)), 3)}°";
        var reason = new Reason(
            "R_sce = I_sc/I_ref ≥ the row that admits I_5, I_7, I_11, I_13, THC and PWHC at the rated input current I_ref",
            $"{Text.N(least)} A/{Text.N(reference)} A = {Text.N(least / reference)}; angle of the 5th {angle}; {says}",
            $"{limits.Source}, {limits.Edition}",
            [
                ReasonInput.Of("least fault current at the bus", least, "A", bus.Name),
                ReasonInput.Of("rated input current", reference, "A", "front end alone at the converter's rated power, sinusoidal supply"),
            ]);
        var relief = PlantMeans.Relief(Choke(model), "more pulses", "an active front end",
            "a stronger connection as agreed with the utility");
        return needed is var (wanted, _)
            ? CheckWriter.Judged(
                EquipmentId, model.Id, BoardRow.Supply, title, least / reference, wanted, string.Empty, LimitSense.AtLeast,
                supply.Defaults.TightMarginPct, relief, reason, worst.Scenario)
            : CheckWriter.Rule(EquipmentId, model.Id, BoardRow.Supply, title, Verdict.Fails, relief, reason, worst.Scenario);
    }

    // A unit that has one is not helped by advice to take one.
    private static string? Choke(DriveOnConverter model) => model.Converter?.Item.ChokePct > 0 ? null : "a choke";

    private static Check Thdi(DriveOnConverter model, SupplyContext supply,
        (string Scenario, DriveInScenario Drive, RectifierResult.LineDraw Draw) worst) => CheckWriter.Judged(
        ThdiId, model.Id, BoardRow.Supply, "THDi at the drive", worst.Draw.WorstPhase.ThdiPct, supply.Defaults.Harmonics.TerminalThdiPct,
        "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
        PlantMeans.Relief(Choke(model), "more pulses", "an active front end")
            + " Or agree on the distortion at the coupling, which is what the standards ask for.",
        new Reason(
            "THDi = √ΣI_h²/I_1 of the drive's own current, worst phase; it says nothing of the plant: TDD at the coupling does",
            $"{Text.N(worst.Draw.WorstPhase.ThdiPct)} % at {Text.N(worst.Draw.WorstPhase.RmsA)} A",
            "The buyer's specification", [ReasonInput.Of("asked", supply.Defaults.Harmonics.TerminalThdiPct, "%", "project default")]),
        worst.Scenario);
}
