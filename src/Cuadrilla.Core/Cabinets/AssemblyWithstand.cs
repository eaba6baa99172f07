namespace Cuadrilla.Core.Cabinets;

/// <summary>What an assembly stands: its busbar's rise, its peak withstand current; method <c>docs/methods/cabinets.md</c>.</summary>
public static class AssemblyWithstand
{
    /// <summary>Rise at which a busbar's current is stated, K, at 35 °C air.</summary>
    public const double StatedRiseK = 30;

    // IEC 61439-1: bare copper up to 70 K above 35 °C.
    private const double LargestRiseK = 70;
    private const double StatedAirC = 35;
    private const double RiseExponent = 1.6;

    /// <summary>Prospective current up to which an assembly needs no proof (IEC 61439-1, 10.11.2), kA.</summary>
    public const double ExemptKa = 10;

    /// <summary>Rise of a busbar, K.</summary>
    /// <param name="currentA">Current, A.</param>
    /// <param name="statedA">Current at 30 K, A.</param>
    public static double BusbarRiseK(double currentA, double statedA) => StatedRiseK * Math.Pow(currentA / statedA, RiseExponent);

    /// <summary>Rise that it may have in an air, K; 0 where the air alone is too warm.</summary>
    /// <param name="airC">Air around it, °C.</param>
    public static double PermittedRiseK(double airC) => Math.Max(0, LargestRiseK - Math.Max(0, airC - StatedAirC));

    /// <summary>Peak over rms of a withstand current (IEC 61439-1, table 7).</summary>
    /// <param name="withstandKa">I_cw, kA.</param>
    public static double PeakFactor(double withstandKa) => withstandKa switch
    {
        <= 5 => 1.5,
        <= 10 => 1.7,
        <= 20 => 2,
        <= 50 => 2.1,
        _ => 2.2,
    };
}
