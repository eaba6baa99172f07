using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Commissioning;

/// <summary>Conductor of a winding.</summary>
public enum WindingMaterial
{
    /// <summary>Copper, k = 235.</summary>
    Copper,

    /// <summary>Aluminium, k = 225.</summary>
    Aluminium,
}

/// <summary>Thermal class that a winding's rise is held to.</summary>
public enum RiseClass
{
    /// <summary>130 (B).</summary>
    B,

    /// <summary>155 (F).</summary>
    F,

    /// <summary>180 (H).</summary>
    H,
}

/// <summary>A resistance after switching off.</summary>
/// <param name="TimeS">Time since then, s.</param>
/// <param name="ResistanceOhm">Resistance, Ω.</param>
public readonly record struct ResistanceReading(double TimeS, double ResistanceOhm);

/// <summary>A winding's temperature from its resistance; IEC 60034-1; method <c>docs/methods/resistance-rise.md</c>.</summary>
/// <param name="ColdOhm">Resistance cold, Ω.</param>
/// <param name="ColdC">Temperature of the winding then, °C.</param>
/// <param name="Material">Its conductor.</param>
public sealed record WindingRise(double ColdOhm, double ColdC, WindingMaterial Material)
{
    /// <summary>k of the conductor: temperature below 0 °C at which its straight line meets no resistance, K.</summary>
    public double ConstantK => Material == WindingMaterial.Copper ? 235 : 225;

    /// <summary>Temperature at a resistance, °C.</summary>
    /// <param name="ohm">Resistance, Ω.</param>
    public double TemperatureC(double ohm) => (ohm / ColdOhm * (ConstantK + ColdC)) - ConstantK;

    /// <summary>Resistance at a temperature, Ω.</summary>
    /// <param name="temperatureC">Temperature, °C.</param>
    public double ResistanceOhm(double temperatureC) => ColdOhm * (ConstantK + temperatureC) / (ConstantK + ColdC);

    /// <summary>Temperature at the moment of switching off, from what was read while it cooled, °C: the straight line of
    /// ln(θ − ambient) over time, at 0.</summary>
    /// <param name="readings">At least two, at different times.</param>
    /// <param name="ambientC">Coolant, °C.</param>
    /// <exception cref="UnfitDataException">A reading is at or below the coolant, or all are of one time.</exception>
    public double BackToC(IReadOnlyList<ResistanceReading> readings, double ambientC)
    {
        ArgumentNullException.ThrowIfNull(readings);
        var points = readings.Select(r => (r.TimeS, Log: Math.Log(TemperatureC(r.ResistanceOhm) - ambientC))).ToList();
        var (time, log) = (points.Average(p => p.TimeS), points.Average(p => p.Log));
        var spread = points.Sum(p => (p.TimeS - time) * (p.TimeS - time));
        if (!double.IsFinite(log) || spread == 0)
        {
            throw new UnfitDataException("a reading is at or below the coolant, or all are of one time");
        }

        var slope = points.Sum(p => (p.TimeS - time) * (p.Log - log)) / spread;
        return ambientC + Math.Exp(log - (slope * time));
    }
}

/// <summary>Rises permitted, and how soon a resistance must be read; IEC 60034-1.</summary>
/// <param name="LimitK">Rise by class, K.</param>
/// <param name="WithinS">Longest delay by rating: up to kW, s; the last row is for all above.</param>
public sealed record RiseLimits(IReadOnlyDictionary<RiseClass, double> LimitK, IReadOnlyList<(double ToKw, double DelayS)> WithinS)
{
    /// <summary>Longest time from switching off to the first reading, s.</summary>
    /// <param name="ratedKw">Rating, kW.</param>
    public double DelayLimitS(double ratedKw) =>
        WithinS.Where(w => ratedKw <= w.ToKw).Select(w => w.DelayS).DefaultIfEmpty(WithinS[^1].DelayS).First();

    /// <summary>Judges a rise.</summary>
    /// <param name="hotC">Temperature found, °C.</param>
    /// <param name="ambientC">Coolant, °C.</param>
    /// <param name="ratedKw">Rating, kW.</param>
    /// <param name="riseClass">Class it is held to.</param>
    /// <param name="delayS">Time to the first reading, s.</param>
    public RiseFound Judge(double hotC, double ambientC, double ratedKw, RiseClass riseClass, double delayS)
    {
        var (rise, delay) = (hotC - ambientC, DelayLimitS(ratedKw));
        return new(hotC, rise, LimitK[riseClass], Bound.AtMost(rise, LimitK[riseClass]), delay, Bound.AtMost(delayS, delay));
    }
}

/// <summary>A judged rise.</summary>
/// <param name="HotC">Temperature, °C.</param>
/// <param name="RiseK">Above the coolant, K.</param>
/// <param name="LimitK">Permitted, K.</param>
/// <param name="Holds">It is kept.</param>
/// <param name="DelayLimitS">Longest delay of the first reading, s.</param>
/// <param name="DelayHolds">It was soon enough.</param>
public sealed record RiseFound(double HotC, double RiseK, double LimitK, bool Holds, double DelayLimitS, bool DelayHolds);
