using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.LongCable;

/// <summary>Checks of a motor at the end of a long cable behind a step-up transformer.</summary>
internal static class LongCableChecks
{
    public const string OutputId = "long-cable.output-voltage";
    public const string OutputTitle = "Voltage ahead of the transformer";
    public const string TapId = "long-cable.tap";

    private const string TapTitle = "Tap of the transformer";

    private const string Source = "docs/methods/step-up-chain.md, docs/methods/long-cable.md";
    private const string DeadFirst =
        "Isolate, lock, wait as the maker states and prove the absence of voltage on both sides of the transformer: a turning pump "
            + "feeds back.";

    private const double SupplyTolerancePu = 0.1;

    // A tap so much above what is needed costs current on the low side.
    private const double HighTapPu = 1.15;
    private const double UsualTightPct = 5;
    private const double UsualFailsPct = 10;
    private const double DeepM = 300;
    private const double DrainMin = 10;
    private const double DeepDrainMin = 30;

    public static IEnumerable<Check> Of(DrivePointModel model)
    {
        if (model.Input.DrivePoint.StepUp is not { } entered)
        {
            return [];
        }

        if (LongCableStudy.Of(model) is not { } study)
        {
            List<string> missing = [.. model.MissingForStepUp()];
            (string Id, string Title)[] all =
            [
                ("long-cable.surface-voltage", "Voltage at the surface"), (OutputId, OutputTitle), (TapId, TapTitle),
                ("long-cable.transformer-kva", "Size of the step-up transformer"),
                ("long-cable.flux", "Flux of the transformer at the start"),
                ("long-cable.start", "Start of the pump"), ("long-cable.converter-current", "Converter ahead of the transformer"),
            ];
            return [.. all.Select(c => Lacking(model, c.Id, c.Title, missing)), Identification(model, entered), BackSpin(model, entered)];
        }

        return
        [
            Surface(study), Output(study), Tap(study), Kva(study), Flux(study), Start(study), Current(study), Filter(study), Spread(study),
            Identification(model, entered), BackSpin(model, entered),
        ];
    }

    /// <summary>The converter's greatest output at the lowest voltage of its bus against what the low side asks for.</summary>
    public static Check Output(LongCableStudy study, double lowestPu = 1, string scenario = "")
    {
        ArgumentNullException.ThrowIfNull(study);
        if (study.Model.WholeItem is not { } item)
        {
            return Lacking(study.Model, OutputId, OutputTitle, ["converter"]);
        }

        if (Math.Abs((study.SupplyV / item.RatedVoltageV) - 1) > SupplyTolerancePu)
        {
            return Rule(study, OutputId, OutputTitle, Verdict.Fails, "Relief: a converter made for this voltage.",
                new Reason("supply within ±10 % of the converter's rated voltage",
                    $"{Text.N(study.SupplyV)} V against {Text.N(item.RatedVoltageV)} V", "Rated voltage of the catalogue item", []));
        }

        var needed = (study.SurfaceV + study.StepUp.DropV) / study.StepUp.Ratio;
        var given = study.GreatestLowSideV(lowestPu);
        return Judged(study, OutputId, OutputTitle, given, needed, "V", LimitSense.AtLeast, 0,
            "Relief: a higher tap, a thicker cable, a transformer or filter that takes less, a lower speed.",
            new Reason("U_bus,lowest·greatest output − filter ≥ (U_s + transformer)/ü",
                $"{Text.N(given)} V against ({Text.N(study.SurfaceV)} + {Text.N(study.StepUp.DropV)})/{Text.N(study.StepUp.Ratio, 4)} = "
                    + $"{Text.N(needed)} V at {Text.N(study.RatedHz)} Hz and rated current",
                Source, [ReasonInput.Of("lowest voltage of the bus", 100 * lowestPu, "%", "supply.voltage")]), scenario);
    }

    private static Check Surface(LongCableStudy study)
    {
        const string id = "long-cable.surface-voltage", title = "Voltage at the surface";
        var rated = study.StepUp.Entered.Well.RatedV;
        if (!rated.IsKnown)
        {
            return Lacking(study.Model, id, title, ["rated voltage of the cable"]);
        }

        // Without load the whole tap stands on the cable.
        var tap = study.StepUp.Entered.Transformer.TapV.Value;
        return Judged(study, id, title, Math.Max(tap, study.SurfaceV), rated.Value, "V", LimitSense.AtMost, 0,
            "Relief: a cable and terminals of a higher rated voltage.",
            new Reason("U_s = √((U_m·cos φ + √3·I·R)² + (U_m·sin φ + √3·I·X)²); the greater of U_s and "
                + "the tap ≤ rated voltage of the cable",
                $"R = {Text.N(study.StepUp.CableOhm.Real, 4)} Ω at {Text.N(study.StepUp.ConductorC)} °C, X = "
                    + $"{Text.N(study.StepUp.CableOhm.Imaginary)} Ω: {Text.N(study.StepUp.Plate.RatedVoltageV)} V at the motor, "
                    + $"{Text.N(study.SurfaceV, 4)} V at the surface; tap {Text.N(tap)} V",
                Source,
                [ReasonInput.Of("current", study.RatedA, "A", "motor plate"),
                    ReasonInput.Of("depth", study.StepUp.Profile.DepthM, "m", "motor cable")]));
    }

    /// <summary>The tap in use against what is needed with the drops and the lowest voltage of the bus.</summary>
    public static Check Tap(LongCableStudy study, double lowestPu = 1, string scenario = "")
    {
        ArgumentNullException.ThrowIfNull(study);
        const string id = TapId, title = TapTitle;
        var transformer = study.StepUp.Entered.Transformer;
        var tap = transformer.TapV.Value;
        var needed = study.TapNeededV(lowestPu);
        var proposed = study.ProposedTapV(lowestPu);
        var relief = proposed is { } next
            ? $"Relief: the tap of {Text.N(next)} V."
            : $"Relief: a transformer with a tap of at least {Text.N(needed)} V, five to ten of them over 60 to 120 %.";
        var reason = new Reason("U_tap ≥ (U_s + transformer)·U_low/greatest voltage of the low side; the next above is taken",
            $"({Text.N(study.SurfaceV)} + "
                + $"{Text.N(study.StepUp.DropV)})·{Text.N(transformer.PrimaryV.Value)}/{Text.N(study.GreatestLowSideV(lowestPu))} = "
                + $"{Text.N(needed)} V; in use {Text.N(tap)} V of "
                + $"{(transformer.TapsV.Count > 0 ? string.Join(", ", transformer.TapsV.Select(t => Text.N(t))) : "no list")}",
            Source, []);
        var check = Judged(study, id, title, tap, needed, "V", LimitSense.AtLeast, 0, relief, reason, scenario);
        if (transformer.TapsV.Count > 0 && !transformer.TapsV.Contains(tap))
        {
            return Rule(study, id, title, Verdict.Fails, relief, reason with { WithNumbers = reason.WithNumbers + "; it is none of them" });
        }

        return tap > HighTapPu * needed
            ? check.AtBestTight("more than 15 % above what is needed", relief + " More than is needed costs current on the low side.")
            : check;
    }

    private static Check Kva(LongCableStudy study)
    {
        var transformer = study.StepUp.Entered.Transformer;
        var check = Judged(study, "long-cable.transformer-kva", "Size of the step-up transformer", study.TransformerKva,
            transformer.RatedKva.Value,
            "kVA", LimitSense.AtMost, study.Model.Input.Defaults.TightMarginPct, "Relief: a larger transformer.",
            new Reason("√3·U_tap·I ≤ S_N", $"√3·{Text.N(transformer.TapV.Value)}·{Text.N(study.RatedA)} = {Text.N(study.TransformerKva)} "
                + $"kVA of {Text.N(transformer.RatedKva.Value)}",
                Source, []));
        check = transformer.ForConverters
            ? check
            : check.AtBestTight("not stated as made for converters", "Relief: a transformer made for converters, K-factor 4.");
        return transformer.InsulationMonitored
            ? check
            : check.AtBestTight("its secondary floats and nothing watches its insulation",
                "Relief: an insulation monitor made for converters.");
    }

    private static Check Flux(LongCableStudy study)
    {
        const string id = "long-cable.flux", title = "Flux of the transformer at the start";
        var start = study.StepUp.Entered.Start;
        List<string> missing = StartMissing(study);
        if (!start.FluxLimitPu.IsKnown)
        {
            missing.Add("flux permitted");
        }

        if (missing.Count > 0)
        {
            return Lacking(study.Model, id, title, missing);
        }

        var (hz, current, limit) = (study.StartHz!.Value, study.StartA!.Value, start.FluxLimitPu.Value);
        var flux = study.FluxPu(hz, current);
        var least = study.LeastHz(current, limit);
        return Judged(study, id, title, flux, limit, string.Empty, LimitSense.AtMost, 0,
            $"Relief: {(least is { } from ? $"a start from {Text.N(from)} Hz" : "a higher tap")}, less current at the start, a "
                + "transformer designed for a lower frequency. Saturated it takes the converter's current for itself.",
            new Reason("ψ = (U_s(f)/f)/(U_tap/f_design)",
                $"{Text.N(study.StepUp.Chain.SurfaceV(hz, current))} V at {Text.N(hz)} Hz and {Text.N(current)} A: ψ = {Text.N(flux, 3)}, "
                    + $"permitted {Text.N(limit, 3)}; {(least is { } at ? $"within it from {Text.N(at)} Hz" : "within it at no frequency")}",
                Source, [ReasonInput.Of("start frequency", hz, "Hz", "start"), ReasonInput.Of("start current", current, "A", "start")]));
    }

    private static Check Start(LongCableStudy study)
    {
        const string id = "long-cable.start", title = "Start of the pump";
        List<string> missing = StartMissing(study);
        if (!study.StepUp.Entered.Start.RampS.IsKnown)
        {
            missing.Add("ramp of the start");
        }

        if (missing.Count > 0 || study.StartNm is not { } given)
        {
            return Lacking(study.Model, id, title, missing);
        }

        var rpm = study.StepUp.Plate.RatedSpeedRpm * study.StartHz!.Value / study.RatedHz;
        var asked = Math.Max(study.Model.Load.BreakawayNm, Math.Abs(study.Model.Load.TorqueAtSpeedNm(rpm)));
        var check = Judged(study, id, title, given, asked, "Nm", LimitSense.AtLeast, study.Model.Input.Defaults.TightMarginPct,
            "Relief: more current at the start, as far as the transformer's flux lets it.",
            new Reason("torque of the start current at whole flux ≥ load there and breakaway",
                $"{Text.N(study.StartA!.Value)} A at {Text.N(study.StartHz.Value)} Hz make {Text.N(given)} Nm, asked {Text.N(asked)} Nm",
                Source, []));
        return study.StepUp.Entered.Start.RampS.Value < 1
            ? Rule(study, id, title, Verdict.Fails, "Relief: a ramp of at least 1 s: a step drives the transformer into saturation.",
                new Reason("ramp ≥ 1 s through a transformer", $"{Text.N(study.StepUp.Entered.Start.RampS.Value)} s", Source, []))
            : check;
    }

    private static Check Current(LongCableStudy study)
    {
        const string id = "long-cable.converter-current", title = "Converter ahead of the transformer";
        if (study.Model.Converter is not { } converter)
        {
            return Lacking(study.Model, id, title, ["converter"]);
        }

        var site = converter.SiteCurrentA * study.StepUp.CurrentPu;
        var (phasor, sum) = (Math.Max(study.StepUp.ConverterA, study.StepUp.Ratio * study.RatedA), study.StepUp.ConverterSumA);
        var check = Judged(study, id, title, phasor, site, "A", LimitSense.AtMost, study.Model.Input.Defaults.TightMarginPct,
            $"Relief: a converter of at least {Text.N(sum)} A at the site covers every angle.",
            new Reason("phasors of ü·I, magnetising (lagging) and filter current (leading), never below ü·I; the plain sum as a bound",
                $"{Text.N(study.StepUp.Ratio, 4)}·{Text.N(study.RatedA)} A with {Text.N(100 * study.StepUp.MagnetisingPu)} and "
                    + $"{Text.N(100 * study.StepUp.FilterPu)} %: {Text.N(phasor)} A, sum {Text.N(sum)} A, at the site {Text.N(site)} A",
                Source, []));
        return sum > site
            ? check.AtBestTight("the plain sum is above it", "Relief: compare with the measured current of the first start.")
            : check;
    }

    private static Check Filter(LongCableStudy study)
    {
        const string id = "long-cable.filter", title = "Sine filter ahead of the transformer";
        var filter = study.StepUp.Entered.Filter;
        if (study.Model.Choice?.Filter != OutputFilter.Sine)
        {
            return study.Model.Choice is null
                ? Lacking(study.Model, id, title, ["converter with its filter"])
                : Rule(study, id, title, Verdict.Fails, "Relief: a sine filter between converter and transformer.",
                    new Reason("a transformer and a long cable ask for a sinusoidal voltage", "no sine filter is chosen", Source, []));
        }

        if (study.Model is { Filter: { } sine, Converter.SwitchingKhz: var khz }
            && (khz < sine.LeastSwitchingKhz || khz > sine.LargestSwitchingKhz))
        {
            return Rule(study, id, title, Verdict.Fails, "Relief: another switching frequency, another filter.",
                new Reason("switching frequency within the filter's range",
                    $"{Text.N(khz)} kHz, the filter is made for {Text.N(sine.LeastSwitchingKhz)} to {Text.N(sine.LargestSwitchingKhz)} kHz",
                    Source, []));
        }

        if (study.ResonanceHz is not { } hz || study.ResonanceRange is not var (from, to))
        {
            return Lacking(study.Model, id, title, ["inductance and capacitance of the sine filter"]);
        }

        var holds = hz >= from && hz <= to;
        var check = Rule(study, id, title, holds ? Verdict.Holds : Verdict.Fails,
            "Relief: another filter, another switching frequency.",
            new Reason("10·f_out ≤ f_res ≤ f_sw/2.5, the cable's capacitance times ü² beside the filter's",
                $"{Text.N(hz)} Hz, from {Text.N(from)} to {Text.N(to)} Hz", Source, []));
        return filter.PermitsTransformer
            ? check
            : check.AtBestTight("its maker is not stated to permit a transformer", "Relief: ask the maker; no direct part at the start.");
    }

    private static Check Spread(LongCableStudy study)
    {
        const string id = "long-cable.spread", title = "Resistances at the surface";
        var read = study.StepUp.Entered.Readings;
        if (study.Readings is not { } found)
        {
            return Lacking(study.Model, id, title, ["three resistances between conductors at the surface"]);
        }

        double tight = read.TightPct is { IsKnown: true } t ? t.Value : UsualTightPct, fails = read.FailsPct is { IsKnown: true } f
            ? f.Value
            : Math.Max(UsualFailsPct, tight);
        var reason = new Reason("(largest − smallest)/mean; R_stator = R_LL/2 − R_cable",
            $"{Text.N(found.SpreadPct, 3)} %, tight from {Text.N(tight)}, fails from {Text.N(fails)} %; cable "
                + $"{Text.N(study.ColdCableOhm, 4)} Ω, winding {Text.N(found.StatorOhm, 4)} Ω, {Text.N(found.Stator20Ohm, 4)} Ω at 20 °C",
            "docs/methods/resistance-separation.md", []);
        const string order = "Relief: doubt the clamps first, then the cable and its joints, then the motor. " + DeadFirst;
        if (!found.IsPlausible)
        {
            return Rule(study, id, title, Verdict.Fails, order,
                reason with { WithNumbers = reason.WithNumbers + "; a phase has no resistance left: length, section or reading is wrong" });
        }

        return ResistanceSeparation.Judge(found.SpreadPct, tight, fails, true) switch
        {
            SpreadVerdict.Fails => Rule(study, id, title, Verdict.Fails, order, reason),
            SpreadVerdict.Tight => Rule(study, id, title, Verdict.Tight, order, reason),
            SpreadVerdict.DoubtClamps => Rule(study, id, title, Verdict.Tight, "Relief: clean the clamps and read again. " + DeadFirst,
                reason with { WithNumbers = reason.WithNumbers + "; above 2 %: doubt the clamps" }),
            _ => Rule(study, id, title, Verdict.Holds, string.Empty, reason),
        };
    }

    private static Check Identification(DrivePointModel model, StepUpSupply entered)
    {
        const string id = "long-cable.identification", title = "Identification through the transformer";
        var way = entered.Start.Identification;
        if (way == MotorIdentification.NotStated)
        {
            return Lacking(model, id, title, ["how the converter comes to know motor and cable"]);
        }

        var works = IdentificationRuns.Works(way);
        return CheckWriter.Rule(id, model.Id, BoardRow.Motor, title, works ? Verdict.Holds : Verdict.Fails,
            "Relief: data calculated and referred to the low side, injected alternating current, or a run at speed. Direct-current "
                + "injection for braking or holding does not pass either.",
            new Reason("a transformer passes no direct current",
                works ? "the chosen way works with alternating current" : "identification with direct current at rest is chosen",
                "docs/methods/long-cable.md", []));
    }

    private static Check BackSpin(DrivePointModel model, StepUpSupply entered)
    {
        const string id = "long-cable.back-spin", title = "Back-spin after a stop";
        var start = entered.Start;
        if (start.BackSpin == BackSpinGuard.NotStated)
        {
            return Lacking(model, id, title, ["how a restart against a pump that turns back is prevented"]);
        }

        const string caution =
            "While the column drains the pump turns back and a motor with magnets is a generator: nobody touches the cable before it "
                + "rests and is proved dead.";
        if (start.BackSpin != BackSpinGuard.WaitingTime)
        {
            return CheckWriter.Rule(id, model.Id, BoardRow.Motor, title, Verdict.Holds, string.Empty,
                new Reason("speed below 5 % proven, flying start or a check valve", "so it is stated. " + caution,
                    "docs/methods/long-cable.md", []));
        }

        if (!start.BackSpinMin.IsKnown || !model.Input.DrivePoint.Cable.LengthM.IsKnown)
        {
            return Lacking(model, id, title, ["time until the column has drained", "depth"]);
        }

        var least = model.Input.DrivePoint.Cable.LengthM.Value > DeepM ? DeepDrainMin : DrainMin;
        return CheckWriter.Judged(id, model.Id, BoardRow.Motor, title, start.BackSpinMin.Value, least, "min", LimitSense.AtLeast, 0,
            "Relief: wait longer, or prove the speed. " + caution,
            new Reason("waiting time ≥ 10 min, deep wells (above 300 m) 30 min, unless the speed is proven",
                $"{Text.N(start.BackSpinMin.Value)} min, at least {Text.N(least)}. " + caution,
                "Practice (verify on site); docs/methods/long-cable.md", []));
    }

    private static List<string> StartMissing(LongCableStudy study)
    {
        List<string> missing = [];
        if (study.StartHz is null)
        {
            missing.Add("start frequency");
        }

        if (study.StartA is null)
        {
            missing.Add("start current");
        }

        return missing;
    }

    private static Check Judged(LongCableStudy study, string id, string title, double figure, double limit, string unit, LimitSense sense,
        double tightPct, string relief, Reason reason, string scenario = "") =>
        CheckWriter.Judged(id, study.Model.Id, RowOf(id), title, figure, limit, unit, sense, tightPct, relief, reason, scenario);

    private static Check Rule(LongCableStudy study, string id, string title, Verdict verdict, string relief, Reason reason) =>
        CheckWriter.Rule(id, study.Model.Id, RowOf(id), title, verdict, relief, reason);

    private static Check Lacking(DrivePointModel model, string id, string title, IEnumerable<string> missing) =>
        Check.Lacking(id, model.Id, RowOf(id), title, missing);

    private static BoardRow RowOf(string id) => id switch
    {
        "long-cable.start" or "long-cable.identification" or "long-cable.back-spin" => BoardRow.Motor,
        OutputId or "long-cable.converter-current" or "long-cable.filter" => BoardRow.Converter,
        _ => BoardRow.Cable,
    };
}
