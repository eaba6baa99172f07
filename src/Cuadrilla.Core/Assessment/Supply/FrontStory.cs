using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Assessment.Supply;

/// <summary>Why a front end distorts as it does: the same circuit again without each of the things that spoil it.</summary>
/// <param name="DrivePointId">Drive point, DC bus or group.</param>
/// <param name="Pulses">6, 12 or 18.</param>
/// <param name="ThdiPct">Distortion as it is, worst phase, %.</param>
/// <param name="WithoutUnbalancePct">The same on a balanced line; NaN when the line is balanced.</param>
/// <param name="WithoutDistortionPct">On an undistorted voltage; NaN when it is.</param>
/// <param name="WithoutMismatchPct">With equal leakages; NaN when they are.</param>
/// <param name="IdealPct">Without any of these.</param>
/// <param name="ThirdA">Third order of the worst phase, A.</param>
/// <param name="UnbalancePct">Unbalance of the line, %.</param>
/// <param name="DistortionPct">Distortion of the voltage behind it, orders 5 to 13, %.</param>
public sealed record FrontStory(
    string DrivePointId,
    int Pulses,
    double ThdiPct,
    double WithoutUnbalancePct,
    double WithoutDistortionPct,
    double WithoutMismatchPct,
    double IdealPct,
    double ThirdA,
    double UnbalancePct,
    double DistortionPct)
{
    // Six-pulse bridges are told of as far as they matter; those of more pulses always.
    private const int MostSixPulse = 2;

    /// <summary>Tells of those that matter.</summary>
    /// <param name="drives">Front ends, the largest contributors first.</param>
    /// <param name="rectifier">Solver, usually one that remembers.</param>
    public static IReadOnlyList<FrontStory> Of(IEnumerable<DriveInScenario> drives, Func<RectifierInput, RectifierResult> rectifier)
    {
        ArgumentNullException.ThrowIfNull(drives);
        ArgumentNullException.ThrowIfNull(rectifier);
        var solved = drives.Where(d => d is { Circuit.Kind: RectifierKind.SixPulse, Front: RectifierResult.SteadyState }).ToList();
        return
        [
            .. solved.Where(d => d.Circuit!.Bridges > 1).Concat(solved.Where(d => d.Circuit!.Bridges == 1).Take(MostSixPulse)).Select(d => Of(d, rectifier)),
        ];
    }

    private static FrontStory Of(DriveInScenario drive, Func<RectifierInput, RectifierResult> rectifier)
    {
        var circuit = drive.Circuit!;
        var front = (RectifierResult.SteadyState)drive.Front;
        double Thdi(RectifierInput input) => rectifier(input) is RectifierResult.LineDraw draw ? draw.WorstPhase.ThdiPct : double.NaN;
        return new FrontStory(
            drive.DrivePointId,
            6 * circuit.Bridges,
            front.WorstPhase.ThdiPct,
            circuit.UnbalancePu > 0 ? Thdi(circuit with { UnbalancePu = 0 }) : double.NaN,
            circuit.Background.IsZero ? double.NaN : Thdi(circuit with { Background = default }),
            circuit.LeakageMismatchPu != 0 ? Thdi(circuit with { LeakageMismatchPu = 0 }) : double.NaN,
            Thdi(circuit with { UnbalancePu = 0, Background = default, LeakageMismatchPu = 0 }),
            front.Phases.Max(p => p.Orders[2].Magnitude),
            100 * circuit.UnbalancePu,
            100 * Math.Sqrt(circuit.Background.SquareSum));
    }
}
