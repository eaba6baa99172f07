using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Studies.Drives;

namespace Cuadrilla.Core.Studies.DrivePoints.Pictures;

/// <summary>The converter's current in time and the heat of its overloads.</summary>
/// <param name="ContinuousA">Continuous current at the site, A.</param>
/// <param name="PeakA">Largest current it ever gives, A.</param>
/// <param name="LargestPct">Fullest heat, % of what it stands.</param>
/// <param name="Recovers">Whether it recovers from cycle to cycle.</param>
/// <param name="Trace">Current and heat over time.</param>
public sealed record OverloadTrace(double ContinuousA, double PeakA, double LargestPct, bool Recovers, IReadOnlyList<StoreMoment> Trace)
{
    private const double SteadyShown = 0.25;

    /// <summary>Of a drive point; null while something is missing.</summary>
    public static OverloadTrace? Of(DrivePointModel point)
    {
        ArgumentNullException.ThrowIfNull(point);
        if (point is not DriveOnConverter { Converter: { SiteCurrentA: > 0 } converter } model || StartDemand.Missing(model).Any())
        {
            return null;
        }

        var repeats = model.Load.Cycle is not null;
        var store = OverloadStore.Of(converter.Overload, converter.SiteCurrentA, CurrentDemand.InTime(model), repeats);

        // Of the steady time after a start a quarter of the ramp is enough to see.
        var trace = store.Trace;
        if (!repeats && trace.Count > 1)
        {
            var ramp = trace[^2].TimeS;
            trace = [.. trace.Take(trace.Count - 1), trace[^1] with { TimeS = ramp * (1 + SteadyShown), CurrentA = trace[^2].CurrentA }];
        }

        return new OverloadTrace(converter.SiteCurrentA, converter.Overload.PeakPu * converter.SiteCurrentA, store.LargestPct,
            store.Recovers, trace);
    }
}
