using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.DrivePoints;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Followers;

/// <summary>A ratio follower with what is known of its two drive points.</summary>
public sealed class FollowerModel
{
    private const int Samples = 20;

    // No flow while it is dosed to: far beyond anything permitted.
    private const double NoFlowPct = 1000;

    private readonly DrivePointModel leader;

    private FollowerModel(RatioFollower ratio, DrivePointModel leader, DrivePointModel follower, IReadOnlyList<string> missing)
    {
        Ratio = ratio;
        this.leader = leader;
        FollowerTag = follower.Input.DrivePoint.Tag;
        Missing = missing;
        if (missing.Count == 0)
        {
            Input = new FollowerInput(
                Axis(ratio.Leader), Axis(ratio.Follower), ratio.WantedRatio.Value, ratio.ImpliedDecimals, ratio.LargestSetting.Value,
                ratio.InputLimitHz.Value, ratio.SampleTimeS.Value);
            Setting = FollowerSetting.Of(Input);
        }
    }

    /// <summary>What is specified.</summary>
    public RatioFollower Ratio { get; }

    /// <summary>What is missing before a setting can be computed.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>Tag of the leader.</summary>
    public string LeaderTag => leader.Input.DrivePoint.Tag;

    /// <summary>Tag of the follower.</summary>
    public string FollowerTag { get; }

    /// <summary>What the setting is computed from; null while something is missing.</summary>
    public FollowerInput? Input { get; }

    /// <summary>The setting; null while something is missing.</summary>
    public FollowerSetting? Setting { get; }

    /// <summary>What is missed while the leader speeds up; null while a ramp is not known.</summary>
    public RampMismatch? Ramp => Setting is { } s && Ratio is { LeaderRampS.IsKnown: true, FollowerRampS.IsKnown: true }
        ? RampMismatch.Of(Ratio.LeaderRampS.Value, s.FollowerAtLargestRpm, Input!.Follower.LargestRpm, Ratio.FollowerRampS.Value,
            Input.Follower.UnitsPerTurn)
        : null;

    /// <summary>Resolves a follower.</summary>
    public static FollowerModel Of(RatioFollower ratio, IReadOnlyList<DrivePointStudy> studies)
    {
        ArgumentNullException.ThrowIfNull(ratio);
        var missing = new List<string>();
        foreach (var (name, axis) in new[] { ("leader", ratio.Leader), ("follower", ratio.Follower) })
        {
            Need(missing, axis.PulsesPerTurn, $"pulses per revolution of the {name}");
            Need(missing, axis.GearRatio, $"gear ratio of the {name}");
            Need(missing, axis.UnitsPerMachineTurn, $"way or volume of a turn of the {name}");
            Need(missing, axis.LeastRpm, $"minimum speed of the {name}");
            Need(missing, axis.LargestRpm, $"maximum speed of the {name}");
        }

        Need(missing, ratio.WantedRatio, "wanted ratio");
        Need(missing, ratio.LargestSetting, "largest setting of the display");
        Need(missing, ratio.InputLimitHz, "limit of the pulse input");
        Need(missing, ratio.SampleTimeS, "sampling time");
        DrivePointModel Model(string id) => studies.First(s => s.Model.Id == id).Model;
        return new FollowerModel(ratio, Model(ratio.Leader.PointId), Model(ratio.Follower.PointId), missing);
    }

    /// <summary>
    /// A fan or pump as leader delivers no flow in proportion to its speed: largest difference between its share of the speed and that of
    /// the flow over its range, % of the flow, and the speed where; null for leaders that displace.
    /// </summary>
    public (double ErrorPct, double SpeedRpm)? FlowError
    {
        get
        {
            if (leader.Load is not FluidMachineModel fluid || Input is null || Input.Leader.LargestRpm <= 0)
            {
                return null;
            }

            double Flow(double rpm) => fluid.MostFlowPu(rpm / fluid.RatedSpeedRpm);
            var top = Flow(Input.Leader.LargestRpm);
            return Enumerable.Range(0, Samples + 1)
                .Select(i => Input.Leader.LeastRpm + ((Input.Leader.LargestRpm - Input.Leader.LeastRpm) * i / Samples))
                .Where(rpm => rpm > 0)
                .Select(rpm => (Flow(rpm) is > 0 and var flow && top > 0
                    ? 100 * Math.Abs((rpm / Input.Leader.LargestRpm / (flow / top)) - 1)
                    : NoFlowPct, rpm))
                .MaxBy(x => x.Item1);
        }
    }

    /// <summary>Speed of the leader in a scenario, rpm; null when it stands or its load is not known.</summary>
    public double? LeaderRpmIn(Scenario scenario)
    {
        ArgumentNullException.ThrowIfNull(scenario);
        var state = scenario.StateOf(leader.Id);
        return state.Running && leader.Load is { } load ? load.At(state.LevelPu).SpeedRpm : null;
    }

    private static FollowerAxis Axis(RatioAxis axis) =>
        new(axis.LeastRpm.Value, axis.LargestRpm.Value, axis.PulsesPerTurn.Value, axis.UnitsPerMachineTurn.Value / axis.GearRatio.Value);

    private static void Need(List<string> missing, Given value, string name)
    {
        if (!value.IsKnown)
        {
            missing.Add(name);
        }
    }
}
