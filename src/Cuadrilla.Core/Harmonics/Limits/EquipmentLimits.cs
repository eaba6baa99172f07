using System.Numerics;

namespace Cuadrilla.Core.Harmonics.Limits;

/// <summary>Limits of the current of single pieces of equipment for public low-voltage systems.</summary>
/// <param name="Source">Standard.</param>
/// <param name="Edition">Its edition.</param>
/// <param name="FromA">Rated line current above which it holds, A.</param>
/// <param name="ToA">Rated line current up to which it holds, A.</param>
/// <param name="Balanced">Rows for balanced three-phase equipment, ascending in the ratio.</param>
/// <param name="ByFifthAngle">Rows for balanced three-phase equipment whose 5th stands at an angle where it cancels with others.</param>
/// <param name="Other">Rows for all other equipment.</param>
public sealed record EquipmentLimits(
    string Source,
    string Edition,
    double FromA,
    double ToA,
    IReadOnlyList<EquipmentRow> Balanced,
    IReadOnlyList<EquipmentRow> ByFifthAngle,
    IReadOnlyList<EquipmentRow> Other)
{
    /// <summary>Least angle of the 5th against the fundamental phase voltage for <see cref="ByFifthAngle"/>, degrees.</summary>
    public const double LeastFifthDeg = 90;

    /// <summary>Largest angle of the 5th against the fundamental phase voltage for <see cref="ByFifthAngle"/>, degrees.</summary>
    public const double LargestFifthDeg = 150;

    private const double SmallFifthAndSeventhPct = 5;

    private const int HighestOrder = 40;
    private const int FirstWeighted = 14;
    private const double EvenPct = 16;

    /// <summary>
    /// The least short-circuit ratio R_sce at which a spectrum is admitted, with what decides it; null when no row admits it.
    /// THC = √ΣI_h², h = 2…40; PWHC = √Σh·I_h², h = 14…40. The table by the angle of the 5th is used where it may be and asks for less.
    /// </summary>
    /// <param name="orders">Orders 1…50 of the rated input current, rms, A.</param>
    /// <param name="referenceA">Reference current: the rated input current, rms with all orders, A.</param>
    /// <param name="balanced">True for balanced three-phase equipment.</param>
    /// <param name="fifthDeg">Angle of the 5th against the fundamental phase voltage (sines), degrees; NaN: not known.</param>
    public (double Ratio, string By)? Needed(IReadOnlyList<Complex> orders, double referenceA, bool balanced, double fifthDeg = double.NaN)
    {
        ArgumentNullException.ThrowIfNull(orders);
        var found = new Spectrum(orders, referenceA);

        // Even orders are limited to 16/h per cent in every row.
        if (Enumerable.Range(1, 6).Select(i => 2 * i).FirstOrDefault(h => found.Pct(h) > EvenPct / h) > 0)
        {
            return null;
        }

        if (!balanced)
        {
            return Admitting(Other, found);
        }

        var plain = Admitting(Balanced, found);
        var turned = found.Pct(5) < SmallFifthAndSeventhPct && found.Pct(7) < SmallFifthAndSeventhPct
            ? Admitting(ByFifthAngle, found)
            : MayUseFifthAngle(fifthDeg) && Admitting(ByFifthAngle, found) is var (ratio, by)
                ? (ratio, FormattableString.Invariant($"{by}; 5th at {Turned(fifthDeg):0}°"))
                : null;
        return plain is null || (turned is not null && turned.Value.Ratio < plain.Value.Ratio) ? turned : plain;
    }

    /// <summary>True where the angle of the 5th admits the table made for it.</summary>
    public static bool MayUseFifthAngle(double fifthDeg) => Turned(fifthDeg) is >= LeastFifthDeg and <= LargestFifthDeg;

    private static double Turned(double deg) => deg - (360 * Math.Floor(deg / 360));

    private static (double Ratio, string By)? Admitting(IReadOnlyList<EquipmentRow> rows, Spectrum found)
    {
        var by = "every order within the first row";
        EquipmentRow? before = null;
        foreach (var row in rows)
        {
            var over = row.OrdersPct.Where(o => found.Pct(o.Key) > o.Value)
                .Select(o => FormattableString.Invariant($"order {o.Key} at {found.Pct(o.Key):0.#} %")).ToList();
            if (found.ThcPct > row.ThcPct)
            {
                over.Add(FormattableString.Invariant($"THC {found.ThcPct:0.#} %"));
            }

            if (found.PwhcPct > row.PwhcPct)
            {
                over.Add(FormattableString.Invariant($"PWHC {found.PwhcPct:0.#} %"));
            }

            if (over.Count == 0)
            {
                return (before is null ? row.Ratio : Between(before, row, found), by);
            }

            (before, by) = (row, string.Join(", ", over));
        }

        return null;
    }

    // Between two rows limits run in straight lines: the ratio at which the last of them admits the spectrum.
    private static double Between(EquipmentRow lower, EquipmentRow upper, Spectrum found)
    {
        double At(double value, double low, double high) =>
            value <= low ? lower.Ratio : lower.Ratio + ((upper.Ratio - lower.Ratio) * (value - low) / (high - low));
        return lower.OrdersPct.Select(o => At(found.Pct(o.Key), o.Value, upper.OrdersPct[o.Key]))
            .Append(At(found.ThcPct, lower.ThcPct, upper.ThcPct))
            .Append(At(found.PwhcPct, lower.PwhcPct, upper.PwhcPct))
            .Max();
    }

    private sealed class Spectrum(IReadOnlyList<Complex> orders, double referenceA)
    {
        public double ThcPct => Math.Sqrt(Enumerable.Range(2, HighestOrder - 1).Sum(h => Pct(h) * Pct(h)));

        public double PwhcPct => Math.Sqrt(Enumerable.Range(FirstWeighted, HighestOrder - FirstWeighted + 1).Sum(h => h * Pct(h) * Pct(h)));

        public double Pct(int h) => 100 * orders[h - 1].Magnitude / referenceA;
    }
}

/// <summary>A row of limits, % of the reference current.</summary>
/// <param name="Ratio">Least short-circuit ratio R_sce.</param>
/// <param name="OrdersPct">Single orders.</param>
/// <param name="ThcPct">Total harmonic current.</param>
/// <param name="PwhcPct">Partial weighted harmonic current.</param>
public sealed record EquipmentRow(double Ratio, IReadOnlyDictionary<int, double> OrdersPct, double ThcPct, double PwhcPct);
