namespace Cuadrilla.Core.Supplies;

/// <summary>Resistance of a winding out of three line-to-line readings, at the motor or at the surface end of a long cable; method
/// <c>docs/methods/resistance-separation.md</c>.</summary>
public static class ResistanceSeparation
{
    // Spread at which the clamps are doubted before anything else, of readings through a long cable, %.
    private const double DoubtPct = 2;

    // Copper's temperature of no resistance and 20 °C, kelvin apart (IEC 60034-1).
    private const double CopperZeroK = 235;

    /// <summary>Separates.</summary>
    /// <param name="uv">Between U and V, Ω.</param>
    /// <param name="vw">Between V and W, Ω.</param>
    /// <param name="wu">Between W and U, Ω.</param>
    /// <param name="cableOhm">Resistance of one conductor of the cable as it was, Ω; 0 at the motor.</param>
    /// <param name="windingC">Temperature of the winding, °C.</param>
    public static Separated Of(double uv, double vw, double wu, double cableOhm, double windingC)
    {
        var mean = (uv + vw + wu) / 3;
        var stator = (mean / 2) - cableOhm;
        var u = ((uv + wu - vw) / 2) - cableOhm;
        var v = ((uv + vw - wu) / 2) - cableOhm;
        var w = ((vw + wu - uv) / 2) - cableOhm;
        var spread = 100 * (Math.Max(uv, Math.Max(vw, wu)) - Math.Min(uv, Math.Min(vw, wu))) / mean;
        return new Separated(mean, stator, stator * (CopperZeroK + 20) / (CopperZeroK + windingC), [u, v, w], u > 0 && v > 0 && w > 0,
            spread);
    }

    /// <summary>What a spread of the readings says.</summary>
    /// <param name="spreadPct">Largest less least over the mean, %.</param>
    /// <param name="tightPct">Above it tight, %.</param>
    /// <param name="failsPct">Above it fails, %.</param>
    /// <param name="throughCable">True for readings through a long cable.</param>
    public static SpreadVerdict Judge(double spreadPct, double tightPct, double failsPct, bool throughCable) =>
        spreadPct > failsPct ? SpreadVerdict.Fails
        : spreadPct > tightPct ? SpreadVerdict.Tight
        : throughCable && spreadPct > DoubtPct ? SpreadVerdict.DoubtClamps
        : SpreadVerdict.Holds;

    /// <summary>What the readings give.</summary>
    /// <param name="MeanOhm">Mean reading, Ω.</param>
    /// <param name="StatorOhm">A phase of the winding as it was, Ω.</param>
    /// <param name="Stator20Ohm">A phase of the winding at 20 °C, Ω.</param>
    /// <param name="PhasesOhm">Phases U, V, W as they were, as of a star, Ω.</param>
    /// <param name="IsPlausible">False where a phase has no resistance left: cable or readings are wrong.</param>
    /// <param name="SpreadPct">Largest less least reading over their mean, %.</param>
    public sealed record Separated(double MeanOhm, double StatorOhm, double Stator20Ohm, IReadOnlyList<double> PhasesOhm,
        bool IsPlausible, double SpreadPct);
}

/// <summary>What the spread of three readings says.</summary>
public enum SpreadVerdict
{
    /// <summary>They agree.</summary>
    Holds,

    /// <summary>Clean the clamps and read again.</summary>
    DoubtClamps,

    /// <summary>More than is usual.</summary>
    Tight,

    /// <summary>A bad joint, a wrong cable or a damaged winding.</summary>
    Fails,
}
