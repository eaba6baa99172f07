using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>A signal on its terminal and its channel.</summary>
/// <param name="PointId">Key of its drive point.</param>
/// <param name="Wanted">As entered.</param>
/// <param name="Terminal">Terminal of the unit; null where it needs none, or none is left.</param>
/// <param name="Card">Card of the controller; null where its other end is elsewhere, or none is left.</param>
/// <param name="Number">Channel of the card, 1 first; 0 without one.</param>
public sealed record PlacedSignal(string PointId, WantedSignal Wanted, UnitTerminal? Terminal, ControllerCard? Card, int Number)
{
    /// <summary>Facts of its function.</summary>
    public SignalFacts Facts => SignalFacts.Of(Wanted.Function);

    /// <summary>It needs a terminal and has none.</summary>
    public bool LacksTerminal { get; init; }

    /// <summary>It needs a channel and has none.</summary>
    public bool LacksChannel { get; init; }

    /// <summary>Range at the unit: as entered, as the card's, or the usual 4 to 20 mA; null where it is no analogue signal.</summary>
    public AnalogueRange? UnitRange => !Facts.IsAnalogue ? null : Wanted.Range switch
    {
        Specification.UnitRange.Volt0To10 => AnalogueRange.Volt0To10,
        Specification.UnitRange.Volt2To10 => AnalogueRange.Volt2To10,
        Specification.UnitRange.Milliampere0To20 => AnalogueRange.Milliampere0To20,
        Specification.UnitRange.Milliampere4To20 => AnalogueRange.Milliampere4To20,
        _ => FarRange ?? AnalogueRange.Milliampere4To20,
    };

    /// <summary>Range of the card; null without one that is analogue.</summary>
    public AnalogueRange? FarRange => Facts.IsAnalogue && Card is { Kind: CardKind.AnalogueInput or CardKind.AnalogueOutput } card
        ? card.Range
        : null;

    /// <summary>Card and number as people write it; empty without.</summary>
    public string Channel => Card is { } card ? $"{card.Name}.{Number}" : string.Empty;

    /// <summary>Key of a channel.</summary>
    public static string KeyOf(string cardId, int number) => $"{cardId}/{number}";
}
