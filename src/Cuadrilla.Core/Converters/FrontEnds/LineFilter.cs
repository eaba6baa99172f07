using System.Numerics;

namespace Cuadrilla.Core.Converters.FrontEnds;

/// <summary>
/// The part of a line filter that the network sees: a reactor, then a capacitor with a damping resistor, star connected. All in per cent
/// on the converter's rated apparent power and voltage.
/// </summary>
/// <param name="CapacitorPct">Reactive power of the capacitor at rated voltage, %.</param>
/// <param name="ReactorPct">Reactance between line and capacitor at the fundamental, %.</param>
/// <param name="DampingPct">Resistance in series with the capacitor, %.</param>
public sealed record LineFilter(double CapacitorPct, double ReactorPct, double DampingPct)
{
    /// <summary>Order at which reactor and capacitor resonate by themselves: √(X_c/X_l).</summary>
    public double OwnOrder => ReactorPct > 0 ? 100 / Math.Sqrt(CapacitorPct * ReactorPct) : double.PositiveInfinity;

    /// <summary>Admittance at an order, per unit of the converter's rating: 1/(r + j(h·x_l − x_c/h)).</summary>
    public Complex AdmittancePu(double order) => CapacitorPct > 0
        ? 1 / new Complex(DampingPct / 100, (order * ReactorPct / 100) - (100 / CapacitorPct / order))
        : Complex.Zero;
}
