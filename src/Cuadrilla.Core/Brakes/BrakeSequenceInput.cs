namespace Cuadrilla.Core.Brakes;

/// <summary>What the motor and the brake hold.</summary>
/// <param name="InertiaKgM2">All inertia at the motor's shaft, hanging mass included, kg·m², &gt; 0.</param>
/// <param name="GravityNm">Torque of the hanging load, Nm, ≥ 0; it pulls backwards.</param>
/// <param name="MPerRad">Way of the load for a radian of the motor, m.</param>
/// <param name="RatedNm">Rated torque of the motor, Nm.</param>
/// <param name="LargestNm">Torque that motor and converter give at most, Nm.</param>
/// <param name="FluxS">Time until the motor is magnetised, s.</param>
public sealed record BrakeMechanics(double InertiaKgM2, double GravityNm, double MPerRad, double RatedNm, double LargestNm, double FluxS)
{
    /// <summary>Acceleration of the free load, a = T_g/J·r = m·g/(m + m_rot), m/s².</summary>
    public double FallMPerS2 => GravityNm / InertiaKgM2 * MPerRad;
}

/// <summary>Brake and its command times.</summary>
/// <param name="HoldingNm">Holding torque, Nm.</param>
/// <param name="ReleaseS">From release command to free, s.</param>
/// <param name="CloseS">From close command to full torque, suppression included, s.</param>
/// <param name="ProvenNm">Torque that must be there before the release, Nm.</param>
/// <param name="SpeedAfterReleaseS">From release command to speed reference without position feedback, s.</param>
/// <param name="CloseBelowRadPerS">Speed below which it closes, rad/s.</param>
/// <param name="CloseDelayS">Time after the stop command at which it closes anyway, s; infinite: never by time.</param>
/// <param name="HoldS">Torque held after the close command without position feedback, s.</param>
/// <param name="PositionFeedback">True when a switch says open or closed.</param>
public sealed record BrakeTimes(
    double HoldingNm, double ReleaseS, double CloseS, double ProvenNm, double SpeedAfterReleaseS, double CloseBelowRadPerS,
    double CloseDelayS, double HoldS, bool PositionFeedback);

/// <summary>A movement.</summary>
/// <param name="SpeedRadPerS">Speed, rad/s; negative lets the load down.</param>
/// <param name="RampS">Time of each ramp, s.</param>
/// <param name="TravelS">Time between the ramps, s.</param>
public sealed record BrakeMove(double SpeedRadPerS, double RampS, double TravelS);

/// <summary>What goes wrong.</summary>
public enum BrakeFault
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>It takes three times as long to release.</summary>
    LateRelease,

    /// <summary>It is released with the start command, before there is torque.</summary>
    ReleasedBeforeTorque,

    /// <summary>Its close command comes a quarter of the ramp after the stop command.</summary>
    ClosesAtSpeed,

    /// <summary>Torque is switched off with the close command.</summary>
    TorqueOffEarly,

    /// <summary>It does not close and nothing says that it is closed.</summary>
    DoesNotClose,

    /// <summary>It opens and nothing says so.</summary>
    OpenNotConfirmed,

    /// <summary>All power is lost at full speed.</summary>
    PowerLost,
}

/// <summary>Phase of the sequence.</summary>
public enum BrakePhase
{
    /// <summary>The motor is magnetised.</summary>
    Magnetise,

    /// <summary>Torque is built up against the closed brake.</summary>
    ProveTorque,

    /// <summary>The brake opens.</summary>
    Release,

    /// <summary>The load moves.</summary>
    Move,

    /// <summary>The drive stops it.</summary>
    Stop,

    /// <summary>The brake closes, the motor holds.</summary>
    Close,

    /// <summary>All is off.</summary>
    Off,

    /// <summary>The motor holds at zero speed and warns.</summary>
    HoldAndWarn,
}

/// <summary>A moment of the sequence.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="Phase">Phase.</param>
/// <param name="PositionM">Position of the load, m.</param>
/// <param name="SpeedRadPerS">Speed of the motor, rad/s.</param>
/// <param name="MotorNm">Torque of the motor, Nm.</param>
/// <param name="Clamped">True while the brake is closed.</param>
/// <param name="Released">True while the release command is on.</param>
public readonly record struct BrakeMoment(double TimeS, BrakePhase Phase, double PositionM, double SpeedRadPerS, double MotorNm,
    bool Clamped, bool Released);

/// <summary>What the sequence does.</summary>
/// <param name="Moments">Moments kept, in order.</param>
/// <param name="RollbackM">Largest way backwards before the load moves, m.</param>
/// <param name="DropM">Way of the load after the motor is off or power is lost, against its position then, m; positive downwards.</param>
/// <param name="ClampedAtRadPerS">Speed at which the brake touched, rad/s.</param>
/// <param name="BrakeJ">Work of the brake, J.</param>
/// <param name="EndPhase">Phase at the end.</param>
/// <param name="HeldAtEnd">True when the load stands at the end.</param>
public sealed record BrakeSequenceResult(
    IReadOnlyList<BrakeMoment> Moments, double RollbackM, double DropM, double ClampedAtRadPerS, double BrakeJ, BrakePhase EndPhase,
    bool HeldAtEnd);
