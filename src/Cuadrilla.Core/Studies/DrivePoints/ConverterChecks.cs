using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints;

/// <summary><c>converter.continuous</c>; with it what else sizes a converter.</summary>
internal static class ConverterChecks
{
    /// <summary>Current for ever, which tells a converter's size.</summary>
    internal const string ContinuousId = "converter.continuous";

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        yield return Judging.One(ContinuousId, model.Id, BoardRow.Converter, "Converter current", () => model.Starter is null
            ? Continuous(model)
            : Check.NotConcerned(ContinuousId, model.Id, BoardRow.Converter, "Converter current", "the motor runs on the line"));
        yield return Judging.One("converter.overload", model.Id, BoardRow.Converter, "Converter overload", () => OverloadCheck.Of(model));
        yield return Judging.One("converter.output-voltage", model.Id, BoardRow.Converter, "Voltage at the motor",
            () => OutputVoltageCheck.Of(model));
    }

    internal static List<string> Missing(DrivePointModel model)
    {
        var missing = model.MissingForMotor().ToList();
        if (model.Converter is null)
        {
            missing.Add("converter");
        }

        return missing;
    }

    private static Check Continuous(DrivePointModel point)
    {
        const string id = ContinuousId;
        const string title = "Converter current";
        if (point is not LoadedMotor { Converter: { } converter } model)
        {
            return Check.Lacking(id, point.Id, BoardRow.Converter, title, Missing(point));
        }

        var site = model.Input.Site;
        var (current, speed, where, low) = CurrentDemand.Continuous(model);
        if (model.Input.Group is not null && model.Input.Defaults.Lineups.GroupCurrentFactor * model.Motor.Plate.RatedCurrentA > current)
        {
            // In a group each motor counts with its rated current and the group's reserve.
            (current, where, low) = (model.Input.Defaults.Lineups.GroupCurrentFactor * model.Motor.Plate.RatedCurrentA,
                "rated current with the group's reserve, against its part of the group's converter", 1);
        }

        var reason = new Reason(
            "I_motor ≤ I_N · k_ambient · k_altitude · k_switching · k_feed · k_low frequency",
            $"{Text.N(converter.RatedCurrentA)} · {Text.N(converter.AmbientPu)} · {Text.N(converter.AltitudePu)} · "
                + $"{Text.N(converter.SwitchingPu)} · "
                + $"{Text.N(converter.FeedPu)}{(low < 1 ? $" · {Text.N(low)} below {Text.N(converter.Item.Derating.LowFrequencyHz)} Hz" : string.Empty)} = {Text.N(low * converter.SiteCurrentA)} A against {Text.N(current)} A at {Text.N(speed)} rpm",
            "Derating rules of the catalogue item; motor current from docs/methods/motor-losses.md",
            [
                ReasonInput.Of("motor current to be given for ever", current, "A", where),
                ReasonInput.Of("rated current", converter.RatedCurrentA, "A",
                    $"catalogue converter, {(converter.Duty == OverloadDuty.Light ? "light" : "heavy")} overload"),
                ReasonInput.Of("air at the converter", site.CabinetAirC, "°C",
                    model.Input.IsAirOfSection ? "its section's air, else site: ambient + cabinet rise" : "site: ambient + cabinet rise"),
                ReasonInput.Of("altitude", site.AltitudeM, "m", "site"),
                ReasonInput.Of("switching frequency", converter.SwitchingKhz, "kHz", "converter choice"),
                .. model.StepUp is { } stepUp
                    ? [ReasonInput.Of("currents on the motor’s side; the converter’s are so many times these", stepUp.CurrentPu,
                        string.Empty,
                        "step-up transformer with magnetising and filter current")]
                    : Array.Empty<ReasonInput>(),
            ]);
        return CheckWriter.Judged(
            id, model.Id, BoardRow.Converter, title, current, low * converter.SiteCurrentA, "A", LimitSense.AtMost,
            model.Input.Defaults.TightMarginPct, Relief(converter, current / low * (model.StepUp?.CurrentPu ?? 1)), reason);
    }

    private static string Relief(ConverterAtSite converter, double currentA)
    {
        var cures = new List<string>();
        if (converter.AmbientPu < 1)
        {
            cures.Add("cooler cabinet air");
        }

        if (converter.SwitchingPu < 1)
        {
            cures.Add("a lower switching frequency");
        }

        cures.Add("a size of at least "
            + FormattableString.Invariant($"{Math.Ceiling(currentA / Math.Max(converter.SiteCurrentA / converter.RatedCurrentA, 1e-9))} A"));
        return "Relief: " + string.Join(", ", cures) + ".";
    }
}
