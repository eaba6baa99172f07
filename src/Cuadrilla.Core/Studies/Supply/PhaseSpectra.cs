using System.Numerics;
using Cuadrilla.Core.Network;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Sequences of all orders at one place, turned into phases.</summary>
/// <param name="Orders">Orders 1 to 50 in the frame of the source, per unit.</param>
internal sealed record SequenceSpectrum(IReadOnlyList<Sequences> Orders)
{
    /// <summary>Phasors of one phase, orders 1 to 50, at a place that the vector groups have turned, times a base.</summary>
    public Complex[] Phase(int phase, double shiftRad, double baseValue) =>
        [.. Orders.Select(o => o.ToBus(shiftRad).Phase(phase) * baseValue)];
}

/// <summary>Spectrum of a current of one phase.</summary>
/// <param name="OrdersA">Rms phasors of orders 1 to 50, A.</param>
public sealed record PhaseSpectrum(IReadOnlyList<Complex> OrdersA)
{
    /// <summary>Fundamental, A.</summary>
    public double FundamentalA => OrdersA[0].Magnitude;

    /// <summary>Rms of all orders, A.</summary>
    public double RmsA => Math.Sqrt(OrdersA.Sum(o => o.Magnitude * o.Magnitude));

    /// <summary>Heat of a winding that carries it; null without current.</summary>
    public WindingHeat.Result? Heat(double eddyLossPu, double otherStrayLossPu) => RmsA > 0
        ? WindingHeat.Run(OrdersA.Select((a, i) => new WindingHeat.OrderCurrent(i + 1, a.Magnitude)), eddyLossPu, otherStrayLossPu)
        : null;
}
