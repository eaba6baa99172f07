using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;
namespace Cuadrilla.Core.Network;

/// <summary>
/// Harmonic loss factors of a transformer and the current it may carry. See <c>docs/methods/winding-heat.md</c>. Source: IEEE C57.110,
/// F_HL = Σ(h·I_h)²/ΣI_h², F_STR = Σh^0.8·I_h²/ΣI_h², I_max = √((1 + P_EC + P_OSL)/(1 + F_HL·P_EC + F_STR·P_OSL)); P_OSL is zero for dry
/// types.
/// </summary>
public static class WindingHeat
{
    /// <summary>Rms current of one order.</summary>
    public sealed record OrderCurrent([Range(1, 200)] int Order, [Range(0, 1e9)] double RmsA);

    /// <summary>Result.</summary>
    /// <param name="HarmonicLossFactor">F_HL, at least 1.</param>
    /// <param name="StrayLossFactor">F_STR, at least 1.</param>
    /// <param name="MaxCurrentPu">Permitted rms current in parts of the rated current.</param>
    public readonly record struct Result(double HarmonicLossFactor, double StrayLossFactor, double MaxCurrentPu);

    /// <summary>Computes the factors and the permitted current.</summary>
    /// <param name="orders">Currents, at least one above zero.</param>
    /// <param name="eddyLossPu">Rated eddy loss in parts of the I²R loss.</param>
    /// <param name="otherStrayLossPu">Rated other stray loss likewise; 0 for dry types.</param>
    /// <exception cref="UnfitDataException">No current at all.</exception>
    public static Result Run(IEnumerable<OrderCurrent> orders, double eddyLossPu, double otherStrayLossPu = 0)
    {
        ArgumentNullException.ThrowIfNull(orders);
        double weighted = 0, stray = 0, plain = 0;
        foreach (var (order, rmsA) in orders)
        {
            var square = rmsA * rmsA;
            plain += square;
            weighted += order * order * square;
            stray += Math.Pow(order, 0.8) * square;
        }

        if (plain <= 0)
        {
            throw new UnfitDataException("There is no current.");
        }

        var eddyFactor = weighted / plain;
        var strayFactor = stray / plain;
        var permitted = Math.Sqrt((1 + eddyLossPu + otherStrayLossPu) / (1 + (eddyFactor * eddyLossPu) + (strayFactor * otherStrayLossPu)));
        return new Result(eddyFactor, strayFactor, permitted);
    }

    /// <summary>K-factor: Σ(h·I_h/I_rated)², for a transformer that is specified by it.</summary>
    /// <param name="orders">Currents.</param>
    /// <param name="ratedA">Rated current, A.</param>
    public static double KFactor(IEnumerable<OrderCurrent> orders, double ratedA)
    {
        ArgumentNullException.ThrowIfNull(orders);
        return orders.Sum(o => o.Order * o.RmsA / ratedA * (o.Order * o.RmsA / ratedA));
    }
}
