using Cuadrilla.Core.Interference;

namespace Cuadrilla.Core.Tests.Interference;

/// <summary>Distances between cables by both sets of rules.</summary>
public sealed class SeparationTests
{
    [Theory]
    [InlineData(CableClass.Noisy, CableClass.VerySensitive, false, 20, 300)]
    [InlineData(CableClass.Noisy, CableClass.VerySensitive, true, 20, 150)]
    [InlineData(CableClass.Noisy, CableClass.Sensitive, false, 20, 200)]
    [InlineData(CableClass.Noisy, CableClass.Supply, false, 20, 200)]
    [InlineData(CableClass.Noisy, CableClass.Supply, true, 4, 40)]
    [InlineData(CableClass.Supply, CableClass.VerySensitive, false, 20, 0)]
    [InlineData(CableClass.Noisy, CableClass.Noisy, false, 20, 0)]
    public void Distances_of_the_house(CableClass disturbing, CableClass disturbed, bool screened, double parallelM, double neededMm) =>
        Assert.Equal(
        neededMm, Separation.NeededMm(SeparationRules.House, new Separation.Pair(disturbing, disturbed, screened, false, parallelM),
            MetalBetween.None), 9);

    [Theory]
    [InlineData(false, false, MetalBetween.None, 200)]
    [InlineData(false, false, MetalBetween.Open, 150)]
    [InlineData(false, false, MetalBetween.Perforated, 100)]
    [InlineData(false, true, MetalBetween.None, 50)]
    [InlineData(true, false, MetalBetween.Open, 30)]
    [InlineData(true, false, MetalBetween.Perforated, 20)]
    [InlineData(true, true, MetalBetween.None, 0)]
    [InlineData(false, false, MetalBetween.Solid, 0)]
    public void Distances_of_machines(bool one, bool other, MetalBetween between, double neededMm) => Assert.Equal(
        neededMm, Separation.NeededMm(SeparationRules.Machine, new Separation.Pair(CableClass.Supply, CableClass.Sensitive, one, other, 50),
            between), 9);

    [Fact]
    public void A_screen_metal_and_a_shorter_way_never_ask_for_more()
    {
        foreach (var rules in Enum.GetValues<SeparationRules>())
        {
            foreach (var (one, other) in from a in Enum.GetValues<CableClass>() from b in Enum.GetValues<CableClass>() select (a, b))
            {
                double Needed(bool first, bool second, double m, MetalBetween between) =>
                    Separation.NeededMm(rules, new Separation.Pair(one, other, first, second, m), between);
                foreach (var between in Enum.GetValues<MetalBetween>())
                {
                    var plain = Needed(false, false, 12, between);
                    Assert.True(Needed(true, false, 12, between) <= plain);
                    Assert.True(Needed(false, true, 12, between) <= plain);
                    Assert.True(Needed(false, false, 5, between) <= plain);
                    Assert.True(plain <= Needed(false, false, 12, MetalBetween.None));
                }
            }
        }
    }

    [Theory]
    [InlineData(true, true, 34.9, true)]
    [InlineData(true, true, 35, false)]
    [InlineData(true, false, 5, false)]
    [InlineData(false, true, 5, false)]
    public void Both_screens_and_a_short_way_may_do_without(bool one, bool other, double m, bool dispensable) =>
        Assert.Equal(dispensable, new Separation.Pair(CableClass.Noisy, CableClass.VerySensitive, one, other, m).IsDispensable);
}
