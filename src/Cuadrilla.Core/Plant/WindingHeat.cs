namespace Cuadrilla.Core.Plant;

/// <summary>
/// Harmonic loss factor of a transformer winding and the current it may carry. See <c>docs/methods/winding-heat.md</c>.
/// Source: IEEE C57.110, F_HL = Σ(h·I_h)²/ΣI_h², I_max = √((1+P_EC)/(1+F_HL·P_EC)). Valid for dry types, eddy loss growing
/// with the square of the order.
/// </summary>
public static class WindingHeat
{
    /// <summary>Rms current of one order.</summary>
    public sealed record OrderCurrent(int Order, double RmsA);

    /// <summary>Result.</summary>
    /// <param name="HarmonicLossFactor">F_HL, at least 1.</param>
    /// <param name="MaxCurrentPu">Permitted rms current in parts of the rated current.</param>
    public readonly record struct Result(double HarmonicLossFactor, double MaxCurrentPu);

    /// <summary>Computes the factor and the permitted current.</summary>
    /// <param name="orders">Currents, at least one above zero.</param>
    /// <param name="eddyLossPu">Rated eddy loss in parts of the I²R loss.</param>
    /// <exception cref="ArgumentException">No current at all.</exception>
    public static Result Run(IEnumerable<OrderCurrent> orders, double eddyLossPu)
    {
        ArgumentNullException.ThrowIfNull(orders);
        double weighted = 0, plain = 0;
        foreach (var (order, rmsA) in orders)
        {
            plain += rmsA * rmsA;
            weighted += order * order * rmsA * rmsA;
        }

        if (plain <= 0)
        {
            throw new ArgumentException("There is no current.", nameof(orders));
        }

        var factor = weighted / plain;
        return new Result(factor, Math.Sqrt((1 + eddyLossPu) / (1 + (factor * eddyLossPu))));
    }
}
