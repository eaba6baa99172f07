namespace Cuadrilla.Core.Supplies;

/// <summary>Light on a plane and air of every hour of a year, by the sun's time: computed once, whatever array and pump use it.</summary>
public sealed class SunHours
{
    /// <summary>Hours of a year.</summary>
    public const int Count = 8760;

    private const int DaysInYear = 365;
    private const int HoursInDay = 24;

    private readonly double[] wPerM2 = new double[Count];
    private readonly double[] airC = new double[Count];

    private SunHours()
    {
    }

    /// <summary>Month, 0 to 11, of each day of the year.</summary>
    public static IReadOnlyList<int> MonthOfDay { get; } =
        [.. PvYear.DaysOf.SelectMany((days, month) => Enumerable.Repeat(month, days))];

    /// <summary>Light on the plane, W/m².</summary>
    public IReadOnlyList<double> WPerM2 => wPerM2;

    /// <summary>Air, °C.</summary>
    public IReadOnlyList<double> AirC => airC;

    /// <summary>Light on the plane over the year, kWh/m².</summary>
    public double KwhPerM2 => wPerM2.Sum() / 1e3;

    /// <summary>From clearness and mean temperature of the months.</summary>
    public static SunHours Of(PvYear.Site site, TiltedPlane plane)
    {
        ArgumentNullException.ThrowIfNull(site);
        return Of(site, plane,
            (month, sun, _) => site.Clearness[month] * Sky.ClearWPerM2(sun.Up),
            (month, hour, _) => PvYear.AmbientC(site.AmbientC[month], site.SwingK, hour));
    }

    /// <summary>From light on the ground and air as they were measured, 8760 values each.</summary>
    public static SunHours Of(PvYear.Site site, TiltedPlane plane, IReadOnlyList<double> groundWPerM2, IReadOnlyList<double> measuredC)
    {
        ArgumentNullException.ThrowIfNull(site);
        ArgumentOutOfRangeException.ThrowIfNotEqual(groundWPerM2?.Count ?? 0, Count);
        ArgumentOutOfRangeException.ThrowIfNotEqual(measuredC?.Count ?? 0, Count);
        return Of(site, plane, (_, _, i) => groundWPerM2![i], (_, _, i) => measuredC![i]);
    }

    private static SunHours Of(PvYear.Site site, TiltedPlane plane,
        Func<int, (double East, double North, double Up), int, double> ground, Func<int, double, int, double> air)
    {
        var hours = new SunHours();
        for (var day = 1; day <= DaysInYear; day++)
        {
            var month = MonthOfDay[day - 1];
            for (var hour = 0; hour < HoursInDay; hour++)
            {
                var i = ((day - 1) * HoursInDay) + hour;
                var middle = hour + 0.5;
                hours.airC[i] = air(month, middle, i);
                var sun = Sun.Direction(site.LatitudeDeg, day, middle);
                hours.wPerM2[i] = sun.Up <= 0 ? 0 : Sky.TiltedWPerM2(ground(month, sun, i), day, sun, plane, site.Albedo);
            }
        }

        return hours;
    }
}
