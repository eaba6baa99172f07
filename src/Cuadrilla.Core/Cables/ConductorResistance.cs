namespace Cuadrilla.Core.Cables;

/// <summary>Resistance of a conductor: ρ20 = 1/54 copper, 1/34 aluminium Ω·mm²/m (IEC 60909-0), or as the maker states it, at its
/// temperature.</summary>
public static class ConductorResistance
{
    // Per kelvin from 20 °C (IEC 60228); IEC 60909-0 takes one figure for both metals where the least current is sought.
    private const double CopperPerK = 0.00393;
    private const double AluminiumPerK = 0.00403;
    private const double FaultPerK = 0.004;

    /// <summary>At 20 °C, Ω/m.</summary>
    /// <param name="sectionMm2">Section of one conductor, mm².</param>
    /// <param name="material">Its metal.</param>
    /// <param name="statedOhmPerKm">As stated, Ω/km at 20 °C; null: from the section.</param>
    public static double At20OhmPerM(double sectionMm2, ConductorMaterial material, double? statedOhmPerKm) =>
        statedOhmPerKm / 1e3 ?? 1 / ((material == ConductorMaterial.Copper ? 54 : 34) * sectionMm2);

    /// <summary>In operation, Ω/m.</summary>
    /// <param name="at20OhmPerM">At 20 °C, Ω/m.</param>
    /// <param name="material">Metal.</param>
    /// <param name="conductorC">Temperature, °C.</param>
    public static double OhmPerM(double at20OhmPerM, ConductorMaterial material, double conductorC) =>
        at20OhmPerM * (1 + ((material == ConductorMaterial.Copper ? CopperPerK : AluminiumPerK) * (conductorC - 20)));

    /// <summary>Where the least fault current is sought, Ω/m (IEC 60909-0).</summary>
    /// <param name="at20OhmPerM">At 20 °C, Ω/m.</param>
    /// <param name="conductorC">Temperature, °C.</param>
    public static double HotOhmPerM(double at20OhmPerM, double conductorC) => at20OhmPerM * (1 + (FaultPerK * (conductorC - 20)));
}
