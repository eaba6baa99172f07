using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

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

    /// <summary>Tells of those that matter.</summary>
    /// <param name="drives">Front ends, the largest contributors first.</param>
    public static IReadOnlyList<FrontStory> Of(IEnumerable<DriveInScenario> drives)
    {
        ArgumentNullException.ThrowIfNull(drives);
        var solved = drives.Where(d => d is { Circuit.Kind: RectifierKind.SixPulse, Front: RectifierResult.SteadyState, OwnEmf.IsEmpty: false }).ToList();
        return
        [
            .. solved.Where(d => d.Circuit!.Bridges > 1).Concat(solved.Where(d => d.Circuit!.Bridges == 1).Take(MostSixPulse)).Select(Of),
        ];
    }

    private static FrontStory Of(DriveInScenario drive)
    {
        var circuit = drive.Circuit!;
        var front = (RectifierResult.SteadyState)drive.Front;
        var equal = circuit with { LeakageMismatchPu = 0 };
        bool IsUnbalance(int m) => (m - 1) % 6 != 0;
        bool IsDistortion(int m) => Math.Abs(m) > 1;
        var emf = drive.OwnEmf;
        double Size(Func<int, bool> of) => 100 * Math.Sqrt(emf.Parts().Where(p => of(p.M)).Sum(p => Math.Pow(p.Part.Magnitude, 2))) / emf[1].Magnitude;
        var (unbalance, distortion) = (Size(m => m == -1), Size(IsDistortion));
        return new FrontStory(
            drive.DrivePointId,
            6 * circuit.Bridges,
            front.WorstPhase.ThdiPct,
            unbalance > LeastPct ? Thdi(circuit, emf, m => !IsUnbalance(m)) : double.NaN,
            distortion > LeastPct ? Thdi(circuit, emf, m => !IsDistortion(m)) : double.NaN,
            circuit.LeakageMismatchPu != 0 ? Thdi(equal, emf, _ => true) : double.NaN,
            Thdi(equal, emf, m => m == 1),
            front.Phases.Max(p => p.Orders[2].Magnitude),
            unbalance,
            distortion);
    }

    // The same circuit behind some of the orders of its EMF only.
    private static double Thdi(RectifierInput input, SpaceVector emf, Func<int, bool> keep)
    {
        var kept = new SpaceVector();
        foreach (var (m, part) in emf.Parts().Where(p => keep(p.M)))
        {
            kept[m] = part;
        }

        var circuit = FrontCircuit.Of(input);
        return circuit.Orbit(kept, null) is OrbitResult.Settled orbit
            ? circuit.Result(orbit, kept, OrbitSpectrum.Of(circuit.Circuit, orbit, kept)[0]).WorstPhase.ThdiPct
            : double.NaN;
    }
}
