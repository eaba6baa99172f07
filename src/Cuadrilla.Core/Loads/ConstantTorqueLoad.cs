using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>Positive-displacement pump, screw, extruder, mixer or mill: torque hardly depends on speed.</summary>
/// <param name="Train">Gear and start.</param>
/// <param name="Duty">Hours at each speed.</param>
/// <param name="TorqueNm">Torque at the machine's shaft, Nm.</param>
/// <param name="RatedSpeedRpm">Rated speed of the machine, rpm.</param>
/// <param name="BreakawayPct">Torque at the first turn, % of the running torque.</param>
/// <param name="MinSpeedPu">Lowest speed in use, parts of the rated.</param>
public sealed record ConstantTorqueLoad(
    DriveTrain Train, ValueList<DutyPoint> Duty, Given TorqueNm, Given RatedSpeedRpm, Given BreakawayPct, Given MinSpeedPu)
    : MechanicalLoad(Train, Duty)
{
    /// <inheritdoc/>
    public override string InWords() => "constant torque";

    /// <inheritdoc/>
    public override Load Part(double partPu) => this with { Train = SharedTrain(partPu), TorqueNm = Shared(TorqueNm, partPu) };

    /// <inheritdoc/>
    internal override void Need(MissingNames names) =>
        names.Need(TorqueNm, "torque").Need(RatedSpeedRpm, "rated speed").Need(BreakawayPct, "breakaway torque");

    /// <inheritdoc/>
    internal override LoadModel? Make(MissingNames names, LoadDefaults defaults) =>
        new SteadyMechanicalModel(this, "speed", RatedSpeedRpm.Value, TorqueNm.Value, BreakawayPct.Value, 0);
}
