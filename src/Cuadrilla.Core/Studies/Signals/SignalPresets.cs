using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;
using Cuadrilla.Core.Loads;
using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Signals;
using Cuadrilla.Core.Specification;

namespace Cuadrilla.Core.Studies.Signals;

/// <summary>Kind of job that signals are preset for.</summary>
public enum SignalJob
{
    /// <summary>By what the drive point is.</summary>
    ByDrivePoint,

    /// <summary>Fan.</summary>
    Fan,

    /// <summary>Pump.</summary>
    Pump,

    /// <summary>Hoist or lift.</summary>
    Hoist,

    /// <summary>Conveyor on a converter.</summary>
    Conveyor,

    /// <summary>Other machine on a converter.</summary>
    Machine,

    /// <summary>Machine on a starter.</summary>
    OnStarter,

    /// <summary>Follower of a leader's pulses.</summary>
    Follower,

    /// <summary>Axis on a servo drive.</summary>
    Servo,
}

/// <summary>Signals that jobs usually have.</summary>
public static class SignalPresets
{
    private static readonly Dictionary<SignalJob, SignalFunction[]> Usual = new()
    {
        [SignalJob.Fan] = [SignalFunction.Run, SignalFunction.Reset, SignalFunction.TorqueOff, SignalFunction.SpeedReference,
            SignalFunction.SpeedValue, SignalFunction.Running, SignalFunction.Fault],
        [SignalJob.Pump] = [SignalFunction.Run, SignalFunction.Reset, SignalFunction.TorqueOff, SignalFunction.SpeedReference,
            SignalFunction.ProcessValue, SignalFunction.SpeedValue, SignalFunction.Running, SignalFunction.Fault],
        [SignalJob.Hoist] = [SignalFunction.Run, SignalFunction.Reverse, SignalFunction.PresetBit0, SignalFunction.TorqueOff,
            SignalFunction.Fault],
        [SignalJob.Conveyor] = [SignalFunction.Run, SignalFunction.PresetBit0, SignalFunction.PresetBit1, SignalFunction.LocalRemote,
            SignalFunction.Jog, SignalFunction.TorqueOff, SignalFunction.Running, SignalFunction.Fault],
        [SignalJob.Machine] = [SignalFunction.Run, SignalFunction.Reset, SignalFunction.TorqueOff, SignalFunction.SpeedReference,
            SignalFunction.SpeedValue, SignalFunction.Running, SignalFunction.Fault],
        [SignalJob.OnStarter] = [SignalFunction.StartPulse, SignalFunction.StopPulse, SignalFunction.Reset, SignalFunction.CurrentValue,
            SignalFunction.Running, SignalFunction.Bypassed, SignalFunction.Fault],
        [SignalJob.Follower] = [SignalFunction.Run, SignalFunction.Reset, SignalFunction.TorqueOff, SignalFunction.PulsesIn,
            SignalFunction.SpeedValue, SignalFunction.AtSpeed, SignalFunction.Fault],
        [SignalJob.Servo] = [SignalFunction.Enable, SignalFunction.TorqueOff, SignalFunction.Bus, SignalFunction.Encoder,
            SignalFunction.Ready, SignalFunction.Fault],
    };

    private static readonly SignalFunction[] OfContactor = [SignalFunction.Run, SignalFunction.Running, SignalFunction.Fault];

    /// <summary>Job of a drive point by its converter, arrangement and load.</summary>
    public static SignalJob JobOf(PlantSpecification plant, DrivePoint point, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(plant);
        ArgumentNullException.ThrowIfNull(point);
        ArgumentNullException.ThrowIfNull(data);
        return point.Converter.IsOnLine() ? SignalJob.OnStarter
            : point.Converter is ConverterChoice.FromCatalogue chosen
                && data.Converters.GetValueOrDefault(chosen.ItemId)?.Kind == ConverterKind.Servo ? SignalJob.Servo
            : plant.Lineups.SelectMany(l => l.Arrangements).OfType<RatioFollower>().Any(f => f.Follower.PointId == point.Id)
                ? SignalJob.Follower
            : point.Load switch
            {
                FanLoad => SignalJob.Fan,
                PumpLoad => SignalJob.Pump,
                HoistLoad => SignalJob.Hoist,
                ServoAxisLoad => SignalJob.Servo,
                ConveyorLoad => SignalJob.Conveyor,
                _ => SignalJob.Machine,
            };
    }

    /// <summary>Signals of a job at a drive point: the usual ones, and those that its brake, thermistors, encoder and resistor ask
    /// for. What is recorded of the stop stays.</summary>
    public static SignalPlan Of(PlantSpecification plant, DrivePoint point, SignalJob job, EngineeringData data)
    {
        ArgumentNullException.ThrowIfNull(point);
        var of = job == SignalJob.ByDrivePoint ? JobOf(plant, point, data) : job;
        List<SignalFunction> functions = [.. of == SignalJob.OnStarter
            && point.Converter is ConverterChoice.AcrossTheLine or ConverterChoice.StarDelta
            ? OfContactor : Usual[of]];
        if (point.Brake is HoldingBrake.SpringApplied brake)
        {
            functions.Add(SignalFunction.BrakeRelease);
            if (brake.Control.CommandFeedback)
            {
                functions.Add(SignalFunction.BrakeCommandBack);
            }

            if (brake.Control.PositionFeedback)
            {
                functions.Add(SignalFunction.BrakePosition);
            }
        }

        if (point.Motor is MotorChoice.FromCatalogue { ThermistorTrips: true })
        {
            functions.Add(SignalFunction.Thermistor);
        }

        if (point.Converter is ConverterChoice.FromCatalogue { Control: MotorControl.VectorWithEncoder })
        {
            functions.Add(SignalFunction.Encoder);
        }

        if (point.Converter is ConverterChoice.FromCatalogue { Braking: Braking.Resistor })
        {
            functions.Add(SignalFunction.ResistorSwitch);
        }

        return (point.Signals ?? SignalPlan.Open) with
        {
            Wanted = [.. functions.Distinct().Select(f => new WantedSignal(KeyOf(f), f, SignalFacts.Of(f).Usual))],
        };
    }

    /// <summary>Key of the first signal of a function.</summary>
    public static string KeyOf(SignalFunction function) => char.ToLowerInvariant(function.ToString()[0]) + function.ToString()[1..];
}
