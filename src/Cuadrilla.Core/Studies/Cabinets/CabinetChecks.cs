using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cabinets;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>Cabinets of a lineup: <c>cabinet.heat</c>, <c>cabinet.air</c>, <c>cabinet.width</c>, <c>cabinet.clearance</c>.</summary>
internal static class CabinetChecks
{
    public const string HeatId = "cabinet.heat";
    private const string AirId = "cabinet.air";
    private const string WidthId = "cabinet.width";
    private const string ClearanceId = "cabinet.clearance";
    private const string Source = "docs/methods/cabinets.md";

    public static IEnumerable<Check> Of(CabinetStudy study, double tightPct)
    {
        foreach (var section in study.Layout.Sections)
        {
            var element = $"{study.Lineup.Id}/{section.Number}";
            yield return Heat(study, section, tightPct).At(element);
            if (study.Build.Cooling == CabinetCooling.Forced && section.Units.Any(u => u.Unit.AirM3PerH > 0))
            {
                yield return Air(study, section, tightPct).At(element);
            }
        }

        yield return Width(study, tightPct).At(study.Lineup.Id);
        yield return Clearance(study).At(study.Lineup.Id);
    }

    // The name of a section in titles.
    private static string Named(CabinetStudy study, CabinetSection section) => $"section {section.Number} of {study.Lineup.Tag}";

    private static Check Heat(CabinetStudy study, CabinetSection section, double tightPct)
    {
        var title = $"Heat in {Named(study, section)}";
        List<string> missing = [.. MissingFor(study)];
        var found = study.AirOf(section);
        if (found.Count < study.Scenarios)
        {
            missing.Add($"load and motor of {string.Join(", ", section.Units.Select(u => u.Unit.Name))}");
        }

        // A section that may get further units, or whose current they add to, is not known while they are missing.
        if (section.Kind is SectionKind.Units or SectionKind.Incoming)
        {
            missing.AddRange(study.Missing);
        }

        if (section.Units.Count > 0 && !study.Runs(section.Units.Select(u => u.Unit)))
        {
            missing.Add($"a scenario in which {string.Join(" or ", section.Units.Select(u => u.Unit.Name.Split(',')[0]))} runs");
        }

        if (missing.Count > 0 || found.Count == 0)
        {
            return Check.Lacking(HeatId, string.Empty, BoardRow.Plant, title, missing.DefaultIfEmpty("a scenario"));
        }

        const string relief =
            "Relief: a larger fan or cleaner mats, fewer units in it, a wider section, heat sinks outside, a cooler, cooler air in "
                + "the room.";
        if (study.Build.Cooling == CabinetCooling.Cooled)
        {
            var dewC = DewPoint.OfC(study.Site.AmbientMaxC, study.Build.HumidityPct.Value);
            if (study.Build.CooledC.Value <= dewC)
            {
                return CheckWriter.Judged(HeatId, string.Empty, BoardRow.Plant, title, study.Build.CooledC.Value, dewC, "°C",
                    LimitSense.AtLeast,
                    tightPct, "Relief: warmer air inside, a section that is tight against the room's air, drier air in the room.",
                    new Reason("air that the cooler holds > dew point of the room",
                        $"{Text.N(study.Site.AmbientMaxC)} °C at {Text.N(study.Build.HumidityPct.Value)} %: water falls out below "
                            + $"{Text.N(dewC, 3)} °C", Source, []));
            }

            var most = found.MaxBy(f => f.LossW)!;
            return CheckWriter.Judged(HeatId, string.Empty, BoardRow.Plant, title, most.LossW, study.Build.CoolerW.Value, "W",
                LimitSense.AtMost, tightPct, relief,
                new Reason("ΣP inside ≤ what the cooler carries", $"{Text.N(most.LossW, 3)} W of {Text.N(study.Build.CoolerW.Value)} W",
                    Source, []), most.Scenario.Name);
        }

        var warmest = found.MaxBy(f => f.TopC!.Value)!;
        return CheckWriter.Judged(HeatId, string.Empty, BoardRow.Plant, title, warmest.TopC!.Value, study.PermittedC, "°C",
            LimitSense.AtMost,
            tightPct, relief, new Reason(
                study.Heat is { } still && study.Build.Cooling is CabinetCooling.Closed or CabinetCooling.Vented
                    ? $"θ + c·k·d·P^{Text.N(still.Exponent, 3)}"
                    : "θ + 3.1·P·e^(h/8000)/V",
                Numbers(study, section, warmest), Source, []), warmest.Scenario.Name);
    }

    private static string Numbers(CabinetStudy study, CabinetSection section, SectionAir air)
    {
        var said = $"{Text.N(study.Site.AmbientMaxC)} °C in the room, {Text.N(air.LossW, 3)} W inside";
        return study.Build.Cooling == CabinetCooling.Forced
            ? $"{said}, {Text.N(study.FanM3PerH!.Value, 3)} m³/h behind the mats: {Text.N(air.TopC!.Value, 3)} °C at the outlet"
            : $"{said}: {Text.N(air.TopC!.Value, 3)} °C under the roof; with stirred air {Text.N(Stirred(study, section), 3)} W would do "
                + "(a first estimate, never judged by)";
    }

    private static double Stirred(CabinetStudy study, CabinetSection section) =>
        EnclosureHeat.ScreeningW(study.SurfaceM2(section), Math.Max(0, study.PermittedC - study.Site.AmbientMaxC));

    private static Check Air(CabinetStudy study, CabinetSection section, double tightPct)
    {
        var title = $"Air of {Named(study, section)}";
        if (study.FanM3PerH is not { } fan)
        {
            return Check.Lacking(AirId, string.Empty, BoardRow.Plant, title, ["fan of the sections"]);
        }

        // Units at the same height share the stream; those above take it over.
        var inside = study.Build.SinksOutside ? study.Series.SinkInsidePu : 1;
        var row = section.Units.Select(section.Beside).MaxBy(r => r.Sum(u => u.Unit.AirM3PerH))!;
        var wanted = inside * row.Sum(u => u.Unit.AirM3PerH);
        return CheckWriter.Judged(AirId, string.Empty, BoardRow.Plant, title, wanted, fan, "m³/h", LimitSense.AtMost, tightPct,
            "Relief: a larger fan, cleaner or larger mats; what the units blow beyond it goes round inside and warms them.",
            new Reason("Σ air of the units side by side ≤ air of the section",
                $"{string.Join(", ", row.Where(u => u.Unit.AirM3PerH > 0).Select(u => $"{u.Unit.Name} {Text.N(inside * u.Unit.AirM3PerH, 3)} m³/h"))}; "
                    + $"the fan moves {Text.N(fan, 3)} m³/h behind the mats; outlet at least 1.1 times the inlet",
                Source, []));
    }

    private static Check Width(CabinetStudy study, double tightPct)
    {
        var title = $"Width of {study.Lineup.Tag}";
        List<string> missing = [.. study.Missing];
        if (!study.Build.RoomMm.IsKnown)
        {
            missing.Add("width that is free where it is to stand");
        }

        return missing.Count > 0
            ? Check.Lacking(WidthId, string.Empty, BoardRow.Plant, title, missing)
            : CheckWriter.Judged(WidthId, string.Empty, BoardRow.Plant, title, study.Layout.WidthMm, study.Build.RoomMm.Value, "mm",
                LimitSense.AtMost, tightPct, "Relief: higher sections, wider sections better filled, another room, two rows.",
                new Reason("Σ widths of the sections",
                    string.Join(" + ", study.Layout.Sections.Select(s => Text.N(s.WidthMm))) + $" mm = {Text.N(study.Layout.WidthMm)} mm",
                    Source, []));
    }

    private static Check Clearance(CabinetStudy study)
    {
        var title = $"Clearances in {study.Lineup.Tag}";
        if (study.Missing.Count > 0)
        {
            return Check.Lacking(ClearanceId, string.Empty, BoardRow.Plant, title, study.Missing);
        }

        var deep = study.Layout.Sections.Where(s => s.Kind == SectionKind.Units).SelectMany(s => s.Units)
            .Where(u => u.Unit.Size.DepthMm > study.DepthMm - study.Series.BehindMm).Select(u => u.Unit).ToList();
        var unknown = study.Build.Pins.Where(p => study.Units.All(u => u.Id != p.UnitId)).Select(p => p.UnitId).ToList();
        var faults = study.Layout.Misfits.Select(m => $"{m.Unit} has no room in section {m.Section}")
            .Concat(deep.Select(u =>
                $"{u.Name} is {Text.N(u.Size.DepthMm, 3)} mm deep, {Text.N(study.DepthMm - study.Series.BehindMm)} mm are there"))
            .ToList();
        var said = faults.Count > 0 ? string.Join("; ", faults)
            : $"{study.Units.Count} units with the space that they ask for above, below and beside"
                + (unknown.Count > 0 ? $"; placed by hand, and gone: {string.Join(", ", unknown)}" : string.Empty);
        return CheckWriter.Rule(ClearanceId, string.Empty, BoardRow.Plant, title, faults.Count > 0 ? Verdict.Fails : Verdict.Holds,
            "Relief: another section, a wider or deeper one; let it place the unit.",
            new Reason("room in the section, depth, clearances", said, Source, []));
    }

    private static IEnumerable<string> MissingFor(CabinetStudy study)
    {
        var build = study.Build;
        return build.Cooling switch
        {
            CabinetCooling.Forced => Named((build.FanM3PerH.IsKnown, "fan of the sections")),
            CabinetCooling.Cooled => Named((build.CoolerW.IsKnown, "cooler of the sections"), (build.CooledC.IsKnown, "air that it holds"),
                (build.HumidityPct.IsKnown, "relative humidity of the room's air")),
            _ => Named((build.FactorK.IsKnown, "factor k of the sections"), (build.FactorC.IsKnown, "factor c of the sections")),
        };

        static IEnumerable<string> Named(params (bool IsKnown, string Name)[] wanted) => wanted.Where(w => !w.IsKnown).Select(w => w.Name);
    }
}
