using System.Numerics;
using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>The supply of the plant, at one of its buses; that bus states the voltage.</summary>
/// <param name="BusId">Bus that it feeds.</param>
/// <param name="FrequencyHz">45 to 65 Hz.</param>
/// <param name="Strength">How strong it is.</param>
/// <param name="UnbalancePct">Negative-sequence voltage, % of the positive; unknown: none is reckoned with, and said.</param>
/// <param name="BackgroundV5Pct">Fifth-order voltage without this plant, % of nominal, angle 0; unknown likewise.</param>
/// <param name="BackgroundV7Pct">Seventh-order voltage likewise.</param>
public sealed record Source(
    string BusId, double FrequencyHz, SourceStrength Strength, Given UnbalancePct, Given BackgroundV5Pct, Given BackgroundV7Pct)
{
    /// <summary>Lowest steady voltage, % of nominal; unknown: exactly nominal.</summary>
    public Given LowestPct { get; init; }

    /// <summary>Highest steady voltage, % of nominal; unknown: exactly nominal.</summary>
    public Given HighestPct { get; init; }

    /// <summary>Impedance of the loop from line to earth at the source's bus, Ω; unknown: not known there.</summary>
    public Given EarthLoopOhm { get; init; }

    /// <summary>Angle of the fifth-order voltage at the rising zero of the fundamental (sines), degrees; unknown: it may stand
    /// anywhere.</summary>
    public Given BackgroundV5Deg { get; init; }

    /// <summary>Angle of the seventh-order voltage likewise.</summary>
    public Given BackgroundV7Deg { get; init; }

    /// <summary>Background of further orders, where it was measured.</summary>
    public ValueList<BackgroundOrder> FurtherBackground { get; init; } = [];

    /// <summary>Orders of the background that there is something of.</summary>
    public IEnumerable<int> BackgroundOrders() =>
        FurtherBackground.Select(b => b.Order).Prepend(7).Prepend(5).Where(h => BackgroundPu(h) != Complex.Zero);

    /// <summary>True when the angle of an order of the background is stated, or there is none of it.</summary>
    public bool KnowsAngleOf(int order) => Background(order).Deg.IsKnown || BackgroundPu(order) == Complex.Zero;

    /// <summary>Background voltage of an order as a phasor (sines) of phase A, parts of nominal; angle 0 where none is stated.</summary>
    public Complex BackgroundPu(int order)
    {
        var (size, angle) = Background(order);
        return size.IsKnown ? Complex.FromPolarCoordinates(1, angle.IsKnown ? angle.Value * Math.PI / 180 : 0) * (size.Value / 100)
            : Complex.Zero;
    }

    /// <summary>The same source without any distortion of its own.</summary>
    public Source Undistorted() => this with { BackgroundV5Pct = 0, BackgroundV7Pct = 0, FurtherBackground = [] };

    private (Given Pct, Given Deg) Background(int order) => order switch
    {
        5 => (BackgroundV5Pct, BackgroundV5Deg),
        7 => (BackgroundV7Pct, BackgroundV7Deg),
        _ => FurtherBackground.FirstOrDefault(b => b.Order == order) is { } further
            ? (further.Pct, further.Deg)
            : (Given.Unknown, Given.Unknown),
    };

    /// <summary>Names of disturbances that have not been stated.</summary>
    public IEnumerable<string> NotStated()
    {
        if (!UnbalancePct.IsKnown)
        {
            yield return "unbalance";
        }

        if (!BackgroundV5Pct.IsKnown || !BackgroundV7Pct.IsKnown)
        {
            yield return "background distortion";
        }
    }
}

/// <summary>An order of the line's own distortion beside the 5th and 7th.</summary>
/// <param name="Order">One that three balanced phases know: 11, 13, 17 … 49.</param>
/// <param name="Pct">Voltage without this plant, % of nominal.</param>
/// <param name="Deg">Its angle at the rising zero of the fundamental (sines), degrees; unknown: it may stand anywhere.</param>
public sealed record BackgroundOrder(int Order, Given Pct, Given Deg)
{
    /// <summary>Orders that it may be of.</summary>
    public static IReadOnlyList<int> Orders { get; } = [.. Enumerable.Range(2, 7).SelectMany(k => new[] { (6 * k) - 1, (6 * k) + 1 })];
}

/// <summary>What is known of the source's fault level.</summary>
public abstract record SourceStrength
{
    private SourceStrength()
    {
    }

    /// <summary>Not known yet: studies that rest on it need data.</summary>
    public sealed record NotStated : SourceStrength;

    /// <summary>
    /// Assumed infinite, an explicit choice: the transformer alone limits the fault current. Optimistic for distortion.
    /// </summary>
    public sealed record AssumedInfinite : SourceStrength;

    /// <summary>Stated by the network operator.</summary>
    /// <param name="ShortCircuitMva">Largest three-phase short-circuit power, MVA, &gt; 0.</param>
    /// <param name="LeastMva">Least one, for dips and distortion, MVA; unknown: the largest is taken, and said.</param>
    /// <param name="XrRatio">Reactance over resistance, 0.1 to 100.</param>
    public sealed record FaultLevel(Given ShortCircuitMva, Given LeastMva, Given XrRatio) : SourceStrength;

    /// <summary>A generator instead of a public supply.</summary>
    /// <param name="RatedKva">Rated power of one set, kVA, &gt; 0.</param>
    /// <param name="SubtransientPct">Subtransient reactance X″d, % of the rated impedance.</param>
    /// <param name="NegativeSequencePct">Reactance X2, %; unknown: X″d is taken.</param>
    /// <param name="XrRatio">Reactance over resistance, 0.1 to 100.</param>
    public sealed record Generator(Given RatedKva, Given SubtransientPct, Given NegativeSequencePct, Given XrRatio) : SourceStrength
    {
        /// <summary>Rated active power of one set, kW.</summary>
        public Given RatedKw { get; init; }

        /// <summary>Transient reactance X′d, % of the rated impedance: it governs a dip of a tenth of a second and more.</summary>
        public Given TransientPct { get; init; }

        /// <summary>Governing class G1 to G3 of ISO 8528-5, as 1 to 3.</summary>
        public Given GoverningClass { get; init; }

        /// <summary>Equal sets in parallel; unknown: one.</summary>
        public Given Sets { get; init; }

        /// <summary>Reactive power that it takes from leading loads, % of its rated apparent power; unknown: the least of
        /// practice.</summary>
        public Given LeadingPct { get; init; }

        /// <summary>Active power that its engine takes back, % of its rated; unknown likewise.</summary>
        public Given ReturnedPct { get; init; }

        /// <summary>Negative-sequence current that it stands for ever, % of its rated; unknown likewise.</summary>
        public Given NegativeCurrentPct { get; init; }

        /// <summary>Rated apparent power of all sets, kVA; the rated power must be known.</summary>
        public double TotalKva() => RatedKva.Value * Count();

        /// <summary>Rated active power of all sets, kW; likewise.</summary>
        public double TotalKw() => RatedKw.Value * Count();

        private double Count() => Sets.IsKnown ? Sets.Value : 1;
    }
}
