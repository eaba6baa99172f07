using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Cuadrilla.Catalogue;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Cables;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Starting;
using Cuadrilla.Core.Protection;

namespace Cuadrilla.Documents.Calculations;

/// <summary>Engines of protection: fuse, relay, ride-through.</summary>
internal static class ProtectionCalculations
{
    private const double LargestA = 100_000;
    private const double Large = 1e9;
    private const double NeverTripsPu = 1.15;

    public static object Fuse(FuseInput input, InputRanges ranges)
    {
        var fuses = ReferenceCatalogue.Data.GgFuses;
        var fuse = fuses.Of(input.RatedA);
        ranges
            .Require(fuse is not null, "ratedA", $"{input.RatedA}", string.Join(", ", fuses.Gates.Select(g => g.RatedA)))
            .Require((input.StartA is null) == (input.StartS is null), input.StartA is null ? "startA" : "startS", "absent",
                "current and time of a start, both or none")
            .Require(input.UpstreamRatedA is not { } above || fuses.StandardA.Contains(above), "upstreamRatedA", $"{input.UpstreamRatedA}",
                string.Join(", ", fuses.StandardA))
            .Done();
        var result = FuseCheck.Of(fuse!, new FuseCheck.Duty(
            input.CurrentA, input.CapacityA, input.LeastFaultA, input.DisconnectS, input.SectionMm2, input.Parallel, input.Material,
            input.Insulation,
            input is { StartA: { } current, StartS: { } time } ? (current, time) : null, input.UpstreamRatedA));
        return new FuseOutput(
            result.LoadHolds, result.TripA, result.ClearTimeS, result.IsCleared, result.LetThroughA2s, result.CableA2s, result.CableHolds,
            result.StartLimitA, result.StartHolds, result.Selective,
            result.Holds);
    }

    public static object Relay(RelayInput input, InputRanges ranges)
    {
        ranges
            .Require(input.RunningPu < NeverTripsPu, "runningPu", $"{input.RunningPu}", $"0 to below {NeverTripsPu}")
            .Require((input.StartPu is null) == (input.StartS is null), input.StartPu is null ? "startPu" : "startS", "absent",
                "current and time of a start, both or none")
            .Require((input.StallPu is null) == (input.HotStallS is null), input.StallPu is null ? "stallPu" : "hotStallS", "absent",
                "current and time of a stall, both or none")
            .Done();
        double? heat = input is { StartPu: { } start, StartS: { } time }
            ? RelayTime.StartHeatPct(input.Trip, input.RunningPu, start, time)
            : null;
        var stall = input.StallPu is { } still ? Finite(TripHeat.LongestTripS(still, input.RunningPu, input.Trip)) : null;
        return new RelayOutput(
            Finite(TripHeat.TripS(input.CurrentPu, 0, input.Trip)),
            Finite(TripHeat.LongestTripS(input.CurrentPu, 0, input.Trip)),
            Finite(TripHeat.TripS(input.CurrentPu, input.RunningPu, input.Trip)),
            Finite(TripHeat.LongestTripS(input.CurrentPu, input.RunningPu, input.Trip)),
            heat,
            heat < 100,
            stall,
            input.HotStallS is { } hot ? stall is { } trips && trips <= hot : null);
    }

    public static object Ride(RideInput input, InputRanges ranges)
    {
        ranges.Require(input.RestV > input.MinimumV, "restV", $"{input.RestV}", $"above {input.MinimumV} to 100000");
        if (input.Kinetic is { } k)
        {
            ranges.Require(k.SpeedRpm > k.LeastRpm, "kinetic/speedRpm", $"{k.SpeedRpm}", $"above {k.LeastRpm} to 1000000");
        }

        ranges.Done();
        var energy = RideThrough.LinkEnergyJ(1e-6 * input.CapacitanceUf, input.RestV, input.MinimumV);
        var wheel = input.Kinetic is { } kinetic
            ? new RideThrough.Flywheel(kinetic.InertiaKgM2, kinetic.SpeedRpm, kinetic.LeastRpm, kinetic.EfficiencyPu, kinetic.KeepW,
                kinetic.LoadTorqueNm, kinetic.LoadShape)
            : null;
        return new RideOutput(energy, energy / input.PowerKw, wheel is null ? null : RideThrough.KineticEnergyJ(wheel),
            wheel is null ? null : RideThrough.KineticS(wheel));
    }

    private static double? Finite(double value) => double.IsFinite(value) ? value : null;

    internal sealed record FuseInput(
        [Range(16, 1250)] double RatedA,
        [Above(0, LargestA)] double CurrentA,
        [Above(0, LargestA)] double CapacityA,
        [Above(0, LargestA)] double LeastFaultA,
        [Range(0.1, 5)] double DisconnectS,
        [Above(0, 1000)] double SectionMm2,
        CableInsulation Insulation,
        [Range(1, 200)] int Parallel = 1,
        ConductorMaterial Material = ConductorMaterial.Copper,
        [Above(0, LargestA)] double? StartA = null,
        [Above(0, 3600)] double? StartS = null,
        [Range(2, 1250)] double? UpstreamRatedA = null);

    internal sealed record FuseOutput(
        bool LoadHolds, double TripA, [property: JsonPropertyName("clearS")] double? ClearTimeS,
        [property: JsonPropertyName("clears")] bool IsCleared, double? LetThroughA2s, double CableA2s, bool CableHolds, double? StartLimitA,
        bool? StartHolds, bool? Selective, bool Holds);

    internal sealed record RelayInput(
        TripClass Trip,
        [Above(0, 20)] double CurrentPu,
        [Range(0, NeverTripsPu)] double RunningPu = 0,
        [Above(0, Large)] double? StartPu = null,
        [Above(0, Large)] double? StartS = null,
        [Above(0, Large)] double? StallPu = null,
        [Above(0, Large)] double? HotStallS = null);

    internal sealed record RelayOutput(
        double? ColdShortestS, double? ColdLongestS, double? HotShortestS, double? HotLongestS, double? StartHeatPct, bool? StartPasses,
        double? StallTripS, bool? ProtectsStall);

    internal sealed record KineticInput(
        [Above(0, Large)] double InertiaKgM2,
        [Above(0, 1e6)] double SpeedRpm,
        [Range(0, 1e6)] double LeastRpm,
        [Above(0, Large)] double KeepW,
        [Above(0, 1)] double EfficiencyPu = 0.9,
        [Range(0, Large)] double LoadTorqueNm = 0,
        RideThrough.TorqueShape LoadShape = RideThrough.TorqueShape.Square);

    internal sealed record RideInput(
        [Above(0, Large)] double CapacitanceUf, [Above(0, 100_000)] double RestV, [Above(0, 100_000)] double MinimumV,
        [Above(0, Large)] double PowerKw, KineticInput? Kinetic = null);

    internal sealed record RideOutput(double LinkEnergyJ, double LinkMs, double? KineticEnergyJ, double? KineticS);
}
