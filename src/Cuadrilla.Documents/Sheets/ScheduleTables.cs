using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Units;
using S = Cuadrilla.Documents.Schedules.Schedules;

namespace Cuadrilla.Documents.Sheets;

/// <summary>Cable and device schedule of a lineup, short enough for paper.</summary>
internal static class ScheduleTables
{
    public static IReadOnlyList<SheetTable> Of(PlantSpecification plant, Lineup lineup, ProtectionPlan plan)
    {
        var units = plant.Conventions.Units;
        var cables = plan.Cables.Where(c => c.LineupId == lineup.Id).ToList();
        var devices = plan.Devices.Where(d => d.LineupId == lineup.Id).ToList();
        return
        [
            new SheetTable(
                "Cable schedule",
                ["cable", "from", "to", "kind, section", "length", "load / carries", "drop", "faults, kA", "verdict"],
                [
                    .. cables.Select(c => (IReadOnlyList<string>)
                    [
                        c.Count > 1 ? $"{c.Tag} ({c.Count} ×)" : c.Tag, c.From, c.To,
                        $"{c.Kind}, {(c.Parallel > 1 ? $"{c.Parallel} × " : string.Empty)}"
                            + $"{(c.SectionMm2 is null ? "open" : S.Section(units, c.SectionMm2))}",
                        c.LengthM is { } length ? UnitTable.Of("m").Say(units, length) : "open",
                        $"{N(c.DesignA)} / {N(c.CapacityA)} A",
                        c.DropPct is { } drop ? $"{N(drop, 2)} %" : "–",
                        $"{N(c.LargestFaultKa)} / {N(c.LeastFaultKa)}",
                        VerdictWords.Of(c.Verdict),
                    ]),
                ]),
            new SheetTable(
                "Device schedule",
                ["protects", "at", "device", "load", "breaks / fault, kA", "contactors, relay", "verdict"],
                [
                    .. devices.Select(d => (IReadOnlyList<string>)
                    [
                        d.Tag, d.Place, d.Device.Length > 0 ? d.Device : "not chosen", $"{N(d.DesignA)} A",
                        $"{N(d.BreakingKa)} / {N(d.LargestFaultKa)}",
                        string.Join("; ", new[] { d.Contactors, d.TripClass.Length > 0 ? $"class {d.TripClass}" : string.Empty,
                            d.Coordination }.Where(w => w.Length > 0)),
                        VerdictWords.Of(d.Verdict),
                    ]),
                ]),
        ];
    }

    private static string N(double? value, int digits = 3) => value is { } number ? Text.N(number, digits) : "–";
}
