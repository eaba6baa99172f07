using Cuadrilla.Core.Cabinets;

namespace Cuadrilla.Core.Tests.Cabinets;

public sealed class AirFlowTests
{
    // Heat balance of an ideal gas: P = p/(R·T)·c_p·V·ΔT at 35 °C and sea level, within 3 %.
    [Fact]
    public void Air_carries_what_an_ideal_gas_carries()
    {
        const double density = 101_325 / (287.05 * 308.15), heat = 1006;
        var carried = density * heat * AirFlow.M3PerH(2000, 10, 0) / 3600 * 10;
        Assert.InRange(carried / 2000, 0.97, 1.03);
        Assert.InRange(density * heat * 320 / 3600 * AirFlow.UnitRiseK(900, 320, 0) / 900, 0.94, 1.03);
    }

    [Fact]
    public void Rise_and_air_are_each_others_inverse() =>
        Assert.Equal(10, AirFlow.RiseK(2400, AirFlow.M3PerH(2400, 10, 1200), 1200), 12);

    // The barometric formula of an isothermal atmosphere at 1500 m: 17 % thinner.
    [Fact]
    public void Thin_air_must_be_more() => Assert.InRange(AirFlow.ThinPu(1500), 1.19, 1.22);

    [Fact]
    public void Mats_and_openings_as_the_handbook_says()
    {
        Assert.Equal([1, 0.7, 0.5], Enum.GetValues<FilterMats>().Select(AirFlow.LeftPu));
        Assert.Equal(660, AirFlow.OutletCm2(600), 9);
        Assert.Throws<ArgumentOutOfRangeException>(() => AirFlow.LeftPu((FilterMats)9));
    }

    // What enters leaves: with one stream through all, the last rise is the sum of the losses over that stream.
    [Fact]
    public void Stacked_units_in_one_stream_add_up()
    {
        var rises = new[] { 900, 700, 250 }.Sum(w => AirFlow.UnitRiseK(w, 320, 400));
        Assert.Equal(AirFlow.UnitRiseK(1850, 320, 400), rises, 12);
    }
}
