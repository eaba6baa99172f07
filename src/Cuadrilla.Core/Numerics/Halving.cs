namespace Cuadrilla.Core.Numerics;

/// <summary>Where a condition stops holding, by halving: for what is cheap, or has no slope to follow.</summary>
internal static class Halving
{
    /// <summary>The last argument found at which the condition holds, and the first at which it does not.</summary>
    /// <param name="low">An argument at which it holds.</param>
    /// <param name="high">One at which it does not; may be smaller than <paramref name="low"/>.</param>
    /// <param name="holds">The condition; changes once between the two.</param>
    /// <param name="rounds">Most halvings: 50 leave no digit of the interval.</param>
    /// <param name="within">Ends once they are so near.</param>
    public static (double Low, double High) Between(double low, double high, Func<double, bool> holds, int rounds = 50, double within = 0)
    {
        for (var i = 0; i < rounds && Math.Abs(high - low) > within; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = holds(middle) ? (middle, high) : (low, middle);
        }

        return (low, high);
    }
}
