using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Catalogue;

/// <summary>Limits of cables and of dips of the supply in force.</summary>
public sealed record ProtectionDefaults
{
    /// <summary>Voltage lost from a public low-voltage supply to the load, %.</summary>
    [Default("cable-drop-public-pct")]
    public double DropPublicPct { get; init; }

    /// <summary>The same from a transformer of the plant, %.</summary>
    [Default("cable-drop-own-pct")]
    public double DropOwnPct { get; init; }

    /// <summary>Voltage lost to the terminals in a start, %.</summary>
    [Default("cable-drop-start-pct")]
    public double DropStartPct { get; init; }

    /// <summary>Dip of the supply that drives ride through, s.</summary>
    [Default("dip-to-ride-ms", Divisor = 1e3)]
    public double DipToRideS { get; init; }
}
