using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>brake-sequence</c>.</summary>
internal static class BrakeCalculation
{
    public static object Run(Input input)
    {
        var delay = CoilCircuit.DelayS(input.CoilTimeConstantMs / 1e3, input.DropOutPu, input.ClampPu);
        var speed = input.SpeedRpm * 2 * Math.PI / 60;
        var mechanics = new BrakeMechanics(input.InertiaKgM2, input.GravityNm, input.MPerRad, input.RatedNm, input.LargestNm,
            input.MagnetisingS);
        var run = BrakeSequence.Run(
            mechanics,
            new BrakeTimes(
                input.HoldingNm, input.ReleaseMs / 1e3, (input.CloseMs / 1e3) + delay, input.ProvenPct / 100 * input.RatedNm,
                input.SpeedAfterReleaseMs / 1e3, input.CloseBelowPct / 100 * speed,
                input.CloseDelayS ?? double.PositiveInfinity, input.HoldMs / 1e3, input.PositionFeedback),
            new BrakeMove(input.Down ? -speed : speed, input.RampS, input.TravelS),
            input.Fault);
        return new Output(
            mechanics.FallMPerS2, 1e3 * delay, 1e3 * run.RollbackM, 1e3 * run.DropM, run.ClampedAtRadPerS * 60 / (2 * Math.PI), run.BrakeJ,
            run.EndPhase, run.HeldAtEnd);
    }

    internal sealed record Input(
        [Above(0, 1e7)] double InertiaKgM2,
        [Range(0, 1e8)] double GravityNm,
        [Above(0, 100)] double MPerRad,
        [Above(0, 1e8)] double RatedNm,
        [Above(0, 1e9)] double LargestNm,
        [Above(0, 1e9)] double HoldingNm,
        [Range(0, 5000)] double ReleaseMs,
        [Range(0, 5000)] double CloseMs,
        [Above(0, 30_000)] double SpeedRpm,
        [Above(0, 600)] double RampS,
        [Range(0, 60)] double TravelS = 1,
        [Range(0, 10)] double MagnetisingS = 0.3,
        [Range(0, 2000)] double CoilTimeConstantMs = 0,
        [Range(0.01, 1)] double DropOutPu = 0.4,
        [Range(0, 50)] double ClampPu = 0,
        [Range(0, 200)] double ProvenPct = 70,
        [Range(0.01, 50)] double CloseBelowPct = 1,
        double? CloseDelayS = null,
        double SpeedAfterReleaseMs = 0,
        double HoldMs = 0,
        bool PositionFeedback = true,
        bool Down = false,
        BrakeFault Fault = BrakeFault.None);

    internal sealed record Output(
        double FallMPerS2, double SuppressionMs, double RollbackMm, double DropMm, double ClampedAtRpm, double BrakeJ, BrakePhase EndPhase,
        bool HeldAtEnd);
}
