using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

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
    Given BreakawayPct) : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    public override string InWords() => "group of rollers";

    /// <inheritdoc/>
    public override Load Part(double partPu) => this with { Train = SharedTrain(partPu), TorqueEachNm = Shared(TorqueEachNm, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(Rollers, "number of rollers").Need(TorqueEachNm, "torque of a roller").Need(SimultaneityPct, "simultaneity")
        .Need(RatedSpeedRpm, "rated speed").Need(BreakawayPct, "breakaway torque");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) =>
        new SteadyMechanicalModel(this, "speed", RatedSpeedRpm.Value, Rollers.Value * TorqueEachNm.Value * SimultaneityPct.Value / 100,
            BreakawayPct.Value, 0);
}
