using System.Numerics;
using CsCheck;
using Cuadrilla.Core.Supplies;
using MathNet.Numerics.LinearAlgebra;

namespace Cuadrilla.Core.Tests.Supplies;

public sealed class StepUpChainTests
{
    private static readonly Gen<StepUpChain> Chains =
        from motor in Gen.Double[300, 3000]
        from current in Gen.Double[5, 150]
        from factor in Gen.Double[0.5, 1]
        from hz in Gen.Double[40, 200]
        from ohm in Gen.Double[0.05, 8]
        from reactance in Gen.Double[0.01, 2]
        select new StepUpChain(motor, current, factor, hz, ohm, reactance);

    private static readonly StepUpChain Deep = new(1000, 60, 0.84, 50, 1.092836, 0.15);

    [Fact]
    public void The_handbooks_well_asks_for_1105_volts_and_saturates_a_tap_of_that_voltage_at_10_hertz()
    {
        Assert.Equal(1105, Deep.SurfaceV(50, 60), 0);
        Assert.Equal(302.9, Deep.SurfaceV(10, 60), 1);
        Assert.Equal(1.37, Deep.FluxPu(10, 60, 1105), 2);
    }

    // Source, cable, motor as an impedance, by a general complex solver over three nodes: what the surface must give for the motor's
    // voltage.
    [Fact]
    public void Phasors_agree_with_nodes_solved_by_a_general_library() => Chains.Sample(chain =>
    {
        const double share = 0.4;
        var (hz, phaseV) = (chain.RatedHz * share, chain.MotorV * share / Math.Sqrt(3));
        var motor = Complex.FromPolarCoordinates(phaseV / chain.MotorA, Math.Acos(chain.PowerFactor));
        var half = new Complex(chain.CableOhm, chain.CableReactanceOhm * share) / 2;
        var y = Matrix<Complex>.Build.Dense(3, 3);
        void Between(int a, int b, Complex admittance)
        {
            y[a, a] += admittance;
            y[b, b] += admittance;
            y[a, b] -= admittance;
            y[b, a] -= admittance;
        }

        // A strong source of 1 V ahead of node 0; motor to the star point.
        y[0, 0] += 1e12;
        Between(0, 1, 1 / half);
        Between(1, 2, 1 / half);
        y[2, 2] += 1 / motor;
        var volts = y.Solve(MathNet.Numerics.LinearAlgebra.Vector<Complex>.Build.DenseOfArray([1e12, 0, 0]));
        Assert.Equal(1, chain.SurfaceV(hz, chain.MotorA) / (phaseV * Math.Sqrt(3) / volts[2].Magnitude), 6);
    });

    [Fact]
    public void At_the_least_frequency_the_flux_is_at_its_limit_and_below_it_above() => Chains.Sample(chain =>
    {
        var tap = 1.02 * chain.SurfaceV(chain.RatedHz, chain.MotorA);
        if (chain.LeastHz(chain.MotorA, tap, 1.1) is not { } least)
        {
            return;
        }

        Assert.Equal(1.1, chain.FluxPu(least, chain.MotorA, tap), 6);
        Assert.True(chain.FluxPu(0.9 * least, chain.MotorA, tap) > 1.1);
    });

    [Fact]
    public void A_tap_too_low_for_the_flux_is_so_at_every_frequency()
    {
        Assert.Null(Deep.LeastHz(60, 700, 1.1));
        Assert.All(Enumerable.Range(1, 100), hz => Assert.True(Deep.FluxPu(hz, 60, 700) > 1.1));
    }

    [Fact]
    public void Currents_add_as_phasors_and_never_beyond_their_sum() => Chains.Sample(chain =>
    {
        var (phasor, sum) = chain.ConverterA(3, 0.05, 0.15);
        Assert.True(phasor <= sum);

        // Without magnetising and filter current nothing but the ratio is left.
        Assert.Equal(3 * chain.MotorA, chain.ConverterA(3, 0, 0).PhasorA, 6);
    });

    [Fact]
    public void The_lowest_tap_that_reaches_is_taken_whatever_their_order()
    {
        Assert.Equal(1200, StepUpChain.TapV([1300, 900, 1200, 1000], 1105));
        Assert.Equal(1200, StepUpChain.TapV([1200], 1200));
        Assert.Null(StepUpChain.TapV([900, 1000], 1105));
    }

    [Fact]
    public void A_cable_is_as_warm_as_its_depth_and_its_loss_make_it()
    {
        var profile = new DepthProfile(20, 30, 1500, 40, 80);
        Assert.Equal(42.5, profile.MeanC(0), 9);
        Assert.Equal(65, profile.BottomC, 9);
        Assert.Equal(82.5, profile.MeanC(80), 9);

        // The mean over the depth by a general quadrature.
        Assert.Equal(profile.MeanC(50),
            MathNet.Numerics.Integration.GaussLegendreRule.Integrate(d => profile.AtC(d, 50), 0, 1500, 8) / 1500, 9);
    }
}
