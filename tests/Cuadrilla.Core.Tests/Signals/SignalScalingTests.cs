using Cuadrilla.Core.Signals;

namespace Cuadrilla.Core.Tests.Signals;

public sealed class SignalScalingTests
{
    private static readonly SignalScaling Channel = new(AnalogueRange.Milliampere4To20, 12, 0, 4095, 0, 50, 4, 20, 0.4);

    // Whatever is given, the same point comes back.
    [Fact]
    public void It_goes_both_ways()
    {
        foreach (var range in Enum.GetValues<AnalogueRange>())
        {
            var channel = Channel with { Range = range, FrequencyZeroHz = 10, CountsZero = 400, CountsFull = 27_648 };
            foreach (var percent in new[] { -10, 0, 12.5, 60, 100, 110 })
            {
                var at = channel.At(percent);
                Assert.Equal(percent, channel.Percent(ScaledQuantity.Counts, at.Counts), 9);
                Assert.Equal(percent, channel.Percent(ScaledQuantity.Signal, at.Signal), 9);
                Assert.Equal(percent, channel.Percent(ScaledQuantity.Frequency, at.FrequencyHz), 9);
                Assert.Equal(percent, channel.Percent(ScaledQuantity.Speed, at.SpeedRpm), 9);
                Assert.Equal(percent, channel.Percent(ScaledQuantity.LineSpeed, at.LineMPerMin!.Value), 9);
            }
        }
    }

    // 3000 rpm at 50 Hz is a two-pole motor only.
    [Theory]
    [InlineData(2, 3000)]
    [InlineData(4, 1500)]
    [InlineData(6, 1000)]
    public void Poles_set_the_speed(int poles, double rpm) => Assert.Equal(rpm, (Channel with { Poles = poles }).SpeedRpm(50), 9);

    // A live zero costs a fifth of the resolution: 20 mA in 4096 steps, of which 16 mA are used.
    [Fact]
    public void A_step_is_of_the_whole_input_over_what_is_used()
    {
        Assert.Equal(50 / 4096.0 * 20 / 16, Channel.StepHz, 12);
        Assert.Equal(50 / 4096.0, (Channel with { Range = AnalogueRange.Milliampere0To20 }).StepHz, 12);
        Assert.Equal(Channel.StepHz, (Channel with { FrequencyZeroHz = 50, FrequencyFullHz = 0 }).StepHz, 12);
        Assert.Equal((Channel.StepHz / 2) + 0.1, Channel.ErrorHz(0.2), 12);
    }

    [Theory]
    [InlineData(AnalogueRange.Milliampere4To20, 3.59, true)]
    [InlineData(AnalogueRange.Milliampere4To20, 3.61, false)]
    [InlineData(AnalogueRange.Volt2To10, 1.79, true)]
    [InlineData(AnalogueRange.Volt2To10, 1.81, false)]
    [InlineData(AnalogueRange.Volt0To10, 0, false)]
    public void Only_a_live_zero_tells_a_broken_wire(AnalogueRange range, double signal, bool told)
    {
        var channel = Channel with { Range = range };
        Assert.Equal(told, channel.At(channel.Percent(ScaledQuantity.Signal, signal)).WireBreak);
    }

    [Fact]
    public void Without_a_drum_there_is_no_line_speed()
    {
        var bare = Channel with { DrumM = null };
        Assert.Null(bare.At(50).LineMPerMin);
        Assert.Throws<InvalidOperationException>(() => bare.Percent(ScaledQuantity.LineSpeed, 1));
    }
}
