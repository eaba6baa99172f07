using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Converters.Stopping;

/// <summary>
/// Torque of a cage motor with direct current through two terminals of its star. The standing field acts as one of the alternating
/// current I = √(2/3)·I_dc; at ν = ω/ω_s the rotor sees the frequency ν·f: T = 3·I²·X_m²·(R_2/ν)/((R_2/ν)² + (X_m + X_2)²)/ω_s. All
/// energy becomes heat of the rotor. Saturation is not counted, which flatters the torque at low speed. Source: textbook equivalent
/// circuit; see <c>docs/methods/braking.md</c>.
/// </summary>
/// <param name="Circuit">The motor.</param>
/// <param name="DirectCurrentA">Direct current, A.</param>
public sealed record DcBrake(CageCircuit Circuit, double DirectCurrentA)
{
    /// <summary>Braking torque at a speed, Nm.</summary>
    public double TorqueNm(double radPerS)
    {
        var part = Math.Max(radPerS / Circuit.SynchronousRadPerS, 1e-9);
        var rotor = Circuit.RunningOhm + ((Circuit.StandstillOhm - Circuit.RunningOhm) * Math.Sqrt(Math.Min(part, 1)));
        var square = 2.0 / 3 * DirectCurrentA * DirectCurrentA;
        var resistance = rotor.Real / part;
        var reactance = Circuit.MagnetisingOhm + rotor.Imaginary;
        return 3 * square * Circuit.MagnetisingOhm * Circuit.MagnetisingOhm * resistance / ((resistance * resistance)
            + (reactance * reactance)) / Circuit.SynchronousRadPerS;
    }
}
