using System.Numerics;
using System.Runtime.InteropServices;
using System.Runtime.Intrinsics;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Orders, rms, power and means of an orbit in the units of its circuit, by Gauss–Legendre quadrature on each stretch, so that the kinks
/// at the switching instants lie on the ends of stretches. A sixth or half of a cycle stands for the whole. Told of one link and the
/// bridges that feed it.
/// </summary>
internal sealed class OrbitSpectrum
{
    private const int Lanes = 4;

    // Points for stretches up to a part of a cell: each as exact for the highest order as eight are for a whole cell.
    private static readonly (double UpTo, (double[] Nodes, double[] Weights) Gauss)[] Rules =
        [(0.13, Quadrature.Gauss(4)), (0.48, Quadrature.Gauss(6)), (double.PositiveInfinity, Quadrature.Gauss(8))];

    private static readonly double[] AxisRe = [1, -0.5, -0.5];
    private static readonly double[] AxisIm = [0, Math.Sqrt(3) / 2, -Math.Sqrt(3) / 2];

    private readonly SwitchedCircuit circuit;
    private readonly double[] chokeSquares;
    private readonly int link;
    private readonly int firstBridge;
    private readonly int bridges;

    private OrbitSpectrum(SwitchedCircuit circuit, int link, SpaceVector line)
    {
        (this.circuit, this.link, Line) = (circuit, link, line);
        firstBridge = Array.IndexOf(circuit.LinkOf, link);
        bridges = circuit.LinkOf.Count(l => l == link);
        chokeSquares = new double[circuit.Bridges];
    }

    /// <summary>What an orbit says of each link of its circuit.</summary>
    /// <param name="circuit">The bridges.</param>
    /// <param name="track">One repeat angle.</param>
    /// <param name="emf">EMF of the orbit.</param>
    /// <param name="isSixfold">True when the repeat angle is a sixth of a cycle, else half of one.</param>
    public static OrbitSpectrum[] Of(SwitchedCircuit circuit, SeriesTrack track, SpaceVector emf, bool isSixfold)
    {
        var spectra = new OrbitSpectrum[circuit.Links.Length];
        for (var l = 0; l < spectra.Length; l++)
        {
            spectra[l] = new OrbitSpectrum(circuit, l, new SpaceVector());
        }

        var span = isSixfold ? Math.PI / 3 : Math.PI;
        var orders = isSixfold ? SpaceVector.Sixfold : SpaceVector.All;
        var length = (orders.Count + Lanes - 1) / Lanes * Lanes;
        Span<double> state = stackalloc double[circuit.Stride];
        Span<double> turns = stackalloc double[2 * length];
        Span<double> sums = stackalloc double[2 * length * spectra.Length];
        sums.Clear();
        for (var i = 0; i < track.Count; i++)
        {
            var (startRad, widthRad, _, _, _) = track[i];
            var (nodes, weights) = Array.Find(Rules, r => widthRad <= r.UpTo * EmfSeries.CellRad).Gauss;
            for (var node = 0; node < nodes.Length; node++)
            {
                var at = nodes[node] * widthRad;
                track.At(i, at, state);
                var weight = weights[node] * widthRad / span;
                Turn(turns, weight, startRad + at, orders);
                for (var l = 0; l < spectra.Length; l++)
                {
                    var line = spectra[l].Add(state, weight);
                    AddTurned(sums.Slice(2 * length * l, 2 * length), turns, line);
                }
            }
        }

        for (var l = 0; l < spectra.Length; l++)
        {
            var own = sums.Slice(2 * length * l, 2 * length);
            var line = spectra[l].Line;
            for (var k = 0; k < orders.Count; k++)
            {
                line[orders[k]] = new Complex(own[k], own[length + k]);
            }

            spectra[l].Finish(isSixfold, emf);
        }

        return spectra;
    }

    /// <summary>What it says where another orbit's has moved from and to: that of the same link, of the same circuit.</summary>
    public OrbitSpectrum MovedAs(OrbitSpectrum from, OrbitSpectrum to)
    {
        var moved = new OrbitSpectrum(circuit, link, Line.Plus(to.Line, 1).Plus(from.Line, -1))
        {
            LinkMean = LinkMean + to.LinkMean - from.LinkMean,
            LinkSquare = LinkSquare + to.LinkSquare - from.LinkSquare,
            LinkLow = LinkLow + to.LinkLow - from.LinkLow,
            LinkHigh = LinkHigh + to.LinkHigh - from.LinkHigh,
            ChokeMean = ChokeMean + to.ChokeMean - from.ChokeMean,
            ChokeLow = Math.Max(0, ChokeLow + to.ChokeLow - from.ChokeLow),
        };
        for (var phase = 0; phase < Squares.Length; phase++)
        {
            moved.Squares[phase] = Squares[phase] + to.Squares[phase] - from.Squares[phase];
            moved.Peaks[phase] = Peaks[phase] + to.Peaks[phase] - from.Peaks[phase];
            moved.Powers[phase] = Powers[phase] + to.Powers[phase] - from.Powers[phase];
        }

        for (var k = 0; k < chokeSquares.Length; k++)
        {
            moved.chokeSquares[k] = chokeSquares[k] + to.chokeSquares[k] - from.chokeSquares[k];
        }

        return moved;
    }

    // weight·e^{−jmθ} of all orders, which are a constant step apart: real parts first, then the imaginary ones.
    private static void Turn(Span<double> turns, double weight, double angle, IReadOnlyList<int> orders)
    {
        var apart = orders[1] - orders[0];
        var length = turns.Length / 2;
        var (turn, one) = (Complex.FromPolarCoordinates(weight, -orders[0] * angle), Complex.FromPolarCoordinates(1, -apart * angle));
        var two = one * one;
        var (second, four) = (turn * one, two * two);
        var (third, fourth) = (turn * two, second * two);
        var re = Vector256.Create(turn.Real, second.Real, third.Real, fourth.Real);
        var im = Vector256.Create(turn.Imaginary, second.Imaginary, third.Imaginary, fourth.Imaginary);
        var (stepRe, stepIm) = (Vector256.Create(four.Real), Vector256.Create(four.Imaginary));
        for (var k = 0; k < length; k += Lanes)
        {
            re.CopyTo(turns[k..]);
            im.CopyTo(turns[(length + k)..]);
            (re, im) = ((re * stepRe) - (im * stepIm), (re * stepIm) + (im * stepRe));
        }
    }

    // sums += turns·line.
    private static void AddTurned(Span<double> sums, ReadOnlySpan<double> turns, Complex line)
    {
        var (re, im) = (Vector256.Create(line.Real), Vector256.Create(line.Imaginary));
        ref var from = ref MemoryMarshal.GetReference(turns);
        ref var to = ref MemoryMarshal.GetReference(sums);
        nuint length = (nuint)turns.Length / 2;
        for (nuint k = 0; k < length; k += Lanes)
        {
            var (turnRe, turnIm) = (Vector256.LoadUnsafe(ref from, k), Vector256.LoadUnsafe(ref from, length + k));
            var (sumRe, sumIm) = (Vector256.LoadUnsafe(ref to, k), Vector256.LoadUnsafe(ref to, length + k));
            Vector256.FusedMultiplyAdd(turnRe, re, sumRe - (turnIm * im)).StoreUnsafe(ref to, k);
            Vector256.FusedMultiplyAdd(turnRe, im, sumIm + (turnIm * re)).StoreUnsafe(ref to, length + k);
        }
    }

    private void Finish(bool isSixfold, SpaceVector emf)
    {
        if (isSixfold)
        {
            var mean = (Squares[0] + Squares[1] + Squares[2]) / 3;
            var peak = Peaks.Max();
            (Squares[0], Squares[1], Squares[2]) = (mean, mean, mean);
            (Peaks[0], Peaks[1], Peaks[2]) = (peak, peak, peak);
        }

        // Only orders that the EMF has carry power.
        for (var phase = 0; phase < 3; phase++)
        {
            for (var h = 1; h <= SpaceVector.HighestOrder; h += 2)
            {
                Powers[phase] += 0.5 * (emf.Phasor(h, phase) * Complex.Conjugate(Line.Phasor(h, phase))).Real;
            }
        }
    }

    /// <summary>Line current.</summary>
    public SpaceVector Line { get; }

    /// <summary>Mean square of each phase's line current.</summary>
    public double[] Squares { get; } = new double[3];

    /// <summary>Crest of each phase's line current.</summary>
    public double[] Peaks { get; } = new double[3];

    /// <summary>Mean power of each phase's EMF.</summary>
    public double[] Powers { get; } = new double[3];

    /// <summary>Mean link voltage.</summary>
    public double LinkMean { get; private set; }

    /// <summary>Mean square of the link voltage.</summary>
    public double LinkSquare { get; private set; }

    /// <summary>Lowest link voltage.</summary>
    public double LinkLow { get; private set; } = double.PositiveInfinity;

    /// <summary>Highest link voltage.</summary>
    public double LinkHigh { get; private set; } = double.NegativeInfinity;

    /// <summary>Mean of the sum of the bridges' currents.</summary>
    public double ChokeMean { get; private set; }

    /// <summary>Mean square of the current of the bridge that carries most.</summary>
    public double ChokeSquare => chokeSquares.Max();

    /// <summary>Least sum of the bridges' currents.</summary>
    public double ChokeLow { get; private set; } = double.PositiveInfinity;

    // Adds a state to the means; its line current.
    private Complex Add(ReadOnlySpan<double> state, double weight)
    {
        var line = circuit.LineCurrent(state, firstBridge * circuit.PhasesOfBridge, bridges * circuit.PhasesOfBridge);
        for (var phase = 0; phase < 3; phase++)
        {
            var current = (line.Real * AxisRe[phase]) + (line.Imaginary * AxisIm[phase]);
            Squares[phase] += weight * current * current;
            Peaks[phase] = Math.Max(Peaks[phase], Math.Abs(current));
        }

        double all = 0;
        for (var k = firstBridge; k < firstBridge + bridges; k++)
        {
            double own = 0;
            if (circuit.ChokeX[k] > 0)
            {
                own = state[circuit.Choke(k)];
            }
            else
            {
                for (var x = k * circuit.PhasesOfBridge; x < (k + 1) * circuit.PhasesOfBridge; x++)
                {
                    own += Math.Max(0, state[x]);
                }
            }

            chokeSquares[k] += weight * own * own;
            all += own;
        }

        var volts = state[circuit.Link(link)];
        LinkMean += weight * volts;
        LinkSquare += weight * volts * volts;
        LinkLow = Math.Min(LinkLow, volts);
        LinkHigh = Math.Max(LinkHigh, volts);
        ChokeMean += weight * all;
        ChokeLow = Math.Min(ChokeLow, all);
        return line;
    }
}
