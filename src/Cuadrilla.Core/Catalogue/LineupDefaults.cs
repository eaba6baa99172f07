using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Defaults of groups, shared shafts, brakes, followers and servo axes. Equal by value.</summary>
public sealed record LineupDefaults
{
    /// <summary>Converter current of a group over the sum of its motors.</summary>
    [Default("group-current-factor")]
    public double GroupCurrentFactor { get; init; }

    /// <summary>True when a late start may use the converter's overload.</summary>
    [Default("group-late-start-on-overload")]
    public bool LateStartOnOverload { get; init; }

    /// <summary>Current of parallel modules in parts of their sum.</summary>
    [Default("module-share-pu")]
    public double ModuleSharePu { get; init; }

    /// <summary>Largest deviation of a unit from its share of a shaft, % of rated torque.</summary>
    [Default("share-imbalance-pct")]
    public double ShareImbalancePct { get; init; }

    /// <summary>Current that a motor stands for a short time, parts of rated.</summary>
    [Default("motor-overload-pu")]
    public double MotorOverloadPu { get; init; }

    /// <summary>That time, s.</summary>
    [Default("motor-overload-s")]
    public double MotorOverloadS { get; init; }

    /// <summary>Holding torque of a brake over the gravity torque.</summary>
    [Default("brake-holding-factor")]
    public double BrakeHoldingFactor { get; init; }

    /// <summary>Way that a load may move without the drive's command, mm.</summary>
    [Default("brake-rollback-mm")]
    public double BrakeRollbackMm { get; init; }

    /// <summary>Coil current at which a brake drops, parts of rated.</summary>
    [Default("brake-drop-out-pu")]
    public double BrakeDropOutPu { get; init; }

    /// <summary>Clamping voltage of a zener diode, parts of the coil's voltage.</summary>
    [Default("brake-zener-pu")]
    public double ZenerPu { get; init; }

    /// <summary>Clamping voltage of a varistor, parts of the coil's voltage.</summary>
    [Default("brake-varistor-pu")]
    public double VaristorPu { get; init; }

    /// <summary>Time until a motor is magnetised, s.</summary>
    [Default("magnetising-s")]
    public double MagnetisingS { get; init; }

    /// <summary>Permitted error of a ratio by rounding, %.</summary>
    [Default("follower-rounding-pct")]
    public double FollowerRoundingPct { get; init; }

    /// <summary>Permitted size of one pulse in the sampling time, % of the minimum speed.</summary>
    [Default("follower-resolution-pct")]
    public double FollowerResolutionPct { get; init; }

    /// <summary>Largest inertia of the load over the motor's on a servo axis.</summary>
    [Default("servo-inertia-ratio")]
    public double ServoInertiaRatio { get; init; }

    /// <summary>Time over which the mean power of a brake resistor counts, s.</summary>
    [Default("resistor-window-s")]
    public double ResistorWindowS { get; init; }
}
