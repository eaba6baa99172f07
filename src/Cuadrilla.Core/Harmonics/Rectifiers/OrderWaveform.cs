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
    public double PeakA()
    {
        const int Instants = 720;
        var sums = new double[Instants];
        for (var h = 1; h <= orders.Count; h++)
        {
            if (orders[h - 1] == Complex.Zero)
            {
                continue;
            }

            // Turned on from instant to instant.
            var at = Math.Sqrt(2) * orders[h - 1];
            var (sin, cos) = Math.SinCos(h * 2 * Math.PI / Instants);
            double re = at.Real, im = at.Imaginary;
            for (var i = 0; i < Instants; i++)
            {
                sums[i] += im;
                (re, im) = ((re * cos) - (im * sin), (re * sin) + (im * cos));
            }
        }

        return sums.Max(Math.Abs);
    }
}
