using Cuadrilla.Core.Brakes;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>brake-sequence</c>.</summary>
internal static class BrakeCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("inertiaKgM2", input.InertiaKgM2, 0, 1e7, minExcluded: true)
            .Number("gravityNm", input.GravityNm, 0, 1e8)
            .Number("mPerRad", input.MPerRad, 0, 100, minExcluded: true)
            .Number("ratedNm", input.RatedNm, 0, 1e8, minExcluded: true)
            .Number("largestNm", input.LargestNm, 0, 1e9, minExcluded: true)
            .Number("magnetisingS", input.MagnetisingS, 0, 10)
            .Number("holdingNm", input.HoldingNm, 0, 1e9, minExcluded: true)
            .Number("releaseMs", input.ReleaseMs, 0, 5000)
            .Number("closeMs", input.CloseMs, 0, 5000)
            .Number("coilTimeConstantMs", input.CoilTimeConstantMs, 0, 2000)
            .Number("dropOutPu", input.DropOutPu, 0.01, 1)
            .Number("clampPu", input.ClampPu, 0, 50)
            .Number("provenPct", input.ProvenPct, 0, 200)
            .Number("closeBelowPct", input.CloseBelowPct, 0.01, 50)
            .Number("speedRpm", input.SpeedRpm, 0, 30_000, minExcluded: true)
            .Number("rampS", input.RampS, 0, 600, minExcluded: true)
            .Number("travelS", input.TravelS, 0, 60)
            .Done();
        var delay = CoilCircuit.DelayS(input.CoilTimeConstantMs / 1e3, input.DropOutPu, input.ClampPu);
        var speed = input.SpeedRpm * 2 * Math.PI / 60;
        var mechanics = new BrakeMechanics(input.InertiaKgM2, input.GravityNm, input.MPerRad, input.RatedNm, input.LargestNm, input.MagnetisingS);
        var run = BrakeSequence.Run(
            mechanics,
            new BrakeTimes(
                input.HoldingNm, input.ReleaseMs / 1e3, (input.CloseMs / 1e3) + delay, input.ProvenPct / 100 * input.RatedNm, input.SpeedAfterReleaseMs / 1e3, input.CloseBelowPct / 100 * speed,
                input.CloseDelayS ?? double.PositiveInfinity, input.HoldMs / 1e3, input.PositionFeedback),
            new BrakeMove(input.Down ? -speed : speed, input.RampS, input.TravelS),
            input.Fault);
        return new Output(
            mechanics.FallMPerS2, 1e3 * delay, 1e3 * run.RollbackM, 1e3 * run.DropM, run.ClampedAtRadPerS * 60 / (2 * Math.PI), run.BrakeJ, run.EndPhase, run.HeldAtEnd);
    }

    internal sealed record Input(
        double InertiaKgM2,
        double GravityNm,
        double MPerRad,
        double RatedNm,
        double LargestNm,
        double HoldingNm,
        double ReleaseMs,
        double CloseMs,
        double SpeedRpm,
        double RampS,
        double TravelS = 1,
        double MagnetisingS = 0.3,
        double CoilTimeConstantMs = 0,
        double DropOutPu = 0.4,
        double ClampPu = 0,
        double ProvenPct = 70,
        double CloseBelowPct = 1,
        double? CloseDelayS = null,
        double SpeedAfterReleaseMs = 0,
        double HoldMs = 0,
        bool PositionFeedback = true,
        bool Down = false,
        BrakeFault Fault = BrakeFault.None);

    internal sealed record Output(
        double FallMPerS2, double SuppressionMs, double RollbackMm, double DropMm, double ClampedAtRpm, double BrakeJ, BrakePhase EndPhase, bool HeldAtEnd);
}
