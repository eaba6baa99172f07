using Cuadrilla.Core.Base;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Signals;

namespace Cuadrilla.Core.Commands;

/// <summary>Gives drive points the signals that their jobs usually have; what is recorded of stops stays.</summary>
/// <param name="PointIds">Keys of the drive points.</param>
/// <param name="Job">Kind of job.</param>
public sealed record TakeSignals(ValueList<string> PointIds, SignalJob Job) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var known = plant.AllDrivePoints().ToDictionary(p => p.Id, StringComparer.Ordinal);
        if (PointIds.Count == 0 || PointIds.FirstOrDefault(id => !known.ContainsKey(id)) is not null)
        {
            return CommandOutcome.Unknown("pointIds", "Drive point", PointIds.FirstOrDefault(id => !known.ContainsKey(id)));
        }

        var data = studies.Data.With(plant);
        return new CommandOutcome.Done(
            plant.Changed([.. PointIds], p => p with { Signals = SignalPresets.Of(plant, p, Job, data) }),
            PointIds.Count == 1 ? $"{known[PointIds[0]].Tag}: usual signals" : $"Usual signals for {PointIds.Count} drive points", []);
    }
}

/// <summary>Writes the channels that are given out into the entries, so that later ones leave them where they are.</summary>
/// <param name="Free">True: all channels by hand become free again.</param>
public sealed record KeepChannels(bool Free) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var study = SignalStudy.Of(plant, studies.Data.With(plant));
        var after = plant.Changed([.. study.Points.Select(p => p.Point.Id)], p => p with
        {
            Signals = p.Signals! with
            {
                Wanted = [.. study.Of(p.Id)!.Signals.Select(s => Free
                    ? s.Wanted with { Channel = string.Empty, Terminal = string.Empty }
                    : s.Wanted with
                    {
                        Channel = s.Card is { } card ? PlacedSignal.KeyOf(card.Id, s.Number) : s.Wanted.Channel,
                        Terminal = s.Terminal?.Name ?? s.Wanted.Terminal,
                    })],
            },
        });
        return after == plant
            ? CommandOutcome.Not("free", Free ? "No channel is kept by hand." : "No channel is given out that is not kept already.")
            : CommandOutcome.Of(after, Free ? "Channels and terminals by themselves again" : "Channels and terminals kept");
    }
}
