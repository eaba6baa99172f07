using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>What the search for a repeating state of coupled bridges found.</summary>
internal abstract record CoupledOrbit
{
    private CoupledOrbit()
    {
    }

    /// <summary>Half a cycle in steady state and the spectral radius of the map over the repeat angle.</summary>
    public sealed record Settled(IReadOnlyList<CoupledStep> Steps, double Multiplier) : CoupledOrbit;

    /// <summary>The supply can't deliver the power: the link voltage collapses.</summary>
    public sealed record Collapsed : CoupledOrbit;

    /// <summary>No state that repeats and attracts; the multiplier is NaN when none at all was found.</summary>
    public sealed record Unsettled(double Multiplier) : CoupledOrbit;
}

/// <summary>
/// Shooting over the repeat angle: Newton's method on the currents that flow at its start and the link voltage; then the spectral radius
/// of the map tells whether the state attracts.
/// </summary>
internal sealed class CoupledSteadyState
{
    private const double Converged = 1e-8;
    private const double Perturbation = 1e-5;
    private const int MostRounds = 25;
    private const double SectionStepRad = 0.11;
    private static readonly int[] PatienceMaps = [2, 12, 60, 240];

    // Slopes found by differences give the radius only so sharply; well below one even those of a nearby state prove enough.
    private const double Stable = 1 - 1e-5;
    private const double SurelyStable = 0.985;

    // So near the orbit the slopes found last serve on, as long as each round gains a decade.
    private const double Near = 3e-3;

    private readonly CoupledCircuit circuit;
    private readonly CoupledIntegrator integrator;
    private double startRad;
    private CoupledState last;

    private CoupledSteadyState(CoupledCircuit circuit)
    {
        this.circuit = circuit;
        integrator = new CoupledIntegrator(circuit);

        // Soon after one of the natural commutations, when seldom another is about to end.
        startRad = circuit.Bridges switch { 1 => 0.62, 2 => 0.3, _ => 0.22 };
    }

    /// <summary>Solves a circuit.</summary>
    public static CoupledOrbit Solve(CoupledCircuit circuit)
    {
        var search = new CoupledSteadyState(circuit);
        try
        {
            return search.Run();
        }
        catch (InvalidOperationException)
        {
            return search.Failure(double.NaN);
        }
    }

    private CoupledOrbit Run()
    {
        var state = default(CoupledState);
        state[circuit.Phases] = 0.95 * circuit.NoLoadVoltage;
        foreach (var maps in PatienceMaps)
        {
            // The circuit itself is followed towards its orbit, further each time that Newton did not find it.
            for (var i = 0; i < maps; i++)
            {
                state = Map(state);
            }

            if (Newton(state) is { } found)
            {
                return found;
            }

            // Another section of the orbit: where a diode switches just at the old one, the map is not smooth there.
            Reopen(ref state);
            state = integrator.Advance(state, startRad, SectionStepRad);
            startRad += SectionStepRad;
        }

        return Failure(double.NaN);
    }

    private CoupledOrbit? Newton(CoupledState state)
    {
        var lastNorm = double.PositiveInfinity;
        double[,]? slopes = null;
        List<Coordinate> slopesOf = [];
        for (var round = 0; round < MostRounds; round++)
        {
            int[] sidesBefore = [.. integrator.Sides];
            var image = Map(state);
            int[] sidesAfter = [.. integrator.Sides];
            var norm = Distance(image, state);
            var free = Free(sidesBefore, sidesAfter);
            if (norm < Converged)
            {
                return Judge(image, sidesAfter, slopes);
            }

            // Where Newton does not pay the circuit itself is followed for a while.
            if (norm > 0.9 * lastNorm && round % 4 == 3)
            {
                state = Map(image);
                (lastNorm, slopes) = (double.PositiveInfinity, null);
                continue;
            }

            if (slopes is null || norm > Near || norm > 0.1 * lastNorm || !free.SequenceEqual(slopesOf))
            {
                (slopes, slopesOf) = (Derivative(state, sidesBefore, image, free), free);
            }

            lastNorm = norm;
            var step = NewtonStep(slopes, [.. free.Select(f => state[f.Index] - image[f.Index])]);
            if (step is null)
            {
                Restore(sidesAfter);
                state = image;
                continue;
            }

            for (var k = 0; k < free.Count; k++)
            {
                Shift(ref state, free[k], step[k]);
            }

            state[circuit.Phases] = Math.Max(0.2, state[circuit.Phases]);
            Reopen(ref state);
        }

        return null;
    }

    private static double[]? NewtonStep(double[,] slopes, double[] residual)
    {
        var matrix = (double[,])slopes.Clone();
        for (var k = 0; k < residual.Length; k++)
        {
            matrix[k, k] -= 1;
        }

        return DenseLu.OrNull(matrix)?.Solve(residual) is { } step && Array.TrueForAll(step, double.IsFinite) ? step : null;
    }

    private CoupledOrbit Judge(in CoupledState state, int[] sides, double[,]? slopes)
    {
        var multiplier = slopes is null ? double.NaN : SquareMatrix.SpectralRadius(slopes);
        if (!(multiplier < SurelyStable))
        {
            multiplier = SquareMatrix.SpectralRadius(Derivative(state, sides, Mapped(state, sides), Free(sides, sides)));
            if (multiplier > Stable)
            {
                return Failure(multiplier);
            }
        }

        var steps = new List<CoupledStep>(128);
        integrator.Refine();
        Restore(sides);
        integrator.Advance(state, startRad, circuit.RepeatRad, steps);
        if (integrator.ShortedRails)
        {
            // A choke that keeps its current through both diodes of a leg is not a state of this solver.
            return new CoupledOrbit.Unsettled(double.NaN);
        }

        return steps.Exists(s => HasCollapsed(s.End))
            ? new CoupledOrbit.Collapsed()
            : new CoupledOrbit.Settled(HalfCycle(steps), multiplier);
    }

    // A link that falls below the clamp where the search ended is one that the supply can't hold.
    private CoupledOrbit Failure(double multiplier)
    {
        var steps = new List<CoupledStep>();
        try
        {
            integrator.Advance(last, startRad, circuit.RepeatRad, steps);
        }
        catch (InvalidOperationException)
        {
            // What was recorded so far tells enough.
        }

        return steps.Exists(s => HasCollapsed(s.End)) ? new CoupledOrbit.Collapsed() : new CoupledOrbit.Unsettled(multiplier);
    }

    private bool HasCollapsed(in CoupledState state) => circuit.LoadConductance == 0 && state[circuit.Phases] < CoupledCircuit.ClampVoltage;

    // One repeat angle, phases renamed so that a state that repeats returns to where it began.
    private CoupledState Map(in CoupledState state)
    {
        last = Renamed(integrator.Advance(state, startRad, circuit.RepeatRad));
        var sides = integrator.Sides;
        if (circuit.IsSixfold)
        {
            (sides[0], sides[1], sides[2]) = (-sides[2], -sides[0], -sides[1]);
        }
        else
        {
            for (var x = 0; x < sides.Length; x++)
            {
                sides[x] = -sides[x];
            }
        }

        return last;
    }

    private CoupledState Renamed(in CoupledState end)
    {
        var renamed = end;
        if (circuit.IsSixfold)
        {
            (renamed[0], renamed[1], renamed[2]) = (-end[2], -end[0], -end[1]);
            return renamed;
        }

        for (var x = 0; x < circuit.Phases; x++)
        {
            renamed[x] = -end[x];
        }

        return renamed;
    }

    // Half a cycle of steps: a sixth is written out three times with the phases renamed back.
    private IReadOnlyList<CoupledStep> HalfCycle(List<CoupledStep> steps)
    {
        if (!circuit.IsSixfold)
        {
            return steps;
        }

        static CoupledState Later(in CoupledState state)
        {
            var later = state;
            (later[0], later[1], later[2]) = (-state[1], -state[2], -state[0]);
            return later;
        }

        var whole = new List<CoupledStep>(steps);
        var sixth = steps;
        for (var i = 1; i < 3; i++)
        {
            sixth =
            [
                .. sixth.Select(s => new CoupledStep(
                    s.StartRad + (Math.PI / 3), s.WidthRad, Later(s.Start), Later(s.StartSlope), Later(s.End), Later(s.EndSlope))),
            ];
            whole.AddRange(sixth);
        }

        return whole;
    }

    private CoupledState Mapped(in CoupledState state, int[] sides)
    {
        Restore(sides);
        return Map(state);
    }

    private void Restore(int[] sides) => sides.CopyTo(integrator.Sides, 0);

    private double[,] Derivative(in CoupledState state, int[] sides, in CoupledState image, List<Coordinate> free)
    {
        var derivative = new double[free.Count, free.Count];
        for (var k = 0; k < free.Count; k++)
        {
            // A current is moved the way in which it flows, so that no diode closes by the trial alone.
            var width = free[k].Closing >= 0 && state[free[k].Index] < 0 ? -Perturbation : Perturbation;
            var moved = state;
            Shift(ref moved, free[k], width);
            Restore(sides);
            Reopen(ref moved);
            moved = Map(moved);
            for (var r = 0; r < free.Count; r++)
            {
                derivative[r, k] = (moved[free[r].Index] - image[free[r].Index]) / width;
            }
        }

        return derivative;
    }

    // Coordinates: of each bridge the currents that flow but the last, which closes the sum; the link voltage.
    private List<Coordinate> Free(int[] before, int[] after)
    {
        var free = new List<Coordinate>();
        for (var k = 0; k < circuit.Bridges; k++)
        {
            var live = Enumerable.Range(3 * k, 3).Where(x => before[x] != 0 || after[x] != 0).ToList();
            free.AddRange(live.SkipLast(1).Select(x => new Coordinate(x, live[^1])));
        }

        free.Add(new Coordinate(circuit.Phases, -1));
        return free;
    }

    private static void Shift(ref CoupledState state, in Coordinate coordinate, double by)
    {
        state[coordinate.Index] += by;
        if (coordinate.Closing >= 0)
        {
            state[coordinate.Closing] -= by;
        }
    }

    // Phases that were given a current conduct it.
    private void Reopen(ref CoupledState state)
    {
        for (var x = 0; x < circuit.Phases; x++)
        {
            if (Math.Abs(state[x]) < 1e-12)
            {
                state[x] = 0;
            }

            integrator.Sides[x] = Math.Sign(state[x]);
        }
    }

    private double Distance(in CoupledState a, in CoupledState b) => a.Plus(-1, b).Largest(circuit.Phases + 1);

    // A place of the state that may be moved, and the phase that takes it back; −1 where none must.
    private readonly record struct Coordinate(int Index, int Closing);
}
