namespace Cuadrilla.Core.Cables;

/// <summary>Insulation of a cable (IEC 60364-5-52).</summary>
public enum CableInsulation
{
    /// <summary>Polyvinyl chloride: 70 °C.</summary>
    Pvc,

    /// <summary>Cross-linked polyethylene or ethylene-propylene rubber: 90 °C.</summary>
    Xlpe,
}

/// <summary>What insulation and metal permit.</summary>
public static class InsulationLimits
{
    /// <summary>Highest temperature of the conductor in operation, °C.</summary>
    public static double OperatingC(CableInsulation insulation) => insulation == CableInsulation.Pvc ? 70 : 90;

    /// <summary>Highest temperature of the conductor at the end of a short circuit, °C (IEC 60364-4-43, up to 300 mm²).</summary>
    public static double ShortCircuitC(CableInsulation insulation) => insulation == CableInsulation.Pvc ? 160 : 250;

    /// <summary>k of the adiabatic equation S ≥ √(I²·t)/k, A·√s/mm² (IEC 60364-4-43, table 43A).</summary>
    public static double AdiabaticK(CableInsulation insulation, ConductorMaterial material) => (insulation, material) switch
    {
        (CableInsulation.Pvc, ConductorMaterial.Copper) => 115,
        (CableInsulation.Xlpe, ConductorMaterial.Copper) => 143,
        (CableInsulation.Pvc, ConductorMaterial.Aluminium) => 76,
        _ => 94,
    };
}
