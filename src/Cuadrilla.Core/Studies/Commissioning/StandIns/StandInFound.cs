using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Studies.Commissioning.Steps;

namespace Cuadrilla.Core.Studies.Commissioning.StandIns;

/// <summary>What the unit, the recorder and the meters of a stand-in have found so far.</summary>
internal sealed record StandInFound
{
    // A motor a size or two larger: what a unit holds that was identified at another place.
    private const double OtherOhmPu = 0.55, OtherNoLoadPu = 1.65, OtherLeakagePu = 0.7;

    /// <summary>Resistance of a phase with the cable, Ω.</summary>
    public double? Ohm { get; init; }

    /// <summary>Leakage, per unit.</summary>
    public double? LeakagePu { get; init; }

    /// <summary>No-load current, A.</summary>
    public double? NoLoadA { get; init; }

    /// <summary>Torque on the ramp up, Nm.</summary>
    public double? TorqueUpNm { get; init; }

    /// <summary>Torque on the ramp down, Nm.</summary>
    public double? TorqueDownNm { get; init; }

    /// <summary>Change of speed on both, rpm/s.</summary>
    public double? RpmPerS { get; init; }

    /// <summary>Time of the last start, s; null before its end.</summary>
    public double? StartS { get; init; }

    /// <summary>Largest line current of it, A.</summary>
    public double StartA { get; init; }

    /// <summary>Time of the last stop, s.</summary>
    public double? StopS { get; init; }

    /// <summary>Largest vibration since the start, mm/s.</summary>
    public double LargestMmPerS { get; init; }

    /// <summary>Speed then, rpm.</summary>
    public double LargestRpm { get; init; }

    /// <summary>Release of the brake, ms.</summary>
    public double? ReleaseMs { get; init; }

    /// <summary>Its closing, ms.</summary>
    public double? CloseMs { get; init; }

    /// <summary>Feedbacks that trip.</summary>
    public int? Feedbacks { get; init; }

    /// <summary>What a unit holds before anybody identifies.</summary>
    public static StandInFound Before(StepSource source, HiddenTruth truth, StandInSettings settings)
    {
        if (settings.Fault != HiddenFault.OtherIdentification || source.Model.Fitted is not { } fitted
            || ExpectedMotor.Of(fitted.Connected, fitted.Losses) is not { } expected)
        {
            return new StandInFound();
        }

        return new StandInFound
        {
            Ohm = OtherOhmPu * truth.BetweenOhm(0, 20) / 2,
            LeakagePu = OtherLeakagePu * truth.LeakagePu,
            NoLoadA = OtherNoLoadPu * expected.NoLoadA,
        };
    }

    /// <summary>After an identification at standstill.</summary>
    public StandInFound Standing(StandInDrive drive)
    {
        var (ohm, leakage) = drive.Motor.Standing(drive.Heat.WindingC, drive.Noise, drive.Settings.NoisePct);
        return this with { Ohm = ohm, LeakagePu = leakage };
    }

    /// <summary>After an identification turning: the current at rated frequency with whatever is on the shaft.</summary>
    public StandInFound Turning(StandInDrive drive, Func<double, double> torqueAtRpm)
    {
        var plate = drive.Source.Model.Fitted!.Connected.Plate;
        var point = drive.Motor.At(drive.Typed.FrequencyHz, torqueAtRpm(plate.RatedSpeedRpm), atFullFlux: true);
        return this with { NoLoadA = point.CurrentA * drive.Noise.Noise(drive.Settings.NoisePct) };
    }

    /// <summary>After two ramps: torque halfway to rated speed, up and down.</summary>
    public StandInFound Ramps(StandInDrive drive, Func<double, double> torqueAtRpm, double hzPerS)
    {
        var plate = drive.Source.Model.Fitted!.Connected.Plate;
        var perS = hzPerS / plate.RatedFrequencyHz * plate.RatedSpeedRpm;
        var held = torqueAtRpm(plate.RatedSpeedRpm / 2);
        var speeding = (drive.Truth.InertiaKgM2 ?? double.NaN) * perS * Math.PI / 30;
        double Noisy(double nm) => nm * drive.Noise.Noise(drive.Settings.NoisePct);
        return double.IsNaN(speeding)
            ? this
            : this with { TorqueUpNm = Noisy(held + speeding), TorqueDownNm = Noisy(held - speeding), RpmPerS = perS };
    }

    /// <summary>After the brake was timed.</summary>
    public StandInFound Brake(StandInDrive drive)
    {
        if (drive.Source.Point.Brake is not HoldingBrake.SpringApplied brake)
        {
            return this;
        }

        var wired = (brake.Control.CommandFeedback ? 1 : 0) + (brake.Control.PositionFeedback ? 1 : 0);
        var lost = drive.Settings.Fault == HiddenFault.BrakeFeedbackLost ? 1 : 0;
        double? Timed(double? ms) => ms * drive.Truth.BrakeFactor * drive.Noise.Noise(drive.Settings.NoisePct);
        var slow = drive.Source.Brake?.SuppressionS is { } s ? 1e3 * s : (double?)null;
        return this with
        {
            ReleaseMs = Timed(brake.ReleaseMs.IsKnown ? brake.ReleaseMs.Value : null),

            // A timer that waits for a brake which does not close shows the end of its range.
            CloseMs = drive.Settings.Fault == HiddenFault.BrakeStaysOpen ? StandInInstruments.TimerEndMs
                : Timed(brake.CloseMs.IsKnown && slow is { } w ? brake.CloseMs.Value + w : null),
            Feedbacks = Math.Max(0, wired - lost),
        };
    }

    /// <summary>With what the vibration meter holds.</summary>
    public StandInFound Watched(StandInDrive drive) => StandInInstruments.Vibration(drive) is var now && now > LargestMmPerS
        ? this with { LargestMmPerS = now, LargestRpm = drive.SpeedRpm }
        : this;
}
