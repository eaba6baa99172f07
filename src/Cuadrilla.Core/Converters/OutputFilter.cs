namespace Cuadrilla.Core.Converters;

/// <summary>What stands between converter and motor cable.</summary>
public enum OutputFilter
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Slows the edges.</summary>
    DvDt,

    /// <summary>Makes the voltage sinusoidal.</summary>
    Sine,
}

/// <summary>A filter of the catalogue.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Name">What it is called.</param>
/// <param name="DropPct">Voltage it takes at rated current, %.</param>
/// <param name="LossPct">Loss at rated current, % of the motor's rated power.</param>
/// <param name="LeastSwitchingKhz">Least switching frequency it is made for, kHz.</param>
/// <param name="LargestSwitchingKhz">Largest switching frequency it stands, kHz.</param>
/// <param name="RiseTimeUs">Rise time behind it, µs.</param>
/// <param name="PricePct">Price, % of the converter's.</param>
/// <param name="Sinusoidal">Whether the motor sees a sinusoidal voltage: no addition to its losses, no reflected wave.</param>
public sealed record OutputFilterItem(
    OutputFilter Kind,
    string Name,
    double DropPct,
    double LossPct,
    double LeastSwitchingKhz,
    double LargestSwitchingKhz,
    double RiseTimeUs,
    double PricePct,
    bool Sinusoidal);

/// <summary>How the converter is connected to the supply.</summary>
public enum SupplyFeed
{
    /// <summary>Three phases.</summary>
    ThreePhase,

    /// <summary>Two phases of a three-phase supply, the third free: a three-phase converter is derated.</summary>
    TwoPhases,
}
