using System.Numerics;

namespace Cuadrilla.Core.Harmonics;

/// <summary>Limits of the current of single pieces of equipment for public low-voltage systems.</summary>
/// <param name="Source">Standard.</param>
/// <param name="Edition">Its edition.</param>
/// <param name="FromA">Rated line current above which it holds, A.</param>
/// <param name="ToA">Rated line current up to which it holds, A.</param>
/// <param name="Balanced">Rows for balanced three-phase equipment, ascending in the ratio.</param>
/// <param name="Other">Rows for all other equipment.</param>
public sealed record EquipmentLimits(string Source, string Edition, double FromA, double ToA, IReadOnlyList<EquipmentRow> Balanced, IReadOnlyList<EquipmentRow> Other)
{
    private const int HighestOrder = 40;
    private const int FirstWeighted = 14;
    private const double EvenPct = 16;

    /// <summary>
    /// The least short-circuit ratio R_sce at which a spectrum is admitted, with what decides it; null when no row admits it.
    /// THC = √ΣI_h², h = 2…40; PWHC = √Σh·I_h², h = 14…40.
    /// </summary>
    /// <param name="orders">Orders 1…50, rms, A; the fundamental is the reference.</param>
    /// <param name="balanced">True for balanced three-phase equipment.</param>
    public (double Ratio, string By)? Needed(IReadOnlyList<Complex> orders, bool balanced)
    {
        ArgumentNullException.ThrowIfNull(orders);
        double Pct(int h) => 100 * orders[h - 1].Magnitude / orders[0].Magnitude;
        var thc = Math.Sqrt(Enumerable.Range(2, HighestOrder - 1).Sum(h => Pct(h) * Pct(h)));
        var pwhc = Math.Sqrt(Enumerable.Range(FirstWeighted, HighestOrder - FirstWeighted + 1).Sum(h => h * Pct(h) * Pct(h)));
        var by = "every order within the first row";

        // Even orders are limited to 16/h per cent in every row.
        if (Enumerable.Range(1, 6).Select(i => 2 * i).FirstOrDefault(h => Pct(h) > EvenPct / h) > 0)
        {
            return null;
        }

        EquipmentRow? before = null;
        foreach (var row in balanced ? Balanced : Other)
        {
            var over = row.OrdersPct.Where(o => Pct(o.Key) > o.Value).Select(o => FormattableString.Invariant($"order {o.Key} at {Pct(o.Key):0.#} %")).ToList();
            if (thc > row.ThcPct)
            {
                over.Add(FormattableString.Invariant($"THC {thc:0.#} %"));
            }

            if (pwhc > row.PwhcPct)
            {
                over.Add(FormattableString.Invariant($"PWHC {pwhc:0.#} %"));
            }

            if (over.Count == 0)
            {
                return (before is null ? row.Ratio : Between(before, row, Pct, thc, pwhc), by);
            }

            before = row;

            by = string.Join(", ", over);
        }

        return null;
    }

    // Between two rows limits run in straight lines: the ratio at which the last of them admits the spectrum.
    private static double Between(EquipmentRow lower, EquipmentRow upper, Func<int, double> pct, double thc, double pwhc)
    {
        double At(double found, double low, double high) => found <= low ? lower.Ratio : lower.Ratio + ((upper.Ratio - lower.Ratio) * (found - low) / (high - low));
        return lower.OrdersPct.Select(o => At(pct(o.Key), o.Value, upper.OrdersPct[o.Key])).Append(At(thc, lower.ThcPct, upper.ThcPct)).Append(At(pwhc, lower.PwhcPct, upper.PwhcPct)).Max();
    }
}

/// <summary>A row of limits, % of the reference current.</summary>
/// <param name="Ratio">Least short-circuit ratio R_sce.</param>
/// <param name="OrdersPct">Single orders.</param>
/// <param name="ThcPct">Total harmonic current.</param>
/// <param name="PwhcPct">Partial weighted harmonic current.</param>
public sealed record EquipmentRow(double Ratio, IReadOnlyDictionary<int, double> OrdersPct, double ThcPct, double PwhcPct);
