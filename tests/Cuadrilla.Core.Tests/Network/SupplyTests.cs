using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Harmonics;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Tests.Network;

public sealed class SupplyTests
{
    [Fact]
    public void Fault_level_of_the_worked_example()
    {
        var result = FaultLevel.Run(400, 250, 10, [new FaultLevel.TransformerInput(1600, 6, 14)]);

        // By hand, six digits: source 0.64 mΩ split by X/R 10; transformer 6 mΩ with R = 14 kW·400²/1600².
        Assert.Equal(0.000938682, result.ROhm, 9);
        Assert.Equal(0.00657268, result.XOhm, 8);
        Assert.Equal(34.7834, result.IscKa, 4);
    }

    [Fact]
    public void An_ideal_source_leaves_the_transformer_alone()
    {
        var result = FaultLevel.Run(400, double.PositiveInfinity, 10, [new FaultLevel.TransformerInput(1600, 6, 14)]);
        Assert.Equal(1600 / (Math.Sqrt(3) * 400) / 0.06, result.IscKa, 9);
    }

    [Fact]
    public void Impossible_load_loss_is_refused() => Assert.Throws<UnfitDataException>(
        () => FaultLevel.Run(400, 250, 10, [new FaultLevel.TransformerInput(100, 1, 2)]));

    [Fact]
    public void Winding_heat_of_the_worked_example()
    {
        var result = WindingHeat.Run([new(1, 1), new(5, 0.35), new(7, 0.12), new(11, 0.07), new(13, 0.04)], 0.08);
        // By hand: Σ(h·I)² = 5.6314, ΣI² = 1.1434.
        Assert.Equal(4.925136, result.HarmonicLossFactor, 6);
        Assert.Equal(0.880195, result.MaxCurrentPu, 6);
    }

    [Fact]
    public void A_sine_heats_a_winding_as_rated()
    {
        var result = WindingHeat.Run([new(1, 42)], 0.1);
        Assert.Equal(1, result.HarmonicLossFactor, 12);
        Assert.Equal(1, result.MaxCurrentPu, 12);
    }

    [Fact]
    public void Oil_adds_other_stray_loss_and_the_k_factor_scales_with_current()
    {
        WindingHeat.OrderCurrent[] orders = [new(1, 100), new(5, 30)];
        var oil = WindingHeat.Run(orders, 0.08, 0.1);

        // By hand: ΣI² = 10900; F_HL = (10000 + 25·900)/10900; F_STR = (10000 + 5^0.8·900)/10900.
        Assert.Equal(32500 / 10900.0, oil.HarmonicLossFactor, 12);
        Assert.Equal((10000 + (Math.Pow(5, 0.8) * 900)) / 10900, oil.StrayLossFactor, 12);
        Assert.Equal(Math.Sqrt(1.18 / (1 + (oil.HarmonicLossFactor * 0.08) + (oil.StrayLossFactor * 0.1))), oil.MaxCurrentPu, 12);
        Assert.True(oil.MaxCurrentPu > WindingHeat.Run(orders, 0.18).MaxCurrentPu, "eddy loss is the worse kind");
        Assert.Equal(32500 / 40000.0, WindingHeat.KFactor(orders, 200), 12);
    }

    [Theory]
    [InlineData(0, 0)]
    [InlineData(0.3, 0)]
    [InlineData(0, 0.25)]
    [InlineData(0.2, 0.4)]
    [InlineData(0.8, 0)]
    [InlineData(2, 0)]
    public void Neutral_current_is_the_sum_of_the_phases(double uneven, double third)
    {
        // The fullest phase is given; of all the ways the others can share the rest the worst is looked for.
        var first = Enumerable.Range(0, 2001).Select(i => Math.Min(1 + uneven, i * 3.0 / 2000))
            .Where(b => 2 - uneven - b >= 0 && 2 - uneven - b <= 1 + uneven)
            .Select(b => new[] { 10 * (1 + uneven), 10 * b, 10 * (2 - uneven - b) }
                .Select((a, k) => Complex.FromPolarCoordinates(a, -2 * Math.PI * k / 3)).Aggregate((a, b) => a + b))
            .MaxBy(s => s.Magnitude);
        var triplen = Enumerable.Range(0, 3).Select(k => Complex.FromPolarCoordinates(10 * third, -3 * 2 * Math.PI * k / 3))
            .Aggregate((a, b) => a + b);
        Assert.Equal(Math.Sqrt(Math.Pow(first.Magnitude, 2) + Math.Pow(triplen.Magnitude, 2)), NeutralCurrent.Of(10, uneven, third), 0.01);
    }

    [Fact]
    public void Currents_add_as_phasors_at_the_pcc()
    {
        static Complex[] Orders(double fifthDeg)
        {
            var orders = new Complex[50];
            orders[0] = 100;
            orders[4] = Complex.FromPolarCoordinates(20, fifthDeg * Math.PI / 180);
            return orders;
        }

        var input = new PccStudy.Input([Orders(0), Orders(180)], Complex.Zero, 1, new Complex(0.001, 0.01), 400);
        Assert.Equal(0, PccStudy.Run(input).HarmonicA, 9);
        var adding = PccStudy.Run(input with { RectifierCurrentsA = [Orders(30), Orders(30)] });
        Assert.Equal(40, adding.HarmonicA, 9);
        Assert.Equal(10, adding.TddPct(400), 9);
        Assert.Equal(20, adding.ThdiPct, 9);

        // V_5 = 40 A · |1 + j50| mΩ against 400/√3 V.
        Assert.Equal(100 * 40 * Math.Sqrt(1 + 2500) * 1e-3 / (400 / Math.Sqrt(3)), adding.VoltagePct[4], 9);
    }
}
