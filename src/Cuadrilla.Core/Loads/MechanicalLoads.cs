using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>Gear and start between a machine and its motor.</summary>
/// <param name="GearRatio">Motor speed over machine speed, 0.05 to 2000; 1 without gear.</param>
/// <param name="GearEfficiency">Efficiency of the gear, 0.2 to 1.</param>
/// <param name="InertiaKgM2">Inertia at the machine's shaft that does not follow from the other entries, kg·m², ≥ 0.</param>
/// <param name="StartTimeS">Wanted time from rest to rated speed, s.</param>
public sealed record DriveTrain(Given GearRatio, Given GearEfficiency, Given InertiaKgM2, Given StartTimeS)
{
    /// <summary>Wanted time from rated speed to rest, s; unknown: none is asked.</summary>
    public Given StopTimeS { get; init; }
}

/// <summary>A machine whose torque follows from mechanics.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours a year at each level, at most 8760 h together.</param>
public abstract record MechanicalLoad(DriveTrain Train, ValueList<DutyPoint> Duty) : Load;

/// <summary>Positive-displacement pump, screw, extruder, mixer or mill: torque hardly depends on speed.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each speed.</param>
/// <param name="TorqueNm">Torque at the machine's shaft, Nm.</param>
/// <param name="RatedSpeedRpm">Rated speed of the machine, rpm.</param>
/// <param name="BreakawayPct">Torque at the first turn, % of the running torque.</param>
/// <param name="MinSpeedPu">Lowest speed in use, parts of the rated.</param>
public sealed record ConstantTorqueLoad(
    DriveTrain Train, ValueList<DutyPoint> Duty, Given TorqueNm, Given RatedSpeedRpm, Given BreakawayPct, Given MinSpeedPu)
    : MechanicalLoad(Train, Duty);

/// <summary>A machine that is mainly inertia: large fan wheel, centrifuge, ball mill, saw.</summary>
/// <param name="Train">Gear and start; its inertia is the machine's.</param>
/// <param name="Duty">Hours at each speed.</param>
/// <param name="RunningTorqueNm">Torque at rated speed, Nm.</param>
/// <param name="RatedSpeedRpm">Rated speed, rpm.</param>
/// <param name="BreakawayPct">Torque at the first turn, % of the running torque.</param>
public sealed record HighInertiaLoad(
    DriveTrain Train, ValueList<DutyPoint> Duty, Given RunningTorqueNm, Given RatedSpeedRpm, Given BreakawayPct)
    : MechanicalLoad(Train, Duty);

/// <summary>A belt conveyor.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each belt speed, loaded in proportion.</param>
/// <param name="MassFlowKgPerS">Material carried at rated belt speed, kg/s.</param>
/// <param name="LengthM">Distance between the drums, m.</param>
/// <param name="LiftM">Height gained, m; negative downhill.</param>
/// <param name="BeltSpeedMPerS">Rated belt speed, m/s.</param>
/// <param name="FrictionFactor">Friction factor f of ISO 5048, usually 0.02 to 0.03.</param>
/// <param name="SecondaryFactor">Factor C for secondary resistances, 1 to 10.</param>
/// <param name="RollerKgPerM">Turning parts of carrying and return idlers, kg for each metre.</param>
/// <param name="BeltKgPerM">Belt, one strand, kg for each metre.</param>
/// <param name="DrumDiameterM">Drive drum, m.</param>
/// <param name="BreakawayPct">Force at the first movement, % of the running force.</param>
public sealed record ConveyorLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    Given MassFlowKgPerS,
    Given LengthM,
    Given LiftM,
    Given BeltSpeedMPerS,
    Given FrictionFactor,
    Given SecondaryFactor,
    Given RollerKgPerM,
    Given BeltKgPerM,
    Given DrumDiameterM,
    Given BreakawayPct) : MechanicalLoad(Train, Duty)
{
    /// <summary>Friction factor while the belt drives the motor, usually 0.012 to 0.016; unknown: the project's value.</summary>
    public Given RegenerationFriction { get; init; }
}

/// <summary>Rollers that one converter turns together.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each speed.</param>
/// <param name="Rollers">How many, 1 to 500.</param>
/// <param name="TorqueEachNm">Torque of a loaded roller, Nm.</param>
/// <param name="SimultaneityPct">Share of the rollers loaded at once, %.</param>
/// <param name="RatedSpeedRpm">Speed of the rollers, rpm.</param>
/// <param name="BreakawayPct">Torque at the first turn, % of the running torque.</param>
public sealed record RollerGroupLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    Given Rollers,
    Given TorqueEachNm,
    Given SimultaneityPct,
    Given RatedSpeedRpm,
    Given BreakawayPct) : MechanicalLoad(Train, Duty);

/// <summary>A dosing pump that follows a leader at a ratio.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each speed.</param>
/// <param name="DisplacementCm3PerRev">Volume of a turn, cm³.</param>
/// <param name="PressureBar">Pressure difference, bar.</param>
/// <param name="PumpEfficiency">Hydro-mechanical efficiency, 0.1 to 1.</param>
/// <param name="RatedSpeedRpm">Speed at the largest dose, rpm.</param>
/// <param name="BreakawayPct">Torque at the first turn, % of the running torque.</param>
public sealed record DosingPumpLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    Given DisplacementCm3PerRev,
    Given PressureBar,
    Given PumpEfficiency,
    Given RatedSpeedRpm,
    Given BreakawayPct) : MechanicalLoad(Train, Duty);

/// <summary>A centre-driven winder or unwinder of a web.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each line speed.</param>
/// <param name="Unwinds">True when the web leaves the roll: the drive then brakes and regenerates all the time.</param>
/// <param name="LineSpeedMPerS">Line speed, m/s.</param>
/// <param name="TensionN">Tension at the core, N.</param>
/// <param name="TaperPct">By how much the tension falls to the full diameter, %.</param>
/// <param name="CoreDiameterM">Core, m.</param>
/// <param name="FullDiameterM">Full roll, m.</param>
/// <param name="WebWidthM">Width of the web, m.</param>
/// <param name="DensityKgPerM3">Density of the wound material, kg/m³.</param>
/// <param name="FrictionNm">Friction at the roll's shaft, Nm.</param>
public sealed record WinderLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    bool Unwinds,
    Given LineSpeedMPerS,
    Given TensionN,
    Given TaperPct,
    Given CoreDiameterM,
    Given FullDiameterM,
    Given WebWidthM,
    Given DensityKgPerM3,
    Given FrictionNm) : MechanicalLoad(Train, Duty);

/// <summary>A hoist, skip or inclined haul that goes up loaded and down again.</summary>
/// <param name="Train">Gear and start; start time is that of a movement.</param>
/// <param name="Duty">Hours at each rate of cycles.</param>
/// <param name="MassKg">Load with its hook or skip, kg.</param>
/// <param name="ReturnMassKg">Mass on the way down, kg.</param>
/// <param name="CounterweightKg">Counterweight, kg, 0 for none.</param>
/// <param name="InclineDeg">Angle of the track, 90° for a hoist.</param>
/// <param name="SpeedMPerS">Speed of the load, m/s.</param>
/// <param name="LiftM">Way of the load, m.</param>
/// <param name="CyclesPerHour">Full cycles an hour at level 1.</param>
/// <param name="Falls">Parts of rope that carry the load, 1 to 16.</param>
/// <param name="DrumDiameterM">Drum, m.</param>
/// <param name="Efficiency">Efficiency of ropes, guides and drum, 0.2 to 1.</param>
public sealed record HoistLoad(
    DriveTrain Train,
    ValueList<DutyPoint> Duty,
    Given MassKg,
    Given ReturnMassKg,
    Given CounterweightKg,
    Given InclineDeg,
    Given SpeedMPerS,
    Given LiftM,
    Given CyclesPerHour,
    Given Falls,
    Given DrumDiameterM,
    Given Efficiency) : MechanicalLoad(Train, Duty)
{
    /// <summary>Rolling friction of the car on its track, parts of its weight on it; unknown: the project's value. A vertical hoist has none.</summary>
    public Given RollingFriction { get; init; }
}

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
    Given InclineDeg) : MechanicalLoad(Train, Duty);

/// <summary>Speed and torque over time as recorded or wanted.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each rate of cycles.</param>
/// <param name="Points">At least two, time ascending from 0; the last closes the cycle.</param>
public sealed record ProfileLoad(DriveTrain Train, ValueList<DutyPoint> Duty, ValueList<ProfilePoint> Points) : MechanicalLoad(Train, Duty);

/// <summary>A point of a profile at the machine's shaft.</summary>
public sealed record ProfilePoint(double TimeS, double SpeedRpm, double TorqueNm);

/// <summary>Shape of a servo move.</summary>
public enum MoveShape
{
    /// <summary>A third each of acceleration, travel and braking.</summary>
    Trapezoid,

    /// <summary>Acceleration as a sine square: no jerk at the ends, twice the peak for the same thirds.</summary>
    SmoothS,
}
