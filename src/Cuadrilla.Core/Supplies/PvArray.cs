namespace Cuadrilla.Core.Supplies;

/// <summary>What an array delivers at its terminals.</summary>
/// <param name="PeakKw">Rated power under standard test conditions, kW.</param>
/// <param name="NoctC">Temperature of its cells at 800 W/m² and 20 °C, °C.</param>
/// <param name="PowerPctPerK">Change of power with the cells' temperature, %/K, negative.</param>
public sealed record PvArray(double PeakKw, double NoctC, double PowerPctPerK)
{
    // Dirt, mismatch and tracking; cables and conversion.
    private const double ArrayPu = 0.95;
    private const double LinePu = 0.97;

    /// <summary>Temperature of the cells, °C.</summary>
    public static double CellC(double noctC, double ambientC, double irradianceWPerM2) =>
        ambientC + ((noctC - 20) / 800 * irradianceWPerM2);

    /// <summary>Power, kW.</summary>
    /// <param name="irradianceWPerM2">On the plane.</param>
    /// <param name="ambientC">Temperature of the air.</param>
    public double PowerKw(double irradianceWPerM2, double ambientC) =>
        Math.Max(0, PeakKw * irradianceWPerM2 / 1e3
            * (1 + (PowerPctPerK / 100 * (CellC(NoctC, ambientC, irradianceWPerM2) - 25))) * ArrayPu * LinePu);
}
