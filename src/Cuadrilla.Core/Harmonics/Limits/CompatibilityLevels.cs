
namespace Cuadrilla.Core.Harmonics.Limits;

/// <summary>Compatibility levels of harmonic voltage in industrial plants.</summary>
/// <param name="Source">Standard.</param>
/// <param name="Edition">Its edition.</param>
/// <param name="Classes">Classes of environment by number.</param>
public sealed record CompatibilityLevels(string Source, string Edition, IReadOnlyDictionary<int, EnvironmentClass> Classes);

/// <summary>Levels of one class, % of the fundamental.</summary>
/// <param name="Number">Number of the class.</param>
/// <param name="ThdPct">Total distortion.</param>
/// <param name="OddPct">Odd orders that are no multiple of three.</param>
/// <param name="OddSlope">Above them: slope·17/h − offset.</param>
/// <param name="OddOffset">Likewise.</param>
/// <param name="TriplenPct">Odd multiples of three.</param>
/// <param name="TriplenAbovePct">Above them.</param>
/// <param name="EvenPct">Even orders.</param>
/// <param name="EvenSlope">Above them: slope·10/h + offset.</param>
/// <param name="EvenOffset">Likewise.</param>
public sealed record EnvironmentClass(
    int Number,
    double ThdPct,
    IReadOnlyDictionary<int, double> OddPct,
    double OddSlope,
    double OddOffset,
    IReadOnlyDictionary<int, double> TriplenPct,
    double TriplenAbovePct,
    IReadOnlyDictionary<int, double> EvenPct,
    double EvenSlope,
    double EvenOffset)
{
    /// <summary>Level of an order from 2 on, %.</summary>
    public double LevelPct(int order) => (order % 2, order % 3) switch
    {
        (0, _) => EvenPct.TryGetValue(order, out var even) ? even : (EvenSlope * 10 / order) + EvenOffset,
        (_, 0) => TriplenPct.TryGetValue(order, out var triplen) ? triplen : TriplenAbovePct,
        _ => OddPct.TryGetValue(order, out var odd) ? odd : (OddSlope * 17 / order) - OddOffset,
    };
}
