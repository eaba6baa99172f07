using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.OnePhase;

/// <summary>What a drive point is judged by where two conductors feed it: its converter, the link of its motor, what its motor still
/// delivers.</summary>
internal static class OnePhasePointChecks
{
    public const string ChoiceId = "single-phase.converter-choice";
    private const string ChoiceTitle = "Converter for one phase";
    private const string ConnectionTitle = "Motor linked for one phase";
    private const string LoadTitle = "Motor on a made third phase";
    private const string Source = "docs/methods/one-phase.md";

    // Above it a three-phase unit on two conductors has a choke, or its diodes and capacitors suffer (practice, verify).
    private const double ChokeFromKw = 2.2;
    private const double TolerancePu = 0.1;
    private const double StaticPct = 100 * OnePhaseOptions.StaticUsablePu;
    private const double SameHzPu = 0.98;

    public static IEnumerable<Check> Of(DrivePointModel model) => [.. Choice(model), .. Connection(model), .. MotorLoad(model)];

    /// <summary>Whether its converter can be fed by two conductors.</summary>
    public static IEnumerable<Check> Choice(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Input.HasNoLine || model.Input.OnePhase is { MakesThreePhases: true })
        {
            yield break;
        }

        var isOne = model.Input.OnePhase is not null;
        if (model.WholeItem is not { } item || model.Choice is not { } choice)
        {
            if (isOne)
            {
                yield return model.Starter is null
                    ? Check.Lacking(ChoiceId, model.Id, BoardRow.Converter, ChoiceTitle, ["converter"])
                    : Rule(model, Verdict.Fails, "Relief: a converter with two input conductors, or a rotary or static converter for the "
                        + "lineup.",
                        "a three-phase motor needs three phases", "it hangs on two conductors without a converter");
            }

            yield break;
        }

        if (isOne && item.FrontEnd is not (FrontEnd.SinglePhase or FrontEnd.Diode { Bridges: 1 }))
        {
            yield return Rule(model, Verdict.Fails,
                "Relief: a unit with two input conductors, or a plain diode bridge on two of its three.",
                "two conductors feed a single-phase bridge or one six-pulse diode bridge", $"{item.FrontEnd.PartsName} needs three phases");
            yield break;
        }

        if (isOne && model.TwoConductorV is null)
        {
            yield return Rule(model, Verdict.Fails, "Relief: feed it by two phases, or choose a unit with two input conductors.",
                "only one phase is there", "it is connected to three phases");
            yield break;
        }

        if (model.TwoConductorV is { } supplyV)
        {
            yield return OnTwo(model, item, choice, supplyV);
        }
    }

    private static Check OnTwo(DrivePointModel model, ConverterItem item, ConverterChoice.FromCatalogue choice, double supplyV)
    {
        const string formula = "supply within ±10 % of the unit's; three-phase units on two conductors: derated, with a choke above 2.2 "
            + "kW, its phase-loss trip switched off";
        var isThree = item.FrontEnd is not FrontEnd.SinglePhase;
        var numbers = $"{Text.N(supplyV)} V for a unit of {Text.N(item.RatedVoltageV)} "
            + $"V{(isThree ? $", {Text.N(100 * item.Derating.SinglePhaseFeedPu)} % of its rating used" : ", made for two conductors")}";
        if (Math.Abs((supplyV / item.RatedVoltageV) - 1) > TolerancePu)
        {
            return Rule(model, Verdict.Fails,
                "Relief: a unit of the supply's voltage; between two phases the voltage is √3 times that to the neutral.", formula,
                numbers);
        }

        if (!isThree)
        {
            return Rule(model, Verdict.Holds, string.Empty, formula, numbers);
        }

        var hasChoke = item.FrontEnd.DcChokePct > 0 || item.FrontEnd.LineReactorPct > 0;
        return item.RatedKw > ChokeFromKw && !hasChoke
            ? Rule(model, Verdict.Fails, "Relief: a unit with a choke, or one made for two conductors.", formula,
                numbers + $"; {Text.N(item.RatedKw)} kW without a choke")
            : Rule(model, Verdict.Tight,
                "Ask the maker: whether its phase-loss trip can be switched off, which two terminals it wants, what it permits on two "
                    + "conductors.",
                formula, $"{numbers}; terminals L1 and L2 unless its maker names others, the third stays free and "
                    + $"covered{(choice.Modules > 1 ? "; several modules" : string.Empty)}");
    }

    private static IEnumerable<Check> Connection(DrivePointModel model)
    {
        const string id = "single-phase.motor-connection";
        if (model.Input.HasNoLine || (model.Input.OnePhase is null && model.TwoConductorV is null))
        {
            yield break;
        }

        if (model.Fitted is not { } fitted)
        {
            yield return Check.Lacking(id, model.Id, BoardRow.Motor, ConnectionTitle, ["motor"]);
            yield break;
        }

        var (plate, connected) = (fitted.Item.Plate, fitted.Connected);
        var supplyV = model.TwoConductorV ?? model.Input.BusVoltageV;
        var canDelta = plate.DeltaVoltageV > 0;
        var how = canDelta ? connected.IsDelta ? "delta" : "star" : "as it is made";
        var relief = canDelta && !connected.IsDelta && plate.DeltaVoltageV <= (1 + TolerancePu) * supplyV
            ? "Relief: link it in delta: three bridges side by side instead of the star bridge, isolated and proven dead."
            : "Relief: a motor whose delta is for this voltage; a star made inside needs its winding ends brought out by a workshop.";
        if (model.Converter is null)
        {
            var near = Math.Abs((connected.LinkedVoltageV / supplyV) - 1) <= TolerancePu;
            yield return CheckWriter.Rule(id, model.Id, BoardRow.Motor, ConnectionTitle, near ? Verdict.Holds : Verdict.Fails, relief,
                new Reason("linked voltage within ±10 % of the supply",
                    $"linked in {how} for {Text.N(connected.LinkedVoltageV)} V on {Text.N(supplyV)} V", Source, []));
            yield break;
        }

        // Beyond full torque the base speed falls: judged by what the machine asks, as the voltage at the motor is.
        var fastestHz = model.Load is { } load
            ? plate.RatedFrequencyHz * Math.Abs(load.RatedSpeedRpm) / plate.RatedSpeedRpm
            : plate.RatedFrequencyHz;
        var fullHz = plate.RatedFrequencyHz * supplyV / connected.LinkedVoltageV;
        var asked = SameHzPu * Math.Min(fastestHz, plate.RatedFrequencyHz);
        yield return CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, ConnectionTitle, fullHz, asked, "Hz", LimitSense.AtLeast, 0, relief,
            new Reason("full torque up to f_N·U/U_linked ≥ the machine's frequency, up to the rated one",
                $"linked in {how} for {Text.N(connected.LinkedVoltageV)} V on {Text.N(supplyV)} V: full torque to {Text.N(fullHz, 3)} Hz, "
                    + $"{Text.N(Math.Min(fastestHz, plate.RatedFrequencyHz), 3)} Hz asked",
                Source, [ReasonInput.Of("supply", supplyV, "V", "two conductors")]));
    }

    /// <summary>A start behind a static converter has less torque than on three whole phases, and nothing tells how much.</summary>
    public static Check BehindStatic(DrivePointModel model, Check check)
    {
        ArgumentNullException.ThrowIfNull(model);
        ArgumentNullException.ThrowIfNull(check);
        return model.Input.OnePhase?.Means == OnePhaseMeans.Static && check.Id == "starter.reaches-speed"
            ? check.AtBestTight("computed on three whole phases; a static converter gives less torque at the start",
                "Try the start: light starts only.")
            : check;
    }

    // Rotary: by the unbalance of the made phase; static: two thirds.
    private static IEnumerable<Check> MotorLoad(DrivePointModel model)
    {
        const string id = "single-phase.motor-load";
        if (model.Input.OnePhase is not { MakesThreePhases: true } feed || model.Starter is null)
        {
            yield break;
        }

        if (model is not LoadedMotor { Load: { } load, Fitted: { } fitted })
        {
            yield return Check.Lacking(id, model.Id, BoardRow.Motor, LoadTitle, model.MissingForMotor());
            yield break;
        }

        var loadPct = 100 * load.Levels().SelectMany(load.SizingPointsAt).Append(load.At(1))
            .Max(p => p.PowerW) / fitted.Item.Plate.RatedPowerW;
        var isRotary = feed.Means == OnePhaseMeans.Rotary;
        var unbalance = feed.UnbalancePct();
        var permitted = isRotary ? 100 * OnePhaseStudy.PermittedPu(unbalance, model.Data) : StaticPct;
        var check = CheckWriter.Judged(
            id, model.Id, BoardRow.Motor, LoadTitle, loadPct, permitted, "%", LimitSense.AtMost, model.Input.Defaults.TightMarginPct,
            isRotary ? "Relief: a larger motor, a rotary converter whose made phase differs less."
                : "Relief: a larger motor, or another way than a static converter.",
            new Reason(isRotary
                ? "load ≤ derating(U_2/U_1), U_2/U_1 from line voltages of 1, 1 + d, 1 + d"
                : "load ≤ 2/3 of the rated output",
                isRotary ? $"made phase differs by {Text.N(feed.DeviationPct)} "
                    + $"%{(feed.IsDeviationStated ? string.Empty : ", taken from practice")}: U_2/U_1 = {Text.N(unbalance, 3)} %, "
                    + $"{Text.N(permitted, 3)} % permitted"
                    : $"{Text.N(loadPct, 3)} % of {Text.N(fitted.Item.Plate.RatedPowerW / 1e3)} kW",
                isRotary ? "IEC 60034-26, NEMA MG 1; " + Source : Source, []));
        yield return isRotary && !feed.IsDeviationStated
            ? check.AtBestTight("how much the made phase differs was taken from practice",
                "Measure the three voltages under load, and enter the deviation.")
            : check;
    }

    private static Check Rule(DrivePointModel model, Verdict verdict, string relief, string formula, string numbers) => CheckWriter.Rule(
        ChoiceId, model.Id, BoardRow.Converter, ChoiceTitle, verdict, relief, new Reason(formula, numbers, Source, []));
}
