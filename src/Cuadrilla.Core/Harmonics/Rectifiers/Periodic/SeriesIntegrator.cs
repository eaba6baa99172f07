namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Carries bridges over an angle by power series: the equations are linear but for the load, and the EMF is a sum of exponentials, so that
/// each coefficient follows from the one before (E. Hairer, S. P. Nørsett, G. Wanner, Solving Ordinary Differential Equations I, I.8).
/// Switching instants are roots of the series themselves. One stretch never passes the end of a cell of the EMF's.
/// </summary>
internal sealed partial class SeriesIntegrator
{
    private const int Full = EmfSeries.Degree;
    private const int Terms = Full + 1;
    private const double ShortestRad = 1e-13;
    private const double SlopePrecision = 1e-10;
    private const double Glance = 1e-5;
    private const double Nothing = 1e-11;
    private const int MostPieces = 20_000;
    private const int MostChanges = 16;
    private const int MostHalvings = 12;
    private const int SettlingDegree = 3;
    private const int RoughDegree = 9;
    private static readonly double[] Looks = [0.25, 0.5, 0.75, 1];

    private readonly SwitchedCircuit circuit;
    private readonly EmfSeries emf;
    private readonly double scale;
    private readonly int size;
    private readonly int stride;
    private readonly double[] series;
    private readonly double[] moved;
    private readonly double[] looked;
    private readonly double[] lookedSlope;
    private readonly double[] units;
    private double[] slopesBefore;
    private readonly double[][] volts;
    private readonly double[][] movedVolts;
    private readonly double[] emfRe = new double[EmfSeries.Length];
    private readonly double[] emfIm = new double[EmfSeries.Length];

    // The last term first, so that products of series are products of rows.
    private readonly double[][] load;
    private readonly double[][] loadSlope;
    private readonly double[] guard = new double[Terms];
    private readonly double[][] guards;
    private int degree = Full;
    private bool isRough;
    private double precision = 1e-13;

    /// <param name="circuit">The bridges.</param>
    /// <param name="emf">EMF, with cells over the angle that is asked for.</param>
    /// <param name="scale">A usual current, that small ones are measured by.</param>
    public SeriesIntegrator(SwitchedCircuit circuit, EmfSeries emf, double scale)
    {
        (this.circuit, this.emf, this.scale) = (circuit, emf, scale);
        size = circuit.Size;
        stride = circuit.Stride;
        series = new double[stride * Terms];
        moved = new double[stride * Terms];
        looked = new double[stride];
        lookedSlope = new double[stride];
        units = new double[stride];
        slopesBefore = new double[circuit.Bridges * SwitchedMode.MostGuards];
        volts = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        movedVolts = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        load = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        loadSlope = Array.ConvertAll(circuit.Links, _ => new double[Terms]);
        guards = [.. Enumerable.Range(0, SettlingDegree + 1).Select(_ => new double[circuit.Bridges * SwitchedMode.MostGuards])];
    }

    /// <summary>On the way to an orbit a few terms are enough; what is reported is exact to rounding.</summary>
    public void SetRough(bool rough) => (isRough, precision) = (rough, rough ? 1e-6 : 1e-13);

    /// <summary>Carries a state from the first cell to the end of the last, and with it how it moves with its start.</summary>
    /// <param name="state">State; replaced by that at the end.</param>
    /// <param name="conduction">Which diodes conduct; replaced likewise.</param>
    /// <param name="moves">Columns of small changes of the state, carried along; null: none.</param>
    /// <param name="track">Takes the stretches; null: not wanted.</param>
    /// <returns>Number of stretches.</returns>
    /// <exception cref="RectifierSearchException">Switching without end, or numbers out of range.</exception>
    public int Advance(double[] state, ref Conduction conduction, double[][]? moves = null, SeriesTrack? track = null)
    {
        var (cell, offset, stalled, mode) = (0, 0.0, 0, (SwitchedMode?)null);
        var count = 0;
        for (; cell < emf.Cells; count++)
        {
            if (count > MostPieces)
            {
                throw new RectifierSearchException("The bridge equations are too stiff to integrate.");
            }

            emf.About(cell, offset, emfRe, emfIm);
            mode ??= Settled(ref conduction, state);
            var rest = EmfSeries.CellRad - offset;
            var width = Expand(mode, state, rest);
            var found = FirstSwitching(mode, ref width);
            if (moves is not null)
            {
                Carry(mode, moves, width);
            }

            track?.Add(new SeriesStretch(emf.StartOf(cell) + offset, width, mode, degree, found), series);
            Evaluate(series, stride, degree, width, state);
            (cell, offset) = width >= rest - ShortestRad ? (cell + 1, 0) : (cell, offset + width);
            if (found is null)
            {
                continue;
            }

            stalled = width < 1e-10 ? stalled + 1 : 0;
            if (stalled > 60)
            {
                throw new RectifierSearchException("The bridge keeps switching without advancing.");
            }

            Switch(mode, found, state, ref conduction, width, moves);
            mode = null;
        }

        return count;
    }

    // A combination that can't be at this instant changes until it can.
    private SwitchedMode Settled(ref Conduction conduction, double[] state)
    {
        for (var i = 0; ; i++)
        {
            var mode = circuit.Mode(conduction);
            Expand(mode, state, SettlingDegree);
            SwitchingGuard? broken = null;
            var worst = 0.0;
            for (var k = 0; k <= SettlingDegree; k++)
            {
                mode.GuardRows.Multiply(series.AsSpan(k * stride, stride), emfRe[k], emfIm[k], 1, guards[k]);
            }

            for (var g = 0; g < mode.Guards.Length; g++)
            {
                var now = guards[0][g];
                var ahead = now + (Glance * (guards[1][g] + (Glance * (guards[2][g] + (Glance * guards[3][g])))));
                var value = Math.Abs(now) > Nothing * (1 + scale) ? now : Math.Min(ahead, 0);
                if (value < worst)
                {
                    (worst, broken) = (value, mode.Guards[g]);
                }
            }

            if (broken is null || i == MostChanges)
            {
                return mode;
            }

            conduction = After(broken, conduction, state);
        }
    }

    private Conduction After(SwitchingGuard change, Conduction conduction, double[] state)
    {
        var (from, n) = (change.Bridge * circuit.PhasesOfBridge, circuit.PhasesOfBridge);
        switch (change.Kind)
        {
            case SwitchingKind.TurnsOff:
                conduction = conduction.With(change.Phase, 0);
                break;
            case SwitchingKind.TopTurnsOn:
                conduction = conduction.With(change.Phase, 1);
                break;
            case SwitchingKind.BottomTurnsOn:
                conduction = conduction.With(change.Phase, -1);
                break;
            case SwitchingKind.PairTurnsOn:
                conduction = conduction.With(change.Phase, 1).With(change.Lower, -1);
                break;
            case SwitchingKind.FreewheelStarts:
                return conduction.WithFreewheel(change.Bridge, true);
            default:
                conduction = conduction.WithFreewheel(change.Bridge, false);
                for (var x = from; x < from + n; x++)
                {
                    conduction = conduction.With(x, Math.Abs(state[x]) < Nothing * scale ? 0 : Math.Sign(state[x]));
                }

                break;
        }

        int top = 0, bottom = 0;
        for (var x = from; x < from + n; x++)
        {
            top += conduction.Side(x) > 0 ? 1 : 0;
            bottom += conduction.Side(x) < 0 ? 1 : 0;
        }

        var isOneSided = top == 0 || bottom == 0;
        double rest = 0, choke = 0;
        for (var x = from; x < from + n; x++)
        {
            conduction = isOneSided ? conduction.With(x, 0) : conduction;
            state[x] = conduction.Side(x) == 0 ? 0 : state[x];
            rest += state[x];
        }

        // Round-off must not leave a sum behind.
        for (var x = from; x < from + n; x++)
        {
            state[x] -= conduction.Side(x) == 0 ? 0 : rest / (top + bottom);
            choke += conduction.Side(x) > 0 ? state[x] : 0;
        }

        if (circuit.ChokeX[change.Bridge] > 0)
        {
            state[circuit.Choke(change.Bridge)] = choke;
        }

        return conduction;
    }

    private void Switch(SwitchedMode mode, SwitchingGuard found, double[] state, ref Conduction conduction, double width, double[][]? moves)
    {
        if (moves is null)
        {
            conduction = After(found, conduction, state);
            return;
        }

        var (re, _) = Polynomial(emfRe.AsSpan(0, degree + 1), width);
        var (im, _) = Polynomial(emfIm.AsSpan(0, degree + 1), width);
        var before = Slopes(mode, state, re, im);
        GuardSeries(found, degree + 1);
        double rate = 0;
        for (var k = degree; k >= 1; k--)
        {
            rate = (rate * width) + (k * guard[k]);
        }

        conduction = After(found, conduction, state);
        var after = Slopes(circuit.Mode(conduction), state, re, im);

        // A moved state switches earlier or later and follows the slopes of before for longer or shorter.
        foreach (var column in moves)
        {
            double by = 0;
            for (var c = 0; c < size; c++)
            {
                by += found.Row[c] * column[c];
            }

            var later = -by / rate;
            for (var c = 0; c < size && double.IsFinite(later); c++)
            {
                column[c] += (before[c] - after[c]) * later;
            }

            Settle(column, conduction, found.Bridge);
        }
    }

    private double[] Slopes(SwitchedMode mode, double[] state, double re, double im)
    {
        state.AsSpan(0, stride).CopyTo(looked);
        var both = new double[2 * stride];
        looked.CopyTo(both, 0);
        Through(mode, both, 0, re, im);
        for (var l = 0; l < circuit.Links.Length; l++)
        {
            var link = circuit.Links[l];
            var at = state[circuit.Link(l)];
            both[stride + circuit.Link(l)] -= link.LoadCurrent(link.LoadPower > 0
                ? Math.Max(at, circuit.ClampVoltage)
                : at) / link.Susceptance;
        }

        return both[stride..];
    }

    // What floats carries nothing, moved or not.
    private void Settle(double[] column, Conduction conduction, int bridge)
    {
        if (conduction.Freewheels(bridge))
        {
            return;
        }

        double choke = 0;
        for (var x = bridge * circuit.PhasesOfBridge; x < (bridge + 1) * circuit.PhasesOfBridge; x++)
        {
            column[x] = conduction.Side(x) == 0 ? 0 : column[x];
            choke += conduction.Side(x) > 0 ? column[x] : 0;
        }

        if (circuit.ChokeX[bridge] > 0)
        {
            column[circuit.Choke(bridge)] = choke;
        }
    }
}
