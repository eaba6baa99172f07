namespace Cuadrilla.Core.Converters.Starting;

/// <summary>A soft starter of the catalogue, with built-in bypass.</summary>
public sealed record SoftStarterItem
{
    /// <summary>Stable key.</summary>
    public required string Id { get; init; }

    /// <summary>Series it belongs to.</summary>
    public required string Series { get; init; }

    /// <summary>Continuous current in line, A.</summary>
    public required double RatedCurrentA { get; init; }

    /// <summary>Start current that its rating holds, parts of the rated.</summary>
    public required double StartCurrentPu { get; init; }

    /// <summary>For how long, s.</summary>
    public required double StartTimeS { get; init; }

    /// <summary>How often an hour at that current and time.</summary>
    public required double StartsPerHour { get; init; }

    /// <summary>Loss of the thyristors while they conduct, W per ampere of line current.</summary>
    public required double ThyristorWPerA { get; init; }

    /// <summary>Loss with the bypass closed, W.</summary>
    public required double AuxiliaryW { get; init; }

    /// <summary>Rated conditional short-circuit current, kA.</summary>
    public required double ShortCircuitKa { get; init; }

    /// <summary>I²t of its thyristors, A²s; 0: not stated.</summary>
    public double ThyristorA2s { get; init; }

    /// <summary>Width, mm.</summary>
    public required double WidthMm { get; init; }

    /// <summary>Mass, kg.</summary>
    public required double MassKg { get; init; }

    /// <summary>Price in index points.</summary>
    public required double PriceIndex { get; init; }

    /// <summary>What is left of its currents in warm or thin air.</summary>
    public required SiteDerating Derating { get; init; }
}

/// <summary>Settings with which a kind of machine usually starts: a starting point, not a recommendation.</summary>
/// <param name="Application">Kind of machine.</param>
/// <param name="Settings">The settings.</param>
/// <param name="Trip">Trip class.</param>
public sealed record StartPreset(string Application, SoftStarterSettings Settings, TripClass Trip);
