using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Stopping;

/// <summary><c>converter.braking</c> and <c>converter.stop-without-braking</c>.</summary>
internal static class BrakingChecks
{
    private const string BrakingId = "converter.braking";
    private const string BrakingTitle = "Braking energy";
    private const string StopId = "converter.stop-without-braking";
    private const string StopTitle = "Stop without braking";
    private const string Source = "docs/methods/braking.md";
    private const string Caution = "A brake resistor gets hot enough to burn and to light dust: place, cover and thermal cut-out by its "
        + "maker's instructions. Cuadrilla designs no safety function.";

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        if (model.Starter is not null)
        {
            return [Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, "the motor runs on the line"),
                Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, "the motor runs on the line")];
        }

        var missing = model.Missing().ToList();
        if (model.Load is { StopTimeS.IsKnown: true } load && !load.InertiaKgM2.IsKnown)
        {
            missing.Add("inertia of the machine");
        }

        if (missing.Count > 0 || model is not DriveOnConverter drive)
        {
            return [Check.Lacking(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, missing),
                Check.Lacking(StopId, model.Id, BoardRow.Converter, StopTitle, missing)];
        }

        var choice = drive.Choice.Braking;
        return
        [
            Judging.One(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, () => Energy(drive, choice)),
            Judging.One(StopId, model.Id, BoardRow.Converter, StopTitle, () => Stop(drive, choice)),
        ];
    }

    private static Check Energy(DriveOnConverter model, Braking choice)
    {
        var item = model.Converter.Item;
        var demands = BrakingStudy.All(model);
        if (demands.Count == 0)
        {
            return Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle,
                "nothing comes back to the link: motor, cable and converter lose it");
        }

        var worst = demands.MaxBy(d => d.PeakW)!;
        if (item.FrontEnd.ReturnsToLine)
        {
            return ToLine(model, worst, Back(worst));
        }

        // Losses may stretch a stop; what is driven for ever or in every cycle can't wait, nor can a load that is let down.
        var waits = demands.Where(d => !d.IsStop).MaxBy(d => d.PeakW);
        return choice switch
        {
            Braking.ToLine => Nowhere(model, worst, Back(worst), "this front end lets power pass one way only"),
            Braking.Resistor resistor => item.Brake is { } brake
                ? Resistor(model, resistor, brake, demands)
                : Nowhere(model, worst, Back(worst), "this converter has no chopper"),
            _ when waits is null => Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle,
                "without a resistor the stop takes longer: see the stop without braking"),
            _ => Nowhere(model, waits, Back(waits), "nowhere for it to go: the link trips"),
        };
    }

    private static string Back(BrakingDemand demand) => $"{demand.What}: {Text.N(demand.PeakW / 1e3)} kW at most"
        + (demand.Repeats ? $", {Text.N(demand.MeanW / 1e3)} kW mean" : $", {Text.N(demand.EnergyJ / 1e3)} kJ");

    private static Check ToLine(DriveOnConverter model, BrakingDemand demand, string back)
    {
        var converter = model.Converter;
        var limit = converter.Item.RatedKw * converter.Overload.CurrentPu;
        return CheckWriter.Judged(
            BrakingId, model.Id, BoardRow.Converter,
            BrakingTitle + (converter.Item.FrontEnd is FrontEnd.DcLink ? ", back to the common bus" : ", back to the line"),
            demand.PeakW / 1e3, limit, "kW", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            "Relief: a larger converter, gentler braking.",
            new Reason(
                "P_peak ≤ k·P_N of the front end, k the overload of the duty",
                $"{back}; {Text.N(converter.Overload.CurrentPu)}·{Text.N(converter.Item.RatedKw)} kW = {Text.N(limit)} kW",
                Source,
                [ReasonInput.Of("rated power", converter.Item.RatedKw, "kW", "catalogue converter")]));
    }

    private static Check Nowhere(DriveOnConverter model, BrakingDemand demand, string back, string why) => new(
        BrakingId, model.Id, BoardRow.Converter, BrakingTitle, Verdict.Fails, demand.PeakW / 1e3, 0, "kW", LimitSense.AtMost, -100,
        string.Empty,
        $"Relief: {(model.Converter.Item.Brake is { } brake ? $"chopper with {Range(brake, demand)}, " : string.Empty)}a common link with "
            + "drives that take it, a front end that returns power. " + Caution,
        new Reason("P_back = −(P_shaft + losses) > 0", $"{back}; {why}", Source, Inputs(model.Converter.Item)));

    private static Check Resistor(DriveOnConverter model, Braking.Resistor resistor, ChopperLimits brake,
        IReadOnlyList<BrakingDemand> demands)
    {
        var worst = demands.MaxBy(d => d.PeakW)!;
        var window = resistor.WindowS.IsKnown ? resistor.WindowS.Value : model.Input.Defaults.Lineups.ResistorWindowS;
        var pulses = resistor.Pulses.Count > 0 ? resistor.Pulses : ResistorRating.WireWound;
        var leastKw = demands.Max(d => new ResistorRating(1, window, pulses).Of(d.Profile, d.Repeats).LoadingPu) / 1e3;
        var range = Range(brake, worst);
        if (!resistor.ResistanceOhm.IsKnown || !resistor.ContinuousKw.IsKnown)
        {
            return Check.Lacking(BrakingId, model.Id, BoardRow.Converter, BrakingTitle,
                ["resistance and continuous power of the brake resistor: " + range + $", at least {Text.N(leastKw, 3)} kW"]);
        }

        var ohm = resistor.ResistanceOhm.Value;
        var rating = new ResistorRating(resistor.ContinuousKw.Value * 1e3, window, pulses);
        var (loading, hot) = demands.Select(d => (rating.Of(d.Profile, d.Repeats), d)).MaxBy(l => l.Item1.LoadingPu);
        var (figure, what) = new[]
        {
            (100 * ohm * worst.PeakW / (brake.ChopperV * brake.ChopperV), "R against U²/P_peak"),
            (100 * brake.LeastOhm / ohm, "least R of the chopper against R"),
            (100 * loading.LoadingPu, "heat of the resistor"),
        }.MaxBy(x => x.Item1);
        var back = string.Join("; ", demands.Select(Back));
        return CheckWriter.Judged(
            BrakingId, model.Id, BoardRow.Converter, BrakingTitle + ", " + what, figure, 100, "%", LimitSense.AtMost,
            model.Input.Defaults.TightMarginPct,
            $"Relief: {range}, at least {Text.N(leastKw, 3)} kW continuous. " + Caution,
            new Reason(
                "R_min ≤ R ≤ U_chopper²/P_peak; in any stretch t: ∫P·dt ≤ k(t)·P_continuous·t, over the window k = 1",
                $"{back}; {range}; chosen {Text.N(ohm)} Ω, {Text.N(resistor.ContinuousKw.Value)} kW; hottest {hot.What}: "
                    + $"{Text.N(loading.EnergyJ / 1e3)} kJ in {Text.N(loading.TimeS, 3)} s, "
                    + $"stands {Text.N(loading.PermittedPu * rating.ContinuousW * loading.TimeS / 1e3)} kJ"
                        + (resistor.Pulses.Count > 0 ? string.Empty : " as wire-wound resistors usually do"),
                Source, [.. Inputs(model.Converter.Item),
                    ReasonInput.Of("window of the mean", window, "s", resistor.WindowS.IsKnown ? "drive point" : "default")]));
    }

    private static string Range(ChopperLimits brake, BrakingDemand demand) =>
        $"resistor from {Text.N(brake.LeastOhm, 3)} to {Text.N(brake.ChopperV * brake.ChopperV / demand.PeakW, 3)} Ω";

    private static Check Stop(DriveOnConverter model, Braking choice)
    {
        if (BrakingStudy.WantedStopS(model) is not { } wanted)
        {
            return Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, "no stop time is asked of this load");
        }

        if (choice is Braking.Resistor || model.Converter.Item.FrontEnd.ReturnsToLine)
        {
            return Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle,
                choice is Braking.Resistor ? "a resistor takes the energy" : "the line takes the energy");
        }

        if (choice is Braking.DcInjection && Case(model, "direct-current").Run is null)
        {
            return new Check(
                StopId, model.Id, BoardRow.Converter, StopTitle, Verdict.Fails, Given.Unknown, Given.Unknown, string.Empty,
                LimitSense.AtMost, Given.Unknown, string.Empty,
                "Relief: another way of braking.",
                new Reason("direct current brakes cage motors", Case(model, "direct-current").Impossible, Source, []))
            { IsRule = true };
        }

        if (choice is Braking.DcInjection && !model.StallTimeS.IsKnown)
        {
            return Check.Lacking(StopId, model.Id, BoardRow.Converter, StopTitle,
                ["stall time of the motor, warm, by its maker: the rotor takes all energy"]);
        }

        var (time, heatPct, how) = choice switch
        {
            Braking.Coast => (Case(model, "coast").Run!.TimeS, 0, "coasting"),
            Braking.DcInjection => Case(model, "direct-current") is var brake
                ? (brake.Run!.TimeS, 100 * brake.RotorHeatPu.Value, "direct current, all energy into the rotor")
                : default,
            Braking.Flux f => (StopStudy.ShortestS(model, f.FluxPct / 100), 0,
                FormattableString.Invariant($"flux raised to {f.FluxPct:0.#} %")),
            _ => (StopStudy.ShortestS(model, 1), 0.0, "losses and the link's capacitor only"),
        };
        var reason = new Reason(
            "t = ∫J·dω/(T_absorbed + T_load), T_absorbed such that losses and the link's capacitor take all that returns; with direct "
                + "current its own torque, the rotor takes ½·J·ω²",
            $"{how}: {Text.N(time, 3)} s from {Text.N(model.Load.RatedSpeedRpm)} rpm, wanted {Text.N(wanted, 3)} "
                + $"s{(heatPct > 0 ? $"; rotor at {Text.N(heatPct, 3)} % of what it stands" : string.Empty)}",
            Source,
            [ReasonInput.Of("all masses", model.Load.InertiaKgM2.Value + model.Motor.Plate.InertiaKgM2, "kg·m²", "load and motor")]);
        const string relief = "Relief: a longer stop, chopper and resistor, a front end that returns power.";
        return heatPct > 100 * time / wanted
            ? CheckWriter.Judged(StopId, model.Id, BoardRow.Converter, StopTitle + ", heat of the rotor", heatPct, 100, "%",
                LimitSense.AtMost, model.Input.Defaults.TightMarginPct, relief, reason)
            : CheckWriter.Judged(StopId, model.Id, BoardRow.Converter, StopTitle, time, wanted, "s", LimitSense.AtMost,
                model.Input.Defaults.TightMarginPct, relief, reason);
    }

    private static StopCase Case(DriveOnConverter model, string id) => StopStudy.All(model).Single(c => c.Id == id);

    private static IReadOnlyList<ReasonInput> Inputs(ConverterItem item) => item.Brake is { } brake
        ?
        [
            ReasonInput.Of("DC-link voltage of the chopper", brake.ChopperV, "V", "catalogue converter"),
            ReasonInput.Of("least resistance", brake.LeastOhm, "Ω", "catalogue converter"),
        ]
        : [];
}
