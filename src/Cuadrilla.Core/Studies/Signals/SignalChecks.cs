using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Signals of a drive point: <c>io.conflict</c>, <c>io.too-few</c>, <c>io.kind</c>, <c>io.sink-source</c>, <c>io.enable</c>,
/// <c>io.stop</c>, <c>io.brake-resistor</c>; scaling and loads of outputs stand in files of their own.</summary>
internal static class SignalChecks
{
    public const string TooFewId = "io.too-few";
    private const string ConflictId = "io.conflict";
    private const string KindId = "io.kind";
    private const string SenseId = "io.sink-source";
    private const string EnableId = "io.enable";
    private const string StopId = "io.stop";
    private const string ResistorId = "io.brake-resistor";
    internal const string Source = "docs/methods/signals.md";

    public static IEnumerable<Check> Of(SignalStudy study, PointSignals unit, double ratedA, double tightPct)
    {
        yield return TooFew(study, unit);
        if (unit.Terminals is null)
        {
            yield break;
        }

        yield return Conflict(study, unit);
        yield return Kind(unit);
        yield return Sense(unit);
        if (unit.Terminals.Any(t => t.Nature is TerminalNature.Enable or TerminalNature.TorqueOff))
        {
            yield return Enable(unit);
        }

        yield return Stop(unit);
        if (unit.HasResistor)
        {
            yield return Resistor(unit);
        }

        foreach (var check in SignalScalingChecks.Of(unit).Concat(OutputLoadChecks.Of(study, unit, ratedA, tightPct)))
        {
            yield return check;
        }
    }

    /// <summary>A rule of the signals of a drive point: the faults in it, or what holds.</summary>
    internal static Check Rule(string id, PointSignals unit, string title, IReadOnlyList<string> faults, string holds, string rule,
        string relief) => CheckWriter.Rule(id, unit.Point.Id, BoardRow.Converter, title, faults.Count > 0 ? Verdict.Fails : Verdict.Holds,
            relief, new Reason(rule, faults.Count > 0 ? string.Join("; ", faults) : holds, Source, []));

    internal static Check Lacking(string id, PointSignals unit, string title, IEnumerable<string> missing) =>
        Check.Lacking(id, unit.Point.Id, BoardRow.Converter, title, missing);

    private static Check TooFew(SignalStudy study, PointSignals unit)
    {
        const string title = "Terminals and channels";
        if (unit.IsOfGroup)
        {
            return Rule(TooFewId, unit, title, ["its converter stands at the first of its group: its signals belong there"], string.Empty,
                "signals at the unit", "Relief: enter the signals at the first drive point of the group.");
        }

        List<string> missing = [];
        if (unit.Terminals is null)
        {
            missing.Add("converter or starter");
        }

        if (study.Controller.Cards.Count == 0 && unit.Signals.Any(s => s.LacksChannel))
        {
            missing.Add("cards of the controller");
        }

        if (missing.Count > 0)
        {
            return Lacking(TooFewId, unit, title, missing);
        }

        List<string> faults =
        [
            .. unit.Signals.Where(s => s.LacksTerminal).Select(s => s.Wanted.Terminal.Length > 0
                ? $"{s.Facts.Name}: the unit has no terminal {s.Wanted.Terminal}" : $"{s.Facts.Name}: no terminal is left that fits"),
            .. unit.Signals.Where(s => s.LacksChannel).Select(s => s.Wanted.Channel.Length > 0
                ? $"{s.Facts.Name}: the controller has no channel {s.Wanted.Channel}"
                : $"{s.Facts.Name}: no free channel of the controller fits"),
        ];
        return Rule(TooFewId, unit, title, faults,
            $"{unit.Signals.Count(s => s.Terminal is not null)} signals on terminals, {unit.Signals.Count(s => s.Card is not null)} on "
                + "channels",
            "every signal on a terminal of its own, and on a channel where the controller is its other end",
            "Relief: an extension card, the fieldbus for what is not urgent, a further card of the controller.");
    }

    private static Check Conflict(SignalStudy study, PointSignals unit)
    {
        List<string> faults =
        [
            .. unit.Signals.Where(s => s.Terminal is not null).GroupBy(s => s.Terminal!.Name).Where(g => g.Count() > 1)
                .Select(g => $"{g.Key}: {string.Join(" and ", g.Select(s => s.Facts.Name))}"),
            .. unit.Signals.Where(s => s.Card is not null)
                .Select(s => (Signal: s, Others: study.On(s.Card!)[s.Number].Where(o => o != s).ToList())).Where(x => x.Others.Count > 0)
                .Select(x => $"{x.Signal.Channel}: {x.Signal.Facts.Name}, and "
                    + $"{string.Join(", ", x.Others.Select(o => $"{study.Of(o.PointId)!.Point.Tag} {o.Facts.Name}"))}"),
        ];
        if (unit.Of(SignalFunction.Run) is not null && unit.Of(SignalFunction.StartPulse) is not null)
        {
            faults.Add("two-wire run and three-wire start exclude each other");
        }

        if (unit.Of(SignalFunction.StartPulse) is not null != unit.Of(SignalFunction.StopPulse) is not null)
        {
            faults.Add("a three-wire start needs its start and its stop");
        }

        return Rule(ConflictId, unit, "One function on a terminal", faults, "each terminal and each channel has one signal",
            "one function on a terminal, one signal on a channel", "Relief: let it place one of them, or move it.");
    }

    private static Check Kind(PointSignals unit)
    {
        List<string> faults = [];
        foreach (var s in unit.Signals)
        {
            if (s.Terminal is { } terminal && !terminal.Takes(s.Wanted.Function))
            {
                faults.Add($"{s.Facts.Name} on {terminal.Name} ({SignalWords.Of(terminal.Nature)})");
            }

            if (s.Card is { } card && !FitsWay(s, card))
            {
                faults.Add($"{s.Facts.Name} on {s.Channel}, one of {SignalWords.Of(card.Kind)}");
            }
            else if (s is { UnitRange: { } range, FarRange: { } far } && SignalScaling.IsVoltage(range) != SignalScaling.IsVoltage(far))
            {
                faults.Add($"{s.Facts.Name}: {SignalWords.Of(range)} at the unit, {SignalWords.Of(far)} on {s.Channel}");
            }
        }

        return Rule(KindId, unit, "Kinds of signals", faults, "both ends of every signal are of one kind",
            "voltage to voltage, current to current, digital to digital",
            "Relief: set the terminal of the unit or the card to the same kind; a current into a voltage input needs a resistor of 500 Ω, "
                + "a voltage into a current input a converter.");
    }

    private static bool FitsWay(PlacedSignal s, ControllerCard card) => s.Facts.IsAnalogue
        ? card.Kind == (s.Facts.Way == SignalWay.In ? CardKind.AnalogueOutput : CardKind.AnalogueInput)
        : s.Facts.Way == SignalWay.In ? card.Kind is CardKind.DigitalOutput or CardKind.RelayOutput
        : s.Terminal?.Nature == TerminalNature.PulseOutput ? card.Kind == CardKind.Counter : card.Kind == CardKind.DigitalInput;

    private static Check Sense(PointSignals unit)
    {
        var faults = unit.Signals.Where(s => s.Card is not null && !s.Facts.IsAnalogue)
            .Select(s => (s, s.Terminal?.Nature, s.Card!.Kind) switch
        {
            (_, TerminalNature.DigitalInput or TerminalNature.Enable, CardKind.DigitalOutput) when s.Card.Sense != unit.Plan.Sense =>
                $"{s.Facts.Name}: {s.Channel} switches to {SignalWords.Of(s.Card.Sense)}, the input is active at "
                    + $"{SignalWords.Of(unit.Plan.Sense)}",
            (_, TerminalNature.DigitalOutput, CardKind.DigitalInput) when s.Card.Sense != DigitalSense.ToZero =>
                $"{s.Facts.Name}: {s.Terminal!.Name} switches to 0 V, {s.Channel} is active at +24 V",
            _ => null,
        }).OfType<string>().ToList();
        return Rule(SenseId, unit, "Sink and source", faults, "outputs and inputs are active at the same conductor; contacts of relays "
            + "fit both",
            "an output that sources to an input that sinks, and the other way round",
            "Relief: set the unit's inputs to the other sense, take a relay output, or another card.");
    }

    private static Check Enable(PointSignals unit)
    {
        var open = unit.Terminals!.Where(t => t.Nature is TerminalNature.Enable or TerminalNature.TorqueOff)
            .Where(t => unit.Signals.All(s => s.Terminal?.Name != t.Name)).Select(t => t.Name).ToList();
        var wired = unit.Signals.Where(s => s.Terminal?.Nature is TerminalNature.Enable or TerminalNature.TorqueOff)
            .Select(s => s.Facts.Name)
            .ToList();
        List<string> faults = unit.Plan.EnableLinked
            ? wired.ConvertAll(w => $"{w} is wired, and linked at the unit: the link defeats it")
            : open.ConvertAll(t => $"{t} is open: ready, but it will not run");
        return Rule(EnableId, unit, "Enable", faults,
            unit.Plan.EnableLinked && open.Count > 0 ? $"{string.Join(" and ", open)} linked at the unit" : "enable and safe torque off "
                + "are wired",
            "enable and safe torque off wired, or linked at the unit",
            "Relief: wire the enable, or link it where whoever designs the safety permits that.");
    }

    private static Check Stop(PointSignals unit)
    {
        const string title = "Stop";
        List<string> missing = [];
        if (unit.Plan.StopBy == StopMeans.NotStated)
        {
            missing.Add("what the stop depends on");
        }

        if (unit.Plan.StopCategory == StopCategory.NotStated)
        {
            missing.Add("stop category, of whoever designs the safety");
        }

        if (missing.Count > 0 && unit.Plan.StopBy != StopMeans.Software)
        {
            return Lacking(StopId, unit, title, missing);
        }

        if (unit.Plan.StopBy == StopMeans.TorqueOff && unit.Of(SignalFunction.TorqueOff) is null)
        {
            return Rule(StopId, unit, title, ["the stop is by safe torque off, and no such signal is wired"], string.Empty,
                "stop as recorded",
                "Relief: wire safe torque off, or record what the stop depends on.");
        }

        if (unit.Plan.StopBy == StopMeans.SupplyContactor && unit.Of(SignalFunction.SupplyContactor) is null
            && unit.Terminals!.All(t => t.Nature != TerminalNature.Coil))
        {
            return Rule(StopId, unit, title, ["the stop is by a contactor in the supply, and none is on the list"], string.Empty,
                "stop as recorded", "Relief: put the supply's contactor on the list, or record what the stop depends on.");
        }

        // An output of the controller is a program too, whatever it switches.
        var alone = unit.Plan.StopBy == StopMeans.Software || (unit.Plan.StopBy == StopMeans.TorqueOff
            ? unit.Of(SignalFunction.TorqueOff)!.Wanted.Far == FarEnd.Controller
            : (unit.Of(SignalFunction.SupplyContactor) ?? unit.Signals.FirstOrDefault(s => s.Terminal?.Nature == TerminalNature.Coil))
                ?.Wanted.Far == FarEnd.Controller);
        return CheckWriter.Rule(StopId, unit.Point.Id, BoardRow.Converter, title, alone ? Verdict.Tight : Verdict.Holds,
            "Caution: a program or fieldbus may fail to stop it. Whoever designs the safety decides by the risk assessment (ISO 12100, "
                + "IEC 60204-1, local codes).",
            new Reason("recorded, never designed here",
                $"{SignalWords.Of(unit.Plan.StopCategory)}, by {SignalWords.Of(unit.Plan.StopBy)}, as stated by whoever designs the safety"
                    + (alone && unit.Plan.StopBy != StopMeans.Software ? "; the controller switches it: a program" : string.Empty),
                    Source, []));
    }

    private static Check Resistor(PointSignals unit)
    {
        const string title = "Brake resistor too hot";
        if (unit.Plan.ResistorTrip == ResistorTrip.NotStated && unit.Of(SignalFunction.ResistorSwitch) is not null)
        {
            return Lacking(ResistorId, unit, title, ["what the thermal switch of the resistor does"]);
        }

        List<string> faults = [];
        if (unit.Of(SignalFunction.ResistorSwitch) is null)
        {
            faults.Add("the thermal switch of the resistor is not on the list");
        }

        if (unit.Plan.ResistorTrip is ResistorTrip.TripsUnit or ResistorTrip.Told)
        {
            faults.Add($"it {SignalWords.Of(unit.Plan.ResistorTrip)}: a chopper that is broken stays on until the supply is opened");
        }

        return Rule(ResistorId, unit, title, faults, "its thermal switch opens the supply of the converter",
            "thermal switch of the resistor opens the contactor or breaker ahead of the converter",
            "Relief: wire the thermal switch into the coil of the supply's contactor or the trip of its breaker.");
    }
}
