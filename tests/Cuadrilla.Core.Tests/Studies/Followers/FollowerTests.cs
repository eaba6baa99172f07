using CsCheck;
using Cuadrilla.Core.Studies.Followers;

namespace Cuadrilla.Core.Tests.Studies.Followers;

/// <summary>Settings of a ratio follower by hand and by law.</summary>
public sealed class FollowerTests
{
    // A line of 0.05 m a turn with 60 pulses, a glaze pump of 0.004 l a turn with 24 pulses, 0.12 l wanted for each metre.
    private static readonly FollowerInput Glaze = new(new(300, 1500, 60, 0.05), new(200, 3000, 24, 0.004), 0.12, 3, 9999, 5000, 0.5);

    [Fact]
    public void The_glaze_pump_by_hand()
    {
        var found = FollowerSetting.Of(Glaze);
        Assert.Equal(1.5, found.SpeedRatio, 12);
        Assert.Equal(0.6, found.PulseRatio, 12);
        Assert.Equal(600, found.DisplaySetting);
        Assert.Equal(0, found.RoundingPct, 9);
        Assert.Equal(450, found.FollowerAtLeastRpm, 9);
        Assert.Equal(2250, found.FollowerAtLargestRpm, 9);
        Assert.True(found.WithinSpeeds && found.FitsDisplay && found.WithinInput);
        Assert.Equal(1500, found.LargestPulseHz, 9);

        // 450 rpm of 24 pulses are 180 Hz: 90 in half a second, one of them 1.11 %.
        Assert.Equal(100.0 / 90, found.ResolutionPct, 9);
    }

    [Theory]
    [InlineData(0.3, false, true)]
    [InlineData(0.02, false, true)]
    [InlineData(3, false, false)]
    public void Beyond_the_followers_speeds_or_the_display_it_is_said(double ratio, bool speeds, bool display)
    {
        var found = FollowerSetting.Of(Glaze with { WantedRatio = ratio, LargestSetting = 9999 });
        Assert.Equal((speeds, display), (found.WithinSpeeds, found.FitsDisplay));
    }

    [Fact]
    public void Pulses_beyond_the_input_and_a_leader_at_rest_are_seen()
    {
        Assert.False(FollowerSetting.Of(Glaze with { InputLimitHz = 1400 }).WithinInput);
        Assert.True(double.IsPositiveInfinity(FollowerSetting.Of(Glaze with { Leader = Glaze.Leader with { LeastRpm = 0 } })
            .ResolutionPct));
    }

    [Fact]
    public void What_is_set_delivers_what_is_wanted_within_the_rounding() =>
        Gen.Select(Gen.Double[0.01, 5], Gen.Double[1, 500], Gen.Double[1, 500], Gen.Double[0.001, 2], Gen.Double[0.001, 2]).Sample(x =>
    {
        var (ratio, leaderPulses, followerPulses, leaderUnits, followerUnits) = x;
        var input = Glaze with
        {
            WantedRatio = ratio,
            Leader = Glaze.Leader with { PulsesPerTurn = leaderPulses, UnitsPerTurn = leaderUnits },
            Follower = Glaze.Follower with { PulsesPerTurn = followerPulses, UnitsPerTurn = followerUnits },
        };
        var found = FollowerSetting.Of(input);

        // From the entry back to the process: pulses, turns, units.
        var delivered = found.DisplaySetting / 1000 * leaderPulses / followerPulses * followerUnits / leaderUnits;
        Assert.Equal(ratio * (1 + (found.RoundingPct / 100)), delivered, ratio * 1e-9);
    });
}
