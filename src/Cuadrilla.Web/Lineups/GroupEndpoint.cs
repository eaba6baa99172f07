using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Network;
using Cuadrilla.Core.Studies.Groups;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Lineups;

/// <summary>A group of motors on one converter in a scenario.</summary>
/// <param name="Missing">What is missing before anything can be computed.</param>
/// <param name="SiteCurrentA">Continuous current of the converter at its site, A; null without converter.</param>
/// <param name="CableM">Motor cables of all branches, m; null while a length is missing.</param>
/// <param name="AtWork">The motors that run; null when none does.</param>
internal sealed record GroupDocument(IReadOnlyList<string> Missing, double? SiteCurrentA, double? CableM, GroupAtWorkDocument? AtWork);

/// <summary>Motors of a group at work.</summary>
internal sealed record GroupAtWorkDocument(
    double FrequencyPct, double SumA, double WantedA, double NowA, double LateStartA, string LateTag, double SpreadPct,
    IReadOnlyList<GroupMotorDocument> Motors);

/// <summary>A kind of motors of a group; currents of one, A.</summary>
/// <param name="Tag">Tag of the drive point.</param>
/// <param name="Name">Its name.</param>
/// <param name="Count">How many.</param>
/// <param name="RatedA">Rated current: what its relay is set to.</param>
/// <param name="CurrentA">Current now.</param>
/// <param name="SpeedRpm">Speed by slip, rpm.</param>
/// <param name="JamA">Current when it is jammed; null when not known.</param>
/// <param name="JamTripS">Time in which the fastest relay of its class trips then, warm, s; null when it has none or never trips.</param>
/// <param name="JamTripLongestS">That of the slowest, from cold, s.</param>
/// <param name="LateStartS">Time of a start on the running converter, s; null when it does not reach speed.</param>
internal sealed record GroupMotorDocument(
    string Tag, string Name, int Count, double RatedA, double CurrentA, double SpeedRpm, double? JamA, double? JamTripS,
    double? JamTripLongestS, double? LateStartS);

/// <summary>The group's endpoint.</summary>
internal static class GroupEndpoint
{
    public static void MapGroups(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/groups/{group}",
            (string id, string group, string? scenarioId, ProjectReader reader, Assessor assessor) =>
            reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : assessor.Group(plant, group) is { } model
                    ? Results.Ok(Of(model, plant.Scenarios.FirstOrDefault(s => s.Id == scenarioId) ?? plant.Scenarios[0]))
                    : Problems.NotFound("There is no such group."))
        .WithName("getGroup").WithTags("Lineups").Produces<GroupDocument>();

    private static GroupDocument Of(GroupModel model, Scenario scenario) => new(
        model.Missing, model.Whole?.SiteCurrentA, model.CableM, model.At(scenario) is { } work ? Of(work) : null);

    private static GroupAtWorkDocument Of(GroupAtWork work) => new(
        100 * work.FrequencyPu, work.Current.SumA, work.Current.WantedA, work.Motors.Sum(m => m.Member.Count * m.CurrentA),
        work.Current.LateStartA,
        work.Current.LateIndex >= 0 ? work.Motors[work.Current.LateIndex].Model.Input.DrivePoint.Tag : string.Empty, work.SpreadPct,
        [
            .. work.Motors.Select(m => new GroupMotorDocument(
                m.Model.Input.DrivePoint.Tag, m.Model.Input.DrivePoint.Name, m.Member.Count, m.Model.Motor.Plate.RatedCurrentA, m.CurrentA,
                m.SpeedRpm, Finite(m.JamA), Finite(m.JamTripS), Finite(m.JamTripLongestS), Finite(m.LateStartS))),
        ]);

    private static double? Finite(double? value) => value is { } v && double.IsFinite(v) ? v : null;
}
