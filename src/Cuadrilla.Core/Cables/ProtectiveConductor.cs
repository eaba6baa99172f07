using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Cables;

/// <summary>Section of a protective conductor by that of the phases (IEC 60364-5-54, table 54.2).</summary>
public static class ProtectiveConductor
{
    private const double WholeUpToMm2 = 16;
    private const double HalfFromMm2 = 35;

    /// <summary>By the table, mm².</summary>
    public static double ByTableMm2(double sectionMm2) =>
        sectionMm2 <= WholeUpToMm2 ? sectionMm2 : sectionMm2 <= HalfFromMm2 ? WholeUpToMm2 : sectionMm2 / 2;

    /// <summary>As stated, else by the table, mm².</summary>
    public static double Mm2(Given stated, double sectionMm2) => stated.IsKnown ? stated.Value : ByTableMm2(sectionMm2);
}
