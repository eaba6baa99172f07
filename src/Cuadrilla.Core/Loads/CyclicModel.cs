using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Loads;

/// <summary>A machine that repeats a cycle. Its rated point is where it takes the most power.</summary>
internal sealed class CyclicModel : LoadModel
{
    private static readonly double[] NearEnds = [0.01, 0.99];

    private readonly CycleSlice working;

    public CyclicModel(MechanicalLoad load, IReadOnlyList<CycleStretch> stretches, double inertiaKgM2, HangingLoad? hanging,
        IReadOnlyList<CycleStretch> brokenOff)
    {
        Hanging = hanging;
        BrokenOff = brokenOff;
        Duty = load.Duty;
        Cycle = new LoadCycle(stretches);
        InertiaKgM2 = inertiaKgM2;
        StopTimeS = load.Train.StopTimeS;
        working = stretches.Select(s => new CycleSlice(s.DurationS, s.MeanRpm, s.TorqueNm(0.5, 0), s.Rests))
            .MaxBy(s => s.TorqueNm * s.SpeedRpm);
        RatedSpeedRpm = stretches.Max(s => Math.Max(Math.Abs(s.StartRpm), Math.Abs(s.EndRpm)));

        // The torque that is asked without acceleration: that of the same stretches moved without haste.
        var steady = stretches.Where(s => !s.Rests).Select(s => s with { MachineKgM2 = 0, HangingKgM2 = 0 }).ToList();
        BreakawayNm = steady.Count == 0 ? 0 : steady.Max(s => Math.Max(Math.Abs(s.TorqueNm(0, 0)), Math.Abs(s.TorqueNm(1, 0))));

        // Along the way it turns: below zero where the load drives on.
        LeastNm = steady.Where(s => s.MeanRpm != 0).SelectMany(s => NearEnds.Select(x => Math.Sign(s.MeanRpm) * s.TorqueNm(x, 0)))
            .DefaultIfEmpty(0).Min();
        foreach (var s in brokenOff.Where(s => s.IsConstant).Select(s => s with { MachineKgM2 = 0, HangingKgM2 = 0 }))
        {
            LeastNm = Math.Min(LeastNm, -Math.Abs(s.TorqueNm(0.5, 0)));
        }
    }

    private double LeastNm { get; }

    /// <inheritdoc/>
    public override string LevelName => "rate of cycles";

    /// <inheritdoc/>
    public override IReadOnlyList<DutyPoint> Duty { get; }

    /// <inheritdoc/>
    public override LoadCycle Cycle { get; }

    /// <inheritdoc/>
    public override IReadOnlyList<CycleStretch> BrokenOff { get; }

    /// <inheritdoc/>
    public override HangingLoad? Hanging { get; }

    /// <inheritdoc/>
    public override double RatedSpeedRpm { get; }

    /// <summary>Of the stretch that takes the most power.</summary>
    public override double RatedTorqueNm => Math.Abs(working.TorqueNm);

    /// <inheritdoc/>
    public override Given InertiaKgM2 { get; }

    /// <summary>The cycle says how fast it accelerates.</summary>
    public override Given StartTimeS => Given.Unknown;

    /// <inheritdoc/>
    public override double BreakawayNm { get; }

    /// <inheritdoc/>
    public override ShaftPoint At(double levelPu) => working.Shaft(levelPu);

    /// <summary>The largest torque without acceleration, at any speed.</summary>
    public override double TorqueAtSpeedNm(double speedRpm) => BreakawayNm;

    /// <inheritdoc/>
    public override double StoppingTorqueNm(double speedRpm) => LeastNm;

    /// <summary>A stop from the highest speed.</summary>
    public override IReadOnlyList<StartPoint> StartPoints() => [new StartPoint(RatedSpeedRpm, BreakawayNm, InertiaKgM2)];
}
