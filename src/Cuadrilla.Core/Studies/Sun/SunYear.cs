using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Sun;

/// <summary>Every hour of a year of a pump on an array: light, power, speed, water; method <c>docs/methods/pv-pumping.md</c>.</summary>
public static class SunYear
{
    private const int HoursInDay = 24;
    private const int DaysInYear = 365;

    // Power that a start asks for over what its least speed takes.
    private const double StartPu = 1.1;

    /// <summary>An array with a pump.</summary>
    /// <param name="Array">The array.</param>
    /// <param name="Pump">The pump.</param>
    /// <param name="LeastRpm">Speed below which it is stopped, rpm.</param>
    /// <param name="FullFluxRpm">Fastest speed at a temperature of the cells, rpm: the voltage of the strings carries no more; null: not
    /// bounded.</param>
    /// <param name="DemandM3PerDay">Water that is wanted a day, by month; null: not stated.</param>
    /// <param name="TankM3">Tank, m³.</param>
    public sealed record Case(PvArray Array, SunPump Pump, double LeastRpm, Func<double, double>? FullFluxRpm,
        IReadOnlyList<double>? DemandM3PerDay, double TankM3);

    /// <summary>One hour.</summary>
    /// <param name="WPerM2">Light on the array.</param>
    /// <param name="PowerKw">What the array can give, kW.</param>
    /// <param name="SpeedRpm">Speed of the pump; 0: it stands.</param>
    /// <param name="FlowM3PerH">Water, m³/h.</param>
    public readonly record struct Hour(double WPerM2, double PowerKw, double SpeedRpm, double FlowM3PerH);

    /// <summary>One month, and its mean day.</summary>
    /// <param name="WaterM3PerDay">Water a day.</param>
    /// <param name="DemandM3PerDay">Water wanted a day; null: not stated.</param>
    /// <param name="EnergyKwhPerDay">What the array can give a day.</param>
    /// <param name="UsedKwhPerDay">What the pump takes of it.</param>
    /// <param name="PumpingHours">Hours a day in which it turns.</param>
    /// <param name="Day">Mean of each hour.</param>
    public sealed record Month(double WaterM3PerDay, double? DemandM3PerDay, double EnergyKwhPerDay, double UsedKwhPerDay,
        double PumpingHours, IReadOnlyList<Hour> Day);

    /// <summary>A year.</summary>
    /// <param name="Months">Its months.</param>
    /// <param name="MostStartsPerDay">Starts of the day with most of them, as the hours show.</param>
    /// <param name="LongestPumpingH">Hours of pumping of the longest day.</param>
    /// <param name="ShortDays">Days on which tank and pump together do not give what is wanted; null: not stated.</param>
    public sealed record Result(IReadOnlyList<Month> Months, int MostStartsPerDay, double LongestPumpingH, int? ShortDays)
    {
        /// <summary>Water of the year, m³.</summary>
        public double WaterM3 => Months.Zip(PvYear.DaysOf, (m, d) => m.WaterM3PerDay * d).Sum();

        /// <summary>Energy that the array can give in the year, kWh.</summary>
        public double EnergyKwh => Months.Zip(PvYear.DaysOf, (m, d) => m.EnergyKwhPerDay * d).Sum();

        /// <summary>What the pump takes of it, kWh.</summary>
        public double UsedKwh => Months.Zip(PvYear.DaysOf, (m, d) => m.UsedKwhPerDay * d).Sum();

        /// <summary>Water over what is wanted in the worst month; null where nothing is wanted.</summary>
        public double? WorstShare => Months.Where(m => m.DemandM3PerDay > 0).Select(m => m.WaterM3PerDay / m.DemandM3PerDay).Min();

        /// <summary>That month, 0 to 11.</summary>
        public int WorstMonth => Enumerable.Range(0, Months.Count).Where(m => Months[m].DemandM3PerDay > 0)
            .DefaultIfEmpty(0).MinBy(m => Months[m].WaterM3PerDay / (Months[m].DemandM3PerDay ?? 1));
    }

    /// <summary>Runs it.</summary>
    public static Result Of(SunHours hours, Case given)
    {
        ArgumentNullException.ThrowIfNull(hours);
        ArgumentNullException.ThrowIfNull(given);
        var sums = new Hour[12, HoursInDay];
        double[] energy = new double[12], used = new double[12], water = new double[12], turning = new double[12];
        var (leastKw, tank, shortDays, mostStarts, longest) = (given.Pump.PowerAtKw(given.LeastRpm), given.TankM3, 0, 0, 0.0);
        for (var day = 0; day < DaysInYear; day++)
        {
            var month = SunHours.MonthOfDay[day];
            var (starts, on, dayM3, dayH) = (0, false, 0.0, 0.0);
            for (var h = 0; h < HoursInDay; h++)
            {
                var i = (day * HoursInDay) + h;
                var light = hours.WPerM2[i];
                if (light <= 0)
                {
                    on = false;
                    continue;
                }

                var power = given.Array.PowerKw(light, hours.AirC[i]);
                var fastest = given.FullFluxRpm?.Invoke(PvArray.CellC(given.Array.NoctC, hours.AirC[i], light)) ?? double.MaxValue;
                var runs = power >= (on ? leastKw : StartPu * leastKw) && fastest >= given.LeastRpm;
                starts += runs && !on ? 1 : 0;
                on = runs;
                var speed = runs ? Math.Min(given.Pump.SpeedForRpm(power), fastest) : 0;
                var flow = runs ? given.Pump.FlowAtM3PerH(speed) : 0;
                var sum = sums[month, h];
                sums[month, h] = new Hour(sum.WPerM2 + light, sum.PowerKw + power, sum.SpeedRpm + speed, sum.FlowM3PerH + flow);
                energy[month] += power;
                used[month] += runs ? Math.Min(power, given.Pump.PowerAtKw(speed)) : 0;
                dayM3 += flow;
                dayH += runs ? 1 : 0;
            }

            water[month] += dayM3;
            turning[month] += dayH;
            mostStarts = Math.Max(mostStarts, starts);
            longest = Math.Max(longest, dayH);
            if (given.DemandM3PerDay?[month] is { } wanted)
            {
                // The tank begins full; a day is short by whole days, whatever the hour.
                tank += dayM3 - wanted;
                shortDays += tank < -1e-9 * wanted ? 1 : 0;
                tank = Math.Clamp(tank, 0, given.TankM3);
            }
        }

        return new Result(
            [
                .. Enumerable.Range(0, 12).Select(m =>
                {
                    double days = PvYear.DaysOf[m];
                    return new Month(water[m] / days, given.DemandM3PerDay?[m], energy[m] / days, used[m] / days, turning[m] / days,
                        [
                            .. Enumerable.Range(0, HoursInDay).Select(h => new Hour(sums[m, h].WPerM2 / days, sums[m, h].PowerKw / days,
                                sums[m, h].SpeedRpm / days, sums[m, h].FlowM3PerH / days)),
                        ]);
                }),
            ],
            mostStarts, longest, given.DemandM3PerDay is null ? null : shortDays);
    }
}
