using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Starting;

/// <summary>
/// <c>starter.reaches-speed</c>, <c>starter.thermal-class</c>, <c>starter.starts-per-hour</c>, <c>starter.settings</c> and
/// <c>supply.start-dip</c> of a motor that starts on the line, from its simulated start.
/// </summary>
internal static class StarterChecks
{
    private const string Source = "docs/methods/starting.md";
    private const string Caution = "An isolating contactor stays open at rest: inside the delta a winding "
        + "is live while the starter is off.";

    private static readonly (string Id, BoardRow Row, string Title)[] All =
    [
        ("starter.reaches-speed", BoardRow.Converter, "Start reaches speed"),
        ("starter.thermal-class", BoardRow.Converter, "Heat of the start"),
        ("starter.starts-per-hour", BoardRow.Converter, "Starts per hour"),
        ("starter.settings", BoardRow.Converter, "Starter rating and settings"),
        ("supply.start-dip", BoardRow.Supply, "Dip at start"),
    ];

    public static IEnumerable<Check> Of(DrivePointModel point, StartPlace? place, SupplyContext supply, Func<StartKey, StartCase> simulated)
    {
        List<string> missing = [.. StartStudy.Missing(point), .. PlantNetwork.Missing(supply.Plant), .. GeneratorChecks.DipMissing(supply)];
        if (missing.Count == 0)
        {
            missing.AddRange(point.Missing());
        }

        if (missing.Count == 0 && place is null)
        {
            missing.Add(point.Input.OnePhase is { } feed && feed.RotaryOhm(point.Input.BusVoltageV) is null
                ? "rated power of the rotary converter" : "a scenario in which it runs");
        }

        if (point is not DriveOnLine model || place is null || missing.Count > 0)
        {
            return All.Select(c => Check.Lacking(c.Id, point.Id, c.Row, c.Title, missing));
        }

        var start = simulated(new StartKey(model.Input, place));
        return start.Run is null
            ? All.Select(c => c.Id == "starter.settings" ? Refused(model, start)
                : Check.NotConcerned(c.Id, model.Id, c.Row, c.Title, start.Impossible))
            : start.Run.End != StartEnd.Reached
            ? [Reaches(model, start, place), Stalled(model, start, place), .. Unjudged(model), Dip(model, start, place, supply)]
            : [Reaches(model, start, place), Heat(model, start, place), Starts(model, start, supply), Settings(model, start, supply),
                Dip(model, start, place, supply)];
    }

    private static Check Refused(DriveOnLine model, StartCase start) => new(
        "starter.settings", model.Id, BoardRow.Converter, All[3].Title, Verdict.Fails, Given.Unknown, Given.Unknown, string.Empty,
        LimitSense.AtMost, Given.Unknown,
        string.Empty, "Relief: a motor with that link, or another way of starting.",
        new Reason("the winding connection that it needs", start.Impossible, Source, []))
    { IsRule = true };

    private static Check Reaches(DriveOnLine model, StartCase start, StartPlace place)
    {
        var run = start.Run!;
        var endRpm = run.EndRadPerS * 60 / (2 * Math.PI);
        if (run.End != StartEnd.Reached)
        {
            return new Check(
                All[0].Id, model.Id, BoardRow.Converter, All[0].Title, Verdict.Fails, endRpm, start.TargetRpm, "rpm", LimitSense.AtLeast,
                100 * ((endRpm / start.TargetRpm) - 1), place.Scenario,
                "Relief: a higher current limit, full voltage, a relieved start of the machine, a converter.",
                new Reason(
                    "J·dω/dt = T − T_L",
                    run.End == StartEnd.Sticks
                        ? $"sticks at {Text.N(endRpm)} rpm: torque and load meet there, {Text.N(run.Moments[^1].State.TorqueNm)} Nm"
                        : $"after {Text.N(run.TimeS)} s only {Text.N(endRpm)} rpm",
                    Source,
                    Inputs(model, place)))
            { IsRule = run.End != StartEnd.Reached && endRpm <= 0 };
        }

        var limited = double.IsFinite(start.LeastSurplusPu);
        return CheckWriter.Judged(
            All[0].Id, model.Id, BoardRow.Converter, All[0].Title, limited ? 100 * start.LeastSurplusPu : 1000, 100, "% of the load torque",
            LimitSense.AtLeast,
            model.Input.Defaults.TightMarginPct, "Relief: a higher current limit, a relieved start of the machine.",
            new Reason(
                "J·dω/dt = T − T_L; least T/T_L on the way once nothing is raised any more",
                $"{Text.N(start.TargetRpm)} rpm after {Text.N(run.TimeS, 3)} s; least torque "
                    + $"{(limited ? Text.N(100 * start.LeastSurplusPu, 3) : "far above 1000")} % of the load's; peak "
                    + $"{Text.N(start.PeakLineA, 3)} A",
                Source,
                Inputs(model, place)),
            place.Scenario);
    }

    // A rotor that stands under current heats until something trips: no figure of a start describes that.
    private static Check Stalled(DriveOnLine model, StartCase start, StartPlace place) => new(
        All[1].Id, model.Id, BoardRow.Converter, All[1].Title, Verdict.Fails, Given.Unknown, Given.Unknown, string.Empty, LimitSense.AtMost,
        Given.Unknown,
        place.Scenario, "Relief: let the start reach its speed first; the protection must trip before the stall time of the motor's maker.",
        new Reason(
            "a start that does not end heats winding and rotor without end",
            $"after {Text.N(start.Run!.TimeS, 3)} s it still draws {Text.N(start.Run.Moments[^1].State.LineCurrentA, 3)} A; rotor "
                + $"{(!model.StallTimeS.IsKnown ? "heat not compared, stall time not stated" : $"{Text.N(100 * start.RotorHeatPu.Value, 3)} % of what {Text.N(model.StallTimeS.Value)} s locked would be")}, and rising",
            Source,
            Inputs(model, place)))
    { IsRule = true };

    private static IEnumerable<Check> Unjudged(DriveOnLine model) => All
        .Where(c => c.Id is "starter.starts-per-hour" or "starter.settings")
        .Select(c => Check.NotConcerned(c.Id, model.Id, c.Row, c.Title, "the start does not reach its speed: see that first"));

    private static Check Heat(DriveOnLine model, StartCase start, StartPlace place)
    {
        if (!model.StallTimeS.IsKnown)
        {
            return Check.Lacking(All[1].Id, model.Id, BoardRow.Converter, All[1].Title, ["stall time of the motor, warm, by its maker"]);
        }

        var trip = model.Starter.Trip;

        // More than one start an hour comes from a warm motor, whose relay is warm too.
        var hot = model.Input.DrivePoint.Converter.StartsWanted() > 1;
        var protection = 100 * (hot ? start.HotTripHeatPu : start.TripHeatPu)[trip];
        var stall = 100 * start.StallTripPu[trip];
        var rotor = 100 * start.RotorHeatPu.Value;
        var fitting = start.TripHeatPu.Keys.Where(t => (hot ? start.HotTripHeatPu : start.TripHeatPu)[t] < 1 && start.StallTripPu[t] <= 1)
            .Select(Words).FirstOrDefault();
        var (figure, what) = new[] { (protection, "protection"), (stall, "protection against a locked rotor"), (rotor, "rotor") }
            .MaxBy(f => f.Item1);
        return CheckWriter.Judged(
            All[1].Id, model.Id, BoardRow.Converter, $"{All[1].Title}, {what}", figure, 100, "%",
            LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            (fitting is null ? "Relief: a shorter start." : $"Relief: trip class {fitting}, a shorter start.")
                + " The protection must still guard the motor: its maker's stall time decides.",
            new Reason(
                "dθ/dt = ((I/I_set)² − θ)/τ against 1.15², θ_0 = (I_run/I_set)² when warm, fastest relay of the class; t_trip of the "
                    + "slowest with a locked rotor, warm ≤ stall time; rotor heat against locked-rotor loss × stall time",
                $"class {Words(trip)}: {Text.N(100 * start.TripHeatPu[trip], 3)} % of its trip level from cold, "
                    + $"{Text.N(100 * start.HotTripHeatPu[trip], 3)} % warm{(hot ? ", which counts" : string.Empty)}; locked, warm: trips "
                    + $"within {Text.N(start.StallTripPu[trip] * model.StallTimeS.Value, 3)} s; rotor "
                    + $"{Text.N(start.Run!.Energy.RotorJ / 1e3, 3)} kJ, {Text.N(rotor, 3)} % of what {Text.N(model.StallTimeS.Value)} s "
                    + "locked would be",
                "IEC 60947-4-1 and 60947-4-2, shortest and longest trip time of the class at 7.2 times the set current",
                [.. Inputs(model, place), ReasonInput.Of("stall time, warm", model.StallTimeS.Value, "s", "motor")]),
            place.Scenario);
    }

    private static Check Starts(DriveOnLine model, StartCase start, SupplyContext supply)
    {
        var wanted = model.Input.DrivePoint.Converter.StartsWanted();
        var byStarter = model.Starter.Item is { } item
            ? item.StartsPerHour * Allowance(model, item) / Math.Max(1e-9, Used(start, item))
            : double.PositiveInfinity;
        var plate = model.Connected.Plate;
        var usual = StartsAnHour.Of(plate.RatedPowerW);
        var stated = plate.Limits.StartsPerHour;
        var byMaker = stated.IsKnown ? stated.Value : usual.MostPerHour;
        var allowed = Math.Min(Math.Min(start.StartsPerHour, byStarter), byMaker);
        var check = CheckWriter.Judged(
            All[2].Id, model.Id, BoardRow.Converter, All[2].Title, wanted, allowed, "1/h", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: fewer starts, a shorter one, a converter.",
            new Reason(
                "N ≤ what the maker states, else what such motors usually stand; N ≤ 3600·(P_allowed − P_running)/(Q_start − "
                    + "P_running·t); starter: N_rated·(I²t rated)/(I²t of this start)",
                $"motor: {(stated.IsKnown ? Text.N(stated.Value) + " stated by its maker" : $"{Text.N(usual.UsualPerHour)} to {Text.N(usual.MostPerHour)} usual for its power")}, by heat {(double.IsFinite(start.StartsPerHour) ? Text.N(start.StartsPerHour, 3) : "any number")}, starter: {(double.IsFinite(byStarter) ? Text.N(byStarter, 3) : "not limited")}; wanted {Text.N(wanted)}",
                Source,
                [ReasonInput.Of("heat of a start", (start.Run!.Energy.RotorJ + start.Run.Energy.StatorJ) / 1e3, "kJ", "simulated start")]));
        return !stated.IsKnown && wanted > usual.UsualPerHour
            ? check.AtBestTight("between what any motor of its power stands and what needs the maker's word",
                "Relief: the number that the motor's maker states, fewer starts.")
            : check;
    }

    private static Check Settings(DriveOnLine model, StartCase start, SupplyContext supply)
    {
        if (model.Starter.Item is not { } item)
        {
            return Check.NotConcerned(All[3].Id, model.Id, BoardRow.Converter, All[3].Title,
                "contactors have no settings but the time in star");
        }

        var settings = ((ConverterChoice.SoftStarter)model.Starter.Choice).Settings;
        var share = settings.InsideDelta ? 1 / Math.Sqrt(3) : 1;
        var motorA = model.Motor.Plate.RatedCurrentA;
        var siteA = item.RatedCurrentA * item.Derating.FactorPu(model.Input.Site);
        if (siteA <= 0)
        {
            return Check.Lacking(All[3].Id, model.Id, BoardRow.Converter, All[3].Title, ["a soft starter that may stand at this site"]);
        }

        var continuous = 100 * motorA * share / siteA;
        var used = 100 * Used(start, item) / Allowance(model, item);
        var inScale = settings.CurrentLimitPct * motorA * share / item.RatedCurrentA;
        return CheckWriter.Judged(
            All[3].Id, model.Id, BoardRow.Converter, All[3].Title, Math.Max(continuous, used), 100, "%", LimitSense.AtMost,
            supply.Defaults.TightMarginPct,
            "Relief: a larger starter, a lower limit where the load allows it.",
            new Reason(
                "motor current ≤ rated current; ∫I²dt of the start ≤ (k·I_rated)²·t of its rating",
                $"running {Text.N(motorA * share, 3)} A of {Text.N(siteA)} A at the site ({Text.N(item.RatedCurrentA)} A rated); start "
                    + $"{Text.N(used, 3)} % of {Text.N(item.StartCurrentPu)} × for {Text.N(item.StartTimeS)} s; "
                    + $"the limit of {Text.N(settings.CurrentLimitPct)} % of the motor's current is {Text.N(inScale, 3)} % on this "
                    + "starter's scale"
                    + (settings.InsideDelta ? "; inside the delta: line current/√3. " + Caution : string.Empty),
                "IEC 60947-4-2 rating form of the catalogue item",
                [ReasonInput.Of("set current of the motor", motorA, "A", "plate as linked"),
                    ReasonInput.Of("starter", item.RatedCurrentA, "A", "catalogue")]));
    }

    private static Check Dip(DriveOnLine model, StartCase start, StartPlace place, SupplyContext supply)
    {
        var frequent = model.Input.DrivePoint.Converter.StartsWanted() > 1;
        var (pcc, why) = GeneratorChecks.DipLimit(supply, frequent)!.Value;
        var byPcc = start.DipAtPccPct / pcc > start.DipPct / supply.Defaults.DipAtMotorPct;
        return CheckWriter.Judged(
            All[4].Id, model.Id, BoardRow.Supply, byPcc
                ? All[4].Title + ", at the PCC"
                : All[4].Title, byPcc ? start.DipAtPccPct : start.DipPct,
            byPcc ? pcc : supply.Defaults.DipAtMotorPct, "%", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: a lower current limit, a stronger bus, a converter.",
            new Reason(
                "largest 1 − V/V_before over the simulated start, source, standing load and motor as phasors",
                $"bus: {Text.N(start.DipPct, 3)} % (limit {Text.N(supply.Defaults.DipAtMotorPct)} %); PCC: {Text.N(start.DipAtPccPct, 3)} "
                    + $"% (limit {Text.N(pcc)} %, {why})",
                Source,
                Inputs(model, place)),
            place.Scenario);
    }

    // ∫I²dt through the starter during the start, A²s.
    private static double Used(StartCase start, SoftStarterItem item)
    {
        var moments = start.Run!.Moments;
        double sum = 0;
        for (var i = 1; i < moments.Count; i++)
        {
            var mean = (moments[i].State.StarterCurrentA + moments[i - 1].State.StarterCurrentA) / 2;
            sum += mean * mean * (moments[i].TimeS - moments[i - 1].TimeS);
        }

        return item.RatedCurrentA > 0 ? sum : 0;
    }

    private static double Allowance(DriveOnLine model, SoftStarterItem item) =>
        Math.Pow(item.StartCurrentPu * item.RatedCurrentA * item.Derating.FactorPu(model.Input.Site), 2) * item.StartTimeS;

    private static string Words(TripClass trip) => trip switch
    {
        TripClass.Class5 => "5",
        TripClass.Class10A => "10 A",
        TripClass.Class10 => "10",
        TripClass.Class20 => "20",
        _ => "30",
    };

    private static IReadOnlyList<ReasonInput> Inputs(DriveOnLine model, StartPlace place) =>
    [
        ReasonInput.Of("inertia, machine and motor", model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2, "kg·m²",
            "load and motor"),
        ReasonInput.Of("locked-rotor current", model.Connected.Plate.LockedRotorCurrentPu, "× rated", "motor"),
        ReasonInput.Of("locked-rotor torque", model.Connected.Plate.LockedRotorTorquePu, "× rated", "motor"),
        ReasonInput.Of("impedance behind the bus", 1e3 * place.Ohm.Magnitude, "mΩ", place.Scenario),
    ];
}
