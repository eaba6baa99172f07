namespace Cuadrilla.Core.Studies.Sun;

/// <summary>Arrays and pumps of many sizes side by side over the same year.</summary>
public static class SunSweep
{
    private const double LeastArrayPu = 0.6;
    private const double MostArrayPu = 2.5;
    private const double LeastPumpPu = 0.4;
    private const double MostPumpPu = 1.6;

    /// <summary>Sweeps.</summary>
    /// <param name="study">The pump on the sun.</param>
    /// <param name="arrays">How many arrays.</param>
    /// <param name="pumps">How many pumps.</param>
    public static SunSweepResult Of(SunStudy study, int arrays = 20, int pumps = 10)
    {
        ArgumentNullException.ThrowIfNull(study);
        ArgumentOutOfRangeException.ThrowIfLessThan(arrays, 2);
        ArgumentOutOfRangeException.ThrowIfLessThan(pumps, 2);
        double[] kws = [.. Even(arrays, LeastArrayPu, MostArrayPu).Select(a => Math.Round(a * study.Pump.RatedKw, 3))];
        double[] sizes = [.. Even(pumps, LeastPumpPu, MostPumpPu).Select(p => Math.Round(p, 3))];
        List<SunPair> pairs = new(arrays * pumps);
        foreach (var size in sizes)
        {
            var pump = study.PumpOf(size);
            pairs.AddRange(kws.Select(kw =>
            {
                var year = study.YearOf(kw, pump);
                return new SunPair(kw, size, year.WaterM3, year.WorstShare, year.ShortDays);
            }));
        }

        return new SunSweepResult(kws, sizes, pairs,
            pairs.Where(p => p.WorstShare >= 1).OrderBy(p => p.ArrayKw).ThenByDescending(p => p.WorstShare).FirstOrDefault());
    }

    private static IEnumerable<double> Even(int count, double from, double to) =>
        Enumerable.Range(0, count).Select(k => from + ((to - from) * k / (count - 1)));
}

/// <summary>A pair.</summary>
/// <param name="ArrayKw">Rated power of the array, kW.</param>
/// <param name="PumpPu">Size of the pump over the one that is specified.</param>
/// <param name="WaterM3">Water of the year, m³.</param>
/// <param name="WorstShare">Water over what is wanted in the worst month; null where nothing is wanted.</param>
/// <param name="ShortDays">Days on which tank and pump do not give what is wanted; null likewise.</param>
public sealed record SunPair(double ArrayKw, double PumpPu, double WaterM3, double? WorstShare, int? ShortDays);

/// <summary>Pairs, arrays ascending within pumps ascending, and the best of them.</summary>
/// <param name="ArraysKw">Arrays, kW.</param>
/// <param name="PumpsPu">Pumps over the one that is specified.</param>
/// <param name="Pairs">All pairs.</param>
/// <param name="Best">The smallest array that gives what is wanted in every month, with the pump that gives most in the worst; null:
/// none does, or nothing is wanted.</param>
public sealed record SunSweepResult(IReadOnlyList<double> ArraysKw, IReadOnlyList<double> PumpsPu, IReadOnlyList<SunPair> Pairs,
    SunPair? Best);
