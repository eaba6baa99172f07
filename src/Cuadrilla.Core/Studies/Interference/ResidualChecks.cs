using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Interference;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Supply;

namespace Cuadrilla.Core.Studies.Interference;

/// <summary><c>emc.rcd</c>: kind of the residual-current devices ahead of a drive point, and what leaks for ever through each.</summary>
internal static class ResidualChecks
{
    private const string Id = "emc.rcd";
    private const string Title = "Residual-current device";

    // Above this current a device is a relay with a summation transformer.
    private const double LargestDeviceA = 125;
    private const double TouchV = 50;

    // The resistance of an electrode follows the season's moisture (verify).
    private const double SeasonPct = 20;

    public static IEnumerable<Check> Of(DrivePointModel model, Bus bus, SupplyContext supply)
    {
        var point = model.Input.DrivePoint;
        if (model.WholeItem is null && model.Starter is null || model.Input.HasNoLine || model.Input.Group is { IsHead: false })
        {
            yield break;
        }

        var lineup = supply.Plant.LineupOf(point.Id);
        List<(string Where, ResidualDevice Device)> fitted = [];
        if (point.Interference.Residual.IsFitted)
        {
            fitted.Add(("its feeder", point.Interference.Residual));
        }

        if (lineup.Residual.IsFitted)
        {
            fitted.Add((lineup.Tag, lineup.Residual));
        }

        if (fitted.Count == 0)
        {
            yield return None(point, lineup, bus);
            yield break;
        }

        foreach (var (where, device) in fitted)
        {
            yield return Kind(model, bus, where, device);
            if (bus is { Earthing: EarthingSystem.Tt, ElectrodeOhm.IsKnown: true } && device.RatedMa.IsKnown)
            {
                yield return Electrode(point, bus, where, device);
            }
        }

        if (point.Interference.Residual.IsFitted && InterferenceFigures.Of(model, bus, supply.Plant) is { Item: not null } figures)
        {
            yield return Standing(point.Id, "its feeder", point.Interference.Residual, figures.Leaks is { } leaks ? leaks.TotalMa : null,
                figures.Leaks is null ? [point.Tag] : []);
        }
    }

    /// <summary>What leaks through the device ahead of a whole lineup.</summary>
    public static IEnumerable<Check> OfLineups(SupplyContext supply, IReadOnlyList<DrivePointModel> models)
    {
        var byId = models.ToDictionary(m => m.Id, StringComparer.Ordinal);
        foreach (var lineup in supply.Plant.Lineups.Where(l => l.Residual.IsFitted))
        {
            var bus = supply.Plant.Distribution.Bus(lineup.BusId);
            var (sum, unknown) = LeakageSum.Of(supply.Plant, lineup, bus, lineup.DrivePoints.Select(p => byId[p.Id]), supply.Data);
            yield return Standing(string.Empty, lineup.Tag, lineup.Residual, sum, unknown).At(lineup.Id);
        }
    }

    private static Check None(DrivePoint point, Lineup lineup, Bus bus)
    {
        var stated = point.Interference.Residual.Kind == ResidualKind.None || lineup.Residual.Kind == ResidualKind.None;
        return bus.Earthing switch
        {
            EarthingSystem.NotStated => stated
                ? Check.Lacking(Id, point.Id, BoardRow.Supply, Title, [$"earthing system of {bus.Name}"])
                : Check.NotConcerned(Id, point.Id, BoardRow.Supply, Title,
                    $"none is stated; whether one is asked follows from the earthing system of {bus.Name}, which is not stated"),
            EarthingSystem.Tt when !stated =>
                Check.Lacking(Id, point.Id, BoardRow.Supply, Title,
                    ["residual-current device of its feeder or its lineup: TT disconnects by it"]),
            EarthingSystem.Tt => CheckWriter.Rule(
                Id, point.Id, BoardRow.Supply, Title, Verdict.Fails,
                "Relief: a residual-current device of type B ahead of converters. " + Protection.ProtectionChecks.Caution,
                new Reason("TT: a residual-current device disconnects, R_A·I_Δn ≤ 50 V", "none is fitted", "IEC 60364-4-41, 411.5", [])),
            _ => Check.NotConcerned(
                Id, point.Id, BoardRow.Supply, Title,
                "none is asked where the overcurrent device disconnects in time; with converters none is recommended, unless a code or an "
                    + "insurer asks for one"),
        };
    }

    private static Check Kind(DrivePointModel model, Bus bus, string where, ResidualDevice device)
    {
        var (point, item) = (model.Input.DrivePoint, model.WholeItem);
        var single = item?.Kind == ConverterKind.SinglePhaseInput;
        var toNeutral = single && item!.RatedVoltageV < 0.75 * bus.NominalVoltageV;
        var (sees, why) = item is null
            ? (model.Starter?.Item is null || device.Kind is not ResidualKind.TypeAc,
                model.Starter?.Item is null
                    ? "a motor on the line leaks a sine: any type"
                    : "a soft starter cuts the sine: pulsating residual currents, type A at least")
            : toNeutral
                ? (device.Kind is ResidualKind.TypeF or ResidualKind.TypeB or ResidualKind.MonitorB,
                    "a converter between phase and neutral leaks with its output's frequency too: type F or B")
                : (device.Kind is ResidualKind.TypeB or ResidualKind.MonitorB,
                    $"{(single ? "a converter between two phases" : "a three-phase bridge")} can drive a smooth direct current into a "
                        + "fault: type B alone sees it, and a type A or F in series goes blind of it");
        var ratedA = item?.LightCurrentA ?? model.Fitted?.Connected.Plate.RatedCurrentA ?? 0;
        var tooLarge = ratedA > LargestDeviceA && device.Kind != ResidualKind.MonitorB;
        var check = CheckWriter.Rule(
            Id, point.Id, BoardRow.Supply, $"{Title} at {where}", !sees ? Verdict.Fails : tooLarge ? Verdict.Tight : Verdict.Holds,
            (!sees ? "Relief: type B, or none where the overcurrent device disconnects in time. "
                : "Relief: a monitor with summation transformer. ") + Protection.ProtectionChecks.Caution,
            new Reason(
                "three-phase or two-phase bridge: type B; between phase and neutral: F or B; no A or F upstream of them",
                $"{Words(device.Kind)} at {where}; "
                    + $"{why}{(tooLarge ? $"; {Text.N(ratedA)} A is more than a device of {Text.N(LargestDeviceA)} A carries" : string.Empty)}"
                + (bus is { Earthing: EarthingSystem.Tt, ElectrodeOhm.IsKnown: false } && device.RatedMa.IsKnown
                    ? $"; TT: R_A ≤ {Text.N(TouchV / device.RatedMa.Value * 1e3)} Ω is to be measured"
                    : string.Empty),
                "IEC 60364-5-53; IEC 62423", [])).At(where == "its feeder" ? string.Empty : where);

        // Nobody signs a TT system before its earth is measured.
        return bus is { Earthing: EarthingSystem.Tt, ElectrodeOhm.IsKnown: false }
            ? check.AtBestTight("the earth of a TT system is to be measured", "Measure R_A: R_A·I_Δn ≤ 50 V.")
            : check;
    }

    private static Check Electrode(DrivePoint point, Bus bus, string where, ResidualDevice device)
    {
        var (ohm, ma) = (bus.ElectrodeOhm.Value, device.RatedMa.Value);
        return CheckWriter.Judged(
            Id, point.Id, BoardRow.Supply, $"Earth of the TT system, device at {where}", ohm * ma / 1e3, TouchV, "V", LimitSense.AtMost,
            SeasonPct,
            "Relief: a better electrode, or a smaller rated residual current. " + Protection.ProtectionChecks.Caution,
            new Reason(
                "R_A·I_Δn ≤ 50 V", $"{Text.N(ohm)} Ω · {Text.N(ma)} mA = {Text.N(ohm * ma / 1e3)} V; measured again in the dry season",
                "IEC 60364-4-41, 411.5",
                [ReasonInput.Of("earth electrode R_A", ohm, "Ω", bus.Name), ReasonInput.Of("rated residual current", ma, "mA", where)]))
                    .At("electrode, " + where);
    }

    private static Check Standing(string pointId, string where, ResidualDevice device, double? sumMa, IReadOnlyList<string> unknown)
    {
        var title = $"Standing leakage at {where}";
        if (!device.RatedMa.IsKnown || sumMa is not { } sum)
        {
            return Check.Lacking(
                Id, pointId, pointId.Length > 0 ? BoardRow.Supply : BoardRow.Plant, title,
                device.RatedMa.IsKnown
                    ? [$"capacitance to earth of {string.Join(", ", unknown)}"]
                    : [$"rated residual current of the device at {where}"]);
        }

        return CheckWriter.Judged(
            Id, pointId, pointId.Length > 0 ? BoardRow.Supply : BoardRow.Plant, title, sum, FilterLeakage.PermittedMa(device.RatedMa.Value),
            "mA", LimitSense.AtMost, 0,
            "Relief: a device with a larger rated residual current where the code permits, filters with less capacitance to earth, fewer "
                + "drives behind one device, an isolating transformer. "
            + Protection.ProtectionChecks.Caution,
            new Reason(
                "sum of what leaks at line frequency and three times it ≤ 0.3·I_Δn",
                $"{Text.N(sum)} mA as a bound against 0.3·{Text.N(device.RatedMa.Value)} mA; switching on and edges add for moments",
                "IEC 60364-5-53; docs/methods/leakage.md", [ReasonInput.Of("rated residual current", device.RatedMa.Value, "mA", where)]))
                    .At("standing");
    }

    private static string Words(ResidualKind kind) => kind switch
    {
        ResidualKind.TypeAc => "type AC",
        ResidualKind.TypeA => "type A",
        ResidualKind.TypeF => "type F",
        ResidualKind.TypeB => "type B",
        _ => "a monitor of type B",
    };
}
