using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Assessment;

/// <summary>What a start along a straight ramp asks of motor and converter.</summary>
/// <param name="LoadTorqueNm">Torque of the load at the end of the ramp, Nm.</param>
/// <param name="MachineInertiaKgM2">Inertia of the machine, kg·m².</param>
/// <param name="AccelerationTorqueNm">Torque that accelerates machine and motor, Nm.</param>
/// <param name="EndSpeedRpm">Speed at the end, rpm.</param>
/// <param name="TimeS">Duration, s.</param>
public readonly record struct StartDemand(
    double LoadTorqueNm, double MachineInertiaKgM2, double AccelerationTorqueNm, double EndSpeedRpm, double TimeS)
{
    /// <summary>Largest torque, at the end of the ramp, Nm.</summary>
    public double PeakTorqueNm => LoadTorqueNm + AccelerationTorqueNm;

    /// <summary>Speed at the end, rad/s.</summary>
    public double EndSpeedRadPerS => EndSpeedRpm * 2 * Math.PI / 60;

    /// <summary>Names of missing entries that only the start needs.</summary>
    public static IEnumerable<string> Missing(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        if (model.Input.DrivePoint.Load is not FluidLoad fluid)
        {
            yield break;
        }

        if (!fluid.Common.InertiaKgM2.IsKnown)
        {
            yield return "inertia of the machine";
        }

        if (!fluid.Common.StartTimeS.IsKnown)
        {
            yield return "start time";
        }
    }

    /// <summary>The demand of a complete drive point.</summary>
    public static StartDemand Of(DrivePointModel model)
    {
        ArgumentNullException.ThrowIfNull(model);
        var load = model.Load!;
        var inertia = load.Common.InertiaKgM2.Value;
        var time = load.Common.StartTimeS.Value;
        var speed = load.RatedSpeedRpm;
        var acceleration = (inertia + model.Motor!.Plate.InertiaKgM2) * speed * 2 * Math.PI / 60 / time;
        return new StartDemand(load.RatedTorqueNm, inertia, acceleration, speed, time);
    }

    /// <summary>
    /// Motor current along the ramp: its largest value, the time it spends above a continuous current, and the rms over
    /// that time.
    /// </summary>
    public static (double PeakA, double TimeAboveS, double RmsAboveA) CurrentAbove(DrivePointModel model, double continuousA)
    {
        ArgumentNullException.ThrowIfNull(model);
        const int samples = 50;
        var demand = Of(model);
        double peak = 0, above = 0, squares = 0;
        for (var i = 0; i < samples; i++)
        {
            var speed = demand.EndSpeedRpm * (i + 0.5) / samples;
            var torque = model.Load!.TorqueAtSpeedNm(speed) + demand.AccelerationTorqueNm;
            var current = model.Motor!.At(speed, torque, MotorFeed.Converter).CurrentA;
            if (current > continuousA)
            {
                above += demand.TimeS / samples;
                squares += current * current;
            }

            peak = Math.Max(peak, current);
        }

        peak = Math.Max(peak, model.Motor!.At(demand.EndSpeedRpm, demand.PeakTorqueNm, MotorFeed.Converter).CurrentA);
        return (peak, above, above > 0 ? Math.Sqrt(squares / (above / demand.TimeS * samples)) : 0);
    }
}
