using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>A machine that is mainly inertia: large fan wheel, centrifuge, ball mill, saw.</summary>
/// <param name="Train">Gear and start; its inertia is the machine's.</param>
/// <param name="Duty">Hours at each speed.</param>
/// <param name="RunningTorqueNm">Torque at rated speed, Nm.</param>
/// <param name="RatedSpeedRpm">Rated speed, rpm.</param>
/// <param name="BreakawayPct">Torque at the first turn, % of the running torque.</param>
public sealed record HighInertiaLoad(
    DriveTrain Train, ValueList<DutyPoint> Duty, Given RunningTorqueNm, Given RatedSpeedRpm, Given BreakawayPct)
    : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    public override string InWords() => "heavy rotor";

    /// <inheritdoc/>
    public override string StartApplication() => "mill";

    /// <inheritdoc/>
    public override Load Part(double partPu) =>
        this with { Train = SharedTrain(partPu), RunningTorqueNm = Shared(RunningTorqueNm, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(RunningTorqueNm, "running torque").Need(RatedSpeedRpm, "rated speed").Need(BreakawayPct, "breakaway torque");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) =>
        new SteadyMechanicalModel(this, "speed", RatedSpeedRpm.Value, RunningTorqueNm.Value, BreakawayPct.Value, 0);
}
