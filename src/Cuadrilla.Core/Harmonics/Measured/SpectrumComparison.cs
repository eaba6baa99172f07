using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Harmonics.Measured;

/// <summary>An order as measured and as computed.</summary>
/// <param name="Order">The order.</param>
/// <param name="MeasuredPct">Measured, % of the measured fundamental.</param>
/// <param name="ComputedPct">Computed, % of the computed fundamental.</param>
/// <param name="Measured">Measured rms in its unit.</param>
/// <param name="Computed">Computed rms in its unit.</param>
public readonly record struct ComparedOrder(int Order, double MeasuredPct, double ComputedPct, double Measured, double Computed)
{
    /// <summary>Computed less measured, points of the fundamental.</summary>
    public double DifferencePct => ComputedPct - MeasuredPct;
}

/// <summary>A measured spectrum beside a computed one.</summary>
/// <param name="Orders">Orders from 2 up to the highest measured.</param>
/// <param name="MeasuredFundamental">Measured fundamental, rms.</param>
/// <param name="ComputedFundamental">Computed fundamental, rms.</param>
/// <param name="MeasuredThdPct">Distortion as measured, % of the fundamental.</param>
/// <param name="ComputedThdPct">Distortion as computed, same orders, %.</param>
public sealed record SpectrumComparison(
    IReadOnlyList<ComparedOrder> Orders, double MeasuredFundamental, double ComputedFundamental, double MeasuredThdPct,
    double ComputedThdPct)
{
    /// <summary>Order that differs most; 0 without orders.</summary>
    public int WorstOrder => Orders.Count == 0 ? 0 : Orders.MaxBy(o => Math.Abs(o.DifferencePct)).Order;

    /// <summary>Compares rms values order by order.</summary>
    /// <param name="measured">Orders from 1 on, rms.</param>
    /// <param name="computed">Orders from 1 on, rms, in the same unit.</param>
    /// <exception cref="UnfitDataException">One of them has no fundamental.</exception>
    public static SpectrumComparison Of(IReadOnlyList<double> measured, IReadOnlyList<double> computed)
    {
        ArgumentNullException.ThrowIfNull(measured);
        ArgumentNullException.ThrowIfNull(computed);
        if (measured.Count == 0 || computed.Count == 0 || !(measured[0] > 0) || !(computed[0] > 0))
        {
            throw new UnfitDataException("Both spectra need a fundamental above zero.");
        }

        ComparedOrder[] orders =
        [
            .. Enumerable.Range(2, Math.Max(0, Math.Min(measured.Count, computed.Count) - 1))
                .Select(h => new ComparedOrder(h, 100 * measured[h - 1] / measured[0], 100 * computed[h - 1] / computed[0], measured[h - 1],
                    computed[h - 1])),
        ];
        return new SpectrumComparison(
            orders, measured[0], computed[0], Math.Sqrt(orders.Sum(o => o.MeasuredPct * o.MeasuredPct)),
            Math.Sqrt(orders.Sum(o => o.ComputedPct * o.ComputedPct)));
    }
}
