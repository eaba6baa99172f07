using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
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

    /// <summary>Isolators, for the devices that are chosen.</summary>
    Isolators,
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
        HashSet<(string Id, bool IsFeeder)> sized = [];
        var after = Part is ProtectedPart.Devices or ProtectedPart.Isolators ? plant : plant.Changed(ids, p => Begun(p, plant, studies));
        var left = ids;

        // A smaller section loses more volts, for which a motor may draw more: what that undoes is proposed once more.
        for (var round = 0; round < MostRounds && left.Count > 0; round++)
        {
            var before = after;
            studies.Run(before);
            var proposals = Cores.Map(left,
                id => (Id: id, Of: studies.ProposalFor(before, before.Point(id)!, Device,
                    keepsDevice: Part is ProtectedPart.Cables or ProtectedPart.Isolators)))
                        .ToDictionary(p => p.Id, p => p.Of, StringComparer.Ordinal);
            after = before.Changed(left, p => With(p, proposals[p.Id], isFirst: round == 0));
            foreach (var (id, proposal) in proposals)
            {
                sized.UnionWith(Proposed(id, proposal));
                without[id] = Part != ProtectedPart.Isolators
                    ? string.Join("; ", proposal.Missing)
                    : proposal.IsolatorA is null ? "no isolator can be proposed before its current and its device are known" : string.Empty;
            }

            left = after == before || Part == ProtectedPart.Isolators ? [] : [.. Undone(studies.Run(after), ids)];
        }

        // What could not be proposed is as open as it was.
        after = after.Changed(ids, p => Reopened(p, plant.Point(p.Id)!, sized));
        IReadOnlyList<string> notes =
        [
            .. without.Where(w => w.Value.Length > 0).GroupBy(w => w.Value, w => w.Key, StringComparer.Ordinal)
                .Select(g => $"{plant.Tags(g)}: {g.Key}."),
        ];
        return after == plant && notes.Count > 0
            ? CommandOutcome.Not("pointIds", notes)
            : new CommandOutcome.Done(after, CommandOutcome.Shortened($"{plant.Tags(ids)}: proposed {Named}"), []) { Notes = notes };
    }

    private const int MostRounds = 4;
    private const double BeginPu = 1.25;

    private static readonly string[] Settled = ["cable.capacity", "cable.voltage-drop", "cable.short-circuit", "cable.disconnection",
        "protection.device"];

    private static IEnumerable<string> Undone(PlantAssessment assessment, List<string> ids) =>
        assessment.Checks.Where(c => c.Verdict == Verdict.Fails && Settled.Contains(c.Id)).Select(c => c.DrivePointId)
            .Distinct(StringComparer.Ordinal).Intersect(ids, StringComparer.Ordinal);

    private string Named => Part switch
    {
        ProtectedPart.Cables => "sections",
        ProtectedPart.Devices => "devices",
        ProtectedPart.Isolators => "isolators",
        _ => "devices and sections",
    };

    private static IEnumerable<(string Id, bool IsFeeder)> Proposed(string id, PointProposal proposal)
    {
        if (proposal.FeederMm2 is not null)
        {
            yield return (id, true);
        }

        if (proposal.MotorMm2 is not null)
        {
            yield return (id, false);
        }
    }

    // A drive point draws nothing that is known while a section is open: it begins with one that carries its motor in free air.
    private static DrivePoint Begun(DrivePoint point, PlantSpecification plant, IPlantStudies studies)
    {
        var model = studies.Study(plant, point).Model;
        if (model.Fitted is not { } fitted)
        {
            return point;
        }

        // Its lengths may be those of its ways.
        var laid = model.Input.DrivePoint;
        var (feederHasLength, motorHasLength) = (laid.Feeder is Feeder.ByCable { LengthM.IsKnown: true }, laid.Cable.LengthM.IsKnown);

        var rows = studies.Data.Cables.Rows;
        var row = rows.FirstOrDefault(r => r.XlpeA[(int)InstallationMethod.C] >= BeginPu * fitted.Connected.Plate.RatedCurrentA)
            ?? rows[^1];
        return point with
        {
            Feeder = feederHasLength && point.Feeder is Feeder.ByCable { CrossSectionMm2.IsKnown: false } cable
                ? cable with { CrossSectionMm2 = row.SectionMm2 }
                : point.Feeder,
            Cable = motorHasLength && !point.Cable.CrossSectionMm2.IsKnown
                ? point.Cable with { CrossSectionMm2 = row.SectionMm2 }
                : point.Cable,
        };
    }

    private static DrivePoint Reopened(DrivePoint point, DrivePoint before, HashSet<(string Id, bool IsFeeder)> sized) => point with
    {
        Feeder = point.Feeder is Feeder.ByCable now && before.Feeder is Feeder.ByCable { CrossSectionMm2.IsKnown: false }
            && !sized.Contains((point.Id, true))
            ? now with { CrossSectionMm2 = Given.Unknown }
            : point.Feeder,
        Cable = !before.Cable.CrossSectionMm2.IsKnown && !sized.Contains((point.Id, false))
            ? point.Cable with { CrossSectionMm2 = Given.Unknown }
            : point.Cable,
    };

    private DrivePoint With(DrivePoint point, PointProposal proposal, bool isFirst)
    {
        if (Part == ProtectedPart.Isolators)
        {
            return point with { Devices = point.Devices with { IsolatorA = Or(proposal.IsolatorA, point.Devices.IsolatorA) } };
        }

        if (Part != ProtectedPart.Cables && proposal.Device is { } device)
        {
            // An isolator follows its device where there is one; nobody has to have one here.
            point = point with
            {
                Devices = point.Devices with
                {
                    Device = device,
                    ContactorA = Or(proposal.ContactorA, point.Devices.ContactorA),
                    BypassA = Or(proposal.BypassA, point.Devices.BypassA),
                    IsolatorA = point.Devices.IsolatorA.IsKnown ? Or(proposal.IsolatorA, point.Devices.IsolatorA) : Given.Unknown,
                },
            };
        }

        if (Part == ProtectedPart.Devices)
        {
            return point;
        }

        return point with
        {
            Feeder = point.Feeder is Feeder.ByCable cable && proposal.FeederMm2 is { } feeder
                ? cable with { CrossSectionMm2 = Larger(cable.CrossSectionMm2, feeder, isFirst), Reason = string.Empty }
                : point.Feeder,
            Cable = proposal.MotorMm2 is { } motor
                ? point.Cable with { CrossSectionMm2 = Larger(point.Cable.CrossSectionMm2, motor, isFirst), Reason = string.Empty }
                : point.Cable,
        };
    }

    private static Given Or(double? proposed, Given now) => proposed is { } amperes ? amperes : now;

    // Once more only ever upwards, so that it ends.
    private static Given Larger(Given now, double proposed, bool isFirst) =>
        !isFirst && now.IsKnown ? Math.Max(now.Value, proposed) : proposed;
}
