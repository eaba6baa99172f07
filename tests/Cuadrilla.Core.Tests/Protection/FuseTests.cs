using Cuadrilla.Catalogue;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Protection;
using CsCheck;

namespace Cuadrilla.Core.Tests.Protection;

/// <summary>Gates of gG fuses, what they clear and carry.</summary>
public sealed class FuseTests
{
    private static readonly GgFuses Fuses = ReferenceCatalogue.Data.GgFuses;

    [Fact]
    public void Gates_pass_through_their_points_and_stay_in_order()
    {
        foreach (var fuse in Fuses.Gates)
        {
            Assert.Equal(fuse.Clears5SA, fuse.ClearsA(5), 1e-9 * fuse.Clears5SA);
            Assert.Equal(fuse.Clears01SA, fuse.ClearsA(0.1), 1e-9 * fuse.Clears01SA);
            Assert.Equal(fuse.Lasts10SA, fuse.LastsA(10), 1e-9 * fuse.Lasts10SA);
            Assert.Equal(fuse.Lasts01SA, fuse.LastsA(0.1), 1e-9 * fuse.Lasts01SA);
            Assert.Equal(1.25 * fuse.RatedA, fuse.LastsA(fuse.ConventionalS), 1e-9 * fuse.RatedA);
            Assert.Equal(1.25 * fuse.RatedA, fuse.LastsA(1e6), 1e-9);
            Assert.Null(fuse.ClearS(0.999 * fuse.Clears5SA));
            foreach (var time in new[] { 0.1, 0.2, 0.5, 1, 2, 5 })
            {
                Assert.True(fuse.LastsA(time) < fuse.ClearsA(time), $"{fuse.RatedA} A at {time} s");
                Assert.Equal(time, fuse.ClearS(fuse.ClearsA(time))!.Value, 1e-9);
            }
        }

        Assert.Equal(Fuses.Gates.Select(g => g.RatedA).Order(), Fuses.Gates.Select(g => g.RatedA));
        Assert.Empty(Fuses.Gates.Select(g => g.RatedA).Except(Fuses.StandardA));
        Assert.Equal((16, 1250, null), (Fuses.LeastA(14.2)!.Value, Fuses.LeastA(1001)!.Value, Fuses.LeastA(1251)));
    }

    // Handbook of the field: multiples at 5 s.
    [Theory]
    [InlineData(16, 4.1)]
    [InlineData(200, 6.3)]
    [InlineData(630, 8.1)]
    [InlineData(1250, 10.4)]
    public void There_is_no_fixed_multiple(double rated, double multiple) =>
        Assert.Equal(multiple, Fuses.Of(rated)!.ClearsA(5) / rated, 0.06);

    [Fact]
    public void More_current_clears_sooner_and_lets_less_through_and_above_a_tenth_of_a_second_the_same()
    {
        Gen.Select(Gen.Int[0, Fuses.Gates.Count - 1], Gen.Double[1, 20], Gen.Double[1.001, 2]).Sample((at, pu, by) =>
        {
            var fuse = Fuses.Gates[at];
            var current = pu * fuse.Clears5SA;
            double LetThrough(double i) => i * i * fuse.ClearS(i)!.Value;
            Assert.True(fuse.ClearS(current * by) < fuse.ClearS(current));
            Assert.True(LetThrough(current * by) <= LetThrough(current) * (1 + 1e-12));
            if (current > fuse.Clears01SA)
            {
                Assert.Equal(0.1 * fuse.Clears01SA * fuse.Clears01SA, LetThrough(current), 1e-6 * LetThrough(current));
            }
        });
    }

    [Fact]
    public void A_start_that_passes_passes_shorter_and_weaker()
    {
        Gen.Select(Gen.Int[0, Fuses.Gates.Count - 1], Gen.Double[0.01, 3600], Gen.Double[1.001, 5]).Sample((at, time, by) =>
            Assert.True(Fuses.Gates[at].LastsA(time * by) <= Fuses.Gates[at].LastsA(time)));
    }

    [Fact]
    public void A_cable_too_thin_for_its_fault_is_found()
    {
        var fuse = Fuses.Of(100)!;
        var duty = new FuseCheck.Duty(88, 119, 640, 5, 25, 1, ConductorMaterial.Copper, CableInsulation.Xlpe, null, null);
        Assert.True(FuseCheck.Of(fuse, duty).Holds);
        var thin = FuseCheck.Of(fuse, duty with { SectionMm2 = 6 });
        Assert.True(thin is { CableHolds: false, Holds: false, IsCleared: true });

        // Nothing is known of how long less than the gate takes: the cable does not hold.
        var weak = FuseCheck.Of(fuse, duty with { LeastFaultA = 500 });
        Assert.True(weak is { ClearTimeS: null, IsCleared: false, CableHolds: false, Holds: false });
        Assert.False(FuseCheck.Of(fuse, duty with { CapacityA = 105 }).LoadHolds);
        Assert.False(FuseCheck.Of(fuse, duty with { UpstreamA = 125 }).Selective);
        Assert.False(FuseCheck.Of(fuse, duty with { Start = (600, 4) }).StartHolds);
    }
}
