using Cuadrilla.Core.Base;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>A pump on the sun over a year: what it rests on, resolved; the light computed once.</summary>
public sealed class SunStudy
{
    private readonly SunFeed feed;
    private readonly DriveOnConverter drive;
    private readonly FluidMachineModel machine;
    private readonly double ratedM3PerS;

    private SunStudy(SunFeed feed, DriveOnConverter drive, FluidMachineModel machine, double ratedM3PerS, SunHours hours)
    {
        (this.feed, this.drive, this.machine, this.ratedM3PerS, Hours) = (feed, drive, machine, ratedM3PerS, hours);
        Pump = SunPump.Of(drive, machine, ratedM3PerS, 1);
    }

    /// <summary>Light and air of each hour.</summary>
    public SunHours Hours { get; }

    /// <summary>The pump as it is.</summary>
    public SunPump Pump { get; }

    /// <summary>The array and its limits.</summary>
    public SunFeed Feed => feed;

    /// <summary>Speed below which the pump is stopped, rpm.</summary>
    public double LeastRpm => feed.Sun.Pumping.LeastRpm.Value;

    /// <summary>Resolves it, or names what is missing.</summary>
    public static SunStudy? Of(DrivePointModel model, out IReadOnlyList<string> missing)
    {
        ArgumentNullException.ThrowIfNull(model);
        List<string> absent = [.. Missing(model)];
        missing = absent;
        return absent.Count == 0 && SunFeed.Of(model) is { } feed && model is DriveOnConverter { Load: FluidMachineModel machine } drive
            ? new SunStudy(feed, drive, machine, ((PumpLoad)model.Input.DrivePoint.Load).Common.RatedFlowM3PerS.Value,
                HoursOf(feed.Sun.Place))
            : null;
    }

    /// <summary>The year of the array and pump as they are chosen.</summary>
    public SunYear.Result Year() => YearOf(feed.InSeries!.Value, feed.InParallel!.Value);

    /// <summary>The year of other strings on the same pump.</summary>
    public SunYear.Result YearOf(int inSeries, int inParallel) => SunYear.Of(Hours,
        CaseOf(feed.ArrayOf(inSeries * inParallel * feed.Module.PeakW / 1e3)!, Pump, LeastRpm, inSeries));

    /// <summary>The year of another array and a pump of another size: the least speed moves with where its flow begins.</summary>
    /// <param name="arrayKw">Rated power of the array, kW.</param>
    /// <param name="pump">The pump.</param>
    public SunYear.Result YearOf(double arrayKw, SunPump pump)
    {
        ArgumentNullException.ThrowIfNull(pump);
        return SunYear.Of(Hours, CaseOf(feed.ArrayOf(arrayKw)!, pump, LeastRpm * pump.FlowBeginsRpm / Math.Max(1e-9, Pump.FlowBeginsRpm),
            feed.InSeries!.Value));
    }

    /// <summary>The pump so many times as large.</summary>
    public SunPump PumpOf(double size) => SunPump.Of(drive, machine, ratedM3PerS, size);

    /// <summary>Water wanted by month, m³ a day; null while one of the months is open.</summary>
    public IReadOnlyList<double>? Demand => feed.Sun.Place.Months.All(m => m.DemandM3PerDay.IsKnown)
        ? [.. feed.Sun.Place.Months.Select(m => m.DemandM3PerDay.Value)]
        : null;

    private SunYear.Case CaseOf(PvArray array, SunPump pump, double leastRpm, int inSeries)
    {
        var linked = feed.FullFluxRpm(25, inSeries) is not null;
        return new SunYear.Case(array, pump, leastRpm, linked ? cellC => feed.FullFluxRpm(cellC, inSeries)!.Value : null, Demand,
            feed.Sun.Pumping.TankM3 is { IsKnown: true } tank ? tank.Value : 0);
    }

    private static IEnumerable<string> Missing(DrivePointModel model)
    {
        var sun = model.Input.DrivePoint.Sun!;
        foreach (var name in model.Missing())
        {
            yield return name;
        }

        if (model.Input.DrivePoint.Load is not PumpLoad { Common.RatedFlowM3PerS.IsKnown: true })
        {
            yield return "a pump with its rated flow";
        }

        foreach (var name in sun.Module.Missing())
        {
            yield return name;
        }

        (Given Value, string Name)[] asked =
        [
            (sun.Module.PowerPctPerK, "change of power of a module"), (sun.Place.LatitudeDeg, "latitude"), (sun.Place.TiltDeg, "tilt"),
            (sun.Place.Albedo, "light from the ground"), (sun.Strings.InSeries, "modules in series"), (sun.Strings.InParallel, "strings"),
            (sun.Pumping.LeastRpm, "least speed of the pump"),
        ];
        foreach (var (_, name) in asked.Where(a => !a.Value.IsKnown))
        {
            yield return name;
        }

        var hourly = sun.Place.HourlyWPerM2.Count > 0;
        if (!hourly && !sun.Place.SwingK.IsKnown)
        {
            yield return "swing of the temperature over a day";
        }

        if (!hourly && (sun.Place.Months.Count == 0 || sun.Place.Months.Any(m => !m.Clearness.IsKnown || !m.MeanC.IsKnown)))
        {
            yield return "clearness and mean temperature of all months";
        }
    }

    private static SunHours HoursOf(SunPlace place)
    {
        var latitude = place.LatitudeDeg.Value;
        var plane = place.AzimuthDeg is { IsKnown: true } azimuth
            ? new TiltedPlane(place.TiltDeg.Value, azimuth.Value)
            : TiltedPlane.ToEquator(latitude, place.TiltDeg.Value);
        if (place.HourlyWPerM2.Count > 0)
        {
            return SunHours.Of(new PvYear.Site(latitude, place.TiltDeg.Value, [], 0, [], place.Albedo.Value), plane, place.HourlyWPerM2,
                place.HourlyC);
        }

        return SunHours.Of(
            new PvYear.Site(latitude, place.TiltDeg.Value, [.. place.Months.Select(m => m.MeanC.Value)], place.SwingK.Value,
                [.. place.Months.Select(m => m.Clearness.Value)], place.Albedo.Value), plane);
    }
}
