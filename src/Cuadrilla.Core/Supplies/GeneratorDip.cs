namespace Cuadrilla.Core.Supplies;

/// <summary>Voltage of a generator while a motor starts, by its reactances; ISO 8528-5; method <c>docs/methods/generator-dip.md</c>.
/// </summary>
public static class GeneratorDip
{
    /// <summary>Dip, parts of the voltage before.</summary>
    /// <param name="generatorKva">Rated apparent power of what runs, kVA.</param>
    /// <param name="startKva">Apparent power that starting takes at full voltage, kVA.</param>
    /// <param name="reactancePu">X″d in the first instant, X′d while it lasts, on the rating.</param>
    public static double Pu(double generatorKva, double startKva, double reactancePu) =>
        reactancePu * startKva / (generatorKva + (reactancePu * startKva));

    /// <summary>Largest start within a dip, kVA.</summary>
    /// <param name="generatorKva">Rated apparent power, kVA.</param>
    /// <param name="permittedPu">Dip that is permitted.</param>
    /// <param name="transientPu">X′d on the rating.</param>
    public static double LargestStartKva(double generatorKva, double permittedPu, double transientPu) =>
        generatorKva * permittedPu / ((1 - permittedPu) * transientPu);

    /// <summary>Reactance that harmonics meet at their own frequency over the fundamental's, on the rating.</summary>
    public static double HarmonicPu(double subtransientPu, double negativePu) => (subtransientPu + negativePu) / 2;

    /// <summary>Voltage dip that a governing class permits, % (ISO 8528-5, verify).</summary>
    /// <param name="governingClass">1 to 3.</param>
    public static double PermittedPct(int governingClass) => governingClass switch { 1 => 25, 2 => 20, _ => 15 };
}
