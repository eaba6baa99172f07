using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>The assembly as a whole: <c>cabinet.busbar</c>, <c>cabinet.short-circuit</c>.</summary>
internal static class AssemblyChecks
{
    private const string BusbarId = "cabinet.busbar";
    private const string ShortCircuitId = "cabinet.short-circuit";
    private const string Source = "docs/methods/cabinets.md";

    public static IEnumerable<Check> Of(CabinetStudy study, SupplyContext supply) =>
        MainBusbar(study, supply).Append(ShortCircuit(study, supply)).Select(c => c.At(study.Lineup.Id))
            .Concat(study.Lineup.DcBuses.Count > 0 ? [DcBusbar(study, supply).At($"{study.Lineup.Id}/dc")] : []);

    // Drives on the sun take nothing from a busbar of the mains.
    private static IEnumerable<Check> MainBusbar(CabinetStudy study, SupplyContext supply) =>
        study.Lineup.DrivePoints.Any(p => p.Sun is null) ? [Busbar(study, supply)] : [];

    // The members of every common DC bus of the lineup, on one busbar each: the worst section of all counts.
    private static Check DcBusbar(CabinetStudy study, SupplyContext supply)
    {
        var title = $"DC busbar of {study.Lineup.Tag}";
        var lineV = supply.Plant.Distribution.Bus(study.Lineup.BusId).NominalVoltageV;
        List<string> missing = [.. study.Missing];
        if (!study.Build.DcBusbarA.IsKnown)
        {
            missing.Add("current of the DC busbar");
        }

        if (!study.Runs(study.Units.Where(u => study.Lineup.DcBuses.Any(b => u.Feeds.Any(b.MemberIds.Contains)))))
        {
            missing.Add("a scenario in which a member of the DC bus runs");
        }

        var sections = study.Layout.Sections.Where(s => s.Kind is SectionKind.Units or SectionKind.FreeStanding)
            .Select(s => (Section: s, Ampere: study.DcBusbarA(s, lineV), TopC: study.AirOf(s).Count == study.Scenarios
                ? study.AirOf(s).Max(a => a.TopC) : null)).ToList();
        if (sections.Count == 0 || sections.Exists(s => s.TopC is null || s.Ampere is null))
        {
            missing.Add("heat and power of the sections");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(BusbarId, string.Empty, BoardRow.Plant, title, missing);
        }

        var stated = study.Build.DcBusbarA.Value;
        var (section, ampere, topC) = sections.MaxBy(s => AssemblyWithstand.BusbarRiseK(s.Ampere!.Value, stated)
            - AssemblyWithstand.PermittedRiseK(s.TopC!.Value));
        return CheckWriter.Judged(BusbarId, string.Empty, BoardRow.Plant, title, AssemblyWithstand.BusbarRiseK(ampere!.Value, stated),
            AssemblyWithstand.PermittedRiseK(topC!.Value), "K", LimitSense.AtMost, supply.Defaults.TightMarginPct,
            "Relief: a larger DC busbar, the largest inverters next to the supply module.",
            new Reason("30 K·(I/I_N)^1.6 ≤ 70 K − (θ − 35 °C)",
                $"section {section.Number}: {Text.N(ampere.Value, 3)} A of {Text.N(stated)} A in air of {Text.N(topC.Value, 3)} °C; "
                    + "powers of all members added up at a link of 1.35·0.9·U",
                Source, []));
    }

    // In each section its own current and its own air; the worst counts.
    private static Check Busbar(CabinetStudy study, SupplyContext supply)
    {
        var title = $"Busbar of {study.Lineup.Tag}";
        var currents = BusbarCurrents.Of(study, supply.Scenarios);
        List<string> missing = [.. currents.Missing];
        if (!study.Build.BusbarA.IsKnown)
        {
            missing.Add("current of the busbar");
        }

        var sections = study.Layout.Sections.Where(s => s.Kind != SectionKind.Control)
            .Select(s => (Section: s, Ampere: currents.In(s), TopC: study.AirOf(s).Count == study.Scenarios
                ? study.AirOf(s).Max(a => a.TopC)
                : null)).ToList();
        if (sections.Exists(s => s.TopC is null))
        {
            missing.Add("heat of the sections");
        }

        if (missing.Count > 0)
        {
            return Check.Lacking(BusbarId, string.Empty, BoardRow.Plant, title, missing);
        }

        var stated = study.Build.BusbarA.Value;
        var (section, ampere, topC) = sections.MaxBy(s => AssemblyWithstand.BusbarRiseK(s.Ampere!.Value, stated)
            - AssemblyWithstand.PermittedRiseK(s.TopC!.Value));
        return CheckWriter.Judged(BusbarId, string.Empty, BoardRow.Plant, title, AssemblyWithstand.BusbarRiseK(ampere!.Value, stated),
            AssemblyWithstand.PermittedRiseK(topC!.Value), "K", LimitSense.AtMost,
            supply.Defaults.TightMarginPct, "Relief: a larger busbar, cooler sections, the largest units next to the supply.",
            new Reason("30 K·(I/I_N)^1.6 ≤ 70 K − (θ − 35 °C)",
                $"section {section.Number}: {Text.N(ampere.Value, 3)} A rms of {Text.N(stated)} A in air of {Text.N(topC.Value, 3)} °C; "
                    + "bare copper, IEC 61439-1 (verify)",
                Source, []));
    }

    private static Check ShortCircuit(CabinetStudy study, SupplyContext supply)
    {
        var title = $"Short-circuit withstand of {study.Lineup.Tag}";
        var isUs = supply.Plant.Conventions.Installation == InstallationCode.Nfpa70;
        var fault = supply.ShortCircuits.GetValueOrDefault(study.Lineup.BusId);
        List<string> missing = fault is null ? ["fault level of its bus"] : [];
        if (fault is { } known && !isUs && known.LargestA <= AssemblyWithstand.ExemptKa * 1e3)
        {
            return CheckWriter.Rule(ShortCircuitId, string.Empty, BoardRow.Plant, title, Verdict.Holds, string.Empty,
                new Reason("I_k″ ≤ 10 kA", $"{Text.N(known.LargestA / 1e3, 3)} kA: no proof is asked for (IEC 61439-1, 10.11.2)",
                    Source, []),
                known.LargestScenario);
        }

        if (isUs)
        {
            missing.AddRange(study.Missing);
        }

        if (!study.Build.WithstandKa.IsKnown)
        {
            missing.Add("withstand current of the assembly");
        }

        return missing.Count > 0 ? Check.Lacking(ShortCircuitId, string.Empty, BoardRow.Plant, title, missing)
            : isUs ? Weakest(study, fault!, title, supply.Defaults.TightMarginPct)
            : Peak(study, fault!, title, supply.Defaults.TightMarginPct);
    }

    // The rms current and its peak, each against its own: the one that is nearer to its limit is told.
    private static Check Peak(CabinetStudy study, BusShortCircuit fault, string title, double tightPct)
    {
        var withstand = study.Build.WithstandKa.Value;
        var peak = withstand * AssemblyWithstand.PeakFactor(withstand);
        var (ik, ip) = (fault.LargestA / 1e3, fault.PeakA / 1e3);
        var isPeak = ip / peak >= ik / withstand;
        return CheckWriter.Judged(ShortCircuitId, string.Empty, BoardRow.Plant, title, isPeak ? ip : ik, isPeak ? peak : withstand, "kA",
            LimitSense.AtMost, tightPct, "Relief: a stronger assembly, a device ahead of it that lets less through (its maker's figures).",
            new Reason("i_p ≤ n·I_cw, I_k″ ≤ I_cw",
                $"i_p {Text.N(ip, 3)} of {Text.N(peak, 3)} kA, I_k″ {Text.N(ik, 3)} of {Text.N(withstand, 3)} kA; let-through of a device "
                    + "is not counted; IEC 61439-1 table 7",
                Source, []), fault.LargestScenario);
    }

    private static Check Weakest(CabinetStudy study, BusShortCircuit fault, string title, double tightPct)
    {
        var parts = study.Units.Where(u => u.ShortCircuitKa is not null).Select(u => (u.Name, Ka: u.ShortCircuitKa!.Value))
            .Append((Name: "the assembly", Ka: study.Build.WithstandKa.Value)).ToList();
        var weakest = parts.MinBy(p => p.Ka);
        var open = study.Units.Where(u => u.Kind == CabinetUnitKind.Starter && u.ShortCircuitKa is null).Select(u => u.Name).ToList();
        var check = CheckWriter.Judged(ShortCircuitId, string.Empty, BoardRow.Plant, title, fault.LargestA / 1e3, weakest.Ka, "kA",
            LimitSense.AtMost, tightPct, "Relief: a part with a higher rating, listed with its device; a current-limiting device ahead.",
            new Reason("I_k ≤ SCCR, that of the weakest part", $"{weakest.Name}: {Text.N(weakest.Ka, 3)} kA"
                + (open.Count > 0 ? $"; by their listed combination: {string.Join(", ", open)}" : string.Empty), Source, []),
            fault.LargestScenario);
        return check.Verdict == Verdict.Holds && open.Count > 0 ? check with { Verdict = Verdict.Tight } : check;
    }
}
