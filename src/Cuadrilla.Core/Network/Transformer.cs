using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>Connection of the windings and the clock number (IEC 60076-1).</summary>
public enum VectorGroup
{
    /// <summary>Dyn11.</summary>
    Dyn11,

    /// <summary>Dyn5.</summary>
    Dyn5,

    /// <summary>Dyn1.</summary>
    Dyn1,

    /// <summary>Dyn7.</summary>
    Dyn7,

    /// <summary>Yd11.</summary>
    Yd11,

    /// <summary>Yd5.</summary>
    Yd5,

    /// <summary>Yzn11.</summary>
    Yzn11,

    /// <summary>Yzn5.</summary>
    Yzn5,

    /// <summary>Yyn0.</summary>
    Yyn0,

    /// <summary>Dd0.</summary>
    Dd0,

    /// <summary>Dzn0.</summary>
    Dzn0,
}

/// <summary>How the windings are cooled, which decides how stray loss grows with the order.</summary>
public enum TransformerCooling
{
    /// <summary>Dry: all stray loss as eddy loss, with the square of the order.</summary>
    Dry,

    /// <summary>Oil: other stray loss besides, with the order to the power of 0.8.</summary>
    Oil,
}

/// <summary>A two-winding transformer; its rated voltages are those of its buses.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="FromBusId">Bus on the side of the source.</param>
/// <param name="ToBusId">Bus that it feeds.</param>
/// <param name="RatedKva">Rated power, kVA, &gt; 0.</param>
/// <param name="UkPct">Short-circuit voltage, %, 0.5 to 25.</param>
/// <param name="LoadLossKw">Load loss at rated current, kW, ≥ 0.</param>
/// <param name="NoLoadLossKw">No-load loss, kW, ≥ 0.</param>
/// <param name="VectorGroup">Vector group: the fed side lags by 30° for each hour.</param>
/// <param name="Cooling">Dry or oil.</param>
/// <param name="EddyLossPu">Eddy loss of the windings at rated current, pu of I²R, 0 to 0.5.</param>
/// <param name="OtherStrayLossPu">Other stray loss, pu of I²R; reckoned with for oil only.</param>
public sealed record Transformer(
    string Id,
    string Name,
    string FromBusId,
    string ToBusId,
    double RatedKva,
    double UkPct,
    double LoadLossKw,
    double NoLoadLossKw,
    VectorGroup VectorGroup,
    TransformerCooling Cooling,
    Given EddyLossPu,
    Given OtherStrayLossPu)
{
    /// <summary>No-load voltage of the fed side with its tap, % of that bus's nominal; unknown: exactly nominal.</summary>
    public Given NoLoadSecondaryPct { get; init; }

    /// <summary>Zero-sequence impedance over the positive-sequence one; unknown: 1 with a delta primary and a star, not known
    /// otherwise.</summary>
    public Given ZeroSequencePu { get; init; }

    /// <summary>Zero-sequence impedance behind its star over the positive-sequence one; null where there is no star or nothing is known of
    /// it.</summary>
    public double? ZeroSequence() => VectorGroup switch
    {
        VectorGroup.Dyn1 or VectorGroup.Dyn5 or VectorGroup.Dyn7 or VectorGroup.Dyn11 => ZeroSequencePu.IsKnown ? ZeroSequencePu.Value : 1,
        VectorGroup.Yzn5 or VectorGroup.Yzn11 or VectorGroup.Yyn0 or VectorGroup.Dzn0 =>
            ZeroSequencePu.IsKnown ? ZeroSequencePu.Value : null,
        VectorGroup.Yd5 or VectorGroup.Yd11 or VectorGroup.Dd0 => null,
        _ => throw new InvalidOperationException("Unknown vector group."),
    };

    /// <summary>Rated current at a voltage, A.</summary>
    public double RatedCurrentA(double voltageV) => RatedKva * 1e3 / (Math.Sqrt(3) * voltageV);

    /// <summary>Clock number: by how many hours of 30° the fed side lags.</summary>
    public int ClockHour() => VectorGroup switch
    {
        VectorGroup.Dyn11 or VectorGroup.Yd11 or VectorGroup.Yzn11 => 11,
        VectorGroup.Dyn5 or VectorGroup.Yd5 or VectorGroup.Yzn5 => 5,
        VectorGroup.Dyn1 => 1,
        VectorGroup.Dyn7 => 7,
        VectorGroup.Yyn0 or VectorGroup.Dd0 or VectorGroup.Dzn0 => 0,
        _ => throw new InvalidOperationException("Unknown vector group."),
    };
}
