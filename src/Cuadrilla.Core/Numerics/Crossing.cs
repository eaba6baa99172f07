namespace Cuadrilla.Core.Numerics;

/// <summary>
/// Where a function crosses zero once, by false position with Illinois' halving of the end that stays: for what is smooth nearly
/// everywhere. Every fourth step halves the interval, so that a bend or a jump can't stall it.
/// </summary>
internal static class Crossing
{
    private const int MostRounds = 200;
    private const double LeastWidth = 1e-14;

    /// <summary>An argument at which the function is at most zero, and no further from it than asked, or next to the crossing.</summary>
    /// <param name="below">End at which the function is at most zero; it is given back where the function is above zero there
    /// already.</param>
    /// <param name="above">End at which it is above zero; given back where it is not. May be smaller than
    /// <paramref name="below"/>.</param>
    /// <param name="miss">The function.</param>
    /// <param name="within">How far below zero is near enough, in its unit.</param>
    public static double Between(double below, double above, Func<double, double> miss, double within)
    {
        double atBelow = miss(below), atAbove = miss(above);
        if (atBelow >= -within)
        {
            return below;
        }

        if (atAbove <= 0)
        {
            return above;
        }

        var least = LeastWidth * Math.Max(Math.Abs(below), Math.Abs(above));
        double weightBelow = atBelow, weightAbove = atAbove;
        for (var round = 1; round <= MostRounds && Math.Abs(above - below) > least; round++)
        {
            var x = round % 4 == 0 ? (below + above) / 2 : below + ((above - below) * weightBelow / (weightBelow - weightAbove));
            var there = miss(x);
            if (there <= 0)
            {
                (below, weightBelow, weightAbove) = (x, there, weightAbove / 2);
                if (there >= -within)
                {
                    break;
                }
            }
            else
            {
                (above, weightAbove, weightBelow) = (x, there, weightBelow / 2);
            }
        }

        return below;
    }
}
