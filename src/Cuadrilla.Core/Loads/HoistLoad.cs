using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>A hoist, skip or inclined haul that goes up loaded and down again.</summary>
/// <param name="Train">Gear and start; start time is that of a movement.</param>
/// <param name="Duty">Hours at each rate of cycles.</param>
/// <param name="MassKg">Load with its hook or skip, kg.</param>
/// <param name="ReturnMassKg">Mass on the way down, kg.</param>
/// <param name="CounterweightKg">Counterweight, kg, 0 for none.</param>
/// <param name="InclineDeg">Angle of the track, 90° for a hoist.</param>
/// <param name="SpeedMPerS">Speed of the load, m/s.</param>
/// <param name="LiftM">Way of the load, m.</param>
/// <param name="CyclesPerHour">Full cycles per hour at level 1.</param>
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
    /// <summary>Rolling friction of the car on its track, parts of its weight on it; unknown: the project's value. A vertical hoist has
    /// none.</summary>
    public Given RollingFriction { get; init; }

    /// <inheritdoc/>
    public override string BrakeApplication() => "hoist";

    /// <inheritdoc/>
    public override string InWords() => InclineDeg is { IsKnown: true, Value: < 90 } ? "car on an incline" : "hoist";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), MassKg = Shared(MassKg, partPu), ReturnMassKg = Shared(ReturnMassKg, partPu),
            CounterweightKg = Shared(CounterweightKg, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(MassKg, "mass").Need(ReturnMassKg, "mass on the way down").Need(CounterweightKg, "counterweight")
            .Need(InclineDeg, "angle of the track")
        .Need(SpeedMPerS, "speed").Need(LiftM, "way").Need(CyclesPerHour, "cycles per hour").Need(Falls, "rope falls")
        .Need(DrumDiameterM, "drum diameter").Need(Efficiency, "efficiency of the ropes")
        .Need(Train.StartTimeS, "start time").Need(Train.InertiaKgM2, "inertia of the machine");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) => CycleBuilders.Hoist(this, names, defaults);
}
