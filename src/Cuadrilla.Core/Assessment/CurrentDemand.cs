using Cuadrilla.Core.Loads;

namespace Cuadrilla.Core.Assessment;

/// <summary>Motor currents that a converter has to give: steady or over the cycle, and above its continuous current.</summary>
internal static class CurrentDemand
{
    private const int Samples = 50;

    /// <summary>The current to be given for ever, A: of the worst steady point, or the rms over the cycle.</summary>
    public static (double CurrentA, double SpeedRpm, string Where) Continuous(DrivePointModel model)
    {
        var load = model.Load!;
        if (load.Cycle is { } cycle)
        {
            var squares = Stretches(model, cycle).Sum(s => s.CurrentA * s.CurrentA * s.DurationS);
            return (Math.Sqrt(squares / cycle.DurationS), load.RatedSpeedRpm, "rms over the cycle");
        }

        (double CurrentA, double SpeedRpm, string Where) worst = default;
        foreach (var point in model.SteadyPoints())
        {
            var current = model.Motor!.At(point.SpeedRpm, point.TorqueNm, model.Feed).CurrentA;
            if (current > worst.CurrentA)
            {
                worst = (current, point.SpeedRpm, $"load at {Text.N(100 * point.LevelPu, 3)} % {load.LevelName}");
            }
        }

        return worst;
    }

    /// <summary>Largest current, the longest time in a row above a continuous current, and the rms over all time above it.</summary>
    public static (double PeakA, double TimeAboveS, double RmsAboveA) Above(DrivePointModel model, double continuousA)
    {
        double peak = 0, above = 0, longest = 0, squares = 0, time = 0;
        foreach (var (current, duration) in Ramp(model))
        {
            peak = Math.Max(peak, current);
            above = current > continuousA ? above + duration : 0;
            longest = Math.Max(longest, above);
            if (current > continuousA)
            {
                squares += current * current * duration;
                time += duration;
            }
        }

        return (peak, longest, time > 0 ? Math.Sqrt(squares / time) : 0);
    }

    private static IEnumerable<(double CurrentA, double DurationS)> Ramp(DrivePointModel model)
    {
        if (model.Load!.Cycle is { } cycle)
        {
            return Stretches(model, cycle);
        }

        var demand = StartDemand.Of(model);
        var ramp = Enumerable.Range(0, Samples).Select(i =>
        {
            var speed = demand.EndSpeedRpm * (i + 0.5) / Samples;
            var torque = Math.Abs(model.Load.TorqueAtSpeedNm(speed)) + demand.AccelerationTorqueNm;
            return (model.Motor!.At(speed, torque, model.Feed).CurrentA, demand.TimeS / Samples);
        });
        return ramp.Append((model.Motor!.At(demand.EndSpeedRpm, demand.LoadTorqueNm + demand.AccelerationTorqueNm, model.Feed).CurrentA, 0));
    }

    // While the brake holds the motor is switched off.
    private static IEnumerable<(double CurrentA, double DurationS)> Stretches(DrivePointModel model, LoadCycle cycle) =>
        cycle.Stretches.Select(s =>
        {
            var torque = LoadCycle.TorqueNm(s, model.Motor!.Plate.InertiaKgM2);
            var rests = torque == 0 && s.MeanRpm == 0;
            return (rests ? 0 : model.Motor.At(Math.Abs(s.MeanRpm), torque * (s.MeanRpm < 0 ? -1 : 1), model.Feed).CurrentA, s.DurationS);
        });
}
