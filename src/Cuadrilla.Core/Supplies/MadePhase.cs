namespace Cuadrilla.Core.Supplies;

/// <summary>Unbalance that a made third phase leaves.</summary>
public static class MadePhase
{
    /// <summary>U2/U1 in % where one line voltage is the supply's and both voltages of the made phase differ by a deviation, from the three
    /// magnitudes: β = Σu⁴/(Σu²)², U2/U1 = √((1 − √(3 − 6·β))/(1 + √(3 − 6·β))) (IEC 61000-4-30).</summary>
    /// <param name="deviationPct">Deviation, %, −60 to 60.</param>
    public static double UnbalancePct(double deviationPct)
    {
        var made = 1 + (deviationPct / 100);
        var squares = 1 + (2 * made * made);
        var fourths = 1 + (2 * Math.Pow(made, 4));
        var root = Math.Sqrt(Math.Max(0, 3 - (6 * fourths / (squares * squares))));
        return 100 * Math.Sqrt(Math.Max(0, (1 - root) / (1 + root)));
    }
}
