namespace Cuadrilla.Core.Network;

/// <summary>A standard size of transformers with what one of it usually has.</summary>
/// <param name="RatedKva">Rated power, kVA.</param>
/// <param name="UkPct">Short-circuit voltage, %.</param>
/// <param name="LoadLossKw">Load loss at rated current, kW.</param>
/// <param name="NoLoadLossKw">No-load loss, kW.</param>
public sealed record TransformerSize(double RatedKva, double UkPct, double LoadLossKw, double NoLoadLossKw)
{
    /// <summary>
    /// Of a least efficiency at half load and unity power factor. Half load is taken as the best load, where no-load and load loss are
    /// equal: P0 = P/2, Pk = 4·P0 with P = (S/2)·(1/η − 1).
    /// </summary>
    /// <param name="ratedKva">Rated power, kVA.</param>
    /// <param name="ukPct">Short-circuit voltage, %.</param>
    /// <param name="efficiencyPct">Efficiency at half load, %.</param>
    public static TransformerSize OfHalfLoadEfficiency(double ratedKva, double ukPct, double efficiencyPct)
    {
        var noLoadKw = ratedKva / 4 * ((100 / efficiencyPct) - 1);
        return new TransformerSize(ratedKva, ukPct, Math.Round(4 * noLoadKw, 3), Math.Round(noLoadKw, 3));
    }
}

/// <summary>Standard sizes of one part of the world.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="FrequencyHz">Frequency that they are made for, Hz.</param>
/// <param name="Cooling">Dry or oil.</param>
/// <param name="Sizes">Sizes, ascending.</param>
public sealed record TransformerSeries(string Key, string Name, double FrequencyHz, TransformerCooling Cooling,
    IReadOnlyList<TransformerSize> Sizes);
