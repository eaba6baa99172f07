using System.Numerics;

namespace Cuadrilla.Core.Motors;

/// <summary>
/// Equivalent circuit of a cage motor with deep-bar effect, per phase of a star in ohm: stator R_s + jX_s, magnetising jX_m,
/// rotor R_2(s)/s + jX_2(s) with R_2 and X_2 going from their running to their standstill values with √|s| (depth of penetration).
/// Iron loss and friction are left out: they are small against a start. See <c>docs/methods/starting.md</c>.
/// </summary>
/// <param name="StatorOhm">R_s + jX_s.</param>
/// <param name="MagnetisingOhm">X_m.</param>
/// <param name="RunningOhm">R_2 + jX_2 at no slip.</param>
/// <param name="StandstillOhm">R_2 + jX_2 at standstill.</param>
/// <param name="SynchronousRadPerS">Synchronous speed, rad/s.</param>
/// <param name="RatedVoltageV">Line-to-line voltage it was fitted at, V.</param>
public sealed record CageCircuit(
    Complex StatorOhm, double MagnetisingOhm, Complex RunningOhm, Complex StandstillOhm, double SynchronousRadPerS, double RatedVoltageV)
{
    /// <summary>The same motor on another frequency: reactances and synchronous speed in proportion, bars penetrated as the frequency in
    /// them asks.</summary>
    /// <param name="ratio">Frequency over that of the fit, above 0.</param>
    public CageCircuit AtFrequency(double ratio)
    {
        Complex At(Complex ohm) => new(ohm.Real, ohm.Imaginary * ratio);
        return ratio == 1 ? this : this with
        {
            StatorOhm = At(StatorOhm),
            MagnetisingOhm = MagnetisingOhm * ratio,
            RunningOhm = At(RunningOhm),
            StandstillOhm = At(StandstillOhm),
            SynchronousRadPerS = SynchronousRadPerS * ratio,
            BarFrequencyPu = BarFrequencyPu * ratio,
        };
    }

    /// <summary>Frequency in the bars at standstill, parts of that of the fit.</summary>
    public double BarFrequencyPu { get; init; } = 1;

    /// <summary>State at a slip and a line-to-line voltage.</summary>
    /// <param name="slip">Slip, above 0 to 2; smaller ones are taken as 1e-6.</param>
    /// <param name="lineVoltageV">Line-to-line voltage at the terminals of the motor linked as on its plate, V.</param>
    public CagePoint At(double slip, double lineVoltageV)
    {
        var s = Math.Max(Math.Abs(slip), 1e-6);
        var depth = Math.Sqrt(Math.Min(s, 1) * BarFrequencyPu);
        var rotor = RunningOhm + ((StandstillOhm - RunningOhm) * depth);
        var branch = new Complex(rotor.Real / s, rotor.Imaginary);
        var magnetising = new Complex(0, MagnetisingOhm);
        var parallel = branch * magnetising / (branch + magnetising);
        var total = StatorOhm + parallel;
        var current = lineVoltageV / Math.Sqrt(3) / total;
        var rotorA = (current * magnetising / (branch + magnetising)).Magnitude;
        var airGapW = 3 * rotorA * rotorA * rotor.Real / s;
        return new CagePoint(
            airGapW / SynchronousRadPerS,
            current.Magnitude,
            total,
            3 * StatorOhm.Real * current.Magnitude * current.Magnitude,
            s * airGapW);
    }

    /// <summary>Line current of the standing motor at another frequency, A; bars penetrated as that frequency asks.</summary>
    /// <param name="frequencyPu">Frequency, parts of the rated, above 0.</param>
    /// <param name="lineVoltageV">Line-to-line voltage, V.</param>
    public double StandingCurrentA(double frequencyPu, double lineVoltageV)
    {
        if (frequencyPu <= 0 || lineVoltageV <= 0)
        {
            return 0;
        }

        Complex At(Complex ohm) => new(ohm.Real, ohm.Imaginary * frequencyPu);
        var rotor = At(RunningOhm + ((StandstillOhm - RunningOhm) * Math.Sqrt(Math.Min(frequencyPu, 1))));
        var magnetising = new Complex(0, MagnetisingOhm * frequencyPu);
        return lineVoltageV / Math.Sqrt(3) / (At(StatorOhm) + (rotor * magnetising / (rotor + magnetising))).Magnitude;
    }
}

/// <summary>A state of the circuit.</summary>
/// <param name="TorqueNm">Torque, Nm.</param>
/// <param name="CurrentA">Line current, A.</param>
/// <param name="ImpedanceOhm">Impedance per phase of a star, ohm.</param>
/// <param name="StatorLossW">Copper loss of the stator, W.</param>
/// <param name="RotorLossW">Copper loss of the rotor, W.</param>
public readonly record struct CagePoint(double TorqueNm, double CurrentA, Complex ImpedanceOhm, double StatorLossW, double RotorLossW);
