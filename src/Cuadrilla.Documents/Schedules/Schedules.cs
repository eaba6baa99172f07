using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Protection;
using Cuadrilla.Documents.Lists;
using Cuadrilla.Documents.Units;

namespace Cuadrilla.Documents.Schedules;

/// <summary>Cable and device schedules as tables: what the panel builder and the cable puller take with them.</summary>
public static class Schedules
{
    /// <summary>The cable schedule as CSV.</summary>
    public static byte[] CablesCsv(PlantSpecification plant, ProtectionPlan plan) => TableFiles.Csv(Cables(plant, plan));

    /// <summary>The device schedule as CSV.</summary>
    public static byte[] DevicesCsv(ProtectionPlan plan) => TableFiles.Csv(Devices(plan));

    /// <summary>Both as a workbook.</summary>
    public static byte[] Xlsx(PlantSpecification plant, ProtectionPlan plan) =>
        TableFiles.Xlsx(new Dictionary<string, IReadOnlyList<IReadOnlyDictionary<string, object?>>> { ["Cables"] = Cables(plant, plan),
            ["Devices"] = Devices(plan) });

    /// <summary>Section in the project's words: mm², or AWG and kcmil.</summary>
    public static string Section(UnitSystem units, double? sectionMm2) =>
        sectionMm2 is not { } mm2
            ? string.Empty
            : units == UnitSystem.UsCustomary ? UnitTable.Of("mm²").Say(units, mm2) : $"{Core.Base.Text.N(mm2)} mm²";

    private static List<Dictionary<string, object?>> Cables(PlantSpecification plant, ProtectionPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(plan);
        var units = plant.Conventions.Units;
        var us = units == UnitSystem.UsCustomary;
        object? Size(double? mm2) => us ? Section(units, mm2) : mm2;
        var lineups = plant.Lineups.ToDictionary(l => l.Id, l => l.Tag, StringComparer.Ordinal);
        var rows = plan.Cables.Select(c => TableFiles.Guarded(new Dictionary<string, object?>
        {
            ["Lineup"] = lineups.GetValueOrDefault(c.LineupId),
            ["Tag"] = c.Tag,
            ["From"] = c.From,
            ["To"] = c.To,
            ["Number"] = c.Count,
            ["Kind"] = c.Kind,
            ["Parallel"] = c.Parallel,
            [us ? "Section" : "Section mm2"] = Size(c.SectionMm2),
            [us ? "Protective conductor" : "Protective conductor mm2"] = Size(c.ProtectiveMm2),
            [us ? "Length ft" : "Length m"] = c.LengthM is { } length ? UnitTable.Of("m").In(units, length) : null,
            ["Laid"] = c.Laid,
            ["I_B A"] = c.DesignA,
            ["Device"] = c.Device,
            ["I_z A"] = c.CapacityA,
            ["Drop %"] = c.DropPct,
            ["Fault at its start kA"] = c.LargestFaultKa,
            ["Least fault at its end kA"] = c.LeastFaultKa,
            [us ? "Proposed" : "Proposed mm2"] = Size(c.ProposedMm2),
            ["Governs"] = c.Governs,
            ["Reason"] = c.Reason,
            ["Verdict"] = VerdictWords.Of(c.Verdict),
        })).ToList();
        return rows.Count > 0 ? rows : [new Dictionary<string, object?> { ["Tag"] = null, ["From"] = "no cables" }];
    }

    private static List<Dictionary<string, object?>> Devices(ProtectionPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var rows = plan.Devices.Select(d => TableFiles.Guarded(new Dictionary<string, object?>
        {
            ["Protects"] = d.Tag,
            ["Place"] = d.Place,
            ["Device"] = d.Device.Length > 0 ? d.Device : "not chosen",
            ["Rated A"] = d.RatedA,
            ["Setting A"] = d.SettingA,
            ["Breaking capacity kA"] = d.BreakingKa,
            ["I_B A"] = d.DesignA,
            ["Largest fault kA"] = d.LargestFaultKa,
            ["Peak kA"] = d.PeakKa,
            ["Contactor A"] = d.ContactorA,
            ["Contactors asked"] = d.Contactors,
            ["Trip class"] = d.TripClass,
            ["Coordination"] = d.Coordination,
            ["Proposed"] = d.Proposed,
            ["Verdict"] = VerdictWords.Of(d.Verdict),
        })).ToList();
        return rows.Count > 0 ? rows : [new Dictionary<string, object?> { ["Protects"] = null, ["Place"] = "no devices" }];
    }
}
