using Cuadrilla.Core.Interference;

namespace Cuadrilla.Core.Specification;

/// <summary>Units in which people read and write; the specification itself is kept in SI.</summary>
public enum UnitSystem
{
    /// <summary>SI.</summary>
    Si,

    /// <summary>US customary: hp, ft, lb·ft, °F, gpm, AWG.</summary>
    UsCustomary,
}

/// <summary>Code by which the plant is installed.</summary>
public enum InstallationCode
{
    /// <summary>IEC 60364 and the national rules made from it.</summary>
    Iec60364,

    /// <summary>The US installation code, NFPA 70.</summary>
    Nfpa70,
}

/// <summary>What a project's people are used to.</summary>
/// <param name="Units">Units shown.</param>
/// <param name="Installation">Installation code.</param>
public sealed record Conventions(UnitSystem Units, InstallationCode Installation)
{
    /// <summary>Environment by its electromagnetic rules.</summary>
    public EmcEnvironment Environment { get; init; }

    /// <summary>Rules by which cables are kept apart.</summary>
    public SeparationRules Separation { get; init; }
}

/// <summary>Electromagnetic environment (IEC 61800-3).</summary>
public enum EmcEnvironment
{
    /// <summary>Not stated.</summary>
    NotStated,

    /// <summary>First: on the public low-voltage system, homes and offices beside.</summary>
    First,

    /// <summary>Second: behind a transformer of its own.</summary>
    Second,
}
