using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Loads;

/// <summary>
/// A machine whose torque does not depend on its speed once it turns. See <c>docs/methods/mechanical-loads.md</c>.
/// </summary>
internal sealed class SteadyMechanicalModel : LoadModel
{
    private readonly Gearing gearing;
    private readonly double machineNm;
    private readonly double machineRpm;

    /// <param name="load">The load as entered.</param>
    /// <param name="levelName">What its level stands for.</param>
    /// <param name="machineRpm">Rated speed of the machine.</param>
    /// <param name="machineNm">Torque at the machine, negative when it drives.</param>
    /// <param name="breakawayPct">Torque at the first turn, % of the running torque.</param>
    /// <param name="massInertiaKgM2">Inertia at the machine that follows from other entries.</param>
    public SteadyMechanicalModel(
        MechanicalLoad load, string levelName, double machineRpm, double machineNm, double breakawayPct, double massInertiaKgM2)
    {
        gearing = Gearing.Of(load.Train);
        this.machineNm = machineNm;
        this.machineRpm = machineRpm;
        LevelName = levelName;
        Duty = load.Duty;
        RatedSpeedRpm = gearing.SpeedRpm(machineRpm);
        RatedTorqueNm = gearing.TorqueNm(machineNm, 1);
        BreakawayNm = gearing.TorqueNm(Math.Abs(machineNm) * breakawayPct / 100, 1);
        InertiaKgM2 = load.Train.InertiaKgM2.IsKnown ? gearing.InertiaKgM2(load.Train.InertiaKgM2.Value + massInertiaKgM2) : Given.Unknown;
        StartTimeS = load.Train.StartTimeS;
        StopTimeS = load.Train.StopTimeS;
    }

    /// <inheritdoc/>
    public override string LevelName { get; }

    /// <inheritdoc/>
    public override IReadOnlyList<DutyPoint> Duty { get; }

    /// <inheritdoc/>
    public override double RatedSpeedRpm { get; }

    /// <inheritdoc/>
    public override double RatedTorqueNm { get; }

    /// <inheritdoc/>
    public override Given InertiaKgM2 { get; }

    /// <inheritdoc/>
    public override Given StartTimeS { get; }

    /// <inheritdoc/>
    public override double BreakawayNm { get; }

    /// <inheritdoc/>
    public override ShaftPoint At(double levelPu) => new(levelPu, levelPu * gearing.SpeedRpm(machineRpm), gearing.TorqueNm(machineNm, 1));

    /// <summary>The running torque, and below a twentieth of rated speed a straight line up to the breakaway torque.</summary>
    public override double TorqueAtSpeedNm(double speedRpm)
    {
        var still = Math.Max(0, 1 - (speedRpm / (0.05 * RatedSpeedRpm)));
        return RatedTorqueNm + (still * Math.Max(0, BreakawayNm - RatedTorqueNm));
    }
}
