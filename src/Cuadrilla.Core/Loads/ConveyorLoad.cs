using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

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

    /// <inheritdoc/>
    public override string BrakeApplication() => LiftM is { IsKnown: true, Value: 0 } ? "level machine" : "inclined conveyor";

    /// <inheritdoc/>
    public override string InWords() => "belt conveyor";

    /// <inheritdoc/>
    public override string StartApplication() => "conveyor";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), MassFlowKgPerS = Shared(MassFlowKgPerS, partPu),
            RollerKgPerM = Shared(RollerKgPerM, partPu), BeltKgPerM = Shared(BeltKgPerM, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(MassFlowKgPerS, "mass flow").Need(LengthM, "length").Need(LiftM, "lift").Need(BeltSpeedMPerS, "belt speed")
        .Need(FrictionFactor, "friction factor").Need(SecondaryFactor, "factor of secondary resistances")
        .Need(RollerKgPerM, "mass of the idlers")
        .Need(BeltKgPerM, "mass of the belt").Need(DrumDiameterM, "drum diameter").Need(BreakawayPct, "breakaway force");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) => new ConveyorModel(this, defaults);
}
