using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Specification.Fields;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks groups, shared shafts and followers of the lineups.</summary>
internal static class ArrangementValidation
{
    public static void Check(PlantSpecification plant, ProblemList p)
    {
        // Front ends are told apart by these keys, whatever they belong to.
        var ids = plant.Lineups.SelectMany(l => l.DcBuses).Select(b => b.Id).Concat(plant.AllDrivePoints().Select(p => p.Id))
            .ToHashSet(StringComparer.Ordinal);
        for (var i = 0; i < plant.Lineups.Count; i++)
        {
            var lineup = plant.Lineups[i];
            var points = lineup.DrivePoints.Select(d => d.Id).ToHashSet(StringComparer.Ordinal);
            var grouped = new HashSet<string>(StringComparer.Ordinal);
            var shafted = new HashSet<string>(StringComparer.Ordinal);
            var following = new HashSet<string>(StringComparer.Ordinal);
            for (var k = 0; k < lineup.Arrangements.Count; k++)
            {
                var arrangement = lineup.Arrangements[k];
                var at = $"/lineups/{i}/arrangements/{k}";
                p.Unique(at + "/id", "Arrangement key", arrangement.Id, ids);
                switch (arrangement)
                {
                    case MotorGroup group:
                        Group(group, lineup, at, points, grouped, p);
                        break;
                    case SharedShaft shaft:
                        Shaft(shaft, at, points, shafted, p);
                        break;
                    case RatioFollower ratio:
                        Ratio(ratio, at, points, following, p);
                        break;
                }
            }

            for (var k = 0; k < lineup.DrivePoints.Count; k++)
            {
                var point = lineup.DrivePoints[k];
                var heads = lineup.Arrangements.OfType<MotorGroup>().Select(g => g.Members.Count > 0 ? g.Members[0].PointId : string.Empty);
                p.Require(
                    point.Converter is ConverterChoice.OfGroup == (grouped.Contains(point.Id) && !heads.Contains(point.Id)),
                    $"/lineups/{i}/drivePoints/{k}/converter", "Converter",
                    point.Converter is ConverterChoice.OfGroup ? "that of a group" : "one of its own",
                    "that of a group for every member of a group but its first, one of its own for all others");
            }
        }
    }

    private static void Group(MotorGroup group, Lineup lineup, string at, HashSet<string> points, HashSet<string> grouped, ProblemList p)
    {
        p.Require(group.Members.Count is >= 1 and <= 60, at + "/members", "Kinds of motors in the group", $"{group.Members.Count}",
            "1 to 60");
        var onBus = lineup.DcBuses.SelectMany(b => b.MemberIds).ToHashSet(StringComparer.Ordinal);
        for (var m = 0; m < group.Members.Count; m++)
        {
            var here = $"{at}/members/{m}";
            Member(group.Members[m].PointId, here, points, grouped, p);
            p.Require(!onBus.Contains(group.Members[m].PointId), here + "/pointId", "Member of a group", $"'{group.Members[m].PointId}'",
                "a drive point that is not on a common DC bus");
        }
    }

    private static void Shaft(SharedShaft shaft, string at, HashSet<string> points, HashSet<string> shafted, ProblemList p)
    {
        p.Require(shaft.Units.Count is >= 2 and <= 8, at + "/units", "Units on the shaft", $"{shaft.Units.Count}", "2 to 8");
        for (var m = 0; m < shaft.Units.Count; m++)
        {
            var here = $"{at}/units/{m}";
            Member(shaft.Units[m].PointId, here, points, shafted, p);
        }
    }

    private static void Ratio(RatioFollower ratio, string at, HashSet<string> points, HashSet<string> following, ProblemList p)
    {
        p.Unique(at + "/follower/pointId", "Follower", ratio.Follower.PointId, following);
        p.Require(ratio.Leader.PointId != ratio.Follower.PointId, at + "/follower/pointId", "Follower", $"'{ratio.Follower.PointId}'",
            "another drive point than its leader");
        foreach (var (name, axis) in new[] { ("leader", ratio.Leader), ("follower", ratio.Follower) })
        {
            var here = $"{at}/{name}";
            p.Within<RatioAxis>(here, nameof(axis.LargestRpm), axis.LargestRpm, axis.LeastRpm.IsKnown ? axis.LeastRpm.Value : 0,
                double.MaxValue);
            p.Require(points.Contains(axis.PointId), here + "/pointId", "Drive point", $"'{axis.PointId}'",
                "a drive point of the same lineup");
        }

    }

    private static void Member(string id, string at, HashSet<string> points, HashSet<string> taken, ProblemList p)
    {
        p.Require(points.Contains(id), at + "/pointId", "Member", $"'{id}'", "a drive point of the same lineup");
        p.Unique(at + "/pointId", "Member", id, taken);
    }
}
