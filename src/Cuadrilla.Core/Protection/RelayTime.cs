using Cuadrilla.Core.Converters.Starting;

namespace Cuadrilla.Core.Protection;

/// <summary>
/// Trip times of a class between its fastest and its slowest relay (IEC 60947-4-1), by the image of <see cref="TripHeat"/>. See
/// <c>docs/methods/protection.md</c>.
/// </summary>
public static class RelayTime
{
    private const double TripPu = 1.15;

    /// <summary>Heat at the end of a start in per cent of the trip level, by the fastest relay of the class.</summary>
    /// <param name="trip">Class.</param>
    /// <param name="runningPu">Steady current before, parts of the set current.</param>
    /// <param name="startPu">Current of the start, parts of the set current.</param>
    /// <param name="startS">Its time, s.</param>
    public static double StartHeatPct(TripClass trip, double runningPu, double startPu, double startS)
    {
        var (before, during) = (runningPu * runningPu, startPu * startPu);

        // Written so that short starts lose no digits.
        return 100 * (before - ((during - before) * double.ExpM1(-startS / TripHeat.TimeConstantS(trip)))) / (TripPu * TripPu);
    }
}
