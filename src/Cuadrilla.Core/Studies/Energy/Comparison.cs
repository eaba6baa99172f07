using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>
/// One alternative against another at equal delivered work. See <c>docs/methods/alternatives.md</c>. ΔI extra equipment, ΔE and ΔP saved
/// energy and demand, a the present value of one a year: NPV = a·(ΔE·p + ΔP·d) − ΔI, payback = ΔI/(ΔE·p + ΔP·d), break-even where NPV =
/// 0.
/// </summary>
/// <param name="ExtraCost">Equipment beyond the reference's, currency; negative when it is cheaper.</param>
/// <param name="SavedPerYear">Cost saved a year, currency; negative when it costs more.</param>
/// <param name="PaybackYears">Simple payback, a; 0 when nothing extra is paid; null when nothing is saved.</param>
/// <param name="NetPresentValue">Over the years of the tariff, currency.</param>
/// <param name="BreakEvenHoursPu">Hours in parts of the duty's at which the two cost the same; null when there are none.</param>
/// <param name="BreakEvenEnergyPerKwh">Energy price at which they do, currency/kWh; null likewise.</param>
public sealed record Comparison(
    double ExtraCost, double SavedPerYear, double? PaybackYears, double NetPresentValue, double? BreakEvenHoursPu,
    double? BreakEvenEnergyPerKwh)
{
    /// <summary>Compares.</summary>
    /// <param name="alternative">The one looked at.</param>
    /// <param name="reference">What it is compared with.</param>
    /// <param name="tariff">Prices.</param>
    public static Comparison Of(YearlyEnergy alternative, YearlyEnergy reference, Tariff tariff)
    {
        ArgumentNullException.ThrowIfNull(alternative);
        ArgumentNullException.ThrowIfNull(reference);
        ArgumentNullException.ThrowIfNull(tariff);
        var extra = alternative.EquipmentCost - reference.EquipmentCost;
        var saved = reference.CostPerYear - alternative.CostPerYear;
        var energy = reference.EnergyKwh - alternative.EnergyKwh;
        var demand = (reference.DemandKw - alternative.DemandKw) * tariff.DemandPerKwYear;
        var reactive = (reference.ReactiveKvarh - alternative.ReactiveKvarh) * tariff.ReactivePerKvarh;
        var needed = (extra / tariff.AnnuityFactor) - demand;
        var byHours = (energy * tariff.EnergyPerKwh) + reactive;
        return new Comparison(
            extra,
            saved,
            Payback(extra, saved),
            (saved * tariff.AnnuityFactor) - extra,
            byHours == 0 ? null : Positive(needed / byHours),
            energy == 0 ? null : Positive((needed - reactive) / energy));
    }

    /// <summary>Simple payback ΔI/ΔC, a; 0 when nothing extra is paid; null when nothing is saved.</summary>
    /// <param name="extraCost">ΔI, currency.</param>
    /// <param name="savedPerYear">ΔC, currency a year.</param>
    public static double? Payback(double extraCost, double savedPerYear) => savedPerYear > 0 ? Math.Max(0, extraCost) / savedPerYear : null;

    private static double? Positive(double value) => double.IsFinite(value) && value > 0 ? value : null;
}

/// <summary>Which alternative is cheapest when hours and energy price are not what was thought.</summary>
/// <param name="HoursPu">Hours in parts of the duty's.</param>
/// <param name="PricePu">Energy price in parts of the tariff's.</param>
/// <param name="Best">Index of the cheapest.</param>
/// <param name="LifetimeCost">Its life-cycle cost, currency.</param>
public readonly record struct SensitivityCorner(double HoursPu, double PricePu, int Best, double LifetimeCost)
{
    /// <summary>Nine corners of ±20 % on both, hours first.</summary>
    /// <param name="years">The alternatives.</param>
    /// <param name="tariff">Prices.</param>
    public static IReadOnlyList<SensitivityCorner> Grid(IReadOnlyList<YearlyEnergy> years, Tariff tariff)
    {
        ArgumentNullException.ThrowIfNull(years);
        ArgumentNullException.ThrowIfNull(tariff);
        if (years.Count == 0)
        {
            return [];
        }

        double[] factors = [0.8, 1, 1.2];
        return
        [
            .. factors.SelectMany(hours => factors.Select(price =>
            {
                double Cost(YearlyEnergy y) => y.EquipmentCost
                    + (((y.EnergyKwh * hours * tariff.EnergyPerKwh * price) + (y.DemandKw * tariff.DemandPerKwYear)
                        + (y.ReactiveKvarh * hours * tariff.ReactivePerKvarh)) * tariff.AnnuityFactor);
                var best = Enumerable.Range(0, years.Count).MinBy(i => Cost(years[i]));
                return new SensitivityCorner(hours, price, best, Cost(years[best]));
            })),
        ];
    }
}
