using System.Numerics;
using Cuadrilla.Core.Harmonics.Rectifiers;

namespace Cuadrilla.Core.Harmonics;

/// <summary>
/// Currents of all rectifiers of a bus added as phasors, and what they do at the point of common coupling. See
/// <c>docs/methods/pcc.md</c>. Linear load is taken to draw no harmonic current, which is on the safe side without
/// capacitors; resistance is constant and reactance grows with the order.
/// </summary>
public static class PccStudy
{
    /// <summary>What the study needs.</summary>
    /// <param name="RectifierCurrentsA">Rms phasors of orders 1 to 50 of each rectifier at the bus, A.</param>
    /// <param name="LinearCurrentA">Fundamental phasor of the linear load at the bus, A.</param>
    /// <param name="BusToPccPu">Current at the PCC in parts of that at the bus (the voltage ratio).</param>
    /// <param name="PccImpedanceOhm">Impedance behind the PCC at the fundamental, ohm at PCC voltage.</param>
    /// <param name="PccVoltageV">Nominal line-to-line voltage at the PCC, V.</param>
    public sealed record Input(
        IReadOnlyList<IReadOnlyList<Complex>> RectifierCurrentsA,
        Complex LinearCurrentA,
        double BusToPccPu,
        Complex PccImpedanceOhm,
        double PccVoltageV);

    /// <summary>What the study finds.</summary>
    /// <param name="CurrentA">Rms phasors at the PCC, orders 1 to 50, A.</param>
    /// <param name="VoltagePct">Harmonic voltage at the PCC, orders 1 to 50 (order 1: 100), per cent of nominal.</param>
    /// <param name="HarmonicA">Root of the sum of squares of orders 2 to 50, A.</param>
    /// <param name="ThdvPct">Total harmonic distortion of the voltage, %.</param>
    public sealed record Result(IReadOnlyList<Complex> CurrentA, IReadOnlyList<double> VoltagePct, double HarmonicA, double ThdvPct)
    {
        /// <summary>Fundamental, A.</summary>
        public double FundamentalA => CurrentA[0].Magnitude;

        /// <summary>Distortion of the present current, per cent of its fundamental: not the demand distortion.</summary>
        public double ThdiPct => FundamentalA > 0 ? 100 * HarmonicA / FundamentalA : 0;

        /// <summary>Rms of all orders, A.</summary>
        public double RmsA => Math.Sqrt((FundamentalA * FundamentalA) + (HarmonicA * HarmonicA));

        /// <summary>Total demand distortion against a demand current, %.</summary>
        public double TddPct(double demandCurrentA) => 100 * HarmonicA / demandCurrentA;
    }

    /// <summary>Runs the study.</summary>
    public static Result Run(Input input)
    {
        ArgumentNullException.ThrowIfNull(input);
        var current = new Complex[LineCurrent.HighestOrder];
        current[0] = input.LinearCurrentA * input.BusToPccPu;
        foreach (var orders in input.RectifierCurrentsA)
        {
            for (var i = 0; i < current.Length; i++)
            {
                current[i] += orders[i] * input.BusToPccPu;
            }
        }

        var voltagePct = new double[current.Length];
        voltagePct[0] = 100;
        var phaseVoltage = input.PccVoltageV / Math.Sqrt(3);
        for (var i = 1; i < current.Length; i++)
        {
            var impedance = new Complex(input.PccImpedanceOhm.Real, input.PccImpedanceOhm.Imaginary * (i + 1));
            voltagePct[i] = 100 * current[i].Magnitude * impedance.Magnitude / phaseVoltage;
        }

        return Of(current, voltagePct);
    }

    /// <summary>The result of currents and voltages that are known by order.</summary>
    /// <param name="currentA">Rms phasors of orders 1 to 50, A.</param>
    /// <param name="voltagePct">Voltages of orders 1 to 50 (order 1: 100), per cent of nominal.</param>
    public static Result Of(IReadOnlyList<Complex> currentA, IReadOnlyList<double> voltagePct)
    {
        ArgumentNullException.ThrowIfNull(currentA);
        ArgumentNullException.ThrowIfNull(voltagePct);
        return new Result(
            currentA,
            voltagePct,
            Math.Sqrt(currentA.Skip(1).Sum(c => c.Magnitude * c.Magnitude)),
            Math.Sqrt(voltagePct.Skip(1).Sum(v => v * v)));
    }
}
