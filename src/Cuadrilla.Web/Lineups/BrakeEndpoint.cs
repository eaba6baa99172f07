using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Studies.Brakes;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Lineups;

/// <summary>The sequence of a holding brake.</summary>
/// <param name="Missing">What is missing before it can be computed.</param>
/// <param name="Hangs">True when something hangs on the shaft: positions are in metres, in turns of the motor otherwise.</param>
/// <param name="GravityNm">Torque of the hanging load, Nm.</param>
/// <param name="CoilA">Current of the coil, A; null while not known.</param>
/// <param name="SuppressionMs">Delay of the closing by the suppression, ms; null while not known.</param>
/// <param name="FallMPerS2">Acceleration of the free load, m/s²; null while not known.</param>
/// <param name="Run">What happens; null while something is missing.</param>
internal sealed record BrakeDocument(
    IReadOnlyList<string> Missing, bool Hangs, double? GravityNm, double? CoilA, double? SuppressionMs, double? FallMPerS2,
    BrakeRunDocument? Run);

/// <summary>A run of the sequence.</summary>
internal sealed record BrakeRunDocument(
    BrakeFault Fault,
    bool Up,
    double RollbackMm,
    double DropMm,
    double ClampedAtRpm,
    double BrakeJ,
    double? PermittedJ,
    double? ClampingsLeft,
    BrakePhase EndPhase,
    bool HeldAtEnd,
    IReadOnlyList<BrakeTrace> Trace);

/// <summary>A moment of the sequence.</summary>
internal sealed record BrakeTrace(double TimeS, BrakePhase Phase, double Position, double SpeedRpm, double MotorNm, double Clamped,
    double Released);

/// <summary>The brake's endpoint.</summary>
internal static class BrakeEndpoint
{
    public static void MapBrakes(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/drive-points/{point}/brake",
            (string id, string point, string? fault, bool? down, ProjectReader reader, Assessor assessor) =>
            reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : assessor.Brake(plant, point) is { } model
                    ? Results.Ok(Of(model, FaultOf(fault), down != true))
                    : Problems.NotFound("There is no such drive point with a brake."))
        .WithName("getBrake").WithTags("Lineups").Produces<BrakeDocument>();

    private static BrakeFault FaultOf(string? word) => Enum.GetValues<BrakeFault>()
        .FirstOrDefault(f => System.Text.Json.JsonNamingPolicy.KebabCaseLower.ConvertName(f.ToString()) == word);

    private static BrakeDocument Of(BrakeModel model, BrakeFault fault, bool up)
    {
        var mechanics = model.Missing.Count == 0 ? model.Mechanics() : null;
        return new BrakeDocument(
            model.Missing, model.Hangs, model.Point.Load?.Hanging?.GravityNm, model.CoilA, 1e3 * model.SuppressionS, mechanics?.FallMPerS2,
            model.Run(fault, up) is { } run ? Of(run, model, fault, up) : null);
    }

    private static BrakeRunDocument Of(BrakeSequenceResult run, BrakeModel model, BrakeFault fault, bool up)
    {
        double? permitted = model.Brake.PermittedJ.IsKnown ? model.Brake.PermittedJ.Value : null;
        return new BrakeRunDocument(
            fault, up, 1e3 * run.RollbackM, 1e3 * run.DropM, run.ClampedAtRadPerS * 60 / (2 * Math.PI), run.BrakeJ, permitted,
            permitted is { } p && model.Brake.PermittedClampings.IsKnown && run.BrakeJ > 0
                ? model.Brake.PermittedClampings.Value * Math.Min(1, p / run.BrakeJ)
                : null,
            run.EndPhase, run.HeldAtEnd,
            [
                .. run.Moments.Select(m => new BrakeTrace(
                    m.TimeS, m.Phase, m.PositionM, m.SpeedRadPerS * 60 / (2 * Math.PI), m.MotorNm, m.Clamped ? 1 : 0, m.Released ? 1 : 0)),
            ]);
    }
}
