using Cuadrilla.Core.Motors;
using Cuadrilla.Core.Numerics;

namespace Cuadrilla.Core.Converters.Starting;

/// <summary>Ways in which a cage motor starts on a bus.</summary>
public static class CageStart
{
    /// <summary>Where a start counts as done, in parts of the speed at which torque and load meet.</summary>
    private const double TargetShare = 0.995;

    /// <summary>Full voltage at once.</summary>
    /// <param name="circuit">The motor.</param>
    /// <param name="bus">The bus.</param>
    /// <param name="load">Torque of the machine over speed.</param>
    public static IStartDrive AcrossTheLine(CageCircuit circuit, StartBus bus, IReadOnlyList<LoadPoint> load) =>
        Of(circuit, bus, new FullVoltage(), load);

    /// <summary>Star, a gap, delta; the circuit is that of the delta.</summary>
    /// <param name="circuit">The motor linked in delta.</param>
    /// <param name="bus">The bus.</param>
    /// <param name="changeOverS">Time in star, s.</param>
    /// <param name="gapS">Gap, s.</param>
    /// <param name="load">Torque of the machine over speed.</param>
    public static IStartDrive StarDelta(CageCircuit circuit, StartBus bus, double changeOverS, double gapS,
        IReadOnlyList<LoadPoint> load) =>
        Of(circuit, bus, new StarDeltaLaw(changeOverS, gapS), load);

    /// <summary>Behind thyristors.</summary>
    /// <param name="circuit">The motor.</param>
    /// <param name="bus">The bus.</param>
    /// <param name="settings">Settings of the starter.</param>
    /// <param name="setCurrentA">The motor's set current, A.</param>
    /// <param name="load">Torque of the machine over speed.</param>
    public static IStartDrive SoftStarter(
        CageCircuit circuit, StartBus bus, SoftStarterSettings settings, double setCurrentA, IReadOnlyList<LoadPoint> load) =>
        Of(circuit, bus, new SoftStartLaw(settings, setCurrentA), load);

    private static CageStartDrive Of(CageCircuit circuit, StartBus bus, IVoltageLaw law, IReadOnlyList<LoadPoint> load)
    {
        ArgumentNullException.ThrowIfNull(circuit);
        return new CageStartDrive(circuit, bus, law, TargetShare * HighestSpeed(circuit, bus, load));
    }

    // Highest speed at which full voltage and load meet.
    private static double HighestSpeed(CageCircuit circuit, StartBus bus, IReadOnlyList<LoadPoint> load)
    {
        var full = new CageStartDrive(circuit, bus, new FullVoltage(), circuit.SynchronousRadPerS);
        bool Gains(double speed) => StartSimulation.TorqueAt(load, speed) is var asked && full.At(0, speed, asked).TorqueNm > asked;
        return Halving.Between(0.5 * circuit.SynchronousRadPerS, circuit.SynchronousRadPerS, Gains, 60).Low;
    }
}
