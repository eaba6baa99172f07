using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Shooting over the repeat angle by Newton's method, with the slopes carried along by the integrator. The repeat angle is a sixth of a
/// cycle where three phases are alike, else half a cycle.
/// </summary>
internal sealed class PeriodicOrbit
{
    /// <summary>As near as rounding lets it.</summary>
    public const double Finest = 1e-12;

    private const double GoodEnough = 100;
    private const double Near = 0.02;
    private const int MostRounds = 40;
    private const int LeastRounds = 8;
    private const double MostGain = 0.8;
    private const double MostCorrection = 0.5;

    // In parts of the voltage without load: where the search began at a known orbit and a link has got here, it is better begun from
    // rest. One from rest may get here on its way, and come back.
    private const double RunAway = 4;
    private const double Stable = 1 - 1e-6;

    // Up to here the multiplier of an orbit of the same circuit, at an EMF no farther away than this, proves that disturbances die out.
    private const double SurelyStable = 0.98;
    private const double SurelyNearPu = 0.01;

    // And slopes of the same circuit at the same EMF from a start no farther than this from the orbit, in parts of the usual.
    private const double SurelyNearStart = 1e-3;
    private const int StaysDownSixths = 6;
    // A circuit that chatters takes thousands of stretches a cycle, others some twenty.
    private const int MostStretches = 120_000;
    private static readonly int[] PatienceSixths = [12, 60, 300, 900];

    // Followed for 300 sixths, a circuit that still ends each repeat this far from where it began, and has not come nearer, goes round in
    // another way. Counted over random plants: those that found an orbit later were nearer than 0.08 by then, the rest 0.2 and farther.
    private const double Far = 0.15;
    private const double StillFar = 0.7;

    // Sections to try, clear of the usual switching instants; multiples of a cell apart.
    private static readonly double[] Sections = [0.3, 0.3 + (3 * EmfSeries.CellRad), 0.3 + (7 * EmfSeries.CellRad),
        0.3 + (11 * EmfSeries.CellRad)];

    private readonly SwitchedCircuit circuit;
    private readonly SpaceVector emf;
    private readonly double scale;
    private readonly double noLoadVoltage;
    private readonly bool isSixfold;
    private readonly double precision;
    private SeriesIntegrator integrator;
    private double startRad;
    private long stretches;
    private bool isNearKnown;
    private StartSlopes? starts;
    private (SpaceVector Change, double[] State)? predicted;

    private PeriodicOrbit(SwitchedCircuit circuit, SpaceVector emf, double scale, double noLoadVoltage, double precision)
    {
        (this.circuit, this.emf, this.scale, this.noLoadVoltage, this.precision) = (circuit, emf, scale, noLoadVoltage, precision);
        isSixfold = circuit.PhasesOfBridge == 3 && emf.IsSixfold;
        startRad = Sections[0];
        integrator = new SeriesIntegrator(circuit, new EmfSeries(emf, startRad, RepeatRad), scale);
    }

    private double RepeatRad => isSixfold ? Math.PI / 3 : Math.PI;

    /// <summary>Solves a circuit.</summary>
    /// <param name="circuit">The bridges.</param>
    /// <param name="emf">EMF in the time of its own fundamental: its part 1 is −j·|e|.</param>
    /// <param name="scale">A usual current.</param>
    /// <param name="noLoadVoltage">Rectified EMF without load.</param>
    /// <param name="near">Orbit of a circuit that hardly differs, of the same size; null: none known.</param>
    /// <param name="patient">False: given up sooner.</param>
    /// <param name="precision">Distance of start and end of the orbit that is near enough, in parts of the usual.</param>
    public static OrbitResult Solve(
        SwitchedCircuit circuit, SpaceVector emf, double scale, double noLoadVoltage, OrbitResult.Settled? near, bool patient = true,
        double precision = Finest)
    {
        var search = new PeriodicOrbit(circuit, emf, scale, noLoadVoltage, precision);
        try
        {
            if (near is not null && near.Start.Length == circuit.Stride && search.From(near) is { } found)
            {
                return found;
            }

            return search.FromRest(patient);
        }
        catch (RectifierSearchException)
        {
            return new OrbitResult.Unsettled(double.NaN);
        }
    }

    private OrbitResult? From(OrbitResult.Settled near)
    {
        try
        {
            isNearKnown = true;
            Section(near.StartRad);
            var (state, conduction) = ((double[])near.Start.Clone(), near.Conduction);
            Predict(near, state, ref conduction);
            return Newton(state, conduction,
                SlopesFor(near) is { } slopes
                    ? near with { Slopes = slopes, Multiplier = MultiplierBy(near) }
                    : null) as OrbitResult.Settled;
        }
        catch (RectifierSearchException)
        {
            return null;
        }
        finally
        {
            isNearKnown = false;
            Section(Sections[0]);
        }
    }

    // Where the orbit begins as far as the EMF tells, to first order.
    private void Predict(OrbitResult.Settled near, double[] state, ref Conduction conduction)
    {
        starts = near.IsSixfold == isSixfold ? near.Starts : null;
        if (starts is not null && starts.ConductionKey == conduction.Key && emf.Plus(near.Emf, -1) is var change
            && change.Largest().Size is > 0 and < SurelyNearPu && Free(circuit, conduction) is var free
            && free.Count == starts.Rows.GetLength(0))
        {
            Move(state, ref conduction, free, starts.Step(change));
            predicted = (change, (double[])state.Clone());
        }
    }

    // What the prediction was wrong by corrects the next one.
    private StartSlopes? Learnt(double[] state, Conduction conduction) =>
        starts is null || predicted is not var (change, guess) || starts.ConductionKey != conduction.Key
            ? starts
            : starts.Learnt(change, [.. Free(circuit, conduction).Select(f => state[f.Index] - guess[f.Index])]);

    // NaN where an orbit near proves nothing: what grows here may have died out there.
    private double MultiplierBy(OrbitResult.Settled near) =>
        !ReferenceEquals(near.JudgedAt.Circuit, circuit) || emf.Plus(near.JudgedAt.Emf, -1).Largest().Size > SurelyNearPu ? double.NaN
        : near.IsSixfold == isSixfold ? near.Multiplier
        : Math.Pow(near.Multiplier, 3);

    // Three sixths on end are half a cycle.
    private double[,]? SlopesFor(OrbitResult.Settled near) =>
        near.Slopes.Length == 0 ? null
        : near.IsSixfold == isSixfold ? near.Slopes
        : near.IsSixfold ? SquareMatrix.Product(near.Slopes, SquareMatrix.Product(near.Slopes, near.Slopes))
        : null;

    private void Section(double at)
    {
        if (at != startRad)
        {
            startRad = at;
            integrator = new SeriesIntegrator(circuit, new EmfSeries(emf, startRad, RepeatRad), scale);
        }
    }

    private OrbitResult FromRest(bool patient)
    {
        var (state, conduction) = (new double[circuit.Stride], Conduction.None);
        for (var l = 0; l < circuit.Links.Length; l++)
        {
            state[circuit.Link(l)] = 0.95 * noLoadVoltage;
        }

        StartBank(state);
        OrbitResult last = new OrbitResult.Unsettled(double.NaN);
        foreach (var (sixths, section) in PatienceSixths.Zip(Sections))
        {
            // The circuit itself is followed towards its orbit, further each time that Newton did not find it.
            integrator.SetRough(true);
            var wanders = Follow(state, ref conduction, isSixfold ? sixths : sixths / 3);
            integrator.SetRough(false);
            if (sixths > PatienceSixths[0] && StaysDown(state, conduction))
            {
                return new OrbitResult.Collapsed();
            }

            if (Newton((double[])state.Clone(), conduction) is { } found)
            {
                if (found is not OrbitResult.Unsettled)
                {
                    return found;
                }

                last = found;
            }

            if ((!patient && sixths > 12) || stretches > MostStretches || (wanders && sixths == PatienceSixths[^2]))
            {
                break;
            }

            // Another section of the orbit: where a diode switches just at the old one, the map is not smooth there.
            var next = Sections[(Array.IndexOf(Sections, section) + 1) % Sections.Length];
            if (next > startRad)
            {
                new SeriesIntegrator(circuit, new EmfSeries(emf, startRad, next - startRad), scale).Advance(state, ref conduction);
                Section(next);
            }
        }

        // A link that falls below the clamp where the search ended is one that the supply can't hold.
        using var track = new SeriesTrack(circuit.Stride);
        for (var i = 0; i < PatienceSixths[0]; i++)
        {
            Map(state, ref conduction, null, track);
        }

        return HasCollapsed(track) ? new OrbitResult.Collapsed() : last;
    }

    // True where the last third of the repeats ends as far from its start as the first third did, and far.
    private bool Follow(double[] state, ref Conduction conduction, int repeats)
    {
        double early = 0;
        double late = 0;
        for (var i = 0; i < repeats && stretches < MostStretches; i++)
        {
            var before = (double[])state.Clone();
            Map(state, ref conduction, null);
            var distance = Distance(before, state);
            early = i < repeats / 3 ? Math.Max(early, distance) : early;
            late = i >= repeats - (repeats / 3) ? Math.Max(late, distance) : late;
        }

        return late > Far && late > StillFar * early;
    }

    // A link that has come to rest below the clamp draws no more than what it gets there.
    private bool StaysDown(double[] state, Conduction conduction)
    {
        var copy = (double[])state.Clone();
        using var track = new SeriesTrack(circuit.Stride);
        for (var i = 0; i < StaysDownSixths; i++)
        {
            Map(copy, ref conduction, null, track);
        }

        return Enumerable.Range(0, circuit.Links.Length).Any(l => circuit.Links[l].LoadPower > 0
            && Enumerable.Range(0, track.Count).All(i => track.Start(i)[circuit.Link(l)] < circuit.ClampVoltage));
    }

    // Voltage and current of the bank as the fundamental without bridges would have them.
    private void StartBank(double[] state)
    {
        if (circuit.Bank is not { } bank)
        {
            return;
        }

        var shunt = new Complex(0, bank.Susceptance);
        var at = emf[1] * Complex.FromPolarCoordinates(1, startRad);
        var volts = at / (1 + (new Complex(bank.R, bank.X) * shunt));
        var current = volts * shunt;
        (state[circuit.FirstOfBank], state[circuit.FirstOfBank + 1]) = (current.Real, current.Imaginary);
        (state[circuit.FirstOfBank + 2], state[circuit.FirstOfBank + 3]) = (volts.Real, volts.Imaginary);
    }

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
                    isFresh, isFresh || askedHere > SurelyNearStart ? null : slopes, near);
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
        double[,]? askedNear, OrbitResult.Settled? near)
    {
        if (HasCollapsed(track))
        {
            return new OrbitResult.Collapsed();
        }

        if (!isFresh && near is { Multiplier: <= SurelyStable })
        {
            return Settled(start, conduction, track, near.Multiplier, slopes, near.JudgedAt);
        }

        if (near is null && askedNear is not null && SquareMatrix.SpectralRadius(askedNear) is <= SurelyStable and var known)
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

    private bool HasRunAway(double[] state) =>
        Enumerable.Range(0, circuit.Links.Length).Any(l => state[circuit.Link(l)] > RunAway * noLoadVoltage);

    private bool HasCollapsed(SeriesTrack track) => Enumerable.Range(0, circuit.Links.Length).Any(l => circuit.Links[l].LoadPower > 0
        && Enumerable.Range(0, track.Count).Any(i => track.Start(i)[circuit.Link(l)] < circuit.ClampVoltage));

    /// <summary>One repeat angle of an orbit again.</summary>
    public static SeriesTrack Again(SwitchedCircuit circuit, OrbitResult.Settled orbit)
    {
        var emf = new EmfSeries(orbit.Emf, orbit.StartRad, orbit.IsSixfold ? Math.PI / 3 : Math.PI);
        var (state, conduction, track) = ((double[])orbit.Start.Clone(), orbit.Conduction, new SeriesTrack(circuit.Stride));
        new SeriesIntegrator(circuit, emf, orbit.Scale).Advance(state, ref conduction, null, track);
        return track;
    }

    private void Move(double[] state, ref Conduction conduction, List<Coordinate> free, double[] step)
    {
        for (var k = 0; k < free.Count; k++)
        {
            state[free[k].Index] += step[k];
            if (free[k].Closing >= 0)
            {
                state[free[k].Closing] -= step[k];
            }
        }

        for (var l = 0; l < circuit.Links.Length; l++)
        {
            state[circuit.Link(l)] = Math.Max(0.2 * noLoadVoltage, state[circuit.Link(l)]);
        }

        for (var bridge = 0; bridge < circuit.Bridges; bridge++)
        {
            double choke = 0;
            for (var x = bridge * circuit.PhasesOfBridge; x < (bridge + 1) * circuit.PhasesOfBridge; x++)
            {
                if (!conduction.Freewheels(bridge))
                {
                    conduction = conduction.With(x,
                        conduction.Side(x) == 0 ? 0 : Math.Abs(state[x]) < 1e-13 * scale ? conduction.Side(x) : Math.Sign(state[x]));
                }

                choke += Math.Max(0, state[x]);
            }

            if (circuit.ChokeX[bridge] > 0)
            {
                state[circuit.Choke(bridge)] = conduction.Freewheels(bridge) ? Math.Max(choke, state[circuit.Choke(bridge)]) : choke;
            }
        }
    }

    // One repeat angle, the phases renamed so that a state that repeats comes back.
    private void Map(double[] state, ref Conduction conduction, double[][]? moves, SeriesTrack? track = null)
    {
        Leaving.Ask();
        stretches += integrator.Advance(state, ref conduction, moves, track);
        Rename(circuit, state, isSixfold);
        foreach (var column in moves ?? [])
        {
            Rename(circuit, column, isSixfold);
        }

        var renamed = conduction;
        for (var x = 0; x < circuit.Phases; x++)
        {
            renamed = renamed.With(x, -conduction.Side(Source(circuit, x, isSixfold)));
        }

        conduction = renamed;
    }

    /// <summary>Phase whose current, with the other sign, a phase has one repeat angle later.</summary>
    public static int Source(SwitchedCircuit circuit, int phase, bool isSixfold)
    {
        // After a sixth of a cycle a is −c of before, b is −a, c is −b.
        var from = phase - (phase % circuit.PhasesOfBridge);
        return isSixfold ? from + ((phase - from + 2) % 3) : phase;
    }

    /// <summary>Renames the phases of a state after one repeat angle.</summary>
    public static void Rename(SwitchedCircuit circuit, Span<double> state, bool isSixfold)
    {
        Span<double> before = stackalloc double[circuit.Phases];
        state[..circuit.Phases].CopyTo(before);
        for (var x = 0; x < circuit.Phases; x++)
        {
            state[x] = -before[Source(circuit, x, isSixfold)];
        }

        // Space vectors: turned back by the angle of the repeat.
        for (var i = circuit.FirstOfBank; i < circuit.Size; i += 2)
        {
            var turned = new Complex(state[i], state[i + 1]) * Complex.FromPolarCoordinates(1, isSixfold ? -Math.PI / 3 : -Math.PI);
            (state[i], state[i + 1]) = (turned.Real, turned.Imaginary);
        }
    }

    private static double[] Unit(SwitchedCircuit circuit, Coordinate coordinate, Conduction conduction)
    {
        var unit = new double[circuit.Stride];
        unit[coordinate.Index] = 1;
        if (coordinate.Closing < 0)
        {
            return unit;
        }

        unit[coordinate.Closing] = -1;
        if (circuit.ChokeX[circuit.BridgeOf(coordinate.Index)] > 0 && !conduction.Freewheels(circuit.BridgeOf(coordinate.Index)))
        {
            unit[circuit.Choke(circuit.BridgeOf(coordinate.Index))] = (conduction.Side(coordinate.Index) > 0
                ? 1
                : 0) - (conduction.Side(coordinate.Closing) > 0 ? 1 : 0);
        }

        return unit;
    }

    /// <summary>Directions in which a state may be moved, and the place where each is read again.</summary>
    public static (int[] Places, double[][] Directions) Directions(SwitchedCircuit circuit, Conduction conduction)
    {
        var free = Free(circuit, conduction);
        return ([.. free.Select(c => c.Index)], [.. free.Select(c => Unit(circuit, c, conduction))]);
    }

    // Of each bridge the currents that flow but the last, which closes the sum; the link; the choke of a bridge that freewheels.
    private static List<Coordinate> Free(SwitchedCircuit circuit, Conduction conduction)
    {
        var free = new List<Coordinate>();
        for (var k = 0; k < circuit.Bridges; k++)
        {
            var freewheels = conduction.Freewheels(k);
            var live = Enumerable.Range(k * circuit.PhasesOfBridge, circuit.PhasesOfBridge)
                .Where(x => freewheels || conduction.Side(x) != 0).ToList();
            free.AddRange(live.SkipLast(1).Select(x => new Coordinate(x, live[^1])));
            if (freewheels)
            {
                free.Add(new Coordinate(circuit.Choke(k), -1));
            }
        }

        free.AddRange(Enumerable.Range(0, circuit.Links.Length).Select(l => new Coordinate(circuit.Link(l), -1)));
        free.AddRange(Enumerable.Range(circuit.FirstOfBank, circuit.Size - circuit.FirstOfBank).Select(i => new Coordinate(i, -1)));
        return free;
    }

    private double Distance(double[] a, double[] b)
    {
        double worst = 0;
        for (var i = 0; i < circuit.Size; i++)
        {
            worst = Math.Max(worst, Math.Abs(a[i] - b[i]) / (circuit.IsVoltage(i) ? noLoadVoltage : scale));
        }

        return worst;
    }

    // A place of the state that may be moved, and the phase that takes it back; −1 where none must.
    private readonly record struct Coordinate(int Index, int Closing);
}
