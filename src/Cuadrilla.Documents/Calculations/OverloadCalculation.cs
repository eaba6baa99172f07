using Cuadrilla.Core.Converters;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>overload</c>.</summary>
internal static class OverloadCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("rating/currentPu", input.Rating.CurrentPu, 1, 10, minExcluded: true)
            .Number("rating/timeS", input.Rating.TimeS, 0, 1e5, minExcluded: true)
            .Number("rating/cycleS", input.Rating.CycleS, input.Rating.TimeS, 1e6, minExcluded: true)
            .Number("rating/peakPu", input.Rating.PeakPu, 1, 20)
            .Number("continuousA", input.ContinuousA, 0, 1e5, minExcluded: true)
            .Require(input.Duty.Count is > 0 and <= 10_000, "duty", $"{input.Duty.Count} stretches", "1 to 10000 stretches");
        for (var i = 0; i < input.Duty.Count; i++)
        {
            ranges
                .Number($"duty/{i}/durationS", input.Duty[i].DurationS, 0, 1e6, minExcluded: true)
                .Number($"duty/{i}/currentA", input.Duty[i].CurrentA, 0, 1e6);
        }

        ranges.Done();
        return OverloadStore.Of(input.Rating, input.ContinuousA, input.Duty, input.Repeats);
    }

    internal sealed record Input(OverloadRating Rating, double ContinuousA, IReadOnlyList<CurrentForTime> Duty, bool Repeats);
}
