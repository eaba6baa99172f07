using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;
using Cuadrilla.Core.Studies.Protection;

namespace Cuadrilla.Core.Commands;

/// <summary>What is proposed for cables and devices.</summary>
public enum ProtectedPart
{
    /// <summary>Sections of the cables, for the devices that are chosen or else proposed.</summary>
    Cables,

    /// <summary>Devices and contactors.</summary>
    Devices,

    /// <summary>Devices, then the sections for them.</summary>
    Both,
}

/// <summary>Takes the proposed sections and devices of drive points. What can't be proposed stays, and a note says why.</summary>
/// <param name="PointIds">Which.</param>
/// <param name="Part">What is taken.</param>
/// <param name="Device">Kind of device.</param>
public sealed record SizeProtection(IReadOnlyList<string> PointIds, ProtectedPart Part, DeviceKind Device) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Missing(PointIds) is { } missing)
        {
            return missing;
        }

        var ids = PointIds.Distinct(StringComparer.Ordinal).ToList();
        Dictionary<string, string> without = new(StringComparer.Ordinal);
        var after = plant;
        var left = ids;

        // A smaller section loses more volts, for which a motor may draw more: what that undoes is proposed once more.
        for (var round = 0; round < MostRounds && left.Count > 0; round++)
        {
            var before = after;
            studies.Run(before);
            var proposals = Cores.Map(left, id => (Id: id, Of: studies.ProposalFor(before, before.Point(id)!, Device, keepsDevice: Part == ProtectedPart.Cables))).ToDictionary(p => p.Id, p => p.Of, StringComparer.Ordinal);
            after = before.Changed(left, p => With(p, proposals[p.Id], isFirst: plant == before));
            foreach (var (id, proposal) in proposals)
            {
                without[id] = string.Join("; ", proposal.Missing);
            }

            left = after == before ? [] : [.. Undone(studies.Run(after), ids)];
        }

        IReadOnlyList<string> notes = [.. without.Where(w => w.Value.Length > 0).Select(w => $"{plant.Tags([w.Key])}: {w.Value}.")];
        return after == plant && notes.Count > 0
            ? CommandOutcome.Not("pointIds", CommandOutcome.Shortened(string.Join(" ", notes)))
            : new CommandOutcome.Done(after, CommandOutcome.Shortened($"{plant.Tags(ids)}: proposed {Named}"), []) { Notes = notes };
    }

    private const int MostRounds = 4;

    private static readonly string[] Settled = ["cable.capacity", "cable.voltage-drop", "cable.short-circuit", "cable.disconnection", "protection.device"];

    private static IEnumerable<string> Undone(PlantAssessment assessment, List<string> ids) =>
        assessment.Checks.Where(c => c.Verdict == Verdict.Fails && Settled.Contains(c.Id)).Select(c => c.DrivePointId).Distinct(StringComparer.Ordinal).Intersect(ids, StringComparer.Ordinal);

    private string Named => Part switch
    {
        ProtectedPart.Cables => "sections",
        ProtectedPart.Devices => "devices",
        _ => "devices and sections",
    };

    private DrivePoint With(DrivePoint point, PointProposal proposal, bool isFirst)
    {
        if (Part != ProtectedPart.Cables && proposal.Device is { } device)
        {
            point = point with { Devices = point.Devices with { Device = device, ContactorA = proposal.ContactorA is { } contactor ? Given.Of(contactor) : point.Devices.ContactorA } };
        }

        if (Part == ProtectedPart.Devices)
        {
            return point;
        }

        return point with
        {
            Feeder = point.Feeder is Feeder.ByCable cable && proposal.FeederMm2 is { } feeder ? cable with { CrossSectionMm2 = Larger(cable.CrossSectionMm2, feeder, isFirst), Reason = string.Empty } : point.Feeder,
            Cable = proposal.MotorMm2 is { } motor ? point.Cable with { CrossSectionMm2 = Larger(point.Cable.CrossSectionMm2, motor, isFirst), Reason = string.Empty } : point.Cable,
        };
    }

    // Once more only ever upwards, so that it ends.
    private static Given Larger(Given now, double proposed, bool isFirst) => !isFirst && now.IsKnown ? Math.Max(now.Value, proposed) : proposed;
}
