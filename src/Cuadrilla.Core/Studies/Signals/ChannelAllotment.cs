using System.Globalization;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>A signal that asks for a channel.</summary>
/// <param name="Key">Key over the plant.</param>
/// <param name="ByHand">Channel by hand; empty: any.</param>
/// <param name="PlaceId">Place of the unit; empty: not stated.</param>
/// <param name="Fits">How well a card fits, 0 best; null: not at all.</param>
internal sealed record ChannelDemand(string Key, string ByHand, string PlaceId, Func<ControllerCard, int?> Fits);

/// <summary>Gives channels of the controller: those by hand first, then in the order of the board the first free one of the card that
/// fits best, a card at the unit's place before others.</summary>
internal static class ChannelAllotment
{
    public static IReadOnlyDictionary<string, (ControllerCard Card, int Number)> Of(
        PlantController controller, IReadOnlyList<ChannelDemand> demands)
    {
        Dictionary<string, (ControllerCard, int)> given = new(StringComparer.Ordinal);
        var taken = controller.Cards.ToDictionary(c => c.Id, _ => new HashSet<int>(), StringComparer.Ordinal);
        foreach (var demand in demands.Where(d => d.ByHand.Length > 0))
        {
            if (ByHand(controller, demand.ByHand) is { } channel)
            {
                given[demand.Key] = channel;
                taken[channel.Card.Id].Add(channel.Number);
            }
        }

        foreach (var demand in demands.Where(d => d.ByHand.Length == 0))
        {
            var card = controller.Cards.Where(c => taken[c.Id].Count < c.Channels && demand.Fits(c) is not null)
                .OrderBy(c => demand.Fits(c)).ThenBy(c => c.PlaceId.Length > 0 && c.PlaceId == demand.PlaceId ? 0 : 1).FirstOrDefault();
            if (card is not null)
            {
                var number = Enumerable.Range(1, card.Channels).First(n => !taken[card.Id].Contains(n));
                given[demand.Key] = (card, number);
                taken[card.Id].Add(number);
            }
        }

        return given;
    }

    /// <summary>A channel by its key; null where there is none of it.</summary>
    public static (ControllerCard Card, int Number)? ByHand(PlantController controller, string key)
    {
        var cut = key.LastIndexOf('/');
        return cut > 0 && int.TryParse(key[(cut + 1)..], NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            && controller.Cards.FirstOrDefault(c => c.Id == key[..cut]) is { } card && number >= 1 && number <= card.Channels
            ? (card, number)
            : null;
    }

    /// <summary>How well a card fits a signal on a terminal, 0 best; null: not at all.</summary>
    public static int? Fit(SignalPlan plan, WantedSignal wanted, UnitTerminal? terminal, ControllerCard card)
    {
        var facts = SignalFacts.Of(wanted.Function);
        if (facts.IsAnalogue)
        {
            var kind = facts.Way == SignalWay.In ? CardKind.AnalogueOutput : CardKind.AnalogueInput;
            return card.Kind == kind && Matches(wanted.Range, card.Range) ? 0 : null;
        }

        return (facts.Way, terminal?.Nature) switch
        {
            (SignalWay.Out, TerminalNature.PulseOutput) => card.Kind == CardKind.Counter ? 0 : null,
            (SignalWay.Out, TerminalNature.DigitalOutput) =>
                card is { Kind: CardKind.DigitalInput, Sense: DigitalSense.ToZero } ? 0 : null,
            (SignalWay.Out, _) => card.Kind == CardKind.DigitalInput ? 0 : null,
            (SignalWay.In, TerminalNature.Coil) => card.Kind switch
            {
                CardKind.RelayOutput => 0,
                CardKind.DigitalOutput => 1,
                _ => null,
            },
            (SignalWay.In, _) => card.Kind switch
            {
                CardKind.DigitalOutput when card.Sense == plan.Sense => 0,
                CardKind.RelayOutput => 1,
                _ => null,
            },
            _ => null,
        };
    }

    // An entry left to the other end takes any.
    private static bool Matches(UnitRange entered, AnalogueRange range) =>
        entered == UnitRange.AsFarEnd || entered.ToString() == range.ToString();
}
