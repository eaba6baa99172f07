namespace Cuadrilla.Core.Supplies;

/// <summary>Light of a clear or cloudy sky on a tilted plane: Haurwitz' clear sky, Erbs' diffuse part, diffuse light equal from all of
/// the sky; method <c>docs/methods/pv-year.md</c>.</summary>
public static class Sky
{
    /// <summary>Irradiance on the ground under a clear sky, W/m² (Haurwitz 1945).</summary>
    /// <param name="cosZenith">Cosine of the sun's distance from the zenith.</param>
    public static double ClearWPerM2(double cosZenith) => cosZenith <= 0 ? 0 : 1098 * cosZenith * Math.Exp(-0.057 / cosZenith);

    /// <summary>Diffuse part of what falls on the ground (Erbs 1982).</summary>
    /// <param name="clearnessIndex">What falls on the ground over what falls outside the air on a plane that lies flat.</param>
    public static double DiffusePart(double clearnessIndex) => clearnessIndex switch
    {
        <= 0.22 => 1 - (0.09 * clearnessIndex),
        <= 0.80 => 0.9511 + (clearnessIndex * (-0.1604 + (clearnessIndex * (4.388
            + (clearnessIndex * (-16.638 + (clearnessIndex * 12.336))))))),
        _ => 0.165,
    };

    /// <summary>Irradiance on a tilted plane, W/m².</summary>
    /// <param name="horizontalWPerM2">On the ground.</param>
    /// <param name="day">Day of the year.</param>
    /// <param name="sun">Direction of the sun.</param>
    /// <param name="plane">The plane.</param>
    /// <param name="albedo">Part of the light that the ground returns.</param>
    public static double TiltedWPerM2(double horizontalWPerM2, double day, (double East, double North, double Up) sun, TiltedPlane plane,
        double albedo)
    {
        ArgumentNullException.ThrowIfNull(plane);
        if (sun.Up <= 0)
        {
            return 0;
        }

        var diffuse = DiffusePart(Math.Min(1, horizontalWPerM2 / (Sun.OutsideWPerM2(day) * sun.Up)));
        return ((1 - diffuse) * horizontalWPerM2 * Math.Max(0, plane.CosineOf(sun)) / sun.Up)
            + (diffuse * horizontalWPerM2 * plane.SkyPart)
            + (albedo * horizontalWPerM2 * plane.GroundPart);
    }
}
