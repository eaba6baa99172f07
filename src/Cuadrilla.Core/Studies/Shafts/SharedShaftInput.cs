using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Studies.Shafts;

/// <summary>A motor with its controller on a shared shaft.</summary>
/// <param name="RatedNm">Rated torque, Nm, &gt; 0.</param>
/// <param name="LargestNm">Torque that motor and converter give at most, Nm.</param>
/// <param name="InertiaKgM2">Inertia of the motor, kg·m².</param>
/// <param name="DroopPct">Fall of its speed from no load to rated torque, %; used with droop only.</param>
/// <param name="SpeedErrorPct">Error of its speed reference, %.</param>
/// <param name="TorqueErrorPct">Error of its torque, % of rated; used by torque followers.</param>
public sealed record SharingUnit([Above(0, 1e7)] double RatedNm, double LargestNm, [Above(0, 1e6)] double InertiaKgM2,
    [Above(0, 50)] double DroopPct, [Range(-10, 10)] double SpeedErrorPct, [Range(-50, 50)] double TorqueErrorPct);

/// <summary>How the units share.</summary>
public enum SharingKind
{
    /// <summary>Speed control with droop.</summary>
    Droop,

    /// <summary>Followers take the leader's torque reference.</summary>
    TorqueFollower,

    /// <summary>Speed control of all, without droop.</summary>
    SpeedFollower,

    /// <summary>Speed control of all, followers trimmed towards the leader's share.</summary>
    SpeedTrim,
}

/// <summary>A shaft over time: part load, a step, a unit lost, the unit back.</summary>
public sealed record SharingInput
{
    /// <summary>Two to eight, the leader first.</summary>
    public required IReadOnlyList<SharingUnit> Units { get; init; }

    /// <summary>How they share.</summary>
    public required SharingKind Kind { get; init; }

    /// <summary>Speed reference, rad/s, &gt; 0.</summary>
    public required double SpeedRadPerS { get; init; }

    /// <summary>Inertia of the load at the motors' shaft, kg·m², &gt; 0.</summary>
    public required double LoadInertiaKgM2 { get; init; }

    /// <summary>Torque of the load before the step, Nm.</summary>
    public required double IdleNm { get; init; }

    /// <summary>Torque of the load after it, Nm.</summary>
    public required double LoadNm { get; init; }

    /// <summary>Stiffness between each unit and the load, Nm/rad; infinite: rigid.</summary>
    public required double StiffnessNmPerRad { get; init; }

    /// <summary>Damping there, Nm·s/rad.</summary>
    public required double DampingNmSPerRad { get; init; }

    /// <summary>Speed band of torque followers, %.</summary>
    public required double SpeedWindowPct { get; init; }

    /// <summary>Largest trim, %.</summary>
    public required double TrimPct { get; init; }

    /// <summary>Torque limit of trimmed followers, % of rated.</summary>
    public required double TrimLimitPct { get; init; }

    /// <summary>Unit that is lost; -1: none.</summary>
    public required int LostUnit { get; init; }

    /// <summary>Moment of the load step, s.</summary>
    public double StepAtS { get; init; } = 2;

    /// <summary>Moment of the loss, s.</summary>
    public double LostAtS { get; init; } = 8;

    /// <summary>Moment of the reconnection, s.</summary>
    public double BackAtS { get; init; } = 12;

    /// <summary>Time looked at, s.</summary>
    public double SpanS { get; init; } = 20;

    /// <summary>True when all turn as one mass.</summary>
    public bool IsRigid => double.IsPositiveInfinity(StiffnessNmPerRad);
}

/// <summary>A moment of a shared shaft.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="SpeedRadPerS">Speed of the load, rad/s.</param>
/// <param name="SharesNm">Torque that each unit brings through its coupling, Nm.</param>
/// <param name="LoadNm">Torque of the load, Nm.</param>
/// <param name="AcceleratingNm">Torque that accelerates the load's inertia, Nm; shares = load + this.</param>
public sealed record SharingMoment(double TimeS, double SpeedRadPerS, double[] SharesNm, double LoadNm, double AcceleratingNm);

/// <summary>What the units do over the events.</summary>
/// <param name="Moments">Moments kept, in order.</param>
/// <param name="ImbalancePct">At the end of the loaded stretch: largest deviation of a unit's load from the mean, % of rated
/// torque.</param>
/// <param name="CirculatingNm">Torque that the units give each other then beyond equal shares, Nm.</param>
/// <param name="LoadedPu">Torque of each unit then, parts of its rated.</param>
/// <param name="AfterLossPu">Torque of each unit before the reconnection, parts of its rated.</param>
/// <param name="SpeedPu">Speed at the end of the loaded stretch, parts of the reference.</param>
/// <param name="SpeedAfterLossPu">Speed before the reconnection, parts of the reference.</param>
public sealed record SharingResult(
    IReadOnlyList<SharingMoment> Moments,
    double ImbalancePct,
    double CirculatingNm,
    IReadOnlyList<double> LoadedPu,
    IReadOnlyList<double> AfterLossPu,
    double SpeedPu,
    double SpeedAfterLossPu);
