using Cuadrilla.Core.Base;
using Cuadrilla.Core.Brakes;
using Cuadrilla.Core.Catalogue;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.Brakes;

/// <summary>A drive point's holding brake resolved: what it holds, its times, its movement.</summary>
public sealed class BrakeModel
{
    // A longer travel at full speed shows nothing new.
    private const double LongestTravelS = 1.5;

    private BrakeModel(DrivePointModel point, HoldingBrake.SpringApplied brake, IReadOnlyList<string> missing)
    {
        Point = point;
        Brake = brake;
        Missing = missing;
    }

    /// <summary>The drive point.</summary>
    public DrivePointModel Point { get; }

    /// <summary>What is specified.</summary>
    public HoldingBrake.SpringApplied Brake { get; }

    /// <summary>What is missing before the sequence can be computed.</summary>
    public IReadOnlyList<string> Missing { get; }

    /// <summary>True when something hangs on the shaft.</summary>
    public bool Hangs => Point.Load?.Hanging is not null;

    /// <summary>Delay of the closing by the suppression, s; null while it is not known.</summary>
    public double? SuppressionS => Brake.Coil.Suppression == CoilSuppression.None
        ? 0
        : Brake.Coil.TimeConstantMs.IsKnown
            ? CoilCircuit.DelayS(Brake.Coil.TimeConstantMs.Value / 1e3, Defaults.BrakeDropOutPu, Brake.Coil.Suppression switch
            {
                CoilSuppression.Zener => Defaults.ZenerPu,
                CoilSuppression.Varistor => Defaults.VaristorPu,
                _ => 0,
            })
            : null;

    /// <summary>Current of the coil, A; null while it is not known.</summary>
    public double? CoilA => Brake.Coil is { PowerW.IsKnown: true, VoltageV.IsKnown: true } c
        ? CoilCircuit.CurrentA(c.PowerW.Value, c.VoltageV.Value)
        : null;

    // What Missing names is then there.
    private DriveOnConverter Drive => (DriveOnConverter)Point;

    private LineupDefaults Defaults => Point.Input.Defaults.Lineups;

    /// <summary>Resolves the brake of a drive point; null when it has none.</summary>
    public static BrakeModel? Of(DrivePointModel point)
    {
        ArgumentNullException.ThrowIfNull(point);
        if (point.Input.DrivePoint.Brake is not HoldingBrake.SpringApplied brake)
        {
            return null;
        }

        List<string> missing = [.. point.Missing()];
        if (point.Starter is not null)
        {
            missing.Add("a converter: the sequence needs torque before the release");
        }

        if (point.Load is { } load && !load.InertiaKgM2.IsKnown)
        {
            missing.Add("inertia of the machine");
        }

        if (point.Load is { Hanging: null } still && !still.StartTimeS.IsKnown)
        {
            missing.Add("start time");
        }

        void Need(Given value, string name)
        {
            if (!value.IsKnown)
            {
                missing.Add(name);
            }
        }

        Need(brake.HoldingNm, "holding torque of the brake");
        Need(brake.ReleaseMs, "release time of the brake");
        Need(brake.CloseMs, "closing time of the brake");
        Need(brake.Control.ProvenPct, "torque proven before the release");
        Need(brake.Control.CloseBelowPct, "speed below which the brake closes");
        if (brake.Coil.Suppression != CoilSuppression.None)
        {
            Need(brake.Coil.TimeConstantMs, "time constant of the brake's coil");
        }

        if (!brake.Control.PositionFeedback)
        {
            Need(brake.Control.SpeedAfterReleaseMs, "time from the release command to the speed reference");
            Need(brake.Control.HoldMs, "time for which torque is held after the close command");
        }

        return new BrakeModel(point, brake, missing);
    }

    /// <summary>What motor and brake hold; requires everything that <see cref="Missing"/> names.</summary>
    public BrakeMechanics Mechanics()
    {
        var load = Drive.Load;
        var plate = Drive.Motor.Plate;
        return new BrakeMechanics(
            load.InertiaKgM2.Value + plate.InertiaKgM2, load.Hanging?.GravityNm ?? 0, load.Hanging?.MPerRad ?? (1 / (2 * Math.PI)),
            plate.RatedTorqueNm, UnitLimits.LargestNm(Drive, SpeedRpm), Defaults.MagnetisingS);
    }

    /// <summary>Its times; requires everything that <see cref="Missing"/> names.</summary>
    public BrakeTimes Times()
    {
        var control = Brake.Control;
        return new BrakeTimes(
            Brake.HoldingNm.Value,
            Brake.ReleaseMs.Value / 1e3,
            (Brake.CloseMs.Value / 1e3) + SuppressionS!.Value,
            control.ProvenPct.Value / 100 * Drive.Motor.Plate.RatedTorqueNm,
            control.SpeedAfterReleaseMs.IsKnown ? control.SpeedAfterReleaseMs.Value / 1e3 : 0,
            control.CloseBelowPct.Value / 100 * SpeedRpm * 2 * Math.PI / 60,
            control.CloseDelayS.IsKnown ? control.CloseDelayS.Value : double.PositiveInfinity,
            control.HoldMs.IsKnown ? control.HoldMs.Value / 1e3 : 0,
            control.PositionFeedback);
    }

    /// <summary>Runs the sequence; null while something is missing.</summary>
    /// <param name="fault">What goes wrong.</param>
    /// <param name="up">Direction; down lets the load down.</param>
    public BrakeSequenceResult? Run(BrakeFault fault, bool up)
    {
        if (Missing.Count > 0)
        {
            return null;
        }

        var hanging = Drive.Load.Hanging;
        var move = new BrakeMove((up ? 1 : -1) * SpeedRpm * 2 * Math.PI / 60, hanging?.RampS ?? Drive.Load.StartTimeS.Value,
            Math.Min(LongestTravelS, hanging?.TravelS ?? LongestTravelS));
        return BrakeSequence.Run(Mechanics(), Times(), move, fault);
    }

    private double SpeedRpm => Drive.Load.Hanging?.SpeedRpm ?? Drive.Load.RatedSpeedRpm;
}
