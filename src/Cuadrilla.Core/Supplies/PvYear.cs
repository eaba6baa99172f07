namespace Cuadrilla.Core.Supplies;

/// <summary>Twelve typical days of a tilted array that faces the equator, in quarters of an hour; method
/// <c>docs/methods/pv-year.md</c>.</summary>
public static class PvYear
{
    private const int StepsPerDay = 96;
    private const double StepH = 24.0 / StepsPerDay;

    /// <summary>Typical day of each month (Klein 1977).</summary>
    public static IReadOnlyList<int> TypicalDays { get; } = [17, 47, 75, 105, 135, 162, 198, 228, 258, 288, 318, 344];

    /// <summary>Days of each month.</summary>
    public static IReadOnlyList<int> DaysOf { get; } = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

    /// <summary>Air at a place and hour, °C.</summary>
    /// <param name="meanC">Mean of the day.</param>
    /// <param name="swingK">Warmest less coldest hour; the warmest is 15 h.</param>
    /// <param name="solarHour">Hour.</param>
    public static double AmbientC(double meanC, double swingK, double solarHour) =>
        meanC + (swingK / 2 * Math.Cos(Sun.Rad(15 * (solarHour - 15))));

    /// <summary>Computes the months.</summary>
    public static IReadOnlyList<Month> Of(Site site, PvArray array, double? limitKw)
    {
        ArgumentNullException.ThrowIfNull(site);
        ArgumentNullException.ThrowIfNull(array);
        return [.. Enumerable.Range(0, 12).Select(m => MonthOf(site, array, limitKw, m))];
    }

    private static Month MonthOf(Site site, PvArray array, double? limitKw, int month)
    {
        var day = TypicalDays[month];
        var plane = TiltedPlane.ToEquator(site.LatitudeDeg, site.TiltDeg);
        double horizontalWh = 0, tiltedWh = 0, energyKwh = 0, peakKw = 0;
        for (var k = 0; k < StepsPerDay; k++)
        {
            var hour = (k + 0.5) * StepH;
            var sun = Sun.Direction(site.LatitudeDeg, day, hour);
            if (sun.Up <= 0)
            {
                continue;
            }

            var horizontal = site.Clearness[month] * Sky.ClearWPerM2(sun.Up);
            var tilted = Sky.TiltedWPerM2(horizontal, day, sun, plane, site.Albedo);
            var power = Math.Min(array.PowerKw(tilted, AmbientC(site.AmbientC[month], site.SwingK, hour)), limitKw ?? double.MaxValue);
            horizontalWh += horizontal * StepH;
            tiltedWh += tilted * StepH;
            energyKwh += power * StepH;
            peakKw = Math.Max(peakKw, power);
        }

        return new Month(Sun.DayLengthH(site.LatitudeDeg, day), horizontalWh / 1e3, tiltedWh / 1e3, energyKwh, energyKwh * DaysOf[month],
            peakKw);
    }

    /// <summary>A place and how the array stands there.</summary>
    /// <param name="LatitudeDeg">North positive.</param>
    /// <param name="TiltDeg">Tilt towards the equator.</param>
    /// <param name="AmbientC">Mean of the day by month, °C.</param>
    /// <param name="SwingK">Warmest less coldest hour of a day, K.</param>
    /// <param name="Clearness">Part of the clear sky's light by month.</param>
    /// <param name="Albedo">Part of the light that the ground returns.</param>
    public sealed record Site(double LatitudeDeg, double TiltDeg, IReadOnlyList<double> AmbientC, double SwingK,
        IReadOnlyList<double> Clearness, double Albedo);

    /// <summary>One month.</summary>
    /// <param name="DayLengthH">Length of its typical day, h.</param>
    /// <param name="HorizontalKwhPerM2">Light on the ground, kWh/m² a day.</param>
    /// <param name="TiltedKwhPerM2">Light on the array, kWh/m² a day.</param>
    /// <param name="EnergyKwhPerDay">Energy a day, kWh.</param>
    /// <param name="EnergyKwh">Energy of the month, kWh.</param>
    /// <param name="PeakKw">Largest power, kW.</param>
    public sealed record Month(double DayLengthH, double HorizontalKwhPerM2, double TiltedKwhPerM2, double EnergyKwhPerDay,
        double EnergyKwh, double PeakKw);
}
