using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Standby;

/// <summary>A generator of another size against all checks that it can change.</summary>
/// <param name="Kva">Rated apparent power of all sets, kVA.</param>
/// <param name="Kw">Rated active power of all sets, kW; null where not stated.</param>
/// <param name="LoadingPct">Loading of kVA or kW, the greater, %; null where it is not known.</param>
/// <param name="DistortionPct">Largest distortion of a live low-voltage bus, %.</param>
/// <param name="DipPct">Largest dip of a start at the generator, % of its limit; null where none is judged.</param>
/// <param name="Fails">What fails, in words.</param>
/// <param name="Tight">How many are tight.</param>
/// <param name="NeedsData">How many lack data.</param>
/// <param name="IsPresent">True for the one that is entered.</param>
public sealed record SetOfSize(double Kva, double? Kw, double? LoadingPct, double? DistortionPct, double? DipPct,
    IReadOnlyList<string> Fails,
    int Tight, int NeedsData, bool IsPresent);

/// <summary>Sweep of the size of a generator: reactances in per cent of its own rating and its power factor stay.</summary>
/// <param name="Sizes">From small to large.</param>
/// <param name="LeastKva">Least size at which nothing fails; null where none of them.</param>
public sealed record SetSweep(IReadOnlyList<SetOfSize> Sizes, double? LeastKva)
{
    private static readonly double[] Parts = [0.4, 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4];

    /// <summary>Computes it; null while the generator's rating is not known.</summary>
    public static SetSweep? Of(GeneratorFeed feed, IPlantStudies studies)
    {
        ArgumentNullException.ThrowIfNull(feed);
        ArgumentNullException.ThrowIfNull(studies);
        if (!feed.Generator.RatedKva.IsKnown)
        {
            return null;
        }

        var sizes = Parts.Select(part => Judged(feed, part, studies)).ToList();

        // From some size on nothing fails any more: a single size between that holds by chance is none to buy.
        var last = sizes.FindLastIndex(s => s.Fails.Count > 0);
        return new SetSweep(sizes, last + 1 < sizes.Count ? sizes[last + 1].Kva : null);
    }

    private static SetOfSize Judged(GeneratorFeed feed, double part, IPlantStudies studies)
    {
        var set = feed.Generator;
        var sized = set with
        {
            RatedKva = Digits.Kept(part * set.RatedKva.Value),
            RatedKw = set.RatedKw.IsKnown ? Digits.Kept(part * set.RatedKw.Value) : set.RatedKw,
        };
        var assessment = studies.Drafted(feed.On(sized));
        var checks = GeneratorFeed.Concerned(assessment);
        double? Most(string id) => checks.Where(c => c.Id == id && c.Figure.IsKnown).Select(c => (double?)c.Figure.Value).Max();
        return new SetOfSize(
            sized.TotalKva(), sized.RatedKw.IsKnown ? sized.TotalKw() : null, Most("supply.generator-loading"),
            assessment.Scenarios.SelectMany(s => s.Buses).Select(b => (double?)b.TotalThdvPct).Max(),
            checks.Where(c => c.Id == "supply.start-dip" && c.Figure.IsKnown && c.Limit is { IsKnown: true, Value: > 0 })
                .Select(c => (double?)(100 * c.Figure.Value / c.Limit.Value)).Max(),
            [.. checks.Where(c => c.Verdict == Verdict.Fails).Select(c => Said(c, feed)).Distinct(StringComparer.Ordinal)],
            checks.Count(c => c.Verdict == Verdict.Tight), checks.Count(c => c.Verdict == Verdict.NeedsData), part == 1);
    }

    private static string Said(Check check, GeneratorFeed feed) =>
        feed.Plant.AllDrivePoints().FirstOrDefault(p => p.Id == check.DrivePointId) is { } point
            ? $"{point.Tag}: {check.Title}"
            : check.Title;
}
