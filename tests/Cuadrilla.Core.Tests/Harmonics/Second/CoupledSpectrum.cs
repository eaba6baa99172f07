using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Tests.Harmonics.Second;

/// <summary>
/// Orders, rms, power and means of the primary current of a settled orbit, per unit, by four-point Gauss–Legendre quadrature on each step.
/// Half a cycle holds all: currents return with the other sign, so that only odd orders exist.
/// </summary>
internal sealed class CoupledSpectrum
{
    private static readonly double[] PhaseCos = [1, -0.5, -0.5];
    private static readonly double[] PhaseSin = [0, Math.Sqrt(3) / 2, -Math.Sqrt(3) / 2];
    private readonly CoupledCircuit circuit;

    public CoupledSpectrum(CoupledCircuit circuit, IReadOnlyList<CoupledStep> steps)
    {
        this.circuit = circuit;
        var direct = new Complex[LineCurrent.HighestOrder];
        var across = new Complex[LineCurrent.HighestOrder];
        foreach (var step in steps)
        {
            for (var node = 0; node < FourPointQuadrature.Nodes.Length; node++)
            {
                var state = CoupledState.Between(step.Start, step.StartSlope, step.End, step.EndSlope, step.WidthRad,
                    FourPointQuadrature.Nodes[node]);
                Add(state, step.StartRad + (FourPointQuadrature.Nodes[node] * step.WidthRad),
                    FourPointQuadrature.Weights[node] * step.WidthRad / Math.PI, direct, across);
            }
        }

        // Sine convention: i = Σ Im{ C_h·e^(jhθ) } with C_h = (2j/π)·∫ i·e^(−jhθ) dθ over half a cycle.
        PhasorsPu =
        [
            .. Enumerable.Range(0, 3).Select(p => Enumerable.Range(0, LineCurrent.HighestOrder)
                .Select(h => new Complex(0, 2) * ((PhaseCos[p] * direct[h]) + (PhaseSin[p] * across[h]))).ToArray()),
        ];
    }

    /// <summary>Peak phasors by phase and order.</summary>
    public Complex[][] PhasorsPu { get; }

    public double[] SquaresPu { get; } = new double[3];

    public double[] PeakPu { get; } = new double[3];

    public double[] PowerPu { get; } = new double[3];

    public double VoltageMeanPu { get; private set; }

    public double VoltageSquareMeanPu { get; private set; }

    public double VoltageLowPu { get; private set; } = double.PositiveInfinity;

    public double VoltageHighPu { get; private set; } = double.NegativeInfinity;

    /// <summary>Sum of the currents of all chokes.</summary>
    public double ChokeMeanPu { get; private set; }

    public double ChokeLowPu { get; private set; } = double.PositiveInfinity;

    /// <summary>Mean square of the current of the choke that carries most.</summary>
    public double ChokeSquareMeanPu => chokeSquares.Max();

    private readonly double[] chokeSquares = new double[3];

    private void Add(in CoupledState state, double angle, double weight, Complex[] direct, Complex[] across)
    {
        double re = 0, im = 0, choke = 0;
        for (var k = 0; k < circuit.Bridges; k++)
        {
            double own = 0;
            for (var x = 3 * k; x < (3 * k) + 3; x++)
            {
                re += 2.0 / 3 * state[x] * circuit.AxisCos[x];
                im += 2.0 / 3 * state[x] * circuit.AxisSin[x];
                own += Math.Max(0, state[x]);
            }

            chokeSquares[k] += weight * own * own;
            choke += own;
        }

        circuit.Emf(angle, out var emfRe, out var emfIm);
        for (var p = 0; p < 3; p++)
        {
            var current = (PhaseCos[p] * re) + (PhaseSin[p] * im);
            SquaresPu[p] += weight * current * current;
            PowerPu[p] += weight * current * ((PhaseCos[p] * emfRe) + (PhaseSin[p] * emfIm));
            PeakPu[p] = Math.Max(PeakPu[p], Math.Abs(current));
        }

        var volts = state[circuit.Phases];
        VoltageMeanPu += weight * volts;
        VoltageSquareMeanPu += weight * volts * volts;
        VoltageLowPu = Math.Min(VoltageLowPu, volts);
        VoltageHighPu = Math.Max(VoltageHighPu, volts);
        ChokeMeanPu += weight * choke;
        ChokeLowPu = Math.Min(ChokeLowPu, choke);
        var turn = new Complex(Math.Cos(angle), -Math.Sin(angle));
        var square = turn * turn;
        var rotor = turn * weight;
        for (var h = 0; h < direct.Length; h += 2)
        {
            direct[h] += rotor * re;
            across[h] += rotor * im;
            rotor *= square;
        }
    }
}
