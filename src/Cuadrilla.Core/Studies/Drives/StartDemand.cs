using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>The largest torque that is ever asked of the motor: at the end of the start ramp, to break away, or in the cycle.</summary>
/// <param name="LoadTorqueNm">Torque of the load then, Nm; in a cycle with the acceleration of all masses.</param>
/// <param name="MachineInertiaKgM2">Inertia of the machine at the motor's shaft, kg·m².</param>
/// <param name="AccelerationTorqueNm">Torque that accelerates machine and motor along the ramp, Nm; 0 in a cycle.</param>
/// <param name="BreakawayNm">Torque before anything turns, Nm.</param>
/// <param name="EndSpeedRpm">Speed at which the largest torque is asked, rpm.</param>
/// <param name="TimeS">Duration of the ramp, or of the largest torque in the cycle, s.</param>
public readonly record struct StartDemand(
    double LoadTorqueNm, double MachineInertiaKgM2, double AccelerationTorqueNm, double BreakawayNm, double EndSpeedRpm, double TimeS)
{
    /// <summary>Largest torque, Nm.</summary>
    public double PeakTorqueNm => Math.Max(LoadTorqueNm + AccelerationTorqueNm, BreakawayNm);

    /// <summary>Speed at the end, rad/s.</summary>
    public double EndSpeedRadPerS => EndSpeedRpm * 2 * Math.PI / 60;

    /// <summary>Names of missing entries that only the start needs.</summary>
    public static IEnumerable<string> Missing(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Load is not { } load)
        {
            yield break;
        }

        if (!load.InertiaKgM2.IsKnown)
        {
            yield return "inertia of the machine";
        }

        if (load.Cycle is null && !load.StartTimeS.IsKnown)
        {
            yield return "start time";
        }
    }

    /// <summary>The demand of a complete drive point.</summary>
    public static StartDemand Of(LoadedMotor model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var load = model.Load;
        var motorInertia = model.Motor.Plate.InertiaKgM2;
        if (load.Cycle is { } cycle)
        {
            var peak = cycle.Peak(motorInertia);
            return new StartDemand(peak.TorqueNm, load.InertiaKgM2.Value, 0, load.BreakawayNm, peak.SpeedRpm, peak.TimeS);
        }

        // A winder starts hardest with the full roll or, its core turning fast, with little of it; an overhauling load stops harder than
        // it starts.
        double Acceleration(StartPoint p) =>
            (p.InertiaKgM2.Value + motorInertia) * Math.Abs(p.SpeedRpm) * 2 * Math.PI / 60 / load.StartTimeS.Value;
        var hardest = load.StartPoints().MaxBy(p => Math.Abs(p.TorqueNm) + Acceleration(p));
        return new StartDemand(Math.Abs(hardest.TorqueNm), hardest.InertiaKgM2.Value, Acceleration(hardest), load.BreakawayNm,
            hardest.SpeedRpm, load.StartTimeS.Value);
    }
}
