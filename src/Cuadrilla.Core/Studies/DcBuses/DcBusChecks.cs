using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.DcBuses;

/// <summary>
/// <c>lineup.supply-module</c>, <c>lineup.regeneration</c>, <c>lineup.dc-bus-current</c>, <c>lineup.precharge</c> and
/// <c>lineup.emergency-stop</c> of each common DC bus, over all scenarios.
/// </summary>
internal static class DcBusChecks
{
    private const string Source = "docs/methods/common-bus.md";
    private const string Caution = "The link stays charged after switching off: lock out, wait, prove the absence of voltage; makers' "
        + "instructions and local codes go first. Cuadrilla designs no safety function.";

    private static readonly (string Id, string Title)[] All =
    [
        ("lineup.supply-module", "Supply module"),
        ("lineup.regeneration", "Energy that the bus gets back"),
        ("lineup.dc-bus-current", "Current of the DC busbar"),
        ("lineup.precharge", "Pre-charge"),
        ("lineup.emergency-stop", "Stop of all members together"),
    ];

    public static IEnumerable<Check> Of(SupplyContext supply, IReadOnlyList<DrivePointStudy> studies) =>
        supply.Plant.Lineups.SelectMany(l =>
            l.DcBuses.Select(b => DcBusModel.Of(supply.Plant, l, b, studies, supply.Data, supply.Defaults))).SelectMany(m => Of(m, supply));

    private static IEnumerable<Check> Of(DcBusModel model, SupplyContext supply)
    {
        var missing = model.Missing.ToList();
        var runs = missing.Count > 0 ? [] : model.Processes(supply.Plant.Scenarios).Select(r => (r.Scenario.Name, r.Run)).ToList();
        if (missing.Count == 0 && runs.Count == 0)
        {
            missing.Add("a scenario in which a member runs");
        }

        var stops = missing.Count > 0
            ? []
            : supply.Plant.Scenarios.Select(s => (s.Name, Run: model.Run(s, BusEvent.EmergencyStop))).Where(r => r.Run is not null)
                .Select(r => (r.Name, Run: r.Run!)).ToList();
        IEnumerable<Check> checks = missing.Count > 0
            ? All.Select(c => Check.Lacking(c.Id, string.Empty, BoardRow.Plant, Title(c.Title, model), missing))
            : [SupplyModule(model, runs, supply), Regeneration(model, runs, supply), Busbar(model, runs, supply), Precharge(model, supply),
                EmergencyStop(model, stops, supply)];
        var servo = missing.Count > 0 ? [] : ServoLineupChecks.Of(model, supply);
        return checks.Append(FaultLevelChecks.OfSupplyModule(
            model.Bus.Name, model.Module, DrivePointModel.ImpedanceOf(model.Bus.Feeder, supply.Defaults) ?? default, model.BusId, supply))
                .Concat(servo).Select(c => c.At(model.Bus.Id));
    }

    private static Check SupplyModule(DcBusModel model, List<(string Name, CommonBusResult Run)> runs, SupplyContext supply)
    {
        var module = model.Module!;
        var ratedKw = module.RatedKw * model.SitePu;
        if (ratedKw <= 0)
        {
            return Check.Lacking(All[0].Id, string.Empty, BoardRow.Plant, Title(All[0].Title, model),
                ["a supply module that may stand at this site"]);
        }

        // Its store of heat fills with P² as a converter's does with I²; the process goes on for ever.
        var worst = runs.Select(r => (r.Name, r.Run, Store: OverloadStore.Of(module.Overload, ratedKw * 1e3, Drawn(r.Run), true)))
            .MaxBy(r => Math.Max(r.Run.RmsW / (ratedKw * 1e3), Filled(r.Store) / 100))!;
        var (name, run, store) = worst;
        var rms = 100 * run.RmsW / (ratedKw * 1e3);
        var byPeak = Filled(store) > rms;
        return CheckWriter.Judged(
            All[0].Id, string.Empty, BoardRow.Plant, Title(All[0].Title, model) + (byPeak ? ", peak and its time" : ", rms"),
            Math.Max(rms, Filled(store)), 100, "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: a larger supply module, cycles that do not begin together.",
            new Reason(
                "P_rms ≤ P_N; P_peak ≤ k·P_N; ∫(P² − P_N²)dt ≤ (k² − 1)·P_N²·t_k over the process of all members, motoring and "
                    + "regenerating added",
                $"rms {Text.N(run.RmsW / 1e3)} kW against {Text.N(ratedKw)} kW at the site; largest {Text.N(run.PeakW / 1e3)} kW against "
                    + $"{Text.N(ratedKw * module.PeakPu)} kW for {Text.N(module.PeakTimeS)} s, store {Text.N(store.LargestPct, 3)} % "
                    + $"full{(store.Recovers ? string.Empty : ", never emptied")}; should all peaks meet {Text.N(run.SumOfPeaksW / 1e3)} "
                    + $"kW; exchanged on the bus {Text.N(run.ExchangedJ / run.SpanS * 3.6e3 / 3.6e6)} kWh an hour",
                Source,
                [.. model.Members.Select(m => ReasonInput.Of(m.Input.DrivePoint.Tag, m.At(1).LinkW / 1e3, "kW", "at its rated point"))]),
            name);
    }

    private static double Filled(OverloadStore store) =>
        Math.Max(store.PeakPct, store.Recovers ? store.LargestPct : Math.Max(store.LargestPct, 101));

    private static List<CurrentForTime> Drawn(CommonBusResult run) =>
        [.. run.Moments.Zip(run.Moments.Skip(1)).Select(m =>
            new CurrentForTime(m.Second.TimeS - m.First.TimeS, Math.Max(0, m.First.SupplyW)))];

    private static Check Regeneration(DcBusModel model, List<(string Name, CommonBusResult Run)> runs, SupplyContext supply)
    {
        var (name, run) = runs.MaxBy(r => r.Run.PeakReturnW);
        if (run.PeakReturnW <= 0)
        {
            return Check.NotConcerned(All[1].Id, string.Empty, BoardRow.Plant, Title(All[1].Title, model),
                "the members never give more than the others take");
        }

        var source = model.Supply(false);
        var able = source.ReturnW + source.ChopperW;
        List<ReturnedPower> burnt = [.. run.Moments.Zip(run.Moments.Skip(1))
            .Select(m => new ReturnedPower(m.Second.TimeS - m.First.TimeS, m.First.ChopperW))];
        var window = supply.Defaults.Lineups.ResistorWindowS;
        var leastKw = new ResistorRating(1, window, ResistorRating.WireWound).Of(burnt, run.OffAtS is null).LoadingPu / 1e3;
        var continuous = model.Bus.ResistorContinuousKw.IsKnown ? model.Bus.ResistorContinuousKw.Value : 0;
        var reason = new Reason(
            "−P_net ≤ P_return + U_chopper²/R; burnt in any stretch t ≤ k(t)·P_continuous·t of the resistor",
            $"{Text.N(run.PeakReturnW / 1e3)} kW at most come back together; the module returns {Text.N(source.ReturnW / 1e3)} kW, the "
                + $"resistor burns {Text.N(source.ChopperW / 1e3)} kW; mean burnt {Text.N(run.BurntJ / run.SpanS / 1e3)} kW, which asks "
                + $"for {Text.N(leastKw, 3)} kW continuous; highest bus voltage {Text.N(run.HighestV)} V, trip {Text.N(source.TripV)} V",
            Source,
            [ReasonInput.Of("capacitance of the members", 1e6 * model.CapacitanceF, "µF", "catalogue")]);
        const string relief = "Relief: a module that returns power, chopper and resistor, a member that takes more while the others brake. "
            + Caution;
        if (able <= 0)
        {
            return run.Trips
                ? new Check(All[1].Id, string.Empty, BoardRow.Plant, Title(All[1].Title, model), Verdict.Fails, run.PeakReturnW / 1e3, 0,
                    "kW", LimitSense.AtMost, -100, name, relief, reason).At(model.Bus.Id)
                : Check.NotConcerned(All[1].Id, string.Empty, BoardRow.Plant, Title(All[1].Title, model),
                    "the capacitors take what comes back");
        }

        var heat = source.ChopperW > 0 && leastKw > 0 ? (continuous > 0 ? 100 * leastKw / continuous : double.PositiveInfinity) : 0;
        return double.IsPositiveInfinity(heat)
            ? Check.Lacking(All[1].Id, string.Empty, BoardRow.Plant, Title(All[1].Title, model),
                [$"continuous power of the brake resistor: at least {Text.N(leastKw, 3)} kW"])
            : CheckWriter.Judged(
                All[1].Id, string.Empty, BoardRow.Plant, Title(All[1].Title, model),
                Math.Max(heat, run.Trips ? 100 * run.PeakReturnW / able : Math.Min(100, 100 * run.PeakReturnW / able)), 100, "%",
                LimitSense.AtMost, supply.Defaults.TightMarginPct, relief, reason, name);
    }

    // Sections from the supply module on: each carries what the members behind it take.
    private static Check Busbar(DcBusModel model, List<(string Name, CommonBusResult Run)> runs, SupplyContext supply)
    {
        var worst = runs.Select(r => (r.Name, Sections: r.Run.SectionsW())).MaxBy(r => r.Sections.Max());
        var currentA = worst.Sections.Max() / model.LowestV;
        if (!model.Bus.BusbarA.IsKnown)
        {
            return Check.Lacking(All[2].Id, string.Empty, BoardRow.Plant, Title(All[2].Title, model),
                [$"rated current of the DC busbar: at least {Text.N(currentA, 3)} A"]);
        }

        return CheckWriter.Judged(
            All[2].Id, string.Empty, BoardRow.Plant, Title(All[2].Title, model), currentA, model.Bus.BusbarA.Value, "A", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: a busbar of larger section, the largest member next to the supply module.",
            new Reason(
                "I = |ΣP behind the section|/U_d at the lowest bus voltage",
                $"sections from the supply on: {string.Join(", ", worst.Sections.Select(w => Text.N(w / model.LowestV, 3)))} A at "
                    + $"{Text.N(model.LowestV)} V",
                Source,
                [ReasonInput.Of("line", model.LineV, "V", "bus, a tenth low")]),
            worst.Name);
    }

    private static Check Precharge(DcBusModel model, SupplyContext supply) => CheckWriter.Judged(
        All[3].Id, string.Empty, BoardRow.Plant, Title(All[3].Title, model), 1e6 * model.CapacitanceF, model.Module!.PrechargeUf, "µF",
        LimitSense.AtMost, supply.Defaults.TightMarginPct,
        "Relief: a larger supply module, a pre-charge of its own for a group of members.",
        new Reason(
            "ΣC ≤ largest capacitance that the module charges",
            $"{Text.N(1e6 * model.CapacitanceF)} µF of {model.Members.Count} members against {Text.N(model.Module.PrechargeUf)} µF",
            Source,
            []));

    private static Check EmergencyStop(DcBusModel model, List<(string Name, CommonBusResult Run)> stops, SupplyContext supply)
    {
        if (stops.Count == 0)
        {
            return Check.NotConcerned(All[4].Id, string.Empty, BoardRow.Plant, Title(All[4].Title, model), "no common stop time is asked");
        }

        var (name, run) = stops.MaxBy(r => (r.Run.Trips, r.Run.PeakReturnW));
        List<ReturnedPower> burnt = [.. run.Moments.Zip(run.Moments.Skip(1))
            .Select(m => new ReturnedPower(m.Second.TimeS - m.First.TimeS, m.First.ChopperW))];
        var leastKw = new ResistorRating(1, supply.Defaults.Lineups.ResistorWindowS, ResistorRating.WireWound)
            .Of(burnt, false).LoadingPu / 1e3;
        var source = model.Supply(false);
        var able = source.ReturnW + source.ChopperW;
        var reason = new Reason(
            "all members brake on their ramps at once; −P_net(t) ≤ P_return + U_chopper²/R, else the voltage rises: ½·C·ΔU² = ∫ surplus",
            $"{Text.N(run.PeakReturnW / 1e3)} kW at most and {Text.N(run.GivenJ / 1e3)} kJ come back in "
                + $"{Text.N(model.Bus.StopTimeS.Value)} s; {Text.N(able / 1e3)} kW can go; highest bus voltage {Text.N(run.HighestV)} V, "
                + $"trip {Text.N(source.TripV)} V",
            Source,
            [ReasonInput.Of("common stop", model.Bus.StopTimeS.Value, "s", "DC bus")]);
        if (run.Trips)
        {
            return CheckWriter.Judged(
                All[4].Id, string.Empty, BoardRow.Plant, Title(All[4].Title, model), run.PeakReturnW / 1e3, able / 1e3, "kW",
                LimitSense.AtMost, 0,
                "Relief: a longer stop, chopper and resistor, a module that returns power. " + Caution,
                reason with { WithNumbers = reason.WithNumbers + $"; trips after {Text.N(run.OffAtS!.Value, 3)} s" }, name);
        }

        if (leastKw > 0 && !model.Bus.ResistorContinuousKw.IsKnown)
        {
            return Check.Lacking(All[4].Id, string.Empty, BoardRow.Plant, Title(All[4].Title, model),
                [$"continuous power of the brake resistor: at least {Text.N(leastKw, 3)} kW for this stop"]);
        }

        if (leastKw > 0 && leastKw > model.Bus.ResistorContinuousKw.Value * (1 - (supply.Defaults.TightMarginPct / 100)))
        {
            return CheckWriter.Judged(
                All[4].Id, string.Empty, BoardRow.Plant, Title(All[4].Title, model) + ", heat of the resistor", leastKw,
                model.Bus.ResistorContinuousKw.Value, "kW", LimitSense.AtMost,
                supply.Defaults.TightMarginPct, "Relief: a longer stop, a larger resistor, a module that returns power. " + Caution,
                reason, name);
        }

        return CheckWriter.Judged(
            All[4].Id, string.Empty, BoardRow.Plant, Title(All[4].Title, model), run.HighestV, source.TripV, "V", LimitSense.AtMost, 2,
            "Relief: a longer stop, chopper and resistor, a module that returns power. " + Caution, reason, name);
    }

    private static string Title(string title, DcBusModel model) => $"{title}, {model.Bus.Name}";
}
