using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>What may spoil a front end.</summary>
[Flags]
internal enum SpoilingCause
{
    /// <summary>Nothing.</summary>
    None = 0,

    /// <summary>Unbalance of the line.</summary>
    Unbalance = 1,

    /// <summary>Distortion of the line and by all other front ends.</summary>
    Distortion = 2,

    /// <summary>Unequal leakages of phase-shifting transformers.</summary>
    Mismatch = 4,
}

/// <summary>Why a front end distorts as it does: the plant settled anew without each of the things that spoil it.</summary>
/// <param name="DrivePointId">Drive point, DC bus or group.</param>
/// <param name="Pulses">6, 12 or 18.</param>
/// <param name="ThdiPct">Distortion as it is, worst phase, %.</param>
/// <param name="WithoutUnbalancePct">The same on a balanced line; NaN when the line is balanced.</param>
/// <param name="WithoutDistortionPct">By itself on an undistorted line; NaN when its voltage is undistorted as it is.</param>
/// <param name="WithoutMismatchPct">With equal leakages; NaN when they are.</param>
/// <param name="IdealPct">Without any of these.</param>
/// <param name="ThirdA">Third order of the worst phase, A.</param>
/// <param name="UnbalancePct">Unbalance of the line, %.</param>
/// <param name="DistortionPct">Distortion of the EMF behind it, %.</param>
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
    private const double LeastPct = 1e-6;

    /// <summary>Those that matter.</summary>
    /// <param name="drives">Front ends, the largest contributors first.</param>
    internal static IReadOnlyList<DriveInScenario> Told(IEnumerable<DriveInScenario> drives)
    {
        var solved = drives.Where(d => d is { Circuit.Kind: RectifierKind.SixPulse, Front: RectifierResult.SteadyState,
            OwnEmf.IsEmpty: false }).ToList();
        return [.. solved.Where(d => d.Circuit!.Bridges > 1), .. solved.Where(d => d.Circuit!.Bridges == 1).Take(MostSixPulse)];
    }

    /// <summary>Tells of one.</summary>
    /// <param name="drive">The front end.</param>
    /// <param name="thdi">Its distortion in the plant without some of the causes, settled anew; NaN where that does not settle.</param>
    internal static FrontStory Of(DriveInScenario drive, Func<SpoilingCause, double> thdi)
    {
        var circuit = drive.Circuit!;
        var front = (RectifierResult.SteadyState)drive.Front;
        var emf = drive.OwnEmf;
        double Size(Func<int, bool> of) =>
            100 * Math.Sqrt(emf.Parts().Where(p => of(p.M)).Sum(p => Math.Pow(p.Part.Magnitude, 2))) / emf[1].Magnitude;
        var (unbalance, distortion) = (Size(m => m == -1), Size(m => Math.Abs(m) > 1));
        return new FrontStory(
            drive.DrivePointId,
            6 * circuit.Bridges,
            front.WorstPhase.ThdiPct,
            unbalance > LeastPct ? thdi(SpoilingCause.Unbalance) : double.NaN,
            distortion > LeastPct ? thdi(SpoilingCause.Distortion) : double.NaN,
            circuit.LeakageMismatchPu != 0 ? thdi(SpoilingCause.Mismatch) : double.NaN,
            thdi(SpoilingCause.Unbalance | SpoilingCause.Distortion | SpoilingCause.Mismatch),
            front.Phases.Max(p => p.Orders[2].Magnitude),
            unbalance,
            distortion);
    }
}
