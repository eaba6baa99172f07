namespace Cuadrilla.Core.Catalogue;

/// <summary>Defaults of groups, shared shafts, brakes, followers and servo axes. Equal by value.</summary>
/// <param name="GroupCurrentFactor">Converter current of a group over the sum of its motors.</param>
/// <param name="LateStartOnOverload">True when a late start may use the converter's overload.</param>
/// <param name="ModuleSharePu">Current of parallel modules in parts of their sum.</param>
/// <param name="ShareImbalancePct">Largest deviation of a unit from its share of a shaft, % of rated torque.</param>
/// <param name="MotorOverloadPu">Current that a motor stands for a short time, parts of rated.</param>
/// <param name="MotorOverloadS">That time, s.</param>
/// <param name="BrakeHoldingFactor">Holding torque of a brake over the gravity torque.</param>
/// <param name="BrakeRollbackMm">Way that a load may move without the drive's command, mm.</param>
/// <param name="BrakeDropOutPu">Coil current at which a brake drops, parts of rated.</param>
/// <param name="ZenerPu">Clamping voltage of a zener diode, parts of the coil's voltage.</param>
/// <param name="VaristorPu">Clamping voltage of a varistor, parts of the coil's voltage.</param>
/// <param name="MagnetisingS">Time until a motor is magnetised, s.</param>
/// <param name="FollowerRoundingPct">Permitted error of a ratio by rounding, %.</param>
/// <param name="FollowerResolutionPct">Permitted size of one pulse in the sampling time, % of the least speed.</param>
/// <param name="ResistorWindowS">Time over which the mean power of a brake resistor counts, s.</param>
/// <param name="ServoInertiaRatio">Largest inertia of the load over the motor's on a servo axis.</param>
public sealed record LineupDefaults(
    double GroupCurrentFactor,
    bool LateStartOnOverload,
    double ModuleSharePu,
    double ShareImbalancePct,
    double MotorOverloadPu,
    double MotorOverloadS,
    double BrakeHoldingFactor,
    double BrakeRollbackMm,
    double BrakeDropOutPu,
    double ZenerPu,
    double VaristorPu,
    double MagnetisingS,
    double FollowerRoundingPct,
    double FollowerResolutionPct,
    double ServoInertiaRatio,
    double ResistorWindowS)
{
    /// <summary>Resolves them.</summary>
    /// <param name="of">Value of a key.</param>
    public static LineupDefaults Resolve(Func<string, double> of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return new LineupDefaults(
            of("group-current-factor"), of("group-late-start-on-overload") >= 0.5, of("module-share-pu"), of("share-imbalance-pct"), of("motor-overload-pu"), of("motor-overload-s"),
            of("brake-holding-factor"), of("brake-rollback-mm"), of("brake-drop-out-pu"), of("brake-zener-pu"), of("brake-varistor-pu"), of("magnetising-s"),
            of("follower-rounding-pct"), of("follower-resolution-pct"), of("servo-inertia-ratio"), of("resistor-window-s"));
    }
}
