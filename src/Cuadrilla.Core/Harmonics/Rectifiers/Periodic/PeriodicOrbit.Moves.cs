using System.Numerics;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Harmonics.Rectifiers.Periodic;

// The map over one repeat angle, and the directions in which its start may be moved.
internal sealed partial class PeriodicOrbit
{
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
