using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Commissioning.Parameters;

/// <summary>Limits of current, torque and speed.</summary>
internal static class LimitParameters
{
    public static void Of(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Limits, BoardRow.Converter);
        if (source.Model.Converter is not { } converter || source.Model.Fitted is not { } fitted)
        {
            list.Missing("limit.current", "current limit", "A", "motor and converter");
            return;
        }

        var rated = fitted.Connected.Plate.RatedCurrentA;
        var limit = converter.SiteCurrentA * converter.Overload.CurrentPu;
        list.Computed("limit.current", "current limit", limit, "A", "k·I_site",
            $"{Text.N(converter.Overload.CurrentPu)} · {Text.N(converter.SiteCurrentA)} A for {Text.N(converter.Overload.TimeS)} s",
            "docs/methods/overload.md", $"100 % = {Text.N(rated)} A of the motor: {Text.N(100 * limit / rated, 3)} %");
        if (source.Model is DriveOnConverter drive)
        {
            Torque(list, drive);
        }

        Speeds(list, source);
        foreach (var (band, number) in source.Point.SkipBands.Select((b, i) => (b, i + 1)))
        {
            list.Chosen($"limit.skip-{number}", $"skip band {number}", $"{Text.N(band.FromRpm)} to {Text.N(band.ToRpm)} rpm",
                "speeds that are not held");
        }
    }

    private static void Torque(ParameterList list, DriveOnConverter drive)
    {
        var rpm = drive.Load.RatedSpeedRpm == 0 ? drive.Connected.Plate.RatedSpeedRpm : drive.Load.RatedSpeedRpm;
        var largest = UnitLimits.LargestNm(drive, rpm);
        list.Computed("limit.torque", "torque limit", largest, "Nm", "least of breakdown torque less its margin and the converter's peak",
            $"at {Text.N(rpm)} rpm; margin {Text.N(drive.Input.Defaults.PeakMarginPct)} %", "docs/methods/output-voltage.md",
            $"100 % = {Text.N(drive.Connected.Plate.RatedTorqueNm)} Nm of the motor: "
                + $"{Text.N(100 * largest / drive.Connected.Plate.RatedTorqueNm, 3)} %");
    }

    private static void Speeds(ParameterList list, ParameterSource source)
    {
        list.In(ParameterGroup.Limits, BoardRow.Load);
        var speeds = source.Model.SteadyPoints().Select(p => Math.Abs(p.SpeedRpm)).ToList();
        if (source.Model.Load is not { } load)
        {
            list.Missing("limit.speed-most", "maximum speed", "rpm", string.Join(", ", source.Model.LoadMissing));
            return;
        }

        var most = load.Cycle is { } cycle ? cycle.Stretches.Max(s => Math.Max(Math.Abs(s.StartRpm), Math.Abs(s.EndRpm)))
            : speeds.DefaultIfEmpty(load.RatedSpeedRpm).Max();
        var plate = source.Model.Fitted!.Connected.Plate;
        list.Computed("limit.speed-most", "maximum speed", most, "rpm", "largest speed of the duty",
            $"{Text.N(most)} rpm, {Text.N(most / plate.RatedSpeedRpm * plate.RatedFrequencyHz, 3)} Hz without slip; mechanical limit "
                + $"{Text.N(plate.MaxSpeedRpm)} rpm", "the specification");
        if (load.Cycle is not null)
        {
            list.Proposed("limit.speed-least", "minimum speed", 0, "rpm", "a cycle stops and turns");
        }
        else if (source.Point.Load is FluidLoad && speeds.Count > 0)
        {
            list.Computed("limit.speed-least", "minimum speed", speeds.Min(), "rpm", "least speed of the duty",
                "lower a pump no longer lifts, a fan no longer cools; confirm on site", "the specification");
        }
        else
        {
            list.Proposed("limit.speed-least", "minimum speed", 0, "rpm", "nothing in the duty asks for more");
        }
    }
}
