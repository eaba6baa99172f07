using Cuadrilla.Core.Numerics;
using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

/// <summary>
/// Orders, rms, power and means of an orbit in the units of its circuit, by eight-point Gauss–Legendre quadrature on each stretch, so that
/// the
/// kinks at the switching instants lie on the ends of stretches. A sixth or half of a cycle stands for the whole. Told of one link and the
/// bridges that feed it.
/// </summary>
internal sealed class OrbitSpectrum
{
    private static readonly double[] Nodes = Quadrature.Gauss8;
    private static readonly double[] Weights = Quadrature.Gauss8Weights;

    private readonly SwitchedCircuit circuit;
    private readonly double[] chokeSquares;
    private readonly int link;
    private readonly int firstBridge;
    private readonly int bridges;

    private OrbitSpectrum(SwitchedCircuit circuit, int link)
    {
        (this.circuit, this.link) = (circuit, link);
        firstBridge = Array.IndexOf(circuit.LinkOf, link);
        bridges = circuit.LinkOf.Count(l => l == link);
        chokeSquares = new double[circuit.Bridges];
    }

    /// <summary>What an orbit says of each link of its circuit.</summary>
    /// <param name="circuit">The bridges.</param>
    /// <param name="orbit">Their orbit.</param>
    /// <param name="emf">EMF of the orbit.</param>
    public static OrbitSpectrum[] Of(SwitchedCircuit circuit, OrbitResult.Settled orbit, SpaceVector emf)
    {
        var spectra = circuit.Links.Select((_, l) => new OrbitSpectrum(circuit, l)).ToArray();
        var span = orbit.IsSixfold ? Math.PI / 3 : Math.PI;
        IReadOnlyList<int> orders = orbit.IsSixfold ? SpaceVector.Sixfold : SpaceVector.All;
        Span<double> state = stackalloc double[circuit.Stride];
        Span<Complex> turns = stackalloc Complex[orders.Count];
        foreach (var piece in orbit.Pieces)
        {
            for (var node = 0; node < Nodes.Length; node++)
            {
                piece.At(Nodes[node] * piece.WidthRad, state);
                var angle = piece.StartRad + (Nodes[node] * piece.WidthRad);
                var weight = Weights[node] * piece.WidthRad / span;

                // Orders are a constant step apart.
                var turn = Complex.FromPolarCoordinates(weight, -orders[0] * angle);
                var step = Complex.FromPolarCoordinates(1, -(orders[1] - orders[0]) * angle);
                for (var k = 0; k < turns.Length; k++, turn *= step)
                {
                    turns[k] = turn;
                }

                foreach (var spectrum in spectra)
                {
                    spectrum.Add(state, weight, orders, turns);
                }
            }
        }

        foreach (var spectrum in spectra)
        {
            spectrum.Finish(orbit.IsSixfold, emf);
        }

        return spectra;
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
    public SpaceVector Line { get; } = new();

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

    private void Add(ReadOnlySpan<double> state, double weight, IReadOnlyList<int> orders, ReadOnlySpan<Complex> turns)
    {
        var line = circuit.LineCurrent(state, firstBridge * circuit.PhasesOfBridge, bridges * circuit.PhasesOfBridge);
        for (var phase = 0; phase < 3; phase++)
        {
            var (cos, sin) = phase switch { 0 => (1, 0.0), 1 => (-0.5, Math.Sqrt(3) / 2), _ => (-0.5, -Math.Sqrt(3) / 2) };
            var current = (line.Real * cos) + (line.Imaginary * sin);
            Squares[phase] += weight * current * current;
            Peaks[phase] = Math.Max(Peaks[phase], Math.Abs(current));
        }

        double all = 0;
        for (var k = firstBridge; k < firstBridge + bridges; k++)
        {
            double own = 0;
            for (var x = k * circuit.PhasesOfBridge; x < (k + 1) * circuit.PhasesOfBridge; x++)
            {
                own += Math.Max(0, state[x]);
            }

            own = circuit.ChokeX[k] > 0 ? state[circuit.Choke(k)] : own;
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
        var sums = Line;
        for (var k = 0; k < turns.Length; k++)
        {
            sums[orders[k]] += turns[k] * line;
        }
    }
}
