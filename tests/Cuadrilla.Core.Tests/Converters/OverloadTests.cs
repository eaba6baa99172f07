using CsCheck;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Core.Tests.Converters;

/// <summary>I²t with recovery.</summary>
public sealed class OverloadTests
{
    private static readonly OverloadRating Heavy = new(1.5, 60, 600, 1.8);

    [Fact]
    public void The_rated_overload_fills_the_store_once_and_recovers_in_its_cycle()
    {
        CurrentForTime[] duty = [new(60, 150), new(540, 100)];
        var store = OverloadStore.Of(Heavy, 100, duty, repeats: true);
        Assert.True(store.Recovers);
        Assert.Equal(100, store.LargestPct, 6);
        Assert.Equal(100 * 150 / 180.0, store.PeakPct, 9);
    }

    [Fact]
    public void Half_the_pause_does_not_recover()
    {
        var store = OverloadStore.Of(Heavy, 100, [new(60, 150), new(270, 100)], repeats: true);
        Assert.False(store.Recovers);
        Assert.True(store.LargestPct > 100);
    }

    [Fact]
    public void Less_for_longer_holds_the_same_heat()
    {
        // (1.25² − 1)·t = (1.5² − 1)·60.
        var t = ((1.5 * 1.5) - 1) * 60 / ((1.25 * 1.25) - 1);
        Assert.Equal(100, OverloadStore.Of(Heavy, 100, [new(t, 125)], repeats: false).LargestPct, 9);
    }

    [Fact]
    public void Below_the_continuous_current_nothing_is_stored()
    {
        var store = OverloadStore.Of(Heavy, 100, [new(1e4, 100), new(10, 20)], repeats: true);
        Assert.Equal(0, store.LargestPct);
        Assert.True(store.Recovers);
    }

    [Fact]
    public void What_carries_a_duty_for_ever_is_told_after_two_cycles_as_after_many() => Gen
        .Select(Gen.Select(Gen.Double[1, 90], Gen.Double[10, 190]).Array[1, 6], Gen.Bool)
        .Sample(drawn =>
        {
            CurrentForTime[] duty = [.. drawn.Item1.Select(d => new CurrentForTime(d.Item1, d.Item2))];
            var store = OverloadStore.Of(Heavy, 100, duty, drawn.Item2);
            Assert.Equal(store is { Recovers: true, LargestPct: <= 100, PeakPct: <= 100 },
                OverloadStore.Carries(Heavy, 100, duty, drawn.Item2));
        });

    [Fact]
    public void More_current_never_heats_less() => Gen.Select(Gen.Double[60, 300], Gen.Double[60, 180], Gen.Double[0, 200]).Sample(x =>
    {
        var (first, second, more) = x;
        double Largest(double current) => OverloadStore.Of(Heavy, 100, [new(20, current), new(80, second)], repeats: false).LargestPct;
        return Largest(first + more) >= Largest(first) - 1e-9;
    });
}
