using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Tests.Cabinets;

public sealed class EnclosureHeatTests
{
    private static readonly EnclosureHeat Closed = new(0.2, 1, 1.35, false);

    // All walls of a cube that stands free: 1.4 + 4 · 0.9; of one that nothing leaves but its front: 0.7 + 0.9 + 3 · 0.5.
    [Theory]
    [InlineData(true, 5)]
    [InlineData(false, 3.1)]
    public void A_cube_has_the_sum_of_its_weights(bool free, double expected) =>
        Assert.Equal(expected, new Enclosure(1, 1, 1, free, free, free, free).SurfaceM2, 12);

    // Sections in a row cover their sides only: twice as wide is worth less than two that stand alone.
    [Fact]
    public void Two_in_a_row_give_less_away_than_two_alone()
    {
        var alone = new Enclosure(0.8, 2, 0.6, true, false, true, true).SurfaceM2;
        var inRow = new Enclosure(0.8, 2, 0.6, true, false, true, false).SurfaceM2;
        Assert.Equal(2 * 0.6 * 2 * (0.9 - 0.5), 2 * (alone - inRow), 12);
    }

    [Fact]
    public void What_is_permitted_brings_the_top_to_its_limit()
    {
        foreach (var vented in new[] { false, true })
        {
            var heat = Closed with { IsVented = vented };
            Assert.Equal(20, heat.TopRiseK(heat.PermittedW(20)), 9);
        }
    }

    // Twice the loss: 2^0.804 of the rise closed, 2^0.715 vented; half height and top in the same proportion.
    [Fact]
    public void It_follows_its_power_of_the_loss()
    {
        Assert.Equal(Math.Pow(2, 0.804), Closed.MidRiseK(800) / Closed.MidRiseK(400), 9);
        var vented = Closed with { IsVented = true };
        Assert.Equal(Math.Pow(2, 0.715), vented.TopRiseK(800) / vented.TopRiseK(400), 9);
        Assert.Equal(0, Closed.TopRiseK(0));
    }

    [Fact]
    public void Over_the_height_it_goes_from_the_middle_to_the_top()
    {
        var (mid, top) = (Closed.MidRiseK(420), Closed.TopRiseK(420));
        Assert.Equal([mid, mid, mid, (mid + top) / 2, top, top], new[] { 0, 0.3, 0.5, 0.75, 1, 1.2 }.Select(h => Closed.RiseK(420, h)));
    }

    // Without stirred air a section of the example warms half again as much as the screening says.
    [Fact]
    public void The_screening_is_more_generous()
    {
        var surface = new Enclosure(0.8, 2, 0.6, true, false, true, false).SurfaceM2;
        Assert.InRange(EnclosureHeat.ScreeningW(surface, 20) / Closed.PermittedW(20), 1.5, 3);
    }
}
