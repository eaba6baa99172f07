namespace Cuadrilla.Core.Cabinets;

/// <summary>Dew point of moist air: below it water falls out on what is cooled.</summary>
public static class DewPoint
{
    // Magnus over water, 0 to 60 °C within 0.35 K (WMO No. 8).
    private const double B = 17.62;
    private const double C = 243.12;

    /// <summary>Dew point, °C.</summary>
    /// <param name="airC">Air, °C.</param>
    /// <param name="humidityPct">Relative humidity, %, above 0.</param>
    public static double OfC(double airC, double humidityPct)
    {
        var gamma = Math.Log(humidityPct / 100) + (B * airC / (C + airC));
        return C * gamma / (B - gamma);
    }
}
