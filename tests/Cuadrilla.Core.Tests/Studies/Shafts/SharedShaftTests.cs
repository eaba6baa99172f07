using Cuadrilla.Core.Base;
using Cuadrilla.Core.Studies.Shafts;

namespace Cuadrilla.Core.Tests.Studies.Shafts;

/// <summary>Sharing in time against its closed form, and the balance of torques at every moment.</summary>
public sealed class SharedShaftTests
{
    private const double Rated = 150;

    public static TheoryData<SharingKind, double> Ways => new()
    {
        { SharingKind.Droop, double.PositiveInfinity },
        { SharingKind.TorqueFollower, double.PositiveInfinity },
        { SharingKind.SpeedFollower, double.PositiveInfinity },
        { SharingKind.SpeedTrim, 4000 },
        { SharingKind.Droop, 4000 },
    };

    [Theory]
    [MemberData(nameof(Ways))]
    public void Shares_are_the_load_and_its_acceleration_at_every_moment(SharingKind kind, double stiffness)
    {
        var run = SharedShaftStudy.Run(Input(kind, stiffness));

        Assert.True(run.Moments.Count > 300);
        foreach (var m in run.Moments)
        {
            Assert.Equal(m.LoadNm + m.AcceleratingNm, m.SharesNm.Sum(), 1e-7);
        }
    }

    [Theory]
    [MemberData(nameof(Ways))]
    [Trait("speed", "slow")]
    public void It_settles_where_the_closed_form_says(SharingKind kind, double stiffness)
    {
        var input = Input(kind, stiffness) with { LostAtS = 120, BackAtS = 121, SpanS = 122 };
        var run = SharedShaftStudy.Run(input);
        var steady = SteadyShare.Of(kind, input.LoadNm, input.Units, input.TrimPct, input.TrimLimitPct);

        Assert.Equal(steady.SpeedPu, run.SpeedPu, 2e-4);
        for (var i = 0; i < input.Units.Count; i++)
        {
            Assert.Equal(steady.TorquesNm[i] / input.Units[i].RatedNm, run.LoadedPu[i], 0.01);
        }

        Assert.Equal(steady.ImbalancePct, run.ImbalancePct, 1.0);
    }

    [Fact]
    public void The_handbook_droop_example_holds_in_time_too()
    {
        SharingUnit[] units = [new(100, 200, 0.3, 4, 0, 0), new(100, 200, 0.3, 4, 0.2, 0)];
        var run = SharedShaftStudy.Run(Input(SharingKind.Droop, double.PositiveInfinity) with { Units = units, IdleNm = 60, LoadNm = 180,
            LostAtS = 40, BackAtS = 41, SpanS = 42 });

        Assert.Equal(0.965, run.SpeedPu, 1e-5);
        Assert.Equal(0.875, run.LoadedPu[0], 1e-4);
        Assert.Equal(0.925, run.LoadedPu[1], 1e-4);
    }

    [Fact]
    public void The_rest_carries_all_when_one_is_lost_and_gives_its_share_back()
    {
        var run = SharedShaftStudy.Run(Input(SharingKind.Droop, double.PositiveInfinity));

        Assert.Equal(0, run.AfterLossPu[1], 0.02);
        Assert.Equal(180 / Rated, run.AfterLossPu[0], 0.02);
        Assert.True(run.SpeedAfterLossPu < run.SpeedPu);
        Assert.Equal(run.LoadedPu[1], run.Moments[^1].SharesNm[1] / Rated, 0.03);
    }

    [Fact]
    public void Speed_followers_on_one_shaft_fight_to_their_limits()
    {
        var units = Input(SharingKind.SpeedFollower, double.PositiveInfinity).Units;
        var steady = SteadyShare.Of(SharingKind.SpeedFollower, 180, units);

        Assert.Equal([-120.0, 300.0], steady.TorquesNm);
        Assert.Equal(210, steady.CirculatingNm, 1e-9);
        Assert.Equal(180, steady.TorquesNm.Sum(), 1e-9);
    }

    [Fact]
    public void A_trim_too_small_for_the_error_falls_back_on_the_torque_limit()
    {
        var units = Input(SharingKind.SpeedTrim, 4000).Units;
        var steady = SteadyShare.Of(SharingKind.SpeedTrim, 180, units, trimPct: 0.1, trimLimitPct: 80);

        Assert.Equal(120, steady.TorquesNm[1], 1e-9);
        Assert.Equal(60, steady.TorquesNm[0], 1e-9);
    }

    [Fact]
    public void More_than_all_can_give_stalls_the_shaft()
    {
        var steady = SteadyShare.Of(SharingKind.SpeedFollower, 700, Input(SharingKind.SpeedFollower, 1).Units);

        Assert.Equal(0, steady.SpeedPu);
        Assert.Equal(600, steady.TorquesNm.Sum());
    }

    [Fact]
    public void Refuses_what_has_no_answer()
    {
        var input = Input(SharingKind.Droop, double.PositiveInfinity);

        Assert.Throws<UnfitDataException>(() => SharedShaftStudy.Run(input with { Units = [input.Units[0]] }));
        Assert.Throws<UnfitDataException>(() =>
            SharedShaftStudy.Run(input with { Units = [input.Units[0], input.Units[1] with { DroopPct = 0 }] }));
        Assert.Throws<UnfitDataException>(() => SharedShaftStudy.Run(input with { LoadInertiaKgM2 = 0 }));
    }

    private static SharingInput Input(SharingKind kind, double stiffness) =>
        new() { Units = [new SharingUnit(Rated, 300, 0.2, 3, 0, 0), new SharingUnit(Rated, 300, 0.2, 3, 0.3, 2)], Kind = kind,
            SpeedRadPerS = 150, LoadInertiaKgM2 = 2, IdleNm = 50, LoadNm = 180, StiffnessNmPerRad = stiffness, DampingNmSPerRad = 30,
            SpeedWindowPct = 5, TrimPct = 2, TrimLimitPct = 150, LostUnit = 1 };
}
