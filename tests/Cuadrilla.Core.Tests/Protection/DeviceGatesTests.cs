using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Core.Tests.Protection;

/// <summary>What a device surely carries and surely clears, on the safe side where it is not known.</summary>
public sealed class DeviceGatesTests
{
    private static readonly Cuadrilla.Core.Catalogue.EngineeringData Data = ReferenceCatalogue.Data;

    [Theory]
    [InlineData(100, 5, 580)]
    [InlineData(100, 0.1, 1450)]
    [InlineData(630, 5, 5100)]
    [InlineData(10, 5, 65)]
    [InlineData(35, 5, 190)]
    [InlineData(224, 0.1, 4500)]
    public void A_fuse_clears_by_its_own_upper_gate_or_that_of_the_next_larger_one(double ratedA, double timeS, double expectedA) =>
        Assert.Equal(expectedA, Of(new ProtectiveDevice.Fuse(ratedA, 100, string.Empty)).TripA(timeS)!.Value, 6);

    [Fact]
    public void A_fuse_lasts_by_the_gate_of_the_next_smaller_one_and_below_sixteen_amperes_nobody_knows()
    {
        var between = Of(new ProtectiveDevice.Fuse(224, 100, string.Empty));
        var smaller = Of(new ProtectiveDevice.Fuse(200, 100, string.Empty));
        Assert.Equal(smaller.StartMarginPu(Steady(900, 3), 1)!.Value, between.StartMarginPu(Steady(900, 3), 1)!.Value, 9);
        Assert.Null(Of(new ProtectiveDevice.Fuse(10, 100, string.Empty)).StartMarginPu(Steady(60, 3), 1));
        Assert.Null(Of(new ProtectiveDevice.Fuse(2000, 100, string.Empty)).TripA(5));
    }

    // A steady current for a time: the margin is the lower gate at the worst moment, which is the last one.
    [Fact]
    public void The_margin_of_a_steady_start_is_that_of_the_lower_gate()
    {
        var fuse = Data.GgFuses.Of(100)!;
        Assert.Equal(fuse.LastsA(4) / 340,
            Of(new ProtectiveDevice.Fuse(100, 100, string.Empty)).StartMarginPu(Steady(340, 4), 1)!.Value, 6);
    }

    [Fact]
    public void Let_through_of_a_fuse_never_grows_with_the_fault_and_is_unknown_beyond_five_seconds()
    {
        var fuse = Of(new ProtectiveDevice.Fuse(100, 100, string.Empty));
        Assert.Null(fuse.LetThroughA2s(579));
        var before = double.PositiveInfinity;
        for (var current = 580.0; current < 50_000; current *= 1.1)
        {
            var heat = fuse.LetThroughA2s(current)!.Value;
            Assert.True(heat <= before * 1.0000001, $"{current}");
            before = heat;
        }

        Assert.Equal(0.1 * 1450 * 1450, before, 3);
    }

    [Fact]
    public void A_breaker_trips_at_once_above_its_release_with_tolerance_and_by_its_class_below()
    {
        var breaker = Of(new ProtectiveDevice.CircuitBreaker(160, 120, 10, 36, Given.Unknown, string.Empty));
        Assert.Equal(1920, breaker.TripA(0.4));
        Assert.Equal(5000.0 * 5000 * 0.02, breaker.LetThroughA2s(5000)!.Value, 3);
        var slow = TripHeat.LongestTripS(1900 / 120.0, 0, TripClass.Class10);
        Assert.Equal(1900.0 * 1900 * slow, breaker.LetThroughA2s(1900)!.Value, 3);
        Assert.Null(breaker.LetThroughA2s(150));
        var limiting = Of(new ProtectiveDevice.CircuitBreaker(160, 120, 10, 36, 200_000, string.Empty));
        Assert.Equal(200_000, limiting.LetThroughA2s(30_000)!.Value);
    }

    [Fact]
    public void An_inrush_beyond_the_release_trips_a_breaker_and_a_larger_crest_sooner()
    {
        var breaker = Of(new ProtectiveDevice.MotorBreaker(32, 28, TripClass.Class10, 13, 50, Given.Unknown, string.Empty));
        Assert.Equal(32 * 13 / (1.25 * 250), breaker.StartMarginPu(Steady(250, 0.05), 1)!.Value, 6);
        Assert.True(breaker.StartMarginPu(Steady(250, 0.05), 1.4) < 1);
    }

    [Fact]
    public void Of_an_aR_fuse_only_a_full_short_circuit_is_known()
    {
        var fuse = Of(new ProtectiveDevice.SemiconductorFuse(160, 15_000, 100, string.Empty));
        Assert.Equal(15_000, fuse.LetThroughA2s(20_000));
        Assert.Null(fuse.LetThroughA2s(600));
        Assert.Null(fuse.TripA(5));
        Assert.False(fuse.ClearsOverload);
        Assert.Null(DeviceGates.Of(new ProtectiveDevice.NotChosen(), Data.GgFuses, Data.Switchgear));
    }

    private static DeviceGates Of(ProtectiveDevice device) => DeviceGates.Of(device, Data.GgFuses, Data.Switchgear)!;

    private static IReadOnlyList<StartMoment> Steady(double currentA, double timeS) =>
        [.. Enumerable.Range(0, 41).Select(i =>
            new StartMoment(timeS * i / 40, 0, 0, new StartState(0, currentA, currentA, 400, 0, 0, 0, 0)))];
}
