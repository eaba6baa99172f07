using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Specification.Validation;

/// <summary>Checks groups, shared shafts and followers of the lineups.</summary>
internal static class ArrangementValidation
{
    public static void Check(PlantSpecification plant, ProblemList p)
    {
        var ids = plant.Lineups.SelectMany(l => l.DcBuses).Select(b => b.Id).ToHashSet(StringComparer.Ordinal);
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
                p.Words(at + "/id", "Arrangement key", arrangement.Id, 1, 60);
                p.Unique(at + "/id", "Arrangement key", arrangement.Id, ids);
                p.Words(at + "/name", "Name of the arrangement", arrangement.Name, 1, 80);
                p.Words(at + "/reason", "Reason", arrangement.Reason, 0, 300);
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
                    point.Converter is ConverterChoice.OfGroup == (grouped.Contains(point.Id) && !heads.Contains(point.Id)), $"/lineups/{i}/drivePoints/{k}/converter", "Converter",
                    point.Converter is ConverterChoice.OfGroup ? "that of a group" : "one of its own", "that of a group for every member of a group but its first, one of its own for all others");
            }
        }
    }

    private static void Group(MotorGroup group, Lineup lineup, string at, HashSet<string> points, HashSet<string> grouped, ProblemList p)
    {
        p.Require(group.Members.Count is >= 1 and <= 60, at + "/members", "Kinds of motors in the group", $"{group.Members.Count}", "1 to 60");
        p.Number(at + "/simultaneityPct", "Simultaneity", group.SimultaneityPct, 1, 100, "%");
        var onBus = lineup.DcBuses.SelectMany(b => b.MemberIds).ToHashSet(StringComparer.Ordinal);
        for (var m = 0; m < group.Members.Count; m++)
        {
            var here = $"{at}/members/{m}";
            Member(group.Members[m].PointId, here, points, grouped, p);
            p.Require(!onBus.Contains(group.Members[m].PointId), here + "/pointId", "Member of a group", $"'{group.Members[m].PointId}'", "a drive point that is not on a common DC bus");
            p.Number(here + "/count", "Motors alike", group.Members[m].Count, 1, 200, string.Empty);
        }
    }

    private static void Shaft(SharedShaft shaft, string at, HashSet<string> points, HashSet<string> shafted, ProblemList p)
    {
        p.Require(shaft.Units.Count is >= 2 and <= 8, at + "/units", "Units on the shaft", $"{shaft.Units.Count}", "2 to 8");
        for (var m = 0; m < shaft.Units.Count; m++)
        {
            var here = $"{at}/units/{m}";
            Member(shaft.Units[m].PointId, here, points, shafted, p);
            p.Number(here + "/droopPct", "Droop", shaft.Units[m].DroopPct, 0, 30, "%", minExcluded: true);
            p.Number(here + "/speedErrorPct", "Error of the speed reference", shaft.Units[m].SpeedErrorPct, -10, 10, "%");
        }

        p.Number(at + "/runOnS", "Run on", shaft.RunOnS, 0.1, 86_400, "s");
        if (shaft.Method is SharingMethod.TorqueFollower torque)
        {
            p.Number(at + "/method/accuracyPct", "Accuracy of the torque", torque.AccuracyPct, 0, 50, "%");
            p.Number(at + "/method/speedWindowPct", "Speed window", torque.SpeedWindowPct, 0.1, 50, "%");
        }

        if (shaft.Method is SharingMethod.SpeedTrim trim)
        {
            p.Number(at + "/method/trimPct", "Trim", trim.TrimPct, 0.1, 20, "%");
            p.Number(at + "/method/torqueLimitPct", "Torque limit", trim.TorqueLimitPct, 10, 300, "%");
        }

        if (shaft.Coupling is ShaftCoupling.Elastic elastic)
        {
            p.Number(at + "/coupling/stiffnessNmPerRad", "Stiffness", elastic.StiffnessNmPerRad, 0.1, 1e7, "Nm/rad");
            p.Number(at + "/coupling/dampingNmSPerRad", "Damping", elastic.DampingNmSPerRad, 0, 1e5, "Nm·s/rad");
        }
    }

    private static void Ratio(RatioFollower ratio, string at, HashSet<string> points, HashSet<string> following, ProblemList p)
    {
        p.Unique(at + "/follower/pointId", "Follower", ratio.Follower.PointId, following);
        p.Require(ratio.Leader.PointId != ratio.Follower.PointId, at + "/follower/pointId", "Follower", $"'{ratio.Follower.PointId}'", "another drive point than its leader");
        foreach (var (name, axis) in new[] { ("leader", ratio.Leader), ("follower", ratio.Follower) })
        {
            var here = $"{at}/{name}";
            p.Require(points.Contains(axis.PointId), here + "/pointId", "Drive point", $"'{axis.PointId}'", "a drive point of the same lineup");
            p.Number(here + "/pulsesPerTurn", "Pulses a turn", axis.PulsesPerTurn, 0, 1e6, string.Empty, minExcluded: true);
            p.Number(here + "/gearRatio", "Gear ratio", axis.GearRatio, 0.001, 10_000, string.Empty);
            p.Number(here + "/unitsPerMachineTurn", "Way or volume of a turn", axis.UnitsPerMachineTurn, 0, 1e6, axis.Unit, minExcluded: true);
            p.Words(here + "/unit", "Unit", axis.Unit, 0, 12);
            p.Number(here + "/leastRpm", "Least speed", axis.LeastRpm, 0, 30_000, "rpm");
            p.Number(here + "/largestRpm", "Largest speed", axis.LargestRpm, axis.LeastRpm.IsKnown ? axis.LeastRpm.Value : 0, 30_000, "rpm", minExcluded: true);
        }

        p.Number(at + "/wantedRatio", "Wanted ratio", ratio.WantedRatio, 0, 1e6, string.Empty, minExcluded: true);
        p.Number(at + "/impliedDecimals", "Implied decimals", ratio.ImpliedDecimals, 0, 6, string.Empty);
        p.Number(at + "/largestSetting", "Largest setting", ratio.LargestSetting, 1, 1e9, string.Empty);
        p.Number(at + "/inputLimitHz", "Limit of the pulse input", ratio.InputLimitHz, 1, 1e7, "Hz");
        p.Number(at + "/sampleTimeS", "Sampling time", ratio.SampleTimeS, 0, 60, "s", minExcluded: true);
        p.Number(at + "/leaderRampS", "Ramp of the leader", ratio.LeaderRampS, 0.01, 3600, "s");
        p.Number(at + "/followerRampS", "Ramp of the follower", ratio.FollowerRampS, 0.01, 3600, "s");
    }

    private static void Member(string id, string at, HashSet<string> points, HashSet<string> taken, ProblemList p)
    {
        p.Require(points.Contains(id), at + "/pointId", "Member", $"'{id}'", "a drive point of the same lineup");
        p.Unique(at + "/pointId", "Member", id, taken);
    }
}
