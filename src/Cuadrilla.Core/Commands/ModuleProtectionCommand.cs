using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>
/// Takes what is proposed for a common DC bus: the device of its supply module, the section of its feeder, the fuses between bus and
/// inverters. What can't be proposed stays, and a note says why.
/// </summary>
/// <param name="DcBusId">Which.</param>
public sealed record SizeModuleProtection(string DcBusId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Lineups.FirstOrDefault(l => l.DcBuses.Any(b => b.Id == DcBusId)) is not { } lineup)
        {
            return CommandOutcome.Unknown("dcBusId", "DC bus", DcBusId);
        }

        var bus = lineup.DcBuses.First(b => b.Id == DcBusId);
        var proposal = studies.ModuleProposalFor(plant, bus);
        var sized = bus with
        {
            Device = proposal.Device ?? bus.Device,
            Feeder = bus.Feeder is Feeder.ByCable cable && proposal.FeederMm2 is { } mm2
                ? cable with { CrossSectionMm2 = mm2, Reason = string.Empty }
                : bus.Feeder,
        };
        var after = lineup.Changed(bus.MemberIds,
            p => Fused(p, proposal)) with { DcBuses = [.. lineup.DcBuses.Select(b => b.Id == DcBusId ? sized : b)] };
        var without = bus.MemberIds.Where(m => !proposal.DcFusesA.ContainsKey(m)).ToList();
        List<string> notes = [.. proposal.Missing];
        if (without.Count > 0 && notes.Count == 0)
        {
            notes.Add($"no fuses are listed for {plant.Tags(without)}, or none of them runs");
        }

        return after == lineup && notes.Count > 0
            ? CommandOutcome.Not("dcBusId", CommandOutcome.Shortened($"{bus.Name}: {string.Join("; ", notes)}."))
            : new CommandOutcome.Done(plant.With(after), $"{bus.Name}: proposed device, feeder and DC fuses",
                []) { Notes = [.. notes.Select(n => $"{bus.Name}: {n}.")] };
    }

    private static DrivePoint Fused(DrivePoint point, Studies.Protection.ModuleProposal proposal) =>
        proposal.DcFusesA.TryGetValue(point.Id, out var ratedA)
        ? point with { Devices = point.Devices with { DcFuseA = ratedA, DcFuseV = proposal.DcFuseV } }
        : point;
}
