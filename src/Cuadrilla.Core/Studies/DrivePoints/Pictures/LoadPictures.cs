using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>A winder's shaft at one diameter.</summary>
public sealed record AtDiameter(double DiameterM, double SpeedRpm, double TorqueNm, double PowerKw);

/// <summary>Shaft in a cycle at one time, motor inertia included as far as a motor is chosen.</summary>
public sealed record AtTime(double TimeS, double SpeedRpm, double TorqueNm, double PowerKw);

/// <summary>Pictures of loads that are not fans or pumps.</summary>
public static class LoadPictures
{
    private const int Diameters = 25;

    /// <summary>Torque and speed over the diameter; empty for anything but a winder.</summary>
    public static IReadOnlyList<AtDiameter> Winder(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Load is not WinderModel winder || model.Input.DrivePoint.Load is not WinderLoad load)
        {
            return [];
        }

        var (core, full) = (load.CoreDiameterM.Value, load.FullDiameterM.Value);
        return
        [
            .. Enumerable.Range(0, Diameters).Select(i =>
            {
                var diameter = core + ((full - core) * i / (Diameters - 1));
                var point = winder.At(1, diameter);
                return new AtDiameter(diameter, point.SpeedRpm, point.TorqueNm, point.PowerW / 1e3);
            }),
        ];
    }

    /// <summary>The cycle over time; empty for a load without one.</summary>
    public static IReadOnlyList<AtTime> Cycle(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Load?.Cycle is not { } cycle)
        {
            return [];
        }

        var points = new List<AtTime>();
        var time = 0.0;
        foreach (var s in cycle.Stretches)
        {
            // A hair inside the ends: at a step two values belong to one time.
            var inertia = model.Fitted?.Item.Plate.InertiaKgM2 ?? 0;
            foreach (var x in s.IsConstant ? [0, 1] : s.IsSmooth ? Enumerable.Range(0, 17).Select(i => i / 16.0) : s.Breaks(inertia))
            {
                var within = Math.Clamp(x, 1e-9, 1 - 1e-9);
                points.Add(At(time + (x * s.DurationS), s.SpeedRpm(x), s.Rests ? 0 : s.TorqueNm(within, inertia)));
            }

            time += s.DurationS;
        }

        return points;
    }

    private static AtTime At(double timeS, double speedRpm, double torqueNm) =>
        new(timeS, speedRpm, torqueNm, torqueNm * speedRpm * 2 * Math.PI / 60 / 1e3);
}
