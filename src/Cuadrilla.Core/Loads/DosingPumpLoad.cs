using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

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
    Given BreakawayPct) : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    public override string InWords() => "dosing pump";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), DisplacementCm3PerRev = Shared(DisplacementCm3PerRev, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(DisplacementCm3PerRev, "displacement").Need(PressureBar, "pressure").Need(PumpEfficiency, "efficiency of the pump")
        .Need(RatedSpeedRpm, "rated speed").Need(BreakawayPct, "breakaway torque");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) =>
        new SteadyMechanicalModel(this, "speed", RatedSpeedRpm.Value,
            PressureBar.Value * 1e5 * DisplacementCm3PerRev.Value * 1e-6 / (2 * Math.PI * PumpEfficiency.Value), BreakawayPct.Value, 0);
}
