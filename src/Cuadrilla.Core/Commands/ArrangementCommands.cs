using Cuadrilla.Core.Base;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Commands;

/// <summary>Puts drive points of one lineup on one converter: the first one's, of its family and large enough for all, under scalar
/// control.</summary>
/// <param name="PointIds">Members, the one whose converter stays first.</param>
public sealed record JoinGroup(IReadOnlyList<string> PointIds) : PlantCommand
{
    // Motors of a group start and swing together; its checks judge the rest.
    private const double ReservePu = 1.25;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        var (lineup, refusal) = plant.OneLineup(PointIds);
        if (lineup is null)
        {
            return refusal!;
        }

        if (lineup.Arrangements.OfType<MotorGroup>().Any(g => g.PointIds().Any(PointIds.Contains)))
        {
            return CommandOutcome.Not("pointIds", "One of them is in a group.");
        }

        if (PointIds.Any(id => plant.DcBusOf(id) is not null))
        {
            return CommandOutcome.Not("pointIds", "One of them hangs on a common DC bus.");
        }

        if (plant.Point(PointIds[0]) is not { Converter: ConverterChoice.FromCatalogue choice } head)
        {
            return CommandOutcome.Not("pointIds", "The first has no converter.");
        }

        var data = studies.Data.With(plant);
        List<DrivePoint> members = [head, .. lineup.DrivePoints.Where(p => p.Id != head.Id && PointIds.Contains(p.Id))];

        // With a motor still open it stays as large as it is, and the checks of the group ask for the motor.
        var currents = members.Select(m => FamilySizes.MotorCurrentA(m, data)).ToList();
        var sized = currents.TrueForAll(a => a is not null)
            ? FamilySizes.Carrying(choice, ReservePu * currents.Sum()!.Value, data)
            : choice;
        var converter = sized with { Control = MotorControl.Scalar };
        var number = plant.FreeNumber("group");
        var group = new MotorGroup(
            $"group-{number}", $"Group {number}",
            [.. members.Select(m => new GroupMember(m.Id, 1, MotorProtection.None, TripClass.Class10, false, false))], Given.Unknown,
            string.Empty);
        var after = lineup.Changed(PointIds, p => p with { Converter = p.Id == head.Id ? converter : new ConverterChoice.OfGroup() });
        return CommandOutcome.Of(plant.With(after with { Arrangements = [.. after.Arrangements, group] }),
            $"One converter for {plant.Tags(group.PointIds())}", group.Id);
    }
}

/// <summary>Puts drive points of one lineup on one shaft, each with its part of the load as it stands; droop to begin with.</summary>
/// <param name="PointIds">Units, at least two.</param>
public sealed record JoinShaft(IReadOnlyList<string> PointIds) : PlantCommand
{
    private const double UsualDroopPct = 3;
    private const double UsualSpeedErrorPct = 0.1;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var (lineup, refusal) = plant.OneLineup(PointIds, least: 2);
        if (lineup is null)
        {
            return refusal!;
        }

        if (lineup.Arrangements.OfType<SharedShaft>().Any(s => s.PointIds().Any(PointIds.Contains)))
        {
            return CommandOutcome.Not("pointIds", "One of them shares a shaft.");
        }

        var number = plant.FreeNumber("shaft");
        var shaft = new SharedShaft(
            $"shaft-{number}", $"Shaft {number}",
            [.. lineup.DrivePoints.Where(p => PointIds.Contains(p.Id)).Select(p => new ShaftUnit(p.Id, UsualDroopPct, UsualSpeedErrorPct))],
            new SharingMethod.Droop(), new ShaftCoupling.Rigid(), Given.Unknown, string.Empty);
        return CommandOutcome.Of(plant.With(lineup with { Arrangements = [.. lineup.Arrangements, shaft] }),
            $"Shared shaft of {plant.Tags(shaft.PointIds())}", shaft.Id);
    }
}

/// <summary>Makes two motors of one drive point, on one shaft, each with half of the load.</summary>
/// <param name="PointId">Which.</param>
public sealed record SplitOnShaft(string PointId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (CopyDrivePoint.Copied(plant, PointId) is not var (after, copy))
        {
            return CommandOutcome.Unknown("pointId", "Drive point", PointId);
        }

        string[] both = [PointId, copy.Id];
        return new JoinShaft(both).On(after.Changed(both, p => p with { Load = p.Load.Part(0.5) }), studies) is CommandOutcome.Done joined
            ? joined with { Label = $"Two motors for {plant.Tags([PointId])}", CreatedIds = [copy.Id, .. joined.CreatedIds] }
            : CommandOutcome.Not("pointId", "It shares a shaft.");
    }
}

/// <summary>Makes a drive point follow another at a ratio, with what their loads say of gears, drum and displacement.</summary>
/// <param name="LeaderId">Whose pulses are counted.</param>
/// <param name="FollowerId">Whose speed follows.</param>
public sealed record JoinFollower(string LeaderId, string FollowerId) : PlantCommand
{
    // Four digits and three decimals, as displays of ratio inputs usually have.
    private const double LargestSetting = 9999;
    private const int ImpliedDecimals = 3;

    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        var (lineup, refusal) = plant.OneLineup([LeaderId, FollowerId], least: 2);
        if (lineup is null)
        {
            return refusal!;
        }

        if (lineup.Arrangements.OfType<RatioFollower>().Any(r => r.Follower.PointId == FollowerId))
        {
            return CommandOutcome.Not("followerId", $"{plant.Tags([FollowerId])} follows already.");
        }

        var (leader, follower) = (plant.Point(LeaderId)!, plant.Point(FollowerId)!);
        var number = plant.FreeNumber("ratio");
        var ratio = new RatioFollower(
            $"ratio-{number}", $"Ratio {number}", AxisOf(leader), AxisOf(follower), Given.Unknown, ImpliedDecimals, LargestSetting,
            Given.Unknown, Given.Unknown, RampOf(leader), RampOf(follower), string.Empty);
        return CommandOutcome.Of(plant.With(lineup with { Arrangements = [.. lineup.Arrangements, ratio] }),
            $"Ratio of {plant.Tags(ratio.PointIds())}", ratio.Id);
    }

    private static Given RampOf(DrivePoint point) => point.Load is MechanicalLoad load ? load.Train.StartTimeS : Given.Unknown;

    private static RatioAxis AxisOf(DrivePoint point)
    {
        var (moved, unit) = point.Load switch
        {
            DosingPumpLoad { DisplacementCm3PerRev.IsKnown: true } pump => (Given.Of(pump.DisplacementCm3PerRev.Value / 1000), "L"),
            ConveyorLoad { DrumDiameterM.IsKnown: true } belt => (Given.Of(Math.Round(Math.PI * belt.DrumDiameterM.Value, 4)), "m"),
            _ => (Given.Unknown, "m"),
        };
        return new RatioAxis(point.Id, Given.Unknown, point.Load is MechanicalLoad load ? load.Train.GearRatio : Given.Unknown, moved, unit,
            Given.Unknown, Given.Unknown);
    }
}

/// <summary>Takes an arrangement away; members of a group get converters of their own, of the family that they shared.</summary>
/// <param name="ArrangementId">Which.</param>
public sealed record DissolveArrangement(string ArrangementId) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(studies);
        if (plant.Lineups.FirstOrDefault(l => l.Arrangements.Any(a => a.Id == ArrangementId)) is not { } lineup)
        {
            return CommandOutcome.Unknown("arrangementId", "Arrangement", ArrangementId);
        }

        var data = studies.Data.With(plant);
        var gone = lineup.Arrangements.First(a => a.Id == ArrangementId);
        var shared = gone is MotorGroup group ? plant.Point(group.Members[0].PointId)?.Converter as ConverterChoice.FromCatalogue : null;
        var after = gone is MotorGroup ? lineup.Changed([.. gone.PointIds()], p => p with { Converter = Own(shared, p, data) }) : lineup;
        return CommandOutcome.Of(plant.With(after with { Arrangements = [.. after.Arrangements.Where(a => a.Id != ArrangementId)] }),
            $"Single drives instead of {gone.Name}");
    }

    private static ConverterChoice Own(ConverterChoice.FromCatalogue? shared, DrivePoint point, EngineeringData data) =>
        shared is not null && FamilySizes.MotorCurrentA(point, data) is { } currentA
            ? FamilySizes.Carrying(shared, currentA, data)
            : new ConverterChoice.NotChosen();
}

/// <summary>Another way of sharing a shaft, with values to start from.</summary>
/// <param name="ArrangementId">The shared shaft.</param>
/// <param name="Way">Which.</param>
public sealed record ShareBy(string ArrangementId, SharingWay Way) : PlantCommand
{
    /// <inheritdoc/>
    public override CommandOutcome On(PlantSpecification plant, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(plant);
        if (plant.Lineups.FirstOrDefault(l => l.Arrangements.Any(a => a.Id == ArrangementId)) is not { } lineup
            || lineup.Arrangements.First(a => a.Id == ArrangementId) is not SharedShaft shaft)
        {
            return CommandOutcome.Unknown("arrangementId", "Shared shaft", ArrangementId);
        }

        SharingMethod method = Way switch
        {
            SharingWay.Droop => new SharingMethod.Droop(),
            SharingWay.TorqueFollower => new SharingMethod.TorqueFollower(3, 5),
            SharingWay.SpeedFollower => new SharingMethod.SpeedFollower(),
            SharingWay.SpeedTrim => new SharingMethod.SpeedTrim(2, 120),
            _ => throw new InvalidOperationException("Unknown way of sharing."),
        };
        var after = lineup with { Arrangements = [.. lineup.Arrangements.Select(a => a.Id == shaft.Id
            ? shaft with { Method = method }
            : a)] };
        return CommandOutcome.Of(plant.With(after), $"{shaft.Name}: way of sharing");
    }
}

/// <summary>Ways of sharing a shaft.</summary>
public enum SharingWay
{
    /// <summary>Each keeps its speed with a droop.</summary>
    Droop,

    /// <summary>The first keeps the speed, the others take its torque.</summary>
    TorqueFollower,

    /// <summary>Each keeps the same speed.</summary>
    SpeedFollower,

    /// <summary>Each keeps its speed; the followers trim theirs.</summary>
    SpeedTrim,
}
