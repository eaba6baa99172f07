using System.ComponentModel.DataAnnotations;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Converters;

/// <summary>A current that flows for a time.</summary>
/// <param name="DurationS">Duration, s.</param>
/// <param name="CurrentA">Current, A.</param>
public readonly record struct CurrentForTime([Above(0, 1e6)] double DurationS, [Range(0, 1e6)] double CurrentA);

/// <summary>A moment of the store.</summary>
/// <param name="TimeS">Time, s.</param>
/// <param name="CurrentA">Current from then on, A.</param>
/// <param name="FilledPct">Heat in the store, % of what it holds.</param>
public sealed record StoreMoment(double TimeS, double CurrentA, double FilledPct);

/// <summary>
/// The heat that an overload leaves in a converter and that must go before the next: I²t with recovery. A rating of k·I_c for t_k
/// every T fills the store, (k² − 1)·I_c²·t_k; above I_c it fills with I² − I_c², at or below I_c it empties as fast as the rating
/// says, within T − t_k. See <c>docs/methods/overload.md</c>.
/// </summary>
/// <param name="LargestPct">Fullest, % of what it holds; above 100 the converter would trip.</param>
/// <param name="PeakPct">Largest current, % of the peak current of the rating.</param>
/// <param name="Recovers">True when a repeated duty does not fill it from cycle to cycle.</param>
/// <param name="Trace">The last cycle looked at.</param>
public sealed record OverloadStore(double LargestPct, double PeakPct, bool Recovers, IReadOnlyList<StoreMoment> Trace)
{
    private const int MostCycles = 500;
    private const double Same = 1e-9;

    /// <summary>True when a converter carries a duty for ever: it never trips, and its peak suffices.</summary>
    /// <param name="rating">Overload rating.</param>
    /// <param name="continuousA">Continuous current at the site, A, &gt; 0.</param>
    /// <param name="duty">Currents one after the other, at least one.</param>
    /// <param name="repeats">True when the duty repeats for ever; else it comes once, from an empty store.</param>
    public static bool Carries(OverloadRating rating, double continuousA, IReadOnlyList<CurrentForTime> duty, bool repeats)
    {
        ArgumentNullException.ThrowIfNull(rating);
        ArgumentNullException.ThrowIfNull(duty);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(continuousA);
        var (holds, emptying) = StoreOf(rating);

        // After one cycle from an empty store the next ends where it began, or each ends higher than the one before.
        double heat = 0, before = 0;
        for (var cycle = 0; cycle < (repeats ? 2 : 1); cycle++)
        {
            before = heat;
            foreach (var (duration, current) in duty)
            {
                heat = After(heat, current / continuousA, duration, emptying);
                if (heat > holds || current > rating.PeakPu * continuousA)
                {
                    return false;
                }
            }
        }

        return !repeats || heat - before < Same * holds;
    }

    /// <summary>Runs a duty.</summary>
    /// <param name="rating">Overload rating.</param>
    /// <param name="continuousA">Continuous current at the site, A, &gt; 0.</param>
    /// <param name="duty">Currents one after the other, at least one.</param>
    /// <param name="repeats">True when the duty repeats for ever; else it comes once, from an empty store.</param>
    public static OverloadStore Of(OverloadRating rating, double continuousA, IReadOnlyList<CurrentForTime> duty, bool repeats)
    {
        ArgumentNullException.ThrowIfNull(rating);
        ArgumentNullException.ThrowIfNull(duty);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(continuousA);
        var (holds, emptying) = StoreOf(rating);
        double start = 0, largest = 0;
        var recovers = !repeats;
        var trace = new List<StoreMoment>();
        for (var cycle = 0; cycle < (repeats ? MostCycles : 1); cycle++)
        {
            trace.Clear();
            largest = start;
            var (heat, time) = (start, 0.0);
            foreach (var (duration, current) in duty)
            {
                trace.Add(new StoreMoment(time, current, 100 * heat / holds));
                heat = After(heat, current / continuousA, duration, emptying);
                largest = Math.Max(largest, heat);
                time += duration;
            }

            trace.Add(new StoreMoment(time, 0, 100 * heat / holds));
            if (repeats && Math.Abs(heat - start) < Same * holds)
            {
                recovers = true;
                break;
            }

            if (!repeats || heat > 100 * holds)
            {
                break;
            }

            start = heat;
        }

        return new OverloadStore(100 * largest / holds, 100 * duty.Max(d => d.CurrentA) / (rating.PeakPu * continuousA), recovers, trace);
    }

    private static (double Holds, double Emptying) StoreOf(OverloadRating rating)
    {
        var holds = ((rating.CurrentPu * rating.CurrentPu) - 1) * rating.TimeS;
        return (holds, holds / Math.Max(rating.CycleS - rating.TimeS, 1e-9));
    }

    private static double After(double heat, double ratio, double durationS, double emptying) =>
        ratio > 1 ? heat + (((ratio * ratio) - 1) * durationS) : Math.Max(0, heat - (emptying * durationS));
}
