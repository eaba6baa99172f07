namespace Cuadrilla.Core.Supplies;

/// <summary>Where the sun stands over a place, in solar time (12 h: highest); method <c>docs/methods/pv-year.md</c>.</summary>
public static class Sun
{
    /// <summary>Irradiance outside the air at the mean distance, W/m².</summary>
    public const double ConstantWPerM2 = 1367;

    private const double HighestDeclinationDeg = 23.45;
    private const double DegreesPerHour = 15;

    /// <summary>Declination on a day of the year, rad (Cooper).</summary>
    /// <param name="day">1 to 365.</param>
    public static double DeclinationRad(double day) => Rad(HighestDeclinationDeg) * Math.Sin(Rad(360 * (284 + day) / 365));

    /// <summary>Irradiance outside the air on a day, W/m²: the distance changes.</summary>
    public static double OutsideWPerM2(double day) => ConstantWPerM2 * (1 + (0.033 * Math.Cos(Rad(360 * day / 365))));

    /// <summary>Hour angle, rad.</summary>
    /// <param name="solarHour">0 to 24, 12 at noon.</param>
    public static double HourAngleRad(double solarHour) => Rad(DegreesPerHour * (solarHour - 12));

    /// <summary>Length of the day, h; 0 and 24 beyond the polar circles.</summary>
    public static double DayLengthH(double latitudeDeg, double day) =>
        24 / Math.PI * Math.Acos(Math.Clamp(-Math.Tan(Rad(latitudeDeg)) * Math.Tan(DeclinationRad(day)), -1, 1));

    /// <summary>Direction of the sun: towards east, north and the zenith.</summary>
    public static (double East, double North, double Up) Direction(double latitudeDeg, double day, double solarHour)
    {
        var (sinLatitude, cosLatitude) = Math.SinCos(Rad(latitudeDeg));
        var (sinDeclination, cosDeclination) = Math.SinCos(DeclinationRad(day));
        var (sinHour, cosHour) = Math.SinCos(HourAngleRad(solarHour));
        return (-cosDeclination * sinHour,
            (sinDeclination * cosLatitude) - (cosDeclination * sinLatitude * cosHour),
            (sinLatitude * sinDeclination) + (cosLatitude * cosDeclination * cosHour));
    }

    internal static double Rad(double degrees) => degrees * Math.PI / 180;
}

/// <summary>A tilted plane.</summary>
/// <param name="TiltDeg">0 lies flat, 90 stands upright.</param>
/// <param name="AzimuthDeg">Where it looks: 0 north, 90 east, 180 south, 270 west.</param>
public sealed record TiltedPlane(double TiltDeg, double AzimuthDeg)
{
    private readonly double cosTilt = Math.Cos(Sun.Rad(TiltDeg));
    private readonly double toEast = Math.Sin(Sun.Rad(TiltDeg)) * Math.Sin(Sun.Rad(AzimuthDeg));
    private readonly double toNorth = Math.Sin(Sun.Rad(TiltDeg)) * Math.Cos(Sun.Rad(AzimuthDeg));

    /// <summary>Part of the sky that it sees.</summary>
    public double SkyPart => (1 + cosTilt) / 2;

    /// <summary>Part of the ground that it sees.</summary>
    public double GroundPart => (1 - cosTilt) / 2;

    /// <summary>Facing the equator.</summary>
    public static TiltedPlane ToEquator(double latitudeDeg, double tiltDeg) => new(tiltDeg, latitudeDeg >= 0 ? 180 : 0);

    /// <summary>Cosine of the angle between the sun and the plane's normal; negative: behind it.</summary>
    public double CosineOf((double East, double North, double Up) sun) => (toEast * sun.East) + (toNorth * sun.North) + (cosTilt * sun.Up);
}
