using CsCheck;
using Cuadrilla.Core.Studies.DcBuses;

namespace Cuadrilla.Core.Tests.Studies.DcBuses;

/// <summary>Members on one bus: the winder pair, the balance of energy, properties.</summary>
public sealed class CommonBusTests
{
    private static readonly BusSupply Diode = new(20e3, 30e3, 0, 10e3, 566, 760, 820);

    private static readonly Gen<BusMember> Member = Gen.Select(Gen.Select(Gen.Double[0.5, 20], Gen.Double[-8e3, 12e3]).List[1, 6],
        Gen.Double[1e-4, 5e-3])
        .Select(x => new BusMember("m", [.. x.Item1.Select(p => new BusPower(p.Item1, p.Item2))], x.Item2));

    [Fact]
    public void A_winder_pair_draws_the_losses_only()
    {
        // 3 m/s and 800 N: 2.4 kW at each shaft, 85 % from bus to shaft and back.
        BusMember winder = new("winder", [new(60, 2400 / 0.85)], 1e-3), unwinder = new("unwinder", [new(60, -2400 * 0.85)], 1e-3);
        var found = CommonBusStudy.Run([winder, unwinder], Diode);
        Assert.Equal(0.784, found.PeakW / 1e3, 3);
        Assert.Equal(2.824, found.TakenJ / 60e3, 3);
        Assert.Equal(2.040, found.GivenJ / 60e3, 3);
        Assert.Equal(found.GivenJ, found.ExchangedJ, 6);
        Assert.Equal(0, found.BurntJ);
        Assert.Equal(2.824, found.SumOfPeaksW / 1e3, 3);

        // Alone on a resistor each would draw and burn all of it.
        var alone = CommonBusStudy.Run([unwinder], Diode);
        Assert.Equal(2.040, (alone.BurntJ + alone.StoredJ) / 60e3, 3);
    }

    [Fact]
    public void Energy_balances() => Gen.Select(Member.List[1, 6], Gen.Double[0, 6e3], Gen.Double[0, 2e4]).Sample(x =>
    {
        var (members, returns, chopper) = x;
        var found = CommonBusStudy.Run(members, Diode with { ReturnW = returns, ChopperW = chopper });

        // Next to nothing exchanged is lost in the rounding of what the capacitors hold.
        Assert.InRange(Math.Abs(found.RestPu) * Math.Max(found.TakenJ, found.GivenJ), 0,
            (1e-3 * Math.Max(found.TakenJ, found.GivenJ)) + 1e-6);
        foreach (var moment in found.Moments)
        {
            Assert.Equal(moment.NetW, moment.MembersW.Sum(), 1e-6);
        }

        Assert.True(found.PeakW <= found.SumOfPeaksW + 1e-6);
    });

    [Fact]
    public void More_regeneration_at_the_same_time_never_raises_the_peak_of_the_supply() =>
        Gen.Select(Member.List[1, 4], Gen.Double[0, 5e3]).Sample(x =>
    {
        var (members, back) = x;
        var more = members.Append(new BusMember("more", [new BusPower(members.Max(m => m.CycleS), -back)], 0)).ToList();
        return CommonBusStudy.Run(more, Diode).PeakW <= CommonBusStudy.Run(members, Diode).PeakW + 1e-6;
    });

    [Fact]
    public void What_nothing_takes_trips_the_bus()
    {
        BusMember brake = new("b", [new(2, -9e3), new(20, 500)], 3e-3);
        Assert.True(CommonBusStudy.Run([brake], Diode with { ChopperW = 0 }).Trips);
        var burnt = CommonBusStudy.Run([brake], Diode);
        Assert.False(burnt.Trips);
        Assert.Equal(760, burnt.HighestV, 6);
        var returned = CommonBusStudy.Run([brake], Diode with { ChopperW = 0, ReturnW = 10e3 });
        Assert.False(returned.Trips);
        Assert.Equal(18e3, returned.ReturnedJ, 6);
        Assert.Equal(566, returned.HighestV, 9);
    }

    [Fact]
    public void Cycles_of_different_length_repeat_within_the_longest()
    {
        var found = CommonBusStudy.Run([new("a", [new(1, 1000), new(1, 0)], 1e-3), new("b", [new(10, 500)], 1e-3)], Diode);
        Assert.Equal(10, found.SpanS);
        Assert.Equal(10e3, found.TakenJ, 3);
        Assert.Equal(1500, found.PeakW, 9);
        Assert.Equal(Math.Sqrt(((1500.0 * 1500) + (500.0 * 500)) / 2), found.RmsW, 6);
    }
}
