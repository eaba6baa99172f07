using System.Numerics;

namespace Cuadrilla.Core.Cables;

/// <summary>Conductor metal.</summary>
public enum ConductorMaterial
{
    /// <summary>Copper.</summary>
    Copper,

    /// <summary>Aluminium.</summary>
    Aluminium,
}

/// <summary>
/// Impedance of a three-phase cable per phase: R = ρ·l/A at operating temperature, X per metre, divided by the parallel runs.
/// </summary>
public static class CableImpedance
{
    /// <summary>Impedance per phase at the fundamental, ohm.</summary>
    /// <param name="lengthM">Length, m.</param>
    /// <param name="crossSectionMm2">Cross-section of one conductor, mm².</param>
    /// <param name="parallelRuns">Number of cables side by side.</param>
    /// <param name="resistivityOhmMm2PerM">Resistivity at operating temperature, Ω·mm²/m.</param>
    /// <param name="reactanceOhmPerM">Reactance, Ω/m.</param>
    public static Complex Of(double lengthM, double crossSectionMm2, int parallelRuns, double resistivityOhmMm2PerM,
        double reactanceOhmPerM) =>
        new Complex(resistivityOhmMm2PerM * lengthM / crossSectionMm2, reactanceOhmPerM * lengthM) / parallelRuns;
}
