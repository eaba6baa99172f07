namespace Cuadrilla.Core.Supplies;

/// <summary>A module, as its data sheet states it under standard test conditions.</summary>
/// <param name="UocV">Open-circuit voltage, V.</param>
/// <param name="UmpV">Voltage at its greatest power, V.</param>
/// <param name="IscA">Short-circuit current, A.</param>
/// <param name="UocPctPerK">Change of the open-circuit voltage, %/K.</param>
/// <param name="UmpPctPerK">Change of the voltage at greatest power, %/K.</param>
/// <param name="PeakW">Greatest power, W.</param>
/// <param name="FuseA">Largest fuse in series, A.</param>
/// <param name="NoctC">Temperature of its cells at 800 W/m² and 20 °C, °C.</param>
/// <param name="Bifacial">True where its back takes light too.</param>
public sealed record PvModule(double UocV, double UmpV, double IscA, double UocPctPerK, double UmpPctPerK, double PeakW, double FuseA,
    double NoctC, bool Bifacial)
{
    /// <summary>Current to reckon with over that of the data sheet.</summary>
    public double CurrentPu => Bifacial ? 1.35 : 1.25;

    /// <summary>Open-circuit voltage at a temperature of its cells, V.</summary>
    public double UocAtV(double cellC) => UocV * (1 + (UocPctPerK / 100 * (cellC - 25)));

    /// <summary>Voltage at greatest power likewise, V.</summary>
    public double UmpAtV(double cellC) => UmpV * (1 + (UmpPctPerK / 100 * (cellC - 25)));
}

/// <summary>Limits of strings of modules: voltage of a cold dawn, current, fuses, overvoltage protection, insulation; method
/// <c>docs/methods/pv-string.md</c>.</summary>
public static class PvString
{
    /// <summary>Voltage that protection against overvoltage stands for ever, over the open-circuit voltage.</summary>
    public const double SurgePu = 1.2;

    // gPV fuses of IEC 60269-6 within this of the short-circuit current.
    private const double LeastFusePu = 1.5;
    private const double LargestFusePu = 2.4;

    /// <summary>Rated currents of gPV fuses, A.</summary>
    public static IReadOnlyList<double> FuseRatingsA { get; } = [1, 2, 4, 6, 8, 10, 12, 15, 16, 20, 25, 30, 32, 40, 50, 63];

    // Least insulation of an array to earth before a start, by its rated power (IEC 62548, verify).
    private static readonly (double MostKw, double Kohm)[] Insulation =
        [(20, 30), (30, 20), (50, 15), (100, 10), (200, 7), (400, 4)];

    /// <summary>Greatest number of modules in series.</summary>
    /// <param name="limitV">Greatest direct voltage, V.</param>
    /// <param name="uocColdV">Open-circuit voltage of a module when cold, V.</param>
    public static int MostModules(double limitV, double uocColdV) => (int)Math.Min(int.MaxValue, Math.Floor(limitV / uocColdV));

    /// <summary>Line voltage that a bridge without boost makes of a string, V.</summary>
    public static double LineV(double stringV) => stringV / Math.Sqrt(2);

    /// <summary>Current of a string to reckon with, A.</summary>
    public static double StringA(PvModule module)
    {
        ArgumentNullException.ThrowIfNull(module);
        return module.CurrentPu * module.IscA;
    }

    /// <summary>True where the others feed more into a faulty string than a module stands.</summary>
    public static bool NeedsFuses(PvModule module, int strings) => (strings - 1) * StringA(module) > module.FuseA;

    /// <summary>Rated current of the fuses, A; null: none fits.</summary>
    public static double? FuseA(PvModule module)
    {
        ArgumentNullException.ThrowIfNull(module);
        var most = Math.Min(LargestFusePu * module.IscA, module.FuseA);
        return FuseRatingsA.Where(r => r >= LeastFusePu * module.IscA && r <= most).Select(r => (double?)r).FirstOrDefault();
    }

    /// <summary>Least insulation of the array to earth, kΩ; null: above what is tabled.</summary>
    public static double? InsulationKohm(double arrayKw) =>
        Insulation.Where(i => arrayKw <= i.MostKw).Select(i => (double?)i.Kohm).FirstOrDefault();
}
