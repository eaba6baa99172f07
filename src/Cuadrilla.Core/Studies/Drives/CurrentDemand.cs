using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Motors.Electrics;

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
            var squares = Stretches(motor, cycle).Sum(s => s.CurrentA * s.CurrentA * s.DurationS);
            return (Math.Sqrt(squares / cycle.DurationS), load.RatedSpeedRpm, "rms over the cycle", 1);
        }

        (double CurrentA, double SpeedRpm, double LowPu) worst = (0, 0, 1);
        ShaftPoint? where = null;
        foreach (var point in model.SteadyPoints())
        {
            var there = motor.CurrentAt(point.SpeedRpm, point.TorqueNm);

            // What lasts at a few hertz loads the same transistors for long: the item carries less then.
            var low = model.Converter?.Item.Derating.OutputPu(there.FrequencyHz) ?? 1;
            if (there.CurrentA / low > worst.CurrentA / worst.LowPu)
            {
                (worst, where) = ((there.CurrentA, point.SpeedRpm, low), point);
            }
        }

        var what = where is { } at ? at.What ?? $"load at {Text.N(100 * at.LevelPu, 3)} % {load.LevelName}" : string.Empty;
        return (worst.CurrentA, worst.SpeedRpm, what, worst.LowPu);
    }

    /// <summary>The current in time: over the cycle, or along the start ramp and steady after it.</summary>
    public static IReadOnlyList<CurrentForTime> InTime(LoadedMotor model)
    {
        ArgumentNullException.ThrowIfNull(model);
        MotorRamp? ramp = null;
        return InTime(model, model.Motor, Continuous(model).CurrentA, ref ramp);
    }

    /// <summary>The same of another motor in its place.</summary>
    /// <param name="model">The drive.</param>
    /// <param name="motor">The motor.</param>
    /// <param name="continuousA">What it takes for ever, A.</param>
    /// <param name="known">Its states along the ramp with another voltage limit; those found take their place.</param>
    internal static IReadOnlyList<CurrentForTime> InTime(LoadedMotor model, MotorLossModel motor, double continuousA, ref MotorRamp? known)
    {
        if (model.Load.Cycle is { } cycle)
        {
            return [.. Stretches(motor, cycle).Select(r => new CurrentForTime(r.DurationS, r.CurrentA))];
        }

        known = RampStates(model, motor, known);
        var shafts = model.RampShafts;
        var currents = new CurrentForTime[shafts.Count + 1];
        for (var i = 0; i < shafts.Count; i++)
        {
            currents[i] = new CurrentForTime(shafts[i].DurationS, known.States[i].CurrentA);
        }

        currents[^1] = new CurrentForTime(SteadyAfterS, continuousA);
        return currents;
    }

    /// <summary>States of a motor along the start ramp.</summary>
    /// <param name="model">The drive.</param>
    /// <param name="motor">The motor.</param>
    /// <param name="known">States of the same motor with another voltage limit: most are the same; null: none.</param>
    private static MotorRamp RampStates(LoadedMotor model, MotorLossModel motor, MotorRamp? known)
    {
        var shafts = model.RampShafts;
        var states = new ElectricalState[shafts.Count];
        known = known is not null && motor.IsLike(known.Motor) ? known : null;
        for (var i = 0; i < states.Length; i++)
        {
            states[i] = known is not null && motor.IsSameHere(known.States[i], known.Motor)
                ? known.States[i]
                : motor.StateAt(shafts[i].SpeedRpm, shafts[i].TorqueNm);
        }

        return new MotorRamp(motor, states);
    }

    internal static IReadOnlyList<RampShaft> RampShafts(LoadedMotor model)
    {
        var demand = StartDemand.Of(model);
        return
        [
            .. Enumerable.Range(0, Samples).Select(i =>
            {
                var speed = demand.EndSpeedRpm * (i + 0.5) / Samples;
                return new RampShaft(speed, Math.Abs(model.Load.TorqueAtSpeedNm(speed)) + demand.AccelerationTorqueNm, demand.TimeS
                    / Samples);
            }),
            new RampShaft(demand.EndSpeedRpm, demand.LoadTorqueNm + demand.AccelerationTorqueNm, 0),
        ];
    }

    // While the brake holds the motor is switched off.
    private static IEnumerable<(double CurrentA, double DurationS)> Stretches(MotorLossModel motor, LoadCycle cycle) =>
        cycle.Slices(motor.Plate.InertiaKgM2).Select(s =>
            (s.Rests ? 0 : motor.CurrentAt(s.Shaft(1).SpeedRpm, s.Shaft(1).TorqueNm).CurrentA, s.DurationS));
}

/// <summary>A motor along the start ramp.</summary>
/// <param name="Motor">The motor.</param>
/// <param name="States">Its state at each stretch.</param>
internal sealed record MotorRamp(MotorLossModel Motor, ElectricalState[] States);

/// <summary>A stretch of the start ramp at the motor's shaft.</summary>
/// <param name="SpeedRpm">Speed, rpm.</param>
/// <param name="TorqueNm">Load and acceleration, Nm.</param>
/// <param name="DurationS">Duration, s; 0 at its end.</param>
internal readonly record struct RampShaft(double SpeedRpm, double TorqueNm, double DurationS);
