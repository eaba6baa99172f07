using Cuadrilla.Core.Studies.Drives;
using Cuadrilla.Core.Studies.Energy;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>Energy that a link of the chain loses in a year.</summary>
/// <param name="Id">Key of the link, as in the chain.</param>
/// <param name="Kwh">Energy, kWh.</param>
public sealed record LinkYear(string Id, double Kwh);

/// <summary>Losses of a year by link, weighted with the hours of the duty, and stand-by in the hours that the duty leaves.</summary>
/// <param name="Links">Losses of the links, supply transformer left out.</param>
/// <param name="StandbyKwh">Stand-by of the converter if it stays energised in all other hours, kWh.</param>
/// <param name="OtherHours">Those hours.</param>
public sealed record LossYear(IReadOnlyList<LinkYear> Links, double StandbyKwh, double OtherHours)
{
    private const double HoursInYear = 8760;

    /// <summary>Of a complete drive point with a duty; null otherwise.</summary>
    public static LossYear? Of(DrivePointModel point)
    {
        ArgumentNullException.ThrowIfNull(point);
        if (EnergyAlternatives.Ready(point) is not { } model)
        {
            return null;
        }

        var sums = new Dictionary<string, double>(StringComparer.Ordinal);
        double hours = 0;
        foreach (var duty in model.Load.Duty.Where(d => d.HoursPerYear > 0))
        {
            hours += duty.HoursPerYear;
            foreach (var (at, part) in Points(model, duty.LevelPu))
            {
                void Add(string id, double watt) => sums[id] = sums.GetValueOrDefault(id) + (watt * part * duty.HoursPerYear / 1e3);
                Add("feeder", at.FeederLossW);
                Add("choke", at.FrontLossW);
                Add(model.Starter is null ? "converter" : "starter", at.ConverterLossW);
                Add("filter", at.FilterLossW);
                Add("cable", at.CableLossW);
                Add("motor", at.Motor.LossW);
            }
        }

        var other = Math.Max(0, HoursInYear - hours);
        return new LossYear([.. sums.Select(s => new LinkYear(s.Key, s.Value))],
            (model.Converter?.Item.StandbyW ?? 0) * other / 1e3, other);
    }

    private static IEnumerable<(OperatingPoint Point, double Part)> Points(CompleteDrive drive, double level)
    {
        if (drive is not DriveOnConverter model)
        {
            return [(drive.At(level), 1)];
        }

        if (model.Load.Cycle is not { } cycle)
        {
            var points = model.Load.PointsAt(level);
            return points.Select(p => (model.PointOf(p), 1.0 / points.Count));
        }

        // While the brake holds the motor is off.
        return cycle.Slices(model.Motor.Plate.InertiaKgM2).Where(s => !s.Rests)
            .Select(s => (model.PointOf(s.Shaft(level)), level * s.DurationS / cycle.DurationS));
    }
}
