using System.Numerics;

namespace Cuadrilla.Core.Studies.Supply;

/// <summary>Who adds and who cancels on one order at the point of common coupling.</summary>
/// <param name="Order">The order.</param>
/// <param name="ArithmeticA">Sum of the parts' magnitudes, A.</param>
/// <param name="VectorA">Magnitude of their sum, A.</param>
/// <param name="FirstId">One of the two that cancel most; empty when none do.</param>
/// <param name="SecondId">The other.</param>
/// <param name="ApartDeg">Angle between the two, degrees.</param>
/// <param name="CancelledA">What they take from each other, |a| + |b| − |a + b|, A.</param>
public sealed record OrderStory(int Order, double ArithmeticA, double VectorA, string FirstId, string SecondId, double ApartDeg,
    double CancelledA)
{
    /// <summary>Tells it.</summary>
    public static OrderStory Of(int order, IReadOnlyList<Contribution> contributions)
    {
        ArgumentNullException.ThrowIfNull(contributions);
        Complex At(int i) => contributions[i].OrdersA[order - 1];
        double most = 0;
        (int First, int Second) pair = (-1, -1);
        for (var i = 0; i < contributions.Count; i++)
        {
            for (var k = i + 1; k < contributions.Count; k++)
            {
                var lost = At(i).Magnitude + At(k).Magnitude - (At(i) + At(k)).Magnitude;
                if (lost > most)
                {
                    (most, pair) = (lost, (i, k));
                }
            }
        }

        var sum = Enumerable.Range(0, contributions.Count).Aggregate(Complex.Zero, (s, i) => s + At(i));
        return new OrderStory(
            order, Enumerable.Range(0, contributions.Count).Sum(i => At(i).Magnitude), sum.Magnitude,
            pair.First < 0
                ? string.Empty
                : contributions[pair.First].DrivePointId, pair.First < 0 ? string.Empty : contributions[pair.Second].DrivePointId,
            pair.First < 0 ? 0 : Math.Abs((At(pair.First) / At(pair.Second)).Phase) * 180 / Math.PI, most);
    }
}
