using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Tests.Cabinets;

public sealed class AssemblyWithstandTests
{
    [Fact]
    public void A_busbar_has_its_stated_rise_at_its_stated_current_and_follows_its_power()
    {
        Assert.Equal(30, AssemblyWithstand.BusbarRiseK(630, 630), 12);
        Assert.Equal(1.6, Math.Log(AssemblyWithstand.BusbarRiseK(800, 630) / AssemblyWithstand.BusbarRiseK(400, 630)) / Math.Log(2), 9);
        Assert.Equal([70, 70, 55, 0], new[] { 20.0, 35, 50, 120 }.Select(AssemblyWithstand.PermittedRiseK));
    }

    [Theory]
    [InlineData(5, 1.5)]
    [InlineData(10, 1.7)]
    [InlineData(20, 2)]
    [InlineData(50, 2.1)]
    [InlineData(51, 2.2)]
    public void Peaks_by_the_table(double withstandKa, double factor) => Assert.Equal(factor, AssemblyWithstand.PeakFactor(withstandKa));
}
