using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

// Newton's method on the start of the repeat angle, and whether what it finds attracts.
internal sealed partial class PeriodicOrbit
{
    private const double GoodEnough = 100;
    private const double Near = 0.02;
    private const int MostRounds = 40;
    private const int LeastRounds = 8;
    private const double MostGain = 0.8;
    private const double MostCorrection = 0.5;
    private const double Stable = 1 - 1e-6;

    // Up to here the multiplier of an orbit of the same circuit, at an EMF no farther away than this, proves that disturbances die out.
    private const double SurelyStable = 0.98;
    private const double SurelyNearPu = 0.01;

    // And slopes of the same circuit at the same EMF from a start no farther than this from the orbit, in parts of the usual.
    private const double SurelyNearStart = 1e-3;

    // Null where it leads nowhere. Slopes of an orbit near serve as long as each round gains enough.
    private OrbitResult? Newton(double[] state, Conduction conduction, OrbitResult.Settled? near = null)
    {
        var slopes = near?.Slopes;
        var free = near is null ? [] : Free(circuit, near.Conduction);
        var (coordinates, key) = (free, near?.Conduction.Key ?? -1);
        DenseLu<double>? factors = null;
        LearntSlopes? learnt = null;
        var askedHere = double.PositiveInfinity;
        List<double[]> steps = [];
        using var track = new SeriesTrack(circuit.Stride);
        var before = double.PositiveInfinity;
        for (var round = 0; round < MostRounds; round++)
        {
            var (image, after) = ((double[])state.Clone(), conduction);
            (coordinates, key) = key == conduction.Key ? (coordinates, key) : (Free(circuit, conduction), conduction.Key);
            var isFresh = slopes is null || (near is null && before > Near) || !coordinates.SequenceEqual(free);
            track.Clear();
            if (isFresh)
            {
                (free, slopes, factors) = (coordinates, Slopes(image, conduction, ref after, coordinates, track), null);
            }
            else
            {
                Map(image, ref after, null, track);
            }

            double[] left = [.. free.Select(f => image[f.Index] - state[f.Index])];
            learnt = isFresh ? new LearntSlopes(slopes!) : learnt ?? new LearntSlopes(slopes!);
            learnt.Note(left, !isFresh);
            var distance = Distance(image, state);
            askedHere = isFresh ? distance : askedHere;
            if (!double.IsFinite(distance) || (isNearKnown && HasRunAway(state)))
            {
                return null;
            }

            // Rounding is where a further round gains nothing.
            if (distance < precision || (distance < GoodEnough * precision && distance > 0.3 * before))
            {
                return Judge(state, Nearer(state, conduction, free, left, factors ?? Factors(slopes!)), conduction, track, learnt.Slopes,
                    isFresh, isFresh || near is not null ? null : (slopes!, askedHere), near);
            }

            if (!isFresh && IsDearer(distance, before, free.Count))
            {
                (slopes, near, before) = (null, null, double.PositiveInfinity);
                continue;
            }

            before = distance;
            if (factors is null)
            {
                (factors, steps) = (Factors(slopes!), []);
            }

            if (after.Key != conduction.Key || factors is null)
            {
                // Not the same diodes at both ends: follow the circuit.
                (state, conduction, slopes, near, before) = (image, after, null, null, double.PositiveInfinity);
                continue;
            }

            var step = Step(factors.Solve(left), steps);
            learnt.Stepped(step);
            Move(state, ref conduction, free, step);
        }

        return null;
    }

    // Broyden's method: what the steps so far have shown corrects slopes that are not those of here (C. T. Kelley, Iterative Methods for
    // Linear and Nonlinear Equations, 7.3).
    private static double[] Step(double[] step, List<double[]> before)
    {
        for (var j = 0; j < before.Count; j++)
        {
            var part = DenseRows.Dot(before[j], step) / DenseRows.Dot(before[j], before[j]);
            if (j < before.Count - 1)
            {
                DenseRows.Add(step, before[j + 1], part);
            }
            else if (Math.Abs(part) < MostCorrection)
            {
                step = Array.ConvertAll(step, s => s / (1 - part));
            }
        }

        before.Add(step);
        return step;
    }

    // New slopes cost about as much as going round once for each coordinate.
    private bool IsDearer(double distance, double before, int coordinates)
    {
        var gain = distance / before;
        return gain > MostGain || (gain > 0 && Math.Log(precision / distance) / Math.Log(gain) > Math.Max(LeastRounds, coordinates));
    }

    // 1 − S; null where it is singular.
    private static DenseLu<double>? Factors(double[,] slopes)
    {
        var n = slopes.GetLength(0);
        var matrix = new double[n * n];
        for (var r = 0; r < n; r++)
        {
            for (var c = 0; c < n; c++)
            {
                matrix[(r * n) + c] = (r == c ? 1 : 0) - slopes[r, c];
            }
        }

        return DenseLu<double>.OrNull(matrix, n);
    }

    // One repeat angle and how its end moves with its start.
    private double[,] Slopes(double[] state, Conduction conduction, ref Conduction after, List<Coordinate> free, SeriesTrack? track)
    {
        var moves = free.Select(c => Unit(circuit, c, conduction)).ToArray();
        after = conduction;
        Map(state, ref after, moves, track);
        var slopes = new double[free.Count, free.Count];
        for (var c = 0; c < free.Count; c++)
        {
            for (var r = 0; r < free.Count; r++)
            {
                slopes[r, c] = moves[c][free[r].Index];
            }
        }

        return slopes;
    }

    // Where the orbit itself begins, as far as the slopes tell: the next search begins there.
    private double[] Nearer(double[] state, Conduction conduction, List<Coordinate> free, double[] left, DenseLu<double>? factors)
    {
        var (start, moved) = ((double[])state.Clone(), conduction);
        if (factors is not null)
        {
            Move(start, ref moved, free, factors.Solve(left));
        }

        return moved.Key == conduction.Key ? start : state;
    }

    private OrbitResult Judge(double[] state, double[] start, Conduction conduction, SeriesTrack track, double[,] slopes, bool isFresh,
        (double[,] Slopes, double Distance)? asked, OrbitResult.Settled? near)
    {
        if (HasCollapsed(track))
        {
            return new OrbitResult.Collapsed();
        }

        if (!isFresh && near is { Multiplier: <= SurelyStable })
        {
            return Settled(start, conduction, track, near.Multiplier, slopes, near.JudgedAt);
        }

        // The orbit is as far as what is left there has to die out over.
        if (asked is var (of, distance) && SquareMatrix.SpectralRadius(of) is <= SurelyStable and var known
            && distance < SurelyNearStart * (1 - known))
        {
            return Settled(start, conduction, track, known, slopes, (circuit, emf));
        }

        if (!isFresh)
        {
            var after = conduction;
            slopes = Slopes((double[])state.Clone(), conduction, ref after, Free(circuit, conduction), null);
        }

        var multiplier = SquareMatrix.SpectralRadius(slopes);
        return multiplier < Stable
            ? Settled(start, conduction, track, multiplier, slopes, (circuit, emf))
            : new OrbitResult.Unsettled(multiplier);
    }

    private OrbitResult.Settled Settled(double[] start, Conduction conduction, SeriesTrack track, double multiplier, double[,] slopes,
        (SwitchedCircuit Circuit, SpaceVector Emf) judgedAt) =>
        new(start, conduction, track.Kept(), startRad, isSixfold, multiplier, slopes)
        {
            JudgedAt = judgedAt,
            Emf = emf,
            Scale = scale,
            Spectra = OrbitSpectrum.Of(circuit, track, emf, isSixfold),
            Starts = Learnt(start, conduction),
        };
}
