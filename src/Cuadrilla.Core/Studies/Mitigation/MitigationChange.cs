using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Mitigation;

/// <summary>What a way of mitigating changes in a plant.</summary>
/// <param name="Choices">Converter item of each changed drive point.</param>
/// <param name="Move">What hangs from another bus; null when nothing does.</param>
/// <param name="Filter">Central active filter that is added, in place of one of its key; null when none is.</param>
/// <param name="Detunes">True when capacitor banks without reactor get one of 7 %.</param>
public sealed record MitigationChange(IReadOnlyDictionary<string, string> Choices, MitigationMove? Move, ActiveFilter? Filter, bool Detunes)
{
    /// <summary>Nothing.</summary>
    public static MitigationChange None { get; } = new(new Dictionary<string, string>(), null, null, false);

    // Below the 5th order whatever the network: √(1/0.07) = 3.8.
    private const double UsualDetuningPct = 7;

    /// <summary>The plant with it. Keys that the plant does not have change nothing.</summary>
    /// <param name="plant">The plant.</param>
    /// <param name="data">The catalogue with the plant's own items.</param>
    public PlantSpecification On(PlantSpecification plant, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(data);
        var lineups = plant.Lineups.Select(l => Choices.Count == 0
            ? l
            : l with { DrivePoints = [.. l.DrivePoints.Select(p => Changed(p, data))] });
        var network = plant.Distribution;
        return plant with
        {
            Lineups = Move is null ? [.. lineups] : Moved([.. lineups], Move),
            Distribution = network with
            {
                CapacitorBanks = Detunes ? [.. network.CapacitorBanks.Select(b => b.DetuningPct.IsKnown
                    ? b
                    : b with { DetuningPct = UsualDetuningPct })] : network.CapacitorBanks,
                ActiveFilters = Filter is null ? network.ActiveFilters : [.. network.ActiveFilters.Where(f => f.Id != Filter.Id), Filter],
            },
        };
    }

    // What returns to the line needs no resistor.
    private DrivePoint Changed(DrivePoint point, EngineeringData data) =>
        Choices.TryGetValue(point.Id, out var key) && key is not null && data.Converters.TryGetValue(key, out var item)
            && point.Converter is ConverterChoice.FromCatalogue choice
            ? point with
            {
                Converter = choice with
                {
                    ItemId = item.Id,
                    Braking = item.FrontEnd.ReturnsToLine
                        ? new Braking.ToLine()
                        : choice.Braking is Braking.ToLine ? new Braking.Nothing() : choice.Braking,
                },
            }
            : point;

    private static ValueList<Lineup> Moved(List<Lineup> lineups, MitigationMove move)
    {
        if (move.LineupId.Length > 0)
        {
            return [.. lineups.Select(l => l.Id == move.LineupId ? l with { BusId = move.BusId } : l)];
        }

        var moved = lineups.SelectMany(l => l.DrivePoints).Where(p => p.Id == move.DrivePointId).ToList();
        return lineups.Any(l => l.Id == move.ToLineupId)
            ? [.. lineups.Select(l => l with { DrivePoints = [.. l.DrivePoints.Where(p => p.Id != move.DrivePointId),
                .. l.Id == move.ToLineupId ? moved : []] })]
            : [.. lineups];
    }
}
