using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Documents.Sheets;

/// <summary>What a drive point works with and how its brake is set.</summary>
internal static class ArrangementLines
{
    /// <summary>Of a lineup: the way adopted and why.</summary>
    public static IEnumerable<SheetLine> Of(Lineup lineup)
    {
        if (lineup.VariantName.Length > 0)
        {
            yield return new SheetLine("Built as", lineup.VariantName + (lineup.Reason.Length > 0 ? $": {lineup.Reason}" : string.Empty));
        }

        foreach (var bus in lineup.DcBuses)
        {
            yield return new SheetLine("Common DC bus", $"{bus.Name}: {Tags(lineup, bus.MemberIds)}{Reason(bus.Reason)}");
            if (bus.Control is ServoControl.Modular c)
            {
                yield return new SheetLine("Memory card", c.FirmwareNote.Length > 0 ? c.FirmwareNote : "not noted");
                yield return new SheetLine("Before the first start",
                    "links of the modules tightened and checked, end covers on, largest module next to the supply, groups of safe torque "
                        + "off tested by licensed people");
            }
        }

        foreach (var arrangement in lineup.Arrangements)
        {
            yield return arrangement switch
            {
                MotorGroup g => new SheetLine("Group on one converter",
                    $"{g.Name}: {string.Join(", ", g.Members.Select(m => $"{m.Count} × {Tag(lineup, m.PointId)}, {Protection(m)}"))}"
                        + $"{Reason(g.Reason)}"),
                SharedShaft s => new SheetLine("Shared shaft",
                    $"{s.Name}: {Tags(lineup, s.PointIds())}, {Method(s.Method)}{Reason(s.Reason)}"),
                RatioFollower r => new SheetLine("Ratio follower",
                    $"{r.Name}: {Tag(lineup, r.Follower.PointId)} follows {Tag(lineup, r.Leader.PointId)}{Reason(r.Reason)}; the ratio "
                        + "starts at 0: see the leader's pulses first, then set it, then check by stroboscope or counter"),
                _ => throw new InvalidOperationException("Unknown arrangement."),
            };
        }
    }

    /// <summary>Of a drive point.</summary>
    public static IEnumerable<SheetLine> Of(DrivePoint point, Lineup lineup, DrivePointModel model)
    {
        var with = lineup.DcBuses.Where(b => b.MemberIds.Contains(point.Id)).Select(b => b.Name)
            .Concat(lineup.Arrangements.Where(a => a.PointIds().Contains(point.Id)).Select(a => a.Name)).ToList();
        if (with.Count > 0)
        {
            yield return new SheetLine("Works with", string.Join(", ", with));
        }

        if (model.Choice is { Modules: > 1 } several)
        {
            yield return new SheetLine("Parallel modules", $"{several.Modules} side by side, cables of equal length");
        }

        if (model.Choice is { } choice && model.Starter is null)
        {
            yield return new SheetLine("Control", choice.Control switch
            {
                MotorControl.Scalar => "scalar (voltage over frequency)",
                MotorControl.Vector => "vector, without encoder",
                _ => "vector, with encoder",
            });
        }

        if (point.Brake is HoldingBrake.SpringApplied b)
        {
            yield return new SheetLine("Holding brake",
                $"{Or(b.HoldingNm, "Nm")}, releases in {Or(b.ReleaseMs, "ms")}, closes in {Or(b.CloseMs, "ms")}, coil "
                    + $"{Or(b.Coil.PowerW, "W")} at {Or(b.Coil.VoltageV, "V")}");
            yield return new SheetLine("Brake settings",
                $"release at {Or(b.Control.ProvenPct, "%")} torque, close below {Or(b.Control.CloseBelowPct, "%")} "
                    + $"speed{(b.Control.CloseDelayS.IsKnown ? $" or {Text.N(b.Control.CloseDelayS.Value)} s after the stop command, whichever comes first" : string.Empty)}; feedback of command {YesNo(b.Control.CommandFeedback)}, of position {YesNo(b.Control.PositionFeedback)}; test of forced release only with the load secured");
        }
    }

    private static string Tags(Lineup lineup, IReadOnlyList<string> ids) => string.Join(", ", ids.Select(id => Tag(lineup, id)));

    private static string Tag(Lineup lineup, string id) => lineup.DrivePoints.First(p => p.Id == id).Tag;

    private static string Reason(string reason) => reason.Length > 0 ? $" ({reason})" : string.Empty;

    private static string YesNo(bool value) => value ? "yes" : "no";

    private static string Or(Given value, string unit) => value.IsKnown ? $"{Text.N(value.Value)} {unit}" : $"? {unit}";

    private static string Protection(GroupMember m) => m.Protection switch
    {
        MotorProtection.OverloadRelay => "overload relay each",
        MotorProtection.Thermistor => "thermistors each",
        _ => "no protection of its own",
    };

    private static string Method(SharingMethod method) => method switch
    {
        SharingMethod.Droop => "speed droop",
        SharingMethod.TorqueFollower => "torque followers",
        SharingMethod.SpeedFollower => "speed followers",
        _ => "speed trim with torque limit",
    };
}
