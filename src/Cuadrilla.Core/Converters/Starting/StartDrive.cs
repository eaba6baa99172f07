using System.Numerics;

namespace Cuadrilla.Core.Converters.Starting;

/// <summary>The bus that a start loads: what stands behind it, standing load included.</summary>
/// <param name="EmfV">Line-to-line voltage before the start, V.</param>
/// <param name="Ohm">Impedance behind it and of the cables to the motor, ohm per phase.</param>
/// <param name="BusOhm">The part of it behind the bus itself, ohm per phase.</param>
public sealed record StartBus(double EmfV, Complex Ohm, Complex BusOhm);

/// <summary>What a drive does at one moment of a start.</summary>
/// <param name="TorqueNm">Torque at the shaft, Nm.</param>
/// <param name="LineCurrentA">Current from the bus, A.</param>
/// <param name="StarterCurrentA">Current through the starter's elements, A.</param>
/// <param name="BusVoltageV">Line-to-line voltage at the bus, V.</param>
/// <param name="InputW">Electrical power taken, at the bus, W.</param>
/// <param name="StatorLossW">Copper loss of the stator, W.</param>
/// <param name="RotorLossW">Loss of the rotor, W.</param>
/// <param name="OtherLossW">Cables and whatever else lies between bus and shaft, W.</param>
public readonly record struct StartState(
    double TorqueNm, double LineCurrentA, double StarterCurrentA, double BusVoltageV, double InputW, double StatorLossW, double RotorLossW,
    double OtherLossW);

/// <summary>A motor with its way of starting.</summary>
public interface IStartDrive
{
    /// <summary>Speed to be reached, rad/s.</summary>
    double TargetRadPerS { get; }

    /// <summary>Moment from which its settings change nothing any more, s.</summary>
    double SettledAtS { get; }

    /// <summary>Moments at which its torque jumps, ascending, s; no step of the integration goes across one.</summary>
    IReadOnlyList<double> JumpsS { get; }

    /// <summary>State at a moment and a speed.</summary>
    /// <param name="timeS">Time since the start, s.</param>
    /// <param name="speedRadPerS">Speed, rad/s.</param>
    /// <param name="loadTorqueNm">Torque of the load at that speed, Nm.</param>
    StartState At(double timeS, double speedRadPerS, double loadTorqueNm);
}
