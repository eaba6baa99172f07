using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Motors;

/// <summary>Explosion protection of a motor (IEC 60079).</summary>
public enum ExplosionProtection
{
    /// <summary>None: for safe areas only.</summary>
    None,

    /// <summary>Flameproof enclosure, Ex db.</summary>
    Flameproof,

    /// <summary>Increased safety, Ex eb.</summary>
    IncreasedSafety,

    /// <summary>Pressurised enclosure, Ex pxb.</summary>
    Pressurised,

    /// <summary>Dust protection by enclosure, Ex tb or tc.</summary>
    DustByEnclosure,
}

/// <summary>
/// What the maker of a motor states it stands, beside its plate. Where a verdict rests on what is not stated, it needs data.
/// </summary>
public sealed record MotorLimits
{
    /// <summary>Temperature rise at the rated point on a sinusoidal supply, K.</summary>
    public Given RatedRiseK { get; init; }

    /// <summary>Time the warm rotor stands locked at full voltage, s.</summary>
    public Given StallTimeS { get; init; }

    /// <summary>Starts per hour it stands.</summary>
    public Given StartsPerHour { get; init; }

    /// <summary>Peak voltage between phases the winding stands, repeatedly, V.</summary>
    public Given WithstandV { get; init; }

    /// <summary>True when its maker states it for a converter supply (IEC TS 60034-25 or equal).</summary>
    public bool ForConverter { get; init; }

    /// <summary>Explosion protection.</summary>
    public ExplosionProtection Explosion { get; init; }

    /// <summary>True when its certificate states converter operation.</summary>
    public bool CertifiedForConverter { get; init; }

    /// <summary>Nothing stated.</summary>
    public static MotorLimits None { get; } = new();
}

/// <summary>
/// Starts per hour of cage motors across the line or on soft starters where the maker states none: the mean heat is only an upper bound.
/// Source: practice after IEC 60034-12, two starts in succession from cold or one from hot.
/// </summary>
/// <param name="UsualPerHour">Number that any motor stands.</param>
/// <param name="MostPerHour">Number that needs the maker's word.</param>
public readonly record struct StartsAnHour(double UsualPerHour, double MostPerHour)
{
    /// <summary>Of a rated power.</summary>
    public static StartsAnHour Of(double ratedPowerW) => ratedPowerW switch
    {
        > 100e3 => new StartsAnHour(2, 3),
        >= 11e3 => new StartsAnHour(6, 10),
        _ => new StartsAnHour(15, 30),
    };
}
