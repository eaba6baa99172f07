using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Loads;

/// <summary>An operating point of a fan or pump at the shaft.</summary>
/// <param name="LevelPu">Total flow delivered in parts of the rated.</param>
/// <param name="SpeedRpm">Shaft speed, rpm.</param>
/// <param name="HeadPu">Pressure or head of the machine in parts of the rated.</param>
/// <param name="EfficiencyPu">Machine efficiency in parts of the rated.</param>
/// <param name="PowerW">Shaft power, W.</param>
public readonly record struct FluidPoint(double LevelPu, double SpeedRpm, double HeadPu, double EfficiencyPu, double PowerW)
{
    /// <summary>Shaft torque, Nm.</summary>
    public double TorqueNm => PowerW / (2 * Math.PI * SpeedRpm / 60);

    /// <summary>The same as a point of any load.</summary>
    public ShaftPoint Shaft => new(LevelPu, SpeedRpm, TorqueNm);
}

/// <summary>
/// A fan or pump with all it needs known. Shaft power = hydraulic power over efficiency; efficiency follows the
/// affinity-shifted parabola η/η_r = x·(2−x), x = q/n, through standstill and the rated point (C. Pfleiderer's similarity
/// laws; valid for radial machines between about 0.2 and 1.2 of the rated flow). See <c>docs/methods/fluid-machine.md</c>.
/// </summary>
public sealed class FluidMachineModel : LoadModel
{
    private const double GravityMPerS2 = 9.80665;

    private readonly double staticFraction;
    private readonly MachineCurve curve;

    // Flow of one machine in parts of the total: with machines on one path each carries its share.
    private readonly double machineFlowPu;

    // So many times as large at the same speed and head, in the same pipe.
    private FluidMachineModel(FluidMachineModel known, double size)
    {
        (RatedSpeedRpm, staticFraction, curve, Common) = (known.RatedSpeedRpm, known.staticFraction, known.curve, known.Common);
        (StopTimeS, RatedPressurePa, RatedEfficiency) = (known.StopTimeS, known.RatedPressurePa, known.RatedEfficiency);
        RatedTorqueNm = size * known.RatedTorqueNm;
        machineFlowPu = known.machineFlowPu / size;
    }

    private FluidMachineModel(double ratedPowerW, double ratedSpeedRpm, double staticFraction, MachineCurve curve, FluidMachine common)
    {
        RatedSpeedRpm = ratedSpeedRpm;
        this.staticFraction = staticFraction;
        this.curve = curve;
        Common = common;
        StopTimeS = common.StopTimeS;
        RatedTorqueNm = ratedPowerW / (2 * Math.PI * ratedSpeedRpm / 60);
        machineFlowPu = common.Path is ParallelPath.Common path ? (double)path.NeededAtRatedFlow / path.Running : 1;
    }

    /// <inheritdoc/>
    public override string LevelName => "flow";

    /// <inheritdoc/>
    public override IReadOnlyList<DutyPoint> Duty => Common.Duty;

    /// <inheritdoc/>
    public override double RatedSpeedRpm { get; }

    /// <inheritdoc/>
    public override double RatedTorqueNm { get; }

    /// <inheritdoc/>
    public override Given InertiaKgM2 => Common.InertiaKgM2;

    /// <inheritdoc/>
    public override Given StartTimeS => Common.StartTimeS;

    /// <summary>A fan or pump breaks away with next to nothing.</summary>
    public override double BreakawayNm => 0;

    /// <inheritdoc/>
    public override ShaftPoint At(double levelPu) => AtFlow(levelPu).Shaft;

    /// <summary>The entries the model was made from.</summary>
    public FluidMachine Common { get; }

    /// <summary>Speed below which nothing is delivered, rpm.</summary>
    public double FlowBeginsAtRpm => RatedSpeedRpm * PumpPoint.FlowBeginsAtSpeedPu(staticFraction, ShutOffPu);

    /// <summary>Pressure or head at no flow and rated speed, parts of the rated.</summary>
    public double ShutOffPu => curve.HeadPu(0);

    /// <summary>Static part of the system's pressure or head at rated flow.</summary>
    public double StaticFraction => staticFraction;

    /// <summary>Pressure rise at the rated point, Pa; not known where the shaft power is stated.</summary>
    public Given RatedPressurePa { get; private init; }

    /// <summary>Efficiency of the machine at the rated point; likewise.</summary>
    public Given RatedEfficiency { get; private init; }

    /// <summary>A machine so many times as large at the same speed and head, in the same pipe: flows are still parts of this one's.
    /// </summary>
    /// <param name="size">How many times, above 0.</param>
    public FluidMachineModel Sized(double size)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(size);
        return new FluidMachineModel(this, size);
    }

    /// <summary>Builds the model, or names what is missing.</summary>
    /// <param name="load">The load as entered.</param>
    /// <param name="missing">Names of the entries that are missing; empty when the model was built.</param>
    /// <returns>The model, or null when something is missing.</returns>
    public static FluidMachineModel? Build(FluidLoad load, out IReadOnlyList<string> missing)
    {
        ArgumentNullException.ThrowIfNull(load);
        var common = load.Common;
        var absent = new List<string>();
        Need(common.RatedSpeedRpm, "rated speed", absent);
        Need(load.StaticShare(), "static share", absent);
        var points = load is PumpLoad { Curve.Count: > 0 } own ? own.Curve : [];
        if (points.Count == 0)
        {
            Need(common.ShutOffPu, "pressure or head at no flow", absent);
        }

        var stated = common.RatedShaftKw.IsKnown && points.Count == 0;
        if (!stated)
        {
            NeedHydraulics(load, points.Count > 0, absent);
        }

        missing = absent;
        if (absent.Count > 0)
        {
            return null;
        }

        if (stated)
        {
            return new FluidMachineModel(common.RatedShaftKw.Value * 1e3, common.RatedSpeedRpm.Value, load.StaticShare().Value,
                new MachineCurve.Parabola(common.ShutOffPu.Value), common);
        }

        var pressurePa = load switch
        {
            FanLoad fan => fan.RatedPressurePa.Value,
            PumpLoad pump => pump.RatedHeadM.Value * pump.DensityKgPerM3.Value * GravityMPerS2,
            _ => throw new InvalidOperationException("Unknown fluid load."),
        };
        var (speedPu, efficiency, curve) = (1.0, common.RatedEfficiency, (MachineCurve?)null);
        if (points.Count > 0)
        {
            if (MachineCurve.Of(points, common.RatedFlowM3PerS.Value, ((PumpLoad)load).RatedHeadM.Value) is not var (speed, found,
                byPoints))
            {
                missing = ["points of the pump's curve up to its rated flow and head"];
                return null;
            }

            (speedPu, efficiency, curve) = (speed, found, byPoints);
        }

        var power = common.RatedFlowM3PerS.Value * pressurePa / efficiency.Value;
        return new FluidMachineModel(power, speedPu * common.RatedSpeedRpm.Value, load.StaticShare().Value,
            curve ?? new MachineCurve.Parabola(common.ShutOffPu.Value), common)
        { RatedPressurePa = pressurePa, RatedEfficiency = efficiency.Value };
    }

    private static void NeedHydraulics(FluidLoad load, bool hasCurve, List<string> absent)
    {
        Need(load.Common.RatedFlowM3PerS, "rated flow", absent);
        if (!hasCurve)
        {
            Need(load.Common.RatedEfficiency, "rated efficiency of the machine", absent);
        }

        switch (load)
        {
            case FanLoad fan:
                Need(fan.RatedPressurePa, "rated pressure", absent);
                break;
            case PumpLoad pump:
                Need(pump.RatedHeadM, "rated head", absent);
                Need(pump.DensityKgPerM3, "density", absent);
                break;
        }
    }

    /// <summary>
    /// Alone against the shared system one machine delivers more than its rated flow: a·n² − (a−1)·x² = s + (1−s)·(x/m)² with m machines
    /// needed at rated flow. Beyond its run-out the curve says nothing: the power there is taken.
    /// </summary>
    /// <param name="speedPu">Speed, parts of the rated.</param>
    public override ShaftPoint? Alone(double speedPu)
    {
        if (Common.Path is not ParallelPath.Common { Running: > 1 } path)
        {
            return null;
        }

        var needed = path.NeededAtRatedFlow;
        var most = needed * curve.SystemFlowPu(speedPu, staticFraction, needed);
        if (most <= 0)
        {
            return null;
        }

        var own = Math.Min(most, curve.RunOutPu * speedPu);
        return Point(own / needed, own, speedPu, curve.HeadAt(own, speedPu)).Shaft with { What = "one machine alone on the shared system" };
    }

    /// <summary>Operating point when speed is adjusted to the flow.</summary>
    public FluidPoint AtFlow(double flowPu)
    {
        var head = PumpPoint.SystemHeadPu(flowPu, staticFraction);
        var own = flowPu * machineFlowPu;
        return Point(flowPu, own, curve.SpeedForPu(own, head), head);
    }

    /// <summary>Operating point at a fixed speed, the surplus head destroyed in a damper or valve.</summary>
    public FluidPoint Throttled(double flowPu, double speedPu = 1)
    {
        var own = flowPu * machineFlowPu;
        return Point(flowPu, own, speedPu, curve.HeadAt(own, speedPu));
    }

    /// <summary>Operating point of a machine kept at its rated point while surplus flow returns.</summary>
    public FluidPoint Bypassed(double flowPu, double speedPu = 1) =>
        new(flowPu, speedPu * RatedSpeedRpm, speedPu * speedPu, 1, RatedPowerW * speedPu * speedPu * speedPu);

    /// <summary>Mean of a machine that runs at its full flow for that part of the time.</summary>
    public FluidPoint OnOff(double flowPu, double speedPu = 1)
    {
        var most = MostFlowPu(speedPu);
        return most > 0
            ? Throttled(most, speedPu) with { LevelPu = flowPu, PowerW = Throttled(most, speedPu).PowerW * Math.Min(flowPu / most, 1) }
            : Still(speedPu);
    }

    /// <summary>At the low speed where that delivers the flow, else at full speed; throttled either way.</summary>
    public FluidPoint TwoSpeed(double flowPu, double lowSpeedPu, double speedPu = 1)
    {
        var low = Throttled(flowPu, lowSpeedPu * speedPu);
        return low.HeadPu >= PumpPoint.SystemHeadPu(flowPu, staticFraction) && flowPu * machineFlowPu < lowSpeedPu * speedPu
            ? low
            : Throttled(flowPu, speedPu);
    }

    /// <summary>Largest flow that the system lets through at a speed, parts of the rated; 0 below the speed at which flow begins.</summary>
    public double MostFlowPu(double speedPu)
    {
        return curve.SystemFlowPu(speedPu, staticFraction, machineFlowPu);
    }

    /// <summary>Turning without delivering anything: power is the limit of q·h/η as q goes to 0, of the parabola a·n³/2.</summary>
    public FluidPoint Still(double speedPu) =>
        new(0, speedPu * RatedSpeedRpm, ShutOffPu * speedPu * speedPu, 0, curve.StillW(RatedPowerW, speedPu));

    /// <summary>
    /// As many machines of the common path as the flow needs at full speed, throttled together: the point of one that runs,
    /// and the part of all machines that do.
    /// </summary>
    public (FluidPoint Running, double Share) Staged(double flowPu, double speedPu = 1)
    {
        var (most, needed) = Common.Path is ParallelPath.Common path ? (path.Running, path.NeededAtRatedFlow) : (1, 1);
        var head = PumpPoint.SystemHeadPu(flowPu, staticFraction);
        for (var count = 1; count < most; count++)
        {
            var own = flowPu * needed / count;
            if (own < 1.2 * speedPu && curve.HeadAt(own, speedPu) >= head)
            {
                return (Point(flowPu, own, speedPu, curve.HeadAt(own, speedPu)), (double)count / most);
            }
        }

        return (Throttled(flowPu, speedPu), 1);
    }

    /// <summary>
    /// Torque of the load over speed, Nm: below the speed at which flow begins the machine churns at no flow.
    /// </summary>
    public override double TorqueAtSpeedNm(double speedRpm)
    {
        var n = speedRpm / RatedSpeedRpm;
        if (n <= 0)
        {
            return 0;
        }

        return MostFlowPu(n) is > 0 and var flow
            ? Point(flow, flow * machineFlowPu, n, PumpPoint.SystemHeadPu(flow, staticFraction)).TorqueNm
            : Still(n).TorqueNm;
    }

    private FluidPoint Point(double flowPu, double machineFlow, double speedPu, double headPu)
    {
        var powerW = curve.PowerW(RatedPowerW, machineFlow, speedPu, headPu);
        var efficiency = powerW > 0 ? machineFlow * headPu * RatedPowerW / powerW : 0;
        return new FluidPoint(flowPu, speedPu * RatedSpeedRpm, headPu, efficiency, powerW);
    }

    private static void Need(Given value, string name, List<string> absent)
    {
        if (!value.IsKnown)
        {
            absent.Add(name);
        }
    }

    /// <summary>Shaft point of the existing flow control at a flow; null when none is stated.</summary>
    /// <param name="inletVanes">The catalogue's curve of inlet vanes.</param>
    /// <param name="flowPu">Flow, parts of the rated.</param>
    /// <param name="speedPu">Speed at which the machine is driven, parts of its rated: what does not follow a converter follows the
    /// line.</param>
    public FluidPoint? Present(IReadOnlyList<CurvePoint> inletVanes, double flowPu, double speedPu = 1)
    {
        return Common.PresentControl switch
        {
            PresentControl.OutletThrottle => Throttled(flowPu, speedPu),
            PresentControl.Bypass => Bypassed(flowPu, speedPu),
            PresentControl.InletVanes => Bypassed(flowPu, speedPu) is var full
                ? full with { PowerW = full.PowerW * Curve.At(Vanes(inletVanes), flowPu / speedPu) }
                : null,
            PresentControl.OnOff => OnOff(flowPu, speedPu),
            PresentControl.TwoSpeedHalf => TwoSpeed(flowPu, 1.0 / 2, speedPu),
            PresentControl.TwoSpeedTwoThirds => TwoSpeed(flowPu, 2.0 / 3, speedPu),
            PresentControl.Staged => Staged(flowPu, speedPu) is var (running, share)
                ? running with { PowerW = running.PowerW * share }
                : null,
            PresentControl.NotStated => null,
            _ => throw new InvalidOperationException("Unknown existing flow control."),
        };
    }

    private IReadOnlyList<CurvePoint> Vanes(IReadOnlyList<CurvePoint> catalogue) =>
        Common.VaneCurve.Count == 0 ? catalogue : [.. Common.VaneCurve.Select(p => new CurvePoint(p.FlowPu, p.PowerPu))];
}
