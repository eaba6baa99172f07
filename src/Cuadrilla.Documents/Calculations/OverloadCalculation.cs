using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;

namespace Cuadrilla.Documents.Calculations;

/// <summary>The engine <c>overload</c>.</summary>
internal static class OverloadCalculation
{
    public static object Run(Input input, InputRanges ranges)
    {
        ranges
            .Number("rating/cycleS", input.Rating.CycleS, input.Rating.TimeS, 1e6, minExcluded: true);

        ranges.Done();
        return OverloadStore.Of(input.Rating, input.ContinuousA, input.Duty, input.Repeats);
    }

    internal sealed record Input(OverloadRating Rating, [Above(0, 1e5)] double ContinuousA,
        [Length(1, 10_000)] IReadOnlyList<CurrentForTime> Duty, bool Repeats);
}
