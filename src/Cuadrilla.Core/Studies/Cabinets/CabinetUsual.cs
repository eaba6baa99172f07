namespace Cuadrilla.Core.Studies.Cabinets;

/// <summary>What cabinets usually are where nothing is entered; shown in the open entry.</summary>
public static class CabinetUsual
{
    /// <summary>Height, mm.</summary>
    public const double HeightMm = 2000;

    /// <summary>Depth, mm.</summary>
    public const double DepthMm = 600;

    /// <summary>Width of a section, mm.</summary>
    public const double SectionMm = 800;

    /// <summary>Plinth, mm.</summary>
    public const double PlinthMm = 100;

    /// <summary>Air permitted inside, °C.</summary>
    public const double PermittedC = 50;
}
