using Cuadrilla.Core.Base;
using Cuadrilla.Core.Checks;
using Cuadrilla.Core.Studies.Plants;

namespace Cuadrilla.Core.Studies.Standby;

/// <summary>A generator of another size against all checks that it can change.</summary>
/// <param name="Kva">Rated apparent power of all sets, kVA.</param>
/// <param name="Kw">Rated active power of all sets, kW; null where not stated.</param>
/// <param name="LoadingPct">Loading of kVA or kW, the greater, %; null where it is not known.</param>
/// <param name="DistortionPct">Distortion at its terminals, %.</param>
/// <param name="DipPct">Largest dip of a start at the generator, % of its limit; null where none is judged.</param>
/// <param name="Fails">What fails here and not at every size, in words.</param>
/// <param name="NeedsData">What lacks data here and not at every size, likewise.</param>
/// <param name="Tight">How many are tight.</param>
/// <param name="IsPresent">True for the one that is entered.</param>
public sealed record SetOfSize(double Kva, double? Kw, double? LoadingPct, double? DistortionPct, double? DipPct,
    IReadOnlyList<string> Fails, IReadOnlyList<string> NeedsData, int Tight, bool IsPresent);

/// <summary>Sweep of the size of a generator: reactances in per cent of its own rating and its power factor stay.</summary>
/// <param name="Sizes">From small to large.</param>
/// <param name="LeastKva">Least size from which on nothing fails and nothing lacks data but what does so at every size; null where there
/// is none.</param>
/// <param name="AlwaysFails">What fails at every size: no generator of these mends it.</param>
/// <param name="AlwaysNeedsData">What lacks data at every size.</param>
public sealed record SetSweep(IReadOnlyList<SetOfSize> Sizes, double? LeastKva, IReadOnlyList<string> AlwaysFails,
    IReadOnlyList<string> AlwaysNeedsData)
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

        List<(SetOfSize Size, IReadOnlyList<Check> Checks)> found = [.. Parts.Select(part => Judged(feed, part, studies))];
        var fails = Always(found, Verdict.Fails);
        var open = Always(found, Verdict.NeedsData);
        IReadOnlyList<string> Said(IReadOnlyList<Check> checks, Verdict verdict, HashSet<string> always) =>
            feed.Said(checks.Where(c => c.Verdict == verdict && !always.Contains(Key(c))));
        List<SetOfSize> sizes = [.. found.Select(f => f.Size with
        {
            Fails = Said(f.Checks, Verdict.Fails, fails), NeedsData = Said(f.Checks, Verdict.NeedsData, open),
        })];

        // From some size on nothing fails any more: a single size between that holds by chance is none to buy.
        var last = sizes.FindLastIndex(s => s.Fails.Count + s.NeedsData.Count > 0);
        return new SetSweep(sizes, last + 1 < sizes.Count ? sizes[last + 1].Kva : null,
            feed.Said(found[^1].Checks.Where(c => fails.Contains(Key(c)))), feed.Said(found[^1].Checks.Where(c => open.Contains(Key(c)))));
    }

    private static HashSet<string> Always(List<(SetOfSize Size, IReadOnlyList<Check> Checks)> found, Verdict verdict) =>
        found.Select(f => f.Checks.Where(c => c.Verdict == verdict).Select(Key).ToHashSet(StringComparer.Ordinal))
            .Aggregate((common, keys) => [.. common.Where(keys.Contains)]);

    private static string Key(Check check) => string.Join('|', check.Id, check.DrivePointId, check.ElementId, check.Title);

    private static (SetOfSize Size, IReadOnlyList<Check> Checks) Judged(GeneratorFeed feed, double part, IPlantStudies studies)
    {
        var set = feed.Generator;
        var sized = set with
        {
            RatedKva = Digits.Kept(part * set.RatedKva.Value),
            RatedKw = set.RatedKw.IsKnown ? Digits.Kept(part * set.RatedKw.Value) : set.RatedKw,
        };
        var checks = GeneratorFeed.Concerned(studies.Drafted(feed.On(sized)));
        double? Most(string id) => checks.Where(c => c.Id == id && c.Figure.IsKnown).Select(c => (double?)c.Figure.Value).Max();
        return (new SetOfSize(
            sized.TotalKva(), sized.RatedKw.IsKnown ? sized.TotalKw() : null, Most("supply.generator-loading"),
            Most("supply.generator-distortion"),
            checks.Where(c => c.Id == "supply.start-dip" && c.Figure.IsKnown && c.Limit is { IsKnown: true, Value: > 0 })
                .Select(c => (double?)(100 * c.Figure.Value / c.Limit.Value)).Max(),
            [], [], checks.Count(c => c.Verdict == Verdict.Tight), part == 1), checks);
    }
}
