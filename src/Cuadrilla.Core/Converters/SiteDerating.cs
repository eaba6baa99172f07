using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Converters;

/// <summary>What is left of a rating in warm or thin air.</summary>
/// <param name="AmbientFreeC">Air up to which nothing is lost, °C.</param>
/// <param name="AmbientPctPerK">Loss for each kelvin above, %.</param>
/// <param name="AmbientMaxC">Highest permitted air, °C.</param>
/// <param name="AltitudeFreeM">Altitude up to which nothing is lost, m.</param>
/// <param name="AltitudePctPer100M">Loss for each 100 m above, %.</param>
/// <param name="AltitudeMaxM">Highest permitted altitude, m.</param>
public sealed record SiteDerating(
    double AmbientFreeC, double AmbientPctPerK, double AmbientMaxC, double AltitudeFreeM, double AltitudePctPer100M, double AltitudeMaxM)
{
    /// <summary>Factor for the air at the device; 0 above the highest permitted.</summary>
    public double AmbientPu(double airC) =>
        airC > AmbientMaxC ? 0 : Math.Max(0, 1 - (AmbientPctPerK / 100 * Math.Max(0, airC - AmbientFreeC)));

    /// <summary>Factor for the altitude; 0 above the highest permitted.</summary>
    public double AltitudePu(double altitudeM) =>
        altitudeM > AltitudeMaxM ? 0 : Math.Max(0, 1 - (AltitudePctPer100M / 100 * Math.Max(0, altitudeM - AltitudeFreeM) / 100));

    /// <summary>Both at a site.</summary>
    public double FactorPu(Site site)
    {
        ArgumentNullException.ThrowIfNull(site);
        return AmbientPu(site.CabinetAirC) * AltitudePu(site.AltitudeM);
    }
}
