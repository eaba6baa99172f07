using Cuadrilla.Core.Converters;

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

        var choice = ((ConverterChoice.FromCatalogue)model.Input.DrivePoint.Converter).Braking;
        var demand = BrakingStudy.Of(model);
        return [Energy(model, choice, demand), Stop(model, choice)];
    }

    private static Check Energy(DrivePointModel model, Braking choice, BrakingDemand demand)
    {
        if (demand.PeakW <= 0)
        {
            return Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, "nothing comes back to the link: motor, cable and converter lose it");
        }

        var item = model.Converter!.Item;
        var most = item.ChopperV * item.ChopperV / demand.PeakW;
        var back = $"{demand.What}: {Text.N(demand.PeakW / 1e3)} kW at most, {Text.N(demand.MeanW / 1e3)} kW mean"
            + (demand.EnergyJ > 0 ? $", {Text.N(demand.EnergyJ / 1e3)} kJ each time" : string.Empty);
        var range = $"resistor from {Text.N(item.LeastBrakeOhm, 3)} to {Text.N(most, 3)} Ω";
        switch (choice)
        {
            case Braking.Resistor { ResistanceOhm.IsKnown: true, ContinuousKw.IsKnown: true } resistor:
                var ohm = resistor.ResistanceOhm.Value;
                var (figure, what) = new[]
                {
                    (100 * ohm / most, "R against U²/P_peak"),
                    (100 * item.LeastBrakeOhm / ohm, "least R of the chopper against R"),
                    (100 * demand.MeanW / 1e3 / resistor.ContinuousKw.Value, "mean power against continuous power"),
                }.MaxBy(x => x.Item1);
                return CheckWriter.Judged(
                    BrakingId, model.Id, BoardRow.Converter, BrakingTitle + ", " + what, figure, 100, "%", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
                    $"Relief: {range}, at least {Text.N(demand.MeanW / 1e3, 3)} kW continuous. " + Caution,
                    new Reason("R_min ≤ R ≤ U_chopper²/P_peak; P_mean ≤ P_continuous", back + "; " + range + $"; chosen {Text.N(ohm)} Ω, {Text.N(resistor.ContinuousKw.Value)} kW", Source, Inputs(item)));
            case Braking.Resistor:
                return Check.Lacking(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, ["resistance and continuous power of the brake resistor: " + range + $", at least {Text.N(demand.MeanW / 1e3, 3)} kW"]);
            default:
                // Losses may stretch a stop; what is driven for ever or in every cycle can't wait.
                return BrakingStudy.WantedStopS(model) is not null
                    ? Check.NotConcerned(BrakingId, model.Id, BoardRow.Converter, BrakingTitle, "without a resistor the stop takes longer: see the stop without braking")
                    : new Check(
                        BrakingId, model.Id, BoardRow.Converter, BrakingTitle, Verdict.Fails, demand.PeakW / 1e3, 0, "kW", LimitSense.AtMost, -100, string.Empty,
                        $"Relief: chopper with {range}, a common link with drives that take it, a regenerative front end. " + Caution,
                        new Reason("P_back = −(P_shaft + losses) > 0 with a diode front end", back + "; nowhere for it to go: the link trips", Source, Inputs(item)));
        }
    }

    private static Check Stop(DrivePointModel model, Braking choice)
    {
        if (BrakingStudy.WantedStopS(model) is not { } wanted)
        {
            return Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, "no stop time is asked of this load");
        }

        if (choice is Braking.Resistor)
        {
            return Check.NotConcerned(StopId, model.Id, BoardRow.Converter, StopTitle, "a resistor takes the energy");
        }

        var shortest = BrakingStudy.ShortestStopS(model);
        return CheckWriter.Judged(
            StopId, model.Id, BoardRow.Converter, StopTitle, shortest, wanted, "s", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            "Relief: a longer stop, chopper and resistor, a regenerative front end.",
            new Reason(
                "t = ∫J·dω/(T_absorbed + T_load), T_absorbed such that losses of motor, cable and converter take all that returns",
                $"{Text.N(shortest, 3)} s from {Text.N(model.Load!.RatedSpeedRpm)} rpm, wanted {Text.N(wanted, 3)} s; the link's capacitor is not counted on",
                Source,
                [Text.In("all masses", model.Load.InertiaKgM2 + model.Motor!.Plate.InertiaKgM2, "kg·m²", "load and motor")]));
    }

    private static IReadOnlyList<ReasonInput> Inputs(ConverterItem item) =>
    [
        Text.In("link voltage of the chopper", item.ChopperV, "V", "catalogue converter"),
        Text.In("least resistance", item.LeastBrakeOhm, "Ω", "catalogue converter"),
    ];
}
