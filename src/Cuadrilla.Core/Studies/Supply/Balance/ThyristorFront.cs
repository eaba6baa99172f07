using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;
using Cuadrilla.Core.Harmonics.Rectifiers.Periodic;
using Cuadrilla.Core.Harmonics.Thyristors;

namespace Cuadrilla.Core.Studies.Supply.Balance;

/// <summary>A thyristor front end: its bridge, and what draws active power beside it.</summary>
/// <param name="Input">The bridge at nominal voltage.</param>
/// <param name="BesideW">Field and losses, W.</param>
/// <param name="FollowsEmf">True where the output voltage is a part of what the line gives, and the current follows from the power.</param>
internal sealed record ThyristorFront(ThyristorInput Input, double BesideW, bool FollowsEmf)
{
    private const double Small = 1e-6;

    private double VoltageBaseV => Input.LineVoltageV * Math.Sqrt(2.0 / 3);

    // Active power beside the bridge in units of its own.
    private double BesidePu => 2.0 / 3 * BesideW / (VoltageBaseV * Input.DcCurrentA);

    /// <summary>Its line current at an EMF in the time of its own voltage, in parts of the output current at nominal voltage; null where
    /// it can't commutate.</summary>
    public (SpaceVector Line, double[] Squares)? At(SpaceVector emf)
    {
        // With the output voltage the current moves the other way; everything is then as at a smaller or larger reactance.
        var (circuit, size) = CircuitAt(emf);
        if (circuit.At(FollowsEmf ? emf.Turned(0, 0, 1 / size) : emf) is not { } state)
        {
            return null;
        }

        var part = FollowsEmf ? 1 / size : 1;
        var line = state.Line.Turned(0, 0, part);
        var bridge = line[1];
        line[1] += BesidePu / Complex.Conjugate(emf[1]);
        var more = ((line[1].Magnitude * line[1].Magnitude) - (bridge.Magnitude * bridge.Magnitude)) / 2;
        return (line, Array.ConvertAll(state.Squares, s => (s * part * part) + more));
    }

    /// <summary>How that moves with the EMF; null where it can't commutate.</summary>
    public OrderCoupling? Coupling(SpaceVector emf, IReadOnlyList<int> orders)
    {
        var (circuit, size) = CircuitAt(emf);
        var seen = FollowsEmf ? emf.Turned(0, 0, 1 / size) : emf;
        if (circuit.At(seen) is not { } state)
        {
            return null;
        }

        var coupling = ThyristorCoupling.Of(circuit, state, seen, orders);
        var fundamental = orders.ToList().IndexOf(1);
        if (!FollowsEmf)
        {
            coupling.Conjugate[fundamental, fundamental] -= 2 * BesidePu / (Complex.Conjugate(emf[1]) * Complex.Conjugate(emf[1]));
            return coupling;
        }

        // EMF and current are both in parts that move with the fundamental: its columns anew, the others twice in parts.
        for (var r = 0; r < orders.Count; r++)
        {
            for (var c = 0; c < orders.Count; c++)
            {
                (coupling.Direct[r, c], coupling.Conjugate[r, c]) = (coupling.Direct[r, c] / (size * size),
                    coupling.Conjugate[r, c] / (size * size));
            }
        }

        return Moved(emf, Small) is { } real && Moved(emf, Small * Complex.ImaginaryOne) is { } imaginary
            ? WithFundamental(coupling, fundamental, real, imaginary)
            : null;
    }

    /// <summary>What it comes to, in SI units.</summary>
    public RectifierResult Result(SpaceVector emf, SpaceVector line, double[] squares)
    {
        var phases = new LineCurrent[3];
        for (var p = 0; p < phases.Length; p++)
        {
            var orders = new Complex[LineCurrent.HighestOrder];
            double power = 0, square = 0;
            for (var h = 1; h <= SpaceVector.HighestOrder; h += 2)
            {
                orders[h - 1] = line.Phasor(h, p) * (Input.DcCurrentA / Math.Sqrt(2));
                var volts = emf.Phasor(h, p);
                power += (volts * Complex.Conjugate(line.Phasor(h, p))).Real / 2;
                square += ((volts.Real * volts.Real) + (volts.Imaginary * volts.Imaginary)) / 2;
            }

            var rms = Math.Sqrt(squares[p]);
            phases[p] = new LineCurrent(
                orders, rms * Input.DcCurrentA, new OrderWaveform(orders).PeakA(), Math.Cos(orders[0].Phase - emf.Phasor(1, p).Phase),
                power / (Math.Sqrt(square) * rms));
        }

        return new RectifierResult.Stated(phases, new OrderWaveform(phases[0].Orders), "closed form with overlap, smooth current");
    }

    /// <summary>Why there is none.</summary>
    public static RectifierResult None { get; } = new RectifierResult.NoSteadyState(FrontSolver.CanNotCommutate);

    private (ThyristorCircuit Circuit, double Size) CircuitAt(SpaceVector emf)
    {
        var size = emf[1].Magnitude;
        var reactance = Input.ReactanceOhm * Input.DcCurrentA / VoltageBaseV;
        return (new ThyristorCircuit(FollowsEmf ? reactance / (size * size) : reactance, Input.DcVoltageV / VoltageBaseV), size);
    }

    private SpaceVector? Moved(SpaceVector emf, Complex by)
    {
        var (up, down) = (emf.Copy(), emf.Copy());
        (up[1], down[1]) = (up[1] + by, down[1] - by);
        return At(up) is { } higher && At(down) is { } lower ? higher.Line.Plus(lower.Line, -1).Turned(0, 0, 0.5 / Small) : null;
    }

    private static OrderCoupling WithFundamental(OrderCoupling coupling, int column, SpaceVector real, SpaceVector imaginary)
    {
        for (var r = 0; r < coupling.Orders.Count; r++)
        {
            var (re, im) = (real[coupling.Orders[r]], imaginary[coupling.Orders[r]]);
            coupling.Direct[r, column] = re - (Complex.ImaginaryOne * im);
            coupling.Conjugate[r, column] = re + (Complex.ImaginaryOne * im);
        }

        return coupling;
    }
}
