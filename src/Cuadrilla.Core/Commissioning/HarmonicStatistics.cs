namespace Cuadrilla.Core.Commissioning;

/// <summary>What was recorded at the coupling.</summary>
public enum RecordedQuantity
{
    /// <summary>Distortion of the current, or one order of it.</summary>
    Current,

    /// <summary>Distortion of the voltage, or one order of it.</summary>
    Voltage,
}

/// <summary>Factors of the statistics of IEEE 519 over its limits, and what makes a record complete.</summary>
/// <param name="CurrentDaily">Daily 99th percentile of 3 s values, current.</param>
/// <param name="VoltageDaily">The same, voltage.</param>
/// <param name="CurrentWeekly99">Weekly 99th percentile of 10 min values; current alone.</param>
/// <param name="Weekly95">Weekly 95th percentile of 10 min values.</param>
/// <param name="WeekValues">Values of 10 min in a week.</param>
/// <param name="Days">Days in a week.</param>
/// <param name="DayValues">Values of 3 s in a day.</param>
public sealed record StatisticFactors(double CurrentDaily, double VoltageDaily, double CurrentWeekly99, double Weekly95, int WeekValues,
    int Days, int DayValues)
{
    /// <summary>Judges a record.</summary>
    /// <param name="quantity">What was recorded.</param>
    /// <param name="limitPct">Limit, %.</param>
    /// <param name="days">Values of 3 s by day, %; absent: none.</param>
    /// <param name="week">Values of 10 min of a week, %; absent: none.</param>
    public HarmonicStatistics Judge(RecordedQuantity quantity, double limitPct, IReadOnlyList<IReadOnlyList<double>>? days,
        IReadOnlyList<double>? week)
    {
        var ofCurrent = quantity == RecordedQuantity.Current;
        var daily = days?.Select(d => Percentile(d, 99)).ToList();
        var sorted = week?.Order().ToList();
        var (week99, week95) = (ofCurrent && sorted is not null ? Ranked(sorted, 99) : (double?)null,
            sorted is null ? (double?)null : Ranked(sorted, 95));
        var complete = week?.Count >= WeekValues && days?.Count(d => d.Count >= DayValues) >= Days;
        return new(daily, Judged.Of(daily?.Max(), (ofCurrent ? CurrentDaily : VoltageDaily) * limitPct),
            Judged.Of(week99, CurrentWeekly99 * limitPct), Judged.Of(week95, Weekly95 * limitPct), complete);
    }

    /// <summary>p-th percentile by nearest rank: the ⌈p·n/100⌉-th smallest value.</summary>
    /// <param name="values">Not empty.</param>
    /// <param name="percent">Whole per cent, 1 to 100.</param>
    public static double Percentile(IReadOnlyList<double> values, int percent) => Ranked([.. values.Order()], percent);

    private static double Ranked(List<double> sorted, int percent) => sorted[(int)((((long)percent * sorted.Count) + 99) / 100) - 1];
}

/// <summary>A statistic against its limit.</summary>
/// <param name="ValuePct">The statistic, %.</param>
/// <param name="LimitPct">Its limit, %.</param>
public sealed record Judged(double ValuePct, double LimitPct)
{
    /// <summary>It is kept.</summary>
    public bool Holds => Bound.AtMost(ValuePct, LimitPct);

    internal static Judged? Of(double? valuePct, double limitPct) => valuePct is { } value ? new(value, limitPct) : null;
}

/// <summary>Statistics of a harmonic record; IEEE 519; method <c>docs/methods/harmonic-statistics.md</c>.</summary>
/// <param name="Daily99Pct">99th percentile of each day, %.</param>
/// <param name="WorstDay">The worst of them.</param>
/// <param name="Weekly99">99th percentile of the week.</param>
/// <param name="Weekly95">95th percentile of the week.</param>
/// <param name="Complete">The record covers a week.</param>
public sealed record HarmonicStatistics(IReadOnlyList<double>? Daily99Pct, Judged? WorstDay, Judged? Weekly99, Judged? Weekly95,
    bool Complete)
{
    /// <summary>True where nothing that was recorded is above its limit.</summary>
    public bool NothingFails => (WorstDay?.Holds ?? true) && (Weekly99?.Holds ?? true) && (Weekly95?.Holds ?? true);
}
