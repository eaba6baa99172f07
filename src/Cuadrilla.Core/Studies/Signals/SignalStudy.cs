using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Signals of a plant on their terminals and channels; method <c>docs/methods/signals.md</c>.</summary>
public sealed class SignalStudy
{
    private readonly Dictionary<string, PointSignals> byPoint;

    private SignalStudy(PlantSpecification plant, EngineeringData data)
    {
        Controller = plant.Controller ?? PlantController.Open;
        Series = data.Terminals;
        var units = plant.Lineups.SelectMany(l => l.DrivePoints.Where(p => p.Signals is not null).Select(p => Unit(l, p, data))).ToList();
        var channels = ChannelAllotment.Of(Controller, [.. units.SelectMany(Demands)]);
        Points = units.ConvertAll(u => u with { Signals = [.. u.Signals.Select(s => OnChannel(s, channels))] });
        byPoint = Points.ToDictionary(p => p.Point.Id, StringComparer.Ordinal);
    }

    /// <summary>Drive points with signals in the order of the board.</summary>
    public IReadOnlyList<PointSignals> Points { get; }

    /// <summary>The controller.</summary>
    public PlantController Controller { get; }

    /// <summary>Usual terminals and draws.</summary>
    public TerminalSeries Series { get; }

    /// <summary>Gives terminals and channels.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="data">The catalogue with the plant's own items.</param>
    public static SignalStudy Of(PlantSpecification plant, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(data);
        return new SignalStudy(plant, data);
    }

    /// <summary>Signals of a drive point; null where none are entered.</summary>
    public PointSignals? Of(string pointId) => byPoint.GetValueOrDefault(pointId);

    /// <summary>Channels of a card with what is on them; more than one where two are on the same by hand.</summary>
    public ILookup<int, PlacedSignal> On(ControllerCard card) =>
        Points.SelectMany(p => p.Signals).Where(s => s.Card?.Id == card.Id).ToLookup(s => s.Number);

    /// <summary>Signals of a kind of channel that found none.</summary>
    public IEnumerable<PlacedSignal> Lacking() => Points.SelectMany(p => p.Signals).Where(s => s.LacksChannel);

    private static string KeyOf(string pointId, WantedSignal wanted) => $"{pointId}:{wanted.Id}";

    private static PointSignals Unit(Lineup lineup, DrivePoint point, EngineeringData data)
    {
        var plan = point.Signals!;
        var item = point.Converter is ConverterChoice.FromCatalogue chosen ? data.Converters.GetValueOrDefault(chosen.ItemId) : null;
        var terminals = data.Terminals.Of(point.Converter, item?.Kind, plan.Extension);
        var given = terminals is null ? null : TerminalAllotment.Of(plan, terminals);
        var motor = point.Motor is MotorChoice.FromCatalogue { ItemId: var id } ? data.Motors.GetValueOrDefault(id)?.Plate : null;
        return new PointSignals(lineup, point, plan, terminals, motor, [.. plan.Wanted.Select(w =>
        {
            var terminal = given?.GetValueOrDefault(w.Id);
            return new PlacedSignal(point.Id, w, terminal, null, 0)
            {
                LacksTerminal = given is not null && terminal is null && TerminalAllotment.Needs(plan, w),
            };
        })]);
    }

    // The bus takes no channel; what has no terminal needs none.
    private static IEnumerable<ChannelDemand> Demands(PointSignals unit) => unit.Signals
        .Where(s => NeedsChannel(s) && !s.LacksTerminal)
        .Select(s => new ChannelDemand(KeyOf(unit.Point.Id, s.Wanted), s.Wanted.Channel, unit.PlaceId,
            card => ChannelAllotment.Fit(unit.Plan, s.Wanted, s.Terminal, card)));

    private static bool NeedsChannel(PlacedSignal signal) =>
        signal.Wanted is { Far: FarEnd.Controller,
            Function: not (SignalFunction.Bus or SignalFunction.Encoder or SignalFunction.Thermistor) };

    private static PlacedSignal OnChannel(PlacedSignal signal, IReadOnlyDictionary<string, (ControllerCard Card, int Number)> channels) =>
        channels.TryGetValue(KeyOf(signal.PointId, signal.Wanted), out var channel)
            ? signal with { Card = channel.Card, Number = channel.Number }
            : signal with { LacksChannel = NeedsChannel(signal) && !signal.LacksTerminal };
}
