namespace Cuadrilla.Core.Numerics;

/// <summary>Integrals of a function over an interval. Nodes and weights are those of the interval from 0 to 1.</summary>
internal static class Quadrature
{
    /// <summary>Gauss–Legendre of two points, both with the weight ½: exact up to the third power.</summary>
    public static readonly double[] Gauss2 = [0.5 - (0.5 / Math.Sqrt(3)), 0.5 + (0.5 / Math.Sqrt(3))];

    /// <summary>Gauss–Legendre of eight points: exact up to the fifteenth power.</summary>
    public static readonly double[] Gauss8 =
    [
        0.019855071751231884, 0.10166676129318664, 0.2372337950418355, 0.40828267875217511,
        0.59171732124782489, 0.7627662049581645, 0.89833323870681336, 0.98014492824876812,
    ];

    /// <summary>Weights of <see cref="Gauss8"/>.</summary>
    public static readonly double[] Gauss8Weights =
    [
        0.050614268145188130, 0.11119051722668724, 0.15685332293894364, 0.18134189168918099,
        0.18134189168918099, 0.15685332293894364, 0.11119051722668724, 0.050614268145188130,
    ];

    /// <summary>Simpson's rule.</summary>
    /// <param name="of">The function.</param>
    /// <param name="from">Begin.</param>
    /// <param name="to">End.</param>
    /// <param name="panels">Even number of panels.</param>
    public static double Simpson(Func<double, double> of, double from, double to, int panels)
    {
        double sum = 0;
        for (var i = 0; i <= panels; i++)
        {
            sum += (i == 0 || i == panels ? 1 : i % 2 == 1 ? 4 : 2) * of(from + ((to - from) * i / panels));
        }

        return sum * (to - from) / panels / 3;
    }
}
