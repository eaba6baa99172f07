namespace Cuadrilla.Core.Cabinets;

/// <summary>What lies in the way of the air.</summary>
public enum FilterMats
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Clean mats: a fan moves 30 % less.</summary>
    Clean,

    /// <summary>Fouled mats: half.</summary>
    Fouled,
}

/// <summary>Air that carries heat away: V = 3.1·P/ΔT at sea level; method <c>docs/methods/air-flow.md</c>.</summary>
public static class AirFlow
{
    // 1/(ρ·c) of air at sea level and 35 °C in m³·K/Wh; what a unit gives to its own stream with the colder air's density.
    private const double M3KPerWh = 3.1;
    private const double WhPerM3K = 0.33;

    // Altitude over which air thins to 1/e, m.
    private const double ScaleM = 8000;
    private const double OutletOverInlet = 1.1;

    /// <summary>By how much more air is needed at an altitude.</summary>
    /// <param name="altitudeM">Above sea level, m.</param>
    public static double ThinPu(double altitudeM) => Math.Exp(altitudeM / ScaleM);

    /// <summary>Air that carries a loss, m³/h.</summary>
    /// <param name="lossW">Loss that the air carries, W.</param>
    /// <param name="riseK">By how much it may warm, K.</param>
    /// <param name="altitudeM">Above sea level, m.</param>
    public static double M3PerH(double lossW, double riseK, double altitudeM) => M3KPerWh * lossW / riseK * ThinPu(altitudeM);

    /// <summary>Rise of air that carries a loss, K; the inverse of <see cref="M3PerH"/>.</summary>
    /// <param name="lossW">Loss that the air carries, W.</param>
    /// <param name="airM3PerH">Air, m³/h.</param>
    /// <param name="altitudeM">Above sea level, m.</param>
    public static double RiseK(double lossW, double airM3PerH, double altitudeM) => M3KPerWh * lossW / airM3PerH * ThinPu(altitudeM);

    /// <summary>What of a free-blowing fan's air is left behind mats.</summary>
    /// <param name="mats">Mats in inlet and outlet.</param>
    public static double LeftPu(FilterMats mats) => mats switch
    {
        FilterMats.None => 1,
        FilterMats.Clean => 0.7,
        FilterMats.Fouled => 0.5,
        _ => throw new ArgumentOutOfRangeException(nameof(mats)),
    };

    /// <summary>By how much a unit warms the air of the one above it, K.</summary>
    /// <param name="lossW">Loss that it gives to its air, W.</param>
    /// <param name="airM3PerH">Air of its own fan, m³/h.</param>
    /// <param name="altitudeM">Above sea level, m.</param>
    public static double UnitRiseK(double lossW, double airM3PerH, double altitudeM) =>
        lossW * ThinPu(altitudeM) / (WhPerM3K * airM3PerH);

    /// <summary>Least opening of the outlet for an inlet, cm².</summary>
    /// <param name="inletCm2">Opening of the inlet, cm².</param>
    public static double OutletCm2(double inletCm2) => OutletOverInlet * inletCm2;
}
