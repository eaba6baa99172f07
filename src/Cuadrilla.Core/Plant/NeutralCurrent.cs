namespace Cuadrilla.Core.Plant;

/// <summary>
/// Current of the neutral of single-phase loads: triplen orders of the three phases add, the fundamental leaves what the
/// phases differ by. With I·(1 + u), I·(1 − u/2), I·(1 − u/2): I_N = I·√((1.5·u)² + (3·k_3)²). Symmetrical components;
/// IEC 60364-5-52 annex E for what a third harmonic asks of the conductors. Higher triplens are not reckoned with.
/// </summary>
public static class NeutralCurrent
{
    /// <summary>Current of the neutral, A.</summary>
    /// <param name="phaseFundamentalA">Mean fundamental of the phases, A.</param>
    /// <param name="unevenPu">By how much the fullest phase exceeds the mean, 0 to 2.</param>
    /// <param name="thirdHarmonicPu">Third harmonic, parts of the fundamental.</param>
    public static double Of(double phaseFundamentalA, double unevenPu, double thirdHarmonicPu) =>
        phaseFundamentalA * Math.Sqrt(Math.Pow(1.5 * unevenPu, 2) + Math.Pow(3 * thirdHarmonicPu, 2));
}
