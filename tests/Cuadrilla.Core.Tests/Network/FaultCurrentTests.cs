using System.Numerics;
using Cuadrilla.Core.Network;
using CsCheck;

namespace Cuadrilla.Core.Tests.Network;

/// <summary>Fault currents of IEC 60909-0 against hand-worked figures, another way, and what must never be.</summary>
public sealed class FaultCurrentTests
{
    [Fact]
    public void A_transformer_by_hand()
    {
        // Worked on the method page, without cable and motors.
        var result = FaultCurrent.Of(Place());
        Assert.Equal(0.9632, result.TransformerFactor!.Value, 1e-4);
        Assert.Equal(37_410, result.Max.CurrentA, 15.0);
        Assert.Equal(34_783, result.PlainA, 1.0);
    }

    [Fact]
    public void A_stiff_source_leaves_the_transformer_alone()
    {
        var result = FaultCurrent.Of(Place() with { SourceMva = 1e8, SourceMinMva = 1e8 });
        var rated = 1.6e6 / (Math.Sqrt(3) * 400);
        Assert.Equal(rated / 0.06, result.PlainA, rated * 1e-4);
        Assert.Equal(1.05 / result.TransformerFactor!.Value, result.Max.CurrentA / result.PlainA, 1e-4);
    }

    [Fact]
    public void Peak_lies_between_that_of_resistance_and_that_of_reactance_alone()
    {
        Gen.Select(Gen.Double[0.01, 100], Gen.Double[1, 1000]).Sample((xr, mva) =>
        {
            var result = FaultCurrent.Of(Place() with { Transformer = null, SourceXr = xr, SourceMva = mva, SourceMinMva = mva });
            Assert.InRange(result.Max.Kappa, 1.02, 2.0);
            Assert.Equal(result.Max.Kappa * Math.Sqrt(2) * result.Max.CurrentA, result.Max.PeakA, 1e-6 * result.Max.PeakA);
        });
    }

    [Fact]
    public void The_fault_to_earth_is_that_of_symmetrical_components()
    {
        // Three sequence networks in series, solved as a chain: I_a = 3·E/(Z1 + Z2 + Z0).
        var place = Place() with { Cable = new FaultCurrent.CablePart(new Complex(0.004, 0.002), new Complex(0.007, 0.002), 4, 4) };
        var result = FaultCurrent.Of(place);
        var transformer = place.Transformer!.Impedance;
        var zero = new Complex(transformer.Real, 0.95 * transformer.Imaginary) + new Complex(4 * 0.007, 4 * 0.002);
        var expected = 3 * 0.95 * 400 / Math.Sqrt(3) / (result.Min.Impedance + result.Min.Impedance + zero).Magnitude;
        Assert.Equal(expected, result.Min.PhaseToEarthA!.Value, 1e-6 * expected);
    }

    [Fact]
    public void Motors_count_from_a_hundredth_on_and_only_for_the_largest()
    {
        var without = FaultCurrent.Of(Place());
        var few = FaultCurrent.Of(Place() with { MotorsA = 0.0099 * without.Max.CurrentA, MotorFactor = 6 });
        var many = FaultCurrent.Of(Place() with { MotorsA = 0.0101 * without.Max.CurrentA, MotorFactor = 6 });
        Assert.Equal((0, without.Max.CurrentA), (few.Max.MotorsA, few.Max.CurrentA));
        Assert.Equal(6 * 0.0101 * without.Max.CurrentA, many.Max.CurrentA - without.Max.CurrentA, 1e-6);
        Assert.Equal(without.Min, many.Min);
    }

    [Fact]
    public void Longer_never_raises_a_fault_current_and_the_least_is_never_above_the_largest()
    {
        Gen.Select(Gen.Double[0, 0.05], Gen.Double[0, 0.05], Gen.Double[1.01, 3], Gen.Double[5, 500]).Sample((r, x, by, mva) =>
        {
            FaultCurrent.CablePart Part(double times) => new(new Complex(r, x) * times, new Complex(1.6 * r, x) * times, 4, 4);
            var place = Place() with { SourceMva = mva, SourceMinMva = mva };
            var (near, far) = (FaultCurrent.Of(place with { Cable = Part(1) }), FaultCurrent.Of(place with { Cable = Part(by) }));
            Assert.True(far.Max.CurrentA <= near.Max.CurrentA && far.Min.CurrentA <= near.Min.CurrentA && far.PlainA <= near.PlainA
                && far.Min.PhaseToEarthA <= near.Min.PhaseToEarthA);
            // Behind a weak source of medium voltage the plain figure may lie above the largest: its factor is 1.10, the bus's 1.05.
            Assert.True(near.Min.CurrentA <= near.PlainA && near.Min.CurrentA <= near.Max.CurrentA);
        });
    }

    private static FaultCurrent.Place Place()
    {
        const double magnitude = 0.06 * 0.16 / 1.6, resistance = 14e3 * 0.16e6 / (1.6e6 * 1.6e6);
        var transformer = new Complex(resistance, Math.Sqrt((magnitude * magnitude) - (resistance * resistance)));
        return new FaultCurrent.Place(
            400, FaultCurrent.VoltageFactors.Of(6), FaultCurrent.VoltageFactors.Medium, 250, 250, 10,
            new FaultCurrent.TransformerPart(transformer, 1.6e6, 1, 0.95), null, 0, 0);
    }
}
