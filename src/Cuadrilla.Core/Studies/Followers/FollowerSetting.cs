namespace Cuadrilla.Core.Studies.Followers;

/// <summary>A drive whose speed follows another's by pulses.</summary>
/// <param name="LeastRpm">Least speed, rpm, ≥ 0.</param>
/// <param name="LargestRpm">Largest speed, rpm, above the least.</param>
/// <param name="PulsesPerTurn">Pulses of a turn, &gt; 0.</param>
/// <param name="UnitsPerTurn">What a turn moves: metres of web, litres, pieces; gear and displacement included, &gt; 0.</param>
public sealed record FollowerAxis(double LeastRpm, double LargestRpm, double PulsesPerTurn, double UnitsPerTurn);

/// <summary>What is wanted of a ratio follower, and what its display and input allow.</summary>
/// <param name="Leader">The leader; its speeds are the range of the process.</param>
/// <param name="Follower">The follower; its speeds are its limits.</param>
/// <param name="WantedRatio">Units of the follower for each unit of the leader, &gt; 0.</param>
/// <param name="ImpliedDecimals">Decimals that the display does not show: 3 shows 1.234 as 1234.</param>
/// <param name="LargestSetting">Largest number the display takes.</param>
/// <param name="InputLimitHz">Largest pulse frequency the input counts, Hz.</param>
/// <param name="SampleTimeS">Time over which pulses are counted, s, &gt; 0.</param>
public sealed record FollowerInput(
    FollowerAxis Leader, FollowerAxis Follower, double WantedRatio, int ImpliedDecimals, double LargestSetting, double InputLimitHz, double SampleTimeS);

/// <summary>
/// The setting of a ratio follower that compares pulses: n_F = n_L·r·u_L/u_F, setting = n_F·p_F/(n_L·p_L), as the display writes it.
/// See <c>docs/methods/follower.md</c>.
/// </summary>
/// <param name="SpeedRatio">Follower's speed over leader's.</param>
/// <param name="PulseRatio">Follower's pulses over leader's, exact.</param>
/// <param name="DisplaySetting">What is entered: the pulse ratio in the display's scaling, rounded.</param>
/// <param name="RoundingPct">Error of the ratio by that rounding, %.</param>
/// <param name="FollowerAtLeastRpm">Follower's speed at the leader's least, rpm.</param>
/// <param name="FollowerAtLargestRpm">Follower's speed at the leader's largest, rpm.</param>
/// <param name="WithinSpeeds">True when both lie within the follower's limits.</param>
/// <param name="FitsDisplay">True when the setting is at least 1 and not above the largest.</param>
/// <param name="LargestPulseHz">Largest pulse frequency of both, Hz.</param>
/// <param name="WithinInput">True when the input counts it.</param>
/// <param name="ResolutionPct">One pulse within the sample time, % of the coarser axis' least speed; infinite at standstill.</param>
public sealed record FollowerSetting(
    double SpeedRatio,
    double PulseRatio,
    double DisplaySetting,
    double RoundingPct,
    double FollowerAtLeastRpm,
    double FollowerAtLargestRpm,
    bool WithinSpeeds,
    bool FitsDisplay,
    double LargestPulseHz,
    bool WithinInput,
    double ResolutionPct)
{
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
        return new FollowerSetting(
            speed,
            pulses,
            setting,
            100 * ((setting / scale / pulses) - 1),
            low,
            high,
            low >= follower.LeastRpm && high <= follower.LargestRpm,
            setting >= 1 && setting <= input.LargestSetting,
            largest,
            largest <= input.InputLimitHz,
            Math.Max(OnePulse(leader.LeastRpm, leader), OnePulse(low, follower)));
    }
}
