using System.Numerics;
using Cuadrilla.Core.Cables;
using CsCheck;

namespace Cuadrilla.Core.Tests.Cables;

/// <summary>Voltage lost, against phasors solved another way and against limiting cases.</summary>
public sealed class DropTests
{
    [Fact]
    public void The_exact_drop_is_that_of_phasors()
    {
        Gen.Select(Gen.Double[100, 1000], Gen.Double[1, 800], Gen.Double[0.2, 1], Gen.Double[0.001, 0.1], Gen.Double[0, 0.1])
            .Sample((volts, ampere, factor, r, x) =>
        {
            var lost = CableDrop.Of(volts, CableSystem.ThreePhase, ampere, factor, r, x);
            if (lost.EndV is not { } end)
            {
                return;
            }

            // The end at angle 0, the current behind it: the start is their sum.
            var current = Complex.FromPolarCoordinates(Math.Sqrt(3) * ampere, -Math.Acos(factor));
            Assert.Equal(volts, (end + (current * new Complex(r, x))).Magnitude, volts * 1e-9);
            Assert.Equal(volts - end, lost.ExactDropV!.Value, 1e-9);
        });
    }

    [Fact]
    public void Direct_current_is_Ohms_law_there_and_back()
    {
        var lost = CableDrop.Of(600, CableSystem.Dc, 100, 1, 0.05, 0);
        Assert.Equal(10, lost.DropV, 1e-12);
        Assert.Equal(10, lost.ExactDropV!.Value, 1e-9);
    }

    [Fact]
    public void A_load_that_can_not_be_fed_has_no_end_voltage()
    {
        Assert.Null(CableDrop.Of(100, CableSystem.Dc, 1000, 1, 0.06, 0).EndV);
        Assert.Null(CableDrop.Of(100, CableSystem.ThreePhase, 1000, 0.2, 0.5, 0).EndV);
    }

    [Theory]
    [InlineData(ConductorMaterial.Copper, 20, 1.0 / 54)]
    [InlineData(ConductorMaterial.Copper, 70, 0.022157407)]
    [InlineData(ConductorMaterial.Aluminium, 20, 1.0 / 34)]
    [InlineData(ConductorMaterial.Aluminium, 90, 0.037708824)]
    public void Resistance_follows_metal_and_temperature(ConductorMaterial material, double celsius, double ohmMm2PerM) =>
        Assert.Equal(ohmMm2PerM / 25, ConductorResistance.OhmPerM(ConductorResistance.At20OhmPerM(25, material, null), material,
            celsius), 1e-9);

    [Fact]
    public void What_the_maker_states_counts()
    {
        Assert.Equal(0.000727, ConductorResistance.At20OhmPerM(25, ConductorMaterial.Copper, 0.727), 1e-12);
        Assert.Equal(0.000727 * 1.2, ConductorResistance.HotOhmPerM(0.000727, 70), 1e-12);
    }
}
