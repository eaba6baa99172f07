using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>A servo axis that moves a mass back and forth.</summary>
/// <param name="Train">Gear and start; start time is not used, the move says it.</param>
/// <param name="Duty">Hours at each rate of cycles.</param>
/// <param name="Shape">Profile of the move.</param>
/// <param name="MassKg">Moved mass, kg.</param>
/// <param name="FeedMPerRev">Way of the mass for a turn of pinion, pulley or screw, m.</param>
/// <param name="DistanceM">Way of a move, m.</param>
/// <param name="MoveTimeS">Time of a move, s.</param>
/// <param name="DwellS">Rest after each move, s.</param>
/// <param name="FrictionN">Friction of the guide, N.</param>
/// <param name="InclineDeg">Angle of the axis, 90° vertical, 0° level.</param>
public sealed record ServoAxisLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    MoveShape Shape,
    Given MassKg,
    Given FeedMPerRev,
    Given DistanceM,
    Given MoveTimeS,
    Given DwellS,
    Given FrictionN,
    Given InclineDeg) : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    public override string BrakeApplication() => InclineDeg is { IsKnown: true, Value: 0 } ? "level machine" : "vertical axis";

    /// <inheritdoc/>
    public override string InWords() => "servo axis";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), MassKg = Shared(MassKg, partPu), FrictionN = Shared(FrictionN, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(MassKg, "mass").Need(FeedMPerRev, "feed of a turn").Need(DistanceM, "distance").Need(MoveTimeS, "time of a move")
        .Need(DwellS, "dwell").Need(FrictionN, "friction").Need(InclineDeg, "angle of the axis")
        .Need(Train.InertiaKgM2, "inertia of the machine");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) => CycleBuilders.Servo(this);
}

/// <summary>Shape of a servo move.</summary>
public enum MoveShape
{
    /// <summary>A third each of acceleration, travel and braking.</summary>
    Trapezoid,

    /// <summary>Acceleration as a sine square: no jerk at the ends, twice the peak for the same thirds.</summary>
    SmoothS,
}
