namespace Cuadrilla.Core.Cables;

/// <summary>
/// How the resistance of a cable grows with the order: skin effect of a round conductor by IEC 60287-1-1, x_s² = 8·π·f·10⁻⁷/R′,
/// without proximity effect. Which law a project takes: <see cref="ResistanceRise"/>.
/// </summary>
public static class SkinEffect
{
    /// <summary>Factor y_s by which the resistance of a round conductor exceeds its direct-current value.</summary>
    /// <param name="resistanceOhmPerM">Resistance at operating temperature, Ω/m.</param>
    /// <param name="frequencyHz">Frequency, Hz.</param>
    public static double SkinFactor(double resistanceOhmPerM, double frequencyHz)
    {
        var square = 8 * Math.PI * frequencyHz * 1e-7 / resistanceOhmPerM;
        var x = Math.Sqrt(square);
        return x switch
        {
            <= 2.8 => square * square / (192 + (0.8 * square * square)),
            <= 3.8 => -0.136 - (0.0177 * x) + (0.0563 * square),
            _ => (0.354 * x) - 0.733,
        };
    }

    /// <summary>Resistance at an order in parts of that at the fundamental, of a cable's conductor.</summary>
    public static double OfConductor(double resistanceOhmPerM, double frequencyHz, double order) =>
        (1 + SkinFactor(resistanceOhmPerM, frequencyHz * order)) / (1 + SkinFactor(resistanceOhmPerM, frequencyHz));
}
