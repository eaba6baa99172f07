namespace Cuadrilla.Core.Loads;

/// <summary>A machine that repeats a cycle. Its rated point is the stretch that takes the most power.</summary>
internal sealed class CyclicModel : LoadModel
{
    private readonly CycleStretch working;

    public CyclicModel(MechanicalLoad load, IReadOnlyList<CycleStretch> stretches, double inertiaKgM2, HangingLoad? hanging = null)
    {
        Hanging = hanging;
        Duty = load.Duty;
        Cycle = new LoadCycle(stretches);
        InertiaKgM2 = inertiaKgM2;
        working = stretches.MaxBy(s => s.TorqueNm * s.MeanRpm);
        RatedSpeedRpm = stretches.Max(s => Math.Max(Math.Abs(s.StartRpm), Math.Abs(s.EndRpm)));
        BreakawayNm = stretches.Max(s => Math.Abs(s.TorqueNm - s.AccelerationNm));
    }

    /// <inheritdoc/>
    public override string LevelName => "rate of cycles";

    /// <inheritdoc/>
    public override IReadOnlyList<DutyPoint> Duty { get; }

    /// <inheritdoc/>
    public override LoadCycle Cycle { get; }

    /// <inheritdoc/>
    public override HangingLoad? Hanging { get; }

    /// <inheritdoc/>
    public override double RatedSpeedRpm { get; }

    /// <summary>Of the stretch that takes the most power.</summary>
    public override double RatedTorqueNm => Math.Abs(working.TorqueNm);

    /// <inheritdoc/>
    public override double InertiaKgM2 { get; }

    /// <summary>The cycle says how fast it accelerates.</summary>
    public override double StartTimeS => double.NaN;

    /// <inheritdoc/>
    public override double BreakawayNm { get; }

    /// <inheritdoc/>
    public override ShaftPoint At(double levelPu) => new(levelPu, Math.Abs(working.MeanRpm), Math.Sign(working.TorqueNm * working.MeanRpm) * Math.Abs(working.TorqueNm));

    /// <summary>The largest torque without acceleration, at any speed.</summary>
    public override double TorqueAtSpeedNm(double speedRpm) => BreakawayNm;
}
