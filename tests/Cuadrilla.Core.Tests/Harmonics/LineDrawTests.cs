using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>What is told of the phases of a current.</summary>
public sealed class LineDrawTests
{
    [Fact]
    public void Where_nothing_flows_rounding_has_no_distortion()
    {
        Assert.Equal(0, Phase(4e-15, 2e-14, 0.5).ThdiPct);
        Assert.Equal(500, Phase(4e-3, 2e-2, 0.5).ThdiPct, 9);
        Assert.Equal(0, Phase(0, 0, 0).ThdiPct);
    }

    [Fact]
    public void Of_phases_that_carry_the_same_the_first_is_told_whatever_the_rounding()
    {
        foreach (var off in new[] { -1e-9, 0, 1e-9 })
        {
            var draw = Draw(Phase(10, 3, 0.44), Phase(0.1, 0.01, 0.9), Phase(10 * (1 + off), 3 * (1 + off), 0.51));
            Assert.Equal(0.44, draw.LoadedPhase.TruePowerFactor);
            Assert.Equal("A", draw.LoadedPhaseName);
            Assert.Equal(0.44, draw.WorstPhase.TruePowerFactor);
        }

        Assert.Equal(0.51, Draw(Phase(10, 3, 0.44), Phase(10, 3, 0.5), Phase(10.1, 3, 0.51)).LoadedPhase.TruePowerFactor);
        Assert.Equal(string.Empty, Draw(Phase(10, 3, 0.9), Phase(10, 3, 0.9), Phase(10, 3, 0.9)).LoadedPhaseName);
    }

    private static RectifierResult.Stated Draw(params LineCurrent[] phases) => new(phases, new Flat(), "made up");

    private static LineCurrent Phase(double fundamentalA, double fifthA, double powerFactor)
    {
        var orders = new Complex[LineCurrent.HighestOrder];
        (orders[0], orders[4]) = (fundamentalA, fifthA);
        var rmsA = Math.Sqrt((fundamentalA * fundamentalA) + (fifthA * fifthA));
        return new LineCurrent(orders, rmsA, fundamentalA, powerFactor, powerFactor);
    }

    private sealed class Flat : IRectifierWaveform
    {
        public double LineCurrentA(double angleRad) => 0;

        public double LinkVoltageV(double angleRad) => double.NaN;
    }
}
