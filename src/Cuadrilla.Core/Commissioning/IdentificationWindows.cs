namespace Cuadrilla.Core.Commissioning;

/// <summary>How an identified value stands to the expected one.</summary>
public enum WindowVerdict
{
    /// <summary>Within its window.</summary>
    Holds,

    /// <summary>Beside its window, or of an unusual size.</summary>
    Tight,

    /// <summary>Too far off: stop and repeat.</summary>
    Fails,
}

/// <summary>Where the expected no-load current is from.</summary>
public enum NoLoadReference
{
    /// <summary>Estimated from the plate.</summary>
    Estimated,

    /// <summary>Measured in a no-load run at rated voltage.</summary>
    Measured,
}

/// <summary>A window of deviations.</summary>
/// <param name="HoldsPct">Holds to, ±%.</param>
/// <param name="TightPct">Tight to, ±%; beyond it fails.</param>
public sealed record DeviationWindow(double HoldsPct, double TightPct)
{
    /// <summary>Judges a deviation.</summary>
    /// <param name="deviationPct">Measured over expected, less 100 %.</param>
    /// <param name="usual">The size is a usual one; else what holds is tight.</param>
    public WindowVerdict Judge(double deviationPct, bool usual = true) => Bound.AtMost(Math.Abs(deviationPct), HoldsPct)
        ? usual ? WindowVerdict.Holds : WindowVerdict.Tight
        : Bound.AtMost(Math.Abs(deviationPct), TightPct) ? WindowVerdict.Tight : WindowVerdict.Fails;
}

/// <summary>Usual values between two ratings.</summary>
/// <param name="ToKw">Ratings up to this, kW.</param>
/// <param name="Includes">That rating itself still belongs to them.</param>
/// <param name="From">Least.</param>
/// <param name="To">Largest.</param>
public sealed record UsualBand(double ToKw, bool Includes, double From, double To);

/// <summary>One identified value, judged.</summary>
/// <param name="Expected">What was expected at the state measured in.</param>
/// <param name="DeviationPct">Measured over expected, less 100 %.</param>
/// <param name="WindowPct">Holds to, ±%.</param>
/// <param name="SizePu">Its per-unit size; null where none is usual.</param>
/// <param name="Usual">The size is a usual one.</param>
/// <param name="Verdict">How it stands.</param>
public sealed record IdentifiedValue(double Expected, double DeviationPct, double WindowPct, double? SizePu, bool Usual,
    WindowVerdict Verdict);

/// <summary>Expected windows of an identification; defaults of practice; method <c>docs/methods/identification-window.md</c>.</summary>
/// <param name="NoLoadEstimated">No-load current against an estimate.</param>
/// <param name="NoLoadMeasured">No-load current against a measured no-load run.</param>
/// <param name="Stator">Resistance of the stator.</param>
/// <param name="Inertia">Inertia.</param>
/// <param name="NoLoadPu">Usual no-load current over rated current by number of poles and rating.</param>
/// <param name="StatorPu">Usual resistance at 20 °C, per unit of U_N/(√3·I_N), by rating.</param>
public sealed record IdentificationWindows(DeviationWindow NoLoadEstimated, DeviationWindow NoLoadMeasured, DeviationWindow Stator,
    DeviationWindow Inertia, IReadOnlyDictionary<int, IReadOnlyList<UsualBand>> NoLoadPu, IReadOnlyList<UsualBand> StatorPu)
{
    private const double CopperK = 235;

    /// <summary>No-load current.</summary>
    /// <param name="poles">Number of poles; 2, 4, 6 or 8.</param>
    /// <param name="ratedKw">Rating, kW.</param>
    /// <param name="ratedA">Rated current as linked, A.</param>
    /// <param name="measuredA">Identified, A.</param>
    /// <param name="expectedA">Expected, A.</param>
    /// <param name="reference">Where the expected one is from.</param>
    public IdentifiedValue NoLoad(int poles, double ratedKw, double ratedA, double measuredA, double expectedA, NoLoadReference reference)
    {
        var window = reference == NoLoadReference.Measured ? NoLoadMeasured : NoLoadEstimated;
        var (deviation, size) = (Percent(measuredA, expectedA), measuredA / ratedA);
        var usual = IsUsual(NoLoadPu[poles], ratedKw, size);
        return new(expectedA, deviation, window.HoldsPct, size, usual, window.Judge(deviation, usual));
    }

    /// <summary>Resistance of a stator phase.</summary>
    /// <param name="ratedKw">Rating, kW.</param>
    /// <param name="ratedV">Rated voltage as linked, V.</param>
    /// <param name="ratedA">Rated current as linked, A.</param>
    /// <param name="measuredOhm">Identified, with the cable, Ω a phase.</param>
    /// <param name="expected20Ohm">Expected at 20 °C, Ω a phase.</param>
    /// <param name="windingC">Temperature of the winding, °C.</param>
    /// <param name="cableOhm">Cable and filter, Ω a phase.</param>
    public IdentifiedValue StatorOf(double ratedKw, double ratedV, double ratedA, double measuredOhm, double expected20Ohm, double windingC,
        double cableOhm)
    {
        var warmer = (CopperK + windingC) / (CopperK + 20);
        var (winding, expected) = (measuredOhm - cableOhm, expected20Ohm * warmer);
        var size = winding / warmer * Math.Sqrt(3) * ratedA / ratedV;
        var (deviation, usual) = (Percent(winding, expected), IsUsual(StatorPu, ratedKw, size));
        return new(expected, deviation, Stator.HoldsPct, size, usual, Stator.Judge(deviation, usual));
    }

    /// <summary>Inertia of the whole at the motor's shaft.</summary>
    /// <param name="measuredKgM2">Identified, kg·m².</param>
    /// <param name="expectedKgM2">Expected, kg·m².</param>
    public IdentifiedValue InertiaOf(double measuredKgM2, double expectedKgM2)
    {
        var deviation = Percent(measuredKgM2, expectedKgM2);
        return new(expectedKgM2, deviation, Inertia.HoldsPct, null, true, Inertia.Judge(deviation));
    }

    /// <summary>The band of a rating.</summary>
    /// <param name="bands">Rising by rating, the last for all above.</param>
    /// <param name="ratedKw">Rating, kW.</param>
    public static UsualBand BandOf(IReadOnlyList<UsualBand> bands, double ratedKw) =>
        bands.FirstOrDefault(b => b.Includes ? ratedKw <= b.ToKw : ratedKw < b.ToKw) ?? bands[^1];

    private static bool IsUsual(IReadOnlyList<UsualBand> bands, double ratedKw, double size)
    {
        var band = BandOf(bands, ratedKw);
        return Bound.AtLeast(size, band.From) && Bound.AtMost(size, band.To);
    }

    private static double Percent(double measured, double expected) => ((measured / expected) - 1) * 100;
}
