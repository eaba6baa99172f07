using CsCheck;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Tests.Supplies;

public sealed class GeneratorDipTests
{
    [Fact]
    public void The_dip_is_that_of_a_divider_of_two_reactances() =>
        Gen.Select(Gen.Double[10, 5000], Gen.Double[0.1, 5000], Gen.Double[0.05, 0.5]).Sample((set, start, x) =>
        {
            var (source, load) = (x / set, 1 / start);
            Assert.Equal(source / (source + load), GeneratorDip.Pu(set, start, x), 9);
        });

    [Fact]
    public void The_largest_start_dips_as_far_as_is_permitted() =>
        Gen.Select(Gen.Double[10, 5000], Gen.Double[0.05, 0.4], Gen.Double[0.05, 0.5]).Sample((set, permitted, x) =>
            Assert.Equal(permitted, GeneratorDip.Pu(set, GeneratorDip.LargestStartKva(set, permitted, x), x), 9));

    [Fact]
    public void Nothing_starting_dips_nothing_and_classes_permit_less_and_less()
    {
        Assert.Equal(0, GeneratorDip.Pu(500, 0, 0.2));
        Assert.Equal([25, 20, 15], new[] { 1, 2, 3 }.Select(GeneratorDip.PermittedPct));
        Assert.Equal(0.14, GeneratorDip.HarmonicPu(0.13, 0.15), 9);
    }
}
