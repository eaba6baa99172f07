using System.Numerics;
using Cuadrilla.Core.Base;
using Cuadrilla.Core.Converters;
using Cuadrilla.Core.Converters.FrontEnds;
using Cuadrilla.Core.Specification;
using Cuadrilla.Core.Supplies;

namespace Cuadrilla.Core.Studies.Drives;

/// <summary>How a drive point is fed where only one phase is available.</summary>
/// <param name="Means">By what the machines of its lineup are run.</param>
/// <param name="ToNeutral">True between a phase and the neutral.</param>
/// <param name="RotaryKva">Rated apparent power of the rotary converter, kVA; unknown without one.</param>
/// <param name="ReactancePct">Its reactance, % of its rated impedance.</param>
/// <param name="DeviationPct">Deviation of the made phase's voltages, %.</param>
/// <param name="IsDeviationStated">False where that was taken from practice.</param>
public sealed record OnePhaseFeed(OnePhaseMeans Means, bool ToNeutral, Given RotaryKva, double ReactancePct, double DeviationPct,
    bool IsDeviationStated)
{
    /// <summary>True where its motor runs on three phases that are made of the one.</summary>
    public bool MakesThreePhases => Means is OnePhaseMeans.Rotary or OnePhaseMeans.Static;

    /// <summary>How a lineup feeds its drive points; null where all three phases are available.</summary>
    public static OnePhaseFeed? Of(Lineup lineup)
    {
        ArgumentNullException.ThrowIfNull(lineup);
        return lineup.OnePhase is { } one
            ? new OnePhaseFeed(one.Means, one.ToNeutral, one.Means == OnePhaseMeans.Rotary ? one.Rotary.RatedKva : Given.Unknown,
                OnePhaseUsual.ReactancePct(one.Rotary), OnePhaseUsual.DeviationPct(one.Rotary),
                one.Rotary.DeviationPct.IsKnown)
            : null;
    }

    /// <summary>True for a converter that can be fed by two conductors, where there are no more.</summary>
    public static bool CanFeed(OnePhaseFeed? feed, ConverterItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        return feed is null or { MakesThreePhases: true } || item.FrontEnd is FrontEnd.SinglePhase or FrontEnd.Diode { Bridges: 1 };
    }

    /// <summary>A choice connected to what there is: a three-phase unit to two conductors of one phase.</summary>
    public static ConverterChoice.FromCatalogue Fed(ConverterChoice.FromCatalogue choice, ConverterItem item, OnePhaseFeed? feed)
    {
        ArgumentNullException.ThrowIfNull(choice);
        ArgumentNullException.ThrowIfNull(item);
        return feed is not { MakesThreePhases: false } ? choice
            : choice with { Feed = item.FrontEnd is FrontEnd.SinglePhase ? SupplyFeed.ThreePhase : SupplyFeed.TwoPhases };
    }

    /// <summary>Reactance that a rotary converter puts ahead of its motors, ohm per phase; null while its size is not known.</summary>
    /// <param name="voltageV">Voltage between its phases, V.</param>
    public Complex? RotaryOhm(double voltageV) => Means != OnePhaseMeans.Rotary ? Complex.Zero
        : RotaryKva.IsKnown ? new Complex(0, ReactancePct / 100 * voltageV * voltageV / (RotaryKva.Value * 1e3))
        : null;

    /// <summary>Unbalance U2/U1 at its motors, %: line voltages of 1, 1 + d and 1 + d.</summary>
    public double UnbalancePct() => Means == OnePhaseMeans.Rotary ? MadePhase.UnbalancePct(DeviationPct) : 0;
}
