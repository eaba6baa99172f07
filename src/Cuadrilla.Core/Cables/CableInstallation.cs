using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Cables;

/// <summary>Cores of a cable.</summary>
public enum CableCores
{
    /// <summary>Three phases and the protective conductor.</summary>
    ThreePhase,

    /// <summary>Three phases, neutral and protective conductor.</summary>
    WithNeutral,
}

/// <summary>How a cable is made and laid: what its current-carrying capacity depends on (IEC 60364-5-52).</summary>
/// <param name="Insulation">Insulation.</param>
/// <param name="Method">Reference method of installation.</param>
/// <param name="AmbientC">Air around it, °C; not known: that of the site.</param>
/// <param name="Grouping">How it lies beside other circuits.</param>
/// <param name="Circuits">Loaded circuits that lie together, this one among them, its own parallel cables not counted; 1 to 9.</param>
/// <param name="Cores">Its cores.</param>
public sealed record CableInstallation(
    CableInsulation Insulation, InstallationMethod Method, Given AmbientC, CableGrouping Grouping, int Circuits, CableCores Cores)
{
    /// <summary>Most circuits that the tables know.</summary>
    public const int MostCircuits = 9;

    /// <summary>Soil around it, °C, where it lies in the ground; not known: as warm as the site's air at its warmest.</summary>
    public Given SoilC { get; init; }

    /// <summary>Thermal resistivity of the soil, K·m/W; not known: 2.5, that of the tables.</summary>
    public Given SoilKmPerW { get; init; }

    /// <summary>What is around it at its warmest, °C.</summary>
    /// <param name="siteC">Air of the site at its warmest, °C.</param>
    public double SurroundC(double siteC) =>
        (Method == InstallationMethod.D ? SoilC : AmbientC) is { IsKnown: true } own ? own.Value : siteC;

    /// <summary>Of all that the tables know, what leaves a cable the least capacity: in air or in the ground, by section and temperature
    /// the one or the other.</summary>
    public static IReadOnlyList<CableInstallation> Hardest { get; } =
    [
        new(CableInsulation.Pvc, InstallationMethod.B2, Given.Unknown, CableGrouping.Bunched, MostCircuits, CableCores.ThreePhase),
        new(CableInsulation.Pvc, InstallationMethod.D, Given.Unknown, CableGrouping.Bunched, MostCircuits,
            CableCores.ThreePhase) { SoilKmPerW = 3 },
    ];

    /// <summary>Of all that the tables know, what leaves it the most; soil at freezing.</summary>
    public static IReadOnlyList<CableInstallation> Easiest { get; } =
    [
        new(CableInsulation.Xlpe, InstallationMethod.E, Given.Unknown, CableGrouping.Ladder, 1, CableCores.ThreePhase),
        new(CableInsulation.Xlpe, InstallationMethod.D, Given.Unknown, CableGrouping.Ladder, 1, CableCores.ThreePhase) { SoilC = 0,
            SoilKmPerW = 0.5 },
    ];
}
