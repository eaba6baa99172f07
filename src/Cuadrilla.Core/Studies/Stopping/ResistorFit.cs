using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.Stopping;

namespace Cuadrilla.Core.Studies.Stopping;

/// <summary>The least brake resistor of a list that takes all that comes back to a link. See <c>docs/methods/braking.md</c>.</summary>
public static class ResistorFit
{
    /// <summary>
    /// The first by continuous power, then the largest resistance, with R_min ≤ R ≤ U²/P_peak and a heat of at most what is permitted,
    /// each less the margin; null where the list has none.
    /// </summary>
    /// <param name="items">Resistors to choose from.</param>
    /// <param name="chopper">Limits of the chopper.</param>
    /// <param name="demands">What comes back; at least one.</param>
    /// <param name="marginPct">Distance to keep from each limit, %.</param>
    public static BrakeResistorItem? Of(IEnumerable<BrakeResistorItem> items, ChopperLimits chopper, IReadOnlyList<BrakingDemand> demands,
        double marginPct)
    {
        ArgumentNullException.ThrowIfNull(items);
        ArgumentNullException.ThrowIfNull(chopper);
        var most = 1 - (marginPct / 100);
        var largestOhm = chopper.ChopperV * chopper.ChopperV / demands.Max(d => d.PeakW) * most;
        return items
            .Where(r => r.ResistanceOhm <= largestOhm && chopper.LeastOhm <= r.ResistanceOhm * most)
            .OrderBy(r => r.ContinuousKw).ThenByDescending(r => r.ResistanceOhm)
            .FirstOrDefault(r => demands.All(d => new ResistorRating(r.ContinuousKw * 1e3, r.WindowS, r.Pulses)
                .Of(d.Profile, d.Repeats).LoadingPu <= most));
    }
}
