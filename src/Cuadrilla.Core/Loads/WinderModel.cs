using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Loads;

/// <summary>
/// A centre-driven winder or unwinder: n = v/(π·D), T = F(D)·D/2 ± friction at every diameter; the power F·v is the same at
/// all of them when the tension does not taper. See <c>docs/methods/winder.md</c>.
/// </summary>
internal sealed class WinderModel : LoadModel
{
    private const int Steps = 5;

    private readonly WinderLoad load;
    private readonly Gearing gearing;
    private readonly double core;
    private readonly double leastNm;
    private readonly double full;

    public WinderModel(WinderLoad load)
    {
        this.load = load;
        gearing = Gearing.Of(load.Train);
        core = load.CoreDiameterM.Value;
        full = load.FullDiameterM.Value;
        InertiaKgM2 = InertiaAt(full);
        leastNm = Diameters.Min(d => At(1, d).TorqueNm);
        StartTimeS = load.Train.StartTimeS;
        StopTimeS = load.Train.StopTimeS;
    }

    /// <inheritdoc/>
    public override string LevelName => "line speed";

    /// <inheritdoc/>
    public override IReadOnlyList<DutyPoint> Duty => load.Duty;

    /// <summary>At the core, where the roll turns fastest.</summary>
    public override double RatedSpeedRpm => At(1, core).SpeedRpm;

    /// <summary>At the core; the full roll asks for more torque at less speed.</summary>
    public override double RatedTorqueNm => At(1, core).TorqueNm;

    /// <summary>With the full roll.</summary>
    public override Given InertiaKgM2 { get; }

    /// <inheritdoc/>
    public override Given StartTimeS { get; }

    /// <summary>With the full roll.</summary>
    public override double BreakawayNm => Math.Abs(At(1, full).TorqueNm);

    /// <summary>Point at a line speed and diameter.</summary>
    public ShaftPoint At(double levelPu, double diameterM)
    {
        var machineRpm = 60 * levelPu * load.LineSpeedMPerS.Value / (Math.PI * diameterM);
        var pull = TensionN(diameterM) * diameterM / 2;
        var machineNm = load.FrictionNm.Value + (load.Unwinds ? -pull : pull);
        return new ShaftPoint(levelPu, gearing.SpeedRpm(machineRpm), gearing.TorqueNm(machineNm, 1));
    }

    /// <inheritdoc/>
    public override ShaftPoint At(double levelPu) => At(levelPu, core);

    /// <inheritdoc/>
    public override IReadOnlyList<ShaftPoint> PointsAt(double levelPu) =>
        [.. Diameters.Select(d => At(levelPu, d))];

    /// <summary>At every diameter the line reaches its speed in the same time; the full roll is the heaviest, the core turns
    /// fastest.</summary>
    public override IReadOnlyList<StartPoint> StartPoints() =>
        [.. Diameters.Select(d => At(1, d) is var p ? new StartPoint(p.SpeedRpm, p.TorqueNm, InertiaAt(d)) : default)];

    /// <summary>The web pulls on while the line stops: the least torque of all diameters.</summary>
    public override double StoppingTorqueNm(double speedRpm) => leastNm;

    /// <summary>Torque of the diameter that turns at this speed at rated line speed; below it the full roll's.</summary>
    public override double TorqueAtSpeedNm(double speedRpm)
    {
        var diameter = speedRpm > 0 ? core * RatedSpeedRpm / speedRpm : full;
        return At(1, Math.Clamp(diameter, core, full)).TorqueNm;
    }

    private IEnumerable<double> Diameters => Enumerable.Range(0, Steps).Select(i => core + ((full - core) * i / (Steps - 1)));

    private Given InertiaAt(double diameterM)
    {
        var roll = Math.PI / 32 * load.DensityKgPerM3.Value * load.WebWidthM.Value * (Math.Pow(diameterM, 4) - Math.Pow(core, 4));
        return load.Train.InertiaKgM2.IsKnown ? gearing.InertiaKgM2(load.Train.InertiaKgM2.Value + roll) : Given.Unknown;
    }

    private double TensionN(double diameterM)
    {
        var part = full > core ? (diameterM - core) / (full - core) : 0;
        return load.TensionN.Value * (1 - (load.TaperPct.Value / 100 * part));
    }
}
