using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Rectifiers;

/// <summary>Line current as the sum of its orders.</summary>
/// <param name="orders">Rms phasors of orders 1 upwards, A.</param>
internal sealed class OrderWaveform(IReadOnlyList<Complex> orders) : IRectifierWaveform
{
    public double LineCurrentA(double angleRad)
    {
        var sum = 0.0;
        for (var h = 1; h <= orders.Count; h++)
        {
            sum += Math.Sqrt(2) * orders[h - 1].Magnitude * Math.Sin((h * angleRad) + orders[h - 1].Phase);
        }

        return sum;
    }

    public double LinkVoltageV(double angleRad) => double.NaN;

    /// <summary>Largest value of a cycle, read every half degree.</summary>
    public double PeakA() => Enumerable.Range(0, 720).Max(i => Math.Abs(LineCurrentA(i * Math.PI / 360)));
}
