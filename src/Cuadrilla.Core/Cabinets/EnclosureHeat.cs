namespace Cuadrilla.Core.Cabinets;

/// <summary>Air in a section without a fan: ΔΘ_0.5 = k·d·P^x at half its height, ΔΘ_1.0 = c·ΔΘ_0.5 at its top; IEC TS 60890;
/// method <c>docs/methods/enclosure-heat.md</c>. Valid to 630 A in one circuit, 1600 A in all.</summary>
/// <param name="FactorK">k, constant of the enclosure (IEC TS 60890, by surface and openings), K/W^x.</param>
/// <param name="FactorD">d, for partitions across it; 1 without.</param>
/// <param name="FactorC">c, temperature at the top over that at half height.</param>
/// <param name="IsVented">It has openings at bottom and top.</param>
public sealed record EnclosureHeat(double FactorK, double FactorD, double FactorC, bool IsVented)
{
    // Heat that stirred air gives through a wall, W/(m²·K): a first estimate only.
    private const double ScreeningWPerM2K = 5.5;

    /// <summary>Exponent of the loss.</summary>
    public double Exponent => IsVented ? 0.715 : 0.804;

    /// <summary>Rise of the air at half height, K.</summary>
    /// <param name="lossW">Loss inside, W.</param>
    public double MidRiseK(double lossW) => FactorK * FactorD * Math.Pow(lossW, Exponent);

    /// <summary>Rise of the air under the roof, K.</summary>
    /// <param name="lossW">Loss inside, W.</param>
    public double TopRiseK(double lossW) => FactorC * MidRiseK(lossW);

    /// <summary>Rise at a height, K: straight from the middle to the top, below the middle as in the middle.</summary>
    /// <param name="lossW">Loss inside, W.</param>
    /// <param name="heightPu">Height over that of the section, 0 to 1.</param>
    /// <remarks>IEC TS 60890 draws a straight line through both; below the middle it is not followed, which is on the safe side.</remarks>
    public double RiseK(double lossW, double heightPu)
    {
        var (mid, top) = (MidRiseK(lossW), TopRiseK(lossW));
        return mid + ((top - mid) * Math.Clamp((2 * heightPu) - 1, 0, 1));
    }

    /// <summary>Loss that leaves a rise at the top, W.</summary>
    /// <param name="riseK">Rise permitted, K.</param>
    public double PermittedW(double riseK) => Math.Pow(riseK / (FactorC * FactorK * FactorD), 1 / Exponent);

    /// <summary>First estimate for stirred air, W; never judged by.</summary>
    /// <param name="surfaceM2">Effective surface, m².</param>
    /// <param name="riseK">Rise, K.</param>
    public static double ScreeningW(double surfaceM2, double riseK) => ScreeningWPerM2K * surfaceM2 * riseK;
}
