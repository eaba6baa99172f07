using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Interference;
using CsCheck;

namespace Cuadrilla.Core.Tests.Interference;

/// <summary>Common mode, leakage and coupled voltage, each a second way: sums over time, closed forms, what can't get better.</summary>
public sealed class InterferenceTests
{
    // A capacitor charged through a resistor takes C·U² from the source in a charge and a discharge, half of it in each as heat.
    [Fact]
    public void Charging_costs_what_a_capacitor_through_a_resistor_does()
    {
        var of = new CommonMode.Case(80, 25, null, 5, 600, 8, 30, 20);
        var result = CommonMode.Of(of);
        double c = result.CapacitanceNf * 1e-9, r = 40, dt = r * c / 2000, heatJ = 0, chargeC = 0, u = 0;
        for (var k = 0; k < 40_000; k++)
        {
            var i = (600 - u) / r;
            (heatJ, chargeC, u) = (heatJ + (i * i * r * dt), chargeC + (i * dt), u + (i * dt / c));
        }

        Assert.Equal(result.LossW, 2 * heatJ * 8e3, 0.002 * result.LossW);
        Assert.Equal(result.ChargingA, chargeC * 8e3, 0.002 * result.ChargingA);
    }

    [Fact]
    public void A_longer_cable_never_takes_less_and_a_gentler_edge_never_more() =>
        Gen.Select(Gen.Double[1, 300], Gen.Double[1, 300], Gen.Double[1, 10], Gen.Double[0.1, 9], Gen.Double[1, 16])
            .Sample((l, s, more, slope, f) =>
        {
            var of = new CommonMode.Case(l, s, null, slope, 560, f, 20, 30);
            var (near, far, gentle) = (CommonMode.Of(of), CommonMode.Of(of with { LengthM = l * more }),
                CommonMode.Of(of with { SlopeKvPerUs = slope / more }));
            Assert.True(far.ChargingA >= near.ChargingA && far.PeakA >= near.PeakA && gentle.PeakA <= near.PeakA);
            Assert.True(near.PeakA <= 560 / 30.0 + 1e-12);
            Assert.False(far.Holds && !near.Holds);
        });

    [Theory]
    [InlineData(2.5, 0.25)]
    [InlineData(10, 0.35)]
    [InlineData(33, 0.525)]
    [InlineData(240, 0.75)]
    public void Capacitance_is_straight_between_what_is_known(double mm2, double nf) => Assert.Equal(nf, CommonMode.NfPerM(mm2), 1e-9);

    // Three capacitors of unlike size on a star of voltages, the sum of their phasors.
    [Fact]
    public void The_bound_covers_capacitors_and_voltages_of_any_tolerance() =>
        Gen.Select(Gen.Double[-0.1, 0.1].Array[3], Gen.Double[0, 0.02], Gen.Double[0, 6.28]).Sample((off, unbalance, angle) =>
        {
            var w = 2 * Math.PI * 50;
            var sum = System.Numerics.Complex.Zero;
            for (var k = 0; k < 3; k++)
            {
                var u = 230 * (System.Numerics.Complex.FromPolarCoordinates(1, -2 * Math.PI / 3 * k)
                    + System.Numerics.Complex.FromPolarCoordinates(unbalance, angle + (2 * Math.PI / 3 * k)));
                sum += u * w * 0.5e-6 * (1 + off[k]);
            }

            // One capacitor at each end of the band is the worst that phasors of a star can do: twice the tolerance of one.
            Assert.True(1e3 * sum.Magnitude <= (2 * FilterLeakage.Of(new FilterLeakage.Filter(0.5, 230, 50, 2, 10, 560)).LineMa) + 1e-9);
        });

    [Theory]
    [InlineData(6, false, false, false)]
    [InlineData(10, false, false, true)]
    [InlineData(6, true, false, true)]
    [InlineData(6, false, true, true)]
    public void Above_the_limit_an_earth_is_reinforced_one_way_or_another(double mm2, bool isDouble, bool isMonitored, bool expected)
    {
        var leaks = FilterLeakage.Of(new FilterLeakage.Filter(0.33, 230, 50, 2, 10, 540));
        Assert.True(leaks.AsksReinforced);
        Assert.Equal(expected, FilterLeakage.EarthHolds(leaks, new EarthConnection(mm2, ConductorMaterial.Copper, isDouble, isMonitored)));
        Assert.Equal(isDouble || isMonitored,
            FilterLeakage.EarthHolds(leaks, new EarthConnection(12, ConductorMaterial.Aluminium, isDouble, isMonitored)));
        Assert.Null(FilterLeakage.EarthHolds(leaks, new EarthConnection(null, ConductorMaterial.Copper, false, false)));
        Assert.True(FilterLeakage.EarthHolds(FilterLeakage.Of(new FilterLeakage.Filter(0, 230, 50, 2, 10, 540)),
            new EarthConnection(null, ConductorMaterial.Copper, false, false)));
    }

    // What crosses the strip from the plane up to the receiver, summed: of each wire the part of the field along the plane.
    [Fact]
    public void Mutual_inductance_is_the_flux_of_a_wire_and_its_image()
    {
        const double h1 = 0.06, h2 = 0.09, d = 0.25;
        const int steps = 20_000;
        var beside = Math.Sqrt((d * d) - ((h2 - h1) * (h2 - h1)));
        double Along(double y, double at) => (y - at) / ((beside * beside) + ((y - at) * (y - at)));
        var flux = Enumerable.Range(0, steps).Select(k => h2 * (k + 0.5) / steps)
            .Sum(y => 2e-7 * (Along(y, -h1) - Along(y, h1)) * h2 / steps);
        Assert.Equal(1e9 * flux, CoupledVoltage.MutualNhPerM(h1, h2, d), 1e-5);
    }

    [Fact]
    public void More_distance_never_couples_more_and_a_longer_run_never_passes_where_a_shorter_failed() =>
        Gen.Select(Gen.Double[0.02, 1], Gen.Double[0.02, 1], Gen.Double[1, 5], Gen.Double[1, 60], Gen.Double[0.01, 20], Gen.Int[0, 2])
            .Sample((h1, h2, more, length, current, screen) =>
        {
            var d = Math.Abs(h1 - h2) + 0.03;
            var of = new CoupledVoltage.Pair(0.5, length, h1, h2, d, current, (ReceiverScreen)screen, null);
            var input = new CoupledVoltage.Input(10, 12, 20);
            var near = CoupledVoltage.Of(of, input);
            Assert.True(CoupledVoltage.Of(of with { DistanceM = d * more }, input).VoltageV <= near.VoltageV);
            var longer = CoupledVoltage.Of(of with { LengthM = length * more }, input);
            Assert.True(longer.VoltageV >= near.VoltageV && !(longer.Holds && !near.Holds));
            Assert.True(near.InputV <= near.VoltageV);
        });
}
