namespace Cuadrilla.Core.Numerics;

/// <summary>Integrals of a function over an interval. Nodes and weights are those of the interval from 0 to 1.</summary>
internal static class Quadrature
{
    /// <summary>Gauss–Legendre of two points, both with the weight ½: exact up to the third power.</summary>
    public static readonly double[] Gauss2 = [0.5 - (0.5 / Math.Sqrt(3)), 0.5 + (0.5 / Math.Sqrt(3))];

    /// <summary>Gauss–Legendre on 0 to 1, exact up to the power 2·points − 1: nodes are roots of the Legendre polynomial, by Newton's
    /// method.</summary>
    /// <param name="points">Number of points, 2 or more.</param>
    public static (double[] Nodes, double[] Weights) Gauss(int points)
    {
        var (nodes, weights) = (new double[points], new double[points]);
        for (var i = 0; i < points; i++)
        {
            var x = -Math.Cos(Math.PI * (i + 0.75) / (points + 0.5));
            double slope = 0;
            for (var round = 0; round < 8; round++)
            {
                double before = 1, now = x;
                for (var k = 2; k <= points; k++)
                {
                    (before, now) = (now, ((((2 * k) - 1) * x * now) - ((k - 1) * before)) / k);
                }

                slope = points * ((x * now) - before) / ((x * x) - 1);
                x -= now / slope;
            }

            (nodes[i], weights[i]) = ((1 + x) / 2, 1 / ((1 - (x * x)) * slope * slope));
        }

        return (nodes, weights);
    }

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
