namespace Cuadrilla.Core.Converters.Starting;

/// <summary>Trip class of an overload relay or of the starter's motor protection (IEC 60947-4-1, 60947-4-2).</summary>
public enum TripClass
{
    /// <summary>5: 0.5 to 5 s at 7.2 times the set current.</summary>
    Class5,

    /// <summary>10 A: 2 to 10 s at 7.2 times the set current.</summary>
    Class10A,

    /// <summary>10: 4 to 10 s.</summary>
    Class10,

    /// <summary>20: 6 to 20 s.</summary>
    Class20,

    /// <summary>30: 9 to 30 s.</summary>
    Class30,
}

/// <summary>
/// Heat of the protection's thermal model over a start: dθ/dt = ((I/I_set)² − θ)/τ, trip at θ = 1.15². τ is such that it
/// trips at 7.2·I_set in the shortest time of its class: a relay of that class may do so.
/// </summary>
public static class TripHeat
{
    private const double TripPu = 1.15 * 1.15;
    private const double TestPu = 7.2;

    /// <summary>Shortest trip time of a class at 7.2 times the set current, s.</summary>
    public static double ShortestS(TripClass trip) => trip switch
    {
        TripClass.Class5 => 0.5,
        TripClass.Class10A => 2,
        TripClass.Class10 => 4,
        TripClass.Class20 => 6,
        TripClass.Class30 => 9,
        _ => throw new InvalidOperationException("Unknown trip class."),
    };

    /// <summary>Longest trip time of a class at 7.2 times the set current, s.</summary>
    public static double LongestS(TripClass trip) => trip switch
    {
        TripClass.Class5 => 5,
        TripClass.Class10A or TripClass.Class10 => 10,
        TripClass.Class20 => 20,
        TripClass.Class30 => 30,
        _ => throw new InvalidOperationException("Unknown trip class."),
    };

    /// <summary>Time constant of the fastest relay of a class, s.</summary>
    public static double TimeConstantS(TripClass trip) => ConstantS(ShortestS(trip));

    /// <summary>Time in which the fastest relay of a class trips at a steady current, s; infinite when it never does.</summary>
    /// <param name="currentPu">Current, parts of the set current.</param>
    /// <param name="beforePu">Steady current before, parts of the set current.</param>
    /// <param name="trip">Class.</param>
    public static double TripS(double currentPu, double beforePu, TripClass trip) => TripS(currentPu, beforePu, ShortestS(trip));

    /// <summary>The same of the slowest relay of the class.</summary>
    /// <param name="currentPu">Current, parts of the set current.</param>
    /// <param name="beforePu">Steady current before, parts of the set current.</param>
    /// <param name="trip">Class.</param>
    public static double LongestTripS(double currentPu, double beforePu, TripClass trip) => TripS(currentPu, beforePu, LongestS(trip));

    private static double ConstantS(double testS) => testS / Math.Log(TestPu * TestPu / ((TestPu * TestPu) - TripPu));

    private static double TripS(double currentPu, double beforePu, double testS)
    {
        double square = currentPu * currentPu, before = beforePu * beforePu;
        return square <= TripPu
            ? double.PositiveInfinity
            : before >= TripPu ? 0 : ConstantS(testS) * Math.Log((square - before) / (square - TripPu));
    }

    /// <summary>Largest heat over a start in parts of the trip level: 1 trips.</summary>
    /// <param name="moments">The start.</param>
    /// <param name="setCurrentA">Set current, A.</param>
    /// <param name="trip">Class.</param>
    /// <param name="beforePu">Steady current before the start, parts of the set current: 0 from cold.</param>
    public static double Of(IReadOnlyList<StartMoment> moments, double setCurrentA, TripClass trip, double beforePu = 0)
    {
        ArgumentNullException.ThrowIfNull(moments);
        var constant = TimeConstantS(trip);
        double heat = beforePu * beforePu, largest = heat;
        for (var i = 1; i < moments.Count; i++)
        {
            double from = moments[i - 1].State.LineCurrentA / setCurrentA, to = moments[i].State.LineCurrentA / setCurrentA;
            var square = ((from * from) + (to * to)) / 2;
            heat = square + ((heat - square) * Math.Exp(-(moments[i].TimeS - moments[i - 1].TimeS) / constant));
            largest = Math.Max(largest, heat);
        }

        return largest / TripPu;
    }
}
