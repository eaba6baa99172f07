using System.Runtime.CompilerServices;
using Cuadrilla.Core.Motors;

namespace Cuadrilla.Core.Studies.Commissioning;

/// <summary>What an identification of a cage motor is expected to find, from its plate and its division of losses; method
/// <c>docs/methods/commissioning.md</c>.</summary>
/// <param name="Stator20Ohm">Resistance of a stator phase of the equivalent star at 20 °C, Ω.</param>
/// <param name="NoLoadA">No-load current as linked, A.</param>
/// <param name="IsNoLoadMeasured">It is from a measured no-load current or power factor, not estimated.</param>
/// <param name="LeakagePu">Leakage reactances of stator and rotor together, per unit of U_N/(√3·I_N); null where they can't be had.</param>
/// <param name="RotorTimeConstantS">(X_m + X_2)/(ω·R_2), warm, s; null likewise.</param>
public sealed record ExpectedMotor(double Stator20Ohm, double NoLoadA, bool IsNoLoadMeasured, double? LeakagePu, double? RotorTimeConstantS)
{
    // Winding temperature to which the losses of a plate belong (IEC 60034-2-1, class B), °C.
    private const double ReferenceC = 95;
    private const double CopperK = 235;

    // The circuit takes some milliseconds to fit, and sheet, steps and their basis ask for it again.
    private static readonly ConditionalWeakTable<MotorLossModel, ExpectedMotor> Known = [];

    /// <summary>What is expected; null for any but a cage motor.</summary>
    /// <param name="connected">The motor as linked and fed.</param>
    /// <param name="losses">Its loss model.</param>
    public static ExpectedMotor? Of(ConnectedMotor connected, MotorLossModel losses)
    {
        ArgumentNullException.ThrowIfNull(connected);
        ArgumentNullException.ThrowIfNull(losses);
        return connected.Plate.Technology == MotorTechnology.CageInduction
            ? Known.GetValue(losses, _ => Found(connected.Plate, losses))
            : null;
    }

    private static ExpectedMotor Found(MotorPlate plate, MotorLossModel losses)
    {
        var rotorW = plate.RatedSlip / (1 - plate.RatedSlip) * plate.RatedPowerW;
        var statorW = plate.Split.StatorPu * Math.Max(0.1 * plate.RatedLossW, plate.RatedLossW - rotorW);
        var warmOhm = statorW / (3 * plate.RatedCurrentA * plate.RatedCurrentA);
        var circuit = plate.StartsOnTheLine ? CageCircuitFit.Run(plate).Circuit : null;
        var baseOhm = plate.RatedVoltageV / Math.Sqrt(3) / plate.RatedCurrentA;
        return new(warmOhm * (CopperK + 20) / (CopperK + ReferenceC), losses.MagnetisingCurrentA, plate.MagnetisingPu > 0,
            circuit is null ? null : (circuit.StatorOhm.Imaginary + circuit.RunningOhm.Imaginary) / baseOhm,
            circuit is null ? null : (circuit.MagnetisingOhm + circuit.RunningOhm.Imaginary)
                / (2 * Math.PI * plate.RatedFrequencyHz * circuit.RunningOhm.Real));
    }

    /// <summary>Resistance of a phase at a temperature, Ω.</summary>
    /// <param name="windingC">Temperature of the winding, °C.</param>
    public double StatorOhm(double windingC) => Stator20Ohm * (CopperK + windingC) / (CopperK + 20);
}
