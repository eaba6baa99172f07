namespace Cuadrilla.Core.Numerics;

/// <summary>Inverts a rising function that is nearly a straight line in the square of its argument, as losses and I² are in the
/// torque.</summary>
internal static class SquareSecant
{
    private const int MostRounds = 80;

    /// <summary>The argument between two ends at which the function has a value; the nearer end where it does not reach it.</summary>
    /// <param name="of">The function, rising.</param>
    /// <param name="target">The value.</param>
    /// <param name="high">Upper end, above 0; the lower one is 0.</param>
    public static double Solve(Func<double, double> of, double target, double high)
    {
        double low = 0, atLow = of(0), atHigh = of(high), top = high;
        if (atLow >= target)
        {
            return 0;
        }

        if (atHigh <= target)
        {
            return high;
        }

        // Kept inside what is known of both sides; every fourth step halves, so that a bend can't stall it.
        for (var i = 0; i < MostRounds && high - low > 1e-13 * top; i++)
        {
            var square = (low * low) + (((high * high) - (low * low)) * (target - atLow) / (atHigh - atLow));
            var x = i % 4 == 3 ? (low + high) / 2 : Math.Sqrt(Math.Max(square, 0));
            var there = of(x);
            if (Math.Abs(there - target) <= 1e-13 * Math.Abs(target))
            {
                return x;
            }

            (low, atLow, high, atHigh) = there < target ? (x, there, high, atHigh) : (low, atLow, x, there);
        }

        return (low + high) / 2;
    }
}
