using Cuadrilla.Core.Base;

namespace Cuadrilla.Core.Network;

/// <summary>A bus: the network connection, a medium-voltage bus, a low-voltage board.</summary>
/// <param name="Id">Stable key.</param>
/// <param name="Name">What people call it.</param>
/// <param name="NominalVoltageV">Line-to-line voltage, V, 100 to 69,000.</param>
/// <param name="WithstandKa">Fault current that the switchgear stands, kA; unknown: not judged.</param>
public sealed record Bus(string Id, string Name, double NominalVoltageV, Given WithstandKa)
{
    /// <summary>Earthing system of what hangs on it.</summary>
    public EarthingSystem Earthing { get; init; }

    /// <summary>True where an insulation monitor for converter systems watches it.</summary>
    public bool InsulationMonitored { get; init; }

    /// <summary>Measured resistance R_A of the earth electrode of what hangs on it, Ω; asked in TT systems.</summary>
    public Given ElectrodeOhm { get; init; }

    /// <summary>Class of environment for harmonic voltage, 1 to 3; unknown: the project's.</summary>
    public Given EnvironmentClass { get; init; }
}

/// <summary>Earthing systems (IEC 60364-1).</summary>
public enum EarthingSystem
{
    /// <summary>Not stated: needed where a verdict rests on it.</summary>
    NotStated,

    /// <summary>TN-S.</summary>
    TnS,

    /// <summary>TN-C-S.</summary>
    TnCS,

    /// <summary>TN-C.</summary>
    TnC,

    /// <summary>TT.</summary>
    Tt,

    /// <summary>IT.</summary>
    It,

    /// <summary>A corner of the delta earthed.</summary>
    CornerEarthed,
}

/// <summary>Where the plant couples with its neighbours, and what it may draw there.</summary>
/// <param name="BusId">The bus.</param>
/// <param name="MaximumDemandKva">Maximum demand of the installation (15 or 30 min), kVA; unknown: the largest scenario is taken, and
/// said.</param>
public sealed record CommonCoupling(string BusId, Given MaximumDemandKva);
