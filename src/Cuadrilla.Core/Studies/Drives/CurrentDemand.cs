using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>Motor currents that a converter has to give: steady or over the cycle, and above its continuous current.</summary>
public static class CurrentDemand
{
    private const int Samples = 50;
    private const double SteadyAfterS = 600;

    /// <summary>The current to be given for ever, A: of the worst steady point, or the rms over the cycle.</summary>
    /// <param name="model">The drive.</param>
    /// <param name="other">Another motor in its place; null: its own.</param>
    public static (double CurrentA, double SpeedRpm, string Where, double LowPu) Continuous(LoadedMotor model, MotorLossModel? other = null)
    {
        ArgumentNullException.ThrowIfNull(model);
        return other is null ? model.ContinuousDemand : OfMotor(model, other);
    }

    internal static (double CurrentA, double SpeedRpm, string Where, double LowPu) OfMotor(LoadedMotor model, MotorLossModel motor)
    {
        var load = model.Load;
        if (load.Cycle is { } cycle)
        {
            var squares = Stretches(model, motor, cycle).Sum(s => s.CurrentA * s.CurrentA * s.DurationS);
            return (Math.Sqrt(squares / cycle.DurationS), load.RatedSpeedRpm, "rms over the cycle", 1);
        }

        (double CurrentA, double SpeedRpm, string Where, double LowPu) worst = (0, 0, string.Empty, 1);
        foreach (var point in model.SteadyPoints())
        {
            var there = motor.At(point.SpeedRpm, point.TorqueNm, model.Feed);

            // What lasts at a few hertz loads the same transistors for long: the item carries less then.
            var low = model.Converter?.Item.Derating.OutputPu(there.FrequencyHz) ?? 1;
            if (there.CurrentA / low > worst.CurrentA / worst.LowPu)
            {
                worst = (there.CurrentA, point.SpeedRpm, point.What ?? $"load at {Text.N(100 * point.LevelPu, 3)} % {load.LevelName}", low);
            }
        }

        return worst;
    }

    /// <summary>The current in time: over the cycle, or along the start ramp and steady after it.</summary>
    public static IReadOnlyList<CurrentForTime> InTime(LoadedMotor model, MotorLossModel? other = null)
    {
        var ramp = Ramp(model, other ?? model.Motor).Select(r => new CurrentForTime(r.DurationS, r.CurrentA));
        return model.Load.Cycle is not null ? [.. ramp] : [.. ramp, new CurrentForTime(SteadyAfterS, Continuous(model, other).CurrentA)];
    }

    private static IEnumerable<(double CurrentA, double DurationS)> Ramp(LoadedMotor model, MotorLossModel motor)
    {
        if (model.Load.Cycle is { } cycle)
        {
            return Stretches(model, motor, cycle);
        }

        var demand = StartDemand.Of(model);
        var ramp = Enumerable.Range(0, Samples).Select(i =>
        {
            var speed = demand.EndSpeedRpm * (i + 0.5) / Samples;
            var torque = Math.Abs(model.Load.TorqueAtSpeedNm(speed)) + demand.AccelerationTorqueNm;
            return (motor.At(speed, torque, model.Feed).CurrentA, demand.TimeS / Samples);
        });
        return ramp.Append((motor.At(demand.EndSpeedRpm, demand.LoadTorqueNm + demand.AccelerationTorqueNm, model.Feed).CurrentA, 0));
    }

    // While the brake holds the motor is switched off.
    private static IEnumerable<(double CurrentA, double DurationS)> Stretches(LoadedMotor model, MotorLossModel motor, LoadCycle cycle) =>
        cycle.Slices(motor.Plate.InertiaKgM2).Select(s =>
            (s.Rests ? 0 : motor.At(s.Shaft(1).SpeedRpm, s.Shaft(1).TorqueNm, model.Feed).CurrentA, s.DurationS));
}
