namespace Cuadrilla.Core.Protection;

/// <summary>Gates of a gG fuse (IEC 60269-1): within them every fuse of that rating melts or lasts, whoever made it.</summary>
/// <param name="RatedA">Rated current, A.</param>
/// <param name="Lasts10SA">Current that it carries for 10 s, A.</param>
/// <param name="Clears5SA">Current that it clears within 5 s, A.</param>
/// <param name="Lasts01SA">Current that it carries for 0.1 s, A.</param>
/// <param name="Clears01SA">Current that it clears within 0.1 s, A.</param>
public sealed record GgFuse(double RatedA, double Lasts10SA, double Clears5SA, double Lasts01SA, double Clears01SA)
{
    // Conventional non-fusing current in parts of the rating.
    private const double NonFusingPu = 1.25;

    /// <summary>Conventional time, s.</summary>
    public double ConventionalS => RatedA switch
    {
        <= 63 => 3600,
        <= 160 => 7200,
        <= 400 => 10_800,
        _ => 14_400,
    };

    /// <summary>Longest time to clear a current, s: the upper gate, straight in logarithms, by I²·t above it; null where it may take more
    /// than 5 s.</summary>
    public double? ClearS(double currentA) => currentA < Clears5SA ? null
        : currentA > Clears01SA ? 0.1 * Square(Clears01SA / currentA)
        : 5 * Math.Pow(currentA / Clears5SA, -Math.Log(50) / Math.Log(Clears01SA / Clears5SA));

    /// <summary>Current that surely clears within a time of 0.1 to 5 s, A: the upper gate.</summary>
    public double ClearsA(double timeS) => Between(timeS, (5, Clears5SA), (0.1, Clears01SA));

    /// <summary>Current that it surely carries for a time, A: the lower gate, by I²·t below 0.1 s, to the non-fusing current at the
    /// conventional time.</summary>
    public double LastsA(double timeS) => timeS switch
    {
        < 0.1 => Lasts01SA * Math.Sqrt(0.1 / timeS),
        <= 10 => Between(timeS, (10, Lasts10SA), (0.1, Lasts01SA)),
        _ when timeS < ConventionalS => Between(timeS, (10, Lasts10SA), (ConventionalS, NonFusingPu * RatedA)),
        _ => NonFusingPu * RatedA,
    };

    private static double Between(double timeS, (double S, double A) one, (double S, double A) other) =>
        one.A * Math.Pow(other.A / one.A, Math.Log(timeS / one.S) / Math.Log(other.S / one.S));

    private static double Square(double value) => value * value;
}

/// <summary>gG fuses as the catalogue has them.</summary>
/// <param name="StandardA">Standard ratings, A, ascending.</param>
/// <param name="Gates">Those whose gates are known, ascending.</param>
public sealed record GgFuses(IReadOnlyList<double> StandardA, IReadOnlyList<GgFuse> Gates)
{
    /// <summary>The fuse of a rating; null where its gates are not known.</summary>
    public GgFuse? Of(double ratedA) => Gates.FirstOrDefault(g => g.RatedA == ratedA);

    /// <summary>Least standard rating for a current, A; null above the largest.</summary>
    public double? LeastA(double currentA) => StandardA.Where(r => r >= currentA).Select(r => (double?)r).FirstOrDefault();
}
