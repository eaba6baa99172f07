namespace Cuadrilla.Core.Base;

/// <summary>Where the plant stands.</summary>
/// <param name="AltitudeM">Above sea level, m, −400 to 5000.</param>
/// <param name="AmbientMaxC">Highest air temperature at the motors and outside the cabinets, °C, −40 to 60.</param>
/// <param name="CabinetAirRiseK">By how much the air at the converters is warmer, K, 0 to 30.</param>
public sealed record Site(double AltitudeM, double AmbientMaxC, double CabinetAirRiseK)
{
    /// <summary>Air at the converters, °C.</summary>
    public double CabinetAirC => AmbientMaxC + CabinetAirRiseK;
}

/// <summary>What energy and equipment cost.</summary>
/// <param name="Currency">Currency code or sign, 1 to 4 characters.</param>
/// <param name="EnergyPerKwh">Price of energy, currency/kWh, ≥ 0.</param>
/// <param name="DemandPerKwYear">Price of demand, currency per kW and year, ≥ 0.</param>
/// <param name="Co2KgPerKwh">Emission factor, kg/kWh, ≥ 0.</param>
/// <param name="CurrencyPerIndexPoint">Money per point of the catalogue's price index, ≥ 0.</param>
/// <param name="Years">Years over which costs are compared, 1 to 40.</param>
/// <param name="DiscountRatePct">Yearly discount rate, %, 0 to 30.</param>
/// <param name="ReactivePerKvarh">Price of reactive energy beyond the free power factor, currency/kvarh, ≥ 0; 0 when the tariff has
/// none.</param>
/// <param name="FreePowerFactor">Power factor above which reactive energy is free, 0.5 to 1.</param>
public sealed record Tariff(
    string Currency,
    double EnergyPerKwh,
    double DemandPerKwYear,
    double Co2KgPerKwh,
    double CurrencyPerIndexPoint,
    double Years,
    double DiscountRatePct,
    double ReactivePerKvarh = 0,
    double FreePowerFactor = 0.95)
{
    /// <summary>Present value of one unit of money paid at the end of each year.</summary>
    public double AnnuityFactor
    {
        get
        {
            var rate = DiscountRatePct / 100;
            return rate == 0 ? Years : (1 - Math.Pow(1 + rate, -Years)) / rate;
        }
    }
}
