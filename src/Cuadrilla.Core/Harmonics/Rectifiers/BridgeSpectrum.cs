using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>
/// Fourier coefficients, rms, power and means of a settled orbit, per unit, by four-point Gauss–Legendre quadrature on
/// each recorded step, so that the kinks at the switching instants lie on step boundaries and cost no accuracy.
/// </summary>
internal sealed class BridgeSpectrum
{
    private readonly BridgeCircuit circuit;
    private readonly BridgeStep[] steps;

    public BridgeSpectrum(in BridgeCircuit circuit, BridgeStep[] steps)
    {
        this.circuit = circuit;
        this.steps = steps;
        PhasorsPu = new Complex[circuit.PhaseCount == 3 ? 3 : 1][];
        for (var i = 0; i < PhasorsPu.Length; i++)
        {
            PhasorsPu[i] = new Complex[LineCurrent.HighestOrder];
        }

        Integrate();
    }

    /// <summary>Peak phasors by phase and order, in the sine convention.</summary>
    public Complex[][] PhasorsPu { get; }

    public double[] RmsPu { get; } = new double[3];

    public double[] PeakPu { get; } = new double[3];

    /// <summary>Mean of EMF times current, by phase.</summary>
    public double[] PowerPu { get; } = new double[3];

    public double VoltageMeanPu { get; private set; }

    public double VoltageSquareMeanPu { get; private set; }

    public double VoltageLowPu { get; private set; } = double.PositiveInfinity;

    public double VoltageHighPu { get; private set; } = double.NegativeInfinity;

    public double ChokeMeanPu { get; private set; }

    public double ChokeSquareMeanPu { get; private set; }

    public double ChokeLowPu { get; private set; } = double.PositiveInfinity;

    private void Integrate()
    {
        // Sine convention: i = Σ Im{ C_h e^{jhθ} } with C_h = (j/π)·∫ i e^{−jhθ} dθ over a cycle.
        var sums = new Complex[3, LineCurrent.HighestOrder];
        Span<double> squares = stackalloc double[3];
        Span<double> powers = stackalloc double[3];
        foreach (ref readonly var step in steps.AsSpan())
        {
            Extremes(step.Start);
            Extremes(step.End);
            for (var node = 0; node < FourPointQuadrature.Nodes.Length; node++)
            {
                var angle = step.StartAngleRad + (FourPointQuadrature.Nodes[node] * step.WidthRad);
                var weight = FourPointQuadrature.Weights[node] * step.WidthRad;
                var state = BridgeState.Between(step, FourPointQuadrature.Nodes[node]);
                Extremes(state);
                VoltageMeanPu += weight * state.Voltage;
                VoltageSquareMeanPu += weight * state.Voltage * state.Voltage;
                ChokeMeanPu += weight * state.Choke;
                ChokeSquareMeanPu += weight * state.Choke * state.Choke;
                circuit.Emf(angle, out var a, out var b, out var c);
                Accumulate(state, a, b, c, weight, squares, powers);
                AddOrders(sums, state, angle, weight);
            }
        }

        Scale(sums, squares, powers);
    }

    private static void Accumulate(in BridgeState s, double a, double b, double c, double weight, Span<double> squares, Span<double> powers)
    {
        squares[0] += weight * s.A * s.A;
        squares[1] += weight * s.B * s.B;
        squares[2] += weight * s.C * s.C;
        powers[0] += weight * a * s.A;
        powers[1] += weight * b * s.B;
        powers[2] += weight * c * s.C;
    }

    private void AddOrders(Complex[,] sums, in BridgeState state, double angle, double weight)
    {
        var turn = new Complex(Math.Cos(angle), -Math.Sin(angle));
        var square = turn * turn;
        var rotor = turn * weight;
        for (var order = 1; order <= LineCurrent.HighestOrder; order += 2)
        {
            // A sixth of a cycle knows only the orders 6k ± 1.
            if (!circuit.IsSixfold || order % 3 != 0)
            {
                sums[0, order - 1] += rotor * state.A;
                if (circuit.PhaseCount == 3)
                {
                    sums[1, order - 1] += rotor * state.B;
                    sums[2, order - 1] += rotor * state.C;
                }
            }

            rotor *= square;
        }
    }

    private void Scale(Complex[,] sums, Span<double> squares, Span<double> powers)
    {
        var span = circuit.RepeatAngleRad;
        VoltageMeanPu /= span;
        VoltageSquareMeanPu /= span;
        ChokeMeanPu /= span;
        ChokeSquareMeanPu /= span;
        if (circuit.IsSixfold)
        {
            // i_a over a cycle is i_a, −i_b, i_c, −i_a, i_b, −i_c of the recorded sixth, each 60° later.
            var meanSquare = (squares[0] + squares[1] + squares[2]) / (3 * span);
            var meanPower = (powers[0] + powers[1] + powers[2]) / (3 * span);
            var peak = Math.Max(PeakPu[0], Math.Max(PeakPu[1], PeakPu[2]));
            for (var order = 1; order <= LineCurrent.HighestOrder; order += 2)
            {
                if (order % 3 == 0)
                {
                    continue;
                }

                var late = Complex.FromPolarCoordinates(1, -order * Math.PI / 3);
                var sum = sums[0, order - 1] - (late * sums[1, order - 1]) + (late * late * sums[2, order - 1]);
                var coefficient = 2 * sum * new Complex(0, 1 / Math.PI);
                for (var phase = 0; phase < 3; phase++)
                {
                    PhasorsPu[phase][order - 1] = coefficient * Complex.FromPolarCoordinates(1, -order * phase * 2 * Math.PI / 3);
                }
            }

            for (var phase = 0; phase < 3; phase++)
            {
                RmsPu[phase] = Math.Sqrt(meanSquare);
                PowerPu[phase] = meanPower;
                PeakPu[phase] = peak;
            }

            return;
        }

        for (var phase = 0; phase < PhasorsPu.Length; phase++)
        {
            for (var order = 1; order <= LineCurrent.HighestOrder; order += 2)
            {
                PhasorsPu[phase][order - 1] = 2 * sums[phase, order - 1] * new Complex(0, 1 / Math.PI);
            }

            RmsPu[phase] = Math.Sqrt(squares[phase] / span);
        }

        for (var phase = 0; phase < circuit.PhaseCount; phase++)
        {
            PowerPu[phase] = powers[phase] / span;
        }
    }

    private void Extremes(in BridgeState state)
    {
        VoltageLowPu = Math.Min(VoltageLowPu, state.Voltage);
        VoltageHighPu = Math.Max(VoltageHighPu, state.Voltage);
        ChokeLowPu = Math.Min(ChokeLowPu, state.Choke);
        PeakPu[0] = Math.Max(PeakPu[0], Math.Abs(state.A));
        PeakPu[1] = Math.Max(PeakPu[1], Math.Abs(state.B));
        PeakPu[2] = Math.Max(PeakPu[2], Math.Abs(state.C));
    }
}
