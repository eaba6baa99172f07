using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Loads;

/// <summary>
/// A belt conveyor: force at the drum by ISO 5048 in its short form, C·f·L·g·(m_R + (2·m_B + m_G)·cos δ) + m_G·H·g. While it drives
/// itself the low friction factor counts, while it is driven the high one; stopping and braking are judged at any filling.
/// </summary>
internal sealed class ConveyorModel : LoadModel
{
    private const double GravityMPerS2 = 9.80665;

    private readonly ConveyorLoad load;
    private readonly Gearing gearing;
    private readonly double radiusM;
    private readonly double low;

    public ConveyorModel(ConveyorLoad load, LoadDefaults defaults)
    {
        this.load = load;
        gearing = Gearing.Of(load.Train);
        radiusM = load.DrumDiameterM.Value / 2;
        low = Math.Min(load.FrictionFactor.Value,
            load.RegenerationFriction.IsKnown ? load.RegenerationFriction.Value : defaults.RegenerationFriction);
        RatedSpeedRpm = gearing.SpeedRpm(60 * load.BeltSpeedMPerS.Value / (Math.PI * load.DrumDiameterM.Value));
        RatedTorqueNm = TorqueNm(1, ForceN(load, load.FrictionFactor.Value, 1) >= 0 ? load.FrictionFactor.Value : low);
        BreakawayNm = gearing.TorqueNm(Math.Abs(ForceN(load, load.FrictionFactor.Value, 1)) * radiusM * load.BreakawayPct.Value / 100, 1);
        var material = load.MassFlowKgPerS.Value / load.BeltSpeedMPerS.Value;
        var moving = (load.RollerKgPerM.Value + (2 * load.BeltKgPerM.Value) + material) * load.LengthM.Value * radiusM * radiusM;
        InertiaKgM2 = load.Train.InertiaKgM2.IsKnown ? gearing.InertiaKgM2(load.Train.InertiaKgM2.Value + moving) : Given.Unknown;
        StartTimeS = load.Train.StartTimeS;
        StopTimeS = load.Train.StopTimeS;
    }

    /// <inheritdoc/>
    public override string LevelName => "belt speed";

    /// <inheritdoc/>
    public override IReadOnlyList<DutyPoint> Duty => load.Duty;

    /// <inheritdoc/>
    public override double RatedSpeedRpm { get; }

    /// <summary>Full, with the friction that counts for its direction; negative downhill where the belt drives.</summary>
    public override double RatedTorqueNm { get; }

    /// <summary>Full.</summary>
    public override Given InertiaKgM2 { get; }

    /// <inheritdoc/>
    public override Given StartTimeS { get; }

    /// <inheritdoc/>
    public override double BreakawayNm { get; }

    /// <inheritdoc/>
    public override ShaftPoint At(double levelPu) => new(levelPu, levelPu * RatedSpeedRpm, RatedTorqueNm);

    /// <summary>Full and empty, each with low and with high friction.</summary>
    public override IReadOnlyList<ShaftPoint> SizingPointsAt(double levelPu) =>
    [
        .. new[] { (1.0, load.FrictionFactor.Value), (1.0, low), (0.0, load.FrictionFactor.Value), (0.0, low) }
            .Select(c => new ShaftPoint(levelPu, levelPu * RatedSpeedRpm, TorqueNm(c.Item1, c.Item2))),
    ];

    /// <summary>The running torque, and below a twentieth of rated speed a straight line up to the breakaway torque.</summary>
    public override double TorqueAtSpeedNm(double speedRpm)
    {
        var still = Math.Max(0, 1 - (speedRpm / (0.05 * RatedSpeedRpm)));
        return RatedTorqueNm + (still * Math.Max(0, BreakawayNm - RatedTorqueNm));
    }

    /// <summary>The least of full and empty with low friction.</summary>
    public override double StoppingTorqueNm(double speedRpm) => Math.Min(TorqueNm(1, low), TorqueNm(0, low));

    /// <summary>Force at the drive drum, N; negative when a downhill belt drives.</summary>
    /// <param name="load">The conveyor.</param>
    /// <param name="friction">Friction factor f.</param>
    /// <param name="fill">Material on the belt, parts of what the mass flow puts there.</param>
    public static double ForceN(ConveyorLoad load, double friction, double fill)
    {
        var sine = load.LiftM.Value / load.LengthM.Value;
        var cosine = Math.Sqrt(Math.Max(0, 1 - (sine * sine)));
        var material = fill * load.MassFlowKgPerS.Value / load.BeltSpeedMPerS.Value;
        var resistance = load.SecondaryFactor.Value * friction * load.LengthM.Value * GravityMPerS2
            * (load.RollerKgPerM.Value + (((2 * load.BeltKgPerM.Value) + material) * cosine));
        return resistance + (material * load.LiftM.Value * GravityMPerS2);
    }

    private double TorqueNm(double fill, double friction) => gearing.TorqueNm(ForceN(load, friction, fill) * radiusM, 1);
}
