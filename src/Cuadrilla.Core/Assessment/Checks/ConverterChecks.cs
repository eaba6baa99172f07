namespace Cuadrilla.Core.Assessment.Checks;

/// <summary><c>converter.continuous</c> and <c>converter.overload</c>.</summary>
internal static class ConverterChecks
{
    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        if (model.Starter is not null)
        {
            yield return Check.NotConcerned("converter.continuous", model.Id, BoardRow.Converter, "Converter current", "the motor runs on the line");
            yield return Check.NotConcerned("converter.overload", model.Id, BoardRow.Converter, "Converter overload at start", "the motor runs on the line");
            yield break;
        }

        yield return Continuous(model);
        yield return Overload(model);
    }

    private static List<string> Missing(DrivePointModel model)
    {
        var missing = model.Missing(withConverter: false).ToList();
        if (model.Converter is null)
        {
            missing.Add("converter");
        }

        return missing;
    }

    private static Check Continuous(DrivePointModel model)
    {
        const string id = "converter.continuous";
        const string title = "Converter current";
        var missing = Missing(model);
        if (missing.Count > 0)
        {
            return Check.Lacking(id, model.Id, BoardRow.Converter, title, missing);
        }

        var converter = model.Converter!;
        var site = model.Input.Site;
        var (current, speed, where) = CurrentDemand.Continuous(model);
        var reason = new Reason(
            "I_motor ≤ I_N · k_ambient · k_altitude · k_switching",
            $"{Text.N(converter.RatedCurrentA)} · {Text.N(converter.AmbientPu)} · {Text.N(converter.AltitudePu)} · {Text.N(converter.SwitchingPu)} = {Text.N(converter.SiteCurrentA)} A against {Text.N(current)} A at {Text.N(speed)} rpm",
            "Derating rules of the catalogue item; motor current from docs/methods/motor-losses.md",
            [
                Text.In("motor current to be given for ever", current, "A", where),
                Text.In("rated current", converter.RatedCurrentA, "A", $"catalogue converter, {(converter.Duty == Converters.OverloadDuty.Light ? "light" : "heavy")} overload"),
                Text.In("air at the converter", site.CabinetAirC, "°C", "site: ambient + cabinet rise"),
                Text.In("altitude", site.AltitudeM, "m", "site"),
                Text.In("switching frequency", converter.SwitchingKhz, "kHz", "converter choice"),
            ]);
        return CheckWriter.Judged(
            id, model.Id, BoardRow.Converter, title, current, converter.SiteCurrentA, "A", LimitSense.AtMost,
            model.Input.Defaults.TightMarginPct, Relief(converter, current), reason);
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

        cures.Add(FormattableString.Invariant($"a size of at least {Math.Ceiling(currentA / Math.Max(converter.SiteCurrentA / converter.RatedCurrentA, 1e-9))} A"));
        return "Relief: " + string.Join(", ", cures) + ".";
    }

    private static Check Overload(DrivePointModel model)
    {
        const string id = "converter.overload";
        const string title = "Converter overload at start";
        var missing = Missing(model);
        missing.AddRange(StartDemand.Missing(model));
        if (missing.Count > 0)
        {
            return Check.Lacking(id, model.Id, BoardRow.Converter, title, missing);
        }

        var converter = model.Converter!;
        var continuous = converter.SiteCurrentA;
        var rating = converter.Overload;
        var (peak, time, rms) = CurrentDemand.Above(model, continuous);
        var allowedHeat = rating.AllowedPu(time) * continuous;
        var allowedPeak = rating.PeakPu * continuous;

        // Recovery: the whole cycle, start included, must not heat more than the continuous current.
        var steady = CurrentDemand.Continuous(model).CurrentA;
        var cycle = Math.Max(rating.CycleS, time);
        var repeats = model.Load!.Cycle is not null;
        var cycleRms = repeats ? steady : Math.Sqrt(((rms * rms * time) + (steady * steady * (cycle - time))) / cycle);
        var (figure, limit, what) = cycleRms > continuous && time > 0
            ? (cycleRms, continuous, "rms over the overload cycle against the continuous current (recovery)")
            : time > 0 && rms * allowedPeak > peak * allowedHeat
                ? (rms, allowedHeat, "rms while above the continuous current against what may flow that long")
                : (peak, allowedPeak, "largest current against the peak");
        var reason = new Reason(
            "I ≤ I_c·√(1 + (k² − 1)·t_k/t), I ≤ k_peak·I_c, rms over the cycle ≤ I_c; the nearest is shown",
            $"{what}: {Text.N(figure)} A against {Text.N(limit)} A (I_c {Text.N(continuous)} A, k {Text.N(rating.CurrentPu)} for {Text.N(rating.TimeS)} s every {Text.N(rating.CycleS)} s, above I_c for {Text.N(time, 3)} s)",
            "Equal heat above the continuous current; overload curve of the catalogue item",
            [
                Text.In("largest current", peak, "A", repeats ? "motor model over the cycle" : "motor model along the start ramp"),
                repeats ? Text.In("duration of the cycle", model.Load.Cycle!.DurationS, "s", "load") : Text.In("start time", model.Load.StartTimeS, "s", "load"),
                Text.In("continuous current at site", continuous, "A", "converter.continuous"),
                Text.In("steady current after the start", steady, "A", "motor model"),
            ]);
        return CheckWriter.Judged(
            id, model.Id, BoardRow.Converter, title, figure, limit, "A", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            "Relief: a longer start time, the heavy overload rating of a larger size.", reason);
    }
}
