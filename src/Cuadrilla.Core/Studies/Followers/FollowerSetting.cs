using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Studies.Followers;

/// <summary>A drive whose speed follows another's by pulses.</summary>
/// <param name="LeastRpm">Minimum speed, rpm, ≥ 0.</param>
/// <param name="LargestRpm">Maximum speed, rpm, above the least.</param>
/// <param name="PulsesPerTurn">Pulses of a turn, &gt; 0.</param>
/// <param name="UnitsPerTurn">What a turn moves: metres of web, litres, pieces; gear and displacement included, &gt; 0.</param>
public sealed record FollowerAxis([Range(0, 60_000)] double LeastRpm, double LargestRpm, [Above(0, 1e6)] double PulsesPerTurn,
    [Above(0, 1e6)] double UnitsPerTurn);

/// <summary>What is wanted of a ratio follower, and what its display and input allow.</summary>
/// <param name="Leader">The leader; its speeds are the range of the process.</param>
/// <param name="Follower">The follower; its speeds are its limits.</param>
/// <param name="WantedRatio">Units of the follower for each unit of the leader, &gt; 0.</param>
/// <param name="ImpliedDecimals">Decimals that the display does not show: 3 shows 1.234 as 1234.</param>
/// <param name="LargestSetting">Largest number the display takes.</param>
/// <param name="InputLimitHz">Largest pulse frequency the input counts, Hz.</param>
/// <param name="SampleTimeS">Time over which pulses are counted, s, &gt; 0.</param>
public sealed record FollowerInput(
    FollowerAxis Leader, FollowerAxis Follower, [Above(0, 1e6)] double WantedRatio, [Range(0, 6)] int ImpliedDecimals,
    [Range(1, 1e9)] double LargestSetting, [Above(0, 1e7)] double InputLimitHz, [Above(0, 60)] double SampleTimeS);

/// <summary>
/// The setting of a ratio follower that compares pulses: n_F = n_L·r·u_L/u_F, setting = n_F·p_F/(n_L·p_L), as the display writes it.
/// See <c>docs/methods/follower.md</c>.
/// </summary>
public sealed record FollowerSetting
{
    /// <summary>Follower's speed over leader's.</summary>
    public required double SpeedRatio { get; init; }

    /// <summary>Follower's pulses over leader's, exact.</summary>
    public required double PulseRatio { get; init; }

    /// <summary>What is entered: the pulse ratio in the display's scaling, rounded.</summary>
    public required double DisplaySetting { get; init; }

    /// <summary>Error of the ratio by that rounding, %.</summary>
    public required double RoundingPct { get; init; }

    /// <summary>Follower's speed at the leader's least, rpm.</summary>
    public required double FollowerAtLeastRpm { get; init; }

    /// <summary>Follower's speed at the leader's largest, rpm.</summary>
    public required double FollowerAtLargestRpm { get; init; }

    /// <summary>True when both lie within the follower's limits.</summary>
    public required bool WithinSpeeds { get; init; }

    /// <summary>True when the setting is at least 1 and not above the largest.</summary>
    public required bool FitsDisplay { get; init; }

    /// <summary>Largest pulse frequency of both, Hz.</summary>
    public required double LargestPulseHz { get; init; }

    /// <summary>True when the input counts it.</summary>
    public required bool WithinInput { get; init; }

    /// <summary>One pulse within the sample time, % of the coarser axis' minimum speed; infinite at standstill.</summary>
    public required double ResolutionPct { get; init; }

    /// <summary>Computes it.</summary>
    public static FollowerSetting Of(FollowerInput input)
    {
        ArgumentNullException.ThrowIfNull(input);
        var (leader, follower) = (input.Leader, input.Follower);
        var speed = input.WantedRatio * leader.UnitsPerTurn / follower.UnitsPerTurn;
        var pulses = speed * follower.PulsesPerTurn / leader.PulsesPerTurn;
        var scale = Math.Pow(10, input.ImpliedDecimals);
        var setting = Math.Round(pulses * scale, MidpointRounding.AwayFromZero);
        double low = leader.LeastRpm * speed, high = leader.LargestRpm * speed;
        double Hz(double rpm, FollowerAxis axis) => rpm * axis.PulsesPerTurn / 60;
        double OnePulse(double rpm, FollowerAxis axis) => rpm > 0 ? 100 / (Hz(rpm, axis) * input.SampleTimeS) : double.PositiveInfinity;
        var largest = Math.Max(Hz(leader.LargestRpm, leader), Hz(high, follower));
        return new FollowerSetting
        {
            SpeedRatio = speed,
            PulseRatio = pulses,
            DisplaySetting = setting,
            RoundingPct = 100 * ((setting / scale / pulses) - 1),
            FollowerAtLeastRpm = low,
            FollowerAtLargestRpm = high,
            WithinSpeeds = low >= follower.LeastRpm && high <= follower.LargestRpm,
            FitsDisplay = setting >= 1 && setting <= input.LargestSetting,
            LargestPulseHz = largest,
            WithinInput = largest <= input.InputLimitHz,
            ResolutionPct = Math.Max(OnePulse(leader.LeastRpm, leader), OnePulse(low, follower)),
        };
    }
}
