using Cuadrilla.Core.Assessment.Stopping;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Core.Assessment.Checks;

/// <summary><c>converter.braking</c> and <c>converter.stop-without-braking</c>.</summary>
internal static class BrakingChecks
{
    private const string BrakingId = "converter.braking";
    private const string BrakingTitle = "Braking energy";
    private const string StopId = "converter.stop-without-braking";
    private const string StopTitle = "Stop without braking";
    private const string Source = "docs/methods/braking.md";
    private const string Caution = "A brake resistor gets hot enough to burn and to light dust: place, cover and thermal cut-out by its maker's instructions. Cuadrilla designs no safety function.";

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        if (model.Starter is not null)
        {
            return [Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, "the motor runs on the line"), Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, "the motor runs on the line")];
        }

        var missing = model.Missing(withConverter: true).ToList();
        if (model.Load is { Cycle: null } load && double.IsNaN(load.InertiaKgM2))
        {
            missing.Add("inertia of the machine");
        }

        if (missing.Count > 0)
        {
            return [Check.Lacking(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, missing), Check.Lacking(StopId, model.Id, BoardRow.Converter, StopTitle, missing)];
        }

        var choice = model.Choice!.Braking;
        return
        [
            Judging.One(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, () => Energy(model, choice, BrakingStudy.Of(model))),
            Judging.One(StopId, model.Id, BoardRow.Converter, StopTitle, () => Stop(model, choice)),
        ];
    }

    private static Check Energy(DrivePointModel model, Braking choice, BrakingDemand demand)
    {
        var item = model.Converter!.Item;
        if (demand.PeakW <= 0)
        {
            return Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, "nothing comes back to the link: motor, cable and converter lose it");
        }

        var back = $"{demand.What}: {Text.N(demand.PeakW / 1e3)} kW at most, {Text.N(demand.MeanW / 1e3)} kW mean"
            + (demand.EnergyJ > 0 ? $", {Text.N(demand.EnergyJ / 1e3)} kJ each time" : string.Empty);
        if (item.FrontEnd.ReturnsToLine)
        {
            return ToLine(model, demand, back);
        }

        // Losses may stretch a stop; what is driven for ever or in every cycle can't wait.
        var canWait = BrakingStudy.WantedStopS(model) is not null;
        return choice switch
        {
            Braking.ToLine => Nowhere(model, demand, back, "this front end lets power pass one way only"),
            Braking.Resistor resistor => item.Brake is { } brake
                ? Resistor(model, resistor, brake, demand, back)
                : Nowhere(model, demand, back, "this converter has no chopper"),
            _ when canWait => Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, "without a resistor the stop takes longer: see the stop without braking"),
            _ => Nowhere(model, demand, back, "nowhere for it to go: the link trips"),
        };
    }

    private static Check ToLine(DrivePointModel model, BrakingDemand demand, string back)
    {
        var converter = model.Converter!;
        var limit = converter.Item.RatedKw * converter.Overload.CurrentPu;
        return CheckWriter.Judged(
            BrakingId, model.Id, BoardRow.Converter, BrakingTitle + (converter.Item.FrontEnd is Converters.FrontEnds.FrontEnd.DcLink ? ", back to the common bus" : ", back to the line"), demand.PeakW / 1e3, limit, "kW", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            "Relief: a larger converter, gentler braking.",
            new Reason(
                "P_peak ≤ k·P_N of the front end, k the overload of the duty",
                $"{back}; {Text.N(converter.Overload.CurrentPu)}·{Text.N(converter.Item.RatedKw)} kW = {Text.N(limit)} kW",
                Source,
                [Text.In("rated power", converter.Item.RatedKw, "kW", "catalogue converter")]));
    }

    private static Check Nowhere(DrivePointModel model, BrakingDemand demand, string back, string why) => new(
        BrakingId, model.Id, BoardRow.Converter, BrakingTitle, Verdict.Fails, demand.PeakW / 1e3, 0, "kW", LimitSense.AtMost, -100, string.Empty,
        $"Relief: {(model.Converter!.Item.Brake is { } brake ? $"chopper with {Range(brake, demand)}, " : string.Empty)}a common link with drives that take it, a front end that returns power. " + Caution,
        new Reason("P_back = −(P_shaft + losses) > 0", $"{back}; {why}", Source, Inputs(model.Converter.Item)));

    private static Check Resistor(DrivePointModel model, Braking.Resistor resistor, ChopperLimits brake, BrakingDemand demand, string back)
    {
        var range = Range(brake, demand);
        if (!resistor.ResistanceOhm.IsKnown || !resistor.ContinuousKw.IsKnown)
        {
            return Check.Lacking(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, ["resistance and continuous power of the brake resistor: " + range + $", at least {Text.N(demand.MeanW / 1e3, 3)} kW"]);
        }

        var ohm = resistor.ResistanceOhm.Value;
        var (figure, what) = new[]
        {
            (100 * ohm * demand.PeakW / (brake.ChopperV * brake.ChopperV), "R against U²/P_peak"),
            (100 * brake.LeastOhm / ohm, "least R of the chopper against R"),
            (100 * demand.MeanW / 1e3 / resistor.ContinuousKw.Value, "mean power against continuous power"),
        }.MaxBy(x => x.Item1);
        return CheckWriter.Judged(
            BrakingId, model.Id, BoardRow.Converter, BrakingTitle + ", " + what, figure, 100, "%", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            $"Relief: {range}, at least {Text.N(demand.MeanW / 1e3, 3)} kW continuous. " + Caution,
            new Reason("R_min ≤ R ≤ U_chopper²/P_peak; P_mean ≤ P_continuous", back + "; " + range + $"; chosen {Text.N(ohm)} Ω, {Text.N(resistor.ContinuousKw.Value)} kW", Source, Inputs(model.Converter!.Item)));
    }

    private static string Range(ChopperLimits brake, BrakingDemand demand) =>
        $"resistor from {Text.N(brake.LeastOhm, 3)} to {Text.N(brake.ChopperV * brake.ChopperV / demand.PeakW, 3)} Ω";

    private static Check Stop(DrivePointModel model, Braking choice)
    {
        if (BrakingStudy.WantedStopS(model) is not { } wanted)
        {
            return Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, "no stop time is asked of this load");
        }

        if (choice is Braking.Resistor || model.Converter!.Item.FrontEnd.ReturnsToLine)
        {
            return Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, choice is Braking.Resistor ? "a resistor takes the energy" : "the line takes the energy");
        }

        var (time, heatPct, how) = choice switch
        {
            Braking.Coast => (Case(model, "coast").Run!.TimeS, 0, "coasting"),
            Braking.DcInjection when Case(model, "direct-current") is { Run: { } run } brake => (run.TimeS, 100 * brake.RotorHeatPu, "direct current, all energy into the rotor"),
            Braking.DcInjection => (double.PositiveInfinity, 0, "direct current needs a cage motor with locked-rotor values"),
            Braking.Flux f => (StopStudy.ShortestS(model, f.FluxPct / 100), 0, FormattableString.Invariant($"flux raised to {f.FluxPct:0.#} %")),
            _ => (StopStudy.ShortestS(model, 1), 0.0, "losses and the link's capacitor only"),
        };
        var reason = new Reason(
            "t = ∫J·dω/(T_absorbed + T_load), T_absorbed such that losses and the link's capacitor take all that returns; with direct current its own torque, the rotor takes ½·J·ω²",
            $"{how}: {Text.N(time, 3)} s from {Text.N(model.Load!.RatedSpeedRpm)} rpm, wanted {Text.N(wanted, 3)} s{(heatPct > 0 ? $"; rotor at {Text.N(heatPct, 3)} % of what it stands" : string.Empty)}",
            Source,
            [Text.In("all masses", model.Load.InertiaKgM2 + model.Motor!.Plate.InertiaKgM2, "kg·m²", "load and motor")]);
        const string relief = "Relief: a longer stop, chopper and resistor, a front end that returns power.";
        return heatPct > 100 * time / wanted
            ? CheckWriter.Judged(StopId, model.Id, BoardRow.Converter, StopTitle + ", heat of the rotor", heatPct, 100, "%", LimitSense.AtMost, model.Input.Defaults.TightMarginPct, relief, reason)
            : CheckWriter.Judged(StopId, model.Id, BoardRow.Converter, StopTitle, time, wanted, "s", LimitSense.AtMost, model.Input.Defaults.TightMarginPct, relief, reason);
    }

    private static StopCase Case(DrivePointModel model, string id) => StopStudy.All(model).Single(c => c.Id == id);

    private static IReadOnlyList<ReasonInput> Inputs(ConverterItem item) => item.Brake is { } brake
        ?
        [
            Text.In("link voltage of the chopper", brake.ChopperV, "V", "catalogue converter"),
            Text.In("least resistance", brake.LeastOhm, "Ω", "catalogue converter"),
        ]
        : [];
}
