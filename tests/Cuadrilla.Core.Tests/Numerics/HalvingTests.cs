using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Tests.Numerics;

/// <summary>Where a condition stops holding.</summary>
public sealed class HalvingTests
{
    [Theory]
    [InlineData(0, 3)]
    [InlineData(3, 0)]
    public void Both_sides_of_the_place_are_given_from_either_end(double from, double to)
    {
        var root = Math.Sqrt(2);
        var (low, high) = Halving.Between(from, to, x => from < to ? x * x <= 2 : x * x > 2);
        Assert.Equal(root, low, 12);
        Assert.Equal(root, high, 12);
        Assert.True(from < to ? low <= root && high >= root : low >= root && high <= root);
    }

    [Fact]
    public void It_ends_once_near_enough_or_after_so_many_rounds()
    {
        var asked = 0;
        var (low, high) = Halving.Between(0, 1, x => ++asked > 0 && x < 0.3, within: 0.01);
        Assert.True(asked == 7 && high - low <= 0.01 && low < 0.3 && high >= 0.3, $"{asked}: {low} to {high}");
        Assert.Equal((0, 0.5), Halving.Between(0, 1, _ => false, rounds: 1));
    }
}
