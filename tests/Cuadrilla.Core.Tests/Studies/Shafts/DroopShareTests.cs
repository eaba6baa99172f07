using CsCheck;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Core.Tests.Studies.Shafts;

/// <summary>Shares under droop: the worked example, laws and properties.</summary>
public sealed class DroopShareTests
{
    private static readonly Gen<DroopUnit> Unit = Gen.Select(Gen.Double[10, 500], Gen.Double[0.5, 10], Gen.Double[-1, 1])
        .Select(x => new DroopUnit(x.Item1, x.Item2, x.Item3));

    [Fact]
    public void Two_units_of_which_one_is_a_fifth_of_a_per_cent_too_fast()
    {
        var found = DroopShare.Of(180, [new(100, 4, 0), new(100, 4, 0.2)]);
        Assert.Equal(0.965, found.SpeedPu, 9);
        Assert.Equal(87.5, found.TorquesNm[0], 9);
        Assert.Equal(92.5, found.TorquesNm[1], 9);
        Assert.Equal(2.5, found.ImbalancePct, 9);
    }

    [Fact]
    public void The_sum_is_the_load_and_every_unit_is_on_its_line() => Gen.Select(Unit.List[1, 8], Gen.Double[0, 2000]).Sample(x =>
    {
        var (units, load) = x;
        var found = DroopShare.Of(load, units);
        Assert.Equal(load, found.TorquesNm.Sum(), 1e-6);
        for (var i = 0; i < units.Count; i++)
        {
            Assert.Equal(found.SpeedPu, 1 + (units[i].SpeedErrorPct / 100)
                - (units[i].DroopPct / 100 * found.TorquesNm[i] / units[i].RatedTorqueNm), 1e-9);
        }
    });

    [Fact]
    public void One_unit_more_at_the_same_reference_never_raises_another_share() =>
        Gen.Select(Unit.List[1, 6], Gen.Double[0, 1000], Gen.Double[10, 500], Gen.Double[0.5, 10]).Sample(x =>
    {
        var (units, load, torque, droop) = x;
        List<DroopUnit> same = [.. units.Select(u => u with { SpeedErrorPct = 0 })];
        var before = DroopShare.Of(load, same);
        var after = DroopShare.Of(load, [.. same, new DroopUnit(torque, droop, 0)]);
        return before.TorquesNm.Zip(after.TorquesNm).All(t => t.Second <= t.First + 1e-9);
    });

    [Fact]
    public void A_larger_droop_of_all_never_raises_the_imbalance() =>
        Gen.Select(Unit.List[2, 6], Gen.Double[0, 1000], Gen.Double[0.5, 5], Gen.Double[1, 4]).Sample(x =>
    {
        var (units, load, droop, more) = x;
        double Imbalance(double d) => DroopShare.Of(load, [.. units.Select(u => u with { DroopPct = d })]).ImbalancePct;
        return Imbalance(droop * more) <= Imbalance(droop) + 1e-9;
    });

    [Fact]
    public void Equal_units_share_equally_and_the_speed_sags_by_the_droop()
    {
        var found = DroopShare.Of(300, [new(100, 3, 0), new(100, 3, 0), new(100, 3, 0)]);
        Assert.All(found.TorquesNm, t => Assert.Equal(100, t, 9));
        Assert.Equal(0.97, found.SpeedPu, 12);

        // One is lost: the others carry it, and the speed sags further.
        var left = DroopShare.Of(300, [new(100, 3, 0), new(100, 3, 0)]);
        Assert.All(left.TorquesNm, t => Assert.Equal(150, t, 9));
        Assert.Equal(0.955, left.SpeedPu, 12);
    }

    [Fact]
    public void Without_droop_the_share_is_not_determined()
    {
        Assert.Throws<UnfitDataException>(() => DroopShare.Of(100, [new(100, 0, 0), new(100, 4, 0)]));
        Assert.Throws<UnfitDataException>(() => DroopShare.Of(100, []));
    }
}
