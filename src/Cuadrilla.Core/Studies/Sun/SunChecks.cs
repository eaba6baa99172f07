using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>Checks of a pump on the sun: the string, what lies on its way, what the motor gets.</summary>
internal static class SunChecks
{
    private const string Caution =
        "Modules are live in daylight, arcs of direct current do not go out by themselves: licensed people, by local codes and the "
            + "makers' instructions.";

    private const string Source = "IEC 62548, 60364-7-712 (verify); docs/methods/pv-string.md";

    // Air around a cable on a roof in the sun, and its conductors' limit.
    private const double CableAirC = 70;
    private const double CableLimitC = 90;
    private const double DropLimitPct = 3;

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        if (model.Input.DrivePoint.Sun is not { } sun)
        {
            yield break;
        }

        var feed = SunFeed.Of(model);
        List<string> open = [.. sun.Module.Missing()];
        yield return StringVoltage(model, feed, open);
        yield return MotorVoltage(model, feed, open);
        yield return Fuse(model, feed, open);
        yield return Isolator(model, feed, open);
        yield return Surge(model, feed, open);
        yield return Cable(model, feed, open);
        yield return Insulation(model, feed, open);
    }

    private static Check StringVoltage(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.string-voltage", title = "Voltage of a cold string";
        List<string> missing = [.. open];
        Need(missing, model.Converter is not null, "converter");
        Need(missing, model.Input.DrivePoint.Sun!.Module.MaximumV.IsKnown, "greatest string voltage of the modules");
        Need(missing, model.Input.DrivePoint.Sun.Strings.SwitchgearV.IsKnown, "direct voltage of the switchgear");
        Need(missing, model.Input.DrivePoint.Sun.Place.ColdestC.IsKnown, "coldest dawn");
        Need(missing, model.Input.DrivePoint.Sun.Strings.InSeries.IsKnown, "modules in series");
        if (missing.Count > 0 || feed is not { LimitV: { } limit, UocColdV: { } cold, InSeries: { } n })
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        return CheckWriter.Judged(id, model.Id, BoardRow.Supply, title, n * cold, limit.V, "V", LimitSense.AtMost, 0,
            $"Relief: at most {feed.MostInSeries} modules in series. " + Caution,
            new Reason("U = n·U_oc·(1 + β·(T_min − 25)); at most the least of converter, modules and switchgear",
                $"{n}·{Text.N(cold)} = {Text.N(n * cold)} V at {Text.N(feed.Sun.Place.ColdestC.Value)} °C; {limit.Whose}: "
                    + $"{Text.N(limit.V)} V (converter {Text.N(feed.ConverterV!.Value)} V)",
                Source,
                [ReasonInput.Of("open-circuit voltage", feed.Module.UocV, "V", "module"),
                    ReasonInput.Of("its change", feed.Module.UocPctPerK, "%/K", "module")]));
    }

    private static Check MotorVoltage(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.motor-voltage", title = "Voltage at the motor on a hot noon";
        List<string> missing = [.. open];
        Need(missing, model.Fitted is not null, "motor");
        Need(missing, model.Load is not null, "pump");
        Need(missing, model.Input.DrivePoint.Sun!.Place.HottestC.IsKnown, "hottest noon");
        Need(missing, model.Input.DrivePoint.Sun.Strings.InSeries.IsKnown, "modules in series");
        if (missing.Count > 0 || feed is not { UmpHotV: { } hot, InSeries: { } n } || model.Load is not { } load)
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        var cellC = PvArray.CellC(feed.Module.NoctC, feed.Sun.Place.HottestC.Value, 1000);
        var rpm = feed.FullFluxRpm(cellC, n)!.Value;
        var fitted = model.Fitted!;
        var hz = fitted.Connected.Plate.RatedFrequencyHz * rpm / fitted.Connected.Plate.RatedSpeedRpm;
        var asked = load.RatedSpeedRpm;
        var begins = load is Loads.FluidMachineModel pump ? pump.FlowBeginsAtRpm : 0;
        var reason = new Reason("U_motor = n·U_mp(T_cell)/√2 − filter − cable; full flux to n_N·U_motor/U_linked",
            $"cells {Text.N(cellC)} °C: {n}·{Text.N(hot)} = {Text.N(n * hot)} V, {Text.N(feed.MotorV(cellC, n))} V at the motor linked "
                + $"for {Text.N(fitted.Connected.LinkedVoltageV)} V: full flux to {Text.N(hz, 3)} Hz, {Text.N(rpm)} rpm of "
                + $"{Text.N(asked)} rpm; water comes from {Text.N(begins)} rpm on",
            "docs/methods/pv-string.md; above that the study holds the speed back, since the flux would weaken",
            [ReasonInput.Of("voltage at greatest power", feed.Module.UmpV, "V", "module"),
                ReasonInput.Of("its change", feed.Module.UmpPctPerK, "%/K", "module")]);
        const string relief =
            "Fewer volts than the motor's are usual on the sun. Relief: a motor linked in delta for a lower voltage (230 V), more modules "
                + "in series where the cold string permits, a boost stage. Whether the water is enough all the same is another check.";
        if (feed.LeastLinkV is { } link && n * hot < link)
        {
            return CheckWriter.Judged(id, model.Id, BoardRow.Supply, "Link voltage on a hot noon", n * hot, link, "V",
                LimitSense.AtLeast, 0,
                "Relief: more modules in series where the cold string permits, a converter of a lower voltage, or its maker's own least "
                    + "voltage on arrays.",
                new Reason("n·U_mp(T_cell) ≥ voltage at which the converter trips for want of it", reason.WithNumbers
                    + $"; the converter trips below {Text.N(link)} V", Source, reason.Inputs));
        }

        var least = Math.Max(begins, feed.Sun.Pumping.LeastRpm is { IsKnown: true } entered ? entered.Value : 0);
        if (rpm < least)
        {
            return CheckWriter.Judged(id, model.Id, BoardRow.Supply, title + ", least speed of the pump", rpm, least, "rpm",
                LimitSense.AtLeast, 0, relief, reason);
        }

        // Less than the rated speed costs water at noon, which another check counts: it is said, not refused.
        return rpm >= asked
            ? CheckWriter.Judged(id, model.Id, BoardRow.Supply, title, rpm, asked, "rpm", LimitSense.AtLeast, 0, relief, reason)
            : new Check(id, model.Id, BoardRow.Supply, title, Verdict.Tight, rpm, asked, "rpm", LimitSense.AtLeast, Given.Unknown,
                string.Empty, relief, reason);
    }

    private static Check Fuse(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.string-fuse", title = "Fuses of the strings";
        List<string> missing = [.. open];
        Need(missing, model.Input.DrivePoint.Sun!.Strings.InParallel.IsKnown, "strings");
        if (missing.Count > 0 || feed is not { InParallel: { } strings })
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        var module = feed.Module;
        var proposed = PvString.FuseA(module);
        var fitted = feed.Sun.Strings.FuseA;
        double low = 1.5 * module.IscA, high = Math.Min(2.4 * module.IscA, module.FuseA);
        var needs = PvString.NeedsFuses(module, strings);
        var fits = fitted.IsKnown && fitted.Value >= low && fitted.Value <= high;
        var words =
            $"the others feed {Text.N((strings - 1) * PvString.StringA(module))} A into a faulty string, a module stands "
                + $"{Text.N(module.FuseA)} A; fuses from {Text.N(low)} to {Text.N(high)} "
                + $"A{(proposed is { } p ? $": {Text.N(p)} A" : ": none fits")}; "
                + $"{(fitted.IsKnown ? $"fitted {Text.N(fitted.Value)} A" : "none are fitted")}";
        return CheckWriter.Rule(id, model.Id, BoardRow.Supply, title,
            fits || (!needs && !fitted.IsKnown) ? Verdict.Holds : Verdict.Fails,
            (needs || fitted.IsKnown
                ? proposed is { } rated
                    ? $"Relief: gPV fuses of {Text.N(rated)} A, both poles where the array is not earthed. "
                    : "Relief: fewer strings, or modules that permit a larger fuse. "
                : string.Empty) + Caution,
            new Reason("fuses where (strings − 1)·k·I_sc exceeds the module's largest fuse; 1.5·I_sc ≤ I_n ≤ 2.4·I_sc and the module's",
                words, "IEC 60269-6, IEC 62548 (verify); docs/methods/pv-string.md",
                [ReasonInput.Of("short-circuit current", module.IscA, "A", "module")]));
    }

    private static Check Isolator(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.isolator", title = "Switch-disconnector of the array";
        var strings = model.Input.DrivePoint.Sun!.Strings;
        List<string> missing = [.. open];
        Need(missing, strings.InSeries.IsKnown && strings.InParallel.IsKnown, "modules in series and strings");
        Need(missing, model.Input.DrivePoint.Sun.Place.ColdestC.IsKnown, "coldest dawn");
        Need(missing, strings.IsolatorV.IsKnown && strings.IsolatorA.IsKnown, "voltage and current of the switch-disconnector");
        if (missing.Count > 0 || feed is not { UocColdV: { } cold, InSeries: { } n, ArrayA: { } amps })
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        var volts = n * cold;
        List<string> wrong = [];
        Need(wrong, strings.IsolatorV.Value >= volts, $"{Text.N(strings.IsolatorV.Value)} V for {Text.N(volts)} V");
        Need(wrong, strings.IsolatorA.Value >= amps, $"{Text.N(strings.IsolatorA.Value)} A for {Text.N(amps)} A");
        Need(wrong, strings.IsolatorPv2, "not of class DC-PV2");
        Need(wrong, strings.IsolatorNear, "not within reach of the converter");
        return CheckWriter.Rule(id, model.Id, BoardRow.Supply, title, wrong.Count == 0 ? Verdict.Holds : Verdict.Fails,
            $"Relief: class DC-PV2 from {Text.N(volts)} V and {Text.N(amps)} A, within reach of the converter. " + Caution,
            new Reason("rated voltage ≥ cold string, rated current ≥ k·I_sc of all strings, DC-PV2, within reach",
                wrong.Count == 0
                    ? $"{Text.N(strings.IsolatorV.Value)} V ≥ {Text.N(volts)} V, {Text.N(strings.IsolatorA.Value)} A ≥ {Text.N(amps)} A, "
                        + "DC-PV2, within reach"
                    : string.Join("; ", wrong), "IEC 60947-3, IEC 62548 (verify)", []));
    }

    private static Check Surge(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.surge-protection", title = "Surge protection of the array";
        List<string> missing = [.. open];
        Need(missing, model.Input.DrivePoint.Sun!.Strings.InSeries.IsKnown, "modules in series");
        Need(missing, model.Input.DrivePoint.Sun.Strings.SurgeV.IsKnown, "continuous voltage of the surge protection");
        if (missing.Count > 0 || feed is not { InSeries: { } n })
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        return CheckWriter.Judged(id, model.Id, BoardRow.Supply, title, feed.Sun.Strings.SurgeV.Value,
            PvString.SurgePu * n * feed.Module.UocV,
            "V", LimitSense.AtLeast, 0, "Relief: a device of a higher continuous voltage.",
            new Reason("U_c ≥ 1.2·n·U_oc", $"{Text.N(feed.Sun.Strings.SurgeV.Value)} V against 1.2·{n}·{Text.N(feed.Module.UocV)} V",
                Source, []));
    }

    private static Check Cable(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.dc-cable", title = "Direct-current cable";
        var strings = model.Input.DrivePoint.Sun!.Strings;
        List<string> missing = [.. open];
        Need(missing, strings.CableM.IsKnown && strings.CableMm2.IsKnown, "length and section of the cable from the array");
        Need(missing, strings.InSeries.IsKnown && strings.InParallel.IsKnown, "modules in series and strings");
        if (missing.Count > 0 || feed is not { InSeries: { } n, InParallel: { } parallel, ArrayA: { } amps })
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        var tables = model.Data.Cables;
        var row = tables.Rows.LastOrDefault(r => r.SectionMm2 <= strings.CableMm2.Value);
        if (row is null || tables.CapacityA(row, CableInsulation.Xlpe, InstallationMethod.E, ConductorMaterial.Copper) is not { } tabled)
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, ["a section of the table"]);
        }

        var factor = Math.Sqrt((CableLimitC - CableAirC) / (CableLimitC - CableTables.TableC));
        var capacity = tabled * factor;
        var impp = parallel * feed.Module.PeakW / feed.Module.UmpV;
        var ohm = 2 * strings.CableM.Value * ConductorResistance.OhmPerM(
            ConductorResistance.At20OhmPerM(strings.CableMm2.Value, ConductorMaterial.Copper, null), ConductorMaterial.Copper, CableAirC);
        var drop = 100 * ohm * impp / (n * feed.Module.UmpV);
        var check = CheckWriter.Judged(id, model.Id, BoardRow.Supply, title, amps, capacity, "A", LimitSense.AtMost, 0,
            "Relief: a thicker cable, or two.",
            new Reason("k·I_sc of all strings ≤ I_z at 70 °C of air; drop 2·R·I_mp/(n·U_mp)",
                $"{Text.N(amps)} A against {Text.N(tabled)}·{Text.N(factor, 3)} = {Text.N(capacity)} A; {Text.N(drop, 3)} % lost at "
                    + "greatest power",
                "IEC 60364-5-52, method E, XLPE; IEC 62548 (verify)", []));
        return drop > DropLimitPct
            ? check.AtBestTight($"more than {Text.N(DropLimitPct)} % lost", "Relief: a thicker cable: the drop is paid in water.")
            : check;
    }

    private static Check Insulation(DrivePointModel model, SunFeed? feed, List<string> open)
    {
        const string id = "pv.insulation", title = "Insulation of the array";
        List<string> missing = [.. open];
        Need(missing, feed?.ArrayKw is not null, "modules in series and strings");
        Need(missing, model.Input.DrivePoint.Sun!.Strings.InsulationKohm.IsKnown, "insulation to earth as measured before the start");
        if (missing.Count > 0 || feed is not { ArrayKw: { } kw })
        {
            return Check.Lacking(id, model.Id, BoardRow.Supply, title, missing);
        }

        return PvString.InsulationKohm(kw) is { } least
            ? CheckWriter.Judged(id, model.Id, BoardRow.Supply, title, feed.Sun.Strings.InsulationKohm.Value, least, "kΩ",
                LimitSense.AtLeast,
                0, "Relief: find the fault before the start. " + Caution,
                new Reason("least insulation by the array's power, in steps",
                    $"{Text.N(kw)} kW: {Text.N(least)} kΩ; measured {Text.N(feed.Sun.Strings.InsulationKohm.Value)} kΩ", Source, []))
            : Check.Lacking(id, model.Id, BoardRow.Supply, title, ["a limit for arrays above 400 kW"]);
    }

    private static void Need(List<string> missing, bool isThere, string name)
    {
        if (!isThere)
        {
            missing.Add(name);
        }
    }
}
