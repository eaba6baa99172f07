using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// How each order of the line current moves with each order of the EMF about an orbit: δi_n = ½·Σ_m (P_nm·δs_m + Q_nm·δs_m*).
/// Between switching instants small changes obey linear equations with constant coefficients, solved in closed form: Π_m·e^{jmθ} with
/// Π_m = (jm − A)⁻¹·B plus e^{Aθ}·c; a switching instant moves with the change and carries it on by the difference of the slopes. The load of
/// constant power is taken at the mean link voltage: the matrix is exact but for the ripple's second order, which an iteration makes good.
/// </summary>
internal sealed class CouplingMatrix
{
    private readonly SwitchedCircuit circuit;
    private readonly int[] orders;
    private readonly int size;
    private readonly double span;
    private readonly Complex[] line;
    private readonly double[] loadSlopes;
    private readonly Dictionary<SwitchedMode, (double[,] A, Complex[][] Particular, Complex[][] Lefts)> solutions = [];

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

        loadSlopes = [.. circuit.Links.Select((l, i) => l.LoadSlope(linkMeans[i]))];
        Direct = new Complex[orders.Length, orders.Length];
        Conjugate = new Complex[orders.Length, orders.Length];
    }

    /// <summary>Orders of rows and columns.</summary>
    public IReadOnlyList<int> Orders => orders;

    /// <summary>P.</summary>
    public Complex[,] Direct { get; }

    /// <summary>Q.</summary>
    public Complex[,] Conjugate { get; }

    /// <summary>Of an orbit.</summary>
    /// <param name="circuit">The bridges.</param>
    /// <param name="orbit">Their orbit.</param>
    /// <param name="linkMeans">Mean link voltages.</param>
    /// <param name="emf">EMF of the orbit.</param>
    public static CouplingMatrix Of(SwitchedCircuit circuit, OrbitResult.Settled orbit, double[] linkMeans, SpaceVector emf)
    {
        var matrix = new CouplingMatrix(circuit, orbit, linkMeans);
        matrix.Build(orbit, [.. emf.Parts()]);
        return matrix;
    }

    private void Build(OrbitResult.Settled orbit, (int M, Complex Part)[] emf)
    {
        var (places, directions) = PeriodicOrbit.Directions(circuit, orbit.Conduction);
        var count = orders.Length;
        var forced = new Complex[count][];
        for (var m = 0; m < count; m++)
        {
            forced[m] = new Complex[size];
        }

        var free = Array.ConvertAll(directions, d => d[..size]);
        var stretches = new List<Stretch>();
        var pieces = orbit.Pieces;
        for (var i = 0; i < pieces.Count;)
        {
            var (start, mode) = (pieces[i].StartRad, pieces[i].Mode);
            SeriesPiece last;
            do
            {
                last = pieces[i++];
            }
            while (last.EndsBy is null && i < pieces.Count && pieces[i].Mode == mode);
            var stretch = new Stretch(this, mode, start, last.StartRad + last.WidthRad - start, Clone(forced), Array.ConvertAll(free, f => (double[])f.Clone()));
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
                var end = Renamed(forced[m], places[r], orbit.IsSixfold);
                (right[r, 2 * m], right[r, (2 * m) + 1]) = (end.Real, end.Imaginary);
            }
        }

        SmallLinearSystem.SolveInPlace(matrix, right);
        foreach (var stretch in stretches)
        {
            stretch.Collect(right);
        }
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

    private Complex Renamed(Complex[] state, int place, bool isSixfold) =>
        place < circuit.Phases ? -state[PeriodicOrbit.Source(circuit, place, isSixfold)]
            : place >= circuit.FirstOfBank ? TurnedBack(state, place, isSixfold)
            : state[place];

    // Real or imaginary part of a space vector after the renaming; both parts are complex here.
    private Complex TurnedBack(Complex[] state, int place, bool isSixfold)
    {
        var first = circuit.FirstOfBank + ((place - circuit.FirstOfBank) / 2 * 2);
        var (sin, cos) = Math.SinCos(isSixfold ? -Math.PI / 3 : -Math.PI);
        return place == first ? (cos * state[first]) - (sin * state[first + 1]) : (sin * state[first]) + (cos * state[first + 1]);
    }

    private static Complex[][] Clone(Complex[][] of) => Array.ConvertAll(of, c => (Complex[])c.Clone());

    private void Jump(SeriesPiece last, SwitchingGuard guard, SwitchedMode next, Complex[][] forced, double[][] free, (int M, Complex Part)[] emf)
    {
        var angle = last.StartRad + last.WidthRad;
        var state = new double[circuit.Stride];
        last.At(last.WidthRad, state);
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
                for (var c = 0; c < size; c++)
                {
                    by += guard.Row[c] * forced[m][c];
                }

                for (var c = 0; c < size; c++)
                {
                    forced[m][c] -= apart[c] / rate * by;
                }
            }
        }
    }

    private double[] Slopes(SwitchedMode mode, double[] state, Complex emf)
    {
        var slopes = new double[size];
        for (var r = 0; r < size; r++)
        {
            var sum = (mode.Matrix[r, size] * emf.Real) + (mode.Matrix[r, size + 1] * emf.Imaginary);
            for (var c = 0; c < size; c++)
            {
                sum += mode.Matrix[r, c] * state[c];
            }

            slopes[r] = sum;
        }

        for (var l = 0; l < circuit.Links.Length; l++)
        {
            slopes[circuit.Link(l)] -= circuit.Links[l].LoadCurrent(state[circuit.Link(l)]) / circuit.Links[l].Susceptance;
        }

        return slopes;
    }

    /// <summary>A stretch with the same diodes: closed form of what small changes do in it.</summary>
    private sealed class Stretch
    {
        private readonly CouplingMatrix of;
        private readonly double start;
        private readonly double width;
        private readonly Complex[][] forcedAtStart;
        private readonly double[][] freeAtStart;
        private readonly double[,] transition;
        private readonly Complex[][] particular;
        private readonly Complex[][] lefts;

        public Stretch(CouplingMatrix of, SwitchedMode mode, double start, double width, Complex[][] forcedAtStart, double[][] freeAtStart)
        {
            (this.of, this.start, this.width, this.forcedAtStart, this.freeAtStart) = (of, start, width, forcedAtStart, freeAtStart);
            if (!of.solutions.TryGetValue(mode, out var solution))
            {
                of.solutions[mode] = solution = Solution(of, mode);
            }

            (var a, particular, lefts) = solution;
            transition = MatrixExponential.Of(a, width);
        }

        // (jm − A)⁻¹·B and line·(A − jm)⁻¹ for each order; a negative order's are those of the positive one, the line's axes apart.
        private static (double[,] A, Complex[][] Particular, Complex[][] Lefts) Solution(CouplingMatrix of, SwitchedMode mode)
        {
            var n = of.size;
            var a = new double[n, n];
            for (var r = 0; r < n; r++)
            {
                for (var c = 0; c < n; c++)
                {
                    a[r, c] = mode.Matrix[r, c];
                }
            }

            for (var l = 0; l < of.loadSlopes.Length; l++)
            {
                a[of.circuit.Link(l), of.circuit.Link(l)] -= of.loadSlopes[l] / of.circuit.Links[l].Susceptance;
            }

            var particular = new Complex[of.orders.Length][];
            var lefts = new Complex[of.orders.Length][];
            var drive = new Complex[n];
            for (var r = 0; r < n; r++)
            {
                drive[r] = new Complex(mode.Matrix[r, n], -mode.Matrix[r, n + 1]);
            }

            var matrix = new Complex[n, n];
            for (var m = 0; m < of.orders.Length; m++)
            {
                for (var r = 0; r < n; r++)
                {
                    for (var c = 0; c < n; c++)
                    {
                        matrix[r, c] = new Complex(-a[r, c], r == c ? of.orders[m] : 0);
                    }
                }

                var lu = new Plant.Network.ComplexLu(matrix);
                particular[m] = lu.Solve(drive);
                lefts[m] = lu.SolveTransposed(of.line);
                for (var c = 0; c < n; c++)
                {
                    lefts[m][c] = -lefts[m][c];
                }
            }

            return (a, particular, lefts);
        }

        /// <summary>Carries forced and free parts to the end.</summary>
        public void Carry(Complex[][] forced, double[][] free)
        {
            var n = of.size;
            foreach (var column in free)
            {
                var before = (double[])column.Clone();
                for (var r = 0; r < n; r++)
                {
                    double sum = 0;
                    for (var c = 0; c < n; c++)
                    {
                        sum += transition[r, c] * before[c];
                    }

                    column[r] = sum;
                }
            }

            for (var m = 0; m < forced.Length; m++)
            {
                var first = Complex.FromPolarCoordinates(1, of.orders[m] * start);
                var last = Complex.FromPolarCoordinates(1, of.orders[m] * (start + width));
                var own = new Complex[n];
                for (var c = 0; c < n; c++)
                {
                    own[c] = forced[m][c] - (particular[m][c] * first);
                }

                for (var r = 0; r < n; r++)
                {
                    var sum = particular[m][r] * last;
                    for (var c = 0; c < n; c++)
                    {
                        sum += transition[r, c] * own[c];
                    }

                    forced[m][r] = sum;
                }
            }
        }

        /// <summary>Adds its part of the Fourier integrals, once the start of the forced part is known.</summary>
        public void Collect(double[,] starts)
        {
            var (n, count) = (of.size, of.orders.Length);
            var own = new Complex[count][];
            var through = new Complex[count];
            var opposite = new Complex[count];
            for (var m = 0; m < count; m++)
            {
                own[m] = new Complex[n];
                var turn = Complex.FromPolarCoordinates(1, of.orders[m] * start);
                for (var c = 0; c < n; c++)
                {
                    own[m][c] = forcedAtStart[m][c] - (particular[m][c] * turn);
                    for (var f = 0; f < freeAtStart.Length; f++)
                    {
                        own[m][c] += freeAtStart[f][c] * new Complex(starts[f, 2 * m], starts[f, (2 * m) + 1]);
                    }

                    through[m] += of.line[c] * particular[m][c];
                    opposite[m] += of.line[c] * Complex.Conjugate(particular[m][c]);
                }
            }

            // Orders are odd, so their sums and differences are even.
            var integrals = new Complex[(2 * SpaceVector.HighestOrder) + 1];
            for (var i = 0; i < integrals.Length; i++)
            {
                integrals[i] = Integral((2 * i) - (2 * SpaceVector.HighestOrder));
            }

            var row = new Complex[n];
            for (var k = 0; k < count; k++)
            {
                Row(k, row);
                for (var m = 0; m < count; m++)
                {
                    var direct = through[m] * integrals[((of.orders[m] - of.orders[k]) / 2) + SpaceVector.HighestOrder];
                    var conjugate = opposite[m] * integrals[((-of.orders[m] - of.orders[k]) / 2) + SpaceVector.HighestOrder];
                    double re = 0, im = 0, oppositeRe = 0, oppositeIm = 0;
                    var of1 = own[m];
                    for (var c = 0; c < n; c++)
                    {
                        double a = row[c].Real, b = row[c].Imaginary, x = of1[c].Real, y = of1[c].Imaginary;
                        re += (a * x) - (b * y);
                        im += (a * y) + (b * x);
                        oppositeRe += (a * x) + (b * y);
                        oppositeIm += (b * x) - (a * y);
                    }

                    of.Direct[k, m] += (direct + new Complex(re, im)) / of.span;
                    of.Conjugate[k, m] += (conjugate + new Complex(oppositeRe, oppositeIm)) / of.span;
                }
            }
        }

        // ∫ line·e^{A(θ−start)}·e^{−jnθ} dθ = e^{−jn·start}·line·(A − jn)⁻¹·(e^{A·width}·e^{−jn·width} − 1).
        private void Row(int k, Complex[] row)
        {
            var n = of.size;
            var order = of.orders[k];
            var left = lefts[k];
            var turn = Complex.FromPolarCoordinates(1, -order * start);
            var end = Complex.FromPolarCoordinates(1, -order * width);
            for (var c = 0; c < n; c++)
            {
                var sum = Complex.Zero;
                for (var r = 0; r < n; r++)
                {
                    sum += left[r] * transition[r, c];
                }

                row[c] = ((sum * end) - left[c]) * turn;
            }
        }

        // ∫ e^{jmθ} dθ.
        private Complex Integral(int m) => m == 0
            ? width
            : (Complex.FromPolarCoordinates(1, m * (start + width)) - Complex.FromPolarCoordinates(1, m * start)) / new Complex(0, m);
    }
}
