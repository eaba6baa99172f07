using Cuadrilla.Core.Studies.Followers;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>follower</c>.</summary>
internal static class FollowerCalculation
{
    public static object Run(FollowerInput input, InputRanges ranges)
    {
        foreach (var (name, axis) in new[] { ("leader", input.Leader), ("follower", input.Follower) })
        {
            ranges.Number($"{name}/largestRpm", axis.LargestRpm, axis.LeastRpm, 60_000, minExcluded: true);
        }

        ranges.Done();
        var found = FollowerSetting.Of(input);
        return new Output(
            found.SpeedRatio, found.PulseRatio, found.DisplaySetting, found.RoundingPct, found.FollowerAtLeastRpm,
            found.FollowerAtLargestRpm, found.WithinSpeeds, found.FitsDisplay,
            found.LargestPulseHz, found.WithinInput, double.IsInfinity(found.ResolutionPct) ? null : found.ResolutionPct);
    }

    internal sealed record Output(
        double SpeedRatio,
        double PulseRatio,
        double DisplaySetting,
        double RoundingPct,
        double FollowerAtLeastRpm,
        double FollowerAtLargestRpm,
        bool WithinSpeeds,
        bool FitsDisplay,
        double LargestPulseHz,
        bool WithinInput,
        double? ResolutionPct);
}
