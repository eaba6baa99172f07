namespace Cuadrilla.Core.Network;

/// <summary>
/// Current of the neutral of single-phase loads: triplen orders of the three phases add, the fundamental leaves what the phases differ
/// by. The fullest phase exceeds the mean by u; the worst the other two can be is as full a second phase and an empty third one: I·(1 +
/// u), I·(1 + u), I·(1 − 2u) leave 3·u·I, beyond u = 0.5 with an empty third phase √(a² + b² − a·b), a = 1 + u, b = 2 − u. I_N = √(that²
/// + (3·k_3·I)²). Symmetrical components; IEC 60364-5-52 annex E for what a third harmonic asks of the conductors. Higher triplens are
/// not reckoned with.
/// </summary>
public static class NeutralCurrent
{
    /// <summary>Current of the neutral, A.</summary>
    /// <param name="phaseFundamentalA">Mean fundamental of the phases, A.</param>
    /// <param name="unevenPu">By how much the fullest phase exceeds the mean, 0 to 2.</param>
    /// <param name="thirdHarmonicPu">Third harmonic, parts of the fundamental.</param>
    public static double Of(double phaseFundamentalA, double unevenPu, double thirdHarmonicPu) =>
        phaseFundamentalA * Math.Sqrt(Math.Pow(FundamentalPu(unevenPu), 2) + Math.Pow(3 * thirdHarmonicPu, 2));

    /// <summary>Negative sequence of the fundamental at that unevenness, parts of the mean of the phases: a third of what the phases
    /// leave in the neutral.</summary>
    /// <param name="unevenPu">By how much the fullest phase exceeds the mean, 0 to 2.</param>
    public static double NegativePu(double unevenPu) => FundamentalPu(unevenPu) / 3;

    private static double FundamentalPu(double uneven)
    {
        double full = 1 + uneven, second = Math.Max(0, Math.Min(full, 2 - uneven)), third = Math.Max(0, 3 - full - second);
        return Math.Sqrt((full * full) + (second * second) + (third * third) - (full * second) - (second * third) - (third * full));
    }
}
