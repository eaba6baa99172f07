using Cuadrilla.Core.Commissioning;

namespace Cuadrilla.Instruments;

/// <summary>A cycle as an instrument recorded it.</summary>
/// <param name="Plant">Plant that the topic named; empty: any.</param>
/// <param name="Point">Drive point, by key or tag.</param>
/// <param name="Kind">Quantity.</param>
/// <param name="PeriodMs">Duration of the cycle, ms.</param>
/// <param name="Samples">Samples at equal distance, in the unit of the quantity.</param>
/// <param name="At">When it was recorded.</param>
/// <param name="Received">When it came in.</param>
/// <param name="IsGood">The instrument calls it good.</param>
/// <param name="IsSimulated">It is from a simulated instrument.</param>
/// <param name="Instrument">What the instrument is called.</param>
/// <param name="Map">Map that it came by.</param>
public sealed record InstrumentWave(string Plant, string Point, ReadingKind Kind, double PeriodMs, IReadOnlyList<double> Samples,
    DateTimeOffset At, DateTimeOffset Received, bool IsGood, bool IsSimulated, string Instrument, string Map)
{
    /// <summary>Samples of a cycle: so many at least, for the orders that count.</summary>
    public const int LeastSamples = 32;

    /// <summary>And so many at most.</summary>
    public const int MostSamples = 4096;
}
