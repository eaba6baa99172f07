using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Cabinets;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Documents.Sheets;

/// <summary>Cabinets of a lineup on its sheet: a line of figures, a table of sections.</summary>
internal static class CabinetSheet
{
    public static IEnumerable<SheetLine> Lines(CabinetStudy? study)
    {
        if (study is null)
        {
            yield break;
        }

        var sections = study.Layout.Sections;
        yield return new SheetLine("Cabinets",
            $"{sections.Count} sections, {Text.N(study.Layout.WidthMm)} mm wide, {Text.N(study.HeightMm)} mm high on "
                + $"{Text.N(study.PlinthMm)} mm, {Text.N(study.DepthMm)} mm deep, "
            + $"{Text.N(sections.Sum(study.MassKg), 3)} kg; {Cooling(study)}"
            + (study.RoomW() is { } room ? $"; {Text.N(room, 3)} W into the room" : string.Empty));
        if (study.Missing.Count > 0)
        {
            yield return new SheetLine("Not in them yet", string.Join("; ", study.Missing));
        }
    }

    public static IEnumerable<SheetTable> Tables(CabinetStudy? study, PlantAssessment assessment, UnitSystem units)
    {
        if (study is not null)
        {
            var busbar = BusbarCurrents.Of(study, assessment.Scenarios);
            yield return new SheetTable("Cabinets",
                ["section", "width", "mass", "loss inside", "under the roof", "busbar", "what stands in it"],
                [.. study.Layout.Sections.Select(s => Row(study, s, busbar))]).In(units);
        }
    }

    private static IReadOnlyList<string> Row(CabinetStudy study, CabinetSection section, BusbarCurrents busbar)
    {
        var air = study.AirOf(section);
        var top = air.Count > 0 ? air.Max(a => a.TopC) : null;
        return
        [
            $"{section.Number}",
            $"{Text.N(section.WidthMm)} mm",
            $"{Text.N(study.MassKg(section), 3)} kg",
            air.Count > 0 ? $"{Text.N(air.Max(a => a.LossW), 3)} W" : "–",
            top is { } c ? $"{Text.N(c, 3)} °C" : "–",
            busbar.In(section) is { } ampere ? $"{Text.N(ampere, 3)} A" : "–",
            section.Units.Count > 0 ? string.Join("; ",
                section.Units.Select(u => u.Unit.Name + (u.IsByHand ? " (placed by hand)" : string.Empty)))
                : section.Kind == SectionKind.Incoming ? "incoming" : "control",
        ];
    }

    private static string Cooling(CabinetStudy study) => study.Build.Cooling switch
    {
        CabinetCooling.Closed => "closed",
        CabinetCooling.Vented => "vented",
        CabinetCooling.Forced => study.FanM3PerH is { } fan ? $"a fan each, {Text.N(fan, 3)} m³/h behind the mats" : "a fan each",
        _ => study.Build.CoolerW.IsKnown ? $"a cooler each, {Text.N(study.Build.CoolerW.Value)} W" : "a cooler each",
    };
}
