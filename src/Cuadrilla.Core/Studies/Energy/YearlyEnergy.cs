using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Studies.Energy;

/// <summary>Line power held for some hours of a year.</summary>
/// <param name="LevelPu">Flow, speed or rate of cycles meanwhile, in parts of the rated.</param>
/// <param name="HoursPerYear">Hours.</param>
/// <param name="LineW">Power at the meter, W; negative when it returns.</param>
/// <param name="LineVar">Reactive power of the fundamental, var; negative when supplied.</param>
public readonly record struct EnergyPoint([Range(0, 2)] double LevelPu, [Range(0, 8760)] double HoursPerYear, [Range(0, 1e9)] double LineW,
    double LineVar = 0);

/// <summary>
/// Energy and cost of a year, and their present value. See <c>docs/methods/yearly-energy.md</c>. E = ΣP·t; cost = E·price + largest
/// power·demand price + kvarh beyond the free ones·their price; life-cycle cost = equipment + yearly cost × (1−(1+i)^−n)/i.
/// </summary>
/// <param name="EnergyKwh">Energy, kWh.</param>
/// <param name="DemandKw">Largest power, kW.</param>
/// <param name="CostPerYear">Cost of a year, currency.</param>
/// <param name="EquipmentCost">Cost of the equipment, currency.</param>
/// <param name="LifetimeCost">Present value of equipment and all years, currency.</param>
/// <param name="Co2Kg">Emission of a year, kg.</param>
/// <param name="ReactiveKvarh">Reactive energy beyond what the tariff leaves free, kvarh.</param>
public sealed record YearlyEnergy(
    double EnergyKwh, double DemandKw, double CostPerYear, double EquipmentCost, double LifetimeCost, double Co2Kg,
    double ReactiveKvarh = 0)
{
    /// <summary>Computes a year.</summary>
    /// <param name="points">Line powers with their hours.</param>
    /// <param name="priceIndex">Equipment in points of the price index.</param>
    /// <param name="tariff">Prices.</param>
    public static YearlyEnergy Of(IEnumerable<EnergyPoint> points, double priceIndex, Tariff tariff)
    {
        ArgumentNullException.ThrowIfNull(points);
        ArgumentNullException.ThrowIfNull(tariff);
        double energy = 0, demand = 0, reactive = 0;
        var freeTangent = Math.Tan(Math.Acos(tariff.FreePowerFactor));
        foreach (var point in points)
        {
            energy += point.LineW / 1e3 * point.HoursPerYear;
            reactive += Math.Max(0, point.LineVar - (freeTangent * Math.Max(0, point.LineW))) / 1e3 * point.HoursPerYear;
            demand = point.HoursPerYear > 0 ? Math.Max(demand, point.LineW / 1e3) : demand;
        }

        var cost = (energy * tariff.EnergyPerKwh) + (demand * tariff.DemandPerKwYear) + (reactive * tariff.ReactivePerKvarh);
        var equipment = priceIndex * tariff.CurrencyPerIndexPoint;
        return new YearlyEnergy(energy, demand, cost, equipment, equipment + (cost * tariff.AnnuityFactor), energy * tariff.Co2KgPerKwh,
            reactive);
    }
}
