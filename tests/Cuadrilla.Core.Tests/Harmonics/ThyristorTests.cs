using Cuadrilla.Core.Harmonics.Thyristors;

namespace Cuadrilla.Core.Tests.Harmonics;

/// <summary>The thyristor bridge against its limits and against numerical integration.</summary>
public sealed class ThyristorTests
{
    private static readonly double NoLoadV = 3 * Math.Sqrt(2) / Math.PI * 400;

    [Theory]
    [InlineData(0)]
    [InlineData(30)]
    [InlineData(60)]
    [InlineData(120)]
    public void Without_reactance_the_current_is_a_block_of_a_third_of_a_cycle(double firingDeg)
    {
        var alpha = firingDeg * Math.PI / 180;
        var found = ThyristorBridge.Run(new ThyristorInput(400, 0, NoLoadV * Math.Cos(alpha), 100))!;
        Assert.Equal(alpha, found.FiringAngleRad, 9);
        Assert.Equal(0, found.OverlapRad, 9);
        Assert.Equal(Math.Sqrt(6) / Math.PI * 100, found.Orders[0].Magnitude, 6);
        Assert.Equal(Math.Sqrt(2.0 / 3) * 100, found.RmsA, 6);
        Assert.Equal(-alpha, found.Orders[0].Phase, 6);
        foreach (var h in new[] { 5, 7, 11, 13, 47, 49 })
        {
            Assert.Equal(found.Orders[0].Magnitude / h, found.Orders[h - 1].Magnitude, 6);
        }

        Assert.All(Enumerable.Range(1, 50).Where(h => h % 2 == 0 || h % 3 == 0), h => Assert.Equal(0, found.Orders[h - 1].Magnitude, 9));
    }

    [Theory]
    [InlineData(0.05, 450, 300)]
    [InlineData(0.1, 300, 200)]
    [InlineData(0.08, -400, 150)]
    [InlineData(0.2, 50, 400)]
    public void Power_on_the_line_is_power_at_the_output(double reactance, double dcV, double dcA)
    {
        var found = ThyristorBridge.Run(new ThyristorInput(400, reactance, dcV, dcA))!;
        Assert.Equal(dcV * dcA, Math.Sqrt(3) * 400 * found.Orders[0].Real, Math.Abs(dcV * dcA) * 1e-9);
        Assert.Equal(Math.PI, found.FiringAngleRad + found.OverlapRad + found.ExtinctionAngleRad, 12);

        // cos φ of the fundamental lies between the cosines at both ends of the overlap.
        var cosine = Math.Cos(found.Orders[0].Phase);
        Assert.InRange(cosine, Math.Cos(found.FiringAngleRad + found.OverlapRad), Math.Cos(found.FiringAngleRad));
    }

    [Fact]
    public void Orders_and_rms_are_those_of_the_waveform_integrated_numerically()
    {
        const double u = 400, x = 0.12, dcA = 250;
        var found = ThyristorBridge.Run(new ThyristorInput(u, x, 380, dcA))!;
        double alpha = found.FiringAngleRad, end = alpha + found.OverlapRad;
        double Rise(double t) => t <= alpha ? 0 : t >= end ? 1 : (Math.Cos(alpha) - Math.Cos(t)) / (Math.Cos(alpha) - Math.Cos(end));
        double Current(double theta)
        {
            double Half(double t) => dcA * (Rise(t) - Rise(t - (2 * Math.PI / 3)));
            var shifted = theta - (Math.PI / 6);
            shifted -= 2 * Math.PI * Math.Floor((shifted - alpha) / (2 * Math.PI));
            return shifted - alpha < Math.PI ? Half(shifted) : -Half(shifted - Math.PI);
        }

        const int n = 200_000;
        double square = 0;
        var sums = new System.Numerics.Complex[50];
        for (var i = 0; i < n; i++)
        {
            var theta = 2 * Math.PI * (i + 0.5) / n;
            var value = Current(theta);
            square += value * value / n;
            for (var h = 1; h <= 49; h += 2)
            {
                sums[h - 1] += value * System.Numerics.Complex.FromPolarCoordinates(1, -h * theta) * new System.Numerics.Complex(0,
                    2.0 / n);
            }
        }

        Assert.Equal(Math.Sqrt(square), found.RmsA, 0.01);
        for (var h = 1; h <= 49; h += 2)
        {
            Assert.True((sums[h - 1] / Math.Sqrt(2) - found.Orders[h - 1]).Magnitude < 0.005, $"order {h}");
        }
    }

    [Fact]
    public void What_can_not_be_commutated_is_not_computed()
    {
        Assert.Null(ThyristorBridge.Run(new ThyristorInput(400, 0.1, 560, 100)));
        Assert.Null(ThyristorBridge.Run(new ThyristorInput(400, 0.1, -535, 200)));
        Assert.Null(ThyristorBridge.Run(new ThyristorInput(400, 2, 100, 400)));
        Assert.Throws<ArgumentOutOfRangeException>(() => ThyristorBridge.Run(new ThyristorInput(0, 0.1, 100, 100)));
        Assert.Throws<ArgumentOutOfRangeException>(() => ThyristorBridge.Run(new ThyristorInput(400, 0.1, 100, 0)));
    }
}
