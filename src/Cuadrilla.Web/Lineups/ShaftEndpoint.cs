using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Shafts;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Lineups;

/// <summary>A shared shaft in a scenario over its events.</summary>
/// <param name="Missing">What is missing before anything can be computed.</param>
/// <param name="Units">Tags of the units that run, the leader first.</param>
/// <param name="Kind">Way of sharing that is shown.</param>
/// <param name="TorqueNm">Torque of the shaft, Nm.</param>
/// <param name="SpeedRpm">Speed reference, rpm.</param>
/// <param name="Run">What happens; null while something is missing or fewer than two units run.</param>
internal sealed record ShaftDocument(IReadOnlyList<string> Missing, IReadOnlyList<string> Units, SharingKind Kind, double? TorqueNm,
    double? SpeedRpm, ShaftRunDocument? Run);

/// <summary>Events of a shared shaft; balance in per cent of rated torque.</summary>
internal sealed record ShaftRunDocument(
    double StepAtS,
    double LostAtS,
    double BackAtS,
    double ImbalancePct,
    double CirculatingNm,
    IReadOnlyList<double> LoadedPct,
    IReadOnlyList<double> AfterLossPct,
    double SpeedPct,
    double SpeedAfterLossPct,
    IReadOnlyList<ShaftTrace> Trace);

/// <summary>A moment: shares in Nm, in the order of the units.</summary>
internal sealed record ShaftTrace(double TimeS, double SpeedRpm, double LoadNm, double AcceleratingNm, IReadOnlyList<double> SharesNm);

/// <summary>The shared shaft's endpoint.</summary>
internal static class ShaftEndpoint
{
    private const double IdlePu = 0.3;

    public static void MapShafts(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/shafts/{shaft}",
            (string id, string shaft, string? scenarioId, string? kind, int? lost, ProjectReader reader, Assessor assessor) =>
            reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : assessor.Shaft(plant, shaft) is { } model
                    ? Results.Ok(Of(model, plant.Scenarios.FirstOrDefault(s => s.Id == scenarioId) ?? plant.Scenarios[0], KindOf(kind),
                        lost ?? 1))
                    : Problems.NotFound("There is no such shaft."))
        .WithName("getShaft").WithTags("Lineups").Produces<ShaftDocument>();

    private static SharingKind? KindOf(string? word) => word switch
    {
        "droop" => SharingKind.Droop,
        "torque-follower" => SharingKind.TorqueFollower,
        "speed-follower" => SharingKind.SpeedFollower,
        "speed-trim" => SharingKind.SpeedTrim,
        _ => null,
    };

    private static ShaftDocument Of(SharedShaftModel model, Scenario scenario, SharingKind? kind, int lost)
    {
        var running = model.RunningIn(scenario);
        var load = model.LoadIn(scenario);
        var run = model.Missing.Count == 0
            ? model.Over(scenario, IdlePu, Math.Clamp(lost, -1, Math.Max(0, running.Count - 1)), kind)
            : null;
        return new ShaftDocument(
            model.Missing, [.. running.Select(i => model.Units[i].Input.DrivePoint.Tag)], kind ?? model.Kind, load?.TorqueNm, load?.Rpm,
            run is null ? null : Of(run, model));
    }

    private static ShaftRunDocument Of(SharingResult run, SharedShaftModel model)
    {
        var shape = new SharingInput
        {
            Units = [],
            Kind = model.Kind,
            SpeedRadPerS = 1,
            LoadInertiaKgM2 = 1,
            IdleNm = 0,
            LoadNm = 0,
            StiffnessNmPerRad = 0,
            DampingNmSPerRad = 0,
            SpeedWindowPct = 0,
            TrimPct = 0,
            TrimLimitPct = 0,
            LostUnit = -1,
        };
        return new ShaftRunDocument(
            shape.StepAtS, shape.LostAtS, shape.BackAtS, run.ImbalancePct, run.CirculatingNm, [.. run.LoadedPu.Select(p => 100 * p)],
            [.. run.AfterLossPu.Select(p => 100 * p)],
            100 * run.SpeedPu, 100 * run.SpeedAfterLossPu,
            [.. run.Moments.Select(m => new ShaftTrace(m.TimeS, m.SpeedRadPerS * 60 / (2 * Math.PI), m.LoadNm, m.AcceleratingNm,
                m.SharesNm))]);
    }
}
