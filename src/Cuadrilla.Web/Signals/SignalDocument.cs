using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Web.Signals;

/// <summary>Signals of a plant on their terminals and channels.</summary>
/// <param name="Points">Drive points with signals in the order of the board.</param>
/// <param name="Cards">Cards of the controller.</param>
internal sealed record SignalDocument(IReadOnlyList<PointSignalDocument> Points, IReadOnlyList<CardDocument> Cards)
{
    public static SignalDocument Of(SignalStudy study) => new([.. study.Points.Select(PointSignalDocument.Of)],
        [.. study.Controller.Cards.Select(c => CardDocument.Of(study, c))]);
}

/// <summary>Signals of a drive point.</summary>
/// <param name="PointId">Its key.</param>
/// <param name="Terminals">Terminals of its unit; empty while none is chosen.</param>
/// <param name="Signals">In the order of the list.</param>
/// <param name="Presets">Preset speeds by their inputs; null without.</param>
/// <param name="OutOfReach">Preset speeds that the inputs can't choose.</param>
/// <param name="MotorPoles">Poles of its motor; null while none is chosen.</param>
internal sealed record PointSignalDocument(string PointId, IReadOnlyList<TerminalDocument> Terminals,
    IReadOnlyList<PlacedSignalDocument> Signals,
    PresetDocument? Presets, int OutOfReach, int? MotorPoles)
{
    public static PointSignalDocument Of(PointSignals unit)
    {
        var runs = SignalRuns.Of(unit).ToList();
        return new PointSignalDocument(unit.Point.Id,
            [.. (unit.Terminals ?? []).Select(t => new TerminalDocument(t.Name, SignalWords.Of(t.Nature)))],
            [.. unit.Signals.Select(s => PlacedSignalDocument.Of(unit, s, runs.Find(r => r.Signals.Contains(s))))],
            PresetTable.Of(unit.Plan) is { } table
                ? new PresetDocument([.. table.Bits.Select(b => SignalFacts.Of(b).Name)],
                    [.. table.Rows.Select(r => new PresetRowDocument(r.On, r.FrequencyHz.IsKnown ? r.FrequencyHz.Value : null))])
                : null,
            PresetTable.OutOfReach(unit.Plan), unit.Motor?.Poles);
    }
}

/// <summary>A terminal.</summary>
/// <param name="Name">Neutral name.</param>
/// <param name="What">What it is.</param>
internal sealed record TerminalDocument(string Name, string What);

/// <summary>A signal on its terminal and channel.</summary>
/// <param name="Id">Its key in the drive point.</param>
/// <param name="Name">Function.</param>
/// <param name="Function">Function as entered.</param>
/// <param name="Way">Seen from the unit.</param>
/// <param name="IsAnalogue">With a value.</param>
/// <param name="Terminal">Terminal; empty without.</param>
/// <param name="LacksTerminal">It needs one and has none.</param>
/// <param name="Fits">Terminals that can take it.</param>
/// <param name="Channel">Card and number as people write it; empty without.</param>
/// <param name="LacksChannel">It needs one and has none.</param>
/// <param name="Kind">Kind at the unit.</param>
/// <param name="Values">Value at 0, 50 and 100 %; empty for what has none, or while data are missing.</param>
/// <param name="Unit">Unit of the values.</param>
/// <param name="DifferencePct">Largest difference of both ends, %; null for what has no values.</param>
/// <param name="Cable">Cable that it runs in; empty: it stays in the cabinet.</param>
internal sealed record PlacedSignalDocument(string Id, string Name, SignalFunction Function, SignalWay Way, bool IsAnalogue,
    string Terminal,
    bool LacksTerminal, IReadOnlyList<string> Fits, string Channel, bool LacksChannel, string Kind, IReadOnlyList<double> Values,
    string Unit,
    double? DifferencePct, string Cable)
{
    public static PlacedSignalDocument Of(PointSignals unit, PlacedSignal s, SignalRun? run)
    {
        var ends = unit.Ends(s);
        return new PlacedSignalDocument(s.Wanted.Id, s.Facts.Name, s.Wanted.Function, s.Facts.Way, s.Facts.IsAnalogue,
            s.Terminal?.Name ?? string.Empty,
            s.LacksTerminal, [.. (unit.Terminals ?? []).Where(t => t.Takes(s.Wanted.Function)).Select(t => t.Name)], s.Channel,
            s.LacksChannel,
            s.UnitRange is { } range
                ? SignalWords.Of(range)
                : s.Terminal is { } terminal ? SignalWords.Of(terminal.Nature) : "outside the unit",
            ends is null ? [] : [ends.ZeroAt, (ends.ZeroAt + ends.FullAt) / 2, ends.FullAt], SignalWords.Unit(s.Facts.Quantity),
            ends?.DifferencePct, run is null ? string.Empty : $"{run.Cores} cores");
    }
}

/// <summary>Preset speeds.</summary>
/// <param name="Bits">Inputs, bit 0 first.</param>
/// <param name="Rows">One for every state.</param>
internal sealed record PresetDocument(IReadOnlyList<string> Bits, IReadOnlyList<PresetRowDocument> Rows);

/// <summary>A state of the inputs.</summary>
/// <param name="On">Which are on.</param>
/// <param name="FrequencyHz">Frequency, Hz; null: the reference, or none is entered.</param>
internal sealed record PresetRowDocument(IReadOnlyList<bool> On, double? FrequencyHz);

/// <summary>A card.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Used">Channels in use.</param>
/// <param name="Channels">Every channel.</param>
internal sealed record CardDocument(string Id, int Used, IReadOnlyList<ChannelDocument> Channels)
{
    public static CardDocument Of(SignalStudy study, ControllerCard card)
    {
        var on = study.On(card);
        return new CardDocument(card.Id, on.Count, [.. Enumerable.Range(1, card.Channels).Select(n => new ChannelDocument(n,
            [.. on[n].Select(s => new OnChannelDocument(s.PointId, s.Wanted.Id, study.Of(s.PointId)!.Point.Tag, s.Facts.Name,
                s.Terminal?.Name ?? string.Empty,
                s.Wanted.Channel.Length > 0))]))]);
    }
}

/// <summary>A channel.</summary>
/// <param name="Number">1 first.</param>
/// <param name="On">What is on it; more than one where they share it by hand.</param>
internal sealed record ChannelDocument(int Number, IReadOnlyList<OnChannelDocument> On);

/// <summary>A signal on a channel.</summary>
/// <param name="PointId">Drive point.</param>
/// <param name="SignalId">Key of the signal there.</param>
/// <param name="Tag">Tag of the drive point.</param>
/// <param name="Name">Function.</param>
/// <param name="Terminal">Terminal of the unit.</param>
/// <param name="ByHand">Put there by hand.</param>
internal sealed record OnChannelDocument(string PointId, string SignalId, string Tag, string Name, string Terminal, bool ByHand);
