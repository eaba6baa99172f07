using Cuadrilla.Core.Assessment;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Studies.Followers;
using Cuadrilla.Web.Http;
using Cuadrilla.Web.Projects;

namespace Cuadrilla.Web.Lineups;

/// <summary>A ratio follower.</summary>
/// <param name="Missing">What is missing before anything can be computed.</param>
/// <param name="Setting">The setting; null while something is missing.</param>
internal sealed record FollowerDocument(IReadOnlyList<string> Missing, FollowerSettingDocument? Setting);

/// <summary>What is entered and what follows from it.</summary>
internal sealed record FollowerSettingDocument(
    double SpeedRatio,
    double PulseRatio,
    double DisplaySetting,
    double RoundingPct,
    double LeaderUnitsPerTurn,
    double FollowerUnitsPerTurn,
    double FollowerAtLeastRpm,
    double FollowerAtLargestRpm,
    bool WithinSpeeds,
    bool FitsDisplay,
    double LargestPulseHz,
    bool WithinInput,
    double? ResolutionPct,
    double? ReachS,
    double? MissingUnits,
    IReadOnlyList<FollowerScenarioDocument> Scenarios);

/// <summary>Speeds in a scenario, rpm.</summary>
internal sealed record FollowerScenarioDocument(string Scenario, double LeaderRpm, double FollowerRpm);

/// <summary>The follower's endpoint.</summary>
internal static class FollowerEndpoint
{
    public static void MapFollowers(this IEndpointRouteBuilder app) => app
        .MapGet("/api/projects/{id}/followers/{follower}", (string id, string follower, ProjectReader reader, Assessor assessor) =>
            reader.Specification(id) is not { } plant
                ? ProjectEndpoints.Unknown()
                : assessor.Follower(plant, follower) is { } model
                    ? Results.Ok(Of(model, plant))
                    : Problems.NotFound("There is no such follower."))
        .WithName("getFollower").WithTags("Lineups").Produces<FollowerDocument>();

    private static FollowerDocument Of(FollowerModel model, PlantSpecification plant)
    {
        if (model.Setting is not { } s || model.Input is not { } input)
        {
            return new FollowerDocument(model.Missing, null);
        }

        var ramp = model.Ramp;
        return new FollowerDocument([], new FollowerSettingDocument(
            s.SpeedRatio, s.PulseRatio, s.DisplaySetting, s.RoundingPct, input.Leader.UnitsPerTurn, input.Follower.UnitsPerTurn,
            s.FollowerAtLeastRpm, s.FollowerAtLargestRpm, s.WithinSpeeds,
            s.FitsDisplay, s.LargestPulseHz, s.WithinInput, double.IsInfinity(s.ResolutionPct) ? null : s.ResolutionPct, ramp?.ReachS,
            ramp?.MissingUnits,
            [
                .. plant.Scenarios.Select(x => (x.Name, Rpm: model.LeaderRpmIn(x))).Where(x => x.Rpm is not null)
                    .Select(x => new FollowerScenarioDocument(x.Name, x.Rpm!.Value, x.Rpm.Value * s.SpeedRatio)),
            ]));
    }
}
