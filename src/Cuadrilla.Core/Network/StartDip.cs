using System.Numerics;

namespace Cuadrilla.Core.Network;

/// <summary>
/// Voltage while a motor starts across the line: the phasor solution of source, standing load and the motor's locked-rotor
/// impedance, Z = U²/S_lr at its power factor. The shortcut S_start/S_sc is reported beside it. See
/// <c>docs/methods/start-dip.md</c>.
/// </summary>
public static class StartDip
{
    /// <summary>Result at one bus.</summary>
    /// <param name="BeforePu">Voltage before, parts of nominal.</param>
    /// <param name="DuringPu">Voltage with the rotor still.</param>
    public readonly record struct Voltages(double BeforePu, double DuringPu)
    {
        /// <summary>Dip, % of the voltage before.</summary>
        public double DipPct => 100 * (1 - (DuringPu / BeforePu));
    }

    /// <summary>Result.</summary>
    /// <param name="AtMotor">At the motor's bus.</param>
    /// <param name="AtCoupling">At the point of common coupling.</param>
    /// <param name="ShortcutPct">S_start/S_sc at the motor's bus, %; 0 at an infinite source.</param>
    public readonly record struct Result(Voltages AtMotor, Voltages AtCoupling, double ShortcutPct);

    /// <summary>Solves it; null when no voltage settles: the network can't carry the start.</summary>
    /// <param name="network">The network.</param>
    /// <param name="standing">What else runs.</param>
    /// <param name="busId">Bus of the motor, live.</param>
    /// <param name="startVa">Apparent power with locked rotor at nominal voltage, VA.</param>
    /// <param name="startPowerFactor">Its power factor.</param>
    /// <param name="couplingBusId">Bus of the point of common coupling, live.</param>
    public static Result? Run(
        SupplyNetwork network, StandingLoad standing, string busId, double startVa, double startPowerFactor, string couplingBusId)
    {
        ArgumentNullException.ThrowIfNull(network);
        ArgumentNullException.ThrowIfNull(standing);
        var before = LoadFlow.Run(network, standing.ShuntsPu, standing.PowersPu);
        var shunts = standing.ShuntsPu.ToArray();
        var node = network.NodeOf(busId);
        if (node != SupplyNetwork.Reference)
        {
            var power = Complex.FromPolarCoordinates(startVa / SupplyNetwork.BaseVa, Math.Acos(startPowerFactor));
            shunts[node] += Complex.Conjugate(power);
        }

        var during = LoadFlow.Run(network, shunts, standing.PowersPu);
        if (before is null || during is null)
        {
            return null;
        }

        var fault = network.FaultA(busId);
        return new Result(
            At(network, before, during, busId),
            At(network, before, during, couplingBusId),
            double.IsFinite(fault) ? 100 * startVa / (Math.Sqrt(3) * network.VoltageV(busId) * fault) : 0);
    }

    private static Voltages At(SupplyNetwork network, Complex[] before, Complex[] during, string busId)
    {
        var node = network.NodeOf(busId);
        return node == SupplyNetwork.Reference ? new Voltages(1, 1) : new Voltages(before[node].Magnitude, during[node].Magnitude);
    }
}

/// <summary>What a network carries at the fundamental, by node and in per unit.</summary>
/// <param name="ShuntsPu">Admittance between node and earth: linear loads, capacitors.</param>
/// <param name="PowersPu">P + jQ drawn whatever the voltage: drives.</param>
public sealed record StandingLoad(IReadOnlyList<Complex> ShuntsPu, IReadOnlyList<Complex> PowersPu);
