using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Protection;

/// <summary>A point of a time–current curve.</summary>
/// <param name="CurrentA">Current, A.</param>
/// <param name="TimeS">Time, s.</param>
public readonly record struct CurveTime(double CurrentA, double TimeS);

/// <summary>
/// When a protective device surely lasts and surely clears: between the two nobody may count on either. See
/// <c>docs/methods/protection.md</c>.
/// </summary>
public abstract class DeviceGates
{
    /// <summary>Longest time that counts as clearing a fault, s.</summary>
    public const double LongestS = 5;

    private protected DeviceGates(double ratedA, double overloadA, double breakingKa) =>
        (RatedA, OverloadA, BreakingKa) = (ratedA, overloadA, breakingKa);

    /// <summary>Rated current, A.</summary>
    public double RatedA { get; }

    /// <summary>Current above which it protects a cable against overload, A: rating or setting.</summary>
    public double OverloadA { get; }

    /// <summary>Rated breaking capacity, kA.</summary>
    public double BreakingKa { get; }

    /// <summary>Conventional operating current over <see cref="OverloadA"/>: I_2/I_n.</summary>
    public abstract double ConventionalPu { get; }

    /// <summary>True when it protects against overload too.</summary>
    public virtual bool ClearsOverload => true;

    /// <summary>Current from which it may clear at once, A; infinite where its time only falls with the current.</summary>
    public virtual double InstantFromA => double.PositiveInfinity;

    /// <summary>Current that it surely clears within a time up to 5 s, A; null where nothing is known of that.</summary>
    public abstract double? TripA(double timeS);

    /// <summary>I²·t that it lets through at most at a prospective current, A²s; null where it may take longer than 5 s or that is not
    /// known.</summary>
    public abstract double? LetThroughA2s(double faultA);

    /// <summary>
    /// How far a start stays below what the device surely carries: least permitted over actual current, 1 just passes; null where nothing
    /// is known of that. What ran before warms an overload release.
    /// </summary>
    public abstract double? StartMarginPu(IReadOnlyList<StartMoment> moments, double inrushKappa, double beforeA = 0);

    /// <summary>Where it surely still lasts, for pictures; empty where that is not known.</summary>
    public abstract IReadOnlyList<CurveTime> Lasts();

    /// <summary>From where it has surely cleared, for pictures; empty where that is not known.</summary>
    public abstract IReadOnlyList<CurveTime> Clears();

    /// <summary>Gates of a device; null for none.</summary>
    public static DeviceGates? Of(ProtectiveDevice device, GgFuses fuses, SwitchgearSeries series)
    {
        ArgumentNullException.ThrowIfNull(fuses);
        ArgumentNullException.ThrowIfNull(series);
        return device switch
        {
            ProtectiveDevice.Fuse f => FuseGates.Of(f, fuses),
            ProtectiveDevice.SemiconductorFuse s => new SemiconductorGates(s),
            ProtectiveDevice.CircuitBreaker b =>
                new BreakerGates(b.RatedA, b.OverloadA, b.MagneticPu, TripClass.Class10, b.BreakingKa, b.LetThroughA2s, series),
            ProtectiveDevice.MotorBreaker m =>
                new BreakerGates(m.RatedA, m.OverloadA, m.MagneticPu, m.Trip, m.BreakingKa, m.LetThroughA2s, series),
            ProtectiveDevice.NotChosen => null,
            _ => throw new InvalidOperationException("Unknown protective device."),
        };
    }

    /// <summary>Rms current of a start up to each of its moments, A and s.</summary>
    private protected static IEnumerable<(double TimeS, double RmsA)> RmsUpTo(IReadOnlyList<StartMoment> moments)
    {
        double sum = 0;
        for (var i = 1; i < moments.Count; i++)
        {
            var (from, to) = (moments[i - 1].State.LineCurrentA, moments[i].State.LineCurrentA);
            sum += ((from * from) + (from * to) + (to * to)) / 3 * (moments[i].TimeS - moments[i - 1].TimeS);
            var time = moments[i].TimeS - moments[0].TimeS;
            if (time > 0)
            {
                yield return (time, Math.Sqrt(sum / time));
            }
        }
    }
}

/// <summary>
/// gG fuses by their gates. A rating between two of the standard's table clears by the gates of the next larger one and lasts by those of
/// the next smaller: both on the safe side.
/// </summary>
internal sealed class FuseGates : DeviceGates
{
    private static readonly double[] Times = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 30, 100, 300, 1000, 3600];
    private readonly GgFuse? clears;
    private readonly GgFuse? lasts;

    private FuseGates(ProtectiveDevice.Fuse fuse, GgFuse? clears, GgFuse? lasts)
        : base(fuse.RatedA, fuse.RatedA, fuse.BreakingKa) => (this.clears, this.lasts) = (clears, lasts);

    public override double ConventionalPu => 1.6;

    public static FuseGates Of(ProtectiveDevice.Fuse fuse, GgFuses fuses) => fuse.OwnCurve() is { } own ? new(fuse, own, own) : new(
        fuse, fuses.Gates.FirstOrDefault(g => g.RatedA >= fuse.RatedA), fuses.Gates.LastOrDefault(g => g.RatedA <= fuse.RatedA));

    public override double? TripA(double timeS) => clears?.ClearsA(timeS);

    public override double? LetThroughA2s(double faultA) => faultA * faultA * clears?.ClearS(faultA);

    public override double? StartMarginPu(IReadOnlyList<StartMoment> moments, double inrushKappa, double beforeA = 0) =>
        lasts is null ? null : RmsUpTo(moments).Where(m => m.RmsA > 0).Select(m => lasts.LastsA(m.TimeS) / m.RmsA)
            .DefaultIfEmpty(double.PositiveInfinity).Min();

    public override IReadOnlyList<CurveTime> Lasts() => lasts is null ? [] : [.. Times.Select(t => new CurveTime(lasts.LastsA(t), t))];

    public override IReadOnlyList<CurveTime> Clears() => clears is null ? [] :
    [
        .. Times.Where(t => t <= LongestS).Select(t =>
            new CurveTime(t < 0.1 ? clears.Clears01SA * Math.Sqrt(0.1 / t) : clears.ClearsA(t), t)),
        new CurveTime(ConventionalPu * RatedA, clears.ConventionalS),
    ];
}

/// <summary>
/// Fuses aR: against short circuit only. No gates are agreed: what it carries through a start is its maker's to state, and a slow fault it
/// may not clear at all.
/// </summary>
internal sealed class SemiconductorGates(ProtectiveDevice.SemiconductorFuse fuse) : DeviceGates(fuse.RatedA, fuse.RatedA, fuse.BreakingKa)
{
    // From so many times its rating an aR fuse melts by its I²t alone.
    private const double AdiabaticPu = 10;
    private const double RatedFromS = 3600;
    private static readonly double[] LastingTimes = [0.01, 0.03, 0.1, 0.3, 1, 3, 10, 30, 100, 300, 1000, RatedFromS];
    private static readonly double[] ClearingTimes = [0.001, 0.002, 0.005, 0.01];

    public override double ConventionalPu => double.PositiveInfinity;

    public override bool ClearsOverload => false;

    public override double? TripA(double timeS) => null;

    public override double? LetThroughA2s(double faultA) => faultA >= AdiabaticPu * RatedA ? fuse.TotalA2s : null;

    public override double? StartMarginPu(IReadOnlyList<StartMoment> moments, double inrushKappa, double beforeA = 0) =>
        IsStated ? RmsUpTo(moments).Where(m => m.RmsA > 0).Select(m => LastsA(m.TimeS) / m.RmsA).DefaultIfEmpty(double.PositiveInfinity)
            .Min() : null;

    public override IReadOnlyList<CurveTime> Lasts() => IsStated ? [.. LastingTimes.Select(t => new CurveTime(LastsA(t), t))] : [];

    public override IReadOnlyList<CurveTime> Clears() =>
        [.. ClearingTimes.Select(t => new CurveTime(Math.Sqrt(fuse.TotalA2s / t), t)).Where(p => p.CurrentA >= AdiabaticPu * fuse.RatedA)];

    private bool IsStated => fuse.Lasts10SA.IsKnown && fuse.Lasts01SA.IsKnown;

    // Straight in logarithms between what is stated, by I²·t below, down to the rated current at an hour above.
    private double LastsA(double timeS)
    {
        var (slow, quick) = (fuse.Lasts10SA.Value, fuse.Lasts01SA.Value);
        return timeS switch
        {
            < 0.1 => quick * Math.Sqrt(0.1 / timeS),
            <= 10 => slow * Math.Pow(quick / slow, Math.Log(timeS / 10) / Math.Log(0.1 / 10)),
            < RatedFromS => slow * Math.Pow(fuse.RatedA / slow, Math.Log(timeS / 10) / Math.Log(RatedFromS / 10)),
            _ => fuse.RatedA,
        };
    }
}

/// <summary>Circuit breakers: an overload release by its trip class, a short-circuit release within its tolerance.</summary>
internal sealed class BreakerGates(
    double ratedA, double overloadA, double magneticPu, TripClass trip, double breakingKa, Given letThroughA2s, SwitchgearSeries series)
        : DeviceGates(ratedA, overloadA, breakingKa)
{
    // Crest over rms of an inrush counts a quarter more than computed (IEC 60947-4-1, high-efficiency motors).
    private const double InrushReserve = 1.25;
    private static readonly double[] Multiples = [1.3, 1.5, 2, 3, 4, 5, 6, 7.2, 8, 10, 12];

    /// <summary>Short-circuit release as set, A.</summary>
    public double MagneticA => RatedA * magneticPu;

    public override double InstantFromA => MagneticA * (1 - series.MagneticTolerancePu);

    public override double ConventionalPu => 1.45;

    public override double? TripA(double timeS)
    {
        // Within so short a time only the short-circuit release counts.
        var instant = MagneticA * (1 + series.MagneticTolerancePu);
        return timeS >= series.ClearsS ? instant : null;
    }

    public override double? LetThroughA2s(double faultA)
    {
        if (faultA >= MagneticA * (1 + series.MagneticTolerancePu))
        {
            var whole = faultA * faultA * series.ClearsS;
            return letThroughA2s.IsKnown ? Math.Min(whole, letThroughA2s.Value) : whole;
        }

        var time = TripHeat.LongestTripS(faultA / OverloadA, 0, trip);
        return time <= LongestS ? faultA * faultA * time : null;
    }

    public override double? StartMarginPu(IReadOnlyList<StartMoment> moments, double inrushKappa, double beforeA = 0)
    {
        var heat = TripHeat.Of(moments, OverloadA, trip, beforeA / OverloadA);
        var peak = moments.Max(m => m.State.LineCurrentA);
        return Math.Min(heat > 0 ? 1 / Math.Sqrt(heat) : double.PositiveInfinity,
            peak > 0 ? MagneticA / (InrushReserve * inrushKappa * peak) : double.PositiveInfinity);
    }

    public override IReadOnlyList<CurveTime> Lasts() => Curve(x => TripHeat.TripS(x, 0, trip), 1 - series.MagneticTolerancePu, 0.01);

    public override IReadOnlyList<CurveTime> Clears() =>
        Curve(x => TripHeat.LongestTripS(x, 0, trip), 1 + series.MagneticTolerancePu, series.ClearsS);

    private IReadOnlyList<CurveTime> Curve(Func<double, double> time, double tolerance, double instantS)
    {
        var instantA = MagneticA * tolerance;
        var thermal = Multiples.Select(x => x * OverloadA).Where(a => a < instantA).Append(instantA)
            .Select(a => new CurveTime(a, time(a / OverloadA))).Where(p => double.IsFinite(p.TimeS)).ToList();
        return [.. thermal, new CurveTime(instantA, instantS), new CurveTime(Math.Max(2 * instantA, 1000 * BreakingKa), instantS)];
    }
}
