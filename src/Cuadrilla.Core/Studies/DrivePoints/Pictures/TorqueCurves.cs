using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>Torques at one speed, Nm.</summary>
/// <param name="SpeedRpm">Speed, rpm.</param>
/// <param name="LoadNm">What the load asks for; absent beyond the rated speed of the machine.</param>
/// <param name="ContinuousNm">What the motor carries for ever.</param>
/// <param name="PeakNm">Breakdown torque less its margin.</param>
/// <param name="ConverterNm">What the converter's overload current gives; absent without converter.</param>
public sealed record TorqueAtSpeed(double SpeedRpm, double? LoadNm, double ContinuousNm, double PeakNm, double? ConverterNm);

/// <summary>A point at which the drive works for some time.</summary>
public sealed record WorkingPoint(double LevelPu, double HoursPerYear, double SpeedRpm, double TorqueNm);

/// <summary>Torque over speed with every limit.</summary>
/// <param name="Points">Curves, ascending in speed.</param>
/// <param name="Working">Points of the duty, and the rated point.</param>
public sealed record TorqueCurves(IReadOnlyList<TorqueAtSpeed> Points, IReadOnlyList<WorkingPoint> Working)
{
    private const int Intervals = 60;

    /// <summary>Curves of a drive point with load and motor; null while one is missing.</summary>
    public static TorqueCurves? Of(DrivePointModel point)
    {
        ArgumentNullException.ThrowIfNull(point);
        if (point is not LoadedMotor model)
        {
            return null;
        }

        var top = Math.Min(model.Motor.Plate.MaxSpeedRpm, 1.25 * Math.Max(model.Motor.Plate.RatedSpeedRpm, model.Load.RatedSpeedRpm));
        var keep = 1 + (model.Input.Defaults.PeakMarginPct / 100);
        var overloadA = model.Converter is { } c ? c.SiteCurrentA * c.Overload.CurrentPu : (double?)null;
        var points = new List<TorqueAtSpeed>(Intervals + 1);
        for (var i = 0; i <= Intervals; i++)
        {
            var speed = top * i / Intervals;
            points.Add(new TorqueAtSpeed(
                speed,
                speed <= model.Load.RatedSpeedRpm * 1.05 ? Math.Abs(model.Load.TorqueAtSpeedNm(speed)) : null,
                model.Budget.ContinuousTorqueNm(model.Motor, speed, model.Feed),
                model.Motor.BreakdownTorqueNm(speed) / keep,
                overloadA is { } current ? model.Motor.TorqueAtCurrentNm(speed, current) : null));
        }

        return new TorqueCurves(points, [.. PointsOf(model)]);
    }

    // Torques are drawn by their size: a motor that brakes needs as much of it as one that drives.
    private static IEnumerable<WorkingPoint> PointsOf(LoadedMotor model)
    {
        if (model.Load.Cycle is { } cycle)
        {
            return cycle.Slices(model.Motor.Plate.InertiaKgM2).Where(s => !s.Rests)
                .Select(s => new WorkingPoint(1, 0, Math.Abs(s.SpeedRpm), Math.Abs(s.TorqueNm)))
                .Distinct();
        }

        var hours = model.Load.Duty.GroupBy(d => d.LevelPu).ToDictionary(g => g.Key, g => g.Sum(d => d.HoursPerYear));
        return model.SteadyPoints().Select(p =>
            new WorkingPoint(p.LevelPu, hours.GetValueOrDefault(p.LevelPu), p.SpeedRpm, Math.Abs(p.TorqueNm)));
    }
}
