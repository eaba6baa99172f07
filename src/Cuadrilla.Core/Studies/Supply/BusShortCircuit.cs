using System.Numerics;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Fault currents of a bus over all scenarios, each for what it serves (IEC 60909-0). See
/// <c>docs/methods/short-circuit.md</c>.</summary>
/// <param name="BusId">The bus.</param>
/// <param name="NominalVoltageV">Its nominal voltage, V.</param>
/// <param name="Factors">Voltage factors.</param>
/// <param name="LargestA">Largest, motors with it, for breaking and withstand, A; infinite at an infinite source.</param>
/// <param name="MotorsA">Part of it that motors give, A.</param>
/// <param name="PeakA">Its peak i_p, A.</param>
/// <param name="LargestScenario">Where.</param>
/// <param name="PlainA">Without factors, for distortion, A.</param>
/// <param name="LeastA">Least of three phases, A.</param>
/// <param name="LeastScenario">Where.</param>
/// <param name="LeastOhm">Impedance behind it then, Ω.</param>
/// <param name="LoopOhm">Loop from line to earth then, Ω; null where the zero sequence is not known.</param>
public sealed record BusShortCircuit(
    string BusId, double NominalVoltageV, FaultCurrent.VoltageFactors Factors, double LargestA, double MotorsA, double PeakA,
    string LargestScenario, double PlainA,
    double LeastA, string LeastScenario, Complex LeastOhm, Complex? LoopOhm)
{
    /// <summary>Voltage to earth, V.</summary>
    public double PhaseVoltageV => NominalVoltageV / Math.Sqrt(3);

    /// <summary>Least of two phases, A.</summary>
    public double PhaseToPhaseA => Math.Sqrt(3) / 2 * LeastA;

    /// <summary>Least of one phase to earth, A; null where the zero sequence is not known.</summary>
    public double? ToEarthA => Factors.Min * PhaseVoltageV / LoopOhm?.Magnitude;
}
