using System.Numerics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// How each order of the line current moves with each order of the EMF about an orbit: δi_n = ½·Σ_m (P_nm·δs_m + Q_nm·δs_m*). Between
/// switching instants small changes obey linear equations with constant coefficients, solved in closed form: Π_m·e^{jmθ} with Π_m = (jm −
/// A)⁻¹·B plus e^{Aθ}·c; a switching instant moves with the change and carries it on by the difference of the slopes. The load of
/// constant power is taken at the mean link voltage: the matrix is exact but for the ripple's second order, which an iteration makes
/// good.
/// </summary>
internal sealed class CouplingMatrix
{
    private const double MeanStep = 0.01;
    private readonly SwitchedCircuit circuit;
    private readonly int[] orders;
    private readonly int size;
    private readonly double span;
    private readonly Complex[] line;
    private readonly double[] loadSlopes;
    private readonly Complex[,] direct;
    private readonly Complex[,] conjugate;

    private CouplingMatrix(SwitchedCircuit circuit, OrbitResult.Settled orbit, double[] linkMeans)
    {
        this.circuit = circuit;
        size = circuit.Size;
        orders = [.. orbit.IsSixfold ? SpaceVector.Sixfold : SpaceVector.All];
        span = orbit.IsSixfold ? Math.PI / 3 : Math.PI;
        line = new Complex[size];
        for (var x = 0; x < circuit.Phases; x++)
        {
            line[x] = 2.0 / 3 * circuit.Axes[x];
        }

        // In steps so fine that they change nothing, so that what is worked out for one orbit serves the next.
        loadSlopes = [.. circuit.Links.Select((l, i) => l.LoadSlope(Math.Exp(MeanStep * Math.Round(Math.Log(linkMeans[i]) / MeanStep))))];
        direct = new Complex[orders.Length, orders.Length];
        conjugate = new Complex[orders.Length, orders.Length];
    }

    /// <summary>Of an orbit.</summary>
    /// <param name="circuit">The bridges.</param>
    /// <param name="orbit">Their orbit.</param>
    /// <param name="linkMeans">Mean link voltages.</param>
    /// <param name="emf">EMF of the orbit.</param>
    public static OrderCoupling Of(SwitchedCircuit circuit, OrbitResult.Settled orbit, double[] linkMeans, SpaceVector emf)
    {
        var matrix = new CouplingMatrix(circuit, orbit, linkMeans);
        var starts = matrix.Build(orbit, [.. emf.Parts()]);
        return new OrderCoupling(matrix.orders, matrix.direct, matrix.conjugate)
        {
            Starts = new StartSlopes(matrix.orders, orbit.Conduction.Key, starts),
        };
    }

    // Collects the matrices, and tells how the start moves with the orders.
    private double[,] Build(OrbitResult.Settled orbit, (int M, Complex Part)[] emf)
    {
        var (places, directions) = PeriodicOrbit.Directions(circuit, orbit.Conduction);
        var count = orders.Length;
        var forced = new ComplexRows(count, size);
        var free = Array.ConvertAll(directions, d => d[..size]);
        var stretches = new List<CouplingStretch>();
        var pieces = orbit.Pieces;
        for (var i = 0; i < pieces.Count;)
        {
            var (start, mode) = (pieces[i].StartRad, pieces[i].Mode);
            OrbitPiece last;
            do
            {
                last = pieces[i++];
            }
            while (last.EndsBy is null && i < pieces.Count && pieces[i].Mode == mode);
            var stretch = new CouplingStretch(mode.Solution(loadSlopes, line, orders), orders, start, last.StartRad + last.WidthRad - start,
                forced.Copy(), Array.ConvertAll(free, f => (double[])f.Clone()));
            stretches.Add(stretch);
            stretch.Carry(forced, free);
            if (last.EndsBy is { } guard)
            {
                Jump(last, guard, i < pieces.Count ? pieces[i].Mode : NextMode(orbit), forced, free, emf);
            }
        }

        // What repeats: the start of the forced part follows from the end.
        var matrix = new double[places.Length, places.Length];
        foreach (var f in free)
        {
            PeriodicOrbit.Rename(circuit, f, orbit.IsSixfold);
        }

        for (var r = 0; r < places.Length; r++)
        {
            for (var c = 0; c < places.Length; c++)
            {
                matrix[r, c] = (r == c ? 1 : 0) - free[c][places[r]];
            }
        }

        var right = new double[places.Length, 2 * count];
        for (var m = 0; m < count; m++)
        {
            for (var r = 0; r < places.Length; r++)
            {
                var end = Renamed(forced, m, places[r], orbit.IsSixfold);
                (right[r, 2 * m], right[r, (2 * m) + 1]) = (end.Real, end.Imaginary);
            }
        }

        (DenseLu.OrNull(matrix) ?? throw new SingularMatrixException()).SolveInPlace(DenseRows.Of(right), right.GetLength(1));
        foreach (var stretch in stretches)
        {
            stretch.Collect(right, direct, conjugate, span);
        }

        return right;
    }

    // Diodes that conduct where the section begins again.
    private SwitchedMode NextMode(OrbitResult.Settled orbit)
    {
        var conduction = orbit.Conduction;
        var next = conduction;
        for (var x = 0; x < circuit.Phases; x++)
        {
            next = next.With(PeriodicOrbit.Source(circuit, x, orbit.IsSixfold), -conduction.Side(x));
        }

        return circuit.Mode(next);
    }

    private Complex Renamed(ComplexRows forced, int m, int place, bool isSixfold) =>
        place < circuit.Phases ? -forced[m, PeriodicOrbit.Source(circuit, place, isSixfold)]
            : place >= circuit.FirstOfBank ? TurnedBack(forced, m, place, isSixfold)
            : forced[m, place];

    // Real or imaginary part of a space vector after the renaming; both parts are complex here.
    private Complex TurnedBack(ComplexRows forced, int m, int place, bool isSixfold)
    {
        var first = circuit.FirstOfBank + ((place - circuit.FirstOfBank) / 2 * 2);
        var (sin, cos) = Math.SinCos(isSixfold ? -Math.PI / 3 : -Math.PI);
        var (re, im) = (forced[m, first], forced[m, first + 1]);
        return place == first ? (cos * re) - (sin * im) : (sin * re) + (cos * im);
    }

    private void Jump(OrbitPiece last, SwitchingGuard guard, SwitchedMode next, ComplexRows forced, double[][] free,
        (int M, Complex Part)[] emf)
    {
        var angle = last.StartRad + last.WidthRad;
        var state = last.End!;
        Complex at = default, slope = default;
        foreach (var (m, part) in emf)
        {
            var turned = part * Complex.FromPolarCoordinates(1, m * angle);
            at += turned;
            slope += turned * new Complex(0, m);
        }

        var before = Slopes(last.Mode, state, at);
        var after = Slopes(next, state, at);
        var apart = new double[size];
        double rate = (guard.Row[size] * slope.Real) + (guard.Row[size + 1] * slope.Imaginary), largest = 0, most = 0;
        for (var c = 0; c < size; c++)
        {
            rate += guard.Row[c] * before[c];
            apart[c] = before[c] - after[c];
            largest = Math.Max(largest, Math.Abs(apart[c]));
            most = Math.Max(most, Math.Abs(before[c]));
        }

        if (largest > 1e-7 * most && rate != 0)
        {
            foreach (var column in free)
            {
                double by = 0;
                for (var c = 0; c < size; c++)
                {
                    by += guard.Row[c] * column[c];
                }

                for (var c = 0; c < size; c++)
                {
                    column[c] -= apart[c] * by / rate;
                }
            }

            for (var m = 0; m < orders.Length; m++)
            {
                var by = new Complex(guard.Row[size], -guard.Row[size + 1]) * Complex.FromPolarCoordinates(1, orders[m] * angle);
                var row = guard.Row.AsSpan(0, size);
                by += new Complex(DenseRows.Dot(row, forced.Re(m)), DenseRows.Dot(row, forced.Im(m)));
                DenseRows.Add(forced.Re(m), apart, -by.Real / rate);
                DenseRows.Add(forced.Im(m), apart, -by.Imaginary / rate);
            }
        }
    }

    private double[] Slopes(SwitchedMode mode, double[] state, Complex emf)
    {
        var slopes = new double[size];
        for (var r = 0; r < size; r++)
        {
            var sum = (mode.Equations[r, size] * emf.Real) + (mode.Equations[r, size + 1] * emf.Imaginary);
            for (var c = 0; c < size; c++)
            {
                sum += mode.Equations[r, c] * state[c];
            }

            slopes[r] = sum;
        }

        for (var l = 0; l < circuit.Links.Length; l++)
        {
            slopes[circuit.Link(l)] -= circuit.Links[l].LoadCurrent(state[circuit.Link(l)]) / circuit.Links[l].Susceptance;
        }

        return slopes;
    }
}
